// SPDX-License-Identifier: GPL-3.0-or-later
#include "page.hpp"

#include <chalkline/geometry/combine.hpp>
#include <chalkline/geometry/stroke.hpp>

namespace chalkline::art {
namespace {

using geometry::Box;
using geometry::Region;
using geometry::Transform;

/// Cuts a shape to the box; false when nothing of it is left.
bool cut(Shape& shape, const Box& box, const Region& region) {
    auto lines = shape.path.flatten();
    const Box own = geometry::bounds(lines);
    if (!geometry::overlap(own, box)) return false;
    return box.contains(own) || cut_to(shape, std::move(lines), region);
}

bool cut(PlacedPicture& picture, const Box& box, const Region& region) {
    const Box own = bounds(picture);
    if (!geometry::overlap(own, box)) return false;
    if (!box.contains(own)) picture.clip = picture.clip ? geometry::intersection(*picture.clip, region) : region;
    return !bounds(picture).empty();
}

Box mapped(const Box& box, const Transform& map) {
    Box result;
    for (const auto point : geometry::outline(box).points)
        result.add(map(point));
    return result;
}

}  // namespace

bool cut_to(Shape& shape, std::vector<geometry::Polyline> lines, const Region& area) {
    if (shape.ink.kind == InkKind::fill) {
        lines = geometry::intersection({std::move(lines), shape.rule}, area).rings;
        shape.rule = geometry::FillRule::non_zero;
    } else {
        lines = geometry::parts_inside(lines, area);
    }
    shape.path = geometry::path_of(lines);
    return !lines.empty();
}

void transform(Artwork& artwork, const Transform& map) {
    const double grown = std::sqrt(std::abs(geometry::cross({map.a, map.b}, {map.c, map.d})));
    for (Shape& shape : artwork.shapes) {
        shape.path.transform(map);
        shape.stroke_width *= grown;
    }
    for (PlacedPicture& picture : artwork.pictures) {
        picture.place = map * picture.place;
        if (picture.clip) picture.clip = geometry::mapped(std::move(*picture.clip), map);
    }
    for (Remark& remark : artwork.remarks)
        for (Box& place : remark.places)
            place = mapped(place, map);
}

Artwork part_of(Artwork artwork, const Box& box) {
    const Region region{{geometry::outline(box)}, geometry::FillRule::non_zero};
    std::erase_if(artwork.shapes, [&](Shape& shape) { return !cut(shape, box, region); });
    std::erase_if(artwork.pictures, [&](PlacedPicture& picture) { return !cut(picture, box, region); });
    transform(artwork, Transform::move(-box.left, -box.bottom));
    artwork.page = {box.width(), box.height()};
    artwork.origin = artwork.origin + geometry::Point{box.left, box.bottom};
    return artwork;
}

Artwork scaled(Artwork artwork, double factor) {
    transform(artwork, Transform::scale(factor, factor));
    artwork.page = artwork.page * factor;
    artwork.origin = artwork.origin * factor;
    return artwork;
}

}  // namespace chalkline::art
