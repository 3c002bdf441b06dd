// SPDX-License-Identifier: GPL-3.0-or-later
// What the lines mean that the simulated controller gets: system commands, jogs and G-code.
#include <chalkline/simulator/controller.hpp>

#include <fmt/format.h>

#include <charconv>
#include <cmath>
#include <numbers>
#include <utility>

namespace chalkline::simulator {
namespace {

using geometry::Point;

// Numbers of the public interface.
constexpr int expected_letter = 1, bad_number = 2, bad_system_command = 3, homing_disabled = 5, not_idle = 8,
              locked = 9, line_overflow = 11, travel_exceeded = 15, bad_jog = 16, unsupported = 20, feed_undefined = 22,
              repeated_word = 25, no_such_file = 64, no_axis_words = 26, bad_target = 33, no_arc_offsets = 35,
              value_missing = 28;
constexpr std::size_t longest_line = 79;

/// As builds that describe their settings do it.
std::string description_of(int number) {
    static const std::map<int, const char*> words{{0, "step pulse, usec"},
                                                  {1, "step idle delay, msec"},
                                                  {10, "status report mask:00000001"},
                                                  {11, "junction deviation, mm"},
                                                  {13, "report inches, bool"},
                                                  {20, "soft limits, bool"},
                                                  {22, "homing cycle, bool"},
                                                  {23, "homing dir invert mask:00000011"},
                                                  {27, "homing pull-off, mm"},
                                                  {30, "rpm max"},
                                                  {31, "rpm min"},
                                                  {32, "laser, bool"},
                                                  {110, "x max rate, mm/min"},
                                                  {120, "x accel, mm/sec^2"},
                                                  {130, "x max travel, mm"}};
    const auto found = words.find(number);
    return std::string(" (") + (found == words.end() ? "set=1; see manual" : found->second) + ")";
}

std::string filled_in(std::string text, const machine::MachineProfile& profile) {
    const auto put = [&](std::string_view mark, int value) {
        if (const auto at = text.find(mark); at != std::string::npos)
            text.replace(at, mark.size(), std::to_string(value));
    };
    put("{blocks}", profile.planner_blocks);
    put("{buffer}", profile.receive_buffer);
    return text;
}

}  // namespace

/// One block of G-code taken apart.
struct Controller::Words {
    std::vector<int> g, m;  ///< tenths: G91.1 is 911
    std::map<char, double> values;
    int problem = 0;

