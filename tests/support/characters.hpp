// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "support/let_through.hpp"
#include "support/virtual_machine.hpp"

#include <chalkline/encoding/encoder.hpp>

#include <catch2/catch.hpp>

#include <memory>
#include <string>
#include <vector>

namespace chalkline::test {

inline machine::MachineProfile homeless() {
    machine::MachineProfile profile;
    profile.home = machine::HomeCorner::none;
    return profile;
}

/// A kind of machine by how it moves and listens.
struct Character {
    const char* name;
    machine::MachineProfile profile;
};

inline std::vector<Character> characters() {
    machine::MachineProfile heavy = homeless();
    heavy.acceleration_x = 350;
    heavy.acceleration_y = 250;
    heavy.max_rate_x = heavy.max_rate_y = 6000;
    heavy.junction_deviation = 0.02;
    machine::MachineProfile quick = homeless();
    quick.acceleration_x = quick.acceleration_y = 3000;
    quick.max_rate_x = quick.max_rate_y = 20000;
    machine::MachineProfile small = homeless();
    small.planner_blocks = 15;
    machine::MachineProfile large = homeless();
    large.planner_blocks = 100;
    large.receive_buffer = 1024;
    large.baud = 1000000;
    large.acceleration_x = large.acceleration_y = 2000;
    return {{"slow heavy gantry", heavy},
            {"quick diode", quick},
            {"8 bits, 15 blocks", small},
            {"32 bits, 100 blocks", large}};
}

/// Seconds the simulated machine takes for a program; it must like all of it.
inline double seconds_on(const machine::Program& program, const machine::MachineProfile& profile) {
    VirtualMachine vm(profile);
    vm.make_ready();
    REQUIRE(vm.session.burn(
        test::let_through(std::make_unique<machine::Encoder>(program, vm.session.profile()), vm.session.profile())));
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().begun.operation >= 0; }));
    const double before = vm.controller.now();
    vm.run(0.05);
    while (!vm.controller.at_rest())
        vm.run(VirtualMachine::step);
    const double took = vm.controller.now() - before;
    CHECK(vm.controller.report().violations == std::vector<std::string>{});
    CHECK(vm.controller.report().errors.empty());
    CHECK(vm.controller.report().alarms.empty());
    return took;
}

}  // namespace chalkline::test
