// SPDX-License-Identifier: GPL-3.0-or-later
// The command line as a script sees it: exit codes, JSON, files.
#include "support/cli_run.hpp"
#include "support/simulator_process.hpp"

#include <catch2/catch.hpp>

#include <algorithm>

using Json = nlohmann::json;
using namespace chalkline::test;

namespace {

const std::string plate = CHALKLINE_SAMPLES "/plate.svg", job = CHALKLINE_SAMPLES "/plot-27.chalk";

}  // namespace

TEST_CASE("art reads DXF with its unit, scale and letters") {
    const Scratch scratch;
    std::string text = "0 SECTION 2 ENTITIES 0 LINE 10 5 20 5 11 15 21 5 0 TEXT 40 3 1 ab 10 5 20 7 0 ENDSEC 0 EOF ";
    std::replace(text.begin(), text.end(), ' ', '\n');
    const auto path = scratch.write("bare.dxf", text);
    const auto file = run("art " + path + " --json").json()["files"][0];
    CHECK(file["format"] == "dxf");
    CHECK(file["page_mm"][0] == 10.0);
    CHECK(file["origin_mm"] == Json({5.0, 5.0}));
    CHECK(file["warnings"][0]["code"] == "unit-missing");
    CHECK(run("art " + path + " --json --unit in").json()["files"][0]["page_mm"][0] == 254.0);
    CHECK(run("art " + path + " --json --unit cm --scale 1:4").json()["files"][0]["page_mm"][0] == 25.0);
    const auto single = run("art " + path + " --json --text single-stroke").json()["files"][0];
    CHECK(single["inks"].size() == 1);
    CHECK(single["inks"][0]["kind"] == "line");
    CHECK(run("art " + path + " --unit fathom").code == 2);
    CHECK(run("art " + path + " --scale 5").code == 2);
}

TEST_CASE("art shows faults, mends them, and takes parts") {
    const Scratch scratch;
    const auto path =
        scratch.write("twice.svg",
                      "<svg xmlns='http://www.w3.org/2000/svg' width='40mm' height='40mm' viewBox='0 0 40 40' "
                      "fill='none' stroke='#f00' "
                      "stroke-width='.1'><rect x='5' y='5' width='10' height='10'/><path d='M5 5H15M30 30H35'/></svg>");
    const auto found = run("art " + path + " --examine --json").json()["files"][0]["finds"];
    REQUIRE(found.size() == 1);
    CHECK(found[0]["fault"] == "doubled-line");
    CHECK(found[0]["saved_mm"].get<double>() == Approx(10));
    CHECK(found[0]["places_mm"].size() == 1);
    const auto mended = run("art " + path + " --mend all --examine --json").json()["files"][0];
    CHECK(mended["finds"].empty());
    CHECK(mended["inks"][0]["length_mm"].get<double>() == Approx(45));
    const auto part = run("art " + path + " --part 0,0,40,20 --json").json()["files"][0];
    CHECK(part["page_mm"] == Json({40.0, 20.0}));
    CHECK(part["inks"][0]["length_mm"].get<double>() == Approx(5));
    CHECK(run("art " + path + " --mend nonsense").code == 2);
    CHECK(run("art " + path + " --part 1,2,3").code == 2);
}

