// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/card_canvas.hpp"

#include "swatches/card_picture.hpp"

#include <chalkline/pictures/view.hpp>
#include <chalkline/wording/swatch_words.hpp>

#include <QHelpEvent>
#include <QKeyEvent>
#include <QPainter>
#include <QPainterPath>
#include <QToolTip>
#include <algorithm>

namespace chalkline::app {
namespace {

using swatches::Cell;
using swatches::CellPlace;
using swatches::Verdict;

constexpr double margin = 28;        // px round the card
constexpr double largest_scale = 9;  // px a mm: a small card does not fill a large screen

}  // namespace

CardCanvas::CardCanvas(SwatchDesk& desk, const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), desk_(desk), roles_(roles) {
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setAccessibleName(tr("Swatch card"));
    connect(&desk_, &SwatchDesk::changed, this, qOverload<>(&QWidget::update));
    connect(&desk_, &SwatchDesk::looked, this, [this] {
        if (!desk_.reader().waiting()) clicks_.clear();
        say_again(*this);
        update();
    });
}

QString CardCanvas::spoken_value() const {
    if (!desk_.record()) return tr("no card");
    const Cell* cell = desk_.cell() ? desk_.layout().at(*desk_.cell()) : nullptr;
    return cell ? words(*cell) : tr("%n swatches, none chosen", nullptr, static_cast<int>(desk_.layout().cells.size()));
}

void CardCanvas::set_mode(Mode mode) {
    mode_ = mode;
    update();
}

void CardCanvas::show_photograph(bool shown) {
    photograph_ = shown;
    update();
}

// ---------------------------------------------------------------- places

CardCanvas::Fit CardCanvas::fit() const {
    const geometry::Point size = desk_.layout().size;
    if (size.x <= 0 || size.y <= 0) return {};
    const double scale = std::min({(width() - 2 * margin) / size.x, (height() - 2 * margin) / size.y, largest_scale});
    return {scale, {(width() - size.x * scale) / 2, (height() - size.y * scale) / 2}};
}

QRectF CardCanvas::on_widget(const geometry::Box& box) const {
    const Fit f = fit();
    return {f.corner.x() + box.left * f.scale, f.corner.y() + (desk_.layout().size.y - box.top) * f.scale,
            box.width() * f.scale, box.height() * f.scale};
}

QRectF CardCanvas::place_of(CellPlace place) const {
    const Cell* cell = desk_.layout().at(place);
    return cell ? on_widget(cell->box) : QRectF();
}

QRectF CardCanvas::photo_rect() const {
    const auto& photo = *desk_.reader().waiting();
    const double scale = std::min((width() - 2 * margin) / photo.width, (height() - 2 * margin) / photo.height);
    return {(width() - photo.width * scale) / 2, (height() - photo.height * scale) / 2, photo.width * scale,
            photo.height * scale};
}

std::optional<CellPlace> CardCanvas::cell_at(QPointF place) const {
    // Half the gap belongs to the swatch: a finger on a small one still finds it.
    const double reach = desk_.record() ? desk_.record()->card.gap / 2 * fit().scale : 0;
    for (const Cell& cell : desk_.layout().cells)
        if (on_widget(cell.box).adjusted(-reach, -reach, reach, reach).contains(place)) return cell.place;
    return {};
}

// ---------------------------------------------------------------- hands

void CardCanvas::choose(std::optional<CellPlace> place) {
    desk_.choose_cell(place);
}

void CardCanvas::leave_out(CellPlace place) {
    desk_.change(tr("Leave swatch out"), [place](swatches::Card& card) {
        const auto known = std::find(card.left_out.begin(), card.left_out.end(), place);
        known == card.left_out.end() ? card.left_out.push_back(place) : void(card.left_out.erase(known));
    });
}

void CardCanvas::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || !desk_.record()) return;
    setFocus();
    if (const auto& photo = desk_.reader().waiting()) {
        const QRectF rect = photo_rect();
        if (!rect.contains(event->position())) return;
        const QPointF share = event->position() - rect.topLeft();
        clicks_.push_back({share.x() / rect.width() * photo->width, share.y() / rect.height() * photo->height});
        update();
        if (clicks_.size() == 4) desk_.reader().read_with(std::exchange(clicks_, {}), desk_.layout());
        return;
    }
    const auto place = cell_at(event->position());
    if (mode_ == Mode::design && place && place == desk_.cell()) return leave_out(*place);
    choose(place);
}

void CardCanvas::mouseMoveEvent(QMouseEvent* event) {
    const auto place = cell_at(event->position());
    if (place == under_) return;
    under_ = place;
    update();
}

void CardCanvas::leaveEvent(QEvent*) {
    under_.reset();
    update();
}

void CardCanvas::move_choice(int rows, int columns) {
    if (!desk_.record()) return;
    const auto& card = desk_.record()->card;
    const CellPlace now = desk_.cell().value_or(CellPlace{swatches::rows_of(card) - 1 - rows, -columns});
    choose(CellPlace{std::clamp(now.row + rows, 0, swatches::rows_of(card) - 1),
                     std::clamp(now.column + columns, 0, swatches::columns_of(card) - 1)});
}

