// SPDX-License-Identifier: GPL-3.0-or-later
// Lines drawn twice. Every line is laid over the longer ones before it, segment by segment; what already lies under it
// is taken away.
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

    /// Lengths along the contour of this rank along which lower ranks run, or it itself did before.
    std::vector<Span> covered(const std::vector<Point>& points, std::size_t rank, double reach) const {
        std::vector<Span> spans;
        double at = 0;
        for (std::size_t i = 1; i < points.size(); ++i) {
            const Segment segment{points[i - 1], points[i]};
            const double step = geometry::distance(segment.from, segment.to);
            for (auto near = tree_.qbegin(touching(box_of(segment).grown(reach))); near != tree_.qend(); ++near) {
                const Segment& over = segments_[near->second];
                if (near->second >= first_of_rank_[rank] + i - 1) continue;
                const auto span = covered_by(segment, over, reach);
                if (span && (span->to - span->from) * step > 1e-4)
                    spans.push_back({at + span->from * step, at + span->to * step});
            }
            at += step;
        }
        return merged(std::move(spans), reach);
    }

 private:
    std::vector<Segment> segments_;  ///< by rank, then along the contour
    std::vector<std::size_t> first_of_rank_;
    BoxTree tree_;
};

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
        std::stable_sort(order.begin(), order.end(),
                         [&](std::size_t a, std::size_t b) { return contours[a].length > contours[b].length; });
        const Layers layers(contours, order);
        for (std::size_t rank = 0; rank < order.size() && !watch.cancelled(); ++rank) {
            Contour& contour = contours[order[rank]];
            const auto points = ring_points(contour.line);
            // Where lines merely touch or cross, a stretch about as long as the reach is near: that is no doubling.
            const double shortest = std::min(0.5 * contour.length, 10 * limits.same);
            auto covered = layers.covered(points, rank, limits.same);
            std::erase_if(covered, [&](const Span& span) { return span.to - span.from <= shortest; });
            if (covered.empty()) continue;
            Box place;
            double saved = 0;
            for (const Span& span : covered) {
                place.add(geometry::bounds(stretch(points, span)));
                saved += span.to - span.from;
            }
            finds.push_back({Fault::doubled_line, ink, place, saved});
            contour.gone = true;
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

}  // namespace chalkline::art::clean
