// SPDX-License-Identifier: GPL-3.0-or-later
#include "cards.hpp"
#include "photographs.hpp"

#include <chalkline/swatches/advice.hpp>
#include <chalkline/swatches/photo.hpp>

#include <catch2/catch.hpp>

#include <algorithm>
#include <cmath>
#include <map>

using namespace chalkline;
using namespace chalkline::swatches;
using chalkline::test::bench;
using chalkline::test::birch;
using chalkline::test::burned_picture;
using chalkline::test::computer;
using chalkline::test::photograph;
using chalkline::test::Photograph;
using geometry::Point;

namespace {

Card dose_card(int columns, int rows, double size = 8) {
    Card card;
    card.material = "Birch ply";
    card.thickness = Length::mm(4);
    card.date = "2026-11-23";
    card.code = "K7Q2";
    card.width = card.height = size;
    card.columns = {Variable::speed, 1000, 11000, columns, true, {}};
    card.rows = Axis{Variable::power, 20, 90, rows, false, {}};
    return card;
}

/// A burn with what was measured.
CardBurn read_from(const raster::RgbImage& photo, const Layout& layout) {
    const auto onto = find_card(photo, layout);
    REQUIRE(onto);
    CardBurn burn{.at = "2026-11-23T13:40:02"};
    for (const auto& [place, seen] : measured(photo, *onto, layout))
        burn.at_place_or_new(place).measured = seen;
    return burn;
}

/// The card from above, a little turned, from a corner, from far away and upside down.
std::vector<Photograph> angles() {
    std::vector<Photograph> all(5);
    all[0].marks = {Point{200, 1050}, {1300, 1050}, {1300, 150}, {200, 150}};
    all[1].marks = {Point{260, 1010}, {1250, 1100}, {1330, 210}, {330, 120}};
    all[2].marks = {Point{150, 1080}, {1380, 980}, {1150, 260}, {330, 200}};
    all[3].marks = {Point{560, 760}, {1030, 790}, {1020, 400}, {570, 380}};
    all[4].marks = {Point{1300, 170}, {250, 150}, {200, 1060}, {1340, 1020}};
    for (std::size_t i = 0; i < all.size(); ++i) {
        all[i].seed = static_cast<unsigned>(i) + 1;
        all[i].shade = 0.15 * static_cast<double>(i);
        all[i].noise = 2 + static_cast<double>(i);
        all[i].quality = 85 - 12 * static_cast<int>(i);
    }
    all[3].blur = 0.8;
    return all;
}

/// As the simulated birch answers a dose.
double answer(const Cell& cell) {
    return cell.dose > 100 ? 1 - std::exp(-(cell.dose - 100) / 700) : 0;
}

/// Share of the pairs that differ visibly whose order was read right.
double share_in_order(const Layout& layout, const CardBurn& burn, double visible) {
    double right = 0, pairs = 0;
    // How dark a swatch is to the eye, against bare.
    const auto truth = [](const Cell& cell) {
        const auto light = [](double share) {
            return test::photo::linear(196) * (1 - share) + test::photo::linear(25) * share;
        };
        return 1 - raster::from_light(light(answer(cell)) / light(0));
    };
    for (const Cell& a : layout.cells)
        for (const Cell& b : layout.cells) {
            if (truth(a) - truth(b) < visible) continue;
            ++pairs;
            right += burn.at_place(a.place)->measured->darkness > burn.at_place(b.place)->measured->darkness;
        }
    REQUIRE(pairs > 50);
    return right / pairs;
}

}  // namespace

TEST_CASE("photographs from any side are read: marks, and the order of darkness") {
    const Layout layout = layout_of(dose_card(6, 6), {});
    for (const Photograph& how : angles()) {
        CAPTURE(how.seed);
        const auto photo = photograph(layout, how, answer);
        const auto onto = find_card(photo, layout);
        REQUIRE(onto);
        for (std::size_t i = 0; i < 4; ++i)
            CHECK(geometry::distance((*onto)(layout.marks[i]), how.marks[i]) < 3);
        const CardBurn burn = read_from(photo, layout);
        CHECK(share_in_order(layout, burn, 0.03) >= 0.98);
        for (const CellResult& result : burn.results)
            CHECK(result.measured->evenness > 0.7);
    }
}

TEST_CASE("light marks on slate are found too, and read as lighter than bare") {
    const Layout layout = layout_of(dose_card(4, 4), {});
    Photograph how = angles()[1];
    how.bare = {74, 78, 82};
    how.burnt = {186, 188, 186};
    const CardBurn burn = read_from(photograph(layout, how, answer), layout);
    CHECK(burn.at_place({3, 0})->measured->darkness < burn.at_place({0, 3})->measured->darkness);
    CHECK(burn.at_place({3, 0})->measured->darkness < -0.3);
}

TEST_CASE("round swatches are not taken for marks") {
    Card card = dose_card(5, 5);
    card.shape = Shape::circle;
    card.width = card.height = 4;
    const Layout layout = layout_of(card, {});
    Photograph how = angles()[1];
    const auto onto = find_card(photograph(layout, how, answer), layout);
    REQUIRE(onto);
    CHECK(geometry::distance((*onto)(layout.marks[0]), how.marks[0]) < 3);
}

