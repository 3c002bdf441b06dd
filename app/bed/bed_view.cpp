// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/bed_view.hpp"

#include "bed/ground.hpp"
#include "widgets/controls.hpp"

#include <chalkline/machine/program_text.hpp>

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QTimer>
#include <cmath>
#include <numbers>

namespace chalkline::app {
namespace {

constexpr double margin = 44;  // px kept free round a fitted box, for the rulers

/// Art of more points is drawn in the background. (Some ten milliseconds a frame here.)
constexpr std::size_t most_drawn_at_once = 8000;

std::size_t points_of(const job::Job& job) {
    std::size_t points = 0;
    for (const job::Motif& motif : job.motifs)
        for (const art::Shape& shape : motif.art->shapes)
            points += shape.path.size();
    return points;
}

}  // namespace

BedView::BedView(JobDocument& document, PlanKeeper& plans, MachineLink& machine, BurnDesk& desk, PlacingDesk& placing,
                 const theme::Roles& roles, QWidget* parent)
    : QWidget(parent),
      document_(document),
      plans_(plans),
      machine_(machine),
      desk_(desk),
      placing_(placing),
      roles_(roles),
      hand_(document, placing, machine.profile(), roles),
      stock_hand_(document, placing, machine.profile(), roles),
      head_hand_(machine, roles, nullptr) {
    scene_ = scene();
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setAccessibleName(tr("Bed"));
    setAccessibleDescription(tr("The machine's work area with the stock and the art. Arrow keys move what is chosen."));
    connect(&document_, &JobDocument::changed, this, &BedView::follow);
    connect(&plans_, &PlanKeeper::changed, this, &BedView::scene_changed);
    connect(&picture_, &ArtPicture::drawn, this, qOverload<>(&QWidget::update));
    connect(&machine_, &MachineLink::changed, this, qOverload<>(&QWidget::update));
    connect(&head_hand_, &HeadHand::moved, this, qOverload<>(&QWidget::update));
    connect(&photo_, &BedPhoto::changed, this, qOverload<>(&QWidget::update));
    connect(&placing_, &PlacingDesk::selection_changed, this, [this] {
        say_again(*this);
        update();
    });
    connect(&desk_, &BurnDesk::changed, this, [this] {
        placing_.set_held(desk_.burning());
        update();
    });

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

QString BedView::spoken_value() const {
    const job::Ids& chosen = placing_.chosen();
    if (chosen.empty()) return tr("%n motifs, none chosen", nullptr, static_cast<int>(document_.job().motifs.size()));
    const geometry::Box box = job::bounds(document_.job(), chosen);
    const auto mm = [](double value) { return QString::fromStdString(format_number(value, 1)); };
    const QString what = chosen.size() == 1 ? QString::fromStdString(document_.job().motif(chosen.front())->art->name)
                                            : tr("%n motifs", nullptr, static_cast<int>(chosen.size()));
    return tr("%1 chosen, %2 × %3 mm, at %4, %5")
        .arg(what, mm(box.width()), mm(box.height()), mm(box.left), mm(box.bottom));
}

void BedView::follow(JobChange change) {
    if (touches(change, JobChange::art)) {
        layers_.keep_only(document_.job());
        large_ = points_of(document_.job()) > most_drawn_at_once;
    }
    if (touches(change, JobChange::art)) highlight_.places.clear();
    if (touches(change, JobChange::art | JobChange::place)) say_again(*this);
    scene_changed();
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
    fit(job::bounds(document_.job()));
}

void BedView::bring_into_view(job::Id motif) {
    const geometry::Box box = job::bounds(document_.job(), {motif});
    if (!box.empty() && !QRectF(rect()).contains(rect_of(box, camera_).normalized())) fit_bed();
}

void BedView::point_at(geometry::Point place) {
    pointed_ = place;
    if (!rect().contains(camera_.to_screen(place).toPoint())) fit_bed();
    constexpr int moment = 4000;  // ms
    QTimer::singleShot(moment, this, [this] {
        pointed_.reset();
        update();
    });
    update();
}

void BedView::hold_stock(bool on) {
    stock_held_ = on;
    update();
}

void BedView::hold_head(bool on) {
    head_held_ = on;
}

void BedView::mark_areas(bool on) {
    mark_areas_ = on;
    scene_changed();
}

void BedView::show_bare_paths(bool bare) {
    bare_paths_ = bare;
    scene_changed();
}

void BedView::highlight(const Highlight& highlight) {
    highlight_ = highlight;
    scene_changed();
}

void BedView::start_picking(const QString& hint) {
    stop_picking();
    pick_hint_ = hint;
    setCursor(Qt::CrossCursor);
    setFocus();
    update();
}

void BedView::pick_place(const QString& hint, std::function<void(geometry::Point)> take) {
    start_picking(hint);
    pick_place_ = std::move(take);
}

void BedView::pick_stroke(const QString& hint, bool seen,
                          std::function<void(const std::vector<geometry::Point>&)> take) {
    start_picking(hint);
    stroke_seen_ = seen;
    pick_stroke_ = std::move(take);
}

void BedView::pick_box(const QString& hint, std::function<void(geometry::Box)> take) {
    pick_stroke(hint, false, [take = std::move(take)](const std::vector<geometry::Point>& way) {
        geometry::Box box;
        box.add(way.front());
        box.add(way.back());
        take(box);
    });
}

void BedView::stop_picking() {
    pick_place_ = {};
    pick_stroke_ = {};
    stroke_.clear();
    grip_ = Grip::none;
    unsetCursor();
    update();
}

/// A way of a few pixels was a click and stands for nothing.
void BedView::end_stroke() {
    const auto way = std::move(stroke_);
    stroke_.clear();
    constexpr double least = 3;  // px
    if (way.empty() || geometry::distance(way.front(), way.back()) * camera_.scale < least) {
        if (!stroke_seen_ || way.size() < 8) return update();
    }
    const auto take = std::move(pick_stroke_);
    stop_picking();
    take(way);
}

// ---------------------------------------------------------------- hands

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

/// The piece's handles come before the art, the art before the piece it lies on.
bool BedView::takes_stock(QPointF at) {
    return stock_hand_.press_handle(at, camera_) ||
           (!hand_.holds_something(at, camera_) && stock_hand_.press_piece(at, camera_));
}

void BedView::mousePressEvent(QMouseEvent* event) {
    grip_from_ = event->position();
    if (event->button() == Qt::MiddleButton || (event->button() == Qt::LeftButton && space_held_)) {
        grip_ = Grip::view;
        space_dragged_ = space_held_;
        setCursor(Qt::ClosedHandCursor);
    } else if (event->button() != Qt::LeftButton) {
        return;
    } else if (pick_stroke_) {
        grip_ = Grip::stroke;
        stroke_ = {camera_.to_bed(event->position())};
    } else if (pick_place_) {
        const auto take = pick_place_;
        take(camera_.to_bed(event->position()));
    } else if (rehearsal_ && rehearsal_->click(event->position())) {
        return;
    } else if (head_held_ && head_hand_.press(event->position(), camera_)) {
        grip_ = Grip::head;
    } else if (stock_held_ && takes_stock(event->position())) {
        grip_ = Grip::stock;
    } else {
        grip_ = Grip::art;
        hand_.press(event->position(), event->modifiers(), camera_);
    }
}

void BedView::mouseMoveEvent(QMouseEvent* event) {
    switch (grip_) {
        case Grip::view:
            fitted_ = false;
            camera_.origin += event->position() - grip_from_;
            grip_from_ = event->position();
            break;
        case Grip::art:
            hand_.move(event->position(), event->modifiers(), camera_);
            break;
        case Grip::stock:
            stock_hand_.move(event->position(), event->modifiers(), camera_);
            break;
        case Grip::head:
            head_hand_.move(event->position(), camera_);
            break;
        case Grip::stroke:
            stroke_.push_back(camera_.to_bed(event->position()));
            break;
        case Grip::none:
            if (!picking()) setCursor(space_held_ ? Qt::OpenHandCursor : hand_.cursor_at(event->position(), camera_));
            return;
    }
    update();
}

void BedView::mouseReleaseEvent(QMouseEvent* event) {
    const Grip was = grip_;
    grip_ = Grip::none;
    if (was == Grip::art) hand_.release(event->position(), event->modifiers(), camera_);
    if (was == Grip::stock) stock_hand_.release();
    if (was == Grip::head) head_hand_.release();
    if (was == Grip::stroke) end_stroke();
    if (!picking()) unsetCursor();
    update();
}

void BedView::mouseDoubleClickEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton && !picking()) hand_.double_click(event->position(), camera_);
}