    explicit Words(const std::string& line) {
        const char* at = line.data();
        const char* const end = at + line.size();
        while (at < end) {
            const char letter = *at++;
            if (letter < 'A' || letter > 'Z') {
                problem = expected_letter;
                return;
            }
            double value = 0;
            if (at < end && *at == '+') ++at;
            const auto [next, failed] = std::from_chars(at, end, value, std::chars_format::fixed);
            if (failed != std::errc()) {
                problem = bad_number;
                return;
            }
            at = next;
            if (letter == 'G' || letter == 'M')
                (letter == 'G' ? g : m).push_back(static_cast<int>(std::lround(value * 10)));
            else if (!values.emplace(letter, value).second)
                problem = repeated_word;
        }
    }
    std::optional<double> value(char letter) const {
        const auto found = values.find(letter);
        return found == values.end() ? std::nullopt : std::optional(found->second);
    }
    bool moves() const {
        return values.contains('X') || values.contains('Y') || values.contains('Z') || values.contains('A');
    }
};

/// Takes lines out of the receive buffer and carries them out until one has to wait.
void Controller::work() {
    while (state_ != State::home && dwell_left_ == 0) {
        while (!arc_.empty() && !motion_.full()) {
            const Block piece = arc_.front();
            arc_.pop_front();
            motion_.add(piece.to, piece.programmed, piece.power, piece.beam, piece.rapid, piece.jog);
        }
        if (!arc_.empty()) return;
        if (waiting_.empty() && !take_next_line()) return;
        if (waiting_.empty()) continue;
        const std::string line = waiting_.front();
        if (!try_line(line)) return;
        if (!waiting_.empty()) waiting_.pop_front();
    }
}

/// Puts the next line into `waiting_`, from the card while that runs; false when there is none.
bool Controller::take_next_line() {
    std::string text;
    if (from_store_ = store_.runs(); from_store_) {
        const auto next = store_.next_line();
        if (!next) {
            from_store_ = false;
            reply("[MSG:INFO: file job finished]");
            return true;
        }
        text = *next;
    } else {
        const auto end = buffer_.find_first_of("\n\r");
        if (end == std::string::npos) return false;
        text = buffer_.substr(0, end);
        buffer_.erase(0, end + 1);
    }
    std::string line;
    bool comment = false;
    for (const char c : text) {
        if (c == ';') break;
        if (c == '(') comment = true;
        if (!comment && c != ' ' && c != '\t') line += c >= 'a' && c <= 'z' ? static_cast<char>(c - 32) : c;
        if (c == ')') comment = false;
    }
    // A carriage return before the line feed is no line of its own.
    if (!from_store_ && !buffer_.empty() && buffer_[0] == '\n' && line.empty()) return true;
    ++report_.lines;
    waiting_.push_back(std::move(line));
    return true;
}

/// Carries a line out and answers it; false when it has to wait for the planner.
bool Controller::try_line(const std::string& line) {
    if (line.size() > longest_line) {
        fault(line_overflow, line);
        return true;
    }
    if (line.empty()) {
        reply("ok");
        return true;
    }
    if (line[0] == '$') return system_line(line);
    if (state_ == State::alarm || state_ == State::jog) {
        fault(locked, line);
        return true;
    }
    return code_line(line);
}

void Controller::fault(int number, const std::string& line) {
    if (report_.errors.size() < 100) report_.errors.push_back("error:" + std::to_string(number) + " in " + line);
    reply("error:" + std::to_string(number));
    if (std::exchange(from_store_, false)) store_.close();
}

// ---------------------------------------------------------------- system commands

bool Controller::system_line(const std::string& line) {
    const bool resting = state_ == State::idle || state_ == State::alarm;
    if (line.starts_with("$J=")) return jog_line(line);
    if (!motion_.empty()) return state_ == State::alarm;  // all others wait until the head stands
    if (line == "$") {
        reply("[HLP:$$ $# $G $I $N $x=val $J=line $SLP $C $X $H ~ ! ? ctrl-x]");
    } else if (line == "$N") {
        for (std::size_t i = 0; i < 2; ++i)
            reply(fmt::format("$N{}={}", i, i < board_.startup_lines.size() ? board_.startup_lines[i] : ""));
    } else if (line.starts_with("$N0=") || line.starts_with("$N1=")) {
        const std::size_t which = line[2] == '1' ? 1 : 0;
        board_.startup_lines.resize(std::max(board_.startup_lines.size(), which + 1));
        board_.startup_lines[which] = line.substr(4);
    } else if (line == "$$") {
        print_settings();
    } else if (line == "$#") {
        print_offsets();
    } else if (line == "$G") {
        reply(fmt::format("[GC:G{} G54 G17 G{} G{} G94 M{} M{} T0 F{:.0f} S{:.0f}]", motion_mode_, unit_ == 1 ? 21 : 20,
                          absolute_ ? 90 : 91,
                          beam_ == BeamMode::off        ? 5
                          : beam_ == BeamMode::constant ? 3
                                                        : 4,
                          flood_  ? 8
                          : mist_ ? 7
                                  : 9,
                          feed_, power_word_));
    } else if (line == "$I") {
        for (const std::string& info : board_.build_info)
            reply(filled_in(info, profile_));
    } else if (line == "$X") {
        if (state_ == State::alarm) {
            reply("[MSG:Caution: Unlocked]");
            state_ = State::idle;
        }
    } else if (line == "$H") {
        if (setting(22) == 0) {
            fault(homing_disabled, line);
            return true;
        }
        start_homing();
        return true;  // answered when home is found
    } else if (line == "$C") {
        if (state_ == State::check) {
            soft_reset();
            return true;
        }
        if (!resting) {
            fault(not_idle, line);
            return true;
        }
        state_ = State::check;
        reply("[MSG:Enabled]");
    } else if (store_line(line)) {
        return true;
    } else if (line == "$SLP") {
        reply("ok");
        beam_ = BeamMode::off;
        state_ = State::sleep;
        return true;
    } else {
        system_setting(line);
        return true;
    }
    reply("ok");
    return true;
}

/// What boards with a card answer; false when this is none of their lines.
bool Controller::store_line(const std::string& line) {
    const bool path = board_.store == StoreWords::path, brief = board_.store == StoreWords::brief;
    const auto named = [&line](std::string_view words) -> std::optional<std::string> {
        if (!line.starts_with(words)) return {};
        std::string name = line.substr(words.size());
        while (name.starts_with('/'))
            name.erase(0, 1);
        return name;
    };
    const auto done_if = [&](bool done) {
        done ? reply("ok") : fault(no_such_file, line);
        return true;
    };
    if ((path && line == "$SD/LIST") || (brief && line == "$F")) {
        for (const auto& [name, text] : store_.files())
            reply(fmt::format("[FILE:{}{}|SIZE:{}]", brief ? "/" : " ", name, text.size()));
        if (path) reply("[SD Free:1.2 GB Used:3.4 MB Total:1.2 GB]");
        return done_if(true);
    }
    if (const auto name = named(path ? "$SD/DELETE=" : "$FD="); name && (path || brief))
        return done_if(store_.remove(*name));
    if (const auto name = named(path ? "$SD/RUN=" : "$F="); name && (path || brief)) {
        if (state_ != State::idle) return done_if(false);
        return done_if(store_.open(*name));
    }
    if (const auto name = named("$XMODEM/RECEIVE="); name && path) {
        transfer_ = Transfer{*name, XmodemReceiver(now_)};
        return true;
    }
    return false;
}

void Controller::system_setting(const std::string& line) {
    const auto equals = line.find('=');
    int number = 0;
    double value = 0;
    const bool readable = equals != std::string::npos &&
                          std::from_chars(line.data() + 1, line.data() + equals, number).ec == std::errc() &&
                          std::from_chars(line.data() + equals + 1, line.data() + line.size(), value).ec == std::errc();
    if (!readable || !settings_.contains(number)) return fault(bad_system_command, line);
    if (value < 0) return fault(4, line);
    settings_[number] = value;
    motion_.set_limits(axis_limits());
    reply("ok");
}

void Controller::print_settings() {
    for (const auto& [number, value] : settings_) {
        const bool decimal =
            number == 11 || number == 12 || number == 27 || number >= 100 || number == 24 || number == 25;
        std::string text = fmt::format(fmt::runtime(decimal ? "{:.3f}" : "{:.0f}"), value);
        if (board_.setting_style == SettingStyle::decimal) text = fmt::format("{:.3f}", value);
        if (board_.setting_style == SettingStyle::terse) {
            text = fmt::format("{:g}", value);
            text = text.starts_with("0.") ? text.substr(1) : "+" + text;
        }
        if (board_.setting_style == SettingStyle::described) text += description_of(number);
        reply(fmt::format("${}={}", number, text));
    }
}

void Controller::print_offsets() {
    const auto offset = [this](const char* name, Point at) { reply(fmt::format("[{}:{}]", name, places(at, 0, 0))); };
    offset("G54", g54_);
    for (const char* name : {"G55", "G56", "G57", "G58", "G59", "G28", "G30"})
        offset(name, {});
    offset("G92", g92_);
}

bool Controller::jog_line(const std::string& line) {
    if (state_ != State::idle && state_ != State::jog) {
        fault(state_ == State::alarm ? locked : not_idle, line);
        return true;
    }
    if (motion_.full()) return false;
    const Words words(line.substr(3));
    int problem = words.problem;
    if (problem == 0 && !words.moves()) problem = no_axis_words;
    if (problem == 0 && !words.value('F')) problem = feed_undefined;
    for (const int code : words.g)
        if (code != 200 && code != 210 && code != 900 && code != 910 && code != 530) problem = bad_jog;
    if (!words.m.empty() || words.value('S')) problem = bad_jog;
    if (problem == 0) problem = apply(words, true);
    problem == 0 ? reply("ok") : fault(problem, line);
    return true;
}

// ---------------------------------------------------------------- G-code

bool Controller::code_line(const std::string& line) {
    if (motion_.full()) return false;
    const Words words(line);
    const auto has = [](const std::vector<int>& list, int code) {
        return std::find(list.begin(), list.end(), code) != list.end();
    };
    // What changes the beam's mode, dwells or ends the program first lets the planner run empty.
    const bool beam_changes = has(words.m, 30) || has(words.m, 40) || has(words.m, 50);
    const bool waits = has(words.g, 40) || has(words.m, 20) || has(words.m, 300) || has(words.m, 0) ||
                       has(words.g, 100) || has(words.g, 920) || beam_changes || has(words.m, 70) || has(words.m, 80) ||
                       has(words.m, 90) || (!laser_mode() && words.value('S'));
    if (waits && !motion_.empty()) return false;
    if (waits) dry_since_.reset();  // the planner was emptied on purpose
    if (state_ == State::check) {
        words.problem == 0 ? reply("ok") : fault(words.problem, line);
        return true;
    }
    const int problem = words.problem != 0 ? words.problem : apply(words, false);
    if (state_ == State::alarm) return true;
    problem == 0 ? reply("ok") : fault(problem, line);
    return true;
}

/// Modal words first, then what moves. Returns the number of an error, 0 for none.
int Controller::apply(const Words& words, bool jog) {
    const bool was_absolute = absolute_;
    const double was_unit = unit_;
    bool dwell = false, probing = false, offsets = false, offsets_away = false, program_end = false;
    for (const int code : words.g) {
        switch (code) {
            case 0:
            case 10:
            case 20:
            case 30:
                motion_mode_ = code / 10;
                break;
            case 40:
                dwell = true;
                break;
            case 100:
            case 920:
                offsets = true;
                break;
            case 921:
                offsets_away = true;
                break;
            case 382:
                probing = true;
                break;
            case 170:
            case 400:
            case 490:
            case 530:
            case 540:
            case 610:
            case 800:
            case 911:
            case 940:
                break;
            case 200:
                unit_ = 25.4;
                break;
            case 210:
                unit_ = 1;
                break;
            case 900:
                absolute_ = true;
                break;
            case 910:
                absolute_ = false;
                break;
            default:
                return unsupported;
        }
    }
    for (const int code : words.m) {
        switch (code) {
            case 0:
                break;
            case 20:
            case 300:
                program_end = true;
                break;
            case 30:
                beam_ = BeamMode::constant;
                break;
            case 40:
                beam_ = BeamMode::following;
                break;
            case 50:
                beam_ = BeamMode::off;
                mid_program_ = false;
                break;
            case 70:
                mist_ = true;
                break;
            case 80:
                flood_ = true;
                break;
            case 90:
                flood_ = mist_ = false;
                break;
            default:
                return unsupported;
        }
    }
    for (const auto& [letter, value] : words.values) {
        (void)value;
        const bool known = std::string_view("XYZIJFSPLNT").find(letter) != std::string_view::npos;
        const bool fourth = letter == 'A' && profile_.rotary.axis == machine::RotaryAxis::fourth;
        if (!known && !fourth) return unsupported;
    }
    const auto feed = words.value('F');
    if (feed && *feed < 0) return 4;
    if (feed && !jog) feed_ = *feed * unit_;
    if (const auto power = words.value('S')) power_word_ = std::min(*power, setting(30));
    if (beam_ == BeamMode::off && power_word_ > 0 && words.value('S')) violation("power stated while the beam is off");

    int problem = 0;
    if (dwell) {
        const auto time = words.value('P');
        if (!time) return value_missing;
        dwell_left_ = *time;
    } else if (offsets) {
        problem = apply_offset(words);
    } else if (offsets_away) {
        g92_ = {};
        reports_to_offset_ = 0;
    } else if (probing) {
        apply_probe(words);
    } else if (words.moves()) {
        apply_height(words);
        problem = apply_motion(words, jog);
    }
    if (program_end) {
        beam_ = BeamMode::off;
        flood_ = mist_ = mid_program_ = false;
    }
    if (jog) {
        absolute_ = was_absolute;
        unit_ = was_unit;
    }
    return problem;
}

int Controller::apply_startup_line(const std::string& line) {
    const Words words(line);
    return words.problem != 0 ? words.problem : apply(words, false);
}

int Controller::apply_offset(const Words& words) {
    const auto x = words.value('X'), y = words.value(turns_fourth() ? 'A' : 'Y');
    const bool whole = std::find(words.g.begin(), words.g.end(), 920) != words.g.end();
    const Point machine = motion_.end() + shift_;
    if (whole) {
        if (x) g92_.x = machine.x - g54_.x - *x * unit_;
        if (y) g92_.y = machine.y - g54_.y - *y * unit_;
    } else {
        const double kind = words.value('L').value_or(0);
        if (words.value('P').value_or(0) > 1) return 0;  // other offsets are accepted and never used here
        if (kind == 2) {
            if (x) g54_.x = *x * unit_;
            if (y) g54_.y = *y * unit_;
        } else if (kind == 20) {
            if (x) g54_.x = machine.x - g92_.x - *x * unit_;
            if (y) g54_.y = machine.y - g92_.y - *y * unit_;
        } else {
            return unsupported;
        }
    }
    reports_to_offset_ = 0;
    return 0;
}

void Controller::apply_height(const Words& words) {
    if (const auto z = words.value('Z')) height_ = absolute_ ? *z * unit_ : height_ + *z * unit_;
    // Like the height, the axis nobody burns with is there at once.
    if (const auto other = words.value(turns_fourth() ? 'Y' : 'A'))
        standing_ = absolute_ ? *other * unit_ : standing_ + *other * unit_;
}

/// Down until the probe touches the piece; an alarm when it does not.
void Controller::apply_probe(const Words& words) {
    apply_height(words);
    const bool touched = height_ <= -piece_depth_;
    if (touched) height_ = -piece_depth_;
    const Point at = machine_at();
    reply(fmt::format("[PRB:{}:{}]", places(at, height_, 0), touched ? 1 : 0));
    if (!touched) raise_alarm(5);
}

int Controller::apply_motion(const Words& words, bool jog) {
    const bool rapid = !jog && motion_mode_ == 0;
    const double programmed = jog ? *words.value('F') * unit_ / 60 : feed_ / 60;
    if (!rapid && !(programmed > 0)) return feed_undefined;
    const Point at = motion_.end();
    Point target = at;
    const bool in_machine = std::find(words.g.begin(), words.g.end(), 530) != words.g.end();
    const Point origin = (in_machine ? Point{} : offset()) - shift_;
    if (const auto x = words.value('X')) target.x = absolute_ ? *x * unit_ + origin.x : at.x + *x * unit_;
    if (const auto y = words.value(turns_fourth() ? 'A' : 'Y'))
        target.y = absolute_ ? *y * unit_ + origin.y : at.y + *y * unit_;
    if (setting(20) != 0 && limits_exceeded(target)) {
        if (jog) return travel_exceeded;
        violation(fmt::format("soft limit: move to {:.3f}, {:.3f}", target.x, target.y));
        raise_alarm(2);
        return 0;
    }
    if (!within_reach(target, 0.0005))
        violation(fmt::format("the head would leave the bed at {:.3f}, {:.3f}", target.x, target.y));
    if (!jog && motion_mode_ >= 2) return apply_arc(words, target, programmed);
    queue(target, programmed, rapid, jog);
    return 0;
}

void Controller::queue(Point target, double programmed, bool rapid, bool jog) {
    const double power = std::clamp((power_word_ - setting(31)) / std::max(1.0, setting(30) - setting(31)), 0.0, 1.0);
    if (!jog) note_starvation();
    if (!motion_.add(target, programmed, power, beam_, rapid, jog)) return;
    ++report_.moves;
    if (state_ == State::idle) state_ = jog ? State::jog : State::run;
}

/// An arc as short straight moves, no farther than $12 from it.
int Controller::apply_arc(const Words& words, Point target, double programmed) {
    const auto i = words.value('I'), j = words.value('J');
    if (!i && !j) return no_arc_offsets;
    const Point at = motion_.end();
    const Point centre = at + Point{i.value_or(0), j.value_or(0)} * unit_;
    const double radius = geometry::distance(at, centre);
    const double off = std::abs(radius - geometry::distance(target, centre));
    if (off > 0.5 || (off > 0.005 && off > 0.001 * radius)) return bad_target;
    const bool clockwise = motion_mode_ == 2;
    const double first = std::atan2(at.y - centre.y, at.x - centre.x);
    double sweep = std::atan2(target.y - centre.y, target.x - centre.x) - first;
    if (!clockwise && sweep <= 1e-9) sweep += 2 * std::numbers::pi;
    if (clockwise && sweep >= -1e-9) sweep -= 2 * std::numbers::pi;
    const double tolerance = std::min(setting(12), radius / 2);
    const int pieces =
        std::max(1, static_cast<int>(std::abs(sweep) * radius / 2 / std::sqrt(tolerance * (2 * radius - tolerance))));
    const double power = std::clamp(power_word_ / setting(30), 0.0, 1.0);
    note_starvation();
    for (int k = 1; k <= pieces; ++k) {
        const double t = first + sweep * k / pieces;
        Block piece;
        piece.to = k == pieces ? target : centre + Point{std::cos(t), std::sin(t)} * radius;
        piece.programmed = programmed;
        piece.power = power;
        piece.beam = beam_;
        arc_.push_back(piece);
    }
    ++report_.moves;
    if (state_ == State::idle) state_ = State::run;
    return 0;
}

}  // namespace chalkline::simulator
