// SPDX-License-Identifier: GPL-3.0-or-later
// Moving the head by hand, and what else is asked of a machine that waits.
#include "support/let_through.hpp"
#include "support/virtual_machine.hpp"

#include <catch2/catch.hpp>
#include <rapidcheck.h>

#include <cmath>

using namespace chalkline;
using namespace chalkline::machine;
using chalkline::test::VirtualMachine;
using geometry::Point;

namespace {

const Speed fast = Speed::mm_per_min(6000);

void settle(VirtualMachine& vm) {
    REQUIRE(vm.run_until(
        [&] {
            const Snapshot& now = vm.session.snapshot();
            return now.activity == Activity::none && now.state == ControllerState::idle && vm.controller.at_rest();
        },
        120));
    vm.run(0.4);
}

}  // namespace

TEST_CASE("the head goes to a place of the bed, and not beyond it") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.go_to({120, 80}, fast));
    CHECK(vm.session.snapshot().activity == Activity::jogging);
    settle(vm);
    CHECK(geometry::distance(vm.controller.head(), {120, 80}) < 0.005);
    CHECK(vm.session.go_to({401, 80}, fast).error().code == machine::error::beyond_limits);
    CHECK(vm.session.go_to({120, 80}, fast));  // it is there: nothing is sent
    CHECK(vm.session.snapshot().activity == Activity::none);
    CHECK(vm.controller.report().errors.empty());
    CHECK(vm.controller.report().beam_on_mm == 0);
}

TEST_CASE("a held key moves on to the edge of the bed at most") {
    VirtualMachine vm;
    vm.make_ready();
    for (const Point way : {Point{1, 0}, Point{0, 1}, Point{-1, 0}, Point{0, -1}, Point{3, 2}}) {
        REQUIRE(vm.session.jog_on(way, fast));
        settle(vm);
    }
    // From the near left corner along 3 : 2 the far edge is met first.
    CHECK(vm.controller.head().y == Approx(vm.controller.head().x * 2 / 3).margin(0.01));
    CHECK(std::max(vm.controller.head().x / 400, vm.controller.head().y / 300) == Approx(1).margin(0.001));
    REQUIRE(vm.session.go_to({400, 300}, fast));
    settle(vm);
    REQUIRE(vm.session.jog_on({1, 0}, fast));  // there is no room: nothing is sent
    CHECK(vm.session.snapshot().activity == Activity::none);
    CHECK(vm.controller.report().alarms.empty());
    CHECK(vm.controller.report().errors.empty());
}

TEST_CASE("a released key brings the head to rest at once, however early it comes") {
    // From before the line left to when the head is under way.
    for (const double held : {0.0, 0.002, 0.01, 0.05, 0.5}) {
        VirtualMachine vm;
        vm.make_ready();
        const Point before = vm.controller.head();
        REQUIRE(vm.session.jog_on({1, 0}, Speed::mm_per_min(3000)));
        if (held > 0) vm.run(held);
        vm.session.cancel_jog();
        settle(vm);
        INFO(held);
        // 50 mm/s for as long as it was held, the way over the link, and coming to rest.
        CHECK(vm.controller.head().x - before.x < 50 * (held + 0.1) + 2);
        CHECK(vm.session.snapshot().position_sure);
        // The next move starts afresh.
        REQUIRE(vm.session.jog({0, 5}, fast));
        settle(vm);
        CHECK(vm.controller.head().y == Approx(before.y + 5).margin(0.01));
    }
}

TEST_CASE("where the head's place is not known no limit is promised, and no place can be gone to") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.go_to({200, 150}, fast));
    settle(vm);
    REQUIRE(vm.session.release_motors());
    CHECK_FALSE(vm.session.snapshot().position_sure);
    vm.run(0.5);
    CHECK(vm.session.snapshot().state == ControllerState::sleep);
    CHECK(vm.session.go_to({10, 10}, fast).error().code == machine::error::busy);
    vm.session.wake();
    vm.run(1);
    CHECK_FALSE(vm.session.snapshot().position_sure);
    if (vm.session.snapshot().state == ControllerState::alarm) {
        REQUIRE(vm.session.unlock());
        vm.run(0.5);
    }
    REQUIRE(vm.session.snapshot().state == ControllerState::idle);
    CHECK(vm.session.go_to({10, 10}, fast).error().code == machine::error::position_unknown);
    const Point before = vm.controller.head();
    REQUIRE(vm.session.jog_on({-1, 0}, fast));
    vm.run(0.3);
    vm.session.cancel_jog();
    settle(vm);
    CHECK(before.x - vm.controller.head().x < Session::blind_reach + 0.01);
}

