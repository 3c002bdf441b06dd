// SPDX-License-Identifier: GPL-3.0-or-later
#include "document/autosave.hpp"
#include "document/job_document.hpp"
#include "support/window_driver.hpp"
#include "tasks/task_runner.hpp"

#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>

#include <catch2/catch.hpp>

#include <QDir>
#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::app;

namespace {

job::Job sample() {
    return job::load(CHALKLINE_SAMPLES "/plot-27.chalk").value().job;
}

}  // namespace

TEST_CASE("every edit can be undone to the first state, byte by byte") {
    JobDocument document;
    document.replace(sample(), "x.chalk");
    const auto first = job::to_chalk(document.job()).value();
    REQUIRE(
        document.edit("Move", job::transform(document.job(), {1}, geometry::Transform::move(5, 0)), JobChange::place));
    REQUIRE(document.edit("Step", job::remove_step(document.job(), document.job().steps[0].id), JobChange::steps));
    REQUIRE(document.edit("Stock", job::set_stock(document.job(), {}), JobChange::stock));
    CHECK(document.history().count() == 3);
    CHECK(document.history().undoText() == "Stock");
    const auto last = job::to_chalk(document.job()).value();
    while (document.history().canUndo())
        document.history().undo();
    CHECK(job::to_chalk(document.job()).value() == first);
    while (document.history().canRedo())
        document.history().redo();
    CHECK(job::to_chalk(document.job()).value() == last);
}

TEST_CASE("a drag is one edit, two drags are two") {
    JobDocument document;
    document.replace(sample(), {});
    JobChange seen = JobChange::none;
    QObject::connect(&document, &JobDocument::changed, [&](JobChange change) { seen = seen | change; });
    for (int i = 0; i < 10; ++i)
        REQUIRE(document.edit("Move", job::transform(document.job(), {1}, geometry::Transform::move(1, 0)),
                              JobChange::place, MergeKey{Gesture::drag_art}));
    CHECK(document.history().count() == 1);
    CHECK(touches(seen, JobChange::place));
    CHECK_FALSE(touches(seen, JobChange::steps));
    document.end_merge();
    REQUIRE(document.edit("Move", job::transform(document.job(), {1}, geometry::Transform::move(1, 0)),
                          JobChange::place, MergeKey{Gesture::drag_art}));
    CHECK(document.history().count() == 2);
}

TEST_CASE("a refused edit changes nothing") {
    JobDocument document;
    document.replace(sample(), {});
    const auto before = job::to_chalk(document.job()).value();
    CHECK_FALSE(document.edit("Remove", job::remove(document.job(), {99}), JobChange::art));
    CHECK(document.history().count() == 0);
    CHECK(job::to_chalk(document.job()).value() == before);
}

TEST_CASE("saved means saved") {
    const QTemporaryDir folder;
    const QString path = folder.filePath("Plot 9.chalk");
    JobDocument document;
    document.replace(sample(), {});
    REQUIRE(
        document.edit("Move", job::transform(document.job(), {1}, geometry::Transform::move(1, 0)), JobChange::place));
    CHECK(document.unsaved());
    CHECK_FALSE(document.save("/nowhere/x.chalk"));
    CHECK(document.unsaved());
    CHECK(document.path().isEmpty());
    REQUIRE(document.save(path));
    CHECK_FALSE(document.unsaved());
    CHECK(document.title() == "Plot 9");
    CHECK(job::to_chalk(job::load(path.toStdString()).value().job).value() == job::to_chalk(document.job()).value());
    document.history().undo();
    CHECK(document.unsaved());
}

TEST_CASE("only the newest task's result is applied, and none after the runner is gone") {
    std::vector<int> applied;
    {
        TaskRunner runner;
        for (int i = 0; i < 5; ++i)
            runner.start([i](const Watch&) { return i; }, [&](int result) { applied.push_back(result); });
        CHECK(test::wait_for([&] { return !runner.running(); }));
        CHECK(applied == std::vector<int>{4});
        runner.start(
            [](const Watch& watch) {
                while (!watch.cancelled())
                    QThread::msleep(1);
                return 9;
            },
            [&](int result) { applied.push_back(result); });
    }
    work_pool()->waitForDone();
    QTest::qWait(50);
    CHECK(applied == std::vector<int>{4});
}

