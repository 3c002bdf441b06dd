// SPDX-License-Identifier: GPL-3.0-or-later
#include "trace/tracing.hpp"

#include "trace/page_light.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/geometry/combine.hpp>

namespace chalkline::art {
namespace {

using geometry::Path;
using geometry::Transform;

/// The threshold is of white paper, however brightly that was lit.
Bitmap bitmap_of(const raster::RgbImage& image, int threshold) {
    const PageLight light = PageLight::of(image);
    Bitmap bitmap{image.width, image.height, {}};
    bitmap.dark.reserve(image.pixels.size());
    for (int y = 0; y < image.height; ++y)
        for (int x = 0; x < image.width; ++x)
            bitmap.dark.push_back(luma_of(image.pixels[image.index(x, y)]) < threshold * light.white_at(x, y) / 255);
    return bitmap;
}

}  // namespace

Result<Artwork> traced(Artwork artwork, const TraceOptions& options, const Watch& watch) {
    for (const PlacedPicture& picture : artwork.pictures) {
        const auto& image = *picture.image;
        const Transform to_page = picture.place * Transform::scale(1.0 / image.width, 1.0 / image.height);
        const double mm_a_pixel = std::sqrt(std::abs(geometry::cross({to_page.a, to_page.b}, {to_page.c, to_page.d})));
        if (!(mm_a_pixel > 0)) continue;
        const double speck = options.speck / mm_a_pixel;
        Bitmap bitmap = bitmap_of(image, options.threshold);
        auto paths = options.centre_lines ? trace_centre_lines(std::move(bitmap), speck, options.smoothness, watch)
                                          : trace_outlines(bitmap, speck, options.smoothness);
        if (watch.cancelled()) return fail(chalkline::error::cancelled);
        const Ink ink{{}, options.centre_lines ? InkKind::line : InkKind::fill};
        for (Path& path : paths) {
            path.transform(to_page);
            artwork.shapes.push_back({std::move(path), ink, geometry::FillRule::even_odd, 0, picture.line});
        }
    }
    std::swap(artwork.traced_from, artwork.pictures);
    return artwork;
}

}  // namespace chalkline::art
