// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"

#include <chalkline/job/marking.hpp>

#include <QCheckBox>
#include <QComboBox>
#include <QWidget>

namespace chalkline::app {

/// Marks the real piece with the head: driven to its corners or edge, each place is kept; from enough of them the piece
/// takes its true place and angle. The marks show on the bed.
class MarkingPanel : public QWidget {
    Q_OBJECT
 public:
    MarkingPanel(const TrayContext& context, QWidget* parent);

 private:
    job::MarkedBy by() const { return static_cast<job::MarkedBy>(by_->currentIndex()); }
    void mark();
    void begin_again();
    void follow();

    TrayContext context_;
    QComboBox* by_;
    QPushButton *mark_, *again_;
    QCheckBox *with_art_, *pointer_;
    QLabel* said_;
    std::vector<geometry::Point> marks_;
    QString done_;
};

}  // namespace chalkline::app
