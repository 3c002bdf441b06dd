// SPDX-License-Identifier: GPL-3.0-or-later
#include "checks/parts.hpp"

#include <chalkline/base/units_text.hpp>

#include <algorithm>
#include <cmath>
#include <unordered_map>

namespace chalkline::planning {
namespace {

using geometry::Point;

Check of_step(std::string_view code, Severity severity, const job::Step& step, Parameters parameters = {}) {
    return {std::string(code), severity, std::move(parameters), step.id};
}

/// The same whichever way round and from wherever a line is drawn: ends and length to 0.01 mm, and what burns it.
std::size_t fingerprint(const BurnedLine& burned) {
    const auto mix = [](std::size_t seed, double value) {
        return seed * 1099511628211ULL + static_cast<std::size_t>(std::llround(value * 100) + 1'000'000);
    };
    double middle_x = 0, middle_y = 0;
    const auto& points = burned.line.points;
    for (const Point p : points) {
        middle_x += p.x;
        middle_y += p.y;
    }
    std::size_t seed = burned.step * 7919 + points.size();
    for (const double value :
         {burned.box.left, burned.box.bottom, burned.box.right, burned.box.top, geometry::length(burned.line),
          middle_x / static_cast<double>(points.size()), middle_y / static_cast<double>(points.size())})
        seed = mix(seed, value);
    return seed;
}

bool same_line(const BurnedLine& a, const BurnedLine& b) {
    constexpr double same = 0.01;  // mm
    if (a.step != b.step || a.line.points.size() != b.line.points.size()) return false;
    const auto& p = a.line.points;
    const auto& q = b.line.points;
    const auto near = [](Point one, Point other) { return geometry::distance(one, other) < same; };
    return std::equal(p.begin(), p.end(), q.begin(), near) || std::equal(p.begin(), p.end(), q.rbegin(), near);
}

}  // namespace

std::vector<std::pair<std::size_t, std::size_t>> doubled_shapes(const Examined& examined) {
    const job::Job& job = examined.job;
    std::unordered_multimap<std::size_t, const BurnedLine*> seen;
    std::vector<std::pair<std::size_t, std::size_t>> doubled;
    for (const BurnedLine& burned : examined.lines) {
        // Fills of one step are merged: nothing burns twice.
        if (steps::burns_area(job.steps[burned.step].settings.kind)) continue;
        const std::size_t key = fingerprint(burned);
        const auto [first, last] = seen.equal_range(key);
        const auto twin =
            std::find_if(first, last, [&](const auto& other) { return same_line(*other.second, burned); });
        if (twin != last && twin->second->shape != burned.shape)
            doubled.emplace_back(twin->second->shape, burned.shape);
        else
            seen.emplace(key, &burned);
    }
    return doubled;
}

void check_steps(const Examined& examined, std::vector<Check>& found) {
    const job::Job& job = examined.job;
    const CheckGround& ground = examined.ground;
    if (examined.lines.empty()) found.push_back({std::string(check::nothing_to_burn), Severity::blocking});
    for (std::size_t i = 0; i < job.steps.size(); ++i) {
        const job::Step& step = job.steps[i];
        const auto& s = step.settings;
        const Parameters number{{"number", std::to_string(i + 1)}};
        if (auto valid = steps::validate(s, ground.machine.top_speed()); !valid)
            found.push_back(of_step(check::settings, Severity::blocking, step, valid.error().parameters));
        if (!step.on) continue;
        const bool works =
            std::any_of(examined.lines.begin(), examined.lines.end(), [i](const BurnedLine& b) { return b.step == i; });
        if (!works && !job.motifs.empty()) found.push_back(of_step(check::idle_step, Severity::info, step, number));
        if (!works) continue;
        if (ground.ceiling && s.power > *ground.ceiling)
            found.push_back(of_step(check::above_ceiling, Severity::blocking, step,
                                    {{"power", format_power(s.power)}, {"ceiling", format_power(*ground.ceiling)}}));
        if (s.beam == steps::BeamControl::constant)
            found.push_back(of_step(check::constant_beam, Severity::warning, step, number));
        if (steps::burns_area(s.kind) && s.line_pitch.mm() > ground.machine.spot * 1.001)
            found.push_back(of_step(
                check::pitch_wider_than_spot, Severity::warning, step,
                {{"pitch", format_number(s.line_pitch.mm(), 3)}, {"spot", format_number(ground.machine.spot, 3)}}));
    }
    for (const job::RoutedInk& ink : job::routed_inks(job))
        if (ink.steps.empty() && !ink.left_out)
            found.push_back({std::string(check::ink_without_step), Severity::warning, {{"ink", to_text(ink.ink.rgb)}}});
    if (const auto doubled = doubled_shapes(examined); !doubled.empty())
        found.push_back(
            {std::string(check::drawn_twice), Severity::warning, {{"count", std::to_string(doubled.size())}}});
}

}  // namespace chalkline::planning