void BedView::nudge(const QKeyEvent& event, geometry::Point way) {
    const double step = event.modifiers() & Qt::ShiftModifier ? 10 : event.modifiers() & Qt::AltModifier ? 0.1 : 1;
    placing_.move(way * step, MergeKey{Gesture::nudge_art});
}

/// Keys that do something to what is chosen.
bool BedView::placing_key(const QKeyEvent& event) {
    constexpr double quarter = std::numbers::pi / 2;
    const bool shift = event.modifiers() & Qt::ShiftModifier;
    switch (event.key()) {
        case Qt::Key_Left:
            return nudge(event, {-1, 0}), true;
        case Qt::Key_Right:
            return nudge(event, {1, 0}), true;
        case Qt::Key_Up:
            return nudge(event, {0, 1}), true;
        case Qt::Key_Down:
            return nudge(event, {0, -1}), true;
        case Qt::Key_T:
            return placing_.turn(shift ? -quarter : quarter), true;
        case Qt::Key_M:
            return placing_.mirror(shift ? PlacingDesk::Mirror::up_down : PlacingDesk::Mirror::left_right), true;
        case Qt::Key_PageUp:
            return placing_.stack(shift ? job::Stacking::to_front : job::Stacking::forward), true;
        case Qt::Key_PageDown:
            return placing_.stack(shift ? job::Stacking::to_back : job::Stacking::backward), true;
        case Qt::Key_N:
            return placing_.choose_neighbour(shift ? -1 : 1), true;
        case Qt::Key_Delete:
        case Qt::Key_Backspace:
            return placing_.remove(), true;
        default:
            return false;
    }
}

