// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <string_view>

namespace chalkline::wording {

/// What happened and what to do; `{name}` stands for the parameter of that name.
struct Sentence {
    std::string_view code;
    const char* what;
    const char* help;
};

/// The sentence of a code, or null.
const Sentence* find_sentence(std::string_view code);

}  // namespace chalkline::wording
