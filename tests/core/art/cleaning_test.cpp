// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawings.hpp"

#include <chalkline/art/cleaning.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

using namespace chalkline;
using namespace chalkline::art;

namespace {

Artwork red_lines(const std::string& inside) {
    return drawings::drawing(inside, "stroke='#f00' fill='none'");
}

int count(const std::vector<Find>& finds, Fault fault) {
    return static_cast<int>(
        std::count_if(finds.begin(), finds.end(), [fault](const Find& find) { return find.fault == fault; }));
}

double line_length(const Artwork& art) {
    double sum = 0;
    for (const auto& ink : measured_inks(art))
        sum += ink.length;
    return sum;
}

Artwork clean(const std::string& inside, std::vector<Fault> kinds) {
    return mended(red_lines(inside), kinds, {});
}

const std::string square = "<rect x='10' y='10' width='20' height='20'/>";

}  // namespace

TEST_CASE("a line drawn twice burns once") {
    SECTION("the same shape again") {
        CHECK(line_length(clean(square + square, {Fault::doubled_line})) == Approx(80));
    }
    SECTION("reversed and begun at another corner") {
        CHECK(line_length(clean(square + "<path d='M30 30V10H10V30Z'/>", {Fault::doubled_line})) == Approx(80));
    }
    SECTION("as four single lines") {
        const auto lines = "<path d='M10 10H30'/><path d='M30 10V30'/><path d='M30 30H10'/><path d='M10 30V10'/>";
        CHECK(line_length(clean(square + lines, {Fault::doubled_line})) == Approx(80));
    }
    SECTION("split differently, off by less than the limit") {
        CHECK(line_length(clean("<path d='M0 5H50'/><path d='M0 5.015H20'/><path d='M20 5.015H50'/>",
                                {Fault::doubled_line})) == Approx(50));
    }
    SECTION("overlapping in part: only what is new stays") {
        const Artwork art = clean("<path d='M0 5H50'/><path d='M40 5H60'/>", {Fault::doubled_line});
        CHECK(line_length(art) == Approx(60).margin(0.05));
        CHECK(bounds(art).right == Approx(60));
    }
    SECTION("there and back in one path") {
        CHECK(line_length(clean("<path d='M0 5H50H0'/>", {Fault::doubled_line})) == Approx(50).margin(0.05));
    }
    SECTION("a curve cut into other curves") {
        const Artwork art = clean(
            "<path d='M10 20a10 10 0 0 1 20 0'/><path d='M10 20a10 10 0 0 1 10 -10'/><path d='M20 10a10 10 0 0 1 10 "
            "10'/>",
            {Fault::doubled_line});
        CHECK(line_length(art) == Approx(10 * 3.14159265).epsilon(0.002));
    }
}

TEST_CASE("neighbours, crossings and other inks are not doubled") {
    const std::string grid =
        "<path d='M0 0H50'/><path d='M0 0.08H50'/><path d='M10 -5V20'/><path d='M0 0L50 1'/>"
        "<path d='M0 0H50' stroke='#00f'/>";
    CHECK(count(examine(red_lines(grid), {}), Fault::doubled_line) == 0);
    const std::string circle = "<circle cx='30' cy='20' r='0.5'/><circle cx='60' cy='20' r='15'/>";
    CHECK(count(examine(red_lines(circle), {}), Fault::doubled_line) == 0);
}

TEST_CASE("what was drawn twice is found where it lies, with what mending saves") {
    const auto finds = examine(red_lines(square + "<path d='M10 10H30'/>"), {});
    REQUIRE(finds.size() == 1);
    CHECK(finds[0].fault == Fault::doubled_line);
    CHECK(finds[0].length == Approx(20));
    CHECK(finds[0].place.left == Approx(10));
    CHECK(finds[0].place.bottom == Approx(40));
    CHECK(finds[0].place.right == Approx(30));
}

TEST_CASE("two edges of a traced line become its middle") {
    const auto ring =
        "<rect x='10' y='10' width='30' height='20'/><rect x='10.4' y='10.4' width='29.2' height='19.2'/>";
    CHECK(count(examine(red_lines(ring), {}), Fault::doubled_outline) == 1);
    const Artwork art = clean(ring, {Fault::doubled_outline});
    REQUIRE(art.shapes.size() == 1);
    CHECK(bounds(art).left == Approx(10.2).margin(0.01));
    CHECK(bounds(art).width() == Approx(29.6).margin(0.02));
    CHECK(line_length(art) == Approx(98.4).epsilon(0.005));

    CHECK(count(examine(red_lines("<circle cx='20' cy='20' r='10'/><circle cx='20' cy='20' r='9'/>"), {}),
                Fault::doubled_outline) == 0);
    CHECK(count(examine(red_lines("<circle cx='20' cy='20' r='10'/><circle cx='20.6' cy='20' r='9.3'/>"), {}),
                Fault::doubled_outline) == 0);
}

TEST_CASE("bits smaller than the beam and fills without area go") {
    const std::string bits =
        "<path d='M5 5h0.05'/><rect x='20' y='20' width='0.05' height='0.05'/><path d='M5 9h3'/><path d='M1 1h5h-5z' "
        "fill='#000' stroke='none'/>"
        "<rect x='2' y='2' width='0.04' height='0.05' fill='#000' stroke='none'/>"
        "<rect x='12' y='2' width='4' height='5' fill='#000' stroke='none'/>";
    const auto finds = examine(red_lines(bits), {});
    CHECK(count(finds, Fault::tiny_bit) == 3);
    CHECK(count(finds, Fault::empty_fill) == 1);
    const Artwork art = clean(bits, {Fault::tiny_bit, Fault::empty_fill});
    CHECK(art.shapes.size() == 2);
    CHECK(clean(bits, {}).shapes.size() == 6);
}

