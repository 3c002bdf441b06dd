// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/units.hpp>
#include <chalkline/steps/beam.hpp>
#include <chalkline/steps/step_settings.hpp>

#include <cstdint>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::recipes {

/// Number of a recipe in its store, never used again; 0: not kept yet.
using RecipeId = std::int64_t;

/// The machine a recipe belongs to, as far as settings depend on it.
struct MachineTag {
    std::string name;
    steps::Beam beam;
    bool operator==(const MachineTag&) const = default;
};

/// Why anyone should believe the settings.
struct Evidence {
    enum class Kind {
        none,            ///< nobody said
        starting_point,  ///< came with Chalkline
        chart,           ///< from a chart or manual, for a beam of `watts`
        copied,          ///< worked out from another recipe
        burned,          ///< a job came out well with it
        swatch           ///< the best cell of a swatch card
    };
    Kind kind = Kind::none;
    std::string source{};       ///< the chart, the card and its cell, the recipe it was copied from
    std::string date{};         ///< "2026-11-23", of the burn or chart; empty: unknown
    double watts = 0;           ///< chart: of the machine it speaks of; 0: unknown
    int burns = 0;              ///< jobs finished with it since
    std::string preparation{};  ///< "masked with paper tape, wiped damp"

    /// Somebody has seen it burn on this machine.
    bool tested() const { return kind == Kind::burned || kind == Kind::swatch; }
    bool operator==(const Evidence&) const = default;
};

std::string_view to_text(Evidence::Kind kind);

/// Settings that worked, or are believed to, for one material on one machine.
struct Recipe {
    RecipeId id = 0;
    int revision = 0;  ///< counts its changes, so that two Chalklines do not write over each other
    MachineTag machine;
    std::string material{};
    Length thickness = Length::mm(3);
    steps::StepSettings settings{};
    Evidence evidence{};
    std::string note{};
    std::vector<std::string> tags{};
    std::string photo{};  ///< file of a photograph; empty: none
    bool locked = false;  ///< changed and removed by the workshop's keeper alone

    bool operator==(const Recipe&) const = default;
};

/// Something done to the machine after which old evidence counts for less.
struct Care {
    enum class Kind { lens_cleaned, beam_changed };
    std::string machine;
    Kind kind = Kind::lens_cleaned;
    std::string date{};  ///< "2026-11-23"
    bool operator==(const Care&) const = default;
};

/// What became of the evidence since it was found.
enum class Freshness { fresh, before_cleaning, before_beam_change };
Freshness freshness(const Recipe& recipe, const std::vector<Care>& done);

}  // namespace chalkline::recipes
