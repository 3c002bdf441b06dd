// SPDX-License-Identifier: GPL-3.0-or-later
#include "ordering/line_runs.hpp"
#include "program/program_builder.hpp"
#include "scanning/fill.hpp"
#include "scanning/picture_rows.hpp"
#include "shapes/line_work.hpp"
#include "shapes/step_shapes.hpp"

#include <chalkline/base/units_text.hpp>
#include <chalkline/job/wall_bend.hpp>
#include <chalkline/machine/walk.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/timing/time_model.hpp>

#include <algorithm>
#include <map>
#include <utility>

namespace chalkline::planning {
namespace {

using geometry::Box;
using geometry::Point;
using machine::MachineProfile;
using machine::Program;

constexpr double bed_slack = 0.005;  // mm: art drawn exactly as large as the bed still fits

Result<void> require_on_bed(const Box& box, const MachineProfile& machine) {
    if (machine.bed().contains(box, bed_slack)) return {};
    const double by = std::max({-box.left, -box.bottom, box.right - machine.width, box.top - machine.depth});
    return fail(error::off_bed, {{"by", format_number(by, 1)}});
}

/// Adds what was worked out before again elsewhere, and works out what is new.
template <class Key>
class Repeats {
 public:
    explicit Repeats(ProgramBuilder& builder) : builder_(builder) {}

    /// `work_out` adds it at its place.
    template <class WorkOut>
    void add(const Key& key, Point at, const std::vector<job::Id>& motifs, const WorkOut& work_out) {
        const auto [found, fresh] = known_.try_emplace(key);
        auto& [passage, place] = found->second;
        if (!fresh && builder_.repeat(passage, at - place, motifs)) return;
        builder_.begin_passage();
        work_out();
        passage = builder_.end_passage(motifs);
        place = at;
    }

