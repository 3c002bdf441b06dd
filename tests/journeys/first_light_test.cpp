// SPDX-License-Identifier: GPL-3.0-or-later
// The whole way as a maker goes it: a real window, real mouse and keys, a real pseudo-terminal, a burned piece.
#include "machine/connection_sheet.hpp"
#include "support/dose.hpp"
#include "support/sample_files.hpp"
#include "support/simulator_process.hpp"
#include "support/window_driver.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/job/edits.hpp>

#include <catch2/catch.hpp>

#include <QLineEdit>
#include <QTemporaryDir>
#include <QThread>
#include <numbers>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;
using test::Dose;
using test::SimulatorProcess;
using test::wait_for;
using test::WindowDriver;

namespace {

/// Connects by the rail, as a maker types a port.
void connect_by_rail(WindowDriver& driver, const std::string& port) {
    QPushButton* machine = driver.button(QString::fromUtf8("Bench laser 400 × 300 · connect…"));
    REQUIRE(machine);
    QTest::mouseClick(machine, Qt::LeftButton);
    auto* sheet = driver.window().findChild<QWidget*>("sheet");
    REQUIRE(sheet);
    auto* address = sheet->findChild<QLineEdit*>();
    QTest::keyClicks(address, QString::fromStdString(port));
    REQUIRE(driver.click("Connect"));
    REQUIRE(wait_for([&] {
        return driver->machine().snapshot().state == machine::ControllerState::alarm &&
               driver->machine().snapshot().activity == machine::Activity::none;
    }));
}

void find_home(WindowDriver& driver) {
    REQUIRE(driver.click("Home"));
    REQUIRE(wait_for([&] { return driver.idle() && driver->machine().snapshot().position.has_value(); }));
}

void burn_by_keys(WindowDriver& driver) {
    driver.window().setFocus();
    QTest::keyClick(&driver.window(), Qt::Key_Return, Qt::ControlModifier);
    auto* sheet = driver.window().findChild<QWidget*>("sheet");
    REQUIRE(sheet);
    QTest::keyClick(sheet, Qt::Key_Return);
    REQUIRE(wait_for([&] { return driver->desk().burning(); }));
}

}  // namespace

TEST_CASE("drop, route by mouse, frame, burn, and the piece shows the art") {
    SimulatorProcess machine(CHALKLINE_SIM);
    WindowDriver driver;
    driver.drop({sample_plate});
    REQUIRE(driver.wait_planned());

    // The border line shall be cut too.
    driver->choose(Mark::steps);
    QTest::qWait(20);
    InkChip* border = nullptr;
    for (InkChip* chip : driver->steps_tray().chips())
        if (to_text(chip->ink()) == "#1565c0:line") border = chip;
    REQUIRE(border);
    StepCard* cut = driver->steps_tray().cards()[2];
    driver.drag(border, {10, 10}, cut, cut->rect().center());
    REQUIRE(driver->document().job().steps[2].inks.size() == 2);
    REQUIRE(driver.wait_planned());

    connect_by_rail(driver, machine.port());
    CHECK(driver.button("Locked"));
    find_home(driver);

    driver->choose(Mark::frame);
    QTest::qWait(20);
    REQUIRE(driver.click("Frame"));
    REQUIRE(wait_for([&] { return driver.click("It did"); }));
    CHECK(driver.state(Mark::frame) == MarkState::done);

    burn_by_keys(driver);
    REQUIRE(wait_for([&] { return driver.state(Mark::burn) == MarkState::done; }));
    CHECK(driver->desk().share_done() == 1);
    machine.finish();
    CHECK(machine.clean());
    CHECK(machine.figure("starved") == 0);

    const Dose dose(machine.file("dose.bin"));
    const auto place = driver->document().job().motifs[0].place;
    // Plate coordinates (Y up from its lower left corner): what must be burned and what must not.
    const auto near = [&](double x, double y) {
        const auto p = place({x, y});
        return dose.near(p.x, p.y);
    };
    constexpr float engraved = 1000, cut_through = 16000;  // mJ/mm²
    CHECK(near(33 - 5, 102 - 44) > engraved);              // leaf
    CHECK(near(77.5, 0.5) > cut_through);                  // outline, near side
    CHECK(near(7, 50) > cut_through);                      // border, now a cut
    CHECK(near(14 + 4, 102 - 14) > cut_through);           // hole
    const auto p = place({14, 102 - 14});
    CHECK(dose.at(p.x, p.y) == 0);  // its middle
    CHECK(near(3.5, 50) == 0);      // between outline and border
    CHECK(near(-3, 50) == 0);       // beside the plate
    // The engraved area is the drawn one.
    double area = 0;
    const auto corner = place({10, 10});
    for (double y = corner.y; y < corner.y + 82; y += 0.1)
        for (double x = corner.x + 9; x < corner.x + 125; x += 0.1)
            area += dose.at(x, y) > 1312.5 / 2 ? 0.01 : 0;
    CHECK(area == Approx(1779.5).epsilon(0.01));
}

