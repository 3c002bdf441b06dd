// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/let_through.hpp"
#include "support/virtual_machine.hpp"

#include <chalkline/clearance/program_file.hpp>
#include <chalkline/job/edits.hpp>

#include <catch2/catch.hpp>

#include <sstream>

using namespace chalkline;

TEST_CASE("whatever a job is called, the comments of its program stay short, plain and harmless") {
    job::Job job;
    job.stock = job::Stock{};
    job.stock->material = "Ölkiefer (geölt) ~ 4 µm!";
    planning::Plan plan;
    const auto nothing = test::let_through(std::make_unique<test::GivenLines>(std::vector<std::string>{}), {});
    for (const std::string title : {"Schöne Größe", "a (b) c ? ! ~", "日本語のタイトル", "tab\there\nG1X0S1000",
                                    "one very long title that goes on and on and on and on until nobody reads it"}) {
        std::istringstream lines(clearance::program_file(title, job, plan, nothing));
        std::string line;
        for (int i = 0; i < 4 && std::getline(lines, line); ++i) {
            CAPTURE(title, line);
            REQUIRE(line.size() >= 2);
            CHECK(line.size() <= 70);
            CHECK(line.front() == '(');
            // Only the last sign closes the comment: nothing in a name can become a command.
            CHECK(line.find(')') == line.size() - 1);
            for (const char c : line)
                CHECK((c >= 0x20 && c < 0x7f && c != '!' && c != '?' && c != '~'));
        }
    }
    CHECK(clearance::program_file("Schöne Größe", job, plan, nothing).starts_with("(job: Schoene Groesse)\n"));
}
