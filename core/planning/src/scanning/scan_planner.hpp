// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "scanning/scan_blocks.hpp"

#include <chalkline/geometry/region.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/steps/step_settings.hpp>
#include <chalkline/timing/time_model.hpp>

#include <vector>

namespace chalkline::planning {

/// Length of the run-up before and after a scan line, mm: as set, or what the speed needs on the axis and a little
/// more.
double run_up_of(const steps::FillSettings& fill, double speed, const timing::AxisLimits& axis);

/// A row of the level frame and what burns in it.
struct LitRow {
    double y;
    LitStretches stretches;
};

/// Makes scan lines of what burns in rows. It works in a level frame, in which the rows lie level.
class ScanPlanner {
 public:
    /// `angle`: of the rows on the bed, radians. REQUIRES: settings outlive it.
    ScanPlanner(const steps::StepSettings& settings, double angle, const machine::MachineProfile& machine);

    geometry::Transform to_level() const { return to_bed_.inverse(); }

    /// Shapes closer than this are joined: a row's end costs stopping and starting, twice the time to speed each.
    double reach() const { return 2 * speed_ / 60 * speed_ / 60 / axis_.acceleration + 1; }

    /// Scan lines in their order, run-up included; a gap that is quicker jumped than swept splits a row. REQUIRES: rows
    /// ascend.
    std::vector<SweepLine> block_of(std::vector<LitRow> rows) const;

    /// From a block to the same at another place of the level frame, on the bed. What is moved stays on its grid.
    geometry::Point moved_by(geometry::Point level) const;
    /// Rows lie along a side of the bed: where they begin and end does not depend on how high they lie.
    bool along_a_side() const;
    /// Scan lines of what lies in this part of the level frame have all the run-up they need. REQUIRES: along_a_side.
    bool has_run_up(const geometry::Box& level) const;

 private:
    bool level_on_bed() const;
    bool ascending() const;
    bool starts_rightwards() const;
    bool quicker_jumped(double gap) const;
    std::vector<LitStretches> split(const LitStretches& stretches) const;
    geometry::Stretch on_bed(double y) const;
    SweepLine sweep(double y, const LitStretches& stretches, bool rightwards) const;
    double row_at(double y) const;

    double speed_;  ///< mm/min
    const steps::FillSettings& fill_;
    geometry::Box bed_;
    geometry::Transform to_bed_;
    timing::AxisLimits axis_;
    double run_up_;  ///< mm
};

}  // namespace chalkline::planning
