// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/ground.hpp"

#include "bed/art_layers.hpp"

#include <chalkline/base/units_text.hpp>

#include <QCoreApplication>
#include <QPainterPath>
#include <cmath>

namespace chalkline::app {

QPolygonF polygon_of(const geometry::Polyline& line, const Camera& camera) {
    QPolygonF polygon;
    for (const auto p : line.points)
        polygon << camera.to_screen(p);
    return polygon;
}

QRectF rect_of(const geometry::Box& box, const Camera& camera) {
    return {camera.to_screen({box.left, box.top}), camera.to_screen({box.right, box.bottom})};
}

namespace {

QString millimetres(double value) {
    return QString::fromStdString(format_number(value, 1));
}

QString worded(const char* text) {
    return QCoreApplication::translate("chalkline::app::Ground", text);
}

/// A ruler step (mm) that leaves room for its figures.
double ruler_step(double scale) {
    constexpr double room = 44;  // px between two figures
    for (const double step : {0.1, 0.2, 0.5, 1.0, 2.0, 5.0, 10.0, 20.0, 50.0, 100.0})
        if (step * scale >= room) return step;
    return 200;
}

}  // namespace

void draw_grid(QPainter& painter, const geometry::Box& bed, const Camera& camera, const theme::Roles& roles) {
    const QRectF area = rect_of(bed, camera);
    painter.setPen(QPen(roles.grid, 1));
    const double step = ruler_step(camera.scale);
    for (double x = step; x < bed.right; x += step)
        painter.drawLine(camera.to_screen({x, 0}), camera.to_screen({x, bed.top}));
    for (double y = step; y < bed.top; y += step)
        painter.drawLine(camera.to_screen({0, y}), camera.to_screen({bed.right, y}));
    painter.setPen(QPen(roles.control, 1.2));
    painter.setBrush(Qt::NoBrush);
    painter.drawRect(area);
}

void draw_rulers(QPainter& painter, const geometry::Box& bed, const Camera& camera, const theme::Roles& roles) {
    painter.setFont(theme::font(theme::tiny));
    painter.setPen(roles.quiet);
    const double step = ruler_step(camera.scale);
    // The figures stay in view when the bed's edge does not.
    const double top = std::max(4.0, camera.to_screen({0, bed.top}).y() - 18);
    const double left = std::max(4.0, camera.to_screen({0, 0}).x() - 34);
    for (double x = 0; x <= bed.right + 1e-9; x += step)
        painter.drawText(QRectF(camera.to_screen({x, 0}).x() - 24, top, 48, 14), Qt::AlignCenter, millimetres(x));
    for (double y = 0; y <= bed.top + 1e-9; y += step)
        painter.drawText(QRectF(left, camera.to_screen({0, y}).y() - 7, 28, 14), Qt::AlignRight | Qt::AlignVCenter,
                         millimetres(y));
}

/// The unrolled wall: what is taken by chuck, foot and handle hatched, and the seam at both ends of the turn.
static void draw_wall(QPainter& painter, const job::RoundPiece& piece, const Camera& camera,
                      const theme::Roles& roles) {
    const geometry::Box wall{0, 0, piece.length, piece.turn()}, free = piece.free_part();
    QPainterPath taken;
    taken.addRect(rect_of(wall, camera));
    taken.addRect(rect_of(free, camera));
    QColor soft = roles.stock_edge;
    soft.setAlphaF(0.35F);
    painter.fillPath(taken, QBrush(soft, Qt::BDiagPattern));
    painter.setPen(QPen(roles.accent, 1.6, Qt::DashLine));
    for (const double y : {wall.bottom, wall.top})
        painter.drawLine(camera.to_screen({wall.left, y}), camera.to_screen({wall.right, y}));
    painter.setFont(theme::font(theme::tiny, QFont::DemiBold));
    painter.setPen(roles.accent);
    const QRectF all = rect_of(wall, camera).normalized();
    painter.drawText(all.bottomRight() + QPointF(10, 4), worded("seam · the wall unrolled"));
    painter.drawText(all.topRight() + QPointF(10, 4),
                     worded("seam again, after one turn of %1 mm").arg(millimetres(piece.turn())));
}

QColor material_of(const job::Job& job, const theme::Roles& roles) {
    int light = 0;
    for (const job::Step& step : job.steps) {
        if (!step.on || !job.has_work(step)) continue;
        if (step.settings.kind != steps::StepKind::picture || !step.settings.picture.burns_light) return roles.stock;
        ++light;
    }
    return light > 0 ? roles.dark_stock : roles.stock;
}

void draw_stock(QPainter& painter, const job::Stock& stock, const QColor& material, const Camera& camera,
                const theme::Roles& roles) {
    const QPolygonF outline = polygon_of(stock.outline(), camera);
    QPainterPath piece;
    piece.addPolygon(outline);
    piece.closeSubpath();
    painter.fillPath(piece, material);
    // A quiet grain along the piece, so that it reads as material.
    painter.save();
    painter.setClipPath(piece, Qt::IntersectClip);
    painter.setTransform(to_qt(stock.place()) * camera.transform());
    QPen grain(roles.stock_edge, 1);
    grain.setCosmetic(true);
    QColor soft = roles.stock_edge;
    soft.setAlphaF(0.16F);
    grain.setColor(soft);
    painter.setPen(grain);
    for (int i = 1; i * 6.5 < stock.height; ++i) {
        QPainterPath line;
        const double y = i * 6.5;
        line.moveTo(0, y);
        for (double x = 0; x < stock.width; x += 40)
            line.quadTo(x + 20, y + 1.6 * std::sin(i * 2.4 + x * 0.05), std::min(stock.width, x + 40), y);
        painter.drawPath(line);
    }
    painter.restore();
    painter.setPen(QPen(roles.stock_edge, 1.2));
    painter.setBrush(Qt::NoBrush);
    painter.drawPath(piece);
    if (stock.form == job::Stock::Form::round) return draw_wall(painter, stock.round, camera, roles);
    painter.setFont(theme::font(theme::tiny, QFont::DemiBold));
    painter.setPen(roles.accent);
    const QString text = worded("%1 %2 mm · %3 × %4 mm")
                             .arg(QString::fromStdString(stock.material), millimetres(stock.thickness.mm()),
                                  millimetres(stock.width), millimetres(stock.height));
    painter.drawText(outline.boundingRect().topLeft() + QPointF(10, -8), text);
}

}  // namespace chalkline::app
