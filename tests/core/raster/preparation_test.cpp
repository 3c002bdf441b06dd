// SPDX-License-Identifier: GPL-3.0-or-later
// What is done to a picture between its file and its dots.
#include <chalkline/raster/dither.hpp>
#include <chalkline/raster/preparation.hpp>
#include <chalkline/raster/resample.hpp>
#include <chalkline/raster/statistics.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck.h>

#include <cmath>
#include <numeric>

using namespace chalkline;
using namespace chalkline::raster;

namespace {

Sight straight_sight(const RgbImage& image, int width, int height, double mm = 0.1) {
    return {{static_cast<double>(image.width) / width, 0, 0, 0, static_cast<double>(image.height) / height, 0},
            width,
            height,
            mm,
            mm};
}

/// A dark disc on a bright ground that is lighter above than below.
RgbImage disc(int side, double radius) {
    RgbImage image(side, side, {});
    for (int y = 0; y < side; ++y)
        for (int x = 0; x < side; ++x) {
            const bool inside = std::hypot(x - side / 2.0, y - side / 2.0) < radius * side;
            const auto ground = static_cast<std::uint8_t>(235 - 30 * y / side);
            image.at(x, y) = inside ? Rgb{90, 60, 40} : Rgb{ground, ground, 210};
        }
    return image;
}

double share_kept(const GreyImage& kept) {
    double sum = 0;
    for (const auto value : kept.pixels)
        sum += value;
    return sum / 65535 / static_cast<double>(kept.pixels.size());
}

double kept_at(const GreyImage& kept, double x, double y) {
    return kept.row(static_cast<int>(y * (kept.height - 1)))[static_cast<int>(x * (kept.width - 1))] / 65535.0;
}

double mean(const GreyImage& image) {
    return std::accumulate(image.pixels.begin(), image.pixels.end(), 0.0) / image.white /
           static_cast<double>(image.pixels.size());
}

}  // namespace

TEST_CASE("a flood from the border takes the ground away and leaves the subject") {
    const RgbImage image = disc(300, 0.3);
    Background background;
    background.way = Background::Way::flood;
    background.tolerance = 0.08;
    const GreyImage kept = raster::kept(image, background, {});
    CHECK(share_kept(kept) == Approx(3.14159 * 0.09).margin(0.01));
    CHECK(kept_at(kept, 0.5, 0.5) == 1);
    CHECK(kept_at(kept, 0.05, 0.05) == 0);
    CHECK(kept_at(kept, 0.95, 0.95) == 0);
    // A tolerance that reaches the subject takes all of it.
    background.tolerance = 1;
    CHECK(share_kept(raster::kept(image, background, {})) == Approx(0).margin(0.001));
    background.strokes = {{true, 0.05, {{0.5, 0.5}}}};
    CHECK(kept_at(raster::kept(image, background, {}), 0.5, 0.5) > 0.99);
}

TEST_CASE("a subject is cut out of a box, strokes have the last word, and it is the same every time") {
    const RgbImage image = disc(240, 0.25);
    Background background;
    background.way = Background::Way::cut_out;
    background.box = {0.15, 0.15, 0.85, 0.85};
    const GreyImage kept = raster::kept(image, background, {});
    CHECK(share_kept(kept) == Approx(3.14159 * 0.0625).margin(0.02));
    CHECK(kept_at(kept, 0.5, 0.5) > 0.99);
    CHECK(kept_at(kept, 0.2, 0.2) < 0.01);
    CHECK(raster::kept(image, background, {}).pixels == kept.pixels);
    background.strokes = {{false, 0.04, {{0.5, 0.5}}}, {true, 0.04, {{0.2, 0.2}, {0.2, 0.25}}}};
    const GreyImage painted = raster::kept(image, background, {});
    CHECK(kept_at(painted, 0.5, 0.5) < 0.01);
    CHECK(kept_at(painted, 0.2, 0.2) > 0.99);
    // A box with nothing round it teaches nothing: all stays.
    background = {.way = Background::Way::cut_out, .box = {0, 0, 1, 1}};
    CHECK(share_kept(raster::kept(image, background, {})) > 0.999);
}

