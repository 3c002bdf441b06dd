// SPDX-License-Identifier: GPL-3.0-or-later
// Link, clock, states and motion of the simulated controller; what lines mean is in controller_lines.cpp.
#include <chalkline/geometry/region.hpp>
#include <chalkline/simulator/controller.hpp>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <array>
#include <charconv>
#include <utility>

namespace chalkline::simulator {
namespace {

constexpr double longest_pulse = 0.25;     // s: 0.2 and the time its lines take
constexpr double strongest_pulse = 0.2;    // of full power
constexpr double tick = 0.001;             // s of virtual time between looks at the link
constexpr double starved_within = 0.25;    // s: a program that goes on so soon after the planner ran dry was starved
constexpr std::size_t most_remarks = 100;  // of each kind in the report

std::map<int, double> factory_settings(const machine::MachineProfile& p) {
    const bool homes = p.home != machine::HomeCorner::none;
    int mask = 0;
    if (p.home == machine::HomeCorner::near_left || p.home == machine::HomeCorner::far_left) mask |= 1;
    if (p.home == machine::HomeCorner::near_left || p.home == machine::HomeCorner::near_right) mask |= 2;
    return {{0, 10},
            {1, 25},
            {2, 0},
            {3, 0},
            {4, 0},
            {5, 0},
            {6, 0},
            {10, 1},
            {11, p.junction_deviation},
            {12, 0.002},
            {13, 0},
            {20, homes ? 1.0 : 0.0},
            {21, 0},
            {22, homes ? 1.0 : 0.0},
            {23, static_cast<double>(mask)},
            {24, 100},
            {25, 3000},
            {26, 250},
            {27, 1},
            {30, static_cast<double>(p.full_power_s)},
            {31, 0},
            {32, 1},
            {100, 80},
            {101, 80},
            {102, 80},
            {110, p.max_rate_x},
            {111, p.max_rate_y},
            {112, 1000},
            {120, p.acceleration_x},
            {121, p.acceleration_y},
            {122, 100},
            {130, p.width},
            {131, p.depth},
            {132, 50}};
}

}  // namespace

std::string to_json(const Report& r) {
    const nlohmann::ordered_json json{{"virtual_s", r.virtual_s},
                                      {"moves", r.moves},
                                      {"bytes", r.bytes},
                                      {"lines", r.lines},
                                      {"beam_on_mm", r.beam_on_mm},
                                      {"beam_on_s", r.beam_on_s},
                                      {"travel_mm", r.travel_mm},
                                      {"top_mm_min", r.top_mm_min},
                                      {"beam_at_rest_s", r.beam_at_rest_s},
                                      {"starved", r.starved},
                                      {"worst_rx_fill", r.worst_rx_fill},
                                      {"errors", r.errors},
                                      {"alarms", r.alarms},
                                      {"violations", r.violations}};
    return json.dump(2, ' ', false, nlohmann::ordered_json::error_handler_t::replace) + "\n";
}

Controller::Controller(machine::MachineProfile profile, Board board)
    : profile_(driven_by(board, std::move(profile))),
      board_(std::move(board)),
      settings_(factory_settings(profile_)),
      motion_({}, static_cast<std::size_t>(profile_.planner_blocks)),
      store_(board_.files) {
    for (const auto& [number, value] : board_.settings)
        settings_[number] = value;
    const bool homes = setting(22) != 0;
    // Switched on, a homing machine does not know where its head was left; others call that place 0, 0.
    motion_.set_at(homes ? geometry::Point{profile_.width * 0.3, profile_.depth * 0.4} : geometry::Point{});
    shift_ = {-motion_.at().x, -motion_.at().y};
    boot(true);
}

/// A flat machine counts from its switches; a rotary from wherever it was when it was put in.
void Controller::set_round_piece(std::optional<machine::RoundWall> wall) {
    if (wall.has_value() != wall_.has_value() && profile_.rotary.axis == machine::RotaryAxis::fourth) {
        geometry::Point at = motion_.at();
        std::swap(at.y, standing_);
        motion_.set_at(at);
        std::swap(shift_.y, standing_shift_);
        std::swap(g54_.y, standing_offset_);
    }
    wall_ = wall;
    counted_per_mm_ = wall ? machine::counted_per_mm(profile_.rotary, *wall) : 1;
    motion_.set_limits(axis_limits());
}

AxisLimits Controller::axis_limits() const {
    AxisLimits limits{setting(110) / 60, setting(111) / 60, setting(120), setting(121), setting(11)};
    if (turns_fourth()) {
        limits.rate_y = profile_.rotary.max_rate / 60;
        limits.acceleration_y = profile_.rotary.acceleration;
    }
    return limits;
}

geometry::Point Controller::on_piece(geometry::Point head) const {
    if (!wall_) return head;
    const geometry::Point work = head + shift_ - offset();
    const double round = std::fmod(work.y / counted_per_mm_, wall_->turn);
    return {work.x, round < 0 ? round + wall_->turn : round};
}

void Controller::burn_piece(geometry::Point from, geometry::Point to, double energy) {
    if (!dose_) return;
    geometry::Point a = on_piece(from), b = on_piece(to);
    if (!wall_) return dose_->burn(a, b, energy);
    // The shorter way between the two is the one the beam went; what lies across the seam shows on both sides of it.
    const double turn = wall_->turn;
    if (b.y - a.y > turn / 2) b.y -= turn;
    if (a.y - b.y > turn / 2) b.y += turn;
    for (const double by : {-turn, 0.0, turn})
        dose_->burn(a + geometry::Point{0, by}, b + geometry::Point{0, by}, energy);
}

/// The head over its bed; along a round piece only as far as the bed is wide.
bool Controller::within_reach(geometry::Point head, double rounding) const {
    if (wall_) head.y = 0;
    return profile_.bed().contains(head, rounding);
}

// ---------------------------------------------------------------- link

void Controller::receive(std::string_view bytes) {
    if (!powered_ || booting_until_) return;
    // Ten bits a byte on the wire.
    const double each = 10.0 / profile_.baud;
    double at = incoming_.empty() ? now_ : std::max(now_, incoming_.back().at);
    for (const char c : bytes)
        incoming_.push_back({at += each, c});
    report_.bytes += static_cast<std::int64_t>(bytes.size());
}

std::string Controller::take_output() {
    std::string out;
    while (!outgoing_.empty() && outgoing_.front().at <= now_) {
        out += outgoing_.front().byte;
        outgoing_.pop_front();
    }
    return out;
}

void Controller::reply(std::string_view line) {
    if (line == "ok" && from_store_) return;
    static constexpr std::array<std::string_view, 3> ends{"\r\n", "\n", "\r"};
    const auto which =
        board_.line_end == LineEnd::mixed ? lines_said_++ % 3 : static_cast<std::size_t>(board_.line_end);
    put_out(line);
    put_out(ends[which]);
}

void Controller::put_out(std::string_view bytes) {
    const double each = 10.0 / profile_.baud;
    double at = outgoing_.empty() ? now_ : std::max(now_, outgoing_.back().at);
    for (const char c : bytes)
        outgoing_.push_back({at += each, c});
}

void Controller::arrive() {
    while (!incoming_.empty() && incoming_.front().at <= now_) {
        const char c = incoming_.front().byte;
        incoming_.pop_front();
        const auto byte = static_cast<unsigned char>(c);
        if (transfer_) {
            put_out(transfer_->receiver.take({&c, 1}));
            if (transfer_->receiver.over()) end_transfer();
        } else if (byte >= 0x80 || c == '?' || c == '!' || c == '~' || byte == 0x18) {
            realtime(byte);
        } else if (critical_ || state_ == State::sleep) {
            continue;
        } else if (buffer_.size() >= static_cast<std::size_t>(profile_.receive_buffer)) {
            violation("receive buffer overflow");
        } else {
            buffer_ += c;
            report_.worst_rx_fill = std::max(report_.worst_rx_fill, static_cast<std::int64_t>(buffer_.size()));
        }
    }
}

void Controller::end_transfer() {
    const Transfer ended = std::move(*transfer_);
    transfer_.reset();
    if (!ended.receiver.received()) return reply("error:130");
    store_.write(ended.name, *ended.receiver.received());
    reply(fmt::format("[MSG:INFO: Received {} bytes to file {}]", ended.receiver.received()->size(), ended.name));
    reply("ok");
}

void Controller::realtime(unsigned char byte) {
    const auto change = [&](int& value, int to) {
        value = std::clamp(to, 10, 200);
        apply_overrides();
    };
    switch (byte) {
        case '?':
            if (state_ != State::home && !critical_) reply(status());
            return;
        case '!':
            if (state_ == State::run || state_ == State::jog) holding_ = true;
            return;
        case '~':
            if (state_ == State::hold && hold_complete_ && !door_open_ && !hold_switch_) {
                holding_ = hold_complete_ = beam_stopped_ = door_ = false;
                state_ = motion_.empty() && arc_.empty() ? State::idle : State::run;
            }
            return;
        case 0x18:
            return soft_reset();
        case 0x84:  // as if the door had been opened and shut again at once
            return hold_for_door();
        case 0x85:
            if (state_ == State::jog) holding_ = true;
            return;
        case 0x90:
            return change(feed_override_, 100);
        case 0x91:
            return change(feed_override_, feed_override_ + 10);
        case 0x92:
            return change(feed_override_, feed_override_ - 10);
        case 0x93:
            return change(feed_override_, feed_override_ + 1);
        case 0x94:
            return change(feed_override_, feed_override_ - 1);
        case 0x95:
            return change(rapid_override_, 100);
        case 0x96:
            return change(rapid_override_, 50);
        case 0x97:
            return change(rapid_override_, 25);
        case 0x99:
            return change(power_override_, 100);
        case 0x9a:
            return change(power_override_, power_override_ + 10);
        case 0x9b:
            return change(power_override_, power_override_ - 10);
        case 0x9c:
            return change(power_override_, power_override_ + 1);
        case 0x9d:
            return change(power_override_, power_override_ - 1);
        case 0x9e:
            if (state_ == State::hold) beam_stopped_ = !beam_stopped_;
            return;
        default:
            return;
    }
}

void Controller::hold_for_door() {
    if (state_ == State::run || state_ == State::jog) holding_ = true;
    if (state_ == State::idle) {
        state_ = State::hold;
        hold_complete_ = true;
    }
    door_ = state_ != State::alarm && state_ != State::home;
}

void Controller::set_door(bool open) {
    if (open && !door_open_) hold_for_door();
    door_open_ = open;
}

void Controller::press_start(bool down) {
    if (down && !start_pressed_) realtime('~');
    start_pressed_ = down;
}

void Controller::set_hold_switch(bool down) {
    if (down && (state_ == State::run || state_ == State::jog)) holding_ = true;
    hold_switch_ = down;
}

void Controller::hit_limit_switch() {
    raise_alarm(1);
}

void Controller::turn_power_knob(int percent) {
    power_override_ = std::clamp(percent, 10, 200);
    apply_overrides();
}

void Controller::opened() {
    if (!board_.restarts_on_open) return;
    set_power(false);
    set_power(true);
}

void Controller::set_power(bool on) {
    if (on == powered_) return;
    powered_ = on;
    incoming_.clear();
    outgoing_.clear();
    if (!on) {
        beam_now_ = 0;
        return;
    }
    state_ = State::idle;
    soft_reset();
    // Where the head was left nobody knows: it counts anew from there.
    shift_ = {-motion_.at().x, -motion_.at().y};
    outgoing_.clear();
    boot(true);
}

void Controller::apply_overrides() {
    motion_.set_overrides(feed_override_ / 100.0, rapid_override_ / 100.0, power_override_ / 100.0);
    reports_to_overrides_ = 0;
}

std::string Controller::status() {
    static constexpr const char* names[] = {"Idle", "Run", "Hold", "Jog", "Alarm", "Home", "Check", "Sleep"};
    std::string text = "<";
    // Door:0 is shut and ready to resume, Door:1 open at rest, Door:2 still comes to rest.
    if (state_ == State::hold && door_)
        text += !hold_complete_ ? "Door:2" : door_open_ ? "Door:1" : "Door:0";
    else
        text += names[static_cast<int>(state_)];
    if (state_ == State::hold && !door_) text += hold_complete_ ? ":0" : ":1";
    const double scale = setting(13) != 0 ? 1 / 25.4 : 1;
    const bool as_machine = (static_cast<int>(setting(10)) & 1) != 0;
    const geometry::Point shown = as_machine ? machine_at() : machine_at() - offset();
    const double standing = as_machine ? standing_ + standing_shift_ : standing_;
    text += std::string("|") + (as_machine ? "MPos:" : "WPos:") + places(shown, height_, standing);
    if ((static_cast<int>(setting(10)) & 2) != 0)
        text += fmt::format("|Bf:{},{}", static_cast<std::size_t>(profile_.planner_blocks) - motion_.queued(),
                            static_cast<std::size_t>(profile_.receive_buffer) - buffer_.size());
    text += fmt::format("|FS:{:.0f},{:.0f}", motion_.speed() * 60 * scale, beam_now_ * setting(30));
    if (board_.three_figures) text += ",0";
    std::string pins;
    if (door_open_) pins += 'D';
    if (hold_switch_) pins += 'H';
    if (start_pressed_) pins += 'S';
    if (!pins.empty()) text += "|Pn:" + pins;
    const bool busy = state_ == State::run || state_ == State::jog || state_ == State::hold;
    if (--reports_to_offset_ <= 0) {
        reports_to_offset_ = busy ? 30 : 10;
        text += "|WCO:" + places(offset(), 0, 0);
    } else if (--reports_to_overrides_ <= 0) {
        reports_to_overrides_ = busy ? 20 : 10;
        text += fmt::format("|Ov:{},{},{}", feed_override_, rapid_override_, power_override_);
        std::string on;
        if (beam_is_reported()) on += beam_ == BeamMode::constant ? 'S' : 'C';
        if (flood_) on += 'F';
        if (mist_) on += 'M';
        if (!on.empty()) text += "|A:" + on;
    }
    if (store_.runs())
        text += fmt::format("|SD:{:.2f},{}",
                            100.0 * static_cast<double>(store_.bytes_read()) /
                                static_cast<double>(std::max<std::size_t>(1, store_.bytes())),
                            store_.name());
    for (const std::string& extra : board_.report_extras)
        text += "|" + extra;
    return text + ">";
}

/// A place as this board writes it: all its axes, in the unit of its reports. `other`: of the axis that stands still
/// while the planner moves X and one of Y and A.
std::string Controller::places(geometry::Point used, double height, double other) const {
    const double scale = setting(13) != 0 ? 1 / 25.4 : 1;
    const bool fourth = profile_.rotary.axis == machine::RotaryAxis::fourth;
    std::vector<double> axes{used.x, turns_fourth() ? other : used.y, height};
    if (fourth) axes.push_back(turns_fourth() ? used.y : other);
    axes.resize(std::max(axes.size(), static_cast<std::size_t>(board_.axes)), 0);
    std::string text;
    for (const double value : axes)
        text += fmt::format("{}{:.{}f}", text.empty() ? "" : ",", value * scale, scale == 1 ? 3 : 4);
    return text;
}

bool Controller::beam_is_reported() const {
    switch (board_.beam_report) {
        case BeamReport::lit:
            return beam_now_ > 0;
        case BeamReport::enabled:
            return beam_ != BeamMode::off && power_word_ > 0 && state_ != State::idle;
        case BeamReport::mode:
            return beam_ != BeamMode::off;
        case BeamReport::never:
            break;
    }
    return false;
}

// ---------------------------------------------------------------- states

void Controller::boot(bool power_on) {
    motion_.set_limits(axis_limits());
    if (power_on && setting(22) != 0) state_ = State::alarm;
    fresh_start_ = power_on;
    booting_until_.reset();
    if (power_on && board_.boot_s > 0)
        booting_until_ = now_ + board_.boot_s;
    else
        greet();
}

void Controller::greet() {
    if (fresh_start_) {
        for (int i = 0; i < board_.boot_noise; ++i)
            outgoing_.push_back({now_, static_cast<char>(0x80 + i * 37 % 0x7f)});
        for (const std::string& line : board_.boot_log)
            reply(line);
    }
    reply("");
    reply(board_.greeting);
    if (state_ == State::alarm)
        reply("[MSG:'$H'|'$X' to unlock]");
    else
        run_startup_lines();
}

/// Their words count from now on, as if they had been sent.
void Controller::run_startup_lines() {
    for (const std::string& line : board_.startup_lines) {
        const int problem = apply_startup_line(line);
        reply(">" + line + (problem == 0 ? ":ok" : ":error:" + std::to_string(problem)));
    }
}

void Controller::say_chatter() {
    if (board_.chatter.empty() || state_ != State::run || now_ < next_chatter_) return;
    next_chatter_ = now_ + board_.chatter_every;
    reply(board_.chatter[chatter_said_++ % board_.chatter.size()]);
}

void Controller::soft_reset() {
    const bool moving = !motion_.standing() || state_ == State::home;
    buffer_.clear();
    waiting_.clear();
    arc_.clear();
    motion_.clear();
    holding_ = hold_complete_ = critical_ = mid_program_ = beam_stopped_ = door_ = false;
    store_.close();
    from_store_ = false;
    dry_since_.reset();
    dwell_left_ = homing_left_ = 0;
    motion_mode_ = 0;
    absolute_ = true;
    unit_ = 1;
    feed_ = power_word_ = 0;
    beam_ = BeamMode::off;
    flood_ = mist_ = false;
    g92_ = {};
    feed_override_ = rapid_override_ = power_override_ = 100;
    apply_overrides();
    reports_to_offset_ = 0;
    const bool stays_locked = state_ == State::alarm;
    state_ = stays_locked ? State::alarm : State::idle;
    if (moving) raise_alarm(3);
    boot(false);
}

void Controller::raise_alarm(int number) {
    motion_.clear();
    arc_.clear();
    waiting_.clear();
    buffer_.clear();
    holding_ = hold_complete_ = mid_program_ = from_store_ = false;
    store_.close();
    beam_ = BeamMode::off;
    power_word_ = 0;
    state_ = State::alarm;
    critical_ = number == 1 || number == 2;
    if (report_.alarms.size() < most_remarks) report_.alarms.push_back("ALARM:" + std::to_string(number));
    reply("ALARM:" + std::to_string(number));
    if (critical_) reply("[MSG:Reset to continue]");
}

void Controller::start_homing() {
    state_ = State::home;
    const int mask = static_cast<int>(setting(23));
    const geometry::Point corner{(mask & 1) != 0 ? 0 : profile_.width, (mask & 2) != 0 ? 0 : profile_.depth};
    const geometry::Point way = corner - motion_.at();
    // Both axes seek at once; then they back off, touch again slowly and pull off.
    homing_left_ =
        std::max(std::abs(way.x), std::abs(way.y)) / (setting(25) / 60) + 3 * setting(27) / (setting(24) / 60);
}

void Controller::finish_homing() {
    const int mask = static_cast<int>(setting(23));
    const double pull = setting(27);
    geometry::Point machine{(mask & 1) != 0 ? -setting(130) + pull : -pull,
                            (mask & 2) != 0 ? -setting(131) + pull : -pull};
    if (board_.origin_forced) machine = {};
    motion_.set_at({(mask & 1) != 0 ? pull : profile_.width - pull, (mask & 2) != 0 ? pull : profile_.depth - pull});
    shift_ = machine - motion_.at();
    homing_left_ = 0;
    state_ = State::idle;
    run_startup_lines();
    reply("ok");
}

bool Controller::limits_exceeded(geometry::Point target) const {
    constexpr double rounding = 0.0005;
    const geometry::Point machine = target + shift_;
    if (setting(22) == 0) return !within_reach(target, rounding);
    const int mask = static_cast<int>(setting(23));
    // Counted from home, the travel lies on the side that home is not on.
    const auto beyond = [&](double at, double travel, bool home_at_least) {
        const double least = board_.origin_forced && home_at_least ? 0 : -travel;
        return at < least - rounding || at > least + travel + rounding;
    };
    // A controller that knows of no rotary goes by the travel of the axis it was plugged into.
    return beyond(machine.x, setting(130), (mask & 1) != 0) ||
           (!turns_fourth() && beyond(machine.y, setting(131), (mask & 2) != 0));
}

bool Controller::at_rest() const {
    return motion_.empty() && arc_.empty() && incoming_.empty() && buffer_.empty() && waiting_.empty() &&
           outgoing_.empty() && dwell_left_ == 0 && homing_left_ == 0;
}

int Controller::room() const {
    std::size_t open = incoming_.size() + buffer_.size();
    for (const std::string& line : waiting_)
        open += line.size() + 1;
    return profile_.receive_buffer - 1 - static_cast<int>(open);
}

// ---------------------------------------------------------------- time and motion

void Controller::advance(double seconds) {
    while (seconds > 1e-12) {
        const double dt = std::min(seconds, tick);
        seconds -= dt;
        now_ += dt;
        report_.virtual_s = now_;
        if (!powered_) continue;
        if (booting_until_) {
            if (now_ < *booting_until_) continue;
            booting_until_.reset();
            greet();
        }
        arrive();
        if (transfer_) put_out(transfer_->receiver.tick(now_));
        work();
        move(dt);
        say_chatter();
    }
}

void Controller::move(double seconds) {
    if (state_ == State::home) {
        homing_left_ -= seconds;
        if (homing_left_ <= 0) finish_homing();
        return;
    }
    if (dwell_left_ > 0) {
        dwell_left_ = std::max(0.0, dwell_left_ - seconds);
        return burn_at_rest(seconds);
    }
    const auto follow = [this](geometry::Point from, geometry::Point to, double power, double time) {
        trail(from, to, power, time);
    };
    const bool jogging = state_ == State::jog;
    const bool was_moving = !motion_.empty();
    const double idle = motion_.run(seconds, holding_, follow);
    if (holding_ && (jogging || motion_.empty())) {
        // A held jog is a cancelled jog.
        if (motion_.standing()) {
            motion_.clear();
            holding_ = false;
            state_ = State::idle;
        }
    } else if (holding_) {
        state_ = State::hold;
        hold_complete_ = motion_.standing();
    }
    if (state_ == State::hold) {
        if (hold_complete_) beam_now_ = 0;
        return;
    }
    if (motion_.empty() && arc_.empty() && (state_ == State::run || jogging)) {
        if (was_moving && mid_program_) dry_since_ = now_;
        if (waiting_.empty()) state_ = State::idle;
    }
    if (idle > 0) burn_at_rest(idle);
}

void Controller::trail(geometry::Point from, geometry::Point to, double power, double seconds) {
    const double way = geometry::distance(from, to);
    beam_now_ = power;
    lit_at_rest_ = 0;
    report_.top_mm_min = std::max(report_.top_mm_min, motion_.speed() * 60);
    if (power <= 0) {
        report_.travel_mm += way;
        return;
    }
    report_.beam_on_mm += way;
    report_.beam_on_s += seconds;
    constexpr double rounding = 0.01;
    if (!within_reach(from, rounding) || !within_reach(to, rounding))
        violation(fmt::format("beam on outside the bed at {:.2f}, {:.2f}", to.x, to.y));
    else if (!stock_.points.empty())
        for (std::size_t i = 0; i < stock_.points.size(); ++i) {
            const geometry::Point a = stock_.points[i], b = stock_.points[(i + 1) % stock_.points.size()];
            if (geometry::cross(b - a, on_piece(to) - a) / geometry::distance(a, b) < -rounding)
                violation(fmt::format("beam on outside the stock at {:.2f}, {:.2f}", to.x, to.y));
        }
    burn_piece(from, to, profile_.beam.watts_at(Power::percent(power * 100)) * 1000 * seconds);
}

/// The beam at a head that stands still: only constant power burns, and laser mode darkens it in rapid mode.
void Controller::burn_at_rest(double seconds) {
    const double lit_before = std::exchange(lit_at_rest_, 0);
    beam_now_ = 0;
    if (beam_ != BeamMode::constant || (laser_mode() && motion_mode_ == 0)) return;
    beam_now_ = std::clamp(power_word_ / setting(30) * power_override_ / 100, 0.0, 1.0);
    if (beam_now_ <= 0) return;
    lit_at_rest_ = lit_before + seconds;
    report_.beam_at_rest_s = std::max(report_.beam_at_rest_s, lit_at_rest_);
    // One short weak burst, to see where the beam is, is the only thing a beam may do at rest.
    if (lit_at_rest_ > longest_pulse || beam_now_ > strongest_pulse)
        violation(fmt::format("beam on at rest at {:.2f}, {:.2f}", motion_.at().x, motion_.at().y));
    report_.beam_on_s += seconds;
    burn_piece(motion_.at(), motion_.at(), profile_.beam.watts_at(Power::percent(beam_now_ * 100)) * 1000 * seconds);
}

/// Called when a program's move is queued.
void Controller::note_starvation() {
    if (dry_since_ && now_ - *dry_since_ < starved_within) ++report_.starved;
    dry_since_.reset();
    mid_program_ = true;
}

void Controller::violation(const std::string& text) {
    if (report_.violations.size() < most_remarks) report_.violations.push_back(text);
}

std::string Controller::settings_text() const {
    std::string text;
    for (const auto& [number, value] : settings_)
        text += fmt::format("{}={:g}\n", number, value);
    text += fmt::format("G54={:.3f},{:.3f}\n", g54_.x, g54_.y);
    return text;
}

void Controller::load_settings(std::string_view text) {
    while (!text.empty()) {
        const auto end = std::min(text.find('\n'), text.size());
        change_setting(text.substr(0, end));
        text.remove_prefix(std::min(text.size(), end + 1));
    }
    boot(true);
}

void Controller::change_setting(std::string_view line) {
    const auto equals = line.find('=');
    if (equals == std::string_view::npos) return;
    const auto number = [](std::string_view part) {
        double value = 0;
        std::from_chars(part.data(), part.data() + part.size(), value);
        return value;
    };
    const auto value = line.substr(equals + 1);
    if (line.starts_with("G54="))
        g54_ = {number(value), number(value.substr(std::min(value.size(), value.find(',') + 1)))};
    else if (const int key = static_cast<int>(number(line.substr(0, equals))); settings_.contains(key))
        settings_[key] = number(value);
}

}  // namespace chalkline::simulator
