// SPDX-License-Identifier: GPL-3.0-or-later
#include "widgets/controls.hpp"

#include "widgets/figure_slider.hpp"
#include "widgets/ink_chip.hpp"
#include "widgets/sheet.hpp"

#include <catch2/catch.hpp>

#include <QAccessible>
#include <QTest>

using namespace chalkline;
using namespace chalkline::app;

TEST_CASE("a field reads any unit, marks what it cannot read and gives the old value back on Esc") {
    QWidget window;
    ValueField* field = make_length_field("Width", &window);
    std::vector<double> committed;
    QObject::connect(field, &ValueField::committed, [&](double v) { committed.push_back(v); });
    field->show_value(10);
    CHECK(field->text() == "10 mm");
    window.show();
    field->setFocus();
    const auto type = [&](const QString& text) {
        field->selectAll();
        QTest::keyClicks(field, text);
        QTest::keyClick(field, Qt::Key_Return);
    };
    type("1/2in");
    CHECK(committed == std::vector<double>{12.7});
    CHECK(field->text() == "12.7 mm");
    type("broad");
    CHECK(committed.size() == 1);
    CHECK(field->property("wrong").toBool());
    CHECK(field->toolTip().contains("broad"));
    QTest::keyClick(field, Qt::Key_Escape);
    CHECK(field->text() == "12.7 mm");
    CHECK_FALSE(field->property("wrong").toBool());
}

TEST_CASE("a field that was not typed in commits nothing") {
    QWidget window;
    ValueField* field = make_speed_field("Speed", Speed::mm_per_min(12000), &window);
    int commits = 0;
    QObject::connect(field, &ValueField::committed, [&](double) { ++commits; });
    field->show_value(3200);
    QTest::keyClick(field, Qt::Key_Return);
    CHECK(commits == 0);
    CHECK(field->text() == "3200 mm/min");
}

TEST_CASE("a chip sends itself by digit and only then") {
    const auto roles = theme::light();
    InkChip chip({{1, 2, 3}, InkKind::fill}, 19, roles, nullptr);
    std::vector<int> sent;
    QObject::connect(&chip, &InkChip::sent, [&](int n) { sent.push_back(n); });
    QTest::keyClick(&chip, Qt::Key_3);
    QTest::keyClick(&chip, Qt::Key_0);
    QTest::keyClick(&chip, Qt::Key_X);
    CHECK(sent == std::vector<int>{3, 0});
    CHECK(chip.accessibleName().contains("#010203"));
    CHECK(chip.accessibleName().contains("19 fills"));
}

TEST_CASE("a press without a move drops nothing") {
    const auto roles = theme::light();
    QWidget window;
    InkChip chip({{1, 2, 3}, InkKind::line}, 1, roles, &window);
    int drops = 0;
    QObject::connect(&chip, &InkChip::dropped, [&](const QPoint&) { ++drops; });
    QTest::mouseClick(&chip, Qt::LeftButton);
    CHECK(drops == 0);
    QTest::mousePress(&chip, Qt::LeftButton, {}, {5, 5});
    QTest::mouseMove(&chip, {60, 60});
    QTest::mouseRelease(&chip, Qt::LeftButton, {}, {60, 60});
    CHECK(drops == 1);
}

TEST_CASE("Return presses a sheet's main button, Esc none") {
    QWidget window;
    window.resize(800, 600);
    window.show();
    int done = 0;
    auto* sheet = new Sheet("Sure?", &window);
    sheet->add_button("No", ButtonLook::plain, {});
    sheet->add_button("Yes", ButtonLook::accent, [&] { ++done; });
    sheet->open();
    QTest::keyClick(sheet, Qt::Key_Return);
    CHECK(done == 1);
    auto* second = new Sheet("Sure?", &window);
    second->add_button("Yes", ButtonLook::accent, [&] { ++done; });
    second->open();
    QTest::keyClick(second, Qt::Key_Escape);
    CHECK(done == 1);
    CHECK_FALSE(second->isVisible());
}

TEST_CASE("a slider tells its figure to readers, not its steps") {
    answer_screen_readers();
    FigureSlider slider("Specks up to", 0, 4, 10, "mm", nullptr);
    slider.show_figure(0.2);
    int turned = 0;
    QObject::connect(&slider, &QSlider::valueChanged, [&] { ++turned; });
    auto* told = QAccessible::queryAccessibleInterface(&slider);
    REQUIRE(told);
    CHECK(told->role() == QAccessible::Slider);
    CHECK(told->text(QAccessible::Value) == "0.2 mm");
    REQUIRE(told->valueInterface());
    CHECK(told->valueInterface()->currentValue().toDouble() == Approx(0.2));
    CHECK(told->valueInterface()->maximumValue().toDouble() == Approx(4));
    told->valueInterface()->setCurrentValue(7);
    CHECK(slider.figure() == Approx(4));
    CHECK(turned == 1);
    slider.show_figure(1.5);
    CHECK(turned == 1);
    QTest::keyClick(&slider, Qt::Key_Left);
    CHECK(slider.figure() == Approx(1.4));
}
