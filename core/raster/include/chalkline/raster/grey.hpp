// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/raster/image.hpp>

#include <array>
#include <cstddef>
#include <cstdint>
#include <vector>

namespace chalkline::raster {

/// One brightness a pixel, rows top down: 0 is black, `white` the brightest there is.
struct GreyImage {
    int width = 0, height = 0;
    std::uint16_t white = 65535;
    std::vector<std::uint16_t> pixels;  ///< width × height

    GreyImage() = default;
    GreyImage(int w, int h, std::uint16_t fill, std::uint16_t brightest = 65535)
        : width(w),
          height(h),
          white(brightest),
          pixels(static_cast<std::size_t>(w) * static_cast<std::size_t>(h), fill) {}
    std::uint16_t* row(int y) { return pixels.data() + static_cast<std::size_t>(y) * static_cast<std::size_t>(width); }
    const std::uint16_t* row(int y) const {
        return pixels.data() + static_cast<std::size_t>(y) * static_cast<std::size_t>(width);
    }
};

/// What the beam does at each place, rows top down: 0 is bare, 255 burns with all of the step's power.
struct Dots {
    int width = 0, height = 0;
    std::vector<std::uint8_t> levels;  ///< width × height

    Dots() = default;
    Dots(int w, int h) : width(w), height(h), levels(static_cast<std::size_t>(w) * static_cast<std::size_t>(h), 0) {}
    std::uint8_t* row(int y) { return levels.data() + static_cast<std::size_t>(y) * static_cast<std::size_t>(width); }
    const std::uint8_t* row(int y) const {
        return levels.data() + static_cast<std::size_t>(y) * static_cast<std::size_t>(width);
    }
    bool operator==(const Dots&) const = default;
};

/// Share of each channel in the grey; the usual is the luminance of ITU-R BT.709.
using ChannelMix = std::array<double, 3>;
inline constexpr ChannelMix luminance{0.2126, 0.7152, 0.0722};

/// How bright each pixel looks, sRGB-encoded (IEC 61966-2-1): the mix is made in linear light and encoded again, so
/// that tone settings work as the eye does. Transparent pixels have the colour they had before they lay over white.
GreyImage to_grey(const RgbImage& image, const ChannelMix& mix = luminance);
/// The 8-bit values as they stand, white 255: the rounded mean by ITU-R BT.601, for comparing with other programs.
GreyImage to_plain_grey(const RgbImage& image);

/// sRGB-encoded brightness 0…1 to light 0…1, and back.
double to_light(double encoded);
double from_light(double light);

}  // namespace chalkline::raster
