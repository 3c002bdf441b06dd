// SPDX-License-Identifier: GPL-3.0-or-later
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

/// First in, first out, in one piece of memory that grows when it must: what waits is looked at a million times.
template <class T>
class Ring {
 public:
    bool empty() const { return count_ == 0; }
    std::size_t size() const { return count_; }
    T& operator[](std::size_t i) { return slots_[(first_ + i) & (slots_.size() - 1)]; }
    T& front() { return (*this)[0]; }
    T& back() { return (*this)[count_ - 1]; }
    void push_back(const T& item) {
        if (count_ == slots_.size()) grow();
        (*this)[count_++] = item;
    }
    void pop_front() {
        first_ = (first_ + 1) & (slots_.size() - 1);
        --count_;
    }
    void clear() { count_ = 0; }

 private:
    void grow() {
        std::vector<T> wider(2 * slots_.size());
        for (std::size_t i = 0; i < count_; ++i)
            wider[i] = (*this)[i];
        slots_ = std::move(wider);
        first_ = 0;
    }
    std::vector<T> slots_ = std::vector<T>(16);  ///< a power of two
    std::size_t first_ = 0, count_ = 0;
};

/// What the queue holds and where its clock stands: all that what comes later depends on.
struct QueueState {
    Ring<Move> waiting;
    Ring<std::pair<int, double>> unread;  ///< lines in the receive buffer: bytes, and when they are read
    int in_buffer = 0;
    double received = 0, ended = 0, speed = 0;
    bool any = false;
    double last_scale = 1;
    Point last_way;  ///< of the last move, and what the axes allow along it
    AxisLimits limits{};

    /// The same so many seconds and operations later.
    void shift(double seconds, std::ptrdiff_t operations) {
        for (std::size_t i = 0; i < waiting.size(); ++i) {
            waiting[i].known_at += seconds;
            waiting[i].operation =
                static_cast<std::size_t>(static_cast<std::ptrdiff_t>(waiting[i].operation) + operations);
        }
        for (std::size_t i = 0; i < unread.size(); ++i)
            unread[i].second += seconds;
        received += seconds;
        ended += seconds;
    }
};

/// The queue of moves and the clock.
class Queue {
 public:
    Queue(const MachineProfile& machine, Timing& timing)
        : machine_(as_counted(machine)),
          timing_(timing),
          capacity_(static_cast<std::size_t>(std::max(2, machine.planner_blocks))),
          second_per_byte_(10.0 / machine.baud),
          line_by_line_(machine.dialect == machine::Dialect::line_by_line) {}

    double now() const { return s_.ended; }
    std::size_t capacity() const { return capacity_; }
    const QueueState& state() const { return s_; }
    /// Goes on from a state it was in before, as if it were now.
    void go_on_from(const QueueState& before, double seconds, std::ptrdiff_t operations) {
        s_ = before;
        s_.shift(seconds, operations);
    }

    /// A line with a move to `to`.
    void move(Point from, Point to, double asked, bool lit, int bytes, std::size_t operation, std::int32_t step) {
        const double way = geometry::distance(from, to);
        if (way < 1e-9) return line(bytes);
        const Point counted = machine_.counted(to - from);
        Move move;
        move.length = geometry::norm(counted);
        move.way = counted * (1 / move.length);
        move.scale = move.length / way;
        if (std::abs(move.scale - s_.last_scale) > 1e-3) bytes += feed_word;
        s_.last_scale = move.scale;
        if (!(move.way == s_.last_way)) s_.limits = limits_along(move.way, machine_);
        s_.last_way = move.way;
        move.speed = std::min(asked * move.scale, s_.limits.rate);
        move.acceleration = s_.limits.acceleration;
        if (!s_.waiting.empty()) {
            const Move& before = s_.waiting.back();
            const double speed = corner_speed(before.way, move.way, std::min(before.speed, move.speed), machine_);
            move.corner = speed * speed;
        }
        move.operation = operation;
        move.step = step;
        move.asked = lit ? move.speed : 0;
        if (s_.waiting.size() >= capacity_) finish_first();
        move.known_at = std::max(received(bytes), s_.ended);
        if (s_.waiting.size() + 1 < capacity_) move.known_at = s_.received;
        s_.unread.back().second = move.known_at;
        s_.waiting.push_back(move);
    }

