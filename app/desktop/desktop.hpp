// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QDBusConnection>
#include <QDBusObjectPath>
#include <QDBusUnixFileDescriptor>
#include <QObject>
#include <QString>

namespace chalkline::app {

/// What the desktop is asked for while a machine burns: not to put the computer to sleep (its screen may), and to tell
/// the maker what became of it. Every wish is asked without waiting; a desktop that cannot grant it is no trouble.
class Desktop : public QObject {
    Q_OBJECT
 public:
    explicit Desktop(QDBusConnection session = QDBusConnection::sessionBus(),
                     QDBusConnection system = QDBusConnection::systemBus(), QObject* parent = nullptr);

    /// Asks the session manager of the system, and where there is none the portal of the desktop.
    void stay_awake(const QString& why);
    void may_sleep();
    bool keeps_awake() const { return wanted_ && (lock_.isValid() || !request_.path().isEmpty()); }

    /// A notification with its sound. `urgent`: it stays until it is seen.
    void tell(const QString& title, const QString& text, bool urgent);

 private:
    void ask_portal(const QString& why);

    QDBusConnection session_, system_;
    bool wanted_ = false;
    QDBusUnixFileDescriptor lock_;  ///< open while the system stays awake
    QDBusObjectPath request_;       ///< at the portal
    uint last_ = 0;                 ///< the notification that the next one takes the place of
};

}  // namespace chalkline::app
