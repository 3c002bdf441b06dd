// SPDX-License-Identifier: GPL-3.0-or-later
// A repeat burns what one burns, as often as there are copies, and is worked out once.
#include "support/characters.hpp"
#include "support/drawn_job.hpp"
#include "support/interpreter.hpp"
#include "support/limits.hpp"
#include "support/virtual_machine.hpp"

#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/machine/rest.hpp>
#include <chalkline/machine/walk.hpp>
#include <chalkline/planning/checks.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/safety/program_checker.hpp>
#include <chalkline/timing/time_model.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>

#include <map>
#include <set>

using namespace chalkline;
using namespace chalkline::planning;
using namespace chalkline::timing;
using namespace chalkline::safety;
using geometry::Box;
using geometry::Point;
using steps::FillSettings;
using steps::LineSettings;
using steps::StepKind;

namespace {

/// A tag of 30 × 18 mm: outline, two holes, a mark inside and two areas.
const char* const tag =
    "<g fill='none' stroke='#f00'><path d='M0.5 290.5 h29 v-17 h-29 Z'/><circle cx='5' cy='282' r='2'/>"
    "<circle cx='25' cy='282' r='2'/><path d='M10 286 l4 -6 l5 5'/></g>"
    "<g fill='#000'><path d='M10 278 h4 v-3 h-4 Z'/><path d='M20.03 277.3 l3 2 l-1 -5 Z'/></g>";

/// The tag with its lower left corner at `at`, all of it in one step of the kind.
job::Job one_tag(StepKind kind, Point at = {20, 20}) {
    job::Job job = test::drawn_job(tag);
    job.stock.reset();
    job.steps.clear();
    job = job::add_step(job, kind);
    job = job::send_to_step(job, {job.motifs[0].id}, job.last_id).value();
    const Box box = job::bounds(job, {job.motifs[0].id});
    job.motifs[0].place = geometry::Transform::move(at.x - box.left, at.y - box.bottom) * job.motifs[0].place;
    return job;
}

job::Job repeated(const job::Job& job, int columns, int rows, double across, double up) {
    job::Ids all;
    for (const job::Motif& motif : job.motifs)
        all.push_back(motif.id);
    return job::repeat(job, all, {columns, rows, across, up})->job;
}

steps::StepSettings& settings(job::Job& job) {
    return job.steps[0].settings;
}

/// What burns where a motif lies, measured from its own place: scan lines that several share are said to be the first
/// one's.
struct CopyBurned {
    double length = 0, levelled = 0;  ///< mm; mm weighted with power
    Box box;
};
std::map<job::Id, CopyBurned> burned_of_each(const job::Job& job, const machine::Program& program) {
    std::map<job::Id, CopyBurned> result;
    std::vector<Box> boxes;
    for (const job::Motif& motif : job.motifs)
        boxes.push_back(job::bounds(job, {motif.id}).grown(0.2));
    machine::walk(program, [&](const machine::Stretch& stretch) {
        if (stretch.power == 0) return;
        const auto box = std::find_if(boxes.begin(), boxes.end(), [&](const Box& one) {
            return one.contains(geometry::between(stretch.from, stretch.to, 0.5));
        });
        REQUIRE(box != boxes.end());
        const job::Motif& motif = job.motifs[static_cast<std::size_t>(box - boxes.begin())];
        CopyBurned& burned = result[motif.id];
        const Point place{motif.place.e, motif.place.f};
        burned.length += stretch.length();
        burned.levelled += stretch.length() * stretch.power;
        burned.box.add(stretch.from - place);
        burned.box.add(stretch.to - place);
    });
    return result;
}

/// Every copy burns what the one burns. `grid`: how far rounding may move an end, mm.
void require_alike(const job::Job& one, const job::Job& many, const machine::MachineProfile& machine = {},
                   double grid = 0.011) {
    const auto planned_one = plan(one, machine), planned_many = plan(many, machine);
    CAPTURE(planned_one ? "" : planned_one.error().code, planned_many ? "" : planned_many.error().code);
    REQUIRE(planned_one);
    REQUIRE(planned_many);
    const Plan &single = *planned_one, &all = *planned_many;
    const CopyBurned wanted = burned_of_each(one, single.program).begin()->second;
    const auto copies = burned_of_each(many, all.program);
    REQUIRE(copies.size() == many.motifs.size());
    for (const auto& [motif, burned] : copies) {
        CAPTURE(motif);
        CHECK(burned.length == Approx(wanted.length).epsilon(0.004));
        CHECK(burned.levelled == Approx(wanted.levelled).epsilon(0.004));
        CHECK(std::abs(burned.box.left - wanted.box.left) <= grid);
        CHECK(std::abs(burned.box.right - wanted.box.right) <= grid);
        CHECK(std::abs(burned.box.bottom - wanted.box.bottom) <= grid);
        CHECK(std::abs(burned.box.top - wanted.box.top) <= grid);
    }
    CHECK(all.burn == Approx(single.burn * static_cast<double>(many.motifs.size())).epsilon(0.004));
    machine::Encoder lines(all.program, machine);
    CHECK(check_program(lines, test::limits_of(many, machine, all.program)).empty());
    // What is known of the program beforehand is what its operations come to.
    const Plan again = plan_of(all.program, machine);
    CHECK(again.travel == Approx(all.travel).epsilon(1e-6));
    CHECK(again.burn == Approx(all.burn).epsilon(1e-6));
    CHECK(std::abs(again.burn_box.left - all.burn_box.left) < 1e-6);
    CHECK(std::abs(again.burn_box.top - all.burn_box.top) < 1e-6);
}

/// Motifs in the order they burn; one that is come back to stands there again.
std::vector<job::Id> turns(const machine::Program& program) {
    std::vector<job::Id> turns;
    for (const machine::Operation& operation : program.operations)
        if (operation.origin.motif > 0 && (turns.empty() || turns.back() != operation.origin.motif))
            turns.push_back(operation.origin.motif);
    return turns;
}

machine::Program worked_out_alone(machine::Program program) {
    program.passages.clear();
    return program;
}

}  // namespace

