// SPDX-License-Identifier: GPL-3.0-or-later
#include "scanning/scan_blocks.hpp"

#include <chalkline/planning/tour.hpp>

namespace chalkline::planning {

double SweepLine::lit_length() const {
    double length = 0;
    for (const LitStretch& s : stretches)
        length += s.to - s.from;
    return length;
}

void append_shortest(const std::vector<ScanBlocks::Block>& blocks, geometry::Point& from, ScanBlocks& scan,
                     const Watch& watch) {
    std::vector<Stop> stops;
    std::vector<bool> seen(scan.patterns.size(), false);
    for (const ScanBlocks::Block& block : blocks) {
        const std::vector<SweepLine>& lines = scan.patterns[block.pattern];
        Stop& stop =
            stops.emplace_back(Stop{{lines.front().start + block.by, lines.back().end + block.by}, true, true});
        stop.copy = seen[block.pattern];
        seen[block.pattern] = true;
    }
    for (const Visit& visit : short_tour(stops, from, watch)) {
        scan.blocks.push_back(blocks[visit.stop]);
        from = stops[visit.stop].doors[1];
    }
}

}  // namespace chalkline::planning
