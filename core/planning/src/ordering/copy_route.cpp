// SPDX-License-Identifier: GPL-3.0-or-later
#include "ordering/copy_route.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>
#include <set>

namespace chalkline::planning {
namespace {

using geometry::Point;

// Of a drawing of more lines the way within is so much longer than the way to the next that two orders serve all.
constexpr std::size_t few_lines = 12;
constexpr std::size_t most_orders = 8;     // of a course
constexpr std::size_t tried_together = 9;  // copies: three rows of three

double dark_way(const std::vector<OrderedLine>& lines, Point from, bool back_and_forth) {
    double way = 0;
    for (const OrderedLine& line : lines) {
        way += geometry::distance(from, line.points.front());
        from = left_at(line, back_and_forth);
    }
    return way;
}

}  // namespace

CopyRoute::CopyRoute(const LineShapes& pattern, const geometry::Box& box, const std::vector<Point>& places,
                     bool one_by_one, bool back_and_forth, const Watch& watch)
    : pattern_(pattern),
      box_(box),
      places_(places),
      one_by_one_(one_by_one),
      back_and_forth_(back_and_forth),
      watch_(watch),
      courses_{{false, false}, {true, false}} {
    if (pattern.size() <= few_lines) courses_.insert(courses_.end(), {{false, true}, {true, true}});
}

std::optional<CopyRoute::Way> CopyRoute::shortest(Point from) {
    std::optional<Way> best;
    for (std::size_t course = 0; course < courses_.size(); ++course) {
        const auto sequence = rows(from, courses_[course].columns);
        if (!regular(sequence)) continue;
        Way way = along(sequence, from, course);
        if (!best || way.dark < best->dark - 1e-6) best = std::move(way);
    }
    return best;
}

CopyRoute::Place CopyRoute::rounded(Point p) {
    return {std::lround(p.x * 100), std::lround(p.y * 100)};
}

/// Most copies lie as far from the one before as others do: three ways to go on in full rows, a few more where some are
/// missing.
bool CopyRoute::regular(const std::vector<std::size_t>& sequence) const {
    std::set<Place> steps;
    for (std::size_t k = 1; k < sequence.size(); ++k)
        steps.insert(rounded(places_[sequence[k]] - places_[sequence[k - 1]]));
    return steps.size() <= 3 + sequence.size() / 8;
}

std::optional<CopyRoute::Trial> CopyRoute::tried_freely(const Way& way, Point from) {
    if (pattern_.size() > few_lines) return {};
    // The first copy and those nearest to it, in the order they are burned.
    const Point first = places_[way.visits.front().copy];
    std::vector<std::size_t> nearest(way.visits.size());
    std::iota(nearest.begin(), nearest.end(), std::size_t{0});
    const std::size_t count = std::min(tried_together, nearest.size());
    std::partial_sort(nearest.begin(), nearest.begin() + static_cast<std::ptrdiff_t>(count), nearest.end(),
                      [&](std::size_t a, std::size_t b) {
                          const double to_a = geometry::distance(first, places_[way.visits[a].copy]);
                          const double to_b = geometry::distance(first, places_[way.visits[b].copy]);
                          return to_a != to_b ? to_a < to_b : a < b;
                      });
    nearest.resize(count);
    std::sort(nearest.begin(), nearest.end());
    std::vector<std::size_t> sequence;
    LineShapes all;
    for (const std::size_t i : nearest) {
        sequence.push_back(way.visits[i].copy);
        for (LineShape& shape : moved(pattern_, places_[sequence.back()])) {
            shape.copy = sequence.size() > 1;
            all.push_back(std::move(shape));
        }
    }
    const double one_after_the_other = along(sequence, from, way.course).dark;
    const auto freely = shortest_order(std::move(all), one_by_one_, back_and_forth_, {from, {}}, watch_);
    return Trial{count, one_after_the_other, dark_way(freely, from, back_and_forth_)};
}

/// The copies row by row, or column by column, back and forth, from the corner nearest to the head.
std::vector<std::size_t> CopyRoute::rows(Point from, bool columns) const {
    const auto along = [&](std::size_t i) { return columns ? places_[i].y : places_[i].x; };
    const auto across = [&](std::size_t i) { return columns ? places_[i].x : places_[i].y; };
    const double same_row = (columns ? box_.width() : box_.height()) / 2;
    std::vector<std::size_t> order(places_.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) { return across(a) < across(b); });
    std::vector<std::vector<std::size_t>> rows;
    for (const std::size_t i : order) {
        if (rows.empty() || across(i) - across(rows.back().front()) > same_row) rows.emplace_back();
        rows.back().push_back(i);
    }
    const auto nearer_end_first = [&](std::vector<std::size_t>& row, Point to) {
        std::stable_sort(row.begin(), row.end(), [&](std::size_t a, std::size_t b) { return along(a) < along(b); });
        const auto away = [&](std::size_t i) { return geometry::distance(places_[i] + box_.centre(), to); };
        if (away(row.back()) < away(row.front())) std::reverse(row.begin(), row.end());
    };
    const auto away = [&](const std::vector<std::size_t>& row) {
        const double middle = columns ? box_.centre().x : box_.centre().y;
        return std::abs(across(row.front()) + middle - (columns ? from.x : from.y));
    };
    if (away(rows.back()) < away(rows.front())) std::reverse(rows.begin(), rows.end());
    std::vector<std::size_t> sequence;
    for (auto& row : rows) {
        nearer_end_first(row, sequence.empty() ? from : places_[sequence.back()] + box_.centre());
        sequence.insert(sequence.end(), row.begin(), row.end());
    }
    return sequence;
}

