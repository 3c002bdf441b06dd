// SPDX-License-Identifier: GPL-3.0-or-later
#include "document/autosave.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/job/chalk_file.hpp>

#include <QCoreApplication>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QJsonDocument>
#include <QJsonObject>
#include <QUuid>

namespace chalkline::app {
namespace {

constexpr int interval = 30'000;  // ms

QString about(const QString& file) {
    return QString(file).replace(".chalk", ".json");
}

QString lock_of(const QString& file) {
    return QString(file).replace(".chalk", ".lock");
}

QString fresh_file(const QString& folder) {
    QDir().mkpath(folder);
    return QDir(folder).filePath(QUuid::createUuid().toString(QUuid::WithoutBraces) + ".chalk");
}

void remove_copy(const QString& file) {
    QFile::remove(file);
    QFile::remove(about(file));
}

Result<void> write_copy(const job::Job& job, const QString& file, const QString& path, const Watch& watch) {
    const std::string facts = QJsonDocument(QJsonObject{{"path", path}}).toJson().toStdString();
    auto bytes = job::to_chalk(job);
    if (!bytes) return tl::unexpected(bytes.error());
    if (watch.cancelled()) return {};
    auto done = replace_file(about(file).toStdString(), facts);
    if (done) done = replace_file(file.toStdString(), *bytes);
    if (watch.cancelled()) remove_copy(file);  // saved or given up meanwhile
    return done;
}

}  // namespace

Autosave::Autosave(JobDocument& document, const QString& folder, QObject* parent)
    : QObject(parent), document_(document), file_(fresh_file(folder)), lock_(lock_of(file_)) {
    lock_.setStaleLockTime(0);  // held as long as the process lives, however long it burns
    lock_.tryLock(0);
    wait_.setSingleShot(true);
    wait_.setInterval(interval);
    connect(&wait_, &QTimer::timeout, this, &Autosave::keep);
    connect(&document_, &JobDocument::changed, this, &Autosave::follow);
}

Autosave::~Autosave() {
    lock_.unlock();
}

void Autosave::follow() {
    if (!document_.unsaved()) return forget();
    // Not put off by the next change: the first one counts.
    if (!wait_.isActive()) wait_.start();
}

void Autosave::take_over(const LeftBehind& copy) {
    taken_over_ = copy;
    keep();
}

void Autosave::forget() {
    wait_.stop();
    writer_.cancel();
    remove_copy(file_);
    if (taken_over_) discard(*taken_over_);
    taken_over_.reset();
}

void Autosave::keep_before_end() {
    if (!document_.unsaved()) return;
    writer_.cancel();
    if (const auto done = write_copy(document_.job(), file_, document_.path(), {}); !done) Q_EMIT failed(done.error());
}

void Autosave::keep() {
    writer_.start([job = document_.job(), file = file_,
                   path = document_.path()](const Watch& watch) { return write_copy(job, file, path, watch); },
                  [this](const Result<void>& done) {
                      if (!done) return Q_EMIT failed(done.error());
                      if (taken_over_) discard(*taken_over_);
                      taken_over_.reset();
                  });
}

std::vector<LeftBehind> Autosave::left_behind(const QString& folder) {
    std::vector<LeftBehind> found;
    for (const QFileInfo& copy : QDir(folder).entryInfoList({"*.chalk"}, QDir::Files, QDir::Time)) {
        QLockFile lock(lock_of(copy.filePath()));
        lock.setStaleLockTime(0);
        if (!lock.tryLock(0)) continue;  // its Chalkline is running
        lock.unlock();
        QFile facts(about(copy.filePath()));
        const bool readable = facts.open(QIODevice::ReadOnly);
        const QJsonObject known = readable ? QJsonDocument::fromJson(facts.readAll()).object() : QJsonObject();
        found.push_back({copy.filePath(), known.value("path").toString(), copy.lastModified()});
    }
    return found;
}

void Autosave::discard(const LeftBehind& copy) {
    remove_copy(copy.file);
}

}  // namespace chalkline::app
