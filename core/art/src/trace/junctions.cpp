// SPDX-License-Identifier: GPL-3.0-or-later
#include "trace/strokes.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <numeric>
#include <optional>

namespace chalkline::art {
namespace {

using geometry::Point;

/// An end of a trail: `2 * trail` is its beginning, one more its end.
using End = std::size_t;

struct Arm {
    End end;
    Point at;          ///< where it is no longer bent by the junction
    Point way;         ///< from there towards the junction, length 1
    std::size_t bent;  ///< points nearer to the junction than that
};

/// Where two lines cross; nothing where they run nearly alike.
std::optional<Point> crossing(const Arm& a, const Arm& b) {
    const double turn = geometry::cross(a.way, b.way);
    if (std::abs(turn) < 0.2) return {};
    return a.at + a.way * (geometry::cross(b.at - a.at, b.way) / turn);
}

class Junctions {
 public:
    Junctions(std::vector<Trail> trails, double width)
        : trails_(std::move(trails)), width_(width), group_(2 * trails_.size()), follower_(2 * trails_.size()) {
        std::iota(group_.begin(), group_.end(), End{0});
    }

    std::vector<Trail> straightened() {
        meet();
        drop_short();
        std::map<End, std::vector<End>> places;
        for (End end = 0; end < group_.size(); ++end)
            if (!gone(end)) places[root(end)].push_back(end);
        for (const auto& [place, ends] : places)
            if (ends.size() > 1) settle(ends);
        return joined();
    }

 private:
    Trail& trail(End end) { return trails_[end / 2]; }
    Point tip(End end) { return end % 2 == 0 ? trail(end).front() : trail(end).back(); }
    bool gone(End end) const { return trails_[end / 2].empty(); }
    bool is_ring(const Trail& trail) const { return trail.size() > 3 && trail.front() == trail.back(); }
    End root(End end) {
        while (group_[end] != end)
            end = group_[end] = group_[group_[end]];
        return end;
    }

    /// Ends that touch are of one place.
    void meet() {
        constexpr double touching = 1.5;  // pixels: beside each other, corners too
        std::vector<End> order(group_);
        std::sort(order.begin(), order.end(), [&](End a, End b) { return tip(a).x < tip(b).x; });
        for (std::size_t i = 0; i < order.size(); ++i)
            for (std::size_t k = i + 1; k < order.size() && tip(order[k]).x - tip(order[i]).x <= touching; ++k)
                if (!is_ring(trail(order[i])) && geometry::distance(tip(order[i]), tip(order[k])) <= touching)
                    group_[root(order[i])] = root(order[k]);
    }

    /// Bridges between the halves of a crossing make one place of it; spurs stand for the roundness of a stroke's end.
    void drop_short() {
        std::map<End, int> arms;
        for (std::size_t i = 0; i < trails_.size(); ++i) {
            // Pixels of one place beside each other.
            const bool within = root(2 * i) == root(2 * i + 1) && !is_ring(trails_[i]);
            if (within && static_cast<double>(trails_[i].size()) < 1.5 * width_ + 2) trails_[i].clear();
            for (const End end : {2 * i, 2 * i + 1})
                if (!gone(end)) ++arms[root(end)];
        }
        for (std::size_t i = 0; i < trails_.size(); ++i) {
            const End begin = root(2 * i), end = root(2 * i + 1);
            if (trails_[i].empty()) continue;
            const auto length = static_cast<double>(trails_[i].size());
            const bool bridge = begin != end && arms[begin] > 2 && arms[end] > 2 && length < 1.5 * width_ + 2;
            const bool spur = (arms[begin] > 2) != (arms[end] > 2) && length < 0.75 * width_ + 1;
            if (!bridge && !spur) continue;
            if (bridge) {
                group_[begin] = end;
                arms[end] += arms[begin] - 2;
            } else {
                --arms[arms[begin] > 2 ? begin : end];
            }
            trails_[i].clear();
        }
    }

    Arm arm_of(End end) {
        Trail points = trail(end);
        if (end % 2 == 1) std::reverse(points.begin(), points.end());
        const std::size_t last = points.size() - 1;
        const std::size_t bent = std::min<std::size_t>(last / 2, static_cast<std::size_t>(width_));
        const std::size_t far = std::min<std::size_t>(last, bent + static_cast<std::size_t>(3 * width_) + 4);
        const Point way = points[bent] - points[far];
        const double length = geometry::norm(way);
        return {end, points[bent], length > 0 ? way * (1 / length) : Point{}, bent};
    }

