// SPDX-License-Identifier: GPL-3.0-or-later
// A page as one picture that looks as the drawing does.
#pragma once
#include "compose/rendering.hpp"

#include <chalkline/base/result.hpp>

#include <functional>

namespace chalkline::art {

/// Most dots of a page; a larger one is drawn with fewer a millimetre.
inline constexpr double most_page_dots = 60e6;

/// Puts a picture of the page under the art's thin lines, in place of everything else. `draw` draws the page, as large
/// as it says in pixels, the first row at its top. Blank borders are cut off; where all is blank there is no picture.
/// `page`: where the page lies in the art's coordinates, rows downwards when `rows_down`.
Result<void> become_picture(Artwork& art, const geometry::Box& page, bool rows_down, double dots_per_unit,
                            const std::function<Result<void>(cairo_t*, double width, double height)>& draw);

}  // namespace chalkline::art
