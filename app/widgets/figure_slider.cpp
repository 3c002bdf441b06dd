// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/figure_slider.hpp"

#include "widgets/controls.hpp"

#include <chalkline/base/units_text.hpp>

#include <cmath>

namespace chalkline::app {

FigureSlider::FigureSlider(const QString& name, double least, double most, int steps, const QString& unit,
                           QWidget* parent)
    : QSlider(Qt::Horizontal, parent), steps_(steps), unit_(unit) {
    setRange(position_of(least), position_of(most));
    setSingleStep(std::max(1, (maximum() - minimum()) / 100));
    setAccessibleName(name);
    keep_from_wheel(this);
}

void FigureSlider::show_figure(double figure) {
    const QSignalBlocker quiet(this);
    setValue(position_of(figure));
}

QString FigureSlider::told(int position) const {
    const QString figure = QString::fromStdString(format_number(figure_at(position), 2));
    return unit_.isEmpty() ? figure : figure + ' ' + unit_;
}

std::optional<Spoken::Figure> FigureSlider::spoken_figure() const {
    return Figure{figure(), figure_at(minimum()), figure_at(maximum()), figure_at(singleStep())};
}

void FigureSlider::take_figure(double figure) {
    setValue(position_of(figure));
}

int FigureSlider::position_of(double figure) const {
    return static_cast<int>(std::lround(figure * steps_));
}

}  // namespace chalkline::app
