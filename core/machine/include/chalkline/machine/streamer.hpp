// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/machine/encoder.hpp>

#include <cstdint>
#include <deque>
#include <memory>
#include <optional>
#include <string>

namespace chalkline::machine {

/// Feeds a program to the controller by character counting: the bytes of unanswered lines, line feeds counted, never
/// exceed the receive buffer less one, so that the link never idles and never overflows. Pure: no I/O, no clock.
class Streamer {
 public:
    /// `buffer`: the controller's receive buffer, bytes; `planner_blocks`: answered moves it may still hold.
    /// REQUIRES: buffer > longest_line + 1.
    Streamer(std::unique_ptr<LineSource> lines, int buffer, int planner_blocks)
        : lines_(std::move(lines)), room_(buffer - 1), planner_blocks_(static_cast<std::size_t>(planner_blocks)) {}

    /// Appends to `out` every line that fits now.
    void feed(std::string& out);
    /// The controller answered the oldest unanswered line. Nothing when none was open (a stray answer).
    std::optional<ProgramLine> answered();

    /// All lines sent and answered.
    bool complete() const { return exhausted_ && !waiting_ && in_flight_.empty(); }
    std::int64_t sent() const { return sent_; }
    std::int64_t acknowledged() const { return acknowledged_; }
    /// Operation of the last line that is surely carried out: answered, and as many lines behind the newest answer
    /// as the planner can hold. −1 before the first. An answer alone only says that a line was understood.
    std::int64_t operation() const { return done_.operation; }
    /// The part of that operation, as its line states it.
    std::int32_t part() const { return done_.part; }
    /// Bytes of the lines not answered yet.
    int open_bytes() const { return open_bytes_; }

 private:
    std::unique_ptr<LineSource> lines_;
    std::deque<ProgramLine> in_flight_;
    std::optional<ProgramLine> waiting_;  ///< next line, not sent for lack of room
    struct Done {
        std::int64_t operation = -1;
        std::int32_t part = 0;
    };
    std::deque<Done> in_planner_;  ///< what the newest answered lines carry out
    Done done_;
    int room_;
    std::size_t planner_blocks_;
    int open_bytes_ = 0;
    std::int64_t sent_ = 0, acknowledged_ = 0;
    bool exhausted_ = false;
};

}  // namespace chalkline::machine
