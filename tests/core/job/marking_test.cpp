// SPDX-License-Identifier: GPL-3.0-or-later
// The real piece from places marked with the head.
#include <chalkline/job/edits.hpp>
#include <chalkline/job/marking.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck.h>

#include <cmath>
#include <numbers>

using namespace chalkline;
using namespace chalkline::job;
using geometry::Point;

namespace {

double nearest_corner(const Stock& stock, Point mark) {
    double least = 1e9;
    for (const Point corner : stock.outline().points)
        least = std::min(least, geometry::distance(corner, mark));
    return least;
}

}  // namespace

TEST_CASE("two opposite corners give a straight piece, whichever they are") {
    const Stock before{"Lime", Length::mm(4), {0, 0}, 10, 10, 0.3};
    for (const auto& [a, b] :
         {std::pair{Point{20, 30}, Point{120, 90}}, {Point{120, 30}, Point{20, 90}}, {Point{120, 90}, Point{20, 30}}}) {
        const Stock stock = stock_at_marks(MarkedBy::two_corners, {a, b}, before).value();
        CHECK(stock.corner == Point{20, 30});
        CHECK(stock.width == 100);
        CHECK(stock.height == 60);
        CHECK(stock.angle == 0);
        CHECK(stock.material == "Lime");
        CHECK(stock.thickness == Length::mm(4));
    }
    CHECK(stock_at_marks(MarkedBy::two_corners, {{5, 5}, {5.5, 6}}, before).error().code == job::error::marks_too_near);
    CHECK(stock_at_marks(MarkedBy::two_corners, {{5, 5}, {50, 5}}, before).error().code == job::error::marks_in_line);
}

TEST_CASE("three corners in order give the piece with its angle, from any corner, either way round") {
    rc::check([] {
        Stock real{"x", Length::mm(3), {100, 80}, 10.0 + *rc::gen::inRange(0, 200), 10.0 + *rc::gen::inRange(0, 200)};
        real.angle = *rc::gen::inRange(-44, 45) * std::numbers::pi / 180;
        const auto corners = real.outline().points;
        const int first = *rc::gen::inRange(0, 4), way = *rc::gen::element(1, 3);
        std::vector<Point> marks;
        for (int i = 0; i < 3; ++i)
            marks.push_back(corners[static_cast<std::size_t>((first + i * way) % 4)]);
        const Stock found = stock_at_marks(MarkedBy::three_corners, marks, {}).value();
        RC_ASSERT(std::abs(found.angle - real.angle) < 1e-9);
        RC_ASSERT(geometry::distance(found.corner, real.corner) < 1e-6);
        RC_ASSERT(std::abs(found.width - real.width) < 1e-6);
        RC_ASSERT(std::abs(found.height - real.height) < 1e-6);
    });
}

TEST_CASE("three corners that are not quite square keep the first side, and every mark lies near its corner") {
    const std::vector<Point> marks{{100, 50}, {200.05, 70}, {180.1, 170.02}};
    const Stock stock = stock_at_marks(MarkedBy::three_corners, marks, {}).value();
    CHECK(nearest_corner(stock, marks[0]) < 1e-9);
    CHECK(nearest_corner(stock, marks[1]) < 1e-9);
    CHECK(nearest_corner(stock, marks[2]) < 0.2);
    CHECK(stock_at_marks(MarkedBy::three_corners, {{0, 0}, {50, 0}, {100, 0.01}}, {}).error().code ==
          job::error::marks_in_line);
}

TEST_CASE("three places on the edge give a round piece") {
    const auto on_edge = [](double degrees) {
        const double at = degrees * std::numbers::pi / 180;
        return Point{150 + 45 * std::cos(at), 120 + 45 * std::sin(at)};
    };
    const Stock stock = stock_at_marks(MarkedBy::round, {on_edge(10), on_edge(130), on_edge(250)}, {}).value();
    CHECK(stock.form == Stock::Form::ellipse);
    CHECK(stock.width == Approx(90));
    CHECK(stock.height == Approx(90));
    CHECK(geometry::distance(stock.middle(), {150, 120}) < 1e-6);
    CHECK(stock_at_marks(MarkedBy::round, {{0, 0}, {50, 0.1}, {100, 0}}, {}).error().code == job::error::marks_in_line);
}

TEST_CASE("the job keeps its place on a piece that turns out to lie elsewhere") {
    auto art = std::make_shared<art::Artwork>();
    art->page = {20, 10};
    art->hull = {{0, 0}, {20, 0}, {20, 10}, {0, 10}};
    Job job = add_art({}, art, {});
    job.stock = Stock{"x", Length::mm(3), {50, 50}, 100, 60};
    job.motifs[0].place = geometry::Transform::move(60, 60);
    Stock real = *job.stock;
    real.corner = {120, 70};
    real.angle = 0.2;
    const auto on_piece = [](const Job& j) { return j.stock->place().inverse()(j.motifs[0].place({20, 10})); };
    const Point before = on_piece(job);
    const Job moved = place_stock(job, real, true).value();
    CHECK(geometry::distance(on_piece(moved), before) < 1e-9);
    CHECK(place_stock(job, real, false).value().motifs[0].place == job.motifs[0].place);
    job.motifs[0].locked = true;
    CHECK(place_stock(job, real, true).value().motifs[0].place == job.motifs[0].place);
}
