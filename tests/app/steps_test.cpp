// SPDX-License-Identifier: GPL-3.0-or-later
// The run sheet worked by mouse and keys: rare settings, several steps at once, objects, what is burned alone.
#include "support/bed_driver.hpp"
#include "support/sample_files.hpp"

#include <chalkline/job/edits.hpp>

#include <catch2/catch.hpp>

#include <QCheckBox>
#include <QComboBox>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;

namespace {

StepCard& card(WindowDriver& driver, std::size_t number) {
    return *driver->steps_tray().cards()[number - 1];
}

void click_card(WindowDriver& driver, std::size_t number, Qt::KeyboardModifiers keys = {}) {
    QTest::mouseClick(&card(driver, number), Qt::LeftButton, keys, {160, 16});
    QTest::qWait(20);
}

void open_plate(WindowDriver& driver) {
    driver.drop({sample_job});
    driver->choose(Mark::steps);
    QTest::qWait(20);
}

const steps::StepSettings& settings(WindowDriver& driver, std::size_t number) {
    return job_of(driver).steps[number - 1].settings;
}

QComboBox* choice(WindowDriver& driver, const QString& name) {
    for (auto* box : driver.window().findChildren<QComboBox*>())
        if (box->isVisible() && box->accessibleName() == name) return box;
    return nullptr;
}

void choose(WindowDriver& driver, const QString& name, const QString& word) {
    QComboBox* box = choice(driver, name);
    INFO(name.toStdString());
    REQUIRE(box);
    const int wanted = box->findText(word);
    REQUIRE(wanted >= 0);
    box->setFocus();
    while (box->currentIndex() != wanted)
        QTest::keyClick(box, box->currentIndex() < wanted ? Qt::Key_Down : Qt::Key_Up);
    QTest::qWait(20);
}

void tick(WindowDriver& driver, const QString& text) {
    for (auto* box : driver.window().findChildren<QCheckBox*>())
        if (box->isVisible() && box->text() == text) return QTest::mouseClick(box, Qt::LeftButton, {}, {8, 8});
    FAIL(text.toStdString());
}

}  // namespace

TEST_CASE("rare settings are one click away, reach the job, and the shut fold says them") {
    WindowDriver driver;
    open_plate(driver);
    click_card(driver, 3);
    open_fold(driver, "How the line goes");
    CHECK_FALSE(driver.field("Width of the kerf"));
    choose(driver, "Side of the kerf", "outside, holes inside");
    REQUIRE(driver.type("Width of the kerf", "0.2"));
    REQUIRE(driver.type("Bridges on each closed line", "3"));
    REQUIRE(driver.type("Pulses in a centimetre", "8"));
    REQUIRE(driver.type("Air before the beam", "x") == false);
    CHECK(settings(driver, 3).line.kerf_side == steps::LineSettings::Kerf::outside);
    CHECK(settings(driver, 3).line.kerf == Length::mm(0.2));
    CHECK(settings(driver, 3).line.bridges == 3);
    CHECK(settings(driver, 3).line.perforation_burn.mm() == Approx(0.625));
    open_fold(driver, "Beam, air and focus");
    choose(driver, "How the beam is kept", "constant");
    CHECK(driver.visible_text().contains("burns on wherever the head stands"));
    REQUIRE(driver.wait_planned());
    REQUIRE(driver.type("Power in corners", "40 %"));
    CHECK(settings(driver, 3).low_power == Power::percent(40));
    bool noted = false;
    QTest::mouseClick(driver.button(QString::fromUtf8("▾ How the line goes")), Qt::LeftButton);
    QTest::qWait(20);
    for (auto* button : driver.window().findChildren<QPushButton*>())
        noted = noted || (button->isVisible() && button->text().contains("3 bridges"));
    CHECK(noted);
    REQUIRE(driver.click(QString::fromUtf8("▸ How the line goes · kerf 0.2 mm, 3 bridges, perforated")));
    QTest::qWait(20);
    for (const char* act : {"Start", "Bridge"}) {
        REQUIRE(driver.click(act));
        QTest::mouseClick(&driver->bed(), Qt::LeftButton, {}, on_screen(driver, job::bounds(job_of(driver)).centre()));
        QTest::qWait(20);
    }
    CHECK(job_of(driver).motifs[0].marks.size() == 2);
    REQUIRE(driver.click("Clear"));
    CHECK(job_of(driver).motifs[0].marks.empty());
    click_card(driver, 1);
    open_fold(driver, "How it is filled");
    tick(driver, "Crossed");
    CHECK(settings(driver, 1).fill.crossed);
    choose(driver, "Way of filling", "Along the outline");
    CHECK_FALSE(choice(driver, "First line"));
}

