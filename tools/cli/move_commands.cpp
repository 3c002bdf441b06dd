// SPDX-License-Identifier: GPL-3.0-or-later
// What is asked of a machine without a job: who answers, home, moves, unlocking, settings.
#include "conversation.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/conversation/contradictions.hpp>
#include <chalkline/wording/controller_settings.hpp>
#include <chalkline/wording/wording.hpp>

#include <fmt/format.h>

#include <charconv>

namespace chalkline::cli {
namespace {

using machine::Activity;

Json state_json(const MachineCommand& command, const machine::Snapshot& now) {
    return {{"port", command.port},
            {"answers", true},
            {"version", now.version.empty() ? Json(nullptr) : Json(now.version)},
            {"state", std::string(machine::to_text(now.state))},
            {"position_mm", now.position ? Json{number(now.position->x), number(now.position->y)} : Json(nullptr)},
            {"position_sure", now.position_sure}};
}

int tell_state(const MachineCommand& command, Conversation& talk) {
    const auto& now = talk.now();
    if (command.json) {
        print(state_json(command, now));
        return done;
    }
    std::string line =
        command.port + ": " + translated("controller") + " " + now.version + ", " + wording::state(now).toStdString();
    if (now.position && now.position_sure) line += fmt::format(", X {:.3f} Y {:.3f}", now.position->x, now.position->y);
    print_text(line);
    return done;
}

/// The one profile, and a conversation that is open.
template <class Act>
int with_machine(const MachineCommand& command, Act act) {
    const auto machine = load_machine(command.job.machine);
    if (!machine) return report(machine.error(), command.json);
    Conversation talk(command, *machine);
    if (const auto failed = talk.connect()) return *failed;
    if (const Conversation::Step failed = act(talk)) return *failed;
    return tell_state(command, talk);
}

/// "32=1"
std::optional<std::pair<int, double>> parse_write(const std::string& text) {
    const auto equals = text.find('=');
    int number = 0;
    double value = 0;
    if (equals == std::string::npos) return {};
    const char* const end = text.data() + text.size();
    const auto first = std::from_chars(text.data(), text.data() + equals, number);
    const auto second = std::from_chars(text.data() + equals + 1, end, value);
    if (first.ec != std::errc() || first.ptr != text.data() + equals || second.ec != std::errc() || second.ptr != end)
        return {};
    return std::pair{number, value};
}

}  // namespace

int run_probe(const MachineCommand& command) {
    return with_machine(command, [](Conversation&) { return Conversation::Step{}; });
}

int run_home(const MachineCommand& command) {
    return with_machine(command, [](Conversation& talk) {
        return talk.carry_out(Activity::homing, [](machine::Session& session) { return session.home(); });
    });
}

int run_unlock(const MachineCommand& command) {
    return with_machine(command, [](Conversation& talk) -> Conversation::Step {
        if (talk.now().state != machine::ControllerState::alarm) return {};
        if (const auto failed = talk.ask([](machine::Session& session) { return session.unlock(); })) return failed;
        using namespace std::chrono_literals;
        for (int i = 0; i < 20 && talk.now().state == machine::ControllerState::alarm; ++i)
            talk.listen(100ms);
        return {};
    });
}

int run_jog(const MoveCommand& command) {
    return with_machine(command, [&](Conversation& talk) -> Conversation::Step {
        const Speed speed = Speed::mm_per_min(command.speed > 0 ? command.speed : talk.machine().jog_speed);
        // A move by a distance needs no place; one to a place does.
        if (command.to || command.head_stands)
            if (const auto failed = talk.settle_place()) return failed;
        return talk.carry_out(Activity::jogging, [&command, speed](machine::Session& session) {
            return command.to ? session.go_to(*command.to, speed) : session.jog(*command.by, speed);
        });
    });
}

int run_settings(const SettingsCommand& command) {
    const auto machine = load_machine(command.job.machine);
    if (!machine) return report(machine.error(), command.json);
    std::vector<std::pair<int, double>> writes;
    for (const std::string& text : command.writes) {
        const auto write = parse_write(text);
        if (!write) return report({std::string(error::bad_setting), {{"text", text}}, {}, 0}, command.json);
        writes.push_back(*write);
    }
    Conversation talk(command, *machine);
    if (const auto failed = talk.connect()) return *failed;
    using namespace std::chrono_literals;
    for (const auto& [number, value] : writes) {
        if (const auto failed = talk.ask([number = number, value = value](machine::Session& session) {
                return session.write_setting(number, value);
            }))
            return *failed;
        const auto written = [&] {
            const auto& known = talk.now().settings;
            return known && known->contains(number) && known->at(number) == value;
        };
        for (int i = 0; i < 30 && !written(); ++i)
            talk.listen(100ms);
        if (!written())
            return *talk.fail_with({std::string(error::bad_setting), {{"text", std::to_string(number)}}, {}, 0});
    }
    const auto& now = talk.now();
    const machine::ControllerFacts facts{now.settings ? *now.settings : std::map<int, double>{}, now.receive_buffer,
                                         now.planner_blocks};
    if (!command.save.empty()) {
        machine::MachineProfile told = machine::as_told(talk.machine(), facts);
        if (auto kept = replace_file(command.save, machine::to_json(told)); !kept)
            return report(kept.error(), command.json);
    }
    if (command.json) {
        Json settings = Json::object(), differs = Json::array();
        for (const auto& [number, value] : facts.settings)
            settings[std::to_string(number)] = value;
        for (const auto& one : machine::contradictions(talk.machine(), facts))
            differs.push_back({{"setting", one.setting},
                               {"key", one.key},
                               {"profile", one.mine},
                               {"controller", one.other},
                               {"blocks", one.dangerous}});
        print({{"port", command.port},
               {"version", now.version},
               {"receive_buffer", now.receive_buffer ? Json(*now.receive_buffer) : Json(nullptr)},
               {"planner_blocks", now.planner_blocks ? Json(*now.planner_blocks) : Json(nullptr)},
               {"settings", settings},
               {"differs", differs}});
        return done;
    }
    for (const auto& [number, value] : facts.settings) {
        const auto words = wording::controller_setting(number);
        print_text(fmt::format("${} = {} {}  {}", number, value, words.unit.toStdString(), words.name.toStdString()));
    }
    return done;
}

}  // namespace chalkline::cli
