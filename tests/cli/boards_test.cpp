// SPDX-License-Identifier: GPL-3.0-or-later
// The command line with the boards people own, each behind a pty: from the first question to the last spark.
#include "support/cli_run.hpp"
#include "support/simulator_process.hpp"

#include <catch2/catch.hpp>

#include <chrono>
#include <thread>

using namespace chalkline::test;

namespace {

const std::string sample = CHALKLINE_SAMPLES "/plot-27.chalk";

/// A smaller work: the key tag's areas as scan lines, in words of the command line.
const std::vector<std::string> tag{CHALKLINE_SAMPLES "/key-tag.svg", "--place", "20,20", "--step",
                                   "*=engrave,pitch=0.4,speed=1800"};
constexpr double tag_mm = 2345.7, tag_run = 60;  // lit, and its longest run
constexpr int in_the_middle = 25;                // of its operations

/// The same for a shell.
std::string tag_words() {
    std::string words;
    for (const std::string& word : tag)
        words += " '" + word + "'";
    return words;
}

std::vector<std::string> burn_tag(const SimulatorProcess& machine) {
    std::vector<std::string> words{"burn", "--port", machine.port()};
    words.insert(words.end(), tag.begin(), tag.end());
    return words;
}

std::vector<std::string> board_names() {
    std::vector<std::string> names;
    for (const auto& entry : std::filesystem::directory_iterator(CHALKLINE_SAMPLES "/boards"))
        names.push_back(entry.path().stem().string());
    std::sort(names.begin(), names.end());
    return names;
}

/// The newest burn as `history` tells it.
nlohmann::json newest_burn() {
    return run("history --json").json()["burns"][0];
}

/// Waits until the burn under way has a journal that says it came as far as `operation`.
bool came_to(const RunningCommand& burn, int operation) {
    for (int i = 0; i < 600; ++i) {
        const auto burns = run("history --json").json()["burns"];
        if (!burns.empty() && burns[0]["end"] == "running" &&
            run("history 1 --json").json()["done"][0].get<int>() >= operation)
            return true;
        std::this_thread::sleep_for(std::chrono::milliseconds(10));
    }
    UNSCOPED_INFO(burn.said());
    return false;
}

/// A profile with the controller's own figures, and what nobody but its maker can know.
std::string profile_of(const SimulatorProcess& machine, const Scratch& scratch) {
    const std::string file = scratch / "machine.json";
    REQUIRE(run("settings " + machine.port() + " --save " + file).code == 0);
    nlohmann::json profile = nlohmann::json::parse(std::ifstream(file));
    profile["power_in_moves"] = true;
    std::ofstream(file) << profile;
    return file;
}

}  // namespace

TEST_CASE("every board by the command line: found by asking, homed, framed, burned") {
    const Scratch scratch;
    for (const std::string& name : board_names()) {
        INFO(name);
        SimulatorProcess machine(CHALKLINE_SIM, "max", {"--board", name});
        const auto probe = run("probe " + machine.port() + " --json");
        REQUIRE(probe.code == 0);
        CHECK(probe.json()["answers"] == true);
        CHECK(probe.json()["position_sure"] == false);
        const std::string common = " --port " + machine.port() + " --machine " + profile_of(machine, scratch);
        const bool forgets = name == "usb-restart";
        CHECK(run("home" + common).code == (forgets ? 4 : 0));
        const auto frame = run("frame " + tag_words() + common + " --json");
        CHECK(frame.code == 0);
        // What will be framed is said before anything moves.
        const auto box = frame.line(0)["box_mm"];
        REQUIRE(box.is_array());
        CHECK(box[0].get<double>() < box[2].get<double>());
        CHECK(frame.line(0)["hull_mm"].size() >= 4);
        const auto burn = run("burn " + tag_words() + common + " --json");
        const bool dark = name == "line-no-inline-power";
        CHECK(burn.code == (dark ? 4 : 0));
        CHECK(newest_burn()["end"] == (dark ? "failed" : "finished"));
        machine.finish();
        CHECK(machine.clean());
        CHECK(machine.figure("beam_on_mm") == Approx(dark ? 0 : tag_mm).margin(5));
    }
}

TEST_CASE("every board by the command line: stopped in the middle, and gone on with") {
    const Scratch scratch;
    for (const std::string& name : board_names()) {
        if (name == "line-no-inline-power") continue;
        INFO(name);
        SimulatorProcess machine(CHALKLINE_SIM, "20", {"--board", name});
        const std::string profile = profile_of(machine, scratch);
        std::vector<std::string> words = burn_tag(machine);
        words.insert(words.end(), {"--machine", profile});
        RunningCommand burn(words);
        REQUIRE(came_to(burn, in_the_middle));
        CHECK(burn.end(SIGTERM) == 5);
        CHECK(newest_burn()["end"] == "stopped");
        const std::string go_on = "go-on --port " + machine.port() + " --machine " + profile;
        // Without switches a board that starts anew with every connection does not know where its head is.
        std::string stands;
        if (name == "usb-restart") {
            CHECK(run(go_on).code == 4);
            const auto head = run("history 1 --json").json()["head_mm"];
            stands = " --head-stands " + head[0].dump() + "," + head[1].dump();
        }
        REQUIRE(run(go_on + stands).code == 0);
        CHECK(newest_burn()["end"] == "finished");
        machine.finish();
        const std::string report = machine.report();
        INFO(report);
        CHECK(report.find("\"errors\": []") != std::string::npos);
        CHECK(report.find("\"violations\": []") != std::string::npos);
        CHECK(machine.figure("beam_on_mm") > tag_mm - 1);
        // Where the place was lost, or no report says how far it came, more than a run is burned twice.
        CHECK(machine.figure("beam_on_mm") < tag_mm + 6 * tag_run);
    }
}