CopyRoute::Way CopyRoute::along(const std::vector<std::size_t>& sequence, Point from, std::size_t course) {
    Way way;
    way.course = course;
    way.end = from;
    for (std::size_t k = 0; k < sequence.size() && !watch_.cancelled(); ++k) {
        const Point at = places_[sequence[k]];
        std::optional<Point> next;
        if (k + 1 < sequence.size()) next = places_[sequence[k + 1]] - at;
        const Inner& one = inner(courses_[course], way.end - at, next);
        way.visits.push_back({sequence[k], one.lines});
        way.dark += geometry::distance(way.end - at, one.entry) + one.dark;
        way.end = at + one.exit;
    }
    return way;
}

/// The best order for a copy; when enough are known, the best of those.
const CopyRoute::Inner& CopyRoute::inner(Course& course, Point from, std::optional<Point> next) {
    if (pattern_.size() > few_lines) return one_of_two(from);
    if (!course.aimed) next.reset();
    const std::pair key{rounded(from), next ? std::optional(rounded(*next)) : std::nullopt};
    if (const auto known = course.orders.find(key); known != course.orders.end()) return known->second;
    if (course.orders.size() >= most_orders) {
        const auto way = [&](const Inner& one) {
            return geometry::distance(from, one.entry) + one.dark + (next ? geometry::distance(one.exit, *next) : 0);
        };
        return std::min_element(course.orders.begin(), course.orders.end(),
                                [&](const auto& a, const auto& b) { return way(a.second) < way(b.second); })
            ->second;
    }
    Inner found;
    if (!next) {
        found = ordered(pattern_, {from, {}});
    } else {
        // The next copy begins where this one does, most likely, and that is where the last one did.
        if (course.orders.empty()) course.begins = ordered(pattern_, {from, {}}).entry;
        for (int again = 0; again < 2; ++again) {
            const Point begun = course.begins;
            found = ordered(pattern_, {from, *next + begun});
            course.begins = found.entry;
            if (found.entry == begun) break;
        }
    }
    return course.orders.emplace(key, std::move(found)).first->second;
}

/// The order that was found first, or another that begins where it ended: a long label is gone along there and back.
const CopyRoute::Inner& CopyRoute::one_of_two(Point from) {
    const auto way = [&](const Inner& one) { return geometry::distance(from, one.entry) + one.dark; };
    if (there_and_back_.empty()) {
        there_and_back_.reserve(2);
        return there_and_back_.emplace_back(ordered(pattern_, {from, {}}));
    }
    const double far = 0.25 * (box_.width() + box_.height());
    if (there_and_back_.size() == 1 && geometry::distance(from, there_and_back_.front().entry) > far) {
        LineShapes quickly = pattern_;
        for (LineShape& shape : quickly)
            shape.copy = true;
        there_and_back_.push_back(ordered(quickly, {from, {}}));
    }
    return *std::min_element(there_and_back_.begin(), there_and_back_.end(),
                             [&](const Inner& a, const Inner& b) { return way(a) < way(b); });
}

CopyRoute::Inner CopyRoute::ordered(const LineShapes& shapes, const WayThrough& way) const {
    auto lines = shortest_order(shapes, one_by_one_, back_and_forth_, way, watch_);
    if (lines.empty()) return {std::make_shared<const std::vector<OrderedLine>>(), way.from, way.from, 0};
    const Point entry = lines.front().points.front(), exit = left_at(lines.back(), back_and_forth_);
    const double dark = dark_way(lines, entry, back_and_forth_);
    return {std::make_shared<const std::vector<OrderedLine>>(std::move(lines)), entry, exit, dark};
}

}  // namespace chalkline::planning
