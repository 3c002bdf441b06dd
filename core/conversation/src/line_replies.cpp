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
bool changes_power_in_moves(const std::string& firmware) {
    const auto name = firmware.find("Marlin");
    if (name == std::string::npos) return true;  // nobody knows: it is tried
    int major = 0, minor = 0, fix = 0;
    const auto digits = firmware.find_first_of("0123456789", name);
    if (digits == std::string::npos) return true;
    const int read = std::sscanf(firmware.c_str() + digits, "%d.%d.%d", &major, &minor, &fix);
    return read < 2 || std::array{major, minor, fix} >= std::array{2, 0, 6};
}

}  // namespace

void LineSession::handle(const std::string& line) {
    heard_anything_ = true;
    events_.push_back(event::Wire{false, line});
    if (handle_card(line)) return;
    if (line == "start") {
        handle_restart();
    } else if (line == "ok" || line.starts_with("ok ")) {
        handle_ok();
    } else if (line.starts_with("FIRMWARE_NAME:")) {
        now_.version = line.substr(14, line.find(' ', 14) - 14);
        knows_beam_ = knows_beam_ && changes_power_in_moves(line.substr(14, 60));
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
    } else if (lines_) {
        ++now_.chatter;
    }
}

/// It restarted: everything it was told is gone.
void LineSession::handle_restart() {
    open_.clear();
    queued_ = questions();
    cleared_ = asked_ = true;  // nobody's half line is left in it
    restarted_ = true;
    halted_ = resend_ = false;
    numbers_ = Numbers::unknown;
    last_number_ = 0;
    now_.position_sure = now_.placed_by_hand = false;
    lines_.reset();
    card_.reset();
    const bool told = ready_ && !stopped_activity_;
    const Activity was = stopped_activity_ ? *stopped_activity_ : now_.activity;
    if (stopped_activity_) {
        stopped_activity_.reset();
        stop_because_.reset();
        now_.activity = Activity::none;
        events_.push_back(event::Stopped{was, false, true});
        announce();
    } else if (told) {
        fail_activity({std::string(error::reset_by_itself), {}, {}, 0});
    }
}

void LineSession::handle_halt(const std::string& line) {
    if (std::exchange(halted_, true)) return;
    lines_.reset();
    queued_.clear();
    open_.clear();
    if (stopped_activity_) now_.activity = *std::exchange(stopped_activity_, std::nullopt);
    stop_because_.reset();
    now_.position_sure = now_.placed_by_hand = false;
    now_.state = ControllerState::alarm;
    fail_activity({std::string(error::board_halted), {{"text", line}}, {}, 0});
}

/// The rest of a program would follow a line that was not understood.
void LineSession::handle_refusal(const std::string& line) {
    if (card_runs())
        return begin_stop(Error{std::string(error::store_failed), {{"name", card_->file.name}, {"text", line}}, {}, 0});
    if (open_.empty()) return;
    const std::string& text = open_.front().line.text;
    const Purpose purpose = open_.front().purpose;
    // What is asked at the beginning nobody has to know.
    if (!ready_) {
        if (purpose == Purpose::ask_beam && line.starts_with("echo:Unknown command")) knows_beam_ = false;
        return;
    }
    // A number or checksum that did not arrive whole is asked for again behind this.
    if (open_.front().number > 0 && line.starts_with("Error:")) return;
    if (!lines_ && now_.activity == Activity::none) return;
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
    if (open_.size() > 1 && open_.front().purpose != Purpose::where && !stopped_activity_) return ask_again();
    compare_with_plan({x, y});
}

/// The answer tells where the board's plan ends, and nothing is on its way but the question: the end of the last line
/// that was answered. A board that counts from elsewhere all at once has started anew, or took a line that was not
/// ours. Boards that tell where the head is meanwhile are seen by it and not judged.
void LineSession::compare_with_plan(geometry::Point counted) {
    constexpr double near = 0.05;  // mm: two decimals
    constexpr int enough = 3;
    if (!lines_ || writes_card() || stopped_activity_ || open_.size() != 1 || !planned_to_) return;
    const double off = geometry::distance(counted, profile_.counted(*planned_to_));
    if (off < near) {
        ++plan_matches_;
    } else if (plan_matches_ >= enough) {
        now_.done = done_checked_;
        now_.position_sure = now_.placed_by_hand = false;
        begin_stop(Error{std::string(error::off_way), {{"distance", fmt::format("{:.1f}", off)}}, {}, 0});
    } else {
        plan_matches_ = -1'000'000;  // it tells something else
    }
}

