// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/simulator/controller.hpp>
#include <chalkline/simulator/material.hpp>

#include <catch2/catch.hpp>

#include <cmath>
#include <numeric>

using namespace chalkline;
using namespace chalkline::simulator;
using geometry::Point;

namespace {

machine::MachineProfile homeless() {
    machine::MachineProfile profile;
    profile.home = machine::HomeCorner::none;
    return profile;
}

/// Sends lines and lets the machine finish; returns everything it said.
std::string play(Controller& controller, const std::string& lines, double patience = 600) {
    std::string said;
    std::size_t at = 0;
    double gone = 0;
    // Keeps the buffer from overflowing: one line at a time.
    while (gone < patience) {
        if (at < lines.size() && controller.room() > 100) {
            const auto end = std::min(lines.size(), lines.find('\n', at) + 1);
            controller.receive(lines.substr(at, end - at));
            at = end;
        }
        controller.advance(0.005);
        gone += 0.005;
        said += controller.take_output();
        if (at == lines.size() && controller.at_rest()) break;
    }
    return said;
}

std::string status_of(Controller& controller) {
    controller.take_output();
    controller.receive("?");
    controller.advance(0.02);
    return controller.take_output();
}

int count(const std::string& text, const std::string& part) {
    int n = 0;
    for (auto at = text.find(part); at != std::string::npos; at = text.find(part, at + 1))
        ++n;
    return n;
}

}  // namespace

TEST_CASE("it greets, is locked until home is found, and answers settings") {
    Controller controller({});
    const std::string hello = play(controller, "$$\n");
    CHECK(hello.find("Wrenfold 1.1") != std::string::npos);
    CHECK(hello.find("$32=1") != std::string::npos);
    CHECK(hello.find("$130=400.000") != std::string::npos);
    CHECK(status_of(controller).find("<Alarm|") != std::string::npos);
    CHECK(play(controller, "G0X1\n").find("error:9") != std::string::npos);
    CHECK(play(controller, "$H\n").find("ok") != std::string::npos);
    CHECK(status_of(controller).find("<Idle|MPos:-399.000,-299.000") != std::string::npos);
}

TEST_CASE("a straight move takes the time its acceleration demands") {
    Controller controller(homeless());
    play(controller, "G21G90\n");
    const double before = controller.now();
    controller.receive("G1X100F6000\n");
    while (controller.head().x < 100 - 1e-9)
        controller.advance(0.001);
    // 100 mm/s, 1200 mm/s²: ramps of 1/12 s and 4.17 mm each, the rest at full speed.
    CHECK(controller.now() - before == Approx(100.0 / 100 + 100.0 / 1200).epsilon(0.01));
}

TEST_CASE("speed is limited by the axes, by corners and by short moves") {
    Controller controller(homeless());
    play(controller, "G21G90\nG1X50Y50F99999\n");
    CHECK(controller.report().top_mm_min <= 12000 * std::sqrt(2.0) + 1);
    Controller corner(homeless());
    play(corner, "G21G90\n");
    const double start = corner.now();
    play(corner, "G1X10F6000\nY10\nX0\nY0\n");
    const double with_corners = corner.now() - start;
    Controller straight(homeless());
    play(straight, "G21G90\n");
    const double second = straight.now();
    play(straight, "G1X40F6000\n");
    CHECK(with_corners > (straight.now() - second) * 1.3);
}

TEST_CASE("collinear moves run through without slowing") {
    Controller controller(homeless());
    play(controller, "G21G90\n");
    std::string lines;
    for (int i = 1; i <= 100; ++i)
        lines += (i == 1 ? "G1F6000X" : "X") + std::to_string(i) + "\n";
    const double before = controller.now();
    play(controller, lines);
    CHECK(controller.now() - before == Approx(1.0833).epsilon(0.05));
    CHECK(controller.report().starved == 0);
}

TEST_CASE("under M4 the energy per length is the same at every speed, under M3 it is not") {
    const auto burned = [](const std::string& mode) {
        DoseMap dose(400, 300, 10, 0.2);
        Controller controller(homeless());
        controller.set_dose_map(&dose);
        play(controller, "G21G90\nG0X10Y10\n" + mode + "S500\nG1X30F3000\nM5\n");
        const auto column = [&](double x) {
            double sum = 0;
            for (int row = 80; row < 120; ++row)
                sum += dose.at(static_cast<int>(x * 10), row);
            return sum;
        };
        return std::pair{column(10.3), column(20)};
    };
    const auto [start4, middle4] = burned("M4");
    CHECK(start4 == Approx(middle4).epsilon(0.02));
    // 5 W at 50 mm/s: 100 mJ/mm, over cells of 0.1 mm.
    CHECK(middle4 * 0.01 * 10 == Approx(100).epsilon(0.02));
    const auto [start3, middle3] = burned("M3");
    CHECK(start3 > middle3 * 1.3);
}

