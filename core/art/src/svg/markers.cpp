// SPDX-License-Identifier: GPL-3.0-or-later
#include "markers.hpp"

#include <numbers>

namespace chalkline::art::svg {
namespace {

using geometry::PathVertex;
using geometry::Point;

/// Half way between the ways in and out; the one there is at an end.
double direction(const PathVertex& vertex) {
    Point along = vertex.arriving + vertex.leaving;
    // A line that turns back: its marker looks to the side.
    if (geometry::norm(along) < 1e-9) along = {-vertex.arriving.y, vertex.arriving.x};
    return std::atan2(along.y, along.x);
}

}  // namespace

std::vector<MarkerSpot> marker_spots(const geometry::Path& path, const Markers& markers) {
    std::vector<MarkerSpot> spots;
    const std::vector<PathVertex> vertices = path.vertices();
    const auto set = [&](const std::string& id, std::size_t at) {
        if (!id.empty()) spots.push_back({&id, vertices[at].at, direction(vertices[at]), at == 0});
    };
    for (std::size_t i = 0; i < vertices.size(); ++i) {
        if (i == 0) set(markers.start, i);
        if (i > 0 && i + 1 < vertices.size()) set(markers.mid, i);
        if (i + 1 == vertices.size()) set(markers.end, i);
    }
    return spots;
}

double marker_turn(std::string_view orient, const MarkerSpot& spot) {
    orient = trimmed(orient);
    if (orient == "auto") return spot.direction;
    if (orient == "auto-start-reverse") return spot.direction + (spot.first ? std::numbers::pi : 0);
    Scanner scan(orient);
    const double figure = scan.number().value_or(0);
    const std::string_view unit = scan.word();
    if (unit == "rad") return figure;
    if (unit == "turn") return figure * 2 * std::numbers::pi;
    return figure * std::numbers::pi / (unit == "grad" ? 200 : 180);
}

double marker_reference(std::string_view text, double low, double size) {
    text = trimmed(text);
    if (text == "left" || text == "top") return low;
    if (text == "center") return low + size / 2;
    if (text == "right" || text == "bottom") return low + size;
    return parse_length(text, {size, size}, Axis::x).value_or(0);
}

}  // namespace chalkline::art::svg
