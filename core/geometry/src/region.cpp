// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/contract.hpp>
#include <chalkline/geometry/combine.hpp>

#include <cstdint>

namespace chalkline::geometry {
namespace {

bool inside(int winding, FillRule rule) {
    return rule == FillRule::non_zero ? winding != 0 : winding % 2 != 0;
}

/// Calls `edge(from, to)` for every side of every ring.
template <class Edge>
void for_each_edge(const Region& region, Edge edge) {
    for (const Polyline& ring : region.rings) {
        const auto& points = ring.points;
        for (std::size_t i = 0; i < points.size(); ++i)
            edge(points[i], points[(i + 1) % points.size()]);
    }
}

struct Crossing {
    std::uint32_t region;
    double x;
    int turn;  ///< +1 where the edge climbs, −1 where it falls
};

/// Joins the stretches of all regions of one row into disjoint ones, left to right.
std::vector<Stretch> joined(std::vector<Stretch> stretches) {
    std::sort(stretches.begin(), stretches.end(), [](const Stretch& a, const Stretch& b) { return a.from < b.from; });
    std::vector<Stretch> result;
    for (const Stretch& next : stretches) {
        if (!result.empty() && next.from <= result.back().to + 1e-6)
            result.back().to = std::max(result.back().to, next.to);
        else
            result.push_back(next);
    }
    return result;
}

std::vector<Stretch> stretches_of(std::vector<Crossing>& crossings, const std::vector<Region>& regions) {
    std::sort(crossings.begin(), crossings.end(), [](const Crossing& a, const Crossing& b) {
        return a.region != b.region ? a.region < b.region : a.x < b.x;
    });
    std::vector<Stretch> stretches;
    int winding = 0;
    for (std::size_t i = 0; i + 1 < crossings.size(); ++i) {
        winding += crossings[i].turn;
        const Crossing& next = crossings[i + 1];
        if (next.region != crossings[i].region)
            winding = 0;
        else if (inside(winding, regions[next.region].rule) && next.x > crossings[i].x)
            stretches.push_back({crossings[i].x, next.x});
    }
    return joined(std::move(stretches));
}

}  // namespace

bool contains(const Region& region, Point p) {
    int winding = 0;
    for_each_edge(region, [&](Point a, Point b) {
        if ((a.y <= p.y) == (b.y <= p.y)) return;
        const double x = a.x + (b.x - a.x) * (p.y - a.y) / (b.y - a.y);
        if (x > p.x) winding += a.y < b.y ? 1 : -1;
    });
    return inside(winding, region.rule);
}

namespace {

/// The rows at first, first + pitch, … below `top`.
double inked_length(const std::vector<ScanRow>& rows) {
    double sum = 0;
    for (const ScanRow& row : rows)
        for (const Stretch& s : row.stretches)
            sum += s.to - s.from;
    return sum;
}

}  // namespace

double covered_area(const std::vector<Region>& regions) {
    // Clipper's union is exact, but takes far longer than in proportion where thousands of regions lie over each
    // other. Large sets are measured along scan lines, as many as keep the work bounded.
    constexpr std::size_t most_exact = 40'000;  // points
    constexpr double most_crossings = 4e6;
    std::size_t points = 0;
    double climb = 0;
    Box box;
    for (const Region& region : regions) {
        for_each_edge(region, [&](Point a, Point b) {
            ++points;
            climb += std::abs(b.y - a.y);
            box.add(a);
        });
    }
    double area = 0;
    if (points <= most_exact) {
        for (const Polyline& ring : united(regions).rings)
            area += signed_area(ring);
        return area;
    }
    const double pitch = box.height() / std::ceil(box.height() * most_crossings / climb);
    for (const ScanRow& row : scan_rows(box.bottom + pitch / 2, box.top, regions, pitch))
        for (const Stretch& stretch : row.stretches)
            area += (stretch.to - stretch.from) * pitch;
    return area;
}

std::vector<ScanRow> scan_rows(double first, double top, const std::vector<Region>& regions, double pitch) {
    const auto count = static_cast<std::size_t>(std::max(1.0, std::ceil((top - first) / pitch)));
    std::vector<std::vector<Crossing>> crossings(count);
    for (std::uint32_t index = 0; index < regions.size(); ++index) {
        for_each_edge(regions[index], [&](Point a, Point b) {
            if (a.y == b.y) return;
            const int turn = a.y < b.y ? 1 : -1;
            if (turn < 0) std::swap(a, b);
            // Rows with a.y <= y < b.y, so that a corner on a row counts once.
            const auto from = static_cast<std::size_t>(std::max(0.0, std::ceil((a.y - first) / pitch - 1)));
            for (std::size_t k = from; k < count; ++k) {
                const double y = first + static_cast<double>(k) * pitch;
                if (y >= b.y) break;
                if (y >= a.y) crossings[k].push_back({index, a.x + (b.x - a.x) * (y - a.y) / (b.y - a.y), turn});
            }
        });
    }
    std::vector<ScanRow> rows;
    for (std::size_t k = 0; k < count; ++k) {
        auto stretches = stretches_of(crossings[k], regions);
        if (!stretches.empty()) rows.push_back({first + static_cast<double>(k) * pitch, std::move(stretches)});
    }
    return rows;
}

namespace {

constexpr int phases = 8;

Box bounds_of(const std::vector<Region>& regions) {
    Box box;
    for (const Region& region : regions)
        box.add(bounds(region.rings));
    return box;
}

}  // namespace

Hatching::Hatching(const std::vector<Region>& regions, double pitch) {
    CHALKLINE_REQUIRES(pitch > 0);
    const Box box = bounds_of(regions);
    if (box.empty() || box.height() <= 0) return;
    const double count = std::max(1.0, std::round(box.height() / pitch));
    const double balanced = box.centre().y - (count - 1) * pitch / 2;
    // In a high shape a row more or less is nothing; in small lettering it is the weight of a stroke.
    constexpr double low_rows = 400;
    if (count > low_rows) {
        candidates_.push_back(scan_rows(balanced, box.top, regions, pitch));
        off_.push_back(0);
        return;
    }
    std::vector<double> inked;
    double mean = 0;  // over all phases: the drawn area, eight times finer
    for (int i = 0; i < phases; ++i) {
        double first = balanced + pitch * (i - phases / 2) / phases;
        while (first - pitch >= box.bottom)
            first -= pitch;
        while (first < box.bottom)
            first += pitch;
        candidates_.push_back(scan_rows(first, box.top, regions, pitch));
        inked.push_back(inked_length(candidates_.back()));
        mean += inked.back() / phases;
    }
    for (const double length : inked)
        off_.push_back(std::abs(length - mean));
}

const std::vector<ScanRow>& Hatching::rows(int copies, double width) const {
    static const std::vector<ScanRow> none;
    if (candidates_.empty()) return none;
    const auto cost = [&](std::size_t i) {
        // Moving all rows by a part of the pitch moves the outer edges too.
        const double shift = std::abs(static_cast<int>(i) - phases / 2) / static_cast<double>(phases);
        return copies * off_[i] + shift * width / 2;
    };
    std::size_t best = candidates_.size() == phases ? phases / 2 : 0;
    for (std::size_t i = 0; i < candidates_.size(); ++i)
        if (cost(i) < cost(best) - 1e-9) best = i;
    return candidates_[best];
}

std::vector<ScanRow> hatch(const std::vector<Region>& regions, double pitch) {
    return Hatching(regions, pitch).rows(1, bounds_of(regions).width());
}

}  // namespace chalkline::geometry
