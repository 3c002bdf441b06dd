// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/contract.hpp>
#include <chalkline/machine/line_source.hpp>
#include <chalkline/machine/program.hpp>

#include <deque>
#include <optional>
#include <vector>

namespace chalkline::machine {

/// Where the lines that may be under way lead the head: the newest answered ones, twice as many as the controller can
/// hold, and those not answered yet. There is no checksum on the link, and an answer only says that a line was read;
/// what a report says of the head, held against this, tells what was really done. Pure.
class Route {
 public:
    /// `planner_blocks`: answered moves the controller may still hold. REQUIRES: planner_blocks > 0.
    explicit Route(int planner_blocks) : kept_(2 * static_cast<std::size_t>(planner_blocks) + 8) {
        CHALKLINE_REQUIRES(planner_blocks > 0);
    }

    /// Where the head stands before the first line.
    void begin_at(geometry::Point place);
    /// A line was sent. `lit`: the beam is asked for while the head goes there.
    void sent(const ProgramLine& line, bool lit);
    /// The oldest line not answered yet was answered. REQUIRES: it is the `line` that was sent.
    void answered(const ProgramLine& line);

    /// False as soon as a line moved the head without saying where it leads.
    bool known() const { return known_; }
    /// How far a place lies from the route, mm; 0 while the route is not known.
    double distance(geometry::Point place) const;
    /// The furthest place of the program that may be done when the head is at `at`: what lies before the last leg that
    /// passes there. Nothing while no leg does.
    std::optional<ProgramPlace> furthest_done_at(geometry::Point at) const;
    /// The furthest place that is surely done when the head is at `at` and all up to `done` is: what lies before the
    /// first answered leg behind that which passes there. Nothing while none does.
    std::optional<ProgramPlace> surely_done_at(geometry::Point at, ProgramPlace done) const;
    /// Answered moves behind the last leg that passes `at`: the controller holds at least so many.
    int held_beyond(geometry::Point at) const;
    /// How likely the beam is lit when the head is at `at`, 0 … 1: of the legs that pass there, by their length where
    /// none does. Nothing while the route is not known.
    std::optional<double> likely_lit(geometry::Point at) const;
    /// Where the last line led; nothing while that is not known.
    std::optional<geometry::Point> end() const;
    /// From where the kept legs begin to where the last one leads; empty while the route is not known.
    std::vector<geometry::Point> points() const;
    /// Where the newest answered line led; nothing while that is not known.
    std::optional<geometry::Point> answered_end() const;

    static constexpr double near = 0.15;  ///< mm: a report is rounded, and belongs to a moment ago

 private:
    struct Leg {
        geometry::Point from, to;
        bool lit;
        ProgramPlace place;
        double length() const { return geometry::distance(from, to); }
    };
    bool passes(const Leg& leg, geometry::Point at) const;
    /// Index of the last leg that passes; −1: none.
    std::ptrdiff_t last_passing(geometry::Point at) const;

    std::size_t kept_;
    std::deque<Leg> legs_;      ///< answered ones first
    std::size_t answered_ = 0;  ///< of them
    std::optional<geometry::Point> start_, end_;
    bool known_ = true;
};

}  // namespace chalkline::machine
