// SPDX-License-Identifier: GPL-3.0-or-later
// What is kept of burns, and going on after Chalkline itself was ended.
#include "desktop/ending.hpp"
#include "support/workbench.hpp"
#include "trays/after_burn_panel.hpp"
#include "widgets/fold.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/conversation/journal.hpp>
#include <chalkline/history/journal_file.hpp>

#include <QDir>
#include <QDirIterator>
#include <QFileDialog>
#include <QListWidget>
#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::app;
using chalkline::history::JournalFile;
using namespace chalkline::test;

namespace {

void burn_to_the_end(WindowDriver& driver) {
    begin_burn(driver);
    REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value(); }, 120000));
    REQUIRE(wait_for([&] { return driver.idle(); }));
    QTest::qWait(30);
}

/// The newest journal below a folder; empty when there is none.
std::string journal_below(const QString& folder) {
    QDirIterator files(folder, {"journal.jsonl"}, QDir::Files, QDirIterator::Subdirectories);
    if (!files.hasNext()) return {};
    return read_file(files.next().toStdString()).value_or("");
}

/// This program once more, as a Chalkline that burns until it is killed.
class Victim {
 public:
    Victim(const std::string& port, const QString& history) {
        process_ = ::fork();
        if (process_ != 0) return;
        ::setenv("CHALKLINE_VICTIM_PORT", port.c_str(), 1);
        ::setenv("CHALKLINE_VICTIM_HISTORY", history.toUtf8().constData(), 1);
        const int null = ::open("/dev/null", O_WRONLY);
        ::dup2(null, 1);
        ::execl("/proc/self/exe", "test_app", "[victim]", nullptr);
        ::_exit(127);
    }
    ~Victim() { kill(); }
    /// Its exit code, or minus the signal that ended it.
    int kill(int signal = SIGKILL) {
        if (process_ <= 0) return 0;
        ::kill(process_, signal);
        int status = 0;
        ::waitpid(process_, &status, 0);
        process_ = -1;
        return WIFEXITED(status) ? WEXITSTATUS(status) : -WTERMSIG(status);
    }

 private:
    pid_t process_ = -1;
};

}  // namespace

TEST_CASE("a Chalkline that will be killed", "[.][victim]") {
    if (qEnvironmentVariableIsEmpty("CHALKLINE_VICTIM_PORT")) {
        SUCCEED("nobody asked for it");
        return;
    }
    WindowDriver driver("max", {}, qEnvironmentVariable("CHALKLINE_VICTIM_HISTORY"));
    const Ending ending;
    QObject::connect(&ending, &Ending::asked, &driver.window(), &MainWindow::end_in_the_dark);
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(driver.wait_planned());
    driver->machine().connect_to(qEnvironmentVariable("CHALKLINE_VICTIM_PORT"), "simulated");
    REQUIRE(wait_for([&] { return driver->machine().snapshot().state == machine::ControllerState::alarm; }));
    REQUIRE(wait_for([&] { return driver->machine().snapshot().activity == machine::Activity::none; }));
    driver->machine().home();
    REQUIRE(wait_for([&] { return driver.idle() && driver->machine().snapshot().position_sure; }));
    begin_burn(driver);
    QApplication::exec();
}

TEST_CASE("a window that is asked to end by a signal stops its machine first, and closes the journal") {
    for (const int signal : {SIGTERM, SIGHUP, SIGINT}) {
        INFO("signal " << signal);
        QTemporaryDir home;
        const QString history = home.filePath("burns");
        SimulatorProcess machine(CHALKLINE_SIM, "30");
        Victim victim(machine.port(), history);
        REQUIRE(
            wait_for([&] { return machine::read_journal(journal_below(history)).last.done.operation > 20; }, 60000));
        CHECK(victim.kill(signal) == 0);
        const auto journal = machine::read_journal(journal_below(history));
        CHECK(journal.end == machine::BurnEnd::stopped);
        // It came to rest where it was held: neither an alarm, nor what planner and buffer would have burned on.
        machine.finish();
        CHECK(machine.clean());
        WindowDriver later("max", {}, history);
        CHECK_FALSE(later->burns().broken_off());
    }
}

