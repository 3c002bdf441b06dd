// SPDX-License-Identifier: GPL-3.0-or-later
// The gate: what passes, what does not, and that what passed is what is sent.
#include "support/drawn_job.hpp"
#include "support/let_through.hpp"
#include "support/virtual_machine.hpp"

#include <chalkline/clearance/clear.hpp>
#include <chalkline/conversation/session.hpp>
#include <chalkline/encoding/encoder.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>
#include <chalkline/job/round_piece.hpp>
#include <chalkline/machine/program_text.hpp>

#include <catch2/catch.hpp>

#include <type_traits>

using namespace chalkline;
using namespace chalkline::clearance;
using geometry::Point;

namespace {

const planning::CheckGround bench;

job::Job plate() {
    return job::load(CHALKLINE_SAMPLES "/plot-27.chalk").value().job;
}

Clearance clear_job(const job::Job& job, const planning::CheckGround& ground = bench) {
    return clear(JobRequest{job, ground});
}

Clearance clear_text(const std::string& text, const planning::CheckGround& ground = bench) {
    return clear(FileRequest{machine::read_program(text, ground.machine, "x.nc").value(), ground});
}

std::string all_lines(machine::LineSource& lines) {
    std::string text;
    for (machine::ProgramLine line; lines.next(line);)
        text += line.text + "\n";
    return text;
}

/// Where the beam is on in the lines themselves, read without anything of the planner: absolute and relative moves of
/// the reference dialect.
geometry::Box lit_box_of_lines(const std::string& text) {
    geometry::Box box;
    const auto program = machine::read_program(text, {}, "x.nc").value();
    Point at;
    for (const machine::Operation& operation : program.operations) {
        if (const auto* travel = std::get_if<machine::Travel>(&operation.act)) at = travel->to;
        if (const auto* trace = std::get_if<machine::Trace>(&operation.act))
            for (std::uint32_t i = 0; i < trace->count; ++i) {
                const Point to = program.points[trace->first + i];
                if (trace->power > 0) {
                    box.add(at);
                    box.add(to);
                }
                at = to;
            }
    }
    return box;
}

/// The same on the wall of a round piece: the lines count what the axis that turns it counts.
geometry::Box lit_box_on_wall(std::string text, const machine::MachineProfile& machine) {
    if (machine.y_letter() == 'A') std::replace(text.begin(), text.end(), 'A', 'Y');
    const geometry::Box counted = lit_box_of_lines(text);
    geometry::Box box;
    box.add(machine.surface({counted.left, counted.bottom}));
    box.add(machine.surface({counted.right, counted.top}));
    return box;
}

/// A job with one black picture of 20 × 20 mm, whose right half is white: it burns 10 mm wide.
job::Job picture() {
    auto image = std::make_shared<raster::RgbImage>(100, 100, Rgb{0, 0, 0});
    for (int y = 0; y < 100; ++y)
        for (int x = 50; x < 100; ++x)
            image->at(x, y) = {255, 255, 255};
    auto art = std::make_shared<art::Artwork>();
    art->name = "half.png";
    art->format = "picture";
    art->page = {20, 20};
    art->pictures.push_back({image, geometry::Transform::scale(20, 20), {}, art::picture_ink(*image)});
    art->hull = art::hull_of(*art);
    return job::place_art(job::add_art({}, art, {}), {100, 100});
}

// The probe: a program that was not cleared cannot be burned, framed or stored by any call there is.
template <class What>
concept Burnable = requires(machine::Session& session, What what) {
    session.burn(what);
};
template <class What>
concept Rideable = requires(machine::Session& session, What what) {
    session.frame(what);
};
template <class What>
concept Storable = requires(machine::Session& session, What what) {
    session.store("NAME", what);
};
template <class... Whats>
constexpr bool none_passes = (!(Burnable<Whats> || Rideable<Whats> || Storable<Whats>)&&...);
static_assert(Burnable<ClearedProgram> && Rideable<ClearedProgram> && Storable<ClearedProgram>);
static_assert(none_passes<machine::Program, planning::Plan, std::string, std::shared_ptr<const machine::Program>,
                          std::unique_ptr<machine::LineSource>, std::unique_ptr<machine::SharedEncoder>, Clearance>);
static_assert(!std::is_default_constructible_v<ClearedProgram>);
static_assert(!std::is_constructible_v<ClearedProgram, machine::Program>);

}  // namespace

