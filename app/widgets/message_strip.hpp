// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <chalkline/wording/wording.hpp>

#include <QLabel>
#include <QPointer>
#include <QWidget>

namespace chalkline::app {

/// One message at the lower edge of what is looked at, until it is put away or replaced: what happened, where, what to
/// do. It lies over it: nothing moves away under the pointer.
class MessageStrip : public QWidget, public Spoken {
    Q_OBJECT
 public:
    MessageStrip(const theme::Roles& roles, QWidget* parent);
    /// From now on over this.
    void lie_on(QWidget* ground);
    void show_message(const wording::Message& message);
    QAccessible::Role spoken_role() const override { return QAccessible::AlertMessage; }
    QString spoken_value() const override { return said_; }

 protected:
    void paintEvent(QPaintEvent*) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

 private:
    const theme::Roles& roles_;
    void fit();
    QLabel* text_;
    QPointer<QWidget> ground_;
    QString said_;
};

}  // namespace chalkline::app
