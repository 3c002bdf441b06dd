// SPDX-License-Identifier: GPL-3.0-or-later
#include "desktop/stall_watch.hpp"

#include <QEvent>
#include <QMetaEnum>
#include <QThread>
#include <utility>

namespace chalkline::app {
namespace {

QString name_of(const QObject* object) {
    const QString own = object->objectName();
    const QString kind = object->metaObject()->className();
    return own.isEmpty() ? kind : kind + " (" + own + ")";
}

QString name_of(QEvent::Type type) {
    const char* known = QMetaEnum::fromType<QEvent::Type>().valueToKey(type);
    return known ? QString(known) : QString::number(type);
}

}  // namespace

void WatchedApplication::tell_stalls_to(std::function<void(const Stall&)> told, std::chrono::milliseconds limit) {
    told_ = std::move(told);
    limit_ = limit;
}

/// Only the outermost event counts: what it sends on to others is part of it. An event that runs a loop by itself, as a
/// dialog does, keeps nothing waiting; those of its loop are measured one by one.
bool WatchedApplication::notify(QObject* receiver, QEvent* event) {
    if (!told_ || QThread::currentThread() != thread()) return QApplication::notify(receiver, event);
    Measured mine{QThread::currentThread()->loopLevel()};
    if (measured_ && measured_->loop_level == mine.loop_level) return QApplication::notify(receiver, event);
    if (measured_) measured_->runs_loop = true;
    using Clock = std::chrono::steady_clock;
    const auto began = Clock::now();
    // The receiver may be gone afterwards.
    const QString who = name_of(receiver), what = name_of(event->type());
    Measured* const outer = std::exchange(measured_, &mine);
    const bool taken = QApplication::notify(receiver, event);
    measured_ = outer;
    const auto lasted = std::chrono::duration_cast<std::chrono::milliseconds>(Clock::now() - began);
    if (lasted > limit_ && !mine.runs_loop) told_({who + ": " + what, lasted});
    return taken;
}

}  // namespace chalkline::app
