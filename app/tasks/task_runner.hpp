// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/progress.hpp>
#include <chalkline/base/result.hpp>

#include <QMetaObject>
#include <QObject>
#include <QThreadPool>
#include <exception>
#include <functional>
#include <memory>
#include <stop_token>
#include <utility>

namespace chalkline::app {

/// Code of the error of a task that ended in an exception. Parameter `reason`.
inline constexpr std::string_view task_failed = "app.task-failed";

/// Threads for long work, below the GUI's own. Not the pool of Qt: drawing waits for that one, and a key pressed while
/// it is full would be heard when it is empty again.
QThreadPool* work_pool();

/// Who is told when a task ends in an exception, such as one for want of memory: called on the GUI thread. The task's
/// runner goes on waiting, so that nothing old is taken for its result.
void tell_failed_tasks_to(std::function<void(const Error&)> told);

/// Runs one kind of long work off the GUI thread, newest request only: a new one asks the one before to stop, and
/// whatever comes too late is dropped. Never waits for anything.
class TaskRunner : public QObject {
    Q_OBJECT
 public:
    /// REQUIRES: `pool` outlives the runner.
    explicit TaskRunner(QObject* parent = nullptr, QThreadPool* pool = work_pool()) : QObject(parent), pool_(pool) {}
    ~TaskRunner() override { cancel(); }

    /// `work(watch)` runs on a worker and must touch nothing of the GUI; `apply(result)` runs here afterwards, unless
    /// another task was started, this one was cancelled, or the runner is gone.
    template <class Work, class Apply>
    void start(Work work, Apply apply) {
        cancel();
        stop_ = std::stop_source();
        running_ = true;
        const auto stop = stop_.get_token();
        pool_->start([this, alive = std::weak_ptr<int>(alive_), stop, work = std::move(work),
                      apply = std::move(apply)]() mutable {
            if (stop.stop_requested()) return;  // a newer task waits behind this one
            step_back();
            using Made = decltype(work(Watch{}));
            std::shared_ptr<Made> result;
            try {
                result = std::make_shared<Made>(work(Watch{stop, {}}));
            } catch (const std::exception& failure) {
                return tell_failed(failure);
            }
            // Queued to the application, which outlives every runner; the runner is asked for only over there.
            QMetaObject::invokeMethod(
                qApp_(),
                [this, alive, stop, result, apply = std::move(apply)]() mutable {
                    if (alive.expired() || stop.stop_requested()) return;
                    running_ = false;
                    apply(std::move(*result));
                },
                Qt::QueuedConnection);
        });
    }
    void cancel() {
        stop_.request_stop();
        running_ = false;
    }
    bool running() const { return running_; }

 private:
    static QObject* qApp_();
    /// The thread that calls lets the GUI's go first.
    static void step_back();
    static void tell_failed(const std::exception& failure);
    QThreadPool* pool_;
    std::stop_source stop_;
    std::shared_ptr<int> alive_ = std::make_shared<int>(0);
    bool running_ = false;
};

}  // namespace chalkline::app
