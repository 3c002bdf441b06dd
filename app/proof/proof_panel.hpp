// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "proof/proof_desk.hpp"
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <QWidget>

namespace chalkline::app {

/// A picture as it will look on the material. Dots are averaged under each pixel of the screen, so that no pattern
/// shows which the burn will not have; nearer, every dot is a square. The wheel zooms at the pointer, the middle button
/// pans, a click or drag puts the loupe there; with the keys the arrows move the loupe, + and − zoom, 0 shows all.
class ProofPanel : public QWidget, public Spoken {
    Q_OBJECT
 public:
    /// Which of the desk's sights it shows.
    enum class Shows { now, other };
    ProofPanel(ProofDesk& desk, const machine::MachineProfile& machine, const theme::Roles& roles, Shows shows,
               QWidget* parent);

    /// What the burn is not: the picture as its file has it.
    void show_before(bool before);
    void mark_areas(bool clogged, bool bald);
    /// Dots (from the upper left corner) to the widget, and back.
    QPointF place_of(QPointF dot) const;
    QPointF dot_at(QPointF place) const;
    /// Screen pixels for a dot.
    double zoom() const;
    QAccessible::Role spoken_role() const override { return QAccessible::Graphic; }
    QString spoken_value() const override;
    QSize sizeHint() const override { return {428, 330}; }
    QSize minimumSizeHint() const override { return {200, 160}; }

 protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override { render_dots(); }
    void wheelEvent(QWheelEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

 private:
    const ProofSight& sight() const;
    QRectF picture_place() const;
    void zoom_by(double factor, QPointF at);
    void pan_by(QPointF by);
    void paint_coarse();
    void render_dots();
    void draw_loupe(QPainter& painter) const;

    ProofDesk& desk_;
    const machine::MachineProfile& machine_;
    const theme::Roles& roles_;
    Shows shows_;
    bool before_ = false, clogged_ = false, bald_ = false;
    double zoom_ = 1;           ///< 1 shows all
    QPointF middle_{0.5, 0.5};  ///< of the view, in shares of the frame
    QPointF grip_;
    QImage coarse_;      ///< all of the frame
    QImage dots_;        ///< what is seen of the frame, a pixel of it each; null until worked out
    QRectF dots_place_;  ///< where it lies, in shares of the frame
    TaskRunner renderer_;
};

}  // namespace chalkline::app
