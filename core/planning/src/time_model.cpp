// SPDX-License-Identifier: GPL-3.0-or-later
#include "controller_queue.hpp"

#include <chalkline/planning/time_model.hpp>

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>
#include <optional>
#include <utility>
#include <vector>

namespace chalkline::planning {
namespace {

using geometry::Point;
using machine::MachineProfile;

/// The least of what the axes allow along a direction of length 1.
double along(Point way, double x, double y) {
    const double by_x = std::abs(way.x) > 1e-9 ? x / std::abs(way.x) : std::numeric_limits<double>::infinity();
    const double by_y = std::abs(way.y) > 1e-9 ? y / std::abs(way.y) : std::numeric_limits<double>::infinity();
    return std::min(by_x, by_y);
}

/// Characters of a coordinate as the encoder writes it: letter, sign, shortest decimals of whole micrometres.
int characters(std::int64_t micrometres) {
    int count = micrometres < 0 ? 2 : 1;
    const std::int64_t size = std::abs(micrometres), part = size % 1000;
    std::int64_t whole = size / 1000;
    if (whole == 0 && part == 0) return count + 1;
    for (; whole > 0; whole /= 10)
        ++count;
    if (part != 0) count += part % 100 == 0 ? 2 : part % 10 == 0 ? 3 : 4;
    return count;
}

std::int64_t micrometres(double mm) {
    return std::llround(mm * 1000);
}

/// Reads a program move by move.
class Clock {
 public:
    Clock(const machine::Program& program, const MachineProfile& machine, Timing& timing)
        : program_(program),
          machine_(machine),
          timing_(timing),
          queue_(machine, timing),
          at_(machine.waiting_place()) {}

    void run() {
        constexpr int opening = 24;  // bytes of the lines before the first operation
        queue_.wait(opening, 0);
        timing_.finished_at.assign(program_.operations.size(), 0);
        find_repeated();
        for (index_ = 0; index_ < program_.operations.size(); ++index_)
            if (!skip_repeated()) take_operation();
        queue_.drain();
        // Operations that move nothing are done with the one before.
        double done = 0;
        for (double& end : timing_.finished_at)
            done = end = std::max(end, done);
    }

 private:
    // Scan lines of copies share their runs. Rides, a way to a scan line and the line, that come again in the same
    // order take as long as they took before: what the queue holds then is the same, but for a digit more or less in
    // what was sent. They are skipped from one kept state of the queue to another.

    static constexpr std::size_t none = static_cast<std::size_t>(-1);
    static constexpr std::size_t rides_between_states = 8, longest_skip = 8192;  // operations, the skip

    void find_repeated() {
        repeated_.assign(program_.runs.size() + 1, false);
        std::vector<bool> seen = repeated_;
        for (const machine::Operation& operation : program_.operations) {
            const auto* sweep = std::get_if<machine::Sweep>(&operation.act);
            if (!sweep) continue;
            if (seen[sweep->first]) any_repeated_ = repeated_[sweep->first] = true;
            seen[sweep->first] = true;
        }
        if (!any_repeated_) return;
        began_.assign(program_.operations.size(), 0);
        first_time_.assign(program_.runs.size() + 1, none);
    }

    /// The scan line of the ride that begins with this operation, when it repeats; else null.
    const machine::Sweep* ride_at(std::size_t index) const {
        if (index == 0 || index + 1 >= program_.operations.size()) return nullptr;
        if (!std::holds_alternative<machine::Travel>(program_.operations[index].act)) return nullptr;
        const auto* sweep = std::get_if<machine::Sweep>(&program_.operations[index + 1].act);
        return sweep && repeated_[sweep->first] ? sweep : nullptr;
    }

    /// Where the head is after an operation that ends a ride; nothing after any other.
    std::optional<Point> end_of_ride(std::size_t index) const {
        const auto* sweep = std::get_if<machine::Sweep>(&program_.operations[index].act);
        return sweep ? std::optional(sweep->to) : std::nullopt;
    }