TEST_CASE("every copy burns what one burns, whatever the step asks for") {
    rc::prop("lines", [] {
        job::Job one = one_tag(*rc::gen::element(StepKind::cut, StepKind::score));
        steps::StepSettings& step = settings(one);
        step.passes = *rc::gen::inRange(1, 4);
        step.line.order = *rc::gen::element(LineSettings::Order::shortest, LineSettings::Order::as_drawn);
        step.line.parts = *rc::gen::element(LineSettings::Parts::any, LineSettings::Parts::one_by_one,
                                            LineSettings::Parts::holes_first);
        step.line.kerf = Length::mm(0.2);
        step.line.kerf_side = *rc::gen::element(LineSettings::Kerf::none, LineSettings::Kerf::outside);
        if (*rc::gen::arbitrary<bool>()) step.line.bridges = 3;
        if (*rc::gen::arbitrary<bool>()) step.line.overcut = Length::mm(0.7);
        if (*rc::gen::arbitrary<bool>())
            step.line.perforation_burn = Length::mm(2), step.line.perforation_gap = Length::mm(0.5);
        if (*rc::gen::arbitrary<bool>()) step.lower_each_pass = Length::mm(0.5);
        const int columns = *rc::gen::inRange(1, 5), rows = *rc::gen::inRange(2, 6);
        require_alike(one, repeated(one, columns, rows, *rc::gen::inRange(100, 900) / 211.0, 3.3));
    });
    rc::prop("areas", [] {
        job::Job one = one_tag(StepKind::engrave);
        steps::StepSettings& step = settings(one);
        step.passes = *rc::gen::inRange(1, 3);
        step.fill.angle = *rc::gen::element(0.0, 90.0, 180.0, 270.0, 30.0);
        step.fill.crossed = *rc::gen::arbitrary<bool>();
        step.fill.both_ways = *rc::gen::arbitrary<bool>();
        step.fill.outline_after = *rc::gen::arbitrary<bool>();
        step.fill.way = *rc::gen::element(FillSettings::Way::scan_lines, FillSettings::Way::contours);
        // Far enough from each other that none shares its lines with the next.
        const int columns = *rc::gen::inRange(1, 4), rows = *rc::gen::inRange(2, 5);
        require_alike(one, repeated(one, columns, rows, *rc::gen::inRange(100, 900) / 211.0, 12.7), {}, 0.021);
    });
}

