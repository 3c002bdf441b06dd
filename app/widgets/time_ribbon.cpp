// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/time_ribbon.hpp"

#include <chalkline/wording/wording.hpp>

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

namespace chalkline::app {

TimeRibbon::TimeRibbon(const theme::Roles& roles, QWidget* parent) : QWidget(parent), roles_(roles) {
    setFixedHeight(46);
    setAccessibleName(tr("Time ribbon"));
}

void TimeRibbon::show_segments(std::vector<Segment> segments) {
    segments_ = std::move(segments);
    say_again(*this);
    update();
}

QString TimeRibbon::spoken_value() const {
    QStringList parts;
    for (const Segment& s : segments_)
        parts << s.name + " " + wording::duration(Duration::seconds(s.seconds));
    if (share_ >= 0) parts << tr("%1 % done").arg(std::lround(share_ * 100));
    return parts.isEmpty() ? tr("nothing to burn yet") : parts.join(", ");
}

std::optional<Spoken::Figure> TimeRibbon::spoken_figure() const {
    if (share_ < 0 && !scrubs_) return {};
    return Figure{std::max(share_, 0.0) * 100, 0, 100, 1};
}

void TimeRibbon::take_figure(double percent) {
    if (scrubs_) Q_EMIT scrubbed(percent / 100);
}

void TimeRibbon::show_progress(double share) {
    const bool says_the_same = std::lround(share * 100) == std::lround(share_ * 100);
    share_ = share;
    if (!says_the_same) say_again(*this);
    update();
}

void TimeRibbon::let_scrub(bool on) {
    scrubs_ = on;
    setFocusPolicy(on ? Qt::StrongFocus : Qt::NoFocus);
    setCursor(on ? Qt::PointingHandCursor : Qt::ArrowCursor);
}

void TimeRibbon::mousePressEvent(QMouseEvent* event) {
    if (!scrubs_ || event->button() != Qt::LeftButton) return QWidget::mousePressEvent(event);
    mouseMoveEvent(event);
}

void TimeRibbon::mouseMoveEvent(QMouseEvent* event) {
    if (scrubs_ && (event->buttons() & Qt::LeftButton) != 0)
        Q_EMIT scrubbed(std::clamp(event->position().x() / std::max(1, width() - 1), 0.0, 1.0));
}

void TimeRibbon::keyPressEvent(QKeyEvent* event) {
    const double by = event->modifiers() & Qt::ShiftModifier ? 0.1 : 0.01;
    const auto go = [this](double share) { Q_EMIT scrubbed(std::clamp(share, 0.0, 1.0)); };
    if (!scrubs_) return QWidget::keyPressEvent(event);
    switch (event->key()) {
        case Qt::Key_Left:
            return go(share_ - by);
        case Qt::Key_Right:
            return go(share_ + by);
        case Qt::Key_Home:
            return go(0);
        case Qt::Key_End:
            return go(1);
        default:
            QWidget::keyPressEvent(event);
    }
}

void TimeRibbon::paintEvent(QPaintEvent*) {
    double total = 0;
    for (const Segment& s : segments_)
        total += s.seconds;
    if (total <= 0) return;
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const QRectF strip(0.5, 0.5, width() - 1, 25);
    QPainterPath rounded;
    rounded.addRoundedRect(strip, 5, 5);
    painter.setClipPath(rounded);
    double x = strip.left();
    std::vector<QRectF> places;
    for (const Segment& s : segments_) {
        const double wide = strip.width() * s.seconds / total;
        places.emplace_back(x, strip.top(), wide, strip.height());
        painter.fillRect(places.back(), s.tone);
        x += wide;
    }
    if (share_ >= 0) {
        QColor veil = roles_.paper;
        veil.setAlphaF(0.74F);
        const double done = strip.left() + strip.width() * share_;
        painter.fillRect(QRectF(done, strip.top(), strip.right() - done + 1, strip.height()), veil);
        painter.fillRect(QRectF(done - 1, strip.top(), 2, strip.height()), roles_.accent);
    }
    painter.setPen(QPen(roles_.paper, 2));
    for (std::size_t i = 1; i < places.size(); ++i)
        painter.drawLine(places[i].topLeft(), places[i].bottomLeft());
    painter.setClipping(false);
    painter.setPen(QPen(roles_.control, 1));
    painter.setBrush(Qt::NoBrush);
    if (hasFocus()) painter.setPen(QPen(roles_.accent, 2));
    painter.drawRoundedRect(strip, 5, 5);

    painter.setFont(theme::font(theme::tiny));
    painter.setPen(roles_.quiet);
    double free_from = 0;
    for (std::size_t i = 0; i < places.size(); ++i) {
        const QString full = QString::number(i + 1) + " " + segments_[i].name;
        const double left = std::max(places[i].left(), free_from);
        const double room = (i + 1 < places.size() ? places[i + 1].left() : width()) - left - 4;
        // A narrow segment keeps its number.
        const QString text = painter.fontMetrics().horizontalAdvance(full) <= room ? full : QString::number(i + 1);
        const int wide = painter.fontMetrics().horizontalAdvance(text);
        const double at = std::min(left, static_cast<double>(width() - wide));
        // Where there is no room left even for numbers, those that would lie on one another are left out.
        if (at < free_from - 4) continue;
        painter.drawText(QRectF(at, 29, wide + 2, 15), Qt::AlignVCenter, text);
        free_from = at + wide + 8;
    }
}

}  // namespace chalkline::app
