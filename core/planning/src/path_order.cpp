// SPDX-License-Identifier: GPL-3.0-or-later
#include "path_order.hpp"

#include <chalkline/geometry/region.hpp>

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
using RPoint = bg::model::point<double, 2, bg::cs::cartesian>;
using RBox = bg::model::box<RPoint>;

constexpr std::size_t nowhere = static_cast<std::size_t>(-1);

/// For every line the smallest closed line around it, or `nowhere`.
std::vector<std::size_t> enclosures(const std::vector<LineShape>& lines) {
    std::vector<Box> boxes;
    std::vector<double> areas;
    std::vector<std::pair<RBox, std::size_t>> closed;
    for (std::size_t i = 0; i < lines.size(); ++i) {
        boxes.push_back(geometry::bounds(lines[i].line));
        areas.push_back(std::abs(geometry::signed_area(lines[i].line)));
        const Box& b = boxes.back();
        if (lines[i].line.closed && areas.back() > 0)
            closed.emplace_back(RBox({b.left, b.bottom}, {b.right, b.top}), i);
    }
    const bgi::rtree<std::pair<RBox, std::size_t>, bgi::rstar<16>> tree(closed);
    std::vector<std::size_t> parents(lines.size(), nowhere);
    for (std::size_t i = 0; i < lines.size(); ++i) {
        const Point probe = lines[i].line.points.front();
        const RBox box({boxes[i].left, boxes[i].bottom}, {boxes[i].right, boxes[i].top});
        for (auto found = tree.qbegin(bgi::covers(box)); found != tree.qend(); ++found) {
            const std::size_t other = found->second;
            if (other == i || (lines[i].line.closed && areas[other] <= areas[i])) continue;
            if (parents[i] != nowhere && areas[other] >= areas[parents[i]]) continue;
            if (geometry::contains({{lines[other].line}, geometry::FillRule::even_odd}, probe)) parents[i] = other;
        }
    }
    return parents;
}

std::vector<Point> from_corner(const Polyline& ring, std::size_t corner) {
    std::vector<Point> points(ring.points);
    std::rotate(points.begin(), points.begin() + static_cast<std::ptrdiff_t>(corner), points.end());
    points.push_back(points.front());
    return points;
}

/// Turns a line so that it begins as near as possible to `from`.
OrderedLine begun_near(LineShape shape, Point from) {
    auto& points = shape.line.points;
    if (shape.line.closed) {
        const auto nearest = std::min_element(points.begin(), points.end(), [from](Point a, Point b) {
            return geometry::distance(a, from) < geometry::distance(b, from);
        });
        return {from_corner(shape.line, static_cast<std::size_t>(nearest - points.begin())), true, shape.motif};
    }
    if (geometry::distance(points.back(), from) < geometry::distance(points.front(), from))
        std::reverse(points.begin(), points.end());
    return {std::move(points), false, shape.motif};
}

/// Places where a line may be entered, for finding the nearest: both ends, or corners spread along a ring.
std::vector<Point> entries(const Polyline& line) {
    constexpr std::size_t most = 12;
    if (!line.closed) return {line.points.front(), line.points.back()};
    const std::size_t step = std::max<std::size_t>(1, line.points.size() / most);
    std::vector<Point> places;
    for (std::size_t i = 0; i < line.points.size(); i += step)
        places.push_back(line.points[i]);
    return places;
}

class NearestNext {
 public:
    NearestNext(std::vector<LineShape> lines, const Watch& watch)
        : lines_(std::move(lines)), parents_(enclosures(lines_)), children_(lines_.size(), 0), watch_(watch) {
        for (const std::size_t parent : parents_)
            if (parent != nowhere) ++children_[parent];
        std::vector<Entry> first;
        for (std::size_t i = 0; i < lines_.size(); ++i)
            if (children_[i] == 0)
                for (const Point p : entries(lines_[i].line))
                    first.push_back({RPoint(p.x, p.y), i});
        open_ = Tree(first);
    }

    std::vector<OrderedLine> order(Point from) {
        std::vector<OrderedLine> result;
        result.reserve(lines_.size());
        while (!open_.empty() && !watch_.cancelled()) {
            const std::size_t next = nearest(from);
            for (const Point p : entries(lines_[next].line))
                open_.remove(Entry{RPoint(p.x, p.y), next});
            if (const std::size_t parent = parents_[next]; parent != nowhere && --children_[parent] == 0)
                for (const Point p : entries(lines_[parent].line))
                    open_.insert(Entry{RPoint(p.x, p.y), parent});
            result.push_back(begun_near(std::move(lines_[next]), from));
            from = result.back().points.back();
        }
        return result;
    }

 private:
    using Entry = std::pair<RPoint, std::size_t>;
    using Tree = bgi::rtree<Entry, bgi::rstar<16>>;

    /// Equal distances go to the line drawn first, so that the order never depends on the tree's inside.
    std::size_t nearest(Point from) const {
        std::size_t best = nowhere;
        double best_distance = 0;
        for (auto it = open_.qbegin(bgi::nearest(RPoint(from.x, from.y), 4)); it != open_.qend(); ++it) {
            const double d = geometry::distance({bg::get<0>(it->first), bg::get<1>(it->first)}, from);
            if (best == nowhere || d < best_distance - 1e-12 || (d < best_distance + 1e-12 && it->second < best)) {
                best = it->second;
                best_distance = d;
            }
        }
        return best;
    }

    std::vector<LineShape> lines_;
    std::vector<std::size_t> parents_;
    std::vector<int> children_;
    Tree open_;
    const Watch& watch_;
};

/// As drawn, except that what lies inside a closed line comes right before it.
std::vector<OrderedLine> drawn_order(std::vector<LineShape> lines) {
    const auto parents = enclosures(lines);
    std::vector<std::vector<std::size_t>> inside(lines.size());
    for (std::size_t i = 0; i < lines.size(); ++i)
        if (parents[i] != nowhere) inside[parents[i]].push_back(i);
    std::vector<OrderedLine> result;
    const auto emit = [&](std::size_t i) {
        auto& line = lines[i].line;
        if (line.closed) line.points.push_back(line.points.front());
        result.push_back({std::move(line.points), line.closed, lines[i].motif});
    };
    // Depth first without recursion: drawings nest as deep as they like.
    std::vector<std::pair<std::size_t, std::size_t>> stack;
    for (std::size_t i = 0; i < lines.size(); ++i) {
        if (parents[i] != nowhere) continue;
        stack.emplace_back(i, 0);
        while (!stack.empty()) {
            auto& [line, next] = stack.back();
            if (next < inside[line].size()) {
                stack.emplace_back(inside[line][next++], 0);
            } else {
                emit(line);
                stack.pop_back();
            }
        }
    }
    return result;
}

}  // namespace

std::vector<OrderedLine> order_lines(std::vector<LineShape> lines, PathOrder order, Point from, const Watch& watch) {
    if (order == PathOrder::as_drawn) return drawn_order(std::move(lines));
    return NearestNext(std::move(lines), watch).order(from);
}

}  // namespace chalkline::planning
