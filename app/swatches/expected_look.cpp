// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/expected_look.hpp"

#include "swatches/card_picture.hpp"

#include <chalkline/recipes/materials.hpp>
#include <chalkline/swatches/advice.hpp>

namespace chalkline::app {

std::vector<CardCurve> card_curves(const RecipeDesk& desk, const recipes::Wish& wish) {
    std::vector<CardCurve> curves;
    for (const swatches::CardRecord& record : desk.cards()) {
        const swatches::Card& card = record.card;
        const bool same = card.settings.kind == wish.kind && card.thickness == wish.thickness &&
                          card.machine == wish.machine.name && recipes::same_material(card.material, wish.material);
        if (!same) continue;
        const swatches::Layout layout = swatches::layout_of(card, wish.machine.beam);
        for (const swatches::CardBurn& burn : record.burns)
            if (const auto curve = swatches::curve_of(swatches::dose_points(layout, burn)))
                curves.push_back({card.code, burn.at, *curve});
    }
    return curves;
}

std::optional<ExpectedLook> expected_look(const std::vector<CardCurve>& curves, double dose,
                                          const theme::Roles& roles) {
    const CardCurve* newest = nullptr;
    for (const CardCurve& one : curves) {
        // Beyond what was burned nobody knows.
        constexpr double reach = 1.15;
        if (dose < one.curve.lowest / reach || dose > one.curve.highest * reach) continue;
        if (!newest || one.at >= newest->at) newest = &one;
    }
    if (!newest) return {};
    const double darkness = newest->curve.at(dose);
    return ExpectedLook{darkness, newest->curve.scatter, newest->card, colour_of_darkness(darkness, roles)};
}

}  // namespace chalkline::app
