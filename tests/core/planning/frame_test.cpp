// SPDX-License-Identifier: GPL-3.0-or-later
// The ride that shows where a job will lie.
#include "support/drawn_job.hpp"
#include "support/interpreter.hpp"

#include <chalkline/encoding/encoder.hpp>
#include <chalkline/planning/frame.hpp>
#include <chalkline/safety/program_checker.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck.h>

#include <cmath>

using namespace chalkline;
using namespace chalkline::planning;
using namespace chalkline::safety;
using geometry::Point;

namespace {

bool accepted(const machine::Program& program, const machine::MachineProfile& machine) {
    machine::Encoder lines(program, machine);
    return check_program(lines, {machine, {}, {}}).empty();
}

}  // namespace

TEST_CASE("a frame rides round in the dark and comes back") {
    const machine::MachineProfile profile;
    const auto program = frame_program(geometry::outline({10, 20, 110, 90}), {}, profile).value();
    CHECK(accepted(program, profile));
    const auto text = machine::encode_all(program, profile);
    CHECK(text.find('S') == text.find("S0"));
    CHECK(text.find("M4") == std::string::npos);
    CHECK(frame_program({}, {}, profile).error().code == planning::error::nothing_to_burn);
    const auto off = frame_program(geometry::outline({-1.2, 0, 5, 5}), {}, profile);
    CHECK(off.error().code == planning::error::frame_off_bed);
    CHECK(off.error().parameters.front().second == "1.2");
}

TEST_CASE("the faint dot is capped in milliwatts, dark at rest and refused where nobody can see it") {
    machine::MachineProfile profile;
    profile.beam.watts = 10;
    CHECK(faint_power(profile).percent() == Approx(0.05));
    const auto line = geometry::outline({10, 20, 110, 90});
    const auto program = frame_program(line, {.dot = Power::percent(50)}, profile).value();
    CHECK(accepted(program, profile));
    double lit = 0;
    for (const auto& moved : test::interpret(program)) {
        lit += moved.lit() ? geometry::distance(moved.from, moved.to) : 0;
        CHECK(moved.power <= 0.0011);
    }
    CHECK(lit == Approx(340));
    CHECK(machine::encode_all(program, profile).find("M4") != std::string::npos);
    CHECK(machine::encode_all(program, profile).find("M3") == std::string::npos);
    profile.dot_milliwatts = 5000;
    CHECK(faint_power(profile).percent() == Approx(0.5));
    profile.beam.kind = steps::BeamKind::co2;
    CHECK(faint_power(profile) == Power());
}

TEST_CASE("one side after the other is ridden, and the pointer rides where the beam would") {
    machine::MachineProfile profile;
    const auto line = geometry::outline({10, 20, 110, 90});
    std::vector<std::pair<Point, Point>> sides;
    for (std::size_t side = 0; side < 5; ++side) {
        const auto program = frame_program(line, {.side = side}, profile).value();
        const auto& ops = program.operations;
        REQUIRE(ops.size() == 2);
        sides.push_back({std::get<machine::Travel>(ops[0].act).to, std::get<machine::Travel>(ops[1].act).to});
    }
    for (std::size_t i = 0; i < 4; ++i)
        CHECK(sides[i].second == sides[i + 1].first);
    CHECK(sides[0] == sides[4]);
    profile.pointer = {5, -3};
    const auto shifted = frame_program(line, {.with_pointer = true}, profile).value();
    const Point first = std::get<machine::Travel>(shifted.operations[0].act).to;
    CHECK(geometry::distance(first + profile.pointer, line.points[0]) < 1e-9);
    // Near the edge the head itself would leave the bed.
    profile.pointer = {30, 0};
    CHECK(frame_program(line, {.with_pointer = true}, profile).error().code == planning::error::frame_off_bed);
}

TEST_CASE("box, string and circle hold everything that burns, and the circle is the smallest") {
    rc::check([] {
        const int count = *rc::gen::inRange(1, 12);
        std::string path;
        std::vector<Point> points;
        for (int i = 0; i < count + 1; ++i) {
            points.push_back({50.0 + *rc::gen::inRange(0, 200), 50.0 + *rc::gen::inRange(0, 150)});
            path += (i == 0 ? "M" : "L") + std::to_string(points[i].x) + " " + std::to_string(300 - points[i].y) + " ";
        }
        const job::Job job = test::drawn_job("<path d='" + path + "' fill='none' stroke='#123456'/>");
        RC_PRE(!job::bounds(job).empty());
        const auto plan = planning::plan(job, {});
        if (!plan) return;  // every point the same: nothing burns
        const geometry::Box box = plan->burn_box;
        const auto hull = lit_hull(plan->program);
        const auto circle = frame_line(hull, FrameWay::round);
        if (!circle) return;  // every point the same: nothing burns
        Point middle;
        for (const Point p : circle->points)
            middle = middle + p * (1.0 / static_cast<double>(circle->points.size()));
        const double radius = geometry::distance(middle, circle->points[0]);
        RC_ASSERT(radius <= std::hypot(box.width(), box.height()) / 2 + 1e-6);
        RC_ASSERT(radius >= std::max(box.width(), box.height()) / 2 - 1e-6);
        const auto boxed = frame_line(hull, FrameWay::box).value();
        RC_ASSERT(geometry::bounds(std::vector<geometry::Polyline>{boxed}).contains(box, 1e-6));
        RC_ASSERT(box.contains(geometry::bounds(std::vector<geometry::Polyline>{boxed}), 1e-6));
        const auto string = frame_line(hull, FrameWay::hull).value();
        RC_ASSERT(geometry::length(string) <= geometry::length(boxed) + 1e-6);
    });
}
