// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/dose_pad.hpp"

#include <chalkline/base/units_text.hpp>

#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QToolTip>
#include <algorithm>
#include <array>
#include <cmath>

namespace chalkline::app {
namespace {

constexpr double mark_radius = 5.5, point_radius = 7.5, catch_radius = 9;  // px
constexpr double beyond_top = 1.3;  // of the top speed: the right edge, so that the limit is seen

/// The left edge as a share of the top speed: cuts are slow, and for the rest slow speeds all look alike.
double slowest_share(steps::StepKind kind) {
    return kind == steps::StepKind::cut ? 1.0 / 400 : 1.0 / 60;
}

/// Speeds people would type: two figures, or three with the fine key.
Speed rounded(Speed speed, bool fine) {
    const double unit = std::pow(10, std::floor(std::log10(std::max(speed.mm_per_min(), 1.0))) - (fine ? 2 : 1));
    return Speed::mm_per_min(std::max(1.0, std::round(speed.mm_per_min() / unit) * unit));
}

Power rounded(Power power, bool fine) {
    const double unit = fine ? 0.1 : 1;
    return Power::percent(std::clamp(std::round(power.percent() / unit) * unit, 0.0, 100.0));
}

}  // namespace

DosePad::DosePad(const theme::Roles& roles, QWidget* parent) : QWidget(parent), roles_(roles) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Dose pad"));
    setMouseTracking(true);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void DosePad::show_settings(const steps::StepSettings& settings, const steps::Beam& beam, Speed top_speed) {
    const bool same_bands = settings_.passes == settings.passes && beam_ == beam && top_speed_ == top_speed;
    settings_ = settings;
    beam_ = beam;
    top_speed_ = top_speed;
    // The scale stays put under a drag.
    if (!dragging_) {
        const Speed slowest = std::min(top_speed * slowest_share(settings.kind), settings.speed * 0.7);
        const Speed fastest = std::max(top_speed * beyond_top, settings.speed * 1.1);
        if (!same_bands || slowest != slowest_ || fastest != fastest_) bands_ = {};
        slowest_ = slowest;
        fastest_ = fastest;
    }
    say_again(*this);
    update();
}

void DosePad::set_marks(std::vector<DoseMark> marks) {
    if (marks == marks_) return;
    marks_ = std::move(marks);
    say_again(*this);
    update();
}

QString DosePad::spoken_value() const {
    return tr("%1 at %2, %3 millijoules a millimetre, %n marks", nullptr, static_cast<int>(marks_.size()))
        .arg(QString::fromStdString(format_power(settings_.power)),
             QString::fromStdString(format_speed(settings_.speed, SpeedUnit::mm_per_min)),
             QString::fromStdString(format_number(steps::dose(settings_, beam_), 1)));
}

// ---------------------------------------------------------------- places

QRectF DosePad::field() const {
    return QRectF(rect()).adjusted(36, 8, -8, -22);
}

QPointF DosePad::place_of(Power power, Speed speed) const {
    const QRectF in = field();
    const double share = std::log(speed / slowest_) / std::log(fastest_ / slowest_);
    return {in.left() + std::clamp(share, 0.0, 1.0) * in.width(),
            in.bottom() - std::clamp(power.fraction(), 0.0, 1.0) * in.height()};
}

Speed DosePad::speed_at(double x) const {
    const QRectF in = field();
    return slowest_ * std::pow(fastest_ / slowest_, std::clamp((x - in.left()) / in.width(), 0.0, 1.0));
}

Power DosePad::power_at(double y) const {
    const QRectF in = field();
    return Power::percent(100 * std::clamp((in.bottom() - y) / in.height(), 0.0, 1.0));
}

DosePad::Choice DosePad::same_dose_at(Speed speed) const {
    const double watts = beam_.watts_at(settings_.power) * (speed / settings_.speed);
    const Power wanted = beam_.power_for(watts);
    if (wanted <= Power::percent(100)) return {wanted, speed};
    const double most = beam_.watts_at(Power::percent(100));
    return {Power::percent(100), settings_.speed * (most / beam_.watts_at(settings_.power))};
}

DosePad::Choice DosePad::choice_at(QPointF place, Qt::KeyboardModifiers keys) const {
    const bool fine = keys & Qt::AltModifier;
    const Speed speed = std::min(rounded(speed_at(place.x()), fine), top_speed_);
    // On the line the power is kept exactly: rounding it would leave the line.
    if (keys & Qt::ControlModifier) return same_dose_at(speed);
    return {rounded(power_at(place.y()), fine), speed};
}

const DoseMark* DosePad::mark_at(QPointF place) const {
    const DoseMark* nearest = nullptr;
    double least = catch_radius;
    for (const DoseMark& mark : marks_) {
        const QPointF away = place_of(mark.power, mark.speed) - place;
        const double distance = std::hypot(away.x(), away.y());
        if (distance < least) {
            least = distance;
            nearest = &mark;
        }
    }
    return nearest;
}

// ---------------------------------------------------------------- hands

void DosePad::take(const Choice& choice, bool going_on) {
    if (choice.power == settings_.power && choice.speed == settings_.speed && going_on) return;
    moved_ = true;
    Q_EMIT chosen(choice.power, choice.speed, going_on);
}

void DosePad::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton) return;
    setFocus(Qt::MouseFocusReason);
    const QPointF own = place_of(settings_.power, settings_.speed) - event->position();
    const bool on_point = std::hypot(own.x(), own.y()) < catch_radius;
    if (const DoseMark* mark = on_point ? nullptr : mark_at(event->position()))
        return take({mark->power, std::min(mark->speed, top_speed_)}, false);
    dragging_ = true;
    moved_ = false;
    // Taking hold of the point moves nothing yet.
    if (!on_point) take(choice_at(event->position(), event->modifiers()), true);
}

