// SPDX-License-Identifier: GPL-3.0-or-later
// The window with the boards people own, each behind a pty.
#include "machine/self_test_sheet.hpp"
#include "support/sample_files.hpp"
#include "support/workbench.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/simulator/board.hpp>

#include <QDir>
#include <QTableWidget>
#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;

namespace {

std::vector<simulator::Board> boards() {
    std::vector<simulator::Board> all;
    for (const QString& file : QDir(QString(CHALKLINE_SAMPLES) + "/boards").entryList({"*.json"}, QDir::Files)) {
        const std::string path = (QString(CHALKLINE_SAMPLES) + "/boards/" + file).toStdString();
        all.push_back(simulator::parse_board(read_file(path).value(), path).value());
    }
    return all;
}

const machine::Snapshot& now(WindowDriver& driver) {
    return driver->machine().snapshot();
}

/// Connects as the connection sheet does with what the port was found to speak, and waits for the answer.
void connect(WindowDriver& driver, const SimulatorProcess& machine, machine::Dialect dialect) {
    driver->keeper().connect_to(QString::fromStdString(machine.port()), 115200, dialect);
    REQUIRE(wait_for([&] { return now(driver).connected && now(driver).activity == machine::Activity::none; }));
    REQUIRE(wait_for([&] { return now(driver).position.has_value(); }));
}

/// Home by its button, or the sheet that asks where the head stands.
void settle_place(WindowDriver& driver) {
    if (now(driver).position_sure) return;
    driver->choose(Mark::frame);
    if (driver->machine().profile().home != machine::HomeCorner::none) {
        REQUIRE(press_enabled(driver, "Home"));
    } else {
        REQUIRE(press_enabled(driver, "Say where it stands…"));
        REQUIRE(wait_for([&] { return driver.button("It stands there") != nullptr; }));
        // The bed's near left corner, where this one was switched on.
        QComboBox* places = nullptr;
        for (auto* box : driver.window().findChildren<QComboBox*>())
            if (box->isVisible() && box->accessibleName() == "Place the head stands at") places = box;
        REQUIRE(places);
        places->setCurrentIndex(places->findText("bed, near left", Qt::MatchStartsWith));
        REQUIRE(driver.click("It stands there"));
    }
    REQUIRE(wait_for([&] { return driver.idle() && now(driver).position_sure; }));
}

}  // namespace

TEST_CASE("every board in the window: connected, its place settled, framed, burned") {
    for (const simulator::Board& board : boards()) {
        INFO(board.name);
        SimulatorProcess machine(CHALKLINE_SIM, "max", {"--board", board.name});
        WindowDriver driver;
        driver->files().open({sample_job});
        REQUIRE(driver.wait_planned());
        connect(driver, machine, board.dialect);
        CHECK_FALSE(now(driver).position_sure);
        settle_place(driver);
        driver->choose(Mark::frame);
        REQUIRE(driver.wait_planned());
        REQUIRE(press_enabled(driver, "Frame"));
        REQUIRE(wait_for([&] { return driver->desk().framed_at().has_value() && driver.idle(); }));
        driver->choose(Mark::burn);
        REQUIRE(press_enabled(driver, "Burn…"));
        REQUIRE(press_enabled(driver, "Burn"));
        if (board.name == "line-no-inline-power") {
            REQUIRE(wait_for([&] { return driver.visible_text().contains("cannot change the beam's power"); }));
            continue;
        }
        if (board.name == "line-unknown-firmware") {
            REQUIRE(wait_for([&] { return driver.visible_text().contains("It is not known whether this board"); }));
            machine::MachineProfile profile = driver->machine().flat_profile();
            profile.power_in_moves = true;
            driver->keeper().keep(profile);
            REQUIRE(driver.wait_planned());
            REQUIRE(press_enabled(driver, "Burn…"));
            REQUIRE(press_enabled(driver, "Burn"));
        }
        REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value(); }, 120000));
        driver->machine().disconnect_now();
        machine.finish();
        CHECK(machine.clean());
        CHECK(machine.figure("beam_on_mm") == Approx(19308).margin(20));
    }
}

