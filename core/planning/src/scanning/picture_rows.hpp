// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "scanning/scan_blocks.hpp"

#include <chalkline/base/progress.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/planning/proof.hpp>
#include <chalkline/steps/step_settings.hpp>

#include <memory>
#include <vector>

namespace chalkline::planning {

/// The scan lines of pictures: rows of dots with run-up, what is bare skipped. A picture is worked row by row; which
/// comes first is the nearest to `from`.
ScanBlocks picture_blocks(const std::vector<std::shared_ptr<const Proof>>& proofs, const steps::StepSettings& settings,
                          const machine::MachineProfile& machine, geometry::Point from, const Watch& watch);

}  // namespace chalkline::planning
