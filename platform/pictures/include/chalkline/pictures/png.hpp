// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/raster/grey.hpp>

#include <string>

namespace chalkline::pictures {

/// Writes a PNG with its physical resolution (pixels a millimetre). Replaces the file as one act.
Result<void> write_png(const raster::RgbImage& image, double pixels_per_mm, const std::string& path);

/// One pixel a dot, burned dots black, in one bit where every dot burns with all or nothing, else in greys; with the
/// distance from dot to dot and line to line in mm. Replaces the file as one act.
Result<void> write_png(const raster::Dots& dots, double across, double pitch, const std::string& path);

}  // namespace chalkline::pictures