TEST_CASE("art knows wide strokes, pictures and their tracing") {
    const Scratch scratch;
    const auto wide = scratch.write("wide.svg",
                                    "<svg xmlns='http://www.w3.org/2000/svg' width='40mm' height='9mm' viewBox='0 0 40 "
                                    "9'><path d='M5 5H15' stroke='#00f' stroke-width='0.5'/></svg>");
    const auto kind = [&](const std::string& options) {
        return run("art " + wide + " --json " + options).json()["files"][0]["inks"].back()["kind"];
    };
    CHECK(kind("") == "fill");
    CHECK(kind("--stroke-area 0.6") == "line");
    CHECK(kind("--stroke-area never") == "line");
    const std::string pears = CHALKLINE_SAMPLES "/pears.png";
    const auto picture = run("art " + pears + " --json").json()["files"][0];
    CHECK(picture["format"] == "picture");
    CHECK(picture["page_mm"] == Json({60.0, 40.0}));
    CHECK(picture["pictures"][0]["px"] == Json({600, 400}));
    CHECK(picture["inks"][0]["kind"] == "picture");
    CHECK(picture["inks"][0]["rgb"].is_null());
    CHECK(run("art " + pears + " --json --width 30").json()["files"][0]["page_mm"][1] == 20.0);
    const auto traced = run("art " + pears + " --json --trace outlines").json()["files"][0];
    CHECK(traced["pictures"].empty());
    CHECK(traced["inks"][0]["kind"] == "fill");
    CHECK(traced["inks"][0]["area_mm2"].get<double>() > 100);
    CHECK(run("art " + pears + " --json --trace centre-lines").json()["files"][0]["inks"][0]["kind"] == "line");
    CHECK(run("art " + pears + " --page 2").code == 0);  // pages are the business of PDFs
    const auto plan = run("plan " + pears + " --trace outlines --threshold 90 --json");
    CHECK(plan.code == 0);
    CHECK(plan.json()["steps"][0]["kind"] == "engrave");
}

TEST_CASE("art tells inks, boxes and warnings") {
    const Scratch scratch;
    const auto file = run("art " + plate + " --json").json()["files"][0];
    CHECK(file["format"] == "svg");
    CHECK(file["page_mm"] == Json({155.0, 102.0}));
    REQUIRE(file["inks"].size() == 3);
    CHECK(file["inks"][0]["rgb"] == "#d81b60");
    CHECK(file["inks"][0]["kind"] == "line");
    CHECK(file["inks"][0]["closed"] == 3);
    CHECK(file["inks"][0]["area_mm2"].is_null());
    CHECK(file["inks"][2]["area_mm2"].get<double>() == Approx(1779.5).epsilon(0.001));
    const auto filter = scratch.write("f.svg",
                                      "<svg xmlns='http://www.w3.org/2000/svg' width='9mm' height='9mm'>\n<rect "
                                      "width='5' height='5' filter='url(#x)'/></svg>");
    const auto warning = run("art " + filter + " --json").json()["files"][0]["warnings"][0];
    CHECK(warning["code"] == "unsupported-filter");
    CHECK(warning["where"] == "line 2");
    REQUIRE(run("art " + plate + " --png " + (scratch / "a.png") + " --dpi 96").code == 0);
    CHECK(std::filesystem::file_size(scratch / "a.png") > 1000);
}

TEST_CASE("plan writes a program, reports it, and gives the same bytes again") {
    const Scratch scratch;
    const auto first = run("plan " + job + " -o " + (scratch / "a.gcode") + " --json");
    REQUIRE(first.code == 0);
    const auto report = first.json();
    CHECK(report["steps"].size() == 3);
    CHECK(report["steps"][2]["kind"] == "cut");
    CHECK(report["checks"].empty());
    CHECK(report["program"]["bytes"] == std::filesystem::file_size(scratch / "a.gcode"));
    CHECK(run("plan " + job + " --json").json()["program"]["sha256"] == report["program"]["sha256"]);
    CHECK(run("check " + (scratch / "a.gcode")).code == 0);
}

TEST_CASE("steps and place come from the command line") {
    const auto report = run("plan " + plate +
                            " --step '#1565c0:line=cut,power=90,speed=300,passes=3' --step "
                            "'#000000:fill=engrave,pitch=0.2,air=off' --place 10,20 --json");
    REQUIRE(report.code == 0);
    const auto json = report.json();
    CHECK(json["bbox_burn_mm"][0].get<double>() == Approx(10).margin(0.01));
    CHECK(json["bbox_burn_mm"][1].get<double>() == Approx(20).margin(0.01));
    bool found = false;
    for (const auto& step : json["steps"])
        if (step["passes"] == 3) found = step["power"] == 90 && step["speed"] == 300 && step["kind"] == "cut";
    CHECK(found);
    CHECK(json["steps"][0]["line_pitch_mm"] == 0.2);
    CHECK(run("plan " + plate + " --step '*=score,power=20,speed=2000' --json").json()["steps"].size() == 1);
}

