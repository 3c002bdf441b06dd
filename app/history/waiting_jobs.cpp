// SPDX-License-Identifier: GPL-3.0-or-later
#include "history/waiting_jobs.hpp"

#include <QFileInfo>
#include <QSettings>

namespace chalkline::app {
namespace {

constexpr const char* setting = "burn/waiting";

}  // namespace

WaitingJobs::WaitingJobs(QObject* parent) : QObject(parent), paths_(QSettings().value(setting).toStringList()) {}

void WaitingJobs::add(const QStringList& paths) {
    for (const QString& path : paths) {
        const QString whole = QFileInfo(path).absoluteFilePath();
        if (!paths_.contains(whole)) paths_ << whole;
    }
    keep();
}

void WaitingJobs::remove(const QString& path) {
    paths_.removeAll(path);
    keep();
}

void WaitingJobs::bring_forward(const QString& path) {
    const auto at = paths_.indexOf(path);
    if (at > 0) paths_.swapItemsAt(at, at - 1);
    keep();
}

void WaitingJobs::keep() {
    QSettings().setValue(setting, paths_);
    Q_EMIT changed();
}

}  // namespace chalkline::app
