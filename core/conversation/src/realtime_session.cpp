// SPDX-License-Identifier: GPL-3.0-or-later
// What is asked of the session, and how it sends and stops; what it hears is in realtime_replies.cpp.
#include "realtime_bytes.hpp"

#include <chalkline/conversation/contradictions.hpp>
#include <chalkline/conversation/realtime_session.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <utility>

namespace chalkline::machine {

using namespace realtime;

namespace {

std::string decimal(double value) {
    return fmt::format("{:.3f}", value);
}

}  // namespace

RealtimeSession::RealtimeSession(MachineProfile profile, double greeting_wait, std::optional<RememberedPlace> before)
    : profile_(std::move(profile)),
      greeting_wait_(greeting_wait),
      before_(std::move(before)),
      origin_(profile_.bed_origin()),
      receive_buffer_(profile_.receive_buffer),
      planner_blocks_(profile_.planner_blocks) {}

// ---------------------------------------------------------------- what happens outside

void RealtimeSession::enter(RealtimeState next) {
    state_ = std::move(next);
    now_.activity = activity_of(state_);
}

bool RealtimeSession::conversing() const {
    return !in<Closed>() && !in<Opening>() && !in<GaveUp>();
}

void RealtimeSession::opened(double now) {
    clock_ = last_byte_ = last_status_request_ = now;
    now_ = {};
    now_.connected = true;
    enter(Opening{.since = now});
    announce();
}

void RealtimeSession::received(std::string_view bytes, double now) {
    clock_ = last_byte_ = now;
    now_.silent_for = 0;
    take_transfer(bytes);
    send_next();
}

void RealtimeSession::tick(double now) {
    clock_ = now;
    if (in<Closed>() || in<GaveUp>()) return;
    tick_opening();
    tick_stopping();
    if (reset_expected_ && clock_ - reset_at_ > reset_patience) reset_expected_ = false;  // its greeting got lost
    tick_draining();
    tick_transfer();
    tick_lost_answer();
    tick_watchdog();
    // A homing controller answers nothing; asking would only pile up. Now and then shows whether its answer got lost.
    // In the middle of a transfer every byte is part of it.
    const Homing* const homing = in<Homing>();
    const bool homes = homing && !homing->found;
    const bool ask = conversing() && !transfers() && (!homes || clock_ - last_status_request_ >= asks_while_homing);
    // Nor are questions piled up on a link that stands: their answers would all be old ones.
    const bool answered = last_status_ >= last_status_request_;
    if (ask && clock_ - last_status_request_ >= (answered ? status_interval : unanswered_interval))
        send_realtime(status_request, nullptr);
    send_next();
}

void RealtimeSession::closed(const std::string& reason, double now) {
    clock_ = now;
    if (!now_.connected) return;
    now_.connected = false;
    now_.state = ControllerState::unknown;
    const Streaming* const streaming = in<Streaming>();
    const Stopping* const stopping = in<Stopping>();
    const Streamer* const sent = streaming ? streaming->streamer.get() : stopping ? stopping->sent.get() : nullptr;
    // What it was sent it may still carry out by itself.
    if (sent && now_.remembered_place)
        for (const geometry::Point place : sent->route().points())
            now_.remembered_place->ahead.push_back(profile_.counted(place) + origin_);
    const Activity ended = stopping ? stopping->stopped : now_.activity;
    enter(Closed{});
    queued_.clear();
    open_.clear();
    realtime_.clear();
    lines_out_.clear();
    now_.stored_share.reset();
    events_.push_back(event::Failed{ended, {std::string(error::link_lost), {{"reason", reason}}, {}, 0}});
    announce();
}

// ---------------------------------------------------------------- what the maker asks for

Result<void> RealtimeSession::home() {
    if (auto turns = require_no_turning_home(profile_); !turns) return turns;
    const bool knows_home = profile_.turning || profile_.home != HomeCorner::none;
    if (!knows_home || setting(22).value_or(0) == 0) return fail(error::no_homing);
    if (now_.state != ControllerState::alarm)
        if (auto free = require_free(); !free) return free;
    if (!conversing()) return fail(error::not_ready);
    if (!in<AtEase>()) return fail(error::busy);
    enter(Homing{});
    queue_command({"$H", Purpose::home});
    announce();
    return {};
}

Result<void> RealtimeSession::unlock() {
    if (!conversing()) return fail(error::not_ready);
    if (!in<AtEase>()) return fail(error::busy);
    queue_command({"$X", Purpose::unlock});
    return {};
}

Result<void> RealtimeSession::turn_laser_mode_on() {
    if (auto free = require_free(); !free) return free;
    return write_setting(32, 1);
}

Result<void> RealtimeSession::jog(geometry::Point by, Speed speed) {
    if (auto free = require_free(); !free) return free;
    if (now_.position_sure && now_.position && !now_.placed_by_hand)
        if (auto inside = require_reach(profile_, *now_.position, by); !inside) return inside;
    return jog_by(by, speed);
}

Result<void> RealtimeSession::go_to(geometry::Point place, Speed speed) {
    if (auto free = require_free(); !free) return free;
    if (!now_.position_sure || !now_.position) return fail(place_unknown(profile_));
    if (auto inside = require_on_bed(profile_, place); !inside) return inside;
    const geometry::Point by = place - *now_.position;
    if (geometry::distance(by, {}) < limit_slack) return {};
    return jog_by(by, speed);
}

Result<void> RealtimeSession::jog_on(geometry::Point way, Speed speed) {
    if (auto free = require_free(); !free) return free;
    const double size = geometry::distance(way, {});
    if (size <= 0) return {};
    way = way * (1 / size);
    double reach = blind_reach;
    if (now_.position_sure && now_.position && !now_.placed_by_hand) {
        reach = room_on_bed(profile_.bed(), *now_.position, way);
        // Rounding to the controller's three decimals must not step over the edge.
        reach = std::floor(reach * 1000) / 1000;
        if (reach <= 0) return {};
    }
    return jog_by(way * reach, speed);
}

Result<void> RealtimeSession::jog_by(geometry::Point by, Speed speed) {
    enter(Jogging{});
    const geometry::Point counted = profile_.counted(by);
    const double feed = speed.mm_per_min() * geometry::norm(counted) / geometry::norm(by);
    queue_command(
        {fmt::format("$J=G91G21X{:.3f}{}{:.3f}F{:.0f}", counted.x, profile_.y_letter(), counted.y, std::max(1.0, feed)),
         Purpose::jog});
    announce();
    return {};
}

/// The cancel overtakes every line: a jog that has not been read yet would begin after it. So it is said again when the
/// jog is known to have begun.
void RealtimeSession::cancel_jog() {
    Jogging* const jogging = in<Jogging>();
    if (!jogging) return;
    const auto jogs = [](const Command& command) { return command.purpose == Purpose::jog; };
    std::erase_if(queued_, jogs);
    jogging->cancel_wanted = std::any_of(open_.begin(), open_.end(), jogs);
    send_realtime(jog_cancel, "jog cancel");
}

Result<void> RealtimeSession::move_focus(double by) {
    if (auto free = require_free(); !free) return free;
    if (!profile_.z_axis) return fail(error::no_z_axis);
    constexpr double focus_speed = 300;  // mm/min: screws are slow
    enter(Jogging{});
    queue_command({fmt::format("$J=G91G21Z{:.3f}F{:.0f}", by, focus_speed), Purpose::jog});
    announce();
    return {};
}

Result<void> RealtimeSession::probe() {
    if (auto free = require_free(); !free) return free;
    if (!profile_.focus.probe) return fail(error::no_probe);
    constexpr double probe_speed = 60;  // mm/min: what it touches may bend
    enter(Probing{});
    queue_command({fmt::format("G91G21G38.2Z-{:.3f}F{:.0f}", profile_.focus.probe_reach, probe_speed), Purpose::plain});
    queue_command({"G90", Purpose::end_probe});
    announce();
    return {};
}

Result<void> RealtimeSession::stands_at(geometry::Point place) {
    if (auto free = require_free(); !free) return free;
    if (!machine_at_) return fail(error::not_ready);
    if (auto inside = require_on_bed(profile_, place); !inside) return inside;
    if (auto room = require_room_for_wall(); !room) return room;
    origin_ = *machine_at_ - profile_.counted(place);
    now_.position = place;
    now_.position_sure = now_.placed_by_hand = true;
    announce();
    return {};
}

/// A controller with limits of its own ($20) knows no rotary: it counts on from where it stands, and its travel may end
/// in the middle of a turn.
Result<void> RealtimeSession::require_room_for_wall() const {
    if (!profile_.turning || setting(20).value_or(0) == 0) return {};
    const geometry::Point wall = profile_.counted({profile_.width, profile_.depth}), end = *machine_at_ + wall;
    const auto beyond = [this](char axis, double by, double needed, int travel_setting) {
        const auto travel = setting(travel_setting);
        const auto code = travel && needed > *travel ? error::wall_longer_than_travel : error::wall_beyond_limits;
        return fail(code, {{"axis", std::string(1, axis)},
                           {"by", fmt::format("{:.1f}", by)},
                           {"needed", fmt::format("{:.1f}", needed)}});
    };
    if (end.x > limit_slack) return beyond('X', end.x, wall.x, 130);
    if (profile_.y_letter() == 'Y' && end.y > limit_slack) return beyond('Y', end.y, wall.y, 131);
    return {};
}

Result<void> RealtimeSession::set_profile(const MachineProfile& profile) {
    const Stopping* const stopping = in<Stopping>();
    if (in<Streaming>() || in<Homing>() || (stopping && stopping->sent)) return fail(error::not_while_working);
    const bool other_axis =
        profile.turning.has_value() != profile_.turning.has_value() || profile.y_letter() != profile_.y_letter();
    const bool other_bed = profile.bed_origin() != profile_.bed_origin();
    profile_ = profile;
    // The seam of a piece stays where it was said to be, also when its diameter is corrected.
    if (other_axis) {
        forget_place();
        machine_at_.reset();
        offsets_.clear();
        if (conversing()) send_realtime(status_request, nullptr);
    }
    // What was found after homing holds as long as the bed is the same.
    if (!now_.placed_by_hand && (other_axis || other_bed)) origin_ = homed_origin(profile_.zero_at_home);
    // The head stands where it stood, and that is another place of the bed now.
    const std::optional<geometry::Point> was = now_.position;
    if (machine_at_) now_.position = profile_.surface(*machine_at_ - origin_);
    if (other_axis || now_.position != was) announce();
    return {};
}

/// The three lines go out together, so that no trouble on the link can fall between the beam and its end.
Result<void> RealtimeSession::pulse(Power power, Duration time) {
    if (auto free = require_free(); !free) return free;
    if (setting(32).value_or(0) == 0) return fail(error::laser_mode_off);
    const double share = std::clamp(power.percent(), 0.0, strongest_pulse.percent()) / 100;
    const double seconds = std::clamp(time.seconds(), 0.0, longest_pulse.seconds());
    const double full = setting(30).value_or(profile_.full_power_s);
    enter(Pulsing{});
    for (Command command :
         {Command{fmt::format("G1F100M3S{:.0f}", share * full), Purpose::plain},
          Command{fmt::format("G4P{:.3f}", seconds), Purpose::plain}, Command{"M5S0", Purpose::end_pulse}}) {
        lines_out_ += command.text + "\n";
        events_.push_back(event::Wire{true, command.text});
        open_.push_back(std::move(command));
    }
    announce();
    return {};
}

Result<void> RealtimeSession::release_motors() {
    if (auto free = require_free(); !free) return free;
    queue_command({"$SLP", Purpose::plain});
    forget_place();
    announce();
    return {};
}

void RealtimeSession::wake() {
    if (!now_.connected || now_.state != ControllerState::sleep) return;
    expect_reset();
}

Result<void> RealtimeSession::write_setting(int number, double value) {
    if (!conversing()) return fail(error::not_ready);
    if (!in<AtEase>()) return fail(error::not_while_working);
    queue_command({fmt::format("${}={}", number, value), Purpose::write_setting, number, value});
    return {};
}

Result<void> RealtimeSession::send_line(const std::string& text) {
    if (!conversing()) return fail(error::not_ready);
    if (!in<AtEase>()) return fail(error::not_while_working);
    if (!is_plain_line(text)) return fail(error::bad_line, {{"text", text}});
    const bool asks = text == "$" || text == "$$" || text == "$I" || text == "$G" || text == "$#" || text == "$N";
    queue_command({text, asks ? Purpose::plain : Purpose::typed});
    return {};
}

Result<void> RealtimeSession::frame(const clearance::ClearedProgram& program) {
    return start(Activity::framing, program, {});
}

Result<void> RealtimeSession::burn(const clearance::ClearedProgram& program, const Trims& trims) {
    if (auto free = require_free(); !free) return free;
    if (auto set = require_settings(); !set) return set;
    return start(Activity::burning, program, trims);
}

/// What the controller has to be set to before a beam may be asked for.
Result<void> RealtimeSession::require_settings() const {
    if (setting(32).value_or(0) == 0) return fail(error::laser_mode_off);
    if (const double scale = setting(30).value_or(profile_.full_power_s); scale != profile_.full_power_s)
        return fail(error::full_power_differs,
                    {{"controller", fmt::format("{:g}", scale)}, {"profile", std::to_string(profile_.full_power_s)}});
    return {};
}

Result<void> RealtimeSession::trim(int speed, int power) {
    if (!conversing()) return fail(error::not_ready);
    Trim wanted{std::clamp(speed, least_trim, most_trim), std::clamp(power, least_trim, most_trim)};
    if (const Streaming* const streaming = in<Streaming>()) {
        const std::int32_t step = streaming->streamer->step();
        if (step >= 0) wanted.power = std::min(wanted.power, streaming->program.most_power(step));
        now_.trims[step] = wanted;
    }
    now_.power_at_board.reset();
    send_trim(wanted);
    announce();
    return {};
}

/// Steps of ten, then of one, from where it stands: never by way of 100 %, which could be brighter than either.
void RealtimeSession::send_trim(Trim wanted) {
    const auto step = [this](int& from, int to, char ten_up, const char* shown) {
        if (from == to) return;
        for (; from + 10 <= to; from += 10)
            send_realtime(ten_up, nullptr);
        for (; from - 10 >= to; from -= 10)
            send_realtime(static_cast<char>(ten_up + 1), nullptr);
        for (; from < to; ++from)
            send_realtime(static_cast<char>(ten_up + 2), nullptr);
        for (; from > to; --from)
            send_realtime(static_cast<char>(ten_up + 3), nullptr);
        events_.push_back(event::Wire{true, fmt::format("{} {} %", shown, to)});
    };
    asked_trim_ = wanted;
    trim_asked_at_ = clock_;
    step(now_.speed_trim, wanted.speed, speed_ten_up, "speed override");
    step(now_.power_trim, wanted.power, power_ten_up, "power override");
}

void RealtimeSession::hold() {
    if (now_.connected) send_realtime(feed_hold, "!");
}

void RealtimeSession::resume() {
    if (!in<Closed>() && !in<Stopping>()) send_realtime(cycle_start, "~");
}

void RealtimeSession::stop() {
    if (conversing()) begin_stop({});
    // What it was found at: held, it comes to rest and is reset.
    const Opening* const opening = in<Opening>();
    if (opening && opening->phase == Opening::Phase::at_work) send_realtime(feed_hold, "!");
}

std::string RealtimeSession::take_output() {
    std::string out = std::exchange(realtime_, {});
    out += std::exchange(lines_out_, {});
    return out;
}

std::vector<Event> RealtimeSession::take_events() {
    return std::exchange(events_, {});
}

std::optional<double> RealtimeSession::setting(int number) const {
    const auto found = settings_.find(number);
    return found == settings_.end() ? std::nullopt : std::optional(found->second);
}

// ---------------------------------------------------------------- running

Result<void> RealtimeSession::require_free() const {
    if (!conversing()) return fail(error::not_ready);
    if (now_.state == ControllerState::alarm) return fail(error::locked);
    // What is typed may change all that the next act rests on, until its answer is there.
    const auto typed = [](const Command& command) { return command.purpose == Purpose::typed; };
    const bool waits =
        std::any_of(open_.begin(), open_.end(), typed) || std::any_of(queued_.begin(), queued_.end(), typed);
    if (!in<AtEase>() || now_.state != ControllerState::idle || waits)
        return fail(error::busy, {{"state", std::string(to_text(now_.state))}});
    return {};
}

Result<void> RealtimeSession::start(Activity activity, const clearance::ClearedProgram& program, const Trims& trims) {
    if (auto free = require_free(); !free) return free;
    if (auto right = require_cleared_for(program, profile_); !right) return right;
    if (!now_.position_sure || !now_.position) return fail(place_unknown(profile_));
    if (auto agreed = require_no_contradiction(profile_, facts()); !agreed) return agreed;
    if (activity == Activity::burning) queue_command({"$$", Purpose::program_settings});
    queue_command({"$#", Purpose::program_origin});
    origin_tries_ = 0;
    program_overrides();
    auto streamer = std::make_unique<Streamer>(program.lines(), receive_buffer_, planner_blocks_);
    streamer->begin_at(*now_.position);
    enter(Streaming{.activity = activity, .program = program, .streamer = std::move(streamer)});
    now_.lines_done = now_.chatter = 0;
    now_.done = now_.begun = {};
    now_.step = -1;
    now_.trims = program.within_limits(trims);
    announce();
    send_next();
    return {};
}

/// At rest the way by 100 % harms nobody, and it is sure whatever was reported late. What somebody turned down at the
/// machine itself stays so.
void RealtimeSession::program_overrides() {
    if (now_.speed_trim != 100) send_realtime(speed_as_programmed, nullptr);
    if (now_.power_trim != 100 && !now_.power_at_board) send_realtime(power_as_programmed, nullptr);
    now_.speed_trim = 100;
    now_.power_trim = now_.power_at_board.value_or(100);
    asked_trim_ = {now_.speed_trim, now_.power_trim};
    trim_asked_at_ = clock_;
}

/// True when more can be sent now. A step with another trim comes in when the one before is burned to its end.
bool RealtimeSession::let_next_step_in(Streaming& streaming) {
    Streamer& streamer = *streaming.streamer;
    const auto step = streamer.step_at_the_door();
    if (!step) return false;
    // Trimmed before the first step began: that step is meant.
    if (streamer.step() < 0)
        if (const auto early = now_.trims.extract(-1); !early.empty()) now_.trims[*step] = early.mapped();
    const auto found = now_.trims.find(*step);
    Trim wanted = found == now_.trims.end() ? Trim{} : found->second;
    wanted.power = std::min(wanted.power, streaming.program.most_power(*step));
    if (now_.power_at_board) wanted.power = std::min(wanted.power, *now_.power_at_board);
    if (wanted != Trim{now_.speed_trim, now_.power_trim}) {
        const bool drained =
            streamer.open_bytes() == 0 && now_.state == ControllerState::idle && last_status_ > last_line_;
        if (!drained) return false;
        send_trim(wanted);
    }
    streamer.let_in(*step);
    now_.step = *step;
    return true;
}

/// The program speaks in bed coordinates: make the controller's first work offset say so. Written only when it
/// differs, because the controller keeps it in memory that wears, and read back: a garbled digit in it would move the
/// whole burn.
void RealtimeSession::place_bed_origin() {
    // Half of the last place that it states: a thousandth of a millimetre, or a ten-thousandth of an inch.
    const double last_place = unit() == 1 ? 0.001 : 25.4e-4;
    const auto differs = [&](const char* name, geometry::Point wanted) {
        const auto found = offsets_.find(name);
        if (found == offsets_.end()) return true;
        const geometry::Point by = found->second - wanted;
        return std::max(std::abs(by.x), std::abs(by.y)) > last_place / 2 + 1e-6;
    };
    const bool moved = differs("G54", origin_), shifted = offsets_.contains("G92") && differs("G92", {});
    if (!moved && !shifted) return;
    constexpr int most_tries = 3;
    if (++origin_tries_ > most_tries) {
        queued_.clear();
        return fail_activity({std::string(error::origin_not_taken), {}, {}, 0});
    }
    // Its own words for unit and distance: a start-up line of the maker's may have set others.
    if (moved)
        queue_command(
            {"G21G90G10L2P1X" + decimal(origin_.x) + profile_.y_letter() + decimal(origin_.y), Purpose::plain});
    if (shifted) queue_command({"G92.1", Purpose::plain});
    queue_command({"$#", Purpose::program_origin});
}

void RealtimeSession::finish_if_at_rest() {
    if (now_.state != ControllerState::idle || !queued_.empty() || !open_.empty()) return;
    const Streaming* const streaming = in<Streaming>();
    const bool streamed = streaming && streaming->streamer->complete();
    const bool ran = card_runs() && !now_.stored_share && in<AtCard>()->seen_running;
    if (!in<Jogging>() && !streamed && !ran) return;
    const bool burned = now_.activity == Activity::burning;
    // All is sent, but what was seen of it last was dark beyond chance: nobody may call that burned.
    constexpr double chance = 1e-4;
    if (streamed && burned && streaming->odds_of_dark < chance)
        return fail_activity({std::string(error::beam_taken), {}, {}, 0});
    if (streamed) now_.lines_done = streaming->streamer->acknowledged();
    finish_activity();
    if (burned) go_to_rest(profile_.own_lines.at_end);
}

void RealtimeSession::finish_activity() {
    const Activity done = now_.activity;
    enter(AtEase{});
    now_.stored_share.reset();
    events_.push_back(event::Finished{done});
}

/// What the maker has done after finding home and after a job: lines of their own, then the head out of the way.
void RealtimeSession::go_to_rest(const std::vector<std::string>& own_lines) {
    for (const std::string& line : own_lines)
        queue_command({line, Purpose::plain});
    if (!profile_.rest || !profile_.bed().contains(*profile_.rest) || now_.placed_by_hand) return;
    const geometry::Point rest = *profile_.rest + origin_;
    enter(Jogging{});
    queue_command({fmt::format("$J=G53G90G21X{:.3f}Y{:.3f}F{:.0f}", rest.x, rest.y, profile_.top_speed().mm_per_min()),
                   Purpose::jog});
    announce();
}

void RealtimeSession::forget_place() {
    now_.position_sure = now_.placed_by_hand = false;
    if (Homing* const homing = in<Homing>()) homing->found = false;
}

/// Most builds count from −travel to 0; some put 0 where home is, and then count upwards from a near or left home.
void RealtimeSession::find_origin_after_homing(geometry::Point machine) {
    const geometry::Point usual = homed_origin(false);
    const bool zero =
        (profile_.home_is_left() && machine.x > usual.x / 2) || (profile_.home_is_near() && machine.y > usual.y / 2);
    if (profile_.home_is_left() || profile_.home_is_near()) now_.zero_at_home = zero;
    origin_ = homed_origin(zero);
}

/// Machine coordinates of the bed's 0, 0 on a machine that found home. From a left or near home the bed begins there,
/// however far the controller's travel goes beyond it.
geometry::Point RealtimeSession::homed_origin(bool zero_at_home) const {
    if (profile_.home == HomeCorner::none) return profile_.bed_origin();
    geometry::Point origin{-profile_.width, -profile_.depth};
    const auto travel = [this](int number, double bed) {
        const auto stated = setting(number);
        return stated && *stated > 0 ? *stated : bed;
    };
    if (profile_.home_is_left()) origin.x = zero_at_home ? 0 : -travel(130, profile_.width);
    if (profile_.home_is_near()) origin.y = zero_at_home ? 0 : -travel(131, profile_.depth);
    return origin;
}

/// What the controller says of its place when the conversation begins is believed only where it goes on from what was
/// known: it did not restart, is not locked, and counts a place that the last one leads to. A board that was switched
/// on meanwhile counts 0, 0, which therefore proves nothing but where home itself is there.
void RealtimeSession::settle_place(const Opening& opening) {
    forget_place();
    origin_ = homed_origin(profile_.zero_at_home);
    const bool stood_at_zero = before_ && before_->homed && before_->machine == geometry::Point{};
    const bool counts_from_start = machine_at_ == geometry::Point{} && !stood_at_zero;
    const bool continued = before_ && machine_at_ && !opening.restarted && !opening.slept && !counts_from_start &&
                           now_.state == ControllerState::idle && !profile_.turning && before_->leads_to(*machine_at_);
    if (continued) {
        origin_ = before_->origin;
        now_.position_sure = now_.place_continued = true;
        now_.placed_by_hand = !before_->homed;
    }
    if (machine_at_) now_.position = profile_.surface(*machine_at_ - origin_);
}

/// Sends no more of the program until it is clear whether all that was sent was answered. A beam that burns on at rest
/// allows no such pause.
void RealtimeSession::drain(Error why) {
    Streaming* const streaming = in<Streaming>();
    if (!streaming || streaming->draining) return;
    if (streaming->streamer->may_stand_lit()) return begin_stop(std::move(why));
    streaming->draining = std::move(why);
}

/// All that was sent is answered and done: the program goes on.
void RealtimeSession::tick_draining() {
    Streaming* const streaming = in<Streaming>();
    if (!streaming || !streaming->draining || streaming->streamer->open_bytes() > 0) return;
    if (now_.state == ControllerState::idle && last_status_ > last_line_) streaming->draining.reset();
}

/// A controller that is idle has done all it got: an answer that is still open will not come any more.
void RealtimeSession::tick_lost_answer() {
    Streaming* const streaming = in<Streaming>();
    Streamer* const streamer = streaming ? streaming->streamer.get() : nullptr;
    const bool homes = in<Homing>() != nullptr;
    const bool owing = !open_.empty() || (streamer && streamer->open_bytes() > 0);
    const bool rests = now_.state == ControllerState::idle || (homes && now_.state == ControllerState::alarm);
    if (!owing || !conversing() || in<Stopping>() || !rests) return;
    const double patience = homes ? asks_while_homing : answer_patience + (streamer ? streamer->open_dwell() : 0);
    if (last_status_ < last_line_ + patience) return;
    const Error lost{std::string(error::answer_lost), {}, {}, 0};
    if (!open_.empty()) {
        // What was typed may have been carried out.
        if (open_.front().purpose == Purpose::typed) forget_place();
        open_.clear();
        queued_.clear();
        return fail_activity(lost);
    }
    if (streaming->draining) return begin_stop(streaming->draining);
    const auto end = streamer->route().end();
    const bool arrived = end && now_.position && geometry::distance(*end, *now_.position) < 10 * limit_slack;
    // The head followed the program to its end: what got lost was an answer, not a line.
    if (!streamer->all_sent() || !arrived) return begin_stop(lost);
    while (streamer->answered()) {
    }
    finish_if_at_rest();
}

void RealtimeSession::tick_watchdog() {
    // A locked controller that hears nothing but a reset, and never got the one it was sent.
    constexpr double deaf_for = 4;  // s
    const bool locked = now_.state == ControllerState::alarm && in<AtEase>();
    if (locked && clock_ - std::max(last_byte_, reset_at_) > deaf_for) expect_reset();
    const bool expecting = conversing() && !in<AtEase>() && !in<Homing>();
    const double silent = clock_ - last_byte_;
    if (!expecting || silent < silence_limit) return;
    now_.silent_for = silent;
    announce();
}

/// What was under way is over; an opening goes on.
void RealtimeSession::fail_activity(Error error) {
    const Activity failed = now_.activity;
    if (!in<Opening>()) enter(AtEase{});
    now_.stored_share.reset();
    events_.push_back(event::Failed{failed, std::move(error)});
    announce();
}

// ---------------------------------------------------------------- stopping

void RealtimeSession::begin_stop(std::optional<Error> because) {
    if (in<Stopping>()) return;
    if (transfers()) {
        const std::string cancel = in<AtCard>()->transfer->cancel();
        realtime_ += cancel;
        resets_open_ += static_cast<int>(cancel.size());
    }
    queued_.clear();
    lines_out_.clear();
    const bool homing = in<Homing>() != nullptr;
    Stopping stopping{.since = clock_, .stopped = now_.activity, .because = std::move(because)};
    if (Streaming* const streaming = in<Streaming>()) stopping.sent = std::move(streaming->streamer);
    enter(std::move(stopping));
    send_realtime(feed_hold, "!");
    // A homing controller does not hold; it only listens to a reset.
    if (homing) return reset_controller();
    send_realtime(status_request, nullptr);
    announce();
}

void RealtimeSession::tick_stopping() {
    const Stopping* const stopping = in<Stopping>();
    if (!stopping) return;
    const double waited = clock_ - stopping->since;
    if (stopping->phase == Stopping::Phase::holding) {
        if (waited > hold_wait) reset_controller();
    } else if (waited > reset_patience) {
        end_stop(false);
    }
}

void RealtimeSession::reset_controller() {
    Stopping& stopping = *in<Stopping>();
    stopping.phase = Stopping::Phase::resetting;
    stopping.since = clock_;
    stopping.sent.reset();
    open_.clear();
    expect_reset();
}

/// Nothing is sent until the controller greets: what a reset finds in its buffer is lost.
void RealtimeSession::expect_reset() {
    reset_expected_ = true;
    reset_at_ = clock_;
    send_realtime(soft_reset, "reset");
}

/// `answered`: a status came after the reset, so that the beam's state is known.
void RealtimeSession::end_stop(bool answered) {
    Stopping ended = std::move(*in<Stopping>());
    enter(AtEase{});
    now_.stored_share.reset();
    const bool beam_off = answered && now_.power == 0 && now_.accessories.find_first_of("SC") == std::string::npos;
    if (!ended.came_to_rest || !answered) forget_place();
    if (ended.because)
        events_.push_back(event::Failed{ended.stopped, std::move(*ended.because)});
    else
        events_.push_back(event::Stopped{ended.stopped, now_.position_sure, beam_off});
    announce();
}

// ---------------------------------------------------------------- sending

void RealtimeSession::queue_command(Command command) {
    queued_.push_back(std::move(command));
    send_next();
}

/// Commands go one at a time, each waiting for its answer; program lines follow when no command is open.
void RealtimeSession::send_next() {
    if (in<Closed>() || in<Stopping>() || !open_.empty() || reset_expected_) return;
    if (!queued_.empty()) {
        open_.push_back(std::move(queued_.front()));
        queued_.pop_front();
        lines_out_ += open_.back().text + "\n";
        last_line_ = clock_;
        events_.push_back(event::Wire{true, open_.back().text});
        return;
    }
    Streaming* const streaming = in<Streaming>();
    if (!streaming || streaming->draining) return;
    Streamer& streamer = *streaming->streamer;
    const std::size_t before = lines_out_.size();
    do
        streamer.feed(lines_out_);
    while (let_next_step_in(*streaming));
    if (!streamer.intact()) return begin_stop(Error{std::string(error::lines_changed), {}, {}, 0});
    now_.begun = streamer.begun();
    if (lines_out_.size() > before) last_line_ = clock_;
    for (std::size_t at = before; at < lines_out_.size();) {
        const auto end = lines_out_.find('\n', at);
        events_.push_back(event::Wire{true, lines_out_.substr(at, end - at)});
        at = end + 1;
    }
}

void RealtimeSession::send_realtime(char byte, const char* shown) {
    realtime_ += byte;
    if (byte == status_request) last_status_request_ = clock_;
    if (byte == soft_reset) {
        ++resets_open_;
        reset_at_ = clock_;
    }
    if (shown) events_.push_back(event::Wire{true, shown});
}

void RealtimeSession::announce() {
    if (const auto laser_mode = setting(32)) now_.laser_mode = *laser_mode != 0;
    if (now_.connected) {
        now_.remembered_place.reset();
        if (now_.position_sure && machine_at_ && !profile_.turning)
            now_.remembered_place = RememberedPlace{*machine_at_, origin_, !now_.placed_by_hand};
    }
    if (!now_.settings || *now_.settings != settings_)
        now_.settings = std::make_shared<const std::map<int, double>>(settings_);
    events_.push_back(event::Changed{now_});
}

}  // namespace chalkline::machine