TEST_CASE("ends that nearly meet are joined where a line goes on, and where a contour closes") {
    const auto found = [](const std::string& inside) { return count(examine(red_lines(inside), {}), Fault::open_end); };
    const auto joined = [](const std::string& inside) { return clean(inside, {Fault::open_end}); };
    CHECK(found("<path d='M10 10H30V30H10V10.2'/>") == 1);
    CHECK(measured_inks(joined("<path d='M10 10H30V30H10V10.2'/>"))[0].closed == 1);
    CHECK(found("<path d='M10 10H30'/><path d='M50 10H30.2'/>") == 1);
    const Artwork line = joined("<path d='M10 10H30'/><path d='M50 10H30.2'/>");
    REQUIRE(line.shapes.size() == 1);
    CHECK(line_length(line) == Approx(40));
    // Four lines of a rectangle, no corner exact: one ring.
    const std::string sides =
        "<path d='M10 10H30'/><path d='M30.1 10.1V30'/><path d='M30 30H10.2'/><path d='M10 29.9V10.1'/>";
    CHECK(found(sides) == 4);
    const Artwork ring = joined(sides);
    REQUIRE(ring.shapes.size() == 1);
    CHECK(measured_inks(ring)[0].closed == 1);

    CHECK(found("<path d='M10 10H30V30H10V11'/>") == 0);                  // too far
    CHECK(found("<path d='M40 10H50'/><path d='M50.1 10.1V20'/>") == 0);  // a corner that closes nothing
    CHECK(found("<path d='M10 10H30'/><path d='M30 10V30'/>") == 0);      // they meet
    std::string hatch, dashes;
    for (int i = 0; i < 6; ++i) {
        const std::string y = std::to_string(10 + i * 0.2), x = std::to_string(10 + i * 2.2);
        hatch += "<path d='M10 " + y + "H30'/>";
        dashes += "<path d='M" + x + " 40h2'/>";
    }
    CHECK(found(hatch) == 0);
    CHECK(found(dashes) == 0);
}

TEST_CASE("a contour drawn again within the tolerance goes as a whole or not at all") {
    const std::string circle = "<circle cx='30' cy='20' r='10'/>";
    std::string polygon;
    for (int i = 0; i < 40; ++i)
        polygon += (i == 0 ? "M" : "L") + std::to_string(30 + 10.02 * std::cos(i * 0.157079633)) + " " +
                   std::to_string(20 + 10.02 * std::sin(i * 0.157079633));
    const Artwork one = clean("<path d='" + polygon + "Z'/>" + circle, {Fault::doubled_line});
    REQUIRE(one.shapes.size() == 1);
    CHECK(one.shapes[0].path.closed());
    CHECK(one.shapes[0].path.flatten()[0].points.size() > 40);  // the circle stayed
    // A little farther off it comes and goes within the tolerance: nothing is cut out of it.
    const std::string off = "<circle cx='30.06' cy='20' r='10'/>";
    CHECK(count(examine(red_lines(circle + off), {}), Fault::doubled_line) == 0);
}

TEST_CASE("the same line in two inks is told and left as it is") {
    const std::string blue = "<rect x='10' y='10' width='20' height='20' stroke='#00f'/>";
    const auto finds = examine(red_lines(square + blue), {});
    CHECK(count(finds, Fault::two_inks) == 1);
    CHECK(count(finds, Fault::doubled_line) == 0);
    CHECK(line_length(clean(square + blue, {Fault::doubled_line, Fault::open_end})) == Approx(160));
}

TEST_CASE("mended art has nothing left to mend, and clean art stays as it is") {
    const std::vector<Fault> all{Fault::empty_fill, Fault::tiny_bit, Fault::doubled_line, Fault::doubled_outline,
                                 Fault::open_end};
    rc::check([&all] {
        std::string inside;
        const int n = *rc::gen::inRange(1, 12);
        for (int i = 0; i < n; ++i) {
            const auto at = [] { return std::to_string(*rc::gen::inRange(0, 12) * 4); };
            inside += "<path d='M" + at() + " " + at() + "L" + at() + " " + at() + "L" + at() + " " + at() + "'/>";
        }
        const Artwork art = red_lines(inside);
        const Artwork once = mended(art, all, {});
        RC_ASSERT(count(examine(once, {}), Fault::doubled_line) == 0);
        RC_ASSERT(line_length(once) <= line_length(art) + 1e-6);
    });
    const Artwork art = red_lines(square);
    CHECK(mended(art, all, {}).shapes[0].path == art.shapes[0].path);
}

TEST_CASE("cleaning is part of how art is read") {
    ReadOptions options;
    options.mend = {Fault::doubled_line};
    options.removed = {1};
    const Artwork art = red_lines(square + "<path d='M1 1H5'/>" + square);
    const auto again = read_again(art, options, {});
    REQUIRE(again);
    CHECK(again->shapes.size() == 1);
    CHECK(line_length(*again) == Approx(80));
    CHECK(again->read_with == options);
}

TEST_CASE("shapes off the bed are named") {
    const geometry::Region bed{{geometry::outline(geometry::Box{0, 0, 100, 50})}};
    CHECK(shapes_outside(red_lines(square + "<path d='M-9 -9H-5'/><path d='M-9 9H5'/>"), bed) == std::vector<int>{1});
}
