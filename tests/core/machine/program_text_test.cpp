// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/interpreter.hpp"

#include <chalkline/machine/program_text.hpp>
#include <chalkline/machine/walk.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::machine;
using geometry::Point;

namespace {

Program read(const std::string& text) {
    return read_program(text, MachineProfile{}, "p.nc").value();
}

}  // namespace

TEST_CASE("a program from a file becomes operations, whatever way its lines are written") {
    const Program program = read(
        "(a comment with G1 X999 in it)\n"
        "%\n"
        "G21 G90 G17 G94 G54\r\n"
        "N10 m4 s0 ; another\n"
        "G0X10Y20\n"
        "G1X30S500F1200\n"
        "Y40\n"
        "G91\n"
        "X-20\n"
        "S0X5\n"
        "S1000Y1\n"
        "M5\n"
        "M2\n");
    const auto moves = test::interpret(program);
    REQUIRE(moves.size() == 5);
    CHECK(moves[0].to == Point{30, 20});
    CHECK(moves[0].power == Approx(0.5));
    CHECK(moves[0].feed == 1200);
    CHECK_FALSE(moves[0].constant);
    CHECK(moves[1].to == Point{30, 40});
    CHECK(moves[2].to == Point{10, 40});
    CHECK_FALSE(moves[3].lit());
    CHECK(moves[3].to == Point{15, 40});
    CHECK(moves[4].to == Point{15, 41});
    CHECK(moves[4].power == 1);
    for (const Operation& operation : program.operations)
        CHECK(operation.origin.step == step_of_file);
}

TEST_CASE("inches, arcs, dwell, air and constant beam of a file are kept") {
    const Program inches = read("G20G90M3S1000\nG0X1Y1\nG1X2F10\nM8\nG4P1.5\nM9M5\n");
    const auto moves = test::interpret(inches);
    REQUIRE(moves.size() == 1);
    CHECK(moves[0].length() == Approx(25.4));
    CHECK(moves[0].feed == Approx(254));
    CHECK(moves[0].constant);
    int air = 0;
    double rests = 0;
    for (const Operation& operation : inches.operations) {
        air += std::holds_alternative<Air>(operation.act) ? 1 : 0;
        if (const auto* dwell = std::get_if<Dwell>(&operation.act)) rests += dwell->time.seconds();
    }
    CHECK(air == 2);
    CHECK(rests == 1.5);
    // A quarter and a whole circle, each way.
    for (const auto& [line, length] : std::vector<std::pair<const char*, double>>{
             {"G3X0Y10I-10J0", 15.708}, {"G2X0Y10I-10J0", 47.124}, {"G3X10Y0I-10J0", 62.832}}) {
        double burned = 0;
        walk(read(std::string("M4S500F600\nG0X10Y0\n") + line + "\n"), [&](const Stretch& s) {
            if (s.power > 0) burned += s.length();
        });
        CHECK(burned == Approx(length).epsilon(0.002));
    }
}

TEST_CASE("what a file says that nobody here knows is named with its line, and nothing burns") {
    for (const auto& [text, line, word] : std::vector<std::tuple<const char*, int, const char*>>{
             {"G0X1\nG5X2\n", 2, "G5"}, {"G0X1\n\nZ5\n", 3, "Z5"}, {"M6\n", 1, "M6"}, {"G1 X--2\n", 1, "G1 X--2"}}) {
        const auto wrong = read_program(text, {}, "p.nc");
        REQUIRE_FALSE(wrong);
        CHECK(wrong.error().code == machine::error::unknown_word);
        CHECK(wrong.error().line == line);
        CHECK(wrong.error().file == "p.nc");
        CHECK(wrong.error().parameters.front().second == word);
    }
    CHECK(read_program("", {}, "p").error().code == machine::error::empty_program);
    CHECK(read_program("G21\nM5\n", {}, "p").error().code == machine::error::empty_program);
}
