// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <string>
#include <string_view>

namespace chalkline::art::svg {

/// The capital of one letter in UTF-8: Latin, Greek and Cyrillic letters that have one of their own (Unicode's simple
/// case mapping, blocks U+0000 to U+017F and U+0370 to U+045F); other texts as they are.
std::string capital_of(std::string_view letter);

}  // namespace chalkline::art::svg
