// SPDX-License-Identifier: GPL-3.0-or-later
// Bringing art in as its user does: drops, pastes, answers, clicks in the Art tray.
#include "support/window_driver.hpp"
#include "tasks/task_runner.hpp"

#include <chalkline/job/edits.hpp>

#include <catch2/catch.hpp>

#include <QCheckBox>
#include <QClipboard>
#include <QLabel>
#include <QLineEdit>
#include <QPainter>
#include <QPdfWriter>
#include <QSettings>
#include <QTemporaryDir>
#include <QToolButton>

using namespace chalkline;
using test::wait_for;
using test::WindowDriver;

namespace {

QString write(const QTemporaryDir& folder, const QString& name, const QByteArray& bytes) {
    QFile file(folder.filePath(name));
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write(bytes);
    return file.fileName();
}

QByteArray svg(const QByteArray& inside, const QByteArray& size = "width='100mm' height='50mm' viewBox='0 0 100 50'") {
    return "<svg xmlns='http://www.w3.org/2000/svg' " + size + " stroke-width='0.1' stroke='#ff0000' fill='none'>" +
           inside + "</svg>";
}

geometry::Box job_box(WindowDriver& driver) {
    return job::bounds(driver->document().job());
}

template <class Widget>
Widget* named(WindowDriver& driver, const QString& name) {
    for (auto* widget : driver->template findChildren<Widget*>())
        if (widget->isVisible() && widget->accessibleName() == name) return widget;
    return nullptr;
}

bool shows(WindowDriver& driver, const QString& text) {
    for (auto* label : driver->findChildren<QLabel*>())
        if (label->isVisible() && label->text().contains(text)) return true;
    return false;
}

bool settled(WindowDriver& driver) {
    return wait_for([&] { return !driver->art().busy(); });
}

void click_button(WindowDriver& driver, const QString& text) {
    REQUIRE(wait_for([&] { return driver.button(text) != nullptr; }));
    REQUIRE(driver.click(text));
    QTest::qWait(20);
    REQUIRE(settled(driver));
}

int attention_pixels(WindowDriver& driver) {
    const QImage image = driver->bed().grab().toImage();
    const QColor wanted = app::theme::light().attention;
    int found = 0;
    for (int y = 0; y < image.height(); ++y)
        for (int x = 0; x < image.width(); ++x)
            found += QColor(image.pixel(x, y)) == wanted;
    return found;
}

}  // namespace

TEST_CASE("art too large for the bed waits for an answer and comes in at the scale chosen") {
    WindowDriver driver;
    const QTemporaryDir folder;
    driver.drop({write(
        folder, "large.svg",
        svg("<rect x='10' y='10' width='700' height='50'/>", "width='800mm' height='100mm' viewBox='0 0 800 100'"))});
    CHECK(driver->document().job().motifs.empty());
    REQUIRE(wait_for([&] { return shows(driver, "large.svg does not fit the bed"); }));
    CHECK(shows(driver, "300 mm too wide"));
    click_button(driver, "Bring in at 1:2");
    CHECK(job_box(driver).width() == Approx(350));
    CHECK_FALSE(shows(driver, "does not fit"));
}

