// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/conversation/journal.hpp>
#include <chalkline/history/burn_record.hpp>
#include <chalkline/machine/program.hpp>

#include <QLockFile>
#include <QString>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace chalkline::history {

/// What is left of a burn that did not come to its end: its whole program, and how far it came.
struct LeftOver {
    machine::Program program;
    machine::Journal journal;
    /// Where its machine was left, to be believed by the next conversation with it: the head may have gone on by itself
    /// along what had been sent.
    std::optional<machine::RememberedPlace> place() const;
};

/// The folders of all burns, one for each: the job as it was burned, its program, a journal of how far it came, and
/// what became of it. Window and command line share them; docs/formats/history.md. Any thread, one at a time.
class BurnFolders {
 public:
    explicit BurnFolders(QString folder) : folder_(std::move(folder)) {}
    /// Where this user's burns are kept.
    static QString usual_place();

    /// Newest first.
    std::vector<BurnRecord> records() const;
    std::optional<BurnRecord> read(const QString& folder) const;
    /// A record that begins now, with a folder's name of its own. Nothing is written yet.
    BurnRecord begin() const;
    Result<void> keep(const BurnRecord& record) const;
    /// The bytes of the job (empty: a program from a file) and the program, beside the record.
    Result<void> keep_work(const BurnRecord& record, const std::string& job, const machine::Program& program) const;
    /// Program and journal of a burn that was not brought to its end. Errors: one of them cannot be read.
    Result<LeftOver> left_over(const BurnRecord& record) const;

    /// The newest burn that broke off because its Chalkline was ended, and has something left.
    std::optional<BurnRecord> broken_off() const;
    /// The newest burn that did not come to its end, whatever ended it, and has something left.
    std::optional<BurnRecord> unfinished() const;
    /// It has something left, and nobody burns it.
    bool can_go_on(const BurnRecord& record) const;
    /// Its Chalkline is running.
    static bool in_use(const BurnRecord& record);
    /// Says to others that the burn runs, as long as it is kept.
    static std::unique_ptr<QLockFile> hold(const BurnRecord& record);

    void remove(const BurnRecord& record) const;
    void forget_oldest() const;
    static constexpr std::size_t most_records = 300;  ///< older ones go

 private:
    QString folder_;
};

}  // namespace chalkline::history
