// SPDX-License-Identifier: GPL-3.0-or-later
#include "dxf/reader.hpp"

#include "drawer.hpp"
#include "page.hpp"

#include <chalkline/geometry/join.hpp>

namespace chalkline::art::dxf {
namespace {

using geometry::Box;
using geometry::Path;
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
    for (Shape& shape : art.shapes)
        if (!joinable(shape)) shapes.push_back(shape);
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

/// Leaves out what lies at no possible place, so that one stray point does not make the page a kilometre wide.
void drop_absurd(Artwork& art) {
    const std::size_t before = art.shapes.size();
    std::erase_if(art.shapes, [](const Shape& shape) {
        Box box;
        for (const auto& line : shape.path.flatten({}, 1e3))
            box.add(geometry::bounds(line));
        return !Box{-farthest_place, -farthest_place, farthest_place, farthest_place}.contains(box);
    });
    if (const auto dropped = before - art.shapes.size(); dropped > 0)
        art.remarks.push_back({{std::string(notice::absurd_place), {}, static_cast<int>(dropped), 0}, {}});
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
