// SPDX-License-Identifier: GPL-3.0-or-later
#include "canvas.hpp"

#include "hatch.hpp"
#include "pattern_tile.hpp"

#include <chalkline/geometry/combine.hpp>

#include <cmath>

namespace chalkline::art::svg {
namespace {

using geometry::Box;
using geometry::FillRule;
using geometry::Path;
using geometry::Polyline;
using geometry::Region;
using geometry::Transform;

bool at_possible_place(const Path& page_path) {
    if (!page_path.finite()) return false;
    Box reach;
    for (const auto& line : page_path.flatten({}, 1e3))
        reach.add(geometry::bounds(line));
    constexpr double limit = farthest_place / mm_per_px;
    return Box{-limit, -limit, limit, limit}.contains(reach);
}

/// What a clip leaves of a shape's geometry: all, nothing, or what must be computed.
enum class Left { all, none, part };
Left left_by(const std::shared_ptr<const Clip>& clip, const Box& box) {
    if (!clip) return Left::all;
    const Box& inside = clip->box;
    if (inside.empty() || box.left > inside.right || box.right < inside.left || box.bottom > inside.top ||
        box.top < inside.bottom)
        return Left::none;
    return clip->rectangle && inside.contains(box, 1e-6) ? Left::all : Left::part;
}

/// Cuts that would make more pieces than this are no dashes anyone sees.
constexpr double most_dashes = 200'000;

}  // namespace

/// A resolved paint: a flat colour, or a gradient or pattern.
struct Canvas::Coat {
    Rgb rgb;
    pugi::xml_node server;  ///< empty for a flat colour
    double alpha = 1;       ///< of a flat colour its own counted in
};

std::optional<Canvas::Coat> Canvas::coat_of(const Paint& paint, double opacity, const Style& style,
                                            const pugi::xml_node& element) {
    // Where paint does not cover, what it lets through counts for gradients only, with all its groups.
    const double all = opacity * (scene_.options.cover ? style.unmixed : style.opacity);
    std::optional<Colour> colour;
    switch (paint.kind) {
        case Paint::Kind::none:
            return {};
        case Paint::Kind::colour:
            colour = paint.colour;
            break;
        case Paint::Kind::current_colour:
            colour = style.colour;
            break;
        case Paint::Kind::reference: {
            const auto server = scene_.document.by_id(paint.reference);
            if (is_paint_server(server)) {
                if (const auto flat = flat_colour(scene_, server)) {
                    colour = flat;
                    break;
                }
                if (all > 0) return Coat{{}, server, all};
                return {};
            }
            scene_.notes.add(notice::missing_reference, element);
            colour = paint.otherwise;
            break;
        }
    }
    if (!colour || colour->alpha * all <= 0) return {};
    return Coat{colour->rgb, {}, colour->alpha * all};
}

void Canvas::paint(const Path& path, const Style& style, const Place& place, const pugi::xml_node& element,
                   bool fills) {
    if (path.empty() || !style.visible || style.opacity <= 0) return;
    scene_.effort.spend(Effort::point * static_cast<std::int64_t>(path.size()));
    Path on_page = path;
    on_page.transform(place.map);
    if (!at_possible_place(on_page)) return scene_.notes.add(notice::absurd_place, element);

    const auto fill_coat = fills ? coat_of(style.fill, style.fill_opacity, style, element) : std::nullopt;
    const auto stroke_coat =
        style.pen.width > 0 ? coat_of(style.stroke, style.stroke_opacity, style, element) : std::nullopt;
    if (stroke_coat && style.stroke_under) stroke(path, style, *stroke_coat, place, element);
    if (fill_coat) {
        const Box user_box = fill_coat->server ? geometry::bounds(path.flatten({}, 1e-3)) : Box{};
        fill(on_page, style.rule, *fill_coat, place, user_box, element);
    }
    if (stroke_coat && !style.stroke_under) stroke(path, style, *stroke_coat, place, element);
}

void Canvas::fill(const Path& page_path, FillRule rule, const Coat& coat, const Place& place, const Box& user_box,
                  const pugi::xml_node& element) {
    const int line = scene_.document.line_of(element);
    if (!place.clip && !coat.server) return add({page_path, {coat.rgb, InkKind::fill}, rule, 0, line}, coat.alpha);
    auto rings = page_path.flatten({}, px_tolerance);
    const Left left = left_by(place.clip, geometry::bounds(rings));
    if (left == Left::none) return;
    Region region{std::move(rings), rule};
    if (left == Left::part) {
        const Region clip = geometry::nearby(place.clip->region, geometry::bounds(region.rings).grown(1));
        spend_on(*place.clip, clip, geometry::point_count(region));
        region = geometry::intersection(region, clip);
    }
    if (region.rings.empty()) return;
    if (coat.server) {
        const PaintedArea area{region, user_box, place, coat.alpha};
        if (fill_with_lines(coat.server, area, element)) return;
        if (auto served = paint_by_server(scene_, coat.server, area, patterns_)) {
            served->picture.line = line;
            if (served->coarse) scene_.notes.add(notice::coarse_picture, element);
            return scene_.composer.lay(std::move(served->picture), 1);
        }
        const auto first = first_colour(scene_, coat.server);
        if (!first) return;
        scene_.notes.add(notice::flat_gradient, element);
        return add({left == Left::all ? page_path : geometry::path_of(region.rings),
                    {*first, InkKind::fill},
                    region.rule,
                    0,
                    line},
                   coat.alpha);
    }
    add({left == Left::all ? page_path : geometry::path_of(region.rings),
         {coat.rgb, InkKind::fill},
         region.rule,
         0,
         line},
        coat.alpha);
}

bool Canvas::fill_with_lines(const pugi::xml_node& server, const PaintedArea& area, const pugi::xml_node& element) {
    if (scene_.options.as_picture || !is_pattern(server)) return false;
    // Inside of other patterns nobody asks whether there is hatching.
    if (!scene_.options.hatches && scene_.composer.on_sheet_apart()) return false;
    // Each is tried once a size: patterns in patterns would be read twice as often with every level.
    const std::pair tried{server, std::llround(area.place.scale() * 1e6)};
    if (no_hatches_.contains(tried)) return false;
    auto lines = hatch_lines(scene_, server, area, patterns_);
    if (!lines) {
        no_hatches_.insert(tried);
        return false;
    }
    scene_.art.hatched = true;
    if (!scene_.options.hatches) return false;
    for (Shape& shape : *lines) {
        shape.line = scene_.document.line_of(element);
        add(std::move(shape), area.opacity);
    }
    return true;
}

void Canvas::stroke(const Path& path, const Style& style, const Coat& coat, const Place& place,
                    const pugi::xml_node& element) {
    // The pen moves in user units, grown evenly to about page size so that curves are cut finely enough.
    const double scale = place.scale();
    if (!(scale > 0)) return;
    const Transform grown = Transform::scale(scale, scale);
    const Transform to_page = place.map * Transform::scale(1 / scale, 1 / scale);
    geometry::Pen pen = style.pen;
    if (!style.fixed_stroke) pen.width *= scale;
    const double width_mm = pen.width * mm_per_px;
    if (!(width_mm < farthest_place)) return scene_.notes.add(notice::absurd_place, element);
    const bool area = width_mm * scene_.options.scale >= scene_.options.stroke_area - 1e-9;
    const int line = scene_.document.line_of(element);

    std::vector<Polyline> lines;
    bool dashed = false;
    if (style.dashes) {
        lines = path.flatten(grown, px_tolerance);
        double sum = 0, stated = parse_length(element.attribute("pathLength").value(), {}, Axis::x).value_or(0);
        const double drawn = geometry::length(lines);
        const double unit = stated > 0 ? drawn / stated : scale;
        auto lengths = *style.dashes;
        for (double& length : lengths)
            sum += length *= unit;
        dashed = sum > 0 && drawn / sum * static_cast<double>(lengths.size()) < most_dashes;
        if (dashed)
            lines = geometry::dashed(lines, lengths, style.dash_offset * unit);
        else
            scene_.notes.add(notice::unsupported, element, {{"feature", "stroke-dasharray"}});
    }
    if (area) {
        if (!dashed) lines = path.flatten(grown, px_tolerance);
        Region region = geometry::stroked(lines, pen, px_tolerance);
        for (Polyline& ring : region.rings)
            for (auto& point : ring.points)
                point = to_page(point);
        scene_.notes.add(notice::stroke_area, element);
        const Box user_box = coat.server ? geometry::bounds(path.flatten({}, 1e-3)) : Box{};
        return fill(geometry::path_of(region.rings), region.rule, coat, place, user_box, element);
    }
    if (!scene_.composer.on_sheet_apart()) thin_lines_.push_back(element);
    Rgb rgb = coat.rgb;
    if (coat.server) {
        const auto first = first_colour(scene_, coat.server);
        if (!first) return;
        scene_.notes.add(notice::flat_gradient, element);
        rgb = *first;
    }
    Path on_page = dashed ? geometry::path_of(lines) : path;
    on_page.transform(dashed ? to_page : place.map);
    if (place.clip) {
        auto flat = on_page.flatten({}, px_tolerance);
        const Left left = left_by(place.clip, geometry::bounds(flat));
        if (left == Left::none) return;
        if (left == Left::part) {
            const Region clip = geometry::nearby(place.clip->region, geometry::bounds(flat).grown(1));
            spend_on(*place.clip, clip, on_page.size());
            on_page = geometry::path_of(geometry::parts_inside(flat, clip));
        }
    }
    if (!on_page.empty()) add({std::move(on_page), {rgb, InkKind::line}, style.rule, pen.width, line}, coat.alpha);
}

/// To look through a clip costs little, to cut by what is left of it more.
void Canvas::spend_on(const Clip& whole, const Region& clip, std::size_t cut) {
    scene_.effort.spend(static_cast<std::int64_t>(geometry::point_count(whole.region)) / 4 +
                        Effort::combined_point * static_cast<std::int64_t>(geometry::point_count(clip) + cut));
}

void Canvas::lay(std::shared_ptr<const raster::RgbImage> image, const Transform& unit_to_page, const Style& style,
                 const Place& place, const pugi::xml_node& element) {
    PlacedPicture picture;
    picture.ink = picture_ink(*image);
    picture.image = std::move(image);
    picture.place = unit_to_page * Transform{1, 0, 0, -1, 0, 1};
    picture.line = scene_.document.line_of(element);
    switch (left_by(place.clip, bounds(picture))) {
        case Left::none:
            return;
        case Left::part:
            picture.clip = place.clip->region;
            if (bounds(picture).empty()) return;
            break;
        case Left::all:
            break;
    }
    scene_.composer.lay(std::move(picture), style.unmixed);
}

void Canvas::add(Shape shape, double alpha) {
    points_ += shape.path.size();
    scene_.composer.paint(std::move(shape), alpha);
}

}  // namespace chalkline::art::svg
