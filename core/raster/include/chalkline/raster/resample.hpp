// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/raster/grey.hpp>

#include <array>

namespace chalkline::raster {

/// The picture at another number of pixels: averaged where it shrinks, cubic where it grows. REQUIRES: all sides ≥ 1.
GreyImage resized(const GreyImage& grey, int width, int height);

/// From a pixel of the new picture to a place of the old, in pixels from its upper left corner:
/// (m[0]·x + m[1]·y + m[2], m[3]·x + m[4]·y + m[5]).
using PixelMap = std::array<double, 6>;
/// The picture seen through a map, as turned or mirrored pictures are; white beyond its border. It is averaged first
/// where pixels of the old lie closer than those of the new.
GreyImage seen_through(const GreyImage& grey, const PixelMap& map, int width, int height);

}  // namespace chalkline::raster
