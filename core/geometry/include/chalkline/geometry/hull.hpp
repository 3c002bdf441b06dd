// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>

#include <vector>

namespace chalkline::geometry {

/// The corners of the convex hull, counter-clockwise, without points on its sides (A. M. Andrew, "Another efficient
/// algorithm for convex hulls in two dimensions", 1979). The box of the hull is the box of the points under any affine
/// map, which makes boxes of turned drawings cheap.
std::vector<Point> convex_hull(std::vector<Point> points);

}  // namespace chalkline::geometry
