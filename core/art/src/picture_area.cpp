// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/picture_area.hpp>
#include <chalkline/geometry/combine.hpp>

#include <algorithm>
#include <map>
#include <utility>

namespace chalkline::art {
namespace {

using geometry::Box;
using geometry::Region;

/// What goes on below the same stretch of a row belongs to the same rectangle. Only every `step`th row and column is
/// looked at.
Region rectangles_of(const raster::GreyImage& mask, int step, const Box& within) {
    constexpr std::uint16_t half = 32768;
    using Span = std::pair<int, int>;
    std::map<Span, int> open;  // the row in which it began
    Region region;
    const auto close = [&](const Span& span, int from, int to) {
        const Box box{std::max(static_cast<double>(span.first) / mask.width, within.left),
                      std::max(1 - static_cast<double>(to) / mask.height, within.bottom),
                      std::min(static_cast<double>(span.second) / mask.width, within.right),
                      std::min(1 - static_cast<double>(from) / mask.height, within.top)};
        if (box.left < box.right && box.bottom < box.top) region.rings.push_back(geometry::outline(box));
    };
    for (int y = 0; y < mask.height + step; y += step) {
        std::map<Span, int> now;
        for (int x = 0; y < mask.height && x < mask.width; x += step) {
            const auto stays = [&](int column) { return column < mask.width && mask.row(y)[column] >= half; };
            const int from = x;
            while (stays(x))
                x += step;
            if (x == from) continue;
            const Span span{from, std::min(x, mask.width)};
            const auto before = open.find(span);
            now[span] = before == open.end() ? y : before->second;
        }
        for (const auto& [span, from] : open)
            if (!now.contains(span)) close(span, from, std::min(y, mask.height));
        open = std::move(now);
    }
    return region;
}

/// How opaque each dot is, 0…65535.
raster::GreyImage opacity_of(const raster::RgbImage& image) {
    raster::GreyImage mask(image.width, image.height, 0);
    std::transform(image.opacity.begin(), image.opacity.end(), mask.pixels.begin(),
                   [](std::uint8_t opacity) { return static_cast<std::uint16_t>(opacity * 257); });
    return mask;
}

}  // namespace

Region region_of_mask(const raster::GreyImage& mask, const Box& within) {
    constexpr std::size_t most = 20'000;  // a mask of single dots would be a million
    constexpr int finest = 4000;          // rows and columns looked at
    const int first = std::max(1, std::max(mask.width, mask.height) / finest);
    Region region;
    for (int step = first; step == first || region.rings.size() > most; step *= 2)
        region = rectangles_of(mask, step, within);
    return region;
}

Region opaque_area(const PlacedPicture& picture) {
    constexpr Box unit{0, 0, 1, 1};
    Region area = picture.image->opacity.empty() ? Region{{geometry::outline(unit)}}
                                                 : region_of_mask(opacity_of(*picture.image), unit);
    area = geometry::mapped(std::move(area), picture.place);
    return picture.clip ? geometry::intersection(area, *picture.clip) : area;
}

}  // namespace chalkline::art
