// SPDX-License-Identifier: GPL-3.0-or-later
// A DXF file as its stream of groups: a code and a value, as text or in the binary form.
#pragma once
#include <chalkline/base/result.hpp>

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::art::dxf {

struct Group {
    int code = 0;
    std::string_view text;  ///< of the file's bytes; strings only
    double number = 0;      ///< numeric codes; 0 where the text is no number
    int line = 0;           ///< from 1; 0 in binary files
};

/// Walks the groups. The bytes must outlive it.
class GroupReader {
 public:
    explicit GroupReader(std::string_view bytes);
    /// The next group; nothing at the end of the file or where it is broken (then `broken` says so).
    std::optional<Group> next();
    bool broken() const { return broken_; }
    int line() const { return line_; }
    /// Share of the file read, 0…1.
    double share() const;

 private:
    std::optional<std::string_view> take_line();
    std::optional<Group> next_text();
    std::optional<Group> next_binary();

    std::string_view bytes_;
    std::size_t at_ = 0;
    int line_ = 0;
    bool binary_ = false, wide_codes_ = true, broken_ = false;
};

/// True for bytes that begin like a DXF file of either form.
bool looks_like_dxf(std::string_view bytes);

}  // namespace chalkline::art::dxf
