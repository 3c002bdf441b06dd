// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/region.hpp>

namespace chalkline::planning {

/// The region somewhere else, turned or scaled.
inline geometry::Region mapped(geometry::Region region, const geometry::Transform& map) {
    for (geometry::Polyline& ring : region.rings)
        for (geometry::Point& p : ring.points)
            p = map(p);
    return region;
}

}  // namespace chalkline::planning
