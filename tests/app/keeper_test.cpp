// SPDX-License-Identifier: GPL-3.0-or-later
// What is known of a machine: its profile, its states explained, its places, its focus.
#include "bed/photo_sheet.hpp"
#include "support/bed_driver.hpp"
#include "support/workbench.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/geometry/homography.hpp>

#include <QCheckBox>
#include <QDir>
#include <QFileDialog>
#include <QPainter>
#include <QPlainTextEdit>
#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;
using geometry::Point;

namespace {

/// Opens every fold of the sheet that lies open.
void open_folds(WindowDriver& driver) {
    for (auto* sheet : driver.window().findChildren<Sheet*>())
        for (auto* fold : sheet->findChildren<Fold*>())
            fold->set_open(true);
    QTest::qWait(20);
}

/// With all its folds.
void open_frame_tray(WindowDriver& driver) {
    driver->choose(Mark::frame);
    for (auto* fold : driver.window().findChildren<Fold*>())
        fold->set_open(true);
    QTest::qWait(30);
}

bool click_part(WindowDriver& driver, const QString& part) {
    for (auto* button : driver.window().findChildren<QPushButton*>())
        if (button->isVisible() && button->text().contains(part)) {
            QTest::mouseClick(button, Qt::LeftButton);
            QTest::qWait(20);
            return true;
        }
    return false;
}

void write_profile(const std::string& path, const machine::MachineProfile& profile) {
    REQUIRE(replace_file(path, machine::to_json(profile)));
}

/// Connects as the connection sheet does, and waits for the answer.
void meet(WindowDriver& driver, const SimulatorProcess& machine) {
    driver->keeper().connect_to(QString::fromStdString(machine.port()));
    REQUIRE(wait_for([&] {
        const auto& now = driver->machine().snapshot();
        return now.connected && now.activity == machine::Activity::none && now.settings;
    }));
    QTest::qWait(30);
}

}  // namespace

TEST_CASE("a controller that was never met tells its figures, one that changed is asked about") {
    QTemporaryDir folder;
    machine::MachineProfile other;
    other.width = 380;
    other.acceleration_x = 900;
    write_profile(folder.filePath("m.json").toStdString(), other);
    SimulatorProcess machine(CHALKLINE_SIM, "max", {"--profile", folder.filePath("m.json").toStdString()});
    WindowDriver driver;
    meet(driver, machine);
    CHECK(driver->machine().profile().width == 380);
    CHECK(driver->machine().profile().acceleration_x == 900);
    CHECK(driver.visible_text().contains("This controller is new here: 2"));
    const auto change = [&](int number, double value) {
        driver->machine().write_setting(number, value);
        REQUIRE(wait_for([&] { return driver->machine().snapshot().settings->at(number) == value; }));
        driver->machine().disconnect_now();
        meet(driver, machine);
    };
    // The same again: nothing to ask.
    driver->machine().disconnect_now();
    meet(driver, machine);
    CHECK_FALSE(driver.button("Keep mine"));
    change(130, 350);
    CHECK(driver.visible_text().contains("380 × 300 → 350 × 300 mm"));
    REQUIRE(driver.click("Keep mine"));
    CHECK(driver->machine().profile().width == 380);
    driver->machine().disconnect_now();
    meet(driver, machine);
    CHECK_FALSE(driver.button("Keep mine"));
    change(131, 250);
    REQUIRE(driver.click("Take the controller's"));
    CHECK(driver->machine().profile().width == 350);
    CHECK(driver->machine().profile().depth == 250);
    // Another window knows it as it was kept.
    driver->machine().disconnect_now();
    WindowDriver second;
    meet(second, machine);
    CHECK(second->machine().profile().width == 350);
    CHECK_FALSE(second.button("Keep mine"));
}

