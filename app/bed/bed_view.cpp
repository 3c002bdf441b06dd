// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/bed_view.hpp"

#include "widgets/controls.hpp"

#include <chalkline/base/units_text.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <cmath>

namespace chalkline::app {
namespace {

constexpr double margin = 44;  // px kept free round a fitted box, for the rulers

QPolygonF polygon_of(const geometry::Polyline& line, const Camera& camera) {
    QPolygonF polygon;
    for (const auto p : line.points)
        polygon << camera.to_screen(p);
    return polygon;
}

QRectF rect_of(const geometry::Box& box, const Camera& camera) {
    return {camera.to_screen({box.left, box.top}), camera.to_screen({box.right, box.bottom})};
}

QString mm(double value) {
    return QString::fromStdString(format_number(value, 1));
}

/// A ruler step (mm) that leaves room for its figures.
double ruler_step(double scale) {
    constexpr double room = 44;  // px between two figures
    for (const double step : {0.1, 0.2, 0.5, 1.0, 2.0, 5.0, 10.0, 20.0, 50.0, 100.0})
        if (step * scale >= room) return step;
    return 200;
}

}  // namespace

BedView::BedView(JobDocument& document, PlanKeeper& plans, MachineLink& machine, BurnDesk& desk,
                 const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), document_(document), plans_(plans), machine_(machine), desk_(desk), roles_(roles) {
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setAccessibleName(tr("Bed"));
    setAccessibleDescription(tr("The machine's work area with the stock and the art. Arrow keys move what is chosen."));
    connect(&document_, &JobDocument::changed, this, &BedView::follow);
    connect(&plans_, &PlanKeeper::changed, this, qOverload<>(&QWidget::update));
    connect(&machine_, &MachineLink::changed, this, qOverload<>(&QWidget::update));
    connect(&desk_, &BurnDesk::changed, this, qOverload<>(&QWidget::update));

    auto* corner = new QWidget(this);
    corner->setObjectName("fitCorner");
    auto* row = new QHBoxLayout(corner);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(4);
    const auto add = [&](const QString& text, const QString& tip, void (BedView::*action)()) {
        auto* button = make_button(text, ButtonLook::link, corner);
        button->setToolTip(tip);
        connect(button, &QPushButton::clicked, this, action);
        row->addWidget(button);
    };
    row->addWidget(make_label(tr("Show"), Tone::quiet, corner));
    add(tr("bed"), tr("The whole bed"), &BedView::fit_bed);
    add(tr("stock"), tr("The piece of material"), &BedView::fit_stock);
    add(tr("job"), tr("What will be burned"), &BedView::fit_job);
    corner->adjustSize();
}

// ---------------------------------------------------------------- what is shown

void BedView::follow(JobChange change) {
    if (touches(change, JobChange::art)) layers_.keep_only(document_.job());
    if (touches(change, JobChange::art | JobChange::place)) {
        boxes_.clear();
        for (const job::Motif& motif : document_.job().motifs)
            boxes_[motif.id] = job::bounds(motif);
    }
    if (selected_ && !document_.job().motif(*selected_)) select({});
    if (touches(change, JobChange::art)) highlight_.places.clear();
    update();
}

void BedView::fit(const geometry::Box& box) {
    if (box.empty()) return;
    camera_ = Camera::fitting(box, QSizeF(size()), margin);
    fitted_ = false;
    update();
}

void BedView::fit_bed() {
    fit(machine_.profile().bed());
    fitted_ = true;
}

void BedView::fit_stock() {
    if (document_.job().stock) fit(geometry::bounds(document_.job().stock->outline()));
}

void BedView::fit_job() {
    geometry::Box all;
    for (const auto& [id, box] : boxes_)
        all.add(box);
    fit(all);
}

void BedView::bring_into_view(job::Id motif) {
    const geometry::Box box = box_of(motif);
    if (!box.empty() && !QRectF(rect()).contains(rect_of(box, camera_).normalized())) fit_bed();
}

void BedView::select(std::optional<job::Id> motif) {
    if (motif == selected_) return;
    selected_ = motif;
    Q_EMIT selection_changed();
    update();
}

void BedView::highlight(const Highlight& highlight) {
    highlight_ = highlight;
    update();
}

void BedView::pick_box(const QString& hint, std::function<void(geometry::Box)> take) {
    stop_picking();
    pick_box_ = std::move(take);
    pick_hint_ = hint;
    setCursor(Qt::CrossCursor);
    setFocus();
    update();
}

void BedView::pick_place(const QString& hint, std::function<void(geometry::Point)> take) {
    stop_picking();
    pick_place_ = std::move(take);
    pick_hint_ = hint;
    setCursor(Qt::CrossCursor);
    setFocus();
    update();
}

void BedView::stop_picking() {
    pick_box_ = {};
    pick_place_ = {};
    rubber_band_ = {};
    unsetCursor();
    update();
}

geometry::Box BedView::box_of(job::Id motif) const {
    const auto found = boxes_.find(motif);
    return found == boxes_.end() ? geometry::Box{} : found->second;
}

std::optional<job::Id> BedView::motif_at(geometry::Point place) const {
    const double slack = 4 / camera_.scale;
    const auto& motifs = document_.job().motifs;
    for (auto motif = motifs.rbegin(); motif != motifs.rend(); ++motif)
        if (box_of(motif->id).contains(place, slack)) return motif->id;
    return {};
}

// ---------------------------------------------------------------- hands

void BedView::move_selected(geometry::Point by, int merge) {
    if (!selected_) return;
    (void)document_.edit(tr("Move art"),
                         job::transform(document_.job(), {*selected_}, geometry::Transform::move(by.x, by.y)),
                         JobChange::place, merge);
}

void BedView::resizeEvent(QResizeEvent*) {
    if (fitted_) fit_bed();
    if (auto* corner = findChild<QWidget*>("fitCorner"))
        corner->move(width() - corner->width() - 12, height() - corner->height() - 8);
}

void BedView::wheelEvent(QWheelEvent* event) {
    fitted_ = false;
    camera_.zoom(std::pow(1.0015, event->angleDelta().y()), event->position());
    update();
}

void BedView::mousePressEvent(QMouseEvent* event) {
    grip_from_ = event->position();
    if (event->button() == Qt::MiddleButton || (event->button() == Qt::LeftButton && space_held_)) {
        grip_ = Grip::view;
        setCursor(Qt::ClosedHandCursor);
    } else if (event->button() == Qt::LeftButton && pick_box_) {
        grip_ = Grip::box;
        rubber_band_ = {event->position(), QSizeF()};
    } else if (event->button() == Qt::LeftButton && pick_place_) {
        pick_place_(camera_.to_bed(event->position()));
    } else if (event->button() == Qt::LeftButton) {
        select(motif_at(camera_.to_bed(event->position())));
        // What burns now must not move.
        if (selected_ && !desk_.burning()) grip_ = Grip::motif;
        document_.end_merge();
    }
}

void BedView::mouseMoveEvent(QMouseEvent* event) {
    const QPointF way = event->position() - grip_from_;
    if (grip_ == Grip::view) {
        fitted_ = false;
        camera_.origin += way;
        grip_from_ = event->position();
        update();
    } else if (grip_ == Grip::motif && selected_) {
        if (way.isNull()) return;
        constexpr int drag = 1;
        move_selected({way.x() / camera_.scale, -way.y() / camera_.scale}, drag);
        grip_from_ = event->position();
    } else if (grip_ == Grip::box) {
        rubber_band_ = QRectF(grip_from_, event->position()).normalized();
        update();
    } else if (grip_ == Grip::none && !picking()) {
        setCursor(space_held_                                   ? Qt::OpenHandCursor
                  : motif_at(camera_.to_bed(event->position())) ? Qt::SizeAllCursor
                                                                : Qt::ArrowCursor);
    }
}

void BedView::mouseReleaseEvent(QMouseEvent*) {
    const Grip was = grip_;
    grip_ = Grip::none;
    document_.end_merge();
    if (was == Grip::box && rubber_band_.width() > 3 && rubber_band_.height() > 3) {
        geometry::Box box;
        box.add(camera_.to_bed(rubber_band_.topLeft()));
        box.add(camera_.to_bed(rubber_band_.bottomRight()));
        const auto take = std::move(pick_box_);
        stop_picking();
        take(box);
    }
    if (!picking()) unsetCursor();
}

void BedView::keyPressEvent(QKeyEvent* event) {
    const double step = event->modifiers() & Qt::ShiftModifier ? 10 : event->modifiers() & Qt::AltModifier ? 0.1 : 1;
    constexpr int nudge = 2;
    const auto move = [&](double x, double y) {
        if (!desk_.burning()) move_selected({x * step, y * step}, nudge);
    };
    switch (event->key()) {
        case Qt::Key_Escape:
            if (picking()) return stop_picking();
            return QWidget::keyPressEvent(event);
        case Qt::Key_Left:
            return move(-1, 0);
        case Qt::Key_Right:
            return move(1, 0);
        case Qt::Key_Up:
            return move(0, 1);
        case Qt::Key_Down:
            return move(0, -1);
        case Qt::Key_Delete:
            if (selected_ && !desk_.burning())
                (void)document_.edit(tr("Remove art"), job::remove(document_.job(), {*selected_}),
                                     JobChange::art | JobChange::place);
            return;
        case Qt::Key_Space:
            space_held_ = true;
            setCursor(Qt::OpenHandCursor);
            return;
        case Qt::Key_Plus:
            camera_.zoom(1.25, QRectF(rect()).center());
            fitted_ = false;
            return update();
        case Qt::Key_Minus:
            camera_.zoom(0.8, QRectF(rect()).center());
            fitted_ = false;
            return update();
        default:
            QWidget::keyPressEvent(event);
    }
}

void BedView::keyReleaseEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Space && !event->isAutoRepeat()) {
        space_held_ = false;
        unsetCursor();
        return;
    }
    QWidget::keyReleaseEvent(event);
}

