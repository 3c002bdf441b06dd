// SPDX-License-Identifier: GPL-3.0-or-later
// The shapes a style sheet cuts elements out with (CSS Shapes 1 §3.1, CSS Masking 1 §5.1).
#pragma once
#include "grammar.hpp"

#include <chalkline/geometry/region.hpp>

namespace chalkline::art::svg {

struct ClipShape {
    geometry::Path path;
    geometry::FillRule rule = geometry::FillRule::non_zero;
};

/// The area "inset(…)", "circle(…)", "ellipse(…)", "polygon(…)" or "path(…)" means in a box, user units; nothing for
/// other texts. Lengths in em are of the viewport's font, percentages are of the box.
std::optional<ClipShape> parse_clip_shape(std::string_view text, const Viewport& viewport, const geometry::Box& box);

}  // namespace chalkline::art::svg
