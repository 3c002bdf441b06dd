// SPDX-License-Identifier: GPL-3.0-or-later
// The checks by what they look at. Each adds what it finds.
#pragma once
#include "checks/burned_lines.hpp"

#include <chalkline/planning/checks.hpp>
#include <chalkline/recipes/library.hpp>

namespace chalkline::planning {

/// The job with what several checks need of it, worked out once.
struct Examined {
    const job::Job& job;
    const CheckGround& ground;
    std::vector<BurnedLine> lines;     ///< the art, drawn where it lies
    std::vector<geometry::Point> lit;  ///< where it burns: ends of the program's lit moves; the art's without a program
};
/// `lit`: of the job's program; empty: there is none.
Examined examine(FlatJob& job, const CheckGround& ground, const std::vector<geometry::Point>& lit);
Examined examine(const job::Job& job, const CheckGround& ground, const std::vector<geometry::Point>& lit);

void check_place(const Examined& examined, std::vector<Check>& found);
void check_order(const Examined& examined, std::vector<Check>& found);
void check_steps(const Examined& examined, std::vector<Check>& found);
void check_evidence(const Examined& examined, std::vector<Check>& found);

/// The later of two burned lines lies inside the earlier one, which cuts it loose.
struct LooseInner {
    const BurnedLine *outer, *inner;
};
std::optional<LooseInner> loose_inner(const Examined& examined);

/// Where each doubled shape stands: number of the first and of the one that repeats it.
std::vector<std::pair<std::size_t, std::size_t>> doubled_shapes(const Examined& examined);

/// Direction and length of a fill's run-up.
geometry::Point run_up_way(const steps::StepSettings& settings, const machine::MachineProfile& machine);
/// How far the run-up of any fill would leave the bed, mm, and where.
Overhang missing_run_up(const Examined& examined, std::size_t step);

/// What is known for a step of the job on its piece; count 0 without a piece or recipes.
recipes::Known known_for(const job::Job& job, const job::Step& step, const CheckGround& ground);

/// Energy per area from which a fill is called hot whatever the material, mJ/mm².
inline constexpr double hot_dose = 5000;
/// How far a dose or a speed may lie from all evidence before it is said.
inline constexpr double far_dose = 3, far_speed = 5;

}  // namespace chalkline::planning
