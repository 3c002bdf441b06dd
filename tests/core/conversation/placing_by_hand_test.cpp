// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/let_through.hpp"
#include "support/virtual_machine.hpp"

#include <chalkline/conversation/next_step.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::machine;
using chalkline::test::GivenLines;
using chalkline::test::VirtualMachine;
using geometry::Point;

namespace {

constexpr Speed quick = Speed::mm_per_min(6000);

bool come_to_rest(VirtualMachine& vm) {
    return vm.run_until(
        [&] {
            const Snapshot& now = vm.session.snapshot();
            return now.activity == Activity::none && now.state == ControllerState::idle && vm.controller.at_rest();
        },
        60);
}

std::unique_ptr<LineSource> dot_at(const char* line) {
    return std::make_unique<GivenLines>(std::vector<std::string>{"G21G90G17G94G54", "M5S0", line, "M9"});
}

MachineProfile without_switches() {
    MachineProfile profile;
    profile.home = HomeCorner::none;
    return profile;
}

}  // namespace

TEST_CASE("without home switches the head is pushed by hand and somebody says where it stands") {
    VirtualMachine vm(without_switches());
    vm.make_ready();
    CHECK(vm.session.snapshot().placed_by_hand);
    // Motors let go: nothing is known, nothing is burned.
    REQUIRE(vm.session.release_motors());
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().state == ControllerState::sleep; }, 10));
    CHECK_FALSE(vm.session.snapshot().position_sure);
    CHECK(next_steps(vm.session.snapshot(), vm.session.profile()) == std::vector{NextStep::wake});
    vm.session.wake();
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().state == ControllerState::idle; }, 10));
    CHECK(next_steps(vm.session.snapshot(), vm.session.profile()) == std::vector{NextStep::say_where});
    CHECK(vm.session.burn(test::let_through(dot_at("G0X60Y50"), vm.session.profile())).error().code ==
          machine::error::position_unknown);
    const Point before = vm.controller.head();
    REQUIRE(vm.session.stands_at({50, 40}));
    CHECK(vm.session.snapshot().position == Point{50, 40});
    CHECK(vm.session.snapshot().placed_by_hand);
    CHECK(next_steps(vm.session.snapshot(), vm.session.profile()).empty());
    REQUIRE(vm.session.burn(test::let_through(dot_at("G0X60Y55"), vm.session.profile())));
    REQUIRE(vm.run_until([&] { return vm.last<event::Finished>() && vm.controller.at_rest(); }, 30));
    // Ten to the right and fifteen away from where the datum was put under the head.
    CHECK(vm.controller.head().x - before.x == Approx(10));
    CHECK(vm.controller.head().y - before.y == Approx(15));
    CHECK(vm.session.stands_at({-1, 0}).error().code == machine::error::beyond_limits);
}

TEST_CASE("unlocked without home nothing burns until the place is known") {
    VirtualMachine vm;
    REQUIRE(vm.run_until([&] { return vm.last<event::Ready>() != nullptr; }, 5));
    CHECK(next_steps(vm.session.snapshot(), vm.session.profile()) == std::vector{NextStep::home, NextStep::unlock});
    REQUIRE(vm.session.unlock());
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().state == ControllerState::idle; }, 5));
    CHECK(vm.session.frame(test::let_through(dot_at("G0X10Y10"), vm.session.profile())).error().code ==
          machine::error::position_unknown);
    CHECK(next_steps(vm.session.snapshot(), vm.session.profile()) == std::vector{NextStep::home, NextStep::say_where});
    REQUIRE(vm.session.home());
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().position_sure; }, 60));
    CHECK_FALSE(vm.session.snapshot().placed_by_hand);
}

TEST_CASE("after home and after a job the maker's own lines go out and the head waits at its resting place") {
    MachineProfile profile;
    profile.rest = Point{20, 280};
    profile.own_lines = {{"M9", "G4P0.1"}, {"M9"}};
    VirtualMachine vm(profile);
    vm.make_ready();
    REQUIRE(come_to_rest(vm));
    CHECK(geometry::distance(vm.controller.head(), {20, 280}) < 0.01);
    REQUIRE(vm.session.burn(test::let_through(dot_at("G0X100Y100"), vm.session.profile())));
    REQUIRE(vm.run_until([&] { return geometry::distance(vm.controller.head(), {100, 100}) < 0.01; }, 30));
    REQUIRE(vm.run_until([&] { return vm.last<event::Finished>()->activity == Activity::jogging; }, 30));
    REQUIRE(come_to_rest(vm));
    CHECK(geometry::distance(vm.controller.head(), {20, 280}) < 0.01);
    int dwells = 0, air = 0;
    for (const Event& happened : vm.events)
        if (const auto* wire = std::get_if<event::Wire>(&happened); wire && wire->sent) {
            dwells += wire->text == "G4P0.1";
            air += wire->text == "M9";
        }
    CHECK(dwells == 1);
    CHECK(air == 3);  // after home, the program's own, after the job
    CHECK(vm.controller.report().errors.empty());
}

TEST_CASE("the probe finds the piece and leaves the beam in focus above it") {
    MachineProfile profile;
    VirtualMachine without(profile);
    without.make_ready();
    CHECK(without.session.probe().error().code == machine::error::no_probe);
    profile.z_axis = true;
    profile.focus = {.height = 0, .probe = true, .above_touch = 6.5, .probe_reach = 20};
    VirtualMachine vm(profile);
    vm.controller.set_piece_depth(12);
    vm.make_ready();
    REQUIRE(vm.session.probe());
    CHECK(vm.session.snapshot().activity == Activity::probing);
    REQUIRE(come_to_rest(vm));
    CHECK(vm.controller.height() == Approx(-12 + 6.5));
    // Nothing there to touch: an alarm, and the place is not known any more.
    vm.controller.set_piece_depth(100);
    REQUIRE(vm.session.probe());
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().state == ControllerState::alarm; }, 10));
    CHECK(vm.session.snapshot().alarm == 5);
    CHECK_FALSE(vm.session.snapshot().position_sure);
}

