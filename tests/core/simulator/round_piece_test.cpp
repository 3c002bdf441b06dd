// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/drawn_job.hpp"
#include "support/let_through.hpp"
#include "support/limits.hpp"
#include "support/line_machine.hpp"
#include "support/virtual_machine.hpp"

#include <chalkline/encoding/encoder.hpp>
#include <chalkline/job/round_piece.hpp>
#include <chalkline/machine/rest.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/safety/program_checker.hpp>
#include <chalkline/simulator/dose_map.hpp>

#include <catch2/catch.hpp>

#include <cmath>
#include <numbers>

using namespace chalkline;
using namespace chalkline::machine;
using std::numbers::pi;

namespace {

constexpr job::RoundPiece cup{.diameter = 80, .end_diameter = 80, .length = 100};
constexpr double per_mm = 20;  // cells

/// A ring, and a line that winds round once and ends where it began, four millimetres high at its most.
job::Job banded(const job::RoundPiece& piece) {
    std::string wave = "M 40 300";
    const double turn = piece.turn();
    for (int i = 1; i <= 200; ++i)
        wave +=
            " L " + std::to_string(40 + 4 * std::sin(2 * pi * i / 200)) + " " + std::to_string(300 - turn * i / 200);
    job::Job job = test::drawn_job("<g fill='none' stroke='#f00'><path d='M 20 300 V " + std::to_string(300 - turn) +
                                   "'/><path d='" + wave + "'/></g>");
    job.motifs.front().place = {};
    job.stock = job::in_rotary({}, piece).value();
    job.stock->margin = Length();
    return job;
}

struct Burned {
    simulator::DoseMap dose;
    simulator::Report report;
    double took, said;
};

/// A job, and the machine whose rotary it was planned for.
struct Prepared {
    MachineProfile flat, profile;
    planning::Plan plan;
};

Prepared prepared(const job::Job& job, const Rotary& rotary, Dialect dialect = Dialect::realtime) {
    MachineProfile flat;
    flat.rotary = rotary;
    flat.dialect = dialect;
    // A rotary plugged in where Y was needs that axis' own limits out of its way.
    flat.home = HomeCorner::none;
    const MachineProfile profile = job::machine_for(job, flat);
    auto plan = planning::plan(job, profile);
    REQUIRE(plan);
    Encoder lines(plan->program, profile);
    for (const auto& fault : safety::check_program(lines, test::limits_of(job, profile, plan->program)))
        FAIL_CHECK(fault.code + " " + fault.text);
    return {flat, profile, std::move(*plan)};
}

/// Where what burns is laid down: the wall of the piece that really turns.
simulator::DoseMap wall_to_burn(const job::RoundPiece& real, const MachineProfile& machine) {
    return simulator::DoseMap(real.length, real.turn(), per_mm, machine.spot);
}

/// Burns the job on a machine whose rotary holds `real`, whatever the job believes.
Burned burn(const job::Job& job, const Rotary& rotary, const job::RoundPiece& real) {
    const Prepared made = prepared(job, rotary);
    Burned burned{wall_to_burn(real, made.profile), {}, 0, made.plan.total.seconds()};
    test::VirtualMachine vm(made.flat);
    vm.make_ready();
    vm.controller.set_round_piece(job::wall_of(real));
    vm.controller.set_dose_map(&burned.dose);
    REQUIRE(vm.session.set_profile(made.profile));
    vm.run(0.3);
    REQUIRE(vm.session.stands_at({0, 0}));
    REQUIRE(vm.session.burn(
        test::let_through(std::make_unique<Encoder>(made.plan.program, made.profile), vm.session.profile())));
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().begun.operation >= 0; }));
    const double before = vm.controller.now();
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == Activity::none; }));
    burned.took = vm.controller.now() - before;
    burned.report = vm.controller.report();
    return burned;
}

