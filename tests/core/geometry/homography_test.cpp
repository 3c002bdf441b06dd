// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/geometry/homography.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

using namespace chalkline::geometry;

TEST_CASE("four places and their counterparts say where every other place lies") {
    const std::array<Point, 4> bed{{{0, 0}, {400, 0}, {400, 300}, {0, 300}}};
    const std::array<Point, 4> photo{{{310, 1810}, {2500, 1750}, {2010, 420}, {700, 460}}};
    const auto seen = homography(bed, photo);
    REQUIRE(seen);
    for (std::size_t i = 0; i < 4; ++i)
        CHECK(distance((*seen)(bed[i]), photo[i]) < 1e-6);
    // Straight stays straight: the middle of the bed is where its diagonals cross in the photograph.
    const auto cross = [](Point a, Point b, Point c, Point d) {
        const double t = ((c.x - a.x) * (d.y - c.y) - (c.y - a.y) * (d.x - c.x)) /
                         ((b.x - a.x) * (d.y - c.y) - (b.y - a.y) * (d.x - c.x));
        return a + (b - a) * t;
    };
    CHECK(distance((*seen)({200, 150}), cross(photo[0], photo[2], photo[1], photo[3])) < 1e-6);
    // There and back again.
    const auto back = homography(photo, bed);
    REQUIRE(back);
    rc::check("there and back again", [&] {
        const Point place{*rc::gen::inRange(0, 400) + 0.25, *rc::gen::inRange(0, 300) + 0.5};
        RC_ASSERT(distance((*back)((*seen)(place)), place) < 1e-6);
    });
}

TEST_CASE("three places on one line say nothing") {
    const std::array<Point, 4> square{{{0, 0}, {1, 0}, {1, 1}, {0, 1}}};
    const std::array<Point, 4> flat{{{0, 0}, {1, 0}, {2, 0}, {0, 1}}};
    const std::array<Point, 4> twice{{{0, 0}, {0, 0}, {1, 1}, {0, 1}}};
    CHECK_FALSE(homography(square, flat));
    CHECK_FALSE(homography(flat, square));
    CHECK_FALSE(homography(twice, square));
}
