// SPDX-License-Identifier: GPL-3.0-or-later
#include "history/burn_history.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/machine/program_bytes.hpp>
#include <chalkline/wording/wording.hpp>

#include <QCoreApplication>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QImage>
#include <QPointer>
#include <QUuid>

namespace chalkline::app {
namespace {

QString record_file(const QString& folder) {
    return folder + "/burn.json";
}

std::optional<BurnRecord> read_record(const QString& folder) {
    QFile file(record_file(folder));
    if (!file.open(QIODevice::ReadOnly)) return {};
    return parse_record(file.readAll(), folder);
}

/// Its Chalkline is running.
bool in_use(const QString& folder) {
    QLockFile lock(folder + "/lock");
    lock.setStaleLockTime(0);
    if (!lock.tryLock(0)) return true;
    lock.unlock();
    return false;
}

/// "Cut 100 %, 240 mm/min, 2 passes"
QString words_of(const job::Step& step) {
    const auto& s = step.settings;
    const QString once =
        QObject::tr("%1 %2 %, %3 mm/min").arg(wording::name(s.kind)).arg(s.power.percent()).arg(s.speed.mm_per_min());
    return s.passes == 1 ? once : QObject::tr("%1, %2 passes").arg(once).arg(s.passes);
}

}  // namespace

BurnHistory::BurnHistory(JobDocument& document, const PlanKeeper& plans, MachineLink& machine, BurnDesk& desk,
                         const QString& folder, QObject* parent)
    : QObject(parent), document_(document), plans_(plans), machine_(machine), desk_(desk), folder_(folder) {
    connect(&desk_, &BurnDesk::began, this, &BurnHistory::begin);
    connect(&desk_, &BurnDesk::ended, this, &BurnHistory::end);
    connect(&machine_, &MachineLink::failed, this, [this](machine::Activity activity) {
        // Refused: it never began.
        if (activity == machine::Activity::none && journal_ && !desk_.burning()) end(machine::BurnEnd::failed);
    });
    connect(&machine_, &MachineLink::profile_changed, this, &BurnHistory::learn);
    learn();
    connect(&document_, &JobDocument::changed, this, [this](JobChange change) {
        if (change != JobChange::everything || desk_.burning()) return;
        current_.reset();
        Q_EMIT changed();
    });
}

BurnHistory::~BurnHistory() {
    machine_.set_witness({});
}

std::vector<BurnRecord> BurnHistory::records() const {
    std::vector<BurnRecord> found;
    for (const QFileInfo& folder : QDir(folder_).entryInfoList(QDir::Dirs | QDir::NoDotAndDotDot))
        if (auto record = read_record(folder.filePath())) found.push_back(std::move(*record));
    std::sort(found.begin(), found.end(), [](const BurnRecord& a, const BurnRecord& b) { return a.begun > b.begun; });
    return found;
}

/// Read from the disk, so only when a burn ended or another machine is meant.
void BurnHistory::learn() {
    std::vector<planning::Burned> burned;
    for (const BurnRecord& record : records())
        if (record.end == machine::BurnEnd::finished &&
            record.machine == QString::fromStdString(machine_.profile().name))
            burned.push_back({record.planned, record.took});
    correction_ = planning::correction_from(burned);
    desk_.set_time_factor(correction_.factor);
}

BurnRecord BurnHistory::fresh_record() const {
    BurnRecord record;
    record.begun = QDateTime::currentDateTime();
    record.folder = QDir(folder_).filePath(record.begun.toString("yyyyMMdd-HHmmss-") +
                                           QUuid::createUuid().toString(QUuid::Id128).left(6));
    record.title = plans_.program_name().isEmpty() ? document_.title() : plans_.program_name();
    record.path = document_.path();
    record.machine = QString::fromStdString(machine_.profile().name);
    const job::Job& job = document_.job();
    if (job.stock)
        record.material =
            QString("%1 %2").arg(QString::fromStdString(job.stock->material),
                                 QString::fromStdString(format_length(job.stock->thickness, LengthUnit::mm)));
    const auto plan = desk_.burning_plan();
    for (const auto& report : plan->steps)
        if (const job::Step* step = job.step(report.step)) record.steps << words_of(*step);
    record.planned = plan->total.seconds();
    return record;
}

void BurnHistory::begin(const std::shared_ptr<const machine::Rest>& rest) {
    if (!rest || !current_) {
        current_ = fresh_record();
        if (!QDir().mkpath(current_->folder))
            return Q_EMIT failed(
                Error{std::string(chalkline::error::file_unwritable), {}, current_->folder.toStdString(), 0});
        writer_.start(
            [job = document_.job(), plan = desk_.burning_plan(), record = *current_](const Watch&) -> Result<void> {
                auto bytes = job::to_chalk(job);
                if (!bytes) return tl::unexpected(bytes.error());
                auto done = replace_file(record.job_file().toStdString(), *bytes);
                if (done) done = replace_file(record.program_file().toStdString(), machine::to_bytes(plan->program));
                return done;
            },
            [this](const Result<void>& done) {
                if (!done) Q_EMIT failed(done.error());
            });
        forget_oldest();
    }
    current_->end.reset();
    current_->ended = {};
    keep(*current_);
    open_journal();
    journal_->begin(rest);
}

void BurnHistory::open_journal() {
    if (journal_) return;
    lock_ = std::make_unique<QLockFile>(current_->folder + "/lock");
    lock_->setStaleLockTime(0);
    lock_->tryLock(0);
    const QPointer<BurnHistory> self(this);
    journal_ = std::make_shared<JournalFile>(current_->journal_file().toStdString(), [self](const Error& error) {
        QMetaObject::invokeMethod(
            QCoreApplication::instance(),
            [self, error] {
                if (self) Q_EMIT self->failed(error);
            },
            Qt::QueuedConnection);
    });
    machine_.set_witness(journal_);
}

void BurnHistory::end(machine::BurnEnd how) {
    if (!current_) return;
    if (journal_) journal_->end(how);
    machine_.set_witness({});
    journal_.reset();
    lock_.reset();
    current_->end = how;
    current_->ended = QDateTime::currentDateTime();
    current_->took += desk_.pace().measured;
    current_->share = how == machine::BurnEnd::finished ? 1 : desk_.share_done();
    // Nothing is left to go on with.
    if (how == machine::BurnEnd::finished) QFile::remove(current_->program_file());
    keep(*current_);
    learn();
    Q_EMIT changed();
}

void BurnHistory::keep(BurnRecord record) {
    const auto done = replace_file(record_file(record.folder).toStdString(), to_json(record).toStdString());
    if (!done) return Q_EMIT failed(done.error());
    if (current_ && current_->folder == record.folder) current_ = std::move(record);
    Q_EMIT changed();
}

void BurnHistory::note(const BurnRecord& record, const QString& words) {
    auto kept = read_record(record.folder);
    if (!kept || kept->note == words) return;
    kept->note = words;
    keep(*kept);
}

void BurnHistory::keep_photo(const BurnRecord& record, const QString& picture) {
    constexpr int largest = 1600;  // px: enough to see how it came out
    QImage image(picture);
    auto kept = read_record(record.folder);
    if (image.isNull() || !kept)
        return Q_EMIT failed(Error{std::string(chalkline::error::file_unreadable), {}, picture.toStdString(), 0});
    if (std::max(image.width(), image.height()) > largest)
        image = image.scaled(largest, largest, Qt::KeepAspectRatio, Qt::SmoothTransformation);
    kept->photo = "photo.jpg";
    if (!image.save(kept->photo_file(), "JPG", 88))
        return Q_EMIT failed(
            Error{std::string(chalkline::error::file_unwritable), {}, kept->photo_file().toStdString(), 0});
    keep(*kept);
}

void BurnHistory::remove(const BurnRecord& record) {
    if (current_ && current_->folder == record.folder) current_.reset();
    QDir(record.folder).removeRecursively();
    learn();
    Q_EMIT changed();
}

void BurnHistory::forget_oldest() {
    const auto all = records();
    for (std::size_t i = most_records; i < all.size(); ++i)
        QDir(all[i].folder).removeRecursively();
}

std::optional<BurnRecord> BurnHistory::broken_off() const {
    for (BurnRecord& record : records()) {
        if (record.end || in_use(record.folder)) continue;
        const bool whole = QFileInfo::exists(record.job_file()) && QFileInfo::exists(record.program_file());
        const auto journal = read_file(record.journal_file().toStdString());
        if (!whole || !journal) continue;
        const auto said = machine::read_journal(*journal);
        // One that was refused before its first move has nothing to go on with.
        if (said.end || said.last.seconds <= 0) continue;
        return record;
    }
    return {};
}

void BurnHistory::give_up(const BurnRecord& record) {
    auto kept = read_record(record.folder);
    if (!kept) return;
    kept->end = machine::BurnEnd::failed;
    QFile::remove(kept->program_file());
    keep(*kept);
}

void BurnHistory::take_up(const BurnRecord& record) {
    struct Read {
        std::shared_ptr<const planning::Plan> plan;
        machine::JournalNote note;
    };
    reader_.start(
        [record, profile = machine_.profile()](const Watch&) -> Result<Read> {
            const auto bytes = read_file(record.program_file().toStdString());
            if (!bytes) return tl::unexpected(bytes.error());
            auto program = machine::program_from(*bytes);
            if (!program) return tl::unexpected(program.error());
            const auto journal = read_file(record.journal_file().toStdString());
            return Read{std::make_shared<const planning::Plan>(planning::plan_of(std::move(*program), profile)),
                        journal ? machine::read_journal(*journal).last : machine::JournalNote{}};
        },
        [this, record](const Result<Read>& read) {
            if (!read) return Q_EMIT failed(read.error());
            current_ = record;
            desk_.take_up(read->plan, read->note);
            Q_EMIT changed();
        });
}

}  // namespace chalkline::app
