// SPDX-License-Identifier: GPL-3.0-or-later
// From the middles of dark strokes, pixel by pixel, to the lines somebody drew.
#pragma once
#include <chalkline/geometry/path.hpp>

#include <vector>

namespace chalkline::art {

/// Points along the middle of a stroke, about a pixel apart.
using Trail = std::vector<geometry::Point>;

/// Thinning bends lines where strokes meet, and tears a crossing into two. Puts together what goes straight on through
/// such a place, lets the others end on it, and takes away the little bridges and spurs between. `width` of the
/// strokes, pixels.
std::vector<Trail> through_junctions(std::vector<Trail> trails, double width);

/// A trail as straight lines, corners and curves. A trail that ends where it begins is closed. `smoothness` as of
/// TraceOptions.
geometry::Path fitted(Trail trail, double width, double smoothness);

}  // namespace chalkline::art