// ---------------------------------------------------------------- drawing

void BedView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), roles_.bench);
    draw_bed(painter);
    draw_rulers(painter);
    draw_stock(painter);
    draw_art(painter);
    draw_bounds_faults(painter);
    draw_selection(painter);
    draw_places(painter);
    draw_head(painter);
    draw_picking(painter);
    draw_hint(painter);
}

void BedView::draw_bed(QPainter& painter) const {
    const auto bed = machine_.profile().bed();
    const QRectF area = rect_of(bed, camera_);
    painter.fillRect(area, roles_.bed);
    painter.setPen(QPen(roles_.grid, 1));
    const double step = ruler_step(camera_.scale);
    for (double x = step; x < bed.right; x += step)
        painter.drawLine(camera_.to_screen({x, 0}), camera_.to_screen({x, bed.top}));
    for (double y = step; y < bed.top; y += step)
        painter.drawLine(camera_.to_screen({0, y}), camera_.to_screen({bed.right, y}));
    painter.setPen(QPen(roles_.control, 1.2));
    painter.setBrush(Qt::NoBrush);
    painter.drawRect(area);
}

void BedView::draw_rulers(QPainter& painter) const {
    const auto bed = machine_.profile().bed();
    painter.setFont(theme::font(theme::tiny));
    painter.setPen(roles_.quiet);
    const double step = ruler_step(camera_.scale);
    // The figures stay in view when the bed's edge does not.
    const double top = std::max(4.0, camera_.to_screen({0, bed.top}).y() - 18);
    const double left = std::max(4.0, camera_.to_screen({0, 0}).x() - 34);
    for (double x = 0; x <= bed.right + 1e-9; x += step)
        painter.drawText(QRectF(camera_.to_screen({x, 0}).x() - 24, top, 48, 14), Qt::AlignCenter, mm(x));
    for (double y = 0; y <= bed.top + 1e-9; y += step)
        painter.drawText(QRectF(left, camera_.to_screen({0, y}).y() - 7, 28, 14), Qt::AlignRight | Qt::AlignVCenter,
                         mm(y));
}

