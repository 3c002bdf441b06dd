// SPDX-License-Identifier: GPL-3.0-or-later
// The second dialect: one line after the other, nothing in between.
#include "support/let_through.hpp"
#include "support/line_machine.hpp"
#include "support/virtual_machine.hpp"

#include <chalkline/conversation/line_session.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::machine;
using chalkline::test::GivenLines;
using chalkline::test::LineMachine;
using chalkline::test::profile_of_board;
using geometry::Point;

namespace {

std::vector<std::string> rounds_of_square(int rounds) {
    std::vector<std::string> lines{"G21G90G17G94G54", "M5S0", "M8", "M4S0", "G0X50Y50"};
    for (int i = 0; i < rounds; ++i)
        for (const char* line : {"G1X80S500F3000", "Y80", "X50", "G91Y-30", "G90"})
            lines.push_back(line);
    lines.push_back("G4P0.5");
    lines.push_back("M5S0");
    lines.push_back("M9");
    return lines;
}

std::unique_ptr<LineSource> source(std::vector<std::string> lines) {
    return std::make_unique<GivenLines>(std::move(lines));
}

}  // namespace

TEST_CASE("lines of the reference dialect become one command each, with nothing left to remember") {
    OneCommandLines lines(source({"G21G90G17G94G54", "M5S0", "M4S0", "G0X1Y2", "G1X3S500F3000", "Y4", "G91X.5S0",
                                  "X1S20", "G90G0X0Y0", "S0", "G4P0.25", "G3X1Y1I.5J0", "M5S0", "M9"}));
    std::vector<std::string> got;
    for (ProgramLine line; lines.next(line);) {
        got.push_back(line.text);
        CHECK(line.text.size() <= longest_line);
    }
    CHECK(got == std::vector<std::string>{"G21", "G90", "M5", "M4 I S0", "G0 X1 Y2", "G1 X3 F3000 S500", "G1 Y4", "G91",
                                          "G1 X.5 S0", "G1 X1 S20", "G90", "G0 X0 Y0", "M4 I S0", "G4 S0.25",
                                          "G3 X1 Y1 I.5 J0", "M5", "M9"});
}

TEST_CASE("line by line: found, homed, moved within the bed, burned where it says") {
    LineMachine board;
    board.make_ready();
    CHECK(board.session->snapshot().version == "Marlin");
    CHECK(geometry::distance(*board.session->snapshot().position, board.controller.head()) < 0.001);
    CHECK(board.session->go_to({401, 10}, Speed::mm_per_min(3000)).error().code == machine::error::beyond_limits);
    REQUIRE(board.session->go_to({120, 80}, Speed::mm_per_min(3000)));
    REQUIRE(board.run_until([&] { return board.free(); }));
    CHECK(geometry::distance(board.controller.head(), {120, 80}) < 0.001);
    REQUIRE(board.session->jog({-20, 5}, Speed::mm_per_min(3000)));
    REQUIRE(board.run_until([&] { return board.free(); }));
    CHECK(geometry::distance(board.controller.head(), {100, 85}) < 0.001);
    REQUIRE(board.session->burn(test::let_through(source(rounds_of_square(3)), board.session->profile())));
    REQUIRE(board.run_until([&] { return board.free(); }));
    CHECK(board.last<event::Finished>()->activity == Activity::burning);
    CHECK(board.controller.report().beam_on_mm == Approx(3 * 4 * 30).margin(0.01));
    CHECK(board.controller.report().violations.empty());
    CHECK(board.controller.report().errors.empty());
    // One line on its way at a time: what was sent while a line was open would have been lost on such a board.
    CHECK(board.sent.find('?') == std::string::npos);
}

TEST_CASE("line by line: what cannot be promised is declared and refused") {
    LineMachine board;
    board.make_ready();
    const Capabilities& can = board.session->snapshot().can;
    CHECK_FALSE(can.hold);
    CHECK_FALSE(can.pulse);
    CHECK(can.moves_after_stop == board.session->profile().planner_blocks + 1);
    for (const auto& refused :
         {board.session->pulse(Power::percent(5), Duration::seconds(0.1)), board.session->probe(),
          board.session->jog_on({1, 0}, Speed::mm_per_min(1000)), board.session->write_setting(32, 1)})
        CHECK(refused.error().code == machine::error::not_supported);
    CHECK(board.sent.find("M3") == std::string::npos);
}

TEST_CASE("line by line: a stop ends in the dark after no more moves than declared") {
    for (const double after : {0.5, 1.3, 2.1, 3.7}) {
        LineMachine board;
        board.make_ready();
        REQUIRE(board.session->burn(test::let_through(source(rounds_of_square(60)), board.session->profile())));
        board.run_until([] { return false; }, after);
        const auto before = board.controller.report().moves;
        board.session->stop();
        REQUIRE(board.run_until([&] { return board.free(); }, 30));
        const auto* stopped = board.last<event::Stopped>();
        REQUIRE(stopped);
        CHECK(stopped->activity == Activity::burning);
        CHECK(stopped->beam_off);
        CHECK(stopped->position_sure);
        CHECK(board.controller.beam() == 0);
        CHECK(board.controller.report().moves - before <= board.session->snapshot().can.moves_after_stop);
        CHECK(geometry::distance(*board.session->snapshot().position, board.controller.head()) < 0.002);
        // It can be worked with at once.
        CHECK(board.session->go_to({10, 10}, Speed::mm_per_min(3000)));
    }
}

