// SPDX-License-Identifier: GPL-3.0-or-later
// Does what the pages of docs/guide say, by their own words, on the simulated machine, and takes their pictures:
//     chalkline-guide-pictures FOLDER
// A button the guide names that is not there ends it with that name.
#include "support/window_driver.hpp"
#include "swatches/card_canvas.hpp"
#include "swatches/swatches_view.hpp"
#include "widgets/fold.hpp"

#include <QAbstractButton>
#include <QApplication>
#include <QComboBox>
#include <QDir>
#include <QTemporaryDir>
#include <cstdio>
#include <cstdlib>

namespace {

using namespace chalkline;
using app::Mark;
using test::wait_for;

/// A reader of the guide with the program before them.
class Reader {
 public:
    Reader(const QString& pictures, const QString& home)
        : pictures_(pictures), driver("max", home + "/recipes.db", home + "/burns") {}

    void press(const QString& button) {
        if (!wait_for([&] { return driver.button(button) && driver.button(button)->isEnabled(); }, 20000))
            give_up("no button", button);
        driver.click(button);
        QTest::qWait(60);
    }
    void type(const QString& field, const QString& text) {
        if (!driver.type(field, text)) give_up("no field", field);
    }
    void open(const QString& fold) {
        for (auto* one : driver.window().findChildren<app::Fold*>())
            for (auto* button : one->findChildren<QAbstractButton*>())
                if (one->isVisible() && button->text().contains(fold)) return one->set_open(true);
        give_up("nothing to open", fold);
    }
    void choose(const QString& list, const QString& entry) {
        for (auto* box : driver.window().findChildren<QComboBox*>())
            if (box->isVisible() && box->accessibleName() == list) {
                const int at = box->findText(entry);
                if (at < 0) give_up("no entry", entry);
                box->setCurrentIndex(at);
                Q_EMIT box->activated(at);
                return;
            }
        give_up("no list", list);
    }
    void bring_in(const QString& sample) {
        driver.drop({QString(CHALKLINE_SAMPLES) + "/" + sample});
        wait_for([&] { return !driver->document().job().motifs.empty() && !driver->plans().stale(); });
    }
    void until(const char* what, const std::function<bool()>& condition) {
        if (!wait_for(condition, 60000)) give_up("never came", what);
    }
    void picture(const QString& name) {
        QTest::qWait(250);
        driver.window().grab().save(QDir(pictures_).filePath(name + ".png"));
    }
    void rest() {
        until("at rest", [this] { return driver.idle(); });
    }
    [[noreturn]] void give_up(const char* what, const QString& name) {
        driver.window().grab().save("/tmp/guide-gave-up.png");
        std::fprintf(stderr, "the guide cannot be followed: %s “%s”\n", what, qUtf8Printable(name));
        std::exit(1);
    }

 private:
    QString pictures_;

