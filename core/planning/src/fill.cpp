// SPDX-License-Identifier: GPL-3.0-or-later
#include "fill.hpp"

#include <chalkline/planning/time_model.hpp>

#include <boost/geometry.hpp>
#include <boost/geometry/index/rtree.hpp>

#include <algorithm>
#include <cmath>
#include <limits>
#include <numeric>
#include <optional>

namespace chalkline::planning {
namespace {

namespace bg = boost::geometry;
namespace bgi = boost::geometry::index;
using geometry::Box;
using geometry::Point;
using geometry::Stretch;
using RPoint = bg::model::point<double, 2, bg::cs::cartesian>;
using RBox = bg::model::box<RPoint>;

constexpr double grid = 0.01;        // mm: places of fill ends; finer costs bytes and is below any spot
constexpr double run_up_grid = 0.5;  // mm: run-up starts on round places, which are short to send

double snapped(double value, double step) {
    return std::round(value / step) * step;
}

/// Shapes that share scan lines, by union-find over boxes that come within `reach` of each other.
std::vector<std::vector<std::size_t>> neighbourhoods(const std::vector<FillShape>& shapes, double reach) {
    std::vector<std::size_t> parent(shapes.size());
    std::iota(parent.begin(), parent.end(), std::size_t{0});
    const auto root = [&](std::size_t i) {
        while (parent[i] != i)
            i = parent[i] = parent[parent[i]];
        return i;
    };
    const auto rbox = [](const Box& b) { return RBox({b.left, b.bottom}, {b.right, b.top}); };
    std::vector<std::pair<RBox, std::size_t>> items;
    for (std::size_t i = 0; i < shapes.size(); ++i)
        items.emplace_back(rbox(shapes[i].box), i);
    const bgi::rtree<std::pair<RBox, std::size_t>, bgi::rstar<16>> tree(items);
    for (std::size_t i = 0; i < shapes.size(); ++i) {
        // Only sideways: neighbours above or below share no scan line unless they overlap.
        const Box& b = shapes[i].box;
        const RBox near({b.left - reach, b.bottom}, {b.right + reach, b.top});
        for (auto found = tree.qbegin(bgi::intersects(near)); found != tree.qend(); ++found) {
            const std::size_t a = root(i), c = root(found->second);
            parent[std::max(a, c)] = std::min(a, c);
        }
    }
    std::vector<std::vector<std::size_t>> groups(shapes.size());
    for (std::size_t i = 0; i < shapes.size(); ++i)
        groups[root(i)].push_back(i);
    std::erase_if(groups, [](const auto& group) { return group.empty(); });
    return groups;
}

class FillPlanner {
 public:
    FillPlanner(double pitch, double speed, const machine::MachineProfile& machine)
        : pitch_(pitch),
          speed_(speed),
          machine_(machine),
          run_up_(run_up_length(speed, machine.acceleration_x) * 1.05 + 0.1) {}

    /// Shapes closer than this are joined: jumping between them would cost more than sweeping on.
    double reach() const { return 2 * run_up_ + 1; }

    std::vector<SweepLine> rows(std::vector<geometry::Region> regions, int motif) const {
        std::vector<SweepLine> lines;
        bool rightwards = true;
        for (geometry::ScanRow& row : geometry::hatch(regions, pitch_)) {
            auto parts = split(clean(std::move(row.stretches)));
            if (parts.empty()) continue;
            if (!rightwards) std::reverse(parts.begin(), parts.end());
            for (auto& part : parts)
                lines.push_back(sweep(row.y, std::move(part), rightwards, motif));
            rightwards = !rightwards;
        }
        return lines;
    }

 private:
    /// Ends on the grid; what vanishes there is dropped, what touches is joined.
    static std::vector<Stretch> clean(std::vector<Stretch> stretches) {
        std::vector<Stretch> result;
        for (const Stretch& s : stretches) {
            const Stretch r{snapped(s.from, grid), snapped(s.to, grid)};
            if (r.to - r.from < grid / 2) continue;
            if (!result.empty() && r.from <= result.back().to + grid / 2)
                result.back().to = r.to;
            else
                result.push_back(r);
        }
        return result;
    }

    bool quicker_jumped(double gap) const {
        if (gap <= 2 * run_up_) return false;
        const double swept = gap / (speed_ / 60);
        const double ramp = 2 * (speed_ / 60) / machine_.acceleration_x;
        return ramp + straight_time(gap - 2 * run_up_, machine_.max_rate_x, machine_.acceleration_x) < swept;
    }

    std::vector<std::vector<Stretch>> split(std::vector<Stretch> stretches) const {
        std::vector<std::vector<Stretch>> parts;
        for (const Stretch& s : stretches) {
            if (parts.empty() || quicker_jumped(s.from - parts.back().back().to)) parts.emplace_back();
            parts.back().push_back(s);
        }
        return parts;
    }

    SweepLine sweep(double y, std::vector<Stretch> stretches, bool rightwards, int motif) const {
        // The run-up never leaves the bed; there the beam's power simply follows a lower speed.
        double left = std::floor((stretches.front().from - run_up_) / run_up_grid) * run_up_grid;
        double right = std::ceil((stretches.back().to + run_up_) / run_up_grid) * run_up_grid;
        left = std::max(left, std::min(0.0, stretches.front().from));
        right = std::min(right, std::max(machine_.width, stretches.back().to));
        const double row = std::clamp(snapped(y, grid), 0.0, machine_.depth);
        return {row, rightwards ? left : right, rightwards ? right : left, std::move(stretches), motif};
    }

    double pitch_, speed_;
    const machine::MachineProfile& machine_;
    double run_up_;
};

}  // namespace

std::vector<SweepLine> fill_lines(std::vector<FillShape> shapes, double pitch, double speed,
                                  const machine::MachineProfile& machine, Point from, const Watch& watch) {
    const FillPlanner planner(pitch, speed, machine);
    std::vector<std::vector<SweepLine>> blocks;
    for (const auto& group : neighbourhoods(shapes, planner.reach())) {
        if (watch.cancelled()) return {};
        std::vector<geometry::Region> regions;
        for (const std::size_t i : group)
            regions.push_back(std::move(shapes[i].region));
        auto rows = planner.rows(std::move(regions), shapes[group.front()].motif);
        if (!rows.empty()) blocks.push_back(std::move(rows));
    }
    // The nearest block next, by its first row. An R-tree keeps this quick for thousands of loose shapes.
    bgi::rtree<std::pair<RPoint, std::size_t>, bgi::rstar<16>> starts;
    for (std::size_t i = 0; i < blocks.size(); ++i)
        starts.insert({RPoint(blocks[i].front().start, blocks[i].front().y), i});
    std::vector<SweepLine> ordered;
    while (!starts.empty()) {
        const auto nearest = *starts.qbegin(bgi::nearest(RPoint(from.x, from.y), 1));
        starts.remove(nearest);
        auto& block = blocks[nearest.second];
        from = {block.back().end, block.back().y};
        std::move(block.begin(), block.end(), std::back_inserter(ordered));
    }
    return ordered;
}

}  // namespace chalkline::planning
