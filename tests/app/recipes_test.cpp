// SPDX-License-Identifier: GPL-3.0-or-later
// Settings by evidence: the dose pad, recipes into steps and back, routines, the Recipes view. By mouse and keys.
#include "recipes/recipe_shelf.hpp"
#include "recipes/wall_chart.hpp"
#include "support/bed_driver.hpp"
#include "support/sample_files.hpp"
#include "widgets/dose_pad.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/job/edits.hpp>

#include <catch2/catch.hpp>

#include <QCheckBox>
#include <QComboBox>
#include <QFile>
#include <QFileDialog>
#include <QImage>
#include <QLabel>
#include <QListWidget>
#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;

namespace {

/// A window with recipes of its own, only the starting points in them, and the sample open.
struct Workshop {
    QTemporaryDir folder;
    WindowDriver driver{"max", folder.filePath("recipes.db")};
    Workshop() {
        driver.drop({sample_job});
        driver->choose(Mark::steps);
        QTest::qWait(20);
    }
    WindowDriver* operator->() { return &driver; }
    RecipeDesk& desk() { return driver->recipes(); }
    void open_card(std::size_t number) {
        QTest::mouseClick(driver->steps_tray().cards()[number - 1], Qt::LeftButton, {}, {160, 16});
        QTest::qWait(20);
    }
    const steps::StepSettings& settings(std::size_t number) { return job_of(driver).steps[number - 1].settings; }
    template <class W>
    W* shown(const QString& name = {}) {
        for (auto* widget : driver.window().findChildren<W*>())
            if (widget->isVisible() && (name.isEmpty() || widget->accessibleName() == name)) return widget;
        return nullptr;
    }
    bool click(const QString& text) {
        const bool clicked = driver.click(text);
        QTest::qWait(20);
        return clicked;
    }
    void key(Qt::Key pressed, Qt::KeyboardModifiers keys = {}) {
        QTest::keyClick(QApplication::focusWidget(), pressed, keys);
        QTest::qWait(20);
    }
};

double dose_of(const steps::StepSettings& s) {
    return steps::dose(s, {});
}

}  // namespace

TEST_CASE("the dose pad is dragged, and with Ctrl the dose stays") {
    Workshop shop;
    shop.open_card(1);
    auto* pad = shop.shown<DosePad>();
    REQUIRE(pad);
    const auto drag = [&](Power power, Speed speed, Qt::KeyboardModifiers keys) {
        const QPoint from = pad->place_of(shop.settings(1).power, shop.settings(1).speed).toPoint();
        const QPoint to = pad->place_of(power, speed).toPoint();
        QTest::mousePress(pad, Qt::LeftButton, keys, from);
        for (int i = 1; i <= 4; ++i) {
            QMouseEvent move(QEvent::MouseMove, QPointF(from + (to - from) * i / 4),
                             pad->mapToGlobal(QPointF(from + (to - from) * i / 4)), Qt::NoButton, Qt::LeftButton, keys);
            QApplication::sendEvent(pad, &move);
        }
        QTest::mouseRelease(pad, Qt::LeftButton, keys, to);
        QTest::qWait(20);
    };
    const int history = shop.driver->document().history().count();
    drag(Power::percent(40), Speed::mm_per_min(6000), {});
    CHECK(shop.settings(1).power.percent() == Approx(40).margin(1.5));
    CHECK(shop.settings(1).speed.mm_per_min() == Approx(6000).epsilon(0.04));
    // One drag is one change.
    CHECK(shop.driver->document().history().count() == history + 1);
    const double dose = dose_of(shop.settings(1));
    drag(Power::percent(5), Speed::mm_per_min(9000), Qt::ControlModifier);
    CHECK(shop.settings(1).speed.mm_per_min() == Approx(9000).epsilon(0.04));
    CHECK(dose_of(shop.settings(1)) == Approx(dose));
    // Too fast for the dose: as far as full power goes.
    shop.driver->document().history().undo();
    drag(Power::percent(50), Speed::mm_per_min(12000), Qt::ControlModifier);
    CHECK(shop.settings(1).power <= Power::percent(100));
    CHECK(dose_of(shop.settings(1)) == Approx(dose).epsilon(0.001));
}

