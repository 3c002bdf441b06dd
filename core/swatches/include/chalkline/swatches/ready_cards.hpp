// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/machine/profile.hpp>
#include <chalkline/recipes/recipe.hpp>
#include <chalkline/swatches/card.hpp>

#include <string>
#include <string_view>
#include <vector>

namespace chalkline::swatches {

/// Cards for the usual questions.
enum class Ready {
    engrave_dose,  ///< how dark: power × speed
    cut_through,   ///< does it come out: speed × passes
    score_line,    ///< how strong a line: power × speed
    line_pitch,    ///< how fine: pitch × speed
    backlash,      ///< do lines there and back meet: shift × speed
    kerf,          ///< how wide is the cut: windows and a tongue
    focus,         ///< where is the line finest
    grey_ramp,     ///< what the material makes of a share of burned dots
    dot_gain,      ///< the same for several pitches
    round_piece,   ///< one column of swatches, round a cup
    corners,       ///< power in corners × speed
    curves         ///< circles of several radii: speed × power
};
inline constexpr int ready_count = 12;
std::string_view to_text(Ready ready);

/// What a proposal stands on.
struct Ground {
    machine::MachineProfile machine;
    std::string material;
    Length thickness = Length::mm(3);
    std::string date;                        ///< "2026-11-23"
    std::vector<recipes::Recipe> recipes{};  ///< all there are; what fits is taken
};

/// A ready card with ranges for this material and machine: round what recipes of it say, of similar materials and other
/// machines worked out by watts, or wide ones when nothing is known. No code and no name yet.
Card ready_card(Ready ready, const Ground& ground);

/// Ranges to begin with for one variable.
Axis proposed(Variable variable, steps::StepKind kind, const Ground& ground);

/// A card of the same kind round one swatch: from halfway to its neighbours on both sides, in finer steps.
Card finer_card(const Card& card, CellPlace round, const machine::MachineProfile& machine);

}  // namespace chalkline::swatches
