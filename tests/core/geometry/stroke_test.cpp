// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/geometry/combine.hpp>
#include <chalkline/geometry/join.hpp>
#include <chalkline/geometry/stroke.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <numbers>

using namespace chalkline::geometry;

namespace {

Polyline square(double at, double side) {
    return outline(Box{at, at, at + side, at + side});
}
Path line(Point a, Point b) {
    Path path;
    path.move_to(a);
    path.line_to(b);
    return path;
}

}  // namespace

TEST_CASE("a round pen inks exactly what lies within half its width") {
    rc::check([] {
        Polyline path;
        const int n = *rc::gen::inRange(2, 7);
        for (int i = 0; i < n; ++i)
            path.points.push_back(
                {static_cast<double>(*rc::gen::inRange(0, 40)) / 4, static_cast<double>(*rc::gen::inRange(0, 40)) / 4});
        path.closed = *rc::gen::arbitrary<bool>();
        const Pen pen{1.0 * *rc::gen::inRange(1, 5), LineCap::round, LineJoin::round, 4};
        const Region inked = stroked({path}, pen, 0.001);
        const auto distance_to = [&](Point p) {
            double least = 1e9;
            const std::size_t sides = path.points.size() - (path.closed ? 0 : 1);
            for (std::size_t i = 0; i < sides; ++i) {
                const Point a = path.points[i], way = path.points[(i + 1) % path.points.size()] - a;
                const double square = dot(way, way);
                const double t = square > 0 ? std::clamp(dot(p - a, way) / square, 0.0, 1.0) : 0;
                least = std::min(least, distance(p, a + way * t));
            }
            return least;
        };
        for (int i = 0; i < 40; ++i) {
            const Point p{static_cast<double>(*rc::gen::inRange(-300, 1300)) / 100,
                          static_cast<double>(*rc::gen::inRange(-300, 1300)) / 100};
            const double away = distance_to(p) - pen.width / 2;
            if (std::abs(away) > 0.01) RC_ASSERT(contains(inked, p) == (away < 0));
        }
    });
}

TEST_CASE("dashes keep the pattern's share of the length, whatever the path") {
    rc::check([] {
        Polyline path;
        const int n = *rc::gen::inRange(2, 9);
        for (int i = 0; i < n; ++i)
            path.points.push_back({static_cast<double>(i) * 3, static_cast<double>(*rc::gen::inRange(0, 9))});
        const double on = *rc::gen::inRange(1, 5) / 4.0, off = *rc::gen::inRange(1, 5) / 4.0;
        const double whole = length(path), inked = length(dashed({path}, {on, off}, 0));
        const double periods = std::floor(whole / (on + off)), rest = whole - periods * (on + off);
        RC_ASSERT(std::abs(inked - (periods * on + std::min(rest, on))) < 1e-6);
    });
}

TEST_CASE("areas together, in common, and lines inside them") {
    const Region a{{square(0, 10)}}, b{{square(5, 10)}};
    const auto area = [](const Region& region) {
        double sum = 0;
        for (const Polyline& ring : region.rings)
            sum += signed_area(ring);
        return sum;
    };
    CHECK(area(united({a, b})) == Approx(175));
    CHECK(area(intersection(a, b)) == Approx(25));
    CHECK(area(intersection(a, {{square(50, 1)}})) == 0);
    const Region ring{{square(0, 10), square(2, 6)}, FillRule::even_odd};
    CHECK(area(united({ring})) == Approx(64));
    const auto parts = parts_inside({{{{-5, 5}, {15, 5}}, false}}, ring);
    CHECK(parts.size() == 2);
    CHECK(length(parts) == Approx(4));
    const auto whole = parts_inside({square(20, 5)}, {{square(0, 40)}});
    REQUIRE(whole.size() == 1);
    CHECK(whole[0].closed);
}

TEST_CASE("the area of very many regions agrees with the exact one") {
    std::vector<Region> many, few;
    for (int i = 0; i < 12000; ++i)
        many.push_back({{square(i % 100 * 0.3, 1.0)}});
    for (int i = 0; i < 100; ++i)
        few.push_back({{square(i * 0.3, 1.0)}});
    CHECK(covered_area(many) == Approx(covered_area(few)).epsilon(0.003));
}

TEST_CASE("pieces that touch become one path, turned where needed") {
    auto joined = join_ends({line({0, 0}, {10, 0}), line({10, 10}, {10.02, 0}), line({10, 10}, {0, 10}),
                             line({0, 0.03}, {0, 10}), line({50, 50}, {60, 50})},
                            0.05);
    REQUIRE(joined.size() == 2);
    CHECK(joined[0].path.closed());
    CHECK(joined[0].first == 0);
    CHECK(length(joined[0].path.flatten()) == Approx(40).margin(0.1));
    CHECK_FALSE(joined[1].path.closed());
    CHECK(join_ends({line({0, 0}, {1, 0}), line({1.1, 0}, {2, 0})}, 0.05).size() == 2);
}

TEST_CASE("a path drawn backwards is the same path") {
    Path path;
    path.move_to({0, 0});
    path.line_to({5, 0});
    path.cubic_to({7, 0}, {9, 2}, {9, 4});
    path.arc_to({9, 9}, {5, 0}, {0, 5}, -std::numbers::pi / 2, std::numbers::pi);
    const Path back = path.reversed();
    CHECK(distance(back.contour_start(), path.current()) < 1e-9);
    CHECK(distance(back.current(), path.contour_start()) < 1e-9);
    CHECK(length(back.flatten()) == Approx(length(path.flatten())));
    auto lines = path.flatten(), again = back.reversed().flatten();
    REQUIRE(lines[0].points.size() == again[0].points.size());
    for (std::size_t i = 0; i < lines[0].points.size(); ++i)
        CHECK(distance(lines[0].points[i], again[0].points[i]) < 1e-9);
}
