// SPDX-License-Identifier: GPL-3.0-or-later
// A row of twelve key tags, each with its own name: laid out by the mouse alone and by the keyboard alone.
#include "support/bed_driver.hpp"

#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>

#include <catch2/catch.hpp>

#include <QFileDialog>
#include <QPlainTextEdit>
#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;

namespace {

constexpr int tags = 12;
constexpr double tag_width = 28, tag_gap = 2.5;  // mm

bool is_text(const job::Motif& motif) {
    return std::holds_alternative<art::TextDesign>(motif.art->design->what);
}

/// Twelve slots in a row on the piece, in each its own name in the middle, the gap between all.
void check_row(const job::Job& job) {
    std::vector<geometry::Box> slots, names;
    std::vector<std::string> said;
    for (const job::Motif& motif : job.motifs) {
        (is_text(motif) ? names : slots).push_back(job::bounds(motif));
        if (is_text(motif)) said.push_back(std::get<art::TextDesign>(motif.art->design->what).text);
    }
    REQUIRE(slots.size() == tags);
    REQUIRE(names.size() == tags);
    const geometry::Box piece = geometry::bounds(job.stock->outline());
    for (std::size_t i = 0; i < tags; ++i) {
        CHECK(said[i] == "Plot " + std::to_string(i + 1));
        CHECK(slots[i].width() == Approx(tag_width).margin(0.01));
        CHECK(slots[i].left == Approx(slots[0].left + static_cast<double>(i) * (tag_width + tag_gap)).margin(0.01));
        CHECK(piece.contains(slots[i]));
        CHECK(slots[i].contains(names[i]));
        CHECK(names[i].centre().x == Approx(slots[i].centre().x).margin(1.0));
    }
}

void check_saved(const QString& path, const job::Job& job) {
    const auto opened = job::load(path.toStdString(), Surroundings().of_nothing());
    REQUIRE(opened);
    CHECK(opened->lost.empty());
    CHECK(job::to_chalk(opened->job).value() == job::to_chalk(job).value());
}

/// Answers the file dialog. Its inside is the toolkit's and is not driven here.
void answer_dialog(WindowDriver& driver, const QString& path) {
    QFileDialog* dialog = nullptr;
    REQUIRE(wait_for([&] { return (dialog = driver.window().findChild<QFileDialog*>()) != nullptr; }));
    Q_EMIT dialog->fileSelected(path);
    dialog->close();
    REQUIRE(wait_for([&] { return !driver->document().unsaved(); }));
}

QWidget* focus() {
    return QApplication::focusWidget();
}

// ---------------------------------------------------------------- keys only

void press(WindowDriver& driver, const QString& name) {
    QWidget* button = tab_to(driver, name);
    INFO(name.toStdString());
    REQUIRE(button);
    QTest::keyClick(button, Qt::Key_Space);
    QTest::qWait(20);
}

void fill_in(WindowDriver& driver, const QString& name, const QString& value) {
    QWidget* field = tab_to(driver, name);
    INFO(name.toStdString());
    REQUIRE(field);
    QTest::keyClick(field, Qt::Key_A, Qt::ControlModifier);
    QTest::keyClicks(field, value);
    QTest::keyClick(field, Qt::Key_Return);
    QTest::qWait(20);
}

// ---------------------------------------------------------------- mouse only, letters typed where it clicked

void click_on(QWidget* widget) {
    REQUIRE(widget);
    QTest::mouseClick(widget, Qt::LeftButton);
    QTest::qWait(20);
    REQUIRE(focus() == widget);
}

void click_and_type(WindowDriver& driver, const QString& name, const QString& value) {
    QLineEdit* field = driver.field(name);
    INFO(name.toStdString());
    REQUIRE(field);
    QTest::mouseDClick(field, Qt::LeftButton);
    click_on(field);
    field->selectAll();
    QTest::keyClicks(field, value);
    QTest::mouseClick(&driver->bed(), Qt::MiddleButton, {}, {4, 4});
    driver->bed().setFocus();
    QTest::qWait(20);
}

QPlainTextEdit* shown_letters(WindowDriver& driver) {
    for (auto* letters : driver.window().findChildren<QPlainTextEdit*>())
        if (letters->isVisible()) return letters;
    return nullptr;
}

}  // namespace

