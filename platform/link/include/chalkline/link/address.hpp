// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>

#include <string>
#include <string_view>

namespace chalkline::link {

namespace error {
inline constexpr std::string_view bad_address = "link.bad-address";
inline constexpr std::string_view missing = "link.missing";
inline constexpr std::string_view forbidden = "link.forbidden";
inline constexpr std::string_view busy = "link.busy";
inline constexpr std::string_view held = "link.held";
inline constexpr std::string_view not_a_port = "link.not-a-port";
inline constexpr std::string_view unreachable = "link.unreachable";
}  // namespace error

/// Where a controller is reached: a serial port or pseudo-terminal by path, or "tcp:HOST:PORT".
struct Address {
    std::string text;  ///< as the user gave it
    bool tcp = false;
    std::string host, port;  ///< of tcp
};

Result<Address> parse_address(std::string_view text);

/// Opens a serial device or pseudo-terminal for us alone, raw, at `baud` 8N1. The descriptor is the caller's.
Result<int> open_serial(const std::string& path, int baud);

/// Another process that has the file open: "name (process 123)"; empty when none is found. Only processes of the same
/// user can be seen, so an empty answer promises nothing.
std::string holder_of(const std::string& path);

/// True for the near end of a pseudo-terminal: nothing resets when it is opened.
bool is_pseudo_terminal(int descriptor);

}  // namespace chalkline::link
