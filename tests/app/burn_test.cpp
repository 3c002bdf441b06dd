// SPDX-License-Identifier: GPL-3.0-or-later
// While it burns, when it breaks off, and going on.
#include "support/workbench.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/encoding/encoder.hpp>
#include <chalkline/safety/program_checker.hpp>

#include <QFileDialog>
#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;

namespace {

void go_on_to_the_end(WindowDriver& driver) {
    REQUIRE(press_enabled(driver, "Go on from there…"));
    CHECK(driver.visible_text().contains("it must lie where it lay"));
    REQUIRE(press_enabled(driver, "Go on"));
    REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value(); }, 120000));
    QTest::qWait(30);
    CHECK_FALSE(driver->desk().broken_off());
    CHECK_FALSE(driver.button("Go on from there…"));
}

/// mm that may be burned twice: what the planner of the sample machine holds of its fills' longest lines.
constexpr double most_overlap = 16 * 30.0;

}  // namespace

TEST_CASE("a burn that was stopped is gone on with where it stopped") {
    Workbench bench;
    begin_burn(bench.driver);
    const double planned = bench.driver->desk().burning_plan()->burn;
    REQUIRE(wait_for([&] { return bench.now().lines_done > 300; }));
    bench.driver->machine().stop();
    REQUIRE(wait_for([&] { return bench.at_rest() && bench.driver->desk().broken_off(); }));
    CHECK(bench.driver.visible_text().contains("% burned for sure"));
    const double share = bench.driver->desk().share_done();
    CHECK(share > 0);
    CHECK(share < 1);
    go_on_to_the_end(bench.driver);
    bench.driver->machine().disconnect_now();
    bench.machine.finish();
    CHECK(bench.machine.clean());
    CHECK(bench.machine.figure("beam_on_mm") > planned - 1);
    CHECK(bench.machine.figure("beam_on_mm") < planned + most_overlap);
}

TEST_CASE("after a pulled cable the rest is burned on the machine that was plugged in again") {
    auto bench = std::make_unique<Workbench>("40");
    begin_burn(bench->driver);
    WindowDriver& driver = bench->driver;
    const auto plan = driver->desk().burning_plan();
    REQUIRE(wait_for([&] { return bench->now().done.operation > 20; }));
    bench->machine.finish(SIGKILL);
    REQUIRE(wait_for([&] { return driver->desk().broken_off().has_value(); }));
    CHECK(driver.button("Go on from there…"));
    CHECK_FALSE(driver.button("Go on from there…")->isEnabled());
    CHECK(driver.visible_text().contains("To go on: Connect it first."));
    const auto done = static_cast<std::size_t>(driver->desk().broken_off()->done.operation);
    REQUIRE(done < plan->finished_at.size());
    SimulatorProcess again(CHALKLINE_SIM);
    driver->machine().connect_to(QString::fromStdString(again.port()), "simulated");
    REQUIRE(wait_for([&] { return bench->answered(); }));
    CHECK_FALSE(driver.button("Go on from there…")->isEnabled());
    REQUIRE(driver.click("Home"));
    go_on_to_the_end(driver);
    driver->machine().disconnect_now();
    again.finish();
    CHECK(again.clean());
    // Less than the whole was burned there, and all of what was not sure.
    CHECK(again.figure("beam_on_mm") < plan->burn - 1);
    CHECK(again.figure("beam_on_mm") > 10);
}

TEST_CASE("a changed job is not gone on with") {
    Workbench bench;
    begin_burn(bench.driver);
    REQUIRE(wait_for([&] { return bench.now().lines_done > 300; }));
    bench.driver->machine().stop();
    REQUIRE(wait_for([&] { return bench.at_rest() && bench.driver->desk().broken_off(); }));
    bench.driver->placing().choose_all();
    bench.driver->placing().move({1, 0});
    CHECK_FALSE(bench.driver->desk().broken_off());
    CHECK_FALSE(bench.driver.button("Go on from there…"));
}

TEST_CASE("power and speed are trimmed while it burns, stay with the step, and are put into it") {
    Workbench bench("4");
    begin_burn(bench.driver);
    const auto press = [&](const QString& name) {
        for (auto* button : bench.driver.window().findChildren<QPushButton*>())
            if (button->isVisible() && button->accessibleName() == name) {
                QTest::mouseClick(button, Qt::LeftButton);
                return true;
            }
        return false;
    };
    REQUIRE(press("Power by -10 %"));
    REQUIRE(wait_for([&] { return bench.now().power_trim == 90; }));
    REQUIRE(press("Power by 1 %"));
    REQUIRE(press("Speed by 10 %"));
    REQUIRE(wait_for([&] { return bench.now().power_trim == 91 && bench.now().speed_trim == 110; }));
    // It is what the controller says, too: its next report does not take it back.
    QTest::qWait(800);
    CHECK(bench.now().power_trim == 91);
    CHECK(bench.now().speed_trim == 110);
    CHECK(bench.driver.visible_text().contains("91 %"));
    bench.driver->machine().stop();
    REQUIRE(wait_for([&] { return bench.at_rest(); }));
    CHECK(bench.now().power_trim == 100);
    QTest::qWait(30);
    CHECK(bench.driver.visible_text().contains("burned with 91 % of its power and 110 % of its speed"));
    const job::Step before = bench.driver->document().job().steps[0];
    // Burned again it begins as it was trimmed, and the sheet says so.
    REQUIRE(press_enabled(bench.driver, "Burn all of it again…"));
    CHECK(bench.driver.visible_text().contains("91 % power, 110 % speed"));
    REQUIRE(press_enabled(bench.driver, "Burn"));
    REQUIRE(wait_for([&] { return bench.now().power_trim == 91 && bench.now().speed_trim == 110; }));
    bench.driver->machine().stop();
    REQUIRE(wait_for([&] { return bench.at_rest(); }));
    QTest::qWait(30);
    REQUIRE(bench.driver.click("Put that into the step"));
    const job::Step after = bench.driver->document().job().steps[0];
    CHECK(after.settings.power.percent() == Approx(before.settings.power.percent() * 0.91));
    CHECK(after.settings.speed.mm_per_min() == Approx(before.settings.speed.mm_per_min() * 1.1));
    QTest::qWait(30);
    CHECK_FALSE(bench.driver.visible_text().contains("burned with 91 %"));
    CHECK(bench.driver->desk().trims().empty());
}

