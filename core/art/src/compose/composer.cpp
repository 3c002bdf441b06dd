// SPDX-License-Identifier: GPL-3.0-or-later
#include "compose/composer.hpp"

#include "cairo_image.hpp"

#include <chalkline/base/contract.hpp>
#include <chalkline/geometry/combine.hpp>
#include <chalkline/geometry/stroke.hpp>

#include <algorithm>
#include <cmath>
#include <map>
#include <utility>

namespace chalkline::art {
namespace {

using geometry::Box;
using geometry::Point;
using geometry::Region;
using geometry::Transform;

constexpr double mm_per_px = 25.4 / 96;
constexpr double tolerance = geometry::flattening_tolerance / mm_per_px;
constexpr double dots_per_px = 10 * mm_per_px;
constexpr double opaque = 1 - 0.5 / 255;       // what an eye and 8 bits cannot tell from opaque
constexpr std::size_t most_colours = 24;       // of mixing: more are tones
constexpr std::size_t most_work = 20'000'000;  // points

/// A colour that lets through what lies under it.
struct Tint {
    Rgb rgb;
    double alpha;
};

Tint over(const Tint& top, const Tint& under) {
    const double below = under.alpha * (1 - top.alpha), alpha = top.alpha + below;
    if (!(alpha > 0)) return {{255, 255, 255}, 0};
    const auto channel = [&](int a, int b) {
        return static_cast<std::uint8_t>(std::lround((a * top.alpha + b * below) / alpha));
    };
    return {{channel(top.rgb.red, under.rgb.red), channel(top.rgb.green, under.rgb.green),
             channel(top.rgb.blue, under.rgb.blue)},
            alpha};
}

Rgb on_bare(const Tint& tint) {
    return over(tint, {{255, 255, 255}, 1}).rgb;
}

std::size_t points(const Region& region) {
    std::size_t count = 0;
    for (const auto& ring : region.rings)
        count += ring.points.size();
    return count;
}

Region frame_of(const PlacedPicture& picture) {
    Region frame = geometry::mapped({{geometry::outline(Box{0, 0, 1, 1})}}, picture.place);
    return picture.clip ? geometry::intersection(frame, *picture.clip) : frame;
}

/// The colour of a pixel before it lay over white.
Tint pixel(const raster::RgbImage& image, std::size_t at) {
    const int opacity = image.opacity.empty() ? 255 : image.opacity[at];
    if (opacity == 0) return {{255, 255, 255}, 0};
    const auto channel = [opacity](int value) {
        return static_cast<std::uint8_t>(std::clamp(255 - (255 - value) * 255 / opacity, 0, 255));
    };
    const Rgb rgb = image.pixels[at];
    return {{channel(rgb.red), channel(rgb.green), channel(rgb.blue)}, opacity / 255.0};
}

void set_pixel(raster::RgbImage& image, std::size_t at, const Tint& tint) {
    image.pixels[at] = on_bare(tint);
    image.opacity[at] = static_cast<std::uint8_t>(std::lround(tint.alpha * 255));
}

/// Every pixel as `change(tint, its index)` makes it.
template <class Change>
std::shared_ptr<const raster::RgbImage> changed(const raster::RgbImage& image, Change change) {
    raster::RgbImage result = image;
    if (result.opacity.empty()) result.opacity.assign(result.pixels.size(), 255);
    for (std::size_t i = 0; i < result.pixels.size(); ++i)
        set_pixel(result, i, change(pixel(image, i), i));
    if (std::all_of(result.opacity.begin(), result.opacity.end(), [](std::uint8_t a) { return a == 255; }))
        result.opacity.clear();
    return std::make_shared<const raster::RgbImage>(std::move(result));
}

/// The columns and rows of the picture that hold an area, and where those lie.
struct Crop {
    int left, top, width, height;
    Transform place;
};
Crop crop_of(const PlacedPicture& picture, const Region& area) {
    const int columns = picture.image->width, rows = picture.image->height;
    const Box unit = geometry::bounds(geometry::mapped(area, picture.place.inverse()).rings);
    const int left = std::clamp(static_cast<int>(std::floor(unit.left * columns)), 0, columns - 1);
    const int right = std::clamp(static_cast<int>(std::ceil(unit.right * columns)), left + 1, columns);
    const int top = std::clamp(static_cast<int>(std::floor((1 - unit.top) * rows)), 0, rows - 1);
    const int bottom = std::clamp(static_cast<int>(std::ceil((1 - unit.bottom) * rows)), top + 1, rows);
    const double x = static_cast<double>(left) / columns, y = 1 - static_cast<double>(bottom) / rows;
    const Transform part = Transform::move(x, y) * Transform::scale(static_cast<double>(right - left) / columns,
                                                                    static_cast<double>(bottom - top) / rows);
    return {left, top, right - left, bottom - top, picture.place * part};
}

raster::RgbImage cropped(const raster::RgbImage& image, const Crop& crop) {
    raster::RgbImage part(crop.width, crop.height, {255, 255, 255});
    if (!image.opacity.empty()) part.opacity.resize(part.pixels.size());
    for (int y = 0; y < crop.height; ++y)
        for (int x = 0; x < crop.width; ++x) {
            const std::size_t from = image.index(crop.left + x, crop.top + y), to = part.index(x, y);
            part.pixels[to] = image.pixels[from];
            if (!image.opacity.empty()) part.opacity[to] = image.opacity[from];
        }
    return part;
}

/// The part of a picture under a translucent area, seen through it; what is wholly transparent stays so.
PlacedPicture tinted(const PlacedPicture& picture, Region area, const Tint& tint) {
    const Crop crop = crop_of(picture, area);
    PlacedPicture part = picture;
    part.image = changed(cropped(*picture.image, crop),
                         [&](const Tint& under, std::size_t) { return under.alpha > 0 ? over(tint, under) : under; });
    part.place = crop.place;
    part.clip = std::move(area);
    return part;
}

/// No wider than curves are drawn exactly.
bool is_sliver(const Region& region) {
    double area = 0;
    for (const auto& ring : region.rings)
        area += geometry::signed_area(ring);
    return std::abs(area) <= tolerance * geometry::length(region.rings);
}

bool has_holes(const raster::RgbImage& image) {
    return std::any_of(image.opacity.begin(), image.opacity.end(), [](std::uint8_t a) { return a == 0; });
}

bool lets_through(const raster::RgbImage& image) {
    return std::any_of(image.opacity.begin(), image.opacity.end(), [](std::uint8_t a) { return a > 0 && a < 255; });
}

}  // namespace

void Composer::paint(Shape shape, double alpha) {
    if (!mixes_ || alpha >= opaque || shape.ink.kind == InkKind::line)
        return push(std::move(shape), mixes_ ? alpha : 1);
    mix(std::move(shape), alpha, group_start(), here());
}

void Composer::lay(PlacedPicture picture, double alpha) {
    if (!mixes_ || picture.place.area() == 0) return push(std::move(picture));
    mix(std::move(picture), alpha, group_start(), here());
}

void Composer::begin_group() {
    groups_.push_back(here());
}

void Composer::end_group(double opacity) {
    CHALKLINE_REQUIRES(!groups_.empty());
    const Place start = groups_.back();
    groups_.pop_back();
    if (!mixes_) return;
    Sheet group{std::exchange(art_.shapes, {}), std::exchange(alphas_, {}), std::exchange(art_.pictures, {})};
    if (areas_.size() > start.shapes) {
        areas_.resize(start.shapes);
        boxes_.resize(start.shapes);
    }
    const auto keep = [](auto& from, auto& to, std::size_t count) {
        to.assign(std::make_move_iterator(from.begin()),
                  std::make_move_iterator(from.begin() + static_cast<std::ptrdiff_t>(count)));
    };
    keep(group.shapes, art_.shapes, start.shapes);
    keep(group.alphas, alphas_, start.shapes);
    keep(group.pictures, art_.pictures, start.pictures);
    // Everything of the group lies over what was there before it, and nothing of it over itself again.
    std::size_t next = start.pictures;
    for (std::size_t i = start.shapes; i <= group.shapes.size(); ++i) {
        for (; next < group.pictures.size() &&
               (i == group.shapes.size() || static_cast<std::size_t>(group.pictures[next].above) <= i);
             ++next)
            mix(std::move(group.pictures[next]), opacity, group_start(), start);
        if (i == group.shapes.size()) break;
        const double alpha = group.alphas[i] * opacity;
        if (alpha >= opaque || group.shapes[i].ink.kind == InkKind::line)
            push(std::move(group.shapes[i]), alpha);
        else if (alpha > 0)
            mix(std::move(group.shapes[i]), alpha, group_start(), start);
    }
}

void Composer::finish() {
    CHALKLINE_REQUIRES(groups_.empty());
    for (std::size_t i = 0; i < art_.shapes.size(); ++i)
        if (alphas_[i] < opaque) art_.shapes[i].ink.rgb = on_bare({art_.shapes[i].ink.rgb, alphas_[i]});
}

double Composer::dots() const {
    double dots = 0;
    for (const PlacedPicture& picture : art_.pictures)
        dots += static_cast<double>(picture.image->pixels.size());
    return dots;
}

void Composer::push(Shape shape, double alpha) {
    art_.shapes.push_back(std::move(shape));
    alphas_.push_back(alpha);
}

void Composer::push(PlacedPicture picture) {
    picture.above = static_cast<int>(art_.shapes.size());
    art_.pictures.push_back(std::move(picture));
}

/// What is seen through a translucent area.
struct Composer::Mixed {
    std::map<std::pair<Rgb, double>, Region> flat;
    std::vector<PlacedPicture> pictures;  ///< the topmost first; they lie over the flat parts
    Region on_nothing;
    std::set<Rgb> colours;  ///< those so far and its own
    bool whole = true;      ///< nothing lies under it
    bool too_much = false;
};

Composer::Mixed Composer::mixed(const Shape& shape, double alpha, Place from, Place to) {
    Mixed result;
    result.colours = colours_;
    const Tint tint{shape.ink.rgb, alpha};
    result.on_nothing = {shape.path.flatten({}, tolerance), shape.rule};
    const Box box = geometry::bounds(result.on_nothing.rings);
    std::size_t i = to.shapes, j = to.pictures;
    // From the top down, until nothing is left that anything else could be seen through.
    while ((i > from.shapes || j > from.pictures) && !result.on_nothing.rings.empty() && !result.too_much) {
        const bool picture =
            j > from.pictures && (i == from.shapes || static_cast<std::size_t>(art_.pictures[j - 1].above) >= i);
        if (picture) {
            const PlacedPicture& under = art_.pictures[--j];
            if (!geometry::overlap(bounds(under), box)) continue;
            const Region frame = frame_of(under);
            Region part = geometry::intersection(result.on_nothing, frame);
            if (part.rings.empty()) continue;
            // Through its holes the area lies over what is below the picture.
            if (!has_holes(*under.image)) result.on_nothing = geometry::difference(result.on_nothing, frame);
            result.pictures.push_back(tinted(under, std::move(part), tint));
            result.whole = false;
            continue;
        }
        const Shape& under = art_.shapes[--i];
        if (under.ink.kind != InkKind::fill) continue;
        const Region& covered = area(i);
        if (!geometry::overlap(boxes_[i], box)) continue;
        work_ += points(covered) + points(result.on_nothing);
        result.too_much = work_ > most_work;
        const Region part = geometry::intersection(result.on_nothing, covered);
        if (part.rings.empty()) continue;
        result.on_nothing = geometry::difference(result.on_nothing, covered);
        result.whole = false;
        const Tint seen = over(tint, {under.ink.rgb, alphas_[i]});
        auto& rings = result.flat[{seen.rgb, seen.alpha}].rings;
        rings.insert(rings.end(), part.rings.begin(), part.rings.end());
        result.colours.insert(on_bare(seen));
        result.too_much = result.too_much || result.colours.size() > most_colours;
    }
    return result;
}

void Composer::mix(Shape shape, double alpha, Place from, Place to) {
    Mixed seen = mixed(shape, alpha, from, to);
    if (seen.whole && !seen.too_much) return push(std::move(shape), alpha);
    if (seen.too_much) {
        if (push_as_picture(shape, alpha, from, to)) return;
        ++not_mixed_;
        return push(std::move(shape), 1);
    }
    colours_ = std::move(seen.colours);
    const auto part_of = [&shape](const Region& region, Rgb rgb) {
        Shape part = shape;
        part.path = geometry::path_of(region.rings);
        part.rule = region.rule;
        part.ink.rgb = rgb;
        return part;
    };
    // Whole, with its curves: what is seen through it is painted over it, without a gap.
    if (!is_sliver(seen.on_nothing)) push(shape, alpha);
    for (const auto& [tint, region] : seen.flat)
        if (!is_sliver(region)) push(part_of(region, tint.first), tint.second);
    for (auto picture = seen.pictures.rbegin(); picture != seen.pictures.rend(); ++picture) {
        picture->ink = picture_ink(*picture->image);
        push(std::move(*picture));
    }
}

void Composer::mix(PlacedPicture picture, double alpha, Place from, Place to) {
    const auto before = picture.image;
    if (alpha < opaque)
        picture.image = changed(*picture.image, [alpha](Tint tint, std::size_t) {
            tint.alpha *= alpha;
            return tint;
        });
    if (lets_through(*picture.image) && under(bounds(picture), from, to)) {
        const raster::RgbImage& image = *picture.image;
        const Surface surface(cairo_image_surface_create(CAIRO_FORMAT_ARGB32, image.width, image.height));
        const Transform to_pixels =
            Transform{static_cast<double>(image.width),   0, 0,
                      static_cast<double>(-image.height), 0, static_cast<double>(image.height)} *
            picture.place.inverse();
        render(Cairo(cairo_create(surface.get())).get(), between(from, to), to_pixels, ThinLines::left_out);
        const raster::RgbImage below = image_of(surface.get());
        // What is wholly transparent stays so: there the areas below are seen with their own sharp edges.
        picture.image = changed(image, [&](const Tint& tint, std::size_t at) {
            return tint.alpha > 0 ? over(tint, pixel(below, at)) : tint;
        });
    }
    if (picture.image != before) picture.ink = picture_ink(*picture.image);
    push(std::move(picture));
}

/// Draws the area and what is seen through it, 10 dots a millimetre; false where there is no room for that.
bool Composer::push_as_picture(const Shape& shape, double alpha, Place from, Place to) {
    Region region{shape.path.flatten({}, tolerance), shape.rule};
    const Box box = geometry::bounds(region.rings);
    const int width = static_cast<int>(std::ceil(box.width() * dots_per_px)),
              height = static_cast<int>(std::ceil(box.height() * dots_per_px));
    const double count = static_cast<double>(width) * height;
    if (width < 1 || height < 1 || count > most_dots || dots() + count > most_dots_in_all) return false;
    const Surface surface(cairo_image_surface_create(CAIRO_FORMAT_ARGB32, width, height));
    if (cairo_surface_status(surface.get()) != CAIRO_STATUS_SUCCESS) return false;
    const Transform to_pixels =
        Transform::scale(width / box.width(), height / box.height()) * Transform::move(-box.left, -box.bottom);
    {
        const Cairo cairo(cairo_create(surface.get()));
        render(cairo.get(), between(from, to), to_pixels, ThinLines::left_out);
        const Rgb rgb = shape.ink.rgb;
        cairo_set_operator(cairo.get(), CAIRO_OPERATOR_OVER);
        cairo_set_source_rgba(cairo.get(), rgb.red / 255.0, rgb.green / 255.0, rgb.blue / 255.0, alpha);
        cairo_paint(cairo.get());  // the area's own edge is the clip
    }
    PlacedPicture picture;
    auto image = std::make_shared<raster::RgbImage>(image_of(surface.get()));
    picture.ink = picture_ink(*image);
    picture.image = std::move(image);
    // The rows go with y: downwards on a page of pixels.
    picture.place = {box.width(), 0, 0, -box.height(), box.left, box.top};
    picture.clip = std::move(region);
    picture.line = shape.line;
    push(std::move(picture));
    return true;
}

Paint Composer::between(Place from, Place to) {
    for (std::size_t i = from.shapes; i < to.shapes; ++i)
        if (art_.shapes[i].ink.kind == InkKind::fill) (void)area(i);
    boxes_.resize(art_.shapes.size());
    return {art_.shapes, alphas_, art_.pictures, from, to, &boxes_};
}

double Composer::room() const {
    constexpr double plenty = most_dots_in_all / 2, share = 1.0 / 500;
    const double left = most_dots_in_all - dots();
    return std::min(most_dots, left > plenty ? plenty : left * share);
}

const Region& Composer::area(std::size_t shape) {
    areas_.resize(art_.shapes.size());
    boxes_.resize(art_.shapes.size());
    if (!areas_[shape]) {
        const Shape& drawn = art_.shapes[shape];
        areas_[shape] = std::make_shared<const Region>(Region{drawn.path.flatten({}, tolerance), drawn.rule});
        boxes_[shape] = geometry::bounds(areas_[shape]->rings);
    }
    return *areas_[shape];
}

bool Composer::under(const Box& box, Place from, Place to) {
    for (std::size_t i = from.shapes; i < to.shapes; ++i)
        if (art_.shapes[i].ink.kind == InkKind::fill && (area(i), geometry::overlap(boxes_[i], box))) return true;
    return std::any_of(art_.pictures.begin() + static_cast<std::ptrdiff_t>(from.pictures),
                       art_.pictures.begin() + static_cast<std::ptrdiff_t>(to.pictures),
                       [&](const PlacedPicture& picture) { return geometry::overlap(bounds(picture), box); });
}

Composer::Sheet Composer::exchange(Sheet sheet) {
    areas_.clear();
    boxes_.clear();
    return {std::exchange(art_.shapes, std::move(sheet.shapes)), std::exchange(alphas_, std::move(sheet.alphas)),
            std::exchange(art_.pictures, std::move(sheet.pictures))};
}

}  // namespace chalkline::art