TEST_CASE("a vignette fades an oval inside the crop into nothing") {
    const RgbImage image(200, 100, {0, 0, 0});
    Background background;
    background.vignette = 0.4;
    const GreyImage kept = raster::kept(image, background, {0.5, 0, 1, 1});
    CHECK(kept_at(kept, 0.75, 0.5) > 0.99);
    CHECK(kept_at(kept, 0.52, 0.06) == 0);
    CHECK(kept_at(kept, 0.25, 0.5) == 0);
    double last = 1.1;
    for (double x = 0.75; x <= 0.99; x += 0.02) {
        CHECK(kept_at(kept, x, 0.5) <= last);
        last = kept_at(kept, x, 0.5);
    }
}

TEST_CASE("nothing is taken away from an opaque picture at rest") {
    CHECK(kept(RgbImage(20, 20, {10, 20, 30}), {}, {}).pixels.empty());
    CHECK(kept(RgbImage(), {}, {}).pixels.empty());
}

TEST_CASE("what is transparent never burns, on dark and on light burning material") {
    // Left: opaque mid grey. Right: fully transparent, which the reader lays over white.
    RgbImage image(40, 20, {128, 128, 128});
    image.opacity.assign(image.pixels.size(), 255);
    for (int y = 0; y < 20; ++y)
        for (int x = 20; x < 40; ++x) {
            image.at(x, y) = {255, 255, 255};
            image.opacity[image.index(x, y)] = 0;
        }
    for (const bool burns_light : {false, true}) {
        const GreyImage stays = kept(image, {}, {});
        const GreyImage light = light_of(image, stays, {}, {.burns_light = burns_light}, straight_sight(image, 40, 20));
        CHECK(light.row(10)[36] == 65535);
        CHECK(light.row(10)[5] < 60000);
    }
    // Half transparent black looks mid grey over white and burns half as much as black.
    RgbImage half(8, 8, {127, 127, 127});
    half.opacity.assign(half.pixels.size(), 128);
    const GreyImage light = light_of(half, kept(half, {}, {}), {}, {}, straight_sight(half, 8, 8));
    CHECK(light.row(4)[4] / 65535.0 == Approx(0.5).margin(0.01));
}

TEST_CASE("a part of a large picture is made grey as all of it would be") {
    RgbImage image(300, 200, {});
    for (int y = 0; y < 200; ++y)
        for (int x = 0; x < 300; ++x)
            image.at(x, y) = {static_cast<std::uint8_t>(x * 7 + y), static_cast<std::uint8_t>(x + y * 3), 90};
    const GreyImage whole = seen_through(to_grey(image), {1, 0, 100, 0, 1, 60}, 40, 30);
    const GreyImage part = grey_of(image, {}, {{1, 0, 100, 0, 1, 60}, 40, 30, 0.1, 0.1});
    CHECK(part.pixels == whole.pixels);
}

TEST_CASE("an enlarged edge becomes steep and gets no halo") {
    RgbImage image(20, 8, {60, 60, 60});
    for (int y = 0; y < 8; ++y)
        for (int x = 10; x < 20; ++x)
            image.at(x, y) = {200, 200, 200};
    const GreyImage grey = grey_of(image, {}, straight_sight(image, 200, 80));
    const GreyImage soft = seen_through(to_grey(image), {0.1, 0, 0, 0, 0.1, 0}, 200, 80);
    const auto [least, most] = std::minmax_element(grey.row(40) + 10, grey.row(40) + 190);
    CHECK(*least >= to_grey(image).row(0)[0] - 900);
    CHECK(*most <= to_grey(image).row(0)[19] + 900);
    const auto slope = [](const GreyImage& g) { return g.row(40)[102] - g.row(40)[97]; };
    CHECK(slope(grey) > 1.2 * slope(soft));
}