TEST_CASE("copies near the bed's side have less run-up there and burn the same") {
    for (const double angle : {0.0, 90.0, 180.0}) {
        CAPTURE(angle);
        job::Job one = one_tag(StepKind::engrave, {0, 0});
        settings(one).fill.angle = angle;
        settings(one).speed = Speed::mm_per_min(9000);
        require_alike(one, repeated(one, 4, 3, 7.77, 9.13), {}, 0.021);
        // And the last ones at the other side: what was planned in the middle does not fit there.
        job::Job far = one;
        const double right = machine::MachineProfile().width - 4 * 29 - 3 * 7.77;
        far.motifs[0].place = geometry::Transform::move(right, 20) * far.motifs[0].place;
        require_alike(far, repeated(far, 4, 3, 7.77, 9.13), {}, 0.021);
    }
}

TEST_CASE("copies are finished one after the other unless that costs much more way") {
    job::Job many = repeated(one_tag(StepKind::cut), 6, 5, 3, 4);
    settings(many).passes = 1;
    const auto one_by_one = plan(many, {}).value();
    CHECK(turns(one_by_one.program).size() == many.motifs.size());
    // In every copy the holes come before the outline.
    std::map<job::Id, std::vector<double>> lengths;
    double length = 0;
    const machine::Operation* last = nullptr;
    machine::walk(one_by_one.program, [&](const machine::Stretch& stretch) {
        if (last && last != &stretch.operation && length > 0)
            lengths[last->origin.motif].push_back(std::exchange(length, 0));
        last = &stretch.operation;
        if (stretch.power > 0) length += stretch.length();
    });
    lengths[last->origin.motif].push_back(length);
    for (const auto& [motif, of_lines] : lengths)
        CHECK(std::max_element(of_lines.begin(), of_lines.end()) == of_lines.end() - 1);

    // Quick short marks at both ends of long labels: going through each label would be dark way most of the time.
    job::Job label = test::drawn_job("<g fill='none' stroke='#f00'><path d='M20 280 v3'/><path d='M220 280 v3'/></g>");
    label.stock.reset();
    label.steps.clear();
    label = job::add_step(label, StepKind::score);
    label = job::send_to_step(label, {label.motifs[0].id}, label.last_id).value();
    settings(label).speed = Speed::mm_per_min(6000);
    const job::Job labels = repeated(label, 1, 12, 0, 2);
    const auto freely = plan(labels, {}).value();
    CHECK(turns(freely.program).size() > labels.motifs.size());
    CHECK(freely.travel < 500);
}

TEST_CASE("copies that lie anyhow are gone through by the shortest way of all") {
    job::Job star = test::drawn_job("<path fill='none' stroke='#f00' d='M20 280 l3 1 l-1 3 Z'/>");
    star.stock.reset();
    for (job::Step& step : star.steps)
        step.settings.speed = Speed::mm_per_min(60);  // the way hardly counts in time
    // The same star at places without any order, and by drawings of its own.
    job::Job scattered = star, alone = star;
    unsigned seed = 7;
    const auto next = [&] { return (seed = seed * 1664525u + 1013904223u) / 4294967296.0; };
    for (int i = 0; i < 150; ++i) {
        const Point by{next() * 180 - 90, next() * 130 - 65};
        scattered = job::copy(scattered, {star.motifs[0].id}, by)->job;
        alone = job::copy(alone, {star.motifs[0].id}, by)->job;
        alone.motifs.back().art = std::make_shared<const art::Artwork>(*star.motifs[0].art);
    }
    CHECK(plan(scattered, {})->travel < plan(alone, {})->travel * 1.03);
}

