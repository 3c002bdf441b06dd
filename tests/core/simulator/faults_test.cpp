// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/simulator/faults.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::simulator;

namespace {

/// A controller without home switches, idle, with these faults on its cable.
struct Bench {
    explicit Bench(std::vector<Fault> faults) : device(controller, controller, std::move(faults)) { (void)say(""); }
    static machine::MachineProfile profile() {
        machine::MachineProfile profile;
        profile.home = machine::HomeCorner::none;
        return profile;
    }
    std::string say(std::string_view bytes, double seconds = 0.2) {
        device.receive(bytes);
        std::string heard;
        for (double gone = 0; gone < seconds; gone += 0.01) {
            device.advance(0.01);
            heard += device.take_output();
        }
        return heard;
    }
    Controller controller{profile()};
    FaultyDevice device;
};

Fault at_line(Fault::Kind kind, double line, double seconds = 0) {
    Fault fault;
    fault.kind = kind;
    fault.at = line;
    fault.at_line = true;
    fault.seconds = seconds;
    return fault;
}

}  // namespace

TEST_CASE("a script of faults is read, and what is wrong in it is named") {
    const auto faults = parse_faults(R"([{"at_s": 2.5, "fault": "pull-cable", "seconds": 3},
                                         {"at_line": 40, "fault": "foreign-line", "text": "M5", "seed": 7}])",
                                     "f");
    REQUIRE(faults);
    REQUIRE(faults->size() == 2);
    CHECK((*faults)[0].kind == Fault::Kind::pull_cable);
    CHECK((*faults)[0].seconds == 3);
    CHECK((*faults)[1].at_line);
    CHECK((*faults)[1].text == "M5");
    for (const auto& [text, key] : std::vector<std::pair<const char*, const char*>>{
             {"{}", "[…]"},
             {"[3]", "{…}"},
             {R"([{"at_s": 1, "fault": "gremlins"}])", "fault"},
             {R"([{"fault": "delay"}])", "at_s"},
             {R"([{"at_s": -1, "fault": "delay"}])", "at_s"},
             {R"([{"at_s": 1, "fault": "delay", "seconds": "x"}])", "seconds"},
             {R"([{"at_s": 1, "fault": "foreign-line", "text": 3}])", "text"}}) {
        const auto wrong = parse_faults(text, "f");
        REQUIRE_FALSE(wrong);
        CHECK(wrong.error().parameters.front().second == key);
    }
}

TEST_CASE("lines and answers are garbled and lost one at a time") {
    Bench garbled({at_line(Fault::Kind::garble_line, 1)});
    CHECK(garbled.say("G0\n") == "ok\r\n");
    CHECK(garbled.say("X8\n", 2) == "ok\r\n");
    CHECK(garbled.controller.head().x != 8);
    CHECK(garbled.say("X5\n", 2) == "ok\r\n");
    CHECK(garbled.controller.head().x == 5);
    CHECK(garbled.device.happened() == 1);
    Bench silent({at_line(Fault::Kind::lose_answer, 2)});
    CHECK(silent.say("G4P0\n") == "ok\r\n");
    CHECK(silent.say("G4P0\n").empty());
    CHECK(silent.say("G4P0\n") == "ok\r\n");
    Bench wrong({at_line(Fault::Kind::garble_answer, 2)});
    CHECK(wrong.say("G4P0\n") == "ok\r\n");
    const std::string answer = wrong.say("G4P0\n");
    CHECK(answer != "ok\r\n");
    CHECK(answer.size() == 4);
}

TEST_CASE("a pulled cable passes nothing, a delay passes all of it late") {
    Bench pulled({at_line(Fault::Kind::pull_cable, 1, 1)});
    CHECK(pulled.say("G4P0\n").empty());
    CHECK_FALSE(pulled.device.plugged_in());
    (void)pulled.say("", 1);
    CHECK(pulled.device.plugged_in());
    CHECK(pulled.say("G4P0\n") == "ok\r\n");
    Bench late({at_line(Fault::Kind::delay, 1, 1)});
    CHECK(late.say("G4P0\nG4P0\n").empty());
    CHECK(late.say("", 1.5) == "ok\r\nok\r\n");
}

TEST_CASE("a door holds until it is shut, a limit switch locks, a power cut forgets") {
    Bench door({at_line(Fault::Kind::open_door, 2, 1)});
    (void)door.say("G91\n");
    (void)door.say("G1X50F600\n");
    CHECK(door.say("?", 0.5).find("<Door:1|") != std::string::npos);
    CHECK(door.say("~?").find("<Door:1|") != std::string::npos);
    (void)door.say("", 1);
    CHECK(door.say("?").find("<Door:0|") != std::string::npos);
    CHECK(door.say("~?").find("<Run|") != std::string::npos);
    Bench hit({at_line(Fault::Kind::limit_switch, 2)});
    (void)hit.say("G91\n");
    CHECK(hit.say("G1X50F600\n").find("ALARM:1") != std::string::npos);
    Bench dark({at_line(Fault::Kind::power_cut, 2, 1)});
    (void)dark.say("G91\n");
    (void)dark.say("G1X50F600\n", 0.5);
    CHECK(dark.say("?", 0.3).empty());
    const auto stands = dark.controller.head();
    CHECK(dark.say("", 1).find("Wrenfold 1.1h") != std::string::npos);
    CHECK(dark.controller.head() == stands);
    CHECK(dark.say("?").find("MPos:0.000,0.000") != std::string::npos);
}
