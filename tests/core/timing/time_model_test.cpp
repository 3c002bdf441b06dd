// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/characters.hpp"
#include "support/let_through.hpp"
#include "support/line_machine.hpp"
#include "support/virtual_machine.hpp"

#include <chalkline/encoding/encoder.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/timing/time_model.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <cmath>

using namespace chalkline;
using namespace chalkline::planning;
using namespace chalkline::timing;
using chalkline::test::homeless;
using geometry::Point;

namespace {

/// A chain through points, burned at a speed.
machine::Program chain(const std::vector<Point>& points, double speed) {
    machine::Program program;
    program.points = points;
    program.operations = {
        {machine::Travel{{0, 0}, true}, Speed::mm_per_min(speed), {}},
        {machine::Trace{0, static_cast<std::uint32_t>(points.size()), 0}, Speed::mm_per_min(speed), {}}};
    return program;
}

/// Seconds the simulated machine takes for it.
double measured(const machine::Program& program) {
    test::VirtualMachine vm(homeless());
    vm.make_ready();
    REQUIRE(vm.session.frame(
        test::let_through(std::make_unique<machine::Encoder>(program, vm.session.profile()), vm.session.profile())));
    // What is asked before the first line is no part of it.
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().begun.operation >= 0; }));
    const double before = vm.controller.now();
    vm.run(0.05);
    while (!vm.controller.at_rest())
        vm.run(test::VirtualMachine::step);
    return vm.controller.now() - before;
}

}  // namespace

TEST_CASE("a straight move is a trapezoid or a triangle") {
    CHECK(straight_time(100, 6000, 1000) == Approx(100.0 / 100 + 100.0 / 1000));
    CHECK(straight_time(1, 6000, 1000) == Approx(2 * std::sqrt(1.0 / 1000)));
    CHECK(straight_time(0, 6000, 1000) == 0);
    CHECK(run_up_length(6000, 1000) == Approx(5));
}

TEST_CASE("longer takes longer, faster never takes longer") {
    rc::prop("monotone", [] {
        const double length = *rc::gen::inRange(1, 100000) / 100.0, speed = *rc::gen::inRange(60, 12000);
        RC_ASSERT(straight_time(length * 1.01, speed, 1200) > straight_time(length, speed, 1200));
        RC_ASSERT(straight_time(length, speed * 1.01, 1200) <= straight_time(length, speed, 1200) + 1e-12);
        RC_ASSERT(straight_time(length, speed, 1200) >= length / (speed / 60));
    });
}

TEST_CASE("corners cost time, a straight line cut in pieces does not") {
    std::vector<Point> pieces;
    for (int i = 1; i <= 100; ++i)
        pieces.push_back({static_cast<double>(i), 0});
    const machine::MachineProfile machine = homeless();
    const double whole = time_of(chain({{100, 0}}, 3000), machine).finished_at.back();
    CHECK(time_of(chain(pieces, 3000), machine).finished_at.back() == Approx(whole).epsilon(1e-3));
    std::vector<Point> zigzag;
    for (int i = 1; i <= 100; ++i)
        zigzag.push_back({static_cast<double>(i), i % 2 != 0 ? 1.0 : 0.0});
    CHECK(time_of(chain(zigzag, 3000), machine).finished_at.back() > 2 * whole);
}

TEST_CASE("each axis keeps to its own limits") {
    machine::MachineProfile machine = homeless();
    machine.max_rate_y = 600;
    CHECK(time_of(chain({{0, 100}}, 6000), machine).finished_at.back() > 10);
    CHECK(time_of(chain({{100, 0}}, 6000), machine).finished_at.back() < 2);
}

TEST_CASE("chains of all kinds take on the simulated machine what the model says") {
    std::vector<Point> circle, zigzag, square, tiny;
    for (int i = 1; i <= 120; ++i)
        circle.push_back({20 + 20 * -std::cos(i * M_PI / 60), 20 * std::sin(i * M_PI / 60) + 20});
    for (int i = 1; i <= 40; ++i)
        zigzag.push_back({i * 2.0, i % 2 != 0 ? 5.0 : 0.0});
    for (int i = 0; i < 10; ++i) {
        for (const Point p : {Point{30, 0}, Point{30, 30}, Point{0, 30}, Point{0, 0}})
            square.push_back(p);
    }
    for (int i = 1; i <= 300; ++i)
        tiny.push_back({i * 0.1, std::sin(i * 0.1) + 1});
    for (const auto& points : {circle, zigzag, square, tiny}) {
        const auto program = chain(points, 3000);
        const double model = time_of(program, homeless()).finished_at.back();
        CAPTURE(points.size());
        CHECK(model == Approx(measured(program)).epsilon(0.02).margin(0.02));
    }
}

TEST_CASE("dwells, dark moves and the way from where the head waits count") {
    machine::Program program;
    program.operations = {{machine::Travel{{300, 200}, true}, {}, {}},
                          {machine::Dwell{Duration::seconds(2)}, {}, {}},
                          {machine::Travel{{200, 200}, true}, {}, {}},
                          {machine::Travel{{190, 200}, false}, Speed::mm_per_min(600), {}}};
    const auto ends = time_of(program, homeless()).finished_at;
    // Each axis has its own rate, so that a way across the bed is faster than either.
    CHECK(ends[0] == Approx(straight_time(std::hypot(300, 200), 12000 * std::hypot(300, 200) / 300,
                                          1200 * std::hypot(300, 200) / 300))
                         .epsilon(0.02));
    CHECK(ends[1] - ends[0] == Approx(2).margin(0.005));
    CHECK(ends[2] - ends[1] == Approx(straight_time(100, 12000, 1200)).epsilon(0.02));
    CHECK(ends[3] - ends[2] == Approx(1).epsilon(0.02));
}

