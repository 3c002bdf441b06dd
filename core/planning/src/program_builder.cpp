// SPDX-License-Identifier: GPL-3.0-or-later
#include "program_builder.hpp"

#include "corner_power.hpp"

#include <algorithm>
#include <utility>

namespace chalkline::planning {
namespace {

constexpr double rapid_from = 3;  // mm: shorter hops stay at working speed and spare a word
constexpr double way_back = 0.5;  // mm, dark, after the last line under a constant beam

}  // namespace

using geometry::Point;
using machine::PowerValue;

template <class Act>
void ProgramBuilder::add(Act act) {
    plan_.program.operations.push_back({act, speed_, origin_});
}

void ProgramBuilder::begin_step(std::int32_t step, const steps::StepSettings& settings) {
    origin_ = {step, -1, 0};
    runs_of_copies_.clear();  // the power is another one
    speed_ = settings.speed;
    power_ = machine::power_value(settings.power);
    lowest_ = machine::power_value(std::min(settings.picture.lowest, settings.power));
    const auto mode =
        settings.beam == steps::BeamControl::constant ? machine::BeamMode::constant : machine::BeamMode::following;
    if (mode_ != mode) add(machine::Beam{mode});
    mode_ = mode;
    const bool falls = settings.low_power && mode == machine::BeamMode::constant;
    falling_ = falls ? std::optional(settings) : std::nullopt;
    base_ = machine_.z_axis ? settings.focus.mm() : 0;
    lower_ = machine_.z_axis ? settings.lower_each_pass.mm() : 0;
    if (settings.air == air_) return;
    add(machine::Air{settings.air});
    air_ = settings.air;
    if (air_ && settings.air_lead > Duration()) add(machine::Dwell{settings.air_lead});
}

void ProgramBuilder::begin_pass(int pass) {
    origin_.pass = pass;
    focus_at(base_ - lower_ * pass);
}

/// A constant beam burns on while the head stands, and what comes next may wait for it to stand: a short dark way back
/// over what was just burned ends it while the head still moves.
void ProgramBuilder::end_step() {
    if (mode_ == machine::BeamMode::constant && lit_) {
        const double last = geometry::distance(at_, before_);
        travel_to(geometry::between(at_, before_, last > way_back ? way_back / last : 1));
    }
    focus_at(0);
}

void ProgramBuilder::end() {
    origin_ = {};
    add(machine::Beam{machine::BeamMode::off});
}

void ProgramBuilder::add_line(const Strokes& line, int motif) {
    origin_.motif = motif;
    travel_to(line.from);
    for (const Stroke& stroke : line.strokes) {
        if (!stroke.lit)
            add_trace(stroke.points, 0);
        else if (falling_)
            for (const PoweredPiece& piece : with_corner_power(at_, stroke.points, *falling_, machine_))
                add_trace(piece.points, machine::power_value(piece.power));
        else
            add_trace(stroke.points, power_);
    }
}

/// From the lowest power, of the lightest tone that burns, to the step's.
PowerValue ProgramBuilder::share_of_power(float share) const {
    return static_cast<PowerValue>(std::lround(lowest_ + (power_ - lowest_) * static_cast<double>(share)));
}

void ProgramBuilder::add_sweep(const SweepLine& line) {
    origin_.motif = line.motif;
    travel_to(line.start);
    const double whole = geometry::distance(line.start, line.end);
    double lit = 0;
    for (const LitStretch& s : *line.stretches)
        lit += s.to - s.from;
    report_.burn += lit;
    report_.travel += whole - lit;
    for (const double end : {line.stretches->front().from, line.stretches->back().to})
        plan_.burn_box.add(within_bed(geometry::between(line.start, line.end, end / whole)));
    machine::Sweep sweep{};
    if (line.stretches.use_count() == 1) {
        sweep = runs_of(line, whole);
    } else {
        const auto [known, fresh] = runs_of_copies_.try_emplace({line.stretches, whole});
        if (fresh) known->second = runs_of(line, whole);
        sweep = known->second;
    }
    at_ = sweep.to = within_bed(line.end);
    plan_.move_box.add(at_);
    add(sweep);
}

void ProgramBuilder::expect_sweeps(std::size_t count) {
    auto& operations = plan_.program.operations;
    // Never by a little: memory that grows in small steps is copied over and over.
    if (const std::size_t needed = operations.size() + 2 * count; needed > operations.capacity())
        operations.reserve(std::max(needed, 2 * operations.capacity()));
}

/// Puts the line's runs into the program.
machine::Sweep ProgramBuilder::runs_of(const SweepLine& line, double whole) {
    auto& runs = plan_.program.runs;
    const auto first = static_cast<std::uint32_t>(runs.size());
    double done = 0;
    const auto run_to = [&](double to, PowerValue power) {
        const auto length = static_cast<std::uint32_t>(std::llround((to - done) * 1000));
        if (length > 0) runs.push_back({length, power});
        done = to;
    };
    for (const LitStretch& s : *line.stretches) {
        run_to(s.from, 0);
        run_to(s.to, s.share >= 1 ? power_ : share_of_power(s.share));
    }
    run_to(whole, 0);
    return {{}, first, static_cast<std::uint32_t>(runs.size()) - first};
}

StepReport ProgramBuilder::take_report() {
    return std::exchange(report_, {});
}

Point ProgramBuilder::within_bed(Point p) const {
    return {std::clamp(p.x, 0.0, machine_.width), std::clamp(p.y, 0.0, machine_.depth)};
}

void ProgramBuilder::travel_to(Point to) {
    to = within_bed(to);
    const double length = geometry::distance(at_, to);
    if (moved_) report_.travel += length;
    add(machine::Travel{to, !moved_ || length > rapid_from});
    moved_ = true;
    lit_ = false;
    at_ = to;
    plan_.move_box.add(to);
}

void ProgramBuilder::add_trace(const std::vector<Point>& points, PowerValue power) {
    if (power > 0) plan_.burn_box.add(at_);
    const auto first = static_cast<std::uint32_t>(plan_.program.points.size());
    for (const Point point : points) {
        const Point to = within_bed(point);
        plan_.program.points.push_back(to);
        (power > 0 ? plan_.burn_box : plan_.move_box).add(to);
        (power > 0 ? report_.burn : report_.travel) += geometry::distance(at_, to);
        before_ = at_;
        at_ = to;
    }
    lit_ = power > 0;
    add(machine::Trace{first, static_cast<std::uint32_t>(plan_.program.points.size()) - first, power});
}

void ProgramBuilder::focus_at(double height) {
    if (height != focus_) add(machine::Focus{height});
    focus_ = height;
}

}  // namespace chalkline::planning
