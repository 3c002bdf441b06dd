// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawer.hpp"
#include "spline.hpp"

#include <chalkline/geometry/stroke.hpp>

#include <cmath>
#include <numbers>

namespace chalkline::art::dxf {
namespace {

using geometry::Path;
using geometry::Point;
using geometry::Transform;

struct Vector3 {
    double x, y, z;
};
Vector3 cross(Vector3 a, Vector3 b) {
    return {a.y * b.z - a.z * b.y, a.z * b.x - a.x * b.z, a.x * b.y - a.y * b.x};
}
Vector3 unit(Vector3 v) {
    const double length = std::sqrt(v.x * v.x + v.y * v.y + v.z * v.z);
    return length > 0 ? Vector3{v.x / length, v.y / length, v.z / length} : Vector3{0, 0, 1};
}

/// Walks the groups of a HATCH, whose meaning depends on what came before.
class HatchReader {
 public:
    HatchReader(const Entity& entity, double tolerance) : groups_(entity.groups), tolerance_(tolerance) {}

    Path read() {
        while (at_ < groups_.size() && groups_[at_].code != 91)
            ++at_;
        int loops = take(91);
        while (loops-- > 0 && at_ < groups_.size()) {
            const int kind = take(92);
            if (kind & 2)
                read_polyline();
            else
                read_edges();
            // Handles of the entities the border came from.
            for (int sources = take(97); sources > 0 && at_ < groups_.size() && groups_[at_].code == 330; --sources)
                ++at_;
        }
        return std::move(path_);
    }

 private:
    /// The next group's value when it has this code; 0, and nothing taken, otherwise.
    double value(int code) { return at_ < groups_.size() && groups_[at_].code == code ? groups_[at_++].number : 0; }
    int take(int code) { return static_cast<int>(std::clamp(value(code), -1e9, 1e9)); }
    Point point(int code) {
        const double x = value(code);
        return {x, value(code + 10)};
    }

    void read_polyline() {
        take(72);
        take(73);  // closed or not: a border is closed whatever it says
        std::vector<BulgedPoint> points;
        for (int count = take(93); count > 0 && at_ < groups_.size() && groups_[at_].code == 10; --count) {
            points.push_back({point(10)});
            points.back().bulge = value(42);
        }
        path_.append(bulged_path(points, true));
    }

    void read_edges() {
        std::vector<Path> edges;
        for (int count = take(93); count > 0 && at_ < groups_.size() && groups_[at_].code == 72; --count)
            read_edge(take(72), edges);
        if (edges.empty()) return;
        Path border = edges[0];
        for (std::size_t i = 1; i < edges.size(); ++i) {
            // Edges come in order, but not all in the same direction.
            const bool turned = geometry::distance(border.current(), edges[i].current()) <
                                geometry::distance(border.current(), edges[i].contour_start());
            border.continue_with(turned ? edges[i].reversed() : edges[i]);
        }
        border.close();
        path_.append(border);
    }

    void read_edge(int kind, std::vector<Path>& edges) {
        Path edge;
        if (kind == 1) {
            edge.move_to(point(10));
            edge.line_to(point(11));
        } else if (kind == 2 || kind == 3) {
            const Point centre = point(10);
            Point u = kind == 3 ? point(11) : Point{value(40), 0};
            const double ratio = kind == 3 ? value(40) : 1;
            double from = value(50) * std::numbers::pi / 180, to = value(51) * std::numbers::pi / 180;
            const bool counter = take(73) != 0;
            if (!counter) from = -from, to = -to;
            while (counter && to <= from)
                to += 2 * std::numbers::pi;
            while (!counter && to >= from)
                to -= 2 * std::numbers::pi;
            const Point v = Point{-u.y, u.x} * ratio;
            edge.move_to(centre + u * std::cos(from) + v * std::sin(from));
            edge.arc_to(centre, u, v, from, to - from);
        } else if (kind == 4) {
            read_spline_edge(edge);
        }
        if (!edge.empty() && edge.finite()) edges.push_back(std::move(edge));
    }

    void read_spline_edge(Path& edge) {
        Spline spline;
        spline.degree = take(94);
        const bool rational = take(73) != 0;
        take(74);
        const int knots = take(95), controls = take(96);
        for (int i = 0; i < knots && at_ < groups_.size() && groups_[at_].code == 40; ++i)
            spline.knots.push_back(value(40));
        for (int i = 0; i < controls && at_ < groups_.size() && groups_[at_].code == 10; ++i) {
            spline.controls.push_back(point(10));
            if (rational && at_ < groups_.size() && groups_[at_].code == 42) spline.weights.push_back(value(42));
        }
        // Fit data of newer files.
        for (int fits = take(97); fits > 0 && at_ < groups_.size() && groups_[at_].code == 11; --fits)
            point(11);
        if (at_ < groups_.size() && groups_[at_].code == 12) point(12);
        if (at_ < groups_.size() && groups_[at_].code == 13) point(13);
        if (spline.valid()) edge = geometry::path_of({flatten(spline, tolerance_)});
    }

