// SPDX-License-Identifier: GPL-3.0-or-later
#include "proof/original_panel.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

constexpr double near_px = 7;        // a grip is this near
constexpr double least_part = 0.01;  // of the picture, for crop and box
constexpr double brush = 0.02;       // radius of a stroke, share of the picture's width

/// Keeps a moved or stretched part inside the picture and open.
raster::Part within(raster::Part part) {
    if (part.left > part.right) std::swap(part.left, part.right);
    if (part.top > part.bottom) std::swap(part.top, part.bottom);
    part.left = std::clamp(part.left, 0.0, 1 - least_part);
    part.top = std::clamp(part.top, 0.0, 1 - least_part);
    part.right = std::clamp(part.right, part.left + least_part, 1.0);
    part.bottom = std::clamp(part.bottom, part.top + least_part, 1.0);
    return part;
}

raster::Part moved(const raster::Part& part, double x, double y) {
    x = std::clamp(x, -part.left, 1 - part.right);
    y = std::clamp(y, -part.top, 1 - part.bottom);
    return {part.left + x, part.top + y, part.right + x, part.bottom + y};
}

}  // namespace

OriginalPanel::OriginalPanel(ProofDesk& desk, const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), desk_(desk), roles_(roles) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Original with its crop"));
    connect(&desk_, &ProofDesk::seen, this, [this] {
        say_again(*this);
        update();
    });
}

QString OriginalPanel::spoken_value() const {
    if (!desk_.motif()) return tr("no picture yet");
    const auto percent = [](double share) { return QString::number(std::lround(share * 100)); };
    const raster::Part& part = frame();
    const QString said = tool_ == Tool::subject_box ? tr("Subject from %1 to %2 % across, %3 to %4 % down from the top")
                                                    : tr("Kept from %1 to %2 % across, %3 to %4 % down from the top");
    return said.arg(percent(part.left), percent(part.right), percent(part.top), percent(part.bottom));
}

void OriginalPanel::set_tool(Tool tool) {
    tool_ = tool;
    setCursor(framing() ? Qt::ArrowCursor : Qt::CrossCursor);
    update();
}

const raster::Part& OriginalPanel::frame() const {
    static const raster::Part whole;
    const job::Motif* motif = desk_.motif();
    if (!motif) return whole;
    return tool_ == Tool::subject_box ? motif->preparation.background.box : motif->preparation.crop;
}

/// From shares of the picture to the widget: turned and mirrored by quarters as it lies on the bed.
QTransform OriginalPanel::to_widget() const {
    const QSize size = desk_.original().size();
    if (size.isEmpty() || !desk_.motif()) return {};
    const geometry::Transform place = desk_.motif()->place * desk_.picture()->place;
    // Right and down of the picture, in directions of the screen.
    const geometry::Point right = place.direction({1, 0}), down = place.direction({0, -1});
    const bool upright = std::abs(right.x) >= std::abs(right.y);
    const auto sign = [](double v) { return v < 0 ? -1.0 : 1.0; };
    QTransform turn = upright ? QTransform(sign(right.x), 0, 0, -sign(down.y), 0, 0)
                              : QTransform(0, -sign(right.y), sign(down.x), 0, 0, 0);
    turn = QTransform::fromScale(size.width(), size.height()) * turn;
    const QRectF lying = turn.mapRect(QRectF(0, 0, 1, 1));
    const double scale = std::min(width() / lying.width(), height() / lying.height());
    return turn * QTransform::fromTranslate(-lying.left(), -lying.top()) * QTransform::fromScale(scale, scale) *
           QTransform::fromTranslate((width() - lying.width() * scale) / 2, 0);
}

QPointF OriginalPanel::place_of(raster::Place place) const {
    return to_widget().map(QPointF(place.x, place.y));
}

raster::Place OriginalPanel::share_at(QPointF place) const {
    const QPointF share = to_widget().inverted().map(place);
    return {share.x(), share.y()};
}

QRectF OriginalPanel::rect_of(const raster::Part& part) const {
    return QRectF(place_of({part.left, part.top}), place_of({part.right, part.bottom})).normalized();
}

void OriginalPanel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const QImage& image = desk_.original();
    if (image.isNull() || !desk_.motif()) return;
    const raster::Preparation& how = desk_.motif()->preparation;
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.save();
    painter.setTransform(to_widget(), true);
    painter.drawImage(QRectF(0, 0, 1, 1), image);
    painter.restore();
    const QRectF all = rect_of({}), kept = rect_of(how.crop);
    QPainterPath outside;
    outside.addRect(all);
    outside.addRect(kept);
    QColor shade = roles_.rail;
    shade.setAlpha(150);
    painter.fillPath(outside, shade);
    if (how.background.way == raster::Background::Way::cut_out || tool_ != Tool::crop) draw_strokes(painter);
    const auto outline = [&](const QRectF& frame, bool active) {
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(roles_.rail, 3));
        painter.drawRect(frame);
        QPen dashes(roles_.rail_text, active ? 2 : 1, Qt::DashLine);
        painter.setPen(dashes);
        painter.drawRect(frame);
        if (!active) return;
        painter.setPen(roles_.rail);
        painter.setBrush(roles_.rail_text);
        for (const QPointF corner : {frame.topLeft(), frame.topRight(), frame.bottomLeft(), frame.bottomRight()})
            painter.drawRect(QRectF(corner - QPointF(4, 4), QSizeF(8, 8)));
    };
    outline(kept.adjusted(1, 1, -1, -1), tool_ == Tool::crop);
    if (tool_ == Tool::subject_box) outline(rect_of(how.background.box), true);
    if (hasFocus()) {
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(roles_.accent, 2));
        painter.drawRect(all.adjusted(1, 1, -1, -1));
    }
}

