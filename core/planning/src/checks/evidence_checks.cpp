// SPDX-License-Identifier: GPL-3.0-or-later
#include "checks/parts.hpp"

#include <chalkline/base/units_text.hpp>

namespace chalkline::planning {
namespace {

std::string times(double factor) {
    return format_number(factor, factor < 10 ? 1 : 0);
}

}  // namespace

recipes::Known known_for(const job::Job& job, const job::Step& step, const CheckGround& ground) {
    if (!job.stock || !ground.recipes) return {};
    return recipes::known_of(
        *ground.recipes,
        {{ground.machine.name, ground.machine.beam}, job.stock->material, job.stock->thickness, step.settings.kind});
}

std::optional<Check> check_speed(const recipes::Known& known, Speed speed, const std::string& material) {
    if (known.count == 0 || !(speed > Speed())) return {};
    const auto say = [&](std::string_view code, double factor) {
        return Check{
            std::string(code),
            Severity::warning,
            {{"speed", format_speed(speed, SpeedUnit::mm_per_min)}, {"times", times(factor)}, {"material", material}}};
    };
    if (speed * far_speed < known.slowest) return say(check::slower_than_evidence, known.slowest / speed);
    if (speed > known.fastest * far_speed) return say(check::faster_than_evidence, speed / known.fastest);
    return {};
}

void check_evidence(const Examined& examined, std::vector<Check>& found) {
    const job::Job& job = examined.job;
    const CheckGround& ground = examined.ground;
    const std::vector<BurnedLine>& lines = examined.lines;
    for (std::size_t i = 0; i < job.steps.size(); ++i) {
        const job::Step& step = job.steps[i];
        const bool works =
            step.on && std::any_of(lines.begin(), lines.end(), [i](const BurnedLine& b) { return b.step == i; });
        if (!works) continue;
        const auto say = [&](std::string_view code, Parameters parameters) {
            found.push_back({std::string(code), Severity::warning, std::move(parameters), step.id});
        };
        const double dose = steps::whole_dose(step.settings, ground.machine.beam);
        const bool fill = steps::burns_area(step.settings.kind);
        if (fill && dose > hot_dose) say(check::hot_fill, {{"dose", format_number(dose / 1000, 1)}});
        // A swatch card goes beyond what is known: that is what it is for.
        if (!job.card.empty()) continue;
        const recipes::Known known = known_for(job, step, ground);
        if (known.count == 0) continue;
        const Parameters of_dose{{"material", job.stock->material}};
        if (dose > known.highest_dose * far_dose)
            say(check::above_evidence, {{"times", times(dose / known.highest_dose)}, of_dose.front()});
        else if (dose < known.lowest_dose / far_dose)
            say(check::below_evidence, {{"times", times(known.lowest_dose / dose)}, of_dose.front()});
        if (auto odd = check_speed(known, step.settings.speed, job.stock->material)) {
            odd->step = step.id;
            found.push_back(std::move(*odd));
        }
    }
}

}  // namespace chalkline::planning
