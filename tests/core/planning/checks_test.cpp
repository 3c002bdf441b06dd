// SPDX-License-Identifier: GPL-3.0-or-later
// Every check: a job that raises it, one that does not, and its remedy.
#include "support/drawn_job.hpp"
#include "support/limits.hpp"

#include <chalkline/art/design.hpp>
#include <chalkline/encoding/encoder.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/planning/checks.hpp>
#include <chalkline/planning/frame.hpp>
#include <chalkline/planning/mending.hpp>
#include <chalkline/recipes/library.hpp>
#include <chalkline/safety/program_checker.hpp>

#include <catch2/catch.hpp>

using namespace chalkline;
using namespace chalkline::planning;
using namespace chalkline::safety;
using steps::StepKind;

namespace {

job::Job sample_plate() {
    return job::load(CHALKLINE_SAMPLES "/plot-27.chalk").value().job;
}

const Check* find(const std::vector<Check>& checks, std::string_view code) {
    for (const Check& check : checks)
        if (check.code == code) return &check;
    return nullptr;
}

CheckGround with_recipes() {
    CheckGround ground;
    ground.recipes = std::make_shared<const std::vector<recipes::Recipe>>(
        recipes::starting_points({ground.machine.name, ground.machine.beam}));
    return ground;
}

/// The sample with one step's settings changed.
job::Job with(std::size_t step, void (*change)(steps::StepSettings&)) {
    job::Job job = sample_plate();
    change(job.steps[step].settings);
    return job;
}

job::Job moved(double x, double y) {
    return job::transform(sample_plate(), {1}, geometry::Transform::move(x, y)).value();
}

/// A rectangle as a motif of its own, lower left corner at a place of the bed, burned in a step of its own.
void add_rectangle(job::Job& job, double width, double height, geometry::Point corner, StepKind kind) {
    art::Design form;
    form.what = art::FormDesign{art::FormDesign::Form::rectangle, width, height, 0, 4};
    form.rgb = {static_cast<std::uint8_t>(job.motifs.size() * 20 + 5), 1, 1};
    form.filled = kind == StepKind::engrave;
    auto art = std::make_shared<const art::Artwork>(art::draw(form).value());
    const geometry::Box box = art::bounds(*art);
    job.motifs.push_back({++job.last_id, art, geometry::Transform::move(corner.x - box.left, corner.y - box.bottom)});
    job.steps.push_back({++job.last_id, steps::starting_point(kind), {art->shapes[0].ink}});
}

/// The check speaks, with this severity; after its remedy it does not, and the job is still whole.
void raised_and_mended(const job::Job& job, std::string_view code, Severity severity, const CheckGround& ground = {}) {
    INFO(code);
    const auto checks = check_job(job, ground);
    const Check* found = find(checks, code);
    REQUIRE(found);
    CHECK(found->severity == severity);
    REQUIRE(can_mend(*found));
    const auto mended = mend(job, *found, ground);
    REQUIRE(mended);
    CHECK_FALSE(find(check_job(*mended, ground), code));
    CHECK(job::routed_inks(*mended).size() == job::routed_inks(job).size());
}

}  // namespace

TEST_CASE("the sample raises no check, with recipes or without") {
    CHECK(check_job(sample_plate(), {}).empty());
    CHECK(check_job(sample_plate(), with_recipes()).empty());
    CHECK(check_machine({}).empty());
    CHECK(check_machine({true, false}).empty());
}

