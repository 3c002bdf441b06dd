// SPDX-License-Identifier: GPL-3.0-or-later
// Ellipses and rectangles as paths, begun and turned as SVG says (SVG 1.1 §9); nothing where a side is not above 0.
#pragma once
#include <chalkline/geometry/path.hpp>

namespace chalkline::art::svg {

void add_ellipse(geometry::Path& path, geometry::Point centre, double rx, double ry);
/// Its corners are rounded where both radii are above 0.
void add_rectangle(geometry::Path& path, geometry::Point at, double width, double height, double rx, double ry);

}  // namespace chalkline::art::svg
