// SPDX-License-Identifier: GPL-3.0-or-later
// Going on with a burn that broke off: nothing left out, nothing burned twice but what may not have burned.
#include "support/let_through.hpp"
#include "support/virtual_machine.hpp"

#include <chalkline/encoding/encoder.hpp>
#include <chalkline/machine/rest.hpp>

#include <catch2/catch.hpp>

#include <cmath>

using namespace chalkline;
using namespace chalkline::machine;
using chalkline::test::VirtualMachine;
using geometry::Point;

namespace {

constexpr Speed slow = Speed::mm_per_min(1800);

/// A comb of lines, rows with gaps, another comb with air off: some 140 mm of burning, lines of 5 mm at most.
std::shared_ptr<const Program> work() {
    Program program;
    const auto add = [&](auto act) { program.operations.push_back({act, slow, {1, 1, 0}}); };
    const auto comb = [&](Point from, PowerValue power) {
        add(Travel{from});
        const auto first = static_cast<std::uint32_t>(program.points.size());
        for (int i = 1; i <= 12; ++i)
            program.points.push_back(from + Point{i % 4 == 1 || i % 4 == 2 ? 5.0 : 0.0, (i / 2) * 1.5});
        add(Trace{first, 12, power});
    };
    add(Air{true});
    add(Beam{BeamMode::following});
    comb({10, 10}, 5000);
    for (int row = 0; row < 6; ++row) {
        const double y = 30 + row;
        add(Travel{{10, y}});
        const auto first = static_cast<std::uint32_t>(program.runs.size());
        for (const Run run :
             {Run{3000, 0}, Run{2000, 4000}, Run{1000, 0}, Run{4000, 7000}, Run{2000, 2000}, Run{3000, 0}})
            program.runs.push_back(run);
        add(Sweep{{25, y}, first, 6});
    }
    add(Air{false});
    comb({30, 10}, 8000);
    add(Beam{BeamMode::off});
    return std::make_shared<const Program>(std::move(program));
}

struct Burned {
    std::vector<float> cells;
    double beam_mm = 0;
};

std::unique_ptr<LineSource> lines_of(std::shared_ptr<const Program> program, const MachineProfile& profile) {
    return std::make_unique<SharedEncoder>(std::move(program), profile);
}

/// Burns the work with a stop at each of these moments (seconds after it began or went on).
Burned burn_with_stops(const std::vector<double>& stops) {
    MachineProfile profile;
    profile.planner_blocks = 6;
    VirtualMachine vm(profile);
    simulator::DoseMap dose(60, 60, 4, 0.2);
    vm.controller.set_dose_map(&dose);
    vm.make_ready();
    const auto whole = work();
    auto todo = whole;
    Rest rest;
    bool going_on = false;
    REQUIRE(vm.session.burn(test::let_through(lines_of(todo, profile), vm.session.profile())));
    for (const double after : stops) {
        vm.run(after);
        if (vm.session.snapshot().activity != Activity::burning) break;
        vm.session.stop();
        REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == Activity::none; }, 20));
        REQUIRE(vm.session.snapshot().position_sure);
        REQUIRE(vm.run_until([&] { return vm.session.snapshot().state == ControllerState::idle; }, 5));
        ProgramPlace done = vm.session.snapshot().done;
        if (going_on) done = rest.in_whole(done);
        rest = rest_of(*whole, done);
        going_on = true;
        todo = std::make_shared<const Program>(rest.program);
        REQUIRE(vm.session.burn(test::let_through(lines_of(todo, profile), vm.session.profile())));
    }
    REQUIRE(vm.run_until([&] { return vm.session.snapshot().activity == Activity::none; }, 200));
    CHECK(vm.controller.report().violations.empty());
    CHECK(vm.controller.report().errors.empty());
    return {dose.cells(), vm.controller.report().beam_on_mm};
}

}  // namespace

