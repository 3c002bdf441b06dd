// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/machine/profile.hpp>
#include <chalkline/timing/time_model.hpp>

#include <algorithm>
#include <cmath>
#include <map>
#include <utility>
#include <vector>

// The controller as the time model has it: the lines on their way to it, and the moves it knows.
namespace chalkline::timing {

/// One straight move in the controller's queue.
struct Move {
    geometry::Point way;  ///< of length 1
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

/// Time from one speed to another over a length, as fast as allowed; `top` becomes the highest speed on the way.
inline double trapezoid(double length, double speed, double acceleration, double from, double to, double& top) {
    const double reach = std::sqrt(std::max(0.0, acceleration * length + (from * from + to * to) / 2));
    top = std::min(speed, reach);
    const double ramps = (2 * top * top - from * from - to * to) / (2 * acceleration);
    const double cruise = std::max(0.0, length - ramps);
    return std::max(0.0, 2 * top - from - to) / acceleration + (top > 0 ? cruise / top : 0);
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
    geometry::Point last_way;  ///< of the last move, and what the axes allow along it
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
    Queue(const machine::MachineProfile& machine, Timing& timing)
        : machine_(as_counted(machine)),
          timing_(timing),
          capacity_(static_cast<std::size_t>(std::max(2, machine.planner_blocks))),
          second_per_byte_(10.0 / machine.baud),
          line_by_line_(machine.dialect == machine::Dialect::line_by_line) {}

    double now() const { return s_.ended; }
    /// How many moves came so far.
    std::size_t moves() const { return moves_; }
    std::size_t capacity() const { return capacity_; }
    const QueueState& state() const { return s_; }
    /// Goes on from a state it was in before, as if it were now.
    void go_on_from(const QueueState& before, double seconds, std::ptrdiff_t operations) {
        s_ = before;
        s_.shift(seconds, operations);
    }

    /// A line with a move to `to`.
    void move(geometry::Point from, geometry::Point to, double asked, bool lit, int bytes, std::size_t operation,
              std::int32_t step) {
        const double way = geometry::distance(from, to);
        if (way < 1e-9) return line(bytes);
        ++moves_;
        const geometry::Point counted = machine_.counted(to - from);
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
    static machine::MachineProfile as_counted(machine::MachineProfile machine) {
        const double per_mm = machine.counted({0, 1}).y;
        machine.max_rate_y *= per_mm;
        machine.acceleration_y *= per_mm;
        return machine;
    }

    static constexpr int feed_word = 6;  ///< bytes

    const machine::MachineProfile machine_;
    Timing& timing_;
    std::size_t capacity_, moves_ = 0;
    double second_per_byte_;
    bool line_by_line_;
    QueueState s_;
    std::map<std::int32_t, Way> ways_;
    std::int32_t accounted_ = 0;  ///< the step that pace_ and way_ are of
    StepPace* pace_ = nullptr;
    Way* way_ = nullptr;
};

}  // namespace chalkline::timing
