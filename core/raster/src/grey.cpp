// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/raster/grey.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::raster {

double to_light(double encoded) {
    return encoded <= 0.04045 ? encoded / 12.92 : std::pow((encoded + 0.055) / 1.055, 2.4);
}

double from_light(double light) {
    return light <= 0.0031308 ? light * 12.92 : 1.055 * std::pow(light, 1 / 2.4) - 0.055;
}

namespace {

/// The colour before it was laid over white.
Rgb bare_colour(Rgb p, int opacity) {
    if (opacity == 0) return {255, 255, 255};
    const auto channel = [opacity](int value) {
        return static_cast<std::uint8_t>(std::clamp(255 - (255 - value) * 255 / opacity, 0, 255));
    };
    return {channel(p.red), channel(p.green), channel(p.blue)};
}

}  // namespace

GreyImage to_grey(const RgbImage& image, const ChannelMix& mix) {
    constexpr int fine = 4096;  // steps of the way back: finer than 8 bits can tell
    std::array<float, 256> light;
    std::array<std::uint16_t, fine + 1> encoded;
    for (std::size_t i = 0; i < light.size(); ++i)
        light[i] = static_cast<float>(to_light(static_cast<double>(i) / 255));
    for (std::size_t i = 0; i < encoded.size(); ++i)
        encoded[i] = static_cast<std::uint16_t>(std::lround(from_light(static_cast<double>(i) / fine) * 65535));
    const double whole = std::max(mix[0] + mix[1] + mix[2], 1e-6);
    const auto red = static_cast<float>(mix[0] / whole * fine), green = static_cast<float>(mix[1] / whole * fine),
               blue = static_cast<float>(mix[2] / whole * fine);
    GreyImage grey(image.width, image.height, 0);
    for (std::size_t i = 0; i < grey.pixels.size(); ++i) {
        const Rgb p = image.opacity.empty() ? image.pixels[i] : bare_colour(image.pixels[i], image.opacity[i]);
        const float y = red * light[p.red] + green * light[p.green] + blue * light[p.blue];
        grey.pixels[i] =
            encoded[static_cast<std::size_t>(std::min(std::max(y, 0.0F) + 0.5F, static_cast<float>(fine)))];
    }
    return grey;
}

GreyImage to_plain_grey(const RgbImage& image) {
    GreyImage grey(image.width, image.height, 0, 255);
    for (std::size_t i = 0; i < grey.pixels.size(); ++i) {
        const Rgb p = image.pixels[i];
        grey.pixels[i] = static_cast<std::uint16_t>((p.red * 299 + p.green * 587 + p.blue * 114 + 500) / 1000);
    }
    return grey;
}

}  // namespace chalkline::raster
