// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "fill.hpp"
#include "line_work.hpp"

#include <chalkline/planning/plan.hpp>

#include <map>
#include <memory>
#include <optional>
#include <utility>

namespace chalkline::planning {

/// Appends operations to a plan's program and keeps account of lengths and boxes.
/// REQUIRES: plan and machine outlive it.
class ProgramBuilder {
 public:
    ProgramBuilder(Plan& plan, const machine::MachineProfile& machine) : plan_(plan), machine_(machine) {}

    /// Where the head stands now.
    geometry::Point at() const { return at_; }

    void begin_step(std::int32_t step, const steps::StepSettings& settings);
    /// The focus as low as the pass asks.
    void begin_pass(int pass);
    void end_step();
    void end();

    void add_line(const Strokes& line, int motif);
    void add_sweep(const SweepLine& line);
    /// So many scan lines follow: room for them is taken at once.
    void expect_sweeps(std::size_t count);

    /// What was added since the last call.
    StepReport take_report();

 private:
    machine::PowerValue share_of_power(float share) const;
    geometry::Point within_bed(geometry::Point p) const;
    void travel_to(geometry::Point to);
    machine::Sweep runs_of(const SweepLine& line, double whole);
    void add_trace(const std::vector<geometry::Point>& points, machine::PowerValue power);
    void focus_at(double height);
    template <class Act>
    void add(Act act);

    Plan& plan_;
    const machine::MachineProfile& machine_;
    machine::Origin origin_;
    Speed speed_;
    machine::PowerValue power_ = 0, lowest_ = 0;
    geometry::Point at_, before_;                     ///< where the head stands, and the place it came from
    bool moved_ = false, air_ = false, lit_ = false;  ///< lit: the last move burned
    machine::BeamMode mode_ = machine::BeamMode::off;
    /// The runs of scan lines that have copies, by their stretches and whole length, mm.
    std::map<std::pair<std::shared_ptr<const LitStretches>, double>, machine::Sweep> runs_of_copies_;
    std::optional<steps::StepSettings> falling_;  ///< the power falls with the speed in corners
    double base_ = 0, lower_ = 0, focus_ = 0;     ///< mm
    StepReport report_;
};

}  // namespace chalkline::planning
