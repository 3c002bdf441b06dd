// SPDX-License-Identifier: GPL-3.0-or-later
// The job played without burning, its dose, and what would make it shorter, by mouse and keys.
#include "papers/run_sheet_page.hpp"
#include "rehearsal/burn_moments.hpp"
#include "support/bed_driver.hpp"
#include "support/drawn_job.hpp"
#include "support/workbench.hpp"
#include "widgets/fold.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/job/edits.hpp>

#include <QCheckBox>
#include <QFileDialog>
#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;

namespace {

/// The sample job with its rehearsal open.
struct Stage {
    explicit Stage(const QString& job = QString(CHALKLINE_SAMPLES) + "/plot-27.chalk") {
        driver->files().open({job});
        REQUIRE(driver.wait_planned());
        driver->choose(Mark::rehearse);
        REQUIRE(wait_for([&] { return driver->rehearsal().sharp() && driver.wait_planned(); }));
        QTest::qWait(30);
    }
    Player& player() { return driver->player(); }
    TimeRibbon* ribbon() {
        for (auto* found : driver.window().findChildren<TimeRibbon*>())
            if (found->isVisible()) return found;
        return nullptr;
    }
    QPoint on_screen(geometry::Point place) { return driver->bed().camera().to_screen(place).toPoint(); }
    void open(const QString& title) {
        for (auto* fold : driver.window().findChildren<Fold*>())
            if (fold->isVisible() && fold->findChild<QPushButton*>()->text().contains(title)) fold->set_open(true);
        QTest::qWait(20);
    }
    QComboBox* choice(const QString& name) {
        for (auto* box : driver.window().findChildren<QComboBox*>())
            if (box->isVisible() && box->accessibleName() == name) return box;
        return nullptr;
    }
    WindowDriver driver;
};

}  // namespace

TEST_CASE("the ribbon is dragged and moved by keys, and the moment is said") {
    Stage stage;
    const double total = stage.player().rehearsal()->total();
    REQUIRE(stage.ribbon());
    CHECK(stage.player().seconds() == Approx(total));
    CHECK(stage.driver.visible_text().contains("all is burned"));
    const int width = stage.ribbon()->width();
    QTest::mousePress(stage.ribbon(), Qt::LeftButton, {}, {width / 4, 10});
    QTest::mouseMove(stage.ribbon(), {width / 2, 10});
    QTest::mouseRelease(stage.ribbon(), Qt::LeftButton, {}, {width / 2, 10});
    CHECK(stage.player().share() == Approx(0.5).margin(0.01));
    QTest::qWait(20);
    const auto whole = static_cast<int>(total + 0.5);
    CHECK(stage.driver.visible_text().contains(
        QString(" of %1:%2 · Engrave").arg(whole / 60).arg(whole % 60, 2, 10, QChar('0'))));
    stage.ribbon()->setFocus();
    QTest::keyClick(stage.ribbon(), Qt::Key_Right, Qt::ShiftModifier);
    CHECK(stage.player().share() == Approx(0.6).margin(0.01));
    QTest::keyClick(stage.ribbon(), Qt::Key_Home);
    CHECK(stage.player().seconds() == 0);
    REQUIRE(stage.driver.click("Next step"));
    CHECK(stage.player().seconds() == Approx(stage.player().rehearsal()->spans()[1].from));
}

TEST_CASE("it plays at its pace, stops, and a step goes round and round") {
    Stage stage;
    QTest::keyClick(stage.ribbon(), Qt::Key_Home);
    stage.driver->bed().setFocus();
    QTest::keyClick(&stage.driver->bed(), Qt::Key_Space);
    REQUIRE(stage.player().playing());
    REQUIRE(wait_for([&] { return stage.player().seconds() > 3; }, 5000));
    CHECK(stage.driver.button("Pause"));
    QTest::keyClick(&stage.driver->bed(), Qt::Key_Space);
    CHECK_FALSE(stage.player().playing());
    // The score, over and over, at sixty times.
    auto* what = stage.choice("What is played");
    REQUIRE(what);
    what->setCurrentIndex(2);
    Q_EMIT what->activated(2);
    const auto span = stage.player().rehearsal()->spans()[1];
    auto* pace = stage.choice("How fast it plays");
    pace->setCurrentIndex(2);
    Q_EMIT pace->activated(2);
    REQUIRE(stage.driver.click("Play"));
    bool back = false, outside = false;
    double before = 0;
    REQUIRE(wait_for(
        [&] {
            const double now = stage.player().seconds();
            outside = outside || now < span.from - 1e-6 || now > span.to + 1e-6;
            back = back || now < before;
            before = now;
            return back;
        },
        10000));
    CHECK_FALSE(outside);
    // Elsewhere nothing plays on.
    stage.driver->choose(Mark::steps);
    CHECK_FALSE(stage.player().playing());
}

