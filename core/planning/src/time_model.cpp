// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/planning/time_model.hpp>

#include <algorithm>
#include <cmath>
#include <utility>

namespace chalkline::planning {
namespace {

using geometry::Point;
using machine::MachineProfile;

/// What the axes allow along a direction: the slowest axis decides.
struct Limits {
    double rate;          ///< mm/s
    double acceleration;  ///< mm/s²
};

Limits limits_along(Point direction, const MachineProfile& machine) {
    const double length = geometry::norm(direction);
    Limits limits{1e9, 1e9};
    const auto axis = [&](double part, double rate, double acceleration) {
        const double share = std::abs(part) / length;
        if (share < 1e-9) return;
        limits.rate = std::min(limits.rate, rate / 60 / share);
        limits.acceleration = std::min(limits.acceleration, acceleration / share);
    };
    axis(direction.x, machine.max_rate_x, machine.acceleration_x);
    axis(direction.y, machine.max_rate_y, machine.acceleration_y);
    return limits;
}

struct Segment {
    double length, speed, acceleration;  ///< mm, mm/s, mm/s²
    Point unit;
    double entry = 0;  ///< mm/s
};

double corner_speed(const Segment& a, const Segment& b, double deviation) {
    const double cosine = -geometry::dot(a.unit, b.unit);
    if (cosine > 0.999999) return 0;
    if (cosine < -0.999999) return std::min(a.speed, b.speed);
    const double half_sine = std::sqrt(0.5 * (1 - cosine));
    const double speed = std::sqrt(std::min(a.acceleration, b.acceleration) * deviation * half_sine / (1 - half_sine));
    return std::min({speed, a.speed, b.speed});
}

/// A segment from one speed to another, as fast as allowed.
double trapezoid_time(const Segment& s, double from, double to) {
    const double a = s.acceleration;
    const double peak = std::min(s.speed, std::sqrt(std::max(0.0, (2 * a * s.length + from * from + to * to) / 2)));
    const double ramps = (2 * peak * peak - from * from - to * to) / (2 * a);
    const double cruise = std::max(0.0, s.length - ramps);
    return std::max(0.0, 2 * peak - from - to) / a + (peak > 0 ? cruise / peak : 0);
}

double chain_time(std::vector<Segment>& segments, double deviation) {
    const std::size_t n = segments.size();
    for (std::size_t i = 1; i < n; ++i)
        segments[i].entry = corner_speed(segments[i - 1], segments[i], deviation);
    double next = 0;
    for (std::size_t i = n; i-- > 0;) {
        auto& s = segments[i];
        s.entry = std::min(s.entry, std::sqrt(next * next + 2 * s.acceleration * s.length));
        next = s.entry;
    }
    double time = 0;
    for (std::size_t i = 0; i < n; ++i) {
        const auto& s = segments[i];
        double exit = i + 1 < n ? segments[i + 1].entry : 0;
        exit = std::min(exit, std::sqrt(s.entry * s.entry + 2 * s.acceleration * s.length));
        if (i + 1 < n) segments[i + 1].entry = exit;
        time += trapezoid_time(s, s.entry, exit);
    }
    return time;
}

class Clock {
 public:
    Clock(const machine::Program& program, const MachineProfile& machine) : program_(program), machine_(machine) {}

    double of(const machine::Operation& operation) {
        if (const auto* travel = std::get_if<machine::Travel>(&operation.act)) {
            const Point from = std::exchange(at_, travel->to);
            if (!std::exchange(known_, true)) return 0;
            return straight(from, at_, travel->rapid ? 1e9 : operation.speed.mm_per_s());
        }
        if (const auto* sweep = std::get_if<machine::Sweep>(&operation.act)) {
            const Point from = std::exchange(at_, sweep->to);
            return straight(from, at_, operation.speed.mm_per_s());
        }
        if (const auto* trace = std::get_if<machine::Trace>(&operation.act)) return chain(*trace, operation.speed);
        if (const auto* dwell = std::get_if<machine::Dwell>(&operation.act)) return dwell->time.seconds();
        return 0;
    }

 private:
    double straight(Point from, Point to, double speed) const {
        const double length = geometry::distance(from, to);
        if (length <= 0) return 0;
        const Limits limits = limits_along(to - from, machine_);
        return straight_time(length, std::min(speed, limits.rate) * 60, limits.acceleration);
    }
    double chain(const machine::Trace& trace, Speed speed) {
        segments_.clear();
        for (std::uint32_t i = 0; i < trace.count; ++i) {
            const Point to = program_.points[trace.first + i];
            const double length = geometry::distance(at_, to);
            if (length > 0) {
                const Limits limits = limits_along(to - at_, machine_);
                segments_.push_back(
                    {length, std::min(speed.mm_per_s(), limits.rate), limits.acceleration, (to - at_) * (1 / length)});
            }
            at_ = to;
        }
        return chain_time(segments_, machine_.junction_deviation);
    }

    const machine::Program& program_;
    const MachineProfile& machine_;
    Point at_;
    bool known_ = false;
    std::vector<Segment> segments_;
};

}  // namespace

double straight_time(double length, double speed, double acceleration) {
    return trapezoid_time({length, speed / 60, acceleration, {}}, 0, 0);
}

double reached_speed(double length, double speed, double acceleration) {
    return std::min(speed, 60 * std::sqrt(std::max(0.0, acceleration * length)));
}

double run_up_length(double speed, double acceleration) {
    return speed / 60 * (speed / 60) / (2 * acceleration);
}

std::vector<double> operation_ends(const machine::Program& program, const MachineProfile& machine) {
    std::vector<double> ends;
    ends.reserve(program.operations.size());
    Clock clock(program, machine);
    double now = 0;
    for (const auto& operation : program.operations)
        ends.push_back(now += clock.of(operation));
    return ends;
}

}  // namespace chalkline::planning
