// SPDX-License-Identifier: GPL-3.0-or-later
#include "art/inbox.hpp"

#include <QDir>
#include <QFileInfo>
#include <QSettings>

namespace chalkline::app {
namespace {

constexpr const char* setting = "inbox/folder";
constexpr int settle_time = 400;  // ms a file's size must stay the same before it counts as complete

}  // namespace

Inbox::Inbox(QObject* parent) : QObject(parent) {
    connect(&watcher_, &QFileSystemWatcher::directoryChanged, this, &Inbox::look);
    settling_.setInterval(settle_time);
    connect(&settling_, &QTimer::timeout, this, &Inbox::settle);
    set_folder(QSettings().value(setting).toString());
}

void Inbox::set_folder(const QString& folder) {
    if (!watcher_.directories().isEmpty()) watcher_.removePaths(watcher_.directories());
    folder_ = QFileInfo(folder).isDir() ? QDir(folder).absolutePath() : QString();
    known_.clear();
    growing_.clear();
    arrived_.clear();
    settling_.stop();
    if (!folder_.isEmpty()) {
        watcher_.addPath(folder_);
        for (const QString& file : files())
            known_ << file;
    }
    QSettings().setValue(setting, folder_);
    Q_EMIT changed();
}

QStringList Inbox::files() const {
    static const QStringList kinds{"*.svg",  "*.svgz", "*.pdf",  "*.dxf", "*.png",  "*.jpg",
                                   "*.jpeg", "*.bmp",  "*.tiff", "*.tif", "*.webp", "*.gif"};
    QStringList paths;
    for (const QFileInfo& file : QDir(folder_).entryInfoList(kinds, QDir::Files | QDir::NoSymLinks | QDir::Readable))
        paths << file.absoluteFilePath();
    return paths;
}

void Inbox::look() {
    for (const QString& path : files())
        if (!known_.contains(path) && !growing_.contains(path)) growing_.insert(path, -1);
    if (!growing_.isEmpty()) settling_.start();
}

void Inbox::settle() {
    bool any = false;
    for (const QString& path : growing_.keys()) {
        const QFileInfo file(path);
        if (!file.exists()) {
            growing_.remove(path);
        } else if (file.size() > 0 && file.size() == growing_[path]) {
            growing_.remove(path);
            known_ << path;
            arrived_ << path;
            any = true;
        } else {
            growing_[path] = file.size();
        }
    }
    if (growing_.isEmpty()) settling_.stop();
    if (any) Q_EMIT changed();
}

void Inbox::take(const QString& path) {
    arrived_.removeAll(path);
    Q_EMIT changed();
}

}  // namespace chalkline::app
