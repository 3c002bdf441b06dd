// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "proof/proof_desk.hpp"
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <QWidget>

namespace chalkline::app {

/// The dots under the loupe, every one a square; round those that burn what the spot reaches beyond it.
class Loupe : public QWidget, public Spoken {
    Q_OBJECT
 public:
    Loupe(ProofDesk& desk, const machine::MachineProfile& machine, const theme::Roles& roles, QWidget* parent);
    /// Screen pixels for a dot.
    int magnification() const;
    QAccessible::Role spoken_role() const override { return QAccessible::Graphic; }
    QString spoken_value() const override;
    QSize sizeHint() const override { return {428, 215}; }
    QSize minimumSizeHint() const override { return {200, 100}; }

 protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;

 private:
    void draw_fringe(QPainter& painter, const planning::Proof& proof, QPointF corner) const;
    ProofDesk& desk_;
    const machine::MachineProfile& machine_;
    const theme::Roles& roles_;
    QPointF grip_;
};

}  // namespace chalkline::app