/// The same behind a board that reads one line after the other.
Burned burn_line_by_line(const job::Job& job, const Rotary& rotary) {
    const Prepared made = prepared(job, rotary, Dialect::line_by_line);
    const job::RoundPiece& piece = *job.round_piece();
    Burned burned{wall_to_burn(piece, made.profile), {}, 0, made.plan.total.seconds()};
    test::LineMachine lm(made.flat);
    REQUIRE(lm.run_until([&] { return lm.last<event::Ready>() != nullptr; }, 10));
    lm.controller.set_round_piece(job::wall_of(piece));
    lm.controller.set_dose_map(&burned.dose);
    REQUIRE(lm.session->set_profile(made.profile));
    REQUIRE(lm.session->stands_at({0, 0}));
    REQUIRE(lm.run_until([&] { return lm.free(); }, 10));
    REQUIRE(lm.session->burn(
        test::let_through(std::make_unique<Encoder>(made.plan.program, made.profile), lm.session->profile())));
    const double before = lm.now;
    REQUIRE(lm.run_until([&] { return lm.free(); }, 3600));
    burned.took = lm.now - before;
    burned.report = lm.controller.report();
    return burned;
}

/// Nowhere along the ring at 20 mm is a gap.
void require_whole_ring(const simulator::DoseMap& dose) {
    for (double y = 0.025; y < cup.turn(); y += 0.05)
        REQUIRE(dose.at(static_cast<int>(20 * per_mm), static_cast<int>(y * per_mm)) > 0);
}

/// X where the dose of a row lies, between two columns of millimetres.
double middle_of(const simulator::DoseMap& dose, double y, double from, double to) {
    double sum = 0, at = 0;
    const int row = static_cast<int>(y * per_mm);
    for (int column = static_cast<int>(from * per_mm); column < static_cast<int>(to * per_mm); ++column) {
        sum += dose.at(column, row);
        at += dose.at(column, row) * (column + 0.5) / per_mm;
    }
    return sum > 0 ? at / sum : -1;
}

}  // namespace

TEST_CASE("a band all round meets itself at the seam, whatever turns the cup") {
    const auto [rotary, name] = GENERATE(table<Rotary, const char*>(
        {{Rotary{RotaryAxis::instead_of_y, RotaryDrive::chuck, 251.3}, "chuck where Y was"},
         {Rotary{RotaryAxis::instead_of_y, RotaryDrive::rollers, 50, 18}, "rollers where Y was"},
         {Rotary{RotaryAxis::fourth, RotaryDrive::chuck, 360, 20, 14400, 1200}, "chuck on an axis of its own"},
         {Rotary{RotaryAxis::fourth, RotaryDrive::rollers, 360, 25, 14400, 1200}, "rollers on an axis of its own"}}));
    INFO(name);
    const job::Job job = banded(cup);
    const Burned burned = burn(job, rotary, cup);
    CHECK(burned.report.violations.empty());
    CHECK(burned.report.errors.empty());
    const double turn = cup.turn();
    for (const double off : {0.1, 0.5, 1.0}) {
        CHECK(middle_of(burned.dose, off, 18, 22) == Approx(20).margin(0.05));
        CHECK(middle_of(burned.dose, turn - off, 18, 22) == Approx(20).margin(0.05));
    }
    // The wave leaves at one side of the seam where it comes in at the other.
    const double before = middle_of(burned.dose, turn - 0.06, 34, 46), after = middle_of(burned.dose, 0.06, 34, 46);
    CHECK(before == Approx(after).margin(0.1));
    // A quarter of a turn on it is at its highest: millimetres are those of the surface.
    CHECK(middle_of(burned.dose, turn / 4, 34, 50) == Approx(44).margin(0.1));
    require_whole_ring(burned.dose);
    CHECK(burned.said == Approx(burned.took).epsilon(0.03));
}

