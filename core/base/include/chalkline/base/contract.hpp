// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

namespace chalkline {

/// Says which contract was broken and where, on the error output, and ends the program: a wrong burn could follow.
[[noreturn]] void contract_broken(const char* condition, const char* file, int line);

}  // namespace chalkline

/// What a public function's REQUIRES says, held in every build. For conditions that cost nothing beside the work.
#define CHALKLINE_REQUIRES(condition) \
    ((condition) ? static_cast<void>(0) : ::chalkline::contract_broken(#condition, __FILE__, __LINE__))
