// SPDX-License-Identifier: GPL-3.0-or-later
// The words of the language as the simulated controller carries them out, seen from outside: where the head ends.
#include <chalkline/simulator/controller.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::simulator;
using geometry::Point;

namespace {

/// Where the head is after these lines, on a machine that starts at 0, 0.
struct Outcome {
    Point head;
    std::string said;
    Report report;
};

Outcome after(const std::string& lines) {
    machine::MachineProfile profile;
    profile.home = machine::HomeCorner::none;
    Controller controller(profile);
    std::string said;
    std::size_t at = 0;
    for (double gone = 0; gone < 300; gone += 0.005) {
        if (at < lines.size() && controller.room() > 100) {
            const auto end = std::min(lines.size(), lines.find('\n', at) + 1);
            controller.receive(lines.substr(at, end - at));
            at = end;
        }
        controller.advance(0.005);
        said += controller.take_output();
        if (at == lines.size() && controller.at_rest()) break;
    }
    return {controller.head(), said, controller.report()};
}

void check_place(const std::string& lines, Point wanted) {
    INFO(lines);
    const Outcome outcome = after(lines);
    CHECK(outcome.report.errors.empty());
    CHECK(outcome.head.x == Approx(wanted.x).margin(1e-6));
    CHECK(outcome.head.y == Approx(wanted.y).margin(1e-6));
}

}  // namespace

TEST_CASE("absolute and relative, millimetres and inches") {
    check_place("G21G90\nG0X10Y20\n", {10, 20});
    check_place("G0X10Y20\nG91\nX5\nY-3\n", {15, 17});
    check_place("G20G90G0X1Y2\n", {25.4, 50.8});
    check_place("G0X10\nG91X5\nG90Y7\n", {15, 7});
    check_place("g0 x10 y20 (small letters, blanks)\n", {10, 20});
    check_place("G0X10 ; and a note\n\n\nY5\n", {10, 5});
}

TEST_CASE("motion modes hold until another is stated") {
    check_place("G1F3000X10\nX20\nG0Y5\nY9\n", {20, 9});
    CHECK(after("G1X10\n").said.find("error:22") != std::string::npos);
    CHECK(after("G80\nG1X10F100X20\n").said.find("error:25") != std::string::npos);
}

TEST_CASE("offsets move what a place means, not the head") {
    check_place("G92X0Y0\nG0X10Y10\n", {10, 10});
    check_place("G0X10Y10\nG92X0Y0\nG0X5Y5\n", {15, 15});
    check_place("G0X10Y10\nG92X0Y0\nG92.1\nG0X5Y5\n", {5, 5});
    check_place("G0X10Y10\nG10L20P1X0Y0\nG0X5\n", {15, 10});
    check_place("G10L2P1X100Y50\nG0X5Y5\n", {105, 55});
    check_place("G10L2P1X100Y50\nG53G0X5Y5\n", {5, 5});
    check_place("G10L2P2X100\nG0X5\n", {5, 0});  // another system than the one in use
}

TEST_CASE("arcs end where they are told, either way round") {
    check_place("G0X20Y0\nG2X0Y20I-20J0F6000\n", {0, 20});
    check_place("G0X20Y10\nG3X20Y10I10J0F6000\n", {20, 10});
    CHECK(after("G0X20Y0\nG2X5Y5I-20J0F6000\n").said.find("error:33") != std::string::npos);
    const double quarter = after("G0X20Y0\nM4S100\nG3X0Y20I-20J0F6000\nM5\n").report.beam_on_mm;
    CHECK(quarter == Approx(10 * M_PI).epsilon(0.001));
}

TEST_CASE("a dwell waits for the head and then for its time") {
    const double without = after("G0X50\nG0X0\n").report.virtual_s;
    CHECK(after("G0X50\nG4P1.5\nG0X0\n").report.virtual_s >= without + 1.4999);
    CHECK(after("G4\n").said.find("error:28") != std::string::npos);
}

TEST_CASE("air and beam are reported as they are switched") {
    machine::MachineProfile profile;
    profile.home = machine::HomeCorner::none;
    Controller controller(profile);
    controller.receive("M4S0\nM8\n");
    controller.advance(0.2);
    controller.take_output();
    std::string seen;
    for (int i = 0; i < 25; ++i) {
        controller.receive("?");
        controller.advance(0.02);
        seen += controller.take_output();
    }
    // At rest a beam that follows the speed is dark, and no output is named for it.
    CHECK(seen.find("|Ov:100,100,100|A:F>") != std::string::npos);
    CHECK(seen.find("|WCO:0.000,0.000,0.000>") != std::string::npos);
}

TEST_CASE("the report mask chooses what a status shows") {
    const auto status = [](const std::string& setting) {
        machine::MachineProfile profile;
        profile.home = machine::HomeCorner::none;
        Controller controller(profile);
        controller.receive(setting + "\nG10L2P1X10\n");
        controller.advance(0.2);
        controller.take_output();
        controller.receive("?");
        controller.advance(0.02);
        return controller.take_output();
    };
    CHECK(status("$10=1").find("|MPos:0.000,0.000,0.000") != std::string::npos);
    CHECK(status("$10=1").find("Bf:") == std::string::npos);
    CHECK(status("$10=0").find("|WPos:-10.000,0.000,0.000") != std::string::npos);
    CHECK(status("$10=2").find("|Bf:16,128") != std::string::npos);
    CHECK(status("$13=1").find("MPos") != std::string::npos);
}

TEST_CASE("check mode reads without moving and ends with a reset") {
    const Outcome outcome = after("$C\nG0X50\nG9\n");
    CHECK(outcome.head == Point{});
    CHECK(outcome.said.find("[MSG:Enabled]") != std::string::npos);
}

TEST_CASE("without laser mode a change of power stops the head") {
    const std::string lines = "M3S100\nG1X10F6000\nX20S200\nX30S300\nX40S400\nM5\n";
    CHECK(after("$32=0\n" + lines).report.virtual_s > after(lines).report.virtual_s + 0.1);
}

TEST_CASE("asleep it hears nothing but a reset") {
    const Outcome outcome = after("$SLP\nG0X10\n");
    CHECK(outcome.head == Point{});
}
