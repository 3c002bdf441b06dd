// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/virtual_machine.hpp"

#include <chalkline/conversation/streamer.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

using namespace chalkline::machine;
using chalkline::test::GivenLines;

namespace {

Streamer streamer_of(std::vector<std::string> lines, int buffer = 128, int blocks = 2) {
    return Streamer(std::make_unique<GivenLines>(std::move(lines)), buffer, blocks);
}

}  // namespace

TEST_CASE("the buffer is filled but never overfilled, and every line is sent once in order") {
    rc::prop("any lines, any rhythm of answers", [] {
        std::vector<std::string> lines;
        const int count = *rc::gen::inRange(0, 80);
        for (int i = 0; i < count; ++i)
            lines.push_back(
                std::string(*rc::gen::inRange<std::size_t>(1, longest_line + 1), static_cast<char>('A' + i % 26)));
        const int buffer = *rc::gen::inRange(80, 300);
        Streamer streamer = streamer_of(lines, buffer);
        std::string sent;
        std::size_t answered = 0;
        std::vector<int> open;
        std::size_t seen = 0;
        while (!streamer.complete()) {
            streamer.feed(sent);
            for (std::size_t end; (end = sent.find('\n', seen)) != std::string::npos; seen = end + 1)
                open.push_back(static_cast<int>(end - seen) + 1);
            int bytes = 0;
            for (std::size_t i = answered; i < open.size(); ++i)
                bytes += open[i];
            RC_ASSERT(bytes <= buffer - 1);
            RC_ASSERT(bytes == streamer.open_bytes());
            // Nothing more fits: either all is sent, or the next line is too long for the room that is left when an
            // answer comes twice.
            if (open.size() < lines.size())
                RC_ASSERT(bytes + static_cast<int>(lines[open.size()].size()) + 1 + open[answered] > buffer - 1);
            for (int k = *rc::gen::inRange(1, 4); k > 0 && answered < open.size(); --k, ++answered)
                RC_ASSERT(streamer.answered()->text == lines[answered]);
        }
        std::string all;
        for (const auto& line : lines)
            all += line + "\n";
        RC_ASSERT(sent == all);
        RC_ASSERT(streamer.acknowledged() == count);
    });
}

TEST_CASE("an answer too many is no harm") {
    Streamer streamer = streamer_of({"G1X1"});
    CHECK_FALSE(streamer.answered());
    std::string out;
    streamer.feed(out);
    CHECK(streamer.answered());
    CHECK_FALSE(streamer.answered());
    CHECK(streamer.complete());
}

TEST_CASE("what is surely done lies behind what the planner may hold") {
    Streamer streamer = streamer_of({"X1", "X2", "X3", "X4"}, 128, 2);
    std::string out;
    streamer.feed(out);
    streamer.answered();
    streamer.answered();
    CHECK(streamer.done().operation == -1);
    streamer.answered();
    CHECK(streamer.done().operation == 0);
    streamer.answered();
    CHECK(streamer.done().operation == 1);
    CHECK(streamer.begun().operation == 3);
}

TEST_CASE("what does not move the head takes no room in the planner") {
    Streamer streamer = streamer_of({"X1", "M4", "G4P1", "X2", "X3", "X4"}, 128, 2);
    std::string out;
    streamer.feed(out);
    for (int i = 0; i < 5; ++i)
        streamer.answered();
    CHECK(streamer.done().operation == 0);
    streamer.answered();
    CHECK(streamer.done().operation == 3);
}

TEST_CASE("a step waits until it is let in") {
    struct Steps : LineSource {
        int given = 0;
        bool next(ProgramLine& line) override {
            if (given == 4) return false;
            line = {.text = "X" + std::to_string(given), .operation = given, .step = given < 2 ? 7 : 9};
            ++given;
            return true;
        }
    };
    Streamer streamer(std::make_unique<Steps>(), 128, 2);
    std::string out;
    streamer.feed(out);
    CHECK(out.empty());
    REQUIRE(streamer.step_at_the_door() == 7);
    streamer.let_in(7);
    streamer.feed(out);
    CHECK(out == "X0\nX1\n");
    CHECK(streamer.step_at_the_door() == 9);
    CHECK_FALSE(streamer.complete());
    streamer.let_in(9);
    streamer.feed(out);
    CHECK(out == "X0\nX1\nX2\nX3\n");
    CHECK_FALSE(streamer.step_at_the_door());
}