void OriginalPanel::draw_strokes(QPainter& painter) const {
    auto strokes = desk_.motif()->preparation.background.strokes;
    if (!stroke_.empty()) strokes.push_back({tool_ == Tool::keep, brush, stroke_});
    for (const raster::Stroke& stroke : strokes) {
        QPolygonF line;
        for (const raster::Place& p : stroke.points)
            line << place_of(p);
        if (line.size() == 1) line << line.front() + QPointF(0.1, 0);
        QColor colour = stroke.keep ? roles_.accent : roles_.attention;
        colour.setAlpha(170);
        const double wide = 2 * stroke.radius * QLineF(place_of({0, 0}), place_of({1, 0})).length();
        painter.setPen(QPen(colour, std::max(wide, 3.0), Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
        painter.drawPolyline(line);
    }
}

/// Edges within reach of a place, in terms of the picture.
OriginalPanel::Grip OriginalPanel::grip_at(QPointF place) const {
    const raster::Part& part = frame();
    const raster::Place at = share_at(place);
    const raster::Place origin = share_at({0, 0}), step = share_at({near_px, near_px});
    const double x = std::abs(step.x - origin.x), y = std::abs(step.y - origin.y);
    if (at.x < part.left - x || at.x > part.right + x || at.y < part.top - y || at.y > part.bottom + y) return {};
    return {std::abs(at.x - part.left) < x, std::abs(at.y - part.top) < y, std::abs(at.x - part.right) < x,
            std::abs(at.y - part.bottom) < y};
}

void OriginalPanel::take_frame(const raster::Part& part, bool dragging) {
    Merge merge;
    if (dragging) merge = MergeKey{tool_ == Tool::crop ? Gesture::drag_crop : Gesture::drag_subject};
    if (tool_ == Tool::crop)
        desk_.prepare(
            tr("Crop"), [&](raster::Preparation& how) { how.crop = within(part); }, merge);
    else
        desk_.prepare(
            tr("Box of the subject"), [&](raster::Preparation& how) { how.background.box = within(part); }, merge);
}

/// A stroke counts when it is done: cutting a subject out takes a moment.
void OriginalPanel::keep_stroke() {
    if (stroke_.empty()) return;
    desk_.prepare(tool_ == Tool::keep ? tr("Keep this") : tr("Leave this out"), [this](raster::Preparation& how) {
        how.background.strokes.push_back({tool_ == Tool::keep, brush, std::exchange(stroke_, {})});
    });
}

void OriginalPanel::mousePressEvent(QMouseEvent* event) {
    setFocus(Qt::MouseFocusReason);
    if (event->button() != Qt::LeftButton || !desk_.motif()) return;
    dragging_ = true;
    pressed_ = share_at(event->position());
    begun_ = frame();
    grip_ = grip_at(event->position());
    if (!framing()) stroke_ = {pressed_};
    update();
}

void OriginalPanel::mouseMoveEvent(QMouseEvent* event) {
    if (!dragging_) return;
    if (!framing()) {
        stroke_.push_back(share_at(event->position()));
        return update();
    }
    const raster::Place at = share_at(event->position());
    const bool inside =
        pressed_.x > begun_.left && pressed_.x < begun_.right && pressed_.y > begun_.top && pressed_.y < begun_.bottom;
    raster::Part part = begun_;
    if (grip_.any()) {
        if (grip_.left) part.left = at.x;
        if (grip_.right && !grip_.left) part.right = at.x;
        if (grip_.top) part.top = at.y;
        if (grip_.bottom && !grip_.top) part.bottom = at.y;
    } else if (inside && !begun_.whole()) {
        part = moved(begun_, at.x - pressed_.x, at.y - pressed_.y);
    } else {
        part = {pressed_.x, pressed_.y, at.x, at.y};
    }
    take_frame(part, true);
}

void OriginalPanel::mouseReleaseEvent(QMouseEvent*) {
    if (!std::exchange(dragging_, false)) return;
    keep_stroke();
    desk_.end_merge();
}

void OriginalPanel::keyPressEvent(QKeyEvent* event) {
    constexpr double step = 0.01;
    double x = 0, y = 0;
    if (event->key() == Qt::Key_Left) x = -step;
    if (event->key() == Qt::Key_Right) x = step;
    if (event->key() == Qt::Key_Up) y = -step;
    if (event->key() == Qt::Key_Down) y = step;
    if ((x == 0 && y == 0) || !framing() || !desk_.motif()) return QWidget::keyPressEvent(event);
    raster::Part part = frame();
    if (event->modifiers() & Qt::ShiftModifier) {
        part.right += x;
        part.bottom += y;
        take_frame(part, false);
    } else {
        take_frame(moved(part, x, y), false);
    }
}

}  // namespace chalkline::app
