// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/machine/line_session.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <utility>

namespace chalkline::machine {
namespace {

constexpr double clearing = 0.4;         // s for the answer to half a line of somebody before us
constexpr double announce_every = 0.15;  // s: what is shown of a burn
constexpr double ask_where_every = 0.5;  // s: the question takes the place of a line
constexpr double answer_patience = 4;    // s after the first question before the port counts as silent
constexpr std::string_view moves_done = "M400", where = "M114", who = "M115";

}  // namespace

LineSession::LineSession(MachineProfile profile, double greeting_wait)
    : profile_(std::move(profile)), greeting_wait_(greeting_wait) {}

// ---------------------------------------------------------------- what happens outside

void LineSession::opened(double now) {
    clock_ = opened_at_ = last_byte_ = now;
    now_ = {};
    now_.connected = true;
    now_.can = {.hold = false,
                .settings = false,
                .pulse = false,
                .probe = false,
                .trim = false,
                .moves_after_stop = profile_.planner_blocks + 1};
    announce();
}

void LineSession::received(std::string_view bytes, double now) {
    clock_ = last_byte_ = now;
    now_.silent_for = 0;
    lines_in_.read(bytes, [this](const std::string& line) { handle(line); });
    send_next();
}

void LineSession::tick(double now) {
    clock_ = now;
    if (!now_.connected || gave_up_) return;
    if (!cleared_ && clock_ - opened_at_ >= greeting_wait_) {
        // Whoever asked here before may have left half a line; what it answers to that is no answer to us.
        cleared_ = true;
        out_ += "\n";
    }
    if (!asked_ && clock_ - opened_at_ >= greeting_wait_ + clearing) {
        asked_ = true;
        queued_ = {std::string(who), std::string(where)};
    }
    if (!ready_ && clock_ - opened_at_ > greeting_wait_ + answer_patience) {
        gave_up_ = true;
        return fail_activity({std::string(heard_anything_ ? error::speaks_otherwise : error::silent), {}, {}, 0});
    }
    if (stopped_activity_ && clock_ - stop_since_ > stop_wait) finish_stop(false);
    if (now_.activity != Activity::none && clock_ - announced_ >= announce_every) announce();
    const double silent = clock_ - last_byte_;
    if (ready_ && now_.activity != Activity::none && silent >= silence_limit) {
        now_.silent_for = silent;
        announce();
    }
    send_next();
}

void LineSession::closed(const std::string& reason, double now) {
    clock_ = now;
    if (!now_.connected) return;
    now_.connected = false;
    now_.state = ControllerState::unknown;
    lines_.reset();
    queued_.clear();
    open_.clear();
    out_.clear();
    stopped_activity_.reset();
    fail_activity({std::string(error::link_lost), {{"reason", reason}}, {}, 0});
}

// ---------------------------------------------------------------- what the maker asks for

Result<void> LineSession::require_free() const {
    if (!now_.connected || !ready_) return fail(error::not_ready);
    if (now_.activity != Activity::none) return fail(error::busy, {{"state", std::string(to_text(now_.state))}});
    return {};
}

/// Commands, then a wait until the head stands, then the question where.
Result<void> LineSession::move(Activity activity, std::vector<std::string> lines) {
    if (auto free = require_free(); !free) return free;
    now_.activity = activity;
    now_.state = ControllerState::run;
    queued_.assign(std::make_move_iterator(lines.begin()), std::make_move_iterator(lines.end()));
    queued_.emplace_back(moves_done);
    queued_.emplace_back(where);
    announce();
    send_next();
    return {};
}

Result<void> LineSession::home() {
    if (auto turns = require_no_turning_home(profile_); !turns) return turns;
    if (!profile_.turning && profile_.home == HomeCorner::none) return fail(error::no_homing);
    std::vector<std::string> lines = way_to_rest(profile_.own_lines.after_home);
    lines.insert(lines.begin(), "G28 X Y");
    return move(Activity::homing, std::move(lines));
}

/// Lines of the maker's own, then the head out of the way.
std::vector<std::string> LineSession::way_to_rest(const std::vector<std::string>& own_lines) const {
    std::vector<std::string> lines = own_lines;
    if (profile_.rest && profile_.bed().contains(*profile_.rest) && profile_.home != HomeCorner::none)
        for (const std::string& line : {std::string("G21"), std::string("G90"),
                                        fmt::format("G0 X{:.3f} Y{:.3f} F{:.0f}", profile_.rest->x, profile_.rest->y,
                                                    profile_.top_speed().mm_per_min())})
            lines.push_back(line);
    return lines;
}

Result<void> LineSession::unlock() {
    return fail(error::not_supported);
}

Result<void> LineSession::turn_laser_mode_on() {
    return fail(error::not_supported);
}

Result<void> LineSession::jog(geometry::Point by, Speed speed) {
    if (auto free = require_free(); !free) return free;
    if (now_.position_sure && now_.position && !now_.placed_by_hand) {
        if (auto inside = require_reach(profile_, *now_.position, by); !inside) return inside;
    }
    const geometry::Point counted = profile_.counted(by);
    const double feed = speed.mm_per_min() * geometry::norm(counted) / std::max(1e-9, geometry::norm(by));
    return move(Activity::jogging,
                {"G21", "G91",
                 fmt::format("G0 X{:.3f} {}{:.3f} F{:.0f}", counted.x, profile_.y_letter(), counted.y, feed), "G90"});
}

Result<void> LineSession::go_to(geometry::Point place, Speed speed) {
    if (auto free = require_free(); !free) return free;
    if (!now_.position_sure || !now_.position) return fail(place_unknown(profile_));
    if (auto inside = require_on_bed(profile_, place); !inside) return inside;
    return jog(place - *now_.position, speed);
}

/// A move that cannot be ended is never begun.
Result<void> LineSession::jog_on(geometry::Point, Speed) {
    return fail(error::not_supported);
}

Result<void> LineSession::move_focus(double by) {
    if (!profile_.z_axis) return fail(error::no_z_axis);
    return move(Activity::jogging, {"G21", "G91", fmt::format("G0 Z{:.3f} F300", by), "G90"});
}

/// On, wait and off are three lines with answers between them: what falls between would leave the beam on.
Result<void> LineSession::pulse(Power, Duration) {
    return fail(error::not_supported);
}

Result<void> LineSession::probe() {
    return fail(error::not_supported);
}

Result<void> LineSession::stands_at(geometry::Point place) {
    if (auto inside = require_on_bed(profile_, place); !inside) return inside;
    const geometry::Point counted = profile_.counted(place);
    auto said =
        move(Activity::jogging, {fmt::format("G92 X{:.3f} {}{:.3f}", counted.x, profile_.y_letter(), counted.y)});
    if (said) now_.position_sure = now_.placed_by_hand = true;
    return said;
}

Result<void> LineSession::release_motors() {
    auto asked = move(Activity::jogging, {"M84"});
    if (asked) now_.position_sure = now_.placed_by_hand = false;
    return asked;
}

Result<void> LineSession::write_setting(int, double) {
    return fail(error::not_supported);
}

Result<void> LineSession::send_line(const std::string& text) {
    if (auto free = require_free(); !free) return free;
    if (!is_plain_line(text)) return fail(error::bad_line, {{"text", text}});
    if (text != who && text != where) now_.position_sure = now_.placed_by_hand = false;
    return move(Activity::jogging, {text});
}

Result<void> LineSession::frame(std::unique_ptr<LineSource> lines) {
    return start(Activity::framing, std::move(lines));
}

Result<void> LineSession::burn(std::unique_ptr<LineSource> lines, const Trims&) {
    return start(Activity::burning, std::move(lines));
}

Result<void> LineSession::start(Activity activity, std::unique_ptr<LineSource> lines) {
    if (auto free = require_free(); !free) return free;
    if (!now_.position_sure) return fail(place_unknown(profile_));
    now_.activity = activity;
    now_.state = ControllerState::run;
    now_.lines_done = 0;
    now_.done = now_.begun = {};
    in_planner_.clear();
    lines_ = std::make_unique<OneCommandLines>(std::move(lines));
    announce();
    send_next();
    return {};
}

Result<void> LineSession::trim(int, int) {
    return fail(error::not_supported);
}

void LineSession::stop() {
    begin_stop({});
}

/// The board is told at once, before it answered the line on its way: it may have to wait for a long move with that.
/// What it hears late it still does.
void LineSession::begin_stop(std::optional<Error> because) {
    if (!now_.connected || !ready_ || stopped_activity_ || now_.activity == Activity::none) return;
    stop_because_ = std::move(because);
    stopped_activity_ = std::exchange(now_.activity, Activity::stopping);
    stop_since_ = clock_;
    lines_.reset();
    for (const char* line : {"M410", "M5", "M9"})
        send({line});
    queued_ = {std::string(where)};
    announce();
}

Result<void> LineSession::set_profile(const MachineProfile& profile) {
    if (lines_) return fail(error::not_while_working);
    const bool other_axis = profile.turning.has_value() != profile_.turning.has_value();
    // The head stands where it stood, and that is another place of the bed now.
    const std::optional<geometry::Point> was = now_.position;
    if (was) now_.position = profile.surface(profile_.counted(*was));
    profile_ = profile;
    if (other_axis) now_.position_sure = now_.placed_by_hand = false;
    if (other_axis || now_.position != was) announce();
    return {};
}

std::string LineSession::take_output() {
    return std::exchange(out_, {});
}

std::vector<Event> LineSession::take_events() {
    return std::exchange(events_, {});
}

// ---------------------------------------------------------------- replies

void LineSession::handle(const std::string& line) {
    if (line.empty()) return;
    heard_anything_ = true;
    events_.push_back(event::Wire{false, line});
    if (line == "start") {
        // It restarted: everything it was told is gone.
        open_.clear();
        queued_ = {std::string(who), std::string(where)};
        asked_ = true;
        now_.position_sure = now_.placed_by_hand = false;
        lines_.reset();
        stopped_activity_.reset();
        if (ready_ && now_.activity != Activity::none) fail_activity({std::string(error::reset_by_itself), {}, {}, 0});
    } else if (line == "ok" || line.starts_with("ok ")) {
        handle_ok();
    } else if (line.starts_with("FIRMWARE_NAME:")) {
        now_.version = line.substr(14, line.find(' ', 14) - 14);
        announce();
    } else if (line.starts_with("X:")) {
        handle_place(line);
    } else if (line.starts_with("Error:") || line.starts_with("echo:Unknown command")) {
        handle_refusal(line);
    }
}

/// The rest of a program would follow a line that was not understood.
void LineSession::handle_refusal(const std::string& line) {
    if (!lines_ && open_.empty()) return;
    begin_stop(Error{std::string(error::line_refused),
                     {{"number", "20"}, {"text", open_.empty() ? line : open_.front().text}},
                     {},
                     static_cast<int>(now_.lines_done)});
}

void LineSession::handle_place(const std::string& line) {
    double x = 0, y = 0;
    if (std::sscanf(line.c_str(), "X:%lf Y:%lf", &x, &y) != 2 || !std::isfinite(x) || !std::isfinite(y)) return;
    if (const auto turned = line.find(" A:"); profile_.y_letter() == 'A' && turned != std::string::npos)
        std::sscanf(line.c_str() + turned, " A:%lf", &y);
    now_.position = profile_.surface({x, y});
}

void LineSession::handle_ok() {
    if (open_.empty()) return;  // a stray answer
    const ProgramLine line = std::move(open_.front());
    open_.pop_front();
    if (lines_ && line.operation >= 0) {
        // Answered means planned: what the board may still hold is not done yet.
        in_planner_.push_back(line);
        if (static_cast<int>(in_planner_.size()) > profile_.planner_blocks) {
            now_.done = {in_planner_.front().operation, in_planner_.front().part};
            in_planner_.pop_front();
        }
    }
    const bool of_program = lines_ != nullptr && line.text != where;
    if (of_program) ++now_.lines_done;
    if (line.text.starts_with("G28")) {
        now_.position_sure = !profile_.turning;
        now_.placed_by_hand = false;
    }
    if (line.text == where) finish_if_done();
}

/// The answer to where the head is ends whatever was under way.
void LineSession::finish_if_done() {
    if (!queued_.empty() || lines_) return;
    now_.state = ControllerState::idle;
    if (!ready_) {
        ready_ = true;
        now_.activity = Activity::none;
        // It counts from where it was switched on until it found home.
        now_.position_sure = now_.placed_by_hand = profile_.home == HomeCorner::none && !profile_.turning;
        events_.push_back(event::Ready{});
    } else if (stopped_activity_) {
        return finish_stop(true);
    } else if (now_.activity != Activity::none) {
        events_.push_back(event::Finished{std::exchange(now_.activity, Activity::none)});
    }
    announce();
}

void LineSession::finish_stop(bool answered) {
    const Activity stopped = *std::exchange(stopped_activity_, std::nullopt);
    queued_.clear();
    open_.clear();
    now_.activity = Activity::none;
    if (!answered || stopped == Activity::homing) now_.position_sure = now_.placed_by_hand = false;
    now_.state = ControllerState::idle;
    if (stop_because_)
        events_.push_back(event::Failed{stopped, *std::exchange(stop_because_, std::nullopt)});
    else
        events_.push_back(event::Stopped{stopped, now_.position_sure, answered});
    announce();
}

// ---------------------------------------------------------------- sending

void LineSession::send_next() {
    if (!now_.connected || !open_.empty()) return;
    ProgramLine line;
    if (lines_ && queued_.empty() && clock_ - asked_where_ >= ask_where_every) {
        line.text = where;
        asked_where_ = clock_;
    } else if (!queued_.empty()) {
        line.text = std::move(queued_.front());
        queued_.pop_front();
    } else if (lines_ && !lines_->next(line)) {
        // All is sent: done when the head stands.
        lines_.reset();
        if (now_.activity == Activity::burning)
            for (std::string& own : way_to_rest(profile_.own_lines.at_end))
                queued_.push_back(std::move(own));
        queued_.emplace_back(moves_done);
        queued_.emplace_back(where);
        return send_next();
    } else if (line.text.empty()) {
        return;
    }
    send(std::move(line));
}

void LineSession::send(ProgramLine line) {
    out_ += line.text + "\n";
    events_.push_back(event::Wire{true, line.text});
    if (line.operation >= 0) {
        now_.begun = {line.operation, line.part};
        now_.step = line.step;
    }
    open_.push_back(std::move(line));
}

void LineSession::fail_activity(Error error) {
    events_.push_back(event::Failed{std::exchange(now_.activity, Activity::none), std::move(error)});
    announce();
}

void LineSession::announce() {
    announced_ = clock_;
    events_.push_back(event::Changed{now_});
}

}  // namespace chalkline::machine