TEST_CASE("rapid moves are dark, S may change without stopping") {
    DoseMap dose(400, 300, 10, 0.2);
    Controller controller(homeless());
    controller.set_dose_map(&dose);
    play(controller, "G21G90\nM4S1000\nG0X100\nG1X110F3000S500\nX120S0\nX130S500\nM5\n");
    CHECK(controller.report().beam_on_mm == Approx(20).margin(0.01));
    CHECK(controller.report().travel_mm == Approx(110).margin(0.01));
    CHECK(dose.at(500, 0) == 0);
    CHECK(dose.at(1050, 0) > 0);
    CHECK(dose.at(1150, 0) == 0);
}

TEST_CASE("the beam standing under M3 is seen as a breach, under M4 it is dark") {
    Controller constant(homeless());
    play(constant, "G21G90\nM3S200\nG1X5F1000\nG4P0.4\nM5\n");
    CHECK_FALSE(constant.report().violations.empty());
    // A short weak burst shows where the beam is; a short strong one is none.
    Controller pulsing(homeless());
    play(pulsing, "G21G90\nG1F1000M3S200\nG4P0.2\nM5\n");
    CHECK(pulsing.report().violations.empty());
    Controller strong(homeless());
    play(strong, "G21G90\nG1F1000M3S300\nG4P0.2\nM5\n");
    CHECK_FALSE(strong.report().violations.empty());
    Controller following(homeless());
    play(following, "G21G90\nM4S200\nG1X5F1000\nG4P0.2\nM5\n");
    CHECK(following.report().violations.empty());
}

TEST_CASE("hold, resume and reset while moving") {
    Controller controller(homeless());
    play(controller, "G21G90\n");
    controller.receive("M4S100\nG1X200F3000\n");
    controller.advance(1);
    controller.receive("!");
    controller.advance(0.5);
    CHECK(status_of(controller).find("<Hold:0|") != std::string::npos);
    const Point held = controller.head();
    controller.advance(1);
    CHECK(controller.head() == held);
    controller.receive("~");
    controller.advance(0.5);
    CHECK(controller.head().x > held.x);
    controller.receive("\x18");
    controller.advance(0.05);
    const std::string said = controller.take_output();
    CHECK(said.find("ALARM:3") != std::string::npos);
    CHECK(said.find("Wrenfold") != std::string::npos);
    CHECK(status_of(controller).find("<Alarm|") != std::string::npos);
}

TEST_CASE("an opened door holds, says so, and lets itself be resumed") {
    Controller controller(homeless());
    play(controller, "G21G90\n");
    controller.receive("M4S100\nG1X100F3000\n");
    controller.advance(0.5);
    controller.receive("\x84");
    controller.advance(0.5);
    CHECK(status_of(controller).find("<Door:0|") != std::string::npos);
    CHECK(controller.beam() == 0);
    controller.receive("~");
    controller.advance(5);
    CHECK(status_of(controller).find("<Idle|") != std::string::npos);
    CHECK(controller.head().x == Approx(100));
}

TEST_CASE("jogs are limited, relative and cancellable") {
    Controller controller({});
    play(controller, "$H\n");
    CHECK(play(controller, "$J=G91X-50F1000\n").find("error:15") != std::string::npos);
    CHECK(play(controller, "$J=G91X10\n").find("error:22") != std::string::npos);
    controller.receive("$J=G91G21X100F3000\n");
    controller.advance(0.5);
    CHECK(status_of(controller).find("<Jog|") != std::string::npos);
    controller.receive("\x85");
    controller.advance(0.5);
    CHECK(status_of(controller).find("<Idle|") != std::string::npos);
    CHECK(controller.head().x < 60);
}

TEST_CASE("soft limits lock until a reset") {
    Controller controller({});
    play(controller, "$H\nG21G90\nG10L2P1X-400Y-300\n");
    const std::string said = play(controller, "G0X500\n", 2);
    CHECK(said.find("ALARM:2") != std::string::npos);
    controller.receive("?");
    controller.advance(0.05);
    CHECK(controller.take_output().find("<") == std::string::npos);
    controller.receive("\x18");
    controller.advance(0.05);
    CHECK(status_of(controller).find("<Alarm|") != std::string::npos);
}