TEST_CASE("a cup measured wrong leaves a gap on rollers that the test ring finds") {
    const Rotary rollers{RotaryAxis::instead_of_y, RotaryDrive::rollers, 50, 18};
    job::Job job;
    job.stock = job::in_rotary({}, cup).value();
    job.stock->margin = Length();
    job = job::add_test_ring(job);
    job::RoundPiece real = cup;
    real.diameter = real.end_diameter = 80.8;
    const Burned burned = burn(job, rollers, real);
    // From the seam back, beyond the spot of the ring's beginning: the ring's end.
    const int column = static_cast<int>(6 * per_mm);
    int row = burned.dose.rows() - static_cast<int>(0.3 * per_mm);
    while (row > 0 && burned.dose.at(column, row) <= 0)
        --row;
    const double gap = real.turn() - row / per_mm;
    CHECK(gap == Approx(0.8 * pi).margin(0.2));
    CHECK(job::corrected_by_gap(cup, gap).diameter == Approx(80.8).margin(0.07));
}

TEST_CASE("a drawing on a tapered cup comes out with its own lengths") {
    const job::RoundPiece tapered{.diameter = 88, .end_diameter = 70, .length = 110};
    job::Job job = test::drawn_job("<path d='M 20 250 H 90 V 200 H 20 Z' fill='none' stroke='#f00'/>");
    job.motifs.front().place = geometry::Transform::move(0, 20);
    job.stock = job::in_rotary({}, tapered).value();
    const Burned burned = burn(job, {RotaryAxis::fourth, RotaryDrive::chuck, 360, 20, 14400, 1200}, tapered);
    CHECK(burned.report.violations.empty());
    // The side near the beginning is 50 mm round on the wall: its ends, found in the dose, as an angle times radius.
    const auto lit_from = [&](double x, bool upwards) {
        const int column = static_cast<int>(x * per_mm), rows = burned.dose.rows();
        for (int i = 0; i < rows; ++i) {
            const int row = upwards ? i : rows - 1 - i;
            if (burned.dose.at(column, row) > 20) return (row + 0.5) / per_mm;
        }
        return -1.0;
    };
    for (const double x : {35.0, 75.0}) {
        const double round = (lit_from(x, false) - lit_from(x, true)) * tapered.diameter_at(x) * pi / tapered.turn();
        // The drawing's sides run straight on the sheet: their distance round the cup is a little more than across.
        CHECK(round == Approx(50).margin(0.6));
    }
}

TEST_CASE("a board that reads line after line turns the cup as well") {
    const auto [rotary, name] = GENERATE(table<Rotary, const char*>(
        {{Rotary{RotaryAxis::instead_of_y, RotaryDrive::rollers, 50, 18}, "rollers where Y was"},
         {Rotary{RotaryAxis::fourth, RotaryDrive::chuck, 360, 20, 14400, 1200}, "chuck on an axis of its own"}}));
    INFO(name);
    const Burned burned = burn_line_by_line(banded(cup), rotary);
    CHECK(burned.report.violations.empty());
    CHECK(burned.report.errors.empty());
    require_whole_ring(burned.dose);
    CHECK(middle_of(burned.dose, cup.turn() - 0.06, 34, 46) ==
          Approx(middle_of(burned.dose, 0.06, 34, 46)).margin(0.1));
    CHECK(middle_of(burned.dose, cup.turn() / 4, 34, 50) == Approx(44).margin(0.1));
    CHECK(burned.said == Approx(burned.took).epsilon(0.05));
}