TEST_CASE("firmware that nobody knows burns when its profile says that it can") {
    const Scratch scratch;
    SimulatorProcess machine(CHALKLINE_SIM, "max", {"--board", "line-unknown-firmware"});
    const std::string file = scratch / "saved.json";
    REQUIRE(run("settings " + machine.port() + " --save " + file).code == 0);
    const auto refused = run("burn " + tag_words() + " --json --port " + machine.port() + " --machine " + file);
    CHECK(refused.code == 4);
    CHECK(refused.out.find("machine.inline-power-unknown") != std::string::npos);
    CHECK(
        run("burn " + tag_words() + " --port " + machine.port() + " --machine " + profile_of(machine, scratch)).code ==
        0);
    machine.finish();
    CHECK(machine.figure("beam_on_mm") == Approx(tag_mm).margin(5));
}

TEST_CASE("a signal ends a burn in the dark, and go-on burns what is left") {
    const Scratch scratch;
    for (const int signal : {SIGINT, SIGTERM, SIGHUP}) {
        INFO("signal " << signal);
        SimulatorProcess machine(CHALKLINE_SIM, "20");
        RunningCommand burn(burn_tag(machine));
        REQUIRE(came_to(burn, in_the_middle));
        CHECK(burn.end(signal) == 5);
        CHECK(newest_burn()["end"] == "stopped");
        REQUIRE(run("go-on --port " + machine.port()).code == 0);
        CHECK(newest_burn()["end"] == "finished");
        machine.finish();
        CHECK(machine.clean());
        // The board stayed on and its head came to rest: nothing is missing, and a run at most is burned twice.
        CHECK(machine.figure("beam_on_mm") > tag_mm - 1);
        CHECK(machine.figure("beam_on_mm") < tag_mm + tag_run);
    }
}

TEST_CASE("a killed command line is gone on with where the board came to rest") {
    SimulatorProcess machine(CHALKLINE_SIM, "20");
    {
        RunningCommand burn(burn_tag(machine));
        REQUIRE(came_to(burn, in_the_middle));
        CHECK(burn.end(SIGKILL) == -SIGKILL);
    }
    CHECK(newest_burn()["end"] == "broken-off");
    REQUIRE(run("go-on --port " + machine.port()).code == 0);
    machine.finish();
    CHECK(machine.clean());
    CHECK(machine.figure("beam_on_mm") > tag_mm - 1);
    CHECK(machine.figure("beam_on_mm") < tag_mm + tag_run);
    CHECK(run("go-on 1 --port nowhere").code == 2);  // nothing is left of it
}

TEST_CASE("a fault of the command line itself darkens the machine") {
    SimulatorProcess machine(CHALKLINE_SIM, "20");
    RunningCommand burn(burn_tag(machine));
    REQUIRE(came_to(burn, in_the_middle));
    CHECK(burn.end(SIGSEGV) == -SIGSEGV);
    machine.finish();
    // Reset in the middle of its move, instead of burning on what planner and buffer held.
    CHECK(machine.report().find("ALARM:3") != std::string::npos);
    CHECK(machine.report().find("\"violations\": []") != std::string::npos);
}

TEST_CASE("a board that forgets its place ends at 0, 0, or has to be told where its head stands") {
    const Scratch scratch;
    SimulatorProcess machine(CHALKLINE_SIM, "max", {"--board", "usb-restart"});
    const std::string common = " --port " + machine.port() + " --machine " + profile_of(machine, scratch);
    REQUIRE(run("frame " + tag_words() + common).code == 0);
    REQUIRE(run("burn " + tag_words() + common).code == 0);
    // Left elsewhere it is not believed to stand at 0, 0.
    REQUIRE(run("jog --to 30,20 --head-stands 0,0" + common).code == 0);
    CHECK(run("frame " + tag_words() + common).code == 4);
    REQUIRE(run("frame " + tag_words() + common + " --head-stands 30,20").code == 0);
    machine.finish();
    CHECK(machine.clean());
    CHECK(machine.figure("beam_on_mm") == Approx(tag_mm).margin(5));
}

