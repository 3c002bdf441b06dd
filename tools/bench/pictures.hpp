// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "figures.hpp"

namespace chalkline::bench {

/// Dithering 16 megapixels, beside the same by Qt's image library on one core.
std::vector<Figure> dithering();
/// A picture of 9 megadots from its pixels to the last encoded line, beside dithering its pixels alone.
std::vector<Figure> large_picture();
/// What the Proof view works out after every touch of a slider, for a 12-megapixel photograph.
std::vector<Figure> proof_preview();

}  // namespace chalkline::bench
