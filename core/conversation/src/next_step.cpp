// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/conversation/next_step.hpp>

namespace chalkline::machine {

bool may_resume(const Snapshot& now) {
    const bool held = now.state == ControllerState::hold || now.state == ControllerState::door;
    // Only a shut door, or a switch that was let go, can be gone on from.
    return now.connected && held && now.sub == 0 && now.pins.find_first_of("DH") == std::string::npos;
}

std::vector<NextStep> next_steps(const Snapshot& now, const MachineProfile& profile) {
    if (!now.connected) return {NextStep::connect};
    const bool homes = profile.home != HomeCorner::none;
    switch (now.state) {
        case ControllerState::alarm:
            return homes ? std::vector{NextStep::home, NextStep::unlock} : std::vector{NextStep::unlock};
        case ControllerState::hold:
        case ControllerState::door:
            return may_resume(now) ? std::vector{NextStep::resume, NextStep::stop} : std::vector{NextStep::stop};
        case ControllerState::sleep:
            return {NextStep::wake};
        case ControllerState::check:
            return {NextStep::stop};
        case ControllerState::idle:
            break;
        default:
            return {NextStep::stop};
    }
    if (now.activity != Activity::none) return {NextStep::stop};
    std::vector<NextStep> steps;
    if (!now.position_sure && homes) steps.push_back(NextStep::home);
    if (!now.position_sure) steps.push_back(NextStep::say_where);
    if (now.laser_mode == false) steps.push_back(NextStep::laser_mode);
    return steps;
}

}  // namespace chalkline::machine
