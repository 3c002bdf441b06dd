// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/let_through.hpp"
#include "support/virtual_machine.hpp"

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

using namespace chalkline;
using namespace chalkline::machine;
using chalkline::test::GivenLines;
using chalkline::test::VirtualMachine;

namespace {

/// A square burned again and again: long enough to be interrupted.
std::vector<std::string> long_program(int rounds = 40) {
    std::vector<std::string> lines{"G21G90G17G94G54", "M5S0", "M4S0", "G0X50Y50"};
    for (int i = 0; i < rounds; ++i)
        for (const char* line : {"G1X80S500F3000", "Y80", "X50", "Y50"})
            lines.push_back(line);
    lines.push_back("M5S0");
    lines.push_back("M9");
    return lines;
}

std::unique_ptr<LineSource> source(std::vector<std::string> lines) {
    return std::make_unique<GivenLines>(std::move(lines));
}

template <class T>
T* find_event(std::vector<Event>& events) {
    for (auto& e : events)
        if (auto* found = std::get_if<T>(&e)) return found;
    return nullptr;
}

}  // namespace

TEST_CASE("a fresh controller is locked, finding home makes it ready in bed coordinates") {
    VirtualMachine vm;
    REQUIRE(vm.run_until([&] { return vm.last<event::Ready>() != nullptr; }, 5));
    CHECK(vm.session.snapshot().state == ControllerState::alarm);
    CHECK_FALSE(vm.session.snapshot().position_sure);
    CHECK(vm.session.setting(30) == 1000.0);
    CHECK(vm.session.burn(test::let_through(source(long_program()), vm.session.profile())).error().code ==
          machine::error::locked);
    CHECK(vm.session.jog({1, 0}, Speed::mm_per_min(1000)).error().code == machine::error::locked);
    vm.make_ready();
    CHECK(vm.session.snapshot().position_sure);
    // Pulled off by 1 mm from the near left corner.
    CHECK(vm.session.snapshot().position->x == Approx(1));
    CHECK(vm.session.snapshot().position->y == Approx(1));
    CHECK(vm.controller.head() == geometry::Point{1, 1});
}

TEST_CASE("a machine without switches burns where somebody said its head stands, never by a guess") {
    MachineProfile profile;
    profile.home = HomeCorner::none;
    VirtualMachine vm(profile);
    REQUIRE(vm.run_until([&] { return vm.last<event::Ready>() != nullptr; }, 5));
    CHECK_FALSE(vm.session.snapshot().position_sure);
    CHECK_FALSE(vm.session.snapshot().placed_by_hand);
    CHECK(vm.session.burn(test::let_through(source(long_program(1)), vm.session.profile())).error().code ==
          machine::error::position_unknown);
    vm.make_ready();
    CHECK(vm.session.snapshot().state == ControllerState::idle);
    CHECK(vm.session.home().error().code == machine::error::no_homing);
    REQUIRE(vm.session.burn(test::let_through(source(long_program(1)), vm.session.profile())));
    REQUIRE(vm.run_until([&] { return vm.last<event::Finished>() != nullptr; }, 60));
    CHECK(vm.controller.report().errors.empty());
}

TEST_CASE("every corner a machine may call home leads to the same bed") {
    for (const HomeCorner corner :
         {HomeCorner::near_left, HomeCorner::near_right, HomeCorner::far_left, HomeCorner::far_right}) {
        MachineProfile profile;
        profile.home = corner;
        VirtualMachine vm(profile);
        vm.make_ready();
        REQUIRE(vm.session.burn(
            test::let_through(source({"G21G90G17G94G54", "M5S0", "G0X123Y45", "M9"}), vm.session.profile())));
        REQUIRE(vm.run_until(
            [&] { return vm.session.snapshot().activity == Activity::none && vm.last<event::Finished>(); }, 60));
        CHECK(vm.controller.head().x == Approx(123));
        CHECK(vm.controller.head().y == Approx(45));
        vm.run(1);
        CHECK(vm.session.snapshot().position->x == Approx(123));
    }
}

