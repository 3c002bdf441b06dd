// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"

#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>

namespace chalkline::app {

/// What is left to do when a burn is over: say how it came out, keep what was trimmed, try once more beside it.
class AfterBurnPanel : public QWidget {
    Q_OBJECT
 public:
    AfterBurnPanel(const TrayContext& context, QWidget* parent);

 private:
    void follow();
    void show_trims();
    void add_trim(const job::Step& step, int number, machine::Trim trim);
    void move_beside();

    TrayContext context_;
    QWidget* trims_;
    QVBoxLayout* trim_rows_;
    machine::Trims shown_;  ///< rows are made anew only when these change
    QLabel* note_name_;
    QLineEdit* note_;
    QPushButton *photo_, *beside_;
};

/// Where the art goes for another try beside the last one, on the same piece where there is room: to the right of it,
/// else behind it. Nothing where neither fits.
std::optional<geometry::Point> beside(const geometry::Box& burned, const geometry::Box& room);

}  // namespace chalkline::app
