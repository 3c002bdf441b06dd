// SPDX-License-Identifier: GPL-3.0-or-later
#include "patch_picture.hpp"

#include <chalkline/raster/grey.hpp>

#include <cmath>
#include <cstdint>
#include <functional>

namespace chalkline::swatches {
namespace {

void append(std::string& bytes, std::uint32_t value, int count) {
    for (int i = 0; i < count; ++i, value >>= 8)
        bytes += static_cast<char>(value & 0xff);
}

/// 24 bits a pixel, rows of the same pixels (Microsoft's BITMAPINFOHEADER).
std::shared_ptr<const std::string> bitmap(std::uint32_t width, std::uint32_t height,
                                          const std::function<double(std::uint32_t column)>& light) {
    const std::uint32_t row = (width * 3 + 3) / 4 * 4, head = 54;
    std::string bytes = "BM";
    append(bytes, head + row * height, 4);
    append(bytes, 0, 4);
    append(bytes, head, 4);
    append(bytes, 40, 4);
    append(bytes, width, 4);
    append(bytes, height, 4);
    append(bytes, 1, 2);
    append(bytes, 24, 2);
    for (int i = 0; i < 6; ++i)
        append(bytes, 0, 4);
    for (std::uint32_t y = 0; y < height; ++y) {
        for (std::uint32_t x = 0; x < width; ++x) {
            const auto grey = static_cast<std::uint32_t>(std::lround(raster::from_light(light(x)) * 255));
            append(bytes, grey | grey << 8 | grey << 16, 3);
        }
        bytes.append(row - width * 3, '\0');
    }
    return std::make_shared<const std::string>(std::move(bytes));
}

}  // namespace

std::shared_ptr<const std::string> patch_picture(double share) {
    return bitmap(2, 2, [share](std::uint32_t) { return 1 - share; });
}

std::shared_ptr<const std::string> wedge_picture() {
    constexpr std::uint32_t steps = 64;
    return bitmap(steps, 2, [](std::uint32_t x) { return static_cast<double>(x) / (steps - 1); });
}

}  // namespace chalkline::swatches
