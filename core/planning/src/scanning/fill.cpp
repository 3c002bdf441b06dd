// SPDX-License-Identifier: GPL-3.0-or-later
#include "scanning/fill.hpp"

#include "scanning/hatcher.hpp"
#include "scanning/scan_planner.hpp"
#include "scanning/toned_rows.hpp"
#include "shapes/neighbourhoods.hpp"

#include <algorithm>
#include <map>
#include <numbers>
#include <optional>

namespace chalkline::planning {
namespace {

using geometry::Box;
using geometry::Point;
using Shapes = std::vector<const FillShape*>;

bool share_lines(const Box& a, const Box& b, double reach) {
    return a.left - reach <= b.right && b.left - reach <= a.right && a.bottom <= b.top && b.bottom <= a.top;
}

/// Shapes of one motif that share scan lines with each other, and with none of its others.
struct Unit {
    Shapes shapes;
    std::vector<Box> boxes;  ///< level, of the shapes
    Box box;                 ///< of all

    Unit moved(const FillShape* first, const FillShape* to, Point by) const {
        Unit other{{}, {}, box.moved(by)};
        for (const FillShape* shape : shapes)
            other.shapes.push_back(to + (shape - first));
        for (const Box& one : boxes)
            other.boxes.push_back(one.moved(by));
        return other;
    }
    bool shares_lines_with(const Unit& other, double reach) const {
        std::vector<Box> near;
        for (const Box& one : boxes)
            if (share_lines(one, other.box, reach)) near.push_back(one);
        return !near.empty() && std::any_of(other.boxes.begin(), other.boxes.end(), [&](const Box& one) {
            return share_lines(one, box, reach) && std::any_of(near.begin(), near.end(), [&](const Box& mine) {
                       return share_lines(one, mine, reach);
                   });
        });
    }
};

/// The units of one motif: `count` shapes from `first` on.
std::vector<Unit> units_of(const FillShape* first, std::size_t count, Hatcher& hatcher, double reach) {
    std::vector<Box> boxes;
    for (std::size_t i = 0; i < count; ++i)
        boxes.push_back(hatcher.box_of(first[i]));
    std::vector<Unit> units;
    for (const auto& near : neighbourhoods(boxes, reach)) {
        Unit& unit = units.emplace_back();
        for (const std::size_t i : near) {
            unit.shapes.push_back(first + i);
            unit.boxes.push_back(boxes[i]);
            unit.box.add(boxes[i]);
        }
    }
    return units;
}

/// Groups of shapes that come within `reach` of one another along their rows. Each drawing is looked at once, and then
/// only where units of several motifs come near each other.
std::vector<Shapes> sharing_lines(const std::vector<FillShape>& shapes, Hatcher& hatcher, double reach) {
    struct Known {
        const FillShape* first;
        std::vector<Unit> units;
    };
    std::map<std::vector<const geometry::Region*>, Known> known;
    std::vector<Unit> units;
    for (std::size_t begin = 0, end = 0; begin < shapes.size(); begin = end) {
        std::vector<const geometry::Region*> drawn;
        for (end = begin; end < shapes.size() && shapes[end].motif == shapes[begin].motif; ++end)
            drawn.push_back(shapes[end].drawn.get());
        const FillShape* first = &shapes[begin];
        const auto [found, fresh] = known.try_emplace(std::move(drawn));
        if (fresh) found->second = {first, units_of(first, end - begin, hatcher, reach)};
        const Known& kind = found->second;
        const Point by = hatcher.level_place(*first) - hatcher.level_place(*kind.first);
        for (const Unit& unit : kind.units)
            units.push_back(unit.moved(kind.first, first, by));
    }
    std::vector<Box> boxes;
    for (const Unit& unit : units)
        boxes.push_back(unit.box);
    std::vector<Shapes> groups;
    for (const auto& near : neighbourhoods(boxes, reach, [&](std::size_t a, std::size_t b) {
             return units[a].shapes.front()->motif != units[b].shapes.front()->motif &&
                    units[a].shares_lines_with(units[b], reach);
         })) {
        Shapes& group = groups.emplace_back();
        for (const std::size_t i : near)
            group.insert(group.end(), units[i].shapes.begin(), units[i].shapes.end());
        std::sort(group.begin(), group.end());
    }
    return groups;
}

/// Finds the patterns of shapes that share their scan lines.
class BlockPatterns {
 public:
    /// `in_dots`: the settings of a step whose shares are set in dots; null: shares are power.
    BlockPatterns(const ScanPlanner& planner, Hatcher& hatcher, const steps::StepSettings* in_dots, ScanBlocks& scan)
        : planner_(planner), hatcher_(hatcher), in_dots_(in_dots), scan_(scan) {}

    /// The block of these shapes; nothing when none of their rows can be burned. What comes again is only moved.
    std::optional<ScanBlocks::Block> block_of(const Shapes& shapes) {
        const job::Id motif = shapes.front()->motif;
        const auto repeated = planner_.along_a_side() ? hatcher_.pattern_of(shapes) : std::nullopt;
        const auto key = repeated ? std::optional(key_of(*repeated)) : std::nullopt;
        if (const auto known = key ? known_.find(*key) : known_.end(); known != known_.end())
            return ScanBlocks::Block{known->second.first, planner_.moved_by(repeated->at - known->second.second),
                                     motif};
        auto rows = hatcher_.rows(shapes);
        if (in_dots_) set_in_dots(rows, *in_dots_);
        auto lines = planner_.block_of(std::move(rows));
        if (lines.empty()) return {};
        if (repeated) known_.try_emplace(*key, scan_.patterns.size(), repeated->at);
        scan_.patterns.push_back(std::move(lines));
        return ScanBlocks::Block{scan_.patterns.size() - 1, {}, motif};
    }

 private:
    const ScanPlanner& planner_;
    Hatcher& hatcher_;
    const steps::StepSettings* in_dots_;
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
    return geometry::mapped(*shape.drawn, geometry::Transform::move(shape.at.x, shape.at.y));
}

ScanBlocks fill_blocks(const std::vector<FillShape>& shapes, const CoverPile& covers,
                       const steps::StepSettings& settings, const machine::MachineProfile& machine, Point from,
                       const Watch& watch) {
    constexpr double degree = std::numbers::pi / 180;
    std::vector<double> angles{settings.fill.angle * degree};
    if (settings.fill.crossed) angles.push_back((settings.fill.angle + 90) * degree);
    const bool in_dots = settings.fill.tones == steps::FillSettings::Tones::dots;
    ScanBlocks scan;
    for (const double angle : angles) {
        const ScanPlanner planner(settings, angle, machine);
        Hatcher hatcher(planner.to_level(), settings.line_pitch.mm(), covers);
        BlockPatterns patterns(planner, hatcher, in_dots ? &settings : nullptr, scan);
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
