// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/units_text.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <charconv>
#include <cmath>
#include <optional>

namespace chalkline {
namespace {

struct NumberAndUnit {
    double number;
    std::string unit;  ///< lower case, without spaces
};

std::optional<double> plain_number(std::string_view text) {
    if (!text.empty() && text[0] == '+') text.remove_prefix(1);
    double value = 0;
    const auto [end, problem] = std::from_chars(text.data(), text.data() + text.size(), value);
    if (problem != std::errc() || end != text.data() + text.size() || !std::isfinite(value)) return {};
    return value;
}

/// "3", "2.5", "1/8", "1 1/2"
std::optional<double> number_or_fraction(std::string_view text) {
    const auto slash = text.find('/');
    if (slash == std::string_view::npos) return plain_number(text);
    double whole = 0;
    std::string_view numerator = text.substr(0, slash);
    if (const auto space = numerator.find(' '); space != std::string_view::npos) {
        const auto value = plain_number(numerator.substr(0, space));
        if (!value) return {};
        whole = *value;
        numerator.remove_prefix(numerator.find_first_not_of(' ', space));
    }
    const auto above = plain_number(numerator);
    const auto below = plain_number(text.substr(slash + 1));
    if (!above || !below || *below == 0) return {};
    return whole + (whole < 0 ? -1 : 1) * *above / *below;
}

std::optional<NumberAndUnit> split(std::string_view text) {
    std::string clean;
    for (char c : text)
        clean += c == ',' ? '.' : static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    const auto is_numeric = [](char c) { return (c >= '0' && c <= '9') || c == '.' || c == '-' || c == '+'; };
    std::size_t end = 0;
    for (std::size_t i = 0; i < clean.size(); ++i) {
        if (is_numeric(clean[i])) {
            end = i + 1;
        } else if (clean[i] != ' ' && clean[i] != '/') {
            break;
        }
    }
    std::string_view number = std::string_view(clean).substr(0, end);
    number.remove_prefix(std::min(number.size(), number.find_first_not_of(' ')));
    const auto value = number_or_fraction(number);
    if (!value) return {};
    std::string unit = clean.substr(end);
    std::erase(unit, ' ');
    return NumberAndUnit{*value, unit};
}

}  // namespace

Result<Length> parse_length(std::string_view text, LengthUnit otherwise) {
    const auto parts = split(text);
    if (parts) {
        const auto& [number, unit] = *parts;
        if (unit.empty()) return otherwise == LengthUnit::mm ? Length::mm(number) : Length::inches(number);
        if (unit == "mm") return Length::mm(number);
        if (unit == "cm") return Length::mm(number * 10);
        if (unit == "m") return Length::mm(number * 1000);
        if (unit == "in" || unit == "inch" || unit == "\"") return Length::inches(number);
        if (unit == "ft" || unit == "'") return Length::inches(number * 12);
        if (number > 0 && (unit == "lines/mm" || unit == "dots/mm")) return Length::mm(1 / number);
        if (number > 0 && (unit == "lines/in" || unit == "dots/in" || unit == "dpi")) return Length::inches(1 / number);
    }
    return fail(error::not_a_length, {{"text", std::string(text)}});
}

Result<Speed> parse_speed(std::string_view text, SpeedUnit otherwise) {
    const auto parts = split(text);
    if (parts) {
        const auto& [number, unit] = *parts;
        if (unit.empty()) {
            switch (otherwise) {
                case SpeedUnit::mm_per_min:
                    return Speed::mm_per_min(number);
                case SpeedUnit::mm_per_s:
                    return Speed::mm_per_s(number);
                case SpeedUnit::inch_per_s:
                    return Speed::inches_per_s(number);
            }
        }
        if (unit == "mm/min") return Speed::mm_per_min(number);
        if (unit == "mm/s") return Speed::mm_per_s(number);
        if (unit == "in/s") return Speed::inches_per_s(number);
        if (unit == "in/min") return Speed::inches_per_s(number / 60);
    }
    return fail(error::not_a_speed, {{"text", std::string(text)}});
}

Result<Power> parse_power(std::string_view text) {
    const auto parts = split(text);
    if (parts && (parts->unit.empty() || parts->unit == "%")) return Power::percent(parts->number);
    return fail(error::not_a_number, {{"text", std::string(text)}});
}

Result<double> parse_drawing_scale(std::string_view text) {
    const auto sign = text.find_first_of(":=");
    if (sign != std::string_view::npos) {
        const auto drawn = parse_length(text.substr(0, sign), LengthUnit::mm);
        const auto real = parse_length(text.substr(sign + 1), LengthUnit::mm);
        const double scale = drawn && real && real->mm() > 0 ? drawn->mm() / real->mm() : 0;
        if (scale >= 1e-4 && scale <= 1e4) return scale;
    }
    return fail(error::not_a_scale, {{"text", std::string(text)}});
}

std::string format_number(double value, int decimals) {
    std::string text = fmt::format("{:.{}f}", value, decimals);
    if (text.find('.') != std::string::npos) {
        text.erase(text.find_last_not_of('0') + 1);
        if (text.back() == '.') text.pop_back();
    }
    return text == "-0" ? "0" : text;
}

std::string format_length(Length length, LengthUnit unit) {
    return unit == LengthUnit::mm ? format_number(length.mm(), 2) + " mm" : format_number(length.inches(), 4) + " in";
}

std::string format_speed(Speed speed, SpeedUnit unit) {
    switch (unit) {
        case SpeedUnit::mm_per_min:
            return format_number(speed.mm_per_min(), 1) + " mm/min";
        case SpeedUnit::mm_per_s:
            return format_number(speed.mm_per_s(), 2) + " mm/s";
        case SpeedUnit::inch_per_s:
            return format_number(speed.inches_per_s(), 3) + " in/s";
    }
    return {};
}

std::string format_power(Power power) {
    return format_number(power.percent(), 1) + " %";
}

}  // namespace chalkline
