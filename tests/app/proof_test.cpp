// SPDX-License-Identifier: GPL-3.0-or-later
// The Proof view, by mouse and keys.
#include "proof/contact_sheet.hpp"
#include "proof/proof_view.hpp"
#include "proof/tone_curve.hpp"
#include "support/bed_driver.hpp"

#include <chalkline/job/edits.hpp>

#include <QCheckBox>
#include <QComboBox>
#include <QFileDialog>
#include <QImageReader>
#include <QMenu>
#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;

namespace {

/// A window with the pears in the Proof view, worked out.
class Darkroom {
 public:
    Darkroom() {
        driver.drop({QString(CHALKLINE_SAMPLES) + "/pears.png"});
        REQUIRE(driver.wait_planned());
        QTest::keyClick(&driver.window(), Qt::Key_2, Qt::ControlModifier);
        view = driver.window().findChild<ProofView*>();
        REQUIRE(view->isVisible());
        settle();
    }
    void settle() {
        REQUIRE(wait_for([&] { return !view->desk().stale() && view->desk().now().proof != nullptr; }));
        QTest::qWait(30);
    }
    const job::Motif& motif() { return job_of(driver).motifs[0]; }
    const steps::StepSettings& settings() { return job_of(driver).steps[0].settings; }
    template <class Widget>
    Widget* part() {
        return view->findChild<Widget*>();
    }
    void undo() {
        QTest::keyClick(&driver.window(), Qt::Key_Z, Qt::ControlModifier);
        settle();
    }
    QComboBox* choice(const QString& name) {
        for (auto* box : view->findChildren<QComboBox*>())
            if (box->isVisible() && box->accessibleName() == name) return box;
        return nullptr;
    }

    WindowDriver driver;
    ProofView* view = nullptr;
};

void drag_on(QWidget* widget, QPointF from, QPointF to) {
    QTest::mousePress(widget, Qt::LeftButton, {}, from.toPoint());
    for (int i = 1; i <= 4; ++i) {
        const QPointF at = from + (to - from) * i / 4;
        QMouseEvent move(QEvent::MouseMove, at, widget->mapToGlobal(at), Qt::NoButton, Qt::LeftButton, {});
        QApplication::sendEvent(widget, &move);
    }
    QTest::mouseRelease(widget, Qt::LeftButton, {}, to.toPoint());
}

/// The mean darkness of what a widget shows in a part of it.
double darkness(QWidget* widget, QRect part) {
    const QImage seen = widget->grab(part).toImage();
    double sum = 0;
    for (int y = 0; y < seen.height(); ++y)
        for (int x = 0; x < seen.width(); ++x)
            sum += 255 - qGray(seen.pixel(x, y));
    return sum / 255 / (seen.width() * seen.height());
}

}  // namespace

TEST_CASE("the proof shows what the tones become, at once and then dot by dot") {
    Darkroom room;
    // The spot is wider than the lines lie apart: said, and mended by a click.
    CHECK(room.driver.visible_text().contains("dots grow into each other"));
    REQUIRE(room.driver.click("Set fewer dots"));
    CHECK(room.settings().picture.spare_gain);
    room.settle();
    CHECK_FALSE(room.driver.visible_text().contains("dots grow into each other"));
    ProofPanel* proof = nullptr;
    for (auto* panel : room.view->findChildren<ProofPanel*>())
        if (panel->isVisible()) proof = panel;
    REQUIRE(proof);
    const QRect all(0, 0, proof->width(), static_cast<int>(proof->width() * 2.0 / 3) - 4);
    const double plain = darkness(proof, all);
    REQUIRE(room.driver.type("Gamma", "2.5"));
    // Before the plan is there the picture in the screen's resolution is.
    REQUIRE(wait_for(
        [&] { return room.view->desk().now().settings == room.settings() && darkness(proof, all) < plain * 0.9; }));
    const double coarse = darkness(proof, all);
    room.settle();
    QTest::qWait(60);
    CHECK(darkness(proof, all) == Approx(coarse).margin(0.03));
    // While B is held: the picture as the file has it.
    proof->setFocus();
    QTest::keyPress(proof, Qt::Key_B);
    CHECK(wait_for([&] { return std::abs(darkness(proof, all) - plain) < 0.03; }, 5000));
    CHECK(room.driver.visible_text().contains("As the file has it"));
    QTest::keyRelease(proof, Qt::Key_B);
    QTest::qWait(60);
    CHECK(darkness(proof, all) == Approx(coarse).margin(0.03));
    room.undo();
    CHECK(room.motif().preparation == raster::Preparation());
    room.undo();
    CHECK_FALSE(room.settings().picture.spare_gain);
}

