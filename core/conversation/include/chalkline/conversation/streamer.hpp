// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/route.hpp>
#include <chalkline/machine/line_source.hpp>

#include <cstdint>
#include <deque>
#include <memory>
#include <optional>
#include <string>

namespace chalkline::machine {

/// Feeds a program to the controller by character counting: the bytes of unanswered lines, line feeds counted, never
/// exceed the receive buffer less one, so that the link never idles and never overflows. As many bytes as the oldest
/// unanswered line has are left free besides: an answer that came twice by mistake overfills nothing until it is
/// noticed. Pure: no I/O, no clock.
class Streamer {
 public:
    /// `buffer`: the controller's receive buffer, bytes; `planner_blocks`: answered moves it may still hold. A line
    /// that is longer than the buffer goes out alone.
    Streamer(std::unique_ptr<LineSource> lines, int buffer, int planner_blocks)
        : lines_(std::move(lines)),
          route_(planner_blocks),
          room_(buffer - 1),
          planner_blocks_(static_cast<std::size_t>(planner_blocks)) {}

    /// Appends to `out` every line that fits now. The first line of another step waits until that step was let in.
    void feed(std::string& out);
    /// The step whose first line waits to be let in.
    std::optional<std::int32_t> step_at_the_door() const;
    void let_in(std::int32_t step) { step_ = step; }
    /// The step whose lines are sent; −1 before the first.
    std::int32_t step() const { return step_; }
    /// The controller answered the oldest unanswered line. Nothing when none was open (a stray answer).
    std::optional<ProgramLine> answered();

    /// Where the head stands before the first line.
    void begin_at(geometry::Point place) { route_.begin_at(place); }
    /// Where the lines under way lead.
    const Route& route() const { return route_; }
    /// The controller's queue is as full as it can be: more was answered than it holds.
    bool queue_was_filled() const { return in_planner_.size() >= planner_blocks_; }
    /// The beam burns on where the head stands, if the lines sent so far come to their end.
    bool may_stand_lit() const { return constant_beam_ && power_ > 0 && !rapid_; }
    /// What the oldest unanswered line lets the controller wait for at rest, s.
    double open_dwell() const;

    /// All lines sent and answered.
    bool complete() const { return exhausted_ && !waiting_ && in_flight_.empty(); }
    std::int64_t sent() const { return sent_; }
    std::int64_t acknowledged() const { return acknowledged_; }
    /// The last line that is surely carried out: answered, and as many lines behind the newest answer as the planner
    /// can hold. An answer alone only says that a line was understood.
    ProgramPlace done() const { return done_; }
    /// The last line sent: nothing behind it can have begun.
    ProgramPlace begun() const { return begun_; }
    /// What was to be sent is what was checked.
    bool intact() const { return lines_->intact(); }
    /// Nothing is left to send; answers may be outstanding.
    bool all_sent() const { return exhausted_ && !waiting_; }
    /// Bytes of the lines not answered yet.
    int open_bytes() const { return open_bytes_; }

 private:
    bool fits(const ProgramLine& line) const;
    bool beam_after(const std::string& line);

    std::unique_ptr<LineSource> lines_;
    std::deque<ProgramLine> in_flight_;
    std::optional<ProgramLine> waiting_;   ///< next line, not sent for lack of room
    std::deque<ProgramPlace> in_planner_;  ///< what the newest answered lines carry out
    ProgramPlace done_, begun_;
    std::int32_t step_ = -1;
    Route route_;
    // As the controller will have them after the lines sent.
    bool beam_on_ = false, constant_beam_ = false, rapid_ = true;
    double power_ = 0;
    int room_;
    std::size_t planner_blocks_;
    int open_bytes_ = 0;
    std::int64_t sent_ = 0, acknowledged_ = 0;
    bool exhausted_ = false;
};

}  // namespace chalkline::machine
