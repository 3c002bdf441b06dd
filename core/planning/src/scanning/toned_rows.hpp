// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "scanning/scan_planner.hpp"

namespace chalkline::planning {

/// Sets the shares of rows in dots: as many of each stretch burn fully as its share says, by the step's own dither.
/// Full stretches stay whole, and every stretch ends where it ended. The rows lie on multiples of the line pitch from
/// the first.
void set_in_dots(std::vector<LitRow>& rows, const steps::StepSettings& settings);

}  // namespace chalkline::planning
