// SPDX-License-Identifier: GPL-3.0-or-later
// The painting properties of one element after the cascade: inherited ones come from the parent by copy.
#pragma once
#include "svg_text.hpp"

#include <chalkline/geometry/region.hpp>

#include <optional>
#include <string>
#include <string_view>

namespace chalkline::art::svg {

/// How an area or line is painted.
struct Paint {
    enum class Kind { none, colour, current_colour, reference } kind = Kind::none;
    Colour colour;
    std::string reference;            ///< id of a gradient or pattern
    std::optional<Colour> otherwise;  ///< stated colour where the reference leads nowhere
};

struct Style {
    Paint fill{Paint::Kind::colour, {}, {}, {}};
    Paint stroke;
    Colour colour;  ///< `color`, for currentColor
    geometry::FillRule rule = geometry::FillRule::non_zero;
    double fill_opacity = 1, stroke_opacity = 1;
    double opacity = 1;  ///< of this element times its ancestors'
    std::string stroke_width = "1";
    bool visible = true;
    bool displayed = true;  ///< display:none takes the whole branch away; not inherited as a value
};

/// What `apply` made of a property.
enum class Applied {
    yes,
    not_painting,  ///< a property that does not change what is burned
    bad_value,
    unsupported,  ///< changes what is drawn and is not reproduced
};

/// Sets one property by its SVG name.
Applied apply(Style& style, std::string_view property, std::string_view value);

}  // namespace chalkline::art::svg
