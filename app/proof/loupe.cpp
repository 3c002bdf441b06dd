// SPDX-License-Identifier: GPL-3.0-or-later
#include "proof/loupe.hpp"

#include "proof/burn_palette.hpp"

#include <chalkline/base/units_text.hpp>

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

namespace chalkline::app {

Loupe::Loupe(ProofDesk& desk, const machine::MachineProfile& machine, const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), desk_(desk), machine_(machine), roles_(roles) {
    setAccessibleName(tr("Loupe"));
    setCursor(Qt::OpenHandCursor);
    connect(&desk_, &ProofDesk::seen, this, qOverload<>(&QWidget::update));
    connect(&desk_, &ProofDesk::loupe_moved, this, qOverload<>(&QWidget::update));
}

int Loupe::magnification() const {
    return std::max(2, static_cast<int>(std::lround(static_cast<double>(width()) / ProofDesk::loupe_columns)));
}

/// The spot is wider than the dot: what it marks beside it, seen through by the dots drawn over it.
void Loupe::draw_fringe(QPainter& painter, const planning::Proof& proof, QPointF corner) const {
    const int size = magnification();
    const double reach = machine_.spot / proof.frame.pitch / 2 * size;
    if (reach <= size / 2.0) return;
    painter.setRenderHint(QPainter::Antialiasing);
    for (int y = 0; y < height() / size + 2; ++y)
        for (int x = 0; x < width() / size + 2; ++x) {
            const int column = static_cast<int>(corner.x()) + x, row = static_cast<int>(corner.y()) + y;
            if (column < 0 || row < 0 || column >= proof.dots.width || row >= proof.dots.height) continue;
            if (proof.dots.row(row)[column] > 0)
                painter.drawEllipse(QPointF((column - corner.x() + 0.5) * size, (row - corner.y() + 0.5) * size), reach,
                                    reach);
        }
    painter.setRenderHint(QPainter::Antialiasing, false);
}

QString Loupe::spoken_value() const {
    const ProofSight& sight = desk_.now();
    if (!sight.proof) return desk_.step() ? tr("Setting the dots…") : tr("No step burns this picture yet");
    return tr("%1× — a square is a dot of %2 mm")
        .arg(magnification())
        .arg(QString::fromStdString(format_number(sight.frame.across, 3)));
}

void Loupe::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const ProofSight& sight = desk_.now();
    painter.fillRect(rect(), roles_.bench);
    const int size = magnification();
    if (const auto proof = sight.proof; proof && proof->dots.width > 0) {
        const BurnPalette palette(sight.settings, machine_, roles_);
        const QPointF at = desk_.loupe();
        const QPointF corner(at.x() - width() / 2.0 / size, at.y() - height() / 2.0 / size);
        const QRectF all(-corner.x() * size, -corner.y() * size, proof->dots.width * size, proof->dots.height * size);
        painter.fillRect(all, QColor(palette.bare()));
        painter.setPen(Qt::NoPen);
        painter.setBrush(QColor(palette.fringe()));
        draw_fringe(painter, *proof, corner);
        for (int row = std::max(0, static_cast<int>(corner.y())); row < proof->dots.height; ++row) {
            const int y = static_cast<int>(std::lround((row - corner.y()) * size));
            if (y >= height()) break;
            for (int column = std::max(0, static_cast<int>(corner.x())); column < proof->dots.width; ++column) {
                const int x = static_cast<int>(std::lround((column - corner.x()) * size));
                if (x >= width()) break;
                if (const int level = proof->dots.row(row)[column]; level > 0)
                    painter.fillRect(x, y, size, size, QColor(palette.at(level)));
            }
        }
    }
    const QString said = spoken_value();
    painter.setFont(theme::font(theme::small));
    const QRect box = painter.fontMetrics().boundingRect(said).adjusted(-8, -5, 8, 5);
    const QRect label(8, 8, box.width(), box.height());
    painter.setPen(Qt::NoPen);
    painter.setBrush(roles_.rail);
    painter.drawRoundedRect(label, 5, 5);
    painter.setPen(roles_.rail_text);
    painter.drawText(label, Qt::AlignCenter, said);
    painter.setPen(roles_.stock_edge);
    painter.setBrush(Qt::NoBrush);
    painter.drawRect(rect().adjusted(0, 0, -1, -1));
}

void Loupe::mousePressEvent(QMouseEvent* event) {
    grip_ = event->position();
}

void Loupe::mouseMoveEvent(QMouseEvent* event) {
    if (!(event->buttons() & Qt::LeftButton)) return;
    desk_.move_loupe(desk_.loupe() - (event->position() - grip_) / magnification());
    grip_ = event->position();
}

}  // namespace chalkline::app
