// SPDX-License-Identifier: GPL-3.0-or-later
// What a link of 115200 baud carries, in virtual time.
#include "support/let_through.hpp"
#include "support/virtual_machine.hpp"

#include <chalkline/encoding/encoder.hpp>

#include <catch2/catch.hpp>

#include <cmath>

using namespace chalkline;
using namespace chalkline::machine;
using chalkline::test::VirtualMachine;

namespace {

/// Rows of 200 mm of lit and dark runs in turn.
std::shared_ptr<const Program> rows(double run_mm, double mm_per_min, int count) {
    Program program;
    const Speed speed = Speed::mm_per_min(mm_per_min);
    const auto micrometres = static_cast<std::uint32_t>(std::lround(run_mm * 1000));
    const auto runs = static_cast<std::uint32_t>(200000 / micrometres);
    const double width = runs * micrometres / 1000.0;
    program.operations.push_back({Beam{BeamMode::following}, speed, {1, 1, 0}});
    for (int row = 0; row < count; ++row) {
        const bool there = row % 2 == 0;
        const double y = 20 + row * 0.1;
        program.operations.push_back({Travel{{there ? 20 : 20 + width, y}, row == 0}, speed, {1, 1, 0}});
        const auto first = static_cast<std::uint32_t>(program.runs.size());
        for (std::uint32_t i = 0; i < runs; ++i)
            program.runs.push_back({micrometres, static_cast<PowerValue>(i % 2 == 0 ? 5000 : 0)});
        program.operations.push_back({Sweep{{there ? 20 + width : 20, y}, first, runs}, speed, {1, 1, 0}});
    }
    program.operations.push_back({Beam{BeamMode::off}, speed, {}});
    return std::make_shared<const Program>(std::move(program));
}

struct Load {
    double busy;  ///< share of the time in which bytes went to the controller
    std::int64_t starved;
};

/// On a machine that looks far ahead: with few moves in sight short dots are slow whatever the link carries.
Load burn(const std::shared_ptr<const Program>& program) {
    MachineProfile profile;
    profile.planner_blocks = 100;
    profile.acceleration_x = profile.acceleration_y = 3000;
    VirtualMachine vm(profile);
    vm.make_ready();
    REQUIRE(vm.session.burn(
        test::let_through(std::make_unique<SharedEncoder>(program, vm.session.profile()), vm.session.profile())));
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().done.operation > 2; }));
    const double begun = vm.now;
    const auto bytes = vm.controller.report().bytes;
    const auto last = static_cast<std::int64_t>(program->operations.size()) - 3;
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().begun.operation >= last; }));
    const double sent = static_cast<double>(vm.controller.report().bytes - bytes) * 10 / 115200;
    const Load load{sent / (vm.now - begun), vm.controller.report().starved};
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == Activity::none; }));
    CHECK(vm.controller.report().violations.empty());
    return load;
}

}  // namespace

TEST_CASE("where the link is the limit it is never idle") {
    // Dots of 0.08 mm at 200 mm/s ask for more than it carries.
    CHECK(burn(rows(0.08, 12000, 12)).busy > 0.98);
}

TEST_CASE("where the link carries what is asked for the planner never runs dry") {
    const Load load = burn(rows(0.2, 12000, 12));
    CHECK(load.busy > 0.6);
    CHECK(load.busy < 0.95);
    CHECK(load.starved == 0);
}
