// SPDX-License-Identifier: GPL-3.0-or-later
// What a picture hides of what lies under it.
#pragma once
#include <chalkline/art/artwork.hpp>
#include <chalkline/geometry/region.hpp>
#include <chalkline/raster/grey.hpp>

namespace chalkline::art {

/// Where a mask (0…65535) laid over the unit square is more than half, as rectangles of that square, inside `within`;
/// the mask's rows go down, the square points up. At most 20 000 rectangles: a finer mask is taken more coarsely.
geometry::Region region_of_mask(const raster::GreyImage& mask, const geometry::Box& within);

/// Where a picture is more opaque than not, as it is placed, inside its clip; before any preparation.
geometry::Region opaque_area(const PlacedPicture& picture);

}  // namespace chalkline::art