TEST_CASE("what lies off the piece or the bed, or too near an edge, is said and moved back") {
    raised_and_mended(moved(40, 0), check::off_stock, Severity::blocking);
    raised_and_mended(moved(-33, 25), check::off_stock, Severity::blocking);
    job::Job free = moved(200, 0);
    free.stock.reset();
    raised_and_mended(free, check::off_bed, Severity::blocking);
    const auto checks = check_job(moved(200, 0), {});
    CHECK(find(checks, check::off_bed)->place);
    CHECK(find(checks, check::off_stock));

    job::Job near = sample_plate();
    near.stock = job::Stock{"Birch ply", Length::mm(4), {100, 80}, 157, 104, 0};
    near = job::place_art(near, {100.5, 81});
    near.stock->margin = Length::mm(1);
    raised_and_mended(near, check::near_edge, Severity::warning);
    near.stock->margin = Length::mm(0);
    CHECK_FALSE(find(check_job(near, {}), check::near_edge));

    job::Job large = sample_plate();
    large.stock = job::Stock{"Birch ply", Length::mm(4), {100, 80}, 50, 50, 0};
    const auto off = check_job(large, {});
    CHECK(mend(large, *find(off, check::off_stock), {}).error().code == planning::error::no_mending);
}

TEST_CASE("art is brought onto a turned and onto a round piece") {
    for (const auto form : {job::Stock::Form::rectangle, job::Stock::Form::ellipse}) {
        job::Job job;
        job.stock = job::Stock{"Lime", Length::mm(3), {150, 60}, 120, 120, 0.5};
        job.stock->form = form;
        add_rectangle(job, 60, 40, {20, 20}, StepKind::score);
        raised_and_mended(job, check::off_stock, Severity::blocking);
    }
}

TEST_CASE("a run-up the bed has no room for is said, and matters only for a constant beam") {
    job::Job job;
    add_rectangle(job, 60, 40, {0.5, 100}, StepKind::engrave);
    job.steps[0].settings.speed = Speed::mm_per_min(9000);
    raised_and_mended(job, check::short_run_up, Severity::info);
    job.steps[0].settings.beam = steps::BeamControl::constant;
    CHECK(find(check_job(job, {}), check::short_run_up)->severity == Severity::warning);
    job.steps[0].settings.fill.angle = 90;
    CHECK_FALSE(find(check_job(job, {}), check::short_run_up));
}

TEST_CASE("the order of the run sheet is looked at, kinds and insides") {
    const job::Job early = job::move_step(sample_plate(), sample_plate().steps[2].id, 0).value();
    raised_and_mended(early, check::cut_before_engrave, Severity::warning);

    job::Job loose;
    add_rectangle(loose, 80, 60, {50, 50}, StepKind::cut);
    add_rectangle(loose, 20, 20, {70, 70}, StepKind::cut);
    raised_and_mended(loose, check::outer_before_inner, Severity::warning);
    std::swap(loose.steps[0], loose.steps[1]);
    CHECK_FALSE(find(check_job(loose, {}), check::outer_before_inner));
    // Beside each other, or one step that may find its own order: nothing to say.
    job::Job beside;
    add_rectangle(beside, 20, 20, {50, 50}, StepKind::cut);
    add_rectangle(beside, 20, 20, {90, 70}, StepKind::cut);
    CHECK_FALSE(find(check_job(beside, {}), check::outer_before_inner));
    job::Job one = loose;
    std::swap(one.steps[0], one.steps[1]);
    one.steps[0].inks.push_back(one.steps[1].inks[0]);
    one.steps.pop_back();
    CHECK_FALSE(find(check_job(one, {}), check::outer_before_inner));
    one.steps[0].settings.line.order = steps::LineSettings::Order::as_drawn;
    raised_and_mended(one, check::outer_before_inner, Severity::warning);
}

TEST_CASE("inks without a step, steps without work, and nothing at all") {
    raised_and_mended(job::remove_step(sample_plate(), sample_plate().steps[1].id).value(), check::ink_without_step,
                      Severity::warning);
    CHECK_FALSE(
        find(check_job(job::leave_out(sample_plate(), sample_plate().steps[1].inks[0]), {}), check::ink_without_step));
    job::Job idle = job::leave_out(sample_plate(), sample_plate().steps[1].inks[0]);
    const auto checks = check_job(idle, {});
    REQUIRE(find(checks, check::idle_step));
    CHECK(mend(idle, *find(checks, check::idle_step), {})->steps.size() == 2);
    idle.steps[1].on = false;
    CHECK_FALSE(find(check_job(idle, {}), check::idle_step));
    CHECK(find(check_job({}, {}), check::nothing_to_burn));
    CHECK_FALSE(can_mend(*find(check_job({}, {}), check::nothing_to_burn)));
}

