// SPDX-License-Identifier: GPL-3.0-or-later
// The order in which words of either direction are seen. Examples: Unicode Standard Annex #9, section 6.1 and before.
#include <chalkline/art/directed.hpp>

#include <catch2/catch.hpp>

using namespace chalkline::art;

namespace {

/// The line as it is seen from left to right, parts that run to the left in [ ].
std::string seen(std::string_view line, std::optional<Direction> around = {}) {
    std::string text;
    for (const DirectedPart& part : parts_as_seen(line, around)) {
        const std::string inside(line.substr(part.begin, part.end - part.begin));
        text += part.direction == Direction::right_to_left ? "[" + inside + "]" : inside;
    }
    return text;
}

}  // namespace

TEST_CASE("parts of a line stand in the order they are seen") {
    CHECK(seen("") == "");
    CHECK(seen("Pears, 12") == "Pears, 12");
    CHECK(seen("car means מכונית.") == "car means [מכונית].");
    CHECK(seen("מכונית means car.") == "[.]means car[מכונית ]");
    CHECK(seen("מכונית means car.", Direction::left_to_right) == "[מכונית] means car.");
    CHECK(seen("חלק 27 של 48") == "48[ של ]27[חלק ]");
    CHECK(seen("א ב", Direction::left_to_right) == "[א ב]");
    CHECK(seen("\xd7") == "\xd7");  // half a letter
}

TEST_CASE("levels are turned from the deepest to the lowest odd one") {
    CHECK(seen_order({0, 0, 1, 2, 1, 0}) == std::vector<std::size_t>{0, 1, 4, 3, 2, 5});
    CHECK(seen_order({1, 2, 2}) == std::vector<std::size_t>{1, 2, 0});
    CHECK(seen_order({}).empty());
    CHECK(direction_levels(U"אב 12", Direction::left_to_right) == std::vector<int>{1, 1, 1, 2, 2});
    CHECK(direction_levels(U"ab", Direction::right_to_left) == std::vector<int>{2, 2});
}
