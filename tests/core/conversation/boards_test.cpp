// SPDX-License-Identifier: GPL-3.0-or-later
// The habits of real boards, one after the other, against the conversation.
#include "support/board_bench.hpp"
#include "support/board_programs.hpp"
#include "support/let_through.hpp"

#include <chalkline/conversation/contradictions.hpp>
#include <chalkline/machine/rest.hpp>
#include <chalkline/machine/walk.hpp>
#include <chalkline/selftest/self_test.hpp>

#include <fmt/format.h>

#include <cmath>
#include <fstream>

using namespace chalkline;
using namespace chalkline::machine;
using namespace chalkline::test;
using geometry::Point;
using simulator::Board;
using simulator::Fault;

namespace {

Fault fault(Fault::Kind kind, double at, double seconds = 0, std::string text = {}) {
    Fault f;
    f.kind = kind;
    f.at = at;
    f.seconds = seconds;
    f.text = std::move(text);
    return f;
}

bool takes_jobs(const Board& board) {
    return board.name != "line-no-inline-power";
}

/// What was burned without any trouble, laid on a map.
simulator::DoseMap burned_once(const Board& board, const std::shared_ptr<const Program>& program) {
    BoardBench bench(board);
    REQUIRE(bench.make_ready());
    REQUIRE(bench.burn(program));
    REQUIRE(bench.over());
    REQUIRE(bench.failed.empty());
    return bench.dose;
}

/// Goes on with what is left as somebody at the machine would.
void go_on(BoardBench& bench, const std::shared_ptr<const Program>& program, ProgramPlace done) {
    const auto rest = std::make_shared<const Rest>(rest_of(*program, done));
    bench.stopped.reset();
    REQUIRE(bench.until([&] { return bench.free() && bench.now().state == ControllerState::idle; }, 30));
    REQUIRE(bench.burn({rest, &rest->program}));
    REQUIRE(bench.over());
    CHECK(bench.failed.empty());
}

}  // namespace

TEST_CASE("however many moves a board holds, what the head left behind is done") {
    const Board board = board_named("six-axes");  // it takes the whole program at once
    const auto program = rows_and_cut();
    const double whole = lit_mm(*program);
    BoardBench bench(board);
    REQUIRE(bench.make_ready());
    REQUIRE(bench.burn(program));
    ProgramPlace latest;
    for (const double share : {0.3, 0.6, 0.9}) {
        REQUIRE(bench.until([&] { return bench.controller.report().beam_on_mm > share * whole; }));
        const ProgramPlace done = bench.now().done;
        CHECK(latest < done);
        latest = done;
        // Nothing that is called done is missing, and what is called open is not much more than what is.
        const Rest rest = rest_of(*program, done);
        const double open = lit_mm(rest.program), burned = bench.controller.report().beam_on_mm;
        CHECK(open >= whole - burned - 0.5);
        CHECK(open < whole - burned + 0.15 * whole);
    }
}

TEST_CASE("every board that comes along is read, and says the same again") {
    const auto boards = all_boards();
    CHECK(boards.size() >= 12);
    for (const Board& board : boards) {
        INFO(board.name);
        const auto again = simulator::parse_board(simulator::to_json(board), "again");
        REQUIRE(again);
        CHECK(simulator::to_json(*again) == simulator::to_json(board));
        CHECK_FALSE(board.about.empty());
    }
    const auto wrong = [](const char* text) {
        return simulator::parse_board(text, "b.json").error().parameters[0].second;
    };
    CHECK(wrong("[]") == "format");
    CHECK(wrong(R"({"format":"chalkline-board","axes":9})") == "axes");
    CHECK(wrong(R"({"format":"chalkline-board","colour":"red"})") == "unknown key");
    CHECK(wrong(R"({"format":"chalkline-board","line":{"ok":1}})") == "line: ok");
}

