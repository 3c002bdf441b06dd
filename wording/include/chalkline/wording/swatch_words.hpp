// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/swatches/ready_cards.hpp>
#include <chalkline/swatches/results.hpp>

#include <QString>

// What swatch cards are called on the screen.
namespace chalkline::wording {

/// "Line pitch"
QString name(swatches::Variable variable);
QString name(swatches::Shape shape);
/// "Too light"
QString name(swatches::Verdict verdict);
/// "How dark: power and speed"
QString name(swatches::Ready ready);
/// What question a ready card answers, in a sentence.
QString purpose(swatches::Ready ready);
/// "4200 mm/min"
QString value_text(const swatches::Axis& axis, double value);
/// "Birch ply 4 mm, engrave: speed × power, 6 × 6"
QString describe(const swatches::Card& card);

}  // namespace chalkline::wording
