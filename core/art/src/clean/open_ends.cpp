// SPDX-License-Identifier: GPL-3.0-or-later
// Ends that nearly meet: lines of one ink are joined where one goes on in the other's direction, and where that closes
// a contour. Hatch lines lie side by side, dashes one behind the other at even distances: they are meant as they are.
#include "clean/contours.hpp"

#include <map>
#include <optional>

namespace chalkline::art::clean {
namespace {

using geometry::Point;

constexpr double exact = 1e-4;  // mm; ends this close meet already

/// An end of an open line: `2 * place in the list` is its beginning, one more its end.
using End = std::size_t;

struct Tip {
    Point at;
    Point out;  ///< away from the line, length 1
};

/// The direction in which a line leaves its first point backwards, seen over a little of its length.
Tip tip_of(const std::vector<Point>& points, bool back) {
    constexpr double reach = 0.2;  // mm: the last chord of a curve alone would say little
    const auto point = [&](std::size_t i) { return back ? points[points.size() - 1 - i] : points[i]; };
    std::size_t i = 1;
    while (i + 1 < points.size() && geometry::distance(point(0), point(i)) < reach)
        ++i;
    const Point way = point(0) - point(i);
    const double length = geometry::norm(way);
    return {point(0), length > 0 ? way * (1 / length) : Point{}};
}

/// The open lines of one ink and what becomes of their ends.
class Joining {
 public:
    Joining(const std::vector<Contour>& contours, const std::vector<std::size_t>& places, double gap)
        : contours_(contours), places_(places), gap_(gap), partner_(2 * places.size()), meets_(2 * places.size()) {
        for (const std::size_t place : places)
            for (const bool back : {false, true})
                tips_.push_back(tip_of(contours[place].line.points, back));
        find_partners();
    }

    /// Ends that are to be joined: each with its other one, or nothing.
    std::vector<std::optional<End>> joints() const {
        std::vector<std::optional<End>> joints(tips_.size());
        for (End end = 0; end < tips_.size(); ++end)
            if (partner_[end] && end < *partner_[end] && goes_on(end) && !is_dash(end) && !is_dash(*partner_[end]))
                joints[end] = *partner_[end], joints[*partner_[end]] = end;
        close_rings(joints);
        return joints;
    }

    double distance(End a, End b) const { return geometry::distance(tips_[a].at, tips_[b].at); }
    Point at(End end) const { return tips_[end].at; }

 private:
    static End other(End end) { return end ^ 1; }

    /// Each end and the nearest one that has it for its nearest too; ends that meet exactly have each other.
    void find_partners() {
        std::vector<End> order(tips_.size());
        for (End end = 0; end < order.size(); ++end)
            order[end] = end;
        std::sort(order.begin(), order.end(), [&](End a, End b) { return tips_[a].at.x < tips_[b].at.x; });
        std::vector<std::optional<End>> nearest(tips_.size());
        const auto offer = [&](End to, End candidate) {
            const double far = distance(to, candidate);
            meets_[to] += far <= exact ? 1 : 0;
            if (!nearest[to] || far < distance(to, *nearest[to])) nearest[to] = candidate;
        };
        for (std::size_t i = 0; i < order.size(); ++i)
            for (std::size_t k = i + 1; k < order.size() && tips_[order[k]].at.x - tips_[order[i]].at.x <= gap_; ++k)
                if (distance(order[i], order[k]) <= gap_ && !is_bit(order[i], order[k]))
                    offer(order[i], order[k]), offer(order[k], order[i]);
        for (End end = 0; end < tips_.size(); ++end)
            if (nearest[end] && nearest[*nearest[end]] == end && meets_[end] < 2) partner_[end] = nearest[end];
    }

    /// The two ends of a line that is hardly longer than the gap.
    bool is_bit(End a, End b) const { return other(a) == b && contours_[places_[a / 2]].length < 3 * gap_; }

    bool meets(End end) const { return meets_[end] > 0; }

    bool goes_on(End end) const {
        constexpr double straight = 0.94, ahead = 0.7;  // cosines: 20° and 45°
        const Tip &a = tips_[end], &b = tips_[*partner_[end]];
        if (meets(end) || geometry::dot(a.out, b.out) > -straight) return false;
        const Point way = b.at - a.at;
        return geometry::dot(a.out, way) > ahead * geometry::norm(way);
    }

    /// Between two gaps of much the same length that both go on straight.
    bool is_dash(End end) const {
        const End far = other(end);
        if (!partner_[end] || !partner_[far] || !goes_on(end) || !goes_on(far)) return false;
        const double here = distance(end, *partner_[end]), there = distance(far, *partner_[far]);
        return std::min(here, there) > 0.7 * std::max(here, there);
    }

