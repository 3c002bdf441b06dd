// SPDX-License-Identifier: GPL-3.0-or-later
#include "proof/proof_panel.hpp"

#include "proof/burn_palette.hpp"

#include <chalkline/raster/resample.hpp>

#include <QMouseEvent>
#include <QPainter>
#include <QWheelEvent>
#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

constexpr double loupe_key_step = 12;  // px the loupe moves with an arrow key

/// Shares of the seen part's pixels that are clogged or bald, as a veil over it.
void veil(QImage& image, const std::vector<raster::DotArea>& places, const planning::Proof& proof, QRectF part,
          const std::optional<QColor>& clogged, const std::optional<QColor>& bald) {
    QPainter painter(&image);
    QImage marks(image.size(), QImage::Format_ARGB32_Premultiplied);
    marks.fill(Qt::transparent);
    constexpr int strength = 170;  // of 255
    const auto tint = [](const QColor& c) { return qPremultiply(qRgba(c.red(), c.green(), c.blue(), strength)); };
    for (int y = 0; y < image.height(); ++y) {
        const int row = static_cast<int>((part.top() + (y + 0.5) / image.height() * part.height()) * proof.dots.height);
        if (row < 0 || row >= proof.dots.height) continue;
        auto* line = reinterpret_cast<QRgb*>(marks.scanLine(y));
        for (int x = 0; x < image.width(); ++x) {
            const int column =
                static_cast<int>((part.left() + (x + 0.5) / image.width() * part.width()) * proof.dots.width);
            if (column < 0 || column >= proof.dots.width) continue;
            const auto area = places[static_cast<std::size_t>(row) * static_cast<std::size_t>(proof.dots.width) +
                                     static_cast<std::size_t>(column)];
            if (clogged && area == raster::DotArea::clogged) line[x] = tint(*clogged);
            if (bald && area == raster::DotArea::bald) line[x] = tint(*bald);
        }
    }
    painter.drawImage(0, 0, marks);
}

}  // namespace

ProofPanel::ProofPanel(ProofDesk& desk, const machine::MachineProfile& machine, const theme::Roles& roles, Shows shows,
                       QWidget* parent)
    : QWidget(parent), desk_(desk), machine_(machine), roles_(roles), shows_(shows) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(shows == Shows::now ? tr("Proof") : tr("Kept variant"));
    connect(&desk_, &ProofDesk::seen, this, [this] {
        paint_coarse();
        render_dots();
        update();
    });
    connect(&desk_, &ProofDesk::loupe_moved, this, [this] {
        say_again(*this);
        update();
    });
    connect(&desk_, &ProofDesk::subject_changed, this, [this] {
        zoom_ = 1;
        middle_ = {0.5, 0.5};
        dots_ = {};
    });
}

const ProofSight& ProofPanel::sight() const {
    return before_ ? desk_.before() : shows_ == Shows::now ? desk_.now() : desk_.other();
}

/// Where the loupe lies, as everybody counts a picture: from its upper left corner.
QString ProofPanel::spoken_value() const {
    const ProofSight& shown = sight();
    if (shown.empty()) return tr("no picture yet");
    const auto share = [](double part, double whole) { return std::lround(100 * part / whole); };
    return tr("Loupe at %1 % from the left, %2 % from the top")
        .arg(share(desk_.loupe().x(), shown.frame.columns))
        .arg(share(desk_.loupe().y(), shown.frame.rows));
}

void ProofPanel::show_before(bool before) {
    if (before_ == before) return;
    before_ = before;
    dots_ = {};
    paint_coarse();
    render_dots();
    update();
}

void ProofPanel::mark_areas(bool clogged, bool bald) {
    clogged_ = clogged;
    bald_ = bald;
    render_dots();
}

