// SPDX-License-Identifier: GPL-3.0-or-later
// What must never move a machine, wait or be lost, by mouse and keys.
#include "desktop/stall_watch.hpp"
#include "document/autosave.hpp"
#include "support/workbench.hpp"
#include "tasks/task_runner.hpp"
#include "widgets/sheet.hpp"

#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/placing.hpp>

#include <QCheckBox>
#include <QPlainTextEdit>
#include <QSignalSpy>
#include <QTemporaryDir>
#include <QThread>
#include <atomic>
#include <new>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;

namespace {

/// A sheet with a plain and a main button, and what was pressed.
struct Asked {
    explicit Asked(QWidget& window) : sheet(new Sheet("Burn it?", &window)) {
        no = sheet->add_button("Not yet", ButtonLook::plain, [this] { pressed = "no"; });
        yes = sheet->add_button("Burn", ButtonLook::accent, [this] { pressed = "yes"; });
        sheet->open();
    }
    Sheet* sheet;
    QPushButton *no, *yes;
    QString pressed;
};

}  // namespace

TEST_CASE("Return presses the button that has the focus, whichever it is") {
    for (const auto key : {Qt::Key_Return, Qt::Key_Enter, Qt::Key_Space}) {
        WindowDriver driver;
        Asked asked(driver.window());
        CHECK(asked.yes->hasFocus());
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Tab);
        REQUIRE(asked.no->hasFocus());
        QTest::keyClick(asked.no, key);
        CHECK(asked.pressed == "no");
    }
    WindowDriver driver;
    Asked asked(driver.window());
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    CHECK(asked.pressed == "yes");
}

TEST_CASE("Tab stays in a sheet, and letters in it are no commands of the window") {
    WindowDriver driver;
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(driver.wait_planned());
    driver->choose(Mark::art);
    Asked asked(driver.window());
    for (int i = 0; i < 7; ++i) {
        QTest::keyClick(QApplication::focusWidget(), i % 3 == 2 ? Qt::Key_Backtab : Qt::Key_Tab);
        CHECK(asked.sheet->isAncestorOf(QApplication::focusWidget()));
    }
    const int before = driver->document().history().count();
    for (const char letter : {'r', 'c', 'f', 't', 'm', 'n', '5', '6'})
        QTest::keyClick(QApplication::focusWidget(), letter);
    CHECK(driver->document().history().count() == before);
    CHECK(driver->line().chosen() == Mark::art);
}

TEST_CASE("letters never move a machine, whatever has the focus") {
    Workbench bench;
    bench.driver->choose(Mark::frame);
    REQUIRE(bench.driver.wait_planned());
    const auto stands = *bench.driver->machine().snapshot().position;
    for (QWidget* focus :
         {static_cast<QWidget*>(&bench.driver->bed()), static_cast<QWidget*>(&bench.driver.window())}) {
        focus->setFocus();
        for (char letter = 'a'; letter <= 'z'; ++letter)
            for (const auto modifier : {Qt::NoModifier, Qt::ShiftModifier})
                QTest::keyClick(focus, letter, modifier);
    }
    QTest::qWait(100);
    CHECK_FALSE(bench.driver->desk().framed_at());
    CHECK(bench.driver->machine().snapshot().activity == machine::Activity::none);
    CHECK(geometry::distance(*bench.driver->machine().snapshot().position, stands) < 0.001);
}

TEST_CASE("a window has room for STOP on every screen") {
    for (const QSize screen : {QSize(1366, 728), QSize(1024, 728)}) {
        WindowDriver driver;
        driver.window().resize(screen);
        QTest::qWait(20);
        CHECK(driver.window().size() == screen);
        auto* stop = driver.button("STOP");
        REQUIRE(stop);
        const QRect at(stop->mapTo(&driver.window(), QPoint()), stop->size());
        CHECK(driver.window().rect().contains(at));
    }
}

TEST_CASE("what is dropped is copied, never moved") {
    WindowDriver driver;
    QMimeData data;
    data.setUrls({QUrl::fromLocalFile(QString(CHALKLINE_SAMPLES) + "/key-tag.svg")});
    QDragEnterEvent enter(QPoint(400, 300), Qt::CopyAction | Qt::MoveAction, &data, Qt::LeftButton, Qt::NoModifier);
    enter.setDropAction(Qt::MoveAction);
    QApplication::sendEvent(&driver.window(), &enter);
    REQUIRE(enter.isAccepted());
    CHECK(enter.dropAction() == Qt::CopyAction);
    QDropEvent drop(QPointF(400, 300), Qt::CopyAction | Qt::MoveAction, &data, Qt::LeftButton, Qt::NoModifier);
    drop.setDropAction(Qt::MoveAction);
    QApplication::sendEvent(&driver.window(), &drop);
    CHECK(drop.dropAction() == Qt::CopyAction);
}

