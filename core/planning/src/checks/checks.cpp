// SPDX-License-Identifier: GPL-3.0-or-later
#include "parts.hpp"

#include <chalkline/base/units_text.hpp>

#include <algorithm>

namespace chalkline::planning {
namespace {

/// Overrides hold for what they were given for, and for nothing else.
void apply_overrides(const job::Job& job, std::vector<Check>& checks) {
    for (Check& one : checks)
        for (const job::Override& known : job.overrides)
            if (may_override(one) && known.code == one.code && known.about == about(one)) one.overridden = known.reason;
}

std::vector<Check> place_checks(const job::Job& job, const CheckGround& ground) {
    std::vector<Check> found;
    check_place({job, ground, burned_lines(job)}, found);
    apply_overrides(job, found);
    return found;
}

}  // namespace

std::vector<Check> check_job(const job::Job& job, const CheckGround& ground) {
    const Examined examined{job, ground, burned_lines(job)};
    std::vector<Check> checks;
    check_place(examined, checks);
    check_steps(examined, checks);
    check_order(examined, checks);
    check_evidence(examined, checks);
    apply_overrides(job, checks);
    std::stable_sort(checks.begin(), checks.end(),
                     [](const Check& a, const Check& b) { return a.severity < b.severity; });
    return checks;
}

std::vector<Check> check_plan(const Plan& plan) {
    std::vector<Check> checks;
    for (const StepReport& report : plan.steps)
        if (report.narrow > 0)
            checks.push_back({std::string(check::narrower_than_kerf),
                              Severity::warning,
                              {{"count", std::to_string(report.narrow)}},
                              report.step});
    return checks;
}

std::vector<Check> check_machine(const MachineFacts& facts) {
    std::vector<Check> checks;
    if (facts.laser_mode == false) checks.push_back({std::string(check::laser_mode_off), Severity::blocking});
    if (facts.framed_before_change) checks.push_back({std::string(check::stale_frame), Severity::warning});
    return checks;
}

bool may_override(const Check& one) {
    return one.code == check::off_stock || one.code == check::dangerous_material;
}

std::string about(const Check& one) {
    std::string text;
    for (const auto& [name, value] : one.parameters)
        text += (text.empty() ? "" : ", ") + value;
    return text;
}

std::optional<geometry::Polyline> binding_stock(const job::Job& job) {
    if (!job.stock) return {};
    const bool asked = std::any_of(job.overrides.begin(), job.overrides.end(),
                                   [](const job::Override& one) { return one.code == check::off_stock; });
    if (asked)
        for (const Check& one : place_checks(job, {}))
            if (one.code == check::off_stock && !one.overridden.empty()) return {};
    return job.stock->outline();
}

Lying lying_of(const job::Job& job, const machine::MachineProfile& machine) {
    const auto lines = burned_lines(job);
    Lying lying{bounds(lines), worst_overhang(lines, geometry::outline(machine.bed())).by, 0};
    if (job.stock) lying.off_stock = worst_overhang(lines, job.stock->outline()).by;
    return lying;
}

double overhang(const job::Job& job, const geometry::Polyline& outline) {
    return worst_overhang(burned_lines(job), outline).by;
}

geometry::Box burned_bounds(const job::Job& job) {
    return bounds(burned_lines(job));
}

}  // namespace chalkline::planning
