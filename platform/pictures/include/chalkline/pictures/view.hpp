// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/raster/image.hpp>

class QImage;

namespace chalkline::pictures {

/// The same pixels as Qt sees them, nothing copied. REQUIRES: the image outlives the view; copy it to keep it.
QImage view_of(const raster::RgbImage& image);

}  // namespace chalkline::pictures