TEST_CASE("nudges of two motifs are two steps of the history") {
    WindowDriver driver;
    driver.drop({QString(CHALKLINE_SAMPLES) + "/key-tag.svg", QString(CHALKLINE_SAMPLES) + "/key-tag.svg"});
    REQUIRE(driver->document().job().motifs.size() == 2);
    const auto steps = [&] { return driver->document().history().count(); };
    const int before = steps();
    for (const auto& motif : driver->document().job().motifs) {
        driver->placing().choose({motif.id});
        for (int i = 0; i < 3; ++i)
            QTest::keyClick(&driver->bed(), Qt::Key_Right);
    }
    CHECK(steps() == before + 2);
}

TEST_CASE("a task that fails for want of memory is told, and the window goes on") {
    WindowDriver driver;
    TaskRunner runner;
    bool applied = false;
    runner.start([](const Watch&) -> int { throw std::bad_alloc(); }, [&](int) { applied = true; });
    REQUIRE(wait_for([&] { return driver.visible_text().contains("could not be worked out"); }));
    CHECK_FALSE(applied);
    CHECK(runner.running());  // what it stands for is not there
    runner.start([](const Watch&) { return 1; }, [&](int) { applied = true; });
    CHECK(wait_for([&] { return applied; }));
}

TEST_CASE("Esc holds a burning machine at once while every task thread is at work") {
    Workbench bench("4");
    begin_burn(bench.driver);
    REQUIRE(wait_for([&] { return bench.driver->machine().snapshot().lines_done > 100; }));
    // As many long tasks as the pool has threads, and more that wait.
    std::atomic<bool> enough = false;
    std::vector<std::unique_ptr<TaskRunner>> runners;
    for (int i = 0; i < work_pool()->maxThreadCount() + 4; ++i) {
        runners.push_back(std::make_unique<TaskRunner>());
        runners.back()->start(
            [&enough](const Watch&) {
                while (!enough) {
                }
                return 0;
            },
            [](int) {});
    }
    REQUIRE(wait_for([&] { return work_pool()->activeThreadCount() == work_pool()->maxThreadCount(); }));
    QTest::keyClick(&bench.driver->bed(), Qt::Key_Escape);
    // In the machine's own time: lines it did from the key to the hold.
    const bool held =
        wait_for([&] { return bench.driver->machine().snapshot().state == machine::ControllerState::hold; }, 20000);
    enough = true;
    CHECK(held);
    bench.driver->machine().stop();
    REQUIRE(wait_for([&] { return bench.driver.idle(); }));
}

TEST_CASE("what was framed is compared with what would burn: a step switched on takes the frame back") {
    Workbench bench;
    auto& document = bench.driver->document();
    const auto switch_steps = [&](bool on) {
        job::Job job = document.job();
        for (std::size_t i = 1; i < job.steps.size(); ++i)
            job.steps[i].on = on;
        REQUIRE(document.edit("switch", job, JobChange::steps));
        REQUIRE(bench.driver.wait_planned());
    };
    switch_steps(false);  // only the engraving inside
    const auto small = bench.driver->plans().planned().hull;
    bench.driver->choose(Mark::frame);
    REQUIRE(press_enabled(bench.driver, "Frame"));
    REQUIRE(wait_for([&] { return bench.driver->desk().framed_at().has_value() && bench.driver.idle(); }));
    bench.driver->desk().answer_frame(true);
    // Another power burns at the same places: the frame stays.
    job::Job stronger = document.job();
    stronger.steps[0].settings.power = Power::percent(stronger.steps[0].settings.power.percent() - 1);
    REQUIRE(document.edit("power", stronger, JobChange::steps));
    REQUIRE(bench.driver.wait_planned());
    CHECK(bench.driver->desk().framed_at());
    switch_steps(true);
    CHECK_FALSE(planning::same_hull(small, bench.driver->plans().planned().hull));
    CHECK_FALSE(bench.driver->desk().framed_at());
    CHECK_FALSE(bench.driver->desk().stayed());
}

