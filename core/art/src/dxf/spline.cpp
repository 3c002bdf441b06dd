// SPDX-License-Identifier: GPL-3.0-or-later
#include "spline.hpp"

#include <algorithm>
#include <cmath>

namespace chalkline::art::dxf {
namespace {

using geometry::Point;
using geometry::Polyline;

/// A point with its weight.
struct Weighted {
    double x, y, w;
};

/// De Boor's algorithm in the knot span that holds t.
Point point_at(const Spline& spline, std::size_t span, double t) {
    const auto p = static_cast<std::size_t>(spline.degree);
    std::vector<Weighted> d(p + 1);
    for (std::size_t j = 0; j <= p; ++j) {
        const std::size_t i = span - p + j;
        const double w = spline.weights.empty() ? 1 : spline.weights[i];
        d[j] = {spline.controls[i].x * w, spline.controls[i].y * w, w};
    }
    for (std::size_t r = 1; r <= p; ++r) {
        for (std::size_t j = p; j >= r; --j) {
            const double low = spline.knots[span - p + j], high = spline.knots[span + 1 + j - r];
            const double a = high > low ? (t - low) / (high - low) : 0;
            d[j] = {d[j - 1].x + (d[j].x - d[j - 1].x) * a, d[j - 1].y + (d[j].y - d[j - 1].y) * a,
                    d[j - 1].w + (d[j].w - d[j - 1].w) * a};
        }
    }
    return {d[p].x / d[p].w, d[p].y / d[p].w};
}

double distance_to_chord(Point p, Point a, Point b) {
    const Point chord = b - a;
    const double length = geometry::norm(chord);
    return length > 0 ? std::abs(geometry::cross(chord, p - a)) / length : geometry::distance(p, a);
}

void refine(const Spline& spline, std::size_t span, double t0, Point p0, double t1, Point p1, double tolerance,
            int depth, std::vector<Point>& points) {
    const double middle = (t0 + t1) / 2;
    const Point pm = point_at(spline, span, middle);
    // A bend that is even about the middle would hide there: look at the quarters too.
    const Point pq = point_at(spline, span, (t0 + middle) / 2), pr = point_at(spline, span, (middle + t1) / 2);
    const double off =
        std::max({distance_to_chord(pm, p0, p1), distance_to_chord(pq, p0, p1), distance_to_chord(pr, p0, p1)});
    if (depth <= 0 || (off <= tolerance / 2 && depth < 12)) {
        points.push_back(p1);
        return;
    }
    refine(spline, span, t0, p0, middle, pm, tolerance, depth - 1, points);
    refine(spline, span, middle, pm, t1, p1, tolerance, depth - 1, points);
}

}  // namespace

bool Spline::valid() const {
    const auto p = static_cast<std::size_t>(std::max(0, degree));
    if (degree < 1 || degree > 24 || controls.size() <= p || knots.size() != controls.size() + p + 1) return false;
    if (!weights.empty() && weights.size() != controls.size()) return false;
    if (std::any_of(weights.begin(), weights.end(), [](double w) { return !(w > 0); })) return false;
    return std::is_sorted(knots.begin(), knots.end());
}

Polyline flatten(const Spline& spline, double tolerance) {
    Polyline line;
    const auto p = static_cast<std::size_t>(spline.degree);
    for (std::size_t span = p; span < spline.controls.size(); ++span) {
        const double t0 = spline.knots[span], t1 = spline.knots[span + 1];
        if (!(t1 > t0)) continue;
        const Point from = point_at(spline, span, t0), to = point_at(spline, span, t1);
        if (line.points.empty()) line.points.push_back(from);
        refine(spline, span, t0, from, t1, to, tolerance, spline.degree == 1 ? 0 : 12, line.points);
    }
    return line;
}

Polyline smooth_through(const std::vector<Point>& points) {
    const std::size_t n = points.size();
    if (n < 3) return {points, false};
    std::vector<double> h(n - 1);
    for (std::size_t i = 0; i + 1 < n; ++i)
        h[i] = std::max(1e-12, geometry::distance(points[i], points[i + 1]));
    // Second derivatives by the three-band system, ends free.
    std::vector<double> diagonal(n, 1);
    std::vector<Point> second(n);
    for (std::size_t i = 1; i + 1 < n; ++i) {
        const Point slope = (points[i + 1] - points[i]) * (1 / h[i]) - (points[i] - points[i - 1]) * (1 / h[i - 1]);
        diagonal[i] = 2 * (h[i - 1] + h[i]);
        second[i] = slope * 6;
        if (i > 1) {
            const double factor = h[i - 1] / diagonal[i - 1];
            diagonal[i] -= factor * h[i - 1];
            second[i] = second[i] - second[i - 1] * factor;
        }
    }
    for (std::size_t i = n - 2; i > 0; --i) {
        const Point later = i + 2 < n ? second[i + 1] * h[i] : Point{};
        second[i] = (second[i] - later) * (1 / diagonal[i]);
    }
    constexpr int steps = 24;
    Polyline line{{points[0]}, false};
    for (std::size_t i = 0; i + 1 < n; ++i) {
        for (int k = 1; k <= steps; ++k) {
            const double b = static_cast<double>(k) / steps, a = 1 - b, s = h[i] * h[i] / 6;
            line.points.push_back(points[i] * a + points[i + 1] * b +
                                  (second[i] * (a * a * a - a) + second[i + 1] * (b * b * b - b)) * s);
        }
    }
    return line;
}

}  // namespace chalkline::art::dxf