    /// Rides that follow rides, the same way with the same line of the same step.
    bool alike(std::size_t a, std::size_t b) const {
        const machine::Sweep *line_a = ride_at(a), *line_b = ride_at(b);
        if (!line_a || !line_b || line_a->first != line_b->first) return false;
        const auto from_a = end_of_ride(a - 1), from_b = end_of_ride(b - 1);
        if (!from_a || !from_b) return false;
        const auto& operation_a = program_.operations[a + 1];
        const auto& operation_b = program_.operations[b + 1];
        const auto same = [](Point p, Point q) {
            return micrometres(p.x) == micrometres(q.x) && micrometres(p.y) == micrometres(q.y);
        };
        return operation_a.speed == operation_b.speed && operation_a.origin.step == operation_b.origin.step &&
               same(line_a->to - *from_a, line_b->to - *from_b) &&
               same(std::get<machine::Travel>(program_.operations[a].act).to - *from_a,
                    std::get<machine::Travel>(program_.operations[b].act).to - *from_b);
    }

    /// Operations before both that are alike, enough to fill the queue with; nothing when they are not enough.
    std::optional<std::size_t> alike_before(std::size_t a, std::size_t b) const {
        std::size_t moves = 0, back = 0;
        while (moves <= queue_.capacity()) {
            back += 2;
            if (back + 1 > a || !alike(a - back, b - back)) return {};
            moves += ride_at(a - back)->count;
        }
        return back;
    }

    bool skip_repeated() {
        const machine::Sweep* line = any_repeated_ ? ride_at(index_) : nullptr;
        if (!line) return false;
        const std::size_t then = first_time_[line->first];
        if (then == none) {
            keep_state(*line);
            return false;
        }
        if (then >= index_) return false;
        const auto next_state = states_.upper_bound(then);
        if (next_state == states_.end() || next_state->first > then + 2 * rides_between_states) return false;
        const auto before = alike_before(then, index_);
        if (!before) return false;
        std::size_t length = 0;
        while (length < longest_skip && then + length < index_ && alike(then + length, index_ + length))
            length += 2;
        const auto later_state = states_.upper_bound(then + length);
        if (later_state == states_.begin()) return false;
        const auto& [until, state] = *std::prev(later_state);
        if (until <= then) return false;

        const double later = queue_.now() - began_[then];
        const std::size_t ahead = index_ - then;
        queue_.go_on_from(state, later, static_cast<std::ptrdiff_t>(ahead));
        for (std::size_t i = then - *before; i < until; ++i)
            timing_.finished_at[i + ahead] = timing_.finished_at[i] + later;
        at_ = *end_of_ride(until + ahead - 1);
        index_ = until + ahead - 1;
        return true;
    }

    /// The first time a line that repeats is ridden.
    void keep_state(const machine::Sweep& line) {
        first_time_[line.first] = index_;
        began_[index_] = queue_.now();
        if (rides_++ % rides_between_states == 0) states_.emplace(index_, queue_.state());
    }

    void take_operation() {
        operation_ = &program_.operations[index_];
        std::visit([this](const auto& act) { take(act); }, operation_->act);
    }

    void wait(int bytes, double seconds) {
        queue_.wait(bytes, seconds);
        timing_.finished_at[index_] = queue_.now();
    }
    void take(const machine::Dwell& dwell) { wait(8, dwell.time.seconds()); }
    void take(const machine::Air&) { wait(3, 0); }
    void take(const machine::Beam&) { wait(5, 0); }
    void take(const machine::Focus&) { wait(8, 0); }

    void take(const machine::Travel& travel) {
        const int bytes = 3 + characters(micrometres(travel.to.x)) + characters(counted_y(travel.to.y));
        queue_.move(at_, travel.to, travel.rapid ? 1e9 : operation_->speed.mm_per_s(), false, bytes, index_,
                    operation_->origin.step);
        at_ = travel.to;
    }

