// SPDX-License-Identifier: GPL-3.0-or-later
#include "history/burn_history.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/wording/wording.hpp>

#include <QCoreApplication>
#include <QFile>
#include <QFileInfo>
#include <QImage>
#include <QPointer>

namespace chalkline::app {
BurnHistory::BurnHistory(JobDocument& document, const PlanKeeper& plans, MachineLink& machine, BurnDesk& desk,
                         const QString& folder, QObject* parent)
    : QObject(parent), document_(document), plans_(plans), machine_(machine), desk_(desk), folders_(folder) {
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
    BurnRecord record = folders_.begin();
    record.title = plans_.program_name().isEmpty() ? document_.title() : plans_.program_name();
    record.path = document_.path();
    record.machine = QString::fromStdString(machine_.profile().name);
    record.port = machine_.address();
    const job::Job& job = document_.job();
    if (job.stock)
        record.material =
            QString("%1 %2").arg(QString::fromStdString(job.stock->material),
                                 QString::fromStdString(format_length(job.stock->thickness, LengthUnit::mm)));
    const auto plan = desk_.burning_plan();
    for (const auto& report : plan->steps)
        if (const job::Step* step = job.step(report.step)) record.steps << wording::in_short(step->settings);
    record.planned = plan->total.seconds();
    return record;
}

void BurnHistory::begin(const std::shared_ptr<const machine::Rest>& rest) {
    if (!rest || !current_) {
        current_ = fresh_record();
        if (const auto kept = folders_.keep(*current_); !kept) return Q_EMIT failed(kept.error());
        // What the controller burns by itself cannot be gone on with.
        if (!desk_.burning_file()) keep_work();
        folders_.forget_oldest();
    }
    current_->end.reset();
    current_->ended = {};
    keep(*current_);
    open_journal();
    journal_->begin(rest);
}

void BurnHistory::keep_work() {
    writer_.start(
        [job = document_.job(), plan = desk_.burning_plan(), record = *current_,
         folders = folders_](const Watch&) -> Result<void> {
            auto bytes = job::to_chalk(job);
            if (!bytes) return tl::unexpected(bytes.error());
            return folders.keep_work(record, *bytes, plan->program);
        },
        [this](const Result<void>& done) {
            if (!done) Q_EMIT failed(done.error());
        });
}

void BurnHistory::open_journal() {
    if (journal_) return;
    lock_ = folders_.hold(*current_);
    const QPointer<BurnHistory> self(this);
    journal_ =
        std::make_shared<history::JournalFile>(current_->journal_file().toStdString(), [self](const Error& error) {
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
    const auto done = folders_.keep(record);
    if (!done) return Q_EMIT failed(done.error());
    if (current_ && current_->folder == record.folder) current_ = std::move(record);
    Q_EMIT changed();
}

void BurnHistory::note(const BurnRecord& record, const QString& words) {
    auto kept = folders_.read(record.folder);
    if (!kept || kept->note == words) return;
    kept->note = words;
    keep(*kept);
}

void BurnHistory::keep_photo(const BurnRecord& record, const QString& picture) {
    constexpr int largest = 1600;  // px: enough to see how it came out
    QImage image(picture);
    auto kept = folders_.read(record.folder);
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
    folders_.remove(record);
    learn();
    Q_EMIT changed();
}

bool BurnHistory::can_go_on(const BurnRecord& record) const {
    return QFileInfo::exists(record.job_file()) && folders_.can_go_on(record);
}

void BurnHistory::give_up(const BurnRecord& record) {
    auto kept = folders_.read(record.folder);
    if (!kept) return;
    kept->end = machine::BurnEnd::failed;
    QFile::remove(kept->program_file());
    keep(*kept);
}

void BurnHistory::take_up(const BurnRecord& record) {
    struct Read {
        std::shared_ptr<const planning::Plan> plan;
        machine::JournalNote note;
        std::optional<machine::RememberedPlace> place;
    };
    reader_.start(
        [record, folders = folders_, profile = machine_.profile()](const Watch&) -> Result<Read> {
            auto left = folders.left_over(record);
            if (!left) return tl::unexpected(left.error());
            const auto place = left->place();
            return Read{std::make_shared<const planning::Plan>(planning::plan_of(std::move(left->program), profile)),
                        left->journal.last, place};
        },
        [this, record](const Result<Read>& read) {
            if (!read) return Q_EMIT failed(read.error());
            current_ = record;
            // A board that stayed on is where what it had been sent ended.
            if (read->place) machine_.remember(record.port, *read->place);
            desk_.take_up(read->plan, read->note);
            Q_EMIT changed();
        });
}

}  // namespace chalkline::app
