// SPDX-License-Identifier: GPL-3.0-or-later
// The small grammars inside SVG attributes: numbers, lengths, transforms, colours, path data (SVG 1.1 §4.2, §7, §8).
#pragma once
#include <chalkline/base/ink.hpp>
#include <chalkline/geometry/path.hpp>

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::art::svg {

/// Walks a text from token to token. White space and, where asked, one comma lie between tokens.
class Scanner {
 public:
    explicit Scanner(std::string_view text) : text_(text) {}
    bool at_end();
    void skip_space();
    void skip_comma();
    /// The next number, or nothing (the scanner then stays). Never infinite nor NaN.
    std::optional<double> number();
    /// A digit 0 or 1 that needs no separator (arc flags).
    std::optional<bool> flag();
    char peek() const { return text_.empty() ? '\0' : text_[0]; }
    char take();
    bool accept(char c);
    /// Letters (and dashes) from here on.
    std::string_view word();

 private:
    std::string_view text_;
};

std::string_view trimmed(std::string_view text);

/// What percentages and font units of a length refer to.
enum class Axis { x, y, diagonal };
struct Viewport {
    double width = 0, height = 0;  ///< user units
    double font_size = 16;         ///< for em and ex, user units

    bool operator==(const Viewport&) const = default;
};
/// A length in user units (px at 96 an inch); nothing when the text is no length.
std::optional<double> parse_length(std::string_view text, const Viewport& viewport, Axis axis);
/// True when the text is a percentage.
bool is_percentage(std::string_view text);

/// What stands between white space and commas.
std::vector<std::string> words_of(std::string_view text);
/// Letters of ASCII in lower case.
std::string lower(std::string_view text);

/// All numbers of a list; stops at what is none.
std::vector<double> parse_numbers(std::string_view text);
std::optional<geometry::Transform> parse_transform(std::string_view text);
/// The same as CSS writes it, with units; percentages are of the box. Every text of an attribute is read too.
std::optional<geometry::Transform> parse_css_transform(std::string_view text, const Viewport& viewport,
                                                       const geometry::Box& box);
/// The place "center", "left 20%", "10px 5mm" means in a box; nothing for other texts.
std::optional<geometry::Point> parse_place(std::string_view text, const Viewport& viewport, const geometry::Box& box);

/// #rgb, #rrggbb(aa), rgb(), rgba(), hsl() and the named colours of CSS. `opacity` of the colour itself goes to
/// `alpha`.
struct Colour {
    Rgb rgb;
    double alpha = 1;
};
std::optional<Colour> parse_colour(std::string_view text);
/// A colour by its CSS name, given in small letters.
std::optional<Rgb> named_colour(std::string_view lower_name);

struct PathData {
    geometry::Path path;
    bool complete = true;  ///< false: an error stopped the reading; what came before is drawn, as SVG demands
};
PathData parse_path(std::string_view text);

}  // namespace chalkline::art::svg
