// SPDX-License-Identifier: GPL-3.0-or-later
#include "cairo_image.hpp"

namespace chalkline::art {

raster::RgbImage image_of(cairo_surface_t* surface) {
    cairo_surface_flush(surface);
    const int width = cairo_image_surface_get_width(surface), height = cairo_image_surface_get_height(surface);
    raster::RgbImage image(width, height, {255, 255, 255});
    const unsigned char* data = cairo_image_surface_get_data(surface);
    const int stride = cairo_image_surface_get_stride(surface);
    for (int y = 0; y < height; ++y) {
        const auto* row = reinterpret_cast<const std::uint32_t*>(data + static_cast<std::ptrdiff_t>(y) * stride);
        for (int x = 0; x < width; ++x)
            image.at(x, y) = {static_cast<std::uint8_t>(row[x] >> 16), static_cast<std::uint8_t>(row[x] >> 8),
                              static_cast<std::uint8_t>(row[x])};
    }
    return image;
}

}  // namespace chalkline::art