TEST_CASE("recipes are listed, found, exported, imported and used in a plan") {
    const Scratch scratch;
    const std::string store = " --store " + scratch / "recipes.db";
    const auto all = run("recipes list --json" + store).json()["recipes"];
    REQUIRE(all.size() >= 10);
    const auto ply = run("recipes list birch cut --json" + store).json()["recipes"];
    REQUIRE(ply.size() == 1);
    CHECK(ply[0]["settings"]["kind"] == "cut");
    CHECK(ply[0]["tested"] == false);
    const std::string id = std::to_string(ply[0]["id"].get<int>());
    CHECK(run("recipes show " + id + " --json" + store).json()["history"][0]["what"] == "made");
    CHECK(run("recipes show 9999 --json" + store).code == 2);

    const std::string table = scratch / "all.csv";
    CHECK(run("recipes export " + table + " birch --json" + store).json()["exported"] == 3);
    CHECK(run("recipes import " + table + " --json" + store).json()["known_already"] == 3);
    const auto mine = scratch.write("mine.csv",
                                    "material,kind,power,speed_mm_min,thickness_mm,tags\n"
                                    "Oak,engrave,44,2200,6,mine\nOak,engrave,nonsense,1,6,\n");
    const auto told = run("recipes import " + mine + " --json" + store).json();
    CHECK(told["imported"] == 1);
    CHECK(told["refused"] == 1);
    CHECK(run("recipes import " + plate + store).code == 3);

    const auto plan = run("plan " + job + " --json --recipe '#mine' --recipe " + id + store).json();
    CHECK(plan["steps"][0]["power"] == 44);
    CHECK(plan["steps"][0]["speed"] == 2200);
    CHECK(plan["steps"][2]["speed"] == ply[0]["settings"]["speed"]);
    CHECK(run("plan " + job + " --recipe marshmallow" + store).code == 2);
}

TEST_CASE("proof writes one pixel a dot and says how it came out") {
    const Scratch scratch;
    const std::string pears = CHALKLINE_SAMPLES "/pears.png", out = scratch / "p.png";
    const auto told = run("proof " + pears + " --width 60 --pitch 0.2 --json -o " + out).json();
    CHECK(told["dots"][0] == 300);
    CHECK(told["width_mm"] == 60.0);
    CHECK(std::abs(told["mean_in"].get<double>() - told["mean_out"].get<double>()) < 0.005);
    const auto read = run("art " + out + " --json").json()["files"][0];
    CHECK(read["pictures"][0]["px"][0] == 300);
    CHECK(std::abs(read["page_mm"][0].get<double>() - 60) < 0.01);
    const auto lighter = run("proof " + pears + " --width 60 --pitch 0.2 --gamma 2 --json").json();
    CHECK(lighter["coverage"].get<double>() < told["coverage"].get<double>());
    const auto same = run("proof " + pears + " --width 60 --pitch 0.2 --method blue-noise --json").json();
    CHECK(std::abs(same["coverage"].get<double>() - told["coverage"].get<double>()) < 0.01);
    CHECK(run("plan " + pears + " --json").json()["steps"][0]["kind"] == "picture");
}

