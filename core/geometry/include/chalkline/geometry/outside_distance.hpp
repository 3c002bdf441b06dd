// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/region.hpp>

#include <algorithm>
#include <limits>
#include <utility>
#include <vector>

namespace chalkline::geometry {

/// Distance of a point outside an outline to its nearest side; 0 inside.
class OutsideDistance {
 public:
    explicit OutsideDistance(const Polyline& outline) : region_{{outline}, FillRule::non_zero} {
        // Nearly every point lies inside a piece without hollows, and that is quick to see.
        const auto& points = outline.points;
        for (std::size_t i = 0; i < points.size(); ++i) {
            const Point a = points[i], b = points[(i + 1) % points.size()], c = points[(i + 2) % points.size()];
            convex_ = convex_ && cross(b - a, c - b) >= -1e-9;
        }
    }
    bool convex() const { return convex_; }
    double by(Point p) const {
        const auto& points = region_.rings[0].points;
        const auto side = [&](std::size_t i) { return std::pair{points[i], points[(i + 1) % points.size()]}; };
        bool inside = convex_;
        for (std::size_t i = 0; inside && i < points.size(); ++i)
            inside = cross(side(i).second - side(i).first, p - side(i).first) >= 0;
        if (inside || (!convex_ && contains(region_, p))) return 0;
        double nearest = std::numeric_limits<double>::infinity();
        for (std::size_t i = 0; i < points.size(); ++i) {
            const auto [a, b] = side(i);
            nearest = std::min(nearest, distance(p, nearest_on_line(p, a, b)));
        }
        return nearest;
    }

 private:
    Region region_;
    bool convex_ = true;
};

/// The point farthest outside an outline, and how far; 0 when all lie inside, but for what is lost in rounding.
struct FarthestOutside {
    double by = 0;
    Point place;
};
inline FarthestOutside farthest_outside(const std::vector<Point>& points, const Polyline& outline) {
    constexpr double rounding = 0.005;  // mm
    FarthestOutside worst;
    const OutsideDistance outside(outline);
    for (const Point p : points)
        if (const double by = outside.by(p); by > worst.by) worst = {by, p};
    return worst.by > rounding ? worst : FarthestOutside{};
}

}  // namespace chalkline::geometry
