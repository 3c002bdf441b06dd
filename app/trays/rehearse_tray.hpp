// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"

#include <QGridLayout>
#include <QLabel>
#include <QWidget>

namespace chalkline::app {

/// What the burn will be before it happens: the time of each step, the ways, and what the checks say.
class RehearseTray : public QWidget {
    Q_OBJECT
 public:
    RehearseTray(const TrayContext& context, QWidget* parent = nullptr);

 private:
    void show_plan();
    TrayContext context_;
    QLabel *total_, *note_;
    TimeRibbon* ribbon_;
    QWidget* table_ = nullptr;
};

}  // namespace chalkline::app
