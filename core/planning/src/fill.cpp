// SPDX-License-Identifier: GPL-3.0-or-later
#include "fill.hpp"

#include "hatcher.hpp"
#include "mapped_region.hpp"

#include <chalkline/planning/time_model.hpp>

#include <boost/geometry.hpp>
#include <boost/geometry/index/rtree.hpp>

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>
#include <numbers>
#include <numeric>
#include <optional>

namespace chalkline::planning {
namespace {

namespace bg = boost::geometry;
namespace bgi = boost::geometry::index;
using geometry::Box;
using geometry::Point;
using geometry::Stretch;
using geometry::Transform;
using steps::FillSettings;
using RPoint = bg::model::point<double, 2, bg::cs::cartesian>;
using RBox = bg::model::box<RPoint>;

constexpr double grid = 0.01;        // mm: places of fill ends; finer costs bytes and is below any spot
constexpr double straight = 1e-9;    // a direction's part that is none
constexpr double run_up_grid = 0.5;  // mm: run-up starts on round places, which are short to send

double snapped(double value, double step) {
    return std::round(value / step) * step;
}

/// What shares scan lines, by union-find over boxes that come within `reach` of each other.
std::vector<std::vector<std::size_t>> neighbourhoods(const std::vector<Box>& boxes, double reach) {
    std::vector<std::size_t> parent(boxes.size());
    std::iota(parent.begin(), parent.end(), std::size_t{0});
    const auto root = [&](std::size_t i) {
        while (parent[i] != i)
            i = parent[i] = parent[parent[i]];
        return i;
    };
    const auto rbox = [](const Box& b) { return RBox({b.left, b.bottom}, {b.right, b.top}); };
    std::vector<std::pair<RBox, std::size_t>> items;
    for (std::size_t i = 0; i < boxes.size(); ++i)
        items.emplace_back(rbox(boxes[i]), i);
    const bgi::rtree<std::pair<RBox, std::size_t>, bgi::rstar<16>> tree(items);
    for (std::size_t i = 0; i < boxes.size(); ++i) {
        // Only sideways: neighbours above or below share no scan line unless they overlap.
        const Box& b = boxes[i];
        const RBox near({b.left - reach, b.bottom}, {b.right + reach, b.top});
        for (auto found = tree.qbegin(bgi::intersects(near)); found != tree.qend(); ++found) {
            const std::size_t a = root(i), c = root(found->second);
            parent[std::max(a, c)] = std::min(a, c);
        }
    }
    std::vector<std::vector<std::size_t>> groups(boxes.size());
    for (std::size_t i = 0; i < boxes.size(); ++i)
        groups[root(i)].push_back(i);
    std::erase_if(groups, [](const auto& group) { return group.empty(); });
    return groups;
}

/// Plans in a frame where the scan lines lie level; `to_bed` turns it back.
class FillPlanner {
 public:
    FillPlanner(double pitch, double speed, const FillSettings& fill, double angle,
                const machine::MachineProfile& machine)
        : pitch_(pitch),
          speed_(speed),
          fill_(fill),
          bed_(machine.bed()),
          to_bed_(Transform::turn(angle)),
          axis_(limits_along(to_bed_.direction({1, 0}), machine)),
          run_up_(run_up_of(fill, speed, axis_)) {}

    Transform to_level() const { return to_bed_.inverse(); }

    /// Shapes closer than this are joined: a row's end costs stopping and starting, twice the time to speed each.
    double reach() const { return 2 * speed_ / 60 * speed_ / 60 / axis_.acceleration + 1; }

    /// Scan lines in their order, and the level row each lies in.
    struct Block {
        std::vector<SweepLine> lines;
        std::vector<double> rows;
    };

    /// REQUIRES: rows ascend.
    Block block_of(std::vector<LitRow> rows, int motif) const {
        if (!ascending()) std::reverse(rows.begin(), rows.end());
        Block block;
        bool rightwards = starts_rightwards();
        for (LitRow& row : rows) {
            auto parts = split(clean(std::move(row.stretches)));
            if (parts.empty()) continue;
            if (!rightwards) std::reverse(parts.begin(), parts.end());
            for (const auto& part : parts) {
                block.lines.push_back(sweep(row.y, part, rightwards, motif));
                block.rows.push_back(row.y);
            }
            if (fill_.both_ways) rightwards = !rightwards;
        }
        return block;
    }