TEST_CASE("denoising quiets an even area and keeps an edge") {
    RgbImage image(120, 120, {});
    std::uint32_t seed = 5;
    for (int y = 0; y < 120; ++y)
        for (int x = 0; x < 120; ++x) {
            seed = seed * 1664525U + 1013904223U;
            const auto v = static_cast<std::uint8_t>((x < 60 ? 70 : 180) + (seed >> 24U) % 25U);
            image.at(x, y) = {v, v, v};
        }
    const Sight sight = straight_sight(image, 120, 120);
    const auto spread = [](const GreyImage& g, int left) {
        double sum = 0, squares = 0;
        for (int y = 20; y < 100; ++y)
            for (int x = left; x < left + 40; ++x) {
                sum += g.row(y)[x];
                squares += static_cast<double>(g.row(y)[x]) * g.row(y)[x];
            }
        return std::sqrt(squares / 3200 - sum / 3200 * sum / 3200);
    };
    const GreyImage noisy = grey_of(image, {}, sight);
    const GreyImage quiet = grey_of(image, {.denoise = 0.6}, sight);
    CHECK(spread(quiet, 10) < 0.6 * spread(noisy, 10));
    CHECK(quiet.row(60)[64] - quiet.row(60)[55] > 0.8 * (noisy.row(60)[64] - noisy.row(60)[55]));
}

TEST_CASE("local contrast spreads the tones of a dull picture") {
    RgbImage image(160, 160, {});
    for (int y = 0; y < 160; ++y)
        for (int x = 0; x < 160; ++x) {
            const auto v = static_cast<std::uint8_t>(110 + 12 * ((x / 8 + y / 8) % 2));
            image.at(x, y) = {v, v, v};
        }
    const Sight sight = straight_sight(image, 160, 160);
    const auto range = [](const GreyImage& g) {
        const auto [a, b] = std::minmax_element(g.pixels.begin(), g.pixels.end());
        return *b - *a;
    };
    CHECK(range(grey_of(image, {.local_contrast = 1}, sight)) > 1.4 * range(grey_of(image, {}, sight)));
}

TEST_CASE("sparing dots for a wide spot leaves black and white alone and lightens what lies between") {
    CHECK(dot_gain(0.1, 0.1) == Approx(1));
    CHECK(dot_gain(0.05, 0.1) == 1);
    const double gain = dot_gain(0.18, 0.1);
    CHECK(gain > 2);
    GreyImage light(3, 1, 0);
    light.pixels = {0, 32768, 65535};
    spare_gain(light, gain);
    CHECK(light.pixels[0] == 0);
    CHECK(light.pixels[2] == 65535);
    // The share of dots, grown by the gain, covers what was asked for.
    const double share = 1 - light.pixels[1] / 65535.0;
    CHECK(1 - std::pow(1 - share, gain) == Approx(0.5).margin(0.001));
}

TEST_CASE("dots kept apart keep their distance in every method and bear the tone they can") {
    for (const DitherMethod method : dither_methods()) {
        if (method == DitherMethod::grey) continue;
        INFO(to_text(method));
        for (const double wanted : {0.1, 0.9}) {
            const GreyImage light(97, 61, static_cast<std::uint16_t>((1 - wanted) * 65535));
            DitherSettings settings;
            settings.method = method;
            settings.bare_between = 2;
            settings.lone = true;
            const Dots dots = dither(light, settings);
            double burned = 0;
            for (int y = 0; y < dots.height; ++y) {
                int last = -100;
                for (int x = 0; x < dots.width; ++x) {
                    if (dots.row(y)[x] == 0) continue;
                    burned += 1;
                    REQUIRE(x - last > 2);
                    if (y > 0) REQUIRE(dots.row(y - 1)[x] == 0);
                    last = x;
                }
            }
            const double share = burned / static_cast<double>(dots.levels.size());
            CHECK(share <= 0.35);
            if (diffuses_error(method) && method != DitherMethod::atkinson && wanted < 0.2)
                CHECK(share == Approx(wanted).margin(0.01));
        }
    }
}

TEST_CASE("the transfer of the methods that keep tone is straight, that of the threshold a step") {
    for (const auto& point : transfer_of({.method = DitherMethod::floyd_steinberg}))
        CHECK(point.out == Approx(point.in).margin(0.02));
    for (const auto& point : transfer_of({.method = DitherMethod::blue_noise}))
        CHECK(point.out == Approx(point.in).margin(0.03));
    const auto step = transfer_of({.method = DitherMethod::threshold});
    CHECK(step[7].out == 0);
    CHECK(step[9].out == 1);
    // A flat tone below a sixth or so vanishes with Atkinson, as its authors meant it.
    CHECK(transfer_of({.method = DitherMethod::atkinson})[1].out < 1.0 / 16);
}

