// SPDX-License-Identifier: GPL-3.0-or-later
// Ends while a task is under way that does not hear that it shall stop: it is waited for, and tells nobody who is gone.
#include "tasks/task_runner.hpp"

#include <QApplication>
#include <QThread>
#include <atomic>

int main(int argc, char** argv) {
    static std::atomic<bool> begun = false;
    {
        QApplication application(argc, argv);
        chalkline::app::TaskRunner runner;
        runner.start(
            [](const chalkline::Watch&) {
                begun = true;
                QThread::msleep(300);
                return 1;
            },
            [](int) {});
        while (!begun)
            QThread::yieldCurrentThread();
    }
    return 0;
}
