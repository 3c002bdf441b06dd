// SPDX-License-Identifier: GPL-3.0-or-later
// Art laid on the bed by mouse and keys.
#include "support/bed_driver.hpp"
#include "support/sample_files.hpp"
#include "trays/art/motif_card.hpp"

#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>

#include <catch2/catch.hpp>

#include <QPlainTextEdit>
#include <cmath>
#include <numbers>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;

namespace {}  // namespace

TEST_CASE("handles scale with the shape kept, stretch and turn, and Esc takes a drag back") {
    WindowDriver driver;
    draw(driver, "Rectangle");
    const auto box = [&] { return job::bounds(job_of(driver)); };
    const geometry::Box start = box();
    CHECK(start.width() == Approx(40));
    drag(driver, {start.right, start.top}, {start.right + 40, start.top + 25});
    CHECK(box().width() == Approx(80).margin(2 * pixel(driver)));
    CHECK(box().height() == Approx(box().width() * 25 / 40).margin(1e-6));
    CHECK(box().left == Approx(start.left).margin(1e-6));
    CHECK(driver->document().history().count() == 2);

    const geometry::Box wide = box();
    drag(driver, {wide.right, wide.centre().y}, {wide.right - 40, wide.centre().y + 30});
    CHECK(box().width() == Approx(40).margin(2 * pixel(driver)));
    CHECK(box().height() == Approx(wide.height()));

    // The turning handle stands 26 pixels beyond the far side.
    const geometry::Box before = box();
    const geometry::Point middle = before.centre(), held{middle.x, before.top + 26 * pixel(driver)};
    drag(driver, held, {middle.x - (held.y - middle.y), middle.y}, Qt::ShiftModifier);
    CHECK(box().width() == Approx(before.height()).margin(0.01));
    CHECK(box().height() == Approx(before.width()).margin(0.01));

    const std::string kept = job::to_chalk(job_of(driver)).value();
    BedView& bed = driver->bed();
    QTest::mousePress(&bed, Qt::LeftButton, {}, on_screen(driver, box().centre()));
    QTest::mouseMove(&bed, on_screen(driver, box().centre()) + QPoint(40, 20));
    CHECK(job::to_chalk(job_of(driver)).value() != kept);
    key(driver, Qt::Key_Escape);
    CHECK(job::to_chalk(job_of(driver)).value() == kept);
    QTest::mouseRelease(&bed, Qt::LeftButton);
}

TEST_CASE("moved art catches on the middle of the stock and shows it, Ctrl lets it be free") {
    WindowDriver driver;
    draw(driver, "Ellipse");
    job::Stock stock;
    stock.corner = {50, 50};
    stock.width = 200;
    stock.height = 100;
    REQUIRE(driver->document().edit("Stock", job::set_stock(job_of(driver), stock), JobChange::stock));
    const auto middle = [&] { return job::bounds(job_of(driver)).centre(); };
    drag(driver, middle(), {150 + 3 * pixel(driver), 100 - 4 * pixel(driver)});
    CHECK(middle().x == Approx(150).margin(1e-6));
    CHECK(middle().y == Approx(100).margin(1e-6));
    drag(driver, middle(), {150 + 4 * pixel(driver), 100}, Qt::ControlModifier);
    CHECK(middle().x == Approx(150 + 4 * pixel(driver)).margin(1.1 * pixel(driver)));
    CHECK(std::abs(middle().x - 150) > pixel(driver));
}

TEST_CASE("several are chosen by box, Shift and keys, grouped, copied, locked and removed") {
    WindowDriver driver;
    draw(driver, "Rectangle");
    REQUIRE(driver.type("Left edge on the bed", "20"));
    REQUIRE(driver.type("Near edge on the bed", "20"));
    draw(driver, "Slot");
    REQUIRE(driver.type("Left edge on the bed", "120"));
    REQUIRE(driver.type("Near edge on the bed", "20"));
    auto& placing = driver->placing();
    drag(driver, {10, 10}, {170, 60});
    CHECK(placing.chosen().size() == 2);
    BedView& bed = driver->bed();
    QTest::mouseClick(&bed, Qt::LeftButton, Qt::ShiftModifier, on_screen(driver, {130, 24}));
    CHECK(placing.chosen().size() == 1);
    key(driver, Qt::Key_A, Qt::ControlModifier);
    CHECK(placing.chosen().size() == 2);

    key(driver, Qt::Key_G, Qt::ControlModifier);
    QTest::mouseClick(&bed, Qt::LeftButton, {}, on_screen(driver, {300, 250}));
    CHECK(placing.chosen().empty());
    QTest::mouseClick(&bed, Qt::LeftButton, {}, on_screen(driver, {130, 24}));
    CHECK(placing.chosen().size() == 2);
    QTest::mouseDClick(&bed, Qt::LeftButton, {}, on_screen(driver, {130, 24}));
    CHECK(placing.chosen().size() == 1);

    key(driver, Qt::Key_A, Qt::ControlModifier);
    key(driver, Qt::Key_D, Qt::ControlModifier);
    CHECK(job_of(driver).motifs.size() == 4);
    CHECK(placing.chosen().size() == 2);
    key(driver, Qt::Key_L, Qt::ControlModifier);
    const auto place = job_of(driver).motifs[3].place;
    key(driver, Qt::Key_Right);
    CHECK(job_of(driver).motifs[3].place == place);
    CHECK(driver.visible_text().contains("locked"));
    key(driver, Qt::Key_N);
    CHECK(placing.chosen() == job::Ids{job_of(driver).motifs[0].id, job_of(driver).motifs[1].id});
    key(driver, Qt::Key_Delete);
    CHECK(job_of(driver).motifs.size() == 2);

    // All the way back, one act after the other, to the first state.
    while (driver->document().history().canUndo())
        driver->document().history().undo();
    CHECK(job::to_chalk(job_of(driver)).value() == job::to_chalk({}).value());
}

