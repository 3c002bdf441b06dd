// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/geometry/homography.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::geometry {
namespace {

/// Three of the four lie nearly on one line, seen against their size.
bool degenerate(const std::array<Point, 4>& points) {
    double size = 0;
    for (const Point& p : points)
        size = std::max(size, distance(p, points[0]));
    for (std::size_t left_out = 0; left_out < 4; ++left_out) {
        const Point a = points[(left_out + 1) % 4], b = points[(left_out + 2) % 4], c = points[(left_out + 3) % 4];
        const double area = (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
        if (std::abs(area) < 1e-6 * size * size) return true;
    }
    return false;
}

}  // namespace

Point Homography::operator()(Point p) const {
    const double depth = m[6] * p.x + m[7] * p.y + m[8];
    return {(m[0] * p.x + m[1] * p.y + m[2]) / depth, (m[3] * p.x + m[4] * p.y + m[5]) / depth};
}

std::optional<Homography> homography(const std::array<Point, 4>& from, const std::array<Point, 4>& to) {
    if (degenerate(from) || degenerate(to)) return {};
    // Two equations a pair, the unknowns are the first eight of the matrix; the ninth column is the right side.
    std::array<std::array<double, 9>, 8> rows{};
    for (std::size_t i = 0; i < 4; ++i) {
        const Point p = from[i], q = to[i];
        rows[2 * i] = {p.x, p.y, 1, 0, 0, 0, -p.x * q.x, -p.y * q.x, q.x};
        rows[2 * i + 1] = {0, 0, 0, p.x, p.y, 1, -p.x * q.y, -p.y * q.y, q.y};
    }
    for (std::size_t k = 0; k < 8; ++k) {
        const auto largest =
            std::max_element(rows.begin() + static_cast<std::ptrdiff_t>(k), rows.end(),
                             [k](const auto& a, const auto& b) { return std::abs(a[k]) < std::abs(b[k]); });
        std::swap(rows[k], *largest);
        if (rows[k][k] == 0) return {};
        for (std::size_t i = 0; i < 8; ++i) {
            if (i == k) continue;
            const double share = rows[i][k] / rows[k][k];
            for (std::size_t j = k; j < 9; ++j)
                rows[i][j] -= share * rows[k][j];
        }
    }
    Homography found;
    for (std::size_t k = 0; k < 8; ++k)
        found.m[k] = rows[k][8] / rows[k][k];
    return found;
}

}  // namespace chalkline::geometry