TEST_CASE("a job that passes is sent as it was checked, to the byte") {
    const Clearance cleared = clear_job(plate());
    REQUIRE(cleared.program);
    CHECK(cleared.program->text() == machine::encode_all(cleared.plan->program, bench.machine));
    CHECK(cleared.program->line_count() == cleared.lines);
    std::int64_t bytes = 0;
    for (const auto& [step, of_step] : cleared.bytes)
        bytes += of_step;
    CHECK(bytes == static_cast<std::int64_t>(cleared.program->text().size()));
    CHECK(cleared.bytes.size() == cleared.plan->steps.size());
}

TEST_CASE("what stands against a program keeps it from being one") {
    // Off the bed, off the piece, above the ceiling: each is told, and there is nothing to send.
    job::Job off = plate();
    off = job::transform(off, {1}, geometry::Transform::move(300, 0)).value();
    CHECK_FALSE(clear_job(off).program);
    CHECK(clear_job(off).passed().error().code == planning::error::off_bed);
    planning::CheckGround kept = bench;
    kept.ceiling = Power::percent(30);
    const Clearance strong = clear_job(plate(), kept);
    CHECK_FALSE(strong.program);
    CHECK(strong.passed().error().code == planning::check::above_ceiling);
    // A file knows no steps: its lines themselves are above it.
    const std::string file = "G21G90\nM4S0\nG0X10Y10\nG1X20S400F1000\nM5S0\n";
    CHECK(clear_text(file).program);
    CHECK(clear_text(file, kept).faults.at(0).code == safety::fault::too_much_power);
    CHECK(clear_text("G21G90\nM4S0\nG0X10Y10\nG1X420S100F1000\nM5S0\n").faults.at(0).code ==
          safety::fault::beam_off_bed);
    CHECK_FALSE(clear(DarkRequest{{"G21G90G17", "M4S0", "G0X1Y1", "G1X5S1F100", "M5"}, bench.machine}).program);
    CHECK(clear(DarkRequest{{"G21G90G17", "M4S0", "G0X1Y1", "G1X5S0F100", "M5"}, bench.machine}).program);
}

TEST_CASE("power may be raised to what was allowed, and no higher") {
    const std::string file = "G21G90\nM4S0\nG0X10Y10\nG1X20S400F1000\nM5S0\n";
    CHECK(clear_text(file).program->most_power(machine::step_of_file) == 200);
    planning::CheckGround kept = bench;
    kept.ceiling = Power::percent(50);
    const ClearedProgram within = *clear_text(file, kept).program;
    CHECK(within.most_power(machine::step_of_file) == 125);
    CHECK(within.within_limits({{machine::step_of_file, {50, 180}}}).at(machine::step_of_file) ==
          machine::Trim{50, 125});
    const std::string strong = "G21G90\nM4S0\nG0X10Y10\nG1X20S800F1000\nM5S0\n";
    CHECK(clear_text(strong).program->most_power(machine::step_of_file) == 125);  // full power is full power

    test::VirtualMachine vm;
    vm.make_ready();
    REQUIRE(vm.session.burn(within, {{machine::step_of_file, {10, 200}}}));
    REQUIRE(vm.run_until([&] { return vm.controller.report().beam_on_mm > 1; }, 20));
    CHECK(vm.session.snapshot().power_trim == 125);
    REQUIRE(vm.session.trim(10, 190));
    vm.run(0.3);
    CHECK(vm.session.snapshot().power_trim == 125);
}

