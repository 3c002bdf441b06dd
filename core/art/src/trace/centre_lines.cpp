// SPDX-License-Identifier: GPL-3.0-or-later
#include "trace/tracing.hpp"

#include <array>
#include <cmath>

namespace chalkline::art {
namespace {

using geometry::Path;
using geometry::Point;

struct Pixel {
    int x, y;
    bool operator==(const Pixel&) const = default;
};

/// The eight neighbours, clockwise from the one above.
constexpr std::array<Pixel, 8> around{{{0, -1}, {1, -1}, {1, 0}, {1, 1}, {0, 1}, {-1, 1}, {-1, 0}, {-1, -1}}};

class Skeleton {
 public:
    explicit Skeleton(Bitmap bitmap) : map_(std::move(bitmap)) {}

    void thin(const Watch& watch) {
        std::vector<Pixel> edge;
        for (int y = 0; y < map_.height; ++y)
            for (int x = 0; x < map_.width; ++x)
                if (map_.at(x, y)) edge.push_back({x, y});
        // Only pixels that were there a round ago can still go.
        for (bool changed = true; changed && !watch.cancelled();) {
            changed = false;
            for (const bool second : {false, true}) {
                std::vector<Pixel> goes, stays;
                for (const Pixel p : edge)
                    (removable(p, second) ? goes : stays).push_back(p);
                for (const Pixel p : goes)
                    set(p, false);
                changed = changed || !goes.empty();
                edge = std::move(stays);
            }
        }
    }

    /// Chains of pixels between ends and crossings; closed ones begin and end with the same pixel.
    std::vector<std::vector<Pixel>> follow() {
        std::vector<std::vector<Pixel>> chains;
        drop_corners();
        const Bitmap lines = map_;
        std::vector<Pixel> nodes;
        for (int y = 0; y < map_.height; ++y)
            for (int x = 0; x < map_.width; ++x)
                if (lines.at(x, y) && degree(lines, {x, y}) != 2) nodes.push_back({x, y});
        for (const Pixel node : nodes) {
            for (const Pixel step : around) {
                const Pixel next{node.x + step.x, node.y + step.y};
                if (!lines.at(next.x, next.y)) continue;
                if (degree(lines, next) != 2) {
                    // Two nodes side by side: once, from the earlier one.
                    if (node.y < next.y || (node.y == next.y && node.x < next.x)) chains.push_back({node, next});
                } else if (map_.at(next.x, next.y)) {
                    chains.push_back(walk(lines, node, next));
                }
            }
        }
        for (int y = 0; y < map_.height; ++y)
            for (int x = 0; x < map_.width; ++x)
                if (map_.at(x, y) && degree(lines, {x, y}) == 2) chains.push_back(ring(lines, {x, y}));
        return chains;
    }

 private:
    void set(Pixel p, bool dark) {
        map_.dark[static_cast<std::size_t>(p.y) * static_cast<std::size_t>(map_.width) +
                  static_cast<std::size_t>(p.x)] = dark;
    }

    /// Zhang and Suen's conditions; `second` for the second half of a round.
    bool removable(Pixel p, bool second) const {
        std::array<bool, 8> n{};
        int dark = 0, rises = 0;
        for (std::size_t i = 0; i < 8; ++i) {
            n[i] = map_.at(p.x + around[i].x, p.y + around[i].y);
            dark += n[i];
        }
        for (std::size_t i = 0; i < 8; ++i)
            rises += !n[i] && n[(i + 1) % 8];
        if (dark < 2 || dark > 6 || rises != 1) return false;
        const bool up = n[0], right = n[2], down = n[4], left = n[6];
        if (second) return !(up && right && left) && !(up && down && left);
        return !(up && right && down) && !(right && down && left);
    }

    /// Thinning leaves stairs two pixels wide, which look like crossings: every pixel that its neighbours hold
    /// together without goes.
    void drop_corners() {
        for (int y = 0; y < map_.height; ++y)
            for (int x = 0; x < map_.width; ++x)
                if (map_.at(x, y) && degree(map_, {x, y}) > 1 && neighbours_hold_together({x, y})) set({x, y}, false);
    }

    /// True when the dark neighbours are one piece (touching at corners too) and one side is open.
    bool neighbours_hold_together(Pixel p) const {
        std::array<bool, 8> n{};
        for (std::size_t i = 0; i < 8; ++i)
            n[i] = map_.at(p.x + around[i].x, p.y + around[i].y);
        if (n[0] && n[2] && n[4] && n[6]) return false;
        // Sides that meet at a corner touch, whether or not the corner is dark: count it as dark.
        for (std::size_t i = 1; i < 8; i += 2)
            n[i] = n[i] || (n[i - 1] && n[(i + 1) % 8]);
        int pieces = 0;
        for (std::size_t i = 0; i < 8; ++i)
            pieces += !n[i] && n[(i + 1) % 8];
        return pieces == 1;
    }

