// SPDX-License-Identifier: GPL-3.0-or-later
#include "fill.hpp"
#include "line_work.hpp"
#include "program_builder.hpp"

#include <chalkline/base/units_text.hpp>
#include <chalkline/geometry/combine.hpp>
#include <chalkline/job/wall_bend.hpp>
#include <chalkline/machine/walk.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/planning/time_model.hpp>

#include <algorithm>
#include <array>
#include <map>
#include <tuple>
#include <utility>

namespace chalkline::planning {
namespace {

using geometry::Box;
using geometry::Point;
using geometry::Polyline;
using geometry::Transform;
using machine::MachineProfile;
using machine::Program;

constexpr double bed_slack = 0.005;     // mm: art drawn exactly as large as the bed still fits
constexpr double shortest_line = 0.02;  // mm: a shorter line is a dot no beam can draw as a line

/// Everything one step burns, flattened on the bed.
struct StepShapes {
    std::vector<FillShape> fills;
    std::vector<LineShape> lines;
    std::vector<std::shared_ptr<const Proof>> proofs;  ///< pictures as dots
    int narrow = 0;                                    ///< outlines that the kerf swallowed
};

/// Shapes flattened once for all copies of a drawing that lie the same way: a copy is only moved.
class Flattened {
 public:
    /// The shape as it lies, but at the page's corner instead of the motif's place.
    std::shared_ptr<const geometry::Region> drawn(const job::Motif& motif, std::size_t shape) {
        return of(motif, shape, false);
    }

    /// The shape's lines on the bed. `as_area`: the outline of what a fill covers, whatever overlaps in it.
    std::vector<Polyline> lines(const job::Motif& motif, std::size_t shape, bool as_area) {
        std::vector<Polyline> moved = of(motif, shape, as_area)->rings;
        for (Polyline& line : moved)
            for (Point& p : line.points)
                p = p + corner_of(motif);
        return moved;
    }

    /// Another motif of the same drawing, lying the same way, came before.
    bool repeats(const job::Motif& motif) {
        const Transform& place = motif.place;
        return firsts_.try_emplace({motif.art.get(), {place.a, place.b, place.c, place.d}}, motif.id).first->second !=
               motif.id;
    }

    static Point corner_of(const job::Motif& motif) { return {motif.place.e, motif.place.f}; }

 private:
    std::shared_ptr<const geometry::Region> of(const job::Motif& motif, std::size_t shape, bool as_area) {
        const Transform& place = motif.place;
        const Transform way{place.a, place.b, place.c, place.d, 0, 0};
        auto [found, fresh] =
            shelf_.try_emplace({motif.art.get(), shape, as_area, {place.a, place.b, place.c, place.d}});
        if (fresh) {
            const art::Shape& drawn = motif.art->shapes[shape];
            geometry::Region region{drawn.path.flatten(way), drawn.rule};
            if (as_area) region.rings = geometry::united({region}).rings;
            found->second = std::make_shared<const geometry::Region>(std::move(region));
        }
        return found->second;
    }