TEST_CASE("a plate turned by 37° on a turned piece is framed and burned where it is drawn") {
    SimulatorProcess machine(CHALKLINE_SIM);
    WindowDriver driver;
    driver.drop({sample_plate});
    job::Stock stock;
    stock.corner = {180, 20};
    stock.width = 170;
    stock.height = 120;
    REQUIRE(driver->document().edit("Stock", job::set_stock(driver->document().job(), stock), JobChange::stock));
    driver->choose(Mark::stock);
    QTest::qWait(20);
    REQUIRE(driver.type("Turned by", "37"));
    REQUIRE(driver.click("Centre it"));
    REQUIRE(driver.wait_planned());

    connect_by_rail(driver, machine.port());
    find_home(driver);
    driver->choose(Mark::frame);
    QTest::qWait(20);
    REQUIRE(driver.click("Frame"));
    geometry::Box framed;
    REQUIRE(wait_for([&] {
        if (const auto at = driver->machine().snapshot().position) framed.add(*at);
        return driver.click("It did");
    }));
    CHECK(driver.state(Mark::frame) == MarkState::done);
    const geometry::Box drawn = job::bounds(driver->document().job());
    CHECK(drawn.grown(0.1).contains(geometry::Point{framed.right, framed.top}));

    burn_by_keys(driver);
    REQUIRE(wait_for([&] { return driver.state(Mark::burn) == MarkState::done; }));
    machine.finish();
    CHECK(machine.clean());

    const Dose dose(machine.file("dose.bin"));
    const auto place = driver->document().job().motifs[0].place;
    CHECK(std::atan2(place.b, place.a) == Approx(37 * std::numbers::pi / 180));
    const auto near = [&](double x, double y) {
        const auto p = place({x, y});
        return dose.near(p.x, p.y);
    };
    CHECK(near(33 - 5, 102 - 44) > 1000);   // leaf
    CHECK(near(77.5, 0.5) > 16000);         // outline, near side
    CHECK(near(14 + 4, 102 - 14) > 16000);  // hole
    CHECK(near(3.5, 50) == 0);              // between outline and border
    CHECK(near(-3, 50) == 0);               // beside the plate
    // Nothing burned off the piece.
    const geometry::Region piece{{driver->document().job().stock->outline()}, geometry::FillRule::non_zero};
    int stray = 0;
    for (double y = 1; y < 299; y += 0.5)
        for (double x = 1; x < 399; x += 0.5)
            stray += dose.at(x, y) > 0 && !geometry::contains(piece, {x, y}) ? 1 : 0;
    CHECK(stray == 0);
}

TEST_CASE("moving the art takes the frame back") {
    SimulatorProcess machine(CHALKLINE_SIM);
    WindowDriver driver;
    driver.drop({sample_plate});
    REQUIRE(driver.wait_planned());
    connect_by_rail(driver, machine.port());
    find_home(driver);
    QTest::keyClick(&driver.window(), Qt::Key_F, Qt::ControlModifier | Qt::ShiftModifier);
    REQUIRE(wait_for([&] { return driver.click("It did"); }));
    CHECK(driver.state(Mark::frame) == MarkState::done);
    driver->placing().choose({driver->document().job().motifs[0].id});
    QTest::keyClick(&driver->bed(), Qt::Key_Up);
    REQUIRE(driver.wait_planned());
    CHECK(driver.state(Mark::frame) == MarkState::not_yet);
    // Where it was framed it is framed.
    QTest::keyClick(&driver.window(), Qt::Key_Z, Qt::ControlModifier);
    REQUIRE(driver.wait_planned());
    CHECK(driver.state(Mark::frame) == MarkState::done);
}

