// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/virtual_machine.hpp"

namespace chalkline::test {

VirtualMachine::VirtualMachine(const machine::MachineProfile& profile) : controller(profile), session(profile, 0.3) {
    session.opened(now);
}

void VirtualMachine::run(double seconds) {
    for (double gone = 0; gone < seconds - 1e-12; gone += step) {
        exchange();
        controller.advance(step);
        now += step;
    }
    exchange();
}

void VirtualMachine::exchange() {
    const std::string answer = controller.take_output();
    if (cable && !answer.empty()) session.received(answer, now);
    session.tick(now);
    const std::string bytes = session.take_output();
    if (cable) controller.receive(bytes);
    for (auto& event : session.take_events())
        events.push_back(std::move(event));
}

void VirtualMachine::make_ready() {
    run_until([&] { return last<machine::event::Ready>() != nullptr; }, 10);
    if (session.profile().home == machine::HomeCorner::none) {
        (void)session.stands_at(controller.head());
    } else if (!session.snapshot().position_sure) {
        (void)session.home();
        run_until([&] { return session.snapshot().activity == machine::Activity::none; }, 120);
    }
    run_until([&] { return session.snapshot().state == machine::ControllerState::idle && session.snapshot().position; },
              10);
}

}  // namespace chalkline::test
