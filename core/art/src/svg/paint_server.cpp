// SPDX-License-Identifier: GPL-3.0-or-later
#include "paint_server.hpp"

#include "cairo_image.hpp"
#include "pattern_tile.hpp"

#include <numbers>

namespace chalkline::art::svg {
namespace {

using geometry::Box;
using geometry::Polyline;
using geometry::Transform;

struct Stop {
    double offset;
    Colour colour;
};

/// `style` is the gradient's own.
Stop read_stop(const Scene& scene, const pugi::xml_node& element, Style style, const Viewport& viewport) {
    cascade(scene, element, style, viewport);
    Stop stop{0, style.stop.is_current ? style.colour : style.stop.colour};
    stop.colour.alpha *= style.stop.opacity;
    stop.offset =
        std::clamp(parse_length(element.attribute("offset").value(), {1, 1, 1}, Axis::x).value_or(0), 0.0, 1.0);
    return stop;
}

std::vector<Stop> stops_of(const Scene& scene, const std::vector<pugi::xml_node>& chain) {
    const Viewport viewport{1, 1, 16};
    std::vector<Stop> stops;
    for (const auto& server : chain) {
        if (!server.child("stop") && !server.child("svg:stop")) continue;
        Style style = inherited_style(scene, server, viewport);
        cascade(scene, server, style, viewport);
        for (const auto& child : server.children())
            if (local_name(child) == "stop") stops.push_back(read_stop(scene, child, style, viewport));
        break;
    }
    for (std::size_t i = 1; i < stops.size(); ++i)
        stops[i].offset = std::max(stops[i].offset, stops[i - 1].offset);
    return stops;
}

/// The map from the server's units to page px: the shape's box or its user units.
Transform units_map(std::string_view units, std::string_view otherwise, const PaintedArea& area) {
    const Box& box = area.user_box;
    if ((units.empty() ? otherwise : units) == "userSpaceOnUse") return area.place.map;
    return area.place.map * Transform{box.width(), 0, 0, box.height(), box.left, box.bottom};
}

Pattern gradient_pattern(const std::vector<pugi::xml_node>& chain, const std::vector<Stop>& stops,
                         const PaintedArea& area, const Transform& to_dots) {
    const bool own_units = inherited(chain, "gradientUnits") == "userSpaceOnUse";
    const Viewport view = own_units ? area.place.viewport : Viewport{1, 1, 1};
    const auto value = [&](const char* name, Axis axis, double share) {
        const double whole = axis == Axis::x   ? view.width
                             : axis == Axis::y ? view.height
                                               : std::hypot(view.width, view.height) / std::numbers::sqrt2;
        return parse_length(inherited(chain, name), view, axis).value_or(share * whole);
    };
    Pattern pattern;
    if (local_name(chain[0]) == "linearGradient") {
        pattern.reset(cairo_pattern_create_linear(value("x1", Axis::x, 0), value("y1", Axis::y, 0),
                                                  value("x2", Axis::x, 1), value("y2", Axis::y, 0)));
    } else {
        const double cx = value("cx", Axis::x, 0.5), cy = value("cy", Axis::y, 0.5),
                     r = value("r", Axis::diagonal, 0.5);
        const double fx = parse_length(inherited(chain, "fx"), view, Axis::x).value_or(cx);
        const double fy = parse_length(inherited(chain, "fy"), view, Axis::y).value_or(cy);
        const double fr = parse_length(inherited(chain, "fr"), view, Axis::diagonal).value_or(0);
        pattern.reset(cairo_pattern_create_radial(fx, fy, fr, cx, cy, std::max(0.0, r)));
    }
    for (const Stop& stop : stops) {
        const auto& [rgb, alpha] = stop.colour;
        cairo_pattern_add_color_stop_rgba(pattern.get(), stop.offset, rgb.red / 255.0, rgb.green / 255.0,
                                          rgb.blue / 255.0, alpha);
    }
    const std::string_view spread = inherited(chain, "spreadMethod");
    cairo_pattern_set_extend(pattern.get(), spread == "reflect"  ? CAIRO_EXTEND_REFLECT
                                            : spread == "repeat" ? CAIRO_EXTEND_REPEAT
                                                                 : CAIRO_EXTEND_PAD);
    const auto own = parse_transform(inherited(chain, "gradientTransform")).value_or(Transform{});
    cairo_matrix_t matrix =
        to_cairo(to_dots * units_map(inherited(chain, "gradientUnits"), "objectBoundingBox", area) * own);
    if (cairo_matrix_invert(&matrix) != CAIRO_STATUS_SUCCESS) return nullptr;
    cairo_pattern_set_matrix(pattern.get(), &matrix);
    return pattern;
}

/// One tile of a pattern as a picture that repeats.
Pattern tile_pattern(const PatternTile& tile, const Transform& to_dots, const PatternReader& read_pattern) {
    const Transform tile_to_dots = to_dots * tile.to_page;
    if (tile_to_dots.area() == 0) return nullptr;
    const Transform tile_per_dot = tile_to_dots.inverse();
    // An area that is not 0 can still be too small or too large to divide by.
    if (!tile_per_dot.finite()) return nullptr;
    // Along each of its axes the tile has a picture dot where the area has one. With more of them, a tile that is
    // squeezed flat would be averaged over hundreds of its dots for each dot of the area.
    const auto dots_along = [](double extent, double extent_per_dot) {
        return static_cast<int>(std::clamp(std::ceil(extent / extent_per_dot), 1.0, 4000.0));
    };
    const int across = dots_along(tile.width, std::hypot(tile_per_dot.a, tile_per_dot.c));
    const int down = dots_along(tile.height, std::hypot(tile_per_dot.b, tile_per_dot.d));
    Place place = tile.around;
    place.map = tile.content_map;
    const Composer::Sheet drawn = read_pattern(tile.content, place);
    const Transform tile_map =
        Transform::scale(across / tile.width, down / tile.height) * Transform::move(-tile.x, -tile.y);
    const Surface surface(cairo_image_surface_create(CAIRO_FORMAT_ARGB32, across, down));
    render(Cairo(cairo_create(surface.get())).get(), drawn.paint(), tile_map, ThinLines::drawn);
    Pattern pattern(cairo_pattern_create_for_surface(surface.get()));
    cairo_pattern_set_extend(pattern.get(), CAIRO_EXTEND_REPEAT);
    const cairo_matrix_t matrix = to_cairo(tile_map * tile_per_dot);
    cairo_pattern_set_matrix(pattern.get(), &matrix);
    return pattern;
}

}  // namespace

bool is_paint_server(const pugi::xml_node& element) {
    const std::string_view name = local_name(element);
    return name == "linearGradient" || name == "radialGradient" || name == "pattern";
}

std::optional<Colour> flat_colour(const Scene& scene, const pugi::xml_node& server) {
    if (is_pattern(server)) return {};
    const auto stops = stops_of(scene, lineage(scene, server));
    if (stops.empty()) return Colour{{}, 0};  // SVG 1.1 §13.2.4: painted as none
    const Colour first = stops[0].colour;
    const bool same = std::all_of(stops.begin(), stops.end(), [&](const Stop& stop) {
        return stop.colour.rgb == first.rgb && stop.colour.alpha == first.alpha;
    });
    return same ? std::optional(first) : std::nullopt;
}

std::optional<Rgb> first_colour(const Scene& scene, const pugi::xml_node& server) {
    const auto stops = stops_of(scene, lineage(scene, server));
    return stops.empty() ? std::nullopt : std::optional(stops[0].colour.rgb);
}

std::optional<ServedPicture> paint_by_server(const Scene& scene, const pugi::xml_node& server, const PaintedArea& area,
                                             const PatternReader& read_pattern) {
    const Box box = geometry::bounds(area.region.rings);
    if (!(box.width() > 0) || !(box.height() > 0)) return {};
    const double wanted = box.width() * box.height() * dots_per_px * dots_per_px;
    const double allowed = scene.composer.room();
    if (allowed < 1) return {};
    scene.effort.spend(Effort::painted_tile +
                       static_cast<std::int64_t>(std::min(wanted, allowed)) / Effort::dots_painted);
    if (scene.effort.exhausted()) return {};
    const double scale = dots_per_px * std::min(1.0, std::sqrt(allowed / wanted));
    const int width = std::clamp(static_cast<int>(std::ceil(box.width() * scale - 1e-6)), 1, 30000);
    const int height = std::clamp(static_cast<int>(std::ceil(box.height() * scale - 1e-6)), 1, 30000);
    const Transform to_dots =
        Transform::scale(width / box.width(), height / box.height()) * Transform::move(-box.left, -box.bottom);

    const auto chain = lineage(scene, server);
    Pattern paint;
    if (!is_pattern(server))
        paint = gradient_pattern(chain, stops_of(scene, chain), area, to_dots);
    else if (const auto tile = pattern_tile(chain, area))
        paint = tile_pattern(*tile, to_dots, read_pattern);
    if (!paint || cairo_pattern_status(paint.get()) != CAIRO_STATUS_SUCCESS) return {};

    const bool covers = scene.options.cover;
    const Surface surface(cairo_image_surface_create(covers ? CAIRO_FORMAT_ARGB32 : CAIRO_FORMAT_RGB24, width, height));
    if (cairo_surface_status(surface.get()) != CAIRO_STATUS_SUCCESS) return {};
    const Cairo cairo(cairo_create(surface.get()));
    if (!covers) {
        cairo_set_source_rgb(cairo.get(), 1, 1, 1);
        cairo_paint(cairo.get());
        cairo_set_fill_rule(cairo.get(), to_cairo(area.region.rule));
        trace(cairo.get(), geometry::mapped(area.region, to_dots).rings);
        cairo_clip(cairo.get());
    }
    cairo_set_source(cairo.get(), paint.get());
    cairo_paint_with_alpha(cairo.get(), area.opacity);
    ServedPicture served;
    auto image = std::make_shared<raster::RgbImage>(image_of(surface.get()));
    served.picture.ink = picture_ink(*image);
    served.picture.image = std::move(image);
    served.picture.place = {box.width(), 0, 0, -box.height(), box.left, box.top};
    if (covers) served.picture.clip = area.region;
    served.coarse = scale < dots_per_px * 0.999;
    return served;
}

}  // namespace chalkline::art::svg
