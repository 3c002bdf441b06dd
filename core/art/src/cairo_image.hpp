// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "compose/rendering.hpp"

#include <chalkline/raster/image.hpp>

namespace chalkline::art {

/// The pixels of an image surface. One with alpha comes over white, with its opacity where it lets anything through.
raster::RgbImage image_of(cairo_surface_t* surface);

/// The image as a surface with alpha.
Surface surface_of(const raster::RgbImage& image);

}  // namespace chalkline::art
