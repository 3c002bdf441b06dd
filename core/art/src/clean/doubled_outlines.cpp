// SPDX-License-Identifier: GPL-3.0-or-later
// A thick line that was traced has two edges, one inside the other. Where they keep a small even distance all the way,
// one line along their middle was meant.
#include "clean/contours.hpp"

#include <chalkline/geometry/box_tree.hpp>

#include <map>

namespace chalkline::art::clean {
namespace {

using geometry::BoxTree;
using geometry::Point;
using geometry::Polyline;
using geometry::touching;
using geometry::tree_box;
using geometry::TreeBox;

/// The point of the ring nearest to p.
Point nearest_on(const Polyline& ring, Point p) {
    Point best = ring.points[0];
    double least = geometry::distance(best, p);
    for (std::size_t i = 0; i < ring.points.size(); ++i) {
        const Point a = ring.points[i], b = ring.points[(i + 1) % ring.points.size()];
        const Point q = geometry::nearest_on_line(p, a, b);
        if (geometry::distance(q, p) < least) least = geometry::distance(q, p), best = q;
    }
    return best;
}

/// The ring with points no farther apart than `step`.
std::vector<Point> resampled(const Polyline& ring, double step) {
    std::vector<Point> points;
    for (std::size_t i = 0; i < ring.points.size(); ++i) {
        const Point a = ring.points[i], b = ring.points[(i + 1) % ring.points.size()];
        const int parts = std::max(1, static_cast<int>(std::ceil(geometry::distance(a, b) / step)));
        for (int k = 0; k < parts; ++k)
            points.push_back(geometry::between(a, b, static_cast<double>(k) / parts));
    }
    return points;
}

/// The middle line of two rings; nothing when they are anywhere farther apart than `thick`, or cross.
std::optional<Polyline> middle_line(const Contour& outer, const Contour& inner, double thick) {
    Polyline middle{{}, true};
    for (const Point p : resampled(outer.line, std::max(0.2, outer.length / 2000))) {
        const Point q = nearest_on(inner.line, p);
        // Corners of the outer edge lie farther off, by the square root of two at a right angle.
        if (geometry::distance(p, q) > thick * 1.5) return {};
        middle.points.push_back(geometry::between(p, q, 0.5));
    }
    for (const Point p : resampled(inner.line, std::max(0.2, inner.length / 500)))
        if (geometry::distance(p, nearest_on(outer.line, p)) > thick) return {};
    return middle;
}

bool could_be_edges(const Contour& outer, const Contour& inner, double thick) {
    if (!outer.box.contains(inner.box) || !inner.box.grown(thick * 1.05).contains(outer.box)) return false;
    // A ring no wider than the edges are apart has no middle line.
    return std::min(inner.box.width(), inner.box.height()) > 2 * thick;
}

}  // namespace

std::vector<Find> cure_doubled_outlines(const Artwork& artwork, std::vector<Contour>& contours,
                                        const CleaningLimits& limits, const Watch& watch) {
    std::map<Ink, std::vector<std::size_t>> rings;
    for (std::size_t i = 0; i < contours.size(); ++i) {
        const Ink& ink = artwork.shapes[contours[i].shape].ink;
        if (!contours[i].gone && ink.kind == InkKind::line && contours[i].line.closed) rings[ink].push_back(i);
    }
    std::vector<Find> finds;
    for (const auto& [ink, places] : rings) {
        std::vector<std::pair<TreeBox, std::size_t>> boxes;
        for (const std::size_t i : places)
            boxes.emplace_back(tree_box(contours[i].box), i);
        const BoxTree tree(boxes);
        for (const std::size_t i : places) {
            Contour& outer = contours[i];
            if (outer.gone || watch.cancelled()) continue;
            // Only rings whose lower left corner lies close to this one's can be its inner edge.
            const geometry::Box corner{outer.box.left, outer.box.bottom, outer.box.left + limits.thick * 1.05,
                                       outer.box.bottom + limits.thick * 1.05};
            for (auto near = tree.qbegin(touching(corner)); near != tree.qend(); ++near) {
                Contour& inner = contours[near->second];
                if (near->second == i || inner.gone || !could_be_edges(outer, inner, limits.thick)) continue;
                auto middle = middle_line(outer, inner, limits.thick);
                if (!middle) continue;
                finds.push_back({Fault::doubled_outline, ink, outer.box, inner.length});
                inner.gone = true;
                outer.line = std::move(*middle);
                outer.touched = true;
                outer.box = geometry::bounds(outer.line);
                outer.length = geometry::length(outer.line);
                break;
            }
        }
    }
    return finds;
}

}  // namespace chalkline::art::clean
