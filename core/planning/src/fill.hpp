// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/progress.hpp>
#include <chalkline/geometry/region.hpp>
#include <chalkline/machine/profile.hpp>

#include <vector>

namespace chalkline::planning {

/// An area to fill and the motif it comes from.
struct FillShape {
    geometry::Region region;
    geometry::Box box;
    int motif;
};

/// One scan line to burn: dark from `start`, through the stretches in the direction of travel, dark to `end`.
struct SweepLine {
    double y;
    double start, end;
    std::vector<geometry::Stretch> stretches;  ///< ascending in x
    int motif;
};

/// The scan lines of one step in the order they are burned. Shapes near each other share their scan lines, others are
/// burned by themselves; a gap in a row that is quicker jumped than swept splits it.
std::vector<SweepLine> fill_lines(std::vector<FillShape> shapes, double pitch, double speed,
                                  const machine::MachineProfile& machine, geometry::Point from, const Watch& watch);

}  // namespace chalkline::planning
