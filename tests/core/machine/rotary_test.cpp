// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/let_through.hpp"
#include "support/line_machine.hpp"
#include "support/virtual_machine.hpp"

#include <chalkline/machine/rotary.hpp>

#include <catch2/catch.hpp>

#include <numbers>

using namespace chalkline;
using namespace chalkline::machine;
using std::numbers::pi;

namespace {

constexpr RoundWall cup{100, 80 * pi, 80 * pi};

MachineProfile with(const Rotary& rotary) {
    MachineProfile profile;
    profile.rotary = rotary;
    return profile;
}

std::vector<std::string> lines_of(const Program& program, const MachineProfile& profile) {
    Encoder encoder(program, profile);
    std::vector<std::string> lines;
    for (ProgramLine line; encoder.next(line);)
        lines.push_back(line.text);
    return lines;
}

Program chain(const std::vector<geometry::Point>& points) {
    Program program;
    program.points = points;
    program.operations = {{Beam{BeamMode::following}, Speed::mm_per_min(1000), {}},
                          {Travel{{10, 0}, true}, Speed::mm_per_min(1000), {}},
                          {Trace{0, static_cast<std::uint32_t>(points.size()), 5000}, Speed::mm_per_min(1000), {}}};
    return program;
}

}  // namespace

TEST_CASE("a chuck counts turns of the piece, rollers turns of their own") {
    const Rotary chuck{RotaryAxis::fourth, RotaryDrive::chuck, 360};
    CHECK(counted_per_mm(chuck, cup) * cup.turn == Approx(360));
    const Rotary rollers{RotaryAxis::instead_of_y, RotaryDrive::rollers, 40, 20};
    CHECK(counted_per_mm(rollers, cup) == Approx(40 / (20 * pi)));
    // A tapered piece is carried where it is 88 mm and drawn on where it is 80 mm.
    CHECK(counted_per_mm(rollers, {100, 80 * pi, 88 * pi}) == Approx(40 / (20 * pi) * 88 / 80));
}

TEST_CASE("the bed is the wall while a piece turns, and rates are those of its surface") {
    MachineProfile profile = with({RotaryAxis::instead_of_y, RotaryDrive::chuck, 125.664});
    profile.rest = geometry::Point{5, 5};
    profile.own_lines.at_end = {"G0 Y0"};
    const MachineProfile turning = on_wall(profile, cup);
    REQUIRE(turning.turning);
    const double per_mm = 125.664 / (80 * pi);
    CHECK(turning.turning->per_mm == Approx(per_mm));
    CHECK(turning.width == 100);
    CHECK(turning.depth == Approx(80 * pi));
    CHECK(turning.max_rate_y == Approx(profile.max_rate_y / per_mm));
    CHECK(turning.max_rate_x == profile.max_rate_x);
    CHECK_FALSE(turning.rest);
    CHECK(turning.own_lines.at_end.empty());
    CHECK(to_json(turning).find("turning") == std::string::npos);
}

TEST_CASE("the program's millimetres become what the axis counts, and feeds what the surface needs") {
    const MachineProfile profile = on_wall(with({RotaryAxis::fourth, RotaryDrive::chuck, 80 * pi * 1.5}), cup);
    const auto lines = lines_of(chain({{10, 20}, {40, 20}, {43, 24}}), profile);
    const auto has = [&](const std::string& line) {
        return std::find(lines.begin(), lines.end(), line) != lines.end();
    };
    CHECK(has("G0X10A0"));
    CHECK(has("G1A30S500F1500"));  // round: one and a half counted a millimetre
    CHECK(has("X40F1000"));        // along: as asked
    CHECK(has("X43A36F1342"));     // 3 along and 4 round: √(9 + 36) counted for 5 mm
    for (const std::string& line : lines)
        CHECK(line.find('Y') == std::string::npos);
}

TEST_CASE("scan lines round the piece are counted too") {
    const MachineProfile profile = on_wall(with({RotaryAxis::instead_of_y, RotaryDrive::chuck, 40 * pi}), cup);
    Program program;
    program.runs = {{2000, 5000}, {3000, 0}, {5000, 2500}};
    program.operations = {{Beam{BeamMode::following}, Speed::mm_per_min(1000), {}},
                          {Travel{{10, 10}, true}, Speed::mm_per_min(1000), {}},
                          {Sweep{{10, 20}, 0, 3}, Speed::mm_per_min(1000), {}}};
    Encoder encoder(program, profile);
    double y = 0;
    std::vector<double> stops;
    for (ProgramLine line; encoder.next(line);) {
        const auto at = line.text.find('Y');
        if (at == std::string::npos) continue;
        const double value = std::stod(line.text.substr(at + 1));
        const bool relative = line.text.find("G91") != std::string::npos || (!stops.empty() && value < 3);
        y = relative ? y + value : value;
        stops.push_back(y);
    }
    REQUIRE(stops.size() >= 4);
    CHECK(stops[0] == Approx(5));
    CHECK(stops[1] == Approx(6));
    CHECK(stops[2] == Approx(7.5));
    CHECK(stops[3] == Approx(10));
}