TEST_CASE("the dose pad goes by keys, within the machine's limits") {
    Workshop shop;
    shop.open_card(1);
    auto* pad = shop.shown<DosePad>();
    pad->setFocus();
    QTest::keyClick(pad, Qt::Key_Up);
    CHECK(shop.settings(1).power == Power::percent(71));
    QTest::keyClick(pad, Qt::Key_Down, Qt::ShiftModifier);
    CHECK(shop.settings(1).power == Power::percent(66));
    QTest::keyClick(pad, Qt::Key_Up, Qt::AltModifier);
    CHECK(shop.settings(1).power.percent() == Approx(66.2));
    const double dose = dose_of(shop.settings(1));
    QTest::keyClick(pad, Qt::Key_Left, Qt::ControlModifier);
    CHECK(shop.settings(1).speed < Speed::mm_per_min(3200));
    CHECK(dose_of(shop.settings(1)) == Approx(dose));
    for (int i = 0; i < 60; ++i)
        QTest::keyClick(pad, Qt::Key_Right, Qt::ShiftModifier);
    CHECK(shop.settings(1).speed == shop.driver->machine().profile().top_speed());
    CHECK(pad->spoken_value().contains("12000 mm/min"));
}

TEST_CASE("recipes of the piece stand on the pad as marks, and a click takes one") {
    Workshop shop;
    recipes::Recipe tested = shop.desk().all()->front();
    tested.id = 0;
    tested.settings.power = Power::percent(85);
    tested.settings.speed = Speed::mm_per_min(1700);
    tested.evidence.kind = recipes::Evidence::Kind::swatch;
    REQUIRE(shop.desk().keep("Keep", tested));
    shop.open_card(1);
    auto* pad = shop.shown<DosePad>();
    CHECK(pad->spoken_value().contains("2 marks"));
    QTest::mouseClick(pad, Qt::LeftButton, {}, pad->place_of(Power::percent(85), Speed::mm_per_min(1700)).toPoint());
    CHECK(shop.settings(1).power == Power::percent(85));
    CHECK(shop.settings(1).speed == Speed::mm_per_min(1700));
}

TEST_CASE("a slip is caught while it is typed") {
    Workshop shop;
    shop.open_card(1);
    auto* speed = shop->field("Speed");
    speed->setFocus();
    speed->selectAll();
    QTest::keyClicks(speed, "80");
    CHECK(shop->visible_text().contains("80 mm/min is 40 times slower than any recipe for Birch ply here"));
    QTest::keyClicks(speed, "0");
    CHECK_FALSE(shop->visible_text().contains("times slower"));
}

TEST_CASE("take from recipes shows what changes and changes nothing else") {
    Workshop shop;
    job::Job job = job_of(shop.driver);
    job.steps[2].note = "keep me";
    job.steps[2].settings.speed = Speed::mm_per_min(300);
    job.steps[2].settings.passes = 5;
    shop.driver->document().replace(job, {});
    shop.open_card(3);
    REQUIRE(shop.click("Take from recipes…"));
    REQUIRE(shop.shown<QListWidget>("Recipes that fit"));
    CHECK(shop->visible_text().contains("Speed  300 mm/min → 240 mm/min"));
    CHECK(shop->visible_text().contains("Passes  5 → 2"));
    CHECK_FALSE(shop->visible_text().contains("Power  "));
    CHECK(job_of(shop.driver).steps == job.steps);
    shop.key(Qt::Key_Return);
    CHECK(shop.settings(3).passes == 2);
    CHECK(job_of(shop.driver).steps[2].note == "keep me");
    CHECK(job_of(shop.driver).steps[2].inks == job.steps[2].inks);
    CHECK(job_of(shop.driver).steps[0] == job.steps[0]);
    shop.driver->document().history().undo();
    CHECK(job_of(shop.driver).steps == job.steps);
}