 private:
    ProgramBuilder& builder_;
    std::map<Key, std::pair<RepeatablePassage, Point>> known_;
};

/// A line of a run, `passes` times beginning with pass `first`.
void add_line(ProgramBuilder& builder, const steps::LineSettings& settings, const LineRun& run, OrderedLine line,
              int first, int passes) {
    for (Point& p : line.points)
        p = p + run.at;
    for (Point& p : line.bridges)
        p = p + run.at;
    for (int pass = 0; pass < first + passes; ++pass) {
        if (pass >= first) {
            builder.begin_pass(pass);
            builder.add_line(strokes_of(line, settings), run.motifs[static_cast<std::size_t>(line.motif)]);
        }
        // The next pass of an open line goes back the way it came.
        if (!line.closed) std::reverse(line.points.begin(), line.points.end());
    }
}

void add_lines(ProgramBuilder& builder, const steps::StepSettings& settings, const LineWork& work, int passes,
               const MachineProfile& machine, const Watch& watch) {
    // With a focus that goes down, all is gone round before the next pass; else each line is finished at once.
    const bool by_rounds = settings.lower_each_pass > Length();
    const LinePace pace{passes / settings.speed.mm_per_s(), std::min(machine.max_rate_x, machine.max_rate_y) / 60,
                        !by_rounds && passes % 2 == 0};
    const auto runs = in_order(work, settings.line, pace, builder.at(), watch);
    Repeats<std::pair<const std::vector<OrderedLine>*, int>> repeats(builder);
    const auto add = [&](const LineRun& run, int first, int count) {
        builder.begin_pass(first);
        repeats.add({run.lines.get(), first % 2}, run.at, run.motifs, [&] {
            for (const OrderedLine& line : *run.lines)
                add_line(builder, settings.line, run, line, first, count);
        });
    };
    for (int pass = 0; pass < (by_rounds ? passes : 1); ++pass)
        for (const LineRun& run : runs)
            add(run, pass, by_rounds ? 1 : passes);
}

/// Burns scan lines as often as the step has passes; mm² inked by one pass.
double add_scan(ProgramBuilder& builder, const steps::StepSettings& settings, const ScanBlocks& scan) {
    Repeats<std::size_t> repeats(builder);
    const auto add = [&](const ScanBlocks::Block& block) {
        repeats.add(block.pattern, block.by, {block.motif}, [&] {
            for (SweepLine line : scan.patterns[block.pattern]) {
                line.start = line.start + block.by;
                line.end = line.end + block.by;
                builder.add_sweep(line, block.motif);
            }
        });
    };
    std::vector<double> lit(scan.patterns.size(), 0);  // mm
    for (std::size_t i = 0; i < lit.size(); ++i)
        for (const SweepLine& line : scan.patterns[i])
            lit[i] += line.lit_length();
    std::size_t lines = 0;
    double length = 0;
    for (const ScanBlocks::Block& block : scan.blocks) {
        lines += scan.patterns[block.pattern].size();
        length += lit[block.pattern];
    }
    builder.expect(2 * lines * static_cast<std::size_t>(settings.passes));
    for (int pass = 0; pass < settings.passes; ++pass) {
        builder.begin_pass(pass);
        for (const ScanBlocks::Block& block : scan.blocks)
            add(block);
    }
    return length * settings.line_pitch.mm();
}

/// mm² inked by one pass.
double add_fill(ProgramBuilder& builder, const steps::StepSettings& settings, const StepShapes& shapes,
                const MachineProfile& machine, const Watch& watch) {
    const double pitch = settings.line_pitch.mm();
    double area = 0;
    if (settings.fill.way == steps::FillSettings::Way::contours) {
        const LineWork work = contours_of(shapes.fills, shapes.covers, pitch / 2, pitch, watch);
        for (const LineWork::Pattern& pattern : work.patterns)
            for (const LineShape& shape : pattern.lines)
                area += geometry::length(shape.line) * pitch * pattern.copies;
        add_lines(builder, settings, work, settings.passes, machine, watch);
    } else {
        area = add_scan(builder, settings,
                        fill_blocks(shapes.fills, shapes.covers, settings, machine, builder.at(), watch));
    }
    if (settings.fill.outline_after)
        add_lines(builder, settings, contours_of(shapes.fills, shapes.covers, 0, 0, watch), 1, machine, watch);
    return area;
}

double add_step(ProgramBuilder& builder, const job::Step& step, const StepShapes& shapes, const MachineProfile& machine,
                const Watch& watch) {
    const auto& settings = step.settings;
    builder.begin_step(step.id, settings);
    double area = 0;
    if (settings.kind == steps::StepKind::engrave)
        area = add_fill(builder, settings, shapes, machine, watch);
    else if (settings.kind == steps::StepKind::picture)
        area = add_scan(builder, settings, picture_blocks(shapes.proofs, settings, machine, builder.at(), watch));
    else
        add_lines(builder, settings, shapes.lines, settings.passes, machine, watch);
    builder.end_step();
    return area;
}

/// Ends of operations give every step its share of the time.
void account_times(Plan& plan, const MachineProfile& machine) {
    timing::Timing timing = timing::time_of(plan.program, machine);
    std::map<job::Id, double> took;
    double before = 0;
    for (std::size_t i = 0; i < timing.finished_at.size();) {
        // What follows one another belongs to the same step, mostly.
        const job::Id step = plan.program.operations[i].origin.step;
        const double began = before;
        for (; i < timing.finished_at.size() && plan.program.operations[i].origin.step == step; ++i)
            before = timing.finished_at[i];
        took[step] += before - began;
    }
    for (StepReport& report : plan.steps) {
        report.time = Duration::seconds(took[report.step]);
        report.reached_speed = timing.steps[report.step].top_speed;
        report.limit = timing.steps[report.step].limit;
    }
    plan.finished_at = std::move(timing.finished_at);
    plan.total = Duration::seconds(before);
}

}  // namespace

Plan plan_of(Program program, const MachineProfile& machine) {
    Plan plan;
    plan.program = std::move(program);
    const auto report_of = [&](job::Id step) -> StepReport& {
        const auto found = std::find_if(plan.steps.begin(), plan.steps.end(),
                                        [&](const StepReport& report) { return report.step == step; });
        if (found != plan.steps.end()) return *found;
        plan.steps.push_back({});
        plan.steps.back().step = step;
        return plan.steps.back();
    };
    bool moved = false;
    machine::walk(plan.program, [&](const machine::Stretch& stretch) {
        const bool lit = stretch.power > 0;
        if (lit) plan.burn_box.add(stretch.from);
        (lit ? plan.burn_box : plan.move_box).add(stretch.to);
        const double length = std::exchange(moved, true) ? stretch.length() : 0;
        StepReport& report = report_of(stretch.operation.origin.step);
        (lit ? report.burn : report.travel) += length;
        (lit ? plan.burn : plan.travel) += length;
    });
    plan.move_box.add(plan.burn_box);
    account_times(plan, machine);
    return plan;
}

static bool among(const std::optional<job::Ids>& ids, job::Id id) {
    return !ids || std::find(ids->begin(), ids->end(), id) != ids->end();
}

bool PlanOptions::wants_step(job::Id step) const {
    return among(only_steps, step);
}

bool PlanOptions::wants_motif(job::Id motif) const {
    return among(only_motifs, motif);
}

/// A piece that turns needs a machine that turns it, and a flat one a machine that does not: else the pieces are
/// ruined.
static Result<void> require_same_turning(const job::Job& job, const MachineProfile& machine) {
    if (job.round_piece() == nullptr && !machine.turning) return {};
    if (job.round_piece() == nullptr || !machine.turning) return fail(error::not_turning);
    if (machine.turning->axis == machine::RotaryAxis::none) return fail(error::no_rotary);
    return {};
}

Result<Plan> plan(const job::Job& job, const MachineProfile& machine, const PlanOptions& options, const Watch& watch) {
    FlatJob flat(job);
    return plan(flat, machine, options, watch);
}

Result<Plan> plan(FlatJob& flat, const MachineProfile& machine, const PlanOptions& options, const Watch& watch) {
    const job::Job& job = flat.lying();
    if (auto same = require_same_turning(job, machine); !same) return tl::unexpected(same.error());
    JobShapes shapes(flat, machine.spot, options);
    std::vector<StepShapes> all;
    std::vector<Box> boxes;
    Box box;
    for (const job::Step& step : job.steps) {
        if (auto valid = steps::validate(step.settings, machine.top_speed()); !valid)
            return tl::unexpected(valid.error());
        all.push_back(options.wants_step(step.id) ? shapes.of(step, watch) : StepShapes());
        if (watch.cancelled()) return fail(chalkline::error::cancelled);
        boxes.push_back(all.back().box());
        box.add(boxes.back());
    }
    if (auto fits = require_on_bed(box, machine); !fits) return tl::unexpected(fits.error());

    Plan plan;
    ProgramBuilder builder(plan, machine);
    for (std::size_t i = 0; i < job.steps.size(); ++i) {
        const job::Step& step = job.steps[i];
        if (boxes[i].empty()) continue;
        plan.proofs.insert(plan.proofs.end(), all[i].proofs.begin(), all[i].proofs.end());
        const double area = add_step(builder, step, all[i], machine, watch);
        if (watch.cancelled()) return fail(chalkline::error::cancelled);
        StepReport report = builder.take_report();
        report.step = step.id;
        report.area = area;
        report.narrow = all[i].narrow;
        plan.burn += report.burn;
        plan.travel += report.travel;
        if (report.burn > 0) plan.steps.push_back(report);
        watch.at(static_cast<double>(i + 1) / static_cast<double>(job.steps.size()));
    }
    if (plan.steps.empty()) return fail(error::nothing_to_burn);
    builder.end();
    plan.move_box.add(plan.burn_box);
    account_times(plan, machine);
    return plan;
}

}  // namespace chalkline::planning