TEST_CASE("a click on the bed shows the moment that place is burned") {
    Stage stage;
    const auto plan = stage.player().plan();
    // The first burned point of the last step, a cut.
    const auto& rehearsal = *stage.player().rehearsal();
    const auto cut = rehearsal.spans().back();
    const double moment = cut.from + (cut.to - cut.from) * 0.3;
    const auto there = rehearsal.at(moment);
    REQUIRE(there.power > 0);
    QTest::mouseClick(&stage.driver->bed(), Qt::LeftButton, {}, stage.on_screen(there.head));
    CHECK(geometry::distance(stage.player().now().head, there.head) < 3);
    CHECK(stage.player().now().origin.step == there.origin.step);
    CHECK(stage.player().seconds() <= moment + 5);
    // Where nothing burns nothing happens.
    const double before = stage.player().seconds();
    QTest::mouseClick(&stage.driver->bed(), Qt::LeftButton, {}, stage.on_screen({390, 290}));
    CHECK(stage.player().seconds() == before);
}

TEST_CASE("the bed shows at every moment what is burned by then") {
    Stage stage;
    const Camera camera{3, {10, 910}};
    const auto plan = stage.player().plan();
    std::map<int, QColor> tones;
    for (const auto& report : plan->steps)
        tones[report.step] = Qt::black;
    const BurnMoments moments = draw_moments(*plan, camera, {1250, 950}, tones, 0.18, {});
    const planning::Rehearsal& rehearsal = *stage.player().rehearsal();
    int lit = 0;
    for (double share = 0.02; share < 1; share += 0.09) {
        const auto now = rehearsal.at(share * rehearsal.total());
        if (now.power == 0) continue;
        const QPoint pixel = camera.to_screen(now.head).toPoint();
        const auto when = moments.when(pixel, 2);
        REQUIRE(when);
        // Neighbouring rows may have touched the pixel a little before.
        CHECK(*when <= share * rehearsal.total() + 1);
        ++lit;
    }
    CHECK(lit > 4);
    // A cut across an engraving is not seen before its time.
    const auto crossed = std::make_shared<planning::Plan>(
        planning::plan(drawn_job("<rect x='10' y='10' width='40' height='40' fill='#000'/>"
                                 "<path d='M5 30 H60' fill='none' stroke='#f00'/>"),
                       {})
            .value());
    REQUIRE(crossed->steps.size() == 2);
    const BurnMoments two =
        draw_moments(*crossed, camera, {1250, 950},
                     {{crossed->steps[0].step, Qt::green}, {crossed->steps[1].step, Qt::red}}, 0.3, {});
    const QPoint crossing = camera.to_screen(crossed->burn_box.centre()).toPoint();
    const planning::Rehearsal play(crossed);
    const QImage before_cut = two.at(play.spans()[1].from - 0.1), after = two.at(play.total());
    CHECK(before_cut.pixelColor(crossing).green() > 200);
    CHECK(before_cut.pixelColor(crossing).red() < 60);
    CHECK(after.pixelColor(crossing).red() > before_cut.pixelColor(crossing).red() + 60);
    // All of it at the end, none of it before the beginning.
    CHECK(moments.at(rehearsal.total() + 1) == moments.burned);
    const QImage none = moments.at(-1);
    for (int y = 0; y < none.height(); y += 7)
        for (int x = 0; x < none.width(); x += 7)
            CHECK(qAlpha(none.pixel(x, y)) == 0);
}

