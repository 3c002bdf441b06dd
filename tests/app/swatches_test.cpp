// SPDX-License-Identifier: GPL-3.0-or-later
// Swatch cards by mouse and keys: from a new material to a recipe in a step.
#include "recipes/dose_marks.hpp"
#include "support/workbench.hpp"
#include "swatches/book_print.hpp"
#include "swatches/expected_look.hpp"
#include "swatches/swatches_view.hpp"
#include "widgets/dose_pad.hpp"
#include "widgets/fold.hpp"

#include <chalkline/swatches/card_json.hpp>

#include <QComboBox>
#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::test;
using app::SwatchesView;
using swatches::CellPlace;
using swatches::Verdict;

namespace {

/// The Swatches view, with what a user does there.
struct Cards {
    explicit Cards(WindowDriver& window) : driver(window), view(window->swatches()), desk(view.desk()) {
        QTest::keyClick(&window.window(), Qt::Key_3, Qt::ControlModifier);
        REQUIRE(view.isVisible());
    }
    void make(const QString& material, const QString& question) {
        REQUIRE(driver.click("Book"));
        REQUIRE(driver.type("Material of the new card", material));
        REQUIRE(driver.click(question));
        REQUIRE(settled());
    }
    bool settled() {
        return wait_for([&] { return !desk.stale() && desk.worked().job; });
    }
    void press(CellPlace place) {
        QTest::mouseClick(&view.canvas(), Qt::LeftButton, {}, view.canvas().place_of(place).center().toPoint());
    }
    const swatches::Card& card() { return desk.record()->card; }
    const swatches::CellResult* result(CellPlace place) { return desk.burn() ? desk.burn()->at_place(place) : nullptr; }
    bool choose(const QString& box_name, const QString& entry) {
        for (auto* box : view.findChildren<QComboBox*>()) {
            if (!box->isVisible() || box->accessibleName() != box_name) continue;
            const int index = box->findText(entry);
            if (index < 0) return false;
            box->setCurrentIndex(index);
            Q_EMIT box->activated(index);
            return true;
        }
        return false;
    }

    WindowDriver& driver;
    SwatchesView& view;
    app::SwatchDesk& desk;
};

}  // namespace

