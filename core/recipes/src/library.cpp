// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/units_text.hpp>
#include <chalkline/recipes/library.hpp>
#include <chalkline/recipes/materials.hpp>

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <sstream>

namespace chalkline::recipes {
namespace {

using steps::StepKind;

constexpr double same_thickness = 0.05;  // mm

std::string lower(std::string text) {
    for (char& c : text)
        c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    return text;
}

std::string thickness_text(Length thickness) {
    return format_length(thickness, LengthUnit::mm);
}

bool same_size(Length a, Length b) {
    return std::abs(a.mm() - b.mm()) <= same_thickness;
}

/// "Birch ply 4 mm, Bench laser"
std::string title_of(const Recipe& recipe) {
    return recipe.material + " " + thickness_text(recipe.thickness) + ", " + recipe.machine.name;
}

/// Slower by a factor; what would become too slow is burned in more passes.
void slow_down(steps::StepSettings& settings, double factor) {
    const Speed wanted = settings.speed / factor;
    if (settings.kind != StepKind::cut || wanted >= slowest_scaled) {
        settings.speed = wanted;
        return;
    }
    const double times = std::min(std::ceil(slowest_scaled / wanted), double{steps::most_passes} / settings.passes);
    settings.passes = static_cast<int>(settings.passes * std::floor(times));
    settings.speed = wanted * std::floor(times);
}

/// Speeds are kept to three figures: more would claim what nobody measured.
Speed rounded(Speed speed) {
    const double step = std::pow(10, std::floor(std::log10(speed.mm_per_min())) - 2);
    return Speed::mm_per_min(std::max(1.0, std::round(speed.mm_per_min() / step) * step));
}

}  // namespace

std::string_view to_text(Evidence::Kind kind) {
    constexpr std::array words{"none", "starting_point", "chart", "copied", "burned", "swatch"};
    return words[static_cast<std::size_t>(kind)];
}

Freshness freshness(const Recipe& recipe, const std::vector<Care>& done) {
    auto result = Freshness::fresh;
    if (!recipe.evidence.tested() || recipe.evidence.date.empty()) return result;
    for (const Care& care : done) {
        if (care.machine != recipe.machine.name || care.date <= recipe.evidence.date) continue;
        if (care.kind == Care::Kind::beam_changed) return Freshness::before_beam_change;
        result = Freshness::before_cleaning;
    }
    return result;
}

bool matches(const Recipe& recipe, std::string_view search) {
    std::string tags;
    for (const std::string& tag : recipe.tags)
        tags += " #" + tag + " ";
    const std::string all =
        lower(recipe.material + " " + thickness_text(recipe.thickness) + " " + format_number(recipe.thickness.mm(), 2) +
              "mm " + recipe.machine.name + " " + std::string(steps::to_text(recipe.settings.kind)) + " " +
              recipe.note + " " + recipe.evidence.source + " " + recipe.evidence.preparation + tags);
    std::istringstream words(lower(std::string(search)));
    for (std::string word; words >> word;)
        if (all.find(word.starts_with('#') ? " " + word + " " : word) == std::string::npos) return false;
    return true;
}

Fit fit(const Recipe& recipe, const Wish& wish) {
    if (wish.kind && recipe.settings.kind != *wish.kind) return Fit::none;
    const bool material = same_material(recipe.material, wish.material);
    const auto family = family_of(wish.material);
    if (!material && (family.empty() || family_of(recipe.material) != family)) return Fit::none;
    const bool machine = recipe.machine.name == wish.machine.name;
    if (!machine && recipe.machine.beam.kind != wish.machine.beam.kind) return Fit::none;
    const bool thickness = same_size(recipe.thickness, wish.thickness);
    if (material && machine && thickness) return Fit::exact;
    return material && machine && recipe.settings.kind != StepKind::cut ? Fit::near : Fit::to_be_scaled;
}

std::vector<Recipe> fitting(const std::vector<Recipe>& recipes, const Wish& wish) {
    std::vector<Recipe> found;
    for (const Recipe& recipe : recipes)
        if (fit(recipe, wish) != Fit::none) found.push_back(recipe);
    const auto distance = [&](const Recipe& r) { return std::abs(r.thickness.mm() - wish.thickness.mm()); };
    std::stable_sort(found.begin(), found.end(), [&](const Recipe& a, const Recipe& b) {
        const auto key = [&](const Recipe& r) {
            return std::tuple(fit(r, wish), !same_material(r.material, wish.material), distance(r),
                              !r.evidence.tested());
        };
        if (key(a) != key(b)) return key(a) < key(b);
        return a.evidence.date > b.evidence.date;
    });
    return found;
}

Recipe scaled(const Recipe& recipe, const Wish& wish, Speed top_speed) {
    Recipe copy = recipe;
    copy.id = 0;
    copy.revision = 0;
    copy.locked = false;
    copy.photo.clear();
    copy.machine = wish.machine;
    copy.material = wish.material;
    copy.thickness = wish.thickness;
    copy.evidence = {.kind = Evidence::Kind::copied,
                     .source = title_of(recipe),
                     .date = recipe.evidence.date,
                     .preparation = recipe.evidence.preparation};

    auto& s = copy.settings;
    const double watts = recipe.machine.beam.watts_at(s.power);
    const Power limit = std::max(wish.machine.beam.comfortable, Power::percent(1));
    const bool other_machine = recipe.machine != wish.machine;
    if (other_machine) {
        const Power wanted = wish.machine.beam.power_for(watts);
        if (s.low_power) s.low_power = s.low_power->percent() / s.power.percent() * std::min(wanted, limit);
        if (wanted > limit) slow_down(s, watts / wish.machine.beam.watts_at(limit));
        s.power = std::min(wanted, limit);
    }
    if (s.kind == StepKind::cut && recipe.thickness > Length() && wish.thickness > Length())
        slow_down(s, wish.thickness / recipe.thickness);
    if (s.speed > top_speed) {
        // Faster than the machine goes: less light instead, for the same dose.
        s.power = wish.machine.beam.power_for(wish.machine.beam.watts_at(s.power) * (top_speed / s.speed));
        if (s.low_power) s.low_power = std::min(*s.low_power, s.power);
        s.speed = top_speed;
    } else if (s.speed != recipe.settings.speed) {
        s.speed = std::min(rounded(s.speed), top_speed);
    }
    if (s.power != recipe.settings.power) s.power = Power::percent(std::round(s.power.percent() * 10) / 10);
    if (s.low_power) s.low_power = std::min(*s.low_power, s.power);
    return copy;
}

std::vector<MaterialGroup> groups_of(const std::vector<Recipe>& recipes) {
    std::vector<MaterialGroup> groups;
    for (const Recipe& recipe : recipes) {
        auto found = std::find_if(groups.begin(), groups.end(), [&](const MaterialGroup& group) {
            return same_material(group.material, recipe.material) && same_size(group.thickness, recipe.thickness);
        });
        if (found == groups.end()) found = groups.insert(groups.end(), {recipe.material, recipe.thickness, {}});
        found->recipes.push_back(recipe);
    }
    for (MaterialGroup& group : groups)
        std::stable_sort(group.recipes.begin(), group.recipes.end(),
                         [](const Recipe& a, const Recipe& b) { return a.settings.kind < b.settings.kind; });
    std::sort(groups.begin(), groups.end(), [](const MaterialGroup& a, const MaterialGroup& b) {
        const std::string first = lower(a.material), second = lower(b.material);
        return std::tie(first, a.thickness) < std::tie(second, b.thickness);
    });
    return groups;
}

Known known_of(const std::vector<Recipe>& recipes, const Wish& wish) {
    Known known;
    for (const Recipe& recipe : recipes) {
        const Fit how = fit(recipe, wish);
        if (how != Fit::exact && how != Fit::near) continue;
        const double dose = steps::whole_dose(recipe.settings, wish.machine.beam);
        const Speed speed = recipe.settings.speed;
        const bool first = known.count++ == 0;
        known.lowest_dose = first ? dose : std::min(known.lowest_dose, dose);
        known.highest_dose = std::max(known.highest_dose, dose);
        known.slowest = first ? speed : std::min(known.slowest, speed);
        known.fastest = std::max(known.fastest, speed);
    }
    return known;
}

std::vector<Recipe> starting_points(const MachineTag& machine) {
    struct Start {
        const char* material;
        double thickness;
        StepKind kind;
        double power, speed;
        int passes;
        bool air;
        double pitch;
        const char* preparation;
    };
    // For the simulated bench laser; found on its own material model, careful rather than fast.
    constexpr std::array starts{
        Start{"Birch ply", 4, StepKind::engrave, 70, 3200, 1, true, 0.1, "masked with paper tape"},
        Start{"Birch ply", 4, StepKind::score, 35, 2400, 1, false, 0.1, ""},
        Start{"Birch ply", 4, StepKind::cut, 100, 240, 2, true, 0.1, ""},
        Start{"Lime ply", 3, StepKind::engrave, 65, 4200, 1, true, 0.1, ""},
        Start{"Lime ply", 3, StepKind::score, 30, 2400, 1, false, 0.1, ""},
        Start{"Lime ply", 3, StepKind::cut, 100, 380, 1, true, 0.1, ""},
        Start{"Slate", 8, StepKind::engrave, 60, 3000, 1, false, 0.12, "wiped dry"},
        Start{"Slate", 8, StepKind::score, 80, 1200, 1, false, 0.1, ""},
        Start{"Painted tile", 6, StepKind::engrave, 80, 2400, 1, false, 0.1, "sprayed with white paint"},
        Start{"Acrylic, black", 3, StepKind::engrave, 30, 5200, 1, true, 0.1, ""},
        Start{"Acrylic, black", 3, StepKind::cut, 100, 160, 3, true, 0.1, ""},
    };
    steps::Beam reference;  // what the values above were found with
    std::vector<Recipe> recipes;
    for (const Start& start : starts) {
        Recipe recipe;
        recipe.machine = {machine.name, reference};
        recipe.material = start.material;
        recipe.thickness = Length::mm(start.thickness);
        recipe.settings = {.kind = start.kind,
                           .power = Power::percent(start.power),
                           .speed = Speed::mm_per_min(start.speed),
                           .passes = start.passes,
                           .air = start.air,
                           .line_pitch = Length::mm(start.pitch)};
        if (machine.beam.watts != reference.watts || !machine.beam.measured.empty())
            recipe = scaled(recipe, {machine, recipe.material, recipe.thickness, {}}, Speed::mm_per_min(1e5));
        recipe.machine = machine;
        recipe.evidence = {.kind = Evidence::Kind::starting_point, .preparation = start.preparation};
        recipes.push_back(std::move(recipe));
    }
    return recipes;
}

}  // namespace chalkline::recipes