TEST_CASE("home is never looked for with a piece where Y was") {
    const MachineProfile profile = on_wall(with({RotaryAxis::instead_of_y, RotaryDrive::rollers, 40, 20}), cup);
    test::VirtualMachine vm(profile);
    vm.run_until([&] { return vm.last<event::Ready>() != nullptr; }, 10);
    CHECK(vm.session.home().error().code == machine::error::home_would_turn);
    for (const auto& happened : vm.events)
        if (const auto* wire = std::get_if<event::Wire>(&happened)) CHECK(wire->text != "$H");
}

TEST_CASE("a controller with limits of its own is not begun with where they end within the turn") {
    const MachineProfile flat = with({RotaryAxis::instead_of_y, RotaryDrive::chuck, 200});
    test::VirtualMachine vm(flat);
    vm.make_ready();
    vm.controller.set_round_piece(cup);
    REQUIRE(vm.session.go_to({150, 150}, Speed::mm_per_min(6000)));
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == Activity::none; }, 60));
    REQUIRE(vm.session.set_profile(on_wall(flat, cup)));
    vm.run(0.5);
    // Y stands at −150 of −300 to 0, and a turn counts 200.
    const auto refused = vm.session.stands_at({0, 0});
    REQUIRE_FALSE(refused);
    CHECK(refused.error().code == machine::error::wall_beyond_limits);
    CHECK(refused.error().parameters[1] == std::pair<std::string, std::string>("by", "50.0"));
    // 400 in one turn are more than the 300 of the axis, wherever it stands.
    MachineProfile geared = flat;
    geared.rotary.per_turn = 400;
    REQUIRE(vm.session.set_profile(on_wall(geared, cup)));
    CHECK(vm.session.stands_at({0, 0}).error().code == machine::error::wall_longer_than_travel);
    REQUIRE(vm.session.set_profile(on_wall(flat, cup)));
    REQUIRE(vm.session.jog({0, -55 * cup.turn / 200}, Speed::mm_per_min(3000)));
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == Activity::none; }, 60));
    CHECK(vm.session.stands_at({0, 0}));
    CHECK(vm.session.frame(test::let_through(
        std::make_unique<test::GivenLines>(std::vector<std::string>{"G21G90G17G94G54", "M5S0", "G0X10Y0", "G0X10Y200"}),
        vm.session.profile())));
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == Activity::none; }, 60));
    CHECK(vm.controller.report().violations.empty());
}

TEST_CASE("where the piece begins is what the maker says, and corrections of its diameter leave the seam there") {
    const Rotary rotary{RotaryAxis::fourth, RotaryDrive::chuck, 360, 20, 7200, 600};
    const MachineProfile flat = with(rotary), profile = on_wall(flat, cup);
    test::VirtualMachine vm(flat);
    vm.make_ready();
    vm.controller.set_round_piece(cup);
    REQUIRE(vm.session.set_profile(profile));
    vm.run(0.5);
    CHECK_FALSE(vm.session.snapshot().position_sure);
    CHECK(vm.session.go_to({10, 10}, Speed::mm_per_min(1000)).error().code == machine::error::beginning_unknown);
    REQUIRE(vm.session.stands_at({0, 0}));
    REQUIRE(vm.session.go_to({20, 60 * pi}, Speed::mm_per_min(3000)));
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == Activity::none; }, 60));
    REQUIRE(vm.session.snapshot().position);
    CHECK(vm.session.snapshot().position->x == Approx(20).margin(0.002));
    CHECK(vm.session.snapshot().position->y == Approx(60 * pi).margin(0.002));

    // 84 instead of 80 mm: the same angle is more of the surface, and 0 stays at the seam.
    // That holds at once: who goes on before the next report goes to the right place.
    REQUIRE(vm.session.set_profile(on_wall(flat, {100, 84 * pi, 84 * pi})));
    CHECK(vm.session.snapshot().position_sure);
    CHECK(vm.session.snapshot().position->y == Approx(63 * pi).margin(0.002));
    REQUIRE(vm.session.go_to({20, 21 * pi}, Speed::mm_per_min(3000)));
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == Activity::none; }, 60));
    vm.run(0.5);
    CHECK(vm.session.snapshot().position->y == Approx(21 * pi).margin(0.002));

    // Out of the rotary: nobody knows any more where the head is on the flat bed.
    vm.controller.set_round_piece({});
    REQUIRE(vm.session.set_profile(flat));
    vm.run(0.5);
    CHECK_FALSE(vm.session.snapshot().position_sure);
}

TEST_CASE("line by line: a corrected diameter holds at once, too") {
    MachineProfile flat = with({RotaryAxis::fourth, RotaryDrive::chuck, 360, 20, 7200, 600});
    flat.dialect = machine::Dialect::line_by_line;
    test::LineMachine board(flat);
    REQUIRE(board.run_until([&] { return board.last<machine::event::Ready>() != nullptr; }, 10));
    board.controller.set_round_piece(cup);
    REQUIRE(board.session->set_profile(on_wall(flat, cup)));
    REQUIRE(board.session->stands_at({0, 0}));
    REQUIRE(board.run_until([&] { return board.free(); }, 10));
    REQUIRE(board.session->go_to({20, 60 * pi}, Speed::mm_per_min(3000)));
    REQUIRE(board.run_until([&] { return board.free(); }, 60));
    REQUIRE(board.session->set_profile(on_wall(flat, {100, 84 * pi, 84 * pi})));
    CHECK(board.session->snapshot().position->y == Approx(63 * pi).margin(0.01));
}
