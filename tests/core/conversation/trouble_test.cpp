// SPDX-License-Identifier: GPL-3.0-or-later
// What a session makes of a bad cable, of other programs on its port, and of steps that are trimmed.
#include "support/let_through.hpp"
#include "support/virtual_machine.hpp"

#include <chalkline/encoding/encoder.hpp>
#include <chalkline/simulator/faults.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::machine;
using chalkline::simulator::Fault;
using chalkline::test::GivenLines;
using chalkline::test::VirtualMachine;
using geometry::Point;

namespace {

/// Long lines for two steps, each a square of 20 mm gone round and round.
std::shared_ptr<const Program> two_steps(BeamMode mode = BeamMode::following, std::uint32_t rounds = 6) {
    Program program;
    const auto add = [&](auto act, int step) {
        program.operations.push_back({act, Speed::mm_per_min(2400), {step, 1, 0}});
    };
    for (const int step : {1, 2}) {
        const Point at{step * 40.0, 30};
        add(Beam{mode}, step);
        add(Travel{at}, step);
        const auto first = static_cast<std::uint32_t>(program.points.size());
        for (std::uint32_t round = 0; round < rounds; ++round)
            for (const Point by : {Point{20, 0}, Point{20, 20}, Point{0, 20}, Point{}})
                program.points.push_back(at + by);
        add(Trace{first, 4 * rounds, 6000}, step);
    }
    add(Beam{BeamMode::off}, -1);
    return std::make_shared<const Program>(std::move(program));
}

/// A session and a controller with a cable between them that can go wrong.
struct BadCable {
    explicit BadCable(std::vector<Fault> faults) : device(controller, controller, std::move(faults)) {
        session.opened(0);
        until([&] { return session.snapshot().activity == Activity::none; });
        REQUIRE(session.home());
        until([&] { return session.snapshot().activity == Activity::none && session.snapshot().position; });
    }
    void pass() {
        const std::string answer = device.take_output();
        if (plugged && !device.plugged_in()) session.closed("pulled", controller.now());
        plugged = device.plugged_in();
        if (!answer.empty()) session.received(answer, controller.now());
        session.tick(controller.now());
        device.receive(session.take_output());
        device.advance(0.002);
        for (auto& event : session.take_events()) {
            if (const auto* e = std::get_if<event::Failed>(&event)) failed.push_back(e->error.code);
            if (std::holds_alternative<event::Finished>(event)) ++finished;
        }
    }
    template <class Condition>
    bool until(Condition condition, double patience = 120) {
        const double end = controller.now() + patience;
        while (!condition() && controller.now() < end)
            pass();
        return condition();
    }
    void burn(BeamMode mode = BeamMode::following, std::uint32_t rounds = 6) {
        finished = 0;
        REQUIRE(session.burn(test::let_through(
            std::make_unique<SharedEncoder>(two_steps(mode, rounds), MachineProfile{}), session.profile())));
    }
    bool burned_or_failed() {
        return until([&] { return finished > 0 || !failed.empty(); }) &&
               until([&] { return session.snapshot().activity == Activity::none; }, 20);
    }

    simulator::Controller controller{MachineProfile{}};
    simulator::FaultyDevice device;
    RealtimeSession session{MachineProfile{}, 0.3};
    std::vector<std::string> failed;
    int finished = 0;
    bool plugged = true;
};

constexpr double later = 20;  // s: homing is over, the burn under way

Fault fault(Fault::Kind kind, double seconds = 0, std::string text = {}) {
    Fault f;
    f.kind = kind;
    f.at = later;
    f.seconds = seconds;
    f.text = std::move(text);
    return f;
}

/// Begins the burn three seconds before the fault.
BadCable burning_into(Fault f, BeamMode mode = BeamMode::following, std::uint32_t rounds = 6) {
    BadCable cable({std::move(f)});
    cable.until([&] { return cable.controller.now() > later - 3; });
    cable.burn(mode, rounds);
    return cable;
}

}  // namespace

TEST_CASE("an answer that cannot be read, or that never came, is told from a good one") {
    auto garbled = burning_into(fault(Fault::Kind::garble_answer));
    REQUIRE(garbled.burned_or_failed());
    CHECK(garbled.failed == std::vector<std::string>{std::string(machine::error::garbled_answer)});
    CHECK(garbled.session.snapshot().position_sure);
    CHECK(garbled.controller.beam() == 0);
    // A lost one costs nothing: the head came to the program's end.
    auto lost = burning_into(fault(Fault::Kind::lose_answer));
    REQUIRE(lost.burned_or_failed());
    CHECK(lost.failed.empty());
    CHECK(lost.finished == 1);
    CHECK(lost.controller.report().beam_on_mm == Approx(960).margin(0.1));
}

TEST_CASE("a head beside its way stops the burn within a few moments") {
    auto cable = burning_into(fault(Fault::Kind::foreign_line, 0, "G0X200Y200"), BeamMode::following, 20);
    REQUIRE(cable.burned_or_failed());
    REQUIRE(cable.failed.size() == 1);
    // The strange line may also have cost bytes of ours, in a buffer that was full.
    CHECK((cable.failed[0] == machine::error::off_way || cable.failed[0] == machine::error::line_refused));
    CHECK(cable.controller.beam() == 0);
    CHECK(cable.controller.report().beam_on_mm < 1000);
}