TEST_CASE("lines that are not those that were checked are not given out") {
    // A source whose second reading differs from its first, far behind its beginning.
    std::vector<std::string> lines{"G21G90G17G94G54", "M5S0", "M4S0", "G0X10Y10"};
    for (int i = 0; i < 700; ++i)
        lines.push_back(i % 2 ? "G1X20S100F3000" : "G1X10S100F3000");
    test::VirtualMachine vm;
    vm.make_ready();
    const ClearedProgram altered = test::let_through_altered(lines, 600, "G1X20S1000F3000", vm.session.profile());
    const auto source = altered.lines();
    const std::string given = all_lines(*source);
    CHECK_FALSE(source->intact());
    CHECK(given.find("S1000") == std::string::npos);
    CHECK(std::count(given.begin(), given.end(), '\n') > 500);

    REQUIRE(vm.session.burn(altered));
    REQUIRE(vm.run_until([&] { return vm.last<machine::event::Failed>() != nullptr; }, 600));
    CHECK(vm.last<machine::event::Failed>()->error.code == machine::error::lines_changed);
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == machine::Activity::none; }, 20));
    CHECK(vm.controller.beam() == 0);
}

TEST_CASE("a clearance for other figures of the machine is refused") {
    test::VirtualMachine vm;
    vm.make_ready();
    planning::CheckGround larger = bench;
    larger.machine.width = 600;
    const std::string file = "G21G90\nM4S0\nG0X10Y10\nG1X20S400F1000\nM5S0\n";
    CHECK(vm.session.burn(*clear_text(file, larger).program).error().code == machine::error::cleared_for_another);
    CHECK(vm.session.frame(*clear_text(file, larger).program).error().code == machine::error::cleared_for_another);
    CHECK(vm.session.burn(*clear_text(file).program));
}

TEST_CASE("the frame goes round what is lit: lead-in, kerf, overcut, run-up, parts, files") {
    const auto check = [](const Clearance& cleared, const machine::MachineProfile& machine = bench.machine) {
        INFO((cleared.passed() ? "passed" : cleared.passed().error().code));
        REQUIRE(cleared.program);
        const geometry::Box lit = lit_box_on_wall(cleared.program->text(), machine);
        const geometry::Box hull = geometry::bounds(cleared.hull);
        CHECK(hull.left == Approx(lit.left).margin(0.05));
        CHECK(hull.right == Approx(lit.right).margin(0.05));
        CHECK(hull.bottom == Approx(lit.bottom).margin(0.05));
        CHECK(hull.top == Approx(lit.top).margin(0.05));
        const Clearance frame = clear(FrameRequest{cleared.hull, planning::FrameWay::box, {}, machine});
        REQUIRE(frame.program);
        CHECK(geometry::bounds(frame.plan->program.points).empty());
        CHECK(frame.plan->move_box.left == Approx(lit.left).margin(0.05));
        CHECK(frame.plan->move_box.right == Approx(lit.right).margin(0.05));
        CHECK(frame.plan->move_box.bottom == Approx(lit.bottom).margin(0.05));
        CHECK(frame.plan->move_box.top == Approx(lit.top).margin(0.05));
    };
    const job::Job drawn = test::drawn_job("<rect x='60' y='60' width='30' height='20' fill='none' stroke='#f00'/>");
    const auto with = [&](auto change) {
        job::Job job = drawn;
        change(job.steps.front().settings);
        return job;
    };
    const geometry::Box plain = geometry::bounds(clear_job(drawn).hull);
    CHECK(plain.width() == Approx(30).margin(0.05));

    const job::Job lead = with([](auto& s) { s.line.lead_in = Length::mm(8); });
    check(clear_job(lead));
    CHECK_FALSE(planning::same_hull(clear_job(drawn).hull, clear_job(lead).hull));
    const job::Job kerf = with([](auto& s) {
        s.line.kerf = Length::mm(1);
        s.line.kerf_side = steps::LineSettings::Kerf::outside;
    });
    check(clear_job(kerf));
    CHECK(geometry::bounds(clear_job(kerf).hull).width() == Approx(31).margin(0.05));
    check(clear_job(with([](auto& s) { s.line.overcut = Length::mm(5); })));
    job::Job fill = test::drawn_job("<circle cx='80' cy='80' r='15'/>");
    fill.steps.front().settings.fill.run_up = Length::mm(12);
    check(clear_job(fill));
    CHECK(geometry::bounds(clear_job(fill).hull).width() < 31);  // run-ups are dark
    planning::PlanOptions only;
    const job::Job two = plate();
    only.only_steps = job::Ids{two.steps.back().id};
    check(clear(JobRequest{two, bench, only}));
    check(clear_job(picture()));
    check(clear_text("G20G90\nM4S0\nG0X1Y1\nG1X2S400F40\nG2X3Y1I0.5J0\nM5S0\n"));  // inches and an arc
    // Round pieces: straight and tapered, on both ways to turn them.
    for (const auto axis : {machine::RotaryAxis::instead_of_y, machine::RotaryAxis::fourth})
        for (const double end_diameter : {80.0, 60.0}) {
            machine::MachineProfile flat;
            flat.rotary.axis = axis;
            flat.home = machine::HomeCorner::none;
            job::Job round = lead;
            round.motifs.front().place = geometry::Transform::move(-40, -90);
            round.stock = job::in_rotary({}, {.diameter = 80, .end_diameter = end_diameter, .length = 100}).value();
            round.stock->margin = Length();
            const machine::MachineProfile turning = job::machine_for(round, flat);
            check(clear_job(round, {turning}), turning);
        }
}

