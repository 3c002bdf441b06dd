// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "tasks/task_runner.hpp"

#include <QDateTime>
#include <QLockFile>
#include <QTimer>
#include <memory>

namespace chalkline::app {

/// A job another Chalkline left behind when it ended without closing.
struct LeftBehind {
    QString file;  ///< the copy
    QString path;  ///< where the job lives, empty when it was never saved
    QDateTime kept_at;
};

/// Keeps a copy of the job's unsaved changes in a folder, at most every 30 seconds of change, so that a crash or a
/// power cut loses no more than that. The copy goes away when the job is saved or given up. A lock file tells the
/// copies of running programs from those left behind. docs/formats/recovery.md describes the files.
class Autosave : public QObject {
    Q_OBJECT
 public:
    Autosave(JobDocument& document, const QString& folder, QObject* parent = nullptr);
    ~Autosave() override;

    void set_interval(int milliseconds) { wait_.setInterval(milliseconds); }
    /// The document now holds what was left behind: kept here at once, then the old copy goes.
    void take_over(const LeftBehind& copy);
    /// The program is about to end without asking: what is not saved is kept now, on this thread.
    void keep_before_end();
    /// The user closes the job knowingly: nothing is left behind.
    void forget();

    static std::vector<LeftBehind> left_behind(const QString& folder);
    static void discard(const LeftBehind& copy);

 Q_SIGNALS:
    /// The copy could not be written.
    void failed(const chalkline::Error& error);

 private:
    void follow();
    void keep();
    std::optional<LeftBehind> taken_over_;

    JobDocument& document_;
    QString file_;
    QLockFile lock_;
    QTimer wait_;
    TaskRunner writer_;
};

}  // namespace chalkline::app