TEST_CASE("pictures of dots are averaged over whole and broken dots alike") {
    rc::check("the mean of all pixels is the mean of the dots, whatever the size", [] {
        const int width = *rc::gen::inRange(1, 40), height = *rc::gen::inRange(1, 40);
        Dots dots(width, height);
        for (auto& level : dots.levels)
            level = *rc::gen::element<std::uint8_t>(0, 0, 255, 130);
        const int across = *rc::gen::inRange(1, 60), down = *rc::gen::inRange(1, 60);
        const GreyImage seen = averaged(dots, 0, 0, width, height, across, down);
        const double wanted = std::accumulate(dots.levels.begin(), dots.levels.end(), 0.0) / 255 /
                              static_cast<double>(dots.levels.size());
        RC_ASSERT(std::abs(mean(seen) - wanted) < 1e-4);
    });
    // Every second dot burned: no size of the picture shows a pattern that is not there when each pixel holds an even
    // number of dots.
    Dots fine(240, 240);
    for (int y = 0; y < 240; ++y)
        for (int x = 0; x < 240; ++x)
            fine.row(y)[x] = (x + y) % 2 == 0 ? 255 : 0;
    const GreyImage small = averaged(fine, 0, 0, 240, 240, 60, 60);
    for (const auto value : small.pixels)
        REQUIRE(value == Approx(32767.5).margin(1));
    // Beyond the dots nothing burns.
    CHECK(averaged(fine, 240, 0, 300, 60, 4, 4).pixels == std::vector<std::uint16_t>(16, 0));
}

TEST_CASE("a copy for the screen keeps shape and transparency") {
    RgbImage image(900, 300, {200, 100, 50});
    image.opacity.assign(image.pixels.size(), 77);
    const RgbImage small = shrunk(image, 300);
    CHECK(small.width == 300);
    CHECK(small.height == 100);
    CHECK(small.pixels[500] == Rgb{200, 100, 50});
    CHECK(small.opacity[500] == 77);
    CHECK(shrunk(image, 1000).width == 900);
    CHECK(shrunk(RgbImage(4000, 1, {}), 100).height == 1);
}

TEST_CASE("shares worked out without dots are what the dots come to") {
    GreyImage light(192, 96, 0);
    for (int y = 0; y < light.height; ++y)
        for (int x = 0; x < light.width; ++x)
            light.row(y)[x] =
                static_cast<std::uint16_t>(65535 * (0.5 + 0.45 * std::sin(x * 0.03) * std::cos(y * 0.04)));
    for (const DitherMethod method : dither_methods()) {
        INFO(to_text(method));
        const DitherSettings settings{.method = method};
        const GreyImage shares = burned_shares(light, settings);
        const GreyImage burned = averaged(dither(light, settings), 0, 0, 192, 96, 192, 96);
        // The transfer is known at 17 tones: where a method jumps from one to the next it may be off by one of them.
        const bool jumps = method == DitherMethod::threshold || method == DitherMethod::bayer2;
        CHECK(mean(shares) == Approx(mean(burned)).margin(jumps ? 1.0 / 16 : 0.02));
    }
    // 8-bit images too.
    CHECK(burned_shares(GreyImage(4, 4, 0, 255), {}).pixels[5] == 65535);
    CHECK(burned_shares(GreyImage(4, 4, 255, 255), {}).pixels[5] == 0);
}

TEST_CASE("a histogram counts every tone once") {
    GreyImage grey(4, 1, 0, 255);
    grey.pixels = {0, 255, 255, 128};
    const Histogram shares = histogram_of(grey);
    CHECK(shares[0] == 0.25);
    CHECK(shares[63] == 0.5);
    CHECK(std::accumulate(shares.begin(), shares.end(), 0.0) == Approx(1));
    CHECK(histogram_of(GreyImage()).front() == 0);
}