TEST_CASE("a photograph of something else is not taken for a card") {
    const Layout layout = layout_of(dose_card(4, 4), {}), other = layout_of(dose_card(9, 2), {});
    Photograph how = angles()[0];
    CHECK_FALSE(find_card(raster::RgbImage(800, 600, {200, 180, 150}), layout));
    CHECK_FALSE(find_card(raster::RgbImage(10, 10, {}), layout));
    Layout bare = layout;
    bare.cells.clear();
    bare.lines.clear();
    for (Point& mark : bare.marks)
        mark = {-1000, -1000};
    how.marks = angles()[0].marks;
    // The ring shows which corner is which: without it nothing is believed.
    raster::RgbImage photo = photograph(other, how, answer);
    const auto onto = geometry::homography(other.marks, how.marks).value();
    for (double x = -2.5; x <= 2.5; x += 0.05)
        for (double y = -2.5; y <= 2.5; y += 0.05) {
            const Point p = onto(other.marks[0] + Point{x, y});
            photo.at(static_cast<int>(p.x), static_cast<int>(p.y)) = {210, 180, 140};
        }
    CHECK_FALSE(find_card(photo, other));
}

TEST_CASE("four clicks stand in for the marks, whichever way round they are made") {
    const Layout layout = layout_of(dose_card(4, 4), {});
    const auto marks = angles()[2].marks;
    for (const auto& clicks : {marks, std::array{marks[0], marks[3], marks[2], marks[1]}}) {
        const auto onto = card_at_clicks(clicks, layout);
        REQUIRE(onto);
        for (std::size_t i = 0; i < 4; ++i)
            CHECK(geometry::distance((*onto)(layout.marks[i]), marks[i]) < 1e-6);
    }
    CHECK_FALSE(card_at_clicks({Point{0, 0}, {1, 1}, {2, 2}, {5, 0}}, layout));
}

TEST_CASE("a card burned on the simulated machine is read from its picture: the best swatch where the material says") {
    const Card card = dose_card(5, 4, 5);
    const auto made = card_job(card, bench(), {}, computer()).value();
    const auto bed = burned_picture(made.job, "birch");
    const geometry::Box piece = geometry::bounds(made.job.stock->outline());
    const Layout layout = layout_of(card, bench().beam);
    const CardBurn burn = read_from(test::part_of(bed, piece.grown(5), 300, 10), layout);
    // What is wanted is half the way to burnt; the model says at which dose that is.
    const double wanted_dose = 100 + 700 * std::log(2);
    const auto curve = curve_of(dose_points(layout, burn));
    REQUIRE(curve);
    CHECK(curve->scatter < 0.05);
    const Cell* expected = nullptr;
    for (const Cell& cell : layout.cells)
        if (!expected || std::abs(std::log(cell.dose / wanted_dose)) < std::abs(std::log(expected->dose / wanted_dose)))
            expected = &cell;
    const auto look = [](double share) {
        const auto channel = [&](int bare, int burnt) {
            return test::photo::linear(static_cast<std::uint8_t>(std::lround(bare + (burnt - bare) * share)));
        };
        return 0.2126 * channel(226, 51) + 0.7152 * channel(196, 25) + 0.0722 * channel(146, 11);
    };
    const double wanted = 1 - raster::from_light(look(0.5) / look(0));
    CellPlace nearest;
    double away = 1;
    for (const CellResult& result : burn.results)
        if (std::abs(result.measured->darkness - wanted) < away) {
            away = std::abs(result.measured->darkness - wanted);
            nearest = result.place;
        }
    CAPTURE(nearest.row, nearest.column, expected->place.row, expected->place.column);
    // Within one swatch: swatches on a line of equal dose look alike.
    const Cell* read = layout.at(nearest);
    CHECK(std::abs(std::log(read->dose / expected->dose)) < std::log(1.65));
    CHECK(away < 0.08);
}

TEST_CASE("a curve through swatches finds what made them") {
    std::vector<DosePoint> points;
    for (int i = 0; i < 30; ++i) {
        const double dose = 40 * std::pow(1.2, i);
        const double off = i % 2 == 0 ? 0.02 : -0.02;
        points.push_back({{0, i}, dose, 0.8 / (1 + std::exp(-(std::log(dose) - 6) / 0.6)) + off});
    }
    const auto curve = curve_of(points);
    REQUIRE(curve);
    CHECK(curve->most == Approx(0.8).margin(0.02));
    CHECK(curve->middle == Approx(6).margin(0.05));
    CHECK(curve->scatter == Approx(0.021).margin(0.004));
    CHECK(*curve->dose_for(0.4) == Approx(std::exp(6)).epsilon(0.05));
    CHECK_FALSE(curve->dose_for(0.95));
    REQUIRE(curve->chars_from());
    CHECK(curve->at(*curve->chars_from()) > 0.7);
    CHECK_FALSE(curve_of({points[0], points[1]}));
    for (DosePoint& point : points)
        point.darkness = 0;
    CHECK_FALSE(curve_of(points));
}

