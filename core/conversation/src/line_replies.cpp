// SPDX-License-Identifier: GPL-3.0-or-later
// What a board that reads line by line says, and what is made of it.
#include "line_words.hpp"

#include <chalkline/conversation/line_session.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>
#include <cstdio>
#include <utility>

namespace chalkline::machine {
namespace {

using namespace line_words;

/// The number behind `word` in a line; nothing when there is none.
std::optional<double> number_behind(const std::string& line, std::string_view word, std::size_t from = 0) {
    auto at = line.find(word, from);
    if (at == std::string::npos) return {};
    at += word.size();
    while (at < line.size() && (line[at] == ' ' || line[at] == ':'))
        ++at;
    double value = 0;
    const auto [end, problem] = std::from_chars(line.data() + at, line.data() + line.size(), value);
    return problem == std::errc() && end != line.data() + at && std::isfinite(value) ? std::optional(value)
                                                                                     : std::nullopt;
}

/// It has shut itself down and does nothing more until it is started again.
bool is_halt(std::string_view line) {
    static constexpr std::array<std::string_view, 8> words{"Printer halted",  "kill() called", "Heating failed",
                                                           "Thermal Runaway", "MAXTEMP",       "MINTEMP",
                                                           "STOP called",     "!! KILLED"};
    const bool error = line.starts_with("Error:") || line.starts_with("!!") || line.starts_with("echo:");
    return error && std::any_of(words.begin(), words.end(),
                                [line](std::string_view word) { return line.find(word) != std::string_view::npos; });
}

/// Power within a move came with Marlin 2.0.6; earlier ones take S on a move for nothing and would burn in the dark.
/// Of other firmware nobody knows.
std::optional<bool> changes_power_in_moves(const std::string& firmware) {
    const auto name = firmware.find("Marlin");
    if (name == std::string::npos) return {};
    int major = 0, minor = 0, fix = 0;
    const auto digits = firmware.find_first_of("0123456789", name);
    if (digits == std::string::npos) return {};
    if (std::sscanf(firmware.c_str() + digits, "%d.%d.%d", &major, &minor, &fix) < 2) return {};
    return std::array{major, minor, fix} >= std::array{2, 0, 6};
}

}  // namespace

void LineSession::handle(const std::string& line) {
    if (Opening* const opening = in<Opening>()) opening->heard_anything = true;
    events_.push_back(event::Wire{false, line});
    if (handle_card(line)) return;
    if (line == "start") {
        handle_restart();
    } else if (line == "ok" || line.starts_with("ok ")) {
        handle_ok();
    } else if (line.starts_with("FIRMWARE_NAME:")) {
        now_.version = line.substr(14, line.find(' ', 14) - 14);
        const auto changes = changes_power_in_moves(line.substr(14, 60));
        power_in_moves_ = !changes ? PowerInMoves::unknown : *changes ? PowerInMoves::yes : PowerInMoves::no;
        announce();
    } else if (line.starts_with("X:")) {
        handle_place(line);
    } else if (is_halt(line)) {
        handle_halt(line);
    } else if (line.starts_with("Resend:") || line.starts_with("rs ")) {
        handle_resend(line);
    } else if (line.find("oft endstops") != std::string::npos || line.find("Max:") != std::string::npos) {
        handle_travel(line);
    } else if (line.starts_with("Error:") || line.starts_with("echo:Unknown command")) {
        handle_refusal(line);
    } else if (std::holds_alternative<reply::Garbled>(parse_reply(line))) {
        answer_is_missing();
    } else if (sending()) {
        ++now_.chatter;
    }
}

/// It restarted: everything it was told is gone.
void LineSession::handle_restart() {
    open_.clear();
    queued_ = questions();
    resend_ = false;
    numbers_ = Numbers::unknown;
    last_number_ = 0;
    forget_place();
    if (const Stopping* const stopping = in<Stopping>()) {
        const Activity stopped = stopping->stopped;
        enter(AtEase{});
        events_.push_back(event::Stopped{stopped, false, true});
        return announce();
    }
    const Halted* const halted = in<Halted>();
    if (halted && !halted->opened) enter(Opening{.since = clock_});
    if (Opening* const opening = in<Opening>()) {
        // Nobody's half line is left in it.
        opening->cleared = opening->asked = opening->restarted = true;
    } else if (conversing()) {
        fail_activity({std::string(error::reset_by_itself), {}, {}, 0});
    }
}

void LineSession::handle_halt(const std::string& line) {
    if (in<Halted>() || in<GaveUp>()) return;
    queued_.clear();
    open_.clear();
    const Stopping* const stopping = in<Stopping>();
    const Activity ended = stopping ? stopping->stopped : now_.activity;
    enter(Halted{.opened = conversing()});
    forget_place();
    now_.state = ControllerState::alarm;
    now_.stored_share.reset();
    events_.push_back(event::Failed{ended, {std::string(error::board_halted), {{"text", line}}, {}, 0}});
    announce();
}

/// The rest of a program would follow a line that was not understood.
void LineSession::handle_refusal(const std::string& line) {
    if (card_runs()) {
        const std::string& name = in<AtCard>()->file.name;
        return begin_stop(Error{std::string(error::store_failed), {{"name", name}, {"text", line}}, {}, 0});
    }
    if (open_.empty()) return;
    const std::string& text = open_.front().line.text;
    const Purpose purpose = open_.front().purpose;
    // What is asked at the beginning nobody has to know.
    if (in<Opening>()) {
        if (purpose == Purpose::ask_beam && line.starts_with("echo:Unknown command"))
            power_in_moves_ = PowerInMoves::no;
        return;
    }
    // A number or checksum that did not arrive whole is asked for again behind this.
    if (open_.front().number > 0 && line.starts_with("Error:")) return;
    if (in<AtEase>()) return;
    Error refused{
        std::string(error::line_refused), {{"number", "20"}, {"text", text}}, {}, static_cast<int>(now_.lines_done)};
    if (purpose != Purpose::typed) return begin_stop(std::move(refused));
    // Nothing of it was carried out: it is answered by a sentence, and all stays as it was.
    open_.front().purpose = Purpose::plain;
    events_.push_back(event::Failed{Activity::none, std::move(refused)});
}

/// It wants line N again: the one on its way, or, when it has had that, the next.
void LineSession::handle_resend(const std::string& line) {
    const auto wanted = number_behind(line, line.starts_with("rs ") ? "rs " : "Resend:");
    if (!wanted || open_.empty()) return;
    // It counts from the beginning: it started anew, and its word of that got lost.
    if (open_.front().number > 2 && *wanted < open_.front().number) return handle_restart();
    if (open_.front().purpose == Purpose::ask_numbers) {
        numbers_ = Numbers::yes;
        return;
    }
    if (open_.front().number > 0 && static_cast<int>(*wanted) <= open_.front().number) resend_ = true;
}

/// "echo:Soft endstops: On  Min: X0.00 Y0.00 Z0.00   Max: X235.00 Y235.00 Z250.00", and as two lines.
void LineSession::handle_travel(const std::string& line) {
    const auto max = line.find("Max");
    if (max == std::string::npos) return;
    if (const auto x = number_behind(line, "X", max)) travel_[130] = *x;
    if (const auto y = number_behind(line, "Y", max)) travel_[131] = *y;
}

void LineSession::handle_place(const std::string& line) {
    double x = 0, y = 0;
    if (std::sscanf(line.c_str(), "X:%lf Y:%lf", &x, &y) != 2 || !std::isfinite(x) || !std::isfinite(y)) return;
    if (const auto turned = line.find(" A:"); profile_.y_letter() == 'A' && turned != std::string::npos)
        std::sscanf(line.c_str() + turned, " A:%lf", &y);
    now_.position = profile_.surface({x, y});
    led_.clear();
    // Asked once more after a long silence: the answer is to the newer question, the one before got lost.
    const auto is_question = [](const Open& one) { return one.purpose == Purpose::where; };
    while (open_.size() > 1 && is_question(open_[0]) && is_question(open_[1]))
        open_.pop_front();
    const auto asked = std::find_if(open_.begin(), open_.end(), is_question);
    if (asked != open_.end()) asked->told = true;
    // Asked behind a line whose answer never came: the board has read that line, or it never had it.
    if (open_.size() > 1 && open_.front().purpose != Purpose::where && !in<Stopping>()) return ask_again();
    compare_with_plan({x, y});
}

/// The answer tells where the board's plan ends, and nothing is on its way but the question: the end of the last line
/// that was answered. A board that counts from elsewhere all at once has started anew, or took a line that was not
/// ours. Boards that tell where the head is meanwhile are seen by it and not judged.
void LineSession::compare_with_plan(geometry::Point counted) {
    constexpr double near = 0.05;  // mm: two decimals
    constexpr int enough = 3;
    Streaming* const streaming = in<Streaming>();
    if (!streaming || !streaming->lines || open_.size() != 1 || !streaming->planned_to) return;
    const double off = geometry::distance(counted, profile_.counted(*streaming->planned_to));
    if (off < near) {
        ++streaming->plan_matches;
    } else if (streaming->plan_matches >= enough) {
        now_.done = streaming->done_checked;
        forget_place();
        begin_stop(Error{std::string(error::off_way), {{"distance", fmt::format("{:.1f}", off)}}, {}, 0});
    } else {
        streaming->plan_matches = -1'000'000;  // it tells something else
    }
}

void LineSession::handle_ok() {
    Streaming* const streaming = in<Streaming>();
    // To a line of somebody else, and nobody knows what that did.
    const auto is_stray = [&] {
        if (streaming) now_.done = streaming->done_checked;
        begin_stop(Error{std::string(error::stray_answer), {}, {}, 0});
    };
    if (open_.empty()) {
        if (sending()) is_stray();
        return;
    }
    if (std::exchange(resend_, false)) {
        if (++tries_ <= most_tries) return write(open_.front().line, open_.front().number);
        return begin_stop(Error{std::string(error::answer_lost), {}, {}, 0});
    }
    // Its answer comes before its `ok`: this one belongs to a line of somebody else.
    if (streaming && streaming->lines && open_.front().purpose == Purpose::where) {
        if (!open_.front().told) return is_stray();
        streaming->done_checked = now_.done;
    }
    const Open answered = std::move(open_.front());
    open_.pop_front();
    handle_answered(answered.line, answered.purpose);
}

void LineSession::handle_answered(const ProgramLine& line, Purpose purpose) {
    if (Streaming* const streaming = in<Streaming>()) note_planned(*streaming, line);
    if (purpose == Purpose::program && line.ends_line) ++now_.lines_done;
    if (purpose == Purpose::ask_numbers && numbers_ != Numbers::yes) numbers_ = Numbers::no;
    if (AtCard* const card = in<AtCard>()) handle_card_answer(*card, line, purpose);
    if (purpose == Purpose::typed) forget_place();
    if (purpose == Purpose::home) {
        now_.position_sure = !profile_.turning;
        now_.placed_by_hand = false;
    }
    if (purpose == Purpose::where && open_.empty()) finish_if_done();
}

/// Answered means planned: what the board may still hold is not done yet. What does not move the head takes no room in
/// the plan.
void LineSession::note_planned(Streaming& streaming, const ProgramLine& line) {
    const bool moves =
        (line.text.starts_with("G0 ") || line.text.starts_with("G1 ")) && (!line.to || line.to != streaming.planned_to);
    if (line.to) streaming.planned_to = line.to;
    if (!streaming.lines || line.operation < 0 || !moves) return;
    streaming.in_planner.push_back(line);
    if (static_cast<int>(streaming.in_planner.size()) <= profile_.planner_blocks) return;
    now_.done = {streaming.in_planner.front().operation, streaming.in_planner.front().part};
    streaming.in_planner.pop_front();
}

// ---------------------------------------------------------------- answers that do not come

/// A board that is only busy says so, or answers when it is done. Where it is can be asked at any time: the answers
/// come in order.
void LineSession::tick_lost_answer() {
    if (!conversing() || open_.empty() || in<Stopping>() || in<Halted>()) return;
    if (clock_ - std::max(last_byte_, asked_again_) < asks_after) return;
    answer_is_missing();
}

void LineSession::answer_is_missing() {
    if (!conversing() || in<Stopping>() || open_.size() != 1) return;
    asked_again_ = clock_;
    // Any question would become a line of the file.
    if (writes_card()) {
        const bool numbered = open_.front().number > 0 && ++tries_ <= most_tries;
        if (numbered) return write(open_.front().line, open_.front().number);
        return begin_stop(Error{std::string(error::answer_lost), {}, {}, 0});
    }
    send_bare(std::string(where), Purpose::where);
}

/// The answer to the question behind it came first. A numbered line is sent once more: the board says whether it had
/// it. Any other is told by where the board's plan ends; what moves nothing can be said twice.
void LineSession::ask_again() {
    if (++tries_ > most_tries) return begin_stop(Error{std::string(error::answer_lost), {}, {}, 0});
    const Open missing = open_.front();
    open_.pop_front();
    const auto planned = now_.position ? std::optional(profile_.counted(*now_.position)) : std::nullopt;
    const auto led_to = missing.line.to ? std::optional(profile_.counted(*missing.line.to)) : std::nullopt;
    const auto near = [](const auto& a, const auto& b) { return a && b && geometry::distance(*a, *b) < 0.02; };
    if (missing.number == 0 && near(planned, led_to)) return handle_answered(missing.line, missing.purpose);
    const bool moves = missing.line.text.starts_with("G0 ") || missing.line.text.starts_with("G1 ");
    if (missing.number == 0 && moves && !near(planned, stood_)) {
        // Neither of the line nor of the one before it: it counts from elsewhere.
        forget_place();
        return begin_stop(Error{std::string(error::answer_lost), {}, {}, 0});
    }
    write(missing.line, missing.number);
    open_.push_back(missing);  // behind the question, whose `ok` is on its way
}

// ---------------------------------------------------------------- the end of what was asked

/// It counts from where it was switched on until it found home; what was known holds while it stayed on.
void LineSession::settle_place(const Opening& opening) {
    const bool from_start = now_.position == geometry::Point{};
    const bool continued = before_ && now_.position && !opening.restarted && !from_start && !profile_.turning &&
                           before_->leads_to(*now_.position);
    now_.position_sure = now_.place_continued = continued;
    now_.placed_by_hand = continued && !before_->homed;
}

/// The answer to where the head is ends whatever was under way.
void LineSession::finish_if_done() {
    if (!queued_.empty() || sending() || card_runs()) return;
    now_.state = ControllerState::idle;
    if (const Opening* const opening = in<Opening>()) {
        settle_place(*opening);
        enter(AtEase{});
        events_.push_back(event::Ready{});
    } else if (in<Stopping>()) {
        return finish_stop(true);
    } else if (const auto trouble = card_trouble()) {
        return fail_activity(*trouble);
    } else if (now_.activity != Activity::none) {
        const Activity done = now_.activity;
        enter(AtEase{});
        now_.stored_share.reset();
        events_.push_back(event::Finished{done});
    }
    announce();
}

void LineSession::finish_stop(bool answered) {
    Stopping ended = std::move(*in<Stopping>());
    enter(AtEase{});
    queued_.clear();
    open_.clear();
    now_.stored_share.reset();
    if (!answered || ended.stopped == Activity::homing) forget_place();
    now_.state = ControllerState::idle;
    if (ended.because)
        events_.push_back(event::Failed{ended.stopped, std::move(*ended.because)});
    else
        events_.push_back(event::Stopped{ended.stopped, now_.position_sure, answered});
    announce();
}

}  // namespace chalkline::machine
