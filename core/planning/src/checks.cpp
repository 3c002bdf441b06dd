// SPDX-License-Identifier: GPL-3.0-or-later
#include "outside.hpp"

#include <chalkline/base/units_text.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/planning/checks.hpp>

#include <algorithm>

namespace chalkline::planning {
namespace {

using geometry::Point;

constexpr double overhang_slack = 0.005;  // mm

/// Calls `look` with every corner of everything that is burned.
template <class Look>
void for_each_burned_point(const job::Job& job, Look look) {
    for (const job::Motif& motif : job.motifs) {
        for (std::size_t shape = 0; shape < motif.art->shapes.size(); ++shape) {
            const bool burned = std::any_of(job.steps.begin(), job.steps.end(),
                                            [&](const job::Step& step) { return job::Job::burns(step, motif, shape); });
            if (!burned) continue;
            for (const auto& line : motif.art->shapes[shape].path.flatten(motif.place))
                for (const Point p : line.points)
                    look(p);
        }
    }
}

/// The burned point farthest outside an outline.
struct Overhang {
    double by = 0;
    Point place;
};
Overhang worst_overhang(const job::Job& job, const geometry::Polyline& outline) {
    Overhang worst;
    const Outside outside(outline);
    for_each_burned_point(job, [&](Point p) {
        if (const double by = outside.by(p); by > worst.by) worst = {by, p};
    });
    return worst.by > overhang_slack ? worst : Overhang{};
}

}  // namespace

double overhang(const job::Job& job, const geometry::Polyline& outline) {
    return worst_overhang(job, outline).by;
}

geometry::Box burned_bounds(const job::Job& job) {
    geometry::Box box;
    for_each_burned_point(job, [&](Point p) { box.add(p); });
    return box;
}

std::vector<Check> check_plan(const Plan& plan) {
    std::vector<Check> checks;
    for (const StepReport& report : plan.steps)
        if (report.narrow > 0)
            checks.push_back({std::string(check::narrower_than_kerf),
                              Severity::warning,
                              {{"count", std::to_string(report.narrow)}},
                              report.step,
                              {}});
    return checks;
}

std::vector<Check> check_job(const job::Job& job, const machine::MachineProfile& machine) {
    std::vector<Check> checks;
    const auto inks = job::routed_inks(job);
    const bool work = std::any_of(job.steps.begin(), job.steps.end(),
                                  [&](const job::Step& step) { return step.on && job.has_work(step); });
    if (!work) checks.push_back({std::string(check::nothing_to_burn), Severity::blocking, {}, {}, {}});

    const Overhang bed = worst_overhang(job, geometry::outline(machine.bed()));
    if (bed.by > 0)
        checks.push_back(
            {std::string(check::off_bed), Severity::blocking, {{"by", format_number(bed.by, 1)}}, {}, bed.place});
    if (job.stock) {
        const Overhang stock = worst_overhang(job, job.stock->outline());
        if (stock.by > 0)
            checks.push_back({std::string(check::off_stock),
                              Severity::blocking,
                              {{"by", format_number(stock.by, 1)}},
                              {},
                              stock.place});
    }
    for (const job::Step& step : job.steps)
        if (auto valid = steps::validate(step.settings, machine.top_speed()); !valid)
            checks.push_back({std::string(check::settings), Severity::blocking, valid.error().parameters, step.id, {}});
    for (std::size_t i = 0; i < job.steps.size(); ++i)
        if (job.steps[i].on && job.steps[i].settings.beam == steps::BeamControl::constant)
            checks.push_back({std::string(check::constant_beam),
                              Severity::warning,
                              {{"number", std::to_string(i + 1)}},
                              job.steps[i].id,
                              {}});
    if (job::order_fault(job)) {
        const auto cut = std::find_if(job.steps.begin(), job.steps.end(),
                                      [](const job::Step& step) { return step.settings.kind == steps::StepKind::cut; });
        checks.push_back({std::string(check::cut_before_engrave), Severity::warning, {}, cut->id, {}});
    }
    for (const job::RoutedInk& ink : inks)
        if (ink.steps.empty() && !ink.left_out)
            checks.push_back(
                {std::string(check::ink_without_step), Severity::warning, {{"ink", to_text(ink.ink.rgb)}}, {}, {}});
    return checks;
}

}  // namespace chalkline::planning
