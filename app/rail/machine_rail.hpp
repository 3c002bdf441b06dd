// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/machine_link.hpp"
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <QLabel>
#include <QPushButton>
#include <QWidget>

namespace chalkline::app {

/// Always there at the bottom: what the machine does, where the head is, and the buttons that must never be far.
class MachineRail : public QWidget, public Spoken {
    Q_OBJECT
 public:
    MachineRail(MachineLink& machine, const theme::Roles& roles, QWidget* parent = nullptr);

    QAccessible::Role spoken_role() const override { return QAccessible::ToolBar; }
    QString spoken_value() const override { return state_->text() + ", " + place_->text(); }

 Q_SIGNALS:
    void connection_wanted();
    /// What the state means.
    void explanation_wanted();

 protected:
    void paintEvent(QPaintEvent*) override;
    void keyPressEvent(QKeyEvent* event) override;
    void keyReleaseEvent(QKeyEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

 private:
    void follow();
    void end_moving();
    MachineLink& machine_;
    const theme::Roles& roles_;
    QPushButton* state_;
    QLabel* rotary_ = nullptr;  ///< shown while a round piece is in the machine
    QLabel* place_;
    QPushButton *machine_button_, *unlock_, *home_, *hold_, *resume_, *stop_;
    int moving_ = 0;  ///< the key that is held and moves the head; 0: none
};

}  // namespace chalkline::app
