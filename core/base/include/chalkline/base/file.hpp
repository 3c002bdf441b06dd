// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>

#include <cstdint>
#include <string>
#include <string_view>

namespace chalkline {

namespace error {
inline constexpr std::string_view file_missing = "base.file-missing";
inline constexpr std::string_view file_forbidden = "base.file-forbidden";
inline constexpr std::string_view file_is_folder = "base.file-is-folder";
inline constexpr std::string_view file_too_large = "base.file-too-large";
inline constexpr std::string_view file_unreadable = "base.file-unreadable";
inline constexpr std::string_view file_unwritable = "base.file-unwritable";
}  // namespace error

/// Largest file read whole: bigger ones are refused, not tried.
inline constexpr std::uintmax_t largest_file = 512ULL << 20;

/// The bytes of a regular file. Refuses folders, devices and files above `largest_file`.
Result<std::string> read_file(const std::string& path);

/// Replaces the file as one act: writes beside it, flushes to the disk, renames over it. Either the old or
/// the new bytes are there afterwards, whatever happens meanwhile. Follows a symbolic link to its target.
Result<void> replace_file(const std::string& path, std::string_view bytes);

}  // namespace chalkline
