// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/steps/step_settings.hpp>

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::swatches {

/// What differs from swatch to swatch.
enum class Variable {
    power,       ///< %
    speed,       ///< mm/min
    line_pitch,  ///< mm
    passes,
    dither,        ///< index into raster::dither_methods()
    focus,         ///< mm above the focus the piece asks for
    shift,         ///< mm: of the lines that run back (backlash, and a beam that lags)
    kerf,          ///< mm
    perforation,   ///< mm burned and mm dark in turn
    corner_power,  ///< % at rest, under a constant beam
    tone           ///< % of the dots burned
};
inline constexpr int variable_count = 11;

std::string_view to_text(Variable variable);
std::optional<Variable> parse_variable(std::string_view text);
/// "mm/min"; empty where it has none.
std::string_view unit_of(Variable variable);
/// It means something for a step of this kind.
bool applies_to(Variable variable, steps::StepKind kind);

/// The values along one side of a card.
struct Axis {
    Variable what = Variable::speed;
    double first = 1000, last = 6000;  ///< in the variable's unit
    int count = 6;
    bool geometric = false;                       ///< equal ratios in place of equal steps
    std::vector<raster::DitherMethod> methods{};  ///< dither: those compared; else empty

    bool operator==(const Axis&) const = default;
};

/// Most rows or columns.
inline constexpr int most_values = 40;

/// The values, as they are burned: a linear axis by equal steps from its first value, a geometric one by equal ratios,
/// each rounded to two figures.
std::vector<double> values_of(const Axis& axis);
/// Distance from value to value of a linear axis; 0 with one value.
double step_of(const Axis& axis);
/// "4200", "0.1", "Jarvis": as it is burned beside the row.
std::string label_of(const Axis& axis, double value);

namespace notice {
inline constexpr std::string_view ends_swapped = "swatches.ends-swapped";
inline constexpr std::string_view raised = "swatches.raised";          ///< parameters variable, value
inline constexpr std::string_view lowered = "swatches.lowered";        ///< parameters variable, value
inline constexpr std::string_view last_moved = "swatches.last-moved";  ///< parameters value, step
inline constexpr std::string_view one_value = "swatches.one-value";
inline constexpr std::string_view fewer_values = "swatches.fewer-values";  ///< parameter count
}  // namespace notice

/// An axis made sensible, and what had to be done for it.
struct Adjusted {
    Axis axis;
    std::vector<Notice> said;
};

/// What a machine can do of a variable.
struct Bounds {
    double least, most;
};
Bounds bounds_of(Variable variable, const machine::MachineProfile& machine);

/// Keeps the first value and the count: the step is the round number nearest to what was asked for, and the last value
/// lands on it. Ends the wrong way round are swapped, values no machine can do are brought within its bounds.
Adjusted adjusted(Axis axis, const machine::MachineProfile& machine);
/// The same with a step as typed: as many values as fit between first and last.
Adjusted with_step(Axis axis, double step, const machine::MachineProfile& machine);

/// The settings with one value of the axis. Kerf and tone change what is drawn, and leave them as they are where the
/// shape of the swatch carries the value.
steps::StepSettings applied(steps::StepSettings settings, const Axis& axis, double value);

/// The nearest of 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8 × 10ⁿ. REQUIRES: value > 0.
double round_number(double value);

}  // namespace chalkline::swatches
