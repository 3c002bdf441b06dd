// SPDX-License-Identifier: GPL-3.0-or-later
// Cards on simulated machines of several characters: nothing is refused or violated, and the time is as said.
#include "cards.hpp"

using namespace chalkline;
using namespace chalkline::swatches;
using chalkline::test::birch;
using chalkline::test::computer;

namespace {

struct Character {
    const char* name;
    machine::MachineProfile profile;
};

std::vector<Character> characters() {
    machine::MachineProfile heavy = test::bench();
    heavy.acceleration_x = 350;
    heavy.acceleration_y = 250;
    heavy.max_rate_x = heavy.max_rate_y = 6000;
    heavy.junction_deviation = 0.02;
    machine::MachineProfile quick = test::bench();
    quick.acceleration_x = quick.acceleration_y = 3000;
    quick.max_rate_x = quick.max_rate_y = 20000;
    machine::MachineProfile small = test::bench();
    small.planner_blocks = 15;
    machine::MachineProfile large = test::bench();
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
double measured(const machine::Program& program, const machine::MachineProfile& profile) {
    test::VirtualMachine vm(profile);
    vm.make_ready();
    REQUIRE(vm.session.burn(std::make_unique<machine::Encoder>(program, vm.session.profile())));
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().begun.operation >= 0; }));
    const double before = vm.controller.now();
    vm.run(0.05);
    while (!vm.controller.at_rest())
        vm.run(test::VirtualMachine::step);
    const double took = vm.controller.now() - before;
    CHECK(vm.controller.report().violations == std::vector<std::string>{});
    CHECK(vm.controller.report().errors.empty());
    CHECK(vm.controller.report().alarms.empty());
    return took;
}

}  // namespace

TEST_CASE("every ready card burns on every kind of machine, in the time that was said") {
    for (const auto& [name, profile] : characters()) {
        Ground ground = birch();
        ground.machine = profile;
        for (int i = 0; i < ready_count; ++i) {
            Card card = ready_card(static_cast<Ready>(i), ground);
            card.code = "K7Q2";
            if (card.shape == Shape::square || card.shape == Shape::bars || card.shape == Shape::patch)
                card.width = card.height = 3;
            CAPTURE(name, to_text(static_cast<Ready>(i)));
            const auto made = card_job(card, profile, {}, computer());
            REQUIRE(made);
            const auto plan = planning::plan(made->job, profile);
            REQUIRE(plan);
            const double took = measured(plan->program, profile);
            CHECK(plan->total.seconds() == Approx(took).epsilon(0.02).margin(0.1));
        }
    }
}
