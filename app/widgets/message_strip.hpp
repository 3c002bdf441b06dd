// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "theme/theme.hpp"

#include <chalkline/wording/wording.hpp>

#include <QLabel>
#include <QWidget>

namespace chalkline::app {

/// One message under the line, until it is put away or replaced: what happened, where, what to do.
class MessageStrip : public QWidget {
    Q_OBJECT
 public:
    MessageStrip(const theme::Roles& roles, QWidget* parent);
    void show_message(const wording::Message& message);

 protected:
    void paintEvent(QPaintEvent*) override;

 private:
    const theme::Roles& roles_;
    QLabel* text_;
};

}  // namespace chalkline::app