/// Where all of the picture lies on the widget.
QRectF ProofPanel::picture_place() const {
    const planning::DotFrame& frame = sight().frame;
    const double wide = frame.columns * frame.across, high = frame.rows * frame.pitch;
    if (wide <= 0 || high <= 0) return {};
    const double scale = std::min(width() / wide, height() / high) * zoom_;
    const QSizeF size(wide * scale, high * scale);
    const QPointF corner(width() / 2.0 - middle_.x() * size.width(),
                         zoom_ > 1 ? height() / 2.0 - middle_.y() * size.height() : 0);
    return {corner, size};
}

QPointF ProofPanel::place_of(QPointF dot) const {
    const QRectF place = picture_place();
    const planning::DotFrame& frame = sight().frame;
    return {place.left() + dot.x() / frame.columns * place.width(),
            place.top() + dot.y() / frame.rows * place.height()};
}

QPointF ProofPanel::dot_at(QPointF at) const {
    const QRectF place = picture_place();
    if (place.isEmpty()) return {};
    return {(at.x() - place.left()) / place.width() * sight().frame.columns,
            (at.y() - place.top()) / place.height() * sight().frame.rows};
}

double ProofPanel::zoom() const {
    return sight().empty() ? 1 : picture_place().width() / sight().frame.columns;
}

void ProofPanel::zoom_by(double factor, QPointF at) {
    if (sight().empty()) return;
    const QPointF dot = dot_at(at);
    const double most = std::max(1.0, 12 * zoom_ / zoom());
    zoom_ = std::clamp(zoom_ * factor, 1.0, most);
    if (zoom_ <= 1.001) {
        zoom_ = 1;
        middle_ = {0.5, 0.5};
    } else {
        pan_by(at - place_of(dot));
    }
    render_dots();
    update();
}

void ProofPanel::pan_by(QPointF by) {
    const QRectF place = picture_place();
    if (zoom_ <= 1 || place.isEmpty()) return;
    middle_ = {std::clamp(middle_.x() - by.x() / place.width(), 0.0, 1.0),
               std::clamp(middle_.y() - by.y() / place.height(), 0.0, 1.0)};
    render_dots();
    update();
}

void ProofPanel::paint_coarse() {
    coarse_ = sight().empty() ? QImage() : BurnPalette(sight().settings, machine_, roles_).paint(sight().coarse);
}

/// Works the seen part of the dots into pixels, off the GUI thread.
void ProofPanel::render_dots() {
    const auto proof = before_ ? nullptr : sight().proof;
    const QRectF place = picture_place(), seen = place.intersected(rect());
    if (!proof || proof->dots.width == 0 || seen.isEmpty()) {
        renderer_.cancel();
        dots_ = {};
        return;
    }
    const QRectF part((seen.left() - place.left()) / place.width(), (seen.top() - place.top()) / place.height(),
                      seen.width() / place.width(), seen.height() / place.height());
    const double scale = devicePixelRatioF();
    const QSize size(std::max(1, static_cast<int>(std::lround(seen.width() * scale))),
                     std::max(1, static_cast<int>(std::lround(seen.height() * scale))));
    const auto wanted = [](bool on, const QColor& colour) { return on ? std::optional(colour) : std::nullopt; };
    renderer_.start(
        [proof, part, size, palette = BurnPalette(sight().settings, machine_, roles_),
         clogged = wanted(clogged_, roles_.attention), bald = wanted(bald_, roles_.accent)](const Watch&) {
            const double columns = proof->dots.width, rows = proof->dots.height;
            QImage image = palette.paint(raster::averaged(proof->dots, part.left() * columns, part.top() * rows,
                                                          part.right() * columns, part.bottom() * rows, size.width(),
                                                          size.height()));
            if (clogged || bald)
                veil(image, raster::areas(proof->dots, proof->blob_dots()), *proof, part, clogged, bald);
            return image;
        },
        [this, part](const QImage& image) {
            dots_ = image;
            dots_place_ = part;
            update();
        });
}