TEST_CASE("a program is burned to its end with the beam on just where it says") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.burn(test::let_through(source(long_program(3)), vm.session.profile())));
    REQUIRE(vm.run_until([&] { return vm.last<event::Finished>() && vm.session.snapshot().activity == Activity::none; },
                         120));
    const auto& report = vm.controller.report();
    CHECK(report.beam_on_mm == Approx(3 * 4 * 30).margin(0.01));
    CHECK(report.errors.empty());
    CHECK(report.violations.empty());
    CHECK(report.starved == 0);
    CHECK(report.worst_rx_fill <= 127);
    CHECK(vm.session.snapshot().lines_done == static_cast<std::int64_t>(long_program(3).size()));
}

TEST_CASE("jogging stays on the bed and says how far it would have gone") {
    VirtualMachine vm;
    vm.make_ready();
    const auto refused = vm.session.jog({-5, 0}, Speed::mm_per_min(3000));
    REQUIRE_FALSE(refused);
    CHECK(refused.error().code == machine::error::beyond_reach);
    CHECK(refused.error().parameters.back().second == "1.0");  // what is left that way
    REQUIRE(vm.session.jog({25, 10}, Speed::mm_per_min(3000)));
    CHECK(vm.session.jog({1, 1}, Speed::mm_per_min(3000)).error().code == machine::error::busy);
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == Activity::none; }, 10));
    CHECK(vm.controller.head().x == Approx(26));
    CHECK(vm.controller.head().y == Approx(11));
}

TEST_CASE("hold darkens the beam and keeps the place, resume goes on to the end") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.burn(test::let_through(source(long_program(4)), vm.session.profile())));
    vm.run(2);
    vm.session.hold();
    REQUIRE(vm.run_until(
        [&] { return vm.session.snapshot().state == ControllerState::hold && vm.session.snapshot().sub == 0; }, 5));
    const auto place = vm.controller.head();
    vm.run(3);
    CHECK(vm.controller.head() == place);
    CHECK(vm.controller.beam() == 0);
    vm.session.resume();
    REQUIRE(vm.run_until([&] { return vm.last<event::Finished>() && vm.session.snapshot().activity == Activity::none; },
                         120));
    CHECK(vm.controller.report().beam_on_mm == Approx(4 * 4 * 30).margin(0.01));
}

TEST_CASE("stop holds, resets and confirms: beam off, position known") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.burn(test::let_through(source(long_program()), vm.session.profile())));
    vm.run(3);
    vm.session.stop();
    REQUIRE(vm.run_until([&] { return vm.last<event::Stopped>() != nullptr; }, 10));
    const auto* stopped = vm.last<event::Stopped>();
    CHECK(stopped->activity == Activity::burning);
    CHECK(stopped->beam_off);
    CHECK(stopped->position_sure);
    CHECK(vm.controller.report().alarms.empty());
    const double burned = vm.controller.report().beam_on_mm;
    vm.run(5);
    CHECK(vm.controller.report().beam_on_mm == burned);
    // And it can burn again without finding home.
    REQUIRE(vm.session.burn(test::let_through(source(long_program(1)), vm.session.profile())));
    REQUIRE(vm.run_until([&] { return vm.last<event::Finished>() && vm.session.snapshot().activity == Activity::none; },
                         60));
}

TEST_CASE("stop while finding home resets at once and says the place is unknown") {
    VirtualMachine vm;
    vm.run_until([&] { return vm.last<event::Ready>() != nullptr; }, 5);
    REQUIRE(vm.session.home());
    vm.run(1);
    vm.session.stop();
    REQUIRE(vm.run_until([&] { return vm.last<event::Stopped>() != nullptr; }, 10));
    CHECK_FALSE(vm.last<event::Stopped>()->position_sure);
    CHECK_FALSE(vm.controller.report().alarms.empty());
}

