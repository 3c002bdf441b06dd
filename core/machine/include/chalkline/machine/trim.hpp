// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <cstdint>
#include <map>

namespace chalkline::machine {

/// Speed and power of a program as it runs, % of what it says.
struct Trim {
    int speed = 100, power = 100;
    bool operator==(const Trim&) const = default;
};
using Trims = std::map<std::int32_t, Trim>;  ///< by step; one that is absent burns as it says

}  // namespace chalkline::machine
