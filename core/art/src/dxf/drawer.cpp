// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawer.hpp"

#include "spline.hpp"

#include <chalkline/geometry/stroke.hpp>

#include <array>
#include <cmath>
#include <numbers>

namespace chalkline::art::dxf {
namespace {

using geometry::Box;
using geometry::Path;
using geometry::Point;
using geometry::Transform;

constexpr int deepest_blocks = 32;
constexpr std::size_t most_drawn = 2'000'000;  // entities, those of repeated blocks counted each time

double radians(double degrees) {
    return degrees * std::numbers::pi / 180;
}

/// Things of a CAD file that are no drawing and are passed over in silence.
bool draws_nothing(std::string_view type) {
    static constexpr std::array silent{"VIEWPORT", "ATTDEF", "SEQEND", "LIGHT", "SUN"};
    return std::any_of(silent.begin(), silent.end(), [&](const char* name) { return type == name; });
}

}  // namespace

void Drawer::draw_all() {
    const Frame frame;
    for (const Entity& entity : drawing_.entities) {
        if (cancelled_ || full()) break;
        if (entity.whole(67) == 1) continue;  // on a sheet of the paper space
        draw(entity, frame);
    }
    if (hidden_layers_.empty()) return;
    std::string names;
    for (const std::string& layer : hidden_layers_)
        names += (names.empty() ? "" : ", ") + layer;
    art_.remarks.push_back({{std::string(notice::layers_off), {{"layers", names}}, 1, 0}, {}});
}

void Drawer::draw(const Entity& entity, const Frame& frame) {
    const auto mark = remarks_.mark();
    draw_by_type(entity, frame);
    Box place;
    if (entity.find(10)) place.add(frame.map(entity.point(10)));
    remarks_.close(mark, place);
}

void Drawer::draw_by_type(const Entity& entity, const Frame& frame) {
    if (++drawn_ % 4096 == 0) cancelled_ = cancelled_ || watch_.cancelled();
    if (cancelled_ || full() || !shown(entity, frame)) return;
    if (drawn_ > most_drawn) return note(notice::too_deep, entity);
    const std::string_view type = entity.type;
    if (type == "LINE") {
        Path path;
        path.move_to(entity.point(10));
        path.line_to(entity.point(11));
        return add_line(std::move(path), entity, frame);
    }
    if (type == "ARC" || type == "CIRCLE") return draw_arc(entity, frame);
    if (type == "ELLIPSE") return draw_ellipse(entity, frame);
    if (type == "LWPOLYLINE") return draw_light_polyline(entity, frame);
    if (type == "POLYLINE") return draw_polyline(entity, frame);
    if (type == "SPLINE" || type == "HELIX") return draw_spline(entity, frame);
    if (type == "INSERT") return draw_insert(entity, frame);
    if (type == "TEXT" || type == "ATTRIB") return draw_text(entity, frame);
    if (type == "MTEXT") return draw_mtext(entity, frame);
    if (type == "SOLID" || type == "TRACE") return draw_solid(entity, frame, true);
    if (type == "3DFACE") return draw_solid(entity, frame, false);
    if (type == "HATCH") return draw_hatch(entity, frame);
    if (type == "LEADER") return draw_light_polyline(entity, frame);
    if (type == "DIMENSION") {
        // A dimension comes with its picture as a block, already in its place.
        const auto block = drawing_.blocks.find(key_of(entity.text(2)));
        if (block != drawing_.blocks.end()) return draw_block(block->second, entity, frame, frame.map);
    }
    if (!draws_nothing(type)) note(notice::unsupported, entity, {{"feature", std::string(type)}});
}

bool Drawer::shown(const Entity& entity, const Frame& frame) {
    if (entity.whole(60) == 1) return false;
    const std::string name = layer_of(entity, frame);
    const auto layer = drawing_.layers.find(name);
    if (layer == drawing_.layers.end() || layer->second.shown) return true;
    hidden_layers_.insert(name);
    return false;
}

std::string Drawer::layer_of(const Entity& entity, const Frame& frame) const {
    const std::string own = key_of(entity.text(8));
    return own.empty() || own == "0" ? frame.layer : own;
}

Rgb Drawer::colour_of(const Entity& entity, const Frame& frame) const {
    if (entity.find(420)) return true_colour(entity);
    constexpr int by_block = 0, by_layer = 256;
    const int index = std::abs(entity.whole(62, by_layer));
    if (index == by_block) return frame.by_block;
    if (index < by_layer) return indexed_colour(index);
    const auto layer = drawing_.layers.find(layer_of(entity, frame));
    return layer == drawing_.layers.end() ? Rgb{} : layer->second.rgb;
}

void Drawer::draw_arc(const Entity& entity, const Frame& frame) {
    const Point centre = entity.point(10);
    const double r = entity.number(40);
    if (!(r > 0)) return;
    double from = 0, sweep = 2 * std::numbers::pi;
    if (entity.type == "ARC") {
        from = radians(entity.number(50));
        sweep = std::fmod(radians(entity.number(51)) - from, 2 * std::numbers::pi);
        if (sweep <= 0) sweep += 2 * std::numbers::pi;
    }
    Path path;
    path.move_to(centre + Point{r * std::cos(from), r * std::sin(from)});
    path.arc_to(centre, {r, 0}, {0, r}, from, sweep);
    if (entity.type == "CIRCLE") path.close();
    path.transform(plane_of(entity));
    add_line(std::move(path), entity, frame);
}

void Drawer::draw_ellipse(const Entity& entity, const Frame& frame) {
    const Point centre = entity.point(10), major = entity.point(11);
    const double side = entity.number(230, 1) < 0 ? -1 : 1;
    const Point minor = Point{-major.y, major.x} * (entity.number(40, 1) * side);
    const double from = entity.number(41, 0), to = entity.number(42, 2 * std::numbers::pi);
    double sweep = std::fmod(to - from, 2 * std::numbers::pi);
    const bool whole = std::abs(std::abs(to - from) - 2 * std::numbers::pi) < 1e-9;
    if (sweep <= 0) sweep += 2 * std::numbers::pi;
    if (whole) sweep = 2 * std::numbers::pi;
    Path path;
    path.move_to(centre + major * std::cos(from) + minor * std::sin(from));
    path.arc_to(centre, major, minor, from, sweep);
    if (whole) path.close();
    add_line(std::move(path), entity, frame);
}

void Drawer::draw_light_polyline(const Entity& entity, const Frame& frame) {
    std::vector<BulgedPoint> points;
    for (const Group& group : entity.groups) {
        if (group.code == 10) points.push_back({{group.number, 0}});
        if (points.empty()) continue;
        if (group.code == 20) points.back().at.y = group.number;
        if (group.code == 42 && entity.type == "LWPOLYLINE") points.back().bulge = group.number;
    }
    if (points.size() < 2) return;
    Path path = bulged_path(points, entity.type == "LWPOLYLINE" && entity.flag(70, 1));
    path.transform(plane_of(entity));
    add_line(std::move(path), entity, frame, entity.number(43));
}

void Drawer::draw_polyline(const Entity& entity, const Frame& frame) {
    constexpr int closed = 1, curve_fit = 2, spline_fit = 4, flat_in_space = 8, mesh = 16, poly_face = 64;
    if (entity.flag(70, mesh | poly_face)) return note(notice::unsupported, entity, {{"feature", "mesh"}});
    const bool fitted = entity.flag(70, curve_fit | spline_fit);
    std::vector<BulgedPoint> points;
    for (const Entity& vertex : entity.parts) {
        constexpr int control_of_fit = 16;
        if (vertex.type != "VERTEX" || (fitted && vertex.flag(70, control_of_fit))) continue;
        points.push_back({vertex.point(10), vertex.number(42)});
    }
    if (points.size() < 2) return;
    Path path = bulged_path(points, entity.flag(70, closed));
    if (!entity.flag(70, flat_in_space)) path.transform(plane_of(entity));
    const double width = entity.number(40) == entity.number(41) ? entity.number(40) : 0;
    add_line(std::move(path), entity, frame, width);
}

void Drawer::draw_spline(const Entity& entity, const Frame& frame) {
    Spline spline;
    std::vector<Point> through;
    spline.degree = entity.whole(71, 3);
    for (const Group& group : entity.groups) {
        if (group.code == 40) spline.knots.push_back(group.number);
        if (group.code == 41) spline.weights.push_back(group.number);
        if (group.code == 10) spline.controls.push_back({group.number, 0});
        if (group.code == 20 && !spline.controls.empty()) spline.controls.back().y = group.number;
        if (group.code == 11) through.push_back({group.number, 0});
        if (group.code == 21 && !through.empty()) through.back().y = group.number;
    }
    constexpr double tolerance = 0.005;  // mm
    geometry::Polyline line;
    if (spline.valid())
        line = flatten(spline, tolerance / unit_);
    else if (spline.controls.empty() && through.size() > 1)
        line = smooth_through(through);
    else
        return note(notice::bad_path, entity);
    add_line(geometry::path_of({line}), entity, frame);
}

void Drawer::draw_solid(const Entity& entity, const Frame& frame, bool crossed) {
    std::vector<BulgedPoint> corners{{entity.point(10)}, {entity.point(11)}, {entity.point(12)}};
    // The corners of a SOLID are numbered like a Z.
    if (entity.find(13)) corners.push_back({entity.point(13)});
    if (crossed && corners.size() == 4) std::swap(corners[2], corners[3]);
    Path path = bulged_path(corners, true);
    if (crossed) path.transform(plane_of(entity));
    crossed ? add_fill(std::move(path), entity, frame) : add_line(std::move(path), entity, frame);
}

void Drawer::draw_hatch(const Entity& entity, const Frame& frame) {
    Path borders = hatch_borders(entity, 0.005 / unit_);
    if (borders.empty()) return;
    borders.transform(plane_of(entity));
    if (entity.whole(70) == 0) note(notice::hatch_pattern, entity);
    add_fill(std::move(borders), entity, frame);
}

void Drawer::draw_insert(const Entity& entity, const Frame& frame) {
    for (const Entity& attribute : entity.parts) {
        constexpr int invisible = 1;
        if (!attribute.flag(70, invisible)) draw(attribute, frame);
    }
    const auto block = drawing_.blocks.find(key_of(entity.text(2)));
    if (block == drawing_.blocks.end()) return note(notice::missing_block, entity);
    const auto factor = [&](int code) {
        const double value = entity.number(code, 1);
        return value == 0 ? 1 : value;
    };
    const Point at = entity.point(10), base = block->second.base;
    const int columns = std::clamp(entity.whole(70, 1), 1, 10000), rows = std::clamp(entity.whole(71, 1), 1, 10000);
    const Transform turn = Transform::turn(radians(entity.number(50)));
    const Transform own = turn * Transform::scale(factor(41), factor(42)) * Transform::move(-base.x, -base.y);
    const Transform plane = frame.map * plane_of(entity) * Transform::move(at.x, at.y);
    for (int row = 0; row < rows; ++row) {
        for (int column = 0; column < columns; ++column) {
            if (cancelled_ || full() || drawn_ > most_drawn) return;
            const Point step = turn({column * entity.number(44), row * entity.number(45)});
            draw_block(block->second, entity, frame, plane * Transform::move(step.x, step.y) * own);
        }
    }
}

void Drawer::draw_block(const Block& block, const Entity& entity, const Frame& frame, const Transform& map) {
    const bool holds_itself = std::find(inside_.begin(), inside_.end(), &block) != inside_.end();
    if (holds_itself || frame.depth >= deepest_blocks) return note(notice::too_deep, entity);
    const Frame inner{map, colour_of(entity, frame), layer_of(entity, frame), frame.depth + 1};
    inside_.push_back(&block);
    for (const Entity& part : block.entities)
        draw(part, inner);
    inside_.pop_back();
}

void Drawer::add_line(Path path, const Entity& entity, const Frame& frame, double width) {
    const double width_mm = width * unit_;
    if (!(width_mm < farthest_place)) return note(notice::absurd_place, entity);
    if (width_mm * options_.scale >= options_.stroke_area) {
        geometry::Pen pen;
        pen.width = width;
        const auto region = geometry::stroked(path.flatten({}, 0.005 / unit_), pen, 0.005 / unit_);
        note(notice::stroke_area, entity);
        return add_fill(geometry::path_of(region.rings), entity, frame, region.rule);
    }
    path.transform(frame.map);
    if (!path.finite()) return note(notice::absurd_place, entity);
    points_ += path.size();
    art_.shapes.push_back(
        {std::move(path), {colour_of(entity, frame), InkKind::line}, geometry::FillRule::non_zero, width, entity.line});
}

void Drawer::add_fill(Path path, const Entity& entity, const Frame& frame, geometry::FillRule rule) {
    path.transform(frame.map);
    if (!path.finite()) return note(notice::absurd_place, entity);
    points_ += path.size();
    art_.shapes.push_back({std::move(path), {colour_of(entity, frame), InkKind::fill}, rule, 0, entity.line});
}

void Drawer::note(std::string_view code, const Entity& entity, Parameters parameters) {
    remarks_.add(code, entity.line, std::move(parameters));
}

}  // namespace chalkline::art::dxf
