// SPDX-License-Identifier: GPL-3.0-or-later
// Troubles that come together, as the campaign found them: one makes another invisible.
#include "support/board_bench.hpp"
#include "support/board_programs.hpp"

#include <chalkline/machine/rest.hpp>

using namespace chalkline;
using namespace chalkline::machine;
using namespace chalkline::test;
using simulator::Board;
using simulator::Fault;

namespace {

Fault trouble(Fault::Kind kind, double at, double seconds = 0) {
    Fault fault;
    fault.kind = kind;
    fault.at = at;
    fault.seconds = seconds;
    return fault;
}

/// Ready, and burning from `at` on.
std::shared_ptr<const Program> burn_from(BoardBench& bench, double at) {
    REQUIRE(bench.make_ready());
    bench.until([&] { return bench.controller.now() >= at; });
    auto program = rows_and_cut();
    REQUIRE(bench.burn(program));
    return program;
}

/// Is told, and nothing that was not burned is called so.
void ends_told(BoardBench& bench, const Program& program) {
    REQUIRE(bench.over());
    REQUIRE_FALSE(bench.failed.empty());
    CHECK(bench.controller.beam() == 0);
    CHECK(lit_mm(program, {}, bench.now().done) <= bench.controller.report().beam_on_mm + 0.5);
}

}  // namespace

TEST_CASE("homing whose answer got lost ends, and says so") {
    BoardBench bench({}, {trouble(Fault::Kind::lose_answer, 5)});
    REQUIRE(bench.ready());
    bench.until([&] { return bench.controller.now() > 5.1; });
    REQUIRE(bench.session->home());
    REQUIRE(bench.until([&] { return bench.free(); }, 60));
    CHECK(bench.failed == std::vector{std::string(machine::error::answer_lost)});
    CHECK_FALSE(bench.now().position_sure);
    CHECK(bench.make_ready());
}

TEST_CASE("an alarm that comes garbled or in words is one, and is reset") {
    for (const char* said : {"ALARM2", "aLARM:1", "ALARM: Hard limit"}) {
        INFO(said);
        BoardBench bench({});
        REQUIRE(bench.make_ready());
        (void)bench.session->take_output();
        bench.session->received(std::string(said) + "\r\n", bench.controller.now());
        CHECK(bench.now().state == ControllerState::alarm);
        CHECK(bench.session->take_output().find('\x18') != std::string::npos);
    }
    CHECK(std::holds_alternative<reply::Text>(parse_reply("ALARMED 3")));
    CHECK(std::holds_alternative<reply::Text>(parse_reply("[MSG:ALARM:1]")));
}

TEST_CASE("a locked board that never got its reset gets another one") {
    BoardBench bench({});
    REQUIRE(bench.make_ready());
    bench.session->received("ALARM:1\r\n", bench.controller.now());
    (void)bench.session->take_output();  // it got lost
    const double since = bench.controller.now();
    bool again = false;
    for (double now = since; now < since + 8 && !again; now += 0.1) {
        bench.session->tick(now);
        again = bench.session->take_output().find('\x18') != std::string::npos;
    }
    CHECK(again);
}

TEST_CASE("what is left is counted on from where it began, also when nothing of it was sent") {
    const auto program = rows_and_cut(3, 5);
    for (std::int64_t operation = 0; operation < static_cast<std::int64_t>(program->operations.size()); ++operation) {
        const std::int32_t parts = parts_of(program->operations[static_cast<std::size_t>(operation)]);
        for (const std::int32_t part : {0, parts - 1}) {
            const ProgramPlace done{operation, part};
            CHECK(rest_of(*program, done).in_whole({-1, 0}) == done);
        }
    }
}

TEST_CASE("the beam taken near the end of a burn is not called burned") {
    // The foreign line comes when some seconds are left: too few to be sure in the middle.
    const auto program = rows_and_cut(10, 30);
    BoardBench whole({});
    REQUIRE(whole.make_ready());
    const double begun = whole.controller.now();
    REQUIRE(whole.burn(program));
    REQUIRE(whole.over());
    const double takes = whole.controller.now() - begun;
    Fault taken = trouble(Fault::Kind::foreign_line, begun + takes - 3.5);
    taken.text = "M5";
    BoardBench bench({}, {taken});
    REQUIRE(bench.make_ready());
    REQUIRE(bench.burn(program));
    ends_told(bench, *program);
    CHECK(bench.finished == 0);
}

