// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/planning/gains.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::planning {
namespace {

using steps::StepKind;
using steps::StepSettings;

bool by_rows(const StepSettings& settings) {
    return settings.kind == StepKind::picture ||
           (settings.kind == StepKind::engrave && settings.fill.way != steps::FillSettings::Way::contours);
}

/// The next pitch a maker would type: a fifth coarser, on a round hundredth.
Length coarser(Length pitch) {
    return Length::mm(std::ceil(pitch.mm() * 1.2 * 100 - 1e-6) / 100);
}

/// What may be changed of a step, each by itself.
std::vector<Gain> ideas(const job::Step& step, const StepReport& report, double spot) {
    std::vector<Gain> found;
    const StepSettings& now = step.settings;
    const auto add = [&](Gain::Kind kind, auto change) {
        Gain gain{kind, step.id, now, 0};
        change(gain.settings);
        found.push_back(gain);
    };
    if (by_rows(now)) {
        if (!now.fill.both_ways) add(Gain::Kind::both_ways, [](StepSettings& s) { s.fill.both_ways = true; });
        // Lines farther apart than the beam is wide leave stripes.
        if (coarser(now.line_pitch).mm() <= std::max(spot, now.line_pitch.mm() * 1.2))
            add(Gain::Kind::coarser_pitch, [&](StepSettings& s) { s.line_pitch = coarser(now.line_pitch); });
        if (now.fill.crossed) add(Gain::Kind::single_lines, [](StepSettings& s) { s.fill.crossed = false; });
        if (now.fill.run_up) add(Gain::Kind::shorter_run_up, [](StepSettings& s) { s.fill.run_up.reset(); });
        // A speed that is never reached still asks for its run-up.
        const double reached = std::floor(report.reached_speed / 100) * 100;
        if (report.limit != timing::SpeedLimit::none && reached > 0 && reached < now.speed.mm_per_min() * 0.95)
            add(Gain::Kind::reached_speed, [&](StepSettings& s) { s.speed = Speed::mm_per_min(reached); });
    } else if (now.line.order == steps::LineSettings::Order::as_drawn) {
        add(Gain::Kind::shortest_order, [](StepSettings& s) { s.line.order = steps::LineSettings::Order::shortest; });
    }
    return found;
}

/// The job's one step planned alone with other settings.
std::optional<Plan> alone(job::Job job, job::Id step, const StepSettings& settings,
                          const machine::MachineProfile& machine, PlanOptions options, const Watch& watch) {
    for (job::Step& each : job.steps)
        if (each.id == step) each.settings = settings;
    options.only_steps = job::Ids{step};
    auto planned = plan(job, machine, options, watch);
    if (!planned) return {};
    return std::move(*planned);
}

}  // namespace

std::vector<Gain> gains(const job::Job& job, const Plan& plan, const machine::MachineProfile& machine,
                        const PlanOptions& options, const Watch& watch) {
    std::vector<Gain> found;
    for (const StepReport& report : plan.steps) {
        const job::Step* step = job.step(report.step);
        if (!step) continue;
        std::optional<Plan> now;
        for (Gain& idea : ideas(*step, report, machine.spot)) {
            if (watch.cancelled()) return {};
            if (!now) now = alone(job, step->id, step->settings, machine, options, watch);
            const auto other = alone(job, step->id, idea.settings, machine, options, watch);
            if (!now || !other) continue;
            idea.seconds = now->total.seconds() - other->total.seconds();
            if (idea.seconds >= std::max(least_gain, now->total.seconds() / 50)) found.push_back(idea);
        }
    }
    std::stable_sort(found.begin(), found.end(), [](const Gain& a, const Gain& b) { return a.seconds > b.seconds; });
    return found;
}

std::optional<Comparison> compare(const job::Job& job, job::Id id, const StepSettings& other,
                                  const machine::MachineProfile& machine, const PlanOptions& options,
                                  const Watch& watch) {
    const job::Step* step = job.step(id);
    if (!step) return {};
    const auto before = alone(job, id, step->settings, machine, options, watch);
    const auto after = alone(job, id, other, machine, options, watch);
    if (!before || !after || before->steps.empty() || after->steps.empty()) return {};
    return Comparison{before->steps.front(), after->steps.front(), steps::whole_dose(step->settings, machine.beam),
                      steps::whole_dose(other, machine.beam)};
}

Correction correction_from(const std::vector<Burned>& newest_first) {
    constexpr double least = 60, nearest = 0.5, farthest = 3;
    std::vector<double> factors;
    for (const Burned& burn : newest_first) {
        if (burn.planned < least || factors.size() == most_burns) continue;
        const double factor = burn.took / burn.planned;
        if (factor >= nearest && factor <= farthest) factors.push_back(factor);
    }
    if (factors.empty()) return {};
    const auto middle = factors.begin() + static_cast<std::ptrdiff_t>(factors.size() / 2);
    std::nth_element(factors.begin(), middle, factors.end());
    double median = *middle;
    if (factors.size() % 2 == 0) median = (median + *std::max_element(factors.begin(), middle)) / 2;
    return {median, static_cast<int>(factors.size())};
}

}  // namespace chalkline::planning
