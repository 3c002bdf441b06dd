// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/machine_link.hpp"

#include <QLabel>
#include <QWidget>

namespace chalkline::app {

/// Speed and power of the burn under way, changed by steps while it burns.
class TrimStrip : public QWidget {
    Q_OBJECT
 public:
    TrimStrip(MachineLink& machine, QWidget* parent);

 private:
    /// One row; `change` gives the trims after a step of so many per cent.
    QLabel* add_row(const QString& name, std::function<void(int by)> change);
    void follow();
    MachineLink& machine_;
    QLabel *speed_, *power_;
};

}  // namespace chalkline::app