TEST_CASE("every board: probed, home, framed, burned, held, stopped and gone on with, restarted, unplugged") {
    const auto program = rows_and_cut();
    const double whole = lit_mm(*program);
    std::string table =
        fmt::format("| board | probe | home | frame | burn | hold | stop, go on | restart | unplug |\n");
    table += "| --- | --- | --- | --- | --- | --- | --- | --- | --- |\n";
    for (const Board& board : all_boards()) {
        INFO(board.name);
        std::string row = "| " + board.name + " |";
        const auto column = [&](bool good, const char* words = "yes") {
            CHECK(good);
            row += good ? fmt::format(" {} |", words) : " NO |";
        };
        BoardBench bench(board);
        column(bench.ready() && bench.failed.empty());
        CHECK_FALSE(bench.now().position_sure);  // nobody here has found home, and nobody has said anything
        const bool homes = bench.profile.home != HomeCorner::none;
        column(bench.make_ready() && bench.now().placed_by_hand != homes &&
                   geometry::distance(*bench.now().position, bench.controller.head()) < 1.5,
               homes ? "yes" : "by hand");
        if (!takes_jobs(board)) {
            const auto refused = bench.session->burn(
                test::let_through(std::make_unique<SharedEncoder>(program, bench.profile), bench.session->profile()));
            CHECK(refused.error().code == machine::error::no_inline_power);
            table += row + " – | refused | – | – | – | – |\n";
            continue;
        }
        Program frame;
        frame.operations.push_back({Travel{{60, 60}}, {}, {}});
        frame.operations.push_back({Travel{{10, 10}}, {}, {}});
        bench.finished = 0;
        const auto framed = std::make_shared<const Program>(frame);
        column(bench.session->frame(test::let_through(std::make_unique<SharedEncoder>(framed, bench.profile),
                                                      bench.session->profile())) &&
               bench.over() && bench.failed.empty() && bench.controller.report().beam_on_mm == 0);
        column(bench.burn(program) && bench.over() && bench.finished == 1 &&
               std::abs(bench.controller.report().beam_on_mm - whole) < 0.5);
        CHECK(bench.controller.report().violations.empty());
        CHECK(bench.controller.report().errors.empty());
        CHECK(bench.failed.empty());

        // Held in the middle: it stands dark, and goes on to the end.
        if (bench.now().can.hold) {
            REQUIRE(bench.burn(program));
            const double before = bench.controller.report().beam_on_mm;
            bench.until([&] { return bench.controller.report().beam_on_mm > before + whole / 3; });
            bench.session->hold();
            bench.until([&] { return bench.now().state == ControllerState::hold && bench.now().sub == 0; }, 5);
            const Point held = bench.controller.head();
            bench.run(2);
            const bool stood = bench.controller.head() == held && bench.controller.beam() == 0;
            bench.session->resume();
            column(stood && bench.over() && bench.finished == 1 && bench.failed.empty());
        } else {
            row += " cannot |";
        }

        // Stopped in the middle, and gone on with: no gap, and at most one run twice where the place is kept.
        BoardBench stopping(board);
        REQUIRE(stopping.make_ready());
        REQUIRE(stopping.burn(program));
        stopping.until([&] { return stopping.controller.report().beam_on_mm > whole / 2; });
        stopping.session->stop();
        REQUIRE(stopping.until([&] { return stopping.stopped.has_value(); }, 15));
        CHECK(stopping.stopped->beam_off);
        CHECK(stopping.controller.beam() == 0);
        REQUIRE(stopping.now().position);
        const ProgramPlace done =
            done_at_rest(*program, stopping.now().done, stopping.now().begun, *stopping.now().position);
        go_on(stopping, program, done);
        const double longest_run = 34;  // mm: a side of the square
        column(stopping.finished == 1 && gap(burned_once(board, program), stopping.dose) < 0.3 &&
               stopping.controller.report().beam_on_mm < whole + longest_run);

        // A restart in the middle is told, and the place is not believed any more.
        BoardBench restarting(board);
        REQUIRE(restarting.make_ready());
        REQUIRE(restarting.burn(program));
        restarting.run(3);
        restarting.controller.set_power(false);
        restarting.run(0.5);
        restarting.controller.set_power(true);
        column(restarting.over() && !restarting.failed.empty() &&
               restarting.failed.front() == machine::error::reset_by_itself && !restarting.now().position_sure &&
               restarting.controller.beam() == 0);

        // The cable is pulled and plugged in again: the board that stayed on is gone on with where it came to rest.
        BoardBench unplugged(board);
        REQUIRE(unplugged.make_ready());
        REQUIRE(unplugged.burn(program));
        unplugged.until([&] { return unplugged.controller.report().beam_on_mm > whole / 2; });
        const ProgramPlace sure = unplugged.now().done, begun = unplugged.now().begun;
        unplugged.pull_out();
        const auto place = unplugged.now().remembered_place;
        REQUIRE(place);
        unplugged.run(30);
        CHECK(unplugged.controller.beam() == 0);
        unplugged.events.clear();
        unplugged.connect(place);
        REQUIRE(unplugged.ready());
        const bool continued = unplugged.now().place_continued;
        CHECK(continued != board.restarts_on_open);
        ProgramPlace from = sure;
        if (continued) from = done_at_rest(*program, sure, begun, *unplugged.now().position);
        REQUIRE(unplugged.make_ready());
        go_on(unplugged, program, from);
        column(unplugged.finished == 1 && gap(burned_once(board, program), unplugged.dose) < 0.3 &&
                   unplugged.controller.report().beam_on_mm <
                       whole + longest_run + (continued ? 0 : lit_mm(*program, sure, begun)),
               continued ? "yes" : "asks where");
        table += row + "\n";
    }
    // For docs/formats/machine.md.
    if (const char* file = std::getenv("CHALKLINE_BOARD_TABLE")) std::ofstream(file) << table;
}

