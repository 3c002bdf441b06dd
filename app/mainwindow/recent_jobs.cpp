// SPDX-License-Identifier: GPL-3.0-or-later
#include "mainwindow/recent_jobs.hpp"

#include <QFileInfo>
#include <QSettings>

namespace chalkline::app {
namespace {

constexpr const char* setting = "recent";
constexpr int most = 12;

}  // namespace

QStringList recent_jobs() {
    QStringList paths = QSettings().value(setting).toStringList();
    paths.removeIf([](const QString& path) { return !QFileInfo::exists(path); });
    return paths;
}

void note_recent_job(const QString& path) {
    if (path.isEmpty()) return;
    const QString whole = QFileInfo(path).absoluteFilePath();
    QStringList paths = QSettings().value(setting).toStringList();
    paths.removeAll(whole);
    paths.prepend(whole);
    QSettings().setValue(setting, QStringList(paths.mid(0, most)));
}

}  // namespace chalkline::app
