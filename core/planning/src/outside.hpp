// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/region.hpp>

#include <algorithm>
#include <limits>
#include <utility>

namespace chalkline::planning {

/// Distance of a point outside an outline to its nearest side; 0 inside.
class Outside {
 public:
    explicit Outside(const geometry::Polyline& outline) : region_{{outline}, geometry::FillRule::non_zero} {
        // Nearly every point lies inside a piece without hollows, and that is quick to see.
        const auto& points = outline.points;
        for (std::size_t i = 0; i < points.size(); ++i) {
            const geometry::Point a = points[i], b = points[(i + 1) % points.size()],
                                  c = points[(i + 2) % points.size()];
            convex_ = convex_ && geometry::cross(b - a, c - b) >= -1e-9;
        }
    }
    bool convex() const { return convex_; }
    double by(geometry::Point p) const {
        const auto& points = region_.rings[0].points;
        const auto side = [&](std::size_t i) { return std::pair{points[i], points[(i + 1) % points.size()]}; };
        bool inside = convex_;
        for (std::size_t i = 0; inside && i < points.size(); ++i)
            inside = geometry::cross(side(i).second - side(i).first, p - side(i).first) >= 0;
        if (inside || (!convex_ && geometry::contains(region_, p))) return 0;
        double nearest = std::numeric_limits<double>::infinity();
        for (std::size_t i = 0; i < points.size(); ++i) {
            const auto [a, b] = side(i);
            nearest = std::min(nearest, geometry::distance(p, geometry::nearest_on_line(p, a, b)));
        }
        return nearest;
    }

 private:
    geometry::Region region_;
    bool convex_ = true;
};

}  // namespace chalkline::planning