TEST_CASE("the proof is zoomed at the pointer and the loupe goes by mouse and keys") {
    Darkroom room;
    ProofPanel* proof = nullptr;
    for (auto* panel : room.view->findChildren<ProofPanel*>())
        if (panel->isVisible()) proof = panel;
    REQUIRE(proof);
    QTest::mouseClick(proof, Qt::LeftButton, {}, {100, 80});
    const QPointF dot = proof->dot_at({100, 80});
    CHECK(QLineF(room.view->desk().loupe(), dot).length() < 1.5);
    QTest::keyClick(proof, Qt::Key_Right);
    CHECK(room.view->desk().loupe().x() > dot.x());
    const double before = proof->zoom();
    QWheelEvent wheel({100, 80}, proof->mapToGlobal(QPointF(100, 80)), {}, {0, 240}, Qt::NoButton, Qt::NoModifier,
                      Qt::NoScrollPhase, false);
    QApplication::sendEvent(proof, &wheel);
    CHECK(proof->zoom() > before * 1.3);
    CHECK(QLineF(proof->dot_at({100, 80}), dot).length() < 2);
    QTest::keyClick(proof, Qt::Key_0);
    CHECK(proof->zoom() == Approx(before));
}

TEST_CASE("a picture is cropped by dragging, by keys and by typed shares, each one step of the history") {
    Darkroom room;
    auto* original = room.part<OriginalPanel>();
    const int before = room.driver->document().history().count();
    drag_on(original, original->place_of({0.003, 0.004}), original->place_of({0.25, 0.5}));
    CHECK(room.motif().preparation.crop.left == Approx(0.25).margin(0.01));
    CHECK(room.motif().preparation.crop.top == Approx(0.5).margin(0.02));
    CHECK(room.motif().preparation.crop.right == 1);
    CHECK(room.driver->document().history().count() == before + 1);
    room.settle();
    CHECK(room.view->desk().now().frame.columns == Approx(450).margin(6));
    CHECK(room.driver.field("Width of the picture")->text().startsWith("45"));
    original->setFocus();
    const raster::Part dragged = room.motif().preparation.crop;
    QTest::keyClick(original, Qt::Key_Left);
    CHECK(room.motif().preparation.crop.left == Approx(dragged.left - 0.01));
    CHECK(room.motif().preparation.crop.right == Approx(dragged.right - 0.01));
    open_fold(room.driver, "Crop and turn");
    REQUIRE(room.driver.type("Crop to the right", "60"));
    CHECK(room.motif().preparation.crop.right == Approx(0.6));
    REQUIRE(room.driver.type("Crop to the right", "5"));  // left of the left edge: stays as it was
    CHECK(room.motif().preparation.crop.right == Approx(0.6));
    REQUIRE(room.driver.click("All of it"));
    CHECK(room.motif().preparation.crop.whole());
    // A quarter turn turns original and proof alike.
    REQUIRE(room.driver.click("Turn left"));
    room.settle();
    CHECK(room.view->desk().now().frame.rows > room.view->desk().now().frame.columns);
    CHECK(original->place_of({1, 0}).y() < original->place_of({0, 0}).y());
}

TEST_CASE("the background goes by a box and strokes drawn over the original") {
    Darkroom room;
    auto* original = room.part<OriginalPanel>();
    const double whole = room.view->desk().now().proof->statistics.coverage;
    open_fold(room.driver, "Background");
    QComboBox* way = room.choice("Background of the picture");
    REQUIRE(way);
    way->setFocus();
    QTest::keyClick(way, Qt::Key_End);
    CHECK(room.motif().preparation.background.way == raster::Background::Way::cut_out);
    drag_on(original, original->place_of({0.95, 0.95}), original->place_of({0.97, 0.97}));  // no grip: a box anew
    drag_on(original, original->place_of({0.18, 0.02}), original->place_of({0.52, 0.84}));
    const raster::Part box = room.motif().preparation.background.box;
    CHECK(box.left == Approx(0.18).margin(0.02));
    CHECK(box.bottom == Approx(0.84).margin(0.02));
    room.settle();
    CHECK(room.view->desk().now().proof->statistics.coverage < whole * 0.6);
    REQUIRE(room.driver.click("Leave out"));
    drag_on(original, original->place_of({0.3, 0.4}), original->place_of({0.4, 0.6}));
    REQUIRE(room.motif().preparation.background.strokes.size() == 1);
    CHECK_FALSE(room.motif().preparation.background.strokes[0].keep);
    CHECK(room.motif().preparation.background.strokes[0].points.size() >= 4);
    room.undo();
    CHECK(room.motif().preparation.background.strokes.empty());
}

