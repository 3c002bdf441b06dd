// SPDX-License-Identifier: GPL-3.0-or-later
#include "shapes/neighbourhoods.hpp"

#include <boost/geometry.hpp>
#include <boost/geometry/index/rtree.hpp>

#include <algorithm>
#include <numeric>
#include <utility>

namespace chalkline::planning {

std::vector<std::vector<std::size_t>> neighbourhoods(const std::vector<geometry::Box>& boxes, double reach,
                                                     const std::function<bool(std::size_t, std::size_t)>& belong) {
    namespace bg = boost::geometry;
    namespace bgi = boost::geometry::index;
    using Corner = bg::model::point<double, 2, bg::cs::cartesian>;
    using Area = bg::model::box<Corner>;

    std::vector<std::size_t> parent(boxes.size());
    std::iota(parent.begin(), parent.end(), std::size_t{0});
    const auto root = [&](std::size_t i) {
        while (parent[i] != i)
            i = parent[i] = parent[parent[i]];
        return i;
    };
    std::vector<std::pair<Area, std::size_t>> items;
    for (std::size_t i = 0; i < boxes.size(); ++i)
        items.emplace_back(Area({boxes[i].left, boxes[i].bottom}, {boxes[i].right, boxes[i].top}), i);
    const bgi::rtree<std::pair<Area, std::size_t>, bgi::rstar<16>> tree(items);
    for (std::size_t i = 0; i < boxes.size(); ++i) {
        // Only sideways: neighbours above or below share no scan line unless they overlap.
        const geometry::Box& b = boxes[i];
        const Area near({b.left - reach, b.bottom}, {b.right + reach, b.top});
        for (auto found = tree.qbegin(bgi::intersects(near)); found != tree.qend(); ++found) {
            const std::size_t a = root(i), c = root(found->second);
            if (a != c && belong(i, found->second)) parent[std::max(a, c)] = std::min(a, c);
        }
    }
    std::vector<std::vector<std::size_t>> groups(boxes.size());
    for (std::size_t i = 0; i < boxes.size(); ++i)
        groups[root(i)].push_back(i);
    std::erase_if(groups, [](const auto& group) { return group.empty(); });
    return groups;
}

}  // namespace chalkline::planning
