// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/simulator/motion.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::simulator {
namespace {

using geometry::Point;

/// The least of what each axis allows, seen along the direction.
double along(Point unit, double x, double y) {
    double limit = 1e12;
    if (std::abs(unit.x) > 1e-9) limit = std::min(limit, x / std::abs(unit.x));
    if (std::abs(unit.y) > 1e-9) limit = std::min(limit, y / std::abs(unit.y));
    return limit;
}

}  // namespace

double Motion::nominal_of(const Block& block) const {
    const double share = block.rapid ? rapid_override_ : block.jog ? 1 : feed_override_;
    return std::min(block.programmed * share, block.limit);
}

bool Motion::add(Point to, double programmed, double power, BeamMode beam, bool rapid, bool jog) {
    const Point from = end();
    const double length = geometry::distance(from, to);
    if (length < 1e-9) return false;
    Block block;
    block.to = to;
    block.unit = (to - from) * (1 / length);
    block.length = length;
    block.limit = along(block.unit, limits_.rate_x, limits_.rate_y);
    block.acceleration = along(block.unit, limits_.acceleration_x, limits_.acceleration_y);
    block.programmed = rapid ? block.limit : programmed;
    block.power = power;
    block.beam = beam;
    block.rapid = rapid;
    block.jog = jog;
    block.nominal = nominal_of(block);
    if (!blocks_.empty()) {
        const double cosine = -geometry::dot(last_unit_, block.unit);
        double corner = 0;
        if (cosine <= 0.999999) {
            corner = std::min(block.nominal, last_nominal_);
            if (cosine > -0.999999) {
                // The acceleration the axes allow along the bisector of the corner.
                const Point turn = block.unit - last_unit_;
                const double bend =
                    along(turn * (1 / geometry::norm(turn)), limits_.acceleration_x, limits_.acceleration_y);
                const double half = std::sqrt(0.5 * (1 - cosine));
                corner = std::min(corner, std::sqrt(bend * limits_.junction_deviation * half / (1 - half)));
            }
        }
        block.entry_limit = corner;
    }
    last_unit_ = block.unit;
    last_nominal_ = block.nominal;
    blocks_.push_back(block);
    plan();
    return true;
}

void Motion::set_overrides(double feed, double rapid, double power) {
    feed_override_ = feed;
    rapid_override_ = rapid;
    power_override_ = power;
    for (Block& block : blocks_)
        block.nominal = nominal_of(block);
    plan();
}

void Motion::plan() {
    double next = 0;
    for (std::size_t i = blocks_.size(); i-- > 1;) {
        Block& b = blocks_[i];
        const double cap = std::min({b.entry_limit, b.nominal, blocks_[i - 1].nominal});
        b.entry = std::min(cap, std::sqrt(next * next + 2 * b.acceleration * b.length));
        next = b.entry;
    }
    double entry = speed_;
    for (std::size_t i = 0; i + 1 < blocks_.size(); ++i) {
        const Block& b = blocks_[i];
        const double reach = std::sqrt(entry * entry + 2 * b.acceleration * b.length);
        entry = blocks_[i + 1].entry = std::min(blocks_[i + 1].entry, reach);
    }
}

double Motion::power_at(const Block& block, double speed) const {
    if (block.rapid || block.jog || block.beam == BeamMode::off) return 0;
    const double power = std::min(1.0, block.power * power_override_);
    return block.beam == BeamMode::constant ? power : power * std::min(1.0, speed / block.programmed);
}

double Motion::run(double seconds, bool hold, const Trail& trail) {
    double idle = 0;
    while (seconds > 1e-12) {
        if (blocks_.empty()) {
            speed_ = power_ = 0;
            return idle + seconds;
        }
        if (hold && speed_ == 0) {
            power_ = 0;
            return idle;
        }
        Block& block = blocks_.front();
        const double dt = std::min(seconds, step);
        const double a = block.acceleration;
        double wanted = 0;
        if (!hold) {
            const double exit = blocks_.size() > 1 ? blocks_[1].entry : 0;
            // The fastest speed after this step from which the way left is just enough to brake to the exit speed.
            const double half = a * dt / 2;
            const double room = std::max(0.0, exit * exit + 2 * a * (block.length - speed_ * dt / 2) + half * half);
            wanted = std::min(block.nominal, std::sqrt(room) - half);
        }
        // A tiny least speed lets the last micrometre of a block end.
        double next = std::clamp(wanted, speed_ - a * dt, speed_ + a * dt);
        if (!hold) next = std::max(next, a * dt / 2);
        next = std::max(next, 0.0);
        const double mean = (speed_ + next) / 2;
        double way = mean * dt, took = dt;
        const bool ends = way >= block.length;
        if (ends) {
            way = block.length;
            took = std::min(dt, way / mean);
        }
        const Point from = at_;
        at_ = ends ? block.to : from + block.unit * way;
        power_ = power_at(block, mean);
        trail(from, at_, power_, took);
        speed_ = next;
        if (hold && next == 0) power_ = 0;
        seconds -= took;
        block.length -= way;
        if (ends) {
            blocks_.pop_front();
            if (blocks_.empty()) speed_ = power_ = 0;
        }
    }
    return idle;
}

void Motion::clear() {
    blocks_.clear();
    speed_ = power_ = 0;
}

}  // namespace chalkline::simulator
