// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/path.hpp>
#include <chalkline/planning/plan.hpp>

#include <vector>

namespace chalkline::planning {

/// A line to burn and the motif it comes from.
struct LineShape {
    geometry::Polyline line;
    int motif;
};

/// A line in the order and direction it is burned: a closed one turned so that it begins at its start.
struct OrderedLine {
    std::vector<geometry::Point> points;  ///< a closed line repeats its first point at the end
    bool closed;
    int motif;
};

/// Inside before outside always: a line inside a closed one comes before it. Among what may come next, the nearest
/// start (either end of an open line, any corner of a closed one), or the drawn order.
std::vector<OrderedLine> order_lines(std::vector<LineShape> lines, PathOrder order, geometry::Point from,
                                     const Watch& watch);

}  // namespace chalkline::planning
