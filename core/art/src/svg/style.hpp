// SPDX-License-Identifier: GPL-3.0-or-later
// The painting properties of one element after the cascade: inherited ones come from the parent by copy.
#pragma once
#include "grammar.hpp"

#include <chalkline/art/outside.hpp>
#include <chalkline/geometry/stroke.hpp>

#include <map>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::art::svg {

/// How an area or line is painted.
struct Paint {
    enum class Kind { none, colour, current_colour, reference } kind = Kind::none;
    Colour colour;
    std::string reference;            ///< id of a gradient or pattern
    std::optional<Colour> otherwise;  ///< stated colour where the reference leads nowhere
};

/// What turns, moves and scales one element, as written.
struct OwnTransform {
    std::string transform, translate, rotate, scale;
    std::string origin;           ///< empty: the corner of the box
    bool of_its_own_box = false;  ///< the box is that of what the element draws, not the viewport
};

/// Drawings set on the corners of a line: ids of markers; empty: none.
struct Markers {
    std::string start, mid, end;
};

/// What "context-fill" and "context-stroke" stand for inside a marker.
struct ContextPaint {
    Paint fill, stroke;
};

/// What a stop of a gradient adds to it.
struct StopPaint {
    Colour colour;
    bool is_current = false;  ///< `color` in its stead
    double opacity = 1;
};

enum class TextAnchor { start, middle, end };

/// Whether the letters of an element stand apart from the direction of those around (CSS Writing Modes 3,
/// unicode-bidi).
enum class Embedding {
    none,
    embedded,   ///< they order themselves, with its direction around them
    overridden  ///< they run its direction, whatever letters they are
};

/// The properties of lettering.
struct TextStyle {
    FontWish font{{"sans-serif"}};
    TextAnchor anchor = TextAnchor::start;
    Direction direction = Direction::left_to_right;  ///< of the text as a whole; its letters have their own
    double letter_spacing = 0, word_spacing = 0;     ///< user units
    double shift = 0;                                ///< of the baseline, user units, up
    std::string baseline;                            ///< dominant or alignment baseline, empty: alphabetic
    bool keep_spaces = false;                        ///< xml:space="preserve"
    bool small_capitals = false;                     ///< small letters are drawn as small capitals
    bool underlined = false, overlined = false, struck = false;
};

struct Style {
    Paint fill{Paint::Kind::colour, {}, {}, {}};
    Paint stroke;
    Colour colour;  ///< `color`, for currentColor
    geometry::FillRule rule = geometry::FillRule::non_zero, clip_rule = geometry::FillRule::non_zero;
    double fill_opacity = 1, stroke_opacity = 1;
    double opacity = 1;                                      ///< of this element times its ancestors'
    double unmixed = 1;                                      ///< the part of it no group has taken on itself
    geometry::Pen pen;                                       ///< width in user units
    std::shared_ptr<const std::vector<double>> dashes;       ///< user units; nothing: a solid line
    double dash_offset = 0;                                  ///< user units
    double font_size = 16;                                   ///< user units
    std::shared_ptr<const TextStyle> text = default_text();  ///< shared: most elements are no text
    bool visible = true;
    bool stroke_under = false;                    ///< paint-order: the stroke lies under the fill
    bool markers_under = false;                   ///< paint-order: the markers lie under both
    std::shared_ptr<const Markers> markers;       ///< null: none
    std::shared_ptr<const ContextPaint> context;  ///< null: not inside a marker
    std::shared_ptr<const std::map<std::string, std::string>> variables;  ///< "--name" and its value; null: none

    // Not inherited: back at rest for every element.
    bool displayed = true;  ///< display:none takes the whole branch away
    bool overflows = false;
    StopPaint stop, stop_around;  ///< its own, and that of the element around, for "inherit"
    Embedding embedding = Embedding::none;
    bool fixed_stroke = false;                      ///< vector-effect: the stroke's width ignores transforms
    std::string clip;                               ///< id of a clipPath; empty: none
    std::string clip_shape;                         ///< a shape as the sheet writes it; empty: none
    std::string mask;                               ///< id of a mask; empty: none
    std::shared_ptr<const OwnTransform> transform;  ///< null: none
    void begin_element();

 private:
    static std::shared_ptr<const TextStyle> default_text();
};

/// What `apply` made of a property.
enum class Applied {
    yes,
    not_painting,  ///< a property that does not change what is burned
    bad_value,
    unsupported,  ///< changes what is drawn and is not reproduced
};

/// Sets one property by its SVG name. Lengths are resolved with the viewport (its font size must be the parent's
/// for `font-size`, else the element's: apply that one first).
Applied apply(Style& style, std::string_view property, std::string_view value, const Viewport& viewport);

}  // namespace chalkline::art::svg
