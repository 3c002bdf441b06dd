// SPDX-License-Identifier: GPL-3.0-or-later
#include "fill.hpp"

#include "hatcher.hpp"
#include "mapped_region.hpp"
#include "neighbourhoods.hpp"

#include <chalkline/planning/time_model.hpp>

#include <boost/geometry.hpp>
#include <boost/geometry/index/rtree.hpp>

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>
#include <numbers>
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

    /// Scan lines in their order. REQUIRES: rows ascend.
    std::vector<SweepLine> block_of(std::vector<LitRow> rows) const {
        if (!ascending()) std::reverse(rows.begin(), rows.end());
        std::vector<SweepLine> block;
        bool rightwards = starts_rightwards();
        for (LitRow& row : rows) {
            auto parts = split(clean(std::move(row.stretches)));
            if (parts.empty()) continue;
            if (!rightwards) std::reverse(parts.begin(), parts.end());
            for (const auto& part : parts)
                block.push_back(sweep(row.y, part, rightwards));
            if (fill_.both_ways) rightwards = !rightwards;
        }
        return block;
    }

    /// From a block to the same at another place of the level frame, on the bed. What is moved stays on its grid.
    Point moved_by(Point level) const {
        return to_bed_.direction({snapped(level.x, grid), level_on_bed() ? snapped(level.y, grid) : level.y});
    }

    /// Rows lie along a side of the bed: where they begin and end does not depend on how high they lie.
    bool along_a_side() const { return level_on_bed() || std::abs(to_bed_.a) < straight; }

    /// Scan lines of what lies in this part of the level frame have all the run-up they need. REQUIRES: along_a_side.
    bool has_run_up(const Box& level) const {
        const Stretch bed = on_bed(level.bottom);
        const double needed = run_up_ + run_up_grid + std::abs(fill_.shift.mm());
        return level.left - needed >= bed.from && level.right + needed <= bed.to;
    }

 private:
    bool level_on_bed() const { return std::abs(to_bed_.b) < straight; }

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

    SweepLine sweep(double y, const std::vector<LitStretch>& stretches, bool rightwards) const {
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
        return {to_bed_({rightwards ? left : right, row}), to_bed_({rightwards ? right : left, row}), std::move(along)};
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
void append_nearest_first(const std::vector<ScanBlocks::Block>& blocks, Point& from, ScanBlocks& scan) {
    std::vector<std::pair<RPoint, std::size_t>> places;
    for (std::size_t i = 0; i < blocks.size(); ++i) {
        const Point start = scan.patterns[blocks[i].pattern].front().start + blocks[i].by;
        places.emplace_back(RPoint(start.x, start.y), i);
    }
    bgi::rtree<std::pair<RPoint, std::size_t>, bgi::quadratic<16>> starts(places);
    while (!starts.empty()) {
        const auto nearest = *starts.qbegin(bgi::nearest(RPoint(from.x, from.y), 1));
        starts.remove(nearest);
        const ScanBlocks::Block& block = blocks[nearest.second];
        from = scan.patterns[block.pattern].back().end + block.by;
        scan.blocks.push_back(block);
    }
}

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
    BlockPatterns(const FillPlanner& planner, Hatcher& hatcher, ScanBlocks& scan)
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
    const FillPlanner& planner_;
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
    return mapped(*shape.drawn, Transform::move(shape.at.x, shape.at.y));
}

double run_up_of(const FillSettings& fill, double speed, const AxisLimits& axis) {
    return fill.run_up ? fill.run_up->mm() : run_up_length(speed, axis.acceleration) * 1.05 + 0.1;
}

ScanBlocks fill_blocks(const std::vector<FillShape>& shapes, const steps::StepSettings& settings,
                       const machine::MachineProfile& machine, Point from, const Watch& watch) {
    constexpr double degree = std::numbers::pi / 180;
    std::vector<double> angles{settings.fill.angle * degree};
    if (settings.fill.crossed) angles.push_back((settings.fill.angle + 90) * degree);
    ScanBlocks scan;
    for (const double angle : angles) {
        const FillPlanner planner(settings.line_pitch.mm(), settings.speed.mm_per_min(), settings.fill, angle, machine);
        Hatcher hatcher(planner.to_level(), settings.line_pitch.mm());
        BlockPatterns patterns(planner, hatcher, scan);
        std::vector<ScanBlocks::Block> blocks;
        for (const auto& together : sharing_lines(shapes, hatcher, planner.reach())) {
            if (watch.cancelled()) return {};
            if (const auto block = patterns.block_of(together)) blocks.push_back(*block);
        }
        append_nearest_first(blocks, from, scan);
    }
    return scan;
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

ScanBlocks picture_blocks(const std::vector<std::shared_ptr<const Proof>>& proofs, const steps::StepSettings& settings,
                          const machine::MachineProfile& machine, Point from, const Watch& watch) {
    const FillPlanner planner(settings.line_pitch.mm(), settings.speed.mm_per_min(), settings.fill,
                              settings.fill.angle * std::numbers::pi / 180, machine);
    std::vector<Box> boxes;
    for (const auto& proof : proofs)
        boxes.push_back(level_box(proof->frame));
    ScanBlocks scan;
    std::vector<ScanBlocks::Block> blocks;
    const auto add_block = [&](const std::vector<const Proof*>& together) {
        auto lines = planner.block_of(shared_rows(together));
        if (lines.empty()) return;
        blocks.push_back({scan.patterns.size(), {}, together.front()->motif});
        scan.patterns.push_back(std::move(lines));
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
    append_nearest_first(blocks, from, scan);
    return scan;
}

}  // namespace chalkline::planning
