// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "recipes/recipe_desk.hpp"
#include "widgets/dose_pad.hpp"

namespace chalkline::app {

/// What is known of a material and kind on this machine, as marks on a dose pad. `except`: a recipe that is the point
/// itself.
std::vector<DoseMark> dose_marks(const RecipeDesk& desk, const recipes::Wish& wish, recipes::RecipeId except = 0);

/// What is wrong with a speed beside all that is known; empty when nothing is.
QString unlike_evidence(const RecipeDesk& desk, const recipes::Wish& wish, Speed speed);

/// "80 % · 4200 mm/min · 2×"
QString settings_in_short(const steps::StepSettings& settings);

}  // namespace chalkline::app
