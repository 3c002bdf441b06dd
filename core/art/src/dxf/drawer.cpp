// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawer.hpp"

#include "spline.hpp"

#include <chalkline/geometry/combine.hpp>
#include <chalkline/geometry/stroke.hpp>

#include <array>
#include <cmath>
#include <iterator>
#include <numbers>

namespace chalkline::art::dxf {
namespace {

using geometry::Box;
using geometry::Path;
using geometry::Point;
using geometry::Transform;

constexpr int deepest_blocks = 32;

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

std::string Drawer::linetype_of(const Entity& entity, const Frame& frame) const {
    const std::string own = key_of(entity.text(6));
    if (own == "BYBLOCK") return frame.linetype;
    if (!own.empty() && own != "BYLAYER") return own;
    const auto layer = drawing_.layers.find(layer_of(entity, frame));
    return layer == drawing_.layers.end() ? "" : layer->second.linetype;
}

const Linetype* Drawer::break_of(const Entity& entity, const Frame& frame) const {
    if (!options_.linetypes) return nullptr;
    const auto found = drawing_.linetypes.find(linetype_of(entity, frame));
    return found == drawing_.linetypes.end() || found->second.lengths.empty() ? nullptr : &found->second;
}

/// Lets a dash go on round the corner into the next one, where that begins at its end.
static bool go_on(geometry::Polyline& dash, const geometry::Polyline& next) {
    if (dash.closed || next.closed || dash.points.empty() || next.points.empty()) return false;
    if (!(dash.points.back() == next.points.front())) return false;
    dash.points.insert(dash.points.end(), next.points.begin() + 1, next.points.end());
    return true;
}

Path Drawer::broken(const Path& path, const Linetype& linetype, const Entity& entity) {
    if (linetype.holds_shapes) note(notice::unsupported, entity, {{"feature", "linetype"}});
    const double own = entity.number(48, 1);
    std::vector<double> lengths = linetype.lengths;
    for (double& length : lengths)
        length *= drawing_.linetype_scale * (own > 0 ? own : 1);
    constexpr double dot = 0.2;  // mm
    std::vector<geometry::Polyline> pieces;
    for (const geometry::Polyline& line : path.flatten({}, 0.005 / unit_)) {
        for (geometry::Polyline& dash : dashes_of(line, lengths, dot / (unit_ * options_.scale)))
            if (pieces.empty() || !go_on(pieces.back(), dash)) pieces.push_back(std::move(dash));
    }
    if (pieces.size() > 1 && go_on(pieces.back(), pieces.front())) {
        pieces.front() = std::move(pieces.back());
        pieces.pop_back();
    }
    return geometry::path_of(pieces);
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
        if (entity.type != "LWPOLYLINE") continue;
        if (group.code == 40) points.back().width = group.number;
        if (group.code == 41) points.back().width_at_end = group.number;
        if (group.code == 42) points.back().bulge = group.number;
    }
    if (points.size() < 2) return;
    if (const Group* whole = entity.find(43))
        for (BulgedPoint& point : points)
            point.width = point.width_at_end = whole->number;
    add_polyline(points, entity.type == "LWPOLYLINE" && entity.flag(70, 1), plane_of(entity), entity, frame);
}

void Drawer::draw_polyline(const Entity& entity, const Frame& frame) {
    constexpr int closed = 1, curve_fit = 2, spline_fit = 4, flat_in_space = 8, mesh = 16, poly_face = 64;
    if (entity.flag(70, mesh | poly_face)) return note(notice::unsupported, entity, {{"feature", "mesh"}});
    const bool fitted = entity.flag(70, curve_fit | spline_fit);
    std::vector<BulgedPoint> points;
    for (const Entity& vertex : entity.parts) {
        constexpr int control_of_fit = 16;
        if (vertex.type != "VERTEX" || (fitted && vertex.flag(70, control_of_fit))) continue;
        points.push_back({vertex.point(10), vertex.number(42), vertex.number(40, entity.number(40)),
                          vertex.number(41, entity.number(41))});
    }
    if (points.size() < 2) return;
    const Transform plane = entity.flag(70, flat_in_space) ? Transform() : plane_of(entity);
    add_polyline(points, entity.flag(70, closed), plane, entity, frame);
}

void Drawer::add_polyline(const std::vector<BulgedPoint>& points, bool closed, const Transform& plane,
                          const Entity& entity, const Frame& frame) {
    const double width = points.front().width;
    const auto end = closed ? points.end() : points.end() - 1;
    const bool steady = std::all_of(points.begin(), end, [width](const BulgedPoint& point) {
        return point.width == width && point.width_at_end == width;
    });
    if (!steady) return add_tapered(points, closed, plane, entity, frame);
    // Unless it is said otherwise the pattern begins anew at every corner.
    constexpr int pattern_runs_through = 128;
    const bool in_parts = break_of(entity, frame) && !entity.flag(70, pattern_runs_through) && !is_wide(width);
    Path path = in_parts ? bulged_segments(points, closed) : bulged_path(points, closed);
    path.transform(plane);
    add_line(std::move(path), entity, frame, width);
}

void Drawer::add_tapered(const std::vector<BulgedPoint>& points, bool closed, const Transform& plane,
                         const Entity& entity, const Frame& frame) {
    const double tolerance = 0.005 / unit_;
    const std::size_t segments = points.size() - (closed ? 0 : 1);
    std::vector<geometry::Region> areas;
    for (std::size_t i = 0; i < segments; ++i) {
        const BulgedPoint& from = points[i];
        const BulgedPoint& to = points[(i + 1) % points.size()];
        if (!is_wide(std::max(from.width, from.width_at_end))) {
            Path thin = bulged_path({from, to}, false);
            thin.transform(plane);
            add_line(std::move(thin), entity, frame);
            continue;
        }
        areas.push_back(tapered_segment(from, to.at, tolerance));
        // Round where the next one turns away.
        const bool goes_on = i + 1 < segments || closed;
        geometry::Pen joint;
        joint.cap = geometry::LineCap::round;
        joint.width = goes_on ? std::min(from.width_at_end, to.width) : 0;
        if (is_wide(joint.width)) areas.push_back(geometry::stroked({{{to.at}, false}}, joint, tolerance));
    }
    if (areas.empty()) return;
    note(notice::stroke_area, entity);
    const geometry::Region area = geometry::united(areas);
    Path path = geometry::path_of(area.rings);
    path.transform(plane);
    add_fill(std::move(path), entity, frame, area.rule);
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
    const std::size_t parts = static_cast<std::size_t>(columns) * static_cast<std::size_t>(rows) *
                              std::max<std::size_t>(1, block->second.entities.size());
    if (drawn_ + parts > most_drawn) {
        drawn_ += parts;
        return;
    }
    const Transform turn = Transform::turn(radians(entity.number(50)));
    const Transform own = turn * Transform::scale(factor(41), factor(42)) * Transform::move(-base.x, -base.y);
    const Transform plane = frame.map * plane_of(entity) * Transform::move(at.x, at.y);
    for (int row = 0; row < rows; ++row) {
        for (int column = 0; column < columns; ++column) {
            if (cancelled_ || full()) return;
            const Point step = turn({column * entity.number(44), row * entity.number(45)});
            draw_block(block->second, entity, frame, plane * Transform::move(step.x, step.y) * own);
        }
    }
}

void Drawer::draw_block(const Block& block, const Entity& entity, const Frame& frame, const Transform& map) {
    const bool holds_itself = std::find(inside_.begin(), inside_.end(), &block) != inside_.end();
    if (holds_itself || frame.depth >= deepest_blocks) return note(notice::too_deep, entity);
    const Frame inner{map, colour_of(entity, frame), layer_of(entity, frame), linetype_of(entity, frame),
                      frame.depth + 1};
    inside_.push_back(&block);
    for (const Entity& part : block.entities)
        draw(part, inner);
    inside_.pop_back();
}

void Drawer::add_line(Path path, const Entity& entity, const Frame& frame, double width) {
    if (!(width * unit_ < farthest_place)) return note(notice::absurd_place, entity);
    if (is_wide(width)) {
        geometry::Pen pen;
        pen.width = width;
        const auto region = geometry::stroked(path.flatten({}, 0.005 / unit_), pen, 0.005 / unit_);
        note(notice::stroke_area, entity);
        return add_fill(geometry::path_of(region.rings), entity, frame, region.rule);
    }
    if (const Linetype* linetype = break_of(entity, frame)) path = broken(path, *linetype, entity);
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
