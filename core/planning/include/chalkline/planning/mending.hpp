// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/planning/checks.hpp>

namespace chalkline::planning {

namespace error {
inline constexpr std::string_view no_mending = "planning.no-mending";
}

/// Whether `mend` knows a remedy. What concerns the machine itself is mended there, not in the job.
bool can_mend(const Check& check);

/// The job after the remedy: in order, on the piece, within limits. What is mended this way no longer raises the check.
/// Error: no_mending when there is no way, such as art larger than the piece.
/// `lit`: as of `check_job`.
Result<job::Job> mend(const job::Job& job, const Check& check, const CheckGround& ground,
                      const std::vector<geometry::Point>& lit = {});

}  // namespace chalkline::planning
