// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/planning/time_model.hpp>

#include <algorithm>
#include <cmath>
#include <deque>
#include <limits>
#include <utility>

namespace chalkline::planning {
namespace {

using geometry::Point;
using machine::MachineProfile;

/// One straight move in the controller's queue.
struct Move {
    Point way;            ///< of length 1
    double length;        ///< mm
    double speed;         ///< mm/s it may go
    double acceleration;  ///< mm/s²
    double corner = 0;    ///< square of the speed the corner before it allows, mm²/s²
    double known_at;      ///< s: its line was read
    std::size_t operation;
    std::int32_t step;
    double asked;  ///< mm/s; 0 for dark moves
    double scale;  ///< what the controller counts for a millimetre of this move
};

/// The least of what the axes allow along a direction of length 1.
double along(Point way, double x, double y) {
    const double by_x = std::abs(way.x) > 1e-9 ? x / std::abs(way.x) : std::numeric_limits<double>::infinity();
    const double by_y = std::abs(way.y) > 1e-9 ? y / std::abs(way.y) : std::numeric_limits<double>::infinity();
    return std::min(by_x, by_y);
}

/// Time from one speed to another over a length, as fast as allowed; `top` becomes the highest speed on the way.
double trapezoid(double length, double speed, double acceleration, double from, double to, double& top) {
    const double reach = std::sqrt(std::max(0.0, acceleration * length + (from * from + to * to) / 2));
    top = std::min(speed, reach);
    const double ramps = (2 * top * top - from * from - to * to) / (2 * acceleration);
    const double cruise = std::max(0.0, length - ramps);
    return std::max(0.0, 2 * top - from - to) / acceleration + (top > 0 ? cruise / top : 0);
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

/// The queue of moves and the clock.
class Queue {
 public:
    Queue(const MachineProfile& machine, Timing& timing)
        : machine_(as_counted(machine)),
          timing_(timing),
          capacity_(static_cast<std::size_t>(std::max(2, machine.planner_blocks))),
          second_per_byte_(10.0 / machine.baud),
          line_by_line_(machine.dialect == machine::Dialect::line_by_line) {}

    double now() const { return ended_; }

    /// A line with a move to `to`.
    void move(Point from, Point to, double asked, bool lit, int bytes, std::size_t operation, std::int32_t step) {
        const double way = geometry::distance(from, to);
        if (way < 1e-9) return line(bytes);
        const Point counted = machine_.counted(to - from);
        Move move;
        move.length = geometry::norm(counted);
        move.way = counted * (1 / move.length);
        move.scale = move.length / way;
        if (std::abs(move.scale - last_scale_) > 1e-3) bytes += feed_word;
        last_scale_ = move.scale;
        const AxisLimits limits = limits_along(move.way, machine_);
        move.speed = std::min(asked * move.scale, limits.rate);
        move.acceleration = limits.acceleration;
        if (!waiting_.empty()) {
            const Move& before = waiting_.back();
            const double speed = corner_speed(before.way, move.way, std::min(before.speed, move.speed), machine_);
            move.corner = speed * speed;
        }
        move.operation = operation;
        move.step = step;
        move.asked = lit ? move.speed : 0;
        if (waiting_.size() >= capacity_) finish_first();
        move.known_at = std::max(received(bytes), ended_);
        if (waiting_.size() + 1 < capacity_) move.known_at = received_;
        unread_.back().second = move.known_at;
        waiting_.push_back(move);
    }

    /// A line that moves nothing.
    void line(int bytes) {
        received(bytes);
        unread_.back().second = received_;
    }

    /// A line that is carried out when everything before it is done.
    void wait(int bytes, double seconds) {
        line(bytes);
        drain();
        ended_ = std::max(ended_, received_) + seconds;
        unread_.back().second = ended_;
        received_ = std::max(received_, ended_ - seconds);
    }

    void drain() {
        while (!waiting_.empty())
            finish_first();
        speed_ = 0;
    }

 private:
    /// When a line of so many bytes has come: its bytes follow the last one's as soon as the receive buffer has room.
    double received(int bytes) {
        if (line_by_line_) return received_alone(bytes);
        double from = received_;
        in_buffer_ += bytes;
        while (in_buffer_ > machine_.receive_buffer - 1 && unread_.size() > 1) {
            from = std::max(from, unread_.front().second);
            in_buffer_ -= unread_.front().first;
            unread_.pop_front();
        }
        received_ = from + bytes * second_per_byte_;
        unread_.emplace_back(bytes, received_);
        return received_;
    }

    /// The same where a line is sent only when the one before it was taken and answered; its words stand apart there.
    double received_alone(int bytes) {
        constexpr int more = 5, answer = 4;  // bytes: a word for the motion and blanks; "ok" and the ends of lines
        const double from = unread_.empty() ? received_ : unread_.back().second + answer * second_per_byte_;
        unread_.clear();
        received_ = std::max(received_, from) + (bytes + more) * second_per_byte_;
        unread_.emplace_back(bytes, received_);
        return received_;
    }

    /// Carries out the first of the queue with what is known behind it.
    void finish_first() {
        const Move& move = waiting_.front();
        const double start = std::max(ended_, move.known_at);
        const bool late = move.known_at > ended_ + 1e-9 && any_;
        if (move.known_at > ended_) speed_ = 0;
        any_ = true;
        // The speed at its end: as fast as the corners ahead and the end of what is known allow.
        const double likely_end = start + move.length / move.speed;
        double exit = 0, braking = 0;
        bool blind = true;
        for (std::size_t i = 1; i < waiting_.size() && waiting_[i].known_at <= likely_end; ++i) {
            const Move& next = waiting_[i];
            const double through = next.corner + braking;
            if (i == 1 || through < exit) exit = through;
            braking += 2 * next.acceleration * next.length;
            blind = braking < exit;
            if (!blind) break;
        }
        if (blind) exit = braking;
        exit =
            std::sqrt(std::min({exit, move.speed * move.speed, speed_ * speed_ + 2 * move.acceleration * move.length}));
        double top = 0;
        ended_ = start + trapezoid(move.length, move.speed, move.acceleration, speed_, exit, top);
        speed_ = exit;
        timing_.finished_at[move.operation] = ended_;
        if (move.asked > 0) account(move, top, late, blind && waiting_.size() > 2);
        waiting_.pop_front();
    }

    void account(const Move& move, double top, bool late, bool blind) {
        StepPace& pace = timing_.steps[move.step];
        pace.top_speed = std::max(pace.top_speed, top / move.scale * 60);
        auto& way = ways_[move.step];
        way.all += move.length;
        if (late) way.late += 1;
        way.moves += 1;
        if (top < move.asked * 0.99 && blind) way.blind += move.length;
        pace.limit = pace.top_speed >= move.asked / move.scale * 60 * 0.99 ? SpeedLimit::none
                     : way.late > way.moves * 0.05                         ? SpeedLimit::link
                     : way.blind > way.all * 0.5                           ? SpeedLimit::lookahead
                                                                           : SpeedLimit::acceleration;
    }

    struct Way {
        double all = 0, blind = 0, late = 0, moves = 0;
    };

    /// Rates as the controller counts along Y.
    static MachineProfile as_counted(MachineProfile machine) {
        const double per_mm = machine.counted({0, 1}).y;
        machine.max_rate_y *= per_mm;
        machine.acceleration_y *= per_mm;
        return machine;
    }

    static constexpr int feed_word = 6;  ///< bytes

    const MachineProfile machine_;
    Timing& timing_;
    double last_scale_ = 1;
    std::size_t capacity_;
    double second_per_byte_;
    bool line_by_line_;
    std::deque<Move> waiting_;
    std::deque<std::pair<int, double>> unread_;  ///< lines in the receive buffer: bytes, and when they are read
    int in_buffer_ = 0;
    double received_ = 0, ended_ = 0, speed_ = 0;
    bool any_ = false;
    std::map<std::int32_t, Way> ways_;
};

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
        for (index_ = 0; index_ < program_.operations.size(); ++index_) {
            operation_ = &program_.operations[index_];
            std::visit([this](const auto& act) { take(act); }, operation_->act);
        }
        queue_.drain();
        // Operations that move nothing are done with the one before.
        double done = 0;
        for (double& end : timing_.finished_at)
            done = end = std::max(end, done);
    }

 private:
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
