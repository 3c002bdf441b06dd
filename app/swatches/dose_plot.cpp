// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/dose_plot.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

namespace chalkline::app {

DosePlot::DosePlot(SwatchDesk& desk, const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), desk_(desk), roles_(roles) {
    setAccessibleName(tr("Darkness over dose"));
    connect(&desk_, &SwatchDesk::changed, this, &DosePlot::look);
    connect(&desk_, &SwatchDesk::looked, this, &DosePlot::look);
    look();
}

void DosePlot::look() {
    lowest_ = 0;
    highest_ = 0.1;
    for (const auto& point : desk_.points()) {
        lowest_ = std::min(lowest_, point.darkness);
        highest_ = std::max(highest_, point.darkness);
    }
    least_ = desk_.points().empty() ? 1 : desk_.points().front().dose / 1.15;
    most_ = desk_.points().empty() ? 10 : std::max(desk_.points().back().dose * 1.15, least_ * 1.3);
    say_again(*this);
    update();
}

QString DosePlot::spoken_value() const {
    return tr("%n measured swatches", nullptr, static_cast<int>(desk_.points().size()));
}

QRectF DosePlot::field() const {
    return QRectF(rect()).adjusted(8, 20, -8, -22);
}

QPointF DosePlot::place(double dose, double darkness) const {
    const QRectF f = field();
    return {f.left() + f.width() * std::log(dose / least_) / std::log(most_ / least_),
            f.bottom() - f.height() * (darkness - lowest_) / (highest_ - lowest_)};
}

std::optional<QPointF> DosePlot::place_of(swatches::CellPlace at) const {
    for (const auto& point : desk_.points())
        if (point.place == at) return place(point.dose, point.darkness);
    return {};
}

void DosePlot::mousePressEvent(QMouseEvent* event) {
    const swatches::DosePoint* nearest = nullptr;
    double away = 12;  // px
    for (const auto& point : desk_.points()) {
        const QPointF off = place(point.dose, point.darkness) - event->position();
        if (const double far = std::hypot(off.x(), off.y()); far < away) {
            away = far;
            nearest = &point;
        }
    }
    if (nearest) desk_.choose_cell(nearest->place);
}

void DosePlot::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(roles_.hairline, 1));
    painter.setBrush(roles_.card);
    painter.drawRoundedRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), 5, 5);
    painter.setFont(theme::font(theme::tiny));
    painter.setPen(roles_.quiet);
    const QRectF f = field();
    painter.drawText(QRectF(8, 3, width() - 16, 16), Qt::AlignLeft | Qt::AlignVCenter,
                     lowest_ < -0.02 ? tr("dark (below the middle: lighter than bare)") : tr("dark"));
    const bool area = desk_.record() && steps::burns_area(desk_.record()->card.settings.kind);
    painter.drawText(QRectF(8, height() - 19, width() - 16, 16), Qt::AlignRight | Qt::AlignVCenter,
                     area ? tr("dose, mJ/mm²") : tr("dose, mJ/mm"));
    if (desk_.points().empty()) {
        painter.drawText(f, Qt::AlignCenter | Qt::TextWordWrap, tr("Nothing measured yet"));
        return;
    }
    painter.drawText(
        QRectF(8, height() - 19, width() - 16, 16), Qt::AlignLeft | Qt::AlignVCenter,
        tr("%1 to %2").arg(std::lround(desk_.points().front().dose)).arg(std::lround(desk_.points().back().dose)));
    if (desk_.curve()) {
        QPainterPath line, band;
        QPolygonF below;
        constexpr int steps = 80;
        for (int i = 0; i <= steps; ++i) {
            const double dose = least_ * std::pow(most_ / least_, static_cast<double>(i) / steps);
            const double at = desk_.curve()->at(dose);
            i == 0 ? line.moveTo(place(dose, at)) : line.lineTo(place(dose, at));
            i == 0 ? band.moveTo(place(dose, at + desk_.curve()->scatter))
                   : band.lineTo(place(dose, at + desk_.curve()->scatter));
            below.prepend(place(dose, at - desk_.curve()->scatter));
        }
        for (const QPointF& point : below)
            band.lineTo(point);
        painter.setClipRect(f.adjusted(-4, -4, 4, 4));
        painter.fillPath(band, roles_.burn[0]);
        painter.setPen(QPen(roles_.burn[4], 1.8));
        painter.setBrush(Qt::NoBrush);
        painter.drawPath(line);
        painter.setClipping(false);
    }
    const auto dot = [&](const swatches::DosePoint& point, bool chosen) {
        painter.setPen(chosen ? QPen(roles_.card, 1.5) : QPen(Qt::NoPen));
        painter.setBrush(chosen ? roles_.accent : roles_.burn[3]);
        const double radius = chosen ? 5 : 3;
        painter.drawEllipse(place(point.dose, point.darkness), radius, radius);
    };
    // The chosen one last: swatches of nearly the same dose lie on one another.
    for (const bool chosen : {false, true})
        for (const auto& point : desk_.points())
            if ((point.place == desk_.cell()) == chosen) dot(point, chosen);
}

}  // namespace chalkline::app