TEST_CASE("one line after the other: each waits for the answer to the one before") {
    std::vector<Point> fine, coarse;
    for (int i = 1; i <= 600; ++i)
        fine.push_back({10 + i * 0.05, 10 + std::sin(i * 0.05)});
    for (int i = 1; i <= 30; ++i)
        coarse.push_back({10 + i * 5.0, i % 2 != 0 ? 20.0 : 10.0});
    for (const auto& points : {fine, coarse}) {
        machine::MachineProfile profile = test::profile_of_board();
        const auto program = chain(points, 4000);
        test::LineMachine board(profile);
        board.make_ready();
        board.step = 0.00001;
        REQUIRE(board.session->burn(
            test::let_through(std::make_unique<machine::Encoder>(program, profile), board.session->profile())));
        REQUIRE(board.run_until([&] { return board.session->snapshot().begun.operation >= 0; }));
        const double before = board.now;
        REQUIRE(board.run_until([&] { return board.session->snapshot().begun.operation == 1; }));
        REQUIRE(board.run_until([&] { return board.free(); }));
        CAPTURE(points.size());
        CHECK(time_of(program, profile).finished_at.back() == Approx(board.now - before).epsilon(0.02));
        // A controller that takes lines ahead is faster where there are many.
        machine::MachineProfile ahead = profile;
        ahead.dialect = machine::Dialect::realtime;
        CHECK(time_of(program, ahead).finished_at.back() <= time_of(program, profile).finished_at.back());
    }
}

TEST_CASE("finding home takes on the simulated machine what was said") {
    for (const auto corner : {machine::HomeCorner::near_left, machine::HomeCorner::far_right}) {
        machine::MachineProfile profile;
        profile.home = corner;
        test::VirtualMachine vm(profile);
        vm.make_ready();
        REQUIRE(vm.session.go_to({120, 250}, Speed::mm_per_min(6000)));
        REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == machine::Activity::none; }));
        const double said = homing_time(profile, Point{120, 250}).seconds();
        const double before = vm.now;
        REQUIRE(vm.session.home());
        REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == machine::Activity::none; }));
        CHECK(said == Approx(vm.now - before).epsilon(0.02).margin(0.1));
        CHECK(homing_time(profile, {}) > homing_time(profile, Point{120, 250}));
    }
    CHECK(homing_time(homeless(), Point{100, 100}) == Duration());
}

TEST_CASE("the sample plate and thousands of tiny pieces take what was said on every kind of machine") {
    const job::Job plate = job::load(CHALKLINE_SAMPLES "/plot-27.chalk").value().job;
    std::vector<Point> tiny;
    for (int i = 1; i <= 4000; ++i)
        tiny.push_back({20 + 10 * std::cos(i * 0.03) + i * 0.02, 40 + 10 * std::sin(i * 0.03)});
    for (const auto& [name, profile] : test::characters()) {
        CAPTURE(name);
        const auto plan = planning::plan(plate, profile);
        REQUIRE(plan);
        CHECK(plan->total.seconds() == Approx(test::seconds_on(plan->program, profile)).epsilon(0.02));
        machine::Program program = chain(tiny, 4000);
        program.operations.insert(program.operations.begin(),
                                  {machine::Beam{machine::BeamMode::following}, Speed::mm_per_min(4000), {}});
        CHECK(time_of(program, profile).finished_at.back() == Approx(test::seconds_on(program, profile)).epsilon(0.02));
    }
}

TEST_CASE("rows of tiny dots take what was said on a board that looks ahead 15 moves") {
    std::uint32_t noise = 1;
    const auto random = [&noise] { return noise = noise * 1664525 + 1013904223, noise >> 16; };
    for (const bool alternate : {true, false})
        for (const double acceleration : {500.0, 1500.0, 3000.0})
            for (const double speed : {3000.0, 6000.0}) {
                CAPTURE(alternate, acceleration, speed);
                machine::MachineProfile profile = homeless();
                profile.planner_blocks = 15;
                profile.acceleration_x = profile.acceleration_y = acceleration;
                machine::Program program;
                program.operations.push_back({machine::Beam{machine::BeamMode::following}, {}, {}});
                for (int row = 0; row < 6; ++row) {
                    const auto first = static_cast<std::uint32_t>(program.runs.size());
                    double width = 0;
                    // Dots of a tenth of a millimetre: every second one, or as noise falls.
                    for (std::uint32_t lit = 1; width < 60; lit = 1 - lit) {
                        const std::uint32_t length = alternate ? 100 : 100 * (1 + random() % 3);
                        program.runs.push_back({length, static_cast<machine::PowerValue>(lit != 0 ? 3000 : 0)});
                        width += length / 1000.0;
                    }
                    const double y = 20 + row * 0.1, left = 20, right = 20 + width;
                    const bool back = row % 2 == 1;
                    const auto count = static_cast<std::uint32_t>(program.runs.size()) - first;
                    program.operations.push_back({machine::Travel{{back ? right : left, y}}, {}, {1, 1, 0}});
                    program.operations.push_back(
                        {machine::Sweep{{back ? left : right, y}, first, count}, Speed::mm_per_min(speed), {1, 1, 0}});
                }
                CHECK(time_of(program, profile).finished_at.back() ==
                      Approx(test::seconds_on(program, profile)).epsilon(0.02));
            }
}
