// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/raster/image.hpp>

#include <string>

namespace chalkline::pictures {

/// Writes a PNG with its physical resolution (pixels a millimetre). Replaces the file as one act.
Result<void> write_png(const raster::RgbImage& image, double pixels_per_mm, const std::string& path);

}  // namespace chalkline::pictures