TEST_CASE("the window frozen for three seconds does not starve the link") {
    SimulatorProcess machine(CHALKLINE_SIM, "1");
    WindowDriver driver;
    const QTemporaryDir folder;
    // Dense stripes: about a hundred and twenty lines a second at this speed.
    QByteArray svg = "<svg xmlns='http://www.w3.org/2000/svg' width='60mm' height='4mm' viewBox='0 0 60 4'>";
    for (int i = 0; i < 60; ++i)
        svg += "<rect x='" + QByteArray::number(i) + "' width='0.5' height='4'/>";
    QFile file(folder.filePath("stripes.svg"));
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write(svg + "</svg>");
    file.close();
    driver.drop({file.fileName()});
    REQUIRE(driver.wait_planned());
    connect_by_rail(driver, machine.port());
    find_home(driver);
    burn_by_keys(driver);
    REQUIRE(wait_for([&] { return driver->machine().snapshot().lines_done > 150; }));
    const auto before = driver->machine().snapshot().lines_done;
    QThread::sleep(3);
    QTest::qWait(100);
    CHECK(driver->machine().snapshot().lines_done - before > 200);
    CHECK(driver->desk().burning());
    REQUIRE(driver.click("STOP"));
    REQUIRE(wait_for([&] { return driver.visible_text().contains("Stopped, beam off"); }));
    machine.finish();
    CHECK(machine.figure("starved") == 0);
    CHECK(machine.clean());
}

TEST_CASE("Esc holds, Esc again stops, from wherever the focus is") {
    SimulatorProcess machine(CHALKLINE_SIM, "4");
    WindowDriver driver;
    driver.drop({sample_plate});
    REQUIRE(driver.wait_planned());
    connect_by_rail(driver, machine.port());
    find_home(driver);
    burn_by_keys(driver);
    REQUIRE(wait_for([&] { return driver->machine().snapshot().lines_done > 50; }));
    driver->choose(Mark::stock);
    QTest::keyClick(driver.button("Set a piece"), Qt::Key_Escape);
    REQUIRE(wait_for([&] { return driver->machine().snapshot().state == machine::ControllerState::hold; }));
    REQUIRE(driver.click("Resume"));
    REQUIRE(wait_for([&] { return driver->machine().snapshot().state == machine::ControllerState::run; }));
    QTest::keyClick(&driver->bed(), Qt::Key_Escape);
    REQUIRE(wait_for([&] { return driver->machine().snapshot().state == machine::ControllerState::hold; }));
    CHECK(driver->desk().burning());
    QTest::keyClick(&driver->line(), Qt::Key_Escape);
    REQUIRE(wait_for([&] { return driver.idle(); }));
    CHECK(driver.state(Mark::burn) == MarkState::attention);
    CHECK(driver->machine().snapshot().position_sure);
    machine.finish();
    CHECK(machine.clean());
}

TEST_CASE("a machine pulled out while burning: said, the job unharmed, and another can be connected") {
    auto machine = std::make_unique<SimulatorProcess>(CHALKLINE_SIM, "4");
    WindowDriver driver;
    driver.drop({sample_plate});
    REQUIRE(driver.wait_planned());
    connect_by_rail(driver, machine->port());
    find_home(driver);
    burn_by_keys(driver);
    REQUIRE(wait_for([&] { return driver->machine().snapshot().lines_done > 50; }));
    machine->finish(SIGKILL);
    REQUIRE(wait_for([&] { return driver.visible_text().contains("connection to the machine is gone"); }));
    CHECK(driver.button("Not connected"));
    CHECK(driver->document().job().steps.size() == 3);
    CHECK(driver.state(Mark::burn) == MarkState::attention);
    SimulatorProcess next(CHALKLINE_SIM);
    connect_by_rail(driver, next.port());
    find_home(driver);
    CHECK(driver->plans().ready());
}

TEST_CASE("jogging by the strip moves the head and stops at the edge") {
    SimulatorProcess machine(CHALKLINE_SIM);
    WindowDriver driver;
    driver.drop({sample_plate});
    connect_by_rail(driver, machine.port());
    find_home(driver);
    driver->choose(Mark::frame);
    QTest::qWait(20);
    const auto jog = [&](const QString& name) {
        for (auto* button : driver.window().findChildren<QPushButton*>())
            if (button->isVisible() && button->accessibleName() == name)
                return QTest::mouseClick(button, Qt::LeftButton);
    };
    jog("Move X by 50 mm");
    REQUIRE(wait_for([&] { return driver.idle() && driver->machine().snapshot().position->x > 50.9; }));
    jog("Move Y by -10 mm");
    REQUIRE(wait_for([&] { return driver.visible_text().contains("would leave the bed"); }));
    CHECK(driver->machine().snapshot().position->y == Approx(1));
}