TEST_CASE("every board in the window: held, stopped, unplugged, and gone on with") {
    for (const simulator::Board& board : boards()) {
        if (board.name == "line-no-inline-power") continue;
        INFO(board.name);
        // Slow enough that a window that has to wait for its turn still meets the burn.
        SimulatorProcess machine(CHALKLINE_SIM, "20", {"--board", board.name});
        WindowDriver driver;
        driver->files().open({sample_job});
        REQUIRE(driver.wait_planned());
        connect(driver, machine, board.dialect);
        machine::MachineProfile profile = driver->machine().flat_profile();
        profile.power_in_moves = true;
        driver->keeper().keep(profile);
        settle_place(driver);
        REQUIRE(driver.wait_planned());
        begin_burn(driver);
        REQUIRE(wait_for([&] { return now(driver).lines_done > 100; }));
        if (now(driver).can.hold) {
            driver->machine().hold();
            REQUIRE(wait_for([&] { return now(driver).state == machine::ControllerState::hold; }));
            driver->machine().resume();
            REQUIRE(wait_for([&] { return now(driver).state == machine::ControllerState::run; }));
        }
        driver->machine().stop();
        REQUIRE(wait_for([&] { return driver.idle() && driver->desk().broken_off(); }));
        machine.hurry();
        driver->machine().disconnect_now();
        connect(driver, machine, board.dialect);
        // What went on counting is believed; else home is found again, or somebody says that the head still stands
        // there.
        driver->choose(Mark::burn);
        if (!now(driver).position_sure && driver->machine().profile().home == machine::HomeCorner::none) {
            REQUIRE(press_enabled(driver, "Is the head still there…"));
            REQUIRE(press_enabled(driver, "Yes, it stands there"));
            REQUIRE(wait_for([&] { return now(driver).position_sure; }));
        }
        settle_place(driver);
        driver->choose(Mark::burn);
        REQUIRE(press_enabled(driver, "Go on from there…"));
        REQUIRE(press_enabled(driver, "Go on"));
        REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value(); }, 120000));
        driver->machine().disconnect_now();
        machine.finish();
        INFO(machine.report());
        CHECK(machine.report().find("\"violations\": []") != std::string::npos);
        CHECK(machine.figure("beam_on_mm") > 19307);
        // Boards that read one line after the other may have a whole plan of moves once more.
        CHECK(machine.figure("beam_on_mm") < 19308 + 16 * 130);
    }
}

TEST_CASE("a board that forgets its place is asked about before a burn that broke off goes on") {
    SimulatorProcess machine(CHALKLINE_SIM, "40", {"--board", "usb-restart"});
    WindowDriver driver;
    driver->files().open({sample_job});
    REQUIRE(driver.wait_planned());
    connect(driver, machine, machine::Dialect::realtime);
    settle_place(driver);
    REQUIRE(driver.wait_planned());
    begin_burn(driver);
    REQUIRE(wait_for([&] { return now(driver).lines_done > 300; }));
    driver->machine().stop();
    REQUIRE(wait_for([&] { return driver.idle() && driver->desk().broken_off(); }));
    const geometry::Point stood = *now(driver).position;
    const double first = driver->desk().burning_plan()->burn * driver->desk().share_done();
    driver->machine().disconnect_now();
    connect(driver, machine, machine::Dialect::realtime);
    CHECK_FALSE(now(driver).position_sure);
    CHECK_FALSE(now(driver).placed_by_hand);
    driver->choose(Mark::burn);
    REQUIRE(wait_for([&] { return driver.button("Is the head still there…") != nullptr; }));
    CHECK(driver.visible_text().contains(
        QString("Is the head still where it stood (%1, %2)?").arg(stood.x, 0, 'f', 1).arg(stood.y, 0, 'f', 1)));
    CHECK_FALSE(driver.button("Go on from there…")->isEnabled());
    REQUIRE(driver.click("Is the head still there…"));
    REQUIRE(press_enabled(driver, "Yes, it stands there"));
    REQUIRE(wait_for([&] { return now(driver).position_sure && now(driver).placed_by_hand; }));
    CHECK(geometry::distance(*now(driver).position, stood) < 0.01);
    REQUIRE(press_enabled(driver, "Go on from there…"));
    REQUIRE(press_enabled(driver, "Go on"));
    REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value(); }, 120000));
    driver->machine().disconnect_now();
    machine.finish();
    CHECK(machine.clean());
    CHECK(machine.figure("beam_on_mm") > 19307);
    CHECK(machine.figure("beam_on_mm") < 19308 + 130);
    CHECK(first > 0);
}