TEST_CASE("figures that disagree move nothing, and both are named") {
    const Scratch scratch;
    const std::string board = scratch.write("small.json", R"({"format": "chalkline-board", "name": "small",
        "settings": {"130": 220, "131": 180}})");
    SimulatorProcess machine(CHALKLINE_SIM, "max", {"--board", board});
    for (const std::string command : {"frame ", "burn "}) {
        const auto refused = run(command + sample + " --json --port " + machine.port());
        CHECK(refused.code == 4);
        const std::string last = refused.out.substr(refused.out.rfind("\n{") + 1);
        CHECK(last.find("machine.profile-contradicted") != std::string::npos);
        CHECK(last.find("220") != std::string::npos);
        CHECK(last.find("400") != std::string::npos);
    }
    const auto differs = run("settings " + machine.port() + " --json").json()["differs"];
    REQUIRE(differs.size() == 2);
    CHECK(differs[0]["blocks"] == true);
    machine.finish();
    CHECK(machine.figure("travel_mm") == 0);
}

TEST_CASE("moves, unlocking and settings by the command line") {
    SimulatorProcess machine(CHALKLINE_SIM, "max");
    const std::string port = " --port " + machine.port();
    CHECK(run("jog --by 5,0" + port).code == 4);  // locked
    REQUIRE(run("unlock" + port).code == 0);
    CHECK(run("jog --by 5,0" + port).code == 4);  // beyond its limits, by what it counts
    REQUIRE(run("jog --by -5,0" + port).code == 0);
    REQUIRE(run("home" + port).code == 0);
    const auto moved = run("jog --to 120,80 --json" + port);
    REQUIRE(moved.code == 0);
    CHECK(moved.json()["position_mm"][0].get<double>() == Approx(120).margin(0.01));
    CHECK(run("jog" + port).code == 2);
    CHECK(run("settings --set 32=0 --json" + port).json()["settings"]["32"] == 0.0);
    CHECK(run("burn " + sample + port).code == 4);
    CHECK(run("settings --set 32=1" + port).code == 0);
    CHECK(run("settings --set laser=on" + port).code == 2);
    machine.finish();
    CHECK(machine.figure("beam_on_mm") == 0);
}

TEST_CASE("the self-test writes a report and a board that the simulated machine takes") {
    const Scratch scratch;
    {
        SimulatorProcess machine(CHALKLINE_SIM, "2", {"--board", "six-axes"});
        const auto test = run("selftest --json --port " + machine.port() + " -o " + scratch / "report.txt --board " +
                              (scratch / "mine.json"));
        CHECK(test.code == 0);
        CHECK(test.json()["passed"] == true);
        machine.finish();
        CHECK(machine.figure("beam_on_mm") == 0);
    }
    std::ifstream report(scratch / "report.txt");
    const std::string text((std::istreambuf_iterator<char>(report)), {});
    CHECK(text.find("< $130=400") != std::string::npos);
    SimulatorProcess mine(CHALKLINE_SIM, "max", {"--board", scratch / "mine.json"});
    CHECK(run("probe " + mine.port()).code == 0);
}

TEST_CASE("a job is sent to the controller's own store, started there after its checks, and taken away") {
    for (const auto& [board, name] :
         {std::pair{"late-greeting", "MY-TAG.NC"}, std::pair{"line-numbered", "MY-TAG.GCO"}}) {
        INFO(board);
        SimulatorProcess machine(CHALKLINE_SIM, "max", {"--board", board});
        // Told what it speaks, it need not be tried both ways every time.
        const Scratch scratch;
        const std::string store = "store " + machine.port() + " ", told = " --machine " + profile_of(machine, scratch);
        const auto sent = run(store + "send --json --as 'my tag'" + tag_words() + told);
        REQUIRE(sent.code == 0);
        const auto end = nlohmann::json::parse(sent.out.substr(sent.out.rfind("\n{") + 1));
        CHECK(end["name"] == name);
        const auto listed = run(store + "list --json" + told).json()["files"];
        REQUIRE(listed.size() == 2);  // one was on the card before
        CHECK(listed[0]["sent_from_here"] == true);
        CHECK(listed[0]["bytes"] == end["bytes"]);
        CHECK(listed[1]["sent_from_here"] == false);
        // What came from elsewhere is not started: nobody held it against the rules.
        const auto foreign = run(store + "start --json " + listed[1]["name"].get<std::string>() + told);
        CHECK(foreign.code == 1);
        CHECK(foreign.json()["error"]["code"] == "cli.stored-elsewhere");
        REQUIRE(run(store + "start " + name + told).code == 0);
        CHECK(newest_burn()["end"] == "finished");
        CHECK(run(store + "delete " + name + told).code == 0);
        CHECK(run(store + "start " + name + told).code == 4);
        CHECK(run(store + "list --json" + told).json()["files"].size() == 1);
        machine.finish();
        CHECK(machine.figure("beam_on_mm") == Approx(tag_mm).margin(5));
    }
    SimulatorProcess machine(CHALKLINE_SIM, "max", {"--board", "chatty"});
    const auto none = run("store " + machine.port() + " list --json");
    CHECK(none.code == 4);
    CHECK(none.json()["error"]["code"] == "machine.no-store");
}
