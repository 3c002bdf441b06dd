// SPDX-License-Identifier: GPL-3.0-or-later
#include "dxf/reader.hpp"

#include "drawer.hpp"
#include "page.hpp"

#include <chalkline/geometry/join.hpp>

#include <algorithm>

namespace chalkline::art::dxf {
namespace {

using geometry::Box;
using geometry::Path;
using geometry::Point;
using geometry::Transform;

constexpr double touching = 0.05;  // mm

bool joinable(const Shape& shape) {
    return shape.ink.kind == InkKind::line && shape.path.is_open_line();
}

/// Open lines of one ink that touch become one shape each chain; everything else stays in its place.
void join_lines(Artwork& art) {
    std::map<Ink, std::vector<std::size_t>> open;
    for (std::size_t i = 0; i < art.shapes.size(); ++i)
        if (joinable(art.shapes[i])) open[art.shapes[i].ink].push_back(i);
    std::vector<Shape> shapes;
    std::vector<std::size_t> others;
    for (std::size_t i = 0; i < art.shapes.size(); ++i)
        if (!joinable(art.shapes[i])) others.push_back(i);
    for (const std::size_t i : others)
        shapes.push_back(std::move(art.shapes[i]));
    for (const auto& [ink, places] : open) {
        std::vector<Path> pieces;
        for (const std::size_t i : places)
            pieces.push_back(std::move(art.shapes[i].path));
        for (geometry::JoinedPath& chain : geometry::join_ends(std::move(pieces), touching))
            shapes.push_back(
                {std::move(chain.path), ink, geometry::FillRule::non_zero, 0, art.shapes[places[chain.first]].line});
    }
    art.shapes = std::move(shapes);
}

Box rough_box(const Shape& shape) {
    Box box;
    for (const auto& line : shape.path.flatten({}, 1e3))
        box.add(geometry::bounds(line));
    return box;
}

/// Where most of the drawing lies: the median of its shapes' middles. Plans in a country's own grid lie thousands of
/// kilometres from 0, 0.
Point middle_of_most(const std::vector<Box>& boxes) {
    const auto median = [&](auto of) {
        std::vector<double> all;
        for (const Box& box : boxes)
            if (!box.empty()) all.push_back(of(box.centre()));
        if (all.empty()) return 0.0;
        const auto middle = all.begin() + static_cast<std::ptrdiff_t>((all.size() - 1) / 2);
        std::nth_element(all.begin(), middle, all.end());
        return *middle;
    };
    return {median([](Point p) { return p.x; }), median([](Point p) { return p.y; })};
}

/// Leaves out what lies impossibly far from the rest, so that one stray point does not make the page a kilometre wide.
void drop_absurd(Artwork& art) {
    if (art.shapes.empty()) return;
    std::vector<Box> boxes;
    for (const Shape& shape : art.shapes)
        boxes.push_back(rough_box(shape));
    const Point middle = middle_of_most(boxes);
    const Box room{middle.x - farthest_place, middle.y - farthest_place, middle.x + farthest_place,
                   middle.y + farthest_place};
    std::vector<Shape> kept;
    for (std::size_t i = 0; i < boxes.size(); ++i)
        if (room.contains(boxes[i])) kept.push_back(std::move(art.shapes[i]));
    const std::size_t dropped = boxes.size() - kept.size();
    art.shapes = std::move(kept);
    if (dropped > 0) art.remarks.push_back({{std::string(notice::absurd_place), {}, static_cast<int>(dropped), 0}, {}});
}

}  // namespace

Result<Artwork> read(std::string_view bytes, const std::string& name, const ReadOptions& options,
                     const Outside& outside, const Watch& watch) {
    const auto drawing = sort_groups(bytes, name, watch);
    if (!drawing) return tl::unexpected(drawing.error());
    const double unit = drawing->unit.value_or(options.unit.value_or(1));
    Drawer drawer(*drawing, unit, options, outside, watch);
    drawer.draw_all();
    if (drawer.cancelled()) return fail(chalkline::error::cancelled);
    if (drawer.too_many_parts()) return fail(error::too_much_work, {}, name);
    if (drawer.full()) return fail(error::too_many_points, {{"limit", std::to_string(most_points)}});
    Artwork art = std::move(drawer.art());
    transform(art, Transform::scale(unit, unit));
    drop_absurd(art);
    join_lines(art);
    if (drawing->cut_short) art.remarks.push_back({{std::string(notice::cut_short), {}, 1, 0}, {}});
    art.unit_missing = !drawing->unit;
    if (art.unit_missing && !options.unit)
        art.remarks.push_back({{std::string(notice::unit_missing), {{"unit", "mm"}}, 1, 0}, {}});
    if (const Box box = bounds(art); !box.empty()) {
        transform(art, Transform::move(-box.left, -box.bottom));
        art.page = {box.width(), box.height()};
        art.origin = {box.left, box.bottom};
    }
    art.format = "dxf";
    return art;
}

}  // namespace chalkline::art::dxf
