// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/recipes/recipe.hpp>

#include <string>
#include <string_view>
#include <vector>

// Recipes as text for other people and programs: JSON (docs/formats/recipes.md) and CSV (RFC 4180).
namespace chalkline::recipes {

namespace error {
/// Parameter `reason`; of CSV the error's line is that of the file.
inline constexpr std::string_view unreadable = "recipes.unreadable";
}  // namespace error

/// One recipe as a JSON object, without its number, revision and lock.
std::string to_json(const Recipe& recipe);
Result<Recipe> recipe_from_json(std::string_view json);

/// A file of recipes: {"format": "chalkline-recipes", "version": 1, "recipes": […]}.
std::string to_json_file(const std::vector<Recipe>& recipes);
/// A table with a heading line; the settings most people compare have columns, the rest stands as JSON in the last one.
std::string to_csv(const std::vector<Recipe>& recipes);

/// What a file held, and what of it could not be read.
struct Imported {
    std::vector<Recipe> recipes;
    std::vector<Error> refused;
};
/// Reads either form, by its first character. Columns of CSV are found by their headings; material, kind, power and
/// speed are needed, everything else has the value of `otherwise`. Commas or semicolons part them. Recipes that cannot
/// be read are named in `refused`; a file of which nothing can be read is an error. `name` is the file's, for errors.
Result<Imported> import(std::string_view bytes, const Recipe& otherwise, const std::string& name);

/// The recipes of `found` that are not in `have` already: same machine, material, thickness and settings.
std::vector<Recipe> new_ones(const std::vector<Recipe>& found, const std::vector<Recipe>& have);

}  // namespace chalkline::recipes
