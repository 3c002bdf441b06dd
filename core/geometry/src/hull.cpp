// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/geometry/hull.hpp>

#include <algorithm>

namespace chalkline::geometry {

std::vector<Point> convex_hull(std::vector<Point> points) {
    std::sort(points.begin(), points.end(), [](Point a, Point b) { return a.x < b.x || (a.x == b.x && a.y < b.y); });
    points.erase(std::unique(points.begin(), points.end()), points.end());
    if (points.size() < 3) return points;
    std::vector<Point> hull;
    const auto add_chain = [&hull](auto from, auto to) {
        const std::size_t begin = hull.size();
        for (auto p = from; p != to; ++p) {
            while (hull.size() >= begin + 2 && cross(hull.back() - hull[hull.size() - 2], *p - hull.back()) <= 0)
                hull.pop_back();
            hull.push_back(*p);
        }
        hull.pop_back();  // the next chain begins with it
    };
    add_chain(points.begin(), points.end());
    add_chain(points.rbegin(), points.rend());
    return hull;
}

}  // namespace chalkline::geometry
