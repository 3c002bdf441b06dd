// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/raster/grey.hpp>

#include <array>
#include <cstdint>
#include <vector>

namespace chalkline::raster {

/// Where dots fail to make a picture.
struct DotStatistics {
    double coverage = 0;           ///< mean level, 0…1
    double clogged = 0, bald = 0;  ///< share of the area without a bare dot, or without a burned one, within the radius
    int longest_run = 0;           ///< dots burned without a gap along a row
};

/// What a place belongs to.
enum class DotArea : std::uint8_t { fine, clogged, bald };

/// `radius`: dots in every direction that must hold at least one of the other kind.
DotStatistics statistics(const Dots& dots, int radius);
/// The same place by place, rows top down.
std::vector<DotArea> areas(const Dots& dots, int radius);

/// Share of pixels for each of 64 tones, dark to light.
using Histogram = std::array<double, 64>;
Histogram histogram_of(const GreyImage& grey);

}  // namespace chalkline::raster
