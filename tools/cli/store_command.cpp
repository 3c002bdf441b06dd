// SPDX-License-Identifier: GPL-3.0-or-later
// The controller's own store: what is on it, sending a program there, starting it, deleting it.
#include "burning.hpp"

#include <chalkline/conversation/contradictions.hpp>
#include <chalkline/history/stored_programs.hpp>

#include <fmt/format.h>

#include <QFileInfo>

namespace chalkline::cli {
namespace {

using machine::Activity;
using machine::Session;
using machine::StoredFile;

history::StoredPrograms copies() {
    return history::StoredPrograms(history::StoredPrograms::usual_place());
}

QString address_of(const StoreCommand& command) {
    return QString::fromStdString(command.port);
}

/// The store listed anew.
Conversation::Step list(Conversation& talk) {
    return talk.carry_out(Activity::storing, [](Session& session) { return session.list_store(); });
}

std::optional<StoredFile> find(const Conversation& talk, const std::string& name) {
    const auto& stored = talk.now().stored;
    return stored ? machine::find_stored(*stored, name) : std::nullopt;
}

int tell_listing(const StoreCommand& command, const Conversation& talk) {
    Json files = Json::array();
    if (const auto& stored = talk.now().stored)
        for (const StoredFile& file : *stored) {
            const auto copy = copies().find(address_of(command), file);
            files.push_back({{"name", file.name}, {"bytes", file.bytes}, {"sent_from_here", copy.has_value()}});
        }
    if (command.json) {
        print({{"port", command.port}, {"files", files}});
        return done;
    }
    if (files.empty()) print_text(translated("the controller's store is empty"));
    for (const Json& file : files)
        print_text(fmt::format("{:<28} {:>10} {}", file["name"].get<std::string>(), file["bytes"].get<std::int64_t>(),
                               file["sent_from_here"].get<bool>() ? translated("sent from here") : ""));
    return done;
}

int run_list(const StoreCommand& command) {
    const auto machine = load_machine(command.job.machine);
    if (!machine) return report(machine.error(), command.json);
    Conversation talk(command, *machine);
    if (const auto failed = talk.connect()) return *failed;
    if (const auto failed = list(talk)) return *failed;
    return tell_listing(command, talk);
}

int run_delete(const StoreCommand& command) {
    const auto machine = load_machine(command.job.machine);
    if (!machine) return report(machine.error(), command.json);
    Conversation talk(command, *machine);
    if (const auto failed = talk.connect()) return *failed;
    const auto request = [name = command.name](Session& session) { return session.remove_stored(name); };
    if (const auto failed = talk.carry_out(Activity::storing, request)) return *failed;
    copies().forget(address_of(command), command.name);
    return tell_listing(command, talk);
}

/// After the checks of a burn: what is in the store may be started when nobody looks at it any more.
int run_send(const StoreCommand& command, const Surroundings& surroundings) {
    const auto flat = load_machine(command.job.machine);
    if (!flat) return report(flat.error(), command.json);
    const auto work = work_for_burn(command, *flat, surroundings);
    if (!work) return report(work.error(), command.json);
    Conversation talk(command, work->machine);
    if (const auto failed = talk.connect()) return *failed;
    if (const auto failed = talk.require_agreement()) return *failed;
    const QString title = QFileInfo(QString::fromStdString(command.file)).completeBaseName();
    const std::string name =
        machine::store_name(command.name.empty() ? title.toStdString() : command.name, talk.machine().dialect);
    if (name.empty()) return report({std::string(error::bad_store_name), {}, {}, 0}, command.json);

    Run run(command, *work, talk);
    const auto request = [name, program = *work->cleared.program](Session& session) {
        return session.store(name, program);
    };
    if (const auto failed = run.go(Activity::storing, request)) return *failed;
    const auto file = find(talk, name);
    if (!file)
        return report({std::string(machine::error::store_failed), {{"name", name}, {"text", ""}}, {}, 0}, command.json);
    const auto kept =
        copies().keep(address_of(command), {*file, title, QDateTime::currentDateTime(), work->cleared.program->text()});
    if (!kept) return report(kept.error(), command.json);
    if (command.json)
        print_line({{"done", true}, {"name", file->name}, {"bytes", file->bytes}, {"lines", work->cleared.lines}});
    else
        print_text(fmt::format(fmt::runtime(translated("stored as {}, {} bytes")), file->name, file->bytes));
    return done;
}

/// Only what was sent from here can be held against the rules: the copy of it is, as anything that burns.
int run_start(const StoreCommand& command, const Surroundings&) {
    const auto machine = load_machine(command.job.machine);
    if (!machine) return report(machine.error(), command.json);
    Conversation talk(command, *machine);
    if (const auto failed = talk.connect()) return *failed;
    if (const auto failed = list(talk)) return *failed;
    const auto file = find(talk, command.name);
    if (!file)
        return report({std::string(machine::error::not_in_store), {{"name", command.name}}, {}, 0}, command.json);
    const auto copy = copies().find(address_of(command), *file);
    if (!copy) return report({std::string(error::stored_elsewhere), {{"name", file->name}}, {}, 0}, command.json);
    auto cleared = clear({std::make_shared<const std::string>(copy->program), talk.machine()}, command.job, file->name);
    if (!cleared) return report(cleared.error(), command.json);
    const Work work{std::move(*cleared), talk.machine(), {}};
    if (const auto passed = require_passed(work, file->name); !passed) return report(passed.error(), command.json);
    if (const auto failed = talk.settle_place()) return *failed;

    MachineCommand shown = command;
    shown.file = copy->title.toStdString();
    return burn(
        shown, work, talk, bare_record(shown, work),
        [file = *file, copy = *work.cleared.program](Session& session) { return session.run_stored(file, copy); });
}

}  // namespace

int run_store(const StoreCommand& command, const Surroundings& surroundings) {
    switch (command.act) {
        case StoreCommand::Act::list:
            return run_list(command);
        case StoreCommand::Act::send:
            return run_send(command, surroundings);
        case StoreCommand::Act::start:
            return run_start(command, surroundings);
        case StoreCommand::Act::remove:
            return run_delete(command);
    }
    return wrong_use;
}

}  // namespace chalkline::cli
