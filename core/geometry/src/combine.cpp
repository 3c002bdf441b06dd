// SPDX-License-Identifier: GPL-3.0-or-later
#include "clipper_paths.hpp"

#include <chalkline/geometry/combine.hpp>

#include <array>

namespace chalkline::geometry {
namespace {

using clipping::fill_type;
using clipping::from_clipper;
using clipping::to_clipper;

Region region_of(const ClipperLib::Paths& paths) {
    Region region;
    region.rings.reserve(paths.size());
    for (const auto& path : paths)
        if (path.size() > 2) region.rings.push_back(from_clipper(path, true));
    return region;
}

}  // namespace

Region united(const std::vector<Region>& regions) {
    ClipperLib::Clipper all;
    for (const Region& region : regions) {
        auto rings = to_clipper(region.rings);
        // A single region keeps its own rule below; several are first made alike.
        if (regions.size() > 1) ClipperLib::SimplifyPolygons(rings, fill_type(region.rule));
        all.AddPaths(rings, ClipperLib::ptSubject, true);
    }
    const auto type = regions.size() == 1 ? fill_type(regions[0].rule) : ClipperLib::pftNonZero;
    ClipperLib::Paths merged;
    all.Execute(ClipperLib::ctUnion, merged, type, type);
    return region_of(merged);
}

Region grown(const Region& region, double by, double tolerance) {
    const auto rings = to_clipper(united({region}).rings);
    ClipperLib::ClipperOffset offset(2, tolerance * clipping::scale);
    offset.AddPaths(rings, ClipperLib::jtRound, ClipperLib::etClosedPolygon);
    ClipperLib::Paths moved;
    offset.Execute(moved, by * clipping::scale);
    return region_of(moved);
}

/// One side of a box, as what lies on its inner side.
struct Side {
    bool upright;
    double at, inward;  ///< inward: +1 where larger coordinates lie inside, else -1
    double depth(Point p) const { return ((upright ? p.x : p.y) - at) * inward; }
};

/// A ring without what lies beyond the side (Sutherland and Hodgman, 1974). Inside nothing changes: how often the ring
/// goes round a place there stays the same.
static std::vector<Point> cut_off(const std::vector<Point>& ring, const Side& side) {
    std::vector<Point> kept;
    for (std::size_t i = 0; i < ring.size(); ++i) {
        const Point from = ring[i], to = ring[(i + 1) % ring.size()];
        const double a = side.depth(from), b = side.depth(to);
        if (a >= 0) kept.push_back(from);
        if ((a >= 0) != (b >= 0)) kept.push_back(between(from, to, a / (a - b)));
    }
    return kept;
}

Region nearby(const Region& region, const Box& box) {
    const std::array sides{Side{true, box.left, 1}, Side{true, box.right, -1}, Side{false, box.bottom, 1},
                           Side{false, box.top, -1}};
    Region result{{}, region.rule};
    for (const Polyline& ring : region.rings) {
        const Box own = bounds(ring);
        if (!overlap(own, box)) continue;
        if (box.contains(own)) {
            result.rings.push_back(ring);
            continue;
        }
        std::vector<Point> points = ring.points;
        for (const Side& side : sides)
            points = cut_off(points, side);
        if (points.size() > 2) result.rings.push_back({std::move(points), true});
    }
    return result;
}

/// Below this Clipper is as fast as the cutting.
static bool is_worth_cutting(const Region& region) {
    constexpr std::size_t small = 500;  // points
    return point_count(region) > small;
}

/// The region as far as it matters for what lies in the box.
static Region near(const Region& region, const Box& box) {
    constexpr double margin = 0.01;  // mm: the cut itself lies outside
    return nearby(region, box.grown(margin));
}

/// The areas of two regions put together by Clipper.
static Region combined(const Region& a, const Region& b, ClipperLib::ClipType how) {
    ClipperLib::Clipper both;
    both.AddPaths(to_clipper(a.rings), ClipperLib::ptSubject, true);
    both.AddPaths(to_clipper(b.rings), ClipperLib::ptClip, true);
    ClipperLib::Paths result;
    both.Execute(how, result, fill_type(a.rule), fill_type(b.rule));
    return region_of(result);
}

Region intersection(const Region& a, const Region& b) {
    if (is_worth_cutting(b)) return combined(a, near(b, bounds(a.rings)), ClipperLib::ctIntersection);
    return combined(a, b, ClipperLib::ctIntersection);
}

Region difference(const Region& a, const Region& b) {
    if (is_worth_cutting(b)) return combined(a, near(b, bounds(a.rings)), ClipperLib::ctDifference);
    return combined(a, b, ClipperLib::ctDifference);
}

Region seen(const Pile& pile) {
    // What burns, or covers, one after the other is taken together.
    Region result;
    for (std::size_t i = 0; i < pile.regions.size();) {
        const bool burns = pile.ink(i) > 0;
        std::vector<Region> together;
        for (; i < pile.regions.size() && (pile.ink(i) > 0) == burns; ++i)
            together.push_back(pile.regions[i]);
        if (!burns) {
            if (!result.rings.empty()) result = difference(result, united(together));
        } else {
            if (!result.rings.empty()) together.push_back(std::move(result));
            result = united(together);
        }
    }
    return result;
}

namespace {

/// Adds what of a line is left.
void cut(const Polyline& line, const ClipperLib::Paths& clip, FillRule rule, ClipperLib::ClipType how,
         std::vector<Polyline>& parts) {
    auto subject = to_clipper(line);
    if (line.closed) subject.push_back(subject.front());
    ClipperLib::Clipper clipper;
    clipper.AddPath(subject, ClipperLib::ptSubject, false);
    clipper.AddPaths(clip, ClipperLib::ptClip, true);
    ClipperLib::PolyTree tree;
    clipper.Execute(how, tree, ClipperLib::pftNonZero, fill_type(rule));
    ClipperLib::Paths found;
    ClipperLib::OpenPathsFromPolyTree(tree, found);
    const bool whole =
        line.closed && found.size() == 1 && found[0].size() == subject.size() && found[0].front() == found[0].back();
    if (whole) return parts.push_back(line);
    for (const auto& path : found)
        if (path.size() > 1) parts.push_back(from_clipper(path, false));
}

std::vector<Polyline> parts(const std::vector<Polyline>& lines, const Region& region, ClipperLib::ClipType how) {
    const bool inside = how == ClipperLib::ctIntersection;
    std::vector<Polyline> result;
    const bool cuts = is_worth_cutting(region);
    const auto whole_clip = to_clipper(region.rings);
    for (const Polyline& line : lines) {
        if (line.points.size() < 2) {
            if (!line.points.empty() && contains(region, line.points[0]) == inside) result.push_back(line);
            continue;
        }
        cut(line, cuts ? to_clipper(near(region, bounds(line)).rings) : whole_clip, region.rule, how, result);
    }
    return result;
}

}  // namespace

std::vector<Polyline> parts_inside(const std::vector<Polyline>& lines, const Region& region) {
    return parts(lines, region, ClipperLib::ctIntersection);
}

std::vector<Polyline> parts_outside(const std::vector<Polyline>& lines, const Region& region) {
    return parts(lines, region, ClipperLib::ctDifference);
}

}  // namespace chalkline::geometry
