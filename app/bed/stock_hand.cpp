// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/stock_hand.hpp"

#include <QLineF>

namespace chalkline::app {

using geometry::Box;
using geometry::Point;
using geometry::Transform;

namespace {

constexpr MergeKey stock_drag{Gesture::drag_stock};

}  // namespace

HandleFrame StockHand::frame() const {
    if (!document_.job().stock || document_.job().round_piece() || desk_.held()) return {};
    const job::Stock& stock = *document_.job().stock;
    const Point own = Transform::turn(-stock.angle)(stock.corner);
    return {{own.x, own.y, own.x + stock.width, own.y + stock.height}, stock.angle};
}

void StockHand::start(Grip grip, QPointF at) {
    document_.end_merge();
    grip_ = grip;
    from_ = at;
    moved_ = false;
    start_frame_ = frame();
    start_job_ = document_.job();
}

bool StockHand::press_handle(QPointF at, const Camera& camera) {
    const auto handle = handle_at(frame(), camera, at);
    if (!handle) return false;
    handle_ = *handle;
    start(Grip::handle, at);
    return true;
}

bool StockHand::press_piece(QPointF at, const Camera& camera) {
    if (!document_.job().stock || document_.job().round_piece() || desk_.held()) return false;
    if (!geometry::contains({{document_.job().stock->outline()}, geometry::FillRule::non_zero}, camera.to_bed(at)))
        return false;
    start(Grip::piece, at);
    return true;
}

void StockHand::move(QPointF at, Qt::KeyboardModifiers keys, const Camera& camera) {
    moved_ = moved_ || QLineF(from_, at).length() >= least_drag;
    if (!moved_) return;
    const Point from = camera.to_bed(from_), to = camera.to_bed(at);
    if (grip_ == Grip::handle) {
        const bool round = start_job_.stock->form == job::Stock::Form::ellipse;
        const bool shift = keys & Qt::ShiftModifier;
        // A piece has its own width and height; only a round one keeps its shape unless asked.
        const DragRules rules{round != shift, bool(keys & Qt::AltModifier), shift};
        return desk_.transform_stock_from(start_job_, dragged(start_frame_, handle_, from, to, rules), stock_drag);
    }
    Point by = to - from;
    if (!(keys & Qt::ControlModifier)) {
        const Box box = geometry::bounds(start_job_.stock->outline());
        SnapLines lines;
        lines.add(machine_.bed());
        by = by + snap({box.left + by.x, box.bottom + by.y, box.right + by.x, box.top + by.y}, lines,
                       snap_reach / camera.scale)
                      .by;
    }
    desk_.transform_stock_from(start_job_, Transform::move(by.x, by.y), stock_drag);
}

void StockHand::release() {
    grip_ = Grip::none;
    document_.end_merge();
}

bool StockHand::give_up() {
    if (grip_ == Grip::none) return false;
    release();
    if (moved_) document_.history().undo();
    return true;
}

void StockHand::draw(QPainter& painter, const Camera& camera) const {
    const HandleFrame now = frame();
    if (now.empty()) return;
    QPolygonF corners;
    for (const Point corner : geometry::outline(now.box).points)
        corners << camera.to_screen(now.on_bed(corner));
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(roles_.accent, 1, Qt::DashLine));
    painter.drawPolygon(corners);
    painter.setPen(QPen(roles_.accent, 1.4));
    painter.setBrush(roles_.card);
    draw_handles(painter, handles_of(now, camera));
}

}  // namespace chalkline::app
