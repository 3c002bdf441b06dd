// SPDX-License-Identifier: GPL-3.0-or-later
#include "checks/parts.hpp"

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

}  // namespace

Examined examine(FlatJob& job, const CheckGround& ground, const std::vector<geometry::Point>& lit) {
    Examined examined{job.given(), ground, burned_lines(job), lit};
    if (lit.empty()) examined.lit = corners_of(examined.lines);
    return examined;
}

Examined examine(const job::Job& job, const CheckGround& ground, const std::vector<geometry::Point>& lit) {
    FlatJob flat(job);
    return examine(flat, ground, lit);
}

std::vector<Check> check_job(const job::Job& job, const CheckGround& ground, const std::vector<geometry::Point>& lit) {
    FlatJob flat(job);
    return check_job(flat, ground, lit);
}

std::vector<Check> check_job(FlatJob& job, const CheckGround& ground, const std::vector<geometry::Point>& lit) {
    const Examined examined = examine(job, ground, lit);
    std::vector<Check> checks;
    check_place(examined, checks);
    check_steps(examined, checks);
    check_order(examined, checks);
    check_evidence(examined, checks);
    apply_overrides(job.given(), checks);
    std::stable_sort(checks.begin(), checks.end(),
                     [](const Check& a, const Check& b) { return a.severity < b.severity; });
    return checks;
}

std::vector<geometry::Point> drawn_points(FlatJob& job) {
    return corners_of(burned_lines(job));
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

std::optional<geometry::Polyline> binding_stock(const job::Job& job, const std::vector<Check>& checks) {
    const bool passed_over = std::any_of(checks.begin(), checks.end(), [](const Check& one) {
        return one.code == check::off_stock && !one.overridden.empty();
    });
    return job.stock && !passed_over ? std::optional(job.stock->outline()) : std::nullopt;
}

}  // namespace chalkline::planning
