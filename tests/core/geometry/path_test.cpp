// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/geometry/path.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <numbers>

using namespace chalkline::geometry;

namespace {

Path circle(double radius) {
    Path path;
    path.move_to({radius, 0});
    path.arc_to({0, 0}, {radius, 0}, {0, radius}, 0, 2 * std::numbers::pi);
    path.close();
    return path;
}

}  // namespace

TEST_CASE("a circle is flattened within the tolerance at the size it is burned") {
    for (const double scale : {0.1, 1.0, 30.0}) {
        const auto lines = circle(10).flatten(Transform::scale(scale, scale));
        REQUIRE(lines.size() == 1);
        CHECK(lines[0].closed);
        const double radius = 10 * scale;
        for (std::size_t i = 0; i < lines[0].points.size(); ++i) {
            const Point a = lines[0].points[i], b = lines[0].points[(i + 1) % lines[0].points.size()];
            CHECK(norm(a) == Approx(radius).margin(0.0011));
            CHECK(norm(between(a, b, 0.5)) > radius - flattening_tolerance - 0.0011);
        }
        CHECK(signed_area(lines[0]) == Approx(std::numbers::pi * radius * radius).epsilon(0.02));
    }
}

TEST_CASE("an arc stays an arc under a skewed map") {
    Path path = circle(10);
    const Transform map{2, 0.5, -1, 1.5, 7, -3};
    Path mapped = path;
    mapped.transform(map);
    // Every point of the mapped arc comes from a point of the circle.
    const auto lines = mapped.flatten();
    for (const Point p : lines[0].points) {
        const double det = map.a * map.d - map.b * map.c;
        const Point q = p - Point{map.e, map.f};
        const Point back{(map.d * q.x - map.c * q.y) / det, (-map.b * q.x + map.a * q.y) / det};
        CHECK(norm(back) == Approx(10).margin(0.002));
    }
}

TEST_CASE("cubic curves stay within the tolerance") {
    rc::prop("distance of the curve's middle points from the chain", [] {
        const auto coordinate = [] { return *rc::gen::inRange(-20000, 20000) / 100.0; };
        const Point p0{coordinate(), coordinate()}, p1{coordinate(), coordinate()}, p2{coordinate(), coordinate()},
            p3{coordinate(), coordinate()};
        Path path;
        path.move_to(p0);
        path.cubic_to(p1, p2, p3);
        const auto lines = path.flatten();
        if (lines[0].points.size() < 2) return;  // all points in one place
        for (int i = 0; i <= 50; ++i) {
            const double t = i / 50.0, s = 1 - t;
            const Point on = p0 * (s * s * s) + p1 * (3 * s * s * t) + p2 * (3 * s * t * t) + p3 * (t * t * t);
            double nearest = 1e9;
            const auto& points = lines[0].points;
            for (std::size_t k = 1; k < points.size(); ++k) {
                const Point way = points[k] - points[k - 1];
                const double along = std::clamp(dot(on - points[k - 1], way) / dot(way, way), 0.0, 1.0);
                nearest = std::min(nearest, distance(on, between(points[k - 1], points[k], along)));
            }
            RC_ASSERT(nearest < flattening_tolerance + 0.0011);
        }
    });
}

TEST_CASE("contours begin and end as drawn") {
    Path path;
    path.move_to({0, 0});
    path.line_to({10, 0});
    path.line_to({10, 10});
    path.close();
    path.line_to({-5, 0});   // after a close a new contour begins where the old one did
    path.move_to({50, 50});  // a lone move draws nothing
    const auto lines = path.flatten();
    REQUIRE(lines.size() == 2);
    CHECK(lines[0].closed);
    CHECK(lines[0].points.size() == 3);
    CHECK(lines[1] == Polyline{{{0, 0}, {-5, 0}}, false});
    CHECK(length(lines[0]) == Approx(20 + std::sqrt(200)));
}

TEST_CASE("a path tells its corners and the ways into them and out of them") {
    Path path;
    path.move_to({0, 0});
    path.line_to({10, 0});
    path.cubic_to({10, 0}, {10, 5}, {15, 5});
    path.arc_to({15, 10}, {5, 0}, {0, 5}, -1.5707963267948966, 1.5707963267948966);
    path.line_to({20, 10});  // of no length: it goes on as the one before
    path.close();
    const auto vertices = path.vertices();
    REQUIRE(vertices.size() == 6);
    const auto check = [](Point found, Point wanted) {
        CHECK(found.x == Approx(wanted.x).margin(1e-9));
        CHECK(found.y == Approx(wanted.y).margin(1e-9));
    };
    check(vertices[0].leaving, {1, 0});
    check(vertices[1].arriving, {1, 0});
    check(vertices[1].leaving, {0, 1});  // its first handle has no length
    check(vertices[2].at, {15, 5});
    check(vertices[2].arriving, {1, 0});
    check(vertices[2].leaving, {1, 0});
    check(vertices[3].arriving, {0, 1});
    check(vertices[4].arriving, {0, 1});
    const double back = 1 / std::sqrt(5);
    check(vertices[5].at, {0, 0});
    check(vertices[5].arriving, {-2 * back, -back});
    check(vertices[5].leaving, {1, 0});
    check(vertices[0].arriving, {-2 * back, -back});
}

TEST_CASE("transforms apply from right to left") {
    const Transform both = Transform::move(10, 0) * Transform::turn(std::numbers::pi / 2);
    const Point p = both({1, 0});
    CHECK(p.x == Approx(10));
    CHECK(p.y == Approx(1));
    CHECK_FALSE((Transform::scale(1e308, 1) * Transform::scale(1e308, 1)).finite());
}

TEST_CASE("an empty box is empty and grows by what it is given") {
    Box box;
    CHECK(box.empty());
    CHECK(box.width() == 0);
    box.add(Point{3, 4});
    CHECK_FALSE(box.empty());
    CHECK(box.contains(Point{3, 4}));
    CHECK(box.grown(1).contains(Point{2.5, 4.5}));
    CHECK(box.contains(Box{}));
}
