// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/machine/program.hpp>

#include <string_view>

namespace chalkline::machine {

namespace error {
/// Parameters `text` (the line) and `word`; `line` of the error counts from 1.
inline constexpr std::string_view unknown_word = "machine.unknown-word";
inline constexpr std::string_view empty_program = "machine.empty-program";
}  // namespace error

/// The step that everything of a program from a file belongs to.
inline constexpr std::int32_t step_of_file = 1;

/// Reads a program of RS-274 words as the reference dialect has them (G0 to G4, G17, G20, G21, G54, G90, G91, G94, M3
/// to M5, M7 to M9, M2, M30, F, S, X, Y, I, J, P; comments and line numbers are passed over) into operations, so that
/// it can be looked at, timed, checked and burned like one that was planned here. Arcs become chords within a hundredth
/// of a millimetre; S counts to the profile's full power. Errors: a word it does not know, a program that moves
/// nothing.
Result<Program> read_program(std::string_view text, const MachineProfile& profile, const std::string& file);

}  // namespace chalkline::machine
