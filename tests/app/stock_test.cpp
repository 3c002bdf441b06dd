// SPDX-License-Identifier: GPL-3.0-or-later
// The piece of material under the pointer, and marked places.
#include "support/bed_driver.hpp"

#include <chalkline/job/edits.hpp>

#include <catch2/catch.hpp>

#include <numbers>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;

namespace {

const job::Stock& piece(WindowDriver& driver) {
    return *job_of(driver).stock;
}

}  // namespace

TEST_CASE("the piece is dragged, stretched and turned while its tray is open, and art on it is taken first") {
    WindowDriver driver;
    give_piece(driver, {100, 100}, 120, 80);
    drag(driver, {120, 120}, {140, 150}, Qt::ControlModifier);
    CHECK(piece(driver).corner == geometry::Point{100, 100});

    driver->choose(Mark::stock);
    drag(driver, {120, 120}, {140, 150}, Qt::ControlModifier);
    CHECK(piece(driver).corner.x == Approx(120).margin(1.1 * pixel(driver)));
    CHECK(piece(driver).corner.y == Approx(130).margin(1.1 * pixel(driver)));

    const geometry::Point far = piece(driver).place()({120, 80});
    drag(driver, far, far + geometry::Point{20, 10}, Qt::ControlModifier);
    CHECK(piece(driver).width == Approx(140).margin(2 * pixel(driver)));
    CHECK(piece(driver).height == Approx(90).margin(2 * pixel(driver)));

    const geometry::Point middle = piece(driver).middle();
    const geometry::Point grip{middle.x, far.y + 10 + 26 * pixel(driver)};
    drag(driver, grip, {middle.x - 60, middle.y}, Qt::ShiftModifier);
    CHECK(piece(driver).angle == Approx(std::numbers::pi / 2).margin(0.01));
    CHECK(geometry::distance(piece(driver).middle(), middle) < 0.01);
    while (driver->document().history().count() > 1 && driver->document().history().index() > 1)
        driver->document().history().undo();
    CHECK(piece(driver).corner == geometry::Point{100, 100});

    draw(driver, "Ellipse");
    driver->choose(Mark::stock);
    const geometry::Point art = job::bounds(job_of(driver)).centre();
    drag(driver, art, art + geometry::Point{30, 0}, Qt::ControlModifier);
    CHECK(job::bounds(job_of(driver)).centre().x == Approx(art.x + 30).margin(1.1 * pixel(driver)));
    CHECK(piece(driver).corner == geometry::Point{100, 100});
}

TEST_CASE("a place marked by a click takes the datum and is forgotten") {
    WindowDriver driver;
    give_piece(driver, {100, 100}, 120, 80);
    draw(driver, "Rectangle");
    driver->choose(Mark::stock);
    QTest::qWait(20);
    REQUIRE(driver.click(QString::fromUtf8("Mark by click…")));
    QTest::mouseClick(&driver->bed(), Qt::LeftButton, {}, on_screen(driver, {60, 50}));
    QTest::qWait(20);
    REQUIRE(job_of(driver).marked.size() == 1);
    CHECK(driver.visible_text().contains("A  at "));
    REQUIRE(driver.click("Datum to A"));
    const geometry::Point marked = job_of(driver).marked[0].place;
    CHECK(geometry::distance(*job::datum_place(job_of(driver)), marked) < 1e-9);
    CHECK(geometry::distance(marked, {60, 50}) < pixel(driver));
    REQUIRE(driver.click("Forget A"));
    CHECK(job_of(driver).marked.empty());
    driver->document().history().undo();
    CHECK(job_of(driver).marked.size() == 1);
}