TEST_CASE("the machine's profile is changed in the window, kept, and used at once") {
    Workbench bench;
    WindowDriver& driver = bench.driver;
    REQUIRE(click_part(driver, "simulated"));
    REQUIRE(driver.click("Machine…"));
    QTest::qWait(20);
    open_folds(driver);
    REQUIRE(driver.type("Watts", "20"));
    REQUIRE(driver.type("Spot", "0.08 mm"));
    REQUIRE(driver.type("Focus gauge", "5 mm"));
    REQUIRE(driver.type("Bed width", "39 cm"));
    for (auto* edit : driver.window().findChildren<QPlainTextEdit*>()) {
        if (!edit->isVisible()) continue;
        if (edit->accessibleName().startsWith("Asked")) edit->setPlainText("Glasses on\nWindow open\n");
        if (edit->accessibleName().contains("after a job")) edit->setPlainText("M3 S200");
    }
    // A line that would turn the beam on is not kept, and nothing else is either.
    REQUIRE(driver.click("Keep"));
    CHECK(driver.visible_text().contains("“M3 S200” cannot stand among your own lines"));
    CHECK(driver->machine().profile().beam.watts == 10);
    for (auto* edit : driver.window().findChildren<QPlainTextEdit*>())
        if (edit->isVisible() && edit->accessibleName().contains("after a job")) edit->setPlainText("M9");
    REQUIRE(driver.click("Keep"));
    const machine::MachineProfile& profile = driver->machine().profile();
    CHECK(profile.beam.watts == 20);
    CHECK(profile.spot == Approx(0.08));
    CHECK(profile.width == Approx(390));
    CHECK(profile.focus.height == Approx(5));
    CHECK(profile.own_lines.at_end == std::vector<std::string>{"M9"});
    CHECK(profile.checklist == std::vector<std::string>{"Glasses on", "Window open"});
    REQUIRE(driver.wait_planned());
    driver->choose(Mark::burn);
    QTest::keyClick(&driver->bed(), Qt::Key_Return, Qt::ControlModifier);
    QTest::qWait(30);
    CHECK(driver.visible_text().contains("Glasses on?  Window open?"));
    CHECK(driver.visible_text().contains("(5 mm gauge)"));
}

TEST_CASE("a locked controller is explained with what to do next") {
    SimulatorProcess machine(CHALKLINE_SIM);
    WindowDriver driver;
    meet(driver, machine);
    REQUIRE(driver.click("Locked"));
    QTest::qWait(20);
    CHECK(driver.visible_text().contains("it does not know where the head is"));
    REQUIRE(driver.button("Find home"));
    REQUIRE(driver.button("Leave it"));
    // Unlocked it moves, and says that nobody knows where it is.
    for (auto* sheet : driver.window().findChildren<Sheet*>())
        for (auto* button : sheet->findChildren<QPushButton*>())
            if (button->text() == "Unlock") QTest::mouseClick(button, Qt::LeftButton);
    REQUIRE(wait_for([&] { return driver.idle(); }));
    REQUIRE(driver.click("Idle"));
    QTest::qWait(20);
    CHECK(driver.visible_text().contains("nobody knows where the head is"));
    CHECK(driver->desk().obstacle());
    REQUIRE(driver.click("Find home"));
    REQUIRE(wait_for([&] { return driver.idle() && driver->machine().head(); }));
    REQUIRE(driver.click("Idle"));
    QTest::qWait(20);
    CHECK(driver.visible_text().contains("Ready; it knows where the head is"));
}

TEST_CASE("where home is unknown somebody says where the head stands, and the job lands there") {
    QTemporaryDir folder;
    machine::MachineProfile other;
    other.home = machine::HomeCorner::none;
    write_profile(folder.filePath("m.json").toStdString(), other);
    SimulatorProcess machine(CHALKLINE_SIM, "max", {"--profile", folder.filePath("m.json").toStdString()});
    WindowDriver driver;
    driver->files().open({QString(CHALKLINE_SAMPLES) + "/plot-27.chalk"});
    meet(driver, machine);
    REQUIRE(wait_for([&] { return driver.idle(); }));
    CHECK(driver->machine().profile().home == machine::HomeCorner::none);
    driver->choose(Mark::frame);
    QTest::qWait(30);
    // The head was pushed by hand; now it stands over the datum.
    driver->machine().release_motors();
    REQUIRE(wait_for([&] { return driver->machine().snapshot().state == machine::ControllerState::sleep; }));
    CHECK(driver.visible_text().contains("The motors are let go"));
    driver->machine().wake();
    REQUIRE(wait_for([&] { return driver.button("Say where it stands…") != nullptr && driver.idle(); }));
    REQUIRE(driver.click("Say where it stands…"));
    QTest::qWait(20);
    QComboBox* places = nullptr;
    for (auto* box : driver.window().findChildren<QComboBox*>())
        if (box->accessibleName() == "Place the head stands at") places = box;
    REQUIRE(places);
    REQUIRE(places->currentText().startsWith("the datum"));
    const Point datum = job::datum_place(job_of(driver)).value();
    REQUIRE(driver.click("It stands there"));
    REQUIRE(wait_for([&] { return driver->machine().head().has_value(); }));
    CHECK(geometry::distance(*driver->machine().head(), datum) < 0.01);
    CHECK(driver.visible_text().contains("set by hand"));
    REQUIRE(wait_for([&] { return driver.button("Frame") && driver.button("Frame")->isEnabled(); }));
    REQUIRE(driver.click("Frame"));
    REQUIRE(wait_for([&] { return driver->desk().framed_at().has_value(); }));
    // Letting the motors go again makes the frame worth nothing.
    REQUIRE(wait_for([&] { return driver.idle(); }));
    driver->machine().release_motors();
    REQUIRE(wait_for([&] { return !driver->desk().framed_at(); }));
}

