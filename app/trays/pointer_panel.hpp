// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"

#include <QLabel>
#include <QPushButton>
#include <QWidget>
#include <optional>

namespace chalkline::app {

/// Measures how far the pointer's dot falls from the beam: a mark made by the beam, then the pointer over that mark.
class PointerPanel : public QWidget {
    Q_OBJECT
 public:
    PointerPanel(const TrayContext& context, QWidget* parent);

 private:
    void take();
    void follow();
    TrayContext context_;
    QLabel* text_;
    QPushButton *next_, *again_;
    std::optional<geometry::Point> mark_;  ///< where the head stood over the mark
};

}  // namespace chalkline::app