    void take(const machine::Trace& trace) {
        for (std::uint32_t i = 0; i < trace.count; ++i) {
            const Point to = program_.points[trace.first + i];
            int bytes = i == 0 ? 12 : 1;
            if (micrometres(to.x) != micrometres(at_.x)) bytes += characters(micrometres(to.x));
            if (counted_y(to.y) != counted_y(at_.y)) bytes += characters(counted_y(to.y));
            queue_.move(at_, to, operation_->speed.mm_per_s(), trace.power > 0, bytes, index_, operation_->origin.step);
            at_ = to;
        }
    }

    void take(const machine::Sweep& sweep) {
        const double whole = geometry::distance(at_, sweep.to);
        if (whole <= 0) return;
        const Point from = at_, way = (sweep.to - from) * (1 / whole);
        const double speed = operation_->speed.mm_per_s();
        std::int64_t done = 0;
        machine::PowerValue power = 0;
        for (std::uint32_t i = 0; i < sweep.count; ++i) {
            const machine::Run& run = program_.runs[sweep.first + i];
            done += run.micrometres;
            const Point to = from + way * (static_cast<double>(done) / 1000);
            int bytes = i == 0 ? 8 : 1;
            // Within a row differences are sent, of the axes that change.
            const double length = run.micrometres;
            if (std::abs(way.x) > 1e-9) bytes += characters(std::llround(length * way.x));
            if (std::abs(way.y) > 1e-9) bytes += characters(counted_y(length * way.y / 1000));
            if (run.power != power) bytes += run.power == 0 ? 2 : 4;
            power = run.power;
            queue_.move(at_, to, speed, run.power > 0, bytes, index_, operation_->origin.step);
            at_ = to;
        }
        at_ = sweep.to;
    }

    /// Along Y as it is written, whole thousandths.
    std::int64_t counted_y(double y) const { return micrometres(machine_.counted({0, y}).y); }

    const machine::Program& program_;
    const MachineProfile& machine_;
    Timing& timing_;
    Queue queue_;
    std::size_t index_ = 0;
    const machine::Operation* operation_ = nullptr;
    Point at_;
    bool any_repeated_ = false;
    std::vector<bool> repeated_;           ///< by the first of their runs: lines that come more than once
    std::vector<std::size_t> first_time_;  ///< by the first of their runs: operation that began the first such ride
    std::vector<double> began_;            ///< s, of those rides
    std::map<std::size_t, QueueState> states_;  ///< before some of those rides
    std::size_t rides_ = 0;
};

}  // namespace

AxisLimits limits_along(Point way, const MachineProfile& machine) {
    return {along(way, machine.max_rate_x / 60, machine.max_rate_y / 60),
            along(way, machine.acceleration_x, machine.acceleration_y)};
}

double corner_speed(Point before, Point after, double slower, const MachineProfile& machine) {
    const double cosine = geometry::dot(before, after);
    if (cosine > 0.999999) return slower;
    if (cosine < -0.999999) return 0;
    const Point turn = after - before;
    const double bend = along(turn * (1 / geometry::norm(turn)), machine.acceleration_x, machine.acceleration_y);
    const double half_sine = std::sqrt(0.5 * (1 + cosine));
    return std::min(slower, std::sqrt(bend * machine.junction_deviation * half_sine / (1 - half_sine)));
}

Duration homing_time(const MachineProfile& machine, std::optional<Point> from) {
    if (machine.home == machine::HomeCorner::none) return {};
    machine::MachineProfile corner = machine;
    corner.rest.reset();
    const Point home = corner.waiting_place();
    const Point way = from ? home - *from : Point{machine.width, machine.depth};
    const double seek = std::max(std::abs(way.x), std::abs(way.y)) / (machine.homing_seek / 60);
    return Duration::seconds(seek + 3 * machine.homing_pull_off / (machine.homing_feed / 60));
}

double straight_time(double length, double speed, double acceleration) {
    double top = 0;
    return trapezoid(length, speed / 60, acceleration, 0, 0, top);
}

double run_up_length(double speed, double acceleration) {
    return speed / 60 * (speed / 60) / (2 * acceleration);
}

Timing time_of(const machine::Program& program, const MachineProfile& machine) {
    Timing timing;
    Clock(program, machine, timing).run();
    return timing;
}

}  // namespace chalkline::planning
