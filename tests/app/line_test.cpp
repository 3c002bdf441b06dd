// SPDX-License-Identifier: GPL-3.0-or-later
// The line above the bed: what it says of a job, computed from the job alone.
#include "support/sample_files.hpp"
#include "support/window_driver.hpp"

#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>

#include <catch2/catch.hpp>

#include <QTemporaryDir>

using namespace chalkline;
using namespace chalkline::app;
using namespace chalkline::test;
using test::WindowDriver;

namespace {

void edit(WindowDriver& driver, Result<job::Job> edited, JobChange change) {
    REQUIRE(driver->document().edit("Edit", std::move(edited), change));
}

}  // namespace

TEST_CASE("a job that is ready shows four marks done") {
    WindowDriver driver;
    driver.drop({sample_job});
    REQUIRE(driver.wait_planned());
    for (const Mark mark : {Mark::art, Mark::steps, Mark::stock, Mark::rehearse})
        CHECK(driver.state(mark) == MarkState::done);
    CHECK(driver.state(Mark::frame) == MarkState::not_yet);
    CHECK(driver.fact(Mark::stock) == "birch ply 4 mm");
    CHECK(driver.fact(Mark::burn) == "no machine connected");
}

TEST_CASE("each thing that is wrong shows at its own mark, and goes when it is mended") {
    WindowDriver driver;
    driver.drop({sample_job});
    REQUIRE(driver.wait_planned());
    const job::Job good = driver->document().job();

    edit(driver, job::remove_step(good, good.steps[1].id), JobChange::steps);
    CHECK(driver.state(Mark::steps) == MarkState::attention);
    CHECK(driver.fact(Mark::steps) == "1 ink without a step");
    edit(driver, job::leave_out(driver->document().job(), good.steps[1].inks[0]), JobChange::steps);
    CHECK(driver.state(Mark::steps) == MarkState::done);

    edit(driver, job::transform(good, {1}, geometry::Transform::move(200, 0)), JobChange::place);
    REQUIRE(test::wait_for([&] { return driver.state(Mark::stock) == MarkState::attention; }));
    CHECK(driver.fact(Mark::stock).endsWith("mm off the bed"));
    REQUIRE(test::wait_for([&] { return driver.state(Mark::rehearse) == MarkState::attention; }));
    CHECK_FALSE(driver->plans().ready());

    edit(driver, good, JobChange::everything);
    REQUIRE(driver.wait_planned());
    CHECK(driver.state(Mark::stock) == MarkState::done);
    CHECK(driver.state(Mark::rehearse) == MarkState::done);
}

TEST_CASE("a job without stock, steps or inks says which") {
    WindowDriver driver;
    driver.drop({sample_job});
    REQUIRE(driver.wait_planned());
    edit(driver, job::set_stock(driver->document().job(), {}), JobChange::stock);
    CHECK(driver.fact(Mark::stock) == "no piece set");
    CHECK(driver.state(Mark::stock) == MarkState::not_yet);
    job::Job job = driver->document().job();
    for (const auto& routed : job::routed_inks(job))
        job = job::leave_out(job, routed.ink);
    edit(driver, job, JobChange::steps);
    CHECK(driver.fact(Mark::steps) == "no step burns anything");
    REQUIRE(test::wait_for([&] { return driver.state(Mark::rehearse) == MarkState::attention; }));
}

TEST_CASE("an art fact counts pieces") {
    WindowDriver driver;
    driver.drop({QString(CHALKLINE_SAMPLES "/plate.svg"), QString(CHALKLINE_SAMPLES "/plate.svg")});
    REQUIRE(driver.wait_planned());
    CHECK(driver.fact(Mark::art).startsWith("2 pieces"));
}

TEST_CASE("the plan follows the newest edit when edits come fast") {
    WindowDriver driver;
    driver.drop({sample_job});
    REQUIRE(driver.wait_planned());
    for (int i = 1; i <= 30; ++i)
        edit(driver, job::transform(driver->document().job(), {1}, geometry::Transform::move(0.5, 0)),
             JobChange::place);
    REQUIRE(driver.wait_planned());
    const double left = job::bounds(driver->document().job()).left;
    CHECK(driver->plans().planned().plan->burn_box.left == Approx(left).margin(0.02));
}

TEST_CASE("a plan worked out twice is the same, and can be cancelled") {
    const job::Job job = job::load(sample_job.toStdString()).value().job;
    const planning::CheckGround ground;
    const clearance::JobRequest request{job, ground};
    const auto a = clearance::clear(request), b = clearance::clear(request);
    REQUIRE(a.program);
    CHECK(a.program->fingerprint() == b.program->fingerprint());
    CHECK(a.program->line_count() == b.lines);
    CHECK(a.plan->total == b.plan->total);
    std::stop_source stop;
    stop.request_stop();
    const auto none = clearance::clear(request, Watch{stop.get_token(), {}});
    REQUIRE(none.error);
    CHECK(none.error->code == error::cancelled);
    CHECK_FALSE(none.program);
}