TEST_CASE("a Chalkline killed in the middle of a burn is followed by one that goes on with it") {
    QTemporaryDir home;
    const QString history = home.filePath("burns");
    SimulatorProcess machine(CHALKLINE_SIM, "60");
    {
        Victim victim(machine.port(), history);
        REQUIRE(
            wait_for([&] { return machine::read_journal(journal_below(history)).last.done.operation > 60; }, 60000));
        victim.kill();
    }
    const auto journal = machine::read_journal(journal_below(history));
    CHECK_FALSE(journal.end);
    CHECK(journal.last.begun > journal.last.done);

    WindowDriver driver("max", {}, history);
    REQUIRE(driver->offer_left_behind());
    CHECK(driver.visible_text().contains("A burn was not brought to its end"));
    CHECK(driver.visible_text().contains("plot-27"));
    REQUIRE(driver.click("Open it to go on"));
    REQUIRE(wait_for([&] { return driver->desk().broken_off().has_value(); }));
    CHECK(driver->document().job().motifs.size() == 1);
    CHECK(driver.visible_text().contains("Burned for sure:"));
    const double planned = driver->desk().burning_plan()->burn;
    driver->machine().connect_to(QString::fromStdString(machine.port()), "simulated");
    REQUIRE(wait_for([&] {
        return driver->machine().snapshot().connected &&
               driver->machine().snapshot().activity == machine::Activity::none;
    }));
    // The board was found at its work, let come to rest, and still knows where it is.
    if (!driver->machine().snapshot().position_sure) REQUIRE(driver.click("Home"));
    REQUIRE(press_enabled(driver, "Go on from there…"));
    REQUIRE(press_enabled(driver, "Go on"));
    REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value(); }, 120000));
    driver->machine().disconnect_now();
    machine.finish();
    CHECK(machine.clean());
    CHECK(machine.figure("beam_on_mm") > planned - 1);
    // What planner, buffer and a note of the journal may hold, at 60 times the speed of a real machine.
    CHECK(machine.figure("beam_on_mm") < planned + 1500);
    // It is over: nobody is asked again.
    WindowDriver later("max", {}, history);
    CHECK_FALSE(later->burns().broken_off());
    REQUIRE(later->burns().records().size() == 1);
    CHECK(later->burns().records().front().end == machine::BurnEnd::finished);
}

TEST_CASE("what was burned is kept with its settings, note and picture, and opened again as it was") {
    QTemporaryDir home;
    Workbench bench("max", {}, home.filePath("burns"));
    WindowDriver& driver = bench.driver;
    burn_to_the_end(driver);
    REQUIRE(driver.type("How it came out", "a little dark"));
    const auto records = driver->burns().records();
    REQUIRE(records.size() == 1);
    CHECK(records[0].title == "plot-27");
    CHECK(records[0].end == machine::BurnEnd::finished);
    CHECK(records[0].steps.size() == 3);
    CHECK(records[0].material.startsWith("Birch ply"));
    CHECK(records[0].planned > 100);
    QTest::qWait(20);
    CHECK(driver->burns().records()[0].note == "a little dark");
    // A picture of it.
    REQUIRE(driver.click("Keep a picture of it…"));
    auto* dialog = driver.window().findChild<QFileDialog*>("keepPhoto");
    REQUIRE(dialog);
    Q_EMIT dialog->fileSelected(QString(CHALKLINE_SAMPLES) + "/pears.png");
    dialog->close();
    REQUIRE(QFileInfo::exists(driver->burns().records()[0].photo_file()));
    // The job changes; the burn stays what it was.
    driver->placing().choose_all();
    driver->placing().move({7, 0});
    const double moved = driver->document().job().motifs[0].place.e;
    REQUIRE(driver->document().save(home.filePath("mine.chalk")));
    REQUIRE(driver.click("What was burned before…"));
    CHECK(driver.visible_text().contains("finished"));
    CHECK(driver.field("How this burn came out")->text() == "a little dark");
    REQUIRE(driver.click("Open it as it was"));
    REQUIRE(wait_for([&] { return !driver->files().busy(); }));
    CHECK(driver->document().job().motifs[0].place.e == Approx(moved - 7));
    CHECK(driver->document().unsaved());
}

