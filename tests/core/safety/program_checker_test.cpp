// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/limits.hpp"

#include <chalkline/encoding/encoder.hpp>
#include <chalkline/safety/program_checker.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::planning;
using namespace chalkline::safety;

namespace {

const std::string prologue = "G21G90G17\nM5S0\nM4S0\nG0X10Y10\n";

/// Codes of the faults of a program text.
std::vector<std::string> codes(const std::string& text, const ProgramLimits& limits = {{}, {}, {}}) {
    machine::TextLines lines(std::make_shared<const std::string>(text));
    std::vector<std::string> result;
    for (const auto& fault : check_program(lines, limits))
        result.push_back(fault.code);
    return result;
}

using Codes = std::vector<std::string>;
Codes one(std::string_view code) {
    return {std::string(code)};
}

}  // namespace

TEST_CASE("a clean program passes") {
    CHECK(codes(prologue + "G1X20S500F1000\nG91\nX1S0\nY-1S300\nG90\nG0X50Y50\nM5S0\nM9\n").empty());
    CHECK(codes("G20 G90 G17\nM4 S0\nG0 X1 Y1\nG1 X2 F20 S100\nM5\n").empty());
}

TEST_CASE("the beam stays on bed and stock, dark moves stay on the bed") {
    CHECK(codes(prologue + "G1X401S500F1000\nM5\n") == one(fault::beam_off_bed));
    CHECK(codes(prologue + "G0X-1\nM5\n") == one(fault::beyond_limits));
    CHECK(codes(prologue + "G1X401S0F1000\nM5\n") == one(fault::beyond_limits));
    const ProgramLimits limits{{}, {{{5, 5}, {30, 5}, {30, 30}, {5, 30}}, true}, {}};
    CHECK(codes(prologue + "G1X29S500F1000\nG0X100\nM5\n", limits).empty());
    CHECK(codes(prologue + "G1X31S500F1000\nM5\n", limits) == one(fault::beam_off_stock));
    // Lit from a place outside is as bad as lit to one.
    CHECK(codes("G21G90G17\nM4S0\nG0X50Y10\nG1X20S500F1000\nM5\n", limits) == one(fault::beam_off_stock));
}

TEST_CASE("a piece with a hollow is looked at along the line, and a round one keeps its edge") {
    // An L: the far right quarter is missing.
    const ProgramLimits bent{{}, {{{5, 5}, {45, 5}, {45, 25}, {25, 25}, {25, 45}, {5, 45}}, true}, {}};
    CHECK(codes(prologue + "G1Y40S500F1000\nG0X40Y10\nG1Y20S500\nM5\n", bent).empty());
    CHECK(codes(prologue + "G0X10Y40\nG1X40Y10S500F1000\nM5\n", bent).size() == 0);
    CHECK(codes(prologue + "G0X20Y44\nG1X44Y20S500F1000\nM5\n", bent) == one(fault::beam_off_stock));
    CHECK(codes(prologue + "G0X20Y44\nG1X44Y20S0F1000\nM5\n", bent).empty());
}

TEST_CASE("the focus moves alone and dark, on machines that have an axis for it") {
    machine::MachineProfile with_z;
    with_z.z_axis = true;
    CHECK(codes(prologue + "G0Z-.5\nG1X20S500F1000\nG0Z0\nM5\n", {with_z, {}, {}}).empty());
    CHECK(codes(prologue + "G0Z-.5\nM5\n") == one(fault::unknown_word));
    CHECK(codes(prologue + "G1Z-.5S500F1000\nM5\n", {with_z, {}, {}}) == one(fault::unknown_word));
    CHECK(codes(prologue + "G0X20Z-.5\nM5\n", {with_z, {}, {}}) == one(fault::unknown_word));
}

TEST_CASE("relative moves and inches are followed") {
    CHECK(codes(prologue + "G91\nG1X300S5F1000\nX91\nM5\n") == one(fault::beam_off_bed));
    CHECK(codes("G20G90G17\nM4S0\nG0X16Y1\nM5\n") == one(fault::beyond_limits));
}