TEST_CASE("long labels of many marks are gone along there and back") {
    std::string marks;
    for (int i = 0; i <= 20; ++i)
        marks += "<path d='M" + std::to_string(20 + 10 * i) + " 280 v3'/>";
    job::Job label = test::drawn_job("<g fill='none' stroke='#f00'>" + marks + "</g>");
    label.stock.reset();
    label.steps.clear();
    label = job::add_step(label, StepKind::score);
    label = job::send_to_step(label, {label.motifs[0].id}, label.last_id).value();
    const job::Job labels = repeated(label, 1, 12, 0, 2);
    const auto made = plan(labels, {}).value();
    CHECK(turns(made.program).size() == labels.motifs.size());
    CHECK(made.travel < 12 * 200 * 1.2);
}

TEST_CASE("motifs that lie over one another are repeated together") {
    // The outline and what lies in it are drawings of their own.
    job::Job job = test::drawn_job("<path fill='none' stroke='#f00' d='M20 280 h30 v-20 h-30 Z'/>");
    const job::Job inner = test::drawn_job("<path fill='none' stroke='#f00' d='M25 275 h20 v-10 h-20 Z'/>");
    job.stock.reset();
    job = job::add_art(job, inner.motifs[0].art, {});
    job.motifs[1].place = inner.motifs[0].place;
    job.steps.clear();
    job = job::add_step(job, StepKind::cut);
    job = job::send_to_step(job, {job.motifs[0].id, job.motifs[1].id}, job.last_id).value();
    const job::Job many = repeated(job, 3, 4, 2, 2);
    const auto made = plan(many, {}).value();
    const auto order = turns(made.program);
    REQUIRE(order.size() == many.motifs.size());
    for (std::size_t i = 0; i < order.size(); i += 2) {
        const Box first = job::bounds(many, {order[i]}), second = job::bounds(many, {order[i + 1]});
        CHECK(second.contains(first));
    }
}

TEST_CASE("one copy that is marked or routed otherwise is no copy") {
    job::Job job = repeated(one_tag(StepKind::cut), 3, 3, 3, 3);
    settings(job).passes = 1;
    const job::Id marked = job.motifs[4].id;
    const Box box = job::bounds(job, {marked});
    const Point near = job::on_page(*job.motif(marked), {box.left, box.centre().y});
    job = job::mark_path(job, marked, job::PathMark::Kind::bridge, near).value();
    settings(job).line.bridge_width = Length::mm(1);
    const auto burned = burned_of_each(job, plan(job, {})->program);
    for (const auto& [motif, each] : burned)
        CHECK(each.length == Approx(burned.at(job.motifs[0].id).length - (motif == marked ? 1 : 0)).margin(0.02));
}

