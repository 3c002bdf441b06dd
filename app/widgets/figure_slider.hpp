// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "widgets/spoken.hpp"

#include <QSlider>

namespace chalkline::app {

/// A level slider for a figure that may have a fraction. Screen readers are told the figure, not the slider's steps.
class FigureSlider : public QSlider, public Spoken {
    Q_OBJECT
 public:
    /// `steps`: of the slider for each 1 of the figure.
    FigureSlider(const QString& name, double least, double most, int steps, const QString& unit, QWidget* parent);

    double figure() const { return figure_at(value()); }
    /// Stands at this figure, and tells nobody.
    void show_figure(double figure);
    /// The figure at a place of the slider, as it is read, with its unit.
    QString told(int position) const;

    QAccessible::Role spoken_role() const override { return QAccessible::Slider; }
    QString spoken_value() const override { return told(value()); }
    std::optional<Figure> spoken_figure() const override;
    void take_figure(double figure) override;

 private:
    double figure_at(int position) const { return position / static_cast<double>(steps_); }
    int position_of(double figure) const;
    int steps_;
    QString unit_;
};

}  // namespace chalkline::app
