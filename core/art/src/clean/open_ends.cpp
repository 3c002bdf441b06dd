// SPDX-License-Identifier: GPL-3.0-or-later
// Ends that nearly meet: lines of one ink are joined and rings closed.
#include "clean/contours.hpp"

#include <chalkline/geometry/join.hpp>
#include <chalkline/geometry/stroke.hpp>

#include <map>

namespace chalkline::art::clean {
namespace {

using geometry::Path;
using geometry::Point;

Find find_at(const Ink& ink, Point a, Point b) {
    geometry::Box place;
    place.add(a);
    place.add(b);
    return {Fault::open_end, ink, place, 0};
}

/// Ends of different lines that lie nearer to each other than the gap, each once.
void report_gaps(const Ink& ink, const std::vector<Path>& before, const std::vector<geometry::JoinedPath>& after,
                 double gap, std::vector<Find>& finds) {
    // What is joined no longer is an end: count by place.
    std::map<std::pair<double, double>, int> left;
    for (const auto& [path, first] : after) {
        if (path.closed()) continue;
        ++left[{path.contour_start().x, path.contour_start().y}];
        ++left[{path.current().x, path.current().y}];
    }
    std::vector<Point> met;
    for (const Path& path : before) {
        for (const Point end : {path.contour_start(), path.current()}) {
            const auto found = left.find({end.x, end.y});
            if (found != left.end() && found->second > 0)
                --found->second;
            else
                met.push_back(end);
        }
    }
    // Ends that met are pairs: each with its nearest. None is farther away than the gap.
    std::sort(met.begin(), met.end(), [](Point a, Point b) { return a.x < b.x; });
    std::vector<bool> used(met.size(), false);
    for (std::size_t i = 0; i < met.size(); ++i) {
        if (used[i]) continue;
        std::size_t nearest = i;
        for (std::size_t k = i + 1; k < met.size() && met[k].x - met[i].x <= gap; ++k)
            if (!used[k] &&
                (nearest == i || geometry::distance(met[i], met[k]) < geometry::distance(met[i], met[nearest])))
                nearest = k;
        used[i] = used[nearest] = true;
        finds.push_back(find_at(ink, met[i], met[nearest]));
    }
}

}  // namespace

std::vector<Find> cure_open_ends(const Artwork& artwork, std::vector<Contour>& contours, const CleaningLimits& limits,
                                 const Watch&) {
    std::map<Ink, std::vector<std::size_t>> open;
    for (std::size_t i = 0; i < contours.size(); ++i) {
        const Ink& ink = artwork.shapes[contours[i].shape].ink;
        const bool line = ink.kind == InkKind::line && !contours[i].line.closed && contours[i].line.points.size() > 1;
        if (!contours[i].gone && line) open[ink].push_back(i);
    }
    std::vector<Find> finds;
    std::vector<Contour> joined;
    for (const auto& [ink, places] : open) {
        std::vector<Path> pieces;
        for (const std::size_t i : places)
            pieces.push_back(geometry::path_of({contours[i].line}));
        const auto chains = geometry::join_ends(pieces, limits.gap);
        const bool changed = chains.size() < pieces.size() ||
                             std::any_of(chains.begin(), chains.end(),
                                         [](const geometry::JoinedPath& chain) { return chain.path.closed(); });
        if (!changed) continue;
        report_gaps(ink, pieces, chains, limits.gap, finds);
        for (const std::size_t i : places)
            contours[i].gone = true;
        for (const auto& [chain, first] : chains) {
            Contour contour{contours[places[first]].shape, chain.flatten({}, tolerance)[0], {}, 0, true, false};
            contour.box = geometry::bounds(contour.line);
            contour.length = geometry::length(contour.line);
            joined.push_back(std::move(contour));
        }
    }
    contours.insert(contours.end(), joined.begin(), joined.end());
    return finds;
}

}  // namespace chalkline::art::clean
