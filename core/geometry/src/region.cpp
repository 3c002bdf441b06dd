// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/contract.hpp>
#include <chalkline/geometry/combine.hpp>

#include <algorithm>
#include <cstdint>
#include <optional>
#include <span>
#include <utility>

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
    double x;
    std::uint32_t region;
    std::int32_t turn;  ///< +1 where the edge climbs, −1 where it falls
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

std::vector<Stretch> stretches_of(std::span<Crossing> crossings, const std::vector<Region>& regions) {
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

Region mapped(Region region, const Transform& map) {
    for (Polyline& ring : region.rings)
        for (Point& p : ring.points)
            p = map(p);
    return region;
}

std::size_t point_count(const Region& region) {
    std::size_t count = 0;
    for (const Polyline& ring : region.rings)
        count += ring.points.size();
    return count;
}

bool contains(const Region& region, Point p) {
    int winding = 0;
    for_each_edge(region, [&](Point a, Point b) {
        if ((a.y <= p.y) == (b.y <= p.y)) return;
        const double x = a.x + (b.x - a.x) * (p.y - a.y) / (b.y - a.y);
        if (x > p.x) winding += a.y < b.y ? 1 : -1;
    });
    return inside(winding, region.rule);
}

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

namespace {

/// Rows at first, first + pitch, … below `top`.
struct RowRaster {
    double first, pitch;
    std::size_t count;

    RowRaster(double from, double top, double apart)
        : first(from), pitch(apart), count(static_cast<std::size_t>(std::max(1.0, std::ceil((top - from) / apart)))) {}
    double y(std::size_t row) const { return first + static_cast<double>(row) * pitch; }
    /// The first row at or above `height`; `count` where there is none.
    std::size_t first_from(double height) const {
        auto row = static_cast<std::size_t>(
            std::clamp(std::ceil((height - first) / pitch - 1), 0.0, static_cast<double>(count)));
        while (row < count && y(row) < height)
            ++row;
        return row;
    }
};

/// Where rows cross the outlines: row by row, in each the regions in their order.
class Crossings {
 public:
    Crossings(const std::vector<Region>& regions, const RowRaster& rows) : starts_(rows.count + 1, 0) {
        // Counted first: a list for each row would be grown row by row.
        std::vector<std::ptrdiff_t> change(rows.count + 1, 0);
        for_each_climb(regions, rows, [&](const Climb& climb) {
            ++change[climb.first];
            --change[climb.end];
        });
        std::ptrdiff_t in_row = 0;
        for (std::size_t row = 0; row < rows.count; ++row)
            starts_[row + 1] = starts_[row] + static_cast<std::size_t>(in_row += change[row]);
        all_.resize(starts_.back());
        std::vector<std::size_t> next(starts_.begin(), starts_.end() - 1);
        for_each_climb(regions, rows, [&](const Climb& climb) {
            const double slope = (climb.to.x - climb.from.x) / (climb.to.y - climb.from.y);
            for (std::size_t row = climb.first; row < climb.end; ++row)
                all_[next[row]++] = {climb.from.x + slope * (rows.y(row) - climb.from.y), climb.region, climb.turn};
        });
    }

    /// May be put in another order.
    std::span<Crossing> of(std::size_t row) { return {all_.data() + starts_[row], starts_[row + 1] - starts_[row]}; }

 private:
    /// A side of a ring and the rows it crosses.
    struct Climb {
        Point from, to;  ///< upwards
        std::size_t first, end;
        std::uint32_t region;
        std::int32_t turn;
    };
    template <class Take>
    static void for_each_climb(const std::vector<Region>& regions, const RowRaster& rows, Take take) {
        for (std::uint32_t index = 0; index < regions.size(); ++index) {
            for_each_edge(regions[index], [&](Point a, Point b) {
                if (a.y == b.y) return;
                const int turn = a.y < b.y ? 1 : -1;
                if (turn < 0) std::swap(a, b);
                // Rows with a.y <= y < b.y, so that a corner on a row counts once.
                take({a, b, rows.first_from(a.y), rows.first_from(b.y), index, turn});
            });
        }
    }

    std::vector<std::size_t> starts_;
    std::vector<Crossing> all_;
};

/// What of a pile is seen along a row, from the topmost region down: of each the stretches that none above it has
/// taken. What lies deep in a pile costs one look.
class SeenAlong {
 public:
    explicit SeenAlong(const std::vector<Region>& pile) : pile_(pile) {}

    struct Part {
        double from, to;
        std::uint32_t region;
    };

    /// From left to right; until the next call.
    const std::vector<Part>& parts(std::span<Crossing> row) {
        parts_.clear();
        taken_.clear();
        for (std::size_t end = row.size(); end > 0;) {
            std::size_t begin = end;
            while (begin > 0 && row[begin - 1].region == row[end - 1].region)
                --begin;
            add(row.subspan(begin, end - begin));
            end = begin;
        }
        std::sort(parts_.begin(), parts_.end(), [](const Part& a, const Part& b) { return a.from < b.from; });
        return parts_;
    }

 private:
    /// All crossings of one region.
    void add(std::span<Crossing> crossings) {
        std::sort(crossings.begin(), crossings.end(), [](const Crossing& a, const Crossing& b) { return a.x < b.x; });
        const std::uint32_t region = crossings.front().region;
        int winding = 0;
        for (std::size_t i = 0; i + 1 < crossings.size(); ++i) {
            winding += crossings[i].turn;
            if (inside(winding, pile_[region].rule)) take(crossings[i].x, crossings[i + 1].x, region);
        }
    }

    void take(double from, double to, std::uint32_t region) {
        if (!(from < to)) return;
        // The first stretch that ends at or behind `from`.
        auto first = std::lower_bound(taken_.begin(), taken_.end(), from,
                                      [](const Stretch& stretch, double at) { return stretch.to < at; });
        if (first == taken_.end() || first->from > to) {
            parts_.push_back({from, to, region});
            taken_.insert(first, {from, to});
            return;
        }
        // What was taken before grows into one stretch with this one.
        double at = from;
        auto last = first;
        for (; last != taken_.end() && last->from <= to; ++last) {
            if (at < last->from) parts_.push_back({at, last->from, region});
            at = std::max(at, last->to);
        }
        if (at < to) parts_.push_back({at, to, region});
        *first = {std::min(from, first->from), std::max(at, to)};
        taken_.erase(first + 1, last);
    }

    const std::vector<Region>& pile_;
    std::vector<Part> parts_;
    std::vector<Stretch> taken_;  ///< disjoint, from left to right
};

/// Joins stretches of a row that touch and burn alike. One that is no wider than curves are drawn exactly belongs to
/// the one beside it; alone it is not there.
std::vector<InkedStretch> tidied(const std::vector<InkedStretch>& row) {
    constexpr double touching = 1e-3;  // mm
    std::vector<InkedStretch> tidy;
    std::optional<InkedStretch> waiting;  // a sliver beside the next, perhaps
    for (InkedStretch s : row) {
        const bool touches = !tidy.empty() && s.from <= tidy.back().to + touching;
        const bool sliver = s.to - s.from < flattening_tolerance;
        if (touches && (sliver || tidy.back().ink == s.ink)) {
            tidy.back().to = std::max(tidy.back().to, s.to);
            waiting.reset();
        } else if (sliver) {
            waiting = s;
        } else {
            if (waiting && s.from <= waiting->to + touching) s.from = waiting->from;
            tidy.push_back(s);
            waiting.reset();
        }
    }
    return tidy;
}

std::vector<InkedRow> inked_rows(double first, double top, const Pile& pile, double pitch) {
    std::vector<InkedRow> rows;
    if (pile.inks.empty()) {
        for (const ScanRow& row : scan_rows(first, top, pile.regions, pitch)) {
            auto& stretches = rows.emplace_back(InkedRow{row.y, {}}).stretches;
            stretches.reserve(row.stretches.size());
            for (const Stretch& s : row.stretches)
                stretches.push_back({s.from, s.to, 1});
        }
        return rows;
    }
    const RowRaster raster(first, top, pitch);
    Crossings crossings(pile.regions, raster);
    SeenAlong seen(pile.regions);
    std::vector<InkedStretch> row;
    for (std::size_t k = 0; k < raster.count; ++k) {
        row.clear();
        for (const auto& [from, to, region] : seen.parts(crossings.of(k)))
            if (pile.inks[region] > 0) row.push_back({from, to, pile.inks[region]});
        auto stretches = tidied(row);
        if (!stretches.empty()) rows.push_back({raster.y(k), std::move(stretches)});
    }
    return rows;
}

}  // namespace

std::vector<ScanRow> scan_rows(double first, double top, const std::vector<Region>& regions, double pitch) {
    const RowRaster raster(first, top, pitch);
    Crossings crossings(regions, raster);
    std::vector<ScanRow> rows;
    for (std::size_t k = 0; k < raster.count; ++k) {
        auto stretches = stretches_of(crossings.of(k), regions);
        if (!stretches.empty()) rows.push_back({raster.y(k), std::move(stretches)});
    }
    return rows;
}

std::vector<double> seen_areas(const std::vector<Region>& pile) {
    constexpr double most_crossings = 4e6, most_rows = 40'000;
    double climb = 0;
    Box box;
    for (const Region& region : pile)
        for_each_edge(region, [&](Point a, Point b) {
            climb += std::abs(b.y - a.y);
            box.add(a);
        });
    std::vector<double> areas(pile.size(), 0);
    if (box.empty() || !(box.height() > 0)) return areas;
    const double count = std::clamp(std::ceil(box.height() * most_crossings / climb), 1.0, most_rows);
    const RowRaster raster(box.bottom + box.height() / count / 2, box.top, box.height() / count);
    Crossings crossings(pile, raster);
    SeenAlong seen(pile);
    for (std::size_t row = 0; row < raster.count; ++row)
        for (const auto& [from, to, region] : seen.parts(crossings.of(row)))
            areas[region] += (to - from) * raster.pitch;
    return areas;
}

namespace {

constexpr int phases = 8;

Box bounds_of_ink(const Pile& pile) {
    Box box;
    for (std::size_t i = 0; i < pile.regions.size(); ++i)
        if (pile.ink(i) > 0) box.add(bounds(pile.regions[i].rings));
    return box;
}

double inked_length(const std::vector<InkedRow>& rows) {
    double sum = 0;
    for (const InkedRow& row : rows)
        for (const InkedStretch& s : row.stretches)
            sum += s.to - s.from;
    return sum;
}

}  // namespace

Hatching::Hatching(const Pile& pile, double pitch) {
    CHALKLINE_REQUIRES(pitch > 0);
    CHALKLINE_REQUIRES(pile.inks.empty() || pile.inks.size() == pile.regions.size());
    const Box box = bounds_of_ink(pile);
    if (box.empty() || box.height() <= 0) return;
    const double count = std::max(1.0, std::round(box.height() / pitch));
    const double balanced = box.centre().y - (count - 1) * pitch / 2;
    // In a high shape a row more or less is nothing; in small lettering it is the weight of a stroke.
    constexpr double low_rows = 400;
    if (count > low_rows) {
        candidates_.push_back(inked_rows(balanced, box.top, pile, pitch));
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
        candidates_.push_back(inked_rows(first, box.top, pile, pitch));
        inked.push_back(inked_length(candidates_.back()));
        mean += inked.back() / phases;
    }
    for (const double length : inked)
        off_.push_back(std::abs(length - mean));
}

const std::vector<InkedRow>& Hatching::rows(int copies, double width) const {
    static const std::vector<InkedRow> none;
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

std::vector<InkedRow> hatch(const Pile& pile, double pitch) {
    return Hatching(pile, pitch).rows(1, bounds_of_ink(pile).width());
}

}  // namespace chalkline::geometry
