// SPDX-License-Identifier: GPL-3.0-or-later
// The burn as it passes in time, its dose, and what would make it shorter.
#include "support/drawn_job.hpp"

#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/planning/dose_grid.hpp>
#include <chalkline/planning/gains.hpp>
#include <chalkline/planning/rehearsal.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::planning;
using geometry::Point;
using machine::MachineProfile;

namespace {

job::Job sample() {
    return job::load(CHALKLINE_SAMPLES "/plot-27.chalk").value().job;
}

std::shared_ptr<const Plan> plan_shared(const job::Job& job, const MachineProfile& machine = {}) {
    return std::make_shared<const Plan>(plan(job, machine).value());
}

/// The only step of a job, changed.
template <class Change>
job::Job with(job::Job job, Change change) {
    change(job.steps.front().settings);
    return job;
}

}  // namespace

TEST_CASE("a rehearsal knows every moment without playing what was before") {
    const auto whole = plan_shared(sample());
    const Rehearsal rehearsal(whole);
    CHECK(rehearsal.total() == whole->total.seconds());
    REQUIRE(rehearsal.spans().size() == 3);
    CHECK(rehearsal.spans()[0].from >= 0);
    for (std::size_t i = 1; i < 3; ++i)
        CHECK(rehearsal.spans()[i].from >= rehearsal.spans()[i - 1].to - 1e-6);
    CHECK(rehearsal.spans()[2].to <= rehearsal.total());
    // The head never jumps: in a hundredth of a second it goes no farther than the machine can.
    const MachineProfile machine;
    Point before = rehearsal.at(0).head;
    double lit = 0;
    constexpr double step = 0.01;
    for (double t = step; t < rehearsal.total(); t += step) {
        const auto now = rehearsal.at(t);
        CHECK(geometry::distance(before, now.head) < machine.max_rate_x / 60 * step * 1.5 + 0.2);
        if (now.power > 0) lit += geometry::distance(before, now.head);
        before = now.head;
        if (now.power > 0) CHECK(now.origin.step > 0);
    }
    CHECK(lit == Approx(whole->burn).epsilon(0.02));
    // Before the beginning and after the end.
    CHECK(rehearsal.at(-5).operation == rehearsal.at(0).operation);
    CHECK(rehearsal.at(1e9).operation == whole->program.operations.size());
    CHECK(rehearsal.at(1e9).power == 0);
}

TEST_CASE("the time of a plan is shared out over its passes and motifs") {
    const auto whole = plan_shared(sample());
    const TimeShares shares = time_shares(*whole);
    double by_pass = 0;
    for (const auto& [pass, seconds] : shares.by_pass)
        by_pass += seconds;
    CHECK(by_pass == Approx(whole->total.seconds()).margin(1));
    const job::Id cut = whole->steps.back().step;
    REQUIRE(shares.by_pass.contains({cut, 1}));
    CHECK(shares.by_pass.at({cut, 0}) + shares.by_pass.at({cut, 1}) ==
          Approx(whole->steps.back().time.seconds()).margin(0.1));
    REQUIRE(shares.by_motif.size() == 1);
    CHECK(shares.by_motif.begin()->second == Approx(whole->total.seconds()).epsilon(0.02));
}

TEST_CASE("the dose of a plan is its energy, and what is burned twice is hot") {
    const MachineProfile machine;
    const auto once = plan_shared(sample());
    const DoseGrid grid = dose_of(*once, machine, 0.5, {});
    double energy = 0, expected = 0;
    for (const float dose : grid.dose)
        energy += dose * grid.cell * grid.cell;
    const job::Job job = sample();
    for (const StepReport& report : once->steps) {
        const auto& s = job.step(report.step)->settings;
        expected += machine.beam.watts_at(s.power) * 1000 * report.burn / (s.speed.mm_per_min() / 60);
    }
    CHECK(energy == Approx(expected).epsilon(0.01));
    CHECK(grid.hot.empty());
    // The same line drawn twice, and another that crosses nothing.
    const auto twice =
        plan_shared(test::drawn_job("<path d='M10 10 H60' fill='none' stroke='#f00'/>"
                                    "<path d='M30 10 H50' fill='none' stroke='#f00'/>"
                                    "<path d='M10 30 H60 M10 40 H60 M10 50 H60' fill='none' stroke='#f00'/>"));
    const DoseGrid hot = dose_of(*twice, machine, 0.5, {});
    REQUIRE(hot.hot.size() == 1);
    CHECK(hot.hot[0].times == Approx(2).epsilon(0.2));
    CHECK(hot.hot[0].size == Approx(10).margin(2));
}

TEST_CASE("what would make a job shorter was planned, and says by how much") {
    const MachineProfile machine;
    const auto slow = with(test::drawn_job("<rect x='10' y='10' width='80' height='60' fill='#000'/>"),
                           [](steps::StepSettings& s) { s.fill.both_ways = false; });
    const auto found = gains(slow, *plan_shared(slow), machine, {}, {});
    REQUIRE_FALSE(found.empty());
    const auto both =
        std::find_if(found.begin(), found.end(), [](const Gain& gain) { return gain.kind == Gain::Kind::both_ways; });
    REQUIRE(both != found.end());
    job::Job quick = slow;
    quick.steps.front().settings = both->settings;
    CHECK(plan_shared(slow)->total.seconds() - plan_shared(quick)->total.seconds() == Approx(both->seconds).margin(1));
    for (std::size_t i = 1; i < found.size(); ++i)
        CHECK(found[i].seconds <= found[i - 1].seconds);
    // Nothing to gain where all is well and small.
    const auto small = test::drawn_job("<path d='M10 10 H60' fill='none' stroke='#f00'/>");
    CHECK(gains(small, *plan_shared(small), machine, {}, {}).empty());
    // Coarser lines never past the beam's own width.
    for (const Gain& gain : found)
        if (gain.kind == Gain::Kind::coarser_pitch) CHECK(gain.settings.line_pitch.mm() <= machine.spot);
}

TEST_CASE("two ways of burning a step are set side by side") {
    const auto job = test::drawn_job("<rect x='10' y='10' width='80' height='60' fill='#000'/>");
    steps::StepSettings other = job.steps.front().settings;
    other.line_pitch = Length::mm(other.line_pitch.mm() * 2);
    const auto both = compare(job, job.steps.front().id, other, {}, {}, {});
    REQUIRE(both);
    CHECK(both->after.time.seconds() == Approx(both->before.time.seconds() / 2).epsilon(0.05));
    CHECK(both->after.burn == Approx(both->before.burn / 2).epsilon(0.05));
    CHECK(both->dose_after == Approx(both->dose_before / 2));
    CHECK_FALSE(compare(job, 999, other, {}, {}, {}));
}

TEST_CASE("a machine's own burns correct its times, without those that say nothing") {
    CHECK(correction_from({}).burns == 0);
    CHECK(correction_from({}).factor == 1);
    const auto three = correction_from({{100, 104}, {200, 216}, {100, 110}, {20, 60}, {600, 6}, {300, 3000}});
    CHECK(three.burns == 3);
    CHECK(three.factor == Approx(1.08));
    const auto two = correction_from({{100, 102}, {100, 104}});
    CHECK(two.factor == Approx(1.03));
    // Old ones no longer count.
    std::vector<Burned> many(most_burns, Burned{100, 105});
    many.push_back({100, 200});
    CHECK(correction_from(many).burns == most_burns);
    CHECK(correction_from(many).factor == Approx(1.05));
}
