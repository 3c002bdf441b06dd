// SPDX-License-Identifier: GPL-3.0-or-later
#include "svg_text.hpp"

#include <array>
#include <charconv>
#include <cmath>
#include <numbers>

namespace chalkline::art::svg {
namespace {

using geometry::Transform;

bool is_space(char c) {
    return c == ' ' || c == '\t' || c == '\n' || c == '\r' || c == '\f';
}
bool is_digit(char c) {
    return c >= '0' && c <= '9';
}
bool is_letter(char c) {
    return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z');
}

constexpr double px_per_inch = 96;

/// User units to one of the named unit; 0 for an unknown name.
double unit_factor(std::string_view unit, double percent_base) {
    constexpr double font_size = 16;  // px; of "medium" text, where no other is known
    if (unit.empty() || unit == "px") return 1;
    if (unit == "mm") return px_per_inch / 25.4;
    if (unit == "cm") return px_per_inch / 2.54;
    if (unit == "in") return px_per_inch;
    if (unit == "pt") return px_per_inch / 72;
    if (unit == "pc") return px_per_inch / 6;
    if (unit == "Q" || unit == "q") return px_per_inch / 101.6;
    if (unit == "em" || unit == "rem") return font_size;
    if (unit == "ex") return font_size / 2;
    if (unit == "%") return percent_base / 100;
    return 0;
}

std::optional<Transform> make_transform(std::string_view name, const std::vector<double>& v) {
    const auto radians = [](double degrees) { return degrees * std::numbers::pi / 180; };
    const std::size_t n = v.size();
    if (name == "matrix" && n == 6) return Transform{v[0], v[1], v[2], v[3], v[4], v[5]};
    if (name == "translate" && (n == 1 || n == 2)) return Transform::move(v[0], n == 2 ? v[1] : 0);
    if (name == "scale" && (n == 1 || n == 2)) return Transform::scale(v[0], n == 2 ? v[1] : v[0]);
    if (name == "rotate" && n == 1) return Transform::turn(radians(v[0]));
    if (name == "rotate" && n == 3)
        return Transform::move(v[1], v[2]) * Transform::turn(radians(v[0])) * Transform::move(-v[1], -v[2]);
    if (name == "skewX" && n == 1) return Transform{1, 0, std::tan(radians(v[0])), 1, 0, 0};
    if (name == "skewY" && n == 1) return Transform{1, std::tan(radians(v[0])), 0, 1, 0, 0};
    return {};
}

struct NamedColour {
    std::string_view name;
    unsigned value;
};
// CSS Color Module Level 4, section 6.1.
constexpr std::array named_colours{NamedColour{"aliceblue", 0xf0f8ff},
                                   NamedColour{"antiquewhite", 0xfaebd7},
                                   NamedColour{"aqua", 0x00ffff},
                                   NamedColour{"aquamarine", 0x7fffd4},
                                   NamedColour{"azure", 0xf0ffff},
                                   NamedColour{"beige", 0xf5f5dc},
                                   NamedColour{"bisque", 0xffe4c4},
                                   NamedColour{"black", 0x000000},
                                   NamedColour{"blanchedalmond", 0xffebcd},
                                   NamedColour{"blue", 0x0000ff},
                                   NamedColour{"blueviolet", 0x8a2be2},
                                   NamedColour{"brown", 0xa52a2a},
                                   NamedColour{"burlywood", 0xdeb887},
                                   NamedColour{"cadetblue", 0x5f9ea0},
                                   NamedColour{"chartreuse", 0x7fff00},
                                   NamedColour{"chocolate", 0xd2691e},
                                   NamedColour{"coral", 0xff7f50},
                                   NamedColour{"cornflowerblue", 0x6495ed},
                                   NamedColour{"cornsilk", 0xfff8dc},
                                   NamedColour{"crimson", 0xdc143c},
                                   NamedColour{"cyan", 0x00ffff},
                                   NamedColour{"darkblue", 0x00008b},
                                   NamedColour{"darkcyan", 0x008b8b},
                                   NamedColour{"darkgoldenrod", 0xb8860b},
                                   NamedColour{"darkgray", 0xa9a9a9},
                                   NamedColour{"darkgreen", 0x006400},
                                   NamedColour{"darkgrey", 0xa9a9a9},
                                   NamedColour{"darkkhaki", 0xbdb76b},
                                   NamedColour{"darkmagenta", 0x8b008b},
                                   NamedColour{"darkolivegreen", 0x556b2f},
                                   NamedColour{"darkorange", 0xff8c00},
                                   NamedColour{"darkorchid", 0x9932cc},
                                   NamedColour{"darkred", 0x8b0000},
                                   NamedColour{"darksalmon", 0xe9967a},
                                   NamedColour{"darkseagreen", 0x8fbc8f},
                                   NamedColour{"darkslateblue", 0x483d8b},
                                   NamedColour{"darkslategray", 0x2f4f4f},
                                   NamedColour{"darkslategrey", 0x2f4f4f},
                                   NamedColour{"darkturquoise", 0x00ced1},
                                   NamedColour{"darkviolet", 0x9400d3},
                                   NamedColour{"deeppink", 0xff1493},
                                   NamedColour{"deepskyblue", 0x00bfff},
                                   NamedColour{"dimgray", 0x696969},
                                   NamedColour{"dimgrey", 0x696969},
                                   NamedColour{"dodgerblue", 0x1e90ff},
                                   NamedColour{"firebrick", 0xb22222},
                                   NamedColour{"floralwhite", 0xfffaf0},
                                   NamedColour{"forestgreen", 0x228b22},
                                   NamedColour{"fuchsia", 0xff00ff},
                                   NamedColour{"gainsboro", 0xdcdcdc},
                                   NamedColour{"ghostwhite", 0xf8f8ff},
                                   NamedColour{"gold", 0xffd700},
                                   NamedColour{"goldenrod", 0xdaa520},
                                   NamedColour{"gray", 0x808080},
                                   NamedColour{"green", 0x008000},
                                   NamedColour{"greenyellow", 0xadff2f},
                                   NamedColour{"grey", 0x808080},
                                   NamedColour{"honeydew", 0xf0fff0},
                                   NamedColour{"hotpink", 0xff69b4},
                                   NamedColour{"indianred", 0xcd5c5c},
                                   NamedColour{"indigo", 0x4b0082},
                                   NamedColour{"ivory", 0xfffff0},
                                   NamedColour{"khaki", 0xf0e68c},
                                   NamedColour{"lavender", 0xe6e6fa},
                                   NamedColour{"lavenderblush", 0xfff0f5},
                                   NamedColour{"lawngreen", 0x7cfc00},
                                   NamedColour{"lemonchiffon", 0xfffacd},
                                   NamedColour{"lightblue", 0xadd8e6},
                                   NamedColour{"lightcoral", 0xf08080},
                                   NamedColour{"lightcyan", 0xe0ffff},
                                   NamedColour{"lightgoldenrodyellow", 0xfafad2},
                                   NamedColour{"lightgray", 0xd3d3d3},
                                   NamedColour{"lightgreen", 0x90ee90},
                                   NamedColour{"lightgrey", 0xd3d3d3},
                                   NamedColour{"lightpink", 0xffb6c1},
                                   NamedColour{"lightsalmon", 0xffa07a},
                                   NamedColour{"lightseagreen", 0x20b2aa},
                                   NamedColour{"lightskyblue", 0x87cefa},
                                   NamedColour{"lightslategray", 0x778899},
                                   NamedColour{"lightslategrey", 0x778899},
                                   NamedColour{"lightsteelblue", 0xb0c4de},
                                   NamedColour{"lightyellow", 0xffffe0},
                                   NamedColour{"lime", 0x00ff00},
                                   NamedColour{"limegreen", 0x32cd32},
                                   NamedColour{"linen", 0xfaf0e6},
                                   NamedColour{"magenta", 0xff00ff},
                                   NamedColour{"maroon", 0x800000},
                                   NamedColour{"mediumaquamarine", 0x66cdaa},
                                   NamedColour{"mediumblue", 0x0000cd},
                                   NamedColour{"mediumorchid", 0xba55d3},
                                   NamedColour{"mediumpurple", 0x9370db},
                                   NamedColour{"mediumseagreen", 0x3cb371},
                                   NamedColour{"mediumslateblue", 0x7b68ee},
                                   NamedColour{"mediumspringgreen", 0x00fa9a},
                                   NamedColour{"mediumturquoise", 0x48d1cc},
                                   NamedColour{"mediumvioletred", 0xc71585},
                                   NamedColour{"midnightblue", 0x191970},
                                   NamedColour{"mintcream", 0xf5fffa},
                                   NamedColour{"mistyrose", 0xffe4e1},
                                   NamedColour{"moccasin", 0xffe4b5},
                                   NamedColour{"navajowhite", 0xffdead},
                                   NamedColour{"navy", 0x000080},
                                   NamedColour{"oldlace", 0xfdf5e6},
                                   NamedColour{"olive", 0x808000},
                                   NamedColour{"olivedrab", 0x6b8e23},
                                   NamedColour{"orange", 0xffa500},
                                   NamedColour{"orangered", 0xff4500},
                                   NamedColour{"orchid", 0xda70d6},
                                   NamedColour{"palegoldenrod", 0xeee8aa},
                                   NamedColour{"palegreen", 0x98fb98},
                                   NamedColour{"paleturquoise", 0xafeeee},
                                   NamedColour{"palevioletred", 0xdb7093},
                                   NamedColour{"papayawhip", 0xffefd5},
                                   NamedColour{"peachpuff", 0xffdab9},
                                   NamedColour{"peru", 0xcd853f},
                                   NamedColour{"pink", 0xffc0cb},
                                   NamedColour{"plum", 0xdda0dd},
                                   NamedColour{"powderblue", 0xb0e0e6},
                                   NamedColour{"purple", 0x800080},
                                   NamedColour{"rebeccapurple", 0x663399},
                                   NamedColour{"red", 0xff0000},
                                   NamedColour{"rosybrown", 0xbc8f8f},
                                   NamedColour{"royalblue", 0x4169e1},
                                   NamedColour{"saddlebrown", 0x8b4513},
                                   NamedColour{"salmon", 0xfa8072},
                                   NamedColour{"sandybrown", 0xf4a460},
                                   NamedColour{"seagreen", 0x2e8b57},
                                   NamedColour{"seashell", 0xfff5ee},
                                   NamedColour{"sienna", 0xa0522d},
                                   NamedColour{"silver", 0xc0c0c0},
                                   NamedColour{"skyblue", 0x87ceeb},
                                   NamedColour{"slateblue", 0x6a5acd},
                                   NamedColour{"slategray", 0x708090},
                                   NamedColour{"slategrey", 0x708090},
                                   NamedColour{"snow", 0xfffafa},
                                   NamedColour{"springgreen", 0x00ff7f},
                                   NamedColour{"steelblue", 0x4682b4},
                                   NamedColour{"tan", 0xd2b48c},
                                   NamedColour{"teal", 0x008080},
                                   NamedColour{"thistle", 0xd8bfd8},
                                   NamedColour{"tomato", 0xff6347},
                                   NamedColour{"turquoise", 0x40e0d0},
                                   NamedColour{"violet", 0xee82ee},
                                   NamedColour{"wheat", 0xf5deb3},
                                   NamedColour{"white", 0xffffff},
                                   NamedColour{"whitesmoke", 0xf5f5f5},
                                   NamedColour{"yellow", 0xffff00},
                                   NamedColour{"yellowgreen", 0x9acd32}};

std::uint8_t channel(double value) {
    return static_cast<std::uint8_t>(std::lround(std::clamp(value, 0.0, 255.0)));
}

std::optional<Colour> hash_colour(std::string_view text) {
    if (const auto rgb = parse_rgb(text)) return Colour{*rgb};
    const auto digit = [](char c) { return c >= '0' && c <= '9' ? c - '0' : (c | 32) - 'a' + 10; };
    if (text.size() == 9)
        if (const auto rgb = parse_rgb(text.substr(0, 7)))
            return Colour{*rgb, (digit(text[7]) * 16 + digit(text[8])) / 255.0};
    if (text.size() == 5)
        if (const auto rgb = parse_rgb(text.substr(0, 4))) return Colour{*rgb, digit(text[4]) / 15.0};
    return {};
}

/// One hue (degrees), saturation and lightness (0…1) to sRGB, after CSS Color 4 §7.
Rgb from_hsl(double hue, double saturation, double lightness) {
    const auto part = [&](double n) {
        const double k = std::fmod(n + hue / 30, 12);
        const double a = saturation * std::min(lightness, 1 - lightness);
        return channel(255 * (lightness - a * std::max(-1.0, std::min({k - 3, 9 - k, 1.0}))));
    };
    return {part(0), part(8), part(4)};
}

std::optional<Colour> function_colour(std::string_view text) {
    Scanner scan(text);
    const std::string_view name = scan.word();
    const bool hsl = name == "hsl" || name == "hsla";
    if (!hsl && name != "rgb" && name != "rgba") return {};
    if (!scan.accept('(')) return {};
    double parts[4] = {0, 0, 0, 1};
    int count = 0;
    for (; count < 4; ++count) {
        scan.skip_space();
        const auto value = scan.number();
        if (!value) break;
        const bool percent = scan.accept('%');
        if (scan.peek() == 'd') scan.word();  // deg
        double scale = 1;
        if (percent) scale = count == 3 || hsl ? 0.01 : 2.55;
        parts[count] = *value * scale;
        scan.skip_comma();
        scan.accept('/');
    }
    scan.skip_space();
    if (count < 3 || !scan.accept(')')) return {};
    if (hsl) {
        const double hue = std::fmod(std::fmod(parts[0], 360) + 360, 360);
        return Colour{from_hsl(hue, std::clamp(parts[1], 0.0, 1.0), std::clamp(parts[2], 0.0, 1.0)), parts[3]};
    }
    return Colour{{channel(parts[0]), channel(parts[1]), channel(parts[2])}, parts[3]};
}

}  // namespace

bool Scanner::at_end() {
    skip_space();
    return text_.empty();
}

void Scanner::skip_space() {
    while (!text_.empty() && is_space(text_[0]))
        text_.remove_prefix(1);
}

void Scanner::skip_comma() {
    skip_space();
    if (accept(',')) skip_space();
}

std::optional<double> Scanner::number() {
    std::string_view rest = text_;
    if (!rest.empty() && rest[0] == '+') rest.remove_prefix(1);
    const std::string_view unsigned_part = rest.substr(!rest.empty() && rest[0] == '-' ? 1 : 0);
    // from_chars would also take "inf" and "nan".
    if (unsigned_part.empty() || !(is_digit(unsigned_part[0]) || unsigned_part[0] == '.')) return {};
    if (rest.size() == text_.size() - 1 && rest[0] == '-') return {};  // "+-1"
    double value = 0;
    const auto [end, problem] = std::from_chars(rest.data(), rest.data() + rest.size(), value);
    if (problem != std::errc() || !std::isfinite(value)) return {};
    text_.remove_prefix(static_cast<std::size_t>(end - text_.data()));
    return value;
}

std::optional<bool> Scanner::flag() {
    if (text_.empty() || (text_[0] != '0' && text_[0] != '1')) return {};
    return take() == '1';
}

char Scanner::take() {
    if (text_.empty()) return '\0';
    const char c = text_[0];
    text_.remove_prefix(1);
    return c;
}

bool Scanner::accept(char c) {
    if (peek() != c || text_.empty()) return false;
    text_.remove_prefix(1);
    return true;
}

std::string_view Scanner::word() {
    std::size_t n = 0;
    while (n < text_.size() && (is_letter(text_[n]) || text_[n] == '-'))
        ++n;
    const std::string_view found = text_.substr(0, n);
    text_.remove_prefix(n);
    return found;
}

std::string_view trimmed(std::string_view text) {
    while (!text.empty() && is_space(text.front()))
        text.remove_prefix(1);
    while (!text.empty() && is_space(text.back()))
        text.remove_suffix(1);
    return text;
}

bool is_percentage(std::string_view text) {
    return trimmed(text).ends_with('%');
}

std::optional<double> parse_length(std::string_view text, const Viewport& viewport, Axis axis) {
    text = trimmed(text);
    // "1em" is no exponent: cut the unit off first.
    std::size_t end = text.size();
    while (end > 0 && (is_letter(text[end - 1]) || text[end - 1] == '%'))
        --end;
    Scanner scan(text.substr(0, end));
    const auto value = scan.number();
    double base = std::hypot(viewport.width, viewport.height) / std::numbers::sqrt2;
    if (axis == Axis::x) base = viewport.width;
    if (axis == Axis::y) base = viewport.height;
    const double factor = unit_factor(text.substr(end), base);
    if (!value || !scan.at_end() || (factor == 0 && text.substr(end) != "%")) return {};
    return *value * factor;
}

std::vector<double> parse_numbers(std::string_view text) {
    std::vector<double> numbers;
    Scanner scan(text);
    scan.skip_space();
    while (const auto value = scan.number()) {
        numbers.push_back(*value);
        scan.skip_comma();
    }
    return numbers;
}

std::optional<Transform> parse_transform(std::string_view text) {
    Transform all;
    Scanner scan(text);
    while (!scan.at_end()) {
        const std::string_view name = scan.word();
        scan.skip_space();
        if (name.empty() || !scan.accept('(')) return {};
        std::vector<double> values;
        scan.skip_space();
        while (const auto value = scan.number()) {
            values.push_back(*value);
            if (scan.peek() == 'd') scan.word();  // deg
            scan.skip_comma();
        }
        if (!scan.accept(')')) return {};
        const auto one = make_transform(name, values);
        if (!one) return {};
        all = all * *one;
        scan.skip_comma();
    }
    return all.finite() ? std::optional(all) : std::nullopt;
}

std::optional<Colour> parse_colour(std::string_view text) {
    text = trimmed(text);
    if (text.starts_with('#')) return hash_colour(text);
    std::string lower;
    for (char c : text)
        lower += c >= 'A' && c <= 'Z' ? static_cast<char>(c + 32) : c;
    if (lower.find('(') != std::string::npos) return function_colour(lower);
    if (lower == "transparent") return Colour{{}, 0};
    const auto found = std::lower_bound(named_colours.begin(), named_colours.end(), lower,
                                        [](const NamedColour& c, const std::string& name) { return c.name < name; });
    if (found == named_colours.end() || found->name != lower) return {};
    return Colour{{static_cast<std::uint8_t>(found->value >> 16), static_cast<std::uint8_t>(found->value >> 8),
                   static_cast<std::uint8_t>(found->value)}};
}

}  // namespace chalkline::art::svg
