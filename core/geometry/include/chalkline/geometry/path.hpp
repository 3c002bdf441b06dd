// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>

#include <cstdint>
#include <vector>

namespace chalkline::geometry {

/// A chain of straight lines; a closed one does not repeat its first point.
struct Polyline {
    std::vector<Point> points;
    bool closed = false;
    bool operator==(const Polyline&) const = default;
};

/// Curve accuracy used everywhere for burning: the chain of lines stays this close to the curve, mm.
inline constexpr double flattening_tolerance = 0.01;

/// Where segments of a path meet. The directions are unit vectors; one that is not there (before the first segment,
/// behind the last) is 0, 0.
struct PathVertex {
    Point at, arriving, leaving;
};

/// A drawn path, exact: contours of lines, cubic Béziers and elliptical arcs. Arcs stay arcs under any affine
/// map, so that they are flattened once, at the size they are burned. Stored flat (a verb and its points), because
/// drawings of a hundred thousand paths are usual.
class Path {
 public:
    void move_to(Point to);
    /// REQUIRES of all below: a contour was begun with move_to.
    void line_to(Point to);
    void cubic_to(Point control1, Point control2, Point to);
    /// The arc centre + u·cos t + v·sin t for t from `start` to `start + sweep` (radians), from the current point.
    void arc_to(Point centre, Point u, Point v, double start, double sweep);
    /// Ends the contour at its own start.
    void close();

    bool empty() const { return verbs_.empty(); }
    /// Where the next segment begins. REQUIRES: not empty.
    Point current() const { return current_; }
    /// Where the last contour began. REQUIRES: not empty.
    Point contour_start() const { return start_; }
    /// The last contour ends at its own start.
    bool closed() const { return !verbs_.empty() && verbs_.back() == Verb::close; }
    /// One contour that does not end at its own start.
    bool is_open_line() const;
    /// The same drawn backwards. REQUIRES: is_open_line().
    Path reversed() const;
    void append(const Path& other);
    /// Goes on along `next`, whose own start is taken for the place where this path ends.
    /// REQUIRES: both are open lines.
    void continue_with(const Path& next);
    void transform(const Transform& map);
    bool finite() const;
    /// Bytes held, for limits.
    std::size_t size() const { return points_.size(); }

    /// The contours of the mapped path as chains of lines no farther than `tolerance` (mm after the map) from the
    /// curve. Points closer than a thousandth of a millimetre are merged; a contour of one point stays (length 0).
    /// Cubic steps by the second-difference bound (G. Wang, "The subdivision method for finding the
    /// intersection between two Bézier curves or surfaces", 1984), arcs by their sagitta.
    std::vector<Polyline> flatten(const Transform& map = {}, double tolerance = flattening_tolerance) const;

    /// Every place drawn to, in order; a closed contour comes back to its first one, and both then know both
    /// directions. A segment of no length goes on as the one before (SVG 1.1, appendix F.5).
    std::vector<PathVertex> vertices() const;

    bool operator==(const Path&) const = default;

 private:
    enum class Verb : std::uint8_t { move, line, cubic, arc, close };
    std::vector<Verb> verbs_;
    std::vector<Point> points_;  ///< move, line: 1; cubic: 3; arc: centre, u, v, {start, sweep}; close: none
    Point start_, current_;
};

double length(const Polyline& line);
double length(const std::vector<Polyline>& lines);
/// Positive when counter-clockwise (Y up). An open chain is closed in thought.
double signed_area(const Polyline& ring);
/// The box as a closed chain, counter-clockwise from its lower left corner.
Polyline outline(const Box& box);
Box bounds(const Polyline& line);
Box bounds(const std::vector<Polyline>& lines);
Box bounds(const std::vector<Point>& points);

}  // namespace chalkline::geometry
