// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>

#include <array>
#include <optional>

namespace chalkline::geometry {

/// How a plane looks in a photograph taken from anywhere: straight lines stay straight. Row by row; the last is 1.
struct Homography {
    std::array<double, 9> m{1, 0, 0, 0, 1, 0, 0, 0, 1};
    /// REQUIRES: the place is not on the horizon.
    Point operator()(Point p) const;
};

/// Takes each of four places to its counterpart; none where three of either four lie on one line. Solved as a linear
/// system of eight (Hartley and Zisserman, Multiple View Geometry, chapter 4).
std::optional<Homography> homography(const std::array<Point, 4>& from, const std::array<Point, 4>& to);

}  // namespace chalkline::geometry
