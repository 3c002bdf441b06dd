// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/planning/proof.hpp>
#include <chalkline/raster/resample.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace chalkline::planning {
namespace {

using geometry::Box;
using geometry::Point;
using geometry::Transform;

constexpr double skew_slack = 1e-9;

/// From pixels of the proof (right and down from its upper left corner) to pixels of the picture.
raster::PixelMap pixels_to_source(const Proof& proof, const Transform& to_bed, const raster::RgbImage& image) {
    const Transform from_bed = to_bed.inverse(), level = Transform::turn(proof.angle);
    const auto source = [&](double x, double y) {
        const Point on_level{proof.left + x * proof.pitch, proof.bottom + (proof.dots.height - y) * proof.pitch};
        const Point unit = from_bed(level(on_level));
        return Point{unit.x * image.width, (1 - unit.y) * image.height};
    };
    const Point origin = source(0, 0), right = source(1, 0) - origin, down = source(0, 1) - origin;
    return {right.x, down.x, origin.x, right.y, down.y, origin.y};
}

bool lies_straight(const raster::PixelMap& map) {
    const double size = std::abs(map[0]) + std::abs(map[1]);
    return (std::abs(map[1]) < skew_slack * size && std::abs(map[3]) < skew_slack * size) ||
           (std::abs(map[0]) < skew_slack * size && std::abs(map[4]) < skew_slack * size);
}

/// Nothing burns beyond a picture that lies askew in its frame.
void clear_outside(raster::Dots& dots, const raster::PixelMap& map, const raster::RgbImage& image) {
    for (int y = 0; y < dots.height; ++y)
        for (int x = 0; x < dots.width; ++x) {
            const double sx = map[0] * (x + 0.5) + map[1] * (y + 0.5) + map[2];
            const double sy = map[3] * (x + 0.5) + map[4] * (y + 0.5) + map[5];
            if (sx < 0 || sy < 0 || sx > image.width || sy > image.height) dots.row(y)[x] = 0;
        }
}

}  // namespace

Transform Proof::to_bed() const {
    return Transform::turn(angle) * Transform::move(left, bottom) * Transform::scale(pitch, pitch);
}

int Proof::blob_dots() const {
    return std::max(1, static_cast<int>(std::lround(blob / pitch)));
}

Box Proof::box() const {
    Box box;
    const double width = dots.width, height = dots.height;
    for (const Point corner : {Point{0, 0}, Point{width, 0}, Point{width, height}, Point{0, height}})
        if (width > 0 && height > 0) box.add(to_bed()(corner));
    return box;
}

Proof proof_of(const job::Motif& motif, std::size_t picture, const job::Step& step) {
    const steps::StepSettings& settings = step.settings;
    const art::PlacedPicture& placed = motif.art->pictures[picture];
    const raster::RgbImage& image = *placed.image;
    const Transform to_bed = motif.place * placed.place;
    Proof proof{motif.id, step.id, {}, settings.fill.angle * std::numbers::pi / 180, 0, 0, settings.line_pitch.mm()};
    const Transform to_level = Transform::turn(-proof.angle) * to_bed;
    Box frame;
    for (const Point corner : {Point{0, 0}, Point{1, 0}, Point{1, 1}, Point{0, 1}})
        frame.add(to_level(corner));
    // Whole dots that fit: a picture as large as the bed stays on it.
    const double columns = std::max(1.0, std::floor(frame.width() / proof.pitch + 1e-6));
    const double rows = std::max(1.0, std::floor(frame.height() / proof.pitch + 1e-6));
    if (to_bed.area() == 0 || image.pixels.empty() || columns * rows > most_dots) return proof;
    proof.left = frame.left;
    proof.bottom = frame.bottom;
    proof.dots = raster::Dots(static_cast<int>(columns), static_cast<int>(rows));
    const auto map = pixels_to_source(proof, to_bed, image);
    auto grey = raster::seen_through(raster::to_grey(image), map, proof.dots.width, proof.dots.height);
    grey = raster::toned(std::move(grey), motif.tone, proof.pitch);
    const auto light = raster::to_light(grey, settings.picture.response, settings.picture.burns_light);
    proof.dots = raster::dither(light, settings.picture.dots);
    if (!lies_straight(map)) clear_outside(proof.dots, map, image);
    proof.statistics = raster::statistics(proof.dots, proof.blob_dots());
    return proof;
}

}  // namespace chalkline::planning
