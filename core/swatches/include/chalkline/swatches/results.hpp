// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/recipes/recipe.hpp>
#include <chalkline/swatches/card.hpp>

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::swatches {

/// What somebody says of a burned swatch.
enum class Verdict {
    none,
    too_light,
    keeper,
    too_dark,
    charred,
    too_deep,
    rough,
    melted,
    layer_left,
    not_through,
    just_through,
    clean,
    burned_edge
};
inline constexpr int verdict_count = 13;
std::string_view to_text(Verdict verdict);
std::optional<Verdict> parse_verdict(std::string_view text);
/// Those that are said of a step of this kind, in the order they are offered.
std::vector<Verdict> verdicts_for(steps::StepKind kind);
/// The swatch came out as it was wanted.
constexpr bool is_good(Verdict verdict) {
    return verdict == Verdict::keeper || verdict == Verdict::clean;
}
/// A cut that went through.
constexpr bool is_through(Verdict verdict) {
    return verdict == Verdict::clean || verdict == Verdict::just_through || verdict == Verdict::burned_edge ||
           verdict == Verdict::keeper;
}

/// What a photograph tells of a swatch.
struct Measured {
    double darkness = 0;  ///< 0 as bare material, 1 black, as the eye sees it; below 0 it came out lighter
    double evenness = 1;  ///< 1: the same all over
    double edge = 0;      ///< mm over which its sides fade
    bool operator==(const Measured&) const = default;
};

/// One burned swatch.
struct CellResult {
    CellPlace place;
    Verdict verdict = Verdict::none;
    std::string words{};  ///< a verdict in the maker's own words
    std::string note{};
    std::optional<double> depth{};  ///< mm
    std::optional<Measured> measured{};
    bool operator==(const CellResult&) const = default;
};

/// One time the card was burned.
struct CardBurn {
    std::string at;       ///< "2026-11-23T13:40:02"
    int over = 0;         ///< times the same piece had been burned with the same card before
    double seconds = 0;   ///< it took; 0: unknown
    std::string photo{};  ///< file of the photograph it was read from; empty: none
    /// Where the four marks lie in it, pixels from its upper left corner, the ring first; empty without a photograph.
    std::vector<geometry::Point> marks{};
    std::vector<CellResult> results{};  ///< of the swatches something is known of

    const CellResult* at_place(CellPlace place) const;
    /// The result of a swatch, made where there is none.
    CellResult& at_place_or_new(CellPlace place);
    bool operator==(const CardBurn&) const = default;
};

/// A card and what became of it.
struct CardRecord {
    Card card;
    std::vector<CardBurn> burns{};  ///< oldest first
    bool operator==(const CardRecord&) const = default;
};

/// The JSON of docs/formats/swatches.md.
std::string to_json(const CardRecord& record);
Result<CardRecord> record_from_json(std::string_view json);

/// Dose a swatch had in this burn: burned again over itself it had it as often.
double dose_in(const Cell& cell, const CardBurn& burn);

/// A swatch as a recipe, with the swatch as its evidence. Burned again over itself it needs as many more passes.
recipes::Recipe recipe_of(const Card& card, const Cell& cell, const CardBurn& burn, const recipes::MachineTag& machine);

}  // namespace chalkline::swatches