TEST_CASE("where nothing can be kept the burn goes on, and that is said") {
    Workbench bench("max", {}, "/proc/no-place-for-burns");
    burn_to_the_end(bench.driver);
    CHECK(bench.driver.visible_text().contains("/proc/no-place-for-burns"));
}

TEST_CASE("a journal on a full disk says so once and holds nobody up") {
    std::vector<Error> failed;
    std::mutex guard;
    {
        JournalFile journal("/dev/full", [&](const Error& error) {
            const std::lock_guard lock(guard);
            failed.push_back(error);
        });
        machine::Snapshot now;
        now.activity = machine::Activity::burning;
        for (int i = 0; i < 3; ++i) {
            now.done.operation = i;
            journal.saw(now);
            QTest::qWait(160);
        }
        journal.end(machine::BurnEnd::finished);
    }
    REQUIRE(failed.size() == 1);
    CHECK(failed[0].code == chalkline::error::file_unwritable);
    CHECK(failed[0].file == "/dev/full");
}

TEST_CASE("the journal counts in the whole program while its rest is burned") {
    QTemporaryDir home;
    const std::string path = home.filePath("journal").toStdString();
    auto rest = std::make_shared<machine::Rest>();
    rest->lead = 2;
    rest->from = 40;
    {
        JournalFile journal(path, [](const Error&) {});
        journal.begin(rest);
        machine::Snapshot now;
        now.activity = machine::Activity::burning;
        now.done = {7, 3};
        now.begun = {9, 0};
        now.trims = {{4, {110, 90}}};
        journal.saw(now);
    }
    const auto said = machine::read_journal(*read_file(path));
    CHECK(said.last.done == machine::ProgramPlace{45, 3});
    CHECK(said.last.begun == machine::ProgramPlace{47, 0});
    CHECK(said.last.trims == machine::Trims{{4, {110, 90}}});
}

TEST_CASE("another try goes beside the last one where there is room") {
    const geometry::Box room{0, 0, 100, 60};
    CHECK(beside({10, 10, 40, 30}, room) == geometry::Point{33, 0});
    CHECK(beside({10, 10, 80, 25}, room) == geometry::Point{0, 18});
    CHECK_FALSE(beside({10, 10, 80, 50}, room));
}

TEST_CASE("jobs wait in a list that outlives the window, and the next is opened from it") {
    QTemporaryDir home;
    const QString next = home.filePath("next.chalk");
    REQUIRE(QFile::copy(QString(CHALKLINE_SAMPLES) + "/row-marker.chalk", next));
    const auto open_list = [](WindowDriver& driver) {
        for (auto* fold : driver.window().findChildren<Fold*>())
            if (fold->isVisible() && fold->findChild<QPushButton*>()->text().contains("Waiting jobs"))
                fold->set_open(true);
    };
    {
        WindowDriver driver;
        driver->choose(Mark::burn);
        open_list(driver);
        REQUIRE(wait_for([&] { return driver.click("Add jobs…"); }));
        auto* dialog = driver.window().findChild<QFileDialog*>("waitingJobs");
        REQUIRE(dialog);
        Q_EMIT dialog->filesSelected({next, home.filePath("gone.chalk")});
        dialog->close();
    }
    WindowDriver driver;
    driver->choose(Mark::burn);
    open_list(driver);
    const auto named = [&](const QString& name) -> QPushButton* {
        for (auto* button : driver.window().findChildren<QPushButton*>())
            if (button->isVisible() && button->accessibleName() == name) return button;
        return nullptr;
    };
    const auto press = [&](const QString& name) {
        REQUIRE(wait_for([&] { return named(name) != nullptr; }));
        QTest::mouseClick(named(name), Qt::LeftButton);
    };
    REQUIRE(wait_for([&] { return named("Open gone") != nullptr; }));
    CHECK_FALSE(named("Open gone")->isEnabled());
    press("gone sooner");
    CHECK(wait_for([&] { return named("gone sooner") && !named("gone sooner")->isEnabled(); }));
    press("Remove gone from the waiting jobs");
    CHECK(wait_for([&] { return !named("Open gone"); }));
    press("Open next");
    REQUIRE(wait_for([&] { return driver->document().title() == "next"; }));
    CHECK(wait_for([&] { return !named("Open next"); }));
}
