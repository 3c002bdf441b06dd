// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/machine/program.hpp>

#include <string>
#include <string_view>

namespace chalkline::machine {

namespace error {
inline constexpr std::string_view bad_program = "machine.bad-program";
}

/// A program as bytes, for keeping beside the journal of its burn; docs/formats/journal.md describes them.
std::string to_bytes(const Program& program);
/// Errors: bytes that are no program, or not whole.
Result<Program> program_from(std::string_view bytes);

}  // namespace chalkline::machine