    /// The same lines so much higher. REQUIRES: level_on_bed.
    std::vector<SweepLine> lines_above(const Block& block, double by, int motif) const {
        std::vector<SweepLine> lines = block.lines;
        for (std::size_t i = 0; i < lines.size(); ++i) {
            SweepLine& line = lines[i];
            const double row = row_at(block.rows[i] + by);
            line.start.y = line.end.y = to_bed_({0, row}).y;
            line.motif = motif;
        }
        return lines;
    }

    /// Rows lie level on the bed itself: where they begin and end does not depend on how high they lie.
    bool level_on_bed() const { return std::abs(to_bed_.b) < straight; }

 private:
    /// Rows from low to high in the level frame.
    bool ascending() const {
        const Point up = to_bed_.direction({0, 1});
        const bool rows_climb = std::abs(up.y) > 1e-6;
        switch (fill_.first) {
            case FillSettings::First::bottom:
                return rows_climb ? up.y > 0 : up.x > 0;
            case FillSettings::First::top:
                return rows_climb ? up.y < 0 : up.x < 0;
            case FillSettings::First::left:
                return std::abs(up.x) > 1e-6 ? up.x > 0 : up.y > 0;
            case FillSettings::First::right:
                return std::abs(up.x) > 1e-6 ? up.x < 0 : up.y > 0;
        }
        return true;
    }
    bool starts_rightwards() const {
        const Point along = to_bed_.direction({1, 0});
        return fill_.first != FillSettings::First::right || std::abs(along.y) > 1e-6 || along.x < 0;
    }

    /// Ends on the grid; what vanishes there is dropped, what touches is joined.
    static std::vector<LitStretch> clean(const std::vector<LitStretch>& stretches) {
        std::vector<LitStretch> result;
        for (const LitStretch& s : stretches) {
            const LitStretch r{snapped(s.from, grid), snapped(s.to, grid), s.share};
            if (r.to - r.from < grid / 2) continue;
            const bool touches = !result.empty() && r.from <= result.back().to + grid / 2;
            if (touches && result.back().share == r.share)
                result.back().to = r.to;
            else
                result.push_back(r);
        }
        return result;
    }

    bool quicker_jumped(double gap) const {
        if (gap <= 2 * run_up_) return false;
        const double swept = gap / (speed_ / 60);
        const double ramp = 2 * (speed_ / 60) / axis_.acceleration;
        return ramp + straight_time(gap - 2 * run_up_, axis_.rate * 60, axis_.acceleration) < swept;
    }

    std::vector<std::vector<LitStretch>> split(const std::vector<LitStretch>& stretches) const {
        std::vector<std::vector<LitStretch>> parts;
        for (const LitStretch& s : stretches) {
            if (parts.empty() || quicker_jumped(s.from - parts.back().back().to)) parts.emplace_back();
            parts.back().push_back(s);
        }
        return parts;
    }

    /// The part of the level line at `y` that lies on the bed.
    Stretch on_bed(double y) const {
        Stretch part{-1e9, 1e9};
        const Point at = to_bed_({0, y}), way = to_bed_.direction({1, 0});
        const auto clip = [&](double place, double step, double low, double high) {
            if (std::abs(step) < straight) return;
            const double a = (low - place) / step, b = (high - place) / step;
            part.from = std::max(part.from, std::min(a, b));
            part.to = std::min(part.to, std::max(a, b));
        };
        clip(at.x, way.x, bed_.left, bed_.right);
        clip(at.y, way.y, bed_.bottom, bed_.top);
        return part;
    }