TEST_CASE("twelve tags are laid out, named and saved by the keyboard alone") {
    const QTemporaryDir folder;
    WindowDriver driver;
    give_piece(driver, {10, 10}, 380, 60);
    QTest::keyClick(&driver.window(), Qt::Key_1);
    press(driver, QString::fromUtf8("▸ Draw"));
    press(driver, "Slot");
    fill_in(driver, "Width of the form", "28");
    fill_in(driver, "Height of the form", "12");
    press(driver, "Text");
    fill_in(driver, "Height of the letters", "4");
    QTest::keyClick(tab_to(driver, "Bed"), Qt::Key_A, Qt::ControlModifier);
    press(driver, QString::fromUtf8("▸ Line up"));
    press(driver, "Centre");
    press(driver, "Middle");
    fill_in(driver, "Left edge on the bed", "15");
    press(driver, QString::fromUtf8("▸ Repeat"));
    fill_in(driver, "Columns", "12");
    fill_in(driver, "Gap between", "2.5");
    press(driver, "Make the rows");
    REQUIRE(job_of(driver).motifs.size() == 2 * tags);

    for (int i = 0; i < tags; ++i) {
        // N goes to the next motif; the first press leaves the many that are chosen.
        do {
            QTest::keyClick(tab_to(driver, "Bed"), Qt::Key_N);
            QTest::qWait(20);
        } while (!is_text(*job_of(driver).motif(driver->placing().chosen()[0])));
        QWidget* letters = tab_to(driver, "The text to burn");
        REQUIRE(letters);
        QTest::keyClick(letters, Qt::Key_A, Qt::ControlModifier);
        const job::Id id = driver->placing().chosen()[0];
        const std::string name =
            "Plot " + std::to_string(std::count_if(job_of(driver).motifs.begin(), job_of(driver).motifs.end(),
                                                   [&](const job::Motif& m) { return is_text(m) && m.id <= id; }));
        QTest::keyClicks(letters, QString::fromStdString(name));
        REQUIRE(wait_for(
            [&] { return std::get<art::TextDesign>(job_of(driver).motif(id)->art->design->what).text == name; }));
    }
    check_row(job_of(driver));
    QTest::keyClick(focus(), Qt::Key_S, Qt::ControlModifier);
    answer_dialog(driver, folder.filePath("tags.chalk"));
    check_saved(folder.filePath("tags.chalk"), job_of(driver));
}

TEST_CASE("twelve tags are laid out, named and saved by the mouse alone") {
    const QTemporaryDir folder;
    WindowDriver driver;
    give_piece(driver, {10, 10}, 380, 60);
    draw(driver, "Slot");
    click_and_type(driver, "Width of the form", "28");
    click_and_type(driver, "Height of the form", "12");
    draw(driver, "Text");
    click_and_type(driver, "Height of the letters", "4");
    drag(driver, {20, 6}, {390, 290});
    REQUIRE(driver->placing().chosen().size() == 2);
    open_fold(driver, "Line up");
    REQUIRE(driver.click("Centre"));
    REQUIRE(driver.click("Middle"));
    const geometry::Box both = job::bounds(job_of(driver));
    // By its edge, so that what lies below the pointer is the slot with its name, both chosen.
    drag(driver, {both.left + 2, both.centre().y}, {17, both.centre().y}, Qt::ControlModifier);
    open_fold(driver, "Repeat");
    click_and_type(driver, "Columns", "12");
    click_and_type(driver, "Gap between", "2.5");
    REQUIRE(driver.click("Make the rows"));
    REQUIRE(job_of(driver).motifs.size() == 2 * tags);

    int named = 0;
    for (const job::Motif& motif : std::vector<job::Motif>(job_of(driver).motifs)) {
        if (!is_text(motif)) continue;
        const QPoint at = on_screen(driver, job::bounds(motif).centre());
        QTest::mouseClick(&driver->bed(), Qt::LeftButton, {}, {6, 6});
        QTest::mouseClick(&driver->bed(), Qt::LeftButton, {}, at);
        QTest::qWait(20);
        REQUIRE(driver->placing().only() == motif.id);
        QPlainTextEdit* letters = shown_letters(driver);
        click_on(letters);
        letters->selectAll();
        const std::string name = "Plot " + std::to_string(++named);
        QTest::keyClicks(letters, QString::fromStdString(name));
        REQUIRE(wait_for(
            [&] { return std::get<art::TextDesign>(job_of(driver).motif(motif.id)->art->design->what).text == name; }));
    }
    check_row(job_of(driver));
    REQUIRE(driver.click("Save"));
    answer_dialog(driver, folder.filePath("tags.chalk"));
    check_saved(folder.filePath("tags.chalk"), job_of(driver));
}