TEST_CASE("several cards are set at once, words typed are kept, a refused value changes nothing") {
    WindowDriver driver;
    open_plate(driver);
    click_card(driver, 1);
    click_card(driver, 2, Qt::ControlModifier);
    CHECK(driver.visible_text().contains("2 steps are set at once"));
    const int before = driver->document().history().count();
    REQUIRE(driver.type("Speed", "25 %"));
    CHECK(settings(driver, 1).speed == Speed::mm_per_min(3000));
    CHECK(settings(driver, 2).speed == Speed::mm_per_min(3000));
    CHECK(settings(driver, 3).speed == Speed::mm_per_min(240));
    CHECK(driver.field("Speed")->text() == "25 %");
    CHECK(job_of(driver).steps[1].typed.at("speed") == "25 %");
    REQUIRE(driver.type("Power", "400"));
    CHECK(settings(driver, 1).power == Power::percent(70));
    REQUIRE(driver.type("Speed", "1800"));
    CHECK(job_of(driver).steps[0].typed.empty());
    CHECK(driver.field("Speed")->text() == "1800 mm/min");
    while (driver->document().history().index() > before)
        driver->document().history().undo();
    CHECK(settings(driver, 2).speed == Speed::mm_per_min(2400));
}

TEST_CASE("a card says what is wrong with its step, and why it does not reach its speed") {
    WindowDriver driver;
    open_plate(driver);
    click_card(driver, 3);
    open_fold(driver, "Beam, air and focus");
    choose(driver, "How the beam is kept", "constant");
    REQUIRE(driver.wait_planned());
    QTest::qWait(20);
    CHECK(driver.visible_text().contains("Step 3 burns with a constant beam"));
    driver->document().history().undo();
    REQUIRE(driver.wait_planned());
    QTest::qWait(20);
    CHECK_FALSE(driver.visible_text().contains("Step 3 burns with a constant beam"));

    WindowDriver small;
    draw(small, "Ellipse");
    small->choose(Mark::steps);
    QTest::qWait(20);
    click_card(small, 1);
    REQUIRE(small.type("Speed", "100 %"));
    REQUIRE(small.wait_planned());
    QTest::qWait(20);
    CHECK(small.visible_text().contains("of 12000 mm/min reached: "));
}

TEST_CASE("an ink goes to a second step by Ctrl and its number, and back out") {
    WindowDriver driver;
    open_plate(driver);
    InkChip* black = nullptr;
    for (InkChip* chip : driver->steps_tray().chips())
        if (chip->ink().kind == InkKind::fill) black = chip;
    REQUIRE(black);
    black->setFocus();
    QTest::keyClick(black, Qt::Key_2, Qt::ControlModifier);
    QTest::qWait(20);
    CHECK(job_of(driver).steps[0].inks.size() == 1);
    CHECK(job_of(driver).steps[1].inks.size() == 2);
    REQUIRE(driver.wait_planned());
    for (InkChip* chip : driver->steps_tray().chips())
        if (chip->ink().kind == InkKind::fill) QTest::keyClick(chip, Qt::Key_2, Qt::ControlModifier);
    CHECK(job_of(driver).steps[1].inks.size() == 1);
}

