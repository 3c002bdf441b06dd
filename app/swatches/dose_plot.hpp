// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "swatches/swatch_desk.hpp"
#include "theme/theme.hpp"
#include "widgets/spoken.hpp"

#include <QWidget>

namespace chalkline::app {

/// Darkness over dose of all measured swatches (dose logarithmic), the curve through them with its scatter as a band,
/// and the chosen swatch. A click on a point chooses its swatch.
class DosePlot : public QWidget, public Spoken {
    Q_OBJECT
 public:
    DosePlot(SwatchDesk& desk, const theme::Roles& roles, QWidget* parent);
    QAccessible::Role spoken_role() const override { return QAccessible::Chart; }
    QString spoken_value() const override;
    QSize sizeHint() const override { return {330, 140}; }
    QSize minimumSizeHint() const override { return {240, 130}; }
    /// Where a swatch's point lies on the widget; none while it was not measured.
    std::optional<QPointF> place_of(swatches::CellPlace place) const;

 protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;

 private:
    void look();
    QRectF field() const;
    QPointF place(double dose, double darkness) const;

    SwatchDesk& desk_;
    const theme::Roles& roles_;
    double least_ = 1, most_ = 10, lowest_ = 0, highest_ = 1;
};

}  // namespace chalkline::app