    const std::vector<Group>& groups_;
    double tolerance_;
    std::size_t at_ = 0;
    Path path_;
};

}  // namespace

Transform plane_of(const Entity& entity) {
    const Vector3 normal = unit({entity.number(210, 0), entity.number(220, 0), entity.number(230, 1)});
    if (normal.x == 0 && normal.y == 0 && normal.z > 0) return {};
    constexpr double near = 1.0 / 64;
    const bool upright = std::abs(normal.x) < near && std::abs(normal.y) < near;
    const Vector3 x = unit(upright ? cross({0, 1, 0}, normal) : cross({0, 0, 1}, normal)), y = unit(cross(normal, x));
    const double height = entity.type == "LWPOLYLINE" ? entity.number(38) : entity.number(30);
    return {x.x, x.y, y.x, y.y, normal.x * height, normal.y * height};
}

Path bulged_path(const std::vector<BulgedPoint>& points, bool closed) {
    Path path;
    if (points.empty()) return path;
    path.move_to(points[0].at);
    for (std::size_t i = 0; i < points.size(); ++i) {
        if (i + 1 == points.size() && !closed) break;
        const Point from = points[i].at, to = points[(i + 1) % points.size()].at;
        const double bulge = points[i].bulge;
        if (std::abs(bulge) < 1e-9 || from == to) {
            path.line_to(to);
            continue;
        }
        // The centre lies beside the middle of the chord, (1 − b²) / 4b of its length away to the left.
        const Point chord = to - from, left{-chord.y, chord.x};
        const Point centre = geometry::between(from, to, 0.5) + left * ((1 - bulge * bulge) / (4 * bulge));
        const double radius = geometry::distance(centre, from);
        const double start = std::atan2(from.y - centre.y, from.x - centre.x);
        path.arc_to(centre, {radius, 0}, {0, radius}, start, 4 * std::atan(bulge));
    }
    if (closed) path.close();
    return path;
}

Path bulged_segments(const std::vector<BulgedPoint>& points, bool closed) {
    Path path;
    for (std::size_t i = 0; i + (closed ? 0 : 1) < points.size(); ++i)
        path.append(bulged_path({points[i], points[(i + 1) % points.size()]}, false));
    return path;
}

geometry::Region tapered_segment(const BulgedPoint& from, Point to, double tolerance) {
    const auto lines = bulged_path({from, {to}}, false).flatten({}, tolerance);
    if (lines.empty()) return {};
    const std::vector<Point>& points = lines[0].points;
    const double whole = geometry::length(lines);
    geometry::Polyline ring;
    ring.closed = true;
    std::vector<Point> other_side;
    double gone = 0;
    for (std::size_t i = 0; i < points.size(); ++i) {
        if (i > 0) gone += geometry::distance(points[i - 1], points[i]);
        const Point way = points[std::min(i + 1, points.size() - 1)] - points[i > 0 ? i - 1 : 0];
        const double length = std::hypot(way.x, way.y);
        if (!(length > 0)) continue;
        const double width = from.width + (from.width_at_end - from.width) * (whole > 0 ? gone / whole : 0);
        const Point aside = Point{-way.y, way.x} * (width / 2 / length);
        ring.points.push_back(points[i] + aside);
        other_side.push_back(points[i] - aside);
    }
    ring.points.insert(ring.points.end(), other_side.rbegin(), other_side.rend());
    return {{std::move(ring)}, geometry::FillRule::non_zero};
}

std::vector<geometry::Polyline> dashes_of(const geometry::Polyline& line, std::vector<double> lengths, double dot) {
    double pattern = 0;
    for (std::size_t i = 0; i + 1 < lengths.size(); i += 2) {
        const double more = lengths[i] > 0 ? 0 : std::min(dot, lengths[i + 1] / 2);
        lengths[i] += more;
        lengths[i + 1] -= more;
        pattern += lengths[i] + lengths[i + 1];
    }
    constexpr double most_patterns = 100'000;
    const double whole = geometry::length({line});
    if (!(pattern > 0) || !std::isfinite(pattern) || whole / pattern > most_patterns) return {line};
    if (line.closed) return whole < pattern ? std::vector{line} : geometry::dashed({line}, lengths, 0);
    const double patterns = std::floor((whole - lengths[0]) / pattern);
    if (patterns < 1) return {line};
    std::vector<double> all;
    for (int i = 0; i < static_cast<int>(patterns); ++i)
        all.insert(all.end(), lengths.begin(), lengths.end());
    const double left_over = whole - patterns * pattern - lengths[0];
    all.front() += left_over / 2;
    // The last dash may be longer than the line: rounding must not cut its end.
    all.push_back(lengths[0] + left_over);
    all.push_back(pattern);
    return geometry::dashed({line}, all, 0);
}

Path hatch_borders(const Entity& entity, double tolerance) {
    return HatchReader(entity, tolerance).read();
}

}  // namespace chalkline::art::dxf
