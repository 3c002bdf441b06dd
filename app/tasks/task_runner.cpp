// SPDX-License-Identifier: GPL-3.0-or-later
#include "tasks/task_runner.hpp"

#include <QCoreApplication>

namespace chalkline::app {

QObject* TaskRunner::qApp_() {
    return QCoreApplication::instance();
}

}  // namespace chalkline::app