void BedView::draw_stock(QPainter& painter) const {
    if (!document_.job().stock) return;
    const job::Stock& stock = *document_.job().stock;
    const QPolygonF outline = polygon_of(stock.outline(), camera_);
    QPainterPath piece;
    piece.addPolygon(outline);
    piece.closeSubpath();
    painter.fillPath(piece, roles_.stock);
    // A quiet grain along the piece, so that it reads as material.
    painter.save();
    painter.setClipPath(piece, Qt::IntersectClip);
    painter.setTransform(QTransform().rotateRadians(stock.angle) *
                         QTransform::fromTranslate(stock.corner.x, stock.corner.y) * camera_.transform());
    QPen grain(roles_.stock_edge, 1);
    grain.setCosmetic(true);
    QColor soft = roles_.stock_edge;
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
    painter.setPen(QPen(roles_.stock_edge, 1.2));
    painter.setBrush(Qt::NoBrush);
    painter.drawPath(piece);
    painter.setFont(theme::font(theme::tiny, QFont::DemiBold));
    painter.setPen(roles_.accent);
    const QString text =
        tr("%1 %2 mm · %3 × %4 mm")
            .arg(QString::fromStdString(stock.material), mm(stock.thickness.mm()), mm(stock.width), mm(stock.height));
    painter.drawText(outline[3] + QPointF(10, -8), text);
}

void BedView::draw_art(QPainter& painter) {
    const ArtPainter art(document_.job(), machine_.profile(), roles_, layers_);
    const auto plan = desk_.burning_plan();
    if (!plan) {
        burned_.clear();
        return art.draw(painter, camera_, highlight_);
    }
    // What is still to come is faint, what is burned is there.
    constexpr double faint = 0.22;
    painter.setOpacity(faint);
    art.draw(painter, camera_, highlight_);
    painter.setOpacity(1);
    std::map<int, QColor> tones;
    for (const job::Step& step : document_.job().steps)
        tones[step.id] = tone_of(step.settings, machine_.profile(), roles_);
    painter.drawImage(0, 0,
                      burned_.up_to(desk_.operations_done(), plan, camera_, size(), devicePixelRatioF(), tones,
                                    machine_.profile().spot));
}

