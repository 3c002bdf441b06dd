// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/contract.hpp>
#include <chalkline/geometry/circle.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::geometry {
namespace {

bool holds(const Circle& circle, Point p) {
    return distance(circle.middle, p) <= circle.radius * (1 + 1e-12) + 1e-9;
}

Circle across(Point a, Point b) {
    return {(a + b) * 0.5, distance(a, b) / 2};
}

Circle round_three(Point a, Point b, Point c) {
    if (const auto circle = circle_through(a, b, c)) return *circle;
    // On one line: the two farthest of them.
    Circle widest = across(a, b);
    for (const Circle& other : {across(a, c), across(b, c)})
        if (other.radius > widest.radius) widest = other;
    return widest;
}

}  // namespace

std::optional<Circle> circle_through(Point a, Point b, Point c) {
    const Point ab = b - a, ac = c - a;
    const double twice = 2 * (ab.x * ac.y - ab.y * ac.x);
    if (std::abs(twice) < 1e-12) return {};
    const double b2 = ab.x * ab.x + ab.y * ab.y, c2 = ac.x * ac.x + ac.y * ac.y;
    const Point middle = a + Point{(ac.y * b2 - ab.y * c2) / twice, (ab.x * c2 - ac.x * b2) / twice};
    return Circle{middle, distance(middle, a)};
}

/// One point after the other (E. Welzl, "Smallest enclosing disks", 1991; here without chance).
Circle smallest_circle(const std::vector<Point>& points) {
    CHALKLINE_REQUIRES(!points.empty());
    Circle circle{points.front(), 0};
    for (std::size_t i = 1; i < points.size(); ++i) {
        if (holds(circle, points[i])) continue;
        circle = {points[i], 0};
        for (std::size_t j = 0; j < i; ++j) {
            if (holds(circle, points[j])) continue;
            circle = across(points[i], points[j]);
            for (std::size_t k = 0; k < j; ++k)
                if (!holds(circle, points[k])) circle = round_three(points[i], points[j], points[k]);
        }
    }
    return circle;
}

}  // namespace chalkline::geometry
