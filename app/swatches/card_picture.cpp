// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/card_picture.hpp"

#include <algorithm>
#include <cmath>

namespace chalkline::app {
namespace {

QColor mixed(const QColor& a, const QColor& b, double share) {
    const auto between = [share](int from, int to) {
        return static_cast<int>(std::lround(from + (to - from) * share));
    };
    return {between(a.red(), b.red()), between(a.green(), b.green()), between(a.blue(), b.blue())};
}

}  // namespace

QColor colour_of_darkness(double darkness, const theme::Roles& roles) {
    return darkness >= 0 ? mixed(roles.stock, roles.burn.back(), std::min(darkness, 1.0))
                         : mixed(roles.stock, Qt::white, std::min(-darkness, 1.0));
}

QColor swatch_colour(const swatches::Cell& cell, const swatches::CardBurn* burn, const steps::Beam& beam,
                     const theme::Roles& roles) {
    if (const auto* result = burn ? burn->at_place(cell.place) : nullptr; result && result->measured)
        return colour_of_darkness(result->measured->darkness, roles);
    const double line = steps::dose(cell.settings, beam) * cell.settings.passes;
    return mixed(roles.stock, roles.burn_tone(steps::burn_tone(line)), cell.share);
}

void draw_small(QPainter& painter, const QRectF& inside, const swatches::CardRecord& record, const steps::Beam& beam,
                const theme::Roles& roles) {
    const swatches::Layout layout = swatches::layout_of(record.card, beam);
    const swatches::CardBurn* burn = record.burns.empty() ? nullptr : &record.burns.back();
    const double scale = std::min(inside.width() / layout.size.x, inside.height() / layout.size.y);
    const QRectF card(inside.center().x() - layout.size.x * scale / 2, inside.center().y() - layout.size.y * scale / 2,
                      layout.size.x * scale, layout.size.y * scale);
    painter.setPen(QPen(roles.stock_edge, 1));
    painter.setBrush(roles.stock);
    painter.drawRoundedRect(card, 3, 3);
    for (const swatches::Cell& cell : layout.cells) {
        if (cell.left_out) continue;
        const QRectF box(card.left() + cell.box.left * scale, card.bottom() - cell.box.top * scale,
                         cell.box.width() * scale, cell.box.height() * scale);
        const QColor colour = swatch_colour(cell, burn, beam, roles);
        if (steps::burns_area(cell.settings.kind)) {
            painter.fillRect(box, colour);
        } else {
            painter.setPen(QPen(colour, 1.5));
            painter.setBrush(Qt::NoBrush);
            painter.drawRect(box);
        }
        const auto* result = burn ? burn->at_place(cell.place) : nullptr;
        if (!result || !swatches::is_good(result->verdict)) continue;
        painter.setPen(QPen(roles.accent, 2));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(box.adjusted(-1.5, -1.5, 1.5, 1.5));
    }
}

}  // namespace chalkline::app
