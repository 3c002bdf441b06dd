// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/machine/profile.hpp>
#include <chalkline/steps/step_settings.hpp>

#include <vector>

namespace chalkline::planning {

/// A piece of a lit stroke with its own power.
struct PoweredPiece {
    std::vector<geometry::Point> points;  ///< through these, from where the head stands
    Power power;
};

/// A lit stroke under a constant beam, cut where the head slows down for its corners and ends: the power falls with the
/// speed from `settings.power` at the asked speed to `settings.low_power` at rest, in eight steps.
/// REQUIRES: settings.low_power.
std::vector<PoweredPiece> with_corner_power(geometry::Point from, const std::vector<geometry::Point>& points,
                                            const steps::StepSettings& settings,
                                            const machine::MachineProfile& machine);

}  // namespace chalkline::planning
