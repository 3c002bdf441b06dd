// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/expected_look.hpp"

#include "swatches/card_picture.hpp"

#include <chalkline/recipes/materials.hpp>
#include <chalkline/swatches/advice.hpp>

namespace chalkline::app {

std::optional<ExpectedLook> expected_look(const RecipeDesk& desk, const recipes::Wish& wish, double dose,
                                          const theme::Roles& roles) {
    std::optional<ExpectedLook> found;
    std::string newest;
    for (const swatches::CardRecord& record : desk.cards()) {
        const swatches::Card& card = record.card;
        const bool same = card.settings.kind == wish.kind && card.thickness == wish.thickness &&
                          card.machine == wish.machine.name && recipes::same_material(card.material, wish.material);
        if (!same) continue;
        const swatches::Layout layout = swatches::layout_of(card, wish.machine.beam);
        for (const swatches::CardBurn& burn : record.burns) {
            const auto curve = swatches::curve_of(swatches::dose_points(layout, burn));
            // Beyond what was burned nobody knows.
            constexpr double reach = 1.15;
            if (!curve || burn.at < newest || dose < curve->lowest / reach || dose > curve->highest * reach) continue;
            newest = burn.at;
            const double darkness = curve->at(dose);
            found = ExpectedLook{darkness, curve->scatter, card.code, colour_of_darkness(darkness, roles)};
        }
    }
    return found;
}

}  // namespace chalkline::app
