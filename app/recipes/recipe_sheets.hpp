// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "recipes/recipe_desk.hpp"

#include <QWidget>

// Questions between a job and the recipes, asked on sheets over a view.
namespace chalkline::app {

/// Offers what fits a step and shows what would change before it is taken; nothing but the settings changes.
void open_take_sheet(JobDocument& document, RecipeDesk& recipes, job::Id step, QWidget* over);
/// Keeps a step's settings as a recipe for the job's piece.
void open_keep_sheet(const JobDocument& document, RecipeDesk& recipes, job::Id step, QWidget* over);
/// The routines: one is applied, after its effect is shown; the job's run sheet is kept as one.
void open_routines_sheet(JobDocument& document, RecipeDesk& recipes, QWidget* over);

/// The settings that change, a line each: "Power 70 % → 80 %".
QString difference_text(const steps::StepSettings& before, const steps::StepSettings& after);

}  // namespace chalkline::app
