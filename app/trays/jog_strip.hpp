// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/machine_link.hpp"

#include <QPushButton>
#include <QWidget>
#include <functional>
#include <vector>

namespace chalkline::app {

/// Distances to move one axis by, from far back to far on. Usable while the machine is free.
class JogStrip : public QWidget {
    Q_OBJECT
 public:
    JogStrip(const QString& axis, MachineLink& machine, std::function<void(double)> move, QWidget* parent);

 private:
    void follow();
    MachineLink& machine_;
    std::vector<QPushButton*> buttons_;
};

}  // namespace chalkline::app
