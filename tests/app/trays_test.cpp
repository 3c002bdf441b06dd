// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/burn_layer.hpp"
#include "support/sample_files.hpp"
#include "support/window_driver.hpp"
#include "trays/tray_context.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>

#include <catch2/catch.hpp>

#include <QLineEdit>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;
using test::WindowDriver;

namespace {}  // namespace

TEST_CASE("the stock is typed in, in any unit, and undone") {
    WindowDriver driver;
    driver.drop({sample_job});
    driver->choose(Mark::stock);
    QTest::qWait(20);
    REQUIRE(driver.type("Thickness", "1/8 in"));
    REQUIRE(driver.type("Width", "20cm"));
    REQUIRE(driver.type("Turned by", "0"));
    const auto& stock = driver->document().job().stock;
    CHECK(stock->thickness.mm() == Approx(3.175));
    CHECK(stock->width == Approx(200));
    CHECK(stock->angle == 0);
    REQUIRE(driver.type("Material", "Lime ply"));
    CHECK(driver->document().job().stock->material == "Lime ply");
    for (int i = 0; i < 4; ++i)
        driver->document().history().undo();
    CHECK(driver->document().job().stock->width == Approx(214));
    CHECK(driver.field("Width")->text() == "214 mm");
}

TEST_CASE("a piece is set round the art, taken away, and the art centred on it") {
    WindowDriver driver;
    driver.drop({sample_plate});
    driver->choose(Mark::stock);
    QTest::qWait(20);
    REQUIRE(driver.click("Set a piece"));
    REQUIRE(driver->document().job().stock);
    CHECK(driver->document().job().stock->width == Approx(174).margin(0.1));
    REQUIRE(driver.type("Near left corner, from the left", "0"));
    REQUIRE(driver.click("Centre it"));
    const auto box = job::bounds(driver->document().job());
    CHECK(box.centre().x == Approx(87).margin(0.1));
    REQUIRE(driver.wait_planned());
    REQUIRE(driver.click("No piece"));
    CHECK_FALSE(driver->document().job().stock);
}

TEST_CASE("the chosen piece of art has its place typed in") {
    WindowDriver driver;
    driver.drop({sample_plate});
    driver->choose(Mark::art);
    driver->placing().choose({driver->document().job().motifs[0].id});
    QTest::qWait(20);
    REQUIRE(driver.type("Left edge on the bed", "1in"));
    REQUIRE(driver.type("Near edge on the bed", "30"));
    const auto box = job::bounds(driver->document().job());
    CHECK(box.left == Approx(25.4).margin(0.001));
    CHECK(box.bottom == Approx(30).margin(0.001));
    driver->bed().setFocus();
    QTest::keyClick(&driver->bed(), Qt::Key_Delete);
    CHECK(driver->document().job().motifs.empty());
    CHECK_FALSE(driver->placing().only());
}

TEST_CASE("steps are added and removed by their buttons") {
    WindowDriver driver;
    driver.drop({sample_plate});
    driver->choose(Mark::steps);
    QTest::qWait(20);
    REQUIRE(driver.click("Score"));
    CHECK(driver->document().job().steps.size() == 4);
    QTest::qWait(20);
    REQUIRE(driver.click("Remove"));
    CHECK(driver->document().job().steps.size() == 3);
    QTest::qWait(20);
    driver->steps_tray().cards()[1]->setFocus();
    QTest::keyClick(driver->steps_tray().cards()[1], Qt::Key_Delete);
    CHECK(driver->document().job().steps.size() == 2);
    CHECK(driver.state(Mark::steps) == MarkState::attention);
}

TEST_CASE("the rehearsal lists every step and what the checker looked at") {
    WindowDriver driver;
    driver.drop({sample_job});
    REQUIRE(driver.wait_planned());
    driver->choose(Mark::rehearse);
    QTest::qWait(20);
    const QString text = driver.visible_text();
    for (const char* part : {"About", "Engrave", "Score", "Cut", "Checked line by line"}) {
        INFO(part);
        CHECK(text.contains(part));
    }
    const auto& planned = driver->plans().planned();
    CHECK(segments_of(*planned.plan, driver->document().job(), {}, theme::light()).size() == 3);
}

TEST_CASE("nothing can be moved or burned while no machine is there") {
    WindowDriver driver;
    driver.drop({sample_job});
    REQUIRE(driver.wait_planned());
    CHECK_FALSE(driver.button("Home")->isEnabled());
    CHECK_FALSE(driver.button("Hold")->isEnabled());
    CHECK_FALSE(driver.button("Resume")->isEnabled());
    CHECK(driver.button("STOP")->isEnabled());
    driver->choose(Mark::frame);
    QTest::qWait(20);
    CHECK_FALSE(driver.button("Frame")->isEnabled());
    CHECK(driver.visible_text().contains("Connect a machine first"));
    driver->choose(Mark::burn);
    QTest::qWait(20);
    CHECK_FALSE(driver.button(QString::fromUtf8("Burn…"))->isEnabled());
    QTest::keyClick(&driver.window(), Qt::Key_Return, Qt::ControlModifier);
    CHECK_FALSE(driver.window().findChild<QWidget*>("sheet"));
}

