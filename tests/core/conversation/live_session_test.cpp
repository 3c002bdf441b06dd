// SPDX-License-Identifier: GPL-3.0-or-later
// Longer conversations with the simulated controller: several jobs, other profiles, what the wire log shows.
#include "support/let_through.hpp"
#include "support/virtual_machine.hpp"

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::machine;
using chalkline::test::GivenLines;
using chalkline::test::VirtualMachine;

namespace {

std::unique_ptr<LineSource> square(int side) {
    const std::string s = std::to_string(side);
    return std::make_unique<GivenLines>(std::vector<std::string>{"G21G90G17G94G54", "M5S0", "M4S0", "G0X20Y20", "G91",
                                                                 "G1X" + s + "S400F3000", "Y" + s, "X-" + s, "Y-" + s,
                                                                 "G90", "M5S0", "M9"});
}

/// Runs one program to its end.
void burn(VirtualMachine& vm, int side) {
    const auto finished = [&] {
        int count = 0;
        for (const auto& e : vm.events)
            count += std::holds_alternative<event::Finished>(e);
        return count;
    };
    const int before = finished();
    REQUIRE(vm.session.burn(test::let_through(square(side), vm.session.profile())));
    REQUIRE(vm.run_until([&] { return finished() > before && vm.session.snapshot().activity == Activity::none; }, 120));
}

std::vector<std::string> sent_lines(const VirtualMachine& vm) {
    std::vector<std::string> lines;
    for (const auto& e : vm.events)
        if (const auto* wire = std::get_if<event::Wire>(&e); wire && wire->sent) lines.push_back(wire->text);
    return lines;
}

}  // namespace

TEST_CASE("the work offset is written once, not before every burn") {
    VirtualMachine vm;
    vm.make_ready();
    burn(vm, 10);
    burn(vm, 20);
    burn(vm, 30);
    const auto lines = sent_lines(vm);
    CHECK(std::count(lines.begin(), lines.end(), "G21G90G10L2P1X-400.000Y-300.000") == 1);
    CHECK(vm.controller.report().beam_on_mm == Approx(4 * (10 + 20 + 30)).margin(0.01));
}

TEST_CASE("a forgotten G92 of another program is taken away before a burn") {
    VirtualMachine vm;
    vm.make_ready();
    vm.controller.receive("G92X7Y7\n");
    vm.run(0.5);
    // Another conversation begins, as when Chalkline is started anew: it resets what it finds at rest.
    vm.session.closed("ended", vm.now);
    RealtimeSession again(vm.session.profile(), 0.3);
    vm.session = std::move(again);
    vm.session.opened(vm.now);
    vm.events.clear();
    vm.make_ready();
    burn(vm, 10);
    CHECK(vm.controller.head().x == Approx(20));
    CHECK(vm.controller.report().violations.empty());
}

TEST_CASE("a controller that reports in inches is understood") {
    VirtualMachine vm;
    vm.controller.load_settings("13=1\n");
    vm.make_ready();
    burn(vm, 10);
    vm.run(1);
    CHECK(vm.session.snapshot().position->x == Approx(20).margin(0.02));
    CHECK(vm.session.snapshot().position->y == Approx(20).margin(0.02));
}

TEST_CASE("a controller that reports work positions is understood") {
    VirtualMachine vm;
    vm.controller.load_settings("10=0\n");
    vm.make_ready();
    burn(vm, 10);
    vm.run(5);
    CHECK(vm.session.snapshot().position->x == Approx(20).margin(0.002));
}

TEST_CASE("a small receive buffer is filled no further than it holds") {
    MachineProfile profile;
    profile.receive_buffer = 96;
    profile.planner_blocks = 4;
    VirtualMachine vm(profile);
    vm.make_ready();
    burn(vm, 30);
    CHECK(vm.controller.report().worst_rx_fill <= 95);
    CHECK(vm.controller.report().violations.empty());
}

TEST_CASE("progress never runs ahead of the head and ends whole") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.burn(test::let_through(square(100), vm.session.profile())));
    std::int64_t before = 0;
    while (vm.session.snapshot().activity == Activity::burning) {
        vm.run(0.05);
        const auto& now = vm.session.snapshot();
        CHECK(now.lines_done >= before);
        before = now.lines_done;
        // Line 8 draws the last side: it is not surely done while the head is far from the end of it.
        if (now.activity == Activity::burning && now.done.operation >= 8) CHECK(vm.controller.head().y < 60);
    }
    CHECK(before == 12);
}

TEST_CASE("status comes five to ten times a second") {
    VirtualMachine vm;
    vm.make_ready();
    vm.events.clear();
    vm.run(10);
    int reports = 0;
    for (const auto& e : vm.events)
        if (const auto* wire = std::get_if<event::Wire>(&e)) reports += !wire->sent && wire->text.starts_with('<');
    CHECK(reports >= 50);
    CHECK(reports <= 100);
}

TEST_CASE("pressing stop twice, or holding what stands, does no harm") {
    VirtualMachine vm;
    vm.make_ready();
    vm.session.hold();
    vm.session.resume();
    vm.session.stop();
    vm.session.stop();
    REQUIRE(vm.run_until([&] { return vm.last<event::Stopped>() != nullptr; }, 10));
    CHECK(vm.session.snapshot().activity == Activity::none);
    burn(vm, 10);
}
