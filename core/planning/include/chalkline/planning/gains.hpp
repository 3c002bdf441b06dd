// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/planning/plan.hpp>

#include <optional>
#include <vector>

namespace chalkline::planning {

/// A change of one step that makes the job shorter, and by how much.
struct Gain {
    enum class Kind { both_ways, coarser_pitch, single_lines, shortest_order, shorter_run_up, reached_speed };
    Kind kind = Kind::both_ways;
    job::Id step = 0;
    steps::StepSettings settings;  ///< the step's with the change
    double seconds = 0;            ///< shorter by
};

/// What would make the job at least `least_gain` shorter, the most first; every one was planned. `plan` is the job's.
std::vector<Gain> gains(const job::Job& job, const Plan& plan, const machine::MachineProfile& machine,
                        const PlanOptions& options, const Watch& watch);
inline constexpr double least_gain = 4;  ///< s, and a fiftieth of the step

/// A step as it is and as it might be: what each comes to by itself. Nothing where one cannot be planned.
struct Comparison {
    StepReport before, after;
    double dose_before = 0, dose_after = 0;  ///< as steps::whole_dose
};
std::optional<Comparison> compare(const job::Job& job, job::Id step, const steps::StepSettings& other,
                                  const machine::MachineProfile& machine, const PlanOptions& options,
                                  const Watch& watch);

/// How a machine's burns went against their plans.
struct Correction {
    double factor = 1;
    int burns = 0;  ///< it was learned from; 0: none
};
/// The median of what the burns took against what was planned; burns of less than a minute say too little. The newest
/// `most_burns` count. Factors beyond all reason (a machine simulated at another speed) are left out.
struct Burned {
    double planned = 0, took = 0;  ///< s
};
Correction correction_from(const std::vector<Burned>& newest_first);
inline constexpr int most_burns = 10;

}  // namespace chalkline::planning
