// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "theme/theme.hpp"

#include <chalkline/swatches/results.hpp>

#include <QColor>
#include <QPainter>

namespace chalkline::app {

/// What bare material becomes with a darkness (swatches::Measured).
QColor colour_of_darkness(double darkness, const theme::Roles& roles);

/// How a swatch will look, or looked where it was measured in this burn: from the material towards burnt.
QColor swatch_colour(const swatches::Cell& cell, const swatches::CardBurn* burn, const steps::Beam& beam,
                     const theme::Roles& roles);

/// A card as a small picture inside a rectangle: its swatches, and which of them were kept.
void draw_small(QPainter& painter, const QRectF& inside, const swatches::CardRecord& record, const steps::Beam& beam,
                const theme::Roles& roles);

}  // namespace chalkline::app
