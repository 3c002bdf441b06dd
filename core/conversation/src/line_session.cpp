// SPDX-License-Identifier: GPL-3.0-or-later
// What is asked of a board that reads line by line, and how it is sent; what it says is in line_replies.cpp.
#include "line_words.hpp"

#include <chalkline/conversation/contradictions.hpp>
#include <chalkline/conversation/line_session.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <utility>

namespace chalkline::machine {
namespace {

using namespace line_words;

constexpr double clearing = 0.4;         // s for the answer to half a line of somebody before us
constexpr double announce_every = 0.15;  // s: what is shown of a burn
constexpr double ask_where_every = 0.5;  // s: the question takes the place of a line
constexpr double answer_patience = 6;    // s after the first question before the port counts as silent

/// RepRap's checksum: all bytes before the star, exclusive or.
int checksum(const std::string& text) {
    int sum = 0;
    for (const char c : text)
        sum ^= static_cast<unsigned char>(c);
    return sum;
}

}  // namespace

/// Asked when the conversation begins; the answer to the last ends it.
std::deque<LineSession::Command> LineSession::questions() {
    return {{std::string(who)},
            {std::string(number_from_zero)},
            {std::string(numbers_known), Purpose::ask_numbers},
            {std::string(limits)},
            {std::string(beam_off), Purpose::ask_beam},
            {std::string(where), Purpose::where}};
}

LineSession::LineSession(MachineProfile profile, double greeting_wait, std::optional<RememberedPlace> before)
    : profile_(std::move(profile)), greeting_wait_(greeting_wait), before_(std::move(before)) {}

// ---------------------------------------------------------------- what happens outside

void LineSession::enter(LineState next) {
    state_ = std::move(next);
    now_.activity = activity_of(state_);
}

bool LineSession::conversing() const {
    return !in<Closed>() && !in<Opening>() && !in<GaveUp>();
}

LineSource* LineSession::sending() const {
    if (const Streaming* const streaming = in<Streaming>()) return streaming->lines.get();
    const AtCard* const card = in<AtCard>();
    return card ? card->written.get() : nullptr;
}

void LineSession::forget_place() {
    now_.position_sure = now_.placed_by_hand = false;
}

void LineSession::opened(double now) {
    clock_ = last_byte_ = now;
    now_ = {};
    now_.connected = true;
    enter(Opening{.since = now});
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
    if (in<Closed>() || in<GaveUp>()) return;
    tick_opening();
    tick_lost_answer();
    if (const Stopping* const stopping = in<Stopping>(); stopping && clock_ - stopping->since > stop_wait)
        finish_stop(false);
    if (now_.activity != Activity::none && clock_ - announced_ >= announce_every) announce();
    const double silent = clock_ - last_byte_;
    if (conversing() && now_.activity != Activity::none && silent >= silence_limit) {
        now_.silent_for = silent;
        announce();
    }
    send_next();
}

void LineSession::tick_opening() {
    Opening* const opening = in<Opening>();
    if (!opening) return;
    const double waited = clock_ - opening->since;
    // Whoever asked here before may have left half a line; what it answers to that is no answer to us.
    if (!opening->cleared && waited >= greeting_wait_) {
        opening->cleared = true;
        out_ += "\n";
    }
    if (!opening->asked && waited >= greeting_wait_ + clearing) {
        opening->asked = true;
        queued_ = questions();
    }
    if (waited <= greeting_wait_ + answer_patience) return;
    const auto code = opening->heard_anything ? error::speaks_otherwise : error::silent;
    enter(GaveUp{});
    events_.push_back(event::Failed{Activity::connecting, {std::string(code), {}, {}, 0}});
    announce();
}

void LineSession::closed(const std::string& reason, double now) {
    clock_ = now;
    if (!now_.connected) return;
    now_.connected = false;
    now_.state = ControllerState::unknown;
    // What it was sent it may still carry out by itself.
    if (now_.remembered_place) now_.remembered_place->ahead = led_;
    queued_.clear();
    open_.clear();
    out_.clear();
    const Stopping* const stopping = in<Stopping>();
    const Activity ended = stopping ? stopping->stopped : now_.activity;
    enter(Closed{});
    now_.stored_share.reset();
    events_.push_back(event::Failed{ended, {std::string(error::link_lost), {{"reason", reason}}, {}, 0}});
    announce();
}

// ---------------------------------------------------------------- what the maker asks for

Result<void> LineSession::require_free() const {
    if (!conversing()) return fail(error::not_ready);
    if (in<Halted>()) return fail(error::board_halted, {{"text", now_.version}});
    if (!in<AtEase>()) return fail(error::busy, {{"state", std::string(to_text(now_.state))}});
    return {};
}

/// A board that passes over S on its moves burns a whole job in the dark.
Result<void> LineSession::require_power_in_moves() const {
    if (power_in_moves_ == PowerInMoves::no) return fail(error::no_inline_power, {{"text", now_.version}});
    if (power_in_moves_ == PowerInMoves::unknown && !profile_.power_in_moves)
        return fail(error::inline_power_unknown, {{"text", now_.version}});
    return {};
}

/// Commands, then a wait until the head stands, then the question where.
Result<void> LineSession::move(LineState next, std::vector<Command> lines) {
    if (auto free = require_free(); !free) return free;
    enter(std::move(next));
    now_.state = ControllerState::run;
    // Behind what a board is still asked that has just started anew.
    queued_.insert(queued_.end(), std::make_move_iterator(lines.begin()), std::make_move_iterator(lines.end()));
    queued_.push_back({std::string(moves_done)});
    queued_.push_back({std::string(where), Purpose::where});
    announce();
    send_next();
    return {};
}

Result<void> LineSession::home() {
    if (auto turns = require_no_turning_home(profile_); !turns) return turns;
    if (!profile_.turning && profile_.home == HomeCorner::none) return fail(error::no_homing);
    std::vector<Command> lines = way_to_rest(profile_.own_lines.after_home);
    lines.insert(lines.begin(), {"G28 X Y", Purpose::home});
    return move(Acting{Activity::homing}, std::move(lines));
}

/// Lines of the maker's own, then the head out of the way.
std::vector<LineSession::Command> LineSession::way_to_rest(const std::vector<std::string>& own_lines) const {
    std::vector<Command> lines;
    for (const std::string& line : own_lines)
        lines.push_back({line});
    if (profile_.rest && profile_.bed().contains(*profile_.rest) && profile_.home != HomeCorner::none)
        for (const std::string& line : {std::string("G21"), std::string("G90"),
                                        fmt::format("G0 X{:.3f} Y{:.3f} F{:.0f}", profile_.rest->x, profile_.rest->y,
                                                    profile_.top_speed().mm_per_min())})
            lines.push_back({line});
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
    return move(Acting{Activity::jogging},
                {{"G21"},
                 {"G91"},
                 {fmt::format("G0 X{:.3f} {}{:.3f} F{:.0f}", counted.x, profile_.y_letter(), counted.y, feed)},
                 {"G90"}});
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
    return move(Acting{Activity::jogging}, {{"G21"}, {"G91"}, {fmt::format("G0 Z{:.3f} F300", by)}, {"G90"}});
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
    auto said = move(Acting{Activity::jogging},
                     {{fmt::format("G92 X{:.3f} {}{:.3f}", counted.x, profile_.y_letter(), counted.y)}});
    if (said) now_.position_sure = now_.placed_by_hand = true;
    return said;
}

Result<void> LineSession::release_motors() {
    auto asked = move(Acting{Activity::jogging}, {{"M84"}});
    if (asked) forget_place();
    return asked;
}

Result<void> LineSession::write_setting(int, double) {
    return fail(error::not_supported);
}

Result<void> LineSession::send_line(const std::string& text) {
    if (auto free = require_free(); !free) return free;
    if (!is_plain_line(text)) return fail(error::bad_line, {{"text", text}});
    return move(Acting{Activity::jogging}, {{text, text == who || text == where ? Purpose::plain : Purpose::typed}});
}

Result<void> LineSession::frame(const clearance::ClearedProgram& program) {
    return start(Activity::framing, program);
}

Result<void> LineSession::burn(const clearance::ClearedProgram& program, const Trims&) {
    return start(Activity::burning, program);
}

Result<void> LineSession::start(Activity activity, const clearance::ClearedProgram& program) {
    if (auto free = require_free(); !free) return free;
    if (auto right = require_cleared_for(program, profile_); !right) return right;
    if (!now_.position_sure) return fail(place_unknown(profile_));
    if (auto agreed = require_no_contradiction(profile_, facts()); !agreed) return agreed;
    if (activity == Activity::burning)
        if (auto changes = require_power_in_moves(); !changes) return changes;
    enter(Streaming{.activity = activity,
                    .lines = std::make_unique<OneCommandLines>(program.lines()),
                    .planned_to = now_.position});
    now_.state = ControllerState::run;
    now_.lines_done = 0;
    now_.done = now_.begun = {};
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
    if (!in<Acting>() && !in<Streaming>() && !in<AtCard>()) return;
    // Without numbers: they count whatever the board missed.
    for (const Command& command : end_of_card_act())
        send_bare(command.text);
    enter(Stopping{.stopped = now_.activity, .because = std::move(because), .since = clock_});
    for (const char* line : {"M410", "M5", "M9"})
        send_bare(line);
    queued_ = {{std::string(where), Purpose::where}};
    announce();
}

Result<void> LineSession::set_profile(const MachineProfile& profile) {
    if (sending()) return fail(error::not_while_working);
    const bool other_axis = profile.turning.has_value() != profile_.turning.has_value();
    // The head stands where it stood, and that is another place of the bed now.
    const std::optional<geometry::Point> was = now_.position;
    if (was) now_.position = profile.surface(profile_.counted(*was));
    profile_ = profile;
    if (other_axis) forget_place();
    if (other_axis || now_.position != was) announce();
    return {};
}

std::string LineSession::take_output() {
    return std::exchange(out_, {});
}

std::vector<Event> LineSession::take_events() {
    return std::exchange(events_, {});
}

// ---------------------------------------------------------------- sending

void LineSession::send_next() {
    if (in<Closed>() || !open_.empty()) return;
    LineSource* const lines = sending();
    ProgramLine line;
    Purpose purpose = Purpose::program;
    const bool asks = queued_.empty() && clock_ - asked_where_ >= ask_where_every;
    if (asks && (card_runs() || (lines && in<Streaming>()))) {
        line.text = card_runs() ? store_progress : where;
        purpose = card_runs() ? Purpose::plain : Purpose::where;
        asked_where_ = clock_;
    } else if (!queued_.empty()) {
        line.text = std::move(queued_.front().text);
        purpose = queued_.front().purpose;
        queued_.pop_front();
    } else if (lines && !lines->next(line)) {
        if (!lines->intact()) return begin_stop(Error{std::string(error::lines_changed), {}, {}, 0});
        // All is sent: done when the head stands.
        if (writes_card()) queued_.insert(queued_.end(), {{"M29"}, {std::string(list_card), Purpose::list_card}});
        all_sent();
        if (now_.activity == Activity::burning)
            for (Command& own : way_to_rest(profile_.own_lines.at_end))
                queued_.push_back(std::move(own));
        queued_.push_back({std::string(moves_done)});
        queued_.push_back({std::string(where), Purpose::where});
        return send_next();
    } else if (line.text.empty()) {
        return;
    }
    send(std::move(line), purpose);
}

void LineSession::all_sent() {
    if (Streaming* const streaming = in<Streaming>()) streaming->lines.reset();
    if (AtCard* const card = in<AtCard>()) card->written.reset();
}

void LineSession::send(ProgramLine line, Purpose purpose) {
    if (line.operation >= 0) {
        now_.begun = {line.operation, line.part};
        now_.step = line.step;
    }
    tries_ = 0;
    asked_again_ = clock_;
    if (now_.position) stood_ = led_.empty() ? profile_.counted(*now_.position) : led_.back();
    if (line.to) led_.push_back(profile_.counted(*line.to));
    const bool numbered = numbers_ == Numbers::yes && !line.text.starts_with('N');
    const int number = numbered ? ++last_number_ : 0;
    write(line, number);
    open_.push_back({std::move(line), purpose, number});
}

void LineSession::send_bare(const std::string& text, Purpose purpose) {
    write({text}, 0);
    open_.push_back({{text}, purpose, 0});
}

void LineSession::write(const ProgramLine& line, int number) {
    std::string text = line.text;
    if (number > 0) {
        text = fmt::format("N{} {}", number, text);
        text += fmt::format("*{}", checksum(text));
    }
    out_ += text + "\n";
    events_.push_back(event::Wire{true, std::move(text)});
}

void LineSession::fail_activity(Error error) {
    const Activity failed = now_.activity;
    enter(AtEase{});
    now_.stored_share.reset();
    events_.push_back(event::Failed{failed, std::move(error)});
    announce();
}

void LineSession::announce() {
    announced_ = clock_;
    if (now_.connected) {
        now_.remembered_place.reset();
        // Its place is that of the bed, as it counts it.
        if (now_.position_sure && now_.position && !profile_.turning)
            now_.remembered_place = RememberedPlace{*now_.position, {}, !now_.placed_by_hand};
    }
    events_.push_back(event::Changed{now_});
}

}  // namespace chalkline::machine
