// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/tray_context.hpp"
#include "widgets/controls.hpp"

#include <QWidget>

class QLabel;

namespace chalkline::app {

/// The round piece in the rotary: its measures, where it begins, art that goes round it, and the ring that tries a
/// turn.
class RoundPiecePanel : public QWidget {
    Q_OBJECT
 public:
    RoundPiecePanel(const TrayContext& context, QWidget* parent = nullptr);

    /// A cup as it stands on many tables.
    static job::RoundPiece first_piece();

 Q_SIGNALS:
    void refused(const chalkline::Error& error);

 private:
    void build_measures(QLayout* all);
    void build_art(QLayout* all);
    void build_ring(QLayout* all);
    void show_piece();
    void follow();
    void commit();
    void put(const QString& name, const job::RoundPiece& piece);
    void turn_art();
    void fit_art_round();
    void burn_ring();
    void take_ring_away();
    void correct();

    TrayContext context_;
    ValueField *diameter_, *end_diameter_, *length_, *at_start_, *at_end_, *at_seam_, *burned_;
    QLabel *facts_, *burned_label_, *fault_;
    QPushButton *begins_here_, *ring_, *correct_, *away_;
};

}  // namespace chalkline::app
