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

using Strokes = std::vector<std::vector<geometry::Point>>;

/// Strokes 6 pixels wide with round ends, pixels, Y down.
raster::RgbImage pen_drawing(const Strokes& strokes) {
    return drawn(600, 400, [&](double x, double y) {
        for (const auto& stroke : strokes)
            for (std::size_t i = 1; i < stroke.size(); ++i)
                if (geometry::distance(geometry::nearest_on_line({x, y}, stroke[i - 1], stroke[i]), {x, y}) <= 3)
                    return true;
        return false;
    });
}

/// How far the traced lines come from the drawn ones at most, pixels, and how many moves they are.
std::pair<double, std::size_t> apart(const Artwork& art, const Strokes& strokes) {
    double most = 0;
    std::size_t moves = 0;
    for (const Shape& shape : art.shapes)
        for (const auto& line : shape.path.flatten()) {
            moves += line.points.size() - (line.closed ? 0 : 1);
            for (const geometry::Point mm : line.points) {
                const geometry::Point p{mm.x * 10, 400 - mm.y * 10};
                double least = 1e9;
                for (const auto& stroke : strokes)
                    for (std::size_t i = 1; i < stroke.size(); ++i)
                        least = std::min(least,
                                         geometry::distance(geometry::nearest_on_line(p, stroke[i - 1], stroke[i]), p));
                most = std::max(most, least);
            }
        }
    return {most, moves};
}

/// How near a corner of the traced lines comes to a place, pixels.
double nearest_corner(const Artwork& art, geometry::Point place) {
    double least = 1e9;
    for (const Shape& shape : art.shapes)
        for (const auto& line : shape.path.flatten())
            for (const geometry::Point mm : line.points)
                least = std::min(least, geometry::distance({mm.x * 10, 400 - mm.y * 10}, place));
    return least;
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

TEST_CASE("a page that was lit unevenly gives what it gives in even light") {
    const auto dark = [](double x, double y) {
        return in_ring(x, y, 60, 100) || (x > 330 && x < 380 && y > 20 && y < 280) || (std::abs(y - 280) < 3);
    };
    auto image = drawn(400, 300, dark);
    const double even = summary_of(trace(image, {}), "#000000:fill").area;
    for (const bool across : {true, false}) {
        auto shaded = image;
        for (int y = 0; y < 300; ++y)
            for (int x = 0; x < 400; ++x) {
                const double light = 1 - 0.65 * (across ? x / 399.0 : y / 299.0);  // from 100 to 35 %
                Rgb& pixel = shaded.at(x, y);
                pixel.red = pixel.green = pixel.blue = static_cast<std::uint8_t>(pixel.green * light);
            }
        CHECK(summary_of(trace(shaded, {}), "#000000:fill").area == Approx(even).epsilon(0.03));
    }
    // A grey that is drawn is no shadow.
    const auto grey = drawn(400, 300, [](double x, double) { return x < 100; });
    CHECK(summary_of(trace(grey, {}), "#000000:fill").area == Approx(300).epsilon(0.01));
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
    CHECK(arms.shapes == 2);
    CHECK(arms.length == Approx(50).epsilon(0.05));
}

TEST_CASE("strokes come back as the lines that were drawn: straight, with their corners, through crossings") {
    TraceOptions how;
    how.centre_lines = true;
    const auto traced = [&](const Strokes& strokes) { return trace(pen_drawing(strokes), how); };
    SECTION("corners") {
        const Strokes strokes{{{50, 50}, {50, 300}, {350, 300}, {500, 120}}};
        const Artwork art = traced(strokes);
        CHECK(art.shapes.size() == 1);
        CHECK(nearest_corner(art, {50, 300}) < 2);
        CHECK(nearest_corner(art, {350, 300}) < 2);
        CHECK(apart(art, strokes).first < 1);
        CHECK(apart(art, strokes).second <= 6);
    }
    SECTION("a ring with corners") {
        const Strokes strokes{{{100, 100}, {400, 130}, {360, 330}, {120, 300}, {100, 100}}};
        const Artwork art = traced(strokes);
        REQUIRE(art.shapes.size() == 1);
        CHECK(summary_of(art, "#000000:line").closed == 1);
        for (const geometry::Point corner : strokes[0])
            CHECK(nearest_corner(art, corner) < 2);
        CHECK(apart(art, strokes).second <= 8);
    }
    SECTION("T and X") {
        const Strokes strokes{{{50, 100}, {550, 120}}, {{300, 110}, {310, 350}}, {{60, 200}, {540, 330}}};
        const Artwork art = traced(strokes);
        CHECK(art.shapes.size() == 3);
        CHECK(apart(art, strokes).first < 1);
        CHECK(apart(art, strokes).second <= 8);
    }
    SECTION("nine strokes are tens of moves") {
        Strokes strokes;
        for (int i = 0; i < 4; ++i) {
            strokes.push_back({{40.0, 60 + i * 90.0}, {560.0, 80 + i * 80.0}});
            strokes.push_back({{80 + i * 140.0, 30}, {60 + i * 150.0, 370}});
        }
        strokes.push_back({{20, 20}, {580, 385}});
        const Artwork art = traced(strokes);
        CHECK(art.shapes.size() <= 12);
        CHECK(apart(art, strokes).second <= 60);
        CHECK(apart(art, strokes).first < 3);
    }
}
