// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/machine/reply.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

using namespace chalkline::machine;

TEST_CASE("answers, alarms, greetings and settings") {
    CHECK(std::holds_alternative<reply::Ok>(parse_reply("ok")));
    CHECK(std::get<reply::LineError>(parse_reply("error:20")).number == 20);
    CHECK(std::get<reply::Alarm>(parse_reply("ALARM:2")).number == 2);
    CHECK(std::get<reply::Greeting>(parse_reply("Grbl 1.1h ['$' for help]")).version == "1.1h");
    const auto setting = std::get<reply::Setting>(parse_reply("$110=12000.000"));
    CHECK(setting.number == 110);
    CHECK(setting.value == 12000);
    CHECK(std::get<reply::Options>(parse_reply("[OPT:VL,15,128]")).receive_buffer == 128);
    CHECK(std::get<reply::Offset>(parse_reply("[G54:-400.000,-300.000,0.000]")).place ==
          chalkline::geometry::Point{-400, -300});
    CHECK(std::get<reply::Text>(parse_reply("[MSG:'$H'|'$X' to unlock]")).text == "[MSG:'$H'|'$X' to unlock]");
}

TEST_CASE("a status report in full and in parts") {
    const auto status = std::get<reply::Status>(parse_reply(
        "<Hold:1|MPos:-12.500,3.000,0.000|Bf:15,128|FS:500,350|WCO:-400.000,-300.000,0.000|Ov:100,50,110|Pn:XD|A:CF>"));
    CHECK(status.state == ControllerState::hold);
    CHECK(status.sub == 1);
    CHECK(status.machine == chalkline::geometry::Point{-12.5, 3});
    CHECK(status.offset == chalkline::geometry::Point{-400, -300});
    CHECK(status.feed == 500.0);
    CHECK(status.power == 350.0);
    CHECK(status.power_override == 110);
    CHECK(status.pins == "XD");
    CHECK(status.accessories == "CF");
    CHECK(std::get<reply::Status>(parse_reply("<Idle|WPos:1.000,2.000,0.000|F:0>")).work ==
          chalkline::geometry::Point{1, 2});
}

TEST_CASE("garbled lines are text, never a wrong value") {
    for (const char* line : {"<Idle", "<Idle|MPos:1.0.0,2>", "<Dance|MPos:1,2,3>", "ok ", "error:", "error:x",
                             "ALARM:1x", "$=3", "$1=", "$1=nan", "[OPT:V]", "", "<Run|MPos:5>"}) {
        INFO(line);
        CHECK(std::holds_alternative<reply::Text>(parse_reply(line)));
    }
}

TEST_CASE("any line is understood without harm") {
    rc::prop("arbitrary bytes", [](const std::string& line) { (void)parse_reply(line); });
}