TEST_CASE("a new material becomes a card with ranges on round numbers") {
    WindowDriver driver;
    Cards cards(driver);
    cards.make("Pear wood", "Engraving");
    CHECK(cards.card().material == "Pear wood");
    CHECK(cards.card().code.size() == 4);
    CHECK(driver.type("First value up", "10"));
    CHECK(driver.type("Last value up", "93"));
    CHECK(cards.card().rows->first == 10);
    CHECK(swatches::step_of(*cards.card().rows) == 15);
    CHECK(driver.visible_text().contains("The last value is 85"));
    CHECK(driver.type("Step up", "30"));
    CHECK(cards.card().rows->count == 3);
    // The wrong way round, nothing, too much: put right and said.
    CHECK(driver.type("Last value across", "0"));
    CHECK(cards.card().columns.first >= 10);
    CHECK(driver.visible_text().contains("raised to"));
    CHECK(driver.type("Values across", "500"));
    CHECK(cards.card().columns.count == swatches::most_values);
    QTest::keyClick(&driver.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(cards.card().columns.count < swatches::most_values);
}

TEST_CASE("swatches are left out by a second click or by Space and come back") {
    WindowDriver driver;
    Cards cards(driver);
    cards.make("Birch ply", "Engraving");
    cards.press({5, 0});
    CHECK(cards.card().left_out.empty());
    cards.press({5, 0});
    CHECK(cards.card().left_out == std::vector<CellPlace>{{5, 0}});
    QTest::keyClick(&cards.view.canvas(), Qt::Key_Down);
    QTest::keyClick(&cards.view.canvas(), Qt::Key_Space);
    CHECK(cards.card().left_out.size() == 2);
    CHECK(cards.desk.layout().at({4, 0})->left_out);
    QTest::keyClick(&cards.view.canvas(), Qt::Key_Space);
    CHECK(cards.card().left_out.size() == 1);
    QTest::keyClick(&driver.window(), Qt::Key_Z, Qt::ControlModifier);
    QTest::keyClick(&driver.window(), Qt::Key_Z, Qt::ControlModifier);
    QTest::keyClick(&driver.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(cards.card().left_out.empty());
}

TEST_CASE("kind and variables and shape change what is asked for") {
    WindowDriver driver;
    Cards cards(driver);
    cards.make("Lime ply", "Engraving");
    REQUIRE(cards.choose("Kind of the swatches", "Cut"));
    CHECK(cards.card().shape == swatches::Shape::flap);
    CHECK(cards.card().settings.kind == steps::StepKind::cut);
    CHECK(cards.card().material == "Lime ply");
    REQUIRE(cards.choose("What differs from bottom to top", "Power"));
    CHECK(cards.card().rows->what == swatches::Variable::power);
    REQUIRE(cards.choose("What differs from bottom to top", "nothing: one row"));
    CHECK_FALSE(cards.card().rows);
    REQUIRE(cards.choose("Kind of the swatches", "Picture"));
    REQUIRE(cards.choose("What differs from left to right", "Dots"));
    CHECK(cards.card().columns.methods.size() == 5);
    REQUIRE(cards.settled());
    CHECK_FALSE(cards.desk.worked().error);
}

TEST_CASE("a card that is too large for the piece says so and is made to fit") {
    WindowDriver driver;
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(driver.wait_planned());
    Cards cards(driver);
    cards.make("Birch ply", "Engraving");
    cards.desk.change("Wider", [](swatches::Card& card) { card.width = 90; });
    REQUIRE(cards.settled());
    REQUIRE(driver.click("Burn"));
    CHECK(driver.visible_text().contains("there is room for"));
    REQUIRE(driver.click("Make it fit"));
    REQUIRE(cards.settled());
    CHECK_FALSE(driver.visible_text().contains("there is room for"));
    CHECK(cards.desk.layout().size.x <= driver->machine().profile().width);
    CHECK(driver.visible_text().contains("J of light"));
}

TEST_CASE("from a new material to a recipe in a step by a card that is burned and read") {
    WindowDriver driver;
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(driver.wait_planned());
    driver->connect_sample_machine();
    REQUIRE(wait_for([&] { return driver.idle() && driver->machine().snapshot().position_sure; }));
    Cards cards(driver);
    cards.make("Pear wood", "Engraving");
    CHECK(driver.type("Values across", "4"));
    CHECK(driver.type("Values up", "3"));
    REQUIRE(cards.settled());
    const std::string code = cards.card().code;
    REQUIRE(driver.click("Burn"));
    REQUIRE(press_enabled(driver, "Put it on the bed"));
    REQUIRE(wait_for([&] { return !driver->document().job().card.empty(); }));
    CHECK(swatches::card_of(driver->document().job())->code == code);
    REQUIRE(driver.wait_planned());
    // Going beyond what is known is what a card is for: no evidence is held against it.
    for (const auto& check : driver->plans().planned().checks)
        CHECK(check.code.find("evidence") == std::string::npos);
    driver->choose(app::Mark::frame);
    REQUIRE(press_enabled(driver, "Frame"));
    REQUIRE(wait_for([&] { return driver->desk().framed_at().has_value() && driver.idle(); }));
    driver->desk().answer_frame(true);
    begin_burn(driver);
    REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value(); }, 180000));

    QTest::keyClick(&driver.window(), Qt::Key_3, Qt::ControlModifier);
    REQUIRE(cards.desk.record());
    CHECK(cards.desk.record()->burns.size() == 1);
    REQUIRE(driver.click("Read"));
    REQUIRE(driver.click("From the simulated bed"));
    REQUIRE(wait_for([&] { return cards.result({0, 0}) && cards.result({0, 0})->measured; }));
    CHECK(cards.result({2, 0})->measured->darkness > cards.result({0, 3})->measured->darkness + 0.2);
    cards.press({1, 1});
    CHECK(cards.desk.cell() == CellPlace{1, 1});
    // The second verdict offered is the keeper.
    QTest::keyClick(&cards.view.canvas(), Qt::Key_2);
    CHECK(cards.result({1, 1})->verdict == Verdict::keeper);
    QTest::keyClick(&cards.view.canvas(), Qt::Key_Up);
    REQUIRE(driver.click("Too dark"));
    CHECK(cards.result({2, 1})->verdict == Verdict::too_dark);
    QTest::keyClick(&cards.view.canvas(), Qt::Key_Down);
    const auto before = driver->recipes().all()->size();
    REQUIRE(driver.click("Keep as recipe"));
    REQUIRE(driver->recipes().all()->size() == before + 1);
    const recipes::Recipe kept = driver->recipes().all()->back();
    CHECK(kept.material == "Pear wood");
    CHECK(kept.evidence.kind == recipes::Evidence::Kind::swatch);
    CHECK(kept.evidence.source.find(code) != std::string::npos);
    // On dose pads: the keeper as a recipe, the other as rejected.
    const auto marks = app::dose_marks(
        driver->recipes(), {driver->recipes().machine(), "Pear wood", kept.thickness, steps::StepKind::engrave});
    const auto count = [&](app::DoseMark::Verdict verdict) {
        return std::count_if(marks.begin(), marks.end(), [&](const auto& mark) { return mark.verdict == verdict; });
    };
    CHECK(count(app::DoseMark::Verdict::kept) == 1);
    CHECK(count(app::DoseMark::Verdict::rejected) == 1);

    // Into a step of the next job.
    driver->document().replace({}, {});
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(wait_for([&] { return !driver->document().job().motifs.empty(); }));
    REQUIRE(wait_for([&] { return !driver->files().busy(); }));
    QTest::keyClick(&driver.window(), Qt::Key_3, Qt::ControlModifier);
    REQUIRE(press_enabled(driver, "Use in step…"));
    REQUIRE(driver.click("Use"));
    const auto& steps = driver->document().job().steps;
    CHECK(
        std::any_of(steps.begin(), steps.end(), [&](const job::Step& step) { return step.settings == kept.settings; }));

    // The rehearsal says how such a step will look on this material.
    const recipes::Wish wish{driver->recipes().machine(), "Pear wood", kept.thickness, steps::StepKind::engrave};
    const auto curves = app::card_curves(driver->recipes(), wish);
    const auto look = app::expected_look(curves, steps::whole_dose(kept.settings, driver->recipes().machine().beam),
                                         app::theme::light());
    REQUIRE(look);
    CHECK(look->card == code);
    CHECK(look->darkness == Approx(cards.result({1, 1})->measured->darkness).margin(0.05));
    CHECK_FALSE(app::expected_look(curves, 1e6, app::theme::light()));

    // And a finer card round it.
    REQUIRE(driver.click("Finer card around this one"));
    REQUIRE(cards.settled());
    CHECK(cards.card().code != code);
    CHECK(cards.card().material == "Pear wood");
    CHECK(cards.desk.all().size() == 2);
}

