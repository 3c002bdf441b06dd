// SPDX-License-Identifier: GPL-3.0-or-later
#include "keeper_word.hpp"

#include <crypt.h>

namespace chalkline::recipes {
namespace {

std::string hashed(const std::string& word, const char* setting) {
    crypt_data scratch{};
    const char* hash = ::crypt_r(word.c_str(), setting, &scratch);
    return hash ? hash : "";
}

}  // namespace

std::string scrambled(const std::string& word) {
    char setting[CRYPT_GENSALT_OUTPUT_SIZE];
    if (!::crypt_gensalt_rn("$6$", 0, nullptr, 0, setting, sizeof setting)) return {};
    return hashed(word, setting);
}

bool fits_word(const std::string& word, const std::string& kept) {
    return !kept.empty() && hashed(word, kept.c_str()) == kept;
}

}  // namespace chalkline::recipes
