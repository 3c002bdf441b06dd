// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/path.hpp>
#include <chalkline/machine/line_source.hpp>
#include <chalkline/machine/profile.hpp>

#include <cstdint>
#include <functional>
#include <string>
#include <vector>

namespace chalkline::safety {

/// What a program must keep to.
struct ProgramLimits {
    machine::MachineProfile machine;
    geometry::Polyline stock;  ///< counter-clockwise outline; empty: not checked (no stock, or knowingly overridden)
    /// Highest S value of the step behind an operation; empty: only `most` and the machine's full power count.
    std::function<double(std::int64_t operation)> step_power;
    Power most = Power::percent(100);  ///< nothing may burn with more: the workshop's ceiling
};

/// One breach of the safety rules: which rule, on which line.
struct ProgramFault {
    std::string code;   ///< one of `fault::…`
    std::int64_t line;  ///< from 1
    std::int64_t operation;
    std::string text;  ///< the line
    geometry::Point place;
};

namespace fault {
inline constexpr std::string_view beam_off_bed = "program.beam-off-bed";
inline constexpr std::string_view beam_off_stock = "program.beam-off-stock";
inline constexpr std::string_view beyond_limits = "program.beyond-limits";
inline constexpr std::string_view beam_at_rest = "program.beam-at-rest";
inline constexpr std::string_view beam_not_enabled = "program.beam-not-enabled";
inline constexpr std::string_view ends_lit = "program.ends-lit";
inline constexpr std::string_view too_much_power = "program.too-much-power";
inline constexpr std::string_view too_fast = "program.too-fast";
inline constexpr std::string_view line_too_long = "program.line-too-long";
inline constexpr std::string_view forbidden_byte = "program.forbidden-byte";
inline constexpr std::string_view unknown_word = "program.unknown-word";
inline constexpr std::string_view mode_not_set = "program.mode-not-set";
inline constexpr std::string_view place_unknown = "program.place-unknown";
inline constexpr std::string_view no_feed = "program.no-feed";
inline constexpr std::string_view empty = "program.empty";
}  // namespace fault

/// Reads the lines as a controller would, independently of the encoder, and holds them against the safety invariants:
/// beam on only inside bed and stock; travel dark; never lit at rest; no power above the step's or the machine's;
/// no speed and no place beyond the machine; only words the dialect knows, in short plain lines; units, distance mode
/// and plane set before use; ends dark. Stops after `most` faults. Empty: the program may be sent.
std::vector<ProgramFault> check_program(machine::LineSource& lines, const ProgramLimits& limits, std::size_t most = 20);

}  // namespace chalkline::safety