TEST_CASE("what makes it shorter is offered with its gain, and done as one undoable change") {
    Stage stage;
    const job::Id engrave = stage.driver->document().job().steps[0].id;
    auto slow = stage.driver->document().job().steps[0].settings;
    slow.fill.both_ways = false;
    REQUIRE(stage.driver->document().edit(
        "One way", job::change_settings(stage.driver->document().job(), engrave, slow, Speed::mm_per_min(12000)),
        JobChange::steps));
    REQUIRE(stage.driver.wait_planned());
    stage.open("What would make it shorter");
    REQUIRE(wait_for([&] { return stage.driver.visible_text().contains("Engrave: one-way lines cost"); }));
    const double before = stage.player().rehearsal()->total();
    for (auto* button : stage.driver.window().findChildren<QPushButton*>())
        if (button->isVisible() && button->accessibleName().startsWith("Do that: Engrave: one-way")) {
            QTest::mouseClick(button, Qt::LeftButton);
            break;
        }
    REQUIRE(wait_for([&] { return stage.driver->document().job().steps[0].settings.fill.both_ways; }));
    REQUIRE(wait_for([&] { return stage.driver.wait_planned() && stage.player().rehearsal()->total() < before - 10; }));
    stage.driver->document().history().undo();
    CHECK_FALSE(stage.driver->document().job().steps[0].settings.fill.both_ways);
}

TEST_CASE("the energy is shown on the bed, and hot places are listed") {
    QTemporaryDir folder;
    const std::string art =
        "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='60mm' viewBox='0 0 100 60'>"
        "<g fill='none' stroke='#f00' stroke-width='0.1'><path d='M10 10 H60 M10 20 H60 M10 30 H60 M10 40 H60'/>"
        "<path d='M20 10 H40'/></g></svg>";
    const QString file = folder.filePath("twice.svg");
    REQUIRE(replace_file(file.toStdString(), art));
    WindowDriver driver;
    driver.drop({file});
    REQUIRE(driver.wait_planned());
    driver->choose(Mark::rehearse);
    QTest::qWait(30);
    for (auto* fold : driver.window().findChildren<Fold*>())
        if (fold->isVisible()) fold->set_open(true);
    QTest::qWait(20);
    for (auto* tick : driver.window().findChildren<QCheckBox*>())
        if (tick->isVisible() && tick->text() == "Show the energy on the bed")
            QTest::mouseClick(tick, Qt::LeftButton, {}, {8, tick->height() / 2});
    QPushButton* hot = nullptr;
    REQUIRE(wait_for([&] {
        for (auto* button : driver.window().findChildren<QPushButton*>())
            if (button->isVisible() && button->text().contains("× the usual")) hot = button;
        return hot != nullptr;
    }));
    CHECK((hot->text().startsWith("2.0") || hot->text().startsWith("1.9") || hot->text().startsWith("2.1")));
}

TEST_CASE("another way of burning a step is planned beside it, and taken or left") {
    Stage stage;
    stage.open("Compare with another way");
    const double pitch = stage.driver->document().job().steps[0].settings.line_pitch.mm();
    REQUIRE(stage.driver.type("Line pitch to compare", "0.2"));
    REQUIRE(wait_for([&] { return stage.driver.visible_text().contains("as it is"); }));
    CHECK(stage.driver->document().job().steps[0].settings.line_pitch.mm() == pitch);
    REQUIRE(stage.driver.click("Take the other way"));
    CHECK(stage.driver->document().job().steps[0].settings.line_pitch.mm() == Approx(0.2));
}

TEST_CASE("the run sheet becomes a page") {
    Stage stage;
    QTemporaryDir folder;
    REQUIRE(stage.driver.click("Run sheet as a page…"));
    auto* dialog = stage.driver.window().findChild<QFileDialog*>("saveRunSheet");
    REQUIRE(dialog);
    const QString path = folder.filePath("sheet.pdf");
    Q_EMIT dialog->fileSelected(path);
    dialog->close();
    QTest::qWait(30);
    CHECK(stage.driver.visible_text().contains("The run sheet is saved as"));
    const auto bytes = read_file(path.toStdString());
    REQUIRE(bytes);
    CHECK(bytes->starts_with("%PDF-"));
    CHECK(bytes->find("/Count 1") != std::string::npos);
    // A place that cannot be written is said.
    CHECK_FALSE(write_run_sheet({"x", stage.driver->document().job(), stage.player().plan(), {}, {}, 1, {}},
                                "/proc/nowhere/sheet.pdf"));
}

