// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/base/units.hpp>

#include <string>
#include <string_view>

namespace chalkline {

/// In which unit lengths are shown, and read where the text names none.
enum class LengthUnit { mm, inch };
/// The same for speeds.
enum class SpeedUnit { mm_per_min, mm_per_s, inch_per_s };

namespace error {
inline constexpr std::string_view not_a_length = "base.not-a-length";
inline constexpr std::string_view not_a_speed = "base.not-a-speed";
inline constexpr std::string_view not_a_number = "base.not-a-number";
inline constexpr std::string_view not_a_scale = "base.not-a-scale";
}  // namespace error

/// Reads "12.5", "12,5 mm", "2in", "1/8 in", "1 1/2\"", "5cm", "1ft", "10 lines/mm" or "254 dots/in" (a spacing).
/// Independent of the locale: comma and point both stand for the decimal sign.
Result<Length> parse_length(std::string_view text, LengthUnit otherwise);
/// Reads "3200", "15mm/s", "2 in/s", "900 mm/min".
Result<Speed> parse_speed(std::string_view text, SpeedUnit otherwise);
/// Reads "70" or "70 %".
Result<Power> parse_power(std::string_view text);

/// Reads the scale of a drawing, burned length over drawn length: "1:50" → 0.02, "2:1" → 2, "1/8in = 1ft" → 1/96.
/// Always between 1e-4 and 1e4.
Result<double> parse_drawing_scale(std::string_view text);

/// The shortest text of `value` with at most `decimals` decimals: 3 → "3", 0.10 → "0.1". Never "-0".
std::string format_number(double value, int decimals);
std::string format_length(Length length, LengthUnit unit);
std::string format_speed(Speed speed, SpeedUnit unit);
std::string format_power(Power power);

}  // namespace chalkline
