// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "swatches/expected_look.hpp"
#include "tasks/task_runner.hpp"
#include "trays/tray_context.hpp"
#include "widgets/fold.hpp"

#include <chalkline/planning/gains.hpp>

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QWidget>

namespace chalkline::app {

/// What the burn will be before it happens: played in time, the time of each step, where it could be shorter and where
/// it gets hot.
class RehearseTray : public QWidget {
    Q_OBJECT
 public:
    RehearseTray(const TrayContext& context, QWidget* parent = nullptr);

 Q_SIGNALS:
    void paper_wanted();

 private:
    void build_player(QVBoxLayout* all);
    void show_plan();
    void show_moment();
    void show_table();
    void show_notes();
    void work_out_gains();
    void show_gains(const std::vector<planning::Gain>& gains);
    void show_dose(bool on);
    void show_hot(const planning::DoseGrid& dose);
    QWidget* make_look(const job::Step& step, const std::vector<CardCurve>& curves, QWidget* parent) const;
    QString dose_against_recipes(const job::Step& step) const;

    TrayContext context_;
    QLabel *total_, *learned_, *note_, *moment_;
    TimeRibbon* ribbon_;
    QPushButton *play_, *next_, *paper_;
    QComboBox *pace_, *loop_;
    QCheckBox *ways_, *dose_;
    QWidget* table_ = nullptr;
    QVBoxLayout* table_place_;
    Fold *gains_fold_, *hot_fold_;
    QWidget *gains_ = nullptr, *hot_ = nullptr;
    std::shared_ptr<const planning::Plan> shown_;
    TaskRunner gaining_, dosing_;
};

}  // namespace chalkline::app