void BedView::keyPressEvent(QKeyEvent* event) {
    if (!(event->modifiers() & Qt::ControlModifier) && placing_key(*event)) return;
    switch (event->key()) {
        case Qt::Key_Escape:
            if (picking()) return stop_picking();
            if (hand_.give_up() || stock_hand_.give_up() || head_hand_.give_up()) return update();
            return placing_.chosen().empty() ? QWidget::keyPressEvent(event) : placing_.choose({});
        case Qt::Key_P:
            return show_bare_paths(!bare_paths_);
        case Qt::Key_Space:
            if (!event->isAutoRepeat()) space_dragged_ = false;
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
        // Pressed and let go without dragging the view it plays.
        if (rehearsal_ && !space_dragged_) rehearsal_->player().play(!rehearsal_->player().playing());
        return;
    }
    QWidget::keyReleaseEvent(event);
}

// ---------------------------------------------------------------- drawing

void BedView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), roles_.bench);
    const geometry::Box bed = machine_.profile().bed();
    painter.fillRect(rect_of(bed, camera_), roles_.bed);
    photo_.draw(painter, camera_);
    draw_grid(painter, bed, camera_, roles_);
    draw_rulers(painter, bed, camera_, roles_);
    draw_piece(painter);
    draw_art(painter);
    if (stock_held_) stock_hand_.draw(painter, camera_);
    if (!desk_.burning() && !rehearsal_) hand_.draw(painter, camera_);
    draw_marked(painter);
    hand_.draw_datum(painter, camera_);
    draw_places(painter);
    head_hand_.draw(painter, camera_);
    draw_pointed(painter);
    draw_marks(painter);
    draw_picking(painter);
    draw_hint(painter);
    if (!hasFocus()) return;
    painter.setPen(QPen(roles_.accent, 2));
    painter.setBrush(Qt::NoBrush);
    painter.drawRect(rect().adjusted(1, 1, -1, -1));
}

/// Over a photograph the piece is faint: what is seen there is the real one.
void BedView::draw_piece(QPainter& painter) const {
    if (!document_.job().stock) return;
    constexpr double faint = 0.25;
    painter.setOpacity(photo_.lies() ? faint : 1);
    draw_stock(painter, *document_.job().stock, material_of(document_.job(), roles_), camera_, roles_);
    painter.setOpacity(1);
}

ArtScene BedView::scene() const {
    const clearance::Clearance& planned = plans_.planned();
    const bool off_stock = document_.job().stock && planned.off_stock > 0;
    return {document_.job(), machine_.profile(), roles_,
            highlight_,      off_stock,          planned.off_bed > 0,
            bare_paths_,     mark_areas_,        planned.plan && !plans_.stale() ? planned.plan->proofs : Proofs()};
}

/// The scene changed: large art is drawn anew in the background.
void BedView::scene_changed() {
    scene_ = scene();
    large_ ? picture_.set_scene(scene_) : picture_.clear();
    update();
}

void BedView::draw_scene(QPainter& painter) {
    if (large_) return picture_.draw(painter, camera_, size(), devicePixelRatioF());
    paint_art(small_art_, camera_, size(), devicePixelRatioF(), scene_, layers_);
    painter.drawImage(0, 0, small_art_);
}

void BedView::rehearse(RehearsalLayer* rehearsal) {
    if (rehearsal_) disconnect(rehearsal_, nullptr, this, nullptr);
    rehearsal_ = rehearsal;
    if (rehearsal_) connect(rehearsal_, &RehearsalLayer::changed, this, qOverload<>(&QWidget::update));
    update();
}

std::map<int, QColor> BedView::step_tones() const {
    std::map<int, QColor> tones;
    for (const job::Step& step : document_.job().steps)
        tones[step.id] = tone_of(step.settings, machine_.profile(), roles_);
    if (!plans_.program_name().isEmpty()) tones[machine::step_of_file] = roles_.burn[4];
    return tones;
}