TEST_CASE("the head is dragged on the bed, and goes there dark") {
    Workbench bench;
    bench.driver->choose(Mark::frame);
    QTest::qWait(200);
    const QPoint from = on_screen(bench.driver, *bench.now().position), to = on_screen(bench.driver, {222, 111});
    bench.driver.drag(&bench.driver->bed(), from, &bench.driver->bed(), to);
    CHECK(bench.head_at(bench.driver->bed().camera().to_bed(to)));
    // Given up on the way nothing moves, wherever the mouse goes afterwards.
    const QPoint elsewhere = on_screen(bench.driver, {50, 250});
    BedView& bed = bench.driver->bed();
    QTest::mousePress(&bed, Qt::LeftButton, {}, to);
    QTest::mouseMove(&bed, elsewhere);
    QTest::keyClick(&bed, Qt::Key_Escape);
    QTest::mouseMove(&bed, elsewhere + QPoint(9, 9));
    QTest::mouseRelease(&bed, Qt::LeftButton, {}, elsewhere);
    QTest::qWait(300);
    CHECK(bench.head_at(bed.camera().to_bed(to)));
    // In another mark the same drag is no business of the head.
    bench.driver->choose(Mark::art);
    QTest::qWait(200);
    const Point before = *bench.now().position;
    bench.driver.drag(&bench.driver->bed(), to, &bench.driver->bed(), from);
    QTest::qWait(300);
    CHECK(geometry::distance(*bench.now().position, before) < 0.01);
}

TEST_CASE("places of the machine keep their names for every job") {
    Workbench bench;
    WindowDriver& driver = bench.driver;
    driver->choose(Mark::frame);
    QTest::qWait(30);
    driver->machine().go_to({70, 60});
    REQUIRE(bench.head_at({70, 60}));
    REQUIRE(driver.type("Name for the head's place", "tag jig"));
    CHECK(driver->machine().profile().places == std::vector<machine::NamedPlace>{{"tag jig", {70, 60}}});
    driver->machine().go_to({10, 10});
    REQUIRE(bench.head_at({10, 10}));
    QComboBox* places = bench.choice("Place to go to");
    REQUIRE(places->findText("tag jig") >= 0);
    places->setCurrentIndex(places->findText("tag jig"));
    REQUIRE(driver.click("Go"));
    CHECK(bench.head_at({70, 60}));
    // The profile sheet forgets it again.
    REQUIRE(click_part(driver, "simulated"));
    REQUIRE(driver.click("Machine…"));
    QTest::qWait(20);
    REQUIRE(driver.click("Forget"));
    REQUIRE(driver.click("Keep"));
    CHECK(driver->machine().profile().places.empty());
    CHECK(places->findText("tag jig") < 0);
}

TEST_CASE("the pointer is measured by a mark and the dot over it") {
    Workbench bench;
    WindowDriver& driver = bench.driver;
    open_frame_tray(driver);
    driver->machine().go_to({100, 100});
    REQUIRE(bench.head_at({100, 100}));
    REQUIRE(driver.click("The beam's mark is under the head"));
    driver->machine().go_to({88, 105});
    REQUIRE(bench.head_at({88, 105}));
    REQUIRE(driver.click("The pointer's dot is on it"));
    CHECK(driver->machine().profile().pointer.x == Approx(12).margin(0.01));
    CHECK(driver->machine().profile().pointer.y == Approx(-5).margin(0.01));
    CHECK(driver.visible_text().contains("The dot falls 12, −5 mm from the beam") |
          driver.visible_text().contains("The dot falls 12, -5 mm from the beam"));
}

