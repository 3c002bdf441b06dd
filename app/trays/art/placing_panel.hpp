// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"
#include "widgets/fold.hpp"

#include <QCheckBox>
#include <QComboBox>

namespace chalkline::app {

/// Place, size and angle of what is chosen, in numbers, and what can be done with it: copies, rows, lining up, groups,
/// locks, the step it burns in, the datum.
class PlacingPanel : public QWidget {
    Q_OBJECT
 public:
    explicit PlacingPanel(const TrayContext& context, QWidget* parent = nullptr);

 private:
    void build_numbers(QVBoxLayout* all);
    void build_acts(QVBoxLayout* all);
    void build_stacking(QVBoxLayout* all);
    void build_repeat(QVBoxLayout* all);
    void build_lining_up(QVBoxLayout* all);
    void build_step(QVBoxLayout* all);
    void build_datum(QVBoxLayout* all);
    void refresh();
    bool chosen_one() const;
    void refresh_steps();
    void move_to(double x, double y);
    void resize_to(double width, double height);
    void turn_to(double degrees);

    TrayContext context_;
    QLabel* object_text_ = nullptr;
    QPushButton* own_step_ = nullptr;
    ValueField *x_, *y_, *width_, *height_, *angle_, *columns_, *rows_, *gap_, *margin_, *datum_x_, *datum_y_;
    QCheckBox* keep_shape_;
    QPushButton *group_, *lock_;
    QComboBox* step_;
    Fold *step_fold_, *datum_fold_;
};

}  // namespace chalkline::app
