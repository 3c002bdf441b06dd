// SPDX-License-Identifier: GPL-3.0-or-later
#include "fill.hpp"
#include "path_order.hpp"

#include <chalkline/base/units_text.hpp>
#include <chalkline/geometry/combine.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/planning/time_model.hpp>

#include <algorithm>
#include <utility>

namespace chalkline::planning {
namespace {

using geometry::Box;
using geometry::Point;
using machine::MachineProfile;
using machine::Operation;
using machine::PowerValue;
using machine::Program;

constexpr double bed_slack = 0.005;     // mm: art drawn exactly as large as the bed still fits
constexpr double shortest_line = 0.02;  // mm: a shorter line is a dot no beam can draw as a line
constexpr double rapid_from = 3;        // mm: shorter hops stay at working speed and spare a word

/// Everything one step burns, flattened on the bed.
struct StepShapes {
    std::vector<FillShape> fills;
    std::vector<LineShape> lines;
};

StepShapes shapes_of(const job::Job& job, const job::Step& step) {
    StepShapes result;
    const bool fills = step.settings.kind == steps::StepKind::engrave;
    for (const job::Motif& motif : job.motifs) {
        for (const art::Shape& shape : motif.art->shapes) {
            if (!job::Job::burns(step, motif, shape.ink)) continue;
            auto lines = shape.path.flatten(motif.place);
            if (fills) {
                const Box box = geometry::bounds(lines);
                result.fills.push_back({{std::move(lines), shape.rule}, box, motif.id});
            } else {
                // A fill burned as a line is the outline of its area, whatever overlaps in it.
                if (shape.ink.kind == InkKind::fill) lines = geometry::united({{std::move(lines), shape.rule}}).rings;
                for (auto& line : lines) {
                    if (geometry::length(line) >= shortest_line) result.lines.push_back({std::move(line), motif.id});
                }
            }
        }
    }
    return result;
}

Box bounds(const StepShapes& shapes) {
    Box box;
    for (const FillShape& fill : shapes.fills)
        box.add(fill.box);
    for (const LineShape& line : shapes.lines)
        box.add(geometry::bounds(line.line));
    return box;
}

Result<void> require_on_bed(const Box& box, const MachineProfile& machine) {
    if (machine.bed().contains(box, bed_slack)) return {};
    const double by = std::max({-box.left, -box.bottom, box.right - machine.width, box.top - machine.depth});
    return fail(error::off_bed, {{"by", format_number(by, 1)}});
}

/// Appends operations and keeps account of them.
class Builder {
 public:
    Builder(Plan& plan, const MachineProfile& machine) : plan_(plan), machine_(machine) {}

    Point at() const { return at_; }

    void begin_step(std::int32_t step, const steps::StepSettings& settings) {
        origin_ = {step, -1, 0};
        speed_ = settings.speed;
        power_ = machine::power_value(settings.power);
        if (!lit_) add(machine::Beam{machine::BeamMode::following});
        lit_ = true;
        if (settings.air != air_) add(machine::Air{settings.air});
        air_ = settings.air;
    }

    void end() {
        origin_ = {};
        add(machine::Beam{machine::BeamMode::off});
    }

    void add_line(const OrderedLine& line, int pass) {
        origin_.motif = line.motif;
        origin_.pass = pass;
        travel_to(line.points.front());
        const auto first = static_cast<std::uint32_t>(plan_.program.points.size());
        for (std::size_t i = 1; i < line.points.size(); ++i) {
            const Point to = within_bed(line.points[i]);
            plan_.program.points.push_back(to);
            plan_.burn_box.add(to);
            report_.burn += geometry::distance(at_, to);
            report_.reached_speed = speed_.mm_per_min();
            at_ = to;
        }
        plan_.burn_box.add(within_bed(line.points.front()));
        const auto count = static_cast<std::uint32_t>(plan_.program.points.size()) - first;
        add(machine::Trace{first, count, power_});
    }

    void add_sweep(const SweepLine& line, int pass) {
        origin_.motif = line.motif;
        origin_.pass = pass;
        travel_to({line.start, line.y});
        const bool rightwards = line.end > line.start;
        const auto first = static_cast<std::uint32_t>(plan_.program.runs.size());
        double x = line.start;
        const auto run_to = [&](double to, PowerValue power) {
            const auto length = static_cast<std::uint32_t>(std::llround(std::abs(to - x) * 1000));
            if (length > 0) plan_.program.runs.push_back({length, power});
            (power > 0 ? report_.burn : report_.travel) += std::abs(to - x);
            x = to;
        };
        const auto burn = [&](const geometry::Stretch& s) {
            run_to(rightwards ? s.from : s.to, 0);
            run_to(rightwards ? s.to : s.from, power_);
            plan_.burn_box.add(Point{s.from, line.y});
            plan_.burn_box.add(Point{s.to, line.y});
        };
        if (rightwards)
            std::for_each(line.stretches.begin(), line.stretches.end(), burn);
        else
            std::for_each(line.stretches.rbegin(), line.stretches.rend(), burn);
        run_to(line.end, 0);
        report_.reached_speed =
            std::max(report_.reached_speed,
                     reached_speed(std::abs(line.end - line.start), speed_.mm_per_min(), machine_.acceleration_x));
        at_ = {line.end, line.y};
        plan_.move_box.add(at_);
        add(machine::Sweep{at_, first, static_cast<std::uint32_t>(plan_.program.runs.size()) - first});
    }