    static int degree(const Bitmap& map, Pixel p) {
        int count = 0;
        for (const Pixel step : around)
            count += map.at(p.x + step.x, p.y + step.y);
        return count;
    }

    /// From a node along a line to the next node; takes the line's pixels away.
    std::vector<Pixel> walk(const Bitmap& lines, Pixel node, Pixel next) {
        std::vector<Pixel> chain{node, next};
        while (true) {
            const Pixel at = chain.back(), before = chain[chain.size() - 2];
            set(at, false);
            Pixel onward = at;
            for (const Pixel step : around) {
                const Pixel to{at.x + step.x, at.y + step.y};
                if (to == before || !lines.at(to.x, to.y)) continue;
                onward = to;
            }
            if (onward == at) return chain;
            chain.push_back(onward);
            if (degree(lines, onward) != 2 || !map_.at(onward.x, onward.y)) return chain;
        }
    }

    std::vector<Pixel> ring(const Bitmap& lines, Pixel start) {
        for (const Pixel step : around) {
            const Pixel next{start.x + step.x, start.y + step.y};
            if (!lines.at(next.x, next.y)) continue;
            set(start, false);
            auto chain = walk(lines, start, next);
            if (!(chain.back() == start)) chain.push_back(start);
            return chain;
        }
        return {};
    }

    Bitmap map_;
};

double off_line(Point p, Point a, Point b) {
    const Point way = b - a;
    const double length = geometry::norm(way);
    return length > 0 ? std::abs(geometry::cross(way, p - a)) / length : geometry::distance(p, a);
}

/// Takes the staircase out of pixel steps; the ends stay.
void soften(std::vector<Point>& points) {
    for (int pass = 0; pass < 3; ++pass) {
        Point before = points[0];
        for (std::size_t i = 1; i + 1 < points.size(); ++i) {
            const Point here = points[i];
            points[i] = before * 0.25 + here * 0.5 + points[i + 1] * 0.25;
            before = here;
        }
    }
}

/// Fewer points that stay within `tolerance` of all (D. Douglas and T. Peucker, 1973).
void simplify(const std::vector<Point>& points, std::size_t from, std::size_t to, double tolerance,
              std::vector<Point>& kept) {
    std::size_t farthest = from;
    double most = tolerance;
    for (std::size_t i = from + 1; i < to; ++i)
        if (const double off = off_line(points[i], points[from], points[to]); off > most) most = off, farthest = i;
    if (farthest != from) {
        simplify(points, from, farthest, tolerance, kept);
        simplify(points, farthest, to, tolerance, kept);
    } else {
        kept.push_back(points[to]);
    }
}

/// A curve through the points with the tangents of their neighbours (Catmull–Rom); sharp corners stay corners.
Path curve_through(const std::vector<Point>& p, bool closed, double smoothness) {
    Path path;
    const std::size_t n = p.size();
    path.move_to(p[0]);
    const auto tangent = [&](std::size_t i) -> Point {
        const bool end = i == 0 || i + 1 == n;
        if (end && !closed) return {};
        const Point before = i == 0 ? p[n - 2] : p[i - 1], after = i + 1 == n ? p[1] : p[i + 1];
        const Point in = p[i] - before, out = after - p[i];
        const double lengths = geometry::norm(in) * geometry::norm(out);
        const double sharpest = 1 - smoothness;  // cosine of the turn from which on a corner is meant
        if (!(lengths > 0) || geometry::dot(in, out) / lengths < sharpest) return {};
        return (after - before) * (1 / geometry::distance(before, after));
    };
    for (std::size_t i = 0; i + 1 < n; ++i) {
        const double reach = geometry::distance(p[i], p[i + 1]) / 3;
        path.cubic_to(p[i] + tangent(i) * reach, p[i + 1] - tangent(i + 1) * reach, p[i + 1]);
    }
    if (closed) path.close();
    return path;
}

}  // namespace

std::vector<Path> trace_centre_lines(Bitmap bitmap, double speck, double smoothness, const Watch& watch) {
    const int height = bitmap.height;
    Skeleton skeleton(std::move(bitmap));
    skeleton.thin(watch);
    std::vector<Path> paths;
    for (const auto& chain : skeleton.follow()) {
        if (chain.size() < 2 || static_cast<double>(chain.size()) < speck) continue;
        std::vector<Point> points;
        for (const Pixel p : chain)
            points.push_back({p.x + 0.5, height - p.y - 0.5});
        const bool closed = chain.front() == chain.back() && chain.size() > 3;
        soften(points);
        constexpr double tolerance = 0.5;  // pixels
        std::vector<Point> kept{points.front()};
        if (closed) {
            const std::size_t half = points.size() / 2;
            simplify(points, 0, half, tolerance, kept);
            simplify(points, half, points.size() - 1, tolerance, kept);
        } else {
            simplify(points, 0, points.size() - 1, tolerance, kept);
        }
        paths.push_back(curve_through(kept, closed, smoothness));
    }
    return paths;
}

}  // namespace chalkline::art
