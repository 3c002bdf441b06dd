// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/base/units.hpp>

#include <optional>
#include <string_view>

namespace chalkline::steps {

/// What a step does to the piece.
enum class StepKind {
    engrave,  ///< an area burned by scan lines
    score,    ///< a line drawn, not cut
    cut       ///< a line through the material
};

std::string_view to_text(StepKind kind);
std::optional<StepKind> parse_kind(std::string_view text);

/// Everything about one layer of power and speed except what it burns.
struct StepSettings {
    StepKind kind = StepKind::score;
    Power power = Power::percent(35);
    Speed speed = Speed::mm_per_min(2400);
    int passes = 1;
    bool air = false;
    Length line_pitch = Length::mm(0.1);  ///< engrave only: distance between scan lines

    bool operator==(const StepSettings&) const = default;
};

/// Where a step of this kind starts from when nothing better is known: careful values for a 10 W diode on thin ply.
StepSettings starting_point(StepKind kind);

namespace error {
inline constexpr std::string_view power_out_of_range = "steps.power-out-of-range";
inline constexpr std::string_view speed_out_of_range = "steps.speed-out-of-range";
inline constexpr std::string_view passes_out_of_range = "steps.passes-out-of-range";
inline constexpr std::string_view pitch_out_of_range = "steps.pitch-out-of-range";
}  // namespace error

inline constexpr int most_passes = 100;
inline constexpr Length finest_pitch = Length::mm(0.01);
inline constexpr Length coarsest_pitch = Length::mm(10);

/// Checks the settings against what any machine of this top speed can do; the first fault found.
Result<void> validate(const StepSettings& settings, Speed top_speed);

/// Energy per length of one pass, mJ/mm, from the beam's full power in watts.
double dose(const StepSettings& settings, double watts);

/// Place of a dose on the scale of burn tones: 0 light … 1 dark, logarithmic, two to the power six wide.
double burn_tone(double dose_mj_per_mm);

}  // namespace chalkline::steps
