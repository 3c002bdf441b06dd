// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "document/plan_keeper.hpp"
#include "history/burn_record.hpp"
#include "history/journal_file.hpp"
#include "session/burn_desk.hpp"
#include "tasks/task_runner.hpp"

#include <chalkline/planning/gains.hpp>

#include <QLockFile>
#include <QObject>
#include <memory>
#include <optional>
#include <vector>

namespace chalkline::app {

/// Every burn has a folder: the job as it was burned, its program, a journal of how far it came, and what became of it.
/// A burn whose Chalkline was ended in its middle is found here by the next one. docs/formats/history.md.
class BurnHistory : public QObject {
    Q_OBJECT
 public:
    BurnHistory(JobDocument& document, const PlanKeeper& plans, MachineLink& machine, BurnDesk& desk,
                const QString& folder, QObject* parent = nullptr);
    ~BurnHistory() override;

    /// Newest first.
    std::vector<BurnRecord> records() const;
    /// How true the plans of this machine's finished burns were.
    const planning::Correction& correction() const { return correction_; }
    /// Of the job that is open, burned last; nothing before its first burn.
    const std::optional<BurnRecord>& current() const { return current_; }
    void note(const BurnRecord& record, const QString& words);
    /// Copies a picture of how it came out into the record.
    void keep_photo(const BurnRecord& record, const QString& picture);
    void remove(const BurnRecord& record);

    /// The newest burn that broke off because Chalkline was ended, and has something left.
    std::optional<BurnRecord> broken_off() const;
    /// Nobody wants to go on with it.
    void give_up(const BurnRecord& record);
    /// Reads the program and journal of a burn that broke off, and gives them to the desk. REQUIRES: the document holds
    /// its job.
    void take_up(const BurnRecord& record);

    static constexpr int most_records = 300;  ///< older ones go

 Q_SIGNALS:
    void changed();
    /// Something could not be kept or read.
    void failed(const chalkline::Error& error);

 private:
    void begin(const std::shared_ptr<const machine::Rest>& rest);
    void end(machine::BurnEnd how);
    BurnRecord fresh_record() const;
    void open_journal();
    void keep(BurnRecord record);
    void forget_oldest();
    void learn();

    JobDocument& document_;
    const PlanKeeper& plans_;
    MachineLink& machine_;
    BurnDesk& desk_;
    QString folder_;
    std::optional<BurnRecord> current_;
    planning::Correction correction_;
    std::shared_ptr<JournalFile> journal_;
    std::unique_ptr<QLockFile> lock_;
    TaskRunner writer_, reader_;
};

}  // namespace chalkline::app