    /// Both go on in the other's direction and lie on one line.
    double bend(const Arm& a, const Arm& b) const {
        constexpr double straight = 0.87;  // cosine of 30°
        const double along = -geometry::dot(a.way, b.way);
        const double beside = std::abs(geometry::cross(a.way, b.at - a.at));
        return along < straight || beside > width_ + 2 ? 1 : 1 - along;
    }

    void settle(const std::vector<End>& ends) {
        std::vector<Arm> arms;
        for (const End end : ends)
            arms.push_back(arm_of(end));
        std::vector<const Arm*> through;
        while (true) {
            const Arm *one = nullptr, *other = nullptr;
            double least = 1;
            for (const Arm& a : arms)
                for (const Arm& b : arms)
                    if (a.end < b.end && a.end / 2 != b.end / 2 && !follower_[a.end] && !follower_[b.end])
                        if (const double bent = bend(a, b); bent < least) least = bent, one = &a, other = &b;
            if (!one) break;
            follower_[one->end] = other->end;
            follower_[other->end] = one->end;
            through.push_back(one);
        }
        for (const Arm& arm : arms)
            cut(arm, follower_[arm.end] ? std::nullopt : goal(arm, arms, through));
        // Two that are left meet in a corner.
        std::vector<End> left;
        for (const Arm& arm : arms)
            if (!follower_[arm.end]) left.push_back(arm.end);
        if (left.size() == 2 && through.empty()) follower_[left[0]] = left[1], follower_[left[1]] = left[0];
    }

    /// Where an arm ends that does not go on: on a line that does, or where it meets the others.
    std::optional<Point> goal(const Arm& arm, const std::vector<Arm>& arms, const std::vector<const Arm*>& through) {
        Point sum{};
        int count = 0;
        const double reach = 2 * width_ + 4;
        const auto add = [&](const Arm& other) {
            const auto at = crossing(arm, other);
            if (at && geometry::distance(*at, tip(arm.end)) <= reach) sum = sum + *at, ++count;
        };
        for (const Arm* line : through)
            add(*line);
        if (through.empty())
            for (const Arm& other : arms)
                if (other.end != arm.end) add(other);
        return count > 0 ? sum * (1.0 / count) : tip(arm.end);
    }

    /// Takes what is bent from the arm's end and lets it end at the goal.
    void cut(const Arm& arm, std::optional<Point> goal) {
        Trail& points = trail(arm.end);
        if (arm.end % 2 == 0) std::reverse(points.begin(), points.end());
        points.resize(points.size() - arm.bent);
        if (goal) points.push_back(*goal);
        if (arm.end % 2 == 0) std::reverse(points.begin(), points.end());
    }

    std::vector<Trail> joined() {
        std::vector<Trail> lines;
        std::vector<bool> used(trails_.size(), false);
        const auto take = [&](End leave) {
            Trail line;
            std::optional<End> at = leave;
            while (at && !used[*at / 2]) {
                used[*at / 2] = true;
                Trail points = trail(*at);
                if (*at % 2 == 0) std::reverse(points.begin(), points.end());
                line.insert(line.end(), points.begin(), points.end());
                at = follower_[*at] ? std::optional<End>(*follower_[*at] ^ 1) : std::nullopt;
            }
            if (at && line.size() > 2) line.push_back(line.front());  // it came round
            if (line.size() > 1) lines.push_back(std::move(line));
        };
        for (End end = 0; end < group_.size(); ++end)
            if (!gone(end) && !used[end / 2] && !follower_[end]) take(end ^ 1);
        for (End end = 1; end < group_.size(); end += 2)
            if (!gone(end) && !used[end / 2]) take(end);
        return lines;
    }

    std::vector<Trail> trails_;
    double width_;
    std::vector<End> group_;                    ///< union-find: ends of one place
    std::vector<std::optional<End>> follower_;  ///< the end a line goes on with
};

}  // namespace

std::vector<Trail> through_junctions(std::vector<Trail> trails, double width) {
    return Junctions(std::move(trails), width).straightened();
}

}  // namespace chalkline::art
