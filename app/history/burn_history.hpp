// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "document/plan_keeper.hpp"
#include "session/burn_desk.hpp"
#include "tasks/task_runner.hpp"

#include <chalkline/history/burn_folders.hpp>
#include <chalkline/history/journal_file.hpp>
#include <chalkline/planning/gains.hpp>

#include <QLockFile>
#include <QObject>
#include <memory>
#include <optional>
#include <vector>

namespace chalkline::app {

using history::BurnRecord;

/// Keeps every burn of this window in its folder (history/burn_folders.hpp) while it runs and when it ended. A burn
/// whose Chalkline was ended in its middle is found here by the next one.
class BurnHistory : public QObject {
    Q_OBJECT
 public:
    BurnHistory(JobDocument& document, const PlanKeeper& plans, MachineLink& machine, BurnDesk& desk,
                const QString& folder, QObject* parent = nullptr);
    ~BurnHistory() override;

    /// Newest first.
    std::vector<BurnRecord> records() const { return folders_.records(); }
    /// How true the plans of this machine's finished burns were.
    const planning::Correction& correction() const { return correction_; }
    /// Of the job that is open, burned last; nothing before its first burn.
    const std::optional<BurnRecord>& current() const { return current_; }
    void note(const BurnRecord& record, const QString& words);
    /// Copies a picture of how it came out into the record.
    void keep_photo(const BurnRecord& record, const QString& picture);
    void remove(const BurnRecord& record);

    /// The newest burn that broke off because Chalkline was ended, and has something left.
    std::optional<BurnRecord> broken_off() const { return folders_.broken_off(); }
    /// It was not brought to its end, nobody burns it, and what is left of it is kept.
    bool can_go_on(const BurnRecord& record) const;
    /// Nobody wants to go on with it.
    void give_up(const BurnRecord& record);
    /// Reads the program and journal of a burn that broke off, and gives them to the desk. REQUIRES: the document holds
    /// its job.
    void take_up(const BurnRecord& record);

 Q_SIGNALS:
    void changed();
    /// Something could not be kept or read.
    void failed(const chalkline::Error& error);

 private:
    void begin(const std::shared_ptr<const machine::Rest>& rest);
    void end(machine::BurnEnd how);
    BurnRecord fresh_record() const;
    void keep_work();
    void open_journal();
    void keep(BurnRecord record);
    void learn();

    JobDocument& document_;
    const PlanKeeper& plans_;
    MachineLink& machine_;
    BurnDesk& desk_;
    history::BurnFolders folders_;
    std::optional<BurnRecord> current_;
    planning::Correction correction_;
    std::shared_ptr<history::JournalFile> journal_;
    std::unique_ptr<QLockFile> lock_;
    TaskRunner writer_, reader_;
};

}  // namespace chalkline::app
