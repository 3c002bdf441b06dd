// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/progress.hpp>
#include <chalkline/planning/plan.hpp>

#include <vector>

namespace chalkline::planning {

/// A place that gets clearly more than what its step usually lays down: lines that cross or lie on one another, a
/// constant beam slow in a corner.
struct HotSpot {
    geometry::Point place;  ///< bed, mm
    double times = 1;       ///< of the step's usual dose
    double size = 0;        ///< mm²
    job::Id step = 0;       ///< that laid down most of it
};

/// Energy per area that a plan lays on the bed, in square cells. Row 0 is the nearest, column 0 the leftmost.
struct DoseGrid {
    geometry::Point corner;  ///< of cell 0, 0, bed mm
    double cell = 0.5;       ///< mm
    int columns = 0, rows = 0;
    std::vector<float> dose;   ///< mJ/mm²
    std::vector<HotSpot> hot;  ///< hottest first, at most `most_hot`

    float at(int column, int row) const {
        return dose[static_cast<std::size_t>(row) * static_cast<std::size_t>(columns) +
                    static_cast<std::size_t>(column)];
    }
    static constexpr std::size_t most_hot = 12;
};

/// Power that follows the speed lays down the same per length everywhere; constant power as long as the head takes by
/// the plan's times. About the number of cells and of moves.
DoseGrid dose_of(const Plan& plan, const machine::MachineProfile& machine, double cell, const Watch& watch);

}  // namespace chalkline::planning
