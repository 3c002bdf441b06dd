// SPDX-License-Identifier: GPL-3.0-or-later
#include "program/corner_power.hpp"

#include <chalkline/timing/time_model.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::planning {
namespace {

using geometry::Point;

struct Leg {
    Point from, to;
    double length, speed, acceleration;  ///< mm, mm/s, mm/s²
    double entry = 0;                    ///< mm/s
};

std::vector<Leg> legs_of(Point from, const std::vector<Point>& points, double speed,
                         const machine::MachineProfile& machine) {
    std::vector<Leg> legs;
    for (const Point to : points) {
        const double length = geometry::distance(from, to);
        if (length < 1e-9) continue;
        const timing::AxisLimits limits = timing::limits_along((to - from) * (1 / length), machine);
        legs.push_back({from, to, length, std::min(speed, limits.rate), limits.acceleration});
        from = to;
    }
    for (std::size_t i = 1; i < legs.size(); ++i) {
        const Leg &a = legs[i - 1], &b = legs[i];
        legs[i].entry = timing::corner_speed((a.to - a.from) * (1 / a.length), (b.to - b.from) * (1 / b.length),
                                             std::min(a.speed, b.speed), machine);
    }
    // Braking for what comes, then no faster than what came before allows.
    double next = 0;
    for (std::size_t i = legs.size(); i-- > 0;) {
        legs[i].entry = std::min(legs[i].entry, std::sqrt(next * next + 2 * legs[i].acceleration * legs[i].length));
        next = legs[i].entry;
    }
    for (std::size_t i = 1; i < legs.size(); ++i) {
        const Leg& before = legs[i - 1];
        legs[i].entry =
            std::min(legs[i].entry, std::sqrt(before.entry * before.entry + 2 * before.acceleration * before.length));
    }
    return legs;
}

}  // namespace

std::vector<PoweredPiece> with_corner_power(Point from, const std::vector<Point>& points,
                                            const steps::StepSettings& settings,
                                            const machine::MachineProfile& machine) {
    constexpr int levels = 8;
    const double asked = settings.speed.mm_per_s();
    const Power low = *settings.low_power, range = settings.power - low;
    std::vector<PoweredPiece> pieces;
    const auto burn_to = [&](Point place, double speed) {
        const double level = std::round(std::min(1.0, speed / asked) * levels) / levels;
        const Power power = low + range * level;
        if (pieces.empty() || pieces.back().power != power) pieces.push_back({{}, power});
        pieces.back().points.push_back(place);
    };
    const auto legs = legs_of(from, points, asked, machine);
    for (std::size_t i = 0; i < legs.size(); ++i) {
        const Leg& leg = legs[i];
        const double exit = i + 1 < legs.size() ? legs[i + 1].entry : 0, a = leg.acceleration;
        const double top =
            std::min(leg.speed, std::sqrt((2 * a * leg.length + leg.entry * leg.entry + exit * exit) / 2));
        const auto at = [&](double along) { return geometry::between(leg.from, leg.to, along / leg.length); };
        const auto ramp = [&](double start, double end, double begins_at, int way) {
            const int steps = static_cast<int>(std::ceil(levels * std::abs(end - start) / asked));
            for (int k = 1; k <= steps; ++k) {
                const double v = start + (end - start) * k / steps, before = start + (end - start) * (k - 1) / steps;
                burn_to(at(begins_at + way * (v * v - start * start) / (2 * a)), (v + before) / 2);
            }
        };
        const double up = (top * top - leg.entry * leg.entry) / (2 * a), down = (top * top - exit * exit) / (2 * a);
        ramp(leg.entry, top, 0, 1);
        if (leg.length - up - down > 1e-6) burn_to(at(leg.length - down), top);
        ramp(top, exit, leg.length - down, -1);
        pieces.back().points.back() = leg.to;
    }
    return pieces;
}

}  // namespace chalkline::planning
