// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "recipes/recipe_desk.hpp"
#include "theme/theme.hpp"

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

/// By the newest card of this material, thickness, kind and machine that was measured and reaches this dose; none
/// without one. REQUIRES: the wish names a kind.
std::optional<ExpectedLook> expected_look(const RecipeDesk& desk, const recipes::Wish& wish, double dose,
                                          const theme::Roles& roles);

}  // namespace chalkline::app