 public:
    test::WindowDriver driver;
};

void first_burn(Reader& reader) {
    auto& driver = reader.driver;
    reader.press("Bench laser 400 × 300 · connect…");
    reader.press("Simulated machine");
    reader.until("home", [&] { return driver.idle() && driver->machine().snapshot().position_sure; });
    reader.bring_in("plate.svg");
    driver->choose(Mark::steps);
    if (driver->steps_tray().cards().empty()) reader.press("Add step");
    QTest::mouseClick(driver->steps_tray().cards()[0], Qt::LeftButton, {}, {100, 20});
    reader.picture("first-steps");
    driver->choose(Mark::stock);
    reader.press("Set a piece");
    reader.type("Thickness", "4 mm");
    reader.press("Centre it");
    reader.until("a plan", [&] { return driver->plans().ready(); });
    driver->choose(Mark::rehearse);
    reader.press("Play");
    reader.press("Pause");
    driver->choose(Mark::frame);
    reader.press("Frame");
    reader.until("framed", [&] { return driver->desk().framed_at().has_value() && driver.idle(); });
    reader.press("It did");
    driver->choose(Mark::burn);
    reader.press("Burn…");
    reader.picture("first-ready");
    reader.press("Burn");
    reader.until("burned", [&] { return driver->desk().burned_at().has_value() && driver.idle(); });
}

void slate(Reader& reader) {
    auto& driver = reader.driver;
    driver->document().replace_unsaved({}, {});
    reader.bring_in("pears.png");
    driver->choose(Mark::stock);
    reader.press("Set a piece");
    driver.field("Material")->setText("Slate");
    reader.type("Material", "Slate");
    reader.press("Centre it");
    driver->choose_view(app::View::proof);
    reader.until("a proof", [&] { return !driver->plans().stale(); });
    reader.choose("Material burns dark or light", "burns light");
    QTest::qWait(2500);
    reader.picture("slate-proof");
    driver->choose_view(app::View::job);
}

void new_material(Reader& reader) {
    auto& driver = reader.driver;
    driver->document().replace_unsaved({}, {});
    driver->choose_view(app::View::swatches);
    driver.field("Material of the new card")->setText("Oak");
    reader.type("Thickness of the new card", "5 mm");
    bool found = false;
    for (auto* button : driver.window().findChildren<QPushButton*>())
        if (button->isVisible() && button->text().startsWith("Engraving") && !found) {
            QTest::mouseClick(button, Qt::LeftButton);
            found = true;
        }
    if (!found) reader.give_up("no card", "Engraving");
    reader.press("Design");
    auto& view = driver->swatches();
    reader.until("worked out", [&] { return !view.desk().stale(); });
    reader.picture("card-design");
    reader.press("Burn");
    reader.press("Bench laser 400 × 300 · simulated");
    reader.press("Fresh piece");
    reader.press("Put it on the bed");
    if (driver.button("Throw away")) reader.press("Throw away");
    reader.until("a plan", [&] { return driver->plans().ready(); });
    driver->choose(Mark::burn);
    reader.press("Burn…");
    reader.press("Burn");
    reader.until("burned", [&] { return driver->desk().burned_at().has_value() && driver.idle(); });
    driver->choose_view(app::View::swatches);
    reader.press("Read");
    reader.press("From the simulated bed");
    reader.until("read", [&] {
        const auto* burn = view.desk().burn();
        return burn && !burn->results.empty();
    });
    view.desk().choose_cell(swatches::CellPlace{2, 2});
    QTest::qWait(300);
    reader.press("Keeper");
    reader.press("Keep as recipe");
    reader.picture("card-read");
    driver->choose_view(app::View::job);
}

void key_tags(Reader& reader) {
    auto& driver = reader.driver;
    driver->document().replace_unsaved({}, {});
    reader.bring_in("key-tag.svg");
    driver->choose(Mark::stock);
    reader.press("Set a piece");
    reader.type("Near left corner, from the left", "20");
    reader.type("Near left corner, from the near edge", "15");
    reader.type("Width", "300");
    reader.type("Height", "215");
    reader.press("Near left");
    driver->choose(Mark::art);
    driver->placing().choose_all();
    reader.open("Repeat");
    reader.type("Columns", "5");
    reader.type("Rows", "8");
    reader.type("Gap between", "3");
    reader.press("Make the rows");
    reader.until("a plan", [&] { return !driver->plans().stale(); });
    reader.picture("tags-rows");
    driver->choose(Mark::steps);
    reader.press("Routines…");
    driver.field("Name of the routine")->setText("Key tags, birch 3 mm");
    reader.press("Keep");
    // The next tray.
    driver->document().replace_unsaved({}, {});
    reader.press("Routines…");
    reader.press("Apply");
    if (driver->document().job().steps.empty()) reader.give_up("no steps", "Key tags, birch 3 mm");
    reader.bring_in("key-tag.svg");
}

void cup(Reader& reader) {
    auto& driver = reader.driver;
    machine::MachineProfile profile = driver->machine().flat_profile();
    profile.rotary = {machine::RotaryAxis::instead_of_y, machine::RotaryDrive::chuck, 200};
    driver->keeper().keep(profile);
    driver->document().replace_unsaved({}, {});
    reader.press("Home");
    reader.rest();
    driver->choose(Mark::stock);
    reader.press("Set a piece");
    reader.choose("Form of the piece", "Round, in the rotary");
    reader.type("Taken where the piece begins", "12");
    reader.type("Taken where the piece ends", "6");
    reader.bring_in("cup-band.svg");
    driver->choose(Mark::stock);
    reader.press("Once round");
    reader.until("a plan", [&] { return driver->plans().ready(); });
    reader.picture("cup-wall");
    reader.press("The head is where the piece begins, over the seam");
    reader.press("Test ring");
    reader.press("Away with the ring");
    driver->choose(Mark::frame);
    reader.press("Frame");
    reader.until("framed", [&] { return driver->desk().framed_at().has_value() && driver.idle(); });
}

}  // namespace

int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application(argc, argv);
    if (argc < 2) {
        std::fputs("usage: chalkline-guide-pictures FOLDER\n", stderr);
        return 2;
    }
    QDir().mkpath(argv[1]);
    QApplication::setFont(app::theme::font(app::theme::normal));
    const QTemporaryDir home;
    Reader reader(argv[1], home.path());
    first_burn(reader);
    slate(reader);
    new_material(reader);
    key_tags(reader);
    cup(reader);
    return 0;
}
