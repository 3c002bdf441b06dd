// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <cstdint>
#include <string_view>

namespace chalkline {

/// FNV-1a, 64 bits (G. Fowler, L. C. Noll, K.-P. Vo): a flipped bit on the disk shows. Part of file formats.
/// `sum`: of the bytes before these.
constexpr std::uint64_t checksum(std::string_view bytes, std::uint64_t sum = 0xcbf29ce484222325ULL) {
    for (const char c : bytes)
        sum = (sum ^ static_cast<unsigned char>(c)) * 0x100000001b3ULL;
    return sum;
}

}  // namespace chalkline