TEST_CASE("focused is a fact that goes stale with the thickness") {
    Workbench bench;
    WindowDriver& driver = bench.driver;
    open_frame_tray(driver);
    CHECK_FALSE(driver->desk().focused());
    REQUIRE(driver.click("It is focused"));
    CHECK(driver->desk().focused() == true);
    job::Job job = job_of(driver);
    job.stock->thickness = job.stock->thickness + Length::mm(2);
    REQUIRE(driver->document().edit("thicker", Result<job::Job>(job), JobChange::stock));
    QTest::qWait(30);
    CHECK(driver->desk().focused() == false);
    CHECK(driver.visible_text().contains("2 mm thicker than when it was focused"));
    REQUIRE(driver.wait_planned());
    QTest::keyClick(&driver->bed(), Qt::Key_Return, Qt::ControlModifier);
    QTest::qWait(30);
    CHECK(driver.visible_text().contains("it was set for another thickness"));
}

TEST_CASE("a photograph of the bed is laid under the grid as seen from straight above") {
    // A photograph of our own making: a bed of 400 × 300 mm seen askew, with a red square from 100 to 200 and 50 to
    // 150.
    const std::array<Point, 4> corners{{{150, 700}, {900, 640}, {760, 120}, {260, 160}}};
    const auto seen = geometry::homography({{{0, 0}, {400, 0}, {400, 300}, {0, 300}}}, corners);
    REQUIRE(seen);
    QImage photo(1000, 800, QImage::Format_RGB888);
    photo.fill(Qt::white);
    QPainter painter(&photo);
    QPolygonF square;
    for (const Point place : {Point{20, 20}, Point{120, 20}, Point{120, 120}, Point{20, 120}}) {
        const Point at = (*seen)(place);
        square << QPointF(at.x, at.y);
    }
    painter.setBrush(QColor(200, 30, 30));
    painter.setPen(Qt::NoPen);
    painter.drawPolygon(square);
    painter.end();
    QTemporaryDir folder;
    REQUIRE(photo.save(folder.filePath("bed.png")));

    WindowDriver driver;
    driver->choose(Mark::stock);
    QTest::qWait(30);
    REQUIRE(driver.click("Photograph of the bed…"));
    REQUIRE(driver.click("Choose a picture…"));
    auto* dialog = driver.window().findChild<QFileDialog*>("bedPhoto");
    REQUIRE(dialog);
    Q_EMIT dialog->fileSelected(folder.filePath("nothing.png"));
    dialog->close();
    REQUIRE(wait_for([&] { return driver.visible_text().contains("nothing.png"); }));
    driver->bed().photo().load(folder.filePath("bed.png"));
    REQUIRE(wait_for([&] { return driver.button("Lay it under the bed")->isEnabled(); }));
    auto* handles = driver.window().findChild<PhotoHandles*>();
    REQUIRE(handles);
    for (std::size_t i = 0; i < 4; ++i) {
        const QPointF from = handles->place_of(i);
        std::array<Point, 4> wanted = handles->seen();
        wanted[i] = {corners[i].x / 1000, corners[i].y / 800};
        const auto before = handles->seen();
        handles->set_seen(wanted);
        const QPointF to = handles->place_of(i);
        handles->set_seen(before);
        driver.drag(handles, from.toPoint(), handles, to.toPoint());
        CHECK(handles->seen()[i].x == Approx(corners[i].x / 1000).margin(0.002));
    }
    handles->set_seen({{{0.1, 0.9}, {0.5, 0.5}, {0.9, 0.1}, {0.1, 0.1}}});
    REQUIRE(driver.click("Lay it under the bed"));
    CHECK(driver.visible_text().contains("lie on one line"));
    std::array<Point, 4> exact;
    for (std::size_t i = 0; i < 4; ++i)
        exact[i] = {corners[i].x / 1000, corners[i].y / 800};
    handles->set_seen(exact);
    REQUIRE(driver.click("Lay it under the bed"));
    REQUIRE(wait_for([&] { return driver->bed().photo().lies(); }));
    QTest::qWait(50);
    const QImage shot = driver->bed().grab().toImage();
    const auto red_at = [&](Point place) {
        const QColor colour = shot.pixelColor(on_screen(driver, place));
        return colour.red() > 150 && colour.green() < 100;
    };
    CHECK(red_at({23, 23}));
    CHECK(red_at({117, 117}));
    CHECK_FALSE(red_at({17, 70}));
    CHECK_FALSE(red_at({123, 70}));
    CHECK_FALSE(red_at({70, 124}));
    REQUIRE(driver.click("Photograph of the bed…"));
    REQUIRE(driver.click("Take it away"));
    CHECK_FALSE(driver->bed().photo().lies());
}

