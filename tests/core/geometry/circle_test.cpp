// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/geometry/circle.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck.h>

#include <algorithm>

using namespace chalkline::geometry;

TEST_CASE("a circle goes through three points, and through none on one line") {
    const auto circle = circle_through({10, 0}, {0, 10}, {-10, 0});
    REQUIRE(circle);
    CHECK(distance(circle->middle, {0, 0}) < 1e-12);
    CHECK(circle->radius == Approx(10));
    CHECK_FALSE(circle_through({0, 0}, {5, 5}, {9, 9}));
}

TEST_CASE("the smallest circle holds every point, and no smaller one through two or three of them does") {
    rc::check([] {
        std::vector<Point> points;
        const int count = *rc::gen::inRange(1, 14);
        for (int i = 0; i < count; ++i)
            points.push_back(
                {static_cast<double>(*rc::gen::inRange(-50, 50)), static_cast<double>(*rc::gen::inRange(-50, 50))});
        const Circle found = smallest_circle(points);
        const auto holds_all = [&](const Circle& circle) {
            return std::all_of(points.begin(), points.end(),
                               [&](Point p) { return distance(circle.middle, p) <= circle.radius + 1e-7; });
        };
        RC_ASSERT(holds_all(found));
        // The best of all candidates, tried one by one.
        double least = 1e9;
        if (holds_all({points[0], 0})) least = 0;
        for (const Point a : points)
            for (const Point b : points) {
                const Circle two{(a + b) * 0.5, distance(a, b) / 2};
                if (holds_all(two)) least = std::min(least, two.radius);
                for (const Point c : points)
                    if (const auto three = circle_through(a, b, c); three && holds_all(*three))
                        least = std::min(least, three->radius);
            }
        RC_ASSERT(found.radius <= least + 1e-6);
    });
}
