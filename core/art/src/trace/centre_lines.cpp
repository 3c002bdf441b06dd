// SPDX-License-Identifier: GPL-3.0-or-later
#include "trace/strokes.hpp"
#include "trace/tracing.hpp"

#include <algorithm>
#include <array>

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

}  // namespace

std::vector<Path> trace_centre_lines(Bitmap bitmap, double speck, double smoothness, const Watch& watch) {
    const int height = bitmap.height;
    const auto dark = static_cast<double>(std::count(bitmap.dark.begin(), bitmap.dark.end(), true));
    Skeleton skeleton(std::move(bitmap));
    skeleton.thin(watch);
    std::vector<Trail> trails;
    double length = 1;
    for (const auto& chain : skeleton.follow()) {
        if (chain.size() < 2) continue;
        length += static_cast<double>(chain.size());
        trails.emplace_back();
        for (const Pixel p : chain)
            trails.back().push_back({p.x + 0.5, height - p.y - 0.5});
    }
    const double width = dark / length;
    std::vector<Path> paths;
    for (Trail& trail : through_junctions(std::move(trails), width))
        if (static_cast<double>(trail.size()) >= speck) paths.push_back(fitted(std::move(trail), width, smoothness));
    return paths;
}

}  // namespace chalkline::art
