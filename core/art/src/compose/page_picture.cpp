// SPDX-License-Identifier: GPL-3.0-or-later
#include "compose/page_picture.hpp"

#include "cairo_image.hpp"

#include <chalkline/art/outside.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::art {
namespace {

using geometry::Box;
using geometry::Transform;

/// The columns and rows that are not blank; empty when all are.
struct Inked {
    int left, top, right, bottom;
    bool empty() const { return left >= right; }
};
Inked inked_part(const raster::RgbImage& image) {
    Inked part{image.width, image.height, 0, 0};
    for (int y = 0; y < image.height; ++y)
        for (int x = 0; x < image.width; ++x) {
            if (image.pixels[image.index(x, y)] == Rgb{255, 255, 255}) continue;
            part.left = std::min(part.left, x);
            part.right = std::max(part.right, x + 1);
            part.top = std::min(part.top, y);
            part.bottom = std::max(part.bottom, y + 1);
        }
    return part;
}

raster::RgbImage part_of(const raster::RgbImage& image, const Inked& part) {
    raster::RgbImage result(part.right - part.left, part.bottom - part.top, {});
    if (!image.opacity.empty()) result.opacity.resize(result.pixels.size());
    for (int y = 0; y < result.height; ++y) {
        const auto from = static_cast<std::ptrdiff_t>(image.index(part.left, part.top + y));
        const auto to = static_cast<std::ptrdiff_t>(result.index(0, y));
        std::copy_n(image.pixels.begin() + from, result.width, result.pixels.begin() + to);
        if (!image.opacity.empty())
            std::copy_n(image.opacity.begin() + from, result.width, result.opacity.begin() + to);
    }
    return result;
}

}  // namespace

Result<void> become_picture(Artwork& art, const Box& page, bool rows_down, double dots_per_unit,
                            const std::function<Result<void>(cairo_t*, double width, double height)>& draw) {
    const double dots = page.width() * page.height() * dots_per_unit * dots_per_unit;
    const double scale = dots_per_unit * std::min(1.0, std::sqrt(most_page_dots / std::max(dots, 1.0)));
    constexpr int longest = 30'000;  // Cairo's surfaces end at 32 767
    const int width = std::clamp(static_cast<int>(std::ceil(page.width() * scale - 1e-6)), 1, longest);
    const int height = std::clamp(static_cast<int>(std::ceil(page.height() * scale - 1e-6)), 1, longest);
    const Surface surface(cairo_image_surface_create(CAIRO_FORMAT_ARGB32, width, height));
    if (cairo_surface_status(surface.get()) != CAIRO_STATUS_SUCCESS)
        return fail(error::not_rendered, {{"reason", cairo_status_to_string(cairo_surface_status(surface.get()))}});
    if (auto done = draw(Cairo(cairo_create(surface.get())).get(), width, height); !done) return done;

    const raster::RgbImage whole = image_of(surface.get());
    std::erase_if(art.shapes, [](const Shape& shape) { return shape.ink.kind != InkKind::line; });
    art.pictures.clear();
    const Inked inked = inked_part(whole);
    if (inked.empty()) return {};
    auto image = std::make_shared<const raster::RgbImage>(part_of(whole, inked));
    const double across = page.width() / width, down = page.height() / height;
    PlacedPicture picture;
    picture.ink = picture_ink(*image);
    const double left = page.left + inked.left * across, wide = image->width * across, high = image->height * down;
    picture.place = rows_down ? Transform{wide, 0, 0, -high, left, page.bottom + inked.bottom * down}
                              : Transform{wide, 0, 0, high, left, page.top - inked.bottom * down};
    picture.image = std::move(image);
    art.pictures.push_back(std::move(picture));
    return {};
}

raster::RgbImage drawn(const Artwork& artwork, double pitch, double most) {
    const double scale = std::min(1 / pitch, std::sqrt(most / std::max(artwork.page.x * artwork.page.y, 1e-9)));
    const int width = std::max(1, static_cast<int>(std::ceil(artwork.page.x * scale - 1e-6)));
    const int height = std::max(1, static_cast<int>(std::ceil(artwork.page.y * scale - 1e-6)));
    const Surface surface(cairo_image_surface_create(CAIRO_FORMAT_ARGB32, width, height));
    if (cairo_surface_status(surface.get()) != CAIRO_STATUS_SUCCESS) return {};
    const std::vector<double> unveiled(artwork.shapes.size(), 1);
    const Transform map =
        Transform::move(0, height) * Transform::scale(width / artwork.page.x, -height / artwork.page.y);
    const Paint all{artwork.shapes, unveiled, artwork.pictures, {}, {artwork.shapes.size(), artwork.pictures.size()}};
    render(Cairo(cairo_create(surface.get())).get(), all, map, ThinLines::left_out);
    return image_of(surface.get());
}

}  // namespace chalkline::art
