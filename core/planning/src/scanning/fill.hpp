// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "scanning/scan_blocks.hpp"
#include "shapes/covers.hpp"

#include <chalkline/base/progress.hpp>
#include <chalkline/geometry/region.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/steps/step_settings.hpp>

#include <memory>
#include <vector>

namespace chalkline::planning {

/// An area to fill: as it is drawn, one for all copies that lie the same way, where this one lies, and its motif.
struct FillShape {
    std::shared_ptr<const geometry::Region> drawn;
    geometry::Point at;  ///< added to what is drawn
    geometry::Box box;   ///< on the bed
    job::Id motif;
    PaintOrder order{over_all, 0};
    double ink = 1;  ///< share of full tone, 0 bare
};
/// The shape's own region on the bed.
geometry::Region on_bed(const FillShape& shape);

/// The scan lines of areas. Copies are hatched once, and what repeats is one pattern. Shapes near each other share
/// their scan lines where that is quicker than turning round twice, others are burned by themselves; a gap in a row
/// that is quicker jumped than swept splits it. What lies under a cover is left out. Run-ups never leave the bed.
ScanBlocks fill_blocks(const std::vector<FillShape>& shapes, const CoverPile& covers,
                       const steps::StepSettings& settings, const machine::MachineProfile& machine,
                       geometry::Point from, const Watch& watch);

}  // namespace chalkline::planning