TEST_CASE("jogging never passes a limit, whatever is asked from wherever") {
    VirtualMachine vm;
    vm.make_ready();
    const MachineProfile& profile = vm.session.profile();
    int sent = 0;
    std::uint32_t seed = 77;
    const auto random = [&](double least, double most) {
        seed = seed * 1664525U + 1013904223U;
        return least + (most - least) * static_cast<double>(seed >> 8U) / static_cast<double>(1U << 24U);
    };
    // The session is told where the head is; what it would send is read back.
    for (int i = 0; i < 10000; ++i) {
        const Point at{random(0, profile.width), random(0, profile.depth)}, machine = at + profile.bed_origin();
        char status[120];
        std::snprintf(status, sizeof status, "<Idle|MPos:%.3f,%.3f,0.000|FS:0,0|WCO:%.3f,%.3f,0.000>\r\n", machine.x,
                      machine.y, profile.bed_origin().x, profile.bed_origin().y);
        vm.session.received(status, vm.now);
        (void)vm.session.take_output();
        const Point by{random(-450, 450), random(-350, 350)};
        switch (i % 3) {
            case 0:
                (void)vm.session.jog(by, fast);
                break;
            case 1:
                (void)vm.session.jog_on(by, fast);
                break;
            default:
                (void)vm.session.go_to(by, fast);
        }
        const std::string out = vm.session.take_output();
        if (const auto line = out.find("$J=G91G21X"); line != std::string::npos) {
            double x = 0, y = 0;
            REQUIRE(std::sscanf(out.c_str() + line, "$J=G91G21X%lfY%lf", &x, &y) == 2);
            const Point known{std::round(at.x * 1000) / 1000, std::round(at.y * 1000) / 1000};
            REQUIRE(profile.bed().contains(known + Point{x, y}, 0.0011));
            ++sent;
        }
        vm.session.received("ok\r\n", vm.now);
    }
    CHECK(sent > 3000);
}

TEST_CASE("a pulse is one short burst, held to small power and time, and the beam is off afterwards") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.pulse(Power::percent(90), Duration::seconds(5)));
    double lit = 0, strongest = 0;
    for (int i = 0; i < 500; ++i) {
        vm.run(VirtualMachine::step);
        strongest = std::max(strongest, vm.controller.beam());
        lit += vm.controller.beam() > 0 ? VirtualMachine::step : 0;
    }
    CHECK(strongest == Approx(Session::strongest_pulse.percent() / 100).margin(0.001));
    CHECK(lit == Approx(Session::longest_pulse.seconds()).margin(0.02));
    CHECK(vm.controller.beam() == 0);
    CHECK(vm.session.snapshot().activity == Activity::none);
    CHECK(vm.last<event::Finished>()->activity == Activity::pulsing);
    CHECK(vm.session.snapshot().position_sure);
    CHECK(vm.controller.report().violations.empty());
}

TEST_CASE("a setting is written and known, a refused one is said") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.write_setting(11, 0.02));
    vm.run(1);
    CHECK(vm.session.setting(11) == 0.02);
    CHECK(vm.session.snapshot().settings->at(11) == 0.02);
    REQUIRE(vm.session.write_setting(999, 1));
    vm.run(1);
    CHECK(vm.last<event::Failed>()->error.code == machine::error::line_refused);
    CHECK_FALSE(vm.session.setting(999));
}