TEST_CASE("a report without the beam is no proof that it is gone, a run of them over lit lines is") {
    // Dots and blanks, dark travels and dark overscan: reports name the beam now and then.
    for (const char* name : {"usb-restart", "six-axes", "chatty", "silent-beam"}) {
        INFO(name);
        BoardBench bench(board_named(name));
        REQUIRE(bench.make_ready());
        for (int i = 0; i < 3; ++i) {
            REQUIRE(bench.burn(rows_and_cut(60, 40)));
            REQUIRE(bench.over());
            CHECK(bench.failed == std::vector<std::string>{});
        }
    }
    BoardBench bench(board_named("usb-restart"), {fault(Fault::Kind::foreign_line, 30, 0, "M5")});
    REQUIRE(bench.make_ready());
    bench.until([&] { return bench.controller.now() > 25; });
    REQUIRE(bench.burn(rows_and_cut(90, 40)));
    REQUIRE(bench.over());
    REQUIRE_FALSE(bench.failed.empty());
    CHECK((bench.failed.front() == machine::error::beam_taken || bench.failed.front() == machine::error::stray_answer));
}

TEST_CASE("a work offset is written in its own units, whatever a start-up line has set") {
    BoardBench bench(board_named("inches"));
    REQUIRE(bench.make_ready());
    REQUIRE(bench.burn(rows_and_cut(4)));
    REQUIRE(bench.over());
    CHECK(bench.failed.empty());
    CHECK(bench.controller.report().violations.empty());
    CHECK(bench.controller.settings_text().find("G54=-400.000,-300.000") != std::string::npos);
}

TEST_CASE("what a board chats stops nothing, and is counted") {
    BoardBench bench(board_named("chatty"));
    REQUIRE(bench.make_ready());
    REQUIRE(bench.burn(rows_and_cut()));
    REQUIRE(bench.over());
    CHECK(bench.failed.empty());
    CHECK(bench.now().chatter > 5);
}

TEST_CASE("an answer that came twice is noticed within seconds, and overfills nothing") {
    for (const char* name : {"usb-restart", "small-buffer"}) {
        INFO(name);
        BoardBench bench(board_named(name), {fault(Fault::Kind::double_answer, 40)});
        REQUIRE(bench.make_ready());
        bench.until([&] { return bench.controller.now() > 33; });
        REQUIRE(bench.burn(rows_and_cut(200, 40)));
        REQUIRE(bench.over());
        REQUIRE_FALSE(bench.failed.empty());
        CHECK(bench.failed.front() == machine::error::stray_answer);
        CHECK(bench.controller.now() < 50);
        CHECK(bench.controller.report().violations.empty());
        CHECK(bench.controller.beam() == 0);
    }
}

TEST_CASE("power that is turned down at the machine stays down, and is told") {
    BoardBench bench(board_named("usb-restart"), {fault(Fault::Kind::turn_knob, 30, 0, "60")});
    REQUIRE(bench.make_ready());
    bench.until([&] { return bench.controller.now() > 29; });
    REQUIRE(bench.burn(rows_and_cut(30)));
    double most_cutting = 0;
    bench.until([&] {
        if (bench.now().step == 2 && bench.controller.now() > 35)
            most_cutting = std::max(most_cutting, bench.controller.beam());
        return bench.finished > 0;
    });
    CHECK(bench.now().power_at_board == 60);
    CHECK(bench.now().trims.at(1) == Trim{100, 60});
    CHECK(most_cutting == Approx(0.9 * 0.6).margin(0.01));
    // Trimmed here again, it is ours.
    REQUIRE(bench.until([&] { return bench.free(); }, 10));
    REQUIRE(bench.session->trim(100, 100));
    CHECK_FALSE(bench.now().power_at_board);
}

