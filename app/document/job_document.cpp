// SPDX-License-Identifier: GPL-3.0-or-later
#include "document/job_document.hpp"

#include <chalkline/job/chalk_file.hpp>

#include <QFileInfo>

namespace chalkline::app {

/// The one undo command: the job before and after.
class JobDocument::Edit : public QUndoCommand {
 public:
    Edit(JobDocument& document, const QString& name, job::Job after, JobChange change, int merge)
        : QUndoCommand(name),
          document_(document),
          before_(document.job_),
          after_(std::move(after)),
          change_(change),
          merge_(merge),
          epoch_(document.merge_epoch_) {}

    void redo() override { document_.set(after_, change_); }
    void undo() override { document_.set(before_, change_); }
    int id() const override { return merge_ == 0 ? -1 : merge_; }
    bool mergeWith(const QUndoCommand* other) override {
        const auto* next = static_cast<const Edit*>(other);
        if (next->epoch_ != epoch_) return false;
        after_ = next->after_;
        change_ = change_ | next->change_;
        return true;
    }

 private:
    JobDocument& document_;
    job::Job before_, after_;
    JobChange change_;
    int merge_, epoch_;
};

JobDocument::JobDocument(QObject* parent) : QObject(parent) {
    connect(&history_, &QUndoStack::cleanChanged, this, [this] { Q_EMIT changed(JobChange::file); });
}

Result<void> JobDocument::edit(const QString& name, Result<job::Job> edited, JobChange change, int merge) {
    if (!edited) return tl::unexpected(edited.error());
    history_.push(new Edit(*this, name, std::move(*edited), change, merge));
    return {};
}

void JobDocument::replace(job::Job job, const QString& path) {
    history_.clear();
    // An empty history is not made clean by clearing it.
    history_.setClean();
    path_ = path;
    saved_at_ = path.isEmpty() ? QDateTime() : QFileInfo(path).lastModified();
    set(job, JobChange::everything);
}

void JobDocument::replace_unsaved(job::Job job, const QString& path) {
    replace(std::move(job), path);
    history_.resetClean();
}

Result<void> JobDocument::save(const QString& path) {
    if (auto saved = job::save(job_, path.toStdString()); !saved) return saved;
    path_ = path;
    saved_at_ = QDateTime::currentDateTime();
    history_.setClean();
    Q_EMIT changed(JobChange::file);
    return {};
}

QString JobDocument::title() const {
    return path_.isEmpty() ? tr("New job") : QFileInfo(path_).completeBaseName();
}

void JobDocument::set(const job::Job& job, JobChange change) {
    job_ = job;
    Q_EMIT changed(change);
}

}  // namespace chalkline::app
