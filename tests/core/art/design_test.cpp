// SPDX-License-Identifier: GPL-3.0-or-later
#include "doubles.hpp"
#include "drawings.hpp"

#include <chalkline/art/design.hpp>

#include <catch2/catch.hpp>

#include <cmath>
#include <numbers>

using namespace chalkline;
using namespace chalkline::art;
using namespace drawings;
using Form = FormDesign::Form;

namespace {

Artwork form(Form kind, double width, double height, double corner = 0, int sides = 6, bool filled = true) {
    return draw({FormDesign{kind, width, height, corner, sides}, {0, 0, 0}, filled}).value();
}

double area(const Artwork& art) {
    return measured_inks(art).at(0).area;
}

}  // namespace

TEST_CASE("forms have their size and area") {
    CHECK(area(form(Form::rectangle, 40, 20)) == Approx(800));
    CHECK(area(form(Form::rectangle, 40, 20, 5)) == Approx(800 - (4 - std::numbers::pi) * 25).epsilon(1e-3));
    CHECK(area(form(Form::rectangle, 40, 20, 99)) == Approx(area(form(Form::slot, 40, 20))));
    CHECK(area(form(Form::ellipse, 40, 20)) == Approx(std::numbers::pi * 200).epsilon(1e-3));
    CHECK(area(form(Form::slot, 20, 40)) == Approx(20 * 20 + std::numbers::pi * 100).epsilon(1e-3));
    const Artwork hexagon = form(Form::polygon, 40, 40);
    CHECK(area(hexagon) == Approx(1.5 * std::sqrt(3.0) * 400).epsilon(1e-6));
    CHECK(bounds(hexagon).height() == Approx(40));
    CHECK(hexagon.page.y == Approx(40));
    const Artwork line = form(Form::line, 30, 40);
    CHECK(measured_inks(line).at(0).length == Approx(50));
    CHECK(line.shapes[0].ink.kind == InkKind::line);
}

TEST_CASE("forms that cannot be drawn say so") {
    const auto code = [](const FormDesign& what) { return draw({what, {}, false}).error().code; };
    CHECK(code({Form::rectangle, 0, 20, 0, 6}) == art::error::bad_design);
    CHECK(code({Form::ellipse, 10, -1, 0, 6}) == art::error::bad_design);
    CHECK(code({Form::polygon, 10, 10, 0, 2}) == art::error::bad_design);
    CHECK(code({Form::line, 0, 0, 0, 6}) == art::error::bad_design);
    CHECK(draw({FreehandDesign{{{1, 1}}, false}, {}, false}).error().code == art::error::bad_design);
    CHECK(draw({TextDesign{}, {}, false}).error().code == art::error::no_lettering);
}

TEST_CASE("a freehand line keeps the points it needs, and ends that nearly meet do") {
    std::vector<geometry::Point> way;
    for (int i = 0; i <= 100; ++i)
        way.push_back({i * 0.5, i % 2 * 0.05});
    for (int i = 1; i <= 60; ++i)
        way.push_back({50, i * 0.5});
    const auto open = std::get<FreehandDesign>(freehand(way).what);
    CHECK_FALSE(open.closed);
    REQUIRE(open.points.size() == 3);
    CHECK(geometry::distance(open.points[1], {50, 0}) < 0.2);
    for (const geometry::Point back : {geometry::Point{0, 30}, {0, 1}})
        way.push_back(back);
    const auto closed = std::get<FreehandDesign>(freehand(way).what);
    CHECK(closed.closed);
    CHECK(closed.points.size() == 4);
}

TEST_CASE("text has the height of its capitals and stands where it is aligned") {
    const BoxLetters letters;
    const Outside outside{nullptr, &letters, {}};
    TextDesign text;
    text.text = "ab";
    text.height = 10;
    const auto box = [&](const TextDesign& what) { return bounds(draw({what, {}, true}, outside).value()); };
    const geometry::Box straight = box(text);
    CHECK(straight.height() == Approx(10));
    text.text = "ab\nabcd";
    const Artwork two = draw({text, {}, true}, outside).value();
    CHECK(bounds(two).width() == Approx(2 * straight.width()).epsilon(0.2));
    CHECK(two.name == "ab");
    text.text = " \n";
    CHECK(draw({text, {}, true}, outside).error().code == art::error::no_text);
}

TEST_CASE("text on a circle keeps its distance from the middle") {
    const BoxLetters letters;
    const Outside outside{nullptr, &letters, {}};
    TextDesign text;
    text.text = "abcdefgh";
    text.height = 5;
    for (const double radius : {30.0, -30.0}) {
        text.radius = radius;
        const Artwork art = draw({text, {}, true}, outside).value();
        const geometry::Point middle{-art.origin.x, -radius - art.origin.y};
        for (const auto& line : art.shapes[0].path.flatten())
            for (const auto point : line.points) {
                const double from = geometry::distance(point, middle);
                CHECK(from > (radius > 0 ? 29.9 : 24.0));
                CHECK(from < (radius > 0 ? 36.0 : 30.5));
            }
    }
}