TEST_CASE("a recipe of another thickness is offered worked out for this one") {
    Workshop shop;
    job::Job job = job_of(shop.driver);
    job.stock->thickness = Length::mm(8);
    shop.driver->document().replace(job, {});
    shop.open_card(3);
    REQUIRE(shop.click("Take from recipes…"));
    CHECK(shop->visible_text().contains("Speed  240 mm/min → 120 mm/min"));
    CHECK(shop.shown<QListWidget>()->item(0)->text().contains("copied from Birch ply 4 mm"));
}

TEST_CASE("a step is kept as a recipe for its piece, and undone in the Recipes view") {
    Workshop shop;
    const std::size_t before = shop.desk().all()->size();
    shop.open_card(2);
    REQUIRE(shop.click("Keep as recipe…"));
    auto* evidence = shop.shown<QComboBox>("Evidence");
    REQUIRE(evidence);
    while (evidence->currentIndex() > 0)
        QTest::keyClick(evidence, Qt::Key_Up);
    REQUIRE(shop->field("Preparation"));
    QTest::keyClicks(shop->field("Preparation"), "wiped");
    REQUIRE(shop.click("Keep"));
    REQUIRE(shop.desk().all()->size() == before + 1);
    const recipes::Recipe& kept = shop.desk().all()->back();
    CHECK(kept.material == "Birch ply");
    CHECK(kept.settings == shop.settings(2));
    CHECK(kept.evidence.tested());
    CHECK(kept.evidence.preparation == "wiped");
    QTest::keyClick(&shop.driver.window(), Qt::Key_4, Qt::ControlModifier);
    QTest::keyClick(&shop.driver.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(shop.desk().all()->size() == before);
    QTest::keyClick(&shop.driver.window(), Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    CHECK(shop.desk().all()->size() == before + 1);
}

TEST_CASE("three steps are set from recipes by keys alone") {
    Workshop shop;
    job::Job job = job_of(shop.driver);
    for (job::Step& step : job.steps)
        step.settings.power = Power::percent(11);
    shop.driver->document().replace(job, {});
    QTest::qWait(20);
    for (std::size_t step = 1; step <= 3; ++step) {
        shop.driver->steps_tray().cards()[step - 1]->setFocus();
        shop.key(Qt::Key_Return);
        REQUIRE(tab_to(shop.driver, "Take from recipes"));
        shop.key(Qt::Key_Space);
        shop.key(Qt::Key_Return);
    }
    CHECK(shop.settings(1).power == Power::percent(70));
    CHECK(shop.settings(2).power == Power::percent(35));
    CHECK(shop.settings(3).power == Power::percent(100));
}

TEST_CASE("recipes are browsed by keys, searched, used, edited and removed") {
    Workshop shop;
    QTest::keyClick(&shop.driver.window(), Qt::Key_4, Qt::ControlModifier);
    auto* shelf = shop.shown<RecipeShelf>();
    REQUIRE(shelf);
    shelf->setFocus();
    shop.key(Qt::Key_Home);
    CHECK(shop->visible_text().contains("Birch ply 4 mm"));
    REQUIRE(shop->type("Find recipes", "birch engrave"));
    shelf->setFocus();
    shop.key(Qt::Key_Down);
    const auto id = shelf->chosen();
    REQUIRE(shop.desk().find(id));
    CHECK(shop.desk().find(id)->settings.kind == steps::StepKind::engrave);

    REQUIRE(shop.click("Edit…"));
    REQUIRE(shop->type("Power", "82"));
    REQUIRE(shop->type("Tags", "#shop daily"));
    REQUIRE(shop.click("Keep"));
    CHECK(shop.desk().find(id)->settings.power == Power::percent(82));
    CHECK(shop.desk().find(id)->tags == std::vector<std::string>{"shop", "daily"});
    CHECK(shop->visible_text().contains("Power  70 % → 82 %"));
    REQUIRE(shop.click("Use in step"));
    CHECK(shop.settings(1).power == Power::percent(82));

    REQUIRE(shop.click("Remove"));
    CHECK_FALSE(shop.desk().find(id));
    shop.desk().history().undo();
    REQUIRE(shop.desk().find(id));
    CHECK(shop.desk().find(id)->settings.power == Power::percent(82));
    shop.desk().history().undo();
    CHECK(shop.desk().find(id)->settings.power == Power::percent(70));
    REQUIRE(shop->type("Find recipes", "unobtainium"));
    CHECK(shop->visible_text().contains("No recipe has all of these words"));
}

TEST_CASE("a photograph is kept with its recipe, smaller and turned upright") {
    Workshop shop;
    QImage image(2400, 1200, QImage::Format_RGB32);
    image.fill(QColor(200, 150, 90));
    const QString file = shop.folder.filePath("burned.jpg");
    REQUIRE(image.save(file));
    shop.driver->choose_view(View::recipes);
    QTest::qWait(20);
    const auto id = shop.desk().all()->front().id;
    shop.shown<RecipeShelf>()->choose(id);
    QTest::qWait(20);
    const auto photograph = [&](const QString& chosen) {
        REQUIRE(shop.click("Photo…"));
        auto* dialog = shop.driver.window().findChild<QFileDialog*>("recipePhoto");
        REQUIRE(dialog);
        Q_EMIT dialog->fileSelected(chosen);
        dialog->close();
        QTest::qWait(20);
    };
    photograph(sample_job);
    CHECK(shop->visible_text().contains("The photograph cannot be kept"));
    photograph(file);
    CHECK_FALSE(shop.desk().find(id)->photo.empty());
    bool seen = false;
    for (auto* label : shop.driver.window().findChildren<QLabel*>())
        seen = seen || (label->isVisible() && label->accessibleName() == "Photograph" && !label->pixmap().isNull());
    CHECK(seen);
}

TEST_CASE("the piece's own material comes first on the shelf") {
    Workshop shop;
    shop.driver->choose_view(View::recipes);
    QTest::qWait(20);
    auto* shelf = shop.shown<RecipeShelf>();
    shelf->setFocus();
    shop.key(Qt::Key_Home);
    REQUIRE(shop.desk().find(shelf->chosen()));
    CHECK(shop.desk().find(shelf->chosen())->material == "Birch ply");
}

TEST_CASE("five hundred recipes are browsed without a wait") {
    Workshop shop;
    std::vector<recipes::Recipe> many;
    for (int i = 0; i < 500; ++i) {
        recipes::Recipe one = shop.desk().all()->at(static_cast<std::size_t>(i) % shop.desk().all()->size());
        one.id = 0;
        one.material = "Wood " + std::to_string(i / 3);
        many.push_back(one);
    }
    REQUIRE(shop.desk().keep_all("Import", many) == 500);
    shop.driver->choose_view(View::recipes);
    QTest::qWait(50);
    auto* shelf = shop.shown<RecipeShelf>();
    shelf->setFocus();
    shop.key(Qt::Key_End);
    // The chosen row was brought into sight.
    CHECK(shelf->visibleRegion().contains(shelf->row_of(shelf->chosen()).center()));
    shop.desk().history().undo();
    CHECK(shop.desk().all()->size() < 50);
}

TEST_CASE("what is shown is written as JSON, table and chart, and read again") {
    Workshop shop;
    shop.driver->choose_view(View::recipes);
    QTest::qWait(20);
    REQUIRE(shop->type("Find recipes", "slate"));
    for (const char* name : {"all.json", "all.csv", "wall.pdf"}) {
        REQUIRE(shop.click("Save as…"));
        auto* dialog = shop.driver.window().findChild<QFileDialog*>("saveRecipes");
        REQUIRE(dialog);
        Q_EMIT dialog->fileSelected(shop.folder.filePath(name));
        dialog->close();
        QTest::qWait(20);
        CHECK(read_file(shop.folder.filePath(name).toStdString())->size() > 200);
    }
    CHECK(read_file(shop.folder.filePath("wall.pdf").toStdString())->starts_with("%PDF"));
    const auto import = [&](const QString& file) {
        REQUIRE(shop.click("Import…"));
        auto* dialog = shop.driver.window().findChild<QFileDialog*>("importRecipes");
        Q_EMIT dialog->fileSelected(file);
        dialog->close();
        QTest::qWait(20);
    };
    const std::size_t before = shop.desk().all()->size();
    import(shop.folder.filePath("all.csv"));
    CHECK(shop.desk().all()->size() == before);
    for (const auto& recipe : std::vector(*shop.desk().all()))
        if (recipe.material == "Slate") shop.desk().remove(recipe);
    CHECK(shop.desk().all()->size() == before - 2);
    import(shop.folder.filePath("all.json"));
    CHECK(shop.desk().all()->size() == before);
    import(sample_job);
    CHECK(shop->visible_text().contains("The recipes cannot be read"));
}

TEST_CASE("a second Chalkline's recipes show here, and its changes are not written over") {
    Workshop shop;
    auto other = recipes::Store::open(shop.folder.filePath("recipes.db").toStdString(), "2026-11-23").value();
    recipes::Recipe theirs = other.recipes()->front();
    theirs.note = "changed over there";
    REQUIRE(other.put(theirs, "2026-11-23T10:00:00"));
    recipes::Recipe mine = shop.desk().all()->front();
    mine.note = "changed here";
    CHECK_FALSE(shop.desk().keep("Change", mine));
    CHECK(shop->visible_text().contains("changed in another Chalkline"));
    CHECK(shop.desk().all()->front().note == "changed over there");
    theirs = other.recipes()->front();
    theirs.note = "again";
    REQUIRE(other.put(theirs, "2026-11-23T10:00:01"));
    CHECK(wait_for([&] { return shop.desk().all()->front().note == "again"; }, 6000));
}

TEST_CASE("recipes of a newer Chalkline are said, left alone, and the job can be worked on without them") {
    const QTemporaryDir folder;
    const QString file = folder.filePath("recipes.db");
    REQUIRE(recipes::Store::open(file.toStdString(), "2026-11-23"));
    std::string bytes = read_file(file.toStdString()).value();
    bytes[63] = 9;  // user_version
    REQUIRE(replace_file(file.toStdString(), bytes));
    QFile::remove(file + "-wal");
    WindowDriver driver("max", file);
    CHECK(driver.visible_text().contains("kept by a newer Chalkline"));
    driver.drop({sample_job});
    CHECK(driver.wait_planned());
    CHECK(driver->recipes().all()->empty());
    CHECK_FALSE(driver->recipes().keep("Keep", recipes::Recipe{.machine = driver->recipes().machine()}));
    CHECK(driver->recipes().routines().empty());
    CHECK(read_file(file.toStdString()).value() == bytes);
}

TEST_CASE("the keeper's rules hold: a locked recipe stays, and the ceiling keeps Burn shut") {
    Workshop shop;
    shop.driver->choose_view(View::recipes);
    QTest::qWait(20);
    REQUIRE(shop.click("Workshop…"));
    REQUIRE(shop->type("Ceiling for the power", "80"));
    QTest::keyClicks(shop->field("A word for the keeper"), "sawdust");
    REQUIRE(shop.click("Set"));
    CHECK(shop.desk().rules().ceiling == Power::percent(80));
    auto* shelf = shop.shown<RecipeShelf>();
    shelf->choose(shop.desk().all()->front().id);
    QTest::qWait(20);
    REQUIRE(shop.click("Lock…"));
    QTest::keyClicks(shop->field("The keeper's word"), "sawdust");
    REQUIRE(shop.click("Lock"));
    CHECK(shop.desk().all()->front().locked);
    CHECK_FALSE(shop.click("Edit…"));
    shop.driver->choose(Mark::burn);
    REQUIRE(wait_for([&] { return !shop.driver->plans().stale(); }));
    QTest::qWait(50);
    CHECK(shop->visible_text().contains("100 % is above the workshop's ceiling of 80 %"));
    CHECK_FALSE(shop.driver->plans().ready());
    REQUIRE(shop.click("Lower to the ceiling"));
    REQUIRE(shop->wait_planned());
    CHECK(shop.settings(3).power == Power::percent(80));
}

TEST_CASE("a routine is kept, applied to other art after its effect was shown, and begins new jobs") {
    Workshop shop;
    const job::Job plate = job_of(shop.driver);
    REQUIRE(shop.click("Routines…"));
    CHECK(shop->visible_text().contains("None is kept yet"));
    QTest::keyClicks(shop->field("Name of the routine"), "Plot plates");
    for (auto* tick : shop.driver.window().findChildren<QCheckBox*>())
        if (tick->isVisible() && tick->text() == "New jobs begin with it")
            QTest::mouseClick(tick, Qt::LeftButton, {}, {8, 8});
    REQUIRE(shop.click("Keep"));
    REQUIRE(shop.desk().first_routine());

    // Art of another hand: one known colour, one that is not.
    QTemporaryDir art;
    const QString file = art.filePath("tag.svg");
    REQUIRE(replace_file(file.toStdString(),
                         "<svg xmlns='http://www.w3.org/2000/svg' width='60mm' height='30mm' viewBox='0 0 60 30'>"
                         "<path d='M1 1H59V29H1Z' stroke='#d81b60' stroke-width='0.1' fill='none'/>"
                         "<path d='M10 10H50' stroke='#00aa33' stroke-width='0.1' fill='none'/></svg>"));
    shop.driver->document().replace({}, {});
    shop->drop({file});
    shop.driver->choose(Mark::steps);
    QTest::qWait(20);
    const job::Job before = job_of(shop.driver);
    REQUIRE(shop.click("Routines…"));
    const QString told = shop->visible_text();
    CHECK(told.contains("Goes where the routine says: #d81b60 line"));
    CHECK(told.contains("without a step afterwards: #00aa33 line"));
    CHECK(told.contains("The piece becomes Birch ply, 4 mm"));
    CHECK(job_of(shop.driver).steps == before.steps);
    REQUIRE(shop.click("Apply"));
    CHECK(job_of(shop.driver).steps.size() == 3);
    CHECK(job_of(shop.driver).stock == plate.stock);
    CHECK(shop->fact(Mark::steps) == "1 ink without a step");
    shop.driver->document().history().undo();
    CHECK(job_of(shop.driver).steps == before.steps);
    CHECK(job_of(shop.driver).stock == before.stock);

    shop.driver->document().replace({}, {});
    REQUIRE(shop.click("New"));
    CHECK(job_of(shop.driver).steps.size() == 3);
    CHECK(job_of(shop.driver).stock == plate.stock);

    REQUIRE(shop.click("Routines…"));
    REQUIRE(shop.click("Remove"));
    CHECK(shop.desk().routines().empty());
    shop.desk().history().undo();
    CHECK(shop.desk().first_routine());
}

TEST_CASE("a burn that went to its end counts for the recipes it used, and care of the lens ages them") {
    Workshop shop;
    const auto id = shop.desk().all()->front().id;
    REQUIRE(shop.desk().find(id)->settings == shop.settings(1));
    recipes::Recipe tested = *shop.desk().find(id);
    tested.evidence.kind = recipes::Evidence::Kind::burned;
    tested.evidence.date = "2026-01-01";
    REQUIRE(shop.desk().keep("Tested", tested));
    shop.driver->connect_sample_machine();
    REQUIRE(wait_for([&] { return shop->idle(); }));
    REQUIRE(shop->wait_planned());
    shop.driver->desk().burn();
    REQUIRE(wait_for([&] { return shop.driver->desk().burned_at().has_value(); }));
    CHECK(shop.desk().find(id)->evidence.burns == 1);

    shop.driver->choose_view(View::recipes);
    QTest::qWait(20);
    open_fold(shop.driver, "Care of");
    REQUIRE(shop.click("Lens cleaned today"));
    shop.shown<RecipeShelf>()->choose(id);
    QTest::qWait(20);
    CHECK(shop->visible_text().contains("found before the lens was last cleaned"));
}
