// SPDX-License-Identifier: GPL-3.0-or-later
// Framing, burning and going on: what is sent, the checks before it, and what is kept of it.
#include "burning.hpp"

#include <chalkline/planning/checks.hpp>
#include <chalkline/planning/frame.hpp>
#include <chalkline/ports/ports.hpp>
#include <chalkline/wording/wording.hpp>

#include <fmt/format.h>

#include <QFileInfo>

namespace chalkline::cli {
namespace {

using machine::Activity;

Json to_json(const std::vector<geometry::Point>& points) {
    Json list = Json::array();
    for (const geometry::Point point : points)
        list.push_back({number(point.x), number(point.y)});
    return list;
}

/// Round the box of what the program burns, whatever else stands against it.
Result<Work> work_for_frame(const MachineCommand& command, const machine::MachineProfile& flat,
                            const Surroundings& surroundings) {
    const auto burn = planned(command, flat, surroundings);
    if (!burn) return tl::unexpected(burn.error());
    if (burn->cleared.error) return tl::unexpected(*burn->cleared.error);
    Work work{clearance::clear(clearance::FrameRequest{burn->cleared.hull, planning::FrameWay::box, {}, burn->machine}),
              burn->machine,
              {}};
    if (auto passed = require_passed(work, command.file); !passed) return tl::unexpected(passed.error());
    return work;
}

}  // namespace

int run_ports(bool json) {
    const auto ports = ports::list();
    if (json) {
        Json list = Json::array();
        for (const auto& port : ports)
            list.push_back({{"path", port.path}, {"maker", port.maker}, {"product", port.product}});
        print({{"ports", list}});
        return done;
    }
    if (ports.empty())
        print_text(translated("no serial port found; plug the machine in, or type a port or tcp:HOST:PORT"));
    for (const auto& port : ports)
        print_text(port.path + "  " + port.maker + " " + port.product);
    return done;
}

int run_frame(const MachineCommand& command, const Surroundings& surroundings) {
    const auto machine = load_machine(command.job.machine);
    if (!machine) return report(machine.error(), command.json);
    auto work = work_for_frame(command, *machine, surroundings);
    if (!work) return report(work.error(), command.json);
    if (command.json) {
        const auto& hull = work->cleared.hull;
        print_line({{"box_mm", to_json(geometry::bounds(hull))}, {"hull_mm", to_json(hull)}});
    }
    Conversation talk(command, work->machine);
    if (const auto failed = talk.connect()) return *failed;
    if (const auto failed = talk.settle_place()) return *failed;
    Run run(command, *work, talk);
    if (const auto failed = run.go(Activity::framing, streamed(*work, Activity::framing))) return *failed;
    if (const auto failed = talk.return_if_forgetful()) return *failed;
    run.tell_done();
    return done;
}

int run_burn(const MachineCommand& command, const Surroundings& surroundings) {
    const auto machine = load_machine(command.job.machine);
    if (!machine) return report(machine.error(), command.json);
    auto work = work_for_burn(command, *machine, surroundings);
    if (!work) return report(work.error(), command.json);
    Conversation talk(command, work->machine);
    if (const auto failed = talk.connect()) return *failed;
    if (const auto failed = talk.settle_place()) return *failed;
    return burn(command, *work, talk, fresh_record(command, *work), streamed(*work, Activity::burning));
}

int run_go_on(const GoOnCommand& command, const Surroundings& surroundings) {
    const history::BurnFolders folders(history::BurnFolders::usual_place());
    std::optional<history::BurnRecord> record;
    if (command.burn == 0) {
        record = folders.unfinished();
    } else if (const auto all = folders.records(); static_cast<std::size_t>(command.burn) <= all.size()) {
        record = all[static_cast<std::size_t>(command.burn) - 1];
    }
    if (!record || record->end == machine::BurnEnd::finished || history::BurnFolders::in_use(*record))
        return report({std::string(error::no_such_burn), {}, {}, 0}, command.json);
    const auto flat = load_machine(command.job.machine);
    if (!flat) return report(flat.error(), command.json);
    auto left = folders.left_over(*record);
    if (!left) return report(left.error(), command.json);

    Work work{{}, *flat, {}};
    const auto left_at = left->place();
    const machine::JournalNote note = left->journal.last;
    if (QFileInfo::exists(record->job_file())) {
        auto input = load_input(record->job_file().toStdString(), command.job, *flat, surroundings);
        if (!input) return report(input.error(), command.json);
        work.machine = input->machine;
        work.job = *input->job();
    }
    const auto ground = ground_for(work.machine, command.job);
    if (!ground) return report(ground.error(), command.json);
    const auto whole =
        std::make_shared<const planning::Plan>(planning::plan_of(std::move(left->program), work.machine));

    Conversation talk(command, work.machine);
    if (const auto failed = talk.connect(left_at)) return *failed;
    machine::ProgramPlace from = note.done;
    const auto& now = talk.now();
    // A board that stayed on stands where what it had been sent ended; one that was stopped, where it came to rest.
    if (now.place_continued && now.position)
        from = machine::done_at_rest(whole->program, note.done, note.begun, *now.position);
    if (const auto failed = talk.settle_place()) return *failed;
    work.cleared = clearance::clear(clearance::RestRequest{
        whole, machine::backed_up(whole->program, from, command.overlap), work.job ? &*work.job : nullptr, *ground});
    if (auto passed = require_passed(work, record->path.toStdString()); !passed)
        return report(passed.error(), command.json);
    say(fmt::format(fmt::runtime(translated("going on with “{}”, {} lines are left")), record->title.toStdString(),
                    work.cleared.lines));
    return burn(command, work, talk, *record, streamed(work, Activity::burning, note.trims));
}

}  // namespace chalkline::cli