TEST_CASE("methods are taken from the contact sheet by mouse and keys") {
    Darkroom room;
    auto* contacts = room.part<ContactSheet>();
    QTest::mouseClick(contacts, Qt::LeftButton, {}, contacts->cell_of(raster::DitherMethod::blue_noise).center());
    CHECK(room.settings().picture.dots.method == raster::DitherMethod::blue_noise);
    contacts->setFocus();
    QTest::keyClick(contacts, Qt::Key_Up);
    QTest::keyClick(contacts, Qt::Key_Return);
    CHECK(room.settings().picture.dots.method == raster::DitherMethod::bayer8);
    room.undo();
    CHECK(room.settings().picture.dots.method == raster::DitherMethod::blue_noise);
}

TEST_CASE("the tone curve is bent by mouse and by keys") {
    Darkroom room;
    auto* curve = room.part<ToneCurve>();
    const int before = room.driver->document().history().count();
    drag_on(curve, curve->place_of(0.5, 0.5), curve->place_of(0.5, 0.75));
    REQUIRE(room.motif().preparation.tone.curve.size() == 3);
    CHECK(room.motif().preparation.tone.curve[1].out == Approx(0.75).margin(0.02));
    CHECK(room.driver->document().history().count() == before + 1);
    curve->setFocus();
    QTest::keyClick(curve, Qt::Key_Down);
    CHECK(room.motif().preparation.tone.curve[1].out == Approx(0.73).margin(0.02));
    QTest::keyClick(curve, Qt::Key_Delete);
    CHECK(room.motif().preparation.tone.curve.empty());
    drag_on(curve, curve->place_of(0.3, 0.3), curve->place_of(0.3, -1.5));  // out of the field: gone again
    CHECK(room.motif().preparation.tone.curve.empty());
}

TEST_CASE("two ways of burning a picture are kept and looked at side by side") {
    Darkroom room;
    open_fold(room.driver, "Variants");
    REQUIRE(room.driver.type("Name of the variant", "soft"));
    REQUIRE(room.motif().variants.size() == 1);
    REQUIRE(room.driver.type("Contrast", "60"));
    room.settle();
    REQUIRE(room.driver.click("Keep as variant"));
    CHECK(room.motif().variants[1].name == "Variant 2");
    room.settle();
    REQUIRE(room.driver.click("Beside"));  // of the first
    REQUIRE(wait_for([&] { return room.view->desk().other().proof != nullptr; }));
    CHECK(room.driver.visible_text().contains("soft"));
    CHECK(room.view->desk().other().proof->dots.levels != room.view->desk().now().proof->dots.levels);
    int shown = 0;
    for (auto* panel : room.view->findChildren<ProofPanel*>())
        shown += panel->isVisible() ? 1 : 0;
    CHECK(shown == 2);
    REQUIRE(room.driver.click("Use"));
    REQUIRE(wait_for([&] { return room.motif().preparation.tone.contrast == 0; }));
    room.settle();
    QTest::qWait(30);
    REQUIRE(room.driver.click("Put away"));
    REQUIRE(wait_for([&] { return !room.view->desk().compared(); }));
    QTest::qWait(30);
    REQUIRE(room.driver.click("Drop"));
    REQUIRE(wait_for([&] { return room.motif().variants.size() == 1; }));
}

TEST_CASE("what prepares one picture is copied to another but for its crop") {
    Darkroom room;
    room.driver->choose(Mark::art);
    room.driver->placing().choose({room.motif().id});
    room.driver->placing().copy();
    REQUIRE(room.driver.wait_planned());
    const job::Id second = job_of(room.driver).motifs[1].id;
    room.driver->placing().choose({room.motif().id});
    QTest::keyClick(&room.driver.window(), Qt::Key_2, Qt::ControlModifier);
    room.settle();
    REQUIRE(room.driver.type("Brightness", "20"));
    open_fold(room.driver, "Crop and turn");
    REQUIRE(room.driver.type("Crop from the left", "30"));
    open_fold(room.driver, "Variants");
    QPushButton* copy = room.driver.button("Copy settings to…");
    REQUIRE(copy);
    Q_EMIT copy->menu()->aboutToShow();
    REQUIRE(copy->menu()->actions().size() == 1);
    copy->menu()->actions().front()->trigger();
    const raster::Preparation& other = job_of(room.driver).motif(second)->preparation;
    CHECK(other.tone.brightness == 20);
    CHECK(other.crop.whole());
    // The other picture is looked at by choosing it.
    QComboBox* pictures = room.choice("Picture looked at");
    REQUIRE(pictures);
    CHECK(pictures->count() == 2);
    pictures->setFocus();
    QTest::keyClick(pictures, Qt::Key_Down);
    CHECK(room.view->desk().subject()->motif == second);
}

