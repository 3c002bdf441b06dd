// SPDX-License-Identifier: GPL-3.0-or-later
// Finding a machine, its controller's settings and the wire.
#include "machine/connection_sheet.hpp"
#include "machine/controller_sheet.hpp"
#include "machine/wire_sheet.hpp"
#include "support/simulator_process.hpp"
#include "support/window_driver.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/wording/controller_settings.hpp>

#include <catch2/catch.hpp>

#include <QFileDialog>
#include <QPlainTextEdit>
#include <QTableWidget>
#include <QTemporaryDir>
#include <atomic>
#include <mutex>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;

namespace {

/// Ports that come and go as a test says; looked at from a worker.
struct Cables {
    std::mutex mutex;
    std::vector<ports::Port> plugged;
    void set(std::vector<ports::Port> now) {
        const std::scoped_lock lock(mutex);
        plugged = std::move(now);
    }
    PortWatch::Lister lister() {
        return [this] {
            const std::scoped_lock lock(mutex);
            return plugged;
        };
    }
};

void open_machine_sheet(WindowDriver& driver) {
    for (auto* button : driver.window().findChildren<QPushButton*>())
        if (button->isVisible() && button->text().contains("Bench laser")) QTest::mouseClick(button, Qt::LeftButton);
    QTest::qWait(20);
}

void connect_to(WindowDriver& driver, const SimulatorProcess& machine) {
    driver->machine().connect_to(QString::fromStdString(machine.port()), "simulated");
    REQUIRE(wait_for([&] {
        const auto& now = driver->machine().snapshot();
        return now.activity == machine::Activity::none && now.state == machine::ControllerState::alarm;
    }));
    driver->machine().unlock();
    REQUIRE(wait_for([&] { return driver.idle(); }));
}

}  // namespace

TEST_CASE("ports show as they come and go, and who answers on them is asked") {
    SimulatorProcess machine(CHALKLINE_SIM);
    WindowDriver driver;
    Cables cables;
    cables.set({{"/dev/there", "Maker", "Old port"}});
    new ConnectionSheet(driver->machine(), driver->keeper(), {}, cables.lister(), &driver.window());
    REQUIRE(wait_for([&] { return driver.button("Connect to it") != nullptr; }));
    CHECK_FALSE(driver.visible_text().contains("just plugged in"));
    cables.set({{machine.port(), "Workshop", "Laser"}});
    REQUIRE(wait_for([&] { return driver.visible_text().contains("/dev/there went away"); }));
    CHECK(wait_for([&] { return driver.visible_text().contains("just plugged in"); }));
    REQUIRE(driver.click("Ask who is there"));
    REQUIRE(wait_for([&] { return driver.visible_text().contains("Answers: controller"); }));
    REQUIRE(driver.button("Ask who is there"));
    REQUIRE(driver.click("Connect to it"));
    REQUIRE(wait_for([&] { return driver->machine().connected(); }));
}

TEST_CASE("a port that cannot be opened says why when it is asked") {
    WindowDriver driver;
    Cables cables;
    cables.set({{"/nowhere/ttyUSB9", "", ""}});
    new ConnectionSheet(driver->machine(), driver->keeper(), {}, cables.lister(), &driver.window());
    REQUIRE(wait_for([&] { return driver.button("Connect to it") != nullptr; }));
    REQUIRE(driver.click("Ask who is there"));
    REQUIRE(wait_for([&] {
        return driver.visible_text().contains("no such port", Qt::CaseInsensitive) ||
               driver.visible_text().contains("not there", Qt::CaseInsensitive);
    }));
}

