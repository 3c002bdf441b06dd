// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QObject>
#include <QSessionManager>

namespace chalkline::app {

/// What asks the program to end from outside: a signal (TERM, HUP, INT), or the session that is logged out of. One for
/// a program. Where the window does not come to an end by itself within some seconds, open links are darkened and the
/// program ends.
class Ending : public QObject {
    Q_OBJECT
 public:
    explicit Ending(QObject* parent = nullptr);
    ~Ending() override;

 Q_SIGNALS:
    /// A signal came: end now, the machine in the dark.
    void asked();
    /// The session ends and may still be kept from it.
    void session_ends(QSessionManager& session);
};

}  // namespace chalkline::app