    /// Two lines side by side.
    bool turns_back(End end) const { return geometry::dot(tips_[end].out, tips_[*partner_[end]].out) > 0.97; }

    /// Joins all ends of lines that come round to where they began.
    void close_rings(std::vector<std::optional<End>>& joints) const {
        std::vector<bool> seen(places_.size(), false);
        for (std::size_t begin = 0; begin < places_.size(); ++begin) {
            if (seen[begin]) continue;
            std::vector<End> ring;  // ends at which the way leaves a line
            End at = 2 * begin + 1;
            bool near = false, fits = true;
            do {
                seen[at / 2] = true;
                if (!partner_[at] || turns_back(at) || (goes_on(at) && !joints[at])) fits = false;
                if (!fits) break;
                near = near || !meets(at);
                ring.push_back(at);
                at = other(*partner_[at]);
            } while (at / 2 != begin);
            if (!fits || !near || at != 2 * begin + 1) continue;
            for (const End end : ring)
                joints[end] = *partner_[end], joints[*partner_[end]] = end;
        }
    }

    const std::vector<Contour>& contours_;
    const std::vector<std::size_t>& places_;
    double gap_;
    std::vector<Tip> tips_;
    std::vector<std::optional<End>> partner_;
    std::vector<int> meets_;  ///< other ends at the same place
};

/// The line that is left by `leave` and all that are joined behind it.
geometry::Polyline chain_from(End leave, const std::vector<std::optional<End>>& joints,
                              const std::vector<Contour>& contours, const std::vector<std::size_t>& places,
                              std::vector<bool>& used) {
    geometry::Polyline chain;
    for (std::optional<End> at = leave; at;) {
        const std::size_t line = *at / 2;
        if (used[line]) {
            chain.closed = true;
            break;
        }
        used[line] = true;
        std::vector<Point> points = contours[places[line]].line.points;
        if (*at % 2 == 0) std::reverse(points.begin(), points.end());
        const bool again = !chain.points.empty() && geometry::distance(chain.points.back(), points.front()) <= exact;
        chain.points.insert(chain.points.end(), points.begin() + (again ? 1 : 0), points.end());
        at = joints[*at] ? std::optional<End>(*joints[*at] ^ 1) : std::nullopt;
    }
    if (chain.closed && geometry::distance(chain.points.front(), chain.points.back()) <= exact) chain.points.pop_back();
    return chain;
}

}  // namespace

std::vector<Find> cure_open_ends(const Artwork& artwork, std::vector<Contour>& contours, const CleaningLimits& limits,
                                 const Watch& watch) {
    std::map<Ink, std::vector<std::size_t>> open;
    for (std::size_t i = 0; i < contours.size(); ++i) {
        const Ink& ink = artwork.shapes[contours[i].shape].ink;
        const bool line = ink.kind == InkKind::line && !contours[i].line.closed && contours[i].line.points.size() > 1;
        if (!contours[i].gone && line) open[ink].push_back(i);
    }
    std::vector<Find> finds;
    std::vector<Contour> joined;
    for (const auto& group : open) {
        const Ink& ink = group.first;
        const std::vector<std::size_t>& places = group.second;
        if (watch.cancelled()) break;
        const Joining joining(contours, places, limits.gap);
        const auto joints = joining.joints();
        for (End end = 0; end < joints.size(); ++end) {
            if (!joints[end] || *joints[end] < end || joining.distance(end, *joints[end]) <= exact) continue;
            geometry::Box place;
            place.add(joining.at(end));
            place.add(joining.at(*joints[end]));
            finds.push_back({Fault::open_end, ink, place, 0});
        }
        std::vector<bool> used(places.size(), false);
        const auto take = [&](End leave) {
            const std::size_t line = leave / 2;
            if (used[line] || (!joints[leave] && !joints[leave ^ 1])) return;
            Contour contour{
                contours[places[line]].shape, chain_from(leave, joints, contours, places, used), {}, 0, true, false};
            contour.box = geometry::bounds(contour.line);
            contour.length = geometry::length(contour.line);
            joined.push_back(std::move(contour));
        };
        // Chains are begun at an end that is free; what is left then is rings.
        for (End end = 0; end < joints.size(); ++end)
            if (!joints[end]) take(end ^ 1);
        for (End end = 1; end < joints.size(); end += 2)
            take(end);
        for (std::size_t i = 0; i < places.size(); ++i)
            if (used[i]) contours[places[i]].gone = true;
    }
    contours.insert(contours.end(), joined.begin(), joined.end());
    return finds;
}

}  // namespace chalkline::art::clean
