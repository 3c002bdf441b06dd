// SPDX-License-Identifier: GPL-3.0-or-later
#include "proof/tone_curve.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

constexpr double point_near_px = 9, curve_key_step = 0.02, apart = 0.02;

}  // namespace

ToneCurve::ToneCurve(const theme::Roles& roles, QWidget* parent) : QWidget(parent), roles_(roles) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Tone curve"));
    setToolTip(tr("Press on the line to bend it; drag a point out to take it away"));
}

void ToneCurve::show_tone(const raster::ToneSettings& tone) {
    tone_ = tone;
    chosen_ = std::min(chosen_, static_cast<int>(points().size()) - 1);
    say_again(*this);
    update();
}

int ToneCurve::held() const {
    return std::clamp(chosen_, 0, static_cast<int>(points().size()) - 1);
}

QString ToneCurve::spoken_value() const {
    const auto all = points();
    const raster::CurvePoint& at = all[static_cast<std::size_t>(held())];
    const auto percent = [](double share) { return QString::number(std::lround(share * 100)); };
    return tr("Point %1 of %2: light of %3 % becomes %4 %")
        .arg(QString::number(held() + 1), QString::number(all.size()), percent(at.in), percent(at.out));
}

std::optional<Spoken::Figure> ToneCurve::spoken_figure() const {
    return Figure{100 * points()[static_cast<std::size_t>(held())].out, 0, 100, 100 * curve_key_step};
}

void ToneCurve::take_figure(double percent) {
    chosen_ = held();
    move_point(points()[static_cast<std::size_t>(chosen_)].in, percent / 100, false);
}

void ToneCurve::show_histogram(const raster::Histogram& shares) {
    shares_ = shares;
    update();
}

QRectF ToneCurve::field() const {
    return QRectF(rect()).adjusted(1, 1, -1, -1);
}

QPointF ToneCurve::place_of(double in, double out) const {
    const QRectF f = field();
    return {f.left() + in * f.width(), f.bottom() - out * f.height()};
}

/// The free curve; at rest it is straight.
std::vector<raster::CurvePoint> ToneCurve::points() const {
    return tone_.curve.size() > 1 ? tone_.curve : std::vector<raster::CurvePoint>{{0, 0}, {1, 1}};
}

int ToneCurve::point_near(QPointF place) const {
    const auto all = points();
    int nearest = -1;
    double least = point_near_px;
    for (std::size_t i = 0; i < all.size(); ++i)
        if (const double away = QLineF(place, place_of(all[i].in, all[i].out)).length(); away < least) {
            least = away;
            nearest = static_cast<int>(i);
        }
    return nearest;
}

void ToneCurve::put(std::vector<raster::CurvePoint> curve, bool going_on) {
    if (curve == std::vector<raster::CurvePoint>{{0, 0}, {1, 1}}) curve.clear();
    tone_.curve = curve;
    say_again(*this);
    update();
    Q_EMIT changed(curve, going_on);
}

/// The ends stay at their side; no point passes its neighbours.
void ToneCurve::move_point(double in, double out, bool going_on) {
    auto all = points();
    const int last = static_cast<int>(all.size()) - 1;
    if (chosen_ < 0 || chosen_ > last) return;
    auto& point = all[static_cast<std::size_t>(chosen_)];
    point.out = std::clamp(out, 0.0, 1.0);
    if (chosen_ > 0 && chosen_ < last)
        point.in = std::clamp(in, all[static_cast<std::size_t>(chosen_) - 1].in + apart,
                              all[static_cast<std::size_t>(chosen_) + 1].in - apart);
    put(std::move(all), going_on);
}

void ToneCurve::remove_point() {
    auto all = points();
    if (chosen_ <= 0 || chosen_ + 1 >= static_cast<int>(all.size())) return;
    all.erase(all.begin() + chosen_);
    chosen_ = -1;
    put(std::move(all), false);
}

