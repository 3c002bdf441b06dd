// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"

#include <QLabel>
#include <QPushButton>
#include <QWidget>
#include <vector>

namespace chalkline::app {

/// Moving the head: framing the job in the dark, and a distance strip for each axis.
class FrameTray : public QWidget {
    Q_OBJECT
 public:
    FrameTray(const TrayContext& context, QWidget* parent = nullptr);

 private:
    void follow();
    QWidget* make_strip(const QString& axis, geometry::Point unit);

    TrayContext context_;
    QPushButton* frame_;
    QLabel* text_;
    std::vector<QPushButton*> jogs_;
};

}  // namespace chalkline::app
