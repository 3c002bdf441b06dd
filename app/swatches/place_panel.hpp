// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "swatches/swatch_desk.hpp"
#include "widgets/controls.hpp"

#include <QCheckBox>
#include <QWidget>

namespace chalkline::app {

/// What a card comes to before it is burned: size, time, energy, whether it fits, and the way onto the bed, where it is
/// placed, framed and burned like any job.
class PlacePanel : public QWidget {
    Q_OBJECT
 public:
    PlacePanel(SwatchDesk& desk, JobDocument& document, QWidget* parent);

 Q_SIGNALS:
    /// The card is to become the job; `on_piece`: on the piece of the job there is.
    void bed_wanted(bool on_piece);
    /// A job file of it is to be kept.
    void file_wanted();

 private:
    void follow();
    bool on_piece() const;

    SwatchDesk& desk_;
    JobDocument& document_;
    QLabel *facts_, *faults_, *where_;
    QCheckBox* piece_;
    QPushButton *fit_, *bed_, *file_;
};

}  // namespace chalkline::app