TEST_CASE("a program from a file is rehearsed and burned after the same checks, or refused with its line") {
    QTemporaryDir folder;
    const QString good = folder.filePath("frame.gcode"), bad = folder.filePath("bad.nc"),
                  far = folder.filePath("far.nc");
    REQUIRE(
        replace_file(good.toStdString(), "(a square)\nG21G90\nM4S0\nG0X50Y50\nG1X90F1500S600\nY90\nX50\nY50\nM5\n"));
    REQUIRE(replace_file(bad.toStdString(), "G21\nG0X10\nG38.2Z-5\n"));
    REQUIRE(replace_file(far.toStdString(), "G21G90\nM4\nG0X50Y50\nG1X900F1500S600\nM5\n"));
    SimulatorProcess machine(CHALKLINE_SIM);
    WindowDriver driver;
    driver.drop({bad});
    CHECK(driver.visible_text().contains("“G38.2” is not understood"));
    CHECK(driver.visible_text().contains("bad.nc"));
    driver.drop({far});
    REQUIRE(wait_for([&] { return driver->plans().planned().plan != nullptr; }));
    CHECK_FALSE(driver->plans().ready());
    driver.drop({good});
    REQUIRE(wait_for([&] { return driver->plans().ready(); }));
    CHECK(driver.fact(Mark::art) == "a program: frame.gcode");
    CHECK(driver->player().plan()->burn == Approx(160).margin(0.1));
    driver->machine().connect_to(QString::fromStdString(machine.port()), "simulated");
    REQUIRE(wait_for([&] {
        return driver->machine().snapshot().state == machine::ControllerState::alarm &&
               driver->machine().snapshot().activity == machine::Activity::none;
    }));
    driver->machine().home();
    REQUIRE(wait_for([&] { return driver.idle() && driver->machine().snapshot().position_sure; }));
    driver->choose(Mark::burn);
    REQUIRE(wait_for([&] { return driver.button("Burn…") && driver.button("Burn…")->isEnabled(); }));
    REQUIRE(driver.click("Burn…"));
    QTest::qWait(20);
    REQUIRE(driver.click("Burn"));
    REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value(); }));
    driver->machine().disconnect_now();
    machine.finish();
    CHECK(machine.clean());
    CHECK(machine.figure("beam_on_mm") == Approx(160).margin(0.1));
    // New art puts it away.
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(wait_for([&] { return !driver->document().job().motifs.empty(); }));
    CHECK(driver->plans().program_name().isEmpty());
}

TEST_CASE("a program from a file that was stopped is gone on with") {
    QTemporaryDir folder;
    const QString file = folder.filePath("rounds.gcode");
    std::string text = "G21G90\nM4S0\nG0X50Y50\nG1F1500S600\n";
    for (int round = 0; round < 40; ++round)
        text += "X90\nY90\nX50\nY50\n";
    REQUIRE(replace_file(file.toStdString(), text + "M5\n"));
    SimulatorProcess machine(CHALKLINE_SIM, "60");
    WindowDriver driver;
    driver.drop({file});
    REQUIRE(wait_for([&] { return driver->plans().ready(); }));
    driver->machine().connect_to(QString::fromStdString(machine.port()), "simulated");
    REQUIRE(wait_for([&] {
        return driver->machine().snapshot().state == machine::ControllerState::alarm &&
               driver->machine().snapshot().activity == machine::Activity::none;
    }));
    driver->machine().home();
    REQUIRE(wait_for([&] { return driver.idle() && driver->machine().snapshot().position_sure; }));
    begin_burn(driver);
    REQUIRE(wait_for([&] { return driver->desk().share_done() > 0.2; }));
    driver->machine().stop();
    REQUIRE(wait_for([&] { return driver->desk().broken_off() && driver.idle(); }));
    REQUIRE(press_enabled(driver, "Go on from there…"));
    REQUIRE(press_enabled(driver, "Go on"));
    REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value(); }));
    driver->machine().disconnect_now();
    machine.finish();
    CHECK(machine.clean());
    CHECK(machine.figure("beam_on_mm") >= 40 * 160 - 0.5);
    CHECK(machine.figure("beam_on_mm") < 40 * 160 + 45 * 40);
}