TEST_CASE("a board that reads line by line starts anew and its word of that is lost: it is noticed by what it counts") {
    for (const char* name : {"line-numbered", "line-plain"}) {
        INFO(name);
        BoardBench bench(board_named(name),
                         {trouble(Fault::Kind::power_cut, 26, 2), trouble(Fault::Kind::garble_answer, 27)});
        const auto program = burn_from(bench, 20);
        ends_told(bench, *program);
        CHECK_FALSE(bench.now().position_sure);
    }
}

TEST_CASE("a link lost while a burn is being stopped has broken off a burn") {
    for (const char* name : {"line-numbered", "line-plain", "chatty"}) {
        INFO(name);
        BoardBench bench(board_named(name));
        burn_from(bench, 20);
        bench.until([&] { return bench.controller.report().beam_on_mm > 20; });
        bench.session->stop();
        bench.events.clear();
        bench.pull_out();
        REQUIRE(bench.seen<event::Failed>() == 1);
        for (const auto& happened : bench.events)
            if (const auto* failed = std::get_if<event::Failed>(&happened))
                CHECK(failed->activity == Activity::burning);
    }
}

TEST_CASE("a question that was lost with its answer keeps nothing waiting for ever") {
    for (const double at : {24.0, 24.3, 24.6, 24.9}) {
        INFO(at);
        Fault garbage = trouble(Fault::Kind::reset, at);  // a byte that makes the next line unreadable
        BoardBench bench(board_named("line-plain"), {garbage, trouble(Fault::Kind::garble_answer, at)});
        burn_from(bench, 20);
        CHECK(bench.over());
        CHECK(bench.free());
    }
}

TEST_CASE("a board locked while it is asked for its settings is asked once more") {
    BoardBench bench(board_named("chatty"));
    const auto asked = [&] {
        return std::any_of(bench.events.begin(), bench.events.end(), [](const machine::Event& happened) {
            const auto* wire = std::get_if<event::Wire>(&happened);
            return wire && wire->sent && wire->text == "$$";
        });
    };
    // The answers get lost, so that it waits for them.
    REQUIRE(bench.until(asked, 20));
    bench.plugged = false;
    bench.run(0.3);
    bench.plugged = true;
    bench.run(1.2);
    REQUIRE(bench.seen<event::Ready>() == 0);
    // A switch was touched; the alarm drops what was asked, and only a reset leads on.
    bench.controller.hit_limit_switch();
    REQUIRE(bench.ready());
    CHECK(bench.session->setting(22) == 1.0);
    CHECK(bench.session->setting(130));
    REQUIRE(bench.session->home());
    CHECK(bench.until([&] { return bench.free() && bench.now().position_sure; }, 120));
}

TEST_CASE("where the head stands cannot be said by what a board counted before it started anew") {
    BoardBench bench(board_named("usb-restart"));
    REQUIRE(bench.make_ready());
    REQUIRE(bench.session->jog({24, 8}, Speed::mm_per_min(6000)));
    REQUIRE(bench.until([&] { return bench.free() && bench.now().state == ControllerState::idle; }));
    const Point stands = bench.controller.head();
    bench.controller.set_power(false);
    bench.run(0.5);
    bench.controller.set_power(true);
    // Its greeting is there, a report is not: whoever is quick says the place now.
    REQUIRE(bench.until([&] { return !bench.now().position_sure; }, 20));
    if (!bench.session->stands_at(stands)) {
        REQUIRE(bench.until([&] { return bench.now().state == ControllerState::idle; }, 20));
        REQUIRE(bench.session->stands_at(stands));
    }
    bench.run(1);
    CHECK(geometry::distance(*bench.now().position, stands) < 0.01);
}
