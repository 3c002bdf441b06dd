// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/ink.hpp>

#include <charconv>

namespace chalkline {

std::string to_text(Rgb rgb) {
    static constexpr char digits[] = "0123456789abcdef";
    std::string text = "#";
    for (int channel : {rgb.red, rgb.green, rgb.blue}) {
        text += digits[channel >> 4];
        text += digits[channel & 15];
    }
    return text;
}

std::optional<Rgb> parse_rgb(std::string_view text) {
    if ((text.size() != 7 && text.size() != 4) || text[0] != '#') return {};
    unsigned value = 0;
    const auto [end, problem] = std::from_chars(text.data() + 1, text.data() + text.size(), value, 16);
    if (problem != std::errc() || end != text.data() + text.size()) return {};
    if (text.size() == 4)
        return Rgb{static_cast<std::uint8_t>((value >> 8 & 15) * 17), static_cast<std::uint8_t>((value >> 4 & 15) * 17),
                   static_cast<std::uint8_t>((value & 15) * 17)};
    return Rgb{static_cast<std::uint8_t>(value >> 16), static_cast<std::uint8_t>(value >> 8),
               static_cast<std::uint8_t>(value)};
}

std::string to_text(const Ink& ink) {
    if (ink.kind != InkKind::picture) return to_text(ink.rgb) + (ink.kind == InkKind::line ? ":line" : ":fill");
    std::string text = "picture:";
    for (int shift = 28; shift >= 0; shift -= 4)
        text += "0123456789abcdef"[ink.picture >> shift & 15];
    return text;
}

std::optional<Ink> parse_ink(std::string_view text) {
    const auto colon = text.find(':');
    if (colon == std::string_view::npos) return {};
    const auto kind = text.substr(colon + 1);
    if (text.substr(0, colon) == "picture") {
        Ink ink{{}, InkKind::picture, 0};
        const auto [end, problem] = std::from_chars(kind.data(), kind.data() + kind.size(), ink.picture, 16);
        if (kind.size() != 8 || problem != std::errc() || end != kind.data() + kind.size()) return {};
        return ink;
    }
    const auto rgb = parse_rgb(text.substr(0, colon));
    if (!rgb || (kind != "line" && kind != "fill")) return {};
    return Ink{*rgb, kind == "line" ? InkKind::line : InkKind::fill};
}

}  // namespace chalkline