TEST_CASE("framing, marking and burning begin with the machine's own start button") {
    Workbench bench;
    WindowDriver& driver = bench.driver;
    machine::MachineProfile profile = driver->machine().profile();
    profile.start_button = true;
    driver->keeper().keep(profile);
    REQUIRE(driver.wait_planned());
    driver->choose(Mark::frame);
    QTest::qWait(30);
    QCheckBox* waits = nullptr;
    for (auto* tick : driver.window().findChildren<QCheckBox*>())
        if (tick->isVisible() && tick->text().contains("start button")) waits = tick;
    REQUIRE(waits);
    QTest::mouseClick(waits, Qt::LeftButton, {}, {8, waits->height() / 2});
    REQUIRE(driver->desk().waiting_for_start() == BurnDesk::OnStart::frame);
    CHECK_FALSE(driver->desk().framed_at());
    bench.machine.press_start();
    REQUIRE(wait_for([&] { return driver->desk().framed_at().has_value() && bench.at_rest(); }));
    CHECK(driver->desk().waiting_for_start() == BurnDesk::OnStart::nothing);
    // Pressed without anything waiting for it nothing moves.
    QTest::qWait(700);
    const auto framed = driver->desk().framed_at();
    bench.machine.press_start();
    QTest::qWait(700);
    CHECK(driver->desk().framed_at() == framed);
    REQUIRE(driver.click("It did"));
    REQUIRE(driver.wait_planned());
    QTest::keyClick(&driver->bed(), Qt::Key_Return, Qt::ControlModifier);
    QTest::qWait(30);
    REQUIRE(driver.click("Wait for its start button"));
    CHECK_FALSE(driver->desk().burning());
    CHECK(driver.visible_text().contains("It burns when the machine's own start button is pressed"));
    REQUIRE(driver.click("Wait no longer"));
    bench.machine.press_start();
    QTest::qWait(700);
    CHECK_FALSE(driver->desk().burning());
    QTest::keyClick(&driver->bed(), Qt::Key_Return, Qt::ControlModifier);
    QTest::qWait(30);
    REQUIRE(driver.click("Wait for its start button"));
    bench.machine.press_start();
    REQUIRE(wait_for([&] { return driver->desk().burning() || driver->desk().burned_at(); }));
}

TEST_CASE("the pulse and the faint dot burn as little as they say") {
    Workbench bench;
    WindowDriver& driver = bench.driver;
    open_frame_tray(driver);
    QPushButton* pulse = driver.button("Pulse");
    REQUIRE(pulse);
    QTest::mousePress(pulse, Qt::LeftButton);
    QTest::qWait(1000);
    QTest::mouseRelease(pulse, Qt::LeftButton);
    REQUIRE(wait_for([&] { return bench.at_rest(); }));
    for (auto* tick : driver.window().findChildren<QCheckBox*>())
        if (tick->isVisible() && tick->text() == "Faint dot")
            QTest::mouseClick(tick, Qt::LeftButton, {}, {8, tick->height() / 2});
    CHECK(driver->desk().framing().faint_dot);
    bench.frame();
    driver->machine().disconnect_now();
    bench.machine.finish();
    CHECK(bench.machine.clean());
    // Two or three pulses of a tenth of a second at rest, and once round the job.
    CHECK(bench.machine.figure("beam_on_mm") > 300);
    CHECK(bench.machine.figure("beam_on_s") > 0.2);
}

TEST_CASE("framed again and again while the job is nudged: each ride goes round the job as it is") {
    Workbench bench("8");
    WindowDriver& driver = bench.driver;
    driver->choose(Mark::frame);
    QTest::qWait(30);
    for (auto* tick : driver.window().findChildren<QCheckBox*>())
        if (tick->isVisible() && tick->text() == "Again and again")
            QTest::mouseClick(tick, Qt::LeftButton, {}, {8, tick->height() / 2});
    REQUIRE(driver.click("Frame"));
    REQUIRE(wait_for([&] { return bench.now().activity == machine::Activity::framing; }));
    driver->placing().choose_all();
    const double before = job::bounds(job_of(driver)).right;
    for (int i = 0; i < 3; ++i) {
        key(driver, Qt::Key_Right, Qt::ShiftModifier);
        QTest::qWait(150);
    }
    CHECK(job::bounds(job_of(driver)).right == Approx(before + 30).margin(0.01));
    // It goes on, and reaches where the job lies now.
    double reached = 0;
    CHECK(wait_for([&] {
        if (bench.now().position) reached = std::max(reached, bench.now().position->x);
        return reached > before + 25;
    }));
    QTest::keyClick(&driver->bed(), Qt::Key_Escape);
    QTest::keyClick(&driver->bed(), Qt::Key_Escape);
    REQUIRE(wait_for([&] { return driver.idle(); }));
}