TEST_CASE("what is left of a program, and where its places lie in the whole") {
    const auto whole = work();
    const Rest all = rest_of(*whole, {});
    CHECK(all.from == 0);
    CHECK(all.program.operations.size() == whole->operations.size());
    // In the middle of the first comb: air on, dark to the fifth point, beam on, the seven points that are left.
    const Rest comb = rest_of(*whole, {3, 4});
    REQUIRE(comb.lead == 3);
    CHECK(std::get<Air>(comb.program.operations[0].act).on);
    CHECK(std::get<Travel>(comb.program.operations[1].act).to == whole->points[4]);
    CHECK(std::get<Beam>(comb.program.operations[2].act).mode == BeamMode::following);
    CHECK(std::get<Trace>(comb.program.operations[3].act).count == 7);
    CHECK(comb.in_whole({-1, 0}) == ProgramPlace{3, 4});
    CHECK(comb.in_whole({3, 0}) == ProgramPlace{3, 5});
    CHECK(comb.in_whole({5, 2}) == ProgramPlace{5, 2});
    // In a row: ridden from its beginning, dark as far as it burned.
    const Rest row = rest_of(*whole, {5, 2});
    const auto& sweep = std::get<Sweep>(row.program.operations[row.lead].act);
    CHECK(sweep.count == 4);
    CHECK(row.program.runs[sweep.first].micrometres == 6000);
    CHECK(row.program.runs[sweep.first].power == 0);
    CHECK(std::get<Travel>(row.program.operations[1].act).to == Point{10, 30});
    CHECK(row.in_whole({static_cast<std::int64_t>(row.lead), 1}) == ProgramPlace{5, 3});
    // At the end of an operation the next one begins, and air is as it was left.
    const Rest next = rest_of(*whole, {3, 11});
    CHECK(next.from == 4);
    const Rest last = rest_of(*whole, {18, 11});
    CHECK_FALSE(std::get<Air>(last.program.operations[0].act).on);
}

TEST_CASE("stopped anywhere and gone on with, the piece shows all of the work and no more than a little of it twice") {
    const Burned once = burn_with_stops({});
    REQUIRE(once.beam_mm > 100);
    // What the planner and the buffer may hold: lines of 5 mm at most.
    constexpr double overlap = (6 + 2) * 5;
    int broken_off = 0;
    for (double after = 0.3; after < 9; after += 0.47) {
        const Burned twice = burn_with_stops({after});
        CAPTURE(after);
        double worst = 0;
        for (std::size_t i = 0; i < once.cells.size(); ++i)
            worst = std::max(worst, static_cast<double>(once.cells[i] - twice.cells[i]) - 0.03 * once.cells[i]);
        CHECK(worst < 0.5);  // mJ/mm², of some hundreds
        CHECK(twice.beam_mm - once.beam_mm < overlap);
        broken_off += twice.beam_mm > once.beam_mm + 0.01;
    }
    CHECK(broken_off > 3);
    // Broken off again while it goes on.
    const Burned often = burn_with_stops({1.1, 0.9, 1.7, 0.6});
    double worst = 0;
    for (std::size_t i = 0; i < once.cells.size(); ++i)
        worst = std::max(worst, static_cast<double>(once.cells[i] - often.cells[i]) - 0.03 * once.cells[i]);
    CHECK(worst < 0.5);
    CHECK(often.beam_mm - once.beam_mm < 4 * overlap);
}

TEST_CASE("backed up by some lit way, the place lies so far before what is done") {
    const auto whole = work();
    CHECK(backed_up(*whole, {3, 4}, 0) == ProgramPlace{3, 4});
    // Parts of the comb are 5 and 1.5 mm in turn.
    CHECK(backed_up(*whole, {3, 4}, 1) == ProgramPlace{3, 3});
    CHECK(backed_up(*whole, {3, 4}, 6) == ProgramPlace{3, 2});
    // Dark runs and travels cost nothing; further back than the beginning is the beginning.
    CHECK(backed_up(*whole, {5, 1}, 1) == ProgramPlace{5, 0});
    CHECK(backed_up(*whole, {5, 1}, 1000) == ProgramPlace{});
    CHECK(backed_up(*whole, {}, 5) == ProgramPlace{});
}
