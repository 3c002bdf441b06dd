// SPDX-License-Identifier: GPL-3.0-or-later
#include "fill.hpp"

#include "hatcher.hpp"
#include "mapped_region.hpp"
#include "neighbourhoods.hpp"
#include "scan_planner.hpp"

#include <algorithm>
#include <map>
#include <numbers>
#include <optional>

namespace chalkline::planning {
namespace {

using geometry::Box;
using geometry::Point;
using Shapes = std::vector<const FillShape*>;

/// Groups of shapes that come within `reach` of one another along their rows.
std::vector<Shapes> sharing_lines(const Shapes& shapes, Hatcher& hatcher, double reach) {
    std::vector<Box> boxes;
    for (const FillShape* shape : shapes)
        boxes.push_back(hatcher.box_of(*shape));
    std::vector<Shapes> groups;
    for (const auto& near : neighbourhoods(boxes, reach)) {
        Shapes& group = groups.emplace_back();
        for (const std::size_t i : near)
            group.push_back(shapes[i]);
    }
    return groups;
}

bool share_lines(const Box& a, const Box& b, double reach) {
    return a.left - reach <= b.right && b.left - reach <= a.right && a.bottom <= b.top && b.bottom <= a.top;
}

/// Some of the shapes share lines with some of the others. `box`, `other_box`: all of either.
bool share_lines(const Shapes& shapes, const Box& box, const Shapes& others, const Box& other_box, Hatcher& hatcher,
                 double reach) {
    std::vector<Box> near;
    for (const FillShape* other : others)
        if (const Box one = hatcher.box_of(*other); share_lines(one, box, reach)) near.push_back(one);
    return std::any_of(shapes.begin(), shapes.end(), [&](const FillShape* shape) {
        const Box one = hatcher.box_of(*shape);
        return share_lines(one, other_box, reach) &&
               std::any_of(near.begin(), near.end(), [&](const Box& other) { return share_lines(one, other, reach); });
    });
}

/// The same for the shapes of many motifs, those of one motif after another. Each drawing is looked at once; where
/// groups of several motifs come near each other, so are they.
std::vector<Shapes> sharing_lines(const std::vector<FillShape>& shapes, Hatcher& hatcher, double reach) {
    struct Unit {
        std::vector<std::size_t> shapes;  ///< from the motif's first
        Box box;                          ///< level, without the motif's place
    };
    std::map<std::vector<const geometry::Region*>, std::vector<Unit>> known;
    std::vector<Shapes> units;
    std::vector<Box> boxes;
    for (std::size_t first = 0, next = 0; first < shapes.size(); first = next) {
        std::vector<const geometry::Region*> drawn;
        Shapes all;
        for (next = first; next < shapes.size() && shapes[next].motif == shapes[first].motif; ++next) {
            drawn.push_back(shapes[next].drawn.get());
            all.push_back(&shapes[next]);
        }
        const auto [found, fresh] = known.try_emplace(std::move(drawn));
        const Point at = hatcher.level_place(shapes[first]);
        if (fresh)
            for (const Shapes& group : sharing_lines(all, hatcher, reach)) {
                Unit& unit = found->second.emplace_back();
                for (const FillShape* shape : group) {
                    unit.shapes.push_back(static_cast<std::size_t>(shape - &shapes[first]));
                    unit.box.add(hatcher.box_of(*shape).moved(Point() - at));
                }
            }
        for (const Unit& unit : found->second) {
            boxes.push_back(unit.box.moved(at));
            Shapes& group = units.emplace_back();
            for (const std::size_t i : unit.shapes)
                group.push_back(all[i]);
        }
    }
    std::vector<Shapes> groups;
    for (const auto& near : neighbourhoods(boxes, reach, [&](std::size_t a, std::size_t b) {
             return share_lines(units[a], boxes[a], units[b], boxes[b], hatcher, reach);
         })) {
        Shapes& group = groups.emplace_back(std::move(units[near.front()]));
        for (std::size_t i = 1; i < near.size(); ++i)
            group.insert(group.end(), units[near[i]].begin(), units[near[i]].end());
        if (near.size() > 1) std::sort(group.begin(), group.end());
    }
    return groups;
}

/// Finds the patterns of shapes that share their scan lines.
class BlockPatterns {
 public:
    BlockPatterns(const ScanPlanner& planner, Hatcher& hatcher, ScanBlocks& scan)
        : planner_(planner), hatcher_(hatcher), scan_(scan) {}

    /// The block of these shapes; nothing when none of their rows can be burned. What comes again is only moved.
    std::optional<ScanBlocks::Block> block_of(const Shapes& shapes) {
        const job::Id motif = shapes.front()->motif;
        const auto repeated = planner_.along_a_side() ? hatcher_.pattern_of(shapes) : std::nullopt;
        if (repeated)
            if (const auto known = known_.find(key_of(*repeated)); known != known_.end())
                return ScanBlocks::Block{known->second.first, planner_.moved_by(repeated->at - known->second.second),
                                         motif};
        auto lines = planner_.block_of(hatcher_.rows(shapes));
        if (lines.empty()) return {};
        if (repeated) known_.try_emplace(key_of(*repeated), scan_.patterns.size(), repeated->at);
        scan_.patterns.push_back(std::move(lines));
        return ScanBlocks::Block{scan_.patterns.size() - 1, {}, motif};
    }

 private:
    const ScanPlanner& planner_;
    Hatcher& hatcher_;
    ScanBlocks& scan_;
    /// What is near the bed's side has less run-up there: it repeats at that distance only.
    using Key = std::pair<Hatcher::Pattern, std::optional<double>>;
    Key key_of(const Hatcher::PatternAt& found) const {
        return {found.pattern, planner_.has_run_up(found.box) ? std::nullopt : std::optional(found.at.x)};
    }
    std::map<Key, std::pair<std::size_t, Point>>
        known_;  ///< index of the pattern, and where it lies in the level frame
};

}  // namespace

geometry::Region on_bed(const FillShape& shape) {
    return mapped(*shape.drawn, geometry::Transform::move(shape.at.x, shape.at.y));
}

ScanBlocks fill_blocks(const std::vector<FillShape>& shapes, const steps::StepSettings& settings,
                       const machine::MachineProfile& machine, Point from, const Watch& watch) {
    constexpr double degree = std::numbers::pi / 180;
    std::vector<double> angles{settings.fill.angle * degree};
    if (settings.fill.crossed) angles.push_back((settings.fill.angle + 90) * degree);
    ScanBlocks scan;
    for (const double angle : angles) {
        const ScanPlanner planner(settings, angle, machine);
        Hatcher hatcher(planner.to_level(), settings.line_pitch.mm());
        BlockPatterns patterns(planner, hatcher, scan);
        std::vector<ScanBlocks::Block> blocks;
        for (const auto& together : sharing_lines(shapes, hatcher, planner.reach())) {
            if (watch.cancelled()) return {};
            if (const auto block = patterns.block_of(together)) blocks.push_back(*block);
        }
        append_shortest(blocks, from, scan, watch);
    }
    return scan;
}

}  // namespace chalkline::planning
