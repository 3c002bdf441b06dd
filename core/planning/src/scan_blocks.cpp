// SPDX-License-Identifier: GPL-3.0-or-later
#include "scan_blocks.hpp"

#include <boost/geometry.hpp>
#include <boost/geometry/index/rtree.hpp>

#include <utility>

namespace chalkline::planning {

void append_nearest_first(const std::vector<ScanBlocks::Block>& blocks, geometry::Point& from, ScanBlocks& scan) {
    namespace bgi = boost::geometry::index;
    using Place = boost::geometry::model::point<double, 2, boost::geometry::cs::cartesian>;
    // A tree keeps this quick for thousands of loose shapes.
    std::vector<std::pair<Place, std::size_t>> places;
    for (std::size_t i = 0; i < blocks.size(); ++i) {
        const geometry::Point start = scan.patterns[blocks[i].pattern].front().start + blocks[i].by;
        places.emplace_back(Place(start.x, start.y), i);
    }
    bgi::rtree<std::pair<Place, std::size_t>, bgi::quadratic<16>> starts(places);
    while (!starts.empty()) {
        const auto nearest = *starts.qbegin(bgi::nearest(Place(from.x, from.y), 1));
        starts.remove(nearest);
        const ScanBlocks::Block& block = blocks[nearest.second];
        from = scan.patterns[block.pattern].back().end + block.by;
        scan.blocks.push_back(block);
    }
}

}  // namespace chalkline::planning
