// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/ink_chip.hpp"

#include <chalkline/wording/wording.hpp>

#include <QApplication>
#include <QLabel>
#include <QMouseEvent>
#include <QPainter>
#include <cmath>

namespace chalkline::app {

InkChip::InkChip(const Ink& ink, int shapes, const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), ink_(ink), roles_(roles) {
    setLayoutDirection(Qt::LeftToRight);  // what is painted beside its widgets stands where it is painted
    name_ = wording::count_of(ink.kind, shapes);
    if (ink.kind != InkKind::picture) name_ = QString::fromStdString(to_text(ink.rgb)) + " · " + name_;
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::OpenHandCursor);
    setFont(theme::font(theme::small));
    setAccessibleName(tr("Ink %1").arg(name_));
    setAccessibleDescription(
        tr("Drag it onto a step, or press the step's number; with Ctrl it goes to that step as well; 0 leaves it out"));
    setToolTip(tr("Drag onto a step, or press its number (0 leaves it out). With Ctrl: to that step as well."));
}

void InkChip::set_faint(bool faint) {
    faint_ = faint;
    update();
}

void InkChip::show_tone(std::optional<double> share, const QColor& burned) {
    if (tone_ == share && burned_ == burned) return;
    tone_ = share;
    burned_ = burned;
    updateGeometry();
    update();
}

QString InkChip::text() const {
    return tone_ ? name_ + QStringLiteral(" · %1 %").arg(std::lround(*tone_ * 100)) : name_;
}

QString InkChip::spoken_value() const {
    if (faint_) return tr("left out");
    return tone_ ? tr("burned %1 % dark").arg(std::lround(*tone_ * 100)) : tr("burned");
}

void InkChip::light(bool on) {
    lit_ = on;
    update();
}

QSize InkChip::sizeHint() const {
    return {fontMetrics().horizontalAdvance(text()) + 38, 24};
}

void InkChip::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setLayoutDirection(Qt::LeftToRight);
    painter.setRenderHint(QPainter::Antialiasing);
    const QRectF outline = QRectF(rect()).adjusted(0.75, 0.75, -0.75, -0.75);
    painter.setPen(QPen(hasFocus() || lit_ ? roles_.accent : roles_.control, hasFocus() || lit_ ? 2 : 1,
                        faint_ ? Qt::DashLine : Qt::SolidLine));
    painter.setBrush(faint_ ? roles_.paper : roles_.card);
    painter.drawRoundedRect(outline, 11, 11);
    const QColor colour(ink_.rgb.red, ink_.rgb.green, ink_.rgb.blue);
    if (ink_.kind == InkKind::fill) {
        painter.setPen(QPen(roles_.control, 0.8));
        painter.setBrush(colour);
        painter.drawRoundedRect(QRectF(9, 6, 12, 12), 3, 3);
        if (tone_) {
            // What it becomes: the right half of the patch.
            painter.save();
            painter.setClipRect(QRectF(15, 6, 7, 13));
            painter.setBrush(burned_);
            painter.drawRoundedRect(QRectF(9, 6, 12, 12), 3, 3);
            painter.restore();
        }
    } else if (ink_.kind == InkKind::picture) {
        // Dots that grow: a picture is tones, not one colour.
        painter.setPen(Qt::NoPen);
        painter.setBrush(roles_.text);
        for (int i = 0; i < 9; ++i)
            painter.drawEllipse(QPointF(11 + i % 3 * 4.5, 7.5 + i / 3 * 4.5), 0.6 + i * 0.17, 0.6 + i * 0.17);
    } else {
        // A line ink is a stroke, not a patch: the two never look alike.
        painter.setPen(QPen(colour, 2.6, Qt::SolidLine, Qt::RoundCap));
        painter.drawLine(QPointF(10, 16), QPointF(20, 8));
    }
    painter.setPen(faint_ ? roles_.quiet : roles_.text);
    painter.drawText(QRect(27, 0, width() - 30, height()), Qt::AlignVCenter, text());
}

void InkChip::mousePressEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton) pressed_ = event->pos();
}

void InkChip::mouseMoveEvent(QMouseEvent* event) {
    if (!(event->buttons() & Qt::LeftButton)) return;
    const QPoint global = event->globalPosition().toPoint();
    if (!ghost_) {
        if ((event->pos() - pressed_).manhattanLength() < QApplication::startDragDistance()) return;
        auto* ghost = new QLabel(window());
        ghost->setAttribute(Qt::WA_TransparentForMouseEvents);
        ghost->setPixmap(grab());
        ghost->adjustSize();
        ghost->show();
        ghost_ = ghost;
        setCursor(Qt::ClosedHandCursor);
    }
    ghost_->move(window()->mapFromGlobal(global) - pressed_);
    ghost_->raise();
    Q_EMIT dragged(global);
}

void InkChip::mouseReleaseEvent(QMouseEvent* event) {
    if (!ghost_) return;
    end_drag();
    Q_EMIT dropped(event->globalPosition().toPoint());
}

void InkChip::end_drag() {
    delete ghost_;
    setCursor(Qt::OpenHandCursor);
}

/// A digit, alone or with Ctrl.
bool InkChip::is_step_number(const QKeyEvent& event) {
    const auto keys = event.modifiers() & ~Qt::KeypadModifier;
    return event.key() >= Qt::Key_0 && event.key() <= Qt::Key_9 &&
           (keys == Qt::NoModifier || keys == Qt::ControlModifier);
}

/// The digits belong to the chip while it has the focus, not to the marks of the line.
bool InkChip::event(QEvent* event) {
    if (event->type() == QEvent::ShortcutOverride) {
        const auto* key = static_cast<QKeyEvent*>(event);
        if (is_step_number(*key)) {
            event->accept();
            return true;
        }
    }
    return QWidget::event(event);
}

void InkChip::keyPressEvent(QKeyEvent* event) {
    if (is_step_number(*event)) return Q_EMIT sent(event->key() - Qt::Key_0, event->modifiers() & Qt::ControlModifier);
    QWidget::keyPressEvent(event);
}

}  // namespace chalkline::app
