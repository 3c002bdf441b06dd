// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/encoding/encoder.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <cmath>

using namespace chalkline;
using namespace chalkline::machine;
using geometry::Point;

namespace {

std::vector<ProgramLine> lines_of(const Program& program) {
    const MachineProfile profile;
    Encoder encoder(program, profile);
    std::vector<ProgramLine> lines;
    for (ProgramLine line; encoder.next(line);)
        lines.push_back(line);
    return lines;
}

std::vector<std::string> texts(const Program& program) {
    std::vector<std::string> result;
    for (const auto& line : lines_of(program))
        result.push_back(line.text);
    return result;
}

const Speed slow = Speed::mm_per_min(600);

/// A row from x on with alternating dark and lit runs (µm).
Program row(double x, double y, const std::vector<std::uint32_t>& lengths) {
    Program program;
    std::uint32_t sum = 0;
    bool lit = false;
    for (const auto length : lengths) {
        program.runs.push_back({length, static_cast<PowerValue>(lit ? 7000 : 0)});
        sum += length;
        lit = !lit;
    }
    program.operations = {{Beam{BeamMode::following}, slow, {}},
                          {Travel{{x, y}, true}, slow, {}},
                          {Sweep{{x + sum / 1000.0, y}, 0, static_cast<std::uint32_t>(lengths.size())}, slow, {}},
                          {Beam{BeamMode::off}, slow, {}}};
    return program;
}

}  // namespace

TEST_CASE("a program sets its own modes, says each word once and ends dark") {
    Program program;
    program.points = {{20, 10}, {20, 20.5}};
    program.operations = {{Beam{BeamMode::following}, slow, {}},
                          {Air{true}, slow, {}},
                          {Travel{{10, 10}, true}, slow, {}},
                          {Trace{0, 2, 3500}, slow, {}},
                          {Beam{BeamMode::off}, slow, {}}};
    CHECK(texts(program) == std::vector<std::string>{"G21G90G17G94G54", "M5S0", "M4S0", "M8", "G0X10Y10",
                                                     "G1X20S350F600", "Y20.5", "M5S0", "M9"});
}

TEST_CASE("a program that is cut off still ends dark") {
    Program program;
    program.points = {{1, 0}};
    program.operations = {
        {Beam{BeamMode::constant}, slow, {}}, {Travel{{0, 0}, true}, slow, {}}, {Trace{0, 1, 100}, slow, {}}};
    const auto lines = texts(program);
    CHECK(lines[lines.size() - 2] == "M5S0");
}

TEST_CASE("every row starts from an absolute place and is as short as it can be") {
    const auto few = texts(row(10, 5, {2000, 5000, 2000}));
    CHECK(few[3] == "G0X10Y5");
    CHECK(few[4] == "G1F600X12");
    CHECK(few[5] == "X17S700");
    std::vector<std::uint32_t> dots{2000};
    for (int i = 0; i < 41; ++i)
        dots.push_back(300);
    const auto many = texts(row(110.5, 5, dots));
    CHECK(many[4] == "G91G1F600X2");
    CHECK(many[5] == "X.3S700");
    CHECK(many[6] == "X.3S0");
    CHECK(many.back() == "M9");
    CHECK(std::count_if(many.begin(), many.end(), [](const std::string& l) { return l.starts_with("G90"); }) == 1);
    std::size_t bytes = 0;
    for (std::size_t i = 4; i < 4 + dots.size(); ++i)
        bytes += many[i].size() + 1;
    CHECK(static_cast<double>(bytes) / static_cast<double>(dots.size()) <= 8);
}

TEST_CASE("a row decodes to where it should go, however it is cut") {
    rc::prop("positions of every run", [] {
        std::vector<std::uint32_t> lengths;
        const int count = *rc::gen::inRange(1, 60);
        for (int i = 0; i < count; ++i)
            lengths.push_back(*rc::gen::inRange<std::uint32_t>(1, 20000));
        const double x = *rc::gen::inRange(0, 400000) / 1000.0;
        double at = 0, wanted = x;
        bool relative = false;
        std::size_t run = 0;
        for (const auto& text : texts(row(x, 12.345, lengths))) {
            RC_ASSERT(text.size() <= longest_line);
            if (text.find("G91") != std::string::npos) relative = true;
            if (text.find("G90") != std::string::npos) relative = false;
            const auto place = text.find('X');
            if (place == std::string::npos) continue;
            const double value = std::stod(text.substr(place + 1));
            at = relative ? at + value : value;
            if (text.find("G0") != std::string::npos) continue;
            wanted += lengths[run++] / 1000.0;
            RC_ASSERT(std::abs(at - wanted) < 0.0011);
        }
        RC_ASSERT(run == lengths.size());
    });
}

TEST_CASE("every line knows its operation") {
    const auto lines = lines_of(row(10, 5, {2000, 5000, 2000}));
    CHECK(lines.front().operation == -1);
    CHECK(lines[3].operation == 1);
    for (int i = 4; i < 7; ++i)
        CHECK(lines[static_cast<std::size_t>(i)].operation == 2);
    CHECK(lines.back().operation == -1);
}

TEST_CASE("program texts lose comments, blanks and carriage returns") {
    const auto text = std::make_shared<const std::string>("%\r\nG21 G90 (mm)\r\n\n ; note\nG1 X1(a)Y2;end\nM5");
    TextLines lines(text);
    std::vector<std::string> found;
    for (ProgramLine line; lines.next(line);)
        found.push_back(line.text);
    CHECK(found == std::vector<std::string>{"G21G90", "G1X1Y2", "M5"});
}

TEST_CASE("profiles go through JSON and back, wrong values are named") {
    MachineProfile profile;
    profile.name = "Tall “one”";
    profile.home = HomeCorner::far_right;
    profile.width = 812.5;
    CHECK(parse_profile(to_json(profile), "x").value() == profile);
    CHECK(parse_profile(R"({"format":"chalkline-machine"})", "x").value() == MachineProfile{});
    for (const char* text :
         {"", "[]", "{}", R"({"format":"chalkline-machine","watts":-1})",
          R"({"format":"chalkline-machine","home":"roof"})", R"({"format":"chalkline-machine","work_area_mm":[1]})",
          R"({"format":"chalkline-machine","baud":"fast"})", R"({"format":"chalkline-machine","name":3})"}) {
        INFO(text);
        CHECK(parse_profile(text, "x").error().code == machine::error::bad_profile);
    }
}
