// SPDX-License-Identifier: GPL-3.0-or-later
#include "ordering/line_runs.hpp"

#include "ordering/copy_route.hpp"

#include <algorithm>
#include <map>
#include <set>
#include <utility>

namespace chalkline::planning {
namespace {

using geometry::Point;

constexpr int fewest_copies = 6;         // of fewer, all lines are gone through freely
constexpr double worth_of_order = 0.02;  // share of a copy's time that finishing it before the next may cost

/// Lines of several groups as one run on the bed.
class Loose {
 public:
    void add(const LineWork::Pattern& pattern, const LineGroup& group) {
        const auto first = static_cast<int>(motifs_.size());
        motifs_.insert(motifs_.end(), group.motifs.begin(), group.motifs.end());
        const bool copy = !seen_.insert(&pattern).second;
        for (LineShape& shape : moved(pattern.lines, group.at)) {
            shape.motif += first;
            shape.copy = copy;
            lines_.push_back(std::move(shape));
        }
    }
    bool empty() const { return lines_.empty(); }
    LineRun in_order(bool one_by_one, bool back_and_forth, Point from, const Watch& watch) && {
        auto lines = shortest_order(std::move(lines_), one_by_one, back_and_forth, {from, {}}, watch);
        return {std::make_shared<const std::vector<OrderedLine>>(std::move(lines)), {}, std::move(motifs_)};
    }

 private:
    LineShapes lines_;
    std::vector<job::Id> motifs_;
    std::set<const LineWork::Pattern*> seen_;
};

/// The copies one after the other; nothing when they lie anyhow, or going freely through their lines is worth more.
std::optional<CopyRoute::Way> one_after_the_other(const LineWork::Pattern& pattern, const std::vector<Point>& places,
                                                  bool one_by_one, const LinePace& pace, Point from,
                                                  const Watch& watch) {
    CopyRoute route(pattern.lines, pattern.box, places, one_by_one, pace.back_and_forth, watch);
    auto way = route.shortest(from);
    if (!way) return {};
    double length = 0;
    for (const LineShape& shape : pattern.lines)
        length += geometry::length(shape.line);
    const double burns = length * pace.seconds_per_mm;  // s, a copy
    const auto dark = [&](double mm) { return mm / pace.dark_mm_per_second; };
    // Nobody can save more than all of the dark way.
    if (watch.cancelled() || dark(way->dark) <= worth_of_order * burns * static_cast<double>(places.size())) return way;
    const auto trial = route.tried_freely(*way, from);
    if (!trial) return way;
    const double takes = burns * static_cast<double>(trial->copies) + dark(trial->freely);
    if (dark(trial->one_after_the_other - trial->freely) > worth_of_order * takes) return {};
    return way;
}

std::vector<LineRun> shortest(const LineWork& work, bool one_by_one, const LinePace& pace, Point& from,
                              const Watch& watch) {
    std::vector<std::vector<const LineGroup*>> groups(work.patterns.size());
    for (const LineGroup& group : work.groups)
        groups[group.pattern].push_back(&group);
    std::vector<LineRun> runs;
    std::vector<bool> done(work.patterns.size(), false);
    for (std::size_t i = 0; i < groups.size(); ++i) {
        const LineWork::Pattern& pattern = work.patterns[i];
        if (pattern.copies < fewest_copies || pattern.lines.empty()) continue;
        std::vector<Point> places;
        for (const LineGroup* group : groups[i])
            places.push_back(group->at);
        const auto way = one_after_the_other(pattern, places, one_by_one, pace, from, watch);
        if (!way) continue;
        done[i] = true;
        from = way->end;
        for (const CopyRoute::Visit& visit : way->visits)
            runs.push_back({visit.lines, places[visit.copy], groups[i][visit.copy]->motifs});
    }
    Loose loose;
    for (const LineGroup& group : work.groups)
        if (!done[group.pattern]) loose.add(work.patterns[group.pattern], group);
    if (!loose.empty()) runs.push_back(std::move(loose).in_order(one_by_one, pace.back_and_forth, from, watch));
    if (!runs.empty() && !runs.back().lines->empty())
        from = runs.back().at + left_at(runs.back().lines->back(), pace.back_and_forth);
    return runs;
}

/// The lines inside others, or those that are not.
LineWork enclosed(LineWork work, bool inside) {
    for (LineWork::Pattern& pattern : work.patterns)
        std::erase_if(pattern.lines, [&](const LineShape& shape) { return (shape.depth > 0) != inside; });
    return work;
}

std::vector<LineRun> as_drawn(const LineWork& work) {
    std::map<std::size_t, std::shared_ptr<const std::vector<OrderedLine>>> known;
    std::vector<LineRun> runs;
    for (const LineGroup& group : work.groups) {
        auto& lines = known[group.pattern];
        if (!lines)
            lines = std::make_shared<const std::vector<OrderedLine>>(drawn_order(work.patterns[group.pattern].lines));
        runs.push_back({lines, group.at, group.motifs});
    }
    return runs;
}

}  // namespace

std::vector<LineRun> in_order(const LineWork& work, const steps::LineSettings& settings, const LinePace& pace,
                              Point from, const Watch& watch) {
    using Parts = steps::LineSettings::Parts;
    if (settings.order == steps::LineSettings::Order::as_drawn) return as_drawn(work);
    if (settings.parts != Parts::holes_first)
        return shortest(work, settings.parts == Parts::one_by_one, pace, from, watch);
    auto runs = shortest(enclosed(work, true), false, pace, from, watch);
    for (LineRun& run : shortest(enclosed(work, false), false, pace, from, watch))
        runs.push_back(std::move(run));
    return runs;
}

}  // namespace chalkline::planning
