// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/ink.hpp>
#include <chalkline/geometry/point.hpp>

#include <optional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

// Art drawn in the program itself. A design is what the maker set; its shapes are drawn from it whenever it changes.
namespace chalkline::art {

namespace error {
inline constexpr std::string_view no_text = "art.no-text";
inline constexpr std::string_view no_lettering = "art.no-lettering";
inline constexpr std::string_view bad_design = "art.bad-design";
}  // namespace error

struct TextDesign {
    enum class Align { left, middle, right };
    std::string text = "Text";  ///< UTF-8, lines end with \n
    double height = 8;          ///< of a capital letter, mm
    std::string family;         ///< empty: the desktop's sans-serif
    bool bold = false;
    bool single_stroke = false;  ///< letters of one line each
    Align align = Align::middle;
    double radius = 0;  ///< mm; letters stand on a circle: along its top outside (positive), or its bottom (negative)
    bool operator==(const TextDesign&) const = default;
};

struct FormDesign {
    enum class Form { rectangle, ellipse, polygon, slot, line };
    Form form = Form::rectangle;
    double width = 40, height = 25;  ///< mm; a line goes from corner to corner of this box
    double corner = 0;               ///< radius of a rectangle's corners, mm
    int sides = 6;                   ///< of a polygon, on the ellipse of this box
    bool operator==(const FormDesign&) const = default;
};

struct FreehandDesign {
    std::vector<geometry::Point> points;  ///< mm, as drawn
    bool closed = false;
    bool operator==(const FreehandDesign&) const = default;
};

struct Design {
    std::variant<TextDesign, FormDesign, FreehandDesign> what;
    Rgb rgb;
    bool filled = false;  ///< an area to fill; never for lines and single-stroke text
    bool operator==(const Design&) const = default;
};

std::string_view to_text(FormDesign::Form form);
/// "slot" → slot; nothing for other words.
std::optional<FormDesign::Form> parse_form(std::string_view text);

/// The line a hand drew (mm), without the points it did not need (farther than 0.15 mm from the rest is needed); ends
/// less than 3 mm apart were meant to meet. REQUIRES: at least one point.
Design freehand(const std::vector<geometry::Point>& way);

/// A name for lists: the text, or the form.
std::string name_of(const Design& design);

}  // namespace chalkline::art
