// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"

#include <QVBoxLayout>
#include <QWidget>

namespace chalkline::app {

/// What was brought in: every motif with its size, the place of the chosen one, and what is not burned as drawn.
class ArtTray : public QWidget {
    Q_OBJECT
 public:
    ArtTray(const TrayContext& context, QWidget* parent = nullptr);

 Q_SIGNALS:
    void add_files_wanted();

 private:
    void follow(JobChange change);
    void rebuild();
    void show_place();
    void move_to(double x, double y);

    TrayContext context_;
    QVBoxLayout* cards_;
    QVBoxLayout* notes_;
    QWidget* place_;
    ValueField *x_, *y_;
};

}  // namespace chalkline::app
