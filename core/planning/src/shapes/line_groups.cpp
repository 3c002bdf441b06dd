// SPDX-License-Identifier: GPL-3.0-or-later
#include "shapes/line_groups.hpp"

#include "shapes/neighbourhoods.hpp"

#include <cmath>
#include <map>
#include <tuple>

namespace chalkline::planning {
namespace {

using geometry::Box;
using geometry::Point;

/// What a group is made of, and how far from its first: thousandths of a micrometre apart is the same.
using Makeup = std::vector<std::tuple<const LineShapes*, std::int64_t, std::int64_t>>;

std::int64_t nanometres(double mm) {
    return std::llround(mm * 1e6);
}

void move(LineShape& shape, Point by) {
    for (Point& p : shape.line.points)
        p = p + by;
    for (Point& p : shape.bridges)
        p = p + by;
}

/// What only touches its neighbour does not lie over it.
Box just_within(const Box& box) {
    constexpr double touch = 0.001;  // mm
    const double across = box.width() > 4 * touch ? touch : 0, up = box.height() > 4 * touch ? touch : 0;
    return {box.left + across, box.bottom + up, box.right - across, box.top - up};
}

}  // namespace

Box LineWork::box() const {
    Box all;
    for (const LineGroup& group : groups)
        all.add(patterns[group.pattern].box.moved(group.at));
    return all;
}

LineShapes moved(LineShapes lines, Point by) {
    for (LineShape& shape : lines)
        move(shape, by);
    return lines;
}

LineWork grouped(const std::vector<DrawnLines>& drawn) {
    std::vector<Box> boxes;
    for (const DrawnLines& one : drawn)
        boxes.push_back(just_within(one.box).moved(one.at));
    LineWork work;
    std::map<Makeup, std::size_t> known;
    for (const auto& together : neighbourhoods(boxes, 0)) {
        LineGroup group{0, drawn[together.front()].at, {}};
        Makeup makeup;
        for (const std::size_t i : together) {
            const Point away = drawn[i].at - group.at;
            makeup.emplace_back(drawn[i].lines.get(), nanometres(away.x), nanometres(away.y));
            group.motifs.push_back(drawn[i].motif);
        }
        const auto [found, fresh] = known.try_emplace(std::move(makeup), work.patterns.size());
        group.pattern = found->second;
        if (fresh) {
            LineWork::Pattern& pattern = work.patterns.emplace_back();
            for (std::size_t k = 0; k < together.size(); ++k) {
                const DrawnLines& one = drawn[together[k]];
                for (LineShape shape : *one.lines) {
                    shape.motif = static_cast<int>(k);
                    move(shape, one.at - group.at);
                    pattern.lines.push_back(std::move(shape));
                }
                pattern.box.add(one.box.moved(one.at - group.at));
            }
        }
        ++work.patterns[group.pattern].copies;
        work.groups.push_back(std::move(group));
    }
    return work;
}

}  // namespace chalkline::planning
