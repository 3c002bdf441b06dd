// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/reader.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/job/svg_export.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;

TEST_CASE("the exported drawing read again has the same inks, lengths and areas in the same place") {
    job::Job job = job::load(CHALKLINE_SAMPLES "/plot-27.chalk").value().job;
    job = job::transform(job, {1}, geometry::Transform::about({150, 100}, geometry::Transform::turn(0.4))).value();
    const std::string svg = job::to_svg(job, 400, 300);
    CHECK(job::to_svg(job, 400, 300) == svg);
    for (const char* group : {"step-1-engrave", "step-2-score", "step-3-cut"})
        CHECK(svg.find(std::string("<g id=\"") + group + "\">") != std::string::npos);
    CHECK(svg.find("not-burned") == std::string::npos);

    const auto read = art::read(std::make_shared<const std::string>(svg), "again.svg").value();
    CHECK(read.page.x == Approx(400));
    const geometry::Box box = job::bounds(job), again = art::bounds(read);
    CHECK(again.left == Approx(box.left).margin(0.01));
    CHECK(again.top == Approx(box.top).margin(0.01));
    const auto before = art::measured_inks(*job.motifs[0].art), after = art::measured_inks(read);
    REQUIRE(before.size() == after.size());
    for (const auto& ink : before) {
        const auto same = std::find_if(after.begin(), after.end(), [&](const auto& a) { return a.ink == ink.ink; });
        REQUIRE(same != after.end());
        CHECK(same->length == Approx(ink.length).epsilon(1e-3));
        CHECK(same->area == Approx(ink.area).epsilon(1e-3));
    }
    job = job::leave_out(job, before[0].ink);
    CHECK(job::to_svg(job, 400, 300).find("not-burned") != std::string::npos);
}