TEST_CASE("what it does not know it refuses by number, one answer a line") {
    Controller controller(homeless());
    play(controller, "");
    const std::string said =
        play(controller, "G21G90\nG5X1\nG1X1\nX\nM77\n\n(note)\nG1X1F100Q3\n$Z\n" + std::string(100, 'X') + "\n");
    CHECK(count(said, "error:20") == 3);
    CHECK(count(said, "error:22") == 1);
    CHECK(count(said, "error:2\r") == 1);
    CHECK(count(said, "error:3\r") == 1);
    CHECK(count(said, "error:11") == 1);
    CHECK(count(said, "ok\r\n") == 3);
}

TEST_CASE("too many bytes at once are lost and reported") {
    Controller controller(homeless());
    std::string lines = "G21G90\nG1F100X100\n";
    for (int i = 0; i < 60; ++i)
        lines += "X" + std::to_string(100 + i) + "\n";
    controller.receive(lines);
    controller.advance(1);
    CHECK(std::find(controller.report().violations.begin(), controller.report().violations.end(),
                    "receive buffer overflow") != controller.report().violations.end());
}

TEST_CASE("arcs go round") {
    Controller controller(homeless());
    play(controller, "G21G90\nG0X20Y10\nM4S100\nG3X20Y10I-10J0F1200\nM5\n");
    CHECK(controller.report().beam_on_mm == Approx(2 * M_PI * 10).epsilon(0.001));
    CHECK(play(controller, "G2X30Y10\n").find("error:35") != std::string::npos);
}

TEST_CASE("overrides change speed and power at once") {
    Controller controller(homeless());
    play(controller, "G21G90\n");
    controller.receive("M4S500\nG1X200F3000\n");
    controller.advance(1);
    CHECK(controller.beam() == Approx(0.5).epsilon(0.01));
    controller.receive("\x9a\x92\x92\x92\x92\x92");
    controller.advance(0.5);
    const std::string status = status_of(controller);
    CHECK(status.find("FS:1500,") != std::string::npos);
    // Power follows the programmed speed: half the speed, 110 % of half the power.
    CHECK(controller.beam() == Approx(0.275).epsilon(0.02));
}

TEST_CASE("settings survive in their text") {
    Controller controller(homeless());
    play(controller, "$110=5000\nG10L2P1X-10Y-20\n");
    Controller again(homeless());
    again.load_settings(controller.settings_text());
    CHECK(again.settings_text() == controller.settings_text());
    CHECK(play(again, "$$\n$#\n").find("$110=5000.000") != std::string::npos);
}

TEST_CASE("a program starved by its host is counted, one that pauses on purpose is not") {
    Controller controller(homeless());
    play(controller, "G21G90\nM4S0\nG1F3000X1\n");
    controller.receive("X2\n");
    controller.advance(0.1);
    controller.receive("X3\n");
    controller.advance(1);
    CHECK(controller.report().starved >= 1);
    Controller calm(homeless());
    play(calm, "G21G90\nM4S0\nG1F3000X1\nM8\nX2\nM9\nX3\nM5\n");
    CHECK(calm.report().starved == 0);
}

TEST_CASE("the same bytes give the same burn") {
    const auto burn = [] {
        DoseMap dose(400, 300, 10, 0.2);
        Controller controller(homeless());
        controller.set_dose_map(&dose);
        play(controller, "G21G90\nM4S700\nG0X10Y10\nG1X30F3200\nY20\nX10S200\nM5\n");
        return std::pair{dose.cells(), to_json(controller.report())};
    };
    CHECK(burn() == burn());
}

TEST_CASE("energy is kept: what the beam gave lies on the map") {
    DoseMap dose(100, 100, 10, 0.18);
    dose.burn({10, 10}, {50, 60}, 1234);
    double sum = 0;
    for (const float cell : dose.cells())
        sum += cell;
    CHECK(sum / 100 == Approx(1234).epsilon(1e-4));
    dose.burn({-5, -5}, {-1, -1}, 1000);  // beside the bed: lost, no harm
}

TEST_CASE("materials darken or lighten with the dose and are cut by enough of it") {
    DoseMap dose(10, 10, 10, 0.2);
    for (int i = 0; i < 40; ++i)
        dose.burn({1, 5}, {9, 5}, 8 * 900.0);
    const auto image = render(dose, {*find_material("birch"), 3, {}});
    const auto slate = render(dose, {*find_material("slate"), 8, {}});
    auto picture = image, stone = slate;
    CHECK(picture.at(50, 10) == find_material("birch")->bare);
    CHECK(picture.at(50, 49).red < 60);
    CHECK(stone.at(50, 49).red > stone.at(50, 10).red);
    CHECK_FALSE(find_material("cheese"));
}
