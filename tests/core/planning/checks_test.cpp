// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/planning/checks.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::planning;

namespace {

job::Job sample() {
    return job::load(CHALKLINE_SAMPLES "/plot-27.chalk").value().job;
}

const Check* find(const std::vector<Check>& checks, std::string_view code) {
    for (const Check& check : checks)
        if (check.code == code) return &check;
    return nullptr;
}

}  // namespace

TEST_CASE("each check speaks when it should and is silent otherwise") {
    const job::Job good = sample();
    CHECK(check_job(good, {}).empty());

    const auto moved = check_job(job::transform(good, {1}, geometry::Transform::move(40, 0)).value(), {});
    REQUIRE(find(moved, check::off_stock));
    CHECK(find(moved, check::off_stock)->severity == Severity::blocking);
    CHECK(find(moved, check::off_stock)->place);
    CHECK_FALSE(find(moved, check::off_bed));

    const auto far = check_job(job::transform(good, {1}, geometry::Transform::move(200, 0)).value(), {});
    CHECK(find(far, check::off_bed));

    const auto early = check_job(job::move_step(good, good.steps[2].id, 0).value(), {});
    REQUIRE(find(early, check::cut_before_engrave));
    CHECK(find(early, check::cut_before_engrave)->severity == Severity::warning);
    CHECK(find(early, check::cut_before_engrave)->step == good.steps[2].id);

    CHECK(find(check_job(job::remove_step(good, good.steps[1].id).value(), {}), check::ink_without_step));
    CHECK_FALSE(find(check_job(job::leave_out(good, good.steps[1].inks[0]), {}), check::ink_without_step));

    CHECK(find(check_job({}, {}), check::nothing_to_burn));
    job::Job fast = good;
    fast.steps[0].settings.speed = Speed::mm_per_min(50000);
    CHECK(find(check_job(fast, {}), check::settings));
}

TEST_CASE("overhang is measured square to the side that was passed") {
    const job::Job job =
        job::set_stock(job::place_art(sample(), {10, 10}), job::Stock{"Lime", Length::mm(3), {0, 0}, 160, 105, 0});
    // The art ends at 164 × 111.
    CHECK(overhang(job, job.stock->outline()) == Approx(6).margin(0.01));
    CHECK(burned_bounds(job).right == Approx(164).margin(0.01));
    const job::Job left_out = job::leave_out(job, job.steps[2].inks[0]);
    CHECK(burned_bounds(left_out).right == Approx(157.5).margin(0.01));
}