TEST_CASE("exit codes are kept") {
    const Scratch scratch;
    CHECK(run("").code == 2);
    CHECK(run("--help").code == 0);
    CHECK(run("plan").code == 2);
    // All inks: all that this kind can burn. A gradient is a picture, and no cut.
    const std::string mixed = scratch.write(
        "mixed.svg",
        "<svg xmlns='http://www.w3.org/2000/svg' width='60mm' height='40mm' viewBox='0 0 60 40'>"
        "<linearGradient id='g'><stop stop-color='#000'/><stop offset='1' stop-color='#fff'/></linearGradient>"
        "<rect x='5' y='5' width='20' height='20' fill='url(#g)'/>"
        "<path d='M30 5h20v20z' fill='none' stroke='#f00' stroke-width='0.1'/></svg>");
    for (const char* kind : {"cut", "score", "engrave", "picture"}) {
        INFO(kind);
        // What it cannot burn keeps the step it had: the line its own, the gradient a picture's.
        const auto steps =
            run("plan " + mixed + " --place 5,5 --step '*=" + kind + ",power=40,speed=2000' --json").json()["steps"];
        REQUIRE(steps.size() == 2);
        CHECK((steps[0]["kind"] == kind || steps[1]["kind"] == kind));
    }
    CHECK(run("plan " + mixed + " --place 5,5 --step '#ff0000:line=picture'").code == 2);
    CHECK(run("plan " + plate + " --step nonsense").code == 2);
    CHECK(run("plan " + plate + " --step '#000000:fill=engrave,power=300'").code == 2);
    CHECK(run("plan " + plate + " --step '#000000:fill=engrave,angle=north'").code == 2);
    CHECK(run("plan " + plate + " --step '#000000:fill=engrave,angle=45,direction=crossed'").code == 0);
    CHECK(run("plan " + plate + " --step '#d81b60:line=cut,kerf=outside/0.2,bridges=3/0.6,parts=holes-first'").code ==
          0);
    CHECK(run("plan " + plate + " --place here").code == 2);
    CHECK(run("proof x.png --pitch 0.1").code == 2);
    CHECK(run("proof x.png --width 5 --pitch 0.1").code == 3);
    CHECK(run("proof " + plate + " --width 50").code == 2);
    CHECK(run("proof " CHALKLINE_SAMPLES "/pears.png --dots 0,9").code == 2);
    CHECK(run("recipes").code == 2);
    CHECK(run("art /nowhere.svg").code == 3);
    CHECK(run("plan /tmp").code == 3);
    CHECK(run("plan " + plate + " --machine " + plate).code == 3);
    CHECK(run("plan " + scratch.write("big.svg",
                                      "<svg xmlns='http://www.w3.org/2000/svg' width='900mm' height='9mm' viewBox='0 0 "
                                      "900 9'><rect width='900' height='9'/></svg>"))
              .code == 3);
    CHECK(run("probe /dev/no-such-port").code == 4);
    CHECK(run("probe " + plate).code == 4);
    CHECK(run("burn " + job + " --port tcp:127.0.0.1:1").code == 4);
    CHECK(run("plan " + plate + " --place 390,10").code == 1);
    const auto bad = scratch.write("bad.gcode", "G21G90G17\nM4S0\nG0X10Y10\nG1X500S500F1000\nM5\n");
    const auto checked = run("check " + bad + " --json");
    CHECK(checked.code == 1);
    CHECK(checked.json()["checks"][0]["code"] == "beam-off-bed");
    CHECK(checked.json()["checks"][0]["line"] == 4);
    CHECK(run("burn " + bad + " --port /dev/no-such-port").code == 1);
}

TEST_CASE("errors come as JSON too") {
    const auto error = run("art /nowhere.svg --json").json()["error"];
    CHECK(error["code"] == "base.file-missing");
    CHECK(error["where"] == "/nowhere.svg");
    CHECK_FALSE(error["help"].get<std::string>().empty());
}

TEST_CASE("ports and probe answer in JSON") {
    CHECK(run("ports --json").json()["ports"].is_array());
    SimulatorProcess machine(CHALKLINE_SIM);
    const auto probe = run("probe " + machine.port() + " --json");
    REQUIRE(probe.code == 0);
    CHECK(probe.json()["version"] == "1.1h");
    CHECK(probe.json()["state"] == "Alarm");
}