    SweepLine sweep(double y, const std::vector<LitStretch>& stretches, bool rightwards, int motif) const {
        const double row = row_at(y);
        const double shift = rightwards ? 0 : fill_.shift.mm();
        const double first = stretches.front().from + shift, last = stretches.back().to + shift;
        // The run-up never leaves the bed; there the beam's power simply follows a lower speed.
        const Stretch bed = on_bed(row);
        const double left =
            std::max(std::floor((first - run_up_) / run_up_grid) * run_up_grid, std::min(bed.from, first));
        const double right = std::min(std::ceil((last + run_up_) / run_up_grid) * run_up_grid, std::max(bed.to, last));
        LitStretches along;
        along.reserve(stretches.size());
        for (const LitStretch& s : stretches)
            along.push_back(rightwards ? LitStretch{s.from + shift - left, s.to + shift - left, s.share}
                                       : LitStretch{right - s.to - shift, right - s.from - shift, s.share});
        if (!rightwards) std::reverse(along.begin(), along.end());
        return {to_bed_({rightwards ? left : right, row}), to_bed_({rightwards ? right : left, row}),
                std::make_shared<const LitStretches>(std::move(along)), motif};
    }

    /// Where a row is really burned.
    double row_at(double y) const {
        if (!level_on_bed()) return y;
        const double low = std::min(to_bed_.d * bed_.bottom, to_bed_.d * bed_.top);
        const double high = std::max(to_bed_.d * bed_.bottom, to_bed_.d * bed_.top);
        return std::clamp(snapped(y, grid), low, high);
    }