    StepReport take_report() { return std::exchange(report_, {}); }

 private:
    Point within_bed(Point p) const {
        return {std::clamp(p.x, 0.0, machine_.width), std::clamp(p.y, 0.0, machine_.depth)};
    }
    void travel_to(Point to) {
        to = within_bed(to);
        const double length = geometry::distance(at_, to);
        if (moved_) report_.travel += length;
        add(machine::Travel{to, !moved_ || length > rapid_from});
        moved_ = true;
        at_ = to;
        plan_.move_box.add(to);
    }
    template <class Act>
    void add(Act act) {
        plan_.program.operations.push_back({act, speed_, origin_});
    }

    Plan& plan_;
    const MachineProfile& machine_;
    machine::Origin origin_;
    Speed speed_;
    PowerValue power_ = 0;
    Point at_;
    bool moved_ = false, lit_ = false, air_ = false;
    StepReport report_;
};

void add_step(Builder& builder, const job::Step& step, StepShapes shapes, const MachineProfile& machine,
              const PlanOptions& options, const Watch& watch, double& area) {
    const auto& settings = step.settings;
    builder.begin_step(step.id, settings);
    if (settings.kind == steps::StepKind::engrave) {
        const double pitch = settings.line_pitch.mm();
        const auto rows =
            fill_lines(std::move(shapes.fills), pitch, settings.speed.mm_per_min(), machine, builder.at(), watch);
        for (int pass = 0; pass < settings.passes; ++pass)
            for (const SweepLine& row : rows)
                builder.add_sweep(row, pass);
        for (const SweepLine& row : rows)
            for (const auto& s : row.stretches)
                area += (s.to - s.from) * pitch;
        return;
    }
    for (OrderedLine& line : order_lines(std::move(shapes.lines), options.order, builder.at(), watch)) {
        for (int pass = 0; pass < settings.passes; ++pass) {
            builder.add_line(line, pass);
            // The next pass of an open line goes back the way it came.
            if (!line.closed) std::reverse(line.points.begin(), line.points.end());
        }
    }
}

/// Ends of operations give every step its share of the time.
void account_times(Plan& plan, const MachineProfile& machine) {
    plan.finished_at = operation_ends(plan.program, machine);
    double before = 0;
    for (std::size_t i = 0; i < plan.finished_at.size(); ++i) {
        const double took = plan.finished_at[i] - before;
        before = plan.finished_at[i];
        for (StepReport& report : plan.steps)
            if (report.step == plan.program.operations[i].origin.step) report.time += Duration::seconds(took);
    }
    plan.total = Duration::seconds(before);
}

}  // namespace

Result<Plan> plan(const job::Job& job, const MachineProfile& machine, const PlanOptions& options, const Watch& watch) {
    std::vector<StepShapes> all;
    Box box;
    for (const job::Step& step : job.steps) {
        if (auto valid = steps::validate(step.settings, machine.top_speed()); !valid)
            return tl::unexpected(valid.error());
        all.push_back(shapes_of(job, step));
        box.add(bounds(all.back()));
    }
    if (auto fits = require_on_bed(box, machine); !fits) return tl::unexpected(fits.error());

    Plan plan;
    Builder builder(plan, machine);
    for (std::size_t i = 0; i < job.steps.size(); ++i) {
        const job::Step& step = job.steps[i];
        if (bounds(all[i]).empty()) continue;
        double area = 0;
        add_step(builder, step, std::move(all[i]), machine, options, watch, area);
        if (watch.cancelled()) return fail(chalkline::error::cancelled);
        StepReport report = builder.take_report();
        report.step = step.id;
        report.area = area;
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

Result<Program> frame(const Box& box, const MachineProfile& machine) {
    if (box.empty()) return fail(error::nothing_to_burn);
    if (auto fits = require_on_bed(box, machine); !fits) return tl::unexpected(fits.error());
    Program program;
    const Speed speed = Speed::mm_per_min(std::min(machine.frame_speed, machine.top_speed().mm_per_min()));
    const Point corners[] = {{box.left, box.bottom},
                             {box.right, box.bottom},
                             {box.right, box.top},
                             {box.left, box.top},
                             {box.left, box.bottom}};
    for (const Point corner : corners)
        program.operations.push_back({machine::Travel{corner, program.operations.empty()}, speed, {}});
    return program;
}

}  // namespace chalkline::planning
