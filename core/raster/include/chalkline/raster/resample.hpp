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

/// A copy with at most `longest` pixels on a side, transparency too; the same when it is no larger.
RgbImage shrunk(const RgbImage& image, int longest);

/// The mean level of the dots under each pixel of a picture of a part of them: `left`, `top`, `right` and `bottom`
/// count dots from the upper left corner. Averaged, never sampled, so that it shows no pattern the burn will not have;
/// where a dot covers pixels it is a sharp square. 0 is bare, 65535 all burned; beyond the dots it is bare.
GreyImage averaged(const Dots& dots, double left, double top, double right, double bottom, int width, int height);

}  // namespace chalkline::raster
