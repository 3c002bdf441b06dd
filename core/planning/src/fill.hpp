// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/progress.hpp>
#include <chalkline/geometry/region.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/planning/proof.hpp>
#include <chalkline/planning/time_model.hpp>
#include <chalkline/steps/step_settings.hpp>

#include <memory>
#include <vector>

namespace chalkline::planning {

/// Length of the run-up before and after a scan line, mm: as set, or what the speed needs on the axis and a little
/// more.
double run_up_of(const steps::FillSettings& fill, double speed, const AxisLimits& axis);

/// An area to fill: as it is drawn, one for all copies that lie the same way, where this one lies, and its motif.
struct FillShape {
    std::shared_ptr<const geometry::Region> drawn;
    geometry::Point at;  ///< added to what is drawn
    geometry::Box box;   ///< on the bed
    job::Id motif;
};
/// The shape's own region on the bed.
geometry::Region on_bed(const FillShape& shape);

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

/// The scan lines of areas. Copies are hatched once, and what repeats is one pattern. Shapes near each other share
/// their scan lines where that is quicker than turning round twice, others are burned by themselves; a gap in a row
/// that is quicker jumped than swept splits it. Run-ups never leave the bed.
ScanBlocks fill_blocks(const std::vector<FillShape>& shapes, const steps::StepSettings& settings,
                       const machine::MachineProfile& machine, geometry::Point from, const Watch& watch);

/// The scan lines of pictures: rows of dots with run-up, what is bare skipped. A picture is worked row by row; which
/// comes first is the nearest to `from`.
ScanBlocks picture_blocks(const std::vector<std::shared_ptr<const Proof>>& proofs, const steps::StepSettings& settings,
                          const machine::MachineProfile& machine, geometry::Point from, const Watch& watch);

}  // namespace chalkline::planning
