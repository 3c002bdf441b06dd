// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <string>

namespace chalkline::recipes {

/// A word as it is kept: salted and hashed by the system's password function, never readable again.
std::string scrambled(const std::string& word);
bool fits_word(const std::string& word, const std::string& kept);

}  // namespace chalkline::recipes
