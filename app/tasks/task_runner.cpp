// SPDX-License-Identifier: GPL-3.0-or-later
#include "tasks/task_runner.hpp"

#include <sys/resource.h>
#include <unistd.h>

#include <QCoreApplication>

namespace chalkline::app {
namespace {

std::function<void(const Error&)>& told() {
    static std::function<void(const Error&)> whom;
    return whom;
}

}  // namespace

/// What is under way when the application ends tells it its result: it is waited for while there is one.
QThreadPool* work_pool() {
    static QThreadPool pool;
    static const bool waited_for = [] {
        qAddPostRoutine([] { pool.waitForDone(); });
        return true;
    }();
    (void)waited_for;
    return &pool;
}

void tell_failed_tasks_to(std::function<void(const Error&)> whom) {
    told() = std::move(whom);
}

QObject* TaskRunner::qApp_() {
    return QCoreApplication::instance();
}

/// On Linux a thread has a nice value of its own (setpriority(2), notes).
void TaskRunner::step_back() {
    constexpr int nicer = 5;
    thread_local const bool done = ::setpriority(PRIO_PROCESS, static_cast<id_t>(::gettid()), nicer) == 0;
    (void)done;
}

void TaskRunner::tell_failed(const std::exception& failure) {
    const Error error{std::string(task_failed), {{"reason", failure.what()}}, {}, 0};
    QMetaObject::invokeMethod(
        qApp_(),
        [error] {
            if (told()) told()(error);
        },
        Qt::QueuedConnection);
}

}  // namespace chalkline::app
