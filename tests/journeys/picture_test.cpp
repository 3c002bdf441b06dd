// SPDX-License-Identifier: GPL-3.0-or-later
// A photograph's way: dropped, toned, burned, and its tones found again in the burned piece.
#include "support/bed_driver.hpp"
#include "support/dose.hpp"
#include "support/simulator_process.hpp"

#include <catch2/catch.hpp>

#include <QCheckBox>
#include <QComboBox>
#include <QImage>
#include <QSlider>
#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;

namespace {

/// A ramp from black on the left to white on the right, 300 × 150 pixels, 30 × 15 mm.
QString write_ramp(const QTemporaryDir& folder) {
    QImage image(300, 150, QImage::Format_Grayscale8);
    for (int y = 0; y < image.height(); ++y)
        for (int x = 0; x < image.width(); ++x)
            image.scanLine(y)[x] = static_cast<uchar>(x * 255 / 299);
    image.setDotsPerMeterX(10000);
    image.setDotsPerMeterY(10000);
    const QString file = folder.filePath("ramp.png");
    REQUIRE(image.save(file));
    return file;
}

QComboBox* choice(WindowDriver& driver, const QString& name) {
    for (auto* box : driver.window().findChildren<QComboBox*>())
        if (box->isVisible() && box->accessibleName() == name) return box;
    return nullptr;
}

double light_of(double encoded) {
    return std::pow((encoded + 0.055) / 1.055, 2.4);
}

}  // namespace

TEST_CASE("a picture is toned and dithered in the window, burned, and its local means follow its tones") {
    const QTemporaryDir folder;
    SimulatorProcess machine(CHALKLINE_SIM);
    WindowDriver driver;
    driver.drop({write_ramp(folder)});
    REQUIRE(driver.wait_planned());
    const auto& job = driver->document().job();
    REQUIRE(job.steps.size() == 1);
    CHECK(job.steps[0].settings.kind == steps::StepKind::picture);
    CHECK(driver.fact(Mark::art).contains("30 × 15 mm"));

    // Tone by a typed value and by the slider, one change each, and back.
    driver->choose(Mark::art);
    QTest::qWait(40);
    REQUIRE(driver.click("Prepare for burning…"));
    QTest::qWait(20);
    const int before = driver->document().history().count();
    REQUIRE(driver.type("Gamma", "1.8"));
    CHECK(job.motifs[0].preparation.tone.gamma == Approx(1.8));
    QSlider* slider = nullptr;
    for (auto* candidate : driver.window().findChildren<QSlider*>())
        if (candidate->accessibleName() == "Brightness, slider") slider = candidate;
    REQUIRE(slider);
    slider->setFocus();
    QTest::keyClick(slider, Qt::Key_Right);
    CHECK(job.motifs[0].preparation.tone.brightness > 0);
    CHECK(driver->document().history().count() == before + 2);
    REQUIRE(driver.click("As it was"));
    CHECK(job.motifs[0].preparation.tone == raster::ToneSettings());

    // Another method, in the step's card.
    driver->choose(Mark::steps);
    QTest::qWait(20);
    QTest::mouseClick(driver->steps_tray().cards()[0], Qt::LeftButton, {}, {160, 16});
    open_fold(driver, "Dots");
    QComboBox* method = choice(driver, "How tones become dots");
    REQUIRE(method);
    method->setFocus();
    QTest::keyClick(method, Qt::Key_Down);
    CHECK(job.steps[0].settings.picture.dots.method == raster::DitherMethod::jarvis);
    REQUIRE(driver.wait_planned());
    const auto plan = driver->plans().planned().plan;
    REQUIRE(plan->proofs.size() == 1);
    // What is clogged and what is bald is said, and marked on request: white lies on the right.
    CHECK(driver.visible_text().contains("300 × 150 dots · clogged"));
    CHECK(plan->proofs[0]->statistics.bald > 0.001);
    const auto at_right = [&] {
        const geometry::Box lying = job::bounds(job);
        const QImage seen = driver->bed().grab().toImage();
        // Beside the handles that stand on corners and sides.
        const geometry::Point place{lying.right - 0.6, lying.bottom + 0.3 * lying.height()};
        return seen.pixelColor(driver->bed().camera().to_screen(place).toPoint());
    };
    const QColor bare = at_right();
    for (auto* box : driver.window().findChildren<QCheckBox*>())
        if (box->isVisible() && box->text() == "Mark clogged and bald areas")
            QTest::mouseClick(box, Qt::LeftButton, {}, {8, 8});
    QTest::qWait(20);
    CHECK(at_right() != bare);

    driver->machine().connect_to(QString::fromStdString(machine.port()), "simulated");
    REQUIRE(wait_for([&] {
        const auto& now = driver->machine().snapshot();
        return now.activity == machine::Activity::none && now.state == machine::ControllerState::alarm;
    }));
    driver->machine().home();
    REQUIRE(wait_for([&] { return driver.idle() && driver->machine().snapshot().position_sure; }));
    driver->desk().burn();
    REQUIRE(wait_for([&] { return driver->desk().burned_at().has_value(); }));
    machine.finish();
    CHECK(machine.clean());

    const Dose dose(machine.file("dose.bin"));
    const geometry::Box box = job::bounds(job);
    const auto& s = job.steps[0].settings;
    const double full = steps::area_dose(s, driver->machine().profile().beam);
    for (const double share : {0.05, 0.2, 0.4, 0.6, 0.8, 0.92}) {
        // A strip of 1.5 mm, away from the ends of its rows.
        const double x = box.left + share * box.width();
        const double found = dose.mean({x - 0.75, box.bottom + 1, x + 0.75, box.top - 1}) / full;
        INFO(share);
        CHECK(found == Approx(1 - light_of(share)).margin(0.04));
    }
    CHECK(dose.mean({box.left - 3, box.bottom, box.left - 1, box.top}) == 0);
    CHECK(dose.mean({box.right + 1, box.bottom, box.right + 3, box.top}) == 0);
}