TEST_CASE("settings beyond the machine, the ceiling or the spot") {
    using S = steps::StepSettings;
    raised_and_mended(with(0, [](S& s) { s.speed = Speed::mm_per_min(50000); }), check::settings, Severity::blocking);
    raised_and_mended(with(0, [](S& s) { s.power = Power::percent(140); }), check::settings, Severity::blocking);
    raised_and_mended(with(2, [](S& s) { s.beam = steps::BeamControl::constant; }), check::constant_beam,
                      Severity::warning);
    raised_and_mended(with(0, [](S& s) { s.line_pitch = Length::mm(0.3); }), check::pitch_wider_than_spot,
                      Severity::warning);
    CheckGround kept;
    kept.ceiling = Power::percent(80);
    raised_and_mended(sample_plate(), check::above_ceiling, Severity::blocking, kept);
    kept.ceiling = Power::percent(100);
    CHECK_FALSE(find(check_job(sample_plate(), kept), check::above_ceiling));
}

TEST_CASE("doses and speeds far from all evidence are said, in numbers, and brought near it") {
    using S = steps::StepSettings;
    const CheckGround ground = with_recipes();
    const auto slow = with(0, [](S& s) { s.speed = Speed::mm_per_min(80); });
    raised_and_mended(slow, check::slower_than_evidence, Severity::warning, ground);
    raised_and_mended(slow, check::above_evidence, Severity::warning, ground);
    raised_and_mended(slow, check::hot_fill, Severity::warning, ground);
    raised_and_mended(slow, check::hot_fill, Severity::warning);
    const auto checks = check_job(slow, ground);
    CHECK(find(checks, check::slower_than_evidence)->parameters[1].second == "40");
    raised_and_mended(with(0, [](S& s) { s.power = Power::percent(8); }), check::below_evidence, Severity::warning,
                      ground);
    raised_and_mended(with(2, [](S& s) { s.speed = Speed::mm_per_min(3000); }), check::faster_than_evidence,
                      Severity::warning, ground);
    // Nothing is known of another material, another kind of machine, or without a piece.
    job::Job other = slow;
    other.stock->material = "Slate";
    other.steps[0].settings.kind = StepKind::cut;
    CHECK_FALSE(find(check_job(other, ground), check::slower_than_evidence));
    other = slow;
    other.stock.reset();
    CHECK_FALSE(find(check_job(other, ground), check::above_evidence));
    CHECK_FALSE(find(check_job(slow, {}), check::slower_than_evidence));
}