TEST_CASE("builds that put 0 at home are recognised once, and again after reconnecting") {
    BoardBench bench(board_named("zero-at-home"));
    REQUIRE(bench.make_ready());
    CHECK(bench.now().zero_at_home == true);
    REQUIRE(bench.session->jog({40, 25}, Speed::mm_per_min(6000)));
    REQUIRE(bench.until([&] { return bench.free(); }, 20));
    bench.profile.zero_at_home = true;
    const auto place = bench.now().remembered_place;
    bench.pull_out();
    bench.events.clear();
    bench.connect(place);
    REQUIRE(bench.ready());
    CHECK(bench.now().position_sure);
    CHECK(geometry::distance(*bench.now().position, {40, 25}) < 0.01);
    // With nothing remembered home is not proven.
    bench.pull_out();
    bench.events.clear();
    bench.connect();
    REQUIRE(bench.ready());
    CHECK_FALSE(bench.now().position_sure);
}

TEST_CASE("a place that somebody said is taken back when the head leaves the bed") {
    BoardBench bench(board_named("usb-restart"));
    REQUIRE(bench.ready());
    REQUIRE(bench.session->stands_at({200, 100}));
    REQUIRE(bench.session->jog({0, 150}, Speed::mm_per_min(6000)));
    REQUIRE(bench.until([&] { return bench.free(); }, 20));
    CHECK(bench.now().position_sure);
    REQUIRE(bench.session->jog({0, 100}, Speed::mm_per_min(6000)));
    REQUIRE(bench.until([&] { return bench.free() && !bench.now().position_sure; }, 20));
    CHECK(bench.failed.back() == machine::error::place_off_bed);
}

TEST_CASE("a profile that the controller contradicts moves nothing, and both figures are named") {
    MachineProfile profile;
    const auto first = [&](std::map<int, double> settings) { return contradictions(profile, {settings, {}, {}}); };
    CHECK(first({}).empty());
    CHECK(first({{22, 1}, {23, 3}, {30, 1000}, {110, 12000}, {120, 1200}, {130, 400}, {131, 300}}).empty());
    CHECK(first({{130, 380.7}})[0] == Contradiction{130, "work_area_mm", "400", "380.7", true});
    CHECK(first({{22, 0}})[0] == Contradiction{22, "home", "near-left", "none", true});
    CHECK(first({{22, 1}, {23, 0}})[0] == Contradiction{23, "home", "near-left", "far-right", true});
    CHECK(first({{110, 6000}})[0] == Contradiction{110, "max_rate_mm_min", "12000", "6000", false});
    CHECK(first({{130, 500}, {110, 20000}}).empty());  // it can do more than is asked of it

    Board board = board_named("usb-restart");
    board.settings[130] = 200;
    BoardBench bench(board);
    REQUIRE(bench.make_ready());
    const auto refused = bench.session->burn(
        test::let_through(std::make_unique<SharedEncoder>(rows_and_cut(), bench.profile), bench.session->profile()));
    REQUIRE_FALSE(refused);
    CHECK(refused.error().code == machine::error::profile_contradicted);
    CHECK(bench.session
              ->frame(test::let_through(std::make_unique<SharedEncoder>(rows_and_cut(), bench.profile),
                                        bench.session->profile()))
              .error()
              .code == machine::error::profile_contradicted);
    // The other dialect states its travel in its own words.
    BoardBench lines(board_named("line-plain"));
    REQUIRE(lines.session->set_profile([&] {
        auto wide = lines.profile;
        wide.width = 700;
        return wide;
    }()));
    REQUIRE(lines.make_ready());
    CHECK(lines.session
              ->burn(test::let_through(std::make_unique<SharedEncoder>(rows_and_cut(), lines.profile),
                                       lines.session->profile()))
              .error()
              .code == machine::error::profile_contradicted);
}

TEST_CASE("line by line: a lost or spoilt answer is asked for again, and nothing is burned twice or left out") {
    const auto program = rows_and_cut(6);
    for (const char* name : {"line-plain", "line-numbered"})
        for (const auto kind : {Fault::Kind::lose_answer, Fault::Kind::garble_answer})
            for (const double at : {26.0, 27.3, 33.1}) {
                INFO(name << " " << simulator::to_text(kind) << " at " << at);
                BoardBench bench(board_named(name), {fault(kind, at)});
                REQUIRE(bench.make_ready());
                bench.until([&] { return bench.controller.now() > 25; });
                REQUIRE(bench.burn(program));
                REQUIRE(bench.over());
                CHECK(bench.failed == std::vector<std::string>{});
                CHECK(bench.finished == 1);
                CHECK(bench.controller.report().beam_on_mm == Approx(lit_mm(*program)).margin(0.5));
            }
}

