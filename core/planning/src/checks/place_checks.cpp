// SPDX-License-Identifier: GPL-3.0-or-later
#include "checks/parts.hpp"
#include "scanning/scan_planner.hpp"

#include <chalkline/base/units_text.hpp>
#include <chalkline/recipes/materials.hpp>

#include <numbers>

namespace chalkline::planning {
namespace {

using geometry::Point;

constexpr double margin_slack = 0.05;  // mm: what is drawn right at the margin is not nagged about

Check at(std::string_view code, Severity severity, const char* name, double value, Point place) {
    return {std::string(code), severity, {{name, format_number(value, 1)}}, {}, place};
}

/// Pieces far inside need not be measured: their box already keeps the distance.
bool well_inside(const geometry::Box& box, const geometry::Polyline& outline, double margin) {
    const geometry::Box whole = geometry::bounds(outline);
    const bool level =
        outline.points.size() == 4 && std::all_of(outline.points.begin(), outline.points.end(), [&](Point p) {
            return (p.x == whole.left || p.x == whole.right) && (p.y == whole.bottom || p.y == whole.top);
        });
    return level && box.left - whole.left >= margin && whole.right - box.right >= margin &&
           box.bottom - whole.bottom >= margin && whole.top - box.top >= margin;
}

void check_stock(const Examined& examined, std::vector<Check>& found) {
    const job::Stock& stock = *examined.job.stock;
    const auto outline = stock.outline();
    if (const auto danger = recipes::danger_of(stock.material))
        found.push_back({std::string(check::dangerous_material),
                         Severity::blocking,
                         {{"material", stock.material}, {"substance", std::string(danger->substance)}}});
    if (examined.lit.empty()) return;
    if (const Overhang off = worst_overhang(examined.lit, outline); off.by > 0) {
        found.push_back(at(check::off_stock, Severity::blocking, "by", off.by, off.place));
        return;
    }
    const double margin = stock.margin.mm() - margin_slack;
    if (margin <= 0 || well_inside(geometry::bounds(examined.lit), outline, margin)) return;
    const Overhang least = least_margin(examined.lit, outline);
    if (least.by >= margin) return;
    Check near = at(check::near_edge, Severity::warning, "away", least.by, least.place);
    near.parameters.emplace_back("margin", format_number(stock.margin.mm(), 1));
    found.push_back(std::move(near));
}

}  // namespace

Point run_up_way(const steps::StepSettings& settings, const machine::MachineProfile& machine) {
    const double angle = settings.fill.angle * std::numbers::pi / 180;
    const Point along{std::cos(angle), std::sin(angle)};
    const double length = run_up_of(settings.fill, settings.speed.mm_per_min(), timing::limits_along(along, machine));
    return along * length;
}

Overhang missing_run_up(const Examined& examined, std::size_t step) {
    const auto& settings = examined.job.steps[step].settings;
    const Point run_up = run_up_way(settings, examined.ground.machine);
    const geometry::Box bed = examined.ground.machine.bed();
    Overhang worst;
    for (const BurnedLine& burned : examined.lines) {
        if (burned.step != step) continue;
        for (const Point p : burned.line.points)
            for (const Point end : {p + run_up, p - run_up}) {
                const double by = std::max({bed.left - end.x, end.x - bed.right, bed.bottom - end.y, end.y - bed.top});
                if (by > worst.by) worst = {by, p};
            }
    }
    return worst;
}

void check_place(const Examined& examined, std::vector<Check>& found) {
    if (examined.job.stock) check_stock(examined, found);
    if (examined.lit.empty()) return;
    const Overhang bed = worst_overhang(examined.lit, geometry::outline(examined.ground.machine.bed()));
    if (bed.by > 0) {
        found.push_back(at(check::off_bed, Severity::blocking, "by", bed.by, bed.place));
        return;
    }
    for (std::size_t i = 0; i < examined.job.steps.size(); ++i) {
        const auto& s = examined.job.steps[i].settings;
        if (!steps::burns_area(s.kind) || s.fill.way != steps::FillSettings::Way::scan_lines) continue;
        const Overhang missing = missing_run_up(examined, i);
        if (missing.by <= margin_slack) continue;
        // A beam that follows the speed burns evenly all the same; a constant one burns the ends darker.
        const bool harmless = s.beam == steps::BeamControl::following;
        Check one =
            at(check::short_run_up, harmless ? Severity::info : Severity::warning, "by", missing.by, missing.place);
        one.step = examined.job.steps[i].id;
        found.push_back(std::move(one));
    }
}

}  // namespace chalkline::planning