void LineSession::handle_ok() {
    if (open_.empty()) {
        // To a line of somebody else, and nobody knows what that did.
        if (!lines_ || stopped_activity_) return;
        now_.done = done_checked_;
        return begin_stop(Error{std::string(error::stray_answer), {}, {}, 0});
    }
    if (std::exchange(resend_, false)) {
        if (++tries_ <= most_tries) return write(open_.front().line, open_.front().number);
        return begin_stop(Error{std::string(error::answer_lost), {}, {}, 0});
    }
    // Its answer comes before its `ok`: this one belongs to a line of somebody else.
    if (lines_ && open_.front().purpose == Purpose::where) {
        if (!open_.front().told) {
            now_.done = done_checked_;
            return begin_stop(Error{std::string(error::stray_answer), {}, {}, 0});
        }
        done_checked_ = now_.done;
    }
    const Open answered = std::move(open_.front());
    open_.pop_front();
    handle_answered(answered.line, answered.purpose);
}

void LineSession::handle_answered(const ProgramLine& line, Purpose purpose) {
    // What does not move the head takes no room in the plan.
    const bool moves =
        (line.text.starts_with("G0 ") || line.text.starts_with("G1 ")) && (!line.to || line.to != planned_to_);
    if (line.to) planned_to_ = line.to;
    if (lines_ && line.operation >= 0 && moves) {
        // Answered means planned: what the board may still hold is not done yet.
        in_planner_.push_back(line);
        if (static_cast<int>(in_planner_.size()) > profile_.planner_blocks) {
            now_.done = {in_planner_.front().operation, in_planner_.front().part};
            in_planner_.pop_front();
        }
    }
    if (lines_ != nullptr && purpose != Purpose::where) ++now_.lines_done;
    if (purpose == Purpose::ask_numbers && numbers_ != Numbers::yes) numbers_ = Numbers::no;
    if (card_) handle_card_answer(line, purpose);
    if (purpose == Purpose::typed) now_.position_sure = now_.placed_by_hand = false;
    if (purpose == Purpose::home) {
        now_.position_sure = !profile_.turning;
        now_.placed_by_hand = false;
    }
    if (purpose == Purpose::where && open_.empty()) finish_if_done();
}

// ---------------------------------------------------------------- answers that do not come

/// A board that is only busy says so, or answers when it is done. Where it is can be asked at any time: the answers
/// come in order.
void LineSession::tick_lost_answer() {
    if (!ready_ || halted_ || open_.empty() || stopped_activity_) return;
    if (clock_ - std::max(last_byte_, asked_again_) < asks_after) return;
    answer_is_missing();
}

void LineSession::answer_is_missing() {
    if (!ready_ || open_.empty() || stopped_activity_ || open_.size() > 1) return;
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
        now_.position_sure = now_.placed_by_hand = false;
        return begin_stop(Error{std::string(error::answer_lost), {}, {}, 0});
    }
    write(missing.line, missing.number);
    open_.push_back(missing);  // behind the question, whose `ok` is on its way
}

// ---------------------------------------------------------------- the end of what was asked

/// It counts from where it was switched on until it found home; what was known holds while it stayed on.
void LineSession::settle_place() {
    const bool from_start = now_.position == geometry::Point{};
    const bool continued = before_ && now_.position && !restarted_ && !from_start && !profile_.turning &&
                           before_->leads_to(*now_.position);
    now_.position_sure = now_.place_continued = continued;
    now_.placed_by_hand = continued && !before_->homed;
}

/// The answer to where the head is ends whatever was under way.
void LineSession::finish_if_done() {
    if (!queued_.empty() || lines_ || card_runs()) return;
    now_.state = ControllerState::idle;
    if (!ready_) {
        ready_ = true;
        now_.activity = Activity::none;
        settle_place();
        events_.push_back(event::Ready{});
    } else if (stopped_activity_) {
        return finish_stop(true);
    } else if (const auto trouble = card_trouble()) {
        return fail_activity(*trouble);
    } else if (now_.activity != Activity::none) {
        card_.reset();
        now_.stored_share.reset();
        events_.push_back(event::Finished{std::exchange(now_.activity, Activity::none)});
    }
    announce();
}

void LineSession::finish_stop(bool answered) {
    const Activity stopped = *std::exchange(stopped_activity_, std::nullopt);
    queued_.clear();
    open_.clear();
    now_.activity = Activity::none;
    now_.stored_share.reset();
    if (!answered || stopped == Activity::homing) now_.position_sure = now_.placed_by_hand = false;
    now_.state = ControllerState::idle;
    if (stop_because_)
        events_.push_back(event::Failed{stopped, *std::exchange(stop_because_, std::nullopt)});
    else
        events_.push_back(event::Stopped{stopped, now_.position_sure, answered});
    announce();
}

}  // namespace chalkline::machine