void CardCanvas::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_Up:
            return move_choice(1, 0);
        case Qt::Key_Down:
            return move_choice(-1, 0);
        case Qt::Key_Left:
            return move_choice(0, -1);
        case Qt::Key_Right:
            return move_choice(0, 1);
        default:
            break;
    }
    if (desk_.reader().waiting() && event->key() == Qt::Key_Backspace && !clicks_.empty()) {
        clicks_.pop_back();
        return update();
    }
    if (mode_ == Mode::design && event->key() == Qt::Key_Space && desk_.cell()) return leave_out(*desk_.cell());
    if (mode_ == Mode::read && desk_.cell() && event->key() >= Qt::Key_1 && event->key() <= Qt::Key_9 &&
        event->modifiers() == Qt::NoModifier)
        return Q_EMIT verdict_wanted(event->key() - Qt::Key_1);
    QWidget::keyPressEvent(event);
}

bool CardCanvas::event(QEvent* event) {
    // Digits are verdicts here and not marks of the line.
    if (event->type() == QEvent::ShortcutOverride && mode_ == Mode::read && desk_.cell()) {
        const auto* key = static_cast<QKeyEvent*>(event);
        if (key->key() >= Qt::Key_1 && key->key() <= Qt::Key_9 && key->modifiers() == Qt::NoModifier) {
            event->accept();
            return true;
        }
    }
    if (event->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(event);
        const auto place = cell_at(help->pos());
        const Cell* cell = place ? desk_.layout().at(*place) : nullptr;
        cell ? QToolTip::showText(help->globalPos(), words(*cell), this) : QToolTip::hideText();
        return true;
    }
    return QWidget::event(event);
}

QString CardCanvas::words(const Cell& cell) const {
    const auto& card = desk_.record()->card;
    QStringList lines{tr("Row %1, column %2").arg(cell.place.row + 1).arg(cell.place.column + 1)};
    lines << QString::fromStdString(format_power(cell.settings.power)) + " · " +
                 QString::fromStdString(format_speed(cell.settings.speed, SpeedUnit::mm_per_min));
    const auto add = [&](const swatches::Axis& axis, double value) {
        if (axis.what != swatches::Variable::power && axis.what != swatches::Variable::speed)
            lines << wording::name(axis.what) + " " + wording::value_text(axis, value);
    };
    if (cell.row_value) add(*card.rows, *cell.row_value);
    if (cell.column_value) add(card.columns, *cell.column_value);
    lines << tr("Dose %1 %2")
                 .arg(QString::fromStdString(format_number(cell.dose, 0)),
                      steps::burns_area(cell.settings.kind) ? "mJ/mm²" : "mJ/mm");
    if (cell.left_out) lines << tr("left out");
    if (const auto* burn = mode_ == Mode::read ? desk_.burn() : nullptr)
        if (const auto* result = burn->at_place(cell.place)) {
            if (result->verdict != Verdict::none) lines << wording::name(result->verdict);
            if (result->measured)
                lines << tr("darkness %1").arg(QString::fromStdString(format_number(result->measured->darkness, 2)));
        }
    return lines.join("\n");
}

// ---------------------------------------------------------------- what is seen

QColor CardCanvas::colour_of(const Cell& cell) const {
    return swatch_colour(cell, mode_ == Mode::read ? desk_.burn() : nullptr, desk_.machine().beam, roles_);
}

void CardCanvas::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), roles_.bench);
    if (!desk_.record()) return;
    if (desk_.reader().waiting()) return draw_clicks(painter);
    draw_card(painter);
}

void CardCanvas::draw_card(QPainter& painter) const {
    const geometry::Point size = desk_.layout().size;
    const QRectF card = on_widget({0, 0, size.x, size.y});
    const bool photograph = mode_ == Mode::read && photograph_ && !desk_.straight().isNull();
    painter.setOpacity(desk_.stale() || desk_.reader().busy() ? 0.6 : 1);
    if (photograph) {
        painter.setRenderHint(QPainter::SmoothPixmapTransform);
        painter.drawImage(card, desk_.straight());
    } else {
        painter.setPen(QPen(roles_.stock_edge, 1));
        painter.setBrush(roles_.stock);
        painter.drawRoundedRect(card, 4, 4);
        draw_texts(painter);
    }
    for (const Cell& cell : desk_.layout().cells)
        draw_cell(painter, cell);
    painter.setOpacity(1);
    if (hasFocus()) {
        painter.setPen(QPen(roles_.accent, 1));
        painter.setBrush(Qt::NoBrush);
        painter.drawRoundedRect(card.adjusted(-6, -6, 6, 6), 7, 7);
    }
}

