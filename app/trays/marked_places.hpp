// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"

#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>

namespace chalkline::app {

/// Places of the bed worth coming back to, each with its letter: marked at the head or by a click, and the job's datum
/// is brought there.
class MarkedPlaces : public QWidget {
    Q_OBJECT
 public:
    MarkedPlaces(const TrayContext& context, QWidget* parent);

 private:
    void show_places();
    void add_row(const job::MarkedPlace& marked);

    TrayContext context_;
    QVBoxLayout* rows_;
    QPushButton* at_head_;
};

}  // namespace chalkline::app