TEST_CASE("a burn that was stopped on a cup goes on where it was, without a gap") {
    const auto [rotary, name] = GENERATE(table<Rotary, const char*>(
        {{Rotary{RotaryAxis::instead_of_y, RotaryDrive::rollers, 50, 18}, "rollers where Y was"},
         {Rotary{RotaryAxis::fourth, RotaryDrive::chuck, 360, 20, 14400, 1200}, "chuck on an axis of its own"}}));
    INFO(name);
    const Prepared made = prepared(banded(cup), rotary);
    simulator::DoseMap dose = wall_to_burn(cup, made.profile);
    test::VirtualMachine vm(made.flat);
    vm.make_ready();
    vm.controller.set_round_piece(job::wall_of(cup));
    vm.controller.set_dose_map(&dose);
    REQUIRE(vm.session.set_profile(made.profile));
    vm.run(0.3);
    REQUIRE(vm.session.stands_at({0, 0}));
    REQUIRE(vm.session.burn(
        test::let_through(std::make_unique<Encoder>(made.plan.program, made.profile), vm.session.profile())));
    const auto free = [&] { return vm.session.snapshot().activity == Activity::none; };
    // In the middle of the wave, far round from where the maker said the seam is.
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().done.part > 80; }));
    vm.session.stop();
    REQUIRE(vm.run_until(free, 60));
    REQUIRE(vm.session.snapshot().position_sure);
    const ProgramPlace done = vm.session.snapshot().done;
    const Rest rest = rest_of(made.plan.program, backed_up(made.plan.program, done, 1));
    REQUIRE(vm.session.burn(
        test::let_through(std::make_unique<Encoder>(rest.program, made.profile), vm.session.profile())));
    REQUIRE(vm.run_until(free));
    CHECK(vm.controller.report().violations.empty());
    require_whole_ring(dose);
    for (double y = 0.3; y < cup.turn() - 0.3; y += 0.5) {
        INFO("round " << y);
        CHECK(middle_of(dose, y, 34, 46) == Approx(40 + 4 * std::sin(2 * pi * y / cup.turn())).margin(0.12));
    }
}

TEST_CASE("a picture on a tapered cup is burned where it lies, its halves as dark as they are") {
    const job::RoundPiece tapered{.diameter = 88, .end_diameter = 70, .length = 110};
    // Dark in the half that lies nearer to the seam, a quarter as dark in the other.
    auto image = std::make_shared<raster::RgbImage>(80, 80, Rgb{0, 0, 0});
    std::fill_n(image->pixels.begin(), 80 * 40, Rgb{225, 225, 225});
    art::Artwork art;
    art.format = "picture";
    art.page = {40, 40};
    art.pictures.push_back({image, geometry::Transform::scale(40, 40), {}, art::picture_ink(*image)});
    job::Job job = job::add_art({}, std::make_shared<const art::Artwork>(art), {});
    job.motifs.front().place = geometry::Transform::move(30, 60);
    job.stock = job::in_rotary({}, tapered).value();
    const Burned burned = burn(job, {RotaryAxis::fourth, RotaryDrive::chuck, 360, 20, 14400, 1200}, tapered);
    CHECK(burned.report.violations.empty());
    const auto mean = [&](double x, double along_sheet) {
        // Round the piece: the same angle at every diameter.
        const double y = 80 + (along_sheet - 80) * tapered.turn() / (pi * tapered.diameter_at(x));
        double sum = 0;
        int cells = 0;
        for (int row = static_cast<int>((y - 2) * per_mm); row < static_cast<int>((y + 2) * per_mm); ++row)
            for (int column = static_cast<int>((x - 2) * per_mm); column < static_cast<int>((x + 2) * per_mm);
                 ++column, ++cells)
                sum += burned.dose.at(column, row);
        return sum / cells;
    };
    const double dark = mean(50, 70), light = mean(50, 90);
    CHECK(dark > 0);
    CHECK(light / dark == Approx(0.25).margin(0.08));
    CHECK(mean(40, 70) == Approx(dark).epsilon(0.12));
    CHECK(mean(60, 70) == Approx(dark).epsilon(0.12));
    CHECK(mean(15, 80) == 0);
    CHECK(mean(90, 80) == 0);
}

TEST_CASE("piece and machine must agree whether it turns") {
    MachineProfile flat;
    flat.rotary = {RotaryAxis::instead_of_y, RotaryDrive::chuck, 40};
    job::Job job = banded(cup);
    CHECK(planning::plan(job, flat).error().code == planning::error::not_turning);
    flat.rotary.axis = RotaryAxis::none;
    CHECK(planning::plan(job, job::machine_for(job, flat)).error().code == planning::error::no_rotary);
    flat.rotary.axis = RotaryAxis::instead_of_y;
    const MachineProfile turning = job::machine_for(job, flat);
    job.stock.reset();
    CHECK(planning::plan(job, turning).error().code == planning::error::not_turning);
}
