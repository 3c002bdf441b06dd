// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/ink.hpp>
#include <chalkline/base/units_text.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <clocale>

using namespace chalkline;

TEST_CASE("lengths are read in every way a maker writes them") {
    const auto mm = [](const char* text) { return parse_length(text, LengthUnit::mm).value().mm(); };
    CHECK(mm("12.5") == Approx(12.5));
    CHECK(mm(" 12,5 mm ") == Approx(12.5));
    CHECK(mm("2in") == Approx(50.8));
    CHECK(mm("1/8in") == Approx(3.175));
    CHECK(mm("1 1/2\"") == Approx(38.1));
    CHECK(mm("-1/2 in") == Approx(-12.7));
    CHECK(mm("5cm") == Approx(50));
    CHECK(mm("10 lines/mm") == Approx(0.1));
    CHECK(mm("254 dots/in") == Approx(0.1));
    CHECK(parse_length("3", LengthUnit::inch).value().mm() == Approx(76.2));
}

TEST_CASE("what is no length is refused with the text that was typed") {
    for (const char* text : {"", "abc", "1/0 in", "mm", "5 furlongs", "nan", "inf", "1e999", "0 lines/mm", "3 3 mm"}) {
        const auto read = parse_length(text, LengthUnit::mm);
        INFO(text);
        REQUIRE_FALSE(read);
        CHECK(read.error().code == error::not_a_length);
        CHECK(read.error().parameters[0].second == text);
    }
}

TEST_CASE("speeds convert between units") {
    CHECK(parse_speed("15mm/s", SpeedUnit::mm_per_min).value().mm_per_min() == Approx(900));
    CHECK(parse_speed("2 in/s", SpeedUnit::mm_per_min).value().mm_per_s() == Approx(50.8));
    CHECK(parse_speed("60", SpeedUnit::mm_per_s).value().mm_per_min() == Approx(3600));
    CHECK_FALSE(parse_speed("fast", SpeedUnit::mm_per_min));
    CHECK(parse_power("70 %").value().percent() == Approx(70));
    CHECK_FALSE(parse_power("70 W"));
}

TEST_CASE("numbers are printed short and never as minus nothing") {
    CHECK(format_number(3.0, 3) == "3");
    CHECK(format_number(0.10, 2) == "0.1");
    CHECK(format_number(-0.0001, 2) == "0");
    CHECK(format_number(1200, 0) == "1200");
    CHECK(format_length(Length::inches(1), LengthUnit::inch) == "1 in");
    CHECK(format_speed(Speed::mm_per_s(10), SpeedUnit::mm_per_min) == "600 mm/min");
}

TEST_CASE("a printed length is read back the same in any locale") {
    const char* before = std::setlocale(LC_NUMERIC, nullptr);
    std::setlocale(LC_NUMERIC, "de_DE.UTF-8");
    rc::prop("round trip", [](int hundredths) {
        const Length length = Length::mm(hundredths % 1000000 / 100.0);
        const auto text = format_length(length, LengthUnit::mm);
        RC_ASSERT(std::abs(parse_length(text, LengthUnit::mm).value().mm() - length.mm()) < 1e-9);
    });
    std::setlocale(LC_NUMERIC, before);
}

TEST_CASE("inks have a text of their own") {
    const Ink ink{{0x15, 0x65, 0xc0}, InkKind::line};
    CHECK(to_text(ink) == "#1565c0:line");
    CHECK(parse_ink("#1565c0:line") == ink);
    CHECK(parse_ink("#fff:fill") == Ink{{255, 255, 255}, InkKind::fill});
    for (const char* text : {"#1565c0", "1565c0:line", "#1565c0:dots", "#12345:line", "#gggggg:fill", ""})
        CHECK_FALSE(parse_ink(text));
}

TEST_CASE("drawing scales as people write them") {
    CHECK(parse_drawing_scale("1:50").value() == Approx(0.02));
    CHECK(parse_drawing_scale("2:1").value() == Approx(2));
    CHECK(parse_drawing_scale(" 1 : 2.5 ").value() == Approx(0.4));
    CHECK(parse_drawing_scale("1/8in = 1ft").value() == Approx(1.0 / 96));
    CHECK(parse_drawing_scale("1/4\" = 1'").value() == Approx(1.0 / 48));
    for (const char* text : {"", "50", "1:", ":2", "1:0", "0:1", "a:b", "1:1e9", "-1:2"})
        CHECK_FALSE(parse_drawing_scale(text));
}

TEST_CASE("picture inks are known by their fingerprint") {
    const Ink ink{{}, InkKind::picture, 0x0a1b2c3d};
    CHECK(to_text(ink) == "picture:0a1b2c3d");
    CHECK(parse_ink("picture:0a1b2c3d") == ink);
    for (const char* text : {"picture:", "picture:12", "picture:0a1b2c3g", "picture:0a1b2c3d4", "#123456:picture"})
        CHECK_FALSE(parse_ink(text));
}
