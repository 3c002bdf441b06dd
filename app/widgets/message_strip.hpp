// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <chalkline/wording/wording.hpp>

#include <QLabel>
#include <QWidget>

namespace chalkline::app {

/// One message under the line, until it is put away or replaced: what happened, where, what to do.
class MessageStrip : public QWidget, public Spoken {
    Q_OBJECT
 public:
    MessageStrip(const theme::Roles& roles, QWidget* parent);
    void show_message(const wording::Message& message);
    QAccessible::Role spoken_role() const override { return QAccessible::AlertMessage; }
    QString spoken_value() const override { return said_; }

 protected:
    void paintEvent(QPaintEvent*) override;

 private:
    const theme::Roles& roles_;
    QLabel* text_;
    QString said_;
};

}  // namespace chalkline::app
