// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/units.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/machine/program.hpp>

#include <cstdint>
#include <map>
#include <optional>
#include <vector>

namespace chalkline::timing {

/// What keeps a step from burning at the speed it asks for.
enum class SpeedLimit {
    none,          ///< it is reached: the asked speed itself is the limit
    acceleration,  ///< too little room to get there
    lookahead,     ///< too many short moves: the controller must always be able to stop within those it knows
    link           ///< the lines come too slowly
};

/// How a step runs.
struct StepPace {
    double top_speed = 0;  ///< highest speed while burning, mm/min
    SpeedLimit limit = SpeedLimit::none;
};

/// When everything is done.
struct Timing {
    std::vector<double> finished_at;         ///< per operation: seconds from the start
    std::map<std::int32_t, StepPace> steps;  ///< by the operations' step
};

/// The time a program takes on a machine, by a model of its controller. Moves wait in a queue of `planner_blocks`; the
/// head never goes faster than it can stop within the moves it knows, passes corners at the speed the junction
/// deviation allows (S. K. Jeon, "Improving Grbl's cornering algorithm", 2011), and speeds up and slows down evenly,
/// each axis within its own limits. Lines come at the link's rate into the receive buffer, and a move that came late is
/// waited for at rest; in the dialect of one line after the other each waits for the answer to the one before. Modes,
/// air, focus and dwell wait until the queue is empty. The head comes from where it waits
/// (MachineProfile::waiting_place). About n.
Timing time_of(const machine::Program& program, const machine::MachineProfile& machine);

/// The time to find home from a place of the bed, or from the farthest when it is not known: both axes go to their
/// switches at once, back off, touch again slowly and pull off. 0 without switches.
Duration homing_time(const machine::MachineProfile& machine, std::optional<geometry::Point> from);

/// What the axes allow along a direction of length 1.
struct AxisLimits {
    double rate;          ///< mm/s
    double acceleration;  ///< mm/s²
};
AxisLimits limits_along(geometry::Point way, const machine::MachineProfile& machine);

/// Speed at which the corner between two directions of length 1 is passed, mm/s; `slower` is the slower of both moves.
double corner_speed(geometry::Point before, geometry::Point after, double slower,
                    const machine::MachineProfile& machine);

/// Time of one straight move at rest on both ends, s. Lengths mm, speed mm/min, acceleration mm/s².
double straight_time(double length, double speed, double acceleration);

/// Distance to get from rest to a speed, mm.
double run_up_length(double speed, double acceleration);

}  // namespace chalkline::timing
