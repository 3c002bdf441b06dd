// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>

#include <optional>
#include <vector>

namespace chalkline::geometry {

struct Circle {
    Point middle;
    double radius = 0;
};

/// Through three points; none where they lie on one line.
std::optional<Circle> circle_through(Point a, Point b, Point c);

/// The smallest one round all points. REQUIRES: at least one point. About n for the points of a hull, n³ at worst.
Circle smallest_circle(const std::vector<Point>& points);

}  // namespace chalkline::geometry
