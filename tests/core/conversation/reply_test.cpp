// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/conversation/reply.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <string>
#include <utility>
#include <vector>

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
    for (const char* line :
         {"<Idle", "<Idle|MPos:1.0.0,2>", "<Dance|MPos:1,2,3>", "$=3", "$1=", "$1=nan", "[OPT:V]", "", "<Run|MPos:5>",
          "// 41.2 C", "busy", "[MSG:ok]", "$I=chalk", "Note: error:", "loop ok 12"}) {
        INFO(line);
        CHECK(std::holds_alternative<reply::Text>(parse_reply(line)));
    }
}

TEST_CASE("what was an answer before its way spoilt it is told from what a board chats") {
    for (const char* line : {"oK", "k", "o", "oj", "okk", "er2or:20", "rror:9", "errox:20", "errr:8"}) {
        INFO(line);
        CHECK(std::holds_alternative<reply::Garbled>(parse_reply(line)));
    }
    CHECK(std::get<reply::LineError>(parse_reply("error: Expected command letter")).number == 0);
    CHECK(std::get<reply::Alarm>(parse_reply("ALARM: Hard limit")).number == 0);
    CHECK(std::holds_alternative<reply::Ok>(parse_reply("ok ")));
}

TEST_CASE("the family greets in many ways, and describes what it is set to") {
    for (const auto& [line, version] :
         std::vector<std::pair<const char*, const char*>>{{"Wrenfold 1.1h ['$' for help]", "1.1h"},
                                                          {"GrblHAL 1.1f ['$' or '$HELP' for help]", "1.1f"},
                                                          {"\xff\x80\xe3Grbl 1.1f ['$' for help]", "1.1f"},
                                                          {"Grbl 3.7 [Shop v3.7.8 (wifi) '$' for help]", "3.7"},
                                                          {"Grbl 0.9j ['$' for help]", "0.9j"}}) {
        INFO(line);
        REQUIRE(std::holds_alternative<reply::Greeting>(parse_reply(line)));
        CHECK(std::get<reply::Greeting>(parse_reply(line)).version == version);
    }
    CHECK(std::holds_alternative<reply::Text>(parse_reply("[HLP:$$ $# $G $I ['$x' for help]")));
    const auto setting = [](const char* line) { return std::get<reply::Setting>(parse_reply(line)).value; };
    CHECK(setting("$22=1 (homing cycle, bool)") == 1);
    CHECK(setting("$27=.5") == 0.5);
    CHECK(setting("$110=+1.2e4") == 12000);
    CHECK(setting("$130=300. (x max travel, mm)") == 300);
    const auto options = std::get<reply::Options>(parse_reply("[OPT:VNMSL,35,1024,3,0]"));
    CHECK(options.planner_blocks == 35);
    CHECK(options.receive_buffer == 1024);
    CHECK(std::get<reply::BuildInfo>(parse_reply("[AXS:4:XYZA]")).value == "4:XYZA");
    CHECK(std::get<reply::BuildInfo>(parse_reply("[FIRMWARE:somebody's]")).key == "FIRMWARE");
}

TEST_CASE("reports with more axes, figures and fields than three are read for what they share") {
    const auto status = std::get<reply::Status>(
        parse_reply("<Run|MPos:1.000,2.000,0.000,45.000,0.000,7.000|Bf:511,4095|FS:500,350,348|T:0|MPG:0|In:1,2|H>"));
    CHECK(status.machine == chalkline::geometry::Point{1, 2});
    CHECK(status.turned == 45);
    CHECK(status.power == 350.0);
    CHECK(status.free_bytes == 4095);
    CHECK_FALSE(status.accessories);
    CHECK(std::get<reply::Status>(parse_reply("<Run|MPos:1,2,0|FS:5,0|Ov:100,100,80>")).accessories == "");
}

TEST_CASE("lines end as boards end them") {
    LineReader reader;
    std::vector<std::string> lines;
    reader.read("ok\rok\n\r\nok\r\n<Id", [&](const std::string& line) { lines.push_back(line); });
    CHECK(lines == std::vector<std::string>{"ok", "ok", "ok"});
    CHECK(reader.half_way());
}

TEST_CASE("any line is understood without harm") {
    rc::prop("arbitrary bytes", [](const std::string& line) { (void)parse_reply(line); });
}
