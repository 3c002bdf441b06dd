// SPDX-License-Identifier: GPL-3.0-or-later
#include "trace/strokes.hpp"

#include <algorithm>
#include <cmath>
#include <optional>

namespace chalkline::art {
namespace {

using geometry::Path;
using geometry::Point;

constexpr double tolerance = 1;  // pixels: stairs stay within

double off_line(Point p, Point a, Point b) {
    const Point way = b - a;
    const double length = geometry::norm(way);
    return length > 0 ? std::abs(geometry::cross(way, p - a)) / length : geometry::distance(p, a);
}

/// Takes the staircase out of pixel steps; the ends stay.
void soften(Trail& points) {
    Point before = points[0];
    for (std::size_t i = 1; i + 1 < points.size(); ++i) {
        const Point here = points[i];
        points[i] = before * 0.25 + here * 0.5 + points[i + 1] * 0.25;
        before = here;
    }
}

/// Places of few points that stay within the tolerance of all (D. Douglas and T. Peucker, 1973).
void simplify(const Trail& points, std::size_t from, std::size_t to, std::vector<std::size_t>& kept) {
    std::size_t farthest = from;
    double most = tolerance;
    for (std::size_t i = from + 1; i < to; ++i)
        if (const double off = off_line(points[i], points[from], points[to]); off > most) most = off, farthest = i;
    if (farthest != from) {
        simplify(points, from, farthest, kept);
        simplify(points, farthest, to, kept);
    } else {
        kept.push_back(to);
    }
}

struct Line {
    Point at, way;
};

/// The line that lies nearest to points of a trail (total least squares), those near its ends left out.
Line line_along(const Trail& points, std::size_t from, std::size_t to, double width) {
    const std::size_t spare = std::min((to - from) / 4, static_cast<std::size_t>(width));
    Point middle{};
    double count = 0;
    for (std::size_t i = from + spare; i + spare <= to; ++i)
        middle = middle + points[i], ++count;
    middle = middle * (1 / count);
    double xx = 0, xy = 0, yy = 0;
    for (std::size_t i = from + spare; i + spare <= to; ++i) {
        const Point off = points[i] - middle;
        xx += off.x * off.x, xy += off.x * off.y, yy += off.y * off.y;
    }
    const double angle = std::atan2(2 * xy, xx - yy) / 2;
    return {middle, {std::cos(angle), std::sin(angle)}};
}

Point nearest_on(const Line& line, Point p) {
    return line.at + line.way * geometry::dot(p - line.at, line.way);
}

std::optional<Point> crossing(const Line& a, const Line& b) {
    const double turn = geometry::cross(a.way, b.way);
    if (std::abs(turn) < 0.17) return {};  // 10°
    return a.at + a.way * (geometry::cross(b.at - a.at, b.way) / turn);
}

/// Vertices of a trail on their way to lines and curves.
class Fit {
 public:
    Fit(const Trail& points, bool closed, double width, double smoothness)
        : points_(points), closed_(closed), width_(width), smoothness_(smoothness) {
        kept_.push_back(0);
        const std::size_t last = points.size() - 1;
        if (closed) simplify(points, 0, last / 2, kept_);
        simplify(points, closed ? last / 2 : 0, last, kept_);
        drop_rounded_corners();
        place_vertices();
    }

    Path path() const {
        Path path;
        const std::size_t n = vertices_.size();
        path.move_to(vertices_[0]);
        for (std::size_t i = 0; i + 1 < n; ++i) {
            if (straight(i)) {
                path.line_to(vertices_[i + 1]);
                continue;
            }
            const double reach = length(i) / 3;
            path.cubic_to(vertices_[i] + tangent(i) * reach, vertices_[i + 1] - tangent(i + 1) * reach,
                          vertices_[i + 1]);
        }
        if (closed_) path.close();
        return path;
    }

 private:
    double length_kept(std::size_t i) const { return geometry::distance(points_[kept_[i]], points_[kept_[i + 1]]); }

    /// Short pieces between two long ones that turn are a corner that thinning cut off.
    void drop_rounded_corners() {
        for (std::size_t i = 1; i + 2 < kept_.size(); ++i) {
            std::size_t end = i;
            double cut_off = 0;
            for (; end + 2 < kept_.size() && length_kept(end) < 1.5 * width_ + 2; ++end)
                cut_off += length_kept(end);
            const double before = length_kept(i - 1), after = length_kept(end);
            if (end == i || cut_off > 3 * width_ + 4 || 2 * cut_off > std::min(before, after)) continue;
            const Point in = points_[kept_[i]] - points_[kept_[i - 1]],
                        out = points_[kept_[end + 1]] - points_[kept_[end]];
            if (geometry::dot(in, out) > 0.9 * before * after) continue;
            kept_[i] = (kept_[i] + kept_[end]) / 2;
            corner_at_.push_back(kept_[i]);
            kept_.erase(kept_.begin() + static_cast<std::ptrdiff_t>(i) + 1,
                        kept_.begin() + static_cast<std::ptrdiff_t>(end) + 1);
        }
    }