TEST_CASE("the proof is saved as a PNG of one bit with its size on the piece") {
    Darkroom room;
    const QTemporaryDir folder;
    REQUIRE(room.driver.click("Save proof as PNG…"));
    auto* dialog = room.view->findChild<QFileDialog*>("saveProof");
    REQUIRE(dialog);
    const QString file = folder.filePath("proof.png");
    Q_EMIT dialog->fileSelected(file);
    REQUIRE(wait_for([&] { return QFileInfo(file).size() > 0; }));
    dialog->close();
    const QImage saved = QImageReader(file).read();
    const auto proof = room.view->desk().now().proof;
    REQUIRE(saved.size() == QSize(proof->dots.width, proof->dots.height));
    CHECK(saved.depth() == 1);
    CHECK(saved.dotsPerMeterX() == 10000);
    for (int y = 0; y < saved.height(); y += 7)
        for (int x = 0; x < saved.width(); x += 3)
            REQUIRE((qGray(saved.pixel(x, y)) == 0) == (proof->dots.row(y)[x] > 0));
}

TEST_CASE("the view says what the machine will do, and offers a pitch that saves time") {
    Darkroom room;
    CHECK(room.driver.visible_text().contains("400 lines of 600 dots, 0.1 mm apart"));
    CHECK(room.driver.visible_text().contains("Burn time"));
    CHECK(room.driver.visible_text().contains("link"));
    QPushButton* offer = nullptr;
    REQUIRE(wait_for([&] {
        for (auto* button : room.view->findChildren<QPushButton*>())
            if (button->isVisible() && button->text().startsWith("At 0.12 mm pitch")) offer = button;
        return offer != nullptr;
    }));
    const auto before = room.driver->plans().planned().plan->total;
    QTest::mouseClick(offer, Qt::LeftButton);
    CHECK(room.settings().line_pitch == Length::mm(0.12));
    room.settle();
    CHECK(room.driver->plans().planned().plan->total < before);
    CHECK(room.driver.visible_text().contains("0.12 mm apart"));
    // A picture finer than its file can be is said.
    REQUIRE(room.driver.type("Line pitch", "0.05"));
    room.settle();
    CHECK(room.driver.visible_text().contains("it holds 254 dots/in"));
    // A pitch no machine can do is refused and the field says what is.
    REQUIRE(room.driver.type("Line pitch", "0"));
    CHECK(room.settings().line_pitch == Length::mm(0.05));
}

TEST_CASE("the material's response is typed as pairs, and nonsense is not taken") {
    Darkroom room;
    open_fold(room.driver, "Dots and spot");
    const double plain = room.view->desk().now().proof->statistics.coverage;
    REQUIRE(room.driver.type("Response of the material", "0 0, 25 50, 60 85, 100 100"));
    REQUIRE(room.settings().picture.response.size() == 4);
    CHECK(room.settings().picture.response[1] == raster::CurvePoint{0.25, 0.5});
    room.settle();
    // A material that looks dark early needs fewer dots.
    CHECK(room.view->desk().now().proof->statistics.coverage < plain * 0.85);
    for (const char* bad : {"0 0, 50", "0 0, 50 20, 40 90", "words"}) {
        REQUIRE(room.driver.type("Response of the material", bad));
        CHECK(room.settings().picture.response.size() == 4);
    }
    auto* response = room.driver.field("Response of the material");
    response->setFocus();
    response->selectAll();
    QTest::keyClick(response, Qt::Key_Delete);
    QTest::keyClick(response, Qt::Key_Return);
    CHECK(room.settings().picture.response.empty());
}

TEST_CASE("without a picture the view says how to begin, and a picture left out can be burned after all") {
    WindowDriver driver;
    QTest::keyClick(&driver.window(), Qt::Key_2, Qt::ControlModifier);
    QTest::qWait(20);
    CHECK(driver.visible_text().contains("No picture yet"));
    Darkroom room;
    const Ink ink = room.motif().art->pictures[0].ink;
    REQUIRE(room.driver->document().edit("x", job::leave_out(job_of(room.driver), ink), JobChange::steps));
    REQUIRE(wait_for([&] { return room.driver.button("Burn it as a picture") != nullptr; }));
    CHECK(room.driver.visible_text().contains("No step burns this picture yet"));
    REQUIRE(room.driver.click("Burn it as a picture"));
    room.settle();
    CHECK(room.view->desk().step() != nullptr);
}
