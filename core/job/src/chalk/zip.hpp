// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>

#include <map>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::job {

struct ZipEntry {
    std::string name, bytes;
};

/// A zip in memory with fixed times, so that the same entries give the same bytes.
Result<std::string> write_zip(const std::vector<ZipEntry>& entries);

/// The entries of a zip. `whole` is false when the archive is damaged and the entries are those found whole in it.
struct ZipContents {
    std::map<std::string, std::string> entries;
    bool whole = true;
};

/// Reads every entry up to 256 MB, all together up to 2 GB. A damaged archive is searched for entries whose checksum
/// is right (local headers, APPNOTE.TXT 4.3.7). Nothing when there is none.
std::optional<ZipContents> read_zip(const std::string& bytes);

}  // namespace chalkline::job