TEST_CASE("a burn that broke off is put aside by a change, and undo brings it back") {
    Workbench bench;
    bench.driver->choose(Mark::burn);
    REQUIRE(bench.driver.wait_planned());
    bench.driver->desk().burn();
    REQUIRE(wait_for([&] { return bench.driver->desk().share_done() > 0.02; }, 60000));
    bench.driver->machine().stop();
    REQUIRE(wait_for([&] { return bench.at_rest() && bench.driver->desk().broken_off(); }, 30000));
    const auto done = bench.driver->desk().broken_off()->done;
    CHECK(bench.driver.visible_text().contains("undo brings that back"));
    auto& document = bench.driver->document();
    REQUIRE(
        document.edit("Move", job::transform(document.job(), {1}, geometry::Transform::move(3, 0)), JobChange::place));
    CHECK_FALSE(bench.driver->desk().broken_off());
    CHECK(bench.driver.visible_text().contains("Undo the change to go on with it"));
    REQUIRE(
        document.edit("Move", job::transform(document.job(), {1}, geometry::Transform::move(3, 0)), JobChange::place));
    document.history().undo();
    CHECK_FALSE(bench.driver->desk().broken_off());
    document.history().undo();
    REQUIRE(bench.driver->desk().broken_off());
    CHECK(bench.driver->desk().broken_off()->done == done);
    REQUIRE(bench.driver.wait_planned());
    REQUIRE(wait_for([&] { return !bench.driver->desk().obstacle_to_go_on(); }));
    bench.driver->desk().go_on(0);
    REQUIRE(wait_for([&] { return bench.driver->desk().burned_at().has_value(); }, 240000));
}

TEST_CASE("a message lies over the bed and moves nothing, and a sheet goes with its tray") {
    WindowDriver driver;
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(driver.wait_planned());
    driver->choose(Mark::steps);
    QCoreApplication::processEvents();
    const QRect bed = driver->bed().geometry();
    const QPoint line = driver->line().mapTo(&driver.window(), QPoint());
    driver->show_message({"Something happened", "here",
                          "Do this about it, at some length so that it may need a line "
                          "more than one on a narrow window."});
    QCoreApplication::processEvents();
    CHECK(driver.visible_text().contains("Something happened"));
    CHECK(driver->bed().geometry() == bed);
    CHECK(driver->line().mapTo(&driver.window(), QPoint()) == line);
    Asked asked(driver->bed());
    const QPointer<Sheet> sheet = asked.sheet;
    driver->choose(Mark::stock);
    CHECK((!sheet || !sheet->isVisible()));
    CHECK(asked.pressed.isEmpty());
}

TEST_CASE("what keeps the window from answering is named") {
    class Slow : public QObject {
     public:
        bool event(QEvent* event) override {
            if (event->type() == QEvent::User) QThread::msleep(40);
            return QObject::event(event);
        }
    };
    auto* application = qobject_cast<WatchedApplication*>(qApp);
    REQUIRE(application);
    std::vector<Stall> stalls;
    application->tell_stalls_to([&](const Stall& stall) { stalls.push_back(stall); }, std::chrono::milliseconds(20));
    Slow slow;
    slow.setObjectName("slow one");
    QCoreApplication::postEvent(&slow, new QEvent(QEvent::User));
    QCoreApplication::processEvents();
    application->tell_stalls_to({});
    const auto named = [](const Stall& stall) {
        return stall.where.contains("slow one") && stall.lasted.count() >= 40;
    };
    CHECK(std::count_if(stalls.begin(), stalls.end(), named) == 1);
}

TEST_CASE("all that was left behind is offered in one list, and what is not taken up stays") {
    QTemporaryDir folder;
    const auto leave = [&](const QString& name) {
        JobDocument document;
        document.replace_unsaved(job::load(CHALKLINE_SAMPLES "/plot-27.chalk").value().job,
                                 "/nowhere/" + name + ".chalk");
        Autosave autosave(document, folder.path());
        autosave.keep_before_end();
    };
    leave("bench");
    leave("gate");
    leave("sign");
    WindowOptions options;
    options.recovery_folder = folder.path();
    WindowDriver driver(options);
    REQUIRE(driver->offer_left_behind());
    for (const char* name : {"bench", "gate", "sign"})
        CHECK(driver.visible_text().contains(name));
    const auto press = [&](const QString& name) {
        for (auto* button : driver.window().findChildren<QPushButton*>())
            if (button->isVisible() && button->accessibleName() == name) return button->click(), true;
        return false;
    };
    REQUIRE(press("Throw away: gate"));
    CHECK(Autosave::left_behind(folder.path()).size() == 2);
    CHECK(driver.visible_text().contains("bench"));
    REQUIRE(press("Recover: sign"));
    REQUIRE(wait_for([&] { return driver->document().title() == "sign"; }));
    CHECK(driver->document().unsaved());
    const auto left = Autosave::left_behind(folder.path());
    CHECK(std::any_of(left.begin(), left.end(), [](const LeftBehind& one) { return one.path.contains("bench"); }));
}
