// SPDX-License-Identifier: GPL-3.0-or-later
#include "machine/port_watch.hpp"

#include <QCoreApplication>
#include <QPointer>
#include <algorithm>

namespace chalkline::app {
namespace {

constexpr int look_every = 800;  // ms
using machine::Dialect;
constexpr Speech ways[]{{115200, Dialect::realtime},
                        {250000, Dialect::line_by_line},
                        {115200, Dialect::line_by_line},
                        {57600, Dialect::realtime},
                        {9600, Dialect::realtime}};

}  // namespace

PortWatch::PortWatch(QObject* parent, Lister list) : QObject(parent), list_(std::move(list)), looker_(this) {
    timer_.setInterval(look_every);
    connect(&timer_, &QTimer::timeout, this, &PortWatch::look);
    timer_.start();
    look();
}

void PortWatch::look() {
    if (looker_.running()) return;
    looker_.start([list = list_](const Watch&) { return list(); },
                  [this](std::vector<ports::Port> now) { take(std::move(now)); });
}

void PortWatch::take(std::vector<ports::Port> now) {
    const auto has = [](const std::vector<ports::Port>& all, const std::string& path) {
        return std::any_of(all.begin(), all.end(), [&](const ports::Port& port) { return port.path == path; });
    };
    bool different = !begun_;
    for (const ports::Port& port : now) {
        if (has(ports_, port.path)) continue;
        const QString path = QString::fromStdString(port.path);
        if (begun_) fresh_.insert(path);
        gone_.removeAll(path);
        different = true;
    }
    for (const ports::Port& port : ports_) {
        if (has(now, port.path)) continue;
        const QString path = QString::fromStdString(port.path);
        fresh_.remove(path);
        gone_ << path;
        different = true;
    }
    ports_ = std::move(now);
    begun_ = true;
    if (different) Q_EMIT changed();
}

PortAsker::PortAsker(machine::MachineProfile profile, QObject* parent)
    : QObject(parent), profile_(std::move(profile)) {}

PortAsker::~PortAsker() = default;

void PortAsker::ask(const QStringList& paths) {
    waiting_ = paths;
    tried_ = 0;
    next();
}

/// The first port of the list at the next speed.
void PortAsker::next() {
    runner_.reset();
    const int attempt = ++attempt_;
    version_.clear();
    if (waiting_.isEmpty()) return Q_EMIT done();
    const auto address = link::parse_address(waiting_.front().toStdString());
    if (!address) {
        Q_EMIT answered(waiting_.takeFirst(), {}, {}, address.error());
        return next();
    }
    machine::MachineProfile profile = profile_;
    profile.baud = ways[tried_].baud;
    profile.dialect = ways[tried_].dialect;
    const QPointer<PortAsker> self(this);
    runner_ =
        std::make_unique<link::SessionRunner>(*address, profile, [self, attempt](std::vector<machine::Event> events) {
            QMetaObject::invokeMethod(
                QCoreApplication::instance(),
                [self, attempt, events = std::move(events)] {
                    if (self && self->attempt_ == attempt) self->take(events);
                },
                Qt::QueuedConnection);
        });
}

void PortAsker::take(const std::vector<machine::Event>& events) {
    namespace event = machine::event;
    for (const machine::Event& happened : events) {
        if (const auto* changed = std::get_if<event::Changed>(&happened)) version_ = changed->now.version;
        if (std::holds_alternative<event::Ready>(happened)) {
            const QString answer =
                version_.empty() ? tr("a controller") : tr("controller %1").arg(QString::fromStdString(version_));
            Q_EMIT answered(waiting_.takeFirst(), answer, ways[tried_], {});
            tried_ = 0;
            return next();
        }
        const auto* failed = std::get_if<event::Failed>(&happened);
        if (!failed) continue;
        // Another speed may be understood; a port that cannot be opened stays shut at any speed.
        const bool may_speak =
            failed->error.code == machine::error::speaks_otherwise || failed->error.code == machine::error::silent;
        if (may_speak && tried_ + 1 < std::size(ways)) {
            ++tried_;
            return next();
        }
        Q_EMIT answered(waiting_.takeFirst(), {}, {}, failed->error);
        tried_ = 0;
        return next();
    }
}

}  // namespace chalkline::app
