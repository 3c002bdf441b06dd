// SPDX-License-Identifier: GPL-3.0-or-later
#include "support/drawn_job.hpp"
#include "support/virtual_machine.hpp"

#include <chalkline/job/round_piece.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/planning/program_checker.hpp>
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

/// Burns the job on a machine whose rotary holds `real`, whatever the job believes.
Burned burn(const job::Job& job, const Rotary& rotary, const job::RoundPiece& real) {
    MachineProfile flat;
    flat.rotary = rotary;
    // A rotary plugged in where Y was needs that axis' own limits out of its way.
    flat.home = HomeCorner::none;
    const MachineProfile profile = job::machine_for(job, flat);
    const auto plan = planning::plan(job, profile);
    REQUIRE(plan);
    Encoder lines(plan->program, profile);
    const auto faults = planning::check_program(lines, planning::limits_of(job, profile, plan->program));
    for (const auto& fault : faults)
        FAIL_CHECK(fault.code + " " + fault.text);
    Burned burned{simulator::DoseMap(real.length, real.turn(), per_mm, profile.spot), {}, 0, plan->total.seconds()};
    test::VirtualMachine vm(flat);
    vm.make_ready();
    vm.controller.set_round_piece(job::wall_of(real));
    vm.controller.set_dose_map(&burned.dose);
    REQUIRE(vm.session.set_profile(profile));
    vm.run(0.3);
    REQUIRE(vm.session.stands_at({0, 0}));
    REQUIRE(vm.session.burn(std::make_unique<Encoder>(plan->program, profile)));
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().begun.operation >= 0; }));
    const double before = vm.controller.now();
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == Activity::none; }));
    burned.took = vm.controller.now() - before;
    burned.report = vm.controller.report();
    return burned;
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
    // Nowhere along the ring is a gap, least of all at the seam.
    for (double y = 0.025; y < turn; y += 0.05)
        REQUIRE(burned.dose.at(static_cast<int>(20 * per_mm), static_cast<int>(y * per_mm)) > 0);
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
