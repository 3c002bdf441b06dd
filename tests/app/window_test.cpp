// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/sample_files.hpp"
#include "support/window_driver.hpp"

#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>

#include <catch2/catch.hpp>

#include <QLineEdit>
#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;
using test::WindowDriver;

namespace {

QString write(const QTemporaryDir& folder, const QString& name, const QByteArray& bytes) {
    QFile file(folder.filePath(name));
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write(bytes);
    return file.fileName();
}

}  // namespace

TEST_CASE("an empty window says what to do") {
    WindowDriver driver;
    CHECK(driver.fact(Mark::art) == "nothing yet");
    CHECK(driver.state(Mark::art) == MarkState::not_yet);
    CHECK_FALSE(driver.button("Undo")->isEnabled());
}

TEST_CASE("a dropped drawing arrives, is routed and planned, and all of it can be undone") {
    WindowDriver driver;
    driver.drop({sample_plate});
    REQUIRE(driver.wait_planned());
    CHECK(driver.fact(Mark::art) == "1 piece · 154 × 101 mm");
    CHECK(driver.fact(Mark::steps) == "3 steps · cut last");
    CHECK(driver.fact(Mark::rehearse).startsWith("about"));
    CHECK(driver.fact(Mark::stock) == "no piece set");
    QTest::keyClick(&driver.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(driver->document().job().motifs.empty());
    CHECK(driver.fact(Mark::art) == "nothing yet");
}

TEST_CASE("bad files are told about and leave the job as it was") {
    const QTemporaryDir folder;
    WindowDriver driver;
    driver.drop({sample_job});
    const auto before = job::to_chalk(driver->document().job()).value();
    const auto said = [&](const QString& path) {
        driver.drop({path});
        return driver.visible_text();
    };
    CHECK(said(write(folder, "note.svg", "hello")).contains("no drawing or picture Chalkline can read"));
    CHECK(said(write(folder, "cut.svg", "<svg><path d='")).contains("broken"));
    CHECK(said(write(folder, "empty.svg", "<svg xmlns='http://www.w3.org/2000/svg' width='5mm' height='5mm'/>"))
              .contains("nothing to burn"));
    CHECK(said(write(folder, "large.svg",
                     "<svg xmlns='http://www.w3.org/2000/svg' width='900mm' height='5mm' viewBox='0 0 900 5'><rect "
                     "width='900' height='5'/></svg>"))
              .contains("900 × 5 mm"));
    CHECK(said(write(folder, "bad.chalk", "PKxx")).contains("damaged"));
    CHECK(said(folder.filePath("gone.svg")).contains("no such file"));
    CHECK(said(folder.path()).contains("folder"));
    CHECK(job::to_chalk(driver->document().job()).value() == before);
    CHECK(driver->document().history().count() == 0);
}

TEST_CASE("of several files the good ones come in as one edit") {
    const QTemporaryDir folder;
    WindowDriver driver;
    driver.drop(
        {sample_plate, write(folder, "bad.svg", "x"),
         write(
             folder, "dot.svg",
             "<svg xmlns='http://www.w3.org/2000/svg' width='9mm' height='9mm'><circle r='3' fill='#123456'/></svg>")});
    CHECK(driver->document().job().motifs.size() == 2);
    CHECK(driver->document().history().count() == 1);
}

TEST_CASE("the motif follows the mouse and the arrow keys, and the line notices what that means") {
    WindowDriver driver;
    driver.drop({sample_job});
    REQUIRE(driver.wait_planned());
    BedView& bed = driver->bed();
    const auto box = job::bounds(driver->document().job());
    const QPoint middle = bed.camera().to_screen(box.centre()).toPoint();
    driver.drag(&bed, middle, &bed, middle + QPoint(0, 40));
    const double moved = job::bounds(driver->document().job()).bottom - box.bottom;
    CHECK(moved == Approx(-40 / bed.camera().scale).margin(0.01));
    CHECK(driver->document().history().count() == 1);
    CHECK(driver->placing().only() == driver->document().job().motifs[0].id);

    bed.setFocus();
    QTest::keyClick(&bed, Qt::Key_Right);
    QTest::keyClick(&bed, Qt::Key_Right, Qt::ShiftModifier);
    QTest::keyClick(&bed, Qt::Key_Left, Qt::AltModifier);
    CHECK(job::bounds(driver->document().job()).left == Approx(box.left + 10.9));
    CHECK(driver->document().history().count() == 2);
    for (int i = 0; i < 5; ++i)
        QTest::keyClick(&bed, Qt::Key_Right, Qt::ShiftModifier);
    REQUIRE(test::wait_for([&] { return driver.state(Mark::stock) == MarkState::attention; }));
    CHECK(driver.fact(Mark::stock).endsWith("mm off the stock"));
    CHECK_FALSE(driver->plans().ready());
}

TEST_CASE("inks are routed by dragging chips, by digits, and left out") {
    WindowDriver driver;
    driver.drop({sample_plate});
    driver->choose(Mark::steps);
    QTest::qWait(20);
    const auto chip = [&](const char* text) {
        for (InkChip* candidate : driver->steps_tray().chips())
            if (to_text(candidate->ink()) == text) return candidate;
        return static_cast<InkChip*>(nullptr);
    };
    const auto inks_of = [&](std::size_t step) { return driver->document().job().steps[step].inks.size(); };
    REQUIRE(chip("#1565c0:line"));
    StepCard* cut = driver->steps_tray().cards()[2];
    driver.drag(chip("#1565c0:line"), {10, 10}, cut, cut->rect().center());
    CHECK(inks_of(1) == 0);
    CHECK(inks_of(2) == 2);
    QTest::keyClick(chip("#1565c0:line"), Qt::Key_2);
    CHECK(inks_of(1) == 1);
    QTest::keyClick(chip("#1565c0:line"), Qt::Key_0);
    CHECK(driver->document().job().left_out.size() == 1);
    CHECK(driver.fact(Mark::steps) == "2 steps · cut last");
    // Dropped beside everything: nothing happens.
    const int edits = driver->document().history().count();
    driver.drag(chip("#000000:fill"), {10, 10}, &driver->bed(), {50, 50});
    CHECK(driver->document().history().count() == edits);
}

TEST_CASE("cards are dragged into another order, the fault is said and put right by its button") {
    WindowDriver driver;
    driver.drop({sample_job});
    driver->choose(Mark::steps);
    QTest::qWait(20);
    auto cards = driver->steps_tray().cards();
    driver.drag(cards[2], {60, 15}, cards[0], {60, 2});
    CHECK(driver->document().job().steps[0].settings.kind == steps::StepKind::cut);
    CHECK(driver.fact(Mark::steps) == "a cut comes too early");
    CHECK(driver.state(Mark::steps) == MarkState::attention);
    REQUIRE(driver.click("Put in order"));
    CHECK(driver.fact(Mark::steps) == "3 steps · cut last");
    QTest::qWait(20);
    driver->steps_tray().cards()[0]->setFocus();
    QTest::keyClick(driver->steps_tray().cards()[0], Qt::Key_Down, Qt::AltModifier);
    CHECK(driver->document().job().steps[1].settings.kind == steps::StepKind::engrave);
}

TEST_CASE("a step's settings are typed, checked and undone") {
    WindowDriver driver;
    driver.drop({sample_job});
    driver->choose(Mark::steps);
    QTest::qWait(20);
    StepCard* card = driver->steps_tray().cards()[0];
    QTest::mouseClick(card, Qt::LeftButton, {}, {100, 15});
    const auto field = [&](const QString& name) {
        for (auto* candidate : card->findChildren<QLineEdit*>())
            if (candidate->accessibleName() == name) return candidate;
        return static_cast<QLineEdit*>(nullptr);
    };
    const auto type = [&](const QString& name, const QString& text) {
        REQUIRE(field(name));
        field(name)->setFocus();
        field(name)->selectAll();
        QTest::keyClicks(field(name), text);
        QTest::keyClick(field(name), Qt::Key_Return);
    };
    type("Power", "55");
    type("Speed", "40 mm/s");
    type("Line pitch", "200 dots/in");
    const auto& settings = driver->document().job().steps[0].settings;
    CHECK(settings.power.percent() == 55);
    CHECK(settings.speed.mm_per_min() == 2400);
    CHECK(settings.line_pitch.mm() == Approx(0.127));
    type("Power", "180");
    CHECK(driver->document().job().steps[0].settings.power.percent() == 55);
    CHECK(driver.visible_text().contains("not between 0 and 100"));
    CHECK(field("Power")->text() == "55 %");
}

TEST_CASE("a job is saved, changed, and never thrown away unasked") {
    const QTemporaryDir folder;
    const QString path = folder.filePath("mine.chalk");
    WindowDriver driver;
    driver.drop({sample_plate});
    REQUIRE(driver->document().save(path));
    driver->document().end_merge();
    driver->placing().choose({driver->document().job().motifs[0].id});
    QTest::keyClick(&driver->bed(), Qt::Key_Up);
    driver.drop({sample_job});
    CHECK(driver->document().path() == path);  // still asking
    REQUIRE(driver.click("Cancel"));
    CHECK(driver->document().unsaved());
    QTest::keyClick(&driver.window(), Qt::Key_S, Qt::ControlModifier);
    CHECK_FALSE(driver->document().unsaved());
    driver.drop({sample_job});
    CHECK(driver->document().path() == sample_job);
    driver.drop({path});
    CHECK(driver->document().job().motifs.size() == 1);
    driver->placing().choose({driver->document().job().motifs[0].id});
    QTest::keyClick(&driver->bed(), Qt::Key_Up);
    driver.window().close();
    CHECK(driver.window().isVisible());
    REQUIRE(driver.click("Throw away"));
    CHECK_FALSE(driver.window().isVisible());
}

TEST_CASE("zooming keeps the place under the pointer") {
    WindowDriver driver;
    driver.drop({sample_job});
    BedView& bed = driver->bed();
    const QPointF pointer(300, 200);
    const auto before = bed.camera().to_bed(pointer);
    QWheelEvent wheel(pointer, bed.mapToGlobal(pointer), {}, {0, 480}, Qt::NoButton, Qt::NoModifier, Qt::NoScrollPhase,
                      false);
    QApplication::sendEvent(&bed, &wheel);
    CHECK(bed.camera().to_bed(pointer).x == Approx(before.x));
    CHECK(bed.camera().to_bed(pointer).y == Approx(before.y));
    REQUIRE(driver.click("job"));
    const auto box = job::bounds(driver->document().job());
    CHECK(bed.rect().contains(bed.camera().to_screen({box.left, box.bottom}).toPoint()));
    CHECK(bed.rect().contains(bed.camera().to_screen({box.right, box.top}).toPoint()));
}

TEST_CASE("every mark has a key, a name and a state for a screen reader") {
    WindowDriver driver;
    driver.drop({sample_job});
    for (int i = 0; i < mark_count; ++i) {
        QTest::keyClick(&driver.window(), static_cast<Qt::Key>(Qt::Key_1 + i));
        CHECK(driver->line().chosen() == static_cast<Mark>(i));
        CHECK_FALSE(driver->line().mark(static_cast<Mark>(i))->accessibleName().isEmpty());
    }
    CHECK(driver->line().mark(Mark::art)->accessibleDescription().startsWith("done"));
}

TEST_CASE("nothing is clipped at the smallest size") {
    WindowDriver driver;
    driver.window().resize(1100, 700);
    driver.drop({sample_job});
    for (int i = 0; i < mark_count; ++i) {
        driver->choose(static_cast<Mark>(i));
        QTest::qWait(10);
        const auto clipped = [&] {
            QStringList found;
            for (auto* button : driver.window().findChildren<QPushButton*>())
                if (button->isVisible() && button->width() < button->fontMetrics().horizontalAdvance(button->text()))
                    found << button->text();
            return found;
        };
        // What is worked out meanwhile changes texts; their places follow with the next turn of the event loop.
        const bool all_fit = chalkline::test::wait_for([&] { return clipped().isEmpty(); }, 3000);
        INFO(clipped().join(", ").toStdString());
        CHECK(all_fit);
    }
}