TEST_CASE("a beam that somebody else turned off is missed, and what was burned since is not called sure") {
    auto cable = burning_into(fault(Fault::Kind::foreign_line, 0, "M5"), BeamMode::following, 20);
    REQUIRE(cable.burned_or_failed());
    CHECK(cable.failed == std::vector<std::string>{std::string(machine::error::beam_taken)});
    const auto done = cable.session.snapshot().done;
    REQUIRE(done.operation == 2);
    CHECK((done.part + 1) * 20 <= cable.controller.report().beam_on_mm);
}

TEST_CASE("settings changed behind our back are found before the next burn, not in its middle") {
    BadCable cable({fault(Fault::Kind::change_setting, 0, "32=0")});
    cable.until([&] { return cable.controller.now() > later + 1; });
    REQUIRE(cable.session.burn(
        test::let_through(std::make_unique<SharedEncoder>(two_steps(), MachineProfile{}), cable.session.profile())));
    REQUIRE(cable.until([&] { return !cable.failed.empty(); }, 5));
    CHECK(cable.failed.front() == machine::error::laser_mode_off);
    CHECK(cable.controller.report().beam_on_mm == 0);
}

TEST_CASE("an opened door and a pressed foot switch hold the burn, which goes on to its end") {
    for (const auto kind : {Fault::Kind::open_door, Fault::Kind::press_hold}) {
        auto cable = burning_into(fault(kind, 4));
        const auto held = [&] {
            const auto state = cable.session.snapshot().state;
            return state == ControllerState::door || state == ControllerState::hold;
        };
        REQUIRE(cable.until(held));
        cable.session.resume();
        cable.until([&] { return cable.controller.now() > later + 3; });
        CHECK(held());  // nothing goes on while it is open or down
        CHECK(cable.controller.beam() == 0);
        cable.until([&] { return cable.controller.now() > later + 5; });
        cable.session.resume();
        REQUIRE(cable.burned_or_failed());
        CHECK(cable.failed.empty());
        CHECK(cable.controller.report().beam_on_mm == Approx(960).margin(0.1));
    }
}

TEST_CASE("a pulled cable leaves no beam at rest under M4, and under M3 until somebody switches it off") {
    auto following = burning_into(fault(Fault::Kind::pull_cable));
    REQUIRE(following.until([&] { return !following.failed.empty(); }));
    following.until([] { return false; }, 60);
    CHECK(following.controller.report().beam_at_rest_s == 0);
    CHECK(following.controller.beam() == 0);
    auto constant = burning_into(fault(Fault::Kind::pull_cable), BeamMode::constant);
    REQUIRE(constant.until([&] { return !constant.failed.empty(); }));
    constant.until([] { return false; }, 60);
    // All that time but what planner and buffer still held.
    CHECK(constant.controller.report().beam_at_rest_s > 35);
}

TEST_CASE("a computer that slept for a minute goes on where it was") {
    auto cable = burning_into(fault(Fault::Kind::delay, 60));
    REQUIRE(cable.burned_or_failed());
    CHECK(cable.failed == std::vector<std::string>{});
    CHECK(cable.controller.report().beam_on_mm == Approx(960).margin(0.1));
    CHECK(cable.controller.report().beam_at_rest_s == 0);
}

TEST_CASE("a work offset that was changed behind our back is put right before anything burns") {
    BadCable cable({fault(Fault::Kind::change_setting, 0, "G54=-390,-285")});
    cable.until([&] { return cable.controller.now() > later + 1; });
    cable.burn();
    REQUIRE(cable.burned_or_failed());
    CHECK(cable.failed.empty());
    CHECK(cable.controller.report().violations.empty());
    CHECK(geometry::distance(cable.controller.head(), {80, 30}) < 0.01);
}

TEST_CASE("each step keeps its own trim, and no line of one runs with the trim of another") {
    VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.burn(
        test::let_through(std::make_unique<SharedEncoder>(two_steps(), vm.session.profile()), vm.session.profile()),
        {{1, {100, 50}}}));
    double most_first = 0, most_second = 0;
    REQUIRE(vm.run_until(
        [&] {
            auto& most = vm.controller.head().x < 70 ? most_first : most_second;
            most = std::max(most, vm.controller.beam());
            // The second is trimmed while it runs.
            if (vm.session.snapshot().step == 2 && vm.controller.head().x > 85 &&
                vm.session.snapshot().power_trim == 100)
                CHECK(vm.session.trim(110, 100));
            return vm.session.snapshot().activity == Activity::none;
        },
        200));
    CHECK(most_first == Approx(0.30).margin(0.005));
    CHECK(most_second == Approx(0.60).margin(0.005));
    CHECK(vm.session.snapshot().trims == Trims{{1, {100, 50}}, {2, {110, 100}}});
    CHECK(vm.controller.report().beam_on_mm == Approx(960).margin(0.1));
}
