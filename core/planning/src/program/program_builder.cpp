// SPDX-License-Identifier: GPL-3.0-or-later
#include "program/program_builder.hpp"

#include "program/corner_power.hpp"

#include <algorithm>
#include <map>
#include <utility>

namespace chalkline::planning {
namespace {

constexpr double spared = 0.002;  // s: a hop that is not so much quicker at full speed keeps its own and spares words
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

void ProgramBuilder::add_line(const Strokes& line, job::Id motif) {
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

void ProgramBuilder::add_sweep(const SweepLine& line, job::Id motif) {
    origin_.motif = motif;
    travel_to(line.start);
    const double whole = geometry::distance(line.start, line.end);
    const double lit = line.lit_length();
    report_.burn += lit;
    report_.travel += whole - lit;
    for (const double end : {line.stretches.front().from, line.stretches.back().to})
        plan_.burn_box.add(within_bed(geometry::between(line.start, line.end, end / whole)));
    machine::Sweep sweep = runs_of(line, whole);
    at_ = sweep.to = within_bed(line.end);
    plan_.move_box.add(at_);
    add(sweep);
}

void ProgramBuilder::expect(std::size_t count) {
    auto& operations = plan_.program.operations;
    // Never by a little: memory that grows in small steps is copied over and over.
    if (const std::size_t needed = operations.size() + count; needed > operations.capacity())
        operations.reserve(std::max(needed, 2 * operations.capacity()));
}

void ProgramBuilder::begin_passage() {
    const auto first = static_cast<std::uint32_t>(plan_.program.operations.size());
    open_ = OpenPassage{{first, 0, patterns_++},
                        origin_.pass,
                        std::exchange(report_, {}),
                        std::exchange(plan_.burn_box, {}),
                        std::exchange(plan_.move_box, {})};
}

RepeatablePassage ProgramBuilder::end_passage(std::vector<job::Id> motifs) {
    machine::Passage range = open_->range;
    range.count = static_cast<std::uint32_t>(plan_.program.operations.size()) - range.first;
    if (range.count > 0) plan_.program.passages.push_back(range);
    RepeatablePassage passage;
    passage.range = range;
    passage.at = at_;
    passage.before = before_;
    passage.lit = lit_;
    passage.cut_off = open_->cut_off;
    passage.burn_box = plan_.burn_box;
    passage.move_box = plan_.move_box;
    passage.burn = report_.burn;
    passage.travel = report_.travel - open_->way_there.value_or(0);
    passage.pass = open_->pass;
    passage.motifs = std::move(motifs);
    report_.burn += open_->report.burn;
    report_.travel += open_->report.travel;
    plan_.burn_box.add(open_->burn_box);
    plan_.move_box.add(open_->move_box);
    open_.reset();
    return passage;
}

bool ProgramBuilder::repeat(const RepeatablePassage& passage, Point by, const std::vector<job::Id>& motifs) {
    const auto lies_on_bed = [&](const geometry::Box& box) { return machine_.bed().contains(box.moved(by)); };
    if (passage.cut_off || !lies_on_bed(passage.burn_box) || !lies_on_bed(passage.move_box)) return false;
    auto& operations = plan_.program.operations;
    const std::size_t first = operations.size(), from = passage.range.first, count = passage.range.count;
    if (count == 0) return true;
    std::map<job::Id, job::Id> others;
    if (motifs != passage.motifs)
        for (std::size_t i = 0; i < motifs.size(); ++i)
            others.emplace(passage.motifs[i], motifs[i]);
    const auto motif_for = [&](job::Id motif) {
        const auto other = others.find(motif);
        return other == others.end() ? motif : other->second;
    };
    origin_.motif = motif_for(operations[from].origin.motif);
    travel_to(std::get<machine::Travel>(operations[from].act).to + by);
    for (std::size_t i = 1; i < count; ++i) {
        machine::Operation operation = operations[from + i];
        shift(operation, by);
        operation.origin.motif = motif_for(operation.origin.motif);
        operation.origin.pass += origin_.pass - passage.pass;
        operations.push_back(operation);
    }
    plan_.program.passages.push_back({static_cast<std::uint32_t>(first), passage.range.count, passage.range.pattern});
    report_.burn += passage.burn;
    report_.travel += passage.travel;
    plan_.burn_box.add(passage.burn_box.moved(by));
    plan_.move_box.add(passage.move_box.moved(by));
    at_ = passage.at + by;
    before_ = passage.before + by;
    lit_ = passage.lit;
    return true;
}

void ProgramBuilder::shift(machine::Operation& operation, Point by) {
    if (auto* travel = std::get_if<machine::Travel>(&operation.act)) {
        travel->to = travel->to + by;
    } else if (auto* sweep = std::get_if<machine::Sweep>(&operation.act)) {
        sweep->to = sweep->to + by;
    } else if (auto* trace = std::get_if<machine::Trace>(&operation.act)) {
        auto& points = plan_.program.points;
        const std::size_t first = points.size();
        points.resize(first + trace->count);
        for (std::size_t i = 0; i < trace->count; ++i)
            points[first + i] = points[trace->first + i] + by;
        trace->first = static_cast<std::uint32_t>(first);
    }
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
    for (const LitStretch& s : line.stretches) {
        run_to(s.from, 0);
        run_to(s.to, s.share >= 1 ? power_ : share_of_power(s.share));
    }
    run_to(whole, 0);
    return {{}, first, static_cast<std::uint32_t>(runs.size()) - first};
}

StepReport ProgramBuilder::take_report() {
    return std::exchange(report_, {});
}

Point ProgramBuilder::within_bed(Point p) {
    const Point inside{std::clamp(p.x, 0.0, machine_.width), std::clamp(p.y, 0.0, machine_.depth)};
    if (open_ && !(inside == p)) open_->cut_off = true;
    return inside;
}

void ProgramBuilder::travel_to(Point to) {
    to = within_bed(to);
    const double length = geometry::distance(at_, to);
    if (open_ && !open_->way_there) open_->way_there = moved_ ? length : 0;
    if (moved_) report_.travel += length;
    add(machine::Travel{to, !moved_ || quicker_rapid(length)});
    moved_ = true;
    lit_ = false;
    at_ = to;
    plan_.move_box.add(to);
}

bool ProgramBuilder::quicker_rapid(double length) const {
    const double acceleration = std::min(machine_.acceleration_x, machine_.acceleration_y);
    const double rapid = std::min(machine_.max_rate_x, machine_.max_rate_y);
    return timing::straight_time(length, speed_.mm_per_min(), acceleration) -
               timing::straight_time(length, rapid, acceleration) >
           spared;
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