void ProofPanel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    const QRectF place = picture_place();
    if (sight().empty() || place.isEmpty()) {
        painter.setPen(roles_.quiet);
        painter.drawText(rect(), Qt::AlignCenter, desk_.motif() ? tr("Working it out…") : QString());
        return;
    }
    painter.setClipRect(place.intersected(rect()));
    if (dots_.isNull() || dots_place_.width() < 0.999) painter.drawImage(place, coarse_);
    if (!dots_.isNull()) {
        const QRectF target(place.left() + dots_place_.left() * place.width(),
                            place.top() + dots_place_.top() * place.height(), dots_place_.width() * place.width(),
                            dots_place_.height() * place.height());
        painter.drawImage(target, dots_);
    }
    painter.setClipping(false);
    painter.setPen(QPen(roles_.stock_edge, 1));
    painter.drawRect(place.intersected(rect()).adjusted(0.5, 0.5, -0.5, -0.5));
    draw_loupe(painter);
    if (hasFocus()) {
        painter.setPen(QPen(roles_.accent, 2));
        painter.drawRect(place.intersected(rect()).adjusted(1, 1, -1, -1));
    }
}

/// Four corners round what the loupe shows.
void ProofPanel::draw_loupe(QPainter& painter) const {
    const QPointF at = place_of(desk_.loupe());
    const QSizeF size = QSizeF(ProofDesk::loupe_columns, ProofDesk::loupe_columns * 0.5) * zoom();
    const QRectF box(at.x() - std::max(size.width(), 14.0) / 2, at.y() - std::max(size.height(), 10.0) / 2,
                     std::max(size.width(), 14.0), std::max(size.height(), 10.0));
    const double arm = std::min(8.0, box.height() / 2.5);
    for (const auto& [colour, wide] : {std::pair{roles_.paper, 4.0}, std::pair{roles_.accent, 2.0}}) {
        painter.setPen(QPen(colour, wide));
        for (const double x : {box.left(), box.right()})
            for (const double y : {box.top(), box.bottom()}) {
                painter.drawLine(QPointF(x, y), QPointF(x + (x == box.left() ? arm : -arm), y));
                painter.drawLine(QPointF(x, y), QPointF(x, y + (y == box.top() ? arm : -arm)));
            }
    }
}

void ProofPanel::wheelEvent(QWheelEvent* event) {
    zoom_by(std::pow(1.2, event->angleDelta().y() / 120.0), event->position());
    event->accept();
}

void ProofPanel::mousePressEvent(QMouseEvent* event) {
    setFocus(Qt::MouseFocusReason);
    grip_ = event->position();
    if (event->button() == Qt::LeftButton) desk_.move_loupe(dot_at(event->position()));
}

void ProofPanel::mouseMoveEvent(QMouseEvent* event) {
    if (event->buttons() & Qt::MiddleButton) pan_by(event->position() - grip_);
    if (event->buttons() & Qt::LeftButton) desk_.move_loupe(dot_at(event->position()));
    grip_ = event->position();
}

void ProofPanel::keyPressEvent(QKeyEvent* event) {
    const double step = loupe_key_step / std::max(zoom(), 1e-6);
    const auto by = [&](double x, double y) { desk_.move_loupe(desk_.loupe() + QPointF(x * step, y * step)); };
    const QPointF middle(width() / 2.0, height() / 2.0);
    switch (event->key()) {
        case Qt::Key_Left:
            return by(-1, 0);
        case Qt::Key_Right:
            return by(1, 0);
        case Qt::Key_Up:
            return by(0, -1);
        case Qt::Key_Down:
            return by(0, 1);
        case Qt::Key_Plus:
            return zoom_by(1.25, middle);
        case Qt::Key_Minus:
            return zoom_by(0.8, middle);
        case Qt::Key_0:
            return zoom_by(1e-9, middle);
        default:
            QWidget::keyPressEvent(event);
    }
}

}  // namespace chalkline::app