TEST_CASE("line by line: numbered lines that arrive spoilt are sent again, a missing line is found") {
    const auto program = rows_and_cut(6);
    for (const auto kind : {Fault::Kind::garble_line, Fault::Kind::lose_line_byte})
        for (const double at : {26.0, 28.2, 30.7}) {
            INFO(simulator::to_text(kind) << " at " << at);
            BoardBench bench(board_named("line-numbered"), {fault(kind, at)});
            REQUIRE(bench.make_ready());
            bench.until([&] { return bench.controller.now() > 25; });
            REQUIRE(bench.burn(program));
            REQUIRE(bench.over());
            CHECK(bench.failed == std::vector<std::string>{});
            CHECK(bench.controller.report().beam_on_mm == Approx(lit_mm(*program)).margin(0.5));
            CHECK(bench.controller.report().errors.empty());
        }
}

TEST_CASE("line by line: a board that shuts itself down is told as what it is") {
    BoardBench bench(board_named("line-numbered"));
    REQUIRE(bench.make_ready());
    REQUIRE(bench.burn(rows_and_cut()));
    bench.run(3);
    bench.line_board->halt("Error:Printer halted. kill() called!");
    REQUIRE(bench.over());
    CHECK(bench.failed.front() == machine::error::board_halted);
    CHECK_FALSE(bench.now().position_sure);
    CHECK(bench.controller.beam() == 0);
    CHECK(bench.session->home().error().code == machine::error::board_halted);
}

TEST_CASE("done_at_rest leaves nothing out and burns at most one run twice, wherever the head stands") {
    const auto program = rows_and_cut(5, 8);
    std::vector<Stretch> all;
    walk(*program, [&](const Stretch& stretch) { all.push_back(stretch); });
    const ProgramPlace begun = all.back().place;
    for (std::size_t i = 1; i < all.size(); ++i) {
        const Stretch& stretch = all[i];
        if (stretch.length() < 0.1) continue;
        INFO(i);
        const Point middle = geometry::between(stretch.from, stretch.to, 0.5);
        // Known to be within the last few runs, as a queue is.
        const ProgramPlace done = all[i > 4 ? i - 4 : 0].place;
        const ProgramPlace in_it = done_at_rest(*program, done, begun, middle);
        CHECK(in_it < stretch.place);
        CHECK(in_it >= all[i - 1].place);
        CHECK(done_at_rest(*program, done, begun, stretch.to) == stretch.place);
    }
    CHECK(done_at_rest(*program, all[3].place, all[6].place, {300, 200}) == all[3].place);
}

TEST_CASE("the self-test finds a good board good, a bad one bad, and writes down its habits") {
    for (const char* name : {"usb-restart", "late-greeting", "six-axes", "line-numbered"}) {
        INFO(name);
        const Board board = board_named(name);
        BoardBench bench(board);
        REQUIRE(bench.make_ready());
        std::vector<std::string> wire;
        for (const auto& event : bench.events)
            if (const auto* line = std::get_if<event::Wire>(&event))
                wire.push_back((line->sent ? "> " : "< ") + line->text);
        SelfTest test(bench.profile, bench.now(), wire);
        std::size_t seen = bench.events.size();
        bench.until([&] {
            for (; seen < bench.events.size(); ++seen)
                test.take(bench.events[seen]);
            if (auto request = test.next(bench.controller.now())) CHECK((*request)(*bench.session));
            return test.over();
        });
        INFO(test.report());
        CHECK(test.passed());
        CHECK(bench.controller.report().beam_on_mm == 0);
        const auto read = simulator::parse_board(test.board_file("seen"), "seen");
        REQUIRE(read);
        CHECK(read->dialect == board.dialect);
        if (board.dialect == Dialect::realtime) {
            CHECK(read->greeting == board.greeting);
            CHECK(read->planner_blocks == board.planner_blocks);
            CHECK(read->axes == board.axes);
            CHECK(read->settings.at(22) == (bench.profile.home == HomeCorner::none ? 0 : 1));
        }
    }
    // A board that claims more room than it has loses bytes.
    Board boasts = board_named("usb-restart");
    boasts.build_info = {"[OPT:V,15,512]"};
    BoardBench bench(boasts);
    REQUIRE(bench.make_ready());
    SelfTest test(bench.profile, bench.now(), {});
    std::size_t seen = bench.events.size();
    bench.until([&] {
        for (; seen < bench.events.size(); ++seen)
            test.take(bench.events[seen]);
        if (auto request = test.next(bench.controller.now())) (void)(*request)(*bench.session);
        return test.over();
    });
    CHECK_FALSE(test.passed());
}