void DosePad::mouseMoveEvent(QMouseEvent* event) {
    if (dragging_) return take(choice_at(event->position(), event->modifiers()), true);
    setCursor(mark_at(event->position()) ? Qt::PointingHandCursor : Qt::CrossCursor);
}

void DosePad::mouseReleaseEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || !dragging_) return;
    dragging_ = false;
    if (moved_) take({settings_.power, settings_.speed}, false);
    show_settings(settings_, beam_, top_speed_);
}

void DosePad::keyPressEvent(QKeyEvent* event) {
    const auto keys = event->modifiers();
    const double steps = keys & Qt::ShiftModifier ? 5 : keys & Qt::AltModifier ? 0.2 : 1;
    Choice choice{settings_.power, settings_.speed};
    const auto slower_or_faster = [&](double way) {
        const Speed speed = std::min(rounded(settings_.speed * std::pow(1.05, way * steps), true), top_speed_);
        choice = keys & Qt::ControlModifier ? same_dose_at(speed) : Choice{settings_.power, speed};
    };
    switch (event->key()) {
        case Qt::Key_Up:
            choice.power = rounded(settings_.power + Power::percent(steps), true);
            break;
        case Qt::Key_Down:
            choice.power = rounded(settings_.power - Power::percent(steps), true);
            break;
        case Qt::Key_Right:
            slower_or_faster(1);
            break;
        case Qt::Key_Left:
            slower_or_faster(-1);
            break;
        default:
            return QWidget::keyPressEvent(event);
    }
    take(choice, false);
}

bool DosePad::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip) return QWidget::event(event);
    auto* help = static_cast<QHelpEvent*>(event);
    const DoseMark* mark = mark_at(help->pos());
    QToolTip::showText(help->globalPos(),
                       mark ? mark->what : tr("Drag, or use the arrow keys. With Ctrl the dose stays the same."), this);
    return true;
}

// ---------------------------------------------------------------- drawing

void DosePad::draw_bands() {
    const double ratio = devicePixelRatioF();
    const QRectF in = field();
    bands_ = QImage((in.size() * ratio).toSize(), QImage::Format_RGB32);
    bands_.setDevicePixelRatio(ratio);
    const int last = static_cast<int>(roles_.burn.size()) - 1;
    std::array<QRgb, 7> tones{};
    for (int i = 0; i <= last; ++i)
        tones[static_cast<std::size_t>(i)] = roles_.burn[static_cast<std::size_t>(i)].rgb();
    // A dose is watts over speed: logarithms of both are worked out once a row and once a column.
    std::vector<double> slowness(static_cast<std::size_t>(bands_.width()));
    for (int x = 0; x < bands_.width(); ++x)
        slowness[static_cast<std::size_t>(x)] = settings_.passes * 1000 / speed_at(in.left() + x / ratio).mm_per_s();
    for (int y = 0; y < bands_.height(); ++y) {
        auto* row = reinterpret_cast<QRgb*>(bands_.scanLine(y));
        const double watts = beam_.watts_at(power_at(in.top() + y / ratio));
        for (int x = 0; x < bands_.width(); ++x) {
            const double share = steps::burn_tone(watts * slowness[static_cast<std::size_t>(x)]);
            row[x] = tones[static_cast<std::size_t>(std::lround(share * last))];
        }
    }
}

void DosePad::draw_axes(QPainter& painter) const {
    const QRectF in = field();
    painter.setFont(theme::font(theme::tiny));
    painter.setPen(roles_.quiet);
    for (const int power : {0, 50, 100}) {
        const double y = place_of(Power::percent(power), slowest_).y();
        painter.drawText(QRectF(0, y - 8, in.left() - 6, 16), Qt::AlignRight | Qt::AlignVCenter,
                         power == 100 ? tr("100 %") : QString::number(power));
    }
    double free_from = in.left();
    for (double decade = 1; decade <= 1e6; decade *= 10)
        for (const double figure : {1.0, 2.0, 5.0}) {
            const Speed speed = Speed::mm_per_min(figure * decade);
            if (speed < slowest_ || speed > fastest_) continue;
            const double x = place_of({}, speed).x();
            painter.drawLine(QPointF(x, in.bottom()), QPointF(x, in.bottom() + 3));
            const QString text =
                figure * decade >= 1000 ? tr("%1k").arg(figure * decade / 1000) : QString::number(figure * decade);
            const double wide = painter.fontMetrics().horizontalAdvance(text);
            if (x - wide / 2 < free_from || x + wide / 2 > width()) continue;
            painter.drawText(QRectF(x - wide / 2, in.bottom() + 4, wide + 2, 16), Qt::AlignVCenter, text);
            free_from = x + wide / 2 + 10;
        }
}