    using Key = std::tuple<const art::Artwork*, std::size_t, bool, std::array<double, 4>>;
    std::map<Key, std::shared_ptr<const geometry::Region>> shelf_;
    std::map<std::pair<const art::Artwork*, std::array<double, 4>>, job::Id> firsts_;
};

/// The step's pictures as dots.
std::vector<std::shared_ptr<const Proof>> proofs_of(const job::Job& job, const job::Step& step, double spot,
                                                    const PlanOptions& options, const Watch& watch) {
    ProofShelf once;
    ProofShelf& shelf = options.shelf ? *options.shelf : once;
    std::vector<std::shared_ptr<const Proof>> proofs;
    for (const job::Motif& motif : job.motifs)
        for (std::size_t i = 0; options.wants_motif(motif.id) && i < motif.art->pictures.size(); ++i)
            if (step.on && job.sent_picture(step, motif, i) && !watch.cancelled())
                proofs.push_back(shelf.proof(motif, i, step, spot, watch));
    return proofs;
}

StepShapes shapes_of(const job::Job& job, const job::Step& step, const PlanOptions& options, Flattened& flattened) {
    StepShapes result;
    const bool fills = step.settings.kind == steps::StepKind::engrave;
    for (const job::Motif& motif : job.motifs) {
        if (!options.wants_motif(motif.id)) continue;
        const std::size_t first_line = result.lines.size();
        const bool copy = flattened.repeats(motif);
        for (std::size_t i = 0; i < motif.art->shapes.size(); ++i) {
            if (!job::Job::burns(step, motif, i)) continue;
            const art::Shape& shape = motif.art->shapes[i];
            if (fills) {
                const FillShape fill{flattened.drawn(motif, i), Flattened::corner_of(motif), {}, motif.id};
                result.fills.push_back(fill);
                result.fills.back().box = geometry::bounds(fill.drawn->rings).moved(fill.at);
                continue;
            }
            for (auto& line : flattened.lines(motif, i, shape.ink.kind == InkKind::fill))
                if (geometry::length(line) >= shortest_line)
                    result.lines.push_back({std::move(line), motif.id, false, copy});
        }
        if (result.lines.size() > first_line) apply_marks(motif, result.lines, first_line);
    }
    if (!fills) result.lines = beside_the_kerf(std::move(result.lines), step.settings.line, result.narrow);
    return result;
}

/// Fills as lines that follow their outlines: the outline itself (`inset` 0), or one inside the other until nothing is
/// left.
std::vector<LineShape> contours_of(const std::vector<FillShape>& fills, double inset, double pitch,
                                   const Watch& watch) {
    std::map<int, std::vector<geometry::Region>> by_motif;
    for (const FillShape& fill : fills)
        by_motif[fill.motif].push_back(on_bed(fill));
    std::vector<LineShape> lines;
    for (const auto& [motif, regions] : by_motif) {
        const geometry::Region whole = geometry::united(regions);
        // Each ring is measured from the drawn outline: rounding never adds up.
        for (double in = inset; !watch.cancelled(); in += pitch) {
            const geometry::Region area = in > 0 ? geometry::grown(whole, -in) : whole;
            for (const Polyline& ring : area.rings)
                if (geometry::length(ring) >= shortest_line) lines.push_back({ring, motif});
            if (pitch <= 0 || area.rings.empty()) break;
        }
    }
    return lines;
}

Box bounds(const StepShapes& shapes) {
    Box box;
    for (const FillShape& fill : shapes.fills)
        box.add(fill.box);
    for (const LineShape& line : shapes.lines)
        box.add(geometry::bounds(line.line));
    for (const auto& proof : shapes.proofs)
        box.add(proof->frame.box());
    return box;
}

Result<void> require_on_bed(const Box& box, const MachineProfile& machine) {
    if (machine.bed().contains(box, bed_slack)) return {};
    const double by = std::max({-box.left, -box.bottom, box.right - machine.width, box.top - machine.depth});
    return fail(error::off_bed, {{"by", format_number(by, 1)}});
}

void add_lines(ProgramBuilder& builder, const steps::StepSettings& settings, std::vector<LineShape> lines, int passes,
               const Watch& watch) {
    // With a focus that goes down, all is gone round before the next pass; else each line is finished at once.
    const bool by_rounds = settings.lower_each_pass > Length();
    const bool back_and_forth = !by_rounds && passes % 2 == 0;
    auto ordered = order_lines(std::move(lines), settings.line, back_and_forth, builder.at(), watch);
    const auto burn = [&](OrderedLine& line, int pass) {
        builder.begin_pass(pass);
        builder.add_line(strokes_of(line, settings.line), line.motif);
        // The next pass of an open line goes back the way it came.
        if (!line.closed) std::reverse(line.points.begin(), line.points.end());
    };
    if (by_rounds) {
        for (int pass = 0; pass < passes; ++pass)
            for (OrderedLine& line : ordered)
                burn(line, pass);
        return;
    }
    for (OrderedLine& line : ordered)
        for (int pass = 0; pass < passes; ++pass)
            burn(line, pass);
}

/// Burns scan lines as often as the step has passes; mm² inked by one pass.
double add_rows(ProgramBuilder& builder, const steps::StepSettings& settings, const std::vector<SweepLine>& rows) {
    builder.expect_sweeps(rows.size() * static_cast<std::size_t>(settings.passes));
    for (int pass = 0; pass < settings.passes; ++pass) {
        builder.begin_pass(pass);
        for (const SweepLine& row : rows)
            builder.add_sweep(row);
    }
    double area = 0;
    for (const SweepLine& row : rows)
        for (const LitStretch& s : *row.stretches)
            area += (s.to - s.from) * settings.line_pitch.mm();
    return area;
}

/// mm² inked by one pass.
double add_fill(ProgramBuilder& builder, const steps::StepSettings& settings, const std::vector<FillShape>& fills,
                const MachineProfile& machine, const Watch& watch) {
    const double pitch = settings.line_pitch.mm();
    double area = 0;
    if (settings.fill.way == steps::FillSettings::Way::contours) {
        auto lines = contours_of(fills, pitch / 2, pitch, watch);
        for (const LineShape& line : lines)
            area += geometry::length(line.line) * pitch;
        add_lines(builder, settings, std::move(lines), settings.passes, watch);
    } else {
        area = add_rows(builder, settings, fill_lines(fills, settings, machine, builder.at(), watch));
    }
    if (settings.fill.outline_after) add_lines(builder, settings, contours_of(fills, 0, 0, watch), 1, watch);
    return area;
}

double add_step(ProgramBuilder& builder, const job::Step& step, StepShapes shapes, const MachineProfile& machine,
                const Watch& watch) {
    const auto& settings = step.settings;
    builder.begin_step(step.id, settings);
    double area = 0;
    if (settings.kind == steps::StepKind::engrave)
        area = add_fill(builder, settings, shapes.fills, machine, watch);
    else if (settings.kind == steps::StepKind::picture)
        area = add_rows(builder, settings, picture_lines(shapes.proofs, settings, machine, builder.at(), watch));
    else
        add_lines(builder, settings, std::move(shapes.lines), settings.passes, watch);
    builder.end_step();
    return area;
}

/// Ends of operations give every step its share of the time.
void account_times(Plan& plan, const MachineProfile& machine) {
    Timing timing = time_of(plan.program, machine);
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

Result<Plan> plan(const job::Job& given, const MachineProfile& machine, const PlanOptions& options,
                  const Watch& watch) {
    if (auto same = require_same_turning(given, machine); !same) return tl::unexpected(same.error());
    const job::Job job = job::as_it_lies(given);
    std::vector<StepShapes> all;
    Flattened flattened;
    Box box;
    for (const job::Step& step : job.steps) {
        if (auto valid = steps::validate(step.settings, machine.top_speed()); !valid)
            return tl::unexpected(valid.error());
        all.push_back({});
        if (options.wants_step(step.id) && step.settings.kind == steps::StepKind::picture)
            all.back().proofs = proofs_of(job, step, machine.spot, options, watch);
        else if (options.wants_step(step.id))
            all.back() = shapes_of(job, step, options, flattened);
        if (watch.cancelled()) return fail(chalkline::error::cancelled);
        box.add(bounds(all.back()));
    }
    if (auto fits = require_on_bed(box, machine); !fits) return tl::unexpected(fits.error());

    Plan plan;
    ProgramBuilder builder(plan, machine);
    for (std::size_t i = 0; i < job.steps.size(); ++i) {
        const job::Step& step = job.steps[i];
        if (bounds(all[i]).empty()) continue;
        const int narrow = all[i].narrow;
        plan.proofs.insert(plan.proofs.end(), all[i].proofs.begin(), all[i].proofs.end());
        const double area = add_step(builder, step, std::move(all[i]), machine, watch);
        if (watch.cancelled()) return fail(chalkline::error::cancelled);
        StepReport report = builder.take_report();
        report.step = step.id;
        report.area = area;
        report.narrow = narrow;
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