TEST_CASE("of swatches that look alike the fastest is named") {
    const Card card = dose_card(3, 3);
    const Layout layout = layout_of(card, {});
    CardBurn burn;
    for (const Cell& cell : layout.cells)
        burn.at_place_or_new(cell.place).measured = Measured{.darkness = 0.1};
    burn.at_place_or_new({2, 1}).measured = Measured{.darkness = 0.5};
    burn.at_place_or_new({1, 0}).measured = Measured{.darkness = 0.52};
    CHECK(fastest_for(0.5, layout, burn) == CellPlace{2, 1});
    CHECK_FALSE(fastest_for(0.9, layout, burn));
}

TEST_CASE("the least cut goes through surely, with some power to spare") {
    Card card = ready_card(Ready::cut_through, birch());
    card.columns = {Variable::power, 40, 100, 4, false, {}};
    card.rows = Axis{Variable::speed, 100, 300, 3, false, {}};
    const Layout layout = layout_of(card, bench().beam);
    CardBurn burn;
    const auto say = [&](int row, int column, Verdict verdict) {
        burn.at_place_or_new({row, column}).verdict = verdict;
    };
    // 100 mm/min: from 60 %; 200: from 80 %, and once at 40 % by luck; 300: never.
    for (int column = 0; column < 4; ++column) {
        say(0, column, column >= 1 ? Verdict::clean : Verdict::not_through);
        say(1, column, column >= 2 || column == 0 ? Verdict::clean : Verdict::not_through);
        say(2, column, Verdict::not_through);
    }
    const auto advice = least_cut(layout, burn);
    REQUIRE(advice);
    CHECK(advice->least == CellPlace{1, 2});
    CHECK(advice->with_margin.percent() == Approx(80 * 7.0 / 6));
    CHECK(advice->margin_reached);
    CHECK_FALSE(least_cut(layout, {}));
}

TEST_CASE("a burn made twice over the same piece has twice the dose, and its recipe twice the passes") {
    const Card card = dose_card(3, 3);
    const Layout layout = layout_of(card, {});
    CardBurn burn{.at = "2026-11-23T13:40:02", .over = 1};
    burn.at_place_or_new({1, 1}).note = "crisp";
    const Cell& cell = *layout.at({1, 1});
    CHECK(dose_in(cell, burn) == 2 * cell.dose);
    const recipes::Recipe recipe = recipe_of(card, cell, burn, {"Bench", {}});
    CHECK(recipe.settings.passes == 2);
    CHECK(recipe.evidence.kind == recipes::Evidence::Kind::swatch);
    CHECK(recipe.evidence.source == "K7Q2, row 2, column 2");
    CHECK(recipe.evidence.date == "2026-11-23");
    CHECK(recipe.note == "crisp");
    CHECK(recipe.evidence.tested());
}

TEST_CASE("what was read survives its text") {
    CardRecord record{dose_card(3, 3), {{.at = "2026-11-23T13:40:02", .over = 1, .seconds = 489, .photo = "k7q2.jpg"}}};
    CellResult& result = record.burns[0].at_place_or_new({1, 2});
    result.verdict = Verdict::too_dark;
    result.words = "nearly";
    result.depth = 0.3;
    result.measured = Measured{0.42, 0.9, 0.2};
    record.burns[0].marks = {{1, 2.5}, {3, 4}, {5, 6}, {7, 8}};
    CHECK(record_from_json(to_json(record)).value() == record);
    CHECK_FALSE(record_from_json("{}"));
    for (int i = 0; i < verdict_count; ++i)
        CHECK(parse_verdict(to_text(static_cast<Verdict>(i))) == static_cast<Verdict>(i));
}

TEST_CASE("with the response of a grey ramp a wedge comes out even") {
    Card ramp = ready_card(Ready::grey_ramp, birch());
    ramp.code = "G4RP";
    ramp.width = ramp.height = 6;
    const Layout layout = layout_of(ramp, bench().beam);
    const auto read_burn = [&](const Card& card) {
        const auto made = card_job(card, bench(), {}, computer()).value();
        const geometry::Box piece = geometry::bounds(made.job.stock->outline());
        return read_from(test::part_of(burned_picture(made.job, "birch"), piece.grown(5), 300, 10), layout);
    };
    const auto response = response_of(layout, read_burn(ramp));
    REQUIRE(response.size() >= 5);
    // The simulated material saturates: half of the dots look darker than half.
    CHECK(raster::curve_at(response, 0.5) > 0.6);
    Card even = ramp;
    even.settings.picture.response = response;
    const CardBurn burn = read_burn(even);
    const auto light = [&](int column) { return raster::to_light(1 - burn.at_place({0, column})->measured->darkness); };
    const int last = columns_of(ramp) - 1;
    for (int column = 0; column <= last; ++column) {
        const double share = *layout.cells[static_cast<std::size_t>(column)].column_value / 100;
        CAPTURE(share);
        CHECK((light(0) - light(column)) / (light(0) - light(last)) == Approx(share).margin(0.04));
    }
}
