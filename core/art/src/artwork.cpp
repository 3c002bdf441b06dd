// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/artwork.hpp>
#include <chalkline/art/picture_area.hpp>
#include <chalkline/geometry/combine.hpp>
#include <chalkline/geometry/hull.hpp>

#include <algorithm>
#include <limits>
#include <map>

namespace chalkline::art {
namespace {

/// Groups the shapes by ink in order of first appearance and lets `look` add its facts.
template <class Look>
std::vector<InkSummary> gather(const Artwork& artwork, Look look) {
    std::map<Ink, std::size_t> place;
    std::vector<InkSummary> result;
    for (const Shape& shape : artwork.shapes) {
        const auto [found, fresh] = place.try_emplace(shape.ink, result.size());
        if (fresh) result.push_back({.ink = shape.ink, .box = {}});
        InkSummary& summary = result[found->second];
        ++summary.shapes;
        look(summary, shape);
    }
    for (const PlacedPicture& picture : artwork.pictures) {
        const auto [found, fresh] = place.try_emplace(picture.ink, result.size());
        if (fresh) result.push_back({.ink = picture.ink, .box = {}});
        InkSummary& summary = result[found->second];
        ++summary.shapes;
        summary.box.add(bounds(picture));
    }
    return result;
}

}  // namespace

std::optional<std::size_t> shape_at(const Artwork& artwork, geometry::Point point, double reach) {
    const auto near = [&](const geometry::Polyline& line) {
        const std::size_t n = line.points.size();
        for (std::size_t i = 0; i + 1 < n + line.closed; ++i) {
            const geometry::Point nearest = geometry::nearest_on_line(point, line.points[i], line.points[(i + 1) % n]);
            if (geometry::distance(point, nearest) <= reach) return true;
        }
        return false;
    };
    for (std::size_t i = artwork.shapes.size(); i-- > 0;) {
        const Shape& shape = artwork.shapes[i];
        const auto lines = shape.path.flatten({}, 0.05);
        if (!geometry::bounds(lines).grown(reach).contains(point)) continue;
        if (shape.ink.kind == InkKind::fill && geometry::contains({lines, shape.rule}, point)) return i;
        if (std::any_of(lines.begin(), lines.end(), near)) return i;
    }
    return {};
}

Ink picture_ink(const raster::RgbImage& image) {
    // FNV-1a over the size and the pixels.
    std::uint32_t hash = 2166136261u;
    const auto add = [&hash](std::uint32_t byte) { hash = (hash ^ byte) * 16777619u; };
    for (const int side : {image.width, image.height})
        for (int shift = 0; shift < 32; shift += 8)
            add(static_cast<std::uint32_t>(side) >> shift & 0xff);
    for (const Rgb pixel : image.pixels) {
        add(pixel.red);
        add(pixel.green);
        add(pixel.blue);
    }
    return {{}, InkKind::picture, hash};
}

geometry::Box bounds(const PlacedPicture& picture) {
    geometry::Box box;
    for (const auto corner : geometry::outline(geometry::Box{0, 0, 1, 1}).points)
        box.add(picture.place(corner));
    if (!picture.clip) return box;
    const geometry::Box clip = geometry::bounds(picture.clip->rings);
    const geometry::Box seen{std::max(box.left, clip.left), std::max(box.bottom, clip.bottom),
                             std::min(box.right, clip.right), std::min(box.top, clip.top)};
    return seen.left < seen.right && seen.bottom < seen.top ? seen : geometry::Box{};
}

std::vector<InkSummary> inks(const Artwork& artwork) {
    return gather(artwork, [](InkSummary&, const Shape&) {});
}

/// Finer than for burning: chords lie inside their arcs and would take per cents from the area of a small letter.
/// Drawings of tens of thousands of shapes are measured as they burn, or waiting for their numbers would be felt.
static double measuring_tolerance(const Artwork& artwork) {
    constexpr std::size_t many_shapes = 20'000;
    return artwork.shapes.size() > many_shapes ? geometry::flattening_tolerance : 0.001;
}

/// What pictures and fills show of one another, by their place in the ink list; pictures cover and are not counted.
static void add_seen_areas(const Artwork& artwork, double tolerance, std::vector<InkSummary>& inks) {
    std::vector<geometry::Region> pile;
    std::vector<InkSummary*> owners;
    auto picture = artwork.pictures.begin();
    const auto add_pictures_below = [&](int number) {
        for (; picture != artwork.pictures.end() && picture->above <= number; ++picture) {
            pile.push_back(opaque_area(*picture));
            owners.push_back(nullptr);
        }
    };
    for (const Shape& shape : artwork.shapes) {
        add_pictures_below(shape.number);
        if (shape.ink.kind != InkKind::fill) continue;
        pile.push_back({shape.path.flatten({}, tolerance), shape.rule});
        owners.push_back(&*std::find_if(inks.begin(), inks.end(),
                                        [&](const InkSummary& summary) { return summary.ink == shape.ink; }));
    }
    add_pictures_below(std::numeric_limits<int>::max());
    const auto areas = geometry::seen_areas(pile);
    for (std::size_t i = 0; i < areas.size(); ++i)
        if (owners[i]) owners[i]->area += areas[i];
}

/// What the fills of each ink cover together.
static void add_covered_areas(const Artwork& artwork, double tolerance, std::vector<InkSummary>& inks) {
    for (InkSummary& summary : inks) {
        std::vector<geometry::Region> regions;
        for (const Shape& shape : artwork.shapes)
            if (shape.ink == summary.ink && shape.ink.kind == InkKind::fill)
                regions.push_back({shape.path.flatten({}, tolerance), shape.rule});
        if (!regions.empty()) summary.area = geometry::covered_area(regions);
    }
}

std::vector<InkSummary> measured_inks(const Artwork& artwork) {
    const double tolerance = measuring_tolerance(artwork);
    auto result = gather(artwork, [&](InkSummary& summary, const Shape& shape) {
        const auto lines = shape.path.flatten({}, tolerance);
        summary.box.add(geometry::bounds(lines));
        summary.length += geometry::length(lines);
        for (const auto& line : lines)
            summary.closed += line.closed;
    });
    (artwork.read_with.cover ? add_seen_areas : add_covered_areas)(artwork, tolerance, result);
    return result;
}

std::vector<geometry::Point> hull_of(const Artwork& artwork) {
    std::vector<geometry::Point> points;
    for (const Shape& shape : artwork.shapes) {
        for (const auto& line : shape.path.flatten())
            points.insert(points.end(), line.points.begin(), line.points.end());
        // Large drawings are taken in parts: the hull of hulls is the hull.
        constexpr std::size_t many = 100'000;
        if (points.size() > many) points = geometry::convex_hull(std::move(points));
    }
    for (const PlacedPicture& picture : artwork.pictures) {
        // A clipped picture counts with the upright box of what is seen.
        const geometry::Box seen = bounds(picture);
        for (const auto corner : geometry::outline(picture.clip ? seen : geometry::Box{0, 0, 1, 1}).points)
            if (!seen.empty()) points.push_back(picture.clip ? corner : picture.place(corner));
    }
    return geometry::convex_hull(std::move(points));
}

geometry::Box bounds_under(const Artwork& artwork, const geometry::Transform& map) {
    geometry::Box box;
    for (const auto point : artwork.hull.empty() ? hull_of(artwork) : artwork.hull)
        box.add(map(point));
    return box;
}

geometry::Box bounds(const Artwork& artwork) {
    geometry::Box box;
    for (const Shape& shape : artwork.shapes)
        box.add(geometry::bounds(shape.path.flatten()));
    for (const PlacedPicture& picture : artwork.pictures)
        box.add(bounds(picture));
    return box;
}

}  // namespace chalkline::art