    double pitch_, speed_;
    const FillSettings& fill_;
    Box bed_;
    Transform to_bed_;
    AxisLimits axis_;
    double run_up_;
};

/// Blocks in turn, the nearest next by its first row. An R-tree keeps this quick for thousands of loose shapes.
void append_nearest_first(std::vector<std::vector<SweepLine>> blocks, Point& from, std::vector<SweepLine>& ordered) {
    std::vector<std::pair<RPoint, std::size_t>> places;
    for (std::size_t i = 0; i < blocks.size(); ++i)
        places.emplace_back(RPoint(blocks[i].front().start.x, blocks[i].front().start.y), i);
    bgi::rtree<std::pair<RPoint, std::size_t>, bgi::rstar<16>> starts(places);
    while (!starts.empty()) {
        const auto nearest = *starts.qbegin(bgi::nearest(RPoint(from.x, from.y), 1));
        starts.remove(nearest);
        auto& block = blocks[nearest.second];
        from = block.back().end;
        std::move(block.begin(), block.end(), std::back_inserter(ordered));
    }
}

/// Blocks planned before, and how high they lie.
using KnownBlocks = std::map<Hatcher::Pattern, std::pair<FillPlanner::Block, double>>;

/// The scan lines of shapes that share them. What repeats higher up is only moved.
std::vector<SweepLine> lines_of(const FillPlanner& planner, Hatcher& hatcher,
                                const std::vector<const FillShape*>& shapes, KnownBlocks& known) {
    const int motif = shapes.front()->motif;
    const auto repeated = planner.level_on_bed() ? hatcher.pattern_of(shapes) : std::nullopt;
    if (!repeated) return planner.block_of(hatcher.rows(shapes), motif).lines;
    const auto [found, fresh] = known.try_emplace(repeated->pattern);
    auto& [block, height] = found->second;
    if (fresh) {
        block = planner.block_of(hatcher.rows(shapes), motif);
        height = repeated->up;
        return block.lines;
    }
    return planner.lines_above(block, repeated->up - height, motif);
}

}  // namespace

geometry::Region on_bed(const FillShape& shape) {
    return mapped(*shape.drawn, Transform::move(shape.at.x, shape.at.y));
}

double run_up_of(const FillSettings& fill, double speed, const AxisLimits& axis) {
    return fill.run_up ? fill.run_up->mm() : run_up_length(speed, axis.acceleration) * 1.05 + 0.1;
}

std::vector<SweepLine> fill_lines(const std::vector<FillShape>& shapes, const steps::StepSettings& settings,
                                  const machine::MachineProfile& machine, Point from, const Watch& watch) {
    constexpr double degree = std::numbers::pi / 180;
    std::vector<double> angles{settings.fill.angle * degree};
    if (settings.fill.crossed) angles.push_back((settings.fill.angle + 90) * degree);
    std::vector<SweepLine> ordered;
    for (const double angle : angles) {
        const FillPlanner planner(settings.line_pitch.mm(), settings.speed.mm_per_min(), settings.fill, angle, machine);
        Hatcher hatcher(planner.to_level(), settings.line_pitch.mm());
        KnownBlocks known;
        std::vector<std::vector<SweepLine>> blocks;
        std::vector<Box> boxes;
        for (const FillShape& shape : shapes)
            boxes.push_back(hatcher.box_of(shape));
        for (const auto& group : neighbourhoods(boxes, planner.reach())) {
            if (watch.cancelled()) return {};
            std::vector<const FillShape*> together;
            for (const std::size_t i : group)
                together.push_back(&shapes[i]);
            auto lines = lines_of(planner, hatcher, together, known);
            if (!lines.empty()) blocks.push_back(std::move(lines));
        }
        append_nearest_first(std::move(blocks), from, ordered);
    }
    return ordered;
}

namespace {

Box level_box(const DotFrame& frame) {
    return {frame.left, frame.bottom, frame.left + frame.columns * frame.across,
            frame.bottom + frame.rows * frame.pitch};
}

/// The lit stretches of one row of dots; runs of the same level are one.
std::vector<LitStretch> stretches_of(const Proof& proof, int row) {
    std::vector<LitStretch> stretches;
    const std::uint8_t* levels = proof.dots.row(row);
    for (int x = 0; x < proof.dots.width;) {
        const int first = x;
        while (x < proof.dots.width && levels[x] == levels[first])
            ++x;
        if (levels[first] > 0)
            stretches.push_back({proof.frame.left + first * proof.frame.across,
                                 proof.frame.left + x * proof.frame.across, static_cast<float>(levels[first]) / 255});
    }
    return stretches;
}

bool any_overlap(const std::vector<Box>& boxes) {
    for (std::size_t i = 0; i < boxes.size(); ++i)
        for (std::size_t j = 0; j < i; ++j)
            if (boxes[i].left < boxes[j].right && boxes[j].left < boxes[i].right && boxes[i].bottom < boxes[j].top &&
                boxes[j].bottom < boxes[i].top)
                return true;
    return false;
}

/// The rows of pictures that lie side by side, as one; their lines lie on the same multiples of the pitch.
std::vector<LitRow> shared_rows(std::vector<const Proof*> proofs) {
    std::sort(proofs.begin(), proofs.end(),
              [](const Proof* a, const Proof* b) { return a->frame.left < b->frame.left; });
    std::map<long, LitRow> rows;
    for (const Proof* proof : proofs)
        for (int y = 0; y < proof->dots.height; ++y) {
            const double middle = proof->frame.row_middle(y);
            auto stretches = stretches_of(*proof, y);
            if (stretches.empty()) continue;
            auto& row =
                rows.try_emplace(std::lround(middle / proof->frame.pitch * 2), middle, std::vector<LitStretch>())
                    .first->second;
            row.stretches.insert(row.stretches.end(), stretches.begin(), stretches.end());
        }
    std::vector<LitRow> ascending;
    for (auto& [place, row] : rows)
        ascending.push_back(std::move(row));
    return ascending;
}

}  // namespace

std::vector<SweepLine> picture_lines(const std::vector<std::shared_ptr<const Proof>>& proofs,
                                     const steps::StepSettings& settings, const machine::MachineProfile& machine,
                                     Point from, const Watch& watch) {
    const FillPlanner planner(settings.line_pitch.mm(), settings.speed.mm_per_min(), settings.fill,
                              settings.fill.angle * std::numbers::pi / 180, machine);
    std::vector<Box> boxes;
    for (const auto& proof : proofs)
        boxes.push_back(level_box(proof->frame));
    std::vector<std::vector<SweepLine>> blocks;
    const auto add_block = [&](const std::vector<const Proof*>& together) {
        auto block = planner.block_of(shared_rows(together), together.front()->motif);
        if (!block.lines.empty()) blocks.push_back(std::move(block.lines));
    };
    for (const auto& group : neighbourhoods(boxes, planner.reach())) {
        if (watch.cancelled()) return {};
        std::vector<const Proof*> together;
        std::vector<Box> theirs;
        for (const std::size_t i : group) {
            together.push_back(proofs[i].get());
            theirs.push_back(boxes[i]);
        }
        // What lies over one another burns twice, each by itself.
        if (!any_overlap(theirs))
            add_block(together);
        else
            for (const Proof* alone : together)
                add_block({alone});
    }
    std::vector<SweepLine> ordered;
    append_nearest_first(std::move(blocks), from, ordered);
    return ordered;
}

}  // namespace chalkline::planning
