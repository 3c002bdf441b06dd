// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/simulator/motion.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <cmath>

using namespace chalkline::simulator;
using chalkline::geometry::Point;

namespace {

const AxisLimits quick{200, 100, 1200, 800, 0.01};

/// One step of the head as it was integrated.
struct Step {
    Point from, to;
    double power, seconds;
};

/// Runs everything that is queued to its end.
std::vector<Step> drain(Motion& motion, bool hold = false) {
    std::vector<Step> steps;
    for (int i = 0; i < 2000000 && !motion.empty(); ++i) {
        motion.run(0.001, hold, [&](Point from, Point to, double power, double seconds) {
            steps.push_back({from, to, power, seconds});
        });
        if (hold && motion.standing()) break;
    }
    return steps;
}

}  // namespace

TEST_CASE("no axis is ever asked for more than it can do") {
    rc::prop("random chains of moves", [] {
        Motion motion(quick, 16);
        std::vector<Step> steps;
        const int moves = *rc::gen::inRange(1, 40);
        for (int i = 0; i < moves; ++i) {
            while (motion.full())
                motion.run(0.001, false, [&](Point a, Point b, double p, double s) { steps.push_back({a, b, p, s}); });
            const Point to{*rc::gen::inRange(0, 4000) / 10.0, *rc::gen::inRange(0, 3000) / 10.0};
            motion.add(to, *rc::gen::inRange(10, 400), 1, BeamMode::following, *rc::gen::arbitrary<bool>(), false);
        }
        for (const Step& step : drain(motion))
            steps.push_back(step);
        // What one step of half a millisecond can be late in braking, mm/s.
        const double slack = 2 * quick.acceleration_x * Motion::step;
        for (const Step& step : steps) {
            if (step.seconds < 1e-6) continue;
            RC_ASSERT(std::abs(step.to.x - step.from.x) / step.seconds <= quick.rate_x * 1.01 + slack);
            RC_ASSERT(std::abs(step.to.y - step.from.y) / step.seconds <= quick.rate_y * 1.01 + slack);
        }
        RC_ASSERT(motion.standing());
    });
}

TEST_CASE("the head arrives just where it was sent and the way has no gaps") {
    rc::prop("random chains of moves", [] {
        Motion motion(quick, 64);
        Point to;
        double wanted = 0;
        const int moves = *rc::gen::inRange(1, 60);
        for (int i = 0; i < moves; ++i) {
            const Point next{*rc::gen::inRange(0, 400) / 10.0, *rc::gen::inRange(0, 300) / 10.0};
            if (motion.add(next, 50, 0.5, BeamMode::following, false, false)) wanted += distance(to, next);
            to = next;
        }
        const auto steps = drain(motion);
        double way = 0;
        Point at;
        for (const Step& step : steps) {
            RC_ASSERT(distance(at, step.from) < 1e-9);
            at = step.to;
            way += distance(step.from, step.to);
        }
        RC_ASSERT(distance(at, to) < 1e-9);
        RC_ASSERT(std::abs(way - wanted) < 1e-6);
    });
}

TEST_CASE("a hold stops within the braking distance and keeps what is left") {
    Motion motion(quick, 16);
    motion.add({100, 0}, 60, 1, BeamMode::following, false, false);
    for (int i = 0; i < 500; ++i)
        motion.run(0.001, false, [](Point, Point, double, double) {});
    const double before = motion.at().x;
    drain(motion, true);
    CHECK(motion.standing());
    CHECK(motion.power() == 0);
    // v² / 2a
    CHECK(motion.at().x - before <= 60.0 * 60 / 2 / 1200 + 0.05);
    drain(motion);
    CHECK(motion.at() == Point{100, 0});
}

TEST_CASE("under following power the energy of a move depends on its length alone") {
    const auto energy = [](double speed, double length) {
        Motion motion(quick, 16);
        motion.add({length, 0}, speed, 0.5, BeamMode::following, false, false);
        double sum = 0;
        for (const Step& step : drain(motion))
            sum += step.power * step.seconds;
        return sum * speed / length;
    };
    CHECK(energy(50, 40) == Approx(0.5).epsilon(0.01));
    CHECK(energy(50, 1) == Approx(0.5).epsilon(0.02));
    CHECK(energy(150, 3) == Approx(0.5).epsilon(0.02));
}

TEST_CASE("overrides slow what is already queued") {
    const auto time_of = [](double feed) {
        Motion motion(quick, 16);
        motion.add({50, 0}, 50, 1, BeamMode::off, false, false);
        motion.set_overrides(feed, 1, 1);
        double seconds = 0;
        for (const Step& step : drain(motion))
            seconds += step.seconds;
        return seconds;
    };
    CHECK(time_of(0.5) == Approx(2 * time_of(1)).epsilon(0.05));
}

TEST_CASE("a gentle bend is passed at speed, a sharp corner is not") {
    const auto slowest = [](Point bend) {
        Motion motion({200, 200, 1200, 1200, 0.01}, 16);
        motion.add({50, 0}, 50, 1, BeamMode::off, false, false);
        motion.add(bend, 50, 1, BeamMode::off, false, false);
        double least = 1e9;
        for (const Step& step : drain(motion)) {
            if (distance(step.from, {50, 0}) > 1 || step.seconds < 1e-6) continue;
            least = std::min(least, distance(step.from, step.to) / step.seconds);
        }
        return least;
    };
    CHECK(slowest({100, 1}) > 45);
    CHECK(slowest({50, 50}) < 20);
    CHECK(slowest({0, 0}) < 8);
}

TEST_CASE("a full planner says so and an empty move is none") {
    Motion motion(quick, 2);
    CHECK(motion.add({1, 0}, 10, 1, BeamMode::off, false, false));
    CHECK_FALSE(motion.add({1, 0}, 10, 1, BeamMode::off, false, false));
    CHECK_FALSE(motion.full());
    CHECK(motion.add({2, 0}, 10, 1, BeamMode::off, false, false));
    CHECK(motion.full());
    motion.clear();
    CHECK(motion.empty());
    CHECK(motion.standing());
}
