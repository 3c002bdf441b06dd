// SPDX-License-Identifier: GPL-3.0-or-later
// What the desktop is asked for, on a bus of our own with a desktop that only writes down what it heard.
#include "desktop/desktop.hpp"

#include "support/window_driver.hpp"

#include <catch2/catch.hpp>
#include <fcntl.h>
#include <unistd.h>

#include <QDBusContext>
#include <QProcess>

using namespace chalkline::app;
using chalkline::test::wait_for;

namespace {

/// A message bus for this test alone.
class Bus {
 public:
    Bus() {
        process_.start("dbus-daemon", {"--session", "--nofork", "--print-address"});
        REQUIRE(process_.waitForStarted());
        REQUIRE(process_.waitForReadyRead());
        address_ = QString::fromUtf8(process_.readLine()).trimmed();
    }
    ~Bus() {
        process_.kill();
        process_.waitForFinished();
    }
    QDBusConnection connect(const QString& name) { return QDBusConnection::connectToBus(address_, name); }

 private:
    QProcess process_;
    QString address_;
};

}  // namespace

/// The session manager of the system: holds one end of a pipe for as long as it must not sleep.
class FakeManager : public QObject {
    Q_OBJECT
    Q_CLASSINFO("D-Bus Interface", "org.freedesktop.login1.Manager")
 public:
    ~FakeManager() override {
        if (end_ >= 0) ::close(end_);
    }
    QStringList heard;
    bool released() const {
        char byte = 0;
        return end_ >= 0 && ::read(end_, &byte, 1) == 0;
    }
 public Q_SLOTS:
    QDBusUnixFileDescriptor Inhibit(const QString& what, const QString& who, const QString& why, const QString& mode) {
        heard = {what, who, why, mode};
        int pipe[2];
        if (::pipe2(pipe, O_CLOEXEC | O_NONBLOCK) != 0) return {};
        end_ = pipe[0];
        QDBusUnixFileDescriptor given(pipe[1]);
        ::close(pipe[1]);
        return given;
    }

 private:
    int end_ = -1;
};

class FakePortal : public QObject {
    Q_OBJECT
    Q_CLASSINFO("D-Bus Interface", "org.freedesktop.portal.Inhibit")
 public:
    uint flags = 0;
 public Q_SLOTS:
    QDBusObjectPath Inhibit(const QString&, uint asked, const QVariantMap&) {
        flags = asked;
        return QDBusObjectPath("/request/1");
    }
};

class FakeRequest : public QObject {
    Q_OBJECT
    Q_CLASSINFO("D-Bus Interface", "org.freedesktop.portal.Request")
 public:
    bool closed = false;
 public Q_SLOTS:
    void Close() { closed = true; }
};

class FakeNotifications : public QObject {
    Q_OBJECT
    Q_CLASSINFO("D-Bus Interface", "org.freedesktop.Notifications")
 public:
    QStringList heard;
    QVariantMap hints;
 public Q_SLOTS:
    uint Notify(const QString&, uint, const QString&, const QString& title, const QString& text, const QStringList&,
                const QVariantMap& with, int) {
        heard = {title, text};
        hints = with;
        return 5;
    }
};

TEST_CASE("the computer is kept awake while it burns, and let sleep afterwards") {
    Bus bus;
    auto ours = bus.connect("ours"), theirs = bus.connect("theirs");
    FakeManager manager;
    REQUIRE(theirs.registerObject("/org/freedesktop/login1", &manager, QDBusConnection::ExportAllSlots));
    REQUIRE(theirs.registerService("org.freedesktop.login1"));
    Desktop desktop(ours, ours);
    desktop.stay_awake("A laser is burning");
    REQUIRE(wait_for([&] { return desktop.keeps_awake(); }, 5000));
    CHECK(manager.heard == QStringList{"sleep:handle-lid-switch", "Chalkline", "A laser is burning", "block"});
    CHECK_FALSE(manager.released());
    desktop.may_sleep();
    CHECK_FALSE(desktop.keeps_awake());
    CHECK(wait_for([&] { return manager.released(); }, 5000));
}

TEST_CASE("where the system has no session manager the desktop's portal is asked") {
    Bus bus;
    auto ours = bus.connect("ours-portal"), theirs = bus.connect("theirs-portal");
    FakePortal portal;
    FakeRequest request;
    REQUIRE(theirs.registerObject("/org/freedesktop/portal/desktop", &portal, QDBusConnection::ExportAllSlots));
    REQUIRE(theirs.registerObject("/request/1", &request, QDBusConnection::ExportAllSlots));
    REQUIRE(theirs.registerService("org.freedesktop.portal.Desktop"));
    Desktop desktop(ours, ours);
    desktop.stay_awake("A laser is burning");
    REQUIRE(wait_for([&] { return desktop.keeps_awake(); }, 5000));
    CHECK(portal.flags == 4);
    desktop.may_sleep();
    CHECK(wait_for([&] { return request.closed; }, 5000));
}

TEST_CASE("the maker is told of the end and, so that it stays, of trouble") {
    Bus bus;
    auto ours = bus.connect("ours-told"), theirs = bus.connect("theirs-told");
    FakeNotifications notifications;
    REQUIRE(theirs.registerObject("/org/freedesktop/Notifications", &notifications, QDBusConnection::ExportAllSlots));
    REQUIRE(theirs.registerService("org.freedesktop.Notifications"));
    Desktop desktop(ours, ours);
    desktop.tell("Burned", "plot-27", false);
    REQUIRE(wait_for([&] { return notifications.heard == QStringList{"Burned", "plot-27"}; }, 5000));
    CHECK(notifications.hints.value("urgency").toInt() == 1);
    desktop.tell("The burn broke off", "The link was lost", true);
    REQUIRE(wait_for([&] { return notifications.heard.first() == "The burn broke off"; }, 5000));
    CHECK(notifications.hints.value("urgency").toInt() == 2);
    CHECK(notifications.hints.value("sound-name").toString() == "dialog-warning");
}

#include "desktop_test.moc"
