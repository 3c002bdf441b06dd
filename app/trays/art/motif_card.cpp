// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art/motif_card.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <limits>

namespace chalkline::app {

MotifCard::MotifCard(const job::Motif& motif, const TrayContext& context, QWidget* parent)
    : QWidget(parent), id_(motif.id), art_(motif.art), context_(context) {
    box_ = art::bounds(*art_);
    const auto inks = art::inks(*art_);
    name_ = QString::fromStdString(art_->name);
    fact_ = tr("%1 × %2 mm · %3")
                .arg(QString::fromStdString(format_number(box_.width(), 1)),
                     QString::fromStdString(format_number(box_.height(), 1)),
                     inks.size() == 1 ? tr("1 ink") : tr("%1 inks").arg(inks.size()));
    if (art_->pages > 1) fact_ += tr(" · page %1 of %2").arg(art_->read_with.page).arg(art_->pages);
    setFixedHeight(54);
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
    setAccessibleName(name_);
}

void MotifCard::add_spoken_state(QAccessible::State& state) const {
    state.selectable = true;
    state.selected = context_.placing.is_chosen(id_);
}

void MotifCard::mousePressEvent(QMouseEvent* event) {
    event->modifiers() & Qt::ShiftModifier ? context_.placing.toggle(id_) : context_.placing.choose({id_});
}

void MotifCard::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Space)
        context_.placing.choose({id_});
    else
        QWidget::keyPressEvent(event);
}

void MotifCard::paintEvent(QPaintEvent*) {
    const auto& roles = context_.roles;
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const bool chosen = context_.placing.is_chosen(id_);
    painter.setPen(QPen(chosen || hasFocus() ? roles.accent : roles.hairline, chosen ? 2 : 1));
    painter.setBrush(roles.card);
    painter.drawRoundedRect(QRectF(rect()).adjusted(1, 1, -1, -1), 7, 7);
    const QRectF picture(12, 10, 44, 34);
    painter.fillRect(picture, roles.bed);
    draw_art_small(painter, picture.adjusted(3, 3, -3, -3), art_, box_, layers_, roles);
    painter.setFont(theme::font(theme::normal, QFont::DemiBold));
    painter.setPen(roles.text);
    const QRect text(68, 9, width() - 78, 18);
    painter.drawText(text, Qt::AlignVCenter, painter.fontMetrics().elidedText(name_, Qt::ElideMiddle, text.width()));
    painter.setFont(theme::font(theme::small));
    painter.setPen(roles.quiet);
    painter.drawText(text.translated(0, 18), Qt::AlignVCenter,
                     painter.fontMetrics().elidedText(fact_, Qt::ElideRight, text.width()));
}

/// An area on a small picture of the art: where paint covers, as dark as its ink.
static QColor shade_of(Rgb rgb, bool covers, const theme::Roles& roles) {
    if (!covers) return roles.burn[4];
    const double bare = (0.2126 * rgb.red + 0.7152 * rgb.green + 0.0722 * rgb.blue) / 255;
    const auto between = [bare](int burned, int clear) { return static_cast<int>(burned + (clear - burned) * bare); };
    const QColor &dark = roles.burn[4], &clear = roles.bed;
    return {between(dark.red(), clear.red()), between(dark.green(), clear.green()), between(dark.blue(), clear.blue())};
}

void draw_art_small(QPainter& painter, const QRectF& area, const std::shared_ptr<const art::Artwork>& art,
                    const geometry::Box& box, ArtLayers& layers, const theme::Roles& roles) {
    if (box.empty()) return;
    const double scale =
        std::min(area.width() / std::max(1e-6, box.width()), area.height() / std::max(1e-6, box.height()));
    const auto centre = box.centre();
    const QTransform map(scale, 0, 0, -scale, area.center().x() - centre.x * scale,
                         area.center().y() + centre.y * scale);
    painter.save();
    painter.setTransform(map, true);
    std::size_t picture = 0;
    const auto draw_pictures_below = [&](int number) {
        for (; picture < art->pictures.size() && art->pictures[picture].above <= number; ++picture)
            draw_picture(painter, art->pictures[picture], layers.picture(art->pictures[picture].image));
    };
    for (const auto& layer : layers.of({0, art, {}})) {
        draw_pictures_below(art->shapes[layer.shape].number);
        QPen pen(roles.burn[5], 1);
        pen.setCosmetic(true);
        if (layer.ink.kind == InkKind::fill)
            painter.fillPath(layer.path, shade_of(layer.ink.rgb, art->read_with.cover, roles));
        else
            stroke(painter, layer, pen);
    }
    draw_pictures_below(std::numeric_limits<int>::max());
    painter.restore();
}

}  // namespace chalkline::app