TEST_CASE("a refused line stops the burn and is never skipped") {
    VirtualMachine vm;
    vm.make_ready();
    auto lines = long_program();
    lines.insert(lines.begin() + 20, "G1X60Q7");
    REQUIRE(vm.session.burn(test::let_through(source(lines), vm.session.profile())));
    REQUIRE(vm.run_until([&] { return vm.last<event::Failed>() != nullptr; }, 60));
    const auto* failed = vm.last<event::Failed>();
    CHECK(failed->error.code == machine::error::line_refused);
    CHECK(failed->error.line == 21);
    CHECK(failed->error.parameters[1].second == "G1X60Q7");
    const double burned = vm.controller.report().beam_on_mm;
    vm.run(5);
    CHECK(vm.controller.report().beam_on_mm == burned);
    CHECK(vm.controller.beam() == 0);
    CHECK(vm.session.snapshot().activity == Activity::none);
}

TEST_CASE("a soft limit raises the alarm, and home mends it") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.burn(test::let_through(source({"G21G90G17G94G54", "M4S0", "G0X10Y10", "G1X999S100F1000", "M5"}),
                                              vm.session.profile())));
    REQUIRE(vm.run_until([&] { return vm.last<event::Failed>() != nullptr; }, 20));
    CHECK(vm.last<event::Failed>()->error.code == machine::error::alarm);
    CHECK_FALSE(vm.session.snapshot().position_sure);
    vm.run(1);
    REQUIRE(vm.session.home());
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().position_sure; }, 60));
}

TEST_CASE("laser mode that is off is known, and turned on at the controller") {
    VirtualMachine vm;
    vm.controller.load_settings("32=0\n");
    vm.make_ready();
    CHECK(vm.session.snapshot().laser_mode == false);
    REQUIRE(vm.session.turn_laser_mode_on());
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().laser_mode == true; }, 5));
    vm.run(1);
    CHECK(vm.session.burn(test::let_through(source(long_program()), vm.session.profile())));
}

TEST_CASE("without laser mode or with another full power nothing is burned") {
    VirtualMachine vm;
    vm.controller.load_settings("32=0\n");
    vm.make_ready();
    CHECK(vm.session.burn(test::let_through(source(long_program()), vm.session.profile())).error().code ==
          machine::error::laser_mode_off);
    VirtualMachine other;
    other.controller.load_settings("30=255\n");
    other.make_ready();
    CHECK(other.session.burn(test::let_through(source(long_program()), other.session.profile())).error().code ==
          machine::error::full_power_differs);
}

TEST_CASE("a silent port and a stranger on it are told apart") {
    RealtimeSession silent({}, 0.3);
    silent.opened(0);
    for (double t = 0; t < 9; t += 0.05)
        silent.tick(t);
    auto events = silent.take_events();
    REQUIRE(find_event<event::Failed>(events));
    CHECK(find_event<event::Failed>(events)->error.code == machine::error::silent);

    RealtimeSession stranger({}, 0.3);
    stranger.opened(0);
    for (double t = 0; t < 9; t += 0.05) {
        stranger.received("$GPGGA,123519,4807.038,N\r\n", t);
        stranger.tick(t);
    }
    events = stranger.take_events();
    REQUIRE(find_event<event::Failed>(events));
    CHECK(find_event<event::Failed>(events)->error.code == machine::error::speaks_otherwise);
}

TEST_CASE("a cable pulled while burning: the link goes silent, then is lost, the head stands dark") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.burn(test::let_through(source(long_program()), vm.session.profile())));
    vm.run(2);
    vm.cable = false;
    vm.run(4);
    CHECK(vm.session.snapshot().silent_for > Session::silence_limit);
    vm.run(40);
    CHECK(vm.controller.beam() == 0);
    vm.session.closed("unplugged", vm.now);
    vm.run(0.1);
    CHECK(vm.last<event::Failed>()->error.code == machine::error::link_lost);
    CHECK(vm.last<event::Failed>()->activity == Activity::burning);
    CHECK_FALSE(vm.session.snapshot().connected);
    CHECK(vm.session.burn(test::let_through(source({"M5"}), vm.session.profile())).error().code ==
          machine::error::not_ready);
}

