// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "tasks/task_runner.hpp"
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"
#include "widgets/fold.hpp"

#include <chalkline/planning/gains.hpp>

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QWidget>

namespace chalkline::app {

/// A step as it is beside the same step burned otherwise: time, way, dose. Nothing changes until it is taken.
class ComparePanel : public QWidget {
    Q_OBJECT
 public:
    ComparePanel(const TrayContext& context, QWidget* parent);

 private:
    void show_steps();
    void begin_with_step();
    void work_out();
    void show(const std::optional<planning::Comparison>& both);
    const job::Step* step() const;
    /// The step's settings with what is set here.
    steps::StepSettings other() const;

    TrayContext context_;
    Fold* fold_;
    QComboBox *step_, *order_;
    ValueField *speed_, *pitch_;
    QWidget *pitch_row_, *order_row_;
    QCheckBox* both_ways_;
    QLabel* result_;
    QPushButton* take_;
    TaskRunner planning_;
};

}  // namespace chalkline::app
