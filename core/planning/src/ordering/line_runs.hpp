// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "shapes/line_groups.hpp"

namespace chalkline::planning {

/// Lines in the order they are burned. Runs that share `lines` are the same, moved.
struct LineRun {
    std::shared_ptr<const std::vector<OrderedLine>> lines;
    geometry::Point at;           ///< added to them
    std::vector<job::Id> motifs;  ///< what the lines' `motif` counts
};

/// How the lines of a step are gone along.
struct LinePace {
    double seconds_per_mm = 0;  ///< all passes
    double dark_mm_per_second = 1;
    bool back_and_forth = false;  ///< an open line ends where it began, because its passes are of even number
};

/// A step's lines as they are burned: inside before outside, and then by the shortest dark way or as drawn. Copies are
/// finished one after the other where they lie in rows, along these or their columns, unless going freely through the
/// lines of all would save more than a fiftieth of the time: what is stopped halfway then has whole pieces, and the
/// order within a copy is worked out once, not for each.
std::vector<LineRun> in_order(const LineWork& work, const steps::LineSettings& settings, const LinePace& pace,
                              geometry::Point from, const Watch& watch);

}  // namespace chalkline::planning
