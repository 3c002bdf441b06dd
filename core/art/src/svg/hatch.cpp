// SPDX-License-Identifier: GPL-3.0-or-later
#include "hatch.hpp"

#include "pattern_tile.hpp"

#include <chalkline/geometry/combine.hpp>
#include <chalkline/geometry/join.hpp>
#include <chalkline/geometry/stroke.hpp>

#include <cmath>
#include <map>

namespace chalkline::art::svg {
namespace {

using geometry::Box;
using geometry::Path;
using geometry::Point;
using geometry::Polyline;
using geometry::Region;
using geometry::Transform;

constexpr double most_segments = 50'000;
constexpr double same_place = 0.01;  // px

struct Segment {
    Point from, to;
};

/// A line that nobody said not to fill.
bool is_fill_of_nothing(const Shape& shape) {
    if (shape.ink.kind != InkKind::fill) return false;
    double area = 0;
    for (const Polyline& ring : shape.path.flatten({}, px_tolerance))
        area += std::abs(geometry::signed_area(ring));
    return area < same_place * same_place;
}

/// The straight parts of what one tile shows; the lines on its edge belong to it.
std::vector<Segment> segments_in_tile(const Shape& shape, const PatternTile& tile) {
    const Box box{tile.x, tile.y, tile.x + tile.width, tile.y + tile.height};
    const double margin = 1e-3 * std::min(tile.width, tile.height);
    const Region frame = geometry::mapped({{geometry::outline(box.grown(margin))}}, tile.to_page);
    std::vector<Segment> segments;
    for (const Polyline& part : geometry::parts_inside(shape.path.flatten({}, px_tolerance), frame)) {
        for (std::size_t i = 1; i < part.points.size(); ++i)
            segments.push_back({part.points[i - 1], part.points[i]});
        if (part.closed && part.points.size() > 1) segments.push_back({part.points.back(), part.points.front()});
    }
    return segments;
}

/// Segments of one direction; those that lie on one straight line and touch become one.
std::vector<Segment> merged(const std::vector<Segment>& segments) {
    Point along = segments[0].to - segments[0].from;
    along = along * (1 / geometry::norm(along));
    struct Stretch {
        double from, to;
    };
    std::map<long long, std::vector<Stretch>> straights;  // by how far aside they lie
    for (const Segment& segment : segments) {
        const double aside = geometry::cross(along, segment.from);
        const double a = geometry::dot(along, segment.from), b = geometry::dot(along, segment.to);
        straights[std::llround(aside / same_place)].push_back({std::min(a, b), std::max(a, b)});
    }
    std::vector<Segment> result;
    for (auto& [aside, stretches] : straights) {
        std::sort(stretches.begin(), stretches.end(),
                  [](const Stretch& a, const Stretch& b) { return a.from < b.from; });
        const Point foot = Point{-along.y, along.x} * (static_cast<double>(aside) * same_place);
        for (std::size_t i = 0; i < stretches.size();) {
            Stretch whole = stretches[i];
            for (++i; i < stretches.size() && stretches[i].from <= whole.to + same_place; ++i)
                whole.to = std::max(whole.to, stretches[i].to);
            result.push_back({foot + along * whole.from, foot + along * whole.to});
        }
    }
    return result;
}

/// A tile can be larger than anything that can be worked with.
bool at_possible_place(const PatternTile& tile) {
    constexpr double limit = farthest_place / mm_per_px;
    for (const Point corner :
         geometry::outline(Box{tile.x, tile.y, tile.x + tile.width, tile.y + tile.height}).points) {
        const Point at = tile.to_page(corner);
        if (!(std::abs(at.x) < limit) || !(std::abs(at.y) < limit)) return false;
    }
    return true;
}

/// How the tiles that touch a box are numbered, in columns and rows from the first.
struct TileRange {
    int left, top, right, bottom;
    double count() const { return (right - left + 1.0) * (bottom - top + 1.0); }
};
std::optional<TileRange> tiles_over(const Box& page_box, const PatternTile& tile) {
    const Transform back = tile.to_page.inverse();
    if (!back.finite() || !at_possible_place(tile)) return {};
    Box box;
    for (const Point corner : geometry::outline(page_box).points)
        box.add(back(corner));
    const double left = std::floor((box.left - tile.x) / tile.width);
    const double right = std::floor((box.right - tile.x) / tile.width);
    const double top = std::floor((box.bottom - tile.y) / tile.height);
    const double bottom = std::floor((box.top - tile.y) / tile.height);
    constexpr double farthest = 1e6;
    for (const double number : {left, right, top, bottom})
        if (!(std::abs(number) < farthest)) return {};
    return TileRange{static_cast<int>(left), static_cast<int>(top), static_cast<int>(right), static_cast<int>(bottom)};
}

}  // namespace

std::optional<std::vector<Shape>> hatch_lines(const Scene& scene, const pugi::xml_node& pattern,
                                              const PaintedArea& area, const PatternReader& read_pattern) {
    const auto tile = pattern_tile(lineage(scene, pattern), area);
    if (!tile || tile->to_page.area() == 0) return {};
    // On the page itself: there it counts how wide a stroke is.
    Place place = tile->around;
    place.map = tile->to_page * tile->content_map;
    Composer::Sheet drawn = read_pattern(tile->content, place);
    if (!drawn.pictures.empty() ||
        std::any_of(drawn.alphas.begin(), drawn.alphas.end(), [](double alpha) { return alpha < 1; }))
        return {};
    std::erase_if(drawn.shapes, is_fill_of_nothing);
    const auto is_line = [](const Shape& shape) { return shape.ink.kind == InkKind::line; };
    if (drawn.shapes.empty() || !std::all_of(drawn.shapes.begin(), drawn.shapes.end(), is_line)) return {};
    const auto range = tiles_over(geometry::bounds(area.region.rings), *tile);
    if (!range) return {};
    std::map<Ink, Shape> by_ink;
    std::map<Ink, std::vector<Path>> pieces;
    double segments_so_far = 0;
    for (const Shape& shape : drawn.shapes) {
        // Segments of one direction in a tile have their like in every other.
        const std::vector<Segment> in_tile = segments_in_tile(shape, *tile);
        segments_so_far += range->count() * static_cast<double>(in_tile.size());
        if (segments_so_far > most_segments) return {};
        scene.effort.spend(Effort::point * static_cast<std::int64_t>(segments_so_far));
        std::map<long long, std::vector<Segment>> by_direction;
        for (const Segment& segment : in_tile) {
            const Point way = segment.to - segment.from;
            if (!(geometry::norm(way) > 0)) continue;
            constexpr double half_turn = 3.14159265358979, finest = 1e-6;
            const double angle = std::remainder(std::atan2(way.y, way.x), half_turn);
            auto& alike = by_direction[std::llround(angle / finest)];
            for (int row = range->top; row <= range->bottom; ++row)
                for (int column = range->left; column <= range->right; ++column) {
                    const Point by = tile->to_page.direction({column * tile->width, row * tile->height});
                    alike.push_back({segment.from + by, segment.to + by});
                }
        }
        by_ink.try_emplace(shape.ink, shape);
        for (const auto& [direction, alike] : by_direction)
            for (const Segment& straight : merged(alike))
                pieces[shape.ink].push_back(geometry::path_of({{{straight.from, straight.to}, false}}));
    }
    std::vector<Shape> hatch;
    for (auto& [ink, shape] : by_ink) {
        std::vector<Polyline> lines;
        for (const auto& joined : geometry::join_ends(std::move(pieces[ink]), same_place))
            for (Polyline& line : joined.path.flatten({}, px_tolerance))
                lines.push_back(std::move(line));
        scene.effort.spend(Effort::combined_point *
                           static_cast<std::int64_t>(lines.size() + geometry::point_count(area.region)));
        shape.path = geometry::path_of(geometry::parts_inside(lines, area.region));
        if (!shape.path.empty()) hatch.push_back(std::move(shape));
    }
    return hatch;
}

}  // namespace chalkline::art::svg
