// SPDX-License-Identifier: GPL-3.0-or-later
// Boxes in a tree, to find what lies near (Boost.Geometry's R-tree).
#pragma once
#include <chalkline/geometry/point.hpp>

#include <boost/geometry/geometries/box.hpp>
#include <boost/geometry/geometries/point_xy.hpp>
#include <boost/geometry/index/rtree.hpp>

#include <utility>

namespace chalkline::geometry {

using TreePoint = boost::geometry::model::d2::point_xy<double>;
using TreeBox = boost::geometry::model::box<TreePoint>;
using BoxTree = boost::geometry::index::rtree<std::pair<TreeBox, std::size_t>, boost::geometry::index::quadratic<16>>;

inline TreeBox tree_box(const Box& box) {
    return {{box.left, box.bottom}, {box.right, box.top}};
}
inline auto touching(const Box& box) {
    return boost::geometry::index::intersects(tree_box(box));
}

}  // namespace chalkline::geometry