void BedView::draw_art(QPainter& painter) {
    constexpr double faint = 0.22;
    const auto plan = desk_.burning_plan();
    if (rehearsal_ && rehearsal_->player().rehearsal() && !desk_.burning()) {
        painter.setOpacity(faint);
        draw_scene(painter);
        painter.setOpacity(1);
        return rehearsal_->paint(painter,
                                 {camera_, size(), devicePixelRatioF(), step_tones(), machine_.profile().spot});
    }
    if (!plan) {
        burned_.clear();
        return draw_scene(painter);
    }
    // What is still to come is faint, what is burned is there.
    painter.setOpacity(faint);
    draw_scene(painter);
    painter.setOpacity(1);
    burned_.paint(painter, desk_.done(), plan, camera_, size(), devicePixelRatioF(), step_tones(),
                  machine_.profile().spot);
    if (const auto& broken = desk_.broken_off(); broken && !desk_.burning())
        burned_.draw_doubtful(painter, plan, camera_, broken->done, broken->begun, roles_.attention);
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

/// Marked places: a ring with its letter. Marks of lines: a dot with a flag where one begins, two bars for a bridge.
void BedView::draw_marked(QPainter& painter) const {
    painter.setFont(theme::font(theme::small, QFont::DemiBold));
    painter.setPen(QPen(roles_.text, 1.6));
    for (const job::MarkedPlace& marked : document_.job().marked) {
        const QPointF at = camera_.to_screen(marked.place);
        painter.setBrush(Qt::NoBrush);
        painter.drawEllipse(at, 6, 6);
        painter.drawPoint(at);
        painter.drawText(at + QPointF(9, -5), QString::fromStdString(marked.name));
    }
    painter.setPen(QPen(roles_.accent, 2));
    painter.setBrush(roles_.accent);
    for (const job::Motif& motif : document_.job().motifs) {
        for (const job::PathMark& mark : motif.marks) {
            const QPointF at = camera_.to_screen(motif.place(mark.on_page));
            if (mark.kind == job::PathMark::Kind::bridge) {
                for (const double x : {-3.0, 3.0})
                    painter.drawLine(at + QPointF(x, -6), at + QPointF(x, 6));
                continue;
            }
            const double flag = mark.kind == job::PathMark::Kind::start ? 9 : -9;
            painter.drawEllipse(at, 2.5, 2.5);
            painter.drawLine(at, at + QPointF(0, -14));
            painter.drawPolygon(QPolygonF{at + QPointF(0, -14), at + QPointF(flag, -11), at + QPointF(0, -8)});
        }
    }
}

void BedView::draw_picking(QPainter& painter) const {
    if (!picking()) return;
    if (!stroke_.empty()) {
        painter.setPen(QPen(roles_.accent, 1.4, stroke_seen_ ? Qt::SolidLine : Qt::DashLine));
        painter.setBrush(Qt::NoBrush);
        if (stroke_seen_)
            painter.drawPolyline(polygon_of({stroke_, false}, camera_));
        else
            painter.drawRect(
                QRectF(camera_.to_screen(stroke_.front()), camera_.to_screen(stroke_.back())).normalized());
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

void BedView::draw_pointed(QPainter& painter) const {
    if (!pointed_) return;
    constexpr double ring = 18;  // px
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(roles_.card, 5));
    painter.drawEllipse(camera_.to_screen(*pointed_), ring, ring);
    painter.setPen(QPen(roles_.attention, 2.5));
    painter.drawEllipse(camera_.to_screen(*pointed_), ring, ring);
}

void BedView::show_marks(const std::vector<geometry::Point>& marks) {
    marks_ = marks;
    update();
}

void BedView::draw_marks(QPainter& painter) const {
    painter.setFont(theme::font(theme::small, QFont::Bold));
    for (std::size_t i = 0; i < marks_.size(); ++i) {
        const QPointF at = camera_.to_screen(marks_[i]);
        painter.setPen(QPen(roles_.card, 5));
        painter.drawLine(at - QPointF(9, 0), at + QPointF(9, 0));
        painter.drawLine(at - QPointF(0, 9), at + QPointF(0, 9));
        painter.setPen(QPen(roles_.accent, 2));
        painter.drawLine(at - QPointF(8, 0), at + QPointF(8, 0));
        painter.drawLine(at - QPointF(0, 8), at + QPointF(0, 8));
        painter.drawText(at + QPointF(10, -6), QString::number(i + 1));
    }
}

void BedView::draw_hint(QPainter& painter) const {
    const bool drawing = large_ && picture_.empty();
    if (!document_.job().motifs.empty() && !drawing) return;
    painter.setFont(theme::font(theme::large));
    painter.setPen(roles_.quiet);
    painter.drawText(rect(), Qt::AlignCenter, drawing ? tr("Drawing…") : tr("Drop a drawing or picture here"));
}

}  // namespace chalkline::app
