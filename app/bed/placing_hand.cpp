// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/placing_hand.hpp"

#include <chalkline/base/units_text.hpp>

#include <QCoreApplication>
#include <QLineF>
#include <cmath>
#include <numbers>

namespace chalkline::app {

using geometry::Box;
using geometry::Point;
using geometry::Transform;

namespace {

constexpr double datum_radius = 7;  // px
constexpr MergeKey art_drag{Gesture::drag_art};

QString mm(double value) {
    return QString::fromStdString(format_number(value, 1));
}

QString said(const char* text) {
    return QCoreApplication::translate("chalkline::app::PlacingHand", text);
}

}  // namespace

std::optional<job::Id> PlacingHand::motif_at(Point place, const Camera& camera) const {
    // Of several that lie there the smallest, so that a tag on a plate can be had.
    const double slack = 4 / camera.scale;
    std::optional<job::Id> best;
    double smallest = 0;
    for (const job::Motif& motif : document_.job().motifs) {
        const Box box = job::bounds(motif);
        if (!box.contains(place, slack)) continue;
        const double size = box.width() * box.height();
        if (best && size > smallest) continue;
        best = motif.id;
        smallest = size;
    }
    return best;
}

bool PlacingHand::on_datum(QPointF at, const Camera& camera) const {
    const auto datum = job::datum_place(document_.job());
    return datum && document_.job().datum && QLineF(camera.to_screen(*datum), at).length() <= datum_radius + 2;
}

bool PlacingHand::holds_something(QPointF at, const Camera& camera) const {
    return handle_at(frame_of(document_.job(), desk_.chosen()), camera, at) || on_datum(at, camera) ||
           motif_at(camera.to_bed(at), camera);
}

void PlacingHand::press(QPointF at, Qt::KeyboardModifiers keys, const Camera& camera) {
    document_.end_merge();
    from_ = to_ = at;
    moved_ = false;
    caught_ = {};
    start_job_ = document_.job();
    const HandleFrame frame = frame_of(document_.job(), desk_.chosen());
    if (const auto handle = handle_at(frame, camera, at); handle && !desk_.held()) {
        handle_ = *handle;
        start_frame_ = frame;
        grip_ = Grip::handle;
        return;
    }
    if (on_datum(at, camera) && !desk_.held()) {
        grip_ = Grip::datum;
        lines_ = {};
        lines_.add(job::bounds(document_.job()));
        for (const job::Motif& motif : document_.job().motifs)
            lines_.add(job::bounds(motif));
        return;
    }
    const auto motif = motif_at(camera.to_bed(at), camera);
    if (!motif) {
        if (!(keys & Qt::ShiftModifier)) desk_.choose({});
        grip_ = Grip::box;
        return;
    }
    if (keys & Qt::ShiftModifier)
        desk_.toggle(*motif);
    else if (!desk_.is_chosen(*motif))
        desk_.choose({*motif});
    // What burns now must not move.
    grip_ = desk_.held() || desk_.chosen().empty() ? Grip::none : Grip::motifs;
    start_box_ = job::bounds(document_.job(), desk_.chosen());
    lines_ = snap_lines(document_.job(), machine_, desk_.chosen());
}

void PlacingHand::move(QPointF at, Qt::KeyboardModifiers keys, const Camera& camera) {
    to_ = at;
    moved_ = moved_ || QLineF(from_, at).length() >= least_drag;
    if (!moved_) return;
    const Point from = camera.to_bed(from_), to = camera.to_bed(at);
    switch (grip_) {
        case Grip::motifs:
            return move_motifs(to - from, keys, camera);
        case Grip::datum:
            return drag_datum(to, keys, camera);
        case Grip::handle: {
            const bool shift = keys & Qt::ShiftModifier;
            const DragRules rules{!shift, bool(keys & Qt::AltModifier), shift};
            const QString name = handle_.kind == Handle::Kind::turn ? said("Turn art") : said("Scale art");
            return desk_.transform_from(start_job_, name, dragged(start_frame_, handle_, from, to, rules), art_drag);
        }
        case Grip::box:
        case Grip::none:
            return;
    }
}

void PlacingHand::move_motifs(Point by, Qt::KeyboardModifiers keys, const Camera& camera) {
    caught_ = {};
    const Box box{start_box_.left + by.x, start_box_.bottom + by.y, start_box_.right + by.x, start_box_.top + by.y};
    if (!(keys & Qt::ControlModifier)) caught_ = snap(box, lines_, snap_reach / camera.scale);
    const Point whole = by + caught_.by;
    desk_.transform_from(start_job_, said("Move art"), Transform::move(whole.x, whole.y), art_drag);
}

void PlacingHand::drag_datum(Point to, Qt::KeyboardModifiers keys, const Camera& camera) {
    caught_ = {};
    if (!(keys & Qt::ControlModifier)) caught_ = snap(to, lines_, snap_reach / camera.scale);
    desk_.set_datum(to + caught_.by, art_drag);
}

job::Ids PlacingHand::motifs_in(const Box& box) const {
    job::Ids inside;
    for (const job::Motif& motif : document_.job().motifs)
        if (box.contains(job::bounds(motif))) inside.push_back(motif.id);
    return inside;
}

void PlacingHand::release(QPointF at, Qt::KeyboardModifiers keys, const Camera& camera) {
    const Grip was = grip_;
    grip_ = Grip::none;
    caught_ = {};
    document_.end_merge();
    if (was != Grip::box || !moved_) return;
    Box box;
    box.add(camera.to_bed(from_));
    box.add(camera.to_bed(at));
    job::Ids inside = motifs_in(box);
    if (keys & Qt::ShiftModifier) inside.insert(inside.end(), desk_.chosen().begin(), desk_.chosen().end());
    desk_.choose(inside);
}

std::optional<std::size_t> PlacingHand::shape_at(const job::Motif& motif, Point place, double reach) const {
    std::optional<std::size_t> best;
    double nearest = reach;
    for (std::size_t i = 0; i < motif.art->shapes.size(); ++i) {
        const art::Shape& shape = motif.art->shapes[i];
        const auto lines = shape.path.flatten(motif.place);
        if (!geometry::bounds(lines).contains(place, reach)) continue;
        // Of areas the last, which lies on top; a line close by is meant before the area it lies on.
        if (shape.ink.kind == InkKind::fill && geometry::contains({lines, shape.rule}, place) && nearest == reach)
            best = i;
        for (const auto& line : lines)
            for (std::size_t k = 0; k + (line.closed ? 0 : 1) < line.points.size(); ++k) {
                const Point a = line.points[k], b = line.points[(k + 1) % line.points.size()];
                const double away = geometry::distance(geometry::nearest_on_line(place, a, b), place);
                if (away >= nearest) continue;
                nearest = away;
                best = i;
            }
    }
    return best;
}

void PlacingHand::double_click(QPointF at, const Camera& camera) {
    const auto motif = motif_at(camera.to_bed(at), camera);
    if (!motif) return;
    const bool alone = desk_.only() == motif;
    desk_.choose_one(*motif);
    constexpr double reach = 6;  // px
    if (alone && document_.job().motif(*motif)->art->shapes.size() > 1)
        desk_.choose_object(shape_at(*document_.job().motif(*motif), camera.to_bed(at), reach / camera.scale));
}

bool PlacingHand::give_up() {
    if (grip_ == Grip::none) return false;
    const bool changed = moved_ && grip_ != Grip::box;
    grip_ = Grip::none;
    caught_ = {};
    document_.end_merge();
    if (changed) document_.history().undo();
    return true;
}

Qt::CursorShape PlacingHand::cursor_at(QPointF at, const Camera& camera) const {
    const HandleFrame frame = frame_of(document_.job(), desk_.chosen());
    if (const auto handle = handle_at(frame, camera, at)) {
        if (handle->kind == Handle::Kind::turn) return Qt::PointingHandCursor;
        if (handle->across == 0) return Qt::SizeVerCursor;
        if (handle->up == 0) return Qt::SizeHorCursor;
        return handle->across == handle->up ? Qt::SizeBDiagCursor : Qt::SizeFDiagCursor;
    }
    if (on_datum(at, camera)) return Qt::PointingHandCursor;
    return motif_at(camera.to_bed(at), camera) ? Qt::SizeAllCursor : Qt::ArrowCursor;
}

// ---------------------------------------------------------------- drawing

void PlacingHand::draw(QPainter& painter, const Camera& camera) const {
    draw_frame(painter, camera);
    draw_guides(painter, camera);
    if (grip_ != Grip::box || !moved_) return;
    painter.setPen(QPen(roles_.accent, 1.2, Qt::DashLine));
    painter.setBrush(Qt::NoBrush);
    painter.drawRect(QRectF(from_, to_).normalized());
}

void PlacingHand::draw_frame(QPainter& painter, const Camera& camera) const {
    const job::Job& job = document_.job();
    const HandleFrame frame = frame_of(job, desk_.chosen());
    if (frame.empty()) return;
    painter.setBrush(Qt::NoBrush);
    const auto draw_box = [&](const Box& box, const Transform& map) {
        QPolygonF corners;
        for (const Point corner : geometry::outline(box).points)
            corners << camera.to_screen(map(corner));
        painter.drawPolygon(corners);
        return corners.boundingRect();
    };
    if (desk_.chosen().size() > 1) {
        painter.setPen(QPen(roles_.accent, 1, Qt::DotLine));
        for (const job::Id id : desk_.chosen())
            draw_box(job::bounds(*job.motif(id)), {});
    }
    if (const job::Motif* only = desk_.object() ? job.motif(*desk_.only()) : nullptr) {
        painter.setPen(QPen(roles_.accent, 2.4));
        for (const auto& line : only->art->shapes[*desk_.object()].path.flatten(only->place)) {
            QPolygonF way;
            for (const Point p : line.points)
                way << camera.to_screen(p);
            line.closed ? painter.drawPolygon(way) : painter.drawPolyline(way);
        }
    }
    painter.setPen(QPen(roles_.accent, 1.4));
    const QRectF around = draw_box(frame.box, frame.to_bed());

    bool locked = true;
    for (const job::Id id : desk_.chosen())
        locked = locked && job.motif(id)->locked;
    painter.setBrush(roles_.card);
    if (!locked && !desk_.held()) draw_handles(painter, handles_of(frame, camera));

    const Box box = job::bounds(job, desk_.chosen());
    painter.setFont(theme::font(theme::small));
    QString text = said("%1 × %2 mm at %3, %4").arg(mm(box.width()), mm(box.height()), mm(box.left), mm(box.bottom));
    if (const double degrees = frame.angle * 180 / std::numbers::pi; std::abs(degrees) > 0.05)
        text += said(" · turned %1°").arg(mm(degrees));
    if (locked) text += said(" · locked");
    const int wide = painter.fontMetrics().horizontalAdvance(text) + 20;
    const QRectF badge(around.center().x() - wide / 2.0, around.bottom() + 10, wide, 22);
    painter.setPen(Qt::NoPen);
    painter.setBrush(roles_.rail);
    painter.drawRoundedRect(badge, 5, 5);
    painter.setPen(roles_.rail_text);
    painter.drawText(badge, Qt::AlignCenter, text);
}

void PlacingHand::draw_guides(QPainter& painter, const Camera& camera) const {
    const QRectF view = painter.viewport();
    painter.setPen(QPen(roles_.accent, 1, Qt::DashLine));
    if (caught_.x) {
        const double x = camera.to_screen({*caught_.x, 0}).x();
        painter.drawLine(QPointF(x, view.top()), QPointF(x, view.bottom()));
    }
    if (caught_.y) {
        const double y = camera.to_screen({0, *caught_.y}).y();
        painter.drawLine(QPointF(view.left(), y), QPointF(view.right(), y));
    }
}

void PlacingHand::draw_datum(QPainter& painter, const Camera& camera) const {
    const auto datum = job::datum_place(document_.job());
    if (!datum || !document_.job().datum) return;
    const QPointF at = camera.to_screen(*datum);
    QPolygonF diamond;
    for (const QPointF way : {QPointF(0, -1), QPointF(1, 0), QPointF(0, 1), QPointF(-1, 0)})
        diamond << at + way * datum_radius;
    painter.setPen(QPen(roles_.text, 1.6));
    painter.setBrush(roles_.card);
    painter.drawPolygon(diamond);
    painter.setBrush(roles_.text);
    painter.drawEllipse(at, 1.6, 1.6);
    if (grip_ != Grip::datum) return;
    painter.setFont(theme::font(theme::small));
    painter.drawText(at + QPointF(12, -8), said("datum %1, %2").arg(mm(datum->x), mm(datum->y)));
}

}  // namespace chalkline::app
