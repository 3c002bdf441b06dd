// SPDX-License-Identifier: GPL-3.0-or-later
// Between our lines in millimetres and Clipper's in whole numbers.
#pragma once
#include <chalkline/geometry/region.hpp>

#include <polyclipping/clipper.hpp>

namespace chalkline::geometry::clipping {

inline constexpr double scale = 1e4;  // 0.1 µm a step

inline ClipperLib::Path to_clipper(const Polyline& line) {
    // Clipper computes with numbers up to 4.6e18; anything a reader lets through (1e6 mm) is far below.
    constexpr double limit = 1e12;
    ClipperLib::Path path;
    path.reserve(line.points.size());
    for (const Point p : line.points)
        path.emplace_back(std::llround(std::clamp(p.x, -limit, limit) * scale),
                          std::llround(std::clamp(p.y, -limit, limit) * scale));
    return path;
}

inline ClipperLib::Paths to_clipper(const std::vector<Polyline>& lines) {
    ClipperLib::Paths paths;
    paths.reserve(lines.size());
    for (const Polyline& line : lines)
        paths.push_back(to_clipper(line));
    return paths;
}

inline Polyline from_clipper(const ClipperLib::Path& path, bool closed) {
    Polyline line{{}, closed};
    line.points.reserve(path.size());
    for (const auto& p : path)
        line.points.push_back({static_cast<double>(p.X) / scale, static_cast<double>(p.Y) / scale});
    return line;
}

inline ClipperLib::PolyFillType fill_type(FillRule rule) {
    return rule == FillRule::non_zero ? ClipperLib::pftNonZero : ClipperLib::pftEvenOdd;
}

}  // namespace chalkline::geometry::clipping
