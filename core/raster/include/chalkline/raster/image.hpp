// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/ink.hpp>

#include <cstdint>
#include <vector>

namespace chalkline::raster {

/// A colour image, 8 bits a channel, rows top down.
struct RgbImage {
    int width = 0, height = 0;
    std::vector<Rgb> pixels;  ///< width × height

    RgbImage() = default;
    RgbImage(int w, int h, Rgb fill)
        : width(w), height(h), pixels(static_cast<std::size_t>(w) * static_cast<std::size_t>(h), fill) {}
    Rgb& at(int x, int y) {
        return pixels[static_cast<std::size_t>(y) * static_cast<std::size_t>(width) + static_cast<std::size_t>(x)];
    }
};

}  // namespace chalkline::raster