TEST_CASE("arcs are looked at along their way") {
    CHECK(codes(prologue + "G0X5Y10\nG3X5Y10I10J0S100F1000\nM5\n").empty());
    CHECK(codes(prologue + "G0X5Y10\nG2X5Y10I-10J0S100F1000\nM5\n") == one(fault::beam_off_bed));
}

TEST_CASE("the beam never stands still lit, nor at the end") {
    CHECK(codes("G21G90G17\nM3S0\nG0X10Y10\nG1X20S500F1000\nG4P1\nM5\n") == one(fault::beam_at_rest));
    CHECK(codes("G21G90G17\nM3S0\nG0X10Y10\nS300\nM5\n") == one(fault::beam_at_rest));
    CHECK(codes(prologue + "G1X20S500F1000\nG4P1\nM5\n").empty());  // M4 is dark at rest
    CHECK(codes(prologue + "G1X20S500F1000\n") == one(fault::ends_lit));
    CHECK(codes("G21G90G17\nG0X1Y1\nG1X5F100S200\nM5\n") == one(fault::beam_not_enabled));
}

TEST_CASE("power and speed stay within step and machine") {
    CHECK(codes(prologue + "G1X20S1001F1000\nM5\n") == one(fault::too_much_power));
    CHECK(codes(prologue + "G1X20S-1F1000\nM5\n") == one(fault::too_much_power));
    CHECK(codes(prologue + "G1X20S5F12001\nM5\n") == one(fault::too_fast));
    CHECK(codes(prologue + "G1X20S5F0\nM5\n") == Codes{std::string(fault::too_fast), std::string(fault::no_feed)});
    // A step of 35 % in a program that says 40 %.
    machine::Program program;
    program.points = {{20, 10}};
    program.operations = {{machine::Beam{machine::BeamMode::following}, {}, {}},
                          {machine::Travel{{10, 10}, true}, {}, {}},
                          {machine::Trace{0, 1, 4000}, Speed::mm_per_min(500), {7, 1, 0}},
                          {machine::Beam{machine::BeamMode::off}, {}, {}}};
    job::Job job;
    job.steps.push_back({7, {.power = Power::percent(35)}, {}});
    const machine::MachineProfile profile;
    machine::Encoder lines(program, profile);
    const auto faults = check_program(lines, test::limits_of(job, profile, program));
    REQUIRE(faults.size() == 1);
    CHECK(faults[0].code == fault::too_much_power);
    CHECK(faults[0].operation == 2);
    CHECK(faults[0].line == 5);
}

TEST_CASE("lines are short, plain and known") {
    CHECK(codes(prologue + "G1X20S5F1000" + std::string(60, ' ') + "\nM5\n")
              .empty());  // blanks are stripped before sending
    CHECK(codes(prologue + "G1X20.00000000000000000000000000000000000000000000000000000000000000001F1000\nM5\n") ==
          one(fault::line_too_long));
    CHECK(codes(prologue + "G1X2!0F100\nM5\n") == one(fault::forbidden_byte));
    CHECK(codes(prologue + "G1X2\x90"
                           "0F100\nM5\n") == one(fault::forbidden_byte));
    for (const char* line : {"G5X1", "M6", "T1", "G1Z5F100", "X1X2", "G", "$H", "G28", "G92X0", "G0Xnan", "X1e5"}) {
        INFO(line);
        CHECK(codes(prologue + line + "\nM5\n") == one(fault::unknown_word));
    }
}

TEST_CASE("modes and place must be set before they are used") {
    CHECK(codes("G90G17\nG0X1Y1\n") == one(fault::mode_not_set));
    CHECK(codes("G21G17\nG0X1Y1\n") == one(fault::mode_not_set));
    CHECK(codes("G21G90\nG0X1Y1\n") == one(fault::mode_not_set));
    CHECK(codes("G21G90G17\nG0X1\n") == one(fault::place_unknown));
    CHECK(codes("G21G90G17G91\nG0X1Y1\n") == one(fault::place_unknown));
    CHECK(codes(prologue + "G1X5S10\nM5\n") == one(fault::no_feed));
    CHECK(codes("\n(nothing)\n") == one(fault::empty));
}

TEST_CASE("a program full of faults is not read to the end") {
    std::string text = prologue;
    for (int i = 0; i < 1000; ++i)
        text += "T1\n";
    CHECK(codes(text).size() == 20);
}