TEST_CASE("where the marks cannot be found four clicks show them") {
    WindowDriver driver;
    Cards cards(driver);
    cards.make("Birch ply", "Engraving");
    const QTemporaryDir folder;
    // A plain picture with one dark half: no marks anywhere.
    QImage picture(600, 600, QImage::Format_RGB32);
    picture.fill(QColor(220, 190, 150));
    for (int y = 0; y < 600; ++y)
        for (int x = 0; x < 300; ++x)
            picture.setPixelColor(x, y, QColor(120, 80, 50));
    picture.save(folder.filePath("card.png"));
    REQUIRE(driver.click("Read"));
    cards.desk.read_photo(folder.filePath("card.png"));
    REQUIRE(wait_for([&] { return cards.desk.reader().waiting() != nullptr; }));
    CHECK(driver.visible_text().contains("Click on them in the picture"));
    const QPoint middle = cards.view.canvas().rect().center();
    for (const QPoint& corner : {QPoint(-150, 150), {150, 150}, {150, -150}, {-150, -150}})
        QTest::mouseClick(&cards.view.canvas(), Qt::LeftButton, {}, middle + corner);
    REQUIRE(wait_for([&] { return cards.result({0, 0}) && cards.result({0, 0})->measured; }));
    CHECK(cards.desk.burn()->marks.size() == 4);
    CHECK_FALSE(driver.visible_text().contains("Click on them in the picture"));
    // Another photograph takes the first one's place, and undo brings it back.
    const double first = cards.result({0, 0})->measured->darkness;
    const auto kept = cards.desk.burn()->photo;
    picture.invertPixels();
    picture.save(folder.filePath("other.png"));
    cards.desk.read_photo(folder.filePath("other.png"));
    REQUIRE(wait_for([&] { return cards.desk.reader().waiting() != nullptr; }));
    for (const QPoint& corner : {QPoint(-150, 150), {150, 150}, {150, -150}, {-150, -150}})
        QTest::mouseClick(&cards.view.canvas(), Qt::LeftButton, {}, middle + corner);
    REQUIRE(wait_for([&] { return cards.desk.burn()->photo != kept; }));
    CHECK(cards.result({0, 0})->measured->darkness != Approx(first));
    QTest::keyClick(&driver.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(cards.result({0, 0})->measured->darkness == Approx(first));
    CHECK(cards.desk.burn()->photo == kept);
    // A file that is no picture is said, and nothing is lost.
    QFile broken(folder.filePath("broken.png"));
    REQUIRE(broken.open(QIODevice::WriteOnly));
    broken.write("not a picture");
    broken.close();
    cards.desk.read_photo(broken.fileName());
    REQUIRE(wait_for([&] { return driver.visible_text().contains("no picture Chalkline can read"); }));
    CHECK(cards.result({0, 0})->measured);
}

TEST_CASE("cards with verdicts and notes survive a restart and burns are kept apart") {
    const QTemporaryDir folder;
    const QString store = folder.filePath("recipes.db");
    std::string code;
    {
        WindowDriver driver("max", store);
        Cards cards(driver);
        cards.make("Slate", "Engraving");
        code = cards.card().code;
        REQUIRE(driver.click("Read"));
        REQUIRE(driver.click("Burned it"));
        cards.press({1, 1});
        REQUIRE(driver.click("Rough"));
        REQUIRE(driver.type("Note on the swatch", "chipped"));
        REQUIRE(driver.type("Depth of the swatch", "0.4"));
        REQUIRE(driver.click("Burned it"));
        CHECK(cards.result({1, 1}) == nullptr);
        REQUIRE(driver.type("Times burned over itself before", "1"));
        CHECK(swatches::dose_in(*cards.desk.layout().at({1, 1}), *cards.desk.burn()) ==
              2 * cards.desk.layout().at({1, 1})->dose);
    }
    WindowDriver driver("max", store);
    Cards cards(driver);
    cards.desk.choose(code);
    REQUIRE(cards.desk.record());
    CHECK(cards.desk.record()->burns.size() == 2);
    const auto* result = cards.desk.record()->burns[0].at_place({1, 1});
    REQUIRE(result);
    CHECK(result->verdict == Verdict::rough);
    CHECK(result->note == "chipped");
    CHECK(result->depth == 0.4);
    cards.view.choose_page(SwatchesView::Page::read);
    REQUIRE(driver.click("Remove"));
    CHECK(cards.desk.all().empty());
    QTest::keyClick(&driver.window(), Qt::Key_Z, Qt::ControlModifier);
    REQUIRE(cards.desk.all().size() == 1);
    CHECK(cards.desk.all()[0].burns.size() == 2);
}

TEST_CASE("the book is searched") {
    WindowDriver driver;
    Cards cards(driver);
    cards.make("Slate", "Engraving");
    cards.make("Lime ply", "Kerf");
    REQUIRE(driver.click("Book"));
    const auto tiles = [&] {
        QTest::qWait(10);
        int count = 0;
        for (auto* tile : cards.view.findChildren<app::CardTile*>())
            count += tile->isVisible();
        return count;
    };
    CHECK(tiles() == 2);
    REQUIRE(driver.type("Find swatch cards", "lime kerf"));
    CHECK(tiles() == 1);
    REQUIRE(driver.type("Find swatch cards", "marble"));
    CHECK(tiles() == 0);
    CHECK(driver.visible_text().contains("No card matches"));
}

TEST_CASE("a drawing of the job becomes the swatch, and the settings stand beside a job") {
    WindowDriver driver;
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    REQUIRE(driver.wait_planned());
    driver->choose(app::Mark::steps);
    const auto before = driver->document().job().motifs.size();
    REQUIRE(press_enabled(driver, "Burn the settings beside it"));
    CHECK(driver->document().job().motifs.size() == before + 1);
    CHECK(driver->document().history().undoText() == "Burn the settings beside it");
    driver->document().history().undo();
    Cards cards(driver);
    cards.make("Birch ply", "Scored line");
    for (auto* fold : cards.view.findChildren<app::Fold*>())
        if (fold->isVisible()) fold->set_open(true);
    REQUIRE(cards.choose("Shape of a swatch", "A drawing of the job"));
    CHECK(cards.card().shape == swatches::Shape::motif);
    REQUIRE(cards.card().motif);
    REQUIRE(cards.settled());
    CHECK_FALSE(cards.desk.worked().error);
}

TEST_CASE("the swatch book is printed") {
    WindowDriver driver;
    Cards cards(driver);
    cards.make("Slate", "Engraving");
    cards.desk.choose_cell(CellPlace{1, 1});
    cards.desk.judge("Verdict", [](swatches::CellResult& result) { result.verdict = Verdict::keeper; });
    const QTemporaryDir folder;
    const QString file = folder.filePath("book.pdf");
    REQUIRE(app::write_card_book(file, cards.desk.all(), cards.desk.machine().beam));
    QFile book(file);
    REQUIRE(book.open(QIODevice::ReadOnly));
    const QByteArray bytes = book.readAll();
    CHECK(bytes.startsWith("%PDF-"));
    CHECK(bytes.size() > 2000);
    const auto refused = app::write_card_book(folder.filePath("no/such/book.pdf"), cards.desk.all(), {});
    CHECK_FALSE(refused);
}