TEST_CASE("a build that counts from 0 at home is recognised once, and its profile keeps that") {
    SimulatorProcess machine(CHALKLINE_SIM, "max", {"--board", "zero-at-home"});
    WindowDriver driver;
    connect(driver, machine, machine::Dialect::realtime);
    settle_place(driver);
    CHECK(driver->machine().flat_profile().zero_at_home);
    driver->machine().disconnect_now();
    connect(driver, machine, machine::Dialect::realtime);
    // The same window, and the board stayed on: it still knows.
    CHECK(now(driver).position_sure);
    driver->machine().disconnect_now();
    WindowDriver another;
    connect(another, machine, machine::Dialect::realtime);
    CHECK(another->machine().flat_profile().zero_at_home);
    CHECK_FALSE(now(another).position_sure);
}

TEST_CASE("a job sent to the controller's own store is looked at and burned from there") {
    for (const auto& [board, name] :
         {std::pair{"late-greeting", "PLOT-27.NC"}, std::pair{"line-numbered", "PLOT-27.GCO"}}) {
        INFO(board);
        SimulatorProcess machine(CHALKLINE_SIM, "max", {"--board", board});
        WindowDriver driver;
        driver->files().open({sample_job});
        REQUIRE(driver.wait_planned());
        connect(driver, machine,
                QString(board).startsWith("line") ? machine::Dialect::line_by_line : machine::Dialect::realtime);
        settle_place(driver);
        driver->choose(Mark::burn);
        REQUIRE(driver.wait_planned());
        REQUIRE(press_enabled(driver, "The controller's own store…"));
        QTableWidget* table = nullptr;
        const auto rows = [&] {
            for (auto* one : driver.window().findChildren<QTableWidget*>())
                if (one->isVisible() && one->accessibleName() == "Files in the store") table = one;
            return table ? table->rowCount() : -1;
        };
        REQUIRE(wait_for([&] { return rows() == 1; }));
        table->selectRow(0);
        CHECK_FALSE(driver.button("Show it, to burn it from there")->isEnabled());  // nobody checked that one
        REQUIRE(press_enabled(driver, "Send this job"));
        REQUIRE(wait_for([&] { return rows() == 2; }, 120000));
        // The other file goes by two presses; choosing another one between them asks anew.
        const int other = table->item(0, 0)->text() == name ? 1 : 0;
        table->selectRow(other);
        REQUIRE(press_enabled(driver, "Delete"));
        table->selectRow(1 - other);
        CHECK(driver.button("Delete"));
        table->selectRow(other);
        REQUIRE(press_enabled(driver, "Delete"));
        REQUIRE(rows() == 2);
        REQUIRE(press_enabled(driver, "Delete it for good"));
        REQUIRE(wait_for([&] { return rows() == 1 && driver->machine().free(); }, 30000));
        table->selectRow(0);
        CHECK(table->item(table->currentRow(), 0)->text() == name);
        REQUIRE(press_enabled(driver, "Show it, to burn it from there"));
        REQUIRE(wait_for([&] { return driver->plans().stored().has_value() && !driver->plans().stale(); }));
        driver->choose(Mark::frame);
        REQUIRE(press_enabled(driver, "Frame"));
        REQUIRE(wait_for([&] { return driver->desk().framed_at().has_value() && driver.idle(); }));
        driver->choose(Mark::burn);
        REQUIRE(press_enabled(driver, "Burn it from the store…"));
        REQUIRE(driver.visible_text().contains("by the controller itself"));
        REQUIRE(press_enabled(driver, "Burn"));
        REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value(); }, 120000));
        CHECK(driver->burns().current()->title == name);
        CHECK_FALSE(driver->burns().broken_off());
        driver->machine().disconnect_now();
        machine.finish();
        CHECK(machine.clean());
        CHECK(machine.figure("beam_on_mm") == Approx(19308).margin(20));
    }
}

TEST_CASE("the self-test in the window runs dark and leaves the job's frame alone") {
    SimulatorProcess machine(CHALKLINE_SIM, "4");
    WindowDriver driver;
    driver->files().open({sample_job});
    REQUIRE(driver.wait_planned());
    connect(driver, machine, machine::Dialect::realtime);
    settle_place(driver);
    new SelfTestSheet(driver->machine(), &driver.window());
    REQUIRE(press_enabled(driver, "Begin"));
    REQUIRE(wait_for([&] { return driver.visible_text().contains("Passed."); }, 120000));
    CHECK_FALSE(driver->desk().framed_at());
    CHECK_FALSE(driver->desk().trouble());  // its stop was meant
    CHECK(driver.button("Save the report…")->isEnabled());
    REQUIRE(driver.click("Done"));
    driver->machine().disconnect_now();
    machine.finish();
    CHECK(machine.clean());
    CHECK(machine.figure("beam_on_mm") == 0);
}
