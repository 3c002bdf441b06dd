// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/raster/image.hpp>

#include <array>

namespace chalkline::raster {

/// What a plane looks like from straight above. `seen`: the 3 × 3 matrix, row by row, that takes a pixel of the result
/// (counted from its upper left corner) to its place in the photograph; what the photograph does not show is white.
RgbImage seen_from_above(const RgbImage& photo, const std::array<double, 9>& seen, int width, int height);

}  // namespace chalkline::raster
