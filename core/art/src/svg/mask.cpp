// SPDX-License-Identifier: GPL-3.0-or-later
#include "mask.hpp"

#include "cairo_image.hpp"
#include "page.hpp"

#include <chalkline/geometry/combine.hpp>

#include <algorithm>
#include <cmath>
#include <cstdint>

namespace chalkline::art::svg {
namespace {

using geometry::Box;
using geometry::Region;

constexpr std::size_t most_levels = 12;
constexpr double nothing = 0.5 / 255;
constexpr double of_red = 0.2125, of_green = 0.7154, of_blue = 0.0721;  // of the light (SVG 1.1 §14.4)

double share_of(const Shape& shape, double alpha, bool by_alpha) {
    const Rgb rgb = shape.ink.rgb;
    const double light = (of_red * rgb.red + of_green * rgb.green + of_blue * rgb.blue) / 255;
    return std::round((by_alpha ? alpha : light * alpha) * 255) / 255;
}

Box box_of(const Composer::Sheet& sheet) {
    Box box;
    for (const Shape& shape : sheet.shapes)
        if (shape.ink.kind == InkKind::fill) box.add(geometry::bounds(shape.path.flatten({}, px_tolerance)));
    for (const PlacedPicture& picture : sheet.pictures)
        box.add(bounds(picture));
    return box;
}

Box common(const Box& a, const Box& b) {
    return {std::max(a.left, b.left), std::max(a.bottom, b.bottom), std::min(a.right, b.right), std::min(a.top, b.top)};
}

Surface rendered(const Composer::Sheet& sheet, int width, int height, const geometry::Transform& map) {
    Surface surface(cairo_image_surface_create(CAIRO_FORMAT_ARGB32, width, height));
    render(Cairo(cairo_create(surface.get())).get(), sheet.paint(), map, ThinLines::left_out);
    cairo_surface_flush(surface.get());
    return surface;
}

/// Lets of each pixel through what the mask has there. Both premultiplied.
void let_through(cairo_surface_t* drawn, cairo_surface_t* mask, bool by_alpha) {
    const int width = cairo_image_surface_get_width(drawn), height = cairo_image_surface_get_height(drawn);
    const int stride = cairo_image_surface_get_stride(drawn);
    unsigned char *of_drawn = cairo_image_surface_get_data(drawn), *of_mask = cairo_image_surface_get_data(mask);
    for (int y = 0; y < height; ++y) {
        const auto at = static_cast<std::ptrdiff_t>(y) * stride;
        auto* row = reinterpret_cast<std::uint32_t*>(of_drawn + at);
        const auto* masks = reinterpret_cast<const std::uint32_t*>(of_mask + at);
        for (int x = 0; x < width; ++x) {
            const std::uint32_t m = masks[x];
            const double light = of_red * (m >> 16 & 255) + of_green * (m >> 8 & 255) + of_blue * (m & 255);
            const double share = (by_alpha ? m >> 24 : light) / 255;
            std::uint32_t pixel = 0;
            for (const int shift : {24, 16, 8, 0})
                pixel |= static_cast<std::uint32_t>(std::lround((row[x] >> shift & 255) * share)) << shift;
            row[x] = pixel;
        }
    }
    cairo_surface_mark_dirty(drawn);
}

}  // namespace

std::optional<std::vector<MaskLevel>> mask_levels(const Composer::Sheet& content, const Region& frame, bool by_alpha) {
    if (!content.pictures.empty()) return {};
    geometry::Pile pile;
    std::vector<double> shares, distinct;
    for (std::size_t i = 0; i < content.shapes.size(); ++i) {
        const Shape& shape = content.shapes[i];
        if (shape.ink.kind != InkKind::fill) continue;  // thin lines let nothing through that a beam could draw
        pile.regions.push_back({shape.path.flatten({}, px_tolerance), shape.rule});
        shares.push_back(share_of(shape, content.alphas[i], by_alpha));
        if (shares.back() > nothing && std::find(distinct.begin(), distinct.end(), shares.back()) == distinct.end())
            distinct.push_back(shares.back());
    }
    if (distinct.size() > most_levels) return {};
    std::vector<MaskLevel> levels;
    for (const double share : distinct) {
        pile.inks.clear();
        for (const double other : shares)
            pile.inks.push_back(other == share ? 1 : 0);
        Region area = geometry::intersection(geometry::seen(pile), frame);
        if (!area.rings.empty()) levels.push_back({std::move(area), share});
    }
    return levels;
}

void paint_masked(Composer& composer, Composer::Sheet drawn, const std::vector<MaskLevel>& levels) {
    for (const MaskLevel& level : levels) {
        composer.begin_group();
        std::size_t picture = 0;
        for (std::size_t i = 0; i <= drawn.shapes.size(); ++i) {
            for (; picture < drawn.pictures.size() &&
                   (i == drawn.shapes.size() || static_cast<std::size_t>(drawn.pictures[picture].above) <= i);
                 ++picture) {
                PlacedPicture part = drawn.pictures[picture];
                part.clip = part.clip ? geometry::intersection(*part.clip, level.area) : level.area;
                if (!bounds(part).empty()) composer.put(std::move(part));
            }
            if (i == drawn.shapes.size()) break;
            Shape part = drawn.shapes[i];
            if (cut_to(part, part.path.flatten({}, px_tolerance), level.area))
                composer.put(std::move(part), drawn.alphas[i]);
        }
        composer.end_group(level.share);
    }
}

bool paint_softly_masked(Composer& composer, Composer::Sheet drawn, const Composer::Sheet& content, const Region& frame,
                         bool by_alpha) {
    const Box box = common(box_of(drawn), geometry::bounds(frame.rings));
    const double wanted = box.empty() ? 0 : box.width() * box.height() * dots_per_px * dots_per_px;
    const double allowed = composer.room();
    if (!(wanted > 0) || allowed < 1) return false;
    const double scale = dots_per_px * std::min(1.0, std::sqrt(allowed / wanted));
    const int width = std::clamp(static_cast<int>(std::ceil(box.width() * scale)), 1, 30000);
    const int height = std::clamp(static_cast<int>(std::ceil(box.height() * scale)), 1, 30000);
    const geometry::Transform to_dots = geometry::Transform::scale(width / box.width(), height / box.height()) *
                                        geometry::Transform::move(-box.left, -box.bottom);
    const Surface seen = rendered(drawn, width, height, to_dots), mask = rendered(content, width, height, to_dots);
    if (cairo_surface_status(seen.get()) != CAIRO_STATUS_SUCCESS ||
        cairo_surface_status(mask.get()) != CAIRO_STATUS_SUCCESS)
        return false;
    let_through(seen.get(), mask.get(), by_alpha);
    PlacedPicture picture;
    auto image = std::make_shared<raster::RgbImage>(image_of(seen.get()));
    picture.ink = picture_ink(*image);
    picture.image = std::move(image);
    picture.place = {box.width(), 0, 0, -box.height(), box.left, box.top};
    picture.clip = frame;
    composer.lay(std::move(picture), 1);
    for (std::size_t i = 0; i < drawn.shapes.size(); ++i)
        if (drawn.shapes[i].ink.kind == InkKind::line) composer.paint(std::move(drawn.shapes[i]), drawn.alphas[i]);
    return true;
}

}  // namespace chalkline::art::svg
