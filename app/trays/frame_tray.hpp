// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QWidget>

namespace chalkline::app {

/// Showing on the real piece where the job will lie, asking whether it stayed on it, and moving the head.
class FrameTray : public QWidget {
    Q_OBJECT
 public:
    FrameTray(const TrayContext& context, QWidget* parent = nullptr);

 private:
    void follow();
    void take_choice();

    TrayContext context_;
    QPushButton *frame_, *side_;
    QComboBox* way_;
    QCheckBox *dot_, *pointer_, *again_, *start_;
    QLabel* text_;
    QWidget* question_;
    QPushButton* pressed_ = nullptr;  ///< had the focus when it could not be pressed any more
};

}  // namespace chalkline::app
