// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/planning/plan.hpp>

#include <optional>
#include <string>
#include <vector>

namespace chalkline::planning {

enum class Severity { blocking, warning, info };

/// One thing looked at before a burn that is not as it should be.
struct Check {
    std::string code;
    Severity severity;
    Parameters parameters;
    std::optional<job::Id> step;
    std::optional<geometry::Point> place;  ///< bed, mm
};

namespace check {
inline constexpr std::string_view nothing_to_burn = "check.nothing-to-burn";
inline constexpr std::string_view off_bed = "check.off-bed";
inline constexpr std::string_view off_stock = "check.off-stock";
inline constexpr std::string_view cut_before_engrave = "check.cut-before-engrave";
inline constexpr std::string_view ink_without_step = "check.ink-without-step";
inline constexpr std::string_view settings = "check.settings";
inline constexpr std::string_view constant_beam = "check.constant-beam";
inline constexpr std::string_view narrower_than_kerf = "check.narrower-than-kerf";
}  // namespace check

/// All checks of a job on a machine, most severe first. Empty: nothing to say.
std::vector<Check> check_job(const job::Job& job, const machine::MachineProfile& machine);

/// What only the plan shows.
std::vector<Check> check_plan(const Plan& plan);

/// How far burned art sticks out of an outline, mm; 0 when it is inside. Left-out inks do not count.
double overhang(const job::Job& job, const geometry::Polyline& outline);

/// Box of what is burned (every shape whose ink has a step), bed mm.
geometry::Box burned_bounds(const job::Job& job);

}  // namespace chalkline::planning