TEST_CASE("a step is switched off and noted, one step or the chosen art is burned alone, and it is said before") {
    WindowDriver driver;
    open_plate(driver);
    REQUIRE(driver.wait_planned());
    const double whole = driver->plans().planned().plan->total.seconds();
    click_card(driver, 1);
    tick(driver, "Burn this step");
    REQUIRE(driver.wait_planned());
    CHECK(driver->plans().planned().plan->steps.size() == 2);
    CHECK(driver->plans().planned().plan->total.seconds() < whole);
    auto* note = driver.field("Note on the step");
    REQUIRE(note);
    note->setFocus();
    QTest::keyClicks(note, "mask first");
    QTest::keyClick(note, Qt::Key_Return);
    CHECK(job_of(driver).steps[0].note == "mask first");
    tick(driver, "Burn this step");

    driver->choose(Mark::burn);
    QTest::qWait(20);
    choose(driver, "What is burned", "Only step 2: Score");
    REQUIRE(driver.wait_planned());
    CHECK(driver->plans().planned().plan->steps.size() == 1);
    CHECK(driver->plans().planned().burned == driver->plans().planned().plan->burn_box);
    choose(driver, "What is burned", "Burn everything");
    REQUIRE(driver.wait_planned());
    CHECK(driver->plans().planned().plan->total.seconds() == Approx(whole));
}

TEST_CASE("a double click picks one object and gives it its own step, or back") {
    WindowDriver driver;
    open_plate(driver);
    driver->choose(Mark::art);
    QTest::qWait(20);
    const job::Motif& motif = job_of(driver).motifs[0];
    std::size_t cut = 0;
    for (std::size_t i = 0; i < motif.art->shapes.size(); ++i)
        if (to_text(motif.art->shapes[i].ink.rgb) == "#d81b60") cut = i;
    const geometry::Point place = motif.art->shapes[cut].path.flatten(motif.place)[0].points[0];
    const QPoint at = on_screen(driver, place);
    QTest::mouseClick(&driver->bed(), Qt::LeftButton, {}, on_screen(driver, job::bounds(motif).centre()));
    QTest::mouseDClick(&driver->bed(), Qt::LeftButton, {}, at);
    QTest::qWait(20);
    REQUIRE(driver->placing().object() == cut);
    REQUIRE(driver.click("Give it its own step"));
    QTest::qWait(20);
    CHECK(job_of(driver).steps.size() == 4);
    REQUIRE(job_of(driver).motifs[0].objects.size() == 1);
    CHECK(job_of(driver).motifs[0].objects[0].shape == cut);
    choose(driver, "Step the chosen art burns in", "By its ink");
    CHECK(job_of(driver).motifs[0].objects.empty());
}

TEST_CASE("an ink that burns by its darkness says how dark on its chip") {
    WindowDriver driver;
    open_plate(driver);
    const auto fill_chip = [&]() -> InkChip* {
        for (InkChip* chip : driver->steps_tray().chips())
            if (chip->ink().kind == InkKind::fill) return chip;
        return nullptr;
    };
    REQUIRE(fill_chip());
    CHECK(fill_chip()->spoken_value() == "burned");
    const int narrow = fill_chip()->sizeHint().width();
    steps::StepSettings settings = job_of(driver).steps[0].settings;
    REQUIRE(settings.kind == steps::StepKind::engrave);
    settings.fill.tones = steps::FillSettings::Tones::power;
    REQUIRE(driver->document().edit(
        "tones", job::change_settings(job_of(driver), job_of(driver).steps[0].id, settings, Speed::mm_per_min(12000)),
        JobChange::steps));
    REQUIRE(driver.wait_planned());
    QTest::qWait(20);
    CHECK(fill_chip()->spoken_value() == "burned 100 % dark");
    CHECK(fill_chip()->sizeHint().width() > narrow);
}
