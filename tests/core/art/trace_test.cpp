// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawings.hpp"

#include <cmath>
#include <numbers>

using namespace chalkline;
using namespace chalkline::art;
using namespace drawings;

namespace {

/// Hands out one picture, 10 pixels a millimetre, for whatever is decoded.
class OnePicture : public PictureDecoder {
 public:
    explicit OnePicture(raster::RgbImage image) : image_(std::move(image)) {}
    Result<DecodedPicture> decode(std::string_view) const override {
        return DecodedPicture{image_, geometry::Point{10, 10}, false};
    }

 private:
    raster::RgbImage image_;
};

raster::RgbImage drawn(int width, int height, const std::function<bool(double, double)>& dark) {
    raster::RgbImage image(width, height, {255, 255, 255});
    for (int y = 0; y < height; ++y)
        for (int x = 0; x < width; ++x)
            if (dark(x + 0.5, y + 0.5)) image.at(x, y) = {10, 10, 10};
    return image;
}

Artwork trace(const raster::RgbImage& image, const TraceOptions& how) {
    const OnePicture decoder(image);
    ReadOptions options;
    options.trace = how;
    const auto art = read_text("\x89PNG\r\n\x1a\n", options, {&decoder, nullptr, {}});
    REQUIRE(art);
    CHECK(art->pictures.empty());
    CHECK(art->traced_from.size() == 1);
    return *art;
}

bool in_ring(double x, double y, double from, double to) {
    const double r = std::hypot(x - 200, y - 150);
    return r >= from && r <= to;
}

}  // namespace

TEST_CASE("outlines of dark areas lie where the picture is dark, holes included") {
    const auto image = drawn(400, 300, [](double x, double y) { return in_ring(x, y, 60, 100) || x < 20; });
    const Artwork art = trace(image, {});
    REQUIRE(art.shapes.size() == 2);
    const auto area = summary_of(art, "#000000:fill").area;
    CHECK(area == Approx(std::numbers::pi * (100 - 36) + 2 * 30).epsilon(0.01));
    check_box(bounds(art), {0, 0, 30, 30}, 0.15);
}

TEST_CASE("specks are passed over and single shapes can be taken out") {
    const auto image = drawn(400, 300, [](double x, double y) {
        return in_ring(x, y, 0, 50) || (x > 300 && x < 340 && y < 30) || (x < 2 && y < 2);
    });
    TraceOptions how;
    how.speck = 0.4;
    const Artwork art = trace(image, how);
    CHECK(art.shapes.size() == 2);
    const auto at = shape_at(art, {20, 15}, 0.1);
    REQUIRE(at);
    ReadOptions options = art.read_with;
    options.removed = {art.shapes[*at].number};
    const OnePicture decoder(image);
    const auto without = read_again(art, options, {&decoder, nullptr, {}});
    REQUIRE(without);
    CHECK(without->shapes.size() == 1);
    CHECK_FALSE(shape_at(*without, {20, 15}, 0.1));
}

TEST_CASE("centre lines run along the middle of strokes") {
    const auto ring = drawn(400, 300, [](double x, double y) { return in_ring(x, y, 96, 104); });
    TraceOptions how;
    how.centre_lines = true;
    const Artwork round = trace(ring, how);
    REQUIRE(round.shapes.size() == 1);
    const auto line = summary_of(round, "#000000:line");
    CHECK(line.closed == 1);
    CHECK(line.length == Approx(20 * std::numbers::pi).epsilon(0.03));
    const auto lines = round.shapes[0].path.flatten();
    for (const auto& p : lines[0].points)
        CHECK(std::hypot(p.x - 20, p.y - 15) == Approx(10).margin(0.15));

    const auto cross = drawn(400, 300, [](double x, double y) {
        return (std::abs(x - 200) < 4 && y > 50 && y < 250) || (std::abs(y - 150) < 4 && x > 50 && x < 350);
    });
    const auto arms = summary_of(trace(cross, how), "#000000:line");
    CHECK(arms.shapes >= 4);
    CHECK(arms.length == Approx(50).epsilon(0.05));
}
