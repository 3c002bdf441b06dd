// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <compare>
#include <cstdint>
#include <optional>
#include <string>
#include <string_view>

namespace chalkline {

/// An exact colour as the art states it (sRGB, 8 bits a channel).
struct Rgb {
    std::uint8_t red = 0, green = 0, blue = 0;
    auto operator<=>(const Rgb&) const = default;
};

/// "#1565c0"
std::string to_text(Rgb rgb);
/// Reads "#1565c0" or "#abc"; nothing on any other text.
std::optional<Rgb> parse_rgb(std::string_view text);

/// How an ink is laid: along a line, over an area, or as the tones of a picture.
enum class InkKind { line, fill, picture };

/// One distinct paint in the art. A thin line and a filled shape of one colour are two inks; a picture is an ink of its
/// own, known by its content.
struct Ink {
    Rgb rgb;  ///< lines and fills; black for a picture
    InkKind kind = InkKind::line;
    std::uint32_t picture = 0;  ///< pictures: fingerprint of the pixels, so that the same picture is the same ink
    auto operator<=>(const Ink&) const = default;
};

/// "#1565c0:line", "picture:0a1b2c3d"
std::string to_text(const Ink& ink);
/// Reads what `to_text` writes.
std::optional<Ink> parse_ink(std::string_view text);

}  // namespace chalkline
