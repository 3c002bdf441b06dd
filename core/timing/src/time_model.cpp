// SPDX-License-Identifier: GPL-3.0-or-later
#include "controller_queue.hpp"

#include <chalkline/machine/walk.hpp>
#include <chalkline/timing/time_model.hpp>

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>
#include <optional>
#include <utility>
#include <vector>

namespace chalkline::timing {
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
        const auto passages = repeated();
        if (!passages.empty()) began_.assign(program_.operations.size(), 0);
        for (const machine::Passage& passage : passages) {
            take_until(passage.first);
            take_passage(passage);
        }
        take_until(program_.operations.size());
        queue_.drain();
        // Operations that move nothing are done with the one before.
        double done = 0;
        for (double& end : timing_.finished_at)
            done = end = std::max(end, done);
    }

 private:
    // A passage takes as long as one of the same pattern took before, once the queue holds the same, but for a digit
    // more or less in what is sent. So it is left as that one was left.

    /// A passage that was gone through, and what the queue held at its end.
    struct Gone {
        machine::Passage passage;
        QueueState end;
    };
    /// Its pattern, and that of the passage right before it, or `none`.
    using Context = std::pair<std::uint32_t, std::uint32_t>;
    static constexpr std::uint32_t none = static_cast<std::uint32_t>(-1);

    /// The passages whose pattern comes more than once.
    std::vector<machine::Passage> repeated() const {
        std::map<std::uint32_t, int> count;
        for (const machine::Passage& passage : program_.passages)
            ++count[passage.pattern];
        std::vector<machine::Passage> passages = program_.passages;
        std::erase_if(passages, [&](const machine::Passage& passage) { return count[passage.pattern] < 2; });
        return passages;
    }

    void take_passage(const machine::Passage& passage) {
        const std::size_t end = passage.first + passage.count;
        // Copies lie in rows: what came before is alike most likely where the same pattern came before.
        const Context here{passage.pattern, last_end_ == passage.first ? last_pattern_ : none};
        const auto alike_there = gone_.find(here);
        const auto last = last_gone_.find(passage.pattern);
        const auto alike =
            alike_there == gone_.end() ? std::nullopt : alike_before(alike_there->second.passage.first, passage.first);
        if (alike) {
            go_on_like(alike_there->second, passage, passage.first - *alike);
        } else if (last == last_gone_.end()) {
            take_until(end);
        } else {
            take_until(passage.first + 1);
            const std::size_t filled = queue_.moves() + queue_.capacity();
            while (index_ < end && queue_.moves() <= filled)
                take_until(index_ + 1);
            if (index_ < end) go_on_like(gone_.at(last->second), passage, passage.first + 1);
        }
        gone_.insert_or_assign(here, Gone{passage, queue_.state()});
        last_gone_.insert_or_assign(passage.pattern, here);
        last_end_ = end;
        last_pattern_ = passage.pattern;
    }

    /// To the end of the passage. From `alike` on, the operations did what they did in the one before; some of them are
    /// in the queue yet.
    void go_on_like(const Gone& before, const machine::Passage& passage, std::size_t alike) {
        const std::size_t end = passage.first + passage.count, ahead = passage.first - before.passage.first;
        const double later = queue_.now() - began_[index_ - ahead];
        queue_.go_on_from(before.end, later, static_cast<std::ptrdiff_t>(ahead));
        for (std::size_t i = alike; i < end; ++i)
            timing_.finished_at[i] = timing_.finished_at[i - ahead] + later;
        for (; index_ < end; ++index_)
            began_[index_] = began_[index_ - ahead] + later;
        at_ = *machine::end_of(program_, program_.operations[end - 1]);
    }

    /// How many operations before a passage, all that the queue may hold, are those before another of its pattern,
    /// moved as the passage is; nothing when they are not, or the way there is another one.
    std::optional<std::size_t> alike_before(std::size_t first, std::size_t other) const {
        const auto& operations = program_.operations;
        const Point by = *machine::end_of(program_, operations[other]) - *machine::end_of(program_, operations[first]);
        std::size_t moves = 0, back = 0;
        for (; moves <= queue_.capacity(); ++back) {
            if (back > first || !same_moved(operations[first - back], operations[other - back], by)) return {};
            if (back > 0) moves += static_cast<std::size_t>(machine::parts_of(operations[first - back]));
        }
        return back - 1;
    }

    bool same_moved(const machine::Operation& a, const machine::Operation& b, Point by) const {
        constexpr double same = 5e-4;  // mm: half of what is sent
        const auto at = [&](Point p, Point q) {
            return std::abs(p.x + by.x - q.x) < same && std::abs(p.y + by.y - q.y) < same;
        };
        if (!(a.speed == b.speed) || a.origin.step != b.origin.step || a.act.index() != b.act.index()) return false;
        if (const auto* travel = std::get_if<machine::Travel>(&a.act)) {
            const auto& other = std::get<machine::Travel>(b.act);
            return travel->rapid == other.rapid && at(travel->to, other.to);
        }
        if (const auto* sweep = std::get_if<machine::Sweep>(&a.act)) {
            const auto& other = std::get<machine::Sweep>(b.act);
            return sweep->first == other.first && sweep->count == other.count && at(sweep->to, other.to);
        }
        const auto* trace = std::get_if<machine::Trace>(&a.act);
        if (!trace) return false;
        const auto& other = std::get<machine::Trace>(b.act);
        if (trace->count != other.count || trace->power != other.power) return false;
        const auto from =
            static_cast<std::uint32_t>(trace->count - std::min<std::size_t>(trace->count, queue_.capacity() + 1));
        for (std::uint32_t i = from; i < trace->count; ++i)
            if (!at(program_.points[trace->first + i], program_.points[other.first + i])) return false;
        return true;
    }

    void take_until(std::size_t end) {
        for (; index_ < end; ++index_) {
            operation_ = &program_.operations[index_];
            if (!began_.empty()) began_[index_] = queue_.now();
            std::visit([this](const auto& act) { take(act); }, operation_->act);
        }
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
    std::vector<double> began_;                   ///< s, per operation; empty where nothing repeats
    std::map<Context, Gone> gone_;                ///< the last of each
    std::map<std::uint32_t, Context> last_gone_;  ///< by their pattern
    std::size_t last_end_ = 0;                    ///< of the last passage, in operations
    std::uint32_t last_pattern_ = none;
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

}  // namespace chalkline::timing
