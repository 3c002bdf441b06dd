// SPDX-License-Identifier: GPL-3.0-or-later
// From a connected machine to a framed job on the real piece: moving, marking, framing, through the window.
#include "support/bed_driver.hpp"
#include "support/dose.hpp"
#include "support/workbench.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <numbers>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;
using geometry::Point;

TEST_CASE("the head goes to typed, named and clicked places") {
    Workbench bench;
    bench.driver->choose(Mark::frame);
    QTest::qWait(30);
    REQUIRE(bench.driver.type("Go to X", "120"));
    REQUIRE(bench.driver.type("Go to Y", "3 in"));
    REQUIRE(bench.driver.click("Go there"));
    CHECK(bench.head_at({120, 76.2}));
    QComboBox* places = bench.choice("Place to go to");
    REQUIRE(places);
    places->setCurrentIndex(places->findText("piece, far right"));
    const auto& stock = *job_of(bench.driver).stock;
    REQUIRE(bench.driver.click("Go"));
    CHECK(bench.head_at(stock.place()({stock.width, stock.height})));
    // A change of the job leaves the chosen place chosen.
    bench.driver->placing().choose_all();
    key(bench.driver, Qt::Key_Right);
    CHECK(places->currentText() == "piece, far right");
    REQUIRE(bench.driver.click("Click on the bed…"));
    const QPoint place = on_screen(bench.driver, {60, 200});
    QTest::mouseClick(&bench.driver->bed(), Qt::LeftButton, {}, place);
    CHECK(bench.head_at(bench.driver->bed().camera().to_bed(place)));
    CHECK_FALSE(bench.driver->bed().picking());
}

TEST_CASE("a held arrow key moves the head until it is let go or the keys go elsewhere") {
    Workbench bench("2");
    QWidget* rail = bench.driver.window().findChild<MachineRail*>();
    rail->setFocus();
    const Point before = *bench.now().position;
    QTest::keyPress(rail, Qt::Key_Right, Qt::ShiftModifier);
    REQUIRE(wait_for([&] { return bench.now().position && bench.now().position->x > before.x + 5; }));
    QTest::keyRelease(rail, Qt::Key_Right, Qt::ShiftModifier);
    REQUIRE(wait_for([&] { return bench.at_rest(); }));
    const double there = bench.now().position->x;
    CHECK(there < 399);
    QTest::keyPress(rail, Qt::Key_Up, Qt::ShiftModifier);
    REQUIRE(wait_for([&] { return bench.now().position && bench.now().position->y > before.y + 3; }));
    bench.driver->bed().setFocus();
    REQUIRE(wait_for([&] { return bench.at_rest(); }));
    CHECK(bench.now().position->y < 299);
    CHECK(bench.now().position->x == Approx(there).margin(0.01));
}

TEST_CASE("a frame asks whether it stayed on the piece, and only the answer makes the mark true") {
    Workbench bench;
    bench.frame();
    CHECK(bench.driver.state(Mark::frame) == MarkState::attention);
    CHECK(bench.driver.fact(Mark::frame).contains("did it stay"));
    REQUIRE(bench.driver.click("It did not"));
    CHECK(bench.driver.fact(Mark::frame).contains("left the piece"));
    bench.frame();
    REQUIRE(bench.driver.click("It did"));
    CHECK(bench.driver.state(Mark::frame) == MarkState::done);
    // Moving the job makes it stale, answer and all.
    bench.driver->placing().choose_all();
    key(bench.driver, Qt::Key_Right);
    REQUIRE(bench.driver.wait_planned());
    CHECK(bench.driver.state(Mark::frame) == MarkState::not_yet);
    CHECK_FALSE(bench.driver->desk().stayed());
    // A side vouches for nothing.
    QTest::keyClick(&bench.driver->bed(), Qt::Key_F, Qt::ControlModifier | Qt::AltModifier);
    REQUIRE(wait_for([&] { return bench.now().activity == machine::Activity::framing; }));
    REQUIRE(wait_for([&] { return bench.at_rest(); }));
    CHECK_FALSE(bench.driver->desk().framed_at());
}

TEST_CASE("a turned piece marked with three corners is hit by the burn") {
    Workbench bench;
    job::Stock real = *job_of(bench.driver).stock;
    real.corner = {90, 60};
    real.angle = 7 * std::numbers::pi / 180;
    bench.driver->choose(Mark::stock);
    QTest::qWait(30);
    open_fold(bench.driver, "Mark the real piece");
    QComboBox* by = bench.choice("How the piece is marked");
    REQUIRE(by);
    by->setFocus();
    QTest::keyClick(by, Qt::Key_Down);
    const auto corners = real.outline().points;
    for (int i = 0; i < 3; ++i) {
        bench.driver->machine().go_to(corners[static_cast<std::size_t>(i)]);
        REQUIRE(bench.head_at(corners[static_cast<std::size_t>(i)]));
        REQUIRE(wait_for([&] { return bench.driver.button(QString("Mark here (%1 of 3)").arg(i + 1)) != nullptr; }));
        REQUIRE(bench.driver.click(QString("Mark here (%1 of 3)").arg(i + 1)));
    }
    const job::Stock& found = *job_of(bench.driver).stock;
    CHECK(geometry::distance(found.corner, real.corner) < 0.05);
    CHECK(found.angle == Approx(real.angle).margin(0.0005));
    CHECK(found.width == Approx(real.width).margin(0.05));
    CHECK(bench.driver.visible_text().contains("turned by 7"));
    // The job went with the piece: nothing of it lies beside, and the frame stays inside.
    REQUIRE(bench.driver.wait_planned());
    CHECK(bench.driver->plans().planned().off_stock == 0);
    CHECK(bench.driver->document().history().undoText() == "Mark the piece");
}

TEST_CASE("a mark that says nothing new is refused with a word, and the others stand") {
    Workbench bench;
    bench.driver->choose(Mark::stock);
    QTest::qWait(30);
    open_fold(bench.driver, "Mark the real piece");
    const job::Stock before = *job_of(bench.driver).stock;
    REQUIRE(bench.driver.click("Mark here (1 of 2)"));
    REQUIRE(bench.driver.click("Mark here (2 of 2)"));
    CHECK(bench.driver.visible_text().contains("less than 2 mm apart"));
    CHECK(bench.driver.button("Mark here (2 of 2)") != nullptr);
    CHECK(*job_of(bench.driver).stock == before);
    REQUIRE(bench.driver.click("Begin again"));
    CHECK(bench.driver.button("Mark here (1 of 2)") != nullptr);
}