void DosePad::draw_limits(QPainter& painter) const {
    const QRectF in = field();
    if (fastest_ > top_speed_) {
        QRectF beyond = in;
        beyond.setLeft(place_of({}, top_speed_).x());
        QColor veil = roles_.bench;
        veil.setAlphaF(0.82F);
        painter.fillRect(beyond, veil);
        painter.fillRect(beyond, QBrush(roles_.control, Qt::BDiagPattern));
    }
    if (beam_.comfortable < Power::percent(100)) {
        const double y = place_of(beam_.comfortable, slowest_).y();
        QColor veil = roles_.paper;
        veil.setAlphaF(0.35F);
        painter.fillRect(QRectF(in.left(), in.top(), in.width(), y - in.top()), veil);
        painter.setPen(QPen(roles_.card, 1, Qt::DashLine));
        painter.drawLine(QPointF(in.left(), y), QPointF(in.right(), y));
    }
}

/// The line on which every setting gives the point's dose.
void DosePad::draw_same_dose(QPainter& painter) const {
    const QRectF in = field();
    QPainterPath line;
    bool begun = false;
    for (double x = in.left(); x <= in.right(); x += 2) {
        const Speed speed = speed_at(x);
        const Power power = beam_.power_for(beam_.watts_at(settings_.power) * (speed / settings_.speed));
        if (power > Power::percent(100)) break;
        const QPointF at = place_of(power, speed);
        begun ? line.lineTo(at) : line.moveTo(at);
        begun = true;
    }
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(roles_.card, 2.5));
    painter.drawPath(line);
    painter.setPen(QPen(roles_.accent, 1.2));
    painter.drawPath(line);
}

void DosePad::draw_marks(QPainter& painter) const {
    for (const DoseMark& mark : marks_) {
        const QPointF at = place_of(mark.power, mark.speed);
        const bool kept = mark.verdict == DoseMark::Verdict::kept;
        painter.setPen(QPen(roles_.text, 1));
        painter.setBrush(mark.verdict == DoseMark::Verdict::rejected ? roles_.bench : roles_.card);
        if (mark.verdict == DoseMark::Verdict::untested)
            painter.drawEllipse(at, mark_radius - 1.5, mark_radius - 1.5);
        else
            painter.drawRoundedRect(
                QRectF(at.x() - mark_radius, at.y() - mark_radius, 2 * mark_radius, 2 * mark_radius), 2, 2);
        painter.setPen(QPen(roles_.text, 1.6, Qt::SolidLine, Qt::RoundCap));
        if (kept) {
            painter.drawPolyline(QPolygonF({at + QPointF(-2.6, 0.2), at + QPointF(-0.6, 2.4), at + QPointF(3, -2.4)}));
        } else if (mark.verdict == DoseMark::Verdict::rejected) {
            painter.drawLine(at + QPointF(-2.4, 0), at + QPointF(2.4, 0));
        }
    }
}

void DosePad::draw_point(QPainter& painter) const {
    const QRectF in = field();
    const QPointF at = place_of(settings_.power, settings_.speed);
    painter.setPen(QPen(roles_.accent, 1, Qt::DotLine));
    painter.drawLine(QPointF(at.x(), in.top()), QPointF(at.x(), in.bottom()));
    painter.drawLine(QPointF(in.left(), at.y()), QPointF(in.right(), at.y()));
    painter.setPen(QPen(roles_.card, 2.5));
    painter.setBrush(roles_.accent);
    painter.drawEllipse(at, point_radius, point_radius);
}

void DosePad::paintEvent(QPaintEvent*) {
    const QRectF in = field();
    if (bands_.isNull() || bands_.size() != (in.size() * devicePixelRatioF()).toSize()) draw_bands();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    draw_axes(painter);
    painter.save();
    painter.setClipRect(in);
    painter.drawImage(in.topLeft(), bands_);
    draw_limits(painter);
    draw_same_dose(painter);
    draw_marks(painter);
    draw_point(painter);
    painter.restore();
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(hasFocus() ? roles_.accent : roles_.control, hasFocus() ? 2 : 1));
    painter.drawRoundedRect(in.adjusted(-0.5, -0.5, 0.5, 0.5), 3, 3);
}

}  // namespace chalkline::app