void BedView::draw_bounds_faults(QPainter& painter) {
    const Planned& planned = plans_.planned();
    const bool off_stock = document_.job().stock && planned.off_stock > 0;
    if (!off_stock && planned.off_bed <= 0) return;
    QPainterPath inside, all;
    inside.addRect(rect_of(machine_.profile().bed(), camera_));
    if (off_stock) {
        QPainterPath piece;
        piece.addPolygon(polygon_of(document_.job().stock->outline(), camera_));
        piece.closeSubpath();
        inside = inside.intersected(piece);
    }
    all.addRect(rect());
    painter.save();
    painter.setClipPath(all.subtracted(inside));
    ArtPainter(document_.job(), machine_.profile(), roles_, layers_).draw_out_of_bounds(painter, camera_);
    painter.restore();
}

void BedView::draw_selection(QPainter& painter) const {
    if (!selected_ || desk_.burning()) return;
    const geometry::Box box = box_of(*selected_);
    if (box.empty()) return;
    const QRectF frame = rect_of(box, camera_).adjusted(-3, -3, 3, 3);
    painter.setPen(QPen(roles_.accent, 1.2));
    painter.setBrush(Qt::NoBrush);
    painter.drawRect(frame);
    painter.setFont(theme::font(theme::small));
    const QString text =
        tr("%1 × %2 mm at %3, %4").arg(mm(box.width()), mm(box.height()), mm(box.left), mm(box.bottom));
    const int wide = painter.fontMetrics().horizontalAdvance(text) + 20;
    const QRectF badge(frame.center().x() - wide / 2.0, frame.bottom() + 8, wide, 22);
    painter.setPen(Qt::NoPen);
    painter.setBrush(roles_.rail);
    painter.drawRoundedRect(badge, 5, 5);
    painter.setPen(roles_.rail_text);
    painter.drawText(badge, Qt::AlignCenter, text);
}

void BedView::draw_head(QPainter& painter) const {
    const auto& now = machine_.snapshot();
    if (!now.connected || !now.position || !now.position_sure) return;
    const QPointF at = camera_.to_screen(*now.position);
    painter.setPen(QPen(roles_.accent, 2.2, Qt::SolidLine, Qt::RoundCap));
    for (const QPointF way : {QPointF(1, 1), QPointF(-1, 1), QPointF(1, -1), QPointF(-1, -1)})
        painter.drawLine(at + way * 9, at + way * 15);
    painter.setPen(Qt::NoPen);
    painter.setBrush(roles_.accent);
    painter.drawEllipse(at, 3, 3);
}

void BedView::draw_places(QPainter& painter) const {
    if (highlight_.places.empty()) return;
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(roles_.attention, 2));
    for (const geometry::Box& place : highlight_.places) {
        // Never so small that it is overlooked.
        const QRectF exact = rect_of(place, camera_).normalized().adjusted(-4, -4, 4, 4);
        const QSizeF size = exact.size().expandedTo({18, 18});
        const QRectF frame(exact.center() - QPointF(size.width(), size.height()) / 2, size);
        painter.drawRoundedRect(frame, 5, 5);
    }
}

void BedView::draw_picking(QPainter& painter) const {
    if (!picking()) return;
    if (!rubber_band_.isEmpty()) {
        painter.setPen(QPen(roles_.accent, 1.2, Qt::DashLine));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(rubber_band_);
    }
    painter.setFont(theme::font(theme::normal));
    const QString text = tr("%1 · Esc to leave").arg(pick_hint_);
    const int wide = painter.fontMetrics().horizontalAdvance(text) + 28;
    const QRectF badge((width() - wide) / 2.0, 28, wide, 28);
    painter.setPen(Qt::NoPen);
    painter.setBrush(roles_.rail);
    painter.drawRoundedRect(badge, 5, 5);
    painter.setPen(roles_.rail_text);
    painter.drawText(badge, Qt::AlignCenter, text);
}

void BedView::draw_hint(QPainter& painter) const {
    if (!document_.job().motifs.empty()) return;
    painter.setFont(theme::font(theme::large));
    painter.setPen(roles_.quiet);
    painter.drawText(rect(), Qt::AlignCenter, tr("Drop a drawing or picture here"));
}

}  // namespace chalkline::app