TEST_CASE("builds that put 0 where home is lead to the same bed") {
    RealtimeSession session(MachineProfile{}, 0);
    session.opened(0);
    double now = 0;
    const auto say = [&](const char* line) {
        session.tick(now += 0.05);
        (void)session.take_output();
        session.received(line, now += 0.05);
    };
    for (const char* line :
         {"Grbl 1.1h ['$' for help]\r\n", "<Alarm|MPos:0.000,0.000,0.000|FS:0,0>\r\n", "Grbl 1.1h ['$' for help]\r\n",
          "ok\r\n", "$22=1\r\n$23=3\r\n$130=400\r\n$131=300\r\nok\r\n", "ok\r\n",
          "<Alarm|MPos:0.000,0.000,0.000|FS:0,0>\r\n"})
        say(line);
    session.tick(now += 0.1);
    REQUIRE(session.home());
    say("ok\r\n");
    say("<Idle|MPos:1.000,1.000,0.000|FS:0,0>\r\n");
    CHECK(session.snapshot().position == Point{1, 1});
    CHECK(session.snapshot().zero_at_home == true);
    say("<Idle|MPos:31.000,21.000,0.000|FS:0,0>\r\n");
    CHECK(session.snapshot().position == Point{31, 21});
    // Another figure of the same machine moves no bed.
    MachineProfile slower;
    slower.jog_speed = 500;
    REQUIRE(session.set_profile(slower));
    say("<Idle|MPos:31.000,21.000,0.000|FS:0,0>\r\n");
    CHECK(session.snapshot().position == Point{31, 21});
}

TEST_CASE("the profile learns from the controller what the controller knows better") {
    const MachineProfile mine;
    CHECK(as_told(mine, {}) == mine);
    const ControllerFacts facts{{{11, 0.02},
                                 {22, 1},
                                 {23, 1},
                                 {30, 255},
                                 {110, 6000},
                                 {111, 5000},
                                 {120, 500},
                                 {121, 400},
                                 {130, 410},
                                 {131, 0}},
                                256,
                                31};
    const MachineProfile told = as_told(mine, facts);
    CHECK(told.width == 410);
    CHECK(told.depth == mine.depth);  // a travel of 0 says nothing
    CHECK(told.home == HomeCorner::far_left);
    CHECK(told.full_power_s == 255);
    CHECK(told.receive_buffer == 256);
    CHECK(told.planner_blocks == 31);
    CHECK(told.beam == mine.beam);
    std::vector<std::string> keys;
    for (const ProfileDifference& one : differences(mine, told))
        keys.push_back(one.key);
    CHECK(keys == std::vector<std::string>{"work_area_mm", "home", "max_rate_mm_min", "acceleration_mm_s2",
                                           "junction_deviation_mm", "full_power_s", "receive_buffer",
                                           "planner_blocks"});
    CHECK(differences(told, told).empty());
    CHECK(as_told(mine, {{{22, 0}}, {}, {}}).home == HomeCorner::none);
    CHECK(as_told(mine, {{{22, 1}}, {}, {}}).home == HomeCorner::far_right);
}

TEST_CASE("a line of the maker's own never turns the beam on and never acts at once") {
    for (const char* good : {"M8", "M9", "G4P1", "M106 S255", "M30", "G0Z5", "M40", "M33"})
        CHECK(check_own_line(good));
    for (const char* bad : {"", "M3S100", "m4", "G1 M 03 S5", "M004", "M9?", "~", "G0X1!", "M5 M3"})
        CHECK(check_own_line(bad).error().code == machine::error::bad_own_line);
    CHECK_FALSE(check_own_line(std::string(71, 'X')));
    CHECK(parse_profile(R"({"format":"chalkline-machine","after_home":["M3S1"]})", "f").error().code ==
          machine::error::bad_profile);
}

TEST_CASE("all that a profile holds comes back from its file") {
    MachineProfile profile;
    profile.wavelength = 10600;
    profile.air = 7;
    profile.start_button = true;
    profile.rotary = {RotaryAxis::fourth, RotaryDrive::rollers, 80, 12.5, 3000, 200};
    profile.focus = {7.5, true, 3.25, 15};
    profile.rest = Point{1, 2};
    profile.own_lines = {{"M9"}, {"G4P1", "M9"}};
    profile.checklist = {"Glasses on", "Cat out"};
    profile.places = {{"jig", {10, 20}}, {"stop “B”", {30.5, 40}}};
    profile.beam_hours = 12.25;
    CHECK(parse_profile(to_json(profile), "x").value() == profile);
    CHECK_FALSE(plans_alike(profile, {}));
    MachineProfile later = profile;
    later.beam_hours += 1;
    later.places.clear();
    CHECK(plans_alike(profile, later));
    for (const char* wrong : {R"("air_m":9)", R"("places":[["a",1]])", R"("checklist":[1])", R"("rest_mm":[1])",
                              R"("probe":1)", R"("rotary":"cup")"})
        CHECK_FALSE(parse_profile(std::string(R"({"format":"chalkline-machine",)") + wrong + "}", "x"));
}
