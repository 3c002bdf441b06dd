// SPDX-License-Identifier: GPL-3.0-or-later
// Does what the pages of docs/guide say, by their own words, on the simulated machine, and takes their pictures:
//     chalkline-guide-pictures FOLDER
// A button the guide names that is not there ends it with that name.
#include "bed/bed_view.hpp"
#include "proof/contact_sheet.hpp"
#include "proof/original_panel.hpp"
#include "proof/tone_curve.hpp"
#include "screenshots/guide_reader.hpp"
#include "support/own_home.hpp"
#include "swatches/card_canvas.hpp"
#include "swatches/swatches_view.hpp"

#include <chalkline/job/round_piece.hpp>

#include <QApplication>
#include <QListWidget>

namespace {

using namespace chalkline;
using app::Mark;
using test::Reader;
using test::wait_for;

/// The name of the machine in the rail, as it is now.
QString machine_name(Reader& reader) {
    return QString::fromStdString(reader.driver->machine().profile().name);
}

void first_burn(Reader& reader) {
    auto& driver = reader.driver;
    // Connect.
    reader.press(machine_name(reader) + " · connect…");
    reader.press("Simulated machine");
    reader.until("the machine", [&] { return driver->machine().snapshot().connected; });
    reader.until("home", [&] { return driver.idle() && driver->machine().snapshot().position_sure; });
    reader.press(machine_name(reader) + " · simulated");
    reader.press("Machine…");
    reader.open("Beam");
    reader.type("Watts", "10");
    reader.type("Spot", "0.12");
    reader.press("Keep");
    // Art and steps.
    reader.add_file("plate.svg");
    reader.go_to(Mark::steps);
    const auto inks = driver.window().findChildren<app::InkChip*>();
    app::InkChip* loose = nullptr;
    for (auto* chip : inks)
        if (chip->isVisible()) loose = chip;
    if (!loose) reader.give_up("no ink", "plate.svg");
    loose->setFocus();
    QTest::keyClick(loose, Qt::Key_1);
    QTest::qWait(60);
    reader.open_step(1);
    reader.picture("first-steps");
    // Stock, rehearse, frame, burn.
    reader.go_to(Mark::stock);
    reader.press("Set a piece");
    reader.type("Thickness", "4 mm");
    reader.press("Centre it");
    reader.planned();
    reader.go_to(Mark::rehearse);
    reader.press("Play");
    reader.press("Pause");
    reader.frame();
    reader.press("It did");
    reader.go_to(Mark::burn);
    reader.press("Burn…");
    reader.picture("first-ready");
    reader.press("Burn");
    reader.until("burned", [&] { return driver->desk().burned_at().has_value() && driver.idle(); });
}

/// Esc, Resume, trims, and what breaks off: on a machine that takes its time.
void while_it_burns(const QString& home) {
    Reader reader({}, home, "20");
    auto& driver = reader.driver;
    reader.press(machine_name(reader) + " · connect…");
    reader.press("Simulated machine");
    reader.until("home", [&] { return driver.idle() && driver->machine().snapshot().position_sure; });
    reader.add_file("plate.svg");
    reader.planned();
    const auto now = [&]() -> const machine::Snapshot& { return driver->machine().snapshot(); };
    reader.go_to(Mark::burn);
    reader.press("Burn…");
    reader.press("Burn");
    reader.until("lines", [&] { return now().activity == machine::Activity::burning && now().lines_done > 20; });
    for (auto* button : driver.window().findChildren<QPushButton*>())
        if (button->isVisible() && button->accessibleName() == "Power by -10 %")
            QTest::mouseClick(button, Qt::LeftButton);
    reader.until("the trim", [&] { return now().power_trim == 90; });
    QTest::keyClick(&driver.window(), Qt::Key_Escape);
    reader.until("held", [&] { return now().state == machine::ControllerState::hold; });
    reader.press("Resume");
    reader.until("going on", [&] { return now().state != machine::ControllerState::hold; });
    QTest::qWait(200);
    QTest::keyClick(&driver.window(), Qt::Key_Escape);
    reader.until("held again", [&] { return now().state == machine::ControllerState::hold; });
    QTest::keyClick(&driver.window(), Qt::Key_Escape);
    reader.until("stopped", [&] { return now().activity == machine::Activity::none; });
    reader.press("Go on from there…");
    reader.press("Go on");
    reader.until("going on", [&] { return now().activity == machine::Activity::burning; });
    reader.press("STOP");
    reader.until("stopped", [&] { return now().activity == machine::Activity::none; });
    reader.read_on_screen("% of its power");
    reader.press("Put that into the step");
}

void slate(Reader& reader) {
    auto& driver = reader.driver;
    reader.new_job();
    reader.add_file("pears.png");
    reader.choose_all_art();
    reader.type("Width of the art", "120 mm");
    if (driver->document().job().steps.empty() ||
        driver->document().job().steps[0].settings.kind != steps::StepKind::picture)
        reader.give_up("no step", "picture");
    reader.go_to(Mark::stock);
    reader.press("Set a piece");
    driver.field("Material")->setText("Slate");
    reader.type("Material", "Slate");
    reader.press("Centre it");
    driver->choose_view(app::View::proof);
    reader.until("a proof", [&] { return !driver->plans().stale(); });
    reader.choose("Material burns dark or light", "burns light");
    QTest::qWait(2500);
    reader.picture("slate-proof");
    // The corner of the crop, dragged.
    auto& original = reader.seen<app::OriginalPanel>();
    driver.drag(&original, original.place_of({1, 1}).toPoint() - QPoint(3, 3), &original,
                original.place_of({0.8, 0.9}).toPoint());
    const auto preparation = [&]() -> const raster::Preparation& {
        return driver->document().job().motifs[0].preparation;
    };
    reader.until("a crop", [&] { return preparation().crop.right < 0.9; });
    auto& curve = reader.seen<app::ToneCurve>();
    driver.drag(&curve, curve.place_of(0.5, 0.5).toPoint(), &curve, curve.place_of(0.5, 0.62).toPoint());
    reader.until("a curve", [&] { return preparation().tone.curve.size() == 3; });
    curve.setFocus();
    QTest::keyPress(&curve, Qt::Key_B);
    reader.read_on_screen("As the file has it");
    QTest::keyRelease(&curve, Qt::Key_B);
    reader.tick("Clogged");
    reader.tick("Bald");
    auto& contacts = reader.seen<app::ContactSheet>();
    QTest::mouseClick(&contacts, Qt::LeftButton, {}, contacts.cell_of(raster::DitherMethod::stucki).center());
    reader.until("Stucki", [&] {
        return driver->document().job().steps[0].settings.picture.dots.method == raster::DitherMethod::stucki;
    });
    reader.until("its facts", [&] { return driver->plans().ready(); });
    reader.read_on_screen("mm apart");
    // Finer lines than the spot: it says so, and offers the pitch that suits.
    reader.type("Line pitch", "0.05");
    reader.planned();
    QTest::mouseClick(reader.button_like("At "), Qt::LeftButton);
    reader.until("the pitch", [&] { return driver->document().job().steps[0].settings.line_pitch > Length::mm(0.05); });
    driver->choose_view(app::View::job);
    reader.planned();
    reader.frame();
    reader.press("It did");
    reader.burn();
}

/// A swatch card of the open book is burned on a fresh piece, and read from there.
void burn_card(Reader& reader) {
    auto& driver = reader.driver;
    reader.press("Burn");
    reader.press(machine_name(reader) + " · simulated");
    reader.press("Fresh piece");
    reader.press("Put it on the bed");
    if (driver.button("Throw away")) reader.press("Throw away");
    reader.planned();
    reader.burn();
    driver->choose_view(app::View::swatches);
    reader.press("Read");
    reader.press("From the simulated bed");
    reader.until("read", [&] {
        const auto* burn = driver->swatches().desk().burn();
        return burn && !burn->results.empty();
    });
}

void grey_ramp(Reader& reader) {
    auto& driver = reader.driver;
    driver->choose_view(app::View::swatches);
    driver.field("Material of the new card")->setText("Slate");
    reader.type("Thickness of the new card", "4 mm");
    reader.press("Grey ramp");
    reader.until("worked out", [&] { return !driver->swatches().desk().stale(); });
    burn_card(reader);
    // Back to the photograph, which the card took the place of.
    reader.new_job();
    reader.add_file("pears.png");
    driver->choose_view(app::View::swatches);
    reader.press("Read");
    reader.press("Use for the job's pictures");
    if (driver->document().job().steps[0].settings.picture.response.empty())
        reader.give_up("never came", "the response of slate");
    driver->choose_view(app::View::job);
}

void new_material(Reader& reader) {
    auto& driver = reader.driver;
    auto& desk = driver->swatches().desk();
    driver->choose_view(app::View::swatches);
    reader.press("Book");
    driver.field("Material of the new card")->setText("Oak");
    reader.type("Thickness of the new card", "5 mm");
    reader.press("Engraving");
    reader.press("Design");
    reader.until("worked out", [&] { return !desk.stale(); });
    reader.picture("card-design");
    // A click chooses a square, a second one leaves it out; and back.
    auto& canvas = reader.seen<app::CardCanvas>();
    const QPoint square = canvas.place_of({0, 0}).center().toPoint();
    for (const std::size_t left_out : {1, 0}) {
        if (left_out == 1) QTest::mouseClick(&canvas, Qt::LeftButton, {}, square);
        QTest::mouseClick(&canvas, Qt::LeftButton, {}, square);
        reader.until("left out", [&] { return desk.record()->card.left_out.size() == left_out; });
    }
    burn_card(reader);
    QTest::mouseClick(&canvas, Qt::LeftButton, {}, canvas.place_of({2, 2}).center().toPoint());
    QTest::qWait(300);
    reader.press("Keeper");
    reader.press("Keep as recipe");
    reader.picture("card-read");
    // The job being worked on.
    driver->choose_view(app::View::job);
    reader.new_job();
    reader.add_file("plate.svg");
    driver->choose_view(app::View::swatches);
    reader.press("Read");
    QTest::mouseClick(&canvas, Qt::LeftButton, {}, canvas.place_of({2, 2}).center().toPoint());
    reader.press("Use in step…");
    reader.press("Use");
    const auto& steps = driver->document().job().steps;
    const auto engraved = std::find_if(steps.begin(), steps.end(), [](const job::Step& step) {
        return step.settings.kind == steps::StepKind::engrave;
    });
    if (engraved == steps.end() || engraved->settings.power != desk.layout().at({2, 2})->settings.power)
        reader.give_up("not in the step", "what the swatch was burned with");
    reader.press("Finer card around this one");
    reader.until("a finer card", [&] { return desk.all().size() >= 2 && !desk.stale(); });
    driver->choose_view(app::View::job);
}

/// Sends every ink of the key tag to its step: letters engraved, the border scored, the outline cut last.
void steps_of_the_tag(Reader& reader) {
    auto& driver = reader.driver;
    reader.go_to(Mark::steps);
    const auto& steps = driver->document().job().steps;
    if (steps.size() != 3) reader.give_up("not three steps", QString::number(steps.size()));
    if (steps[0].settings.kind != steps::StepKind::engrave) reader.give_up("not first", "Engrave");
    if (steps[2].settings.kind != steps::StepKind::cut) reader.give_up("not last", "Cut");
}

void key_tags(Reader& reader) {
    auto& driver = reader.driver;
    reader.new_job();
    reader.add_file("key-tag.svg");
    steps_of_the_tag(reader);
    reader.go_to(Mark::stock);
    reader.press("Set a piece");
    reader.type("Near left corner, from the left", "20");
    reader.type("Near left corner, from the near edge", "15");
    reader.type("Width", "300");
    reader.type("Height", "215");
    reader.press("Near left");
    reader.go_to(Mark::art);
    reader.choose_all_art();
    reader.open("Repeat");
    reader.type("Columns", "5");
    reader.type("Rows", "8");
    reader.type("Gap between", "3");
    reader.press("Make the rows");
    reader.planned();
    reader.picture("tags-rows");
    reader.go_to(Mark::steps);
    reader.open_step(3);
    reader.open("How the line goes");
    reader.type("Bridges on each closed line", "2");
    reader.planned();
    if (driver->document().job().steps[2].settings.line.bridges != 2) reader.give_up("never came", "two bridges");
    reader.go_to(Mark::rehearse);
    reader.read_on_screen("min");
    // One tag first.
    reader.go_to(Mark::art);
    const geometry::Box tag = job::bounds(driver->document().job(), {driver->document().job().motifs[0].id});
    QTest::mouseClick(&driver->bed(), Qt::LeftButton, {},
                      driver->bed().camera().to_screen(geometry::Point{tag.left + 0.5, tag.centre().y}).toPoint());
    reader.until("one tag chosen", [&] { return driver->placing().chosen().size() == 1; });
    reader.go_to(Mark::burn);
    reader.choose("What is burned", "Only the chosen art");
    reader.planned();
    if (driver->plans().planned().plan->burn_box.width() > 60) reader.give_up("all of it burns", "Only the chosen art");
    reader.burn();
    reader.choose("What is burned", "Burn everything");
    reader.go_to(Mark::steps);
    reader.press("Routines…");
    driver.field("Name of the routine")->setText("Key tags, birch 3 mm");
    reader.press("Keep");
    // The next tray.
    reader.new_job();
    reader.press("Routines…");
    for (auto* list : driver.window().findChildren<QListWidget*>())
        if (list->isVisible() && list->accessibleName() == "Routines") list->setCurrentRow(0);
    reader.press("Apply");
    if (driver->document().job().steps.size() != 3) reader.give_up("no steps", "Key tags, birch 3 mm");
    reader.add_file("key-tag.svg");
    for (const job::Step& step : driver->document().job().steps)
        if (!driver->document().job().has_work(step)) reader.give_up("a step waits for its ink", "key-tag.svg");
    reader.go_to(Mark::frame);
    reader.type("Name for the head's place", "Tag jig");
    reader.press("Keep place");
    reader.choose("Place to go to", "Tag jig");
    reader.press("Go");
    reader.rest();
}

/// What a ring of 50 mm ticks tells on rollers: the gap between them, typed, corrects the diameter.
void test_ring(Reader& reader) {
    auto& driver = reader.driver;
    reader.go_to(Mark::stock);
    reader.press("Test ring");
    reader.planned();
    reader.frame();
    reader.burn();
    reader.go_to(Mark::stock);
    const double before = driver->document().job().round_piece()->diameter;
    reader.type("What the burned ring measures", "0.8");
    reader.press("Correct the diameter");
    if (driver->document().job().round_piece()->diameter == before) reader.give_up("never came", "another diameter");
    reader.press("Away with the ring");
}

void cup(Reader& reader) {
    auto& driver = reader.driver;
    // Once: the rotary of this machine.
    reader.new_job();
    reader.press(machine_name(reader) + " · simulated");
    reader.press("Machine…");
    reader.open("Rotary for round pieces");
    reader.choose("The rotary", "is plugged in instead of Y");
    reader.choose("The piece", "lies on rollers");
    reader.type("Motor steps in one turn", "3200");
    reader.type("Roller diameter", "20");
    reader.press("Keep");
    if (driver->machine().flat_profile().rotary.per_turn == 0) reader.give_up("never came", "what a turn counts");
    // The cup.
    reader.press("Home");
    reader.rest();
    reader.press(machine_name(reader) + " · simulated");
    reader.press("Disconnect");
    reader.press(machine_name(reader) + " · connect…");
    reader.press("Simulated machine");
    reader.until("the machine", [&] { return driver->machine().snapshot().connected; });
    if (driver.button("Unlock")) reader.press("Unlock");
    reader.go_to(Mark::stock);
    reader.press("Set a piece");
    reader.choose("Form of the piece", "Round, in the rotary");
    reader.read_on_screen("ROTARY");
    reader.type("Diameter where the piece begins", "80");
    reader.type("Length along the wall", "100");
    reader.type("Taken where the piece begins", "12");
    reader.type("Taken where the piece ends", "6");
    reader.type("Taken at the seam", "10");
    reader.type("Taken at the seam", "0");
    reader.add_file("cup-band.svg");
    reader.go_to(Mark::stock);
    reader.press("Once round");
    reader.planned();
    reader.picture("cup-wall");
    reader.rest();
    reader.press("The head is where the piece begins, over the seam");
    test_ring(reader);
    reader.planned();
    reader.frame();
    reader.go_to(Mark::burn);
    reader.press("Burn…");
    reader.read_on_screen("turns a piece");
    reader.press("Burn");
    reader.until("burned", [&] { return driver->desk().burned_at().has_value() && driver.idle(); });
    // Afterwards: flat again.
    reader.go_to(Mark::stock);
    reader.choose("Form of the piece", "Rectangle");
    if (driver->document().job().round_piece()) reader.give_up("still round", "Rectangle");
}

}  // namespace

int main(int argc, char** argv) {
    const chalkline::test::OwnHome home;
    QApplication application(argc, argv);
    if (argc < 2) {
        std::fputs("usage: chalkline-guide-pictures FOLDER\n", stderr);
        return 2;
    }
    QDir().mkpath(argv[1]);
    QApplication::setFont(app::theme::font(app::theme::normal));
    QApplication::setAttribute(Qt::AA_DontUseNativeDialogs);
    Reader reader(argv[1], home.path());
    first_burn(reader);
    while_it_burns(home.path());
    slate(reader);
    grey_ramp(reader);
    new_material(reader);
    key_tags(reader);
    cup(reader);
    return 0;
}
