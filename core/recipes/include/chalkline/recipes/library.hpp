// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/recipes/recipe.hpp>

#include <optional>
#include <string_view>
#include <vector>

// Questions to a list of recipes. Pure: nothing is kept or changed here.
namespace chalkline::recipes {

/// Every word of the search stands somewhere in the recipe: material, thickness, machine, kind, note, tags, evidence.
/// A tag is asked for as "#shop". Upper and lower case do not count.
bool matches(const Recipe& recipe, std::string_view search);

/// What a recipe is wanted for.
struct Wish {
    MachineTag machine;
    std::string material;
    Length thickness;
    std::optional<steps::StepKind> kind{};
};

/// How near a recipe comes to a wish.
enum class Fit {
    exact,         ///< this material, thickness and machine
    near,          ///< this material and machine, another thickness where that matters little
    to_be_scaled,  ///< another thickness, a similar material or a machine of the same kind of beam: `scaled` helps
    none
};
Fit fit(const Recipe& recipe, const Wish& wish);

/// Those of the wished kind that fit at all, best first: the nearer, then the tested, then the newer evidence.
std::vector<Recipe> fitting(const std::vector<Recipe>& recipes, const Wish& wish);

/// A recipe worked out anew for another machine, material or thickness: the same light where it was tested, in watts
/// by the machine's own beam; above its comfortable power the speed is lowered instead. Cuts go slower with the
/// thickness, and in more passes where one would be slower than `slowest_scaled`. Always untested, with what it was
/// copied from as its source; not kept yet (id 0).
Recipe scaled(const Recipe& recipe, const Wish& wish, Speed top_speed);
inline constexpr Speed slowest_scaled = Speed::mm_per_min(60);

/// All recipes of one material and thickness, by kind; `groups_of` sorts by name, then thickness.
struct MaterialGroup {
    std::string material;
    Length thickness;
    std::vector<Recipe> recipes;
};
std::vector<MaterialGroup> groups_of(const std::vector<Recipe>& recipes);

/// Doses and speeds of recipes believed for this material, kind and machine.
struct Known {
    int count = 0;
    double lowest_dose = 0, highest_dose = 0;  ///< steps::whole_dose
    Speed slowest, fastest;
};
Known known_of(const std::vector<Recipe>& recipes, const Wish& wish);

/// Careful settings for what the simulated machine's pieces are made of, marked as starting points.
std::vector<Recipe> starting_points(const MachineTag& machine);

}  // namespace chalkline::recipes