TEST_CASE("typed lines are sent when nothing runs, and never with signs that act at once") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.send_line("$G"));
    vm.run(0.5);
    CHECK(vm.session.snapshot().position_sure);
    for (const char* bad : {"", "!", "G0X5\nG0X6", "G0 X5 ?", "~"})
        CHECK(vm.session.send_line(bad).error().code == machine::error::bad_line);
    CHECK(vm.session.send_line(std::string(71, 'G')).error().code == machine::error::bad_line);
    REQUIRE(vm.session.jog({50, 0}, Speed::mm_per_min(600)));
    CHECK(vm.session.send_line("$$").error().code == machine::error::not_while_working);
    CHECK(vm.session.write_setting(11, 1).error().code == machine::error::not_while_working);
    settle(vm);
    // What counts from elsewhere afterwards is not trusted.
    REQUIRE(vm.session.send_line("G92X0Y0"));
    // Nothing begins before its answer is there.
    CHECK(vm.session.jog({1, 0}, Speed::mm_per_min(600)).error().code == machine::error::busy);
    vm.run(0.5);
    CHECK_FALSE(vm.session.snapshot().position_sure);
}

TEST_CASE("a typed line that is refused changes nothing: place, home and what comes next are as before") {
    VirtualMachine vm;
    vm.make_ready();
    const auto before = *vm.session.snapshot().position;
    for (const char* nonsense : {"G99", "G1 X5 F0", "hello"}) {
        INFO(nonsense);
        REQUIRE(vm.session.send_line(nonsense));
        vm.run(0.5);
        CHECK(vm.last<event::Failed>()->error.code == machine::error::line_refused);
        CHECK(vm.last<event::Failed>()->activity == Activity::none);
        CHECK(vm.session.snapshot().position_sure);
        CHECK_FALSE(vm.session.snapshot().placed_by_hand);
        CHECK(*vm.session.snapshot().position == before);
    }
    REQUIRE(vm.session.jog({10, 0}, Speed::mm_per_min(600)));
    settle(vm);
    CHECK(vm.session.snapshot().position->x == Approx(before.x + 10));
}

TEST_CASE("what is typed is never taken for what Chalkline itself asks") {
    // Unlocked by hand, homed by hand: Chalkline has not seen it and proves nothing by it. A setting is asked for anew.
    for (const char* typed : {"$H", "$X", "$J=G91G21X5F600", "M5S0"}) {
        INFO(typed);
        VirtualMachine vm;
        vm.make_ready();
        REQUIRE(vm.session.send_line(typed));
        vm.run(20);
        CHECK_FALSE(vm.session.snapshot().position_sure);
        CHECK(vm.session.snapshot().activity == Activity::none);
    }
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.send_line("$32=0"));
    vm.run(1);
    CHECK(vm.session.setting(32) == 0);
    CHECK(vm.session.snapshot().laser_mode == false);
}

TEST_CASE("power and speed are trimmed by steps that never pass through 100 %, and a program begins with 100") {
    VirtualMachine vm;
    vm.make_ready();
    const auto program = [] {
        std::vector<std::string> lines{"G21G90G17G94G54", "M5S0", "M4S0", "G0X10Y10"};
        for (int i = 0; i < 60; ++i)
            lines.push_back(i % 2 == 0 ? "G1X110S500F3000" : "X10");
        lines.push_back("M5S0");
        return std::make_unique<test::GivenLines>(std::move(lines));
    };
    REQUIRE(vm.session.burn(test::let_through(program(), vm.session.profile())));
    vm.run(1.5);
    REQUIRE(vm.session.trim(100, 63));
    vm.run(0.5);
    double brightest = 0;
    REQUIRE(vm.session.trim(120, 57));
    for (int i = 0; i < 400; ++i) {
        vm.run(VirtualMachine::step);
        brightest = std::max(brightest, vm.controller.beam());
    }
    CHECK(brightest < 0.5 * 0.63 + 0.001);
    CHECK(brightest > 0.5 * 0.56);
    CHECK(vm.session.snapshot().power_trim == 57);
    CHECK(vm.session.snapshot().speed_trim == 120);
    // Held to what a controller takes.
    REQUIRE(vm.session.trim(900, 1));
    vm.run(0.5);
    CHECK(vm.session.snapshot().speed_trim == Session::most_trim);
    CHECK(vm.session.snapshot().power_trim == Session::least_trim);
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == Activity::none; }, 200));
    REQUIRE(vm.session.burn(test::let_through(program(), vm.session.profile())));
    vm.run(2);
    CHECK(vm.session.snapshot().power_trim == 100);
    CHECK(vm.controller.beam() > 0.3);
}