TEST_CASE("the bed shows the stock, the art in its burn tones, and what is off the stock in red") {
    WindowDriver driver;
    driver.drop({sample_job});
    REQUIRE(driver.wait_planned());
    const auto roles = theme::light();
    const auto pixel = [&](double x, double y) {
        const QPointF at = driver->bed().camera().to_screen({x, y});
        return driver->bed().grab().toImage().pixelColor((at * driver->bed().devicePixelRatioF()).toPoint());
    };
    CHECK(pixel(20, 20) == roles.bed);
    const auto place = driver->document().job().motifs[0].place;
    const auto leaf = place({27, 58});
    CHECK(pixel(leaf.x, leaf.y) == tone_of(driver->document().job().steps[0].settings, {}, roles));
    const auto count_red = [&] {
        const QImage picture = driver->bed().grab().toImage();
        int red = 0;
        for (int y = 0; y < picture.height(); ++y)
            for (int x = 0; x < picture.width(); ++x)
                red += picture.pixelColor(x, y) == roles.danger;
        return red;
    };
    CHECK(count_red() == 0);
    REQUIRE(driver->document().edit(
        "Move", job::transform(driver->document().job(), {1}, geometry::Transform::move(60, 0)), JobChange::place));
    REQUIRE(test::wait_for([&] { return !driver->plans().stale() && driver->plans().planned().off_stock > 0; }));
    CHECK(count_red() > 50);
}

TEST_CASE("the burned part grows with the progress and only forwards") {
    WindowDriver driver;
    driver.drop({sample_job});
    REQUIRE(driver.wait_planned());
    const auto plan = driver->plans().planned().plan;
    std::map<int, QColor> tones;
    for (const auto& step : driver->document().job().steps)
        tones[step.id] = Qt::darkGray;
    const Camera camera = Camera::fitting({0, 0, 400, 300}, {800, 600}, 0);
    const auto& operations = plan->program.operations;
    const std::size_t all = operations.size();
    const auto shown = [&](BurnLayer& layer, machine::ProgramPlace done) {
        QImage picture(800, 600, QImage::Format_ARGB32_Premultiplied);
        picture.fill(Qt::transparent);
        QPainter painter(&picture);
        painter.setRenderHint(QPainter::Antialiasing);
        layer.paint(painter, done, plan, camera, {800, 600}, 1, tones, 0.18);
        return picture;
    };
    /// So many whole operations.
    const auto whole_ones = [&](std::size_t count) {
        if (count == 0) return machine::ProgramPlace{};
        return machine::ProgramPlace{static_cast<std::int64_t>(count) - 1,
                                     machine::parts_of(operations[count - 1]) - 1};
    };
    const auto count_in = [](const QImage& picture) {
        int count = 0;
        for (int y = 0; y < picture.height(); ++y)
            for (int x = 0; x < picture.width(); ++x)
                count += qAlpha(picture.pixel(x, y)) > 0;
        return count;
    };
    BurnLayer layer;
    const auto inked = [&](machine::ProgramPlace done) { return count_in(shown(layer, done)); };
    CHECK(inked({}) == 0);
    const int half = inked(whole_ones(all / 2)), whole = inked(whole_ones(all));
    CHECK(half > 0);
    CHECK(whole > half);
    CHECK(inked(whole_ones(all / 2)) == half);  // a new burn begins afresh
    // Drawn in small parts it is the same picture.
    BurnLayer slowly;
    for (std::size_t i = 0; i <= all; i += 97)
        (void)shown(slowly, whole_ones(i));
    CHECK(shown(slowly, whole_ones(all)) == shown(layer, whole_ones(all)));
    // Of a long path only what is done.
    const auto path = std::find_if(operations.begin(), operations.end(), [](const machine::Operation& operation) {
        return std::holds_alternative<machine::Trace>(operation.act) && machine::parts_of(operation) > 20;
    });
    REQUIRE(path != operations.end());
    const auto at = path - operations.begin();
    const int before = inked(whole_ones(static_cast<std::size_t>(at)));
    const int begun = inked({at, machine::parts_of(*path) / 2});
    CHECK(begun > before);
    CHECK(inked(whole_ones(static_cast<std::size_t>(at) + 1)) > begun);
}
