// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/wording/machine_words.hpp>

#include <QCoreApplication>
#include <map>

namespace chalkline::wording {
namespace {

QString machine_tr(const char* text) {
    return QCoreApplication::translate("machine", text);
}

/// What locked it decides what helps.
QString after_alarm(int number) {
    switch (number) {
        case 1:
            return machine_tr(
                "Look which end switch is pressed. Unlock, move the head away from it by small steps, then find home.");
        case 2:
            return machine_tr("Nothing touched an edge. Find home, and move the job inside the bed.");
        case 4:
        case 5:
            return machine_tr("Look at the probe and its cable, raise the head, then find home or unlock.");
        case 6:
        case 7:
        case 8:
        case 9:
            return machine_tr(
                "Look at the home switches and that the head can move freely. Then find home again, or unlock and "
                "work without it.");
        default:
            return machine_tr("Find home, or unlock if the head is clear of the edges.");
    }
}

Message explain_door(int sub) {
    if (sub == 0)
        return {machine_tr("The door is shut again and the machine waits"),
                {},
                machine_tr("Resume goes on where it stood; STOP gives the job up.")};
    return {machine_tr("The door is open: the head stands and the beam is off"),
            {},
            machine_tr("Shut the door, then resume. Nothing is lost.")};
}

Message explain_idle(const machine::Snapshot& now) {
    if (!now.position_sure)
        return {machine_tr("It can move, but nobody knows where the head is"),
                {},
                machine_tr("Find home, or push or jog the head to a place you know and say that it stands there.")};
    if (now.laser_mode == false)
        return {machine_tr("The controller's laser mode is off"),
                {},
                machine_tr("Every change of power would stop the head and burn dots. Turn laser mode on.")};
    if (now.placed_by_hand)
        return {machine_tr("Ready; its place was set by hand"),
                {},
                machine_tr("Nothing knows where the bed ends: frame the job and watch before you burn.")};
    return {machine_tr("Ready; it knows where the head is"), {}, {}};
}

}  // namespace

Message explain(const machine::Snapshot& now) {
    using machine::Activity;
    using machine::ControllerState;
    if (!now.connected)
        return {machine_tr("No machine is connected"), {}, machine_tr("Choose a port, or use the simulated machine.")};
    if (now.silent_for > 0)
        return {machine_tr("The controller has not answered for %1 s").arg(now.silent_for, 0, 'f', 0),
                {},
                machine_tr("Look at the machine. If the beam is on, use its own switch; then look at the cable.")};
    if (now.activity == Activity::connecting)
        return {machine_tr("Waiting for the controller to answer"), {}, machine_tr("A board needs some seconds.")};
    if (now.activity == Activity::homing || now.state == ControllerState::home)
        return {machine_tr("The head looks for its home switches"), {}, machine_tr("STOP ends it at once.")};
    switch (now.state) {
        case ControllerState::alarm:
            if (now.alarm == 0)
                return {machine_tr("The controller is locked: it does not know where the head is"), {}, after_alarm(0)};
            return {describe(Error{std::string(machine::error::alarm), {{"number", std::to_string(now.alarm)}}, {}, 0})
                        .what,
                    {},
                    after_alarm(now.alarm)};
        case ControllerState::hold:
            if (now.pins.find('H') != std::string::npos)
                return {machine_tr("Held by the machine's own switch, or a foot switch"),
                        {},
                        machine_tr("Let it go; then Resume, here or by the machine's start button, goes on.")};
            return {now.sub == 0 ? machine_tr("Held: the head stands") : machine_tr("Coming to rest"),
                    {},
                    machine_tr("Resume goes on where it stood; STOP gives the job up.")};
        case ControllerState::door:
            return explain_door(now.sub);
        case ControllerState::sleep:
            return {machine_tr("The motors are let go: the head can be pushed by hand"),
                    {},
                    machine_tr("Push it where you want it, wake the controller, then say where it stands.")};
        case ControllerState::check:
            return {machine_tr("The controller only reads and does not move ($C)"), {}, machine_tr("STOP ends that.")};
        case ControllerState::idle:
            if (now.activity == Activity::none) return explain_idle(now);
            break;
        default:
            break;
    }
    return {machine_tr("The machine is working"), {}, machine_tr("Esc holds it, Esc again stops it.")};
}

QString name(machine::NextStep step) {
    using machine::NextStep;
    switch (step) {
        case NextStep::connect:
            return machine_tr("Connect…");
        case NextStep::home:
            return machine_tr("Find home");
        case NextStep::say_where:
            return machine_tr("Say where it stands…");
        case NextStep::unlock:
            return machine_tr("Unlock");
        case NextStep::resume:
            return machine_tr("Resume");
        case NextStep::stop:
            return machine_tr("Stop");
        case NextStep::wake:
            return machine_tr("Wake the controller");
        case NextStep::laser_mode:
            return machine_tr("Turn laser mode on");
    }
    return {};
}

QString exercise(const std::string& name) {
    static const std::map<std::string, QString> words{
        {"greeting", machine_tr("Greeting")},      {"settings", machine_tr("Settings")},
        {"at-rest", machine_tr("Report at rest")}, {"jog", machine_tr("Jog there and back")},
        {"dark-move", machine_tr("Moves at S0")},  {"hold", machine_tr("Hold and resume")},
        {"buffer", machine_tr("Buffer")},          {"stop", machine_tr("Stop")}};
    const auto found = words.find(name);
    return found != words.end() ? found->second : QString::fromStdString(name);
}

QString name(machine::SelfTestLine::Verdict verdict) {
    switch (verdict) {
        case machine::SelfTestLine::Verdict::good:
            return machine_tr("good");
        case machine::SelfTestLine::Verdict::odd:
            return machine_tr("odd");
        case machine::SelfTestLine::Verdict::bad:
            return machine_tr("bad");
    }
    return {};
}

ProfileField profile_field(const std::string& key) {
    static const std::map<std::string, ProfileField> fields{
        {"name", {machine_tr("Name"), {}}},
        {"work_area_mm", {machine_tr("Bed, width and depth"), "mm"}},
        {"home", {machine_tr("Home corner"), {}}},
        {"homing_pull_off_mm", {machine_tr("Pull-off after home"), "mm"}},
        {"zero_at_home", {machine_tr("Counts from 0 at home"), {}}},
        {"watts", {machine_tr("Beam at full power"), "W"}},
        {"max_rate_mm_min", {machine_tr("Fastest, X and Y"), "mm/min"}},
        {"acceleration_mm_s2", {machine_tr("Acceleration, X and Y"), "mm/s²"}},
        {"junction_deviation_mm", {machine_tr("Junction deviation"), "mm"}},
        {"full_power_s", {machine_tr("S value of full power"), {}}},
        {"receive_buffer", {machine_tr("Receive buffer"), machine_tr("bytes")}},
        {"planner_blocks", {machine_tr("Moves it looks ahead"), {}}},
    };
    const auto found = fields.find(key);
    return found != fields.end() ? found->second : ProfileField{QString::fromStdString(key), {}};
}

}  // namespace chalkline::wording
