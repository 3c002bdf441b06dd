// SPDX-License-Identifier: GPL-3.0-or-later
#include "document/job_document.hpp"

#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/held_bytes.hpp>

#include <QFileInfo>
#include <QSignalBlocker>
#include <utility>
#include <vector>

namespace chalkline::app {

/// The one undo command: the job before and after.
class JobDocument::Edit : public QUndoCommand {
 public:
    struct Step {
        QString name;
        job::Job before, after;
        JobChange change;
        Merge merge;
        int epoch;
        std::uint64_t state_before, state_after;
    };
    Edit(JobDocument& document, Step step) : QUndoCommand(step.name), document_(document), step_(std::move(step)) {}
    /// The same step in a new history: it is carried out already.
    static Edit* carried_over(const Edit& edit) {
        auto* same = new Edit(edit.document_, edit.step_);
        same->done_ = true;
        return same;
    }
    const Step& step() const { return step_; }
    bool continued_by(const Edit& next) const {
        return next.step_.epoch == step_.epoch && next.step_.merge == step_.merge;
    }

    void redo() override {
        if (!std::exchange(done_, false)) document_.set(step_.after, step_.change, step_.state_after);
    }
    void undo() override { document_.set(step_.before, step_.change, step_.state_before); }
    int id() const override { return step_.merge ? 1 : -1; }
    bool mergeWith(const QUndoCommand* other) override {
        const auto& edit = *static_cast<const Edit*>(other);
        if (!continued_by(edit)) return false;
        const Step& next = edit.step_;
        step_.after = next.after;
        step_.state_after = next.state_after;
        step_.change = step_.change | next.change;
        return true;
    }

 private:
    JobDocument& document_;
    Step step_;
    bool done_ = false;
};

JobDocument::JobDocument(QObject* parent) : QObject(parent) {
    connect(&history_, &QUndoStack::cleanChanged, this, [this] { Q_EMIT changed(JobChange::file); });
}

Result<void> JobDocument::edit(const QString& name, Result<job::Job> edited, JobChange change, const Merge& merge) {
    if (!edited) return tl::unexpected(edited.error());
    auto* next =
        new Edit(*this, {name, job_, std::move(*edited), change, merge, merge_epoch_, state_, ++newest_state_});
    // Weighed once a step, not at every move of a drag.
    const auto* last = static_cast<const Edit*>(history_.command(history_.index() - 1));
    const bool goes_on = merge && last && last->continued_by(*next);
    if (!goes_on) forget_oldest();
    history_.push(next);
    return {};
}

/// The newest steps that fit stay. A step of large pictures may be worth a thousand nudges.
void JobDocument::forget_oldest() {
    job::HeldBytes held;
    held.add(job_);
    int first = history_.index();
    std::size_t bytes = 0;
    while (first > 0) {
        bytes += held.add(static_cast<const Edit*>(history_.command(first - 1))->step().before);
        if (bytes > most_bytes_) break;
        --first;
    }
    if (first == 0) return;
    std::vector<Edit*> kept;
    for (int i = first; i < history_.index(); ++i)
        kept.push_back(Edit::carried_over(*static_cast<const Edit*>(history_.command(i))));
    const int clean = history_.cleanIndex() - first;
    // Nobody is told: nothing of the job changed, and the edit that follows says the rest.
    const QSignalBlocker quiet(history_);
    history_.clear();
    if (clean != 0) history_.resetClean();
    for (std::size_t i = 0; i < kept.size(); ++i) {
        history_.push(kept[i]);
        if (clean == static_cast<int>(i) + 1) history_.setClean();
    }
}

void JobDocument::replace(job::Job job, const QString& path) {
    history_.clear();
    // An empty history is not made clean by clearing it.
    history_.setClean();
    path_ = path;
    saved_at_ = path.isEmpty() ? QDateTime() : QFileInfo(path).lastModified();
    set(job, JobChange::everything, ++newest_state_);
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

void JobDocument::set(const job::Job& job, JobChange change, std::uint64_t state) {
    job_ = job;
    state_ = state;
    Q_EMIT changed(change);
}

}  // namespace chalkline::app
