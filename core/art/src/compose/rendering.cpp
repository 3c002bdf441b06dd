// SPDX-License-Identifier: GPL-3.0-or-later
#include "compose/rendering.hpp"

#include "cairo_image.hpp"

namespace chalkline::art {

using geometry::Transform;

cairo_matrix_t to_cairo(const Transform& t) {
    return {t.a, t.b, t.c, t.d, t.e, t.f};
}

cairo_fill_rule_t to_cairo(geometry::FillRule rule) {
    return rule == geometry::FillRule::even_odd ? CAIRO_FILL_RULE_EVEN_ODD : CAIRO_FILL_RULE_WINDING;
}

void trace(cairo_t* cairo, const std::vector<geometry::Polyline>& lines) {
    for (const geometry::Polyline& line : lines) {
        for (std::size_t i = 0; i < line.points.size(); ++i)
            (i == 0 ? cairo_move_to : cairo_line_to)(cairo, line.points[i].x, line.points[i].y);
        if (line.closed) cairo_close_path(cairo);
    }
}

namespace {

constexpr double fine = 0.05;  // px

void draw(cairo_t* cairo, const Shape& shape, double alpha, const Transform& map) {
    const Rgb rgb = shape.ink.rgb;
    cairo_set_source_rgba(cairo, rgb.red / 255.0, rgb.green / 255.0, rgb.blue / 255.0, alpha);
    cairo_set_fill_rule(cairo, to_cairo(shape.rule));
    cairo_new_path(cairo);
    trace(cairo, shape.path.flatten(map, fine));
    if (shape.ink.kind == InkKind::fill) {
        // An opaque colour replaces what it covers either way, and this way is quicker.
        cairo_set_operator(cairo, alpha >= 1 ? CAIRO_OPERATOR_OVER : CAIRO_OPERATOR_SOURCE);
        cairo_fill(cairo);
    } else {
        cairo_set_operator(cairo, CAIRO_OPERATOR_OVER);
        cairo_set_line_width(cairo, shape.stroke_width * std::sqrt(std::abs(map.area())));
        cairo_stroke(cairo);
    }
}

void draw(cairo_t* cairo, const PlacedPicture& picture, const Transform& map) {
    const Surface surface = surface_of(*picture.image);
    if (cairo_surface_status(surface.get()) != CAIRO_STATUS_SUCCESS) return;
    cairo_save(cairo);
    if (picture.clip) {
        cairo_set_fill_rule(cairo, to_cairo(picture.clip->rule));
        cairo_new_path(cairo);
        trace(cairo, geometry::mapped(*picture.clip, map).rings);
        cairo_clip(cairo);
    }
    // The unit square points up, the pixels' rows down.
    const Transform pixels =
        map * picture.place * Transform{1.0 / picture.image->width, 0, 0, -1.0 / picture.image->height, 0, 1};
    const cairo_matrix_t matrix = to_cairo(pixels);
    cairo_transform(cairo, &matrix);
    cairo_set_operator(cairo, CAIRO_OPERATOR_OVER);
    cairo_set_source_surface(cairo, surface.get(), 0, 0);
    cairo_pattern_set_extend(cairo_get_source(cairo), CAIRO_EXTEND_PAD);
    cairo_rectangle(cairo, 0, 0, picture.image->width, picture.image->height);
    cairo_fill(cairo);
    cairo_restore(cairo);
}

}  // namespace

/// What can be seen, in the paint's coordinates.
geometry::Box visible_box(cairo_t* cairo, const Transform& map) {
    double left = 0, top = 0, right = 0, bottom = 0;
    cairo_clip_extents(cairo, &left, &top, &right, &bottom);
    geometry::Box box;
    const Transform back = map.inverse();
    for (const geometry::Point corner : geometry::outline(geometry::Box{left, top, right, bottom}).points)
        box.add(back(corner));
    return box;
}

void render(cairo_t* cairo, const Paint& paint, const Transform& map, ThinLines lines) {
    const geometry::Box visible = visible_box(cairo, map);
    std::size_t picture = paint.from.pictures;
    for (std::size_t i = paint.from.shapes; i <= paint.to.shapes; ++i) {
        for (; picture < paint.to.pictures &&
               (i == paint.to.shapes || static_cast<std::size_t>(paint.pictures[picture].above) <= i);
             ++picture)
            if (geometry::overlap(bounds(paint.pictures[picture]), visible)) draw(cairo, paint.pictures[picture], map);
        if (i == paint.to.shapes) break;
        const Shape& shape = paint.shapes[i];
        const bool hidden =
            paint.boxes && shape.ink.kind == InkKind::fill && !geometry::overlap((*paint.boxes)[i], visible);
        if (hidden) continue;
        if (shape.ink.kind == InkKind::fill || lines == ThinLines::drawn) draw(cairo, shape, paint.alphas[i], map);
    }
}

}  // namespace chalkline::art
