// SPDX-License-Identifier: GPL-3.0-or-later
// Whole pages changed after they were read.
#pragma once
#include <chalkline/art/artwork.hpp>

namespace chalkline::art {

/// Only what lies in the box, which becomes the page. Lines and fills that reach over its edge are cut there.
Artwork part_of(Artwork artwork, const geometry::Box& box);

/// Everything larger or smaller by a factor. REQUIRES: factor > 0.
Artwork scaled(Artwork artwork, double factor);

/// Leaves of a shape what lies in an area. `lines`: the shape flattened. False when nothing is left.
bool cut_to(Shape& shape, std::vector<geometry::Polyline> lines, const geometry::Region& area);

/// Maps all geometry, pictures and remarks.
void transform(Artwork& artwork, const geometry::Transform& map);

}  // namespace chalkline::art
