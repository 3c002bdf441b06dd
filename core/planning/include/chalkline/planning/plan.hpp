// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/progress.hpp>
#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/machine/program.hpp>
#include <chalkline/planning/flat_job.hpp>
#include <chalkline/planning/proof_shelf.hpp>
#include <chalkline/timing/time_model.hpp>

#include <memory>
#include <optional>
#include <vector>

namespace chalkline::planning {

namespace error {
inline constexpr std::string_view off_bed = "planning.off-bed";
inline constexpr std::string_view nothing_to_burn = "planning.nothing-to-burn";
inline constexpr std::string_view no_rotary = "planning.no-rotary";
inline constexpr std::string_view not_turning = "planning.not-turning";
}  // namespace error

struct PlanOptions {
    std::optional<job::Ids> only_steps{};   ///< these alone are burned
    std::optional<job::Ids> only_motifs{};  ///< of these alone
    std::shared_ptr<ProofShelf> shelf{};    ///< proofs made before; none: all are made anew

    bool wants_step(job::Id step) const;
    bool wants_motif(job::Id motif) const;
};

/// What one step comes to.
struct StepReport {
    job::Id step = 0;
    Duration time;
    double burn = 0, travel = 0;  ///< mm, all passes
    double area = 0;              ///< mm² inked by the scan lines of one pass; 0 for lines
    double reached_speed = 0;     ///< highest speed reached while burning, mm/min
    timing::SpeedLimit limit = timing::SpeedLimit::none;
    int narrow = 0;  ///< outlines that are narrower than the kerf and vanished
};

/// A program and what is known of it before it burns.
struct Plan {
    machine::Program program;
    std::vector<StepReport> steps;     ///< in run order; steps without anything to burn are absent
    geometry::Box burn_box, move_box;  ///< bed, mm
    Duration total;
    double burn = 0, travel = 0;                       ///< mm
    std::vector<std::shared_ptr<const Proof>> proofs;  ///< of the pictures that burn
    std::vector<double> finished_at;                   ///< per operation: seconds from the start until it is done
};

/// The whole job as one program: steps that are on in run order, each as its settings say; in a step inside before
/// outside and the shortest dark way. Everything is deterministic. Times by time_model.hpp.
/// `machine`: as the job finds it (job/round_piece.hpp).
/// Errors: art beyond the bed, nothing to burn, a round piece on a machine without a rotary, cancelled.
Result<Plan> plan(const job::Job& job, const machine::MachineProfile& machine, const PlanOptions& options = {},
                  const Watch& watch = {});
/// The same where the job is checked, too.
Result<Plan> plan(FlatJob& job, const machine::MachineProfile& machine, const PlanOptions& options = {},
                  const Watch& watch = {});

/// The same for a program that was planned before: its lengths, boxes and times, worked out from its operations.
/// Areas are not known.
Plan plan_of(machine::Program program, const machine::MachineProfile& machine);

}  // namespace chalkline::planning