namespace {

/// A document with a change that was not saved, in a folder for recovery copies.
struct Unsaved {
    explicit Unsaved(const QString& folder) : autosave(document, folder) {
        autosave.set_interval(10);
        document.replace(sample(), "/home/someone/plot.chalk");
        move();
    }
    void move() {
        REQUIRE(document.edit("Move", job::transform(document.job(), {1}, geometry::Transform::move(1, 0)),
                              JobChange::place));
    }
    JobDocument document;
    Autosave autosave;
};

int copies(const QString& folder) {
    return static_cast<int>(QDir(folder).entryList({"*.chalk"}).size());
}

}  // namespace

TEST_CASE("unsaved changes are kept while the program runs and go away when they are saved") {
    const QTemporaryDir folder;
    Unsaved running(folder.path());
    REQUIRE(test::wait_for([&] { return copies(folder.path()) == 1; }));
    CHECK(Autosave::left_behind(folder.path()).empty());  // its program is alive
    REQUIRE(running.document.save(folder.filePath("saved-elsewhere.job")));
    CHECK(copies(folder.path()) == 0);
    running.move();
    REQUIRE(test::wait_for([&] { return copies(folder.path()) == 1; }));
    running.autosave.forget();
    CHECK(copies(folder.path()) == 0);
}

TEST_CASE("what a crashed program left behind is found, recovered as unsaved, and kept anew") {
    const QTemporaryDir folder;
    std::string wanted;
    {
        // Gone without forgetting, as after a crash.
        Unsaved crashed(folder.path());
        wanted = job::to_chalk(crashed.document.job()).value();
        REQUIRE(test::wait_for([&] { return copies(folder.path()) == 1; }));
    }
    const auto left = Autosave::left_behind(folder.path());
    REQUIRE(left.size() == 1);
    CHECK(left[0].path == "/home/someone/plot.chalk");

    JobDocument document;
    Autosave autosave(document, folder.path());
    document.replace_unsaved(job::load(left[0].file.toStdString()).value().job, left[0].path);
    CHECK(document.unsaved());
    CHECK(document.path() == "/home/someone/plot.chalk");
    CHECK(job::to_chalk(document.job()).value() == wanted);
    autosave.take_over(left[0]);
    REQUIRE(test::wait_for([&] { return Autosave::left_behind(folder.path()).empty(); }));
    CHECK(copies(folder.path()) == 1);
    autosave.forget();
    CHECK(copies(folder.path()) == 0);
}

TEST_CASE("a folder that cannot be written is said, and nothing else happens") {
    const QTemporaryDir folder;
    QFile file(folder.filePath("no-folder"));
    REQUIRE(file.open(QIODevice::WriteOnly));
    Unsaved running(folder.filePath("no-folder/inside"));
    std::string code;
    QObject::connect(&running.autosave, &Autosave::failed, [&](const Error& error) { code = error.code; });
    REQUIRE(test::wait_for([&] { return !code.empty(); }));
    CHECK(running.document.unsaved());
}

TEST_CASE("a job opened after one that was never saved is not taken for changed") {
    JobDocument document;
    document.replace_unsaved(sample(), {});
    CHECK(document.unsaved());
    document.replace(sample(), "x.chalk");
    CHECK_FALSE(document.unsaved());
}

TEST_CASE("the history forgets its oldest steps when they hold too much, and never what is saved or done last") {
    JobDocument document;
    document.replace(sample(), {});
    const auto heavy = [&] {
        auto art = std::make_shared<art::Artwork>(*document.job().motifs.front().art);
        art->source = std::make_shared<const std::string>(100'000, ' ');
        job::Job job = document.job();
        job.motifs.front().art = std::move(art);
        return job;
    };
    document.set_history_limit(450'000);
    for (int i = 0; i < 20; ++i)
        REQUIRE(document.edit("Heavy", heavy(), JobChange::art));
    CHECK(document.history().count() < 8);
    CHECK(document.history().count() > 2);
    CHECK(document.unsaved());
    const auto newest = document.job().motifs.front().art;
    document.history().undo();
    CHECK(document.job().motifs.front().art != newest);
    document.history().redo();
    CHECK(document.job().motifs.front().art == newest);
    while (document.history().canUndo())
        document.history().undo();
    CHECK(document.unsaved());  // what was clean is forgotten
    // A thousand nudges share their art and cost next to nothing.
    document.set_history_limit(20'000'000);
    document.replace(sample(), {});
    for (int i = 0; i < 1000; ++i)
        REQUIRE(document.edit("Move", job::transform(document.job(), {1}, geometry::Transform::move(0.01, 0)),
                              JobChange::place));
    CHECK(document.history().count() == 1000);
    while (document.history().canUndo())
        document.history().undo();
    CHECK_FALSE(document.unsaved());
}
