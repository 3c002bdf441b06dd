// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <tl/expected.hpp>

#include <string>
#include <string_view>
#include <utility>
#include <vector>

namespace chalkline {

/// A value put into a sentence: its name in the sentence and its text.
using Parameters = std::vector<std::pair<std::string, std::string>>;

/// What went wrong, as a value. The core holds no sentences: `wording` has one for every code. Codes are
/// "library.kind", declared next to the function that returns them.
struct Error {
    std::string code;
    Parameters parameters;
    std::string file;  ///< file, port or program concerned; empty when there is none
    int line = 0;      ///< line in it, from 1; 0 when unknown

    bool operator==(const Error&) const = default;
};

/// Something worth telling that stopped nothing: what was not understood, how often, and where first.
struct Notice {
    std::string code;
    Parameters parameters;
    int count = 1;
    int line = 0;  ///< line of the first place, from 1; 0 when unknown

    bool operator==(const Notice&) const = default;
};

/// A value, or why there is none. Whoever gets one looks at it, or says by a cast to void that it does not matter.
template <class T>
class [[nodiscard]] Result : public tl::expected<T, Error> {
 public:
    using tl::expected<T, Error>::expected;
    Result() = default;
    Result(tl::expected<T, Error> other) : tl::expected<T, Error>(std::move(other)) {}
};

inline tl::unexpected<Error> fail(std::string_view code, Parameters parameters = {}, std::string file = {},
                                  int line = 0) {
    return tl::unexpected<Error>(Error{std::string(code), std::move(parameters), std::move(file), line});
}

}  // namespace chalkline
