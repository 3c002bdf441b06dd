// SPDX-License-Identifier: GPL-3.0-or-later
#include "ordering/path_order.hpp"

#include <chalkline/geometry/region.hpp>
#include <chalkline/planning/tour.hpp>

#include <boost/geometry.hpp>
#include <boost/geometry/index/rtree.hpp>

#include <algorithm>
#include <numeric>

namespace chalkline::planning {
namespace {

namespace bg = boost::geometry;
namespace bgi = boost::geometry::index;
using geometry::Box;
using geometry::Point;
using geometry::Polyline;
using EPoint = bg::model::point<double, 2, bg::cs::cartesian>;
using EBox = bg::model::box<EPoint>;

/// The line with its door for a start: a corner of a closed one, an end (0, 1) of an open one.
OrderedLine begun_at(LineShape shape, std::size_t door) {
    auto& points = shape.line.points;
    if (shape.line.closed) {
        std::rotate(points.begin(), points.begin() + static_cast<std::ptrdiff_t>(door), points.end());
        points.push_back(points.front());
    } else if (door == 1) {
        std::reverse(points.begin(), points.end());
    }
    return {std::move(points), shape.line.closed, shape.depth % 2 == 1, shape.motif, std::move(shape.bridges)};
}

Stop stop_of(const LineShape& shape, bool back_and_forth) {
    const auto& points = shape.line.points;
    Stop stop{{points.front(), points.back()}, !back_and_forth, shape.fixed};
    if (shape.line.closed) stop = {shape.fixed ? std::vector{points.front()} : points, false, shape.fixed};
    stop.copy = shape.copy;
    return stop;
}

/// The door of the shortest way through one stop.
Visit visit_alone(const Stop& stop, const WayThrough& way) {
    const auto length = [&](std::size_t door) {
        const Point left = stop.doors[stop.through ? 1 - door : door];
        return geometry::distance(way.from, stop.doors[door]) + (way.to ? geometry::distance(left, *way.to) : 0);
    };
    std::size_t best = 0;
    for (std::size_t door = 1; !stop.fixed && door < stop.doors.size(); ++door)
        if (length(door) < length(best)) best = door;
    return {0, best};
}

/// The shortest tour that goes on at `way.to`: a last stop, which all others come before.
std::vector<Visit> tour_through(std::vector<Stop> stops, const WayThrough& way, const Watch& watch) {
    if (stops.size() == 1) return {visit_alone(stops.front(), way)};
    if (!way.to) return short_tour(stops, way.from, watch);
    const std::size_t last = stops.size();
    for (Stop& stop : stops)
        if (stop.after_all_of == Stop::none) stop.after_all_of = last;
    stops.push_back({{*way.to}, false, true});
    stops.back().copy = true;
    auto visits = short_tour(stops, way.from, watch);
    if (!visits.empty() && visits.back().stop == last) visits.pop_back();
    return visits;
}

/// The shortest way through some of the lines, those inside before those around them.
void append_shortest(std::vector<LineShape>& lines, const std::vector<std::size_t>& some,
                     const std::vector<std::size_t>& parents, bool back_and_forth, const WayThrough& way,
                     const Watch& watch, std::vector<OrderedLine>& result) {
    std::vector<std::size_t> stop_of_line(lines.size(), Stop::none);
    std::vector<Stop> stops;
    for (const std::size_t i : some) {
        stop_of_line[i] = stops.size();
        stops.push_back(stop_of(lines[i], back_and_forth));
    }
    for (const std::size_t i : some)
        if (parents[i] != no_line) stops[stop_of_line[i]].after_all_of = stop_of_line[parents[i]];
    for (const Visit& visit : tour_through(std::move(stops), way, watch))
        result.push_back(begun_at(std::move(lines[some[visit.stop]]), visit.door));
}

}  // namespace

std::vector<std::size_t> enclosures(const std::vector<LineShape>& lines) {
    std::vector<Box> boxes;
    std::vector<double> areas;
    std::vector<std::pair<EBox, std::size_t>> closed;
    for (std::size_t i = 0; i < lines.size(); ++i) {
        boxes.push_back(geometry::bounds(lines[i].line));
        areas.push_back(std::abs(geometry::signed_area(lines[i].line)));
        const Box& b = boxes.back();
        if (lines[i].line.closed && areas.back() > 0)
            closed.emplace_back(EBox({b.left, b.bottom}, {b.right, b.top}), i);
    }
    const bgi::rtree<std::pair<EBox, std::size_t>, bgi::rstar<16>> tree(closed);
    std::vector<std::size_t> parents(lines.size(), no_line);
    for (std::size_t i = 0; i < lines.size(); ++i) {
        const Point probe = lines[i].line.points.front();
        const EBox box({boxes[i].left, boxes[i].bottom}, {boxes[i].right, boxes[i].top});
        for (auto found = tree.qbegin(bgi::covers(box)); found != tree.qend(); ++found) {
            const std::size_t other = found->second;
            if (other == i || (lines[i].line.closed && areas[other] <= areas[i])) continue;
            if (parents[i] != no_line && areas[other] >= areas[parents[i]]) continue;
            if (geometry::contains({{lines[other].line}, geometry::FillRule::even_odd}, probe)) parents[i] = other;
        }
    }
    return parents;
}

std::vector<int> depths(const std::vector<std::size_t>& enclosures) {
    std::vector<int> depth(enclosures.size(), -1);
    for (std::size_t i = 0; i < enclosures.size(); ++i) {
        int steps = 0;
        for (std::size_t at = enclosures[i]; at != no_line; at = enclosures[at]) {
            ++steps;
            if (depth[at] >= 0) {
                steps += depth[at];
                break;
            }
        }
        depth[i] = steps;
    }
    return depth;
}

void mark_enclosed(std::vector<LineShape>& lines) {
    const auto depth = depths(enclosures(lines));
    for (std::size_t i = 0; i < lines.size(); ++i)
        lines[i].depth = depth[i];
}

std::vector<OrderedLine> shortest_order(std::vector<LineShape> lines, bool one_by_one, bool back_and_forth,
                                        const WayThrough& way, const Watch& watch) {
    const auto parents = enclosures(lines);
    std::vector<OrderedLine> result;
    result.reserve(lines.size());
    std::vector<std::size_t> all(lines.size());
    std::iota(all.begin(), all.end(), std::size_t{0});
    if (!one_by_one) {
        append_shortest(lines, all, parents, back_and_forth, way, watch, result);
        return result;
    }
    // The parts by their outlines; each with all that lies in it.
    std::vector<std::vector<std::size_t>> inside(lines.size());
    std::vector<std::size_t> outer;
    std::vector<Stop> outlines;
    for (const std::size_t i : all) {
        std::size_t root = i;
        while (parents[root] != no_line)
            root = parents[root];
        inside[root].push_back(i);
        if (root != i) continue;
        outer.push_back(i);
        outlines.push_back(stop_of(lines[i], back_and_forth));
    }
    WayThrough part = way;
    for (const Visit& visit : tour_through(std::move(outlines), way, watch)) {
        part.to = result.size() + inside[outer[visit.stop]].size() == lines.size() ? way.to : std::nullopt;
        append_shortest(lines, inside[outer[visit.stop]], parents, back_and_forth, part, watch, result);
        if (!result.empty()) part.from = left_at(result.back(), back_and_forth);
    }
    return result;
}

std::vector<OrderedLine> drawn_order(std::vector<LineShape> lines) {
    const auto parents = enclosures(lines);
    std::vector<std::vector<std::size_t>> inside(lines.size());
    for (std::size_t i = 0; i < lines.size(); ++i)
        if (parents[i] != no_line) inside[parents[i]].push_back(i);
    std::vector<OrderedLine> result;
    // Depth first without recursion: drawings nest as deep as they like.
    std::vector<std::pair<std::size_t, std::size_t>> stack;
    for (std::size_t i = 0; i < lines.size(); ++i) {
        if (parents[i] != no_line) continue;
        stack.emplace_back(i, 0);
        while (!stack.empty()) {
            auto& [line, next] = stack.back();
            if (next < inside[line].size()) {
                stack.emplace_back(inside[line][next++], 0);
            } else {
                result.push_back(begun_at(std::move(lines[line]), 0));
                stack.pop_back();
            }
        }
    }
    return result;
}

geometry::Point left_at(const OrderedLine& line, bool back_and_forth) {
    return back_and_forth ? line.points.front() : line.points.back();
}

}  // namespace chalkline::planning