TEST_CASE("the program is saved as a file that says what it is and passes its checker") {
    Workbench bench;
    QTemporaryDir folder;
    bench.driver->choose(Mark::burn);
    REQUIRE(press_enabled(bench.driver, "Save the program…"));
    auto* dialog = bench.driver.window().findChild<QFileDialog*>("saveProgram");
    REQUIRE(dialog);
    const QString path = folder.filePath("card.gcode");
    Q_EMIT dialog->fileSelected(path);
    dialog->close();
    REQUIRE(wait_for([&] { return bench.driver.visible_text().contains("The program is saved as"); }));
    const auto text = read_file(path.toStdString());
    REQUIRE(text);
    CHECK(text->starts_with("(job: plot-27)\n(machine: Bench laser 400 x 300)\n(stock: Birch ply 4 mm)\n"));
    CHECK(text->find("(step 3: cut ") != std::string::npos);
    machine::TextLines lines(std::make_shared<const std::string>(*text));
    CHECK(safety::check_program(lines, {bench.driver->machine().profile(), {}, {}}).empty());
    // The lines are those that would be sent.
    CHECK(text->ends_with(
        machine::encode_all(bench.driver->plans().planned().plan->program, bench.driver->machine().profile())));
}

TEST_CASE("an opened door holds the burn, says so, and it goes on when it is shut") {
    QTemporaryDir folder;
    const std::string script = folder.filePath("faults.json").toStdString();
    REQUIRE(replace_file(script, R"([{"at_line": 400, "fault": "open-door", "seconds": 40},
                                     {"at_line": 700, "fault": "press-hold", "seconds": 40}])"));
    Workbench bench("20", {"--faults", script});
    begin_burn(bench.driver);
    const auto resume = [&] { return bench.driver.button("Resume"); };
    REQUIRE(wait_for([&] { return bench.driver.visible_text().contains("The door is open"); }));
    CHECK_FALSE(resume()->isEnabled());
    REQUIRE(wait_for([&] { return bench.driver.visible_text().contains("The door is shut again"); }));
    REQUIRE(bench.driver.click("Resume"));
    REQUIRE(wait_for([&] { return bench.driver.visible_text().contains("a foot switch"); }));
    CHECK_FALSE(resume()->isEnabled());
    REQUIRE(wait_for([&] { return resume()->isEnabled(); }));
    // This time by the machine's own start button.
    bench.machine.press_start();
    REQUIRE(wait_for([&] { return bench.now().state == machine::ControllerState::run; }));
    const auto done = bench.now().lines_done;
    REQUIRE(wait_for([&] { return bench.now().lines_done > done + 50; }));
    CHECK(bench.driver->desk().burning());
    CHECK_FALSE(bench.driver->desk().broken_off());
}

TEST_CASE("a cable pulled and plugged in again: what is sure is said, and the rest is burned, on one piece") {
    QTemporaryDir folder;
    const std::string script = folder.filePath("faults.json").toStdString();
    REQUIRE(replace_file(script, R"([{"at_line": 900, "fault": "pull-cable", "seconds": 60}])"));
    Workbench bench("60", {"--faults", script});
    begin_burn(bench.driver);
    WindowDriver& driver = bench.driver;
    const double planned = driver->desk().burning_plan()->burn;
    REQUIRE(wait_for([&] { return driver->desk().broken_off().has_value(); }));
    CHECK(driver->desk().broken_off()->begun > driver->desk().broken_off()->done);
    CHECK(driver.visible_text().contains("Burned for sure:"));
    CHECK(driver.visible_text().contains("may have burned too"));
    // The machine is at its old address again after a while.
    REQUIRE(wait_for([&] {
        driver->machine().connect_to(QString::fromStdString(bench.machine.port()), "simulated");
        return wait_for([&] { return bench.answered(); }, 3000);
    }));
    if (!bench.now().position_sure) REQUIRE(driver.click("Home"));
    REQUIRE(press_enabled(driver, "Go on from there…"));
    REQUIRE(driver.type("Begin earlier by", "4"));
    REQUIRE(press_enabled(driver, "Go on"));
    REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value(); }, 120000));
    driver->machine().disconnect_now();
    bench.machine.finish();
    CHECK(bench.machine.figure("beam_on_mm") > planned + 4 - 1);
    CHECK(bench.machine.figure("beam_on_mm") < planned + most_overlap + 4 + 30);
    CHECK(bench.machine.figure("beam_at_rest_s") == 0);
}
