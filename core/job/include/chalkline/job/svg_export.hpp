// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/job/job.hpp>

#include <string>

namespace chalkline::job {

/// The job's geometry as it lies on the bed, as an SVG 1.1 drawing in millimetres (viewBox of the bed, Y down): one
/// group for each step that burns something, named by its number and kind, what nothing burns in a last one. Fills are
/// filled in their ink, lines are 0.1 mm wide. Pictures are left out. The same job gives the same bytes.
std::string to_svg(const Job& job, double bed_width, double bed_depth);

}  // namespace chalkline::job
