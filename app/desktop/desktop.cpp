// SPDX-License-Identifier: GPL-3.0-or-later
#include "desktop/desktop.hpp"

#include <QApplication>
#include <QDBusMessage>
#include <QDBusPendingCallWatcher>
#include <QDBusPendingReply>
#include <QVariantMap>

namespace chalkline::app {
namespace {

const QString portal = "org.freedesktop.portal.Desktop";

}  // namespace

Desktop::Desktop(QDBusConnection session, QDBusConnection system, QObject* parent)
    : QObject(parent), session_(std::move(session)), system_(std::move(system)) {}

void Desktop::stay_awake(const QString& why) {
    if (wanted_) return;
    wanted_ = true;
    auto call = QDBusMessage::createMethodCall("org.freedesktop.login1", "/org/freedesktop/login1",
                                               "org.freedesktop.login1.Manager", "Inhibit");
    call << "sleep:handle-lid-switch"
         << "Chalkline" << why << "block";
    auto* watcher = new QDBusPendingCallWatcher(system_.asyncCall(call), this);
    connect(watcher, &QDBusPendingCallWatcher::finished, this, [this, why](QDBusPendingCallWatcher* done) {
        const QDBusPendingReply<QDBusUnixFileDescriptor> reply = *done;
        done->deleteLater();
        if (!wanted_) return;  // it ended meanwhile; the descriptor closes with the reply
        if (reply.isError()) return ask_portal(why);
        lock_ = reply.value();
    });
}

void Desktop::ask_portal(const QString& why) {
    constexpr uint suspend = 4;
    auto call = QDBusMessage::createMethodCall(portal, "/org/freedesktop/portal/desktop",
                                               "org.freedesktop.portal.Inhibit", "Inhibit");
    call << QString() << suspend << QVariantMap{{"reason", why}};
    auto* watcher = new QDBusPendingCallWatcher(session_.asyncCall(call), this);
    connect(watcher, &QDBusPendingCallWatcher::finished, this, [this](QDBusPendingCallWatcher* done) {
        const QDBusPendingReply<QDBusObjectPath> reply = *done;
        done->deleteLater();
        if (reply.isError()) return;
        request_ = reply.value();
        if (!wanted_) may_sleep();
    });
}

void Desktop::may_sleep() {
    wanted_ = false;
    lock_ = {};
    if (request_.path().isEmpty()) return;
    session_.asyncCall(
        QDBusMessage::createMethodCall(portal, request_.path(), "org.freedesktop.portal.Request", "Close"));
    request_ = {};
}

void Desktop::tell(const QString& title, const QString& text, bool urgent) {
    QApplication::beep();
    auto call = QDBusMessage::createMethodCall("org.freedesktop.Notifications", "/org/freedesktop/Notifications",
                                               "org.freedesktop.Notifications", "Notify");
    QVariantMap hints{{"urgency", QVariant::fromValue(static_cast<uchar>(urgent ? 2 : 1))},
                      {"sound-name", urgent ? "dialog-warning" : "complete"},
                      {"desktop-entry", "chalkline"}};
    call << "Chalkline" << last_ << "chalkline" << title << text << QStringList() << hints << -1;
    auto* watcher = new QDBusPendingCallWatcher(session_.asyncCall(call), this);
    connect(watcher, &QDBusPendingCallWatcher::finished, this, [this](QDBusPendingCallWatcher* done) {
        const QDBusPendingReply<uint> reply = *done;
        done->deleteLater();
        if (!reply.isError()) last_ = reply.value();
    });
}

}  // namespace chalkline::app
