// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "recipes/recipe_desk.hpp"
#include "theme/theme.hpp"

#include <chalkline/swatches/advice.hpp>

#include <QColor>
#include <optional>

namespace chalkline::app {

/// How a step will look on its piece, as far as burned cards say.
struct ExpectedLook {
    double darkness = 0;  ///< see swatches::Measured
    double scatter = 0;
    std::string card;  ///< its code
    QColor colour;
};

/// A burn of a card as the curve through it.
struct CardCurve {
    std::string card, at;  ///< its code, and when it was burned
    swatches::DoseCurve curve;
};
/// Of all burns of this material, thickness, kind and machine that were measured. Each curve is fitted: ask once for
/// many doses. REQUIRES: the wish names a kind.
std::vector<CardCurve> card_curves(const RecipeDesk& desk, const recipes::Wish& wish);

/// By the newest of them that reaches this dose; none without one.
std::optional<ExpectedLook> expected_look(const std::vector<CardCurve>& curves, double dose, const theme::Roles& roles);

}  // namespace chalkline::app