TEST_CASE("the sample machine starts by itself, finds home and is ready to burn") {
    WindowDriver driver;
    driver.drop({QString(CHALKLINE_SAMPLES "/plot-27.chalk")});
    REQUIRE(driver.wait_planned());
    driver->connect_sample_machine();
    REQUIRE(wait_for([&] { return driver.fact(Mark::burn) == "ready, not framed"; }));
    CHECK(driver->machine().name() == "simulated");
    CHECK(driver->machine().snapshot().position_sure);
}

TEST_CASE("any other machine is never homed unasked") {
    SimulatorProcess machine(CHALKLINE_SIM);
    WindowDriver driver;
    connect_by_rail(driver, machine.port());
    QTest::qWait(500);
    CHECK(driver->machine().snapshot().state == machine::ControllerState::alarm);
    CHECK(driver.button("Unlock"));
    REQUIRE(driver.click("Unlock"));
    REQUIRE(wait_for([&] { return driver.idle(); }));
    // Unlocked without knowing where: no place is shown and no limit promised.
    CHECK_FALSE(driver->machine().snapshot().position_sure);
    CHECK(driver.visible_text().contains(QString::fromUtf8("X —")));
}

TEST_CASE("a board that reads one line after the other: found by asking, homed, framed, burned, stopped") {
    QTemporaryDir folder;
    machine::MachineProfile board;
    board.dialect = machine::Dialect::line_by_line;
    const std::string file = folder.filePath("board.json").toStdString();
    REQUIRE(replace_file(file, machine::to_json(board)));
    SimulatorProcess machine(CHALKLINE_SIM, "max", {"--profile", file});
    WindowDriver driver;
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(driver.wait_planned());
    new ConnectionSheet(
        driver->machine(), driver->keeper(), {},
        [&] {
            return std::vector<ports::Port>{{machine.port(), "Workshop", "Board"}};
        },
        &driver.window());
    REQUIRE(wait_for([&] { return driver.button("Ask who is there") != nullptr; }));
    REQUIRE(driver.click("Ask who is there"));
    REQUIRE(wait_for([&] { return driver.visible_text().contains("Answers: controller Marlin"); }));
    REQUIRE(wait_for([&] { return driver.button("Ask who is there") != nullptr; }));
    REQUIRE(driver.click("Connect to it"));
    REQUIRE(wait_for([&] { return driver.idle(); }));
    CHECK(driver->machine().profile().dialect == machine::Dialect::line_by_line);
    // What it cannot do is not offered.
    CHECK_FALSE(driver.button("Hold"));
    REQUIRE(driver.click("Home"));
    REQUIRE(wait_for([&] { return driver.idle() && driver->machine().head(); }));
    driver->choose(Mark::frame);
    REQUIRE(wait_for([&] { return driver.button("Frame") && driver.button("Frame")->isEnabled(); }));
    REQUIRE(driver.click("Frame"));
    REQUIRE(wait_for([&] { return driver->desk().framed_at().has_value() && driver.idle(); }));
    driver->choose(Mark::burn);
    QTest::keyClick(&driver->bed(), Qt::Key_Return, Qt::ControlModifier);
    QTest::qWait(30);
    REQUIRE(driver.click("Burn"));
    REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value(); }, 120000));
    const double planned = driver->desk().burning_plan()->burn;
    // Again, and one Esc stops what cannot be held; how many moves may still have run is said.
    REQUIRE(wait_for([&] { return driver.idle(); }));
    REQUIRE(wait_for([&] {
        auto* again = driver.button("Burn again in place…");
        return again && again->isEnabled();
    }));
    REQUIRE(driver.click("Burn again in place…"));
    QTest::qWait(30);
    REQUIRE(driver.click("Burn"));
    REQUIRE(wait_for([&] {
        const auto& now = driver->machine().snapshot();
        return now.activity == machine::Activity::burning && now.lines_done > 20;
    }));
    QTest::keyClick(&driver->bed(), Qt::Key_Escape);
    REQUIRE(wait_for([&] { return driver->desk().trouble().has_value(); }));
    CHECK(driver->desk().trouble()->whole().contains("up to 17 moves still ran"));
    driver->machine().disconnect_now();
    machine.finish();
    CHECK(machine.figure("beam_on_mm") >= planned);
    CHECK(machine.figure("beam_on_mm") < 2 * planned);
    CHECK(machine.report().find("\"errors\": []") != std::string::npos);
    CHECK(machine.report().find("\"violations\": []") != std::string::npos);
}