TEST_CASE("numbers turn and size what is chosen, the datum follows and brings the job to a place") {
    WindowDriver driver;
    driver.drop({sample_job});
    driver->choose(Mark::art);
    key(driver, Qt::Key_A, Qt::ControlModifier);
    REQUIRE(driver.type("Art turned by", "30"));
    CHECK(std::atan2(job_of(driver).motifs[0].place.b, job_of(driver).motifs[0].place.a) ==
          Approx(30 * std::numbers::pi / 180));
    REQUIRE(driver.type("Width of the art", "77"));
    CHECK(geometry::norm({job_of(driver).motifs[0].place.a, job_of(driver).motifs[0].place.b}) ==
          Approx(0.5).margin(1e-3));
    open_fold(driver, "Datum");
    REQUIRE(driver.click(QString::fromUtf8("Choose its place…")));
    const geometry::Point wanted = job::bounds(job_of(driver)).centre();
    QTest::mouseClick(&driver->bed(), Qt::LeftButton, {}, on_screen(driver, wanted));
    REQUIRE(job_of(driver).datum);
    const geometry::Point before = job::datum_place(job_of(driver)).value();
    CHECK(geometry::distance(before, wanted) < pixel(driver));
    key(driver, Qt::Key_Right, Qt::ShiftModifier);
    CHECK(job::datum_place(job_of(driver))->x == Approx(before.x + 10));
    REQUIRE(driver.type("Datum from the left", "8 in"));
    CHECK(job::datum_place(job_of(driver))->x == Approx(203.2));
    CHECK(driver.field("Datum from the left")->toolTip() == "8 in");
}

TEST_CASE("a large drawing is shown as a picture that follows at once and becomes sharp") {
    const QTemporaryDir folder;
    const QString path = folder.filePath("large.svg");
    QFile file(path);
    REQUIRE(file.open(QIODevice::WriteOnly));
    // A bold frame (its area is filled) and thousands of short lines in a far corner.
    QByteArray svg =
        "<svg xmlns='http://www.w3.org/2000/svg' width='200mm' height='200mm' viewBox='0 0 200 200'>"
        "<rect x='20' y='20' width='60' height='60'/><g stroke='#f00' stroke-width='0.1' fill='none'>";
    for (int i = 0; i < 6000; ++i)
        svg += QString("<path d='M%1 %2 l1 1'/>").arg(120 + i % 70).arg(120 + i / 90 % 70).toLatin1();
    file.write(svg + "</g></svg>");
    file.close();

    WindowDriver driver;
    driver.drop({path});
    REQUIRE(job_of(driver).motifs.size() == 1);
    driver->placing().choose({});
    BedView& bed = driver->bed();
    const auto dark_at = [&](geometry::Point on_page) {
        const QPoint at = on_screen(driver, job_of(driver).motifs[0].place(on_page));
        return bed.grab().toImage().pixelColor(at).lightness() < 140;
    };
    const geometry::Point inside{50, 150}, outside{100, 150};
    REQUIRE(test::wait_for([&] { return dark_at(inside); }));
    CHECK_FALSE(dark_at(outside));

    // Before the event loop turns there is no new picture: the old one is shown where it belongs.
    QWheelEvent wheel({200, 200}, bed.mapToGlobal(QPointF(200, 200)), {}, {0, 120}, Qt::NoButton, Qt::NoModifier,
                      Qt::NoScrollPhase, false);
    QApplication::sendEvent(&bed, &wheel);
    CHECK(dark_at(inside));
    CHECK_FALSE(dark_at(outside));
    REQUIRE(test::wait_for([&] { return bed.art_is_sharp(); }));
    CHECK(dark_at(inside));
    CHECK_FALSE(dark_at(outside));
}
