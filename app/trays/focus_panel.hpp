// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"
#include "widgets/fold.hpp"

#include <QLabel>
#include <QPushButton>
#include <QWidget>

namespace chalkline::app {

/// Focus for the piece: the gauge to set, the probe where there is one, and the word of whoever set it.
class FocusPanel : public QWidget {
    Q_OBJECT
 public:
    FocusPanel(const TrayContext& context, QWidget* parent);

 private:
    void follow();
    TrayContext context_;
    Fold* fold_;
    QLabel* text_;
    QPushButton *said_, *probe_, *follow_piece_;
};

}  // namespace chalkline::app
