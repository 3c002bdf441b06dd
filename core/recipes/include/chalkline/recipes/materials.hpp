// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <optional>
#include <string>
#include <string_view>

// What is known of materials by their names, as makers write them.
namespace chalkline::recipes {

/// The family of a material ("plywood" of "Birch ply"), by the words of its name; empty when it belongs to none known.
/// Settings of one family are worth trying on another member.
std::string_view family_of(std::string_view material);

/// The same material: upper and lower case, spaces and hyphens do not count.
bool same_material(std::string_view a, std::string_view b);

/// Why a material must not be burned.
struct Danger {
    std::string_view substance;  ///< "chlorine", "cyanide", "fluorine", "chromium", "resin", "arsenic", "fire", "metal"
    std::string word;            ///< the word of the name that says so
};

/// None when nothing is known against it. "PVC-free" is not PVC. Sources: docs/materials.md.
std::optional<Danger> danger_of(std::string_view material);

}  // namespace chalkline::recipes