TEST_CASE("the controller's settings are shown in words, changed with a second press, saved and written back") {
    SimulatorProcess machine(CHALKLINE_SIM);
    WindowDriver driver;
    connect_to(driver, machine);
    open_machine_sheet(driver);
    REQUIRE(driver.click("Settings…"));
    auto* table = driver.window().findChild<QTableWidget*>();
    REQUIRE(table);
    const auto row_of = [&](const QString& number) {
        for (int row = 0; row < table->rowCount(); ++row)
            if (table->item(row, 0)->text() == number) return row;
        return -1;
    };
    CHECK(table->item(row_of("$32"), 1)->text() == "Laser mode");
    CHECK(table->item(row_of("$120"), 3)->text() == "mm/s²");
    const QTemporaryDir folder;
    const QString file = folder.filePath("settings.txt");
    REQUIRE(driver.click("Save to file…"));
    Q_EMIT driver.window().findChild<QFileDialog*>("saveSettings")->fileSelected(file);
    REQUIRE(read_file(file.toStdString()).value().find("$32=1") != std::string::npos);

    const double before = driver->machine().snapshot().settings->at(11);
    table->setCurrentCell(row_of("$11"), 0);
    REQUIRE(driver.type("New value", "0.033"));  // Return asks first
    QTest::qWait(20);
    CHECK(driver->machine().snapshot().settings->at(11) == before);  // not yet
    REQUIRE(driver.click("Yes, write $11=0.033"));
    REQUIRE(wait_for([&] { return driver->machine().snapshot().settings->at(11) == 0.033; }));
    REQUIRE(wait_for([&] { return table->item(row_of("$11"), 2)->text() == "0.033"; }));

    REQUIRE(driver.click("Write back from file…"));
    Q_EMIT driver.window().findChild<QFileDialog*>("restoreSettings")->fileSelected(file);
    REQUIRE(wait_for([&] { return driver->machine().snapshot().settings->at(11) == before; }));
    REQUIRE(driver.click("Done"));
    // Only what differed went over the wire.
    int written = 0;
    for (const QString& line : driver->machine().wire_log())
        written += line.startsWith("> $") && line.contains('=') ? 1 : 0;
    CHECK(written == 2);
}

TEST_CASE("every setting of the simulated controller has a name and says what it does") {
    SimulatorProcess machine(CHALKLINE_SIM);
    WindowDriver driver;
    connect_to(driver, machine);
    for (const auto& [number, value] : *driver->machine().snapshot().settings) {
        const auto words = wording::controller_setting(number);
        INFO(number);
        CHECK_FALSE(words.name.startsWith('$'));
        CHECK_FALSE(words.what.isEmpty());
    }
    CHECK(wording::controller_setting(987).name == "$987");
}

TEST_CASE("the wire is read with a filter, and a typed line is answered or refused with a word") {
    SimulatorProcess machine(CHALKLINE_SIM);
    WindowDriver driver;
    connect_to(driver, machine);
    open_machine_sheet(driver);
    REQUIRE(driver.click("Wire…"));
    auto* log = driver.window().findChild<WireSheet*>()->findChild<QPlainTextEdit*>("wireLog");
    REQUIRE(log);
    CHECK(log->toPlainText().contains("> $$"));
    REQUIRE(driver.type("Line for the controller", "$G"));
    REQUIRE(wait_for([&] { return log->toPlainText().contains("< [GC:"); }));
    auto* line = driver.field("Line for the controller");
    CHECK(line->text().isEmpty());
    QTest::keyClick(line, Qt::Key_Up);
    CHECK(line->text() == "$G");
    QTest::keyClick(line, Qt::Key_Down);
    CHECK(line->text().isEmpty());
    REQUIRE(driver.type("Line for the controller", "G0 X5 !"));
    REQUIRE(wait_for([&] { return driver.visible_text().contains("is not sent"); }));
    // At rest the same report comes several times a second, now with the offset, now with the trims: it stands there
    // once.
    const auto reports_in_a_row = [&] {
        const QStringList lines = log->toPlainText().split('\n');
        qsizetype most = 0, row = 0;
        for (const QString& one : lines)
            most = std::max(most, row = one.startsWith("< <") ? row + 1 : 0);
        return most;
    };
    QTest::qWait(2500);
    CHECK(reports_in_a_row() <= 2);
    CHECK(driver->machine().wire_log().filter("|WCO:").size() > 1);
    QLineEdit* filter = driver.field("Filter of the wire log");
    filter->setFocus();
    QTest::keyClicks(filter, "$30=");
    CHECK(log->toPlainText().contains("$30=1000"));
    CHECK_FALSE(log->toPlainText().contains("$11="));
}