    void place_vertices() {
        for (const std::size_t i : kept_)
            vertices_.push_back(points_[i]);
        std::vector<Line> lines;
        for (std::size_t i = 0; i + 1 < kept_.size(); ++i)
            lines.push_back(line_along(points_, kept_[i], kept_[i + 1], width_));
        corners_.assign(kept_.size(), false);
        const std::size_t last = kept_.size() - 1;
        for (std::size_t i = 0; i <= last; ++i) {
            const bool end = i == 0 || i == last;
            if (end && !closed_) {
                corners_[i] = true;
                if (is_long(i == 0 ? 0 : last - 1))
                    vertices_[i] = nearest_on(lines[i == 0 ? 0 : last - 1], vertices_[i]);
                continue;
            }
            const std::size_t before = end ? last - 1 : i - 1, after = end ? 0 : i;
            corners_[i] = is_corner(i, before, after);
            if (!corners_[i]) continue;
            const auto at = crossing(lines[before], lines[after]);
            if (at && geometry::distance(*at, vertices_[i]) < 1.5 * width_ + 3) vertices_[i] = *at;
        }
        if (closed_) vertices_[last] = vertices_[0], corners_[last] = corners_[0];
    }

    bool is_long(std::size_t segment) const { return kept_[segment + 1] - kept_[segment] >= 8; }

    /// A curve that is kept within the tolerance by pieces so long turns by 8 tolerances over their length; what turns
    /// far more was drawn as a corner.
    bool is_corner(std::size_t i, std::size_t before, std::size_t after) const {
        if (std::find(corner_at_.begin(), corner_at_.end(), kept_[i]) != corner_at_.end()) return true;
        const Point in = points_[kept_[before + 1]] - points_[kept_[before]],
                    out = points_[kept_[after + 1]] - points_[kept_[after]];
        const double turn = std::abs(std::atan2(geometry::cross(in, out), geometry::dot(in, out)));
        const double of_a_curve = 8 * tolerance / std::max(1.0, std::min(geometry::norm(in), geometry::norm(out)));
        constexpr double least = 0.2;  // rad
        constexpr double none = 0.06;  // a line that goes on
        return turn > std::max(least, 2 * of_a_curve) * smoothness_ || turn < none;
    }

    double length(std::size_t i) const { return geometry::distance(vertices_[i], vertices_[i + 1]); }

    /// Between two corners, or far longer than the pieces of the curves beside it.
    bool straight(std::size_t i) const {
        if (corners_[i] && corners_[i + 1]) return true;
        double longest = 0;
        if (i > 0 && !corners_[i]) longest = std::max(longest, length(i - 1));
        if (i + 2 < vertices_.size() && !corners_[i + 1]) longest = std::max(longest, length(i + 1));
        return longest > 0 && length(i) > 3 * longest;
    }

    Point direction(std::size_t i) const {
        const Point way = vertices_[i + 1] - vertices_[i];
        const double length = geometry::norm(way);
        return length > 0 ? way * (1 / length) : Point{};
    }

    /// Of the curve at a vertex, length 1: a line's own where one begins, else of its neighbours (Catmull and Rom).
    Point tangent(std::size_t i) const {
        if (corners_[i]) return {};
        const std::size_t n = vertices_.size();
        const std::size_t before = i == 0 ? n - 2 : i - 1, after = i + 1 == n ? 0 : i;
        if (straight(before)) return direction(before);
        if (straight(after)) return direction(after);
        const Point way = vertices_[after + 1] - vertices_[before];
        const double length = geometry::norm(way);
        return length > 0 ? way * (1 / length) : Point{};
    }

    const Trail& points_;
    bool closed_;
    double width_, smoothness_;
    std::vector<std::size_t> kept_;
    std::vector<std::size_t> corner_at_;  ///< points where a cut-off corner was
    std::vector<Point> vertices_;
    std::vector<bool> corners_;
};

/// A ring begun in the middle of its longest straight part: its corners then lie within it.
void begin_on_line(Trail& ring) {
    std::vector<std::size_t> kept{0};
    const std::size_t half = (ring.size() - 1) / 2;
    simplify(ring, 0, half, kept);
    simplify(ring, half, ring.size() - 1, kept);
    std::size_t longest = 0;
    for (std::size_t i = 0; i + 1 < kept.size(); ++i)
        if (kept[i + 1] - kept[i] > kept[longest + 1] - kept[longest]) longest = i;
    ring.pop_back();
    std::rotate(ring.begin(), ring.begin() + static_cast<std::ptrdiff_t>((kept[longest] + kept[longest + 1]) / 2),
                ring.end());
    ring.push_back(ring.front());
}

}  // namespace

Path fitted(Trail trail, double width, double smoothness) {
    const bool closed = trail.size() > 3 && trail.front() == trail.back();
    if (closed) begin_on_line(trail);
    soften(trail);
    return Fit(trail, closed, width, smoothness).path();
}

}  // namespace chalkline::art
