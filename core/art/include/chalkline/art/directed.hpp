// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/outside.hpp>

#include <cstddef>
#include <string>
#include <string_view>
#include <vector>

// Text whose words run both ways, such as Hebrew with figures: the Unicode bidirectional algorithm (UAX #9) by FriBidi.
namespace chalkline::art {

/// Part of a line of text that runs one way.
struct DirectedPart {
    std::size_t begin, end;
    Direction direction;
};

/// Bytes of the UTF-8 letter that begins with this one.
std::size_t utf8_length(unsigned char first);
/// The letters of UTF-8 text; bytes that are none count as letters of their own.
std::u32string utf32(std::string_view utf8);

/// How deep each letter stands in words of the other direction (UAX #9, embedding levels); odd: right to left. Without
/// a direction the first letter that has one decides.
std::vector<int> direction_levels(const std::u32string& line, std::optional<Direction> around);

/// The order in which parts of these levels are seen from left to right (UAX #9, rule L2): indices.
std::vector<std::size_t> seen_order(const std::vector<int>& levels);

/// The parts of a line of UTF-8 text, in bytes, in the order they are seen from left to right.
std::vector<DirectedPart> parts_as_seen(std::string_view line, std::optional<Direction> around = {});

/// A line of UTF-8 text of any directions, shaped. Nothing when there is no font at all.
std::optional<LetteredText> lettered_line(const Lettering& lettering, std::string_view line, const FontWish& wish);

}  // namespace chalkline::art