TEST_CASE("frame and burn a job through a pty, with progress") {
    SimulatorProcess machine(CHALKLINE_SIM);
    CHECK(run("frame " + job + " --port " + machine.port() + " --no-home").code == 4);
    REQUIRE(run("frame " + job + " --port " + machine.port()).code == 0);
    const auto burn = run("burn " + job + " --port " + machine.port() + " --json");
    REQUIRE(burn.code == 0);
    const auto last = burn.out.substr(burn.out.rfind('\n', burn.out.size() - 2) + 1);
    CHECK(Json::parse(last)["done"] == true);
    CHECK(Json::parse(last)["share"] == 1.0);
    machine.finish();
    CHECK(machine.clean());
    CHECK(machine.figure("starved") == 0);
    CHECK(machine.figure("beam_on_mm") == Approx(19307.9).epsilon(0.001));
}

TEST_CASE("a machine that goes away while burning ends with code 4") {
    auto machine = std::make_unique<SimulatorProcess>(CHALKLINE_SIM, "3");
    std::thread puller([&] {
        std::this_thread::sleep_for(std::chrono::milliseconds(4000));
        machine->finish(SIGKILL);
    });
    CHECK(run("burn " + job + " --port " + machine->port()).code == 4);
    puller.join();
}

TEST_CASE("a swatch card from a spec is laid out, becomes a job and a program, and is read from its picture") {
    const Scratch scratch;
    const std::string spec = scratch.write("card.json", R"({"material": "Birch ply", "thickness_mm": 4, "code": "K7Q2",
        "width_mm": 5, "height_mm": 5, "settings": {"kind": "engrave"}, "left_out": [[1, 0]],
        "columns": {"what": "speed", "first": 1500, "last": 6000, "count": 3, "spacing": "geometric"},
        "rows": {"what": "power", "first": 30, "last": 90, "step": 60}})");
    const auto told = run("swatch " + spec + " --json -o " + scratch / "card.chalk").json();
    REQUIRE(told["cells"].size() == 6);
    CHECK(told["cells"][5]["power"] == 90.0);
    CHECK(told["cells"][5]["speed"] == 6000.0);
    CHECK(told["cells"][4]["speed"] == 3000.0);
    CHECK(told["cells"][3]["left_out"] == true);
    CHECK(told["total_s"].get<double>() > 10);
    CHECK(run("swatch " + spec + " -o " + scratch / "card.gcode").code == 0);
    std::ifstream file(scratch / "card.gcode");
    const std::string program((std::istreambuf_iterator<char>(file)), {});
    CHECK(program.find("row 2, column 3") != std::string::npos);
    CHECK(run("check " + scratch / "card.chalk").code == 0);

    SimulatorProcess machine(CHALKLINE_SIM, "max", {"--picture", scratch / "bed.png"});
    REQUIRE(run("burn " + scratch / "card.chalk --port " + machine.port()).code == 0);
    machine.finish();
    const auto read_back = run("swatch-read " + scratch / "card.chalk " + scratch / "bed.png --json").json();
    CHECK(read_back["found"] == true);
    REQUIRE(read_back["cells"].size() == 5);
    const auto darkness = [&](int row, int column) {
        for (const auto& cell : read_back["cells"])
            if (cell["row"] == row && cell["column"] == column) return cell["darkness"].get<double>();
        return -1.0;
    };
    CHECK(darkness(1, 1) > darkness(1, 2));
    CHECK(darkness(1, 2) > darkness(0, 2));
    CHECK(darkness(0, 0) > darkness(0, 1));
    CHECK(run("swatch-read " + scratch / "card.chalk " CHALKLINE_SAMPLES "/pears.png --json").code == 3);
    CHECK(run("swatch-read " + job + " " CHALKLINE_SAMPLES "/pears.png").code == 3);
    CHECK(run("swatch " + scratch.write("bad.json", R"({"columns": {"what": "mood"}})")).code == 3);
}
