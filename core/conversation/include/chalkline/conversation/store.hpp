// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/machine/profile.hpp>

#include <cstdint>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::machine {

/// A file in the controller's own store.
struct StoredFile {
    std::string name;
    std::int64_t bytes = 0;
    bool operator==(const StoredFile&) const = default;
};

/// The name under which such a controller keeps what somebody calls `typed`: capital letters, figures and dashes, as
/// short as its cards need them, with the ending of programs. Empty: nothing of it can be used.
std::string store_name(std::string_view typed, Dialect dialect);

/// One line of a listing: "[FILE: NAME.NC|SIZE:123]", or "NAME.GCO 123" with a longer name behind it.
std::optional<StoredFile> parse_stored(std::string_view line, Dialect dialect);

/// Where a file of this name stands in a listing; nothing when it is not there. Cards know no small letters.
std::optional<StoredFile> find_stored(const std::vector<StoredFile>& files, std::string_view name);

}  // namespace chalkline::machine
