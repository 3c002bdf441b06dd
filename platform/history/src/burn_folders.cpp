// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/file.hpp>
#include <chalkline/history/burn_folders.hpp>
#include <chalkline/machine/program_bytes.hpp>
#include <chalkline/machine/walk.hpp>

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QStandardPaths>
#include <QUuid>
#include <algorithm>

namespace chalkline::history {
namespace {

QString record_file(const QString& folder) {
    return folder + "/burn.json";
}

QString lock_file(const BurnRecord& record) {
    return record.folder + "/lock";
}

/// What may have been begun when a Chalkline was killed: between its last note and its end it went on sending, in a
/// seventh of a second what a link carries and the largest buffers hold.
machine::ProgramPlace begun_unnoted(const machine::Program& program, machine::ProgramPlace noted) {
    constexpr int most_moves = 600;
    int moves = 0;
    machine::ProgramPlace furthest = noted;
    machine::walk(program, [&](const machine::Stretch& stretch) {
        if (stretch.place > noted && moves++ < most_moves) furthest = stretch.place;
    });
    return furthest;
}

}  // namespace

std::optional<machine::RememberedPlace> LeftOver::place() const {
    const machine::JournalNote& last = journal.last;
    if (!last.head || !last.origin) return {};
    machine::RememberedPlace place{*last.head + *last.origin, *last.origin, last.homed};
    machine::walk(program, [&](const machine::Stretch& stretch) {
        if (stretch.place <= last.done || stretch.place > last.begun) return;
        // Nobody knows from where the first move of a program comes.
        const bool known = stretch.place.operation > 0 || stretch.place.part > 0;
        if (place.ahead.empty() && known) place.ahead.push_back(stretch.from + *last.origin);
        place.ahead.push_back(stretch.to + *last.origin);
    });
    return place;
}

QString BurnFolders::usual_place() {
    return QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation) + "/Chalkline/burns";
}

std::vector<BurnRecord> BurnFolders::records() const {
    std::vector<BurnRecord> found;
    for (const QFileInfo& folder : QDir(folder_).entryInfoList(QDir::Dirs | QDir::NoDotAndDotDot))
        if (auto record = read(folder.filePath())) found.push_back(std::move(*record));
    std::sort(found.begin(), found.end(), [](const BurnRecord& a, const BurnRecord& b) { return a.begun > b.begun; });
    return found;
}

std::optional<BurnRecord> BurnFolders::read(const QString& folder) const {
    QFile file(record_file(folder));
    if (!file.open(QIODevice::ReadOnly)) return {};
    return parse_record(file.readAll(), folder);
}

BurnRecord BurnFolders::begin() const {
    BurnRecord record;
    record.begun = QDateTime::currentDateTime();
    record.folder = QDir(folder_).filePath(record.begun.toString("yyyyMMdd-HHmmss-") +
                                           QUuid::createUuid().toString(QUuid::Id128).left(6));
    return record;
}

Result<void> BurnFolders::keep(const BurnRecord& record) const {
    if (!QDir().mkpath(record.folder)) return fail(chalkline::error::file_unwritable, {}, record.folder.toStdString());
    return replace_file(record_file(record.folder).toStdString(), to_json(record).toStdString());
}

Result<void> BurnFolders::keep_work(const BurnRecord& record, const std::string& job,
                                    const machine::Program& program) const {
    if (!job.empty())
        if (auto done = replace_file(record.job_file().toStdString(), job); !done) return done;
    return replace_file(record.program_file().toStdString(), machine::to_bytes(program));
}

Result<LeftOver> BurnFolders::left_over(const BurnRecord& record) const {
    const auto bytes = read_file(record.program_file().toStdString());
    if (!bytes) return tl::unexpected(bytes.error());
    auto program = machine::program_from(*bytes);
    if (!program) return tl::unexpected(program.error());
    const auto journal = read_file(record.journal_file().toStdString());
    LeftOver left{std::move(*program), journal ? machine::read_journal(*journal) : machine::Journal{}};
    // Whatever the journal says lies in the program.
    const auto last = static_cast<std::int64_t>(left.program.operations.size()) - 1;
    for (machine::ProgramPlace* place : {&left.journal.last.done, &left.journal.last.begun})
        place->operation = std::min(place->operation, last);
    if (!left.journal.end) left.journal.last.begun = begun_unnoted(left.program, left.journal.last.begun);
    return left;
}

bool BurnFolders::can_go_on(const BurnRecord& record) const {
    if (record.end == machine::BurnEnd::finished || in_use(record)) return false;
    const auto journal = read_file(record.journal_file().toStdString());
    // One that was refused before its first move has nothing to go on with.
    return QFileInfo::exists(record.program_file()) && journal && machine::read_journal(*journal).last.seconds > 0;
}

std::optional<BurnRecord> BurnFolders::broken_off() const {
    for (BurnRecord& record : records()) {
        if (record.end || !QFileInfo::exists(record.job_file()) || !can_go_on(record)) continue;
        const auto journal = read_file(record.journal_file().toStdString());
        if (!machine::read_journal(*journal).end) return record;
    }
    return {};
}

std::optional<BurnRecord> BurnFolders::unfinished() const {
    for (BurnRecord& record : records())
        if (can_go_on(record)) return record;
    return {};
}

bool BurnFolders::in_use(const BurnRecord& record) {
    QLockFile lock(lock_file(record));
    lock.setStaleLockTime(0);
    if (!lock.tryLock(0)) return true;
    lock.unlock();
    return false;
}

std::unique_ptr<QLockFile> BurnFolders::hold(const BurnRecord& record) {
    auto lock = std::make_unique<QLockFile>(lock_file(record));
    lock->setStaleLockTime(0);
    // Somebody who only looks whether it is held has it for a moment.
    constexpr int patience = 1000;  // ms
    lock->tryLock(patience);
    return lock;
}

void BurnFolders::remove(const BurnRecord& record) const {
    QDir(record.folder).removeRecursively();
}

void BurnFolders::forget_oldest() const {
    const auto all = records();
    for (std::size_t i = most_records; i < all.size(); ++i)
        remove(all[i]);
}

}  // namespace chalkline::history