TEST_CASE("copies take what they take when each is worked out by itself") {
    machine::MachineProfile machine;
    machine.home = machine::HomeCorner::none;
    bool as_it_comes = false;
    SECTION("as it comes") {
        as_it_comes = true;
    }
    SECTION("on a slow link") {
        machine.baud = 9600;
    }
    SECTION("line by line") {
        machine.dialect = machine::Dialect::line_by_line;
    }
    SECTION("with few blocks") {
        machine.planner_blocks = 4;
    }
    SECTION("with many blocks") {
        machine.planner_blocks = 200;
    }
    job::Job job = one_tag(StepKind::cut);
    job = job::add_step(job, StepKind::engrave);
    const auto shapes = job.motifs[0].art->shapes.size();
    for (std::size_t i = shapes - 2; i < shapes; ++i)
        job.motifs[0].objects.push_back({i, job.last_id});
    settings(job).passes = 2;
    job = repeated(job, 7, 6, 3, 3.37);
    const machine::Program program = plan(job, machine)->program;
    REQUIRE(program.passages.size() > 2 * job.motifs.size());
    const Timing quick = time_of(program, machine), slow = time_of(worked_out_alone(program), machine);
    const double whole = slow.finished_at.back();
    CHECK(quick.finished_at.back() == Approx(whole).epsilon(0.001));
    if (as_it_comes) CHECK(quick.finished_at.back() == Approx(test::seconds_on(program, machine)).epsilon(0.02));
    double before = 0;
    for (std::size_t i = 0; i < slow.finished_at.size(); ++i) {
        REQUIRE(std::abs(quick.finished_at[i] - slow.finished_at[i]) < 0.001 * whole);
        REQUIRE(quick.finished_at[i] >= before);
        before = quick.finished_at[i];
    }
    for (const auto& [step, pace] : slow.steps) {
        CHECK(quick.steps.at(step).top_speed == Approx(pace.top_speed).epsilon(0.01));
        CHECK(quick.steps.at(step).limit == pace.limit);
    }
}

TEST_CASE("passages are the same operations, moved, and a rest has none") {
    job::Job job = repeated(one_tag(StepKind::engrave), 5, 4, 3, 3.37);
    settings(job).passes = 2;
    const machine::Program program = plan(job, {})->program;
    std::map<std::uint32_t, machine::Passage> firsts;
    std::size_t end = 0, repeats = 0;
    for (const machine::Passage& passage : program.passages) {
        REQUIRE(passage.first >= end);
        end = passage.first + passage.count;
        REQUIRE(end <= program.operations.size());
        const auto [found, fresh] = firsts.try_emplace(passage.pattern, passage);
        repeats += !fresh;
        const machine::Passage first = found->second;
        REQUIRE(first.count == passage.count);
        for (std::uint32_t i = 1; i < passage.count; ++i) {
            const auto &a = program.operations[first.first + i], &b = program.operations[passage.first + i];
            REQUIRE(a.act.index() == b.act.index());
            if (const auto* sweep = std::get_if<machine::Sweep>(&a.act)) {
                const auto& other = std::get<machine::Sweep>(b.act);
                CHECK(sweep->first == other.first);
            }
        }
    }
    CHECK(repeats > program.passages.size() / 2);
    CHECK(machine::rest_of(program, {40, 0}).program.passages.empty());
}

TEST_CASE("dark hops go at full speed where that is quicker") {
    job::Job job = test::drawn_job(
        "<g fill='none' stroke='#f00'><path d='M20 280 h4'/><path d='M25 280 h4'/><path d='M30 280 h4'/></g>"
        "<path fill='#000' d='M60 280 h20 v-10 h-20 Z'/>");
    job.stock.reset();
    for (job::Step& step : job.steps)
        step.settings.speed = Speed::mm_per_min(step.settings.kind == StepKind::engrave ? 6000 : 240);
    const machine::Program program = plan(job, {})->program;
    bool before_first = true;
    for (std::size_t i = 0; i + 1 < program.operations.size(); ++i) {
        const auto* travel = std::get_if<machine::Travel>(&program.operations[i].act);
        if (!travel || std::exchange(before_first, false)) continue;
        // From line to line of the slow cut it pays, from one row of the quick fill to the next it does not.
        const bool fill = std::holds_alternative<machine::Sweep>(program.operations[i + 1].act);
        const bool from_fill = std::holds_alternative<machine::Sweep>(program.operations[i - 1].act);
        if (fill == from_fill) CHECK(travel->rapid == !fill);
    }
}
