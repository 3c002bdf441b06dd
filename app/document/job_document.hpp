// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/merge_key.hpp"

#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>

#include <QDateTime>
#include <QObject>
#include <QString>
#include <QUndoStack>
#include <cstdint>

namespace chalkline::app {

/// What of the job is no longer what it was. Values add up.
enum class JobChange : unsigned {
    none = 0,
    art = 1,
    place = 2,
    steps = 4,
    stock = 8,
    file = 16,
    marked = 32,
    checks = 64,  ///< overrides
    everything = 127
};
inline JobChange operator|(JobChange a, JobChange b) {
    return static_cast<JobChange>(static_cast<unsigned>(a) | static_cast<unsigned>(b));
}
inline bool touches(JobChange change, JobChange part) {
    return (static_cast<unsigned>(change) & static_cast<unsigned>(part)) != 0;
}

/// The open job: its value, its file and its history. Views draw from `job()` and redraw on `changed`; nothing else
/// tells them anything, and none of them writes to the job but through `edit`.
class JobDocument : public QObject {
    Q_OBJECT
 public:
    explicit JobDocument(QObject* parent = nullptr);

    const job::Job& job() const { return job_; }
    QUndoStack& history() { return history_; }

    /// Makes `edited` the job as one named step of the history. Edits with the same `merge` that follow each other
    /// become one. An error leaves the job as it was and is returned.
    Result<void> edit(const QString& name, Result<job::Job> edited, JobChange change, const Merge& merge = {});
    /// Ends merging: the next edit is a step of its own.
    void end_merge() { ++merge_epoch_; }

    /// Takes a job as freshly opened from `path` (empty: a new one).
    void replace(job::Job job, const QString& path);
    /// The same for a job with changes that are not in its file: it counts as unsaved.
    void replace_unsaved(job::Job job, const QString& path);
    Result<void> save(const QString& path);

    QString path() const { return path_; }
    /// "Plot 27", or "New job".
    QString title() const;
    /// Which state of the history this is: undo comes back to the number that was there before.
    std::uint64_t state() const { return state_; }
    bool unsaved() const { return !history_.isClean(); }
    /// The history holds at most about so much beside the job itself; the oldest steps are forgotten first.
    void set_history_limit(std::size_t bytes) { most_bytes_ = bytes; }
    QDateTime saved_at() const { return saved_at_; }

 Q_SIGNALS:
    void changed(chalkline::app::JobChange change);

 private:
    class Edit;
    void set(const job::Job& job, JobChange change, std::uint64_t state);
    void forget_oldest();

    job::Job job_;
    QUndoStack history_;
    QString path_;
    QDateTime saved_at_;
    int merge_epoch_ = 0;
    std::uint64_t state_ = 0, newest_state_ = 0;
    std::size_t most_bytes_ = 512U << 20U;
};

}  // namespace chalkline::app
