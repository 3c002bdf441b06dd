// SPDX-License-Identifier: GPL-3.0-or-later
// Drawings in a gzip coat (.svgz).
#pragma once
#include <chalkline/base/result.hpp>

#include <string>
#include <string_view>

namespace chalkline::art {

/// The bytes begin as gzip's do (RFC 1952).
bool is_packed(std::string_view bytes);

/// What is inside. REQUIRES: is_packed. Errors: broken_packed, also for what unpacks to more than `most_unpacked`.
Result<std::string> unpacked(std::string_view bytes);
inline constexpr std::size_t most_unpacked = std::size_t{256} << 20;

}  // namespace chalkline::art