TEST_CASE("off the piece and near its edge is what is lit, not what was drawn") {
    job::Job job = test::drawn_job("<rect x='60' y='60' width='30' height='20' fill='none' stroke='#f00'/>");
    const geometry::Box box = geometry::bounds(clear_job(job).hull);
    // A piece that the drawing fits on with 4 mm to spare.
    job = job::set_stock(
        job, job::Stock{"Lime", Length::mm(3), {box.left - 4, box.bottom - 4}, box.width() + 8, box.height() + 8, 0});
    const auto found = [](const Clearance& cleared, std::string_view code) {
        return std::any_of(cleared.checks.begin(), cleared.checks.end(), [&](const auto& c) { return c.code == code; });
    };
    CHECK_FALSE(found(clear_job(job), planning::check::off_stock));
    CHECK(clear_job(job).program);
    job.steps.front().settings.line.lead_in = Length::mm(8);
    const Clearance led = clear_job(job);
    CHECK(found(led, planning::check::off_stock));
    CHECK(led.off_stock > 1);
    CHECK_FALSE(led.program);
    // Drawn up to the bed's edge, the lead-in is cut short there, and the frame goes where it does.
    job::Job near = test::drawn_job("<rect x='1' y='1' width='398' height='298' fill='none' stroke='#f00'/>");
    near.steps.front().settings.line.lead_in = Length::mm(8);
    const Clearance within = clear_job(near);
    REQUIRE(within.program);
    CHECK(within.off_bed == 0);
    CHECK(geometry::bounds(within.hull).left == Approx(0).margin(0.001));
}

TEST_CASE("going on passes the same gate, with what the job allows") {
    const job::Job job = plate();
    const Clearance whole = clear_job(job);
    const machine::ProgramPlace half{static_cast<std::int64_t>(whole.plan->program.operations.size() / 2), 0};
    const Clearance left = clear(RestRequest{whole.plan, half, &job, bench});
    REQUIRE(left.program);
    CHECK(left.plan == whole.plan);
    CHECK(left.rest->done == half);
    CHECK(left.lines < whole.lines);
    planning::CheckGround kept = bench;
    kept.ceiling = Power::percent(10);
    CHECK_FALSE(clear(RestRequest{whole.plan, half, &job, kept}).program);
}