TEST_CASE("a DXF without a unit asks once, showing both sizes") {
    WindowDriver driver;
    const QTemporaryDir folder;
    driver.drop({write(folder, "bare.dxf",
                       "0\nSECTION\n2\nENTITIES\n0\nLINE\n10\n0\n20\n0\n11\n10\n21\n5\n0\nENDSEC\n0\nEOF\n")});
    REQUIRE(driver->document().job().motifs.size() == 1);
    REQUIRE(wait_for([&] { return shows(driver, "In which unit is bare.dxf drawn?"); }));
    CHECK(driver.button("mm: 10 × 5 mm"));
    click_button(driver, "inch: 254 × 127 mm");
    CHECK(job_box(driver).width() == Approx(254));
    CHECK_FALSE(shows(driver, "In which unit"));
    QTest::keyClick(&driver.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(job_box(driver).width() == Approx(10));
}

TEST_CASE("a page of a PDF is chosen from small pictures") {
    WindowDriver driver;
    const QTemporaryDir folder;
    const QString path = folder.filePath("two.pdf");
    {
        QPdfWriter pdf(path);
        pdf.setPageSize(QPageSize(QSizeF(100, 80), QPageSize::Millimeter));
        pdf.setPageMargins({});
        pdf.setResolution(254);
        QPainter painter(&pdf);
        painter.fillRect(100, 100, 300, 200, Qt::black);
        pdf.newPage();
        painter.fillRect(100, 100, 600, 500, QColor(200, 0, 0));
    }
    driver.drop({path});
    REQUIRE(driver->document().job().motifs.size() == 1);
    CHECK(job_box(driver).width() == Approx(30).margin(0.1));
    REQUIRE(wait_for([&] { return named<QToolButton>(driver, "Page 2") != nullptr; }));
    QTest::mouseClick(named<QToolButton>(driver, "Page 2"), Qt::LeftButton);
    REQUIRE(settled(driver));
    CHECK(job_box(driver).width() == Approx(60).margin(0.1));

    // With Ctrl a page comes in beside the one that is there.
    REQUIRE(wait_for([&] { return named<QToolButton>(driver, "Page 1") != nullptr; }));
    const job::Id first = driver->document().job().motifs[0].id;
    QTest::keyPress(&driver.window(), Qt::Key_Control);
    QTest::mouseClick(named<QToolButton>(driver, "Page 1"), Qt::LeftButton, Qt::ControlModifier);
    QTest::keyRelease(&driver.window(), Qt::Key_Control);
    REQUIRE(wait_for([&] { return driver->document().job().motifs.size() == 2; }));
    CHECK(driver->document().job().motif(first)->art->read_with.page == 2);
    CHECK(driver->document().job().motifs[1].art->read_with.page == 1);
    CHECK(driver->placing().only() == driver->document().job().motifs[1].id);
}

TEST_CASE("a page is registered on the bed or on the turned stock") {
    WindowDriver driver;
    const QTemporaryDir folder;
    job::Job job;
    job.stock = job::Stock{"Birch ply", Length::mm(4), {100, 50}, 200, 120, 0};
    driver->document().replace(job, {});
    driver.drop({write(folder, "page.svg", svg("<rect x='10' y='10' width='20' height='20'/>"))});
    const auto put_on = [&](const QString& what) {
        const auto button = [&] { return named<QPushButton>(driver, "Put the page's corner on the " + what); };
        REQUIRE(wait_for([&] { return button() != nullptr; }));
        QTest::mouseClick(button(), Qt::LeftButton);
    };
    put_on("bed");
    CHECK(job_box(driver).left == Approx(10));
    CHECK(job_box(driver).bottom == Approx(20));
    put_on("stock");
    CHECK(job_box(driver).left == Approx(110));
    CHECK(job_box(driver).bottom == Approx(70));
}

TEST_CASE("a drawing scale typed in the tray is taken as it is written, with the place kept") {
    WindowDriver driver;
    const QTemporaryDir folder;
    driver.drop({write(folder, "plan.svg", svg("<rect x='10' y='10' width='80' height='20'/>"))});
    const auto centre = job_box(driver).centre();
    REQUIRE(wait_for([&] { return named<QLineEdit>(driver, "Drawing scale") != nullptr; }));
    auto* field = named<QLineEdit>(driver, "Drawing scale");
    field->setFocus();
    field->selectAll();
    QTest::keyClicks(field, "1:4");
    QTest::keyClick(field, Qt::Key_Return);
    REQUIRE(wait_for([&] { return std::abs(job_box(driver).width() - 20) < 0.01; }));
    CHECK(job_box(driver).centre().x == Approx(centre.x));
    field = nullptr;
    REQUIRE(wait_for([&] { return (field = named<QLineEdit>(driver, "Drawing scale")) && field->text() == "1:4"; }));
    field->setFocus();
    field->selectAll();
    QTest::keyClicks(field, "four");
    QTest::keyClick(field, Qt::Key_Return);
    CHECK(field->property("wrong").toBool());
    CHECK(job_box(driver).width() == Approx(20));
}

TEST_CASE("shapes that lie off the bed are counted and taken out together") {
    WindowDriver driver;
    const QTemporaryDir folder;
    driver.drop(
        {write(folder, "stray.svg", svg("<rect x='10' y='10' width='20' height='20'/><path d='M300 10H320'/>"))});
    driver->placing().choose({driver->document().job().motifs[0].id});
    QTest::keyClick(&driver->bed(), Qt::Key_Right, Qt::ShiftModifier);
    for (int i = 0; i < 8; ++i)
        QTest::keyClick(&driver->bed(), Qt::Key_Right, Qt::ShiftModifier);
    // The stray line now begins beyond 400 mm.
    REQUIRE(wait_for([&] { return shows(driver, "1 shape lies off the bed"); }));
    click_button(driver, "Take out");
    CHECK(driver->document().job().motifs[0].art->shapes.size() == 1);
}

TEST_CASE("a picture without a size comes in small enough for the stock") {
    WindowDriver driver;
    job::Job job;
    job.stock = job::Stock{"Lime ply", Length::mm(3), {10, 10}, 50, 30, 0};
    driver->document().replace(job, {});
    QImage image(400, 200, QImage::Format_RGB32);
    image.fill(Qt::black);
    QApplication::clipboard()->setImage(image);
    QTest::keyClick(&driver.window(), Qt::Key_V, Qt::ControlModifier);
    REQUIRE(wait_for([&] { return driver->document().job().motifs.size() == 1; }));
    CHECK(job_box(driver).width() == Approx(40));
    CHECK(job_box(driver).centre().x == Approx(35));
}

TEST_CASE("faults are counted, lit on the bed and mended with one button, and back") {
    WindowDriver driver;
    const QTemporaryDir folder;
    driver.drop({write(folder, "twice.svg", svg("<rect x='10' y='10' width='40' height='20'/><path d='M10 10H50'/>"))});
    REQUIRE(wait_for([&] { return shows(driver, "1 line drawn twice"); }));
    CHECK(shows(driver, "Mending saves 40 mm"));
    CHECK(attention_pixels(driver) == 0);
    for (auto* label : driver->findChildren<QLabel*>())
        if (label->isVisible() && label->text() == "1 line drawn twice") QTest::mouseClick(label, Qt::LeftButton);
    CHECK(attention_pixels(driver) > 50);
    click_button(driver, "Mend");
    const auto& art = *driver->document().job().motifs[0].art;
    CHECK(art.shapes.size() == 1);
    REQUIRE(wait_for([&] { return shows(driver, "Nothing left to mend"); }));
    QTest::keyClick(&driver.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(driver->document().job().motifs[0].art->shapes.size() == 2);
}

TEST_CASE("a wide stroke becomes an area, which is said, and can go back to a line") {
    WindowDriver driver;
    const QTemporaryDir folder;
    driver.drop({write(folder, "wide.svg", svg("<path d='M10 10H60' stroke-width='2'/>"))});
    REQUIRE(wait_for([&] { return shows(driver, "A stroke too wide for the beam to follow is an area to fill"); }));
    CHECK(to_text(driver->document().job().motifs[0].art->shapes[0].ink) == "#ff0000:fill");
    click_button(driver, "All as lines");
    CHECK(to_text(driver->document().job().motifs[0].art->shapes[0].ink) == "#ff0000:line");
    click_button(driver, "Wide ones as areas");
    CHECK(to_text(driver->document().job().motifs[0].art->shapes[0].ink) == "#ff0000:fill");
}

TEST_CASE("a boxed part of a drawing is taken where it lies") {
    WindowDriver driver;
    const QTemporaryDir folder;
    driver.drop(
        {write(folder, "parts.svg",
               svg("<rect x='10' y='10' width='10' height='10'/><rect x='80' y='10' width='10' height='10'/>"))});
    const auto before = job_box(driver);
    click_button(driver, "Take a part…");
    app::BedView& bed = driver->bed();
    CHECK(bed.picking());
    const auto at = [&](double x, double y) { return bed.camera().to_screen({x, y}).toPoint(); };
    driver.drag(&bed, at(before.left - 4, before.bottom - 4), &bed, at(before.left + 14, before.top + 4));
    REQUIRE(settled(driver));
    const auto after = job_box(driver);
    CHECK(after.width() == Approx(10).margin(0.05));
    CHECK(after.left == Approx(before.left).margin(0.05));
    CHECK(after.bottom == Approx(before.bottom).margin(0.05));
    click_button(driver, "Take all");
    CHECK(job_box(driver).width() == Approx(before.width()));
}

TEST_CASE("a pasted picture is traced, and a shape clicked is taken out") {
    WindowDriver driver;
    QImage image(400, 200, QImage::Format_RGB32);
    image.fill(Qt::white);
    {
        QPainter painter(&image);
        painter.fillRect(20, 20, 100, 100, Qt::black);
        painter.fillRect(250, 60, 120, 80, Qt::black);
    }
    QApplication::clipboard()->setImage(image);
    QTest::keyClick(&driver.window(), Qt::Key_V, Qt::ControlModifier);
    REQUIRE(wait_for([&] { return driver->document().job().motifs.size() == 1; }));
    const auto& job = driver->document().job();
    CHECK(job.motifs[0].art->pictures.size() == 1);
    REQUIRE(job.steps.size() == 1);
    CHECK(job.steps[0].settings.kind == steps::StepKind::picture);
    click_button(driver, "Outlines of dark areas");
    REQUIRE(job.motifs[0].art->shapes.size() == 2);
    click_button(driver, "Take out shapes…");
    const auto inside = geometry::bounds(job.motifs[0].art->shapes[0].path.flatten(job.motifs[0].place)).centre();
    QTest::mouseClick(&driver->bed(), Qt::LeftButton, {}, driver->bed().camera().to_screen(inside).toPoint());
    REQUIRE(settled(driver));
    CHECK(job.motifs[0].art->shapes.size() == 1);
    QTest::keyClick(&driver->bed(), Qt::Key_Escape);
    CHECK_FALSE(driver->bed().picking());
}

TEST_CASE("pasted SVG text comes in as art") {
    WindowDriver driver;
    QApplication::clipboard()->setText(svg("<circle cx='20' cy='20' r='9'/>"));
    driver->choose(app::Mark::art);
    click_button(driver, "Paste");
    REQUIRE(wait_for([&] { return driver->document().job().motifs.size() == 1; }));
    CHECK(job_box(driver).width() == Approx(18).margin(0.02));
}

TEST_CASE("a file that changed on the disk is read again only when asked, and keeps its place and steps") {
    WindowDriver driver;
    const QTemporaryDir folder;
    const QString path = write(folder, "live.svg", svg("<rect x='10' y='10' width='20' height='20'/>"));
    driver.drop({path});
    const auto before = job_box(driver);
    const auto steps = driver->document().job().steps;
    write(folder, "live.svg",
          svg("<rect x='10' y='10' width='20' height='20'/><path d='M40 10H60' stroke='#00ff00'/>"));
    REQUIRE(wait_for([&] { return shows(driver, "live.svg changed on the disk"); }));
    CHECK(job_box(driver) == before);
    click_button(driver, "Read again");
    const auto after = job_box(driver);
    CHECK(after.left == Approx(before.left));
    CHECK(after.width() == Approx(50));
    CHECK(driver->document().job().steps[0].inks[0] == steps[0].inks[0]);
    CHECK_FALSE(shows(driver, "changed on the disk"));
}

TEST_CASE("the inbox is off at first, then a file saved there offers itself, links do not") {
    QSettings().clear();
    WindowDriver driver;
    driver->choose(app::Mark::art);
    CHECK(shows(driver, "Inbox folder: off"));
    const QTemporaryDir folder, elsewhere;
    write(folder, "old.svg", svg("<path d='M0 0H9'/>"));
    driver->inbox().set_folder(folder.path());
    const QString target = write(elsewhere, "secret.svg", svg("<path d='M0 0H9'/>"));
    QFile::link(target, folder.filePath("link.svg"));
    write(folder, "fresh.svg", svg("<path d='M0 0H30'/>"));
    REQUIRE(wait_for([&] { return shows(driver, "fresh.svg came into the inbox"); }));
    CHECK_FALSE(shows(driver, "link.svg"));
    CHECK_FALSE(shows(driver, "old.svg"));
    CHECK(driver->document().job().motifs.empty());
    click_button(driver, "Bring in");
    REQUIRE(wait_for([&] { return driver->document().job().motifs.size() == 1; }));
    driver->inbox().set_folder({});
}

TEST_CASE("files dropped while others are still being read all come in") {
    WindowDriver driver;
    const QTemporaryDir folder;
    QStringList paths;
    for (int i = 0; i < 4; ++i)
        paths << write(folder, QString("n%1.svg").arg(i), svg("<path d='M0 0H9'/>"));
    driver->art().bring_in(QStringList{paths[0]});
    driver->art().bring_in(QStringList{paths[1]});
    driver->art().bring_in(QStringList{paths[2], paths[3]});
    CHECK(wait_for([&] { return driver->document().job().motifs.size() == 4; }));
}

TEST_CASE("paint covers paint by a tick, and art covers art by its order") {
    WindowDriver driver;
    QTemporaryDir folder;
    const QByteArray plate = "<rect width='40' height='20' fill='#000'/>",
                     white = "<rect x='10' y='5' width='20' height='10' fill='#fff'/>";
    driver.drop({write(folder, "plate.svg", svg(plate + white))});
    const auto area = [&] {
        REQUIRE(driver.wait_planned());
        return driver->plans().planned().plan->steps.at(0).area;
    };
    CHECK(area() == Approx(600).epsilon(0.01));
    driver->choose(app::Mark::art);
    driver->placing().choose({driver->document().job().motifs[0].id});
    QTest::qWait(20);
    const auto click_tick = [&](const QString& text) {
        QCheckBox* found = nullptr;
        for (auto* tick : driver->findChildren<QCheckBox*>())
            if (tick->isVisible() && tick->text() == text) found = tick;
        REQUIRE(found);
        QTest::mouseClick(found, Qt::LeftButton, {}, {8, found->height() / 2});
        REQUIRE(settled(driver));
    };
    click_tick("Paint covers paint");
    CHECK_FALSE(driver->document().job().motifs[0].art->read_with.cover);
    CHECK(area() == Approx(800).epsilon(0.01));
    QTest::keyClick(&driver.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(area() == Approx(600).epsilon(0.01));
    QTest::qWait(20);
    click_tick("It covers lines too");
    CHECK(driver->document().job().motifs[0].art->read_with.cover_lines);

    // Another drawing lies over it, until it is sent back by a key.
    driver.drop({write(folder, "patch.svg", svg("<rect width='6' height='30' fill='#fff'/>"))});
    const auto middle = [&](std::size_t motif) { return job::bounds(driver->document().job().motifs[motif]).centre(); };
    const geometry::Point away = middle(0) - middle(1);
    driver->placing().choose({driver->document().job().motifs[1].id});
    driver->placing().move({away.x + 17, away.y});
    CHECK(area() == Approx(600 - 6 * 20).epsilon(0.01));
    driver->bed().setFocus();
    QTest::keyClick(&driver->bed(), Qt::Key_PageDown);
    CHECK(area() == Approx(600).epsilon(0.01));
    QTest::keyClick(&driver->bed(), Qt::Key_PageUp, Qt::ShiftModifier);
    CHECK(area() == Approx(480).epsilon(0.01));
    REQUIRE(driver.click("Send back"));
    CHECK(area() == Approx(600).epsilon(0.01));
}

TEST_CASE("a drawing burns as it looks by one click, and back") {
    WindowDriver driver;
    QTemporaryDir folder;
    driver.drop(
        {write(folder, "soft.svg",
               svg("<filter id='f'><feGaussianBlur stdDeviation='2'/></filter>"
                   "<circle cx='20' cy='20' r='10' fill='#000' stroke='none' filter='url(#f)'/><path d='M0 0H40'/>"))});
    driver->choose(app::Mark::art);
    driver->placing().choose({driver->document().job().motifs[0].id});
    QTest::qWait(20);
    CHECK(driver->document().job().motifs[0].art->pictures.empty());
    click_button(driver, "As it looks");
    const auto art = driver->document().job().motifs[0].art;
    CHECK(art->pictures.size() == 1);
    REQUIRE(art->shapes.size() == 1);
    CHECK(art->shapes[0].ink.kind == InkKind::line);
    REQUIRE(driver.wait_planned());
    CHECK(driver->plans().planned().plan->proofs.size() == 1);
    // A step that burns other dots has it drawn anew for them.
    job::Id picture_step = 0;
    for (const job::Step& step : driver->document().job().steps)
        if (step.settings.kind == steps::StepKind::picture) picture_step = step.id;
    steps::StepSettings settings = driver->document().job().step(picture_step)->settings;
    settings.line_pitch = Length::mm(0.2);
    REQUIRE(driver->document().edit(
        "pitch",
        job::change_settings(driver->document().job(), picture_step, settings, driver->machine().profile().top_speed()),
        app::JobChange::steps));
    QTest::qWait(20);
    click_button(driver, "Draw it with dots of 0.2 mm");
    CHECK(driver->document().job().motifs[0].art->read_with.as_picture == 0.2);
    CHECK(driver->document().job().motifs[0].art->pictures[0].image->width < art->pictures[0].image->width);
    click_button(driver, "As areas and lines");
    CHECK(driver->document().job().motifs[0].art->pictures.empty());
    // What is not reproduced is said at the top of the tray and on the line, and offers the same.
    CHECK(driver.fact(app::Mark::art).contains("1 remark"));
    CHECK(wait_for([&] { return shows(driver, "filter: not reproduced"); }));
    click_button(driver, "Burn it as it looks");
    CHECK(driver->document().job().motifs[0].art->pictures.size() == 1);
    CHECK_FALSE(driver.fact(app::Mark::art).contains("remark"));
}

TEST_CASE("reading can be broken off, and nothing comes in") {
    WindowDriver driver;
    QTemporaryDir folder;
    QByteArray many;
    for (int i = 0; i < 300'000; ++i)
        many += "<path d='M0 0H9V" + QByteArray::number(i % 50) + "'/>";
    const QString path = write(folder, "many.svg", svg(many));
    driver->choose(app::Mark::art);
    driver->art().bring_in(QStringList{path, path, path});
    driver->art().bring_in(QStringList{path});
    QAbstractButton* cancel = nullptr;
    REQUIRE(wait_for([&] { return (cancel = named<QAbstractButton>(driver, "Stop reading art")) != nullptr; }));
    QTest::mouseClick(cancel, Qt::LeftButton);
    CHECK_FALSE(driver->art().busy());
    CHECK(wait_for([&] { return app::work_pool()->activeThreadCount() == 0; }));
    CHECK(driver->document().job().motifs.empty());
    CHECK_FALSE(cancel->isVisible());
    // What comes next is read as ever.
    driver.drop({write(folder, "one.svg", svg("<path d='M0 0H9'/>"))});
    CHECK(driver->document().job().motifs.size() == 1);
}
