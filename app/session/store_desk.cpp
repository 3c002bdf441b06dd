// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/store_desk.hpp"

#include <chalkline/machine/program_text.hpp>

namespace chalkline::app {

using machine::Activity;
using machine::Session;
using machine::StoredFile;

StoreDesk::StoreDesk(MachineLink& machine, PlanKeeper& plans, const QString& folder, QObject* parent)
    : QObject(parent), machine_(machine), plans_(plans), copies_(folder) {
    connect(&machine_, &MachineLink::finished, this, &StoreDesk::follow);
    connect(&machine_, &MachineLink::failed, this, [this](Activity activity, const Error& error) {
        if (activity != Activity::storing) return;
        sending_.reset();
        say(wording::describe(error).whole());
    });
    connect(&machine_, &MachineLink::stopped, this, [this](Activity activity) {
        if (activity != Activity::storing) return;
        sending_.reset();
        say(tr("Stopped; nothing of it is left in the store."));
    });
    connect(&machine_, &MachineLink::changed, this, [this] {
        if (working() && sending_) said_ = tr("Sending: %1 lines").arg(machine_.snapshot().lines_done);
        if (!machine_.connected()) entries_.clear();
        Q_EMIT changed();
    });
}

std::optional<wording::Message> StoreDesk::obstacle() const {
    if (plans_.ready()) return {};
    if (!plans_.stale())
        if (const auto why = wording::obstacle(plans_.planned())) return why;
    return wording::Message{tr("Still planning"), {}, tr("One moment.")};
}

void StoreDesk::list() {
    say(tr("Asking the controller…"));
    machine_.ask([](Session& session) { return session.list_store(); });
}

void StoreDesk::send(const QString& name, const QString& title) {
    if (const auto why = obstacle()) return say(why->whole());
    const std::string stored = machine::store_name(name.toStdString(), machine_.profile().dialect);
    if (stored.empty()) return say(tr("Give it a name of letters and figures."));
    // The copy of a picture's program is many megabytes of text.
    reader_.start([program = *plans_.planned().program](const Watch&) { return program.text(); },
                  [this, stored, title, program = *plans_.planned().program](std::string text) {
                      sending_ = {{stored, 0}, title, QDateTime::currentDateTime(), std::move(text)};
                      machine_.ask([stored, program](Session& session) { return session.store(stored, program); });
                  });
}

void StoreDesk::remove(const StoredFile& file) {
    say(tr("Deleting…"));
    machine_.ask([name = file.name](Session& session) { return session.remove_stored(name); });
}

void StoreDesk::follow(Activity activity) {
    if (activity != Activity::storing) return;
    said_.clear();
    const auto& stored = machine_.snapshot().stored;
    if (sending_) {
        const auto file = machine::find_stored(*stored, sending_->file.name);
        if (file) sending_->file = *file;
        const auto kept = copies_.keep(machine_.address(), *sending_);
        said_ = kept ? tr("%1 is in the store, %2 bytes.")
                           .arg(QString::fromStdString(sending_->file.name))
                           .arg(sending_->file.bytes)
                     : wording::describe(kept.error()).whole();
        sending_.reset();
    }
    read_entries();
    if (entries_.empty()) said_ = tr("The store is empty.");
    Q_EMIT changed();
}

void StoreDesk::read_entries() {
    entries_.clear();
    for (const StoredFile& file : *machine_.snapshot().stored) {
        const auto copy = copies_.find(machine_.address(), file);
        entries_.push_back({file, copy ? copy->title : QString(), copy ? copy->sent : QDateTime()});
    }
}

void StoreDesk::show(const StoredFile& file) {
    struct Shown {
        QString title;
        std::shared_ptr<const machine::Program> program;
    };
    say(tr("Reading the copy…"));
    reader_.start(
        [copies = copies_, address = machine_.address(), file,
         profile = machine_.profile()](const Watch&) -> Result<Shown> {
            const auto copy = copies.find(address, file);
            if (!copy) return fail(machine::error::not_in_store, {{"name", file.name}});
            auto program = machine::read_program(copy->program, profile, file.name);
            if (!program) return tl::unexpected(program.error());
            return Shown{copy->title, std::make_shared<const machine::Program>(std::move(*program))};
        },
        [this, file](Result<Shown> read) {
            if (!read) return say(wording::describe(read.error()).whole());
            said_.clear();
            plans_.show_program(QString::fromStdString(file.name), std::move(read->program), file);
            Q_EMIT changed();
            Q_EMIT shown();
        });
}

void StoreDesk::say(const QString& text) {
    said_ = text;
    Q_EMIT changed();
}

}  // namespace chalkline::app
