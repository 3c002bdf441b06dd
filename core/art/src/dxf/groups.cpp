// SPDX-License-Identifier: GPL-3.0-or-later
#include "groups.hpp"

#include <charconv>
#include <cmath>
#include <cstdint>
#include <cstring>

namespace chalkline::art::dxf {
namespace {

constexpr std::string_view binary_mark(
    "Auto"
    "CAD Binary DXF\r\n\x1a\0",
    22);

std::string_view without_blanks(std::string_view text) {
    while (!text.empty() && static_cast<unsigned char>(text.front()) <= ' ')
        text.remove_prefix(1);
    while (!text.empty() && static_cast<unsigned char>(text.back()) <= ' ')
        text.remove_suffix(1);
    return text;
}

/// What kind of value a code carries (DXF reference, "Group code value types").
enum class Kind { string, real, int16, int32, int64, byte, chunk };
Kind kind_of(int code) {
    const auto in = [code](int from, int to) { return code >= from && code <= to; };
    if (in(10, 59) || in(110, 149) || in(210, 239) || in(460, 469) || in(1010, 1059)) return Kind::real;
    if (in(60, 79) || in(170, 179) || in(270, 289) || in(370, 389) || in(400, 409) || in(1060, 1070))
        return Kind::int16;
    if (in(90, 99) || in(420, 429) || in(440, 459) || code == 1071) return Kind::int32;
    if (in(160, 169)) return Kind::int64;
    if (in(290, 299)) return Kind::byte;
    if (in(310, 319) || code == 1004) return Kind::chunk;
    return Kind::string;
}

double number_in(std::string_view text) {
    if (!text.empty() && text[0] == '+') text.remove_prefix(1);
    double value = 0;
    const auto [end, problem] = std::from_chars(text.data(), text.data() + text.size(), value);
    return problem == std::errc() && std::isfinite(value) ? value : 0;
}

}  // namespace

bool looks_like_dxf(std::string_view bytes) {
    if (bytes.starts_with(binary_mark)) return true;
    // Comments (999) may come before the first section.
    GroupReader groups(bytes.substr(0, 1 << 16));
    for (int i = 0; i < 200; ++i) {
        const auto group = groups.next();
        if (!group) return false;
        if (group->code == 999) continue;
        return group->code == 0 && group->text == "SECTION";
    }
    return false;
}

GroupReader::GroupReader(std::string_view bytes) : bytes_(bytes) {
    if (bytes_.starts_with("\xef\xbb\xbf")) at_ = 3;
    if (!bytes_.starts_with(binary_mark)) return;
    binary_ = true;
    at_ = binary_mark.size();
    // Files before release 13 have codes of one byte: then the name of the first section follows at once.
    wide_codes_ = at_ + 1 < bytes_.size() && bytes_[at_ + 1] == '\0';
}

double GroupReader::share() const {
    return bytes_.empty() ? 1 : static_cast<double>(at_) / static_cast<double>(bytes_.size());
}

std::optional<Group> GroupReader::next() {
    return binary_ ? next_binary() : next_text();
}

std::optional<std::string_view> GroupReader::take_line() {
    if (at_ >= bytes_.size()) return {};
    const auto end = std::min(bytes_.find('\n', at_), bytes_.size());
    std::string_view line = bytes_.substr(at_, end - at_);
    at_ = end + 1;
    ++line_;
    if (line.ends_with('\r')) line.remove_suffix(1);
    return line;
}

std::optional<Group> GroupReader::next_text() {
    const auto head = take_line();
    if (!head) return {};
    Group group;
    group.line = line_;
    const std::string_view digits = without_blanks(*head);
    if (digits.empty() && at_ >= bytes_.size()) return {};  // blank lines at the end
    const auto [end, problem] = std::from_chars(digits.data(), digits.data() + digits.size(), group.code);
    const auto value = take_line();
    if (problem != std::errc() || end != digits.data() + digits.size() || !value) {
        broken_ = true;
        return {};
    }
    if (kind_of(group.code) == Kind::string || kind_of(group.code) == Kind::chunk) {
        // Blanks count in texts, not in names.
        group.text = group.code == 1 || group.code == 3 ? *value : without_blanks(*value);
    } else {
        group.number = number_in(without_blanks(*value));
    }
    return group;
}

std::optional<Group> GroupReader::next_binary() {
    const auto take = [this](auto& value) {
        if (bytes_.size() - at_ < sizeof(value)) return false;
        std::memcpy(&value, bytes_.data() + at_, sizeof(value));  // little-endian, as every machine we run on
        at_ += sizeof(value);
        return true;
    };
    const auto cut_short = [this]() -> std::optional<Group> {
        broken_ = true;
        return {};
    };
    if (at_ >= bytes_.size()) return {};
    Group group;
    std::uint8_t narrow = 0;
    std::int16_t wide = 0;
    if (wide_codes_) {
        if (!take(wide)) return cut_short();
        group.code = wide;
    } else {
        if (!take(narrow)) return cut_short();
        group.code = narrow;
        if (narrow == 255) {
            if (!take(wide)) return cut_short();
            group.code = wide;
        }
    }
    const auto number = [&](auto value) -> std::optional<Group> {
        if (!take(value)) return cut_short();
        group.number = static_cast<double>(value);
        if (!std::isfinite(group.number)) group.number = 0;
        return group;
    };
    switch (kind_of(group.code)) {
        case Kind::real:
            return number(double{});
        case Kind::int16:
            return number(std::int16_t{});
        case Kind::int32:
            return number(std::int32_t{});
        case Kind::int64:
            return number(std::int64_t{});
        case Kind::byte:
            return number(std::uint8_t{});
        case Kind::chunk: {
            std::uint8_t length = 0;
            if (!take(length) || bytes_.size() - at_ < length) return cut_short();
            at_ += length;
            return group;
        }
        case Kind::string:
            break;
    }
    const auto end = bytes_.find('\0', at_);
    if (end == std::string_view::npos) return cut_short();
    group.text = bytes_.substr(at_, end - at_);
    at_ = end + 1;
    return group;
}

}  // namespace chalkline::art::dxf
