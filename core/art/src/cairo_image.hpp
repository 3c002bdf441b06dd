// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/raster/image.hpp>

#include <cairo.h>

namespace chalkline::art {

/// The pixels of a finished image surface of format RGB24.
raster::RgbImage image_of(cairo_surface_t* surface);

}  // namespace chalkline::art
