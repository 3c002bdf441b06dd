// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/progress.hpp>
#include <chalkline/geometry/point.hpp>
#include <chalkline/job/job.hpp>

#include <vector>

namespace chalkline::planning {

/// A lit piece of a scan line, mm along it, and its share of the step's power.
struct LitStretch {
    double from = 0, to = 0;
    float share = 1;
};

/// Ascending; those that touch differ in their share.
using LitStretches = std::vector<LitStretch>;

/// One scan line to burn: dark from `start`, through the stretches, dark to `end`.
struct SweepLine {
    geometry::Point start, end;
    LitStretches stretches;

    double lit_length() const;  ///< mm
};

/// The scan lines of one step: blocks in the order they are burned, each by its pattern, moved. A block may serve
/// several motifs that share their lines; it is said to be the first one's.
struct ScanBlocks {
    struct Block {
        std::size_t pattern;
        geometry::Point by;
        job::Id motif;
    };
    std::vector<std::vector<SweepLine>> patterns;
    std::vector<Block> blocks;
};

/// Adds blocks in the order they are burned, the shortest dark way from one to the next. `from`: where the head is,
/// before and after.
void append_shortest(const std::vector<ScanBlocks::Block>& blocks, geometry::Point& from, ScanBlocks& scan,
                     const Watch& watch);

}  // namespace chalkline::planning
