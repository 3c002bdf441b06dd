// SPDX-License-Identifier: GPL-3.0-or-later
#include "grammar.hpp"

#include <array>
#include <charconv>
#include <cmath>
#include <numbers>
#include <utility>

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
double unit_factor(std::string_view unit, double percent_base, double font_size) {
    if (unit.empty() || unit == "px") return 1;
    if (unit == "mm") return px_per_inch / 25.4;
    if (unit == "cm") return px_per_inch / 2.54;
    if (unit == "in") return px_per_inch;
    if (unit == "pt") return px_per_inch / 72;
    if (unit == "pc") return px_per_inch / 6;
    if (unit == "Q" || unit == "q") return px_per_inch / 101.6;
    if (unit == "em") return font_size;
    if (unit == "rem") return 16;
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

std::string lower(std::string_view text) {
    std::string small(text);
    for (char& c : small)
        if (c >= 'A' && c <= 'Z') c = static_cast<char>(c + 32);
    return small;
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
    const double factor = unit_factor(text.substr(end), base, viewport.font_size);
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

std::vector<std::string> words_of(std::string_view text) {
    std::vector<std::string> words;
    std::string word;
    for (const char c : text) {
        if (c == ',' || c == ' ' || c == '\t' || c == '\n' || c == '\r') {
            if (!word.empty()) words.push_back(std::exchange(word, {}));
        } else {
            word += c;
        }
    }
    if (!word.empty()) words.push_back(word);
    return words;
}

namespace {

/// "45", "45deg", "0.5turn", "1rad", "50grad" as degrees.
std::optional<double> parse_angle(std::string_view text) {
    Scanner scan(text);
    const auto value = scan.number();
    if (!value) return {};
    const std::string unit = lower(scan.word());
    if (unit.empty() || unit == "deg") return *value;
    if (unit == "rad") return *value * 180 / std::numbers::pi;
    if (unit == "turn") return *value * 360;
    if (unit == "grad") return *value * 0.9;
    return {};
}

std::optional<double> length_of(const std::string& word, const Viewport& viewport, double whole) {
    // Percentages are of the box, not of the viewport.
    return parse_length(word, {whole, whole, viewport.font_size}, Axis::x);
}

/// One function of a CSS transform by the numbers of an attribute's.
std::optional<Transform> css_function(const std::string& name, const std::vector<std::string>& words,
                                      const Viewport& viewport, const geometry::Box& box) {
    std::vector<double> values;
    const bool turns = name == "rotate" || name.starts_with("skew");
    for (std::size_t i = 0; i < words.size(); ++i) {
        const bool along_x = i == 0 ? name != "translatey" : name == "rotate" && i == 1;
        const double whole = along_x ? box.width() : box.height();
        std::optional<double> value;
        if (turns && (i == 0 || name == "skew"))
            value = parse_angle(words[i]);
        else if (name.starts_with("scale"))
            value = Scanner(words[i]).number();
        else
            value = length_of(words[i], viewport, whole);
        if (!value) return {};
        if (name.starts_with("scale") && words[i].ends_with('%')) *value /= 100;
        values.push_back(*value);
    }
    const bool one = values.size() == 1;
    if (name == "translatex" && one) return Transform::move(values[0], 0);
    if (name == "translatey" && one) return Transform::move(0, values[0]);
    if (name == "scalex" && one) return Transform::scale(values[0], 1);
    if (name == "scaley" && one) return Transform::scale(1, values[0]);
    if (name == "skewx") return make_transform("skewX", values);
    if (name == "skewy") return make_transform("skewY", values);
    return make_transform(name, values);
}

}  // namespace

std::optional<Transform> parse_css_transform(std::string_view text, const Viewport& viewport,
                                             const geometry::Box& box) {
    Transform all;
    text = trimmed(text);
    if (text.empty() || text == "none") return all;
    while (!text.empty()) {
        const auto open = text.find('('), close = text.find(')');
        if (open == std::string_view::npos || close == std::string_view::npos || close < open) return {};
        const auto one = css_function(lower(trimmed(text.substr(0, open))),
                                      words_of(text.substr(open + 1, close - open - 1)), viewport, box);
        if (!one) return {};
        all = all * *one;
        text.remove_prefix(close + 1);
        while (!text.empty() && (text[0] == ',' || trimmed(text.substr(0, 1)).empty()))
            text.remove_prefix(1);
    }
    return all.finite() ? std::optional(all) : std::nullopt;
}

std::optional<geometry::Point> parse_place(std::string_view text, const Viewport& viewport, const geometry::Box& box) {
    auto words = words_of(lower(text));
    if (words.empty()) return {};
    if (words.size() == 1) words.push_back(words[0] == "top" || words[0] == "bottom" ? words[0] : "center");
    if (words[0] == "top" || words[0] == "bottom") std::swap(words[0], words[1]);
    if (words[0] == "top" || words[0] == "bottom") words[0] = "center";
    const auto along = [&](const std::string& word, double from, double whole) -> std::optional<double> {
        if (word == "left" || word == "top") return from;
        if (word == "center") return from + whole / 2;
        if (word == "right" || word == "bottom") return from + whole;
        const auto length = length_of(word, viewport, whole);
        return length ? std::optional(from + *length) : std::nullopt;
    };
    const auto x = along(words[0], box.left, box.width()), y = along(words[1], box.bottom, box.height());
    return x && y ? std::optional(geometry::Point{*x, *y}) : std::nullopt;
}

std::optional<Colour> parse_colour(std::string_view text) {
    text = trimmed(text);
    if (text.starts_with('#')) return hash_colour(text);
    const std::string name = lower(text);
    if (name.find('(') != std::string::npos) return function_colour(name);
    if (name == "transparent") return Colour{{}, 0};
    if (const auto rgb = named_colour(name)) return Colour{*rgb};
    return {};
}

}  // namespace chalkline::art::svg