/// Marks and letters as they are burned.
void CardCanvas::draw_texts(QPainter& painter) const {
    const auto& job = desk_.worked().job;
    if (!job || !job->stock) return;
    const Fit f = fit();
    // The card's own corner on the piece it was laid on.
    const geometry::Box burned = job::bounds(*job);
    const geometry::Point corner = job->stock->corner;
    const double in = (job->stock->width - desk_.layout().size.x) / 2;
    if (burned.empty()) return;
    const auto on_canvas = [&](geometry::Point p) {
        return QPointF(f.corner.x() + (p.x - corner.x - in) * f.scale,
                       f.corner.y() + (desk_.layout().size.y - (p.y - corner.y - in)) * f.scale);
    };
    QPainterPath lines, areas;
    for (const job::Motif& motif : job->motifs) {
        const job::Step* step = motif.step ? job->step(*motif.step) : nullptr;
        if (!step || step->note.starts_with("row")) continue;
        for (const art::Shape& shape : motif.art->shapes)
            for (const geometry::Polyline& line : shape.path.flatten(motif.place, 0.05)) {
                QPolygonF points;
                for (const geometry::Point p : line.points)
                    points << on_canvas(p);
                if (line.closed) points << points.first();
                (shape.ink.kind == InkKind::fill ? areas : lines).addPolygon(points);
            }
    }
    const QColor burnt = roles_.burn[5];
    painter.setPen(QPen(burnt, std::max(1.0, 0.2 * f.scale), Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
    painter.setBrush(Qt::NoBrush);
    painter.drawPath(lines);
    areas.setFillRule(Qt::WindingFill);
    painter.fillPath(areas, burnt);
}

void CardCanvas::draw_cell(QPainter& painter, const Cell& cell) const {
    const QRectF box = on_widget(cell.box);
    const bool photograph = mode_ == Mode::read && photograph_ && !desk_.straight().isNull();
    const bool round = desk_.record()->card.shape == swatches::Shape::circle;
    if (cell.left_out) {
        painter.setPen(QPen(roles_.stock_edge, 1, Qt::DashLine));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(box);
        if (box.width() > 44) {
            painter.setFont(theme::font(theme::tiny));
            painter.setPen(roles_.burn[5]);
            painter.drawText(box, Qt::AlignCenter, tr("left out"));
        }
    } else if (!photograph) {
        const bool outline = !steps::burns_area(cell.settings.kind);
        painter.setPen(outline ? QPen(colour_of(cell), std::max(1.5, 0.3 * fit().scale)) : QPen(Qt::NoPen));
        painter.setBrush(outline ? QBrush(Qt::NoBrush) : QBrush(colour_of(cell)));
        round ? painter.drawEllipse(box) : painter.drawRect(box);
    }
    if (cell.place == desk_.cell()) {
        painter.setPen(QPen(roles_.accent, 3));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(box.adjusted(-3, -3, 3, 3));
    } else if (cell.place == under_) {
        painter.setPen(QPen(roles_.accent, 1));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(box.adjusted(-2, -2, 2, 2));
    }
    if (const auto* burn = mode_ == Mode::read ? desk_.burn() : nullptr)
        if (const auto* result = burn->at_place(cell.place); result && result->verdict != Verdict::none)
            draw_verdict(painter, box, result->verdict);
}

/// A tick for what is good, a bar for what is not, half and half for a cut that only just went through.
void CardCanvas::draw_verdict(QPainter& painter, const QRectF& box, Verdict verdict) const {
    const QPointF middle = box.topRight();
    constexpr double radius = 9;
    const bool good = swatches::is_good(verdict);
    painter.setPen(QPen(good ? roles_.card : roles_.text, 1.4));
    painter.setBrush(good ? roles_.accent : roles_.card);
    painter.drawEllipse(middle, radius, radius);
    painter.setPen(QPen(good ? roles_.accent_text : roles_.text, 2, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
    if (good)
        painter.drawPolyline(
            QPolygonF{middle + QPointF(-4, 0), middle + QPointF(-1, 3.5), middle + QPointF(4.5, -3.5)});
    else
        painter.drawLine(middle + QPointF(-4, 0), middle + QPointF(swatches::is_through(verdict) ? 0 : 4, 0));
}

/// The photograph whose marks are to be shown.
void CardCanvas::draw_clicks(QPainter& painter) const {
    const auto& photo = *desk_.reader().waiting();
    const QRectF rect = photo_rect();
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.drawImage(rect, pictures::view_of(photo));
    painter.setFont(theme::font(theme::small, QFont::DemiBold));
    for (std::size_t i = 0; i < clicks_.size(); ++i) {
        const QPointF place = rect.topLeft() + QPointF(clicks_[i].x / photo.width * rect.width(),
                                                       clicks_[i].y / photo.height * rect.height());
        painter.setPen(QPen(roles_.card, 2));
        painter.setBrush(roles_.accent);
        painter.drawEllipse(place, 9, 9);
        painter.setPen(roles_.accent_text);
        painter.drawText(QRectF(place - QPointF(9, 9), QSizeF(18, 18)), Qt::AlignCenter, QString::number(i + 1));
    }
}

}  // namespace chalkline::app
