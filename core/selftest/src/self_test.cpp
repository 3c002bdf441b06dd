// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/clearance/clear.hpp>
#include <chalkline/selftest/self_test.hpp>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <utility>

namespace chalkline::machine {
namespace {

constexpr std::array<const char*, 5> names{"jog", "dark-move", "hold", "buffer", "stop"};
constexpr double patience = 30;     // s an exercise may take
constexpr double move_speed = 600;  // mm/min: two seconds for its way

/// Rides dark lines: nothing else gets through the gate.
Result<void> ride(Session& session, std::vector<std::string> lines) {
    const auto cleared = clearance::clear(clearance::DarkRequest{std::move(lines), session.profile()}).passed();
    if (!cleared) return tl::unexpected(cleared.error());
    return session.frame(*cleared);
}

bool heard(const std::string& line, std::string_view beginning) {
    return line.starts_with("< ") && std::string_view(line).substr(2).starts_with(beginning);
}

/// How many figures a report's place has.
int axes_of(const std::string& report) {
    const auto at = report.find("Pos:");
    if (at == std::string::npos) return 3;
    const auto end = report.find_first_of("|>", at);
    return 1 + static_cast<int>(std::count(report.begin() + static_cast<std::ptrdiff_t>(at),
                                           report.begin() + static_cast<std::ptrdiff_t>(std::min(end, report.size())),
                                           ','));
}

bool names_beam(const reply::Status& status) {
    return status.accessories && status.accessories->find_first_of("SC") != std::string::npos;
}

const char* to_text(SelfTestLine::Verdict verdict) {
    switch (verdict) {
        case SelfTestLine::Verdict::good:
            return "good";
        case SelfTestLine::Verdict::odd:
            return "odd";
        case SelfTestLine::Verdict::bad:
            return "BAD";
    }
    return "";
}

}  // namespace

SelfTest::SelfTest(const MachineProfile& profile, const Snapshot& now, const std::vector<std::string>& wire)
    : profile_(profile), now_(now), wire_(wire), from_(now.position.value_or(geometry::Point{})) {
    if (from_.x + way_ > profile_.width) way_ = -way_;
    for (const std::string& line : wire_)
        if (heard(line, "<")) {
            const Reply reply = parse_reply(std::string_view(line).substr(2));
            if (const auto* status = std::get_if<reply::Status>(&reply)) {
                last_report_ = *status;
                last_report_text_ = line.substr(2);
            }
        }
    look_at_greeting();
    if (profile_.dialect == Dialect::realtime) {
        look_at_settings();
        look_at_report();
    }
}

void SelfTest::look_at_greeting() {
    const bool named = !now_.version.empty();
    lines_.push_back({"greeting", named ? SelfTestLine::Verdict::good : SelfTestLine::Verdict::odd,
                      named ? "version " + now_.version : "it named no version"});
}

void SelfTest::look_at_settings() {
    for (const std::string& line : wire_) {
        if (!heard(line, "$")) continue;
        ++settings_heard_;
        settings_read_ += std::holds_alternative<reply::Setting>(parse_reply(std::string_view(line).substr(2))) ? 1 : 0;
        described_ = described_ || line.find('(') != std::string::npos;
    }
    std::string said = fmt::format("{} of {} setting lines read", settings_read_, settings_heard_);
    said += now_.receive_buffer ? fmt::format("; buffer {} bytes", *now_.receive_buffer) : "; states no buffer";
    said += now_.planner_blocks ? fmt::format(", {} moves", *now_.planner_blocks) : ", states no queue";
    lines_.push_back({"settings", settings_read_ > 0 ? SelfTestLine::Verdict::good : SelfTestLine::Verdict::bad, said});
}

void SelfTest::look_at_report() {
    if (!last_report_) return lines_.push_back({"at-rest", SelfTestLine::Verdict::bad, "no report was read"});
    const bool lit = names_beam(*last_report_) || last_report_->power.value_or(0) > 0;
    lines_.push_back({"at-rest", lit ? SelfTestLine::Verdict::bad : SelfTestLine::Verdict::good,
                      (lit ? "THE BEAM IS REPORTED ON: " : "") + last_report_text_});
}

std::vector<std::string> SelfTest::dark_move() const {
    return {"G21G90G17G94G54",
            "M5S0",
            "M4S0",
            "G4P0.5",
            fmt::format("G1X{:.3f}{}{:.3f}S0F{:.0f}", from_.x + way_, profile_.y_letter(), profile_.counted(from_).y,
                        move_speed),
            fmt::format("G0X{:.3f}", from_.x),
            "M5S0"};
}

SelfTest::Request SelfTest::begin_exercise() const {
    const double step = way_ / 4;
    switch (exercise_) {
        case 0:
            return [by = back_ ? -step : step](Session& session) {
                return session.jog({by, 0}, Speed::mm_per_min(move_speed));
            };
        case 3:
            // While it dwells the buffer fills as far as it is said to hold: a byte too many would cost an answer.
            return [](Session& session) {
                std::vector<std::string> lines{"G21G90G17G94G54", "M5S0", "G4P0.4"};
                lines.insert(lines.end(), 300, "M5S0");
                return ride(session, std::move(lines));
            };
        default:
            return [lines = dark_move()](Session& session) { return ride(session, lines); };
    }
}

std::optional<SelfTest::Request> SelfTest::next(double now) {
    clock_ = now;
    // The report that comes with the end says where the head is then.
    if (std::exchange(ended_, false)) judge();
    if (over()) return {};
    if (!running_) {
        const bool rests = now_.activity == Activity::none && now_.state == ControllerState::idle;
        if (!rests) return {};
        running_ = true;
        asked_ = held_ = false;
        begun_at_ = now;
        return begin_exercise();
    }
    if (now - begun_at_ > patience) {
        fail_exercise("it did not end");
        return [](Session& session) -> Result<void> {
            session.stop();
            return {};
        };
    }
    const bool interrupted = (exercise_ == 2 && now_.can.hold) || exercise_ == 4;
    const double gone = now_.position ? std::abs(now_.position->x - from_.x) : 0;
    const bool in_the_middle = now_.state == ControllerState::run && gone > std::abs(way_) / 10;
    // A board that tells no place while it works is stopped somewhere in its two seconds.
    const bool told_nothing = !now_.can.hold && now - begun_at_ > 1.2;
    if (interrupted && !asked_ && (in_the_middle || told_nothing)) {
        asked_ = true;
        return [stops = exercise_ == 4](Session& session) -> Result<void> {
            stops ? session.stop() : session.hold();
            return {};
        };
    }
    if (exercise_ == 2 && asked_ && !held_ && now_.state == ControllerState::hold && now_.sub == 0) {
        held_ = true;
        return [](Session& session) -> Result<void> {
            session.resume();
            return {};
        };
    }
    return {};
}

void SelfTest::take(const Event& happened) {
    if (const auto* wire = std::get_if<event::Wire>(&happened)) {
        wire_.push_back((wire->sent ? "> " : "< ") + wire->text);
        const Reply reply = wire->sent ? Reply(reply::Text{}) : parse_reply(wire->text);
        if (const auto* status = std::get_if<reply::Status>(&reply)) {
            last_report_ = *status;
            last_report_text_ = wire->text;
            if (running_ && exercise_ == 1) beam_named_dark_ = beam_named_dark_ || names_beam(*status);
        }
    }
    if (const auto* changed = std::get_if<event::Changed>(&happened)) now_ = changed->now;
    if (!running_) return;
    if (std::holds_alternative<event::Finished>(happened)) ended_ = true;
    if (const auto* failed = std::get_if<event::Failed>(&happened)) fail_exercise(failed->error.code);
    if (const auto* refused = std::get_if<event::Refused>(&happened)) fail_exercise(refused->error.code);
    if (const auto* stopped = std::get_if<event::Stopped>(&happened)) {
        const bool good = exercise_ == 4 && stopped->beam_off;
        lines_.push_back({names[static_cast<std::size_t>(exercise_)],
                          good ? SelfTestLine::Verdict::good : SelfTestLine::Verdict::bad,
                          fmt::format("stopped after {:.1f} s, beam {}, place {}", clock_ - begun_at_,
                                      stopped->beam_off ? "confirmed off" : "NOT confirmed off",
                                      stopped->position_sure ? "kept" : "lost")});
        running_ = false;
        ++exercise_;
    }
}

void SelfTest::judge() {
    const auto name = names[static_cast<std::size_t>(exercise_)];
    if (exercise_ == 0 && !std::exchange(back_, true)) {
        running_ = false;  // and the same way back
        return;
    }
    SelfTestLine line{name, SelfTestLine::Verdict::good, {}};
    const double off = now_.position ? geometry::distance(*now_.position, from_) : 0;
    if (exercise_ == 3) {
        line.said = fmt::format("300 lines behind a dwell, all answered, in {:.1f} s", clock_ - begun_at_);
    } else {
        line.said = fmt::format("back within {:.3f} mm after {:.1f} s", off, clock_ - begun_at_);
        if (off > 0.05) line.verdict = SelfTestLine::Verdict::bad;
    }
    if (exercise_ == 1)
        line.said +=
            beam_named_dark_ ? "; reports name the beam under M4 at S0 (mode)" : "; reports name no beam at S0";
    if (exercise_ == 2 && now_.can.hold && !held_) {
        line.verdict = SelfTestLine::Verdict::bad;
        line.said = "it did not come to rest when it was held";
    }
    lines_.push_back(std::move(line));
    running_ = false;
    ++exercise_;
}

void SelfTest::fail_exercise(const std::string& said) {
    lines_.push_back({names[static_cast<std::size_t>(exercise_)], SelfTestLine::Verdict::bad, said});
    running_ = false;
    exercise_ = exercises;  // what follows would rest on it
}

bool SelfTest::passed() const {
    return over() && std::none_of(lines_.begin(), lines_.end(),
                                  [](const SelfTestLine& line) { return line.verdict == SelfTestLine::Verdict::bad; });
}

std::string SelfTest::report() const {
    std::string text = fmt::format("Chalkline self-test with the beam off\nmachine: {}\n\n", profile_.name);
    for (const SelfTestLine& line : lines_)
        text += fmt::format("{:<5} {:<10} {}\n", to_text(line.verdict), line.exercise, line.said);
    text += fmt::format("\n{}\n\nevery line of the wire\n", passed() ? "passed" : "NOT PASSED");
    for (const std::string& line : wire_)
        text += line + "\n";
    return text;
}

std::string SelfTest::board_file(const std::string& name) const {
    using Json = nlohmann::ordered_json;
    Json boot_log = Json::array(), build = Json::array(), settings = Json::object();
    std::string greeting;
    bool asked = false, greeted_unasked = false;
    for (const std::string& line : wire_) {
        if (line.starts_with("> ")) {
            asked = true;
            continue;
        }
        const std::string text = line.substr(2);
        const Reply reply = parse_reply(text);
        if (std::holds_alternative<reply::Greeting>(reply)) {
            greeted_unasked = greeted_unasked || !asked;
            greeting = text;
        } else if (std::holds_alternative<reply::Text>(reply) && greeting.empty() && text[0] != '<') {
            boot_log.push_back(text);
        } else if (std::holds_alternative<reply::BuildInfo>(reply) || std::holds_alternative<reply::Options>(reply)) {
            if (std::find(build.begin(), build.end(), text) == build.end()) build.push_back(text);
        }
    }
    if (now_.settings)
        for (const auto& [number, value] : *now_.settings)
            settings[std::to_string(number)] = value;
    Json json{{"format", "chalkline-board"}, {"version", 1}, {"name", name}, {"about", "Seen by a self-test."}};
    json["dialect"] = profile_.dialect == Dialect::realtime ? "realtime" : "line-by-line";
    if (profile_.dialect == Dialect::realtime) {
        if (!greeting.empty()) json["greeting"] = greeting;
        json["boot_log"] = boot_log;
        json["build_info"] = build;
        json["settings"] = settings;
        json["setting_style"] = described_ ? "described" : "plain";
        json["beam_report"] = beam_named_dark_ ? "mode" : "lit";
        if (now_.planner_blocks) json["planner_blocks"] = *now_.planner_blocks;
        if (now_.receive_buffer) json["receive_buffer"] = *now_.receive_buffer;
        json["origin_forced"] = now_.zero_at_home.value_or(false);
        json["axes"] = std::clamp(axes_of(last_report_text_), 3, 6);
    }
    json["restarts_on_open"] = greeted_unasked;
    return json.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

}  // namespace chalkline::machine
