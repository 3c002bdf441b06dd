// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "scanning/scan_blocks.hpp"
#include "shapes/line_work.hpp"

#include <chalkline/planning/plan.hpp>

#include <optional>
#include <vector>

namespace chalkline::planning {

/// What was added at one place and may be added again at others (machine::Passage).
struct RepeatablePassage {
    machine::Passage range;
    geometry::Point at, before;  ///< where the head stands after it, and the place it came from
    bool lit = false;            ///< its last move burned
    bool cut_off = false;        ///< part of it was pushed back onto the bed: it is no pattern for others
    geometry::Box burn_box, move_box;
    double burn = 0, travel = 0;  ///< mm, without the way there
    std::int32_t pass = 0;        ///< the one it began in
    std::vector<job::Id> motifs;  ///< all it serves
};

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

    void add_line(const Strokes& line, job::Id motif);
    void add_sweep(const SweepLine& line, job::Id motif);
    /// So many operations follow: room for them is taken at once.
    void expect(std::size_t operations);

    /// What is added from here to the end of the passage may be repeated. REQUIRES: it begins with the way there, and
    /// holds lines or sweeps of these motifs and one step only.
    void begin_passage();
    RepeatablePassage end_passage(std::vector<job::Id> motifs);
    /// The passage again, moved by so much, for other motifs, as many in the same order. False, and nothing is added:
    /// some of it would not lie on the bed.
    bool repeat(const RepeatablePassage& passage, geometry::Point by, const std::vector<job::Id>& motifs);

    /// What was added since the last call.
    StepReport take_report();

 private:
    machine::PowerValue share_of_power(float share) const;
    geometry::Point within_bed(geometry::Point p);
    void travel_to(geometry::Point to);
    bool quicker_rapid(double length) const;
    machine::Sweep runs_of(const SweepLine& line, double whole);
    /// The operation at another place, its points too.
    void shift(machine::Operation& operation, geometry::Point by);
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
    /// The passage that was begun, and what there was before it.
    struct OpenPassage {
        machine::Passage range;
        std::int32_t pass;
        StepReport report;
        geometry::Box burn_box, move_box;
        std::optional<double> way_there{};  ///< mm
        bool cut_off = false;
    };
    std::optional<OpenPassage> open_;
    std::uint32_t patterns_ = 0;
    machine::BeamMode mode_ = machine::BeamMode::off;
    std::optional<steps::StepSettings> falling_;  ///< the power falls with the speed in corners
    double base_ = 0, lower_ = 0, focus_ = 0;     ///< mm
    StepReport report_;
};

}  // namespace chalkline::planning
