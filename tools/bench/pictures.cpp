// SPDX-License-Identifier: GPL-3.0-or-later
#include "pictures.hpp"

#include <chalkline/encoding/encoder.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/raster/preparation.hpp>

#include <QImage>
#include <cmath>

namespace chalkline::bench {
namespace {

/// Soft hills and fine grain, the same every time.
raster::RgbImage photograph(int width, int height) {
    raster::RgbImage image(width, height, {});
    std::uint32_t seed = 3;
    for (int y = 0; y < height; ++y)
        for (int x = 0; x < width; ++x) {
            seed = seed * 1664525U + 1013904223U;
            const double hill = 128 + 90 * std::sin(x * 7.0 / width) * std::cos(y * 5.0 / height);
            const auto v = static_cast<std::uint8_t>(hill + (seed >> 24U) % 24U);
            image.at(x, y) = {v, v, static_cast<std::uint8_t>(v / 2 + 60)};
        }
    return image;
}

/// The picture as a job: 300 × 300 mm on a bed that holds it.
job::Job picture_job(raster::RgbImage image) {
    auto art = std::make_shared<art::Artwork>();
    art->page = {300, 300};
    art::PlacedPicture placed;
    placed.ink = art::picture_ink(image);
    placed.image = std::make_shared<const raster::RgbImage>(std::move(image));
    placed.place = geometry::Transform::scale(300, 300);
    art->pictures.push_back(std::move(placed));
    art->hull = art::hull_of(*art);
    return job::place_art(job::add_art({}, art, {}), {0, 0});
}

Figure figure(const char* what, const std::vector<double>& took, const char* reference, double compared) {
    return {what, quantile(took, 0.5), quantile(took, 0.95), reference, compared};
}

}  // namespace

std::vector<Figure> dithering() {
    constexpr int side = 4000, times = 5;
    const raster::GreyImage light = raster::to_plain_grey(photograph(side, side));
    QImage grey(side, side, QImage::Format_Grayscale8);
    for (int y = 0; y < side; ++y)
        for (int x = 0; x < side; ++x)
            grey.scanLine(y)[x] = static_cast<uchar>(light.row(y)[x]);
    QImage mono;
    const auto theirs =
        timed(times, [&](int) { mono = grey.convertToFormat(QImage::Format_Mono, Qt::MonoOnly | Qt::DiffuseDither); });
    raster::Dots dots;
    const auto ours = timed(times, [&](int) { dots = raster::dither(light, {.serpentine = false}); });
    const auto masked =
        timed(times, [&](int) { dots = raster::dither(light, {.method = raster::DitherMethod::blue_noise}); });
    const char* reference = "QImage, diffuse dither to mono";
    return {figure("16 megapixels by Floyd-Steinberg", ours, reference, quantile(theirs, 0.5)),
            figure("16 megapixels by blue noise", masked, reference, quantile(theirs, 0.5))};
}

std::vector<Figure> large_picture() {
    const job::Job job = picture_job(photograph(3000, 3000));
    const machine::MachineProfile machine;
    const raster::GreyImage light = raster::to_plain_grey(*job.motifs[0].art->pictures[0].image);
    const auto dithered = timed(3, [&](int) { raster::dither(light, {}); });
    std::int64_t lines = 0;
    const auto planned = timed(3, [&](int) {
        const auto plan = planning::plan(job, machine);
        if (!plan) return;
        machine::Encoder encoder(plan->program, machine);
        for (machine::ProgramLine line; encoder.next(line);)
            ++lines;
    });
    return {figure("9 megadots, planned and encoded", planned, "dithering them", quantile(dithered, 0.5))};
}

std::vector<Figure> proof_preview() {
    const raster::RgbImage photo = photograph(4000, 3000);
    const raster::RgbImage small = raster::shrunk(photo, 1200);
    raster::Preparation how;
    how.local_contrast = 0.3;
    how.tone.sharpen = 1;
    how.tone.gamma = 1.3;
    const auto sight = [](const raster::RgbImage& image, int width, int height) {
        return raster::Sight{
            {static_cast<double>(image.width) / width, 0, 0, 0, static_cast<double>(image.height) / height, 0},
            width,
            height,
            0.3,
            0.3};
    };
    const auto preview = timed(20, [&](int) { raster::light_of(small, {}, how, {}, sight(small, 640, 480)); });
    const auto whole = timed(3, [&](int) { raster::light_of(photo, {}, how, {}, sight(photo, 3000, 2250)); });
    return {figure("a proof at the screen's size, 12 megapixels", preview, "the same at all its dots",
                   quantile(whole, 0.5))};
}

}  // namespace chalkline::bench
