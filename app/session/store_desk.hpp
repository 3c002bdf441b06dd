// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/plan_keeper.hpp"
#include "session/machine_link.hpp"
#include "tasks/task_runner.hpp"

#include <chalkline/history/stored_programs.hpp>
#include <chalkline/wording/wording.hpp>

#include <optional>
#include <vector>

namespace chalkline::app {

/// The controller's own store: what is on it, sending the plan there, showing what was sent from here so that it can be
/// burned from there, taking it away.
class StoreDesk : public QObject {
    Q_OBJECT
 public:
    StoreDesk(MachineLink& machine, PlanKeeper& plans, const QString& folder, QObject* parent = nullptr);

    struct Entry {
        machine::StoredFile file;
        QString title;   ///< of the job it was; empty: it was not sent from here
        QDateTime sent;  ///< when
    };
    const std::vector<Entry>& entries() const { return entries_; }
    /// What it is doing, or what went wrong last; empty: nothing to say.
    const QString& said() const { return said_; }
    bool working() const { return machine_.snapshot().activity == machine::Activity::storing; }
    /// Why the plan cannot be sent now; nothing when it can.
    std::optional<wording::Message> obstacle() const;

    void list();
    /// Writes the plan there. `name`: what somebody typed.
    void send(const QString& name, const QString& title);
    void remove(const machine::StoredFile& file);
    /// Shows the copy of a file as a program, to be looked at, framed and burned from the store. REQUIRES: it was sent
    /// from here.
    void show(const machine::StoredFile& file);

 Q_SIGNALS:
    void changed();
    /// The copy is worked out, and stands in for the plan then.
    void shown();

 private:
    void follow(machine::Activity activity);
    void read_entries();
    void say(const QString& text);
    MachineLink& machine_;
    PlanKeeper& plans_;
    history::StoredPrograms copies_;
    std::vector<Entry> entries_;
    QString said_;
    /// On its way to the store.
    std::optional<history::StoredProgram> sending_;
    TaskRunner reader_;
};

}  // namespace chalkline::app
