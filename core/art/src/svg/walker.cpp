// SPDX-License-Identifier: GPL-3.0-or-later
#include "walker.hpp"

#include "clip_shape.hpp"
#include "mask.hpp"
#include "text_layout.hpp"

#include <chalkline/geometry/combine.hpp>

#include <fmt/format.h>

#include <array>
#include <set>

namespace chalkline::art::svg {
namespace {

using geometry::Box;
using geometry::Path;
using geometry::Region;
using geometry::Transform;

constexpr int deepest_nesting = 200;

/// Elements that draw nothing by themselves.
bool is_silent(std::string_view name) {
    static const std::set<std::string_view> silent{"defs",
                                                   "title",
                                                   "desc",
                                                   "metadata",
                                                   "symbol",
                                                   "clipPath",
                                                   "mask",
                                                   "marker",
                                                   "pattern",
                                                   "linearGradient",
                                                   "radialGradient",
                                                   "filter",
                                                   "style",
                                                   "script",
                                                   "view",
                                                   "cursor",
                                                   "font",
                                                   "font-face",
                                                   "color-profile",
                                                   "animate",
                                                   "set",
                                                   "solidcolor",
                                                   "animateTransform",
                                                   "animateMotion",
                                                   "animateColor"};
    return silent.contains(name);
}

Region box_region(const Transform& map, double x, double y, double width, double height) {
    geometry::Polyline ring = geometry::outline(Box{x, y, x + width, y + height});
    for (auto& point : ring.points)
        point = map(point);
    return {{std::move(ring)}, geometry::FillRule::non_zero};
}

/// Markers stand on the corners of these only.
bool bears_markers(std::string_view name) {
    return name == "path" || name == "line" || name == "polyline" || name == "polygon";
}

Transform moved_to(const Scene& scene, const pugi::xml_node& element, const Viewport& viewport) {
    return Transform::move(measure(scene, element, "x", viewport, Axis::x),
                           measure(scene, element, "y", viewport, Axis::y));
}

/// A clip takes the whole area of its shapes, whatever their paint; so does the box of an element.
void paint_plainly(Style& style) {
    style.fill = Paint{Paint::Kind::colour, {}, {}, {}};
    style.stroke = Paint{};
    style.rule = style.clip_rule;
    style.opacity = style.unmixed = style.fill_opacity = 1;
}

}  // namespace

Transform view_box_map(const std::vector<double>& box, double width, double height, std::string_view aspect) {
    double sx = width / box[2], sy = height / box[3];
    aspect = trimmed(aspect);
    if (aspect.starts_with("none")) return Transform::scale(sx, sy) * Transform::move(-box[0], -box[1]);
    const bool slice = aspect.find("slice") != std::string_view::npos;
    sx = sy = slice ? std::max(sx, sy) : std::min(sx, sy);
    const auto align = [&](std::string_view low, std::string_view high, double spare) {
        if (aspect.find(low) != std::string_view::npos) return 0.0;
        return aspect.find(high) != std::string_view::npos ? spare : spare / 2;
    };
    const double x = align("xMin", "xMax", width - box[2] * sx), y = align("YMin", "YMax", height - box[3] * sy);
    return Transform::move(x, y) * Transform::scale(sx, sy) * Transform::move(-box[0], -box[1]);
}

std::optional<std::vector<double>> view_box(const pugi::xml_node& element) {
    auto box = parse_numbers(element.attribute("viewBox").value());
    if (box.size() != 4 || !(box[2] > 0) || !(box[3] > 0)) return {};
    return box;
}

Walker::Walker(const Scene& scene, const Watch& watch) : scene_(scene), watch_(watch), canvas_(scene), images_(scene) {
    canvas_.read_patterns_by([this](const pugi::xml_node& pattern, const Place& place) {
        return scene_.composer.apart([&] {
            Style style = inherited_style(scene_, pattern, place.viewport);
            cascade(scene_, pattern, style, place.viewport);
            read_children(pattern, style, place);
        });
    });
}

template <class Draw>
void Walker::draw_mixed(const Style& style, Draw draw) {
    if (style.unmixed >= 1) return draw(style);
    Style inside = style;
    inside.unmixed = 1;
    scene_.composer.begin_group();
    draw(inside);
    scene_.composer.end_group(style.unmixed);
}

void Walker::read_root(const pugi::xml_node& root, const Style& style, const Place& place) {
    draw_mixed(style, [&](const Style& inside) { read_children(root, inside, place); });
}

void Walker::read_children(const pugi::xml_node& parent, const Style& style, const Place& place) {
    for (const pugi::xml_node& child : parent.children()) {
        if (cancelled_ || full()) return;
        if (child.type() == pugi::node_element) read_element(child, style, place);
    }
}

void Walker::read_element(const pugi::xml_node& element, const Style& inherited, Place place) {
    scene_.effort.spend(Effort::element);
    ++visited_;
    if (++place.depth > deepest_nesting) return scene_.notes.add(notice::too_deep, element);
    if (visited_ % 1024 == 0) {
        cancelled_ = watch_.cancelled();
        watch_.at(scene_.document.share_before(element));
    }
    const std::string_view full_name = element.name(), name = local_name(element);
    // Elements of other vocabularies (editors' private data) draw nothing.
    if ((full_name.size() != name.size() && !full_name.starts_with("svg:")) || is_silent(name)) return;

    const auto mark = scene_.notes.mark();
    Style style = inherited;
    cascade(scene_, element, style, place.viewport);
    if (clipping_ > 0 || measuring_ > 0) paint_plainly(style);
    if (style.displayed) {
        const auto own = own_transform(element, style, place);
        if (own) {
            place.map = place.map * *own;
            if (name == "use") place.map = place.map * moved_to(scene_, element, place.viewport);
            if (measuring_ == 0) {
                if (!style.clip.empty()) place.clip = clip_of(style.clip, element, style, place);
                if (!style.clip_shape.empty()) place.clip = clip_by_shape(element, style, place);
            }
            if (style.opacity > 0)
                draw_mixed(style, [&](const Style& inside) {
                    inside.mask.empty() || scene_.options.as_picture || measuring_ > 0
                        ? draw_element(element, name, inside, place)
                        : draw_masked(element, name, inside, place);
                });
        } else {
            scene_.notes.add(notice::bad_value, element, {{"property", "transform"}});
        }
    }
    scene_.notes.close(mark);
}

void Walker::draw_element(const pugi::xml_node& element, std::string_view name, const Style& style,
                          const Place& place) {
    if (name == "g" || name == "a") return read_children(element, style, place);
    if (name == "svg") return read_viewport(element, style, place, {});
    if (name == "switch") return read_switch(element, style, place);
    if (name == "use") return read_use(element, style, place);
    if (name == "image") return read_image(element, style, place);
    if (name == "text") return paint_text(scene_, canvas_, element, style, place);
    if (const auto path = shape_path(scene_, element, place.viewport)) {
        const bool marked = style.markers && bears_markers(name) && clipping_ == 0 && measuring_ == 0;
        if (marked && style.markers_under) draw_markers(*path, element, style, place);
        canvas_.paint(*path, style, place, element, name != "line");
        if (marked && !style.markers_under) draw_markers(*path, element, style, place);
        return;
    }
    scene_.notes.add(notice::unsupported, element, {{"feature", std::string(name)}});
}

void Walker::draw_markers(const Path& path, const pugi::xml_node& element, const Style& style, const Place& place) {
    if (path.empty() || !style.visible || style.opacity <= 0) return;
    for (const MarkerSpot& spot : marker_spots(path, *style.markers)) {
        if (cancelled_ || full()) return;
        const auto marker = scene_.document.by_id(*spot.id);
        if (local_name(marker) == "marker" && std::find(using_.begin(), using_.end(), marker) == using_.end())
            draw_marker(marker, spot, style, place);
        else
            scene_.notes.add(notice::missing_reference, element);
    }
}

void Walker::draw_marker(const pugi::xml_node& marker, const MarkerSpot& spot, const Style& style, const Place& place) {
    const double width = measure(scene_, marker, "markerWidth", place.viewport, Axis::x, 3);
    const double height = measure(scene_, marker, "markerHeight", place.viewport, Axis::y, 3);
    const bool grows = std::string_view(marker.attribute("markerUnits").value()) != "userSpaceOnUse";
    const double unit = grows ? style.pen.width : 1;
    if (!(width > 0) || !(height > 0) || !(unit > 0)) return;

    const auto box = view_box(marker).value_or(std::vector<double>{0, 0, width, height});
    const Transform fit = view_box_map(box, width, height, marker.attribute("preserveAspectRatio").value());
    const geometry::Point reference = fit({marker_reference(marker.attribute("refX").value(), box[0], box[2]),
                                           marker_reference(marker.attribute("refY").value(), box[1], box[3])});
    Place inside = place;
    inside.map = place.map * Transform::move(spot.at.x, spot.at.y) *
                 Transform::turn(marker_turn(marker.attribute("orient").value(), spot)) * Transform::scale(unit, unit) *
                 Transform::move(-reference.x, -reference.y);
    Style own = inherited_style(scene_, marker, place.viewport);
    const auto resolved = [&](Paint paint) {
        if (paint.kind == Paint::Kind::current_colour) paint = {Paint::Kind::colour, style.colour, {}, {}};
        return paint;
    };
    own.context = std::make_shared<const ContextPaint>(ContextPaint{resolved(style.fill), resolved(style.stroke)});
    cascade(scene_, marker, own, place.viewport);
    if (!own.overflows) inside.clip = clipped_to(place.clip, box_region(inside.map, 0, 0, width, height));
    inside.map = inside.map * fit;
    inside.viewport = {box[2], box[3], 16};
    using_.push_back(marker);
    draw_mixed(own, [&](const Style& mixed) { read_children(marker, mixed, inside); });
    using_.pop_back();
}

/// The first child whose conditions hold: no extension is known, and drawings are read in English where they ask.
void Walker::read_switch(const pugi::xml_node& element, const Style& style, const Place& place) {
    for (const pugi::xml_node& child : element.children()) {
        if (child.type() != pugi::node_element || local_name(child) == "foreignObject") continue;
        if (child.attribute("requiredExtensions")) continue;
        if (const auto languages = child.attribute("systemLanguage");
            languages && std::string_view(languages.value()).find("en") == std::string_view::npos)
            continue;
        return read_element(child, style, place);
    }
}

/// A nested <svg>, or a <symbol> sized by the <use> that names it.
void Walker::read_viewport(const pugi::xml_node& element, const Style& style, Place place, const pugi::xml_node& user) {
    const auto side = [&](const char* name, Axis axis, double whole) {
        const double own = measure(scene_, element, name, place.viewport, axis, whole);
        return user ? measure(scene_, user, name, place.viewport, axis, own) : own;
    };
    const double width = side("width", Axis::x, place.viewport.width);
    const double height = side("height", Axis::y, place.viewport.height);
    if (!user) place.map = place.map * moved_to(scene_, element, place.viewport);
    if (!style.overflows && width > 0 && height > 0)
        place.clip = clipped_to(place.clip, box_region(place.map, 0, 0, width, height));
    place.viewport = {width, height, 16};
    if (const auto box = view_box(element)) {
        if (!(width > 0) || !(height > 0)) return;
        place.map = place.map * view_box_map(*box, width, height, element.attribute("preserveAspectRatio").value());
        place.viewport = {(*box)[2], (*box)[3], 16};
    }
    read_children(element, style, place);
}

void Walker::read_use(const pugi::xml_node& element, const Style& style, const Place& place) {
    const std::string_view reference = reference_of(element);
    if (!reference.starts_with('#'))
        return scene_.notes.add(notice::unsupported, element, {{"feature", "outside-reference"}});
    const auto target = scene_.document.referred(reference);
    // A reference to something that holds this very reference would never end.
    if (!target || std::find(using_.begin(), using_.end(), target) != using_.end())
        return scene_.notes.add(notice::missing_reference, element);
    using_.push_back(target);
    if (local_name(target) == "symbol") {
        Style own = style;
        cascade(scene_, target, own, place.viewport);
        draw_mixed(own, [&](const Style& inside) { read_viewport(target, inside, place, element); });
    } else {
        read_element(target, style, place);
    }
    using_.pop_back();
}

void Walker::read_image(const pugi::xml_node& element, const Style& style, Place place) {
    if (!style.visible || style.opacity <= 0) return;
    const auto image = images_.get(reference_of(element), element);
    if (!image) return;
    const double natural_width = image->width, natural_height = image->height;
    double width = measure(scene_, element, "width", place.viewport, Axis::x, 0);
    double height = measure(scene_, element, "height", place.viewport, Axis::y, 0);
    if (!(width > 0) && !(height > 0)) width = natural_width, height = natural_height;
    if (!(width > 0)) width = height * natural_width / natural_height;
    if (!(height > 0)) height = width * natural_height / natural_width;
    place.map = place.map * moved_to(scene_, element, place.viewport);
    const std::string_view aspect = element.attribute("preserveAspectRatio").value();
    const Transform fit = view_box_map({0, 0, natural_width, natural_height}, width, height, aspect);
    if (aspect.find("slice") != std::string_view::npos && !style.overflows)
        place.clip = clipped_to(place.clip, box_region(place.map, 0, 0, width, height));
    canvas_.lay(image, place.map * fit * Transform::scale(natural_width, natural_height), style, place, element);
}

Box Walker::drawn_box(const pugi::xml_node& element, const Style& style, const Place& place) {
    // It is drawn once, its areas alone, without any clip.
    Place bare = place;
    bare.map = {};
    bare.clip = nullptr;
    Style plain = style;
    paint_plainly(plain);
    ++measuring_;
    const Composer::Sheet drawn =
        scene_.composer.apart([&] { draw_element(element, local_name(element), plain, bare); });
    --measuring_;
    Box box;
    for (const Shape& shape : drawn.shapes)
        box.add(geometry::bounds(shape.path.flatten({}, 1e-3)));
    for (const PlacedPicture& picture : drawn.pictures)
        box.add(bounds(picture));
    return box;
}

void Walker::draw_masked(const pugi::xml_node& element, std::string_view name, const Style& style, const Place& place) {
    const auto mask = scene_.document.by_id(style.mask);
    if (local_name(mask) != "mask" || std::find(using_.begin(), using_.end(), mask) != using_.end()) {
        scene_.notes.add(notice::missing_reference, element);
        return draw_element(element, name, style, place);
    }
    using_.push_back(mask);
    const auto in_box = [&](const char* units, bool otherwise) {
        const std::string_view text = mask.attribute(units).value();
        return text.empty() ? otherwise : text == "objectBoundingBox";
    };
    const bool frame_in_box = in_box("maskUnits", true), content_in_box = in_box("maskContentUnits", false);
    const Box box = frame_in_box || content_in_box ? drawn_box(element, style, place) : Box{};
    const Transform to_box{box.width(), 0, 0, box.height(), box.left, box.bottom};
    Place inside = place;
    inside.clip = nullptr;
    if (content_in_box) inside.map = inside.map * to_box;
    const Composer::Sheet content = scene_.composer.apart([&] {
        Style own = inherited_style(scene_, mask, inside.viewport);
        cascade(scene_, mask, own, inside.viewport);
        read_children(mask, own, inside);
    });
    const Viewport around = frame_in_box ? Viewport{1, 1, 1} : place.viewport;
    const auto side = [&](const char* which, Axis axis, const char* otherwise) {
        const std::string_view text = mask.attribute(which).value();
        return parse_length(text.empty() ? otherwise : text, around, axis).value_or(0);
    };
    const Region frame =
        box_region(frame_in_box ? place.map * to_box : place.map, side("x", Axis::x, "-10%"),
                   side("y", Axis::y, "-10%"), side("width", Axis::x, "120%"), side("height", Axis::y, "120%"));
    using_.pop_back();
    const bool by_alpha = std::string_view(mask.attribute("mask-type").value()) == "alpha";
    const auto levels = scene_.options.cover ? mask_levels(content, frame, by_alpha) : std::nullopt;
    if (!levels) {
        const bool softly =
            scene_.options.cover && clipping_ == 0 &&
            paint_softly_masked(scene_.composer,
                                scene_.composer.apart([&] { draw_element(element, name, style, place); }), content,
                                frame, by_alpha);
        if (softly) return;
        scene_.notes.add(notice::unsupported, element, {{"feature", "mask"}});
        return draw_element(element, name, style, place);
    }
    paint_masked(scene_.composer, scene_.composer.apart([&] { draw_element(element, name, style, place); }), *levels);
}

std::optional<Transform> Walker::own_transform(const pugi::xml_node& element, const Style& style, const Place& place) {
    if (!style.transform) return Transform{};
    const OwnTransform& own = *style.transform;
    Box box{0, 0, place.viewport.width, place.viewport.height};
    if (own.of_its_own_box) {
        box = drawn_box(element, style, place);
        if (local_name(element) == "use") {
            const Transform moved = moved_to(scene_, element, place.viewport);
            box = {box.left + moved.e, box.bottom + moved.f, box.right + moved.e, box.top + moved.f};
        }
    }
    if (box.empty()) box = {0, 0, 0, 0};
    Transform all;
    for (const auto& [text, name] : {std::pair(&own.translate, "translate("), std::pair(&own.rotate, "rotate("),
                                     std::pair(&own.scale, "scale(")}) {
        if (text->empty()) continue;
        const auto part = parse_css_transform(name + *text + ")", place.viewport, box);
        if (!part) return {};
        all = all * *part;
    }
    const auto listed = parse_css_transform(own.transform, place.viewport, box);
    if (!listed) return {};
    all = all * *listed;
    // About the box's corner unless another place is named: so the sheet all viewers of SVG begin with.
    const auto origin = parse_place(own.origin.empty() ? "left top" : own.origin, place.viewport, box);
    if (!origin) return {};
    all = Transform::about(*origin, all);
    if (scene_.options.as_picture) retell_transform(element, own, all);
    return all;
}

/// A renderer may know a list of transforms and nothing else about them.
void Walker::retell_transform(const pugi::xml_node& element, const OwnTransform& own, const Transform& all) {
    if (own.translate.empty() && own.rotate.empty() && own.scale.empty() && own.origin.empty()) return;
    auto& values = scene_.retold.values;
    values[{element, "transform"}] = fmt::format("matrix({},{},{},{},{},{})", all.a, all.b, all.c, all.d, all.e, all.f);
    values[{element, "transform-origin"}] = "0 0";
    for (const char* property : {"translate", "rotate", "scale"})
        values[{element, property}] = "none";
}

std::shared_ptr<const Clip> Walker::clip_of(const std::string& id, const pugi::xml_node& element, const Style& style,
                                            const Place& place) {
    const auto clip_path = scene_.document.by_id(id);
    if (local_name(clip_path) != "clipPath" || std::find(using_.begin(), using_.end(), clip_path) != using_.end()) {
        scene_.notes.add(notice::missing_reference, element);
        return place.clip;
    }
    Place inside = place;
    inside.clip = nullptr;
    if (std::string_view(clip_path.attribute("clipPathUnits").value()) == "objectBoundingBox") {
        using_.push_back(clip_path);
        const Box box = drawn_box(element, style, place);
        using_.pop_back();
        if (box.empty()) return place.clip;
        inside.map = inside.map * Transform{box.width(), 0, 0, box.height(), box.left, box.bottom};
    }
    // Many elements in a row are often cut by the same.
    KnownClip& known = known_clips_[clip_path];
    if (known.clip && known.map == inside.map && known.viewport == inside.viewport && known.around == place.clip)
        return known.clip;
    using_.push_back(clip_path);
    Region area = clip_area(clip_path, inside);
    using_.pop_back();
    known = {inside.map, inside.viewport, place.clip, clipped_to(place.clip, std::move(area))};
    return known.clip;
}

std::shared_ptr<const Clip> Walker::clip_by_shape(const pugi::xml_node& element, const Style& style,
                                                  const Place& place) {
    Viewport around = place.viewport;
    around.font_size = style.font_size;
    const auto shape = parse_clip_shape(style.clip_shape, around, drawn_box(element, style, place));
    if (!shape) return place.clip;
    if (scene_.options.as_picture) {
        const std::string id = "clip-shape-" + std::to_string(scene_.retold.clips.size());
        const double finest = px_tolerance / std::max(1e-6, place.scale());
        scene_.retold.clips[id] = {shape->path.flatten({}, finest), shape->rule};
        scene_.retold.values[{element, "clip-path"}] = "url(#" + id + ")";
    }
    return clipped_to(place.clip, {shape->path.flatten(place.map, px_tolerance), shape->rule});
}

Region Walker::clip_area(const pugi::xml_node& clip_path, const Place& place) {
    Place inside = place;
    if (const auto own = parse_transform(clip_path.attribute("transform").value())) inside.map = inside.map * *own;
    Style own = inherited_style(scene_, clip_path, place.viewport);
    cascade(scene_, clip_path, own, place.viewport);
    std::vector<Region> regions;
    ++clipping_;
    const Composer::Sheet content = scene_.composer.apart([&] { read_children(clip_path, own, inside); });
    --clipping_;
    for (const Shape& shape : content.shapes) {
        if (shape.ink.kind != InkKind::fill) continue;
        regions.push_back({shape.path.flatten({}, px_tolerance), shape.rule});
        scene_.effort.spend(Effort::combined_point * static_cast<std::int64_t>(geometry::point_count(regions.back())));
    }
    if (scene_.effort.exhausted()) return {};
    Region area = regions.empty() ? Region{} : geometry::united(regions);
    if (!own.clip.empty()) {
        Place around = place;
        around.clip = nullptr;
        if (const auto outer = clip_of(own.clip, clip_path, own, around))
            area = geometry::intersection(area, outer->region);
    }
    return area;
}

}  // namespace chalkline::art::svg