    /// A line that moves nothing.
    void line(int bytes) {
        received(bytes);
        s_.unread.back().second = s_.received;
    }

    /// A line that is carried out when everything before it is done.
    void wait(int bytes, double seconds) {
        line(bytes);
        drain();
        s_.ended = std::max(s_.ended, s_.received) + seconds;
        s_.unread.back().second = s_.ended;
        s_.received = std::max(s_.received, s_.ended - seconds);
    }

    void drain() {
        while (!s_.waiting.empty())
            finish_first();
        s_.speed = 0;
    }

 private:
    /// When a line of so many bytes has come: its bytes follow the last one's as soon as the receive buffer has room.
    double received(int bytes) {
        if (line_by_line_) return received_alone(bytes);
        double from = s_.received;
        s_.in_buffer += bytes;
        while (s_.in_buffer > machine_.receive_buffer - 1 && s_.unread.size() > 1) {
            from = std::max(from, s_.unread.front().second);
            s_.in_buffer -= s_.unread.front().first;
            s_.unread.pop_front();
        }
        s_.received = from + bytes * second_per_byte_;
        s_.unread.push_back({bytes, s_.received});
        return s_.received;
    }

    /// The same where a line is sent only when the one before it was taken and answered; its words stand apart there.
    double received_alone(int bytes) {
        constexpr int more = 5, answer = 4;  // bytes: a word for the motion and blanks; "ok" and the ends of lines
        const double from = s_.unread.empty() ? s_.received : s_.unread.back().second + answer * second_per_byte_;
        s_.unread.clear();
        s_.received = std::max(s_.received, from) + (bytes + more) * second_per_byte_;
        s_.unread.push_back({bytes, s_.received});
        return s_.received;
    }

    /// Carries out the first of the queue with what is known behind it.
    void finish_first() {
        const Move& move = s_.waiting.front();
        const double start = std::max(s_.ended, move.known_at);
        const bool late = move.known_at > s_.ended + 1e-9 && s_.any;
        if (move.known_at > s_.ended) s_.speed = 0;
        s_.any = true;
        // The speed at its end: as fast as the corners ahead and the end of what is known allow.
        const double likely_end = start + move.length / move.speed;
        double exit = 0, braking = 0;
        bool blind = true;
        for (std::size_t i = 1; i < s_.waiting.size() && s_.waiting[i].known_at <= likely_end; ++i) {
            const Move& next = s_.waiting[i];
            const double through = next.corner + braking;
            if (i == 1 || through < exit) exit = through;
            braking += 2 * next.acceleration * next.length;
            blind = braking < exit;
            if (!blind) break;
        }
        if (blind) exit = braking;
        exit = std::sqrt(
            std::min({exit, move.speed * move.speed, s_.speed * s_.speed + 2 * move.acceleration * move.length}));
        double top = 0;
        s_.ended = start + trapezoid(move.length, move.speed, move.acceleration, s_.speed, exit, top);
        s_.speed = exit;
        timing_.finished_at[move.operation] = s_.ended;
        if (move.asked > 0) account(move, top, late, blind && s_.waiting.size() > 2);
        s_.waiting.pop_front();
    }

    void account(const Move& move, double top, bool late, bool blind) {
        if (accounted_ != move.step || !pace_) {
            accounted_ = move.step;
            pace_ = &timing_.steps[move.step];
            way_ = &ways_[move.step];
        }
        StepPace& pace = *pace_;
        pace.top_speed = std::max(pace.top_speed, top / move.scale * 60);
        Way& way = *way_;
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
    std::size_t capacity_;
    double second_per_byte_;
    bool line_by_line_;
    QueueState s_;
    std::map<std::int32_t, Way> ways_;
    std::int32_t accounted_ = 0;  ///< the step that pace_ and way_ are of
    StepPace* pace_ = nullptr;
    Way* way_ = nullptr;
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
        std::int64_t highest = -1;
        for (const machine::Operation& operation : program_.operations) {
            const auto* sweep = std::get_if<machine::Sweep>(&operation.act);
            if (!sweep) continue;
            if (sweep->first <= highest) any_repeated_ = repeated_[sweep->first] = true;
            highest = std::max<std::int64_t>(highest, sweep->first);
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
