// SPDX-License-Identifier: GPL-3.0-or-later
#include "shapes/line_work.hpp"

#include <chalkline/geometry/combine.hpp>

#include <algorithm>
#include <cmath>
#include <limits>

namespace chalkline::planning {
namespace {

using geometry::Point;

/// The place of a chain nearest to a point.
struct OnChain {
    double away = std::numeric_limits<double>::infinity();
    std::size_t segment = 0;  ///< between this point and the next
    Point place;
    double along = 0;  ///< mm from the chain's first point
};

OnChain nearest_on(const std::vector<Point>& points, bool closed, Point to) {
    OnChain best;
    double along = 0;
    const std::size_t segments = closed ? points.size() : points.size() - 1;
    for (std::size_t i = 0; i < segments; ++i) {
        const Point a = points[i], b = points[(i + 1) % points.size()];
        const Point place = geometry::nearest_on_line(to, a, b);
        if (const double away = geometry::distance(place, to); away < best.away)
            best = {away, i, place, along + geometry::distance(a, place)};
        along += geometry::distance(a, b);
    }
    return best;
}

/// Lit stretches of a line by their lengths along it, ascending.
using Lit = std::vector<std::pair<double, double>>;

Lit without(const Lit& lit, double from, double to) {
    Lit left;
    for (const auto& [a, b] : lit) {
        if (b <= from || a >= to) {
            left.emplace_back(a, b);
            continue;
        }
        if (a < from) left.emplace_back(a, from);
        if (b > to) left.emplace_back(to, b);
    }
    return left;
}

Lit perforated(const Lit& lit, double burn, double gap) {
    Lit result;
    for (const auto& [a, b] : lit) {
        const double period = burn + gap;
        for (double start = std::floor(a / period) * period; start < b; start += period) {
            const double from = std::max(a, start), to = std::min(b, start + burn);
            if (to - from > 1e-9) result.emplace_back(from, to);
        }
    }
    return result;
}

Lit lit_of(const OrderedLine& line, const steps::LineSettings& settings, double length, double whole) {
    Lit lit{{0, whole}};
    std::vector<double> bridges;
    if (line.closed)
        for (int i = 0; i < settings.bridges; ++i)
            bridges.push_back(length * (i + 0.5) / settings.bridges);
    for (const Point place : line.bridges)
        bridges.push_back(nearest_on(line.points, false, place).along);
    const double half = settings.bridge_width.mm() / 2;
    for (const double middle : bridges) {
        // On a closed line a bridge lies across the start, and in the part gone twice, as well.
        const std::initializer_list<double> turns = {-length, 0.0, length};
        for (const double turn : turns)
            if (line.closed || turn == 0) lit = without(lit, middle + turn - half, middle + turn + half);
    }
    if (settings.perforated()) lit = perforated(lit, settings.perforation_burn.mm(), settings.perforation_gap.mm());
    return lit;
}

/// Where the beam goes on before a closed line: off its start, in what falls away. Nothing when there is no room.
std::optional<Point> lead_in_start(const OrderedLine& line, double length) {
    const auto& points = line.points;
    const geometry::Polyline ring{{points.begin(), points.end() - 1}, true};
    const Point start = points.front();
    const Point in = start - points[points.size() - 2], out = points[1] - start;
    Point way = in * (1 / geometry::norm(in)) + out * (1 / geometry::norm(out));
    if (geometry::norm(way) < 1e-6) way = out;
    way = way * (1 / geometry::norm(way));
    // To the left of a counter-clockwise ring lies its inside.
    const bool inside_left = geometry::signed_area(ring) > 0;
    const bool to_left = inside_left == line.hole;
    const Point side = to_left ? Point{-way.y, way.x} : Point{way.y, -way.x};
    if (line.hole) {
        const geometry::Box box = geometry::bounds(ring);
        length = std::min(length, 0.4 * std::min(box.width(), box.height()));
    }
    const Point lead = start + side * length;
    const bool inside = geometry::contains({{ring}, geometry::FillRule::even_odd}, lead);
    if (inside != line.hole) return {};
    return lead;
}

}  // namespace

std::vector<LineShape> beside_the_kerf(std::vector<LineShape> lines, const steps::LineSettings& settings, int& narrow) {
    using Kerf = steps::LineSettings::Kerf;
    const double half = settings.kerf.mm() / 2;
    if (settings.kerf_side == Kerf::none || half <= 0) return lines;
    const auto depth = depths(enclosures(lines));
    std::vector<LineShape> moved;
    for (std::size_t i = 0; i < lines.size(); ++i) {
        LineShape& shape = lines[i];
        if (!shape.line.closed) {
            moved.push_back(std::move(shape));
            continue;
        }
        const bool grows = (settings.kerf_side == Kerf::outside) == (depth[i] % 2 == 0);
        const bool clockwise = geometry::signed_area(shape.line) < 0;
        const Point start = shape.line.points.front();
        auto rings = geometry::grown({{shape.line}, geometry::FillRule::even_odd}, grows ? half : -half).rings;
        if (rings.empty()) ++narrow;
        for (auto& ring : rings) {
            // Clean rings run counter-clockwise: the drawn direction and start are kept where they were chosen.
            if (shape.fixed) {
                if (clockwise) std::reverse(ring.points.begin(), ring.points.end());
                const auto at = nearest_on(ring.points, true, start);
                ring.points.insert(ring.points.begin() + static_cast<std::ptrdiff_t>(at.segment) + 1, at.place);
                std::rotate(ring.points.begin(), ring.points.begin() + static_cast<std::ptrdiff_t>(at.segment) + 1,
                            ring.points.end());
            }
            LineShape& beside = moved.emplace_back(shape);
            beside.line = std::move(ring);
        }
    }
    return moved;
}

void apply_marks(const std::vector<job::PathMark>& marks, const geometry::Transform& as_it_lies,
                 std::vector<LineShape>& lines) {
    for (const job::PathMark& mark : marks) {
        const Point place = as_it_lies(mark.on_page);
        OnChain best;
        LineShape* nearest = nullptr;
        for (LineShape& shape : lines) {
            const OnChain found = nearest_on(shape.line.points, shape.line.closed, place);
            if (found.away >= best.away) continue;
            best = found;
            nearest = &shape;
        }
        if (!nearest) return;
        if (mark.kind == job::PathMark::Kind::bridge) {
            nearest->bridges.push_back(best.place);
            continue;
        }
        auto& points = nearest->line.points;
        if (nearest->line.closed) {
            const auto corner = points.begin() + static_cast<std::ptrdiff_t>(best.segment) + 1;
            points.insert(corner, best.place);
            std::rotate(points.begin(), points.begin() + static_cast<std::ptrdiff_t>(best.segment) + 1, points.end());
        } else if (geometry::distance(points.back(), place) < geometry::distance(points.front(), place)) {
            std::reverse(points.begin(), points.end());
        }
        if (mark.kind == job::PathMark::Kind::backwards && nearest->line.closed)
            std::reverse(points.begin() + 1, points.end());
        nearest->fixed = true;
    }
}

Strokes strokes_of(const OrderedLine& line, const steps::LineSettings& settings) {
    const geometry::Polyline chain{line.points, false};
    const double length = geometry::length(chain);
    const double whole = length + (line.closed ? std::min(settings.overcut.mm(), length) : 0);
    Strokes result{line.points.front(), {}};
    if (line.closed && settings.lead_in > Length() && line.points.size() > 3)
        if (const auto lead = lead_in_start(line, settings.lead_in.mm())) {
            result.from = *lead;
            result.strokes.push_back({{line.points.front()}, true});
        }
    const Lit lit = lit_of(line, settings, length, whole);

    // Walks along the line, over its start again for the overcut, and changes strokes where the light does.
    constexpr double least = 1e-6;  // mm
    std::size_t next_lit = 0;
    bool now_lit = false;
    double along = 0, change = lit.empty() ? whole : lit[0].first;
    std::vector<Point> points;
    const auto end_stroke = [&] {
        if (!points.empty()) result.strokes.push_back({std::exchange(points, {}), now_lit});
    };
    if (!lit.empty() && change <= least) {
        now_lit = true;
        change = lit[0].second;
    }
    for (std::size_t i = 1; along < whole - least; ++i) {
        const std::size_t at = (i - 1) % (line.points.size() - 1);
        const Point a = line.points[at], b = line.points[at + 1];
        const double segment = geometry::distance(a, b), end = std::min(along + segment, whole);
        while (change < end - least) {
            points.push_back(geometry::between(a, b, (change - along) / segment));
            end_stroke();
            if (now_lit) ++next_lit;
            now_lit = !now_lit;
            change = next_lit >= lit.size() ? whole : now_lit ? lit[next_lit].second : lit[next_lit].first;
        }
        if (segment > least)
            points.push_back(end < along + segment ? geometry::between(a, b, (end - along) / segment) : b);
        along += segment;
        if (change <= along + least && change < whole - least) {
            end_stroke();
            if (now_lit) ++next_lit;
            now_lit = !now_lit;
            change = next_lit >= lit.size() ? whole : now_lit ? lit[next_lit].second : lit[next_lit].first;
        }
    }
    end_stroke();
    // A dark end needs no move.
    while (!result.strokes.empty() && !result.strokes.back().lit)
        result.strokes.pop_back();
    return result;
}

}  // namespace chalkline::planning
