// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/ink.hpp>

#include <cstdint>
#include <vector>

namespace chalkline::raster {

/// A colour image, 8 bits a channel, rows top down.
struct RgbImage {
    int width = 0, height = 0;
    std::vector<Rgb> pixels;              ///< width × height, what is transparent over white
    std::vector<std::uint8_t> opacity{};  ///< the same number, 0 is transparent; empty: opaque everywhere

    RgbImage() = default;
    RgbImage(int w, int h, Rgb fill)
        : width(w), height(h), pixels(static_cast<std::size_t>(w) * static_cast<std::size_t>(h), fill) {}
    std::size_t index(int x, int y) const {
        return static_cast<std::size_t>(y) * static_cast<std::size_t>(width) + static_cast<std::size_t>(x);
    }
    Rgb& at(int x, int y) { return pixels[index(x, y)]; }
};

}  // namespace chalkline::raster
