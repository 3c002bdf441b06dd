// SPDX-License-Identifier: GPL-3.0-or-later
// Lines drawn twice. Every line is laid over the longer ones before it, segment by segment. One that lies on them as a
// whole, within the tolerance, goes as a whole; of one that does so in part only what lies on them exactly is taken
// away, so that no shreds are left of lines that come and go within the tolerance.
#include "clean/contours.hpp"

#include <chalkline/geometry/box_tree.hpp>

#include <algorithm>
#include <cmath>
#include <map>

namespace chalkline::art::clean {
namespace {

using geometry::Box;
using geometry::BoxTree;
using geometry::Point;
using geometry::Polyline;
using geometry::touching;
using geometry::tree_box;
using geometry::TreeBox;

/// One straight piece of a contour.
struct Segment {
    Point from, to;
};

struct Span {
    double from, to;
};

Box box_of(const Segment& s) {
    Box box;
    box.add(s.from);
    box.add(s.to);
    return box;
}

/// The stretch of `s` (shares of its length) along which `over` runs no farther away than `reach`; empty when none.
std::optional<Span> covered_by(const Segment& s, const Segment& over, double reach) {
    const Point way = s.to - s.from, other = over.to - over.from;
    const double length = geometry::norm(way), other_length = geometry::norm(other);
    if (!(length > 0) || !(other_length > 0)) return {};
    // Lines that cross or part come near, but do not run along: over the whole of the shorter one they must stay
    // together. Short chords of a curve split differently differ more in direction.
    constexpr double steepest = 0.35;  // sine
    const double turn = std::abs(geometry::cross(way, other));
    if (turn > steepest * length * other_length || turn > 2 * reach * std::max(length, other_length)) return {};
    const Point unit = way * (1 / length);
    double t0 = geometry::dot(over.from - s.from, unit), t1 = geometry::dot(over.to - s.from, unit);
    double d0 = geometry::cross(unit, over.from - s.from), d1 = geometry::cross(unit, over.to - s.from);
    if (t0 > t1) std::swap(t0, t1), std::swap(d0, d1);
    // Cut the stretch to where the distance between the two is within reach.
    double low = t0, high = t1;
    if (t1 > t0) {
        const double slope = (d1 - d0) / (t1 - t0);
        for (const double side : {reach, -reach}) {
            if (slope == 0) {
                if (std::abs(d0) > reach) return {};
                continue;
            }
            const double at = t0 + (side - d0) / slope;
            const bool leaves = (slope > 0) == (side > 0);
            leaves ? high = std::min(high, at) : low = std::max(low, at);
        }
    }
    low = std::max(low, 0.0);
    high = std::min(high, length);
    if (high < low) return {};
    return Span{low / length, high / length};
}

/// Joins overlapping spans; gaps no wider than `slack` close.
std::vector<Span> merged(std::vector<Span> spans, double slack) {
    std::sort(spans.begin(), spans.end(), [](const Span& a, const Span& b) { return a.from < b.from; });
    std::vector<Span> result;
    for (const Span& span : spans) {
        if (!result.empty() && span.from <= result.back().to + slack)
            result.back().to = std::max(result.back().to, span.to);
        else
            result.push_back(span);
    }
    return result;
}

/// What of a contour is not covered, as lengths along it.
std::vector<Span> bare_spans(const std::vector<Span>& covered, double length, double shortest) {
    std::vector<Span> bare;
    double at = 0;
    for (const Span& span : covered) {
        if (span.from - at > shortest) bare.push_back({at, span.from});
        at = std::max(at, span.to);
    }
    if (length - at > shortest) bare.push_back({at, length});
    return bare;
}

/// The stretch of a chain between two lengths along it.
Polyline stretch(const std::vector<Point>& points, Span span) {
    Polyline part;
    double at = 0;
    for (std::size_t i = 1; i < points.size(); ++i) {
        const double step = geometry::distance(points[i - 1], points[i]);
        const double from = std::max(span.from, at), to = std::min(span.to, at + step);
        if (to > from && step > 0) {
            if (part.points.empty())
                part.points.push_back(geometry::between(points[i - 1], points[i], (from - at) / step));
            part.points.push_back(geometry::between(points[i - 1], points[i], (to - at) / step));
        }
        at += step;
    }
    return part;
}

std::vector<Point> ring_points(const Polyline& line) {
    auto points = line.points;
    if (line.closed && !points.empty()) points.push_back(points.front());
    return points;
}

/// All segments of the lines of one ink in a tree.
class Layers {
 public:
    Layers(const std::vector<Contour>& contours, const std::vector<std::size_t>& order) {
        std::vector<std::pair<TreeBox, std::size_t>> boxes;
        for (std::size_t rank = 0; rank < order.size(); ++rank) {
            const auto points = ring_points(contours[order[rank]].line);
            first_of_rank_.push_back(segments_.size());
            for (std::size_t i = 1; i < points.size(); ++i) {
                segments_.push_back({points[i - 1], points[i]});
                boxes.emplace_back(tree_box(box_of(segments_.back())), segments_.size() - 1);
            }
        }
        tree_ = BoxTree(boxes);
    }

