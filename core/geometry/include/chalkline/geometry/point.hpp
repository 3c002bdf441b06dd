// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <algorithm>
#include <cmath>
#include <limits>

namespace chalkline::geometry {

/// A place or an offset in the plane; mm, X to the right, Y away from the maker.
struct Point {
    double x = 0, y = 0;
    bool operator==(const Point&) const = default;
    friend constexpr Point operator+(Point a, Point b) { return {a.x + b.x, a.y + b.y}; }
    friend constexpr Point operator-(Point a, Point b) { return {a.x - b.x, a.y - b.y}; }
    friend constexpr Point operator*(Point a, double k) { return {a.x * k, a.y * k}; }
};

constexpr double dot(Point a, Point b) {
    return a.x * b.x + a.y * b.y;
}
constexpr double cross(Point a, Point b) {
    return a.x * b.y - a.y * b.x;
}
/// Not hypot: bed coordinates never overflow when squared, and this is called for every point of every drawing.
inline double norm(Point a) {
    return std::sqrt(a.x * a.x + a.y * a.y);
}
inline double distance(Point a, Point b) {
    return norm(b - a);
}
constexpr Point between(Point a, Point b, double t) {
    return {a.x + (b.x - a.x) * t, a.y + (b.y - a.y) * t};
}

/// The place of the line from `a` to `b`, its ends included, that is nearest to a point.
inline Point nearest_on_line(Point p, Point a, Point b) {
    const double square = dot(b - a, b - a);
    return between(a, b, square > 0 ? std::clamp(dot(p - a, b - a) / square, 0.0, 1.0) : 0);
}

/// An upright rectangle; empty until something is added.
struct Box {
    double left = std::numeric_limits<double>::infinity();
    double bottom = std::numeric_limits<double>::infinity();
    double right = -std::numeric_limits<double>::infinity();
    double top = -std::numeric_limits<double>::infinity();

    bool operator==(const Box&) const = default;
    bool empty() const { return left > right; }
    double width() const { return empty() ? 0 : right - left; }
    double height() const { return empty() ? 0 : top - bottom; }
    Point centre() const { return {(left + right) / 2, (bottom + top) / 2}; }
    void add(Point p) {
        left = std::min(left, p.x);
        right = std::max(right, p.x);
        bottom = std::min(bottom, p.y);
        top = std::max(top, p.y);
    }
    void add(const Box& other) {
        left = std::min(left, other.left);
        right = std::max(right, other.right);
        bottom = std::min(bottom, other.bottom);
        top = std::max(top, other.top);
    }
    Box moved(Point by) const { return {left + by.x, bottom + by.y, right + by.x, top + by.y}; }
    Box grown(double by) const { return empty() ? *this : Box{left - by, bottom - by, right + by, top + by}; }
    bool contains(Point p, double slack = 0) const {
        return p.x >= left - slack && p.x <= right + slack && p.y >= bottom - slack && p.y <= top + slack;
    }
    bool contains(const Box& other, double slack = 0) const {
        return other.empty() ||
               (contains(Point{other.left, other.bottom}, slack) && contains(Point{other.right, other.top}, slack));
    }
};

/// They have a place in common; an empty one has none.
inline bool overlap(const Box& a, const Box& b) {
    return !a.empty() && !b.empty() && a.left <= b.right && b.left <= a.right && a.bottom <= b.top && b.bottom <= a.top;
}

/// The affine map (x, y) → (a·x + c·y + e, b·x + d·y + f); the identity at first.
struct Transform {
    double a = 1, b = 0, c = 0, d = 1, e = 0, f = 0;

    bool operator==(const Transform&) const = default;
    static Transform move(double x, double y) { return {1, 0, 0, 1, x, y}; }
    static Transform scale(double x, double y) { return {x, 0, 0, y, 0, 0}; }
    /// Turns counter-clockwise (Y up) by `radians` about the origin.
    static Transform turn(double radians) {
        const double cosine = std::cos(radians), sine = std::sin(radians);
        return {cosine, sine, -sine, cosine, 0, 0};
    }
    /// `map` with `centre` for its origin.
    static Transform about(Point centre, const Transform& map);
    double area() const { return a * d - b * c; }
    /// REQUIRES: area() is not 0.
    Transform inverse() const {
        const double k = 1 / area();
        return {d * k, -b * k, -c * k, a * k, (c * f - d * e) * k, (b * e - a * f) * k};
    }
    Point operator()(Point p) const { return {a * p.x + c * p.y + e, b * p.x + d * p.y + f}; }
    /// The map without its shift.
    Point direction(Point p) const { return {a * p.x + c * p.y, b * p.x + d * p.y}; }
    /// First `right`, then `left`.
    friend Transform operator*(const Transform& left, const Transform& right) {
        const Point x = left.direction({right.a, right.b});
        const Point y = left.direction({right.c, right.d});
        const Point shift = left({right.e, right.f});
        return {x.x, x.y, y.x, y.y, shift.x, shift.y};
    }
    bool finite() const {
        return std::isfinite(a) && std::isfinite(b) && std::isfinite(c) && std::isfinite(d) && std::isfinite(e) &&
               std::isfinite(f);
    }
};

inline Transform Transform::about(Point centre, const Transform& map) {
    return move(centre.x, centre.y) * map * move(-centre.x, -centre.y);
}

}  // namespace chalkline::geometry
