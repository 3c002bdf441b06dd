// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>

#include <cstdint>
#include <deque>
#include <functional>

namespace chalkline::simulator {

/// How the beam behaves.
enum class BeamMode { off, constant, following };

/// What limits the axes; mm, seconds.
struct AxisLimits {
    double rate_x = 200, rate_y = 200;  ///< mm/s
    double acceleration_x = 1200, acceleration_y = 1200;
    double junction_deviation = 0.01;
};

/// One straight move as it waits in the planner.
struct Block {
    geometry::Point to;
    geometry::Point unit;
    double length = 0;        ///< mm, what is left of it once it runs
    double programmed = 0;    ///< mm/s asked for
    double nominal = 0;       ///< mm/s after axis limits and overrides
    double limit = 0;         ///< mm/s the axes allow along this direction
    double acceleration = 0;  ///< mm/s²
    double entry_limit = 0;   ///< mm/s the corner before it allows
    double entry = 0;         ///< mm/s planned
    double power = 0;         ///< share of full power, before overrides
    BeamMode beam = BeamMode::off;
    bool rapid = false;
    bool jog = false;
};

/// Queue of blocks with look-ahead and the integration of the head's way in small fixed time steps. Knows no G-code.
/// Corner speeds by junction deviation, block speeds by a backward and a forward pass over the queue.
class Motion {
 public:
    /// A stretch the head went in one step: from, to, share of full power, seconds.
    using Trail = std::function<void(geometry::Point, geometry::Point, double, double)>;

    Motion(AxisLimits limits, std::size_t blocks) : limits_(limits), capacity_(blocks) {}

    void set_limits(const AxisLimits& limits) { limits_ = limits; }
    bool full() const { return blocks_.size() >= capacity_; }
    bool empty() const { return blocks_.empty(); }
    std::size_t queued() const { return blocks_.size(); }
    /// Where the last queued block ends.
    geometry::Point end() const { return blocks_.empty() ? at_ : blocks_.back().to; }
    geometry::Point at() const { return at_; }
    void set_at(geometry::Point place) { at_ = place; }
    double speed() const { return speed_; }  ///< mm/s
    /// Power the beam has right now, share of full power.
    double power() const { return power_; }
    const Block* running() const { return blocks_.empty() ? nullptr : &blocks_.front(); }

    /// Queues a move. Returns false for one of no length. REQUIRES: !full().
    bool add(geometry::Point to, double programmed, double power, BeamMode beam, bool rapid, bool jog);
    /// Shares of the programmed speeds and of the power, 1 = 100 %.
    void set_overrides(double feed, double rapid, double power);

    /// Runs for `seconds`; `hold` brakes to a stop and stays. Returns seconds during which the queue was empty.
    double run(double seconds, bool hold, const Trail& trail);
    bool standing() const { return speed_ == 0; }
    /// Drops everything at once, as a reset does.
    void clear();

    static constexpr double step = 0.0005;  ///< s

 private:
    void plan();
    double nominal_of(const Block& block) const;
    double power_at(const Block& block, double speed) const;

    AxisLimits limits_;
    std::size_t capacity_;
    std::deque<Block> blocks_;
    geometry::Point at_;
    double speed_ = 0, power_ = 0;
    geometry::Point last_unit_;
    double last_nominal_ = 0;
    double feed_override_ = 1, rapid_override_ = 1, power_override_ = 1;
};

}  // namespace chalkline::simulator