void ToneCurve::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const QRectF f = field();
    painter.setPen(QPen(hasFocus() ? roles_.accent : roles_.hairline, hasFocus() ? 2 : 1));
    painter.setBrush(roles_.card);
    painter.drawRoundedRect(f, 5, 5);
    painter.setClipRect(f);
    // The highest peaks are seldom what matters: they may be cut off.
    raster::Histogram sorted = shares_;
    std::sort(sorted.begin(), sorted.end());
    const double full = std::max(sorted[60], 1e-9) * 1.15;
    QPainterPath hills(f.bottomLeft());
    for (std::size_t i = 0; i < shares_.size(); ++i)
        hills.lineTo(place_of((static_cast<double>(i) + 0.5) / 64, std::min(shares_[i] / full, 1.0)));
    hills.lineTo(f.bottomRight());
    painter.fillPath(hills, roles_.hairline);
    painter.setPen(QPen(roles_.control, 1, Qt::DotLine));
    painter.drawLine(place_of(0, 0), place_of(1, 1));
    QPainterPath line;
    for (int i = 0; i <= 128; ++i) {
        const double in = i / 128.0;
        const QPointF at = place_of(in, raster::tone_of(tone_, in));
        i == 0 ? line.moveTo(at) : line.lineTo(at);
    }
    painter.setPen(QPen(roles_.accent, 2));
    painter.setBrush(Qt::NoBrush);
    painter.drawPath(line);
    const auto all = points();
    for (std::size_t i = 0; tone_.curve.size() > 1 && i < all.size(); ++i) {
        painter.setPen(QPen(roles_.accent, 1.6));
        painter.setBrush(static_cast<int>(i) == chosen_ ? roles_.accent : roles_.card);
        painter.drawEllipse(place_of(all[i].in, all[i].out), 4, 4);
    }
}

void ToneCurve::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton) return;
    const QRectF f = field();
    const double in = std::clamp((event->position().x() - f.left()) / f.width(), 0.0, 1.0);
    const double out = std::clamp((f.bottom() - event->position().y()) / f.height(), 0.0, 1.0);
    chosen_ = point_near(event->position());
    dragging_ = true;
    if (chosen_ >= 0 || in < apart || in > 1 - apart) return update();
    auto all = points();
    const auto after = std::find_if(all.begin(), all.end(), [in](const auto& p) { return p.in > in; });
    chosen_ = static_cast<int>(after - all.begin());
    all.insert(after, {in, out});
    put(std::move(all), true);
}

void ToneCurve::mouseMoveEvent(QMouseEvent* event) {
    if (!dragging_) return;
    const QRectF f = field();
    constexpr double far_out = 40;  // px
    if (!f.adjusted(-far_out, -far_out, far_out, far_out).contains(event->position())) return remove_point();
    move_point((event->position().x() - f.left()) / f.width(), (f.bottom() - event->position().y()) / f.height(), true);
}

void ToneCurve::mouseReleaseEvent(QMouseEvent*) {
    dragging_ = false;
    Q_EMIT released();
}

void ToneCurve::choose(int point) {
    chosen_ = point;
    chosen_ = held();
    say_again(*this);
    update();
}

void ToneCurve::keyPressEvent(QKeyEvent* event) {
    auto all = points();
    const int last = static_cast<int>(all.size()) - 1;
    chosen_ = held();
    const raster::CurvePoint at = all[static_cast<std::size_t>(chosen_)];
    switch (event->key()) {
        case Qt::Key_Left:
            return choose(chosen_ - 1);
        case Qt::Key_Right:
            return choose(chosen_ + 1);
        case Qt::Key_Up:
            return move_point(at.in, at.out + curve_key_step, false);
        case Qt::Key_Down:
            return move_point(at.in, at.out - curve_key_step, false);
        case Qt::Key_Insert: {
            const int next = std::min(chosen_ + 1, last);
            const double in = (all[static_cast<std::size_t>(next) - 1].in + all[static_cast<std::size_t>(next)].in) / 2;
            all.insert(all.begin() + next, {in, raster::curve_at(all, in)});
            chosen_ = next;
            return put(std::move(all), false);
        }
        case Qt::Key_Delete:
            return remove_point();
        default:
            QWidget::keyPressEvent(event);
    }
}

}  // namespace chalkline::app
