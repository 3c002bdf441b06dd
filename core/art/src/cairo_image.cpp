// SPDX-License-Identifier: GPL-3.0-or-later
#include "cairo_image.hpp"

#include <algorithm>
#include <cstdint>

namespace chalkline::art {

raster::RgbImage image_of(cairo_surface_t* surface) {
    cairo_surface_flush(surface);
    const int width = cairo_image_surface_get_width(surface), height = cairo_image_surface_get_height(surface);
    const bool has_alpha = cairo_image_surface_get_format(surface) == CAIRO_FORMAT_ARGB32;
    raster::RgbImage image(width, height, {255, 255, 255});
    if (has_alpha) image.opacity.assign(image.pixels.size(), 255);
    const unsigned char* data = cairo_image_surface_get_data(surface);
    const int stride = cairo_image_surface_get_stride(surface);
    for (int y = 0; y < height; ++y) {
        const auto* row = reinterpret_cast<const std::uint32_t*>(data + static_cast<std::ptrdiff_t>(y) * stride);
        for (int x = 0; x < width; ++x) {
            const std::uint32_t alpha = has_alpha ? row[x] >> 24 : 255;
            // Channels are premultiplied: the rest is white.
            const auto channel = [&](int shift) {
                return static_cast<std::uint8_t>(std::min((row[x] >> shift & 0xff) + 255 - alpha, 255U));
            };
            image.at(x, y) = {channel(16), channel(8), channel(0)};
            if (has_alpha) image.opacity[image.index(x, y)] = static_cast<std::uint8_t>(alpha);
        }
    }
    if (std::all_of(image.opacity.begin(), image.opacity.end(), [](std::uint8_t a) { return a == 255; }))
        image.opacity.clear();
    return image;
}

Surface surface_of(const raster::RgbImage& image) {
    Surface surface(cairo_image_surface_create(CAIRO_FORMAT_ARGB32, image.width, image.height));
    if (cairo_surface_status(surface.get()) != CAIRO_STATUS_SUCCESS) return surface;
    unsigned char* data = cairo_image_surface_get_data(surface.get());
    const int stride = cairo_image_surface_get_stride(surface.get());
    for (int y = 0; y < image.height; ++y) {
        auto* row = reinterpret_cast<std::uint32_t*>(data + static_cast<std::ptrdiff_t>(y) * stride);
        for (int x = 0; x < image.width; ++x) {
            const std::size_t at = image.index(x, y);
            const std::uint32_t alpha = image.opacity.empty() ? 255 : image.opacity[at];
            const Rgb rgb = image.pixels[at];
            const auto channel = [&](int value) {
                return static_cast<std::uint32_t>(std::max(value - 255 + static_cast<int>(alpha), 0));
            };
            row[x] = alpha << 24 | channel(rgb.red) << 16 | channel(rgb.green) << 8 | channel(rgb.blue);
        }
    }
    cairo_surface_mark_dirty(surface.get());
    return surface;
}

}  // namespace chalkline::art