TEST_CASE("line by line: a line it does not know stops the burn and is named") {
    LineMachine board;
    board.make_ready();
    auto lines = rounds_of_square(5);
    lines.insert(lines.begin() + 8, "G2X999Y999I1J1");
    REQUIRE(board.session->burn(test::let_through(source(lines), board.session->profile())));
    REQUIRE(board.run_until([&] { return board.last<event::Failed>() != nullptr; }, 60));
    CHECK(board.last<event::Failed>()->error.code == machine::error::line_refused);
    REQUIRE(board.run_until([&] { return board.free(); }, 10));
    CHECK(board.controller.beam() == 0);
}

TEST_CASE("line by line: a board that falls silent or goes away is said, nothing hangs") {
    LineMachine board;
    board.make_ready();
    REQUIRE(board.session->burn(test::let_through(source(rounds_of_square(60)), board.session->profile())));
    board.run_until([] { return false; }, 1);
    board.cable = false;
    REQUIRE(board.run_until([&] { return board.session->snapshot().silent_for > 2; }, 10));
    board.session->stop();
    REQUIRE(board.run_until([&] { return board.last<event::Stopped>() != nullptr; }, 10));
    CHECK_FALSE(board.last<event::Stopped>()->beam_off);
    CHECK_FALSE(board.session->snapshot().position_sure);
    board.session->closed("gone", board.now);
    CHECK_FALSE(board.session->snapshot().connected);
    LineSession nobody(profile_of_board(), 0.1);
    nobody.opened(0);
    for (double t = 0; t < 9; t += 0.1)
        nobody.tick(t);
    const auto events = nobody.take_events();
    REQUIRE(std::holds_alternative<event::Failed>(events[events.size() - 2]));
    CHECK(std::get<event::Failed>(events[events.size() - 2]).error.code == machine::error::silent);
}

TEST_CASE("line by line without switches: somebody says where the head stands") {
    MachineProfile profile = profile_of_board();
    profile.home = HomeCorner::none;
    LineMachine board(profile);
    REQUIRE(board.run_until([&] { return board.last<event::Ready>() != nullptr; }, 10));
    CHECK(board.session->home().error().code == machine::error::no_homing);
    REQUIRE(board.session->release_motors());
    REQUIRE(board.run_until([&] { return board.free(); }));
    CHECK(board.session->burn(test::let_through(source(rounds_of_square(1)), board.session->profile())).error().code ==
          machine::error::position_unknown);
    const Point before = board.controller.head();
    REQUIRE(board.session->stands_at({50, 50}));
    REQUIRE(board.run_until([&] { return board.free(); }));
    CHECK(board.session->snapshot().position->x == Approx(50));
    REQUIRE(board.session->burn(test::let_through(source({"G21G90", "G0X60Y70", "M5S0"}), board.session->profile())));
    REQUIRE(board.run_until([&] { return board.free(); }));
    CHECK(board.controller.head().x - before.x == Approx(10));
    CHECK(board.controller.head().y - before.y == Approx(20));
}

TEST_CASE("line by line: a stop is sent at once, also while the board is busy with a long wait") {
    LineMachine board;
    board.make_ready();
    REQUIRE(board.session->go_to({390, 290}, Speed::mm_per_min(1000)));
    REQUIRE(board.run_until([&] { return board.sent.ends_with("M400\n"); }, 5));
    board.session->stop();
    const std::string out = board.session->take_output();
    CHECK(out == "M410\nM5\nM9\n");
}

TEST_CASE("line by line: a typed line that is refused changes nothing, one that is taken proves nothing") {
    LineMachine board;
    board.make_ready();
    const Point before = *board.session->snapshot().position;
    REQUIRE(board.session->send_line("G99"));
    REQUIRE(board.run_until([&] { return board.free(); }));
    CHECK(board.last<event::Failed>()->error.code == machine::error::line_refused);
    CHECK(board.last<event::Failed>()->activity == Activity::none);
    CHECK(board.session->snapshot().position_sure);
    CHECK(*board.session->snapshot().position == before);
    // Home of one axis is no home, whoever types it.
    REQUIRE(board.session->send_line("G28 X"));
    REQUIRE(board.run_until([&] { return board.free(); }));
    CHECK_FALSE(board.session->snapshot().position_sure);
}

TEST_CASE("line by line: a board that greets is asked at once, and sent no empty line later") {
    LineSession session(profile_of_board(), 4);
    session.opened(0);
    session.received("start\n", 1.0);
    std::string sent = session.take_output();
    for (double now = 1.0; now < 8; now += 0.1) {
        session.tick(now);
        session.received("ok\n", now);  // to whatever is on its way; to nothing, later on
        sent += session.take_output();
    }
    CHECK(sent.find("M115") == 0);
    CHECK(("\n" + sent).find("\n\n") == std::string::npos);
}
