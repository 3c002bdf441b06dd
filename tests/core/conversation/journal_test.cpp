// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/conversation/journal.hpp>
#include <chalkline/machine/program_bytes.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::machine;

namespace {

Program every_operation() {
    Program program;
    const Origin origin{3, 4, 1};
    const Speed speed = Speed::mm_per_min(1234.5);
    program.points = {{1.25, 2}, {3, 4.125}};
    program.runs = {{1000, 0}, {250, 10000}};
    program.operations = {{Air{true}, speed, origin},           {Beam{BeamMode::constant}, speed, origin},
                          {Travel{{5, 6}, false}, speed, {}},   {Trace{0, 2, 700}, speed, origin},
                          {Sweep{{7, 8}, 0, 2}, speed, origin}, {Dwell{Duration::seconds(1.5)}, speed, origin},
                          {Focus{-0.5}, speed, origin}};
    return program;
}

}  // namespace

TEST_CASE("a program comes back from its bytes, and damaged bytes are refused") {
    const Program program = every_operation();
    const std::string bytes = to_bytes(program);
    const auto back = program_from(bytes);
    REQUIRE(back);
    CHECK(to_bytes(*back) == bytes);
    CHECK(back->operations.size() == 7);
    CHECK(std::get<Trace>(back->operations[3].act).power == 700);
    CHECK(std::get<Dwell>(back->operations[5].act).time == Duration::seconds(1.5));
    CHECK(back->operations[4].origin == Origin{3, 4, 1});
    for (std::size_t cut = 0; cut < bytes.size(); ++cut)
        CHECK_FALSE(program_from(std::string_view(bytes).substr(0, cut)));
    for (std::size_t at = 0; at < bytes.size(); ++at) {
        std::string damaged = bytes;
        damaged[at] = static_cast<char>(damaged[at] ^ 0x10);
        CHECK_FALSE(program_from(damaged));
    }
}

TEST_CASE("a journal says how far a burn came, whatever happened to its end") {
    JournalNote first, second;
    first.seconds = 1.5;
    first.done = {3, 1};
    first.begun = {9, 0};
    second.seconds = 2.25;
    second.done = {12, 4};
    second.begun = {15, 2};
    second.head = geometry::Point{1.5, 2.5};
    second.trims = {{1, {90, 110}}, {2, {100, 80}}};
    const std::string both = journal_line(first) + journal_line(second);
    CHECK(read_journal(both) == Journal{second, {}});
    CHECK(read_journal(both + journal_line(BurnEnd::stopped)) == Journal{second, BurnEnd::stopped});
    // A torn line, rubbish, nothing at all.
    CHECK(read_journal(journal_line(first) + journal_line(second).substr(0, 20)) == Journal{first, {}});
    CHECK(read_journal(journal_line(first) + "\x01garbage\n{\"done\":7}\n[]\n") == Journal{first, {}});
    CHECK(read_journal("") == Journal{});
    // Gone on with: it has no end again.
    CHECK_FALSE(read_journal(journal_line(first) + journal_line(BurnEnd::failed) + journal_line(second)).end);
}