TEST_CASE("a controller that restarts by itself ends the burn with a word") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.burn(test::let_through(source(long_program()), vm.session.profile())));
    vm.run(2);
    vm.controller.receive("\x18");
    REQUIRE(vm.run_until([&] { return vm.last<event::Failed>() != nullptr; }, 10));
    CHECK_FALSE(vm.session.snapshot().position_sure);
    CHECK(vm.session.snapshot().activity == Activity::none);
}

TEST_CASE("real-time bytes go out ahead of queued lines") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.burn(test::let_through(source(long_program()), vm.session.profile())));
    vm.session.hold();
    const std::string out = vm.session.take_output();
    CHECK(out.find('!') < out.find("G21"));
}

TEST_CASE("whatever the controller says in whatever order, the session stays sane") {
    // Answers, errors, alarms, greetings, reports and rubbish, cut anywhere, mixed with every wish of the maker.
    static const std::vector<std::string> replies{"ok\r\n",
                                                  "error:20\r\n",
                                                  "ALARM:1\r\n",
                                                  "ALARM:3\r\n",
                                                  "\r\nGrbl 1.1h ['$' for help]\r\n",
                                                  "<Idle|MPos:0.000,0.000,0.000|FS:0,0>\r\n",
                                                  "<Run|MPos:-10.000,-20.000,0.000|FS:500,100>\r\n",
                                                  "<Hold:0|MPos:-10.000,-20.000,0.000|FS:0,0>\r\n",
                                                  "<Alarm|MPos:0.000,0.000,0.000|FS:0,0>\r\n",
                                                  "<Idle|MP",
                                                  "$32=1\r\n",
                                                  "$22=1\r\n",
                                                  "[MSG:x]\r\n",
                                                  "\x01\xff\r\n",
                                                  "o",
                                                  "k\r\n"};
    rc::prop("buffer never overfilled, nothing sent after the link is gone", [] {
        RealtimeSession session({}, 0.3);
        double now = 0;
        session.opened(now);
        int open = 0;  // bytes of unanswered lines, as the controller counts them
        bool closed = false;
        const int moves = *rc::gen::inRange(1, 150);
        for (int i = 0; i < moves; ++i) {
            now += *rc::gen::inRange(0, 400) / 1000.0;
            const int what = *rc::gen::inRange(0, 24);
            if (what < 12) {
                if (!closed) session.received(*rc::gen::elementOf(replies), now);
                open = 0;  // whatever it was, it may have freed the buffer
            } else if (what < 16)
                session.tick(now);
            else if (what == 16)
                (void)session.home();
            else if (what == 17)
                (void)session.unlock();
            else if (what == 18)
                (void)session.jog({1, 1}, Speed::mm_per_min(100));
            else if (what == 19)
                (void)session.burn(test::let_through(source(long_program()), session.profile()));
            else if (what == 20)
                (void)session.frame(test::let_through(source({"G21G90", "M5"}), session.profile()));
            else if (what == 21)
                session.hold();
            else if (what == 22)
                session.stop();
            else if (*rc::gen::inRange(0, 6) == 0) {
                session.closed("gone", now);
                closed = true;
            }
            const std::string out = session.take_output();
            if (closed) RC_ASSERT(out.empty());
            for (const char c : out)
                if (c != '?' && c != '!' && c != '~' && c != 0x18) ++open;
            RC_ASSERT(open <= 127 + 64);  // what one burst may hold: a buffer of lines and one command
            for (const Event& e : session.take_events())
                if (const auto* failed = std::get_if<event::Failed>(&e)) RC_ASSERT(!failed->error.code.empty());
        }
        // Time heals: every stop comes to an end, with or without the controller's help.
        for (int i = 0; i < 400; ++i)
            session.tick(now += 0.05);
        RC_ASSERT(session.snapshot().activity != Activity::stopping);
    });
}
