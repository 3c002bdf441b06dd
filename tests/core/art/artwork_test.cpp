// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/artwork.hpp>

#include <catch2/catch.hpp>

#include <numbers>

using namespace chalkline;
using namespace chalkline::art;
using geometry::Path;

namespace {

Path rectangle(double x, double y, double width, double height) {
    Path path;
    path.move_to({x, y});
    path.line_to({x + width, y});
    path.line_to({x + width, y + height});
    path.line_to({x, y + height});
    path.close();
    return path;
}

const Ink black{{0, 0, 0}, InkKind::fill}, red{{255, 0, 0}, InkKind::line};

}  // namespace

TEST_CASE("inks come in the order they appear, with what they hold") {
    Artwork art;
    art.shapes.push_back({rectangle(0, 0, 10, 10), red, {}, 0.2, 1});
    art.shapes.push_back({rectangle(0, 0, 10, 10), black, {}, 0, 2});
    art.shapes.push_back({rectangle(5, 0, 10, 10), black, {}, 0, 3});
    Path open;
    open.move_to({0, 0});
    open.line_to({3, 4});
    art.shapes.push_back({open, red, {}, 0.2, 4});

    const auto summary = measured_inks(art);
    REQUIRE(summary.size() == 2);
    CHECK(summary[0].ink == red);
    CHECK(summary[0].shapes == 2);
    CHECK(summary[0].closed == 1);
    CHECK(summary[0].length == Approx(45));
    CHECK(summary[0].area == 0);
    CHECK(summary[1].ink == black);
    CHECK(summary[1].area == Approx(150));  // the overlap once
    CHECK(summary[1].box == geometry::Box{0, 0, 15, 10});
    CHECK(bounds(art) == geometry::Box{0, 0, 15, 10});
    CHECK(inks(art)[0].length == 0);  // the cheap list measures nothing
}

TEST_CASE("a hole by the even-odd rule is not painted") {
    Artwork art;
    Path ring = rectangle(0, 0, 10, 10);
    ring.append(rectangle(2, 2, 6, 6));
    art.shapes.push_back({ring, black, geometry::FillRule::even_odd, 0, 0});
    CHECK(measured_inks(art)[0].area == Approx(64));
    art.shapes[0].rule = geometry::FillRule::non_zero;
    CHECK(measured_inks(art)[0].area == Approx(100));
}

TEST_CASE("a drawing with nothing in it has no inks and an empty box") {
    CHECK(inks({}).empty());
    CHECK(bounds(Artwork{}).empty());
}

TEST_CASE("a round area is measured as round") {
    Artwork art;
    Path circle;
    circle.move_to({10, 0});
    circle.arc_to({0, 0}, {10, 0}, {0, 10}, 0, 2 * std::numbers::pi);
    circle.close();
    art.shapes.push_back({circle, black, {}, 0, 0});
    CHECK(measured_inks(art)[0].area == Approx(100 * std::numbers::pi).epsilon(0.002));
}