    /// Lengths along the chain along which segments run that count.
    template <class Counts>
    std::vector<Span> covered(const std::vector<Point>& points, double reach, Counts counts) const {
        std::vector<Span> spans;
        double at = 0;
        for (std::size_t i = 1; i < points.size(); ++i) {
            const Segment segment{points[i - 1], points[i]};
            const double step = geometry::distance(segment.from, segment.to);
            for (auto near = tree_.qbegin(touching(box_of(segment).grown(reach))); near != tree_.qend(); ++near) {
                if (!counts(near->second, i - 1)) continue;
                const auto span = covered_by(segment, segments_[near->second], reach);
                if (span && (span->to - span->from) * step > 1e-4)
                    spans.push_back({at + span->from * step, at + span->to * step});
            }
            at += step;
        }
        return merged(std::move(spans), reach);
    }

    std::size_t first_of(std::size_t rank) const { return first_of_rank_[rank]; }
    std::size_t rank_of(std::size_t segment) const {
        const auto behind = std::upper_bound(first_of_rank_.begin(), first_of_rank_.end(), segment);
        return static_cast<std::size_t>(behind - first_of_rank_.begin()) - 1;
    }

 private:
    std::vector<Segment> segments_;  ///< by rank, then along the contour
    std::vector<std::size_t> first_of_rank_;
    BoxTree tree_;
};

double sum_of(const std::vector<Span>& spans) {
    double sum = 0;
    for (const Span& span : spans)
        sum += span.to - span.from;
    return sum;
}

/// All but the ends, which rounding may leave bare.
bool is_whole(const std::vector<Span>& covered, double length) {
    return sum_of(covered) >= 0.99 * length;
}

/// The longest first; of much the same length the finest, which is the curve where the other is its polygon.
void put_in_order(std::vector<std::size_t>& places, const std::vector<Contour>& contours) {
    const auto rank = [&](std::size_t i) {
        const double size = std::round(std::log(std::max(1e-6, contours[i].length)) * 100);
        return std::pair(size, contours[i].line.points.size());
    };
    std::stable_sort(places.begin(), places.end(), [&](std::size_t a, std::size_t b) { return rank(a) > rank(b); });
}

Box box_along(const std::vector<Point>& points, const std::vector<Span>& spans) {
    Box box;
    for (const Span& span : spans)
        box.add(geometry::bounds(stretch(points, span)));
    return box;
}

}  // namespace

std::vector<Find> cure_doubled_lines(const Artwork& artwork, std::vector<Contour>& contours,
                                     const CleaningLimits& limits, const Watch& watch) {
    std::map<Ink, std::vector<std::size_t>> by_ink;
    for (std::size_t i = 0; i < contours.size(); ++i) {
        const Ink& ink = artwork.shapes[contours[i].shape].ink;
        if (!contours[i].gone && ink.kind == InkKind::line) by_ink[ink].push_back(i);
    }
    std::vector<Find> finds;
    std::vector<Contour> pieces;
    for (auto& [ink, order] : by_ink) {
        put_in_order(order, contours);
        const Layers layers(contours, order);
        for (std::size_t rank = 0; rank < order.size() && !watch.cancelled(); ++rank) {
            Contour& contour = contours[order[rank]];
            const auto points = ring_points(contour.line);
            // Lower ranks count, and what ran there before of the line itself.
            const auto before = [&](std::size_t segment, std::size_t own) {
                return segment < layers.first_of(rank) + own;
            };
            auto covered = layers.covered(points, limits.same, before);
            const bool whole = is_whole(covered, contour.length);
            if (!whole) {
                constexpr double share = 0.2;  // of the tolerance: they were meant to lie on each other
                covered = layers.covered(points, share * limits.same, before);
                // Where lines merely touch or cross, a stretch about as long as the reach is near: that is no doubling.
                const double shortest = std::min(0.5 * contour.length, 10 * limits.same);
                std::erase_if(covered, [&](const Span& span) { return span.to - span.from <= shortest; });
            }
            if (covered.empty()) continue;
            finds.push_back({Fault::doubled_line, ink, box_along(points, covered), sum_of(covered)});
            contour.gone = true;
            if (whole) continue;
            for (const Span& span : bare_spans(covered, contour.length, limits.same)) {
                Contour piece{contour.shape, stretch(points, span), {}, span.to - span.from, true, false};
                piece.box = geometry::bounds(piece.line);
                pieces.push_back(std::move(piece));
            }
        }
    }
    contours.insert(contours.end(), pieces.begin(), pieces.end());
    return finds;
}

std::vector<Find> find_two_inks(const Artwork& artwork, std::vector<Contour>& contours, const CleaningLimits& limits,
                                const Watch& watch) {
    std::vector<std::size_t> order;
    for (std::size_t i = 0; i < contours.size(); ++i)
        if (!contours[i].gone && artwork.shapes[contours[i].shape].ink.kind == InkKind::line) order.push_back(i);
    put_in_order(order, contours);
    const Layers layers(contours, order);
    const auto ink_of = [&](std::size_t rank) { return artwork.shapes[contours[order[rank]].shape].ink; };
    std::vector<Find> finds;
    for (std::size_t rank = 0; rank < order.size() && !watch.cancelled(); ++rank) {
        const Contour& contour = contours[order[rank]];
        const auto points = ring_points(contour.line);
        const Ink ink = ink_of(rank);
        const auto covered = layers.covered(points, limits.same, [&](std::size_t segment, std::size_t) {
            return segment < layers.first_of(rank) && !(ink_of(layers.rank_of(segment)) == ink);
        });
        if (is_whole(covered, contour.length)) finds.push_back({Fault::two_inks, ink, contour.box, 0});
    }
    return finds;
}

}  // namespace chalkline::art::clean
