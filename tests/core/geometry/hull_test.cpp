// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/geometry/hull.hpp>
#include <chalkline/geometry/region.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

using namespace chalkline::geometry;

TEST_CASE("the hull of a cross is its outer corners, counter-clockwise") {
    const auto hull = convex_hull({{0, 1}, {1, 0}, {2, 1}, {1, 2}, {1, 1}, {1, 1}, {1, 0.5}});
    REQUIRE(hull.size() == 4);
    CHECK(signed_area({hull, true}) == Approx(2));
    CHECK(convex_hull({}).empty());
    CHECK(convex_hull({{1, 1}, {1, 1}}).size() == 1);
    CHECK(convex_hull({{0, 0}, {1, 1}, {2, 2}, {3, 3}}).size() == 2);
}

TEST_CASE("the box of the mapped hull is the box of the mapped points") {
    rc::prop("any affine map", [] {
        std::vector<Point> points;
        for (int i = *rc::gen::inRange(1, 60); i > 0; --i)
            points.push_back({*rc::gen::inRange(-500, 500) / 10.0, *rc::gen::inRange(-500, 500) / 10.0});
        const auto number = [] { return *rc::gen::inRange(-30, 31) / 10.0; };
        const Transform map{number(), number(), number(), number(), number(), number()};
        Box all, corners;
        for (const Point p : points)
            all.add(map(p));
        for (const Point p : convex_hull(points))
            corners.add(map(p));
        RC_ASSERT(std::abs(all.left - corners.left) < 1e-9);
        RC_ASSERT(std::abs(all.right - corners.right) < 1e-9);
        RC_ASSERT(std::abs(all.bottom - corners.bottom) < 1e-9);
        RC_ASSERT(std::abs(all.top - corners.top) < 1e-9);
    });
}

TEST_CASE("a map and its inverse lead back") {
    const Transform map = Transform::move(3, -4) * Transform::turn(0.7) * Transform::scale(2, -0.5);
    const Point there = map({5, 6});
    CHECK(distance(map.inverse()(there), {5, 6}) < 1e-12);
    CHECK(map.area() == Approx(-1));
    const Transform about = Transform::about({10, 10}, Transform::turn(1.1));
    CHECK(distance(about({10, 10}), {10, 10}) < 1e-12);
}
