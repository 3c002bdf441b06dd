// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/tray_context.hpp"

namespace chalkline::app {

std::vector<TimeRibbon::Segment> segments_of(const planning::Plan& plan, const job::Job& job,
                                             const machine::MachineProfile& machine, const theme::Roles& roles) {
    std::vector<TimeRibbon::Segment> segments;
    for (const auto& report : plan.steps)
        if (const job::Step* step = job.step(report.step))
            segments.push_back(
                {wording::name(step->settings.kind), report.time.seconds(), tone_of(step->settings, machine, roles)});
    // A program from a file has no steps of the job.
    if (segments.empty())
        for (const auto& report : plan.steps)
            segments.push_back({QObject::tr("Program"), report.time.seconds(), roles.burn[4]});
    return segments;
}

}  // namespace chalkline::app
