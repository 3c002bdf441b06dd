// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/units.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/machine/program.hpp>

#include <vector>

namespace chalkline::planning {

/// Seconds from the start until each operation is done. Every operation starts and ends at rest; inside a trace the
/// corners are passed at the speed the junction deviation allows (S. K. Jeon, "Improving Grbl's cornering algorithm",
/// 2011), with a look-ahead over the whole trace and trapezoids between.
std::vector<double> operation_ends(const machine::Program& program, const machine::MachineProfile& machine);

/// Time of one straight move at rest on both ends, s. Lengths mm, speed mm/min, acceleration mm/s².
double straight_time(double length, double speed, double acceleration);

/// Highest speed such a move reaches, mm/min.
double reached_speed(double length, double speed, double acceleration);

/// Distance to get from rest to a speed, mm.
double run_up_length(double speed, double acceleration);

}  // namespace chalkline::planning