TEST_CASE("lines that lie on each other are found, in one drawing and of two motifs, and burned once") {
    job::Job twice = sample_plate();
    twice.motifs.push_back(twice.motifs[0]);
    twice.motifs.back().id = ++twice.last_id;
    raised_and_mended(twice, check::drawn_twice, Severity::warning);
    const auto checks = check_job(twice, {});
    CHECK(mend(twice, *find(checks, check::drawn_twice), {})->motifs.size() == 1);

    const job::Job doubled =
        test::drawn_job(R"(<path d="M10 10 H60 V40" stroke="#d00" fill="none" stroke-width="0.1"/>)"
                        R"(<path d="M60 40 V10 H10" stroke="#d00" fill="none" stroke-width="0.1"/>)");
    raised_and_mended(doubled, check::drawn_twice, Severity::warning);
    const job::Job single =
        test::drawn_job(R"(<path d="M10 10 H60 V40" stroke="#d00" fill="none" stroke-width="0.1"/>)"
                        R"(<path d="M10 12 H60 V42" stroke="#d00" fill="none" stroke-width="0.1"/>)");
    CHECK_FALSE(find(check_job(single, {}), check::drawn_twice));
}

TEST_CASE("materials that must not be burned keep Burn shut until it is overridden for that material") {
    job::Job job = sample_plate();
    job.stock->material = "Soft PVC";
    const auto checks = check_job(job, {});
    const Check* danger = find(checks, check::dangerous_material);
    REQUIRE(danger);
    CHECK(danger->blocks());
    CHECK(may_override(*danger));
    CHECK_FALSE(can_mend(*danger));
    job = job::override_check(job, {danger->code, about(*danger), "a test with a fume hood", "2026-11-23"});
    const auto after = check_job(job, {});
    REQUIRE(find(after, check::dangerous_material));
    CHECK_FALSE(find(after, check::dangerous_material)->blocks());
    CHECK(find(after, check::dangerous_material)->overridden == "a test with a fume hood");
    job.stock->material = "ABS";
    CHECK(find(check_job(job, {}), check::dangerous_material)->blocks());
    job.stock->material = "Birch ply";
    CHECK_FALSE(find(check_job(job, {}), check::dangerous_material));
}

TEST_CASE("burning beyond the piece can be overridden, as far as it was said and never beyond the bed") {
    job::Job job = moved(40, 0);
    const machine::MachineProfile machine;
    const auto checks = check_job(job, {});
    const Check off = *find(checks, check::off_stock);
    CHECK(binding_stock(job, checks));
    job = job::override_check(job, {off.code, about(off), "an offcut lies beside it", "2026-11-23"});
    CHECK_FALSE(binding_stock(job, check_job(job, {})));
    CHECK(find(check_job(job, {}), check::off_stock)->overridden == "an offcut lies beside it");
    const auto made = plan(job, machine).value();
    // What was agreed to is what burns: a millimetre of it is drawn, and all of it is lit.
    const Check lit = *find(check_job(job, {}, lit_points(made.program)), check::off_stock);
    job = job::override_check(job, {lit.code, about(lit), "an offcut lies beside it", "2026-11-23"});
    machine::Encoder lines(made.program, machine);
    CHECK(check_program(lines, test::limits_of(job, machine, made.program)).empty());
    // Farther off than was agreed to: asked again.
    const job::Job farther = job::transform(job, {1}, geometry::Transform::move(5, 0)).value();
    CHECK(binding_stock(farther, check_job(farther, {})));
    CHECK(find(check_job(farther, {}), check::off_stock)->blocks());
    job::Job bed = job::override_check(sample_plate(), {std::string(check::off_bed), "", "why not", ""});
    bed = job::transform(bed, {1}, geometry::Transform::move(300, 0)).value();
    CHECK(find(check_job(bed, {}), check::off_bed)->blocks());
}

TEST_CASE("the machine's own checks") {
    CHECK(check_machine({false, false}).at(0).code == check::laser_mode_off);
    CHECK(check_machine({false, false}).at(0).blocks());
    CHECK(check_machine({true, true}).at(0).code == check::stale_frame);
    CHECK_FALSE(check_machine({{}, true}).at(0).blocks());
}

TEST_CASE("overhang is measured square to the side that was passed") {
    const job::Job job = job::set_stock(job::place_art(sample_plate(), {10, 10}),
                                        job::Stock{"Lime", Length::mm(3), {0, 0}, 160, 105, 0});
    // The art ends at 164 × 111.
    CHECK(find(check_job(job, {}), check::off_stock)->parameters.front().second == "6");
    planning::FlatJob whole(job);
    CHECK(geometry::bounds(drawn_points(whole)).right == Approx(164).margin(0.01));
    const job::Job left_out = job::leave_out(job, job.steps[2].inks[0]);
    planning::FlatJob part(left_out);
    CHECK(geometry::bounds(drawn_points(part)).right == Approx(157.5).margin(0.01));
}
