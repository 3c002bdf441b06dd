// SPDX-License-Identifier: GPL-3.0-or-later
#include "checks/parts.hpp"

#include <chalkline/geometry/region.hpp>
#include <chalkline/job/edits.hpp>

#include <algorithm>
#include <map>

namespace chalkline::planning {
namespace {

using steps::StepKind;

/// Outlines looked at when there are very many: the largest hold the most.
constexpr std::size_t most_outlines = 400;

/// Closed lines of cut steps, the largest first.
std::vector<const BurnedLine*> cut_outlines(const Examined& examined) {
    std::vector<const BurnedLine*> outlines;
    for (const BurnedLine& burned : examined.lines)
        if (burned.line.closed && examined.job.steps[burned.step].settings.kind == StepKind::cut)
            outlines.push_back(&burned);
    std::stable_sort(outlines.begin(), outlines.end(), [](const BurnedLine* a, const BurnedLine* b) {
        return a->box.width() * a->box.height() > b->box.width() * b->box.height();
    });
    if (outlines.size() > most_outlines) outlines.resize(most_outlines);
    return outlines;
}

/// The run sheet burns `later` after `earlier` for certain; within one step the planner keeps inside first unless the
/// lines go as drawn.
bool comes_after(const Examined& examined, const BurnedLine& later, const BurnedLine& earlier) {
    if (later.step != earlier.step) return later.step > earlier.step;
    const auto& line = examined.job.steps[later.step].settings.line;
    return line.order == steps::LineSettings::Order::as_drawn && later.shape > earlier.shape;
}

}  // namespace

std::optional<LooseInner> loose_inner(const Examined& examined) {
    for (const BurnedLine* outer : cut_outlines(examined)) {
        const geometry::Region inside{{outer->line}, geometry::FillRule::non_zero};
        for (const BurnedLine& inner : examined.lines) {
            // A later step of another kind is a cut that comes too early, which is said by itself.
            if (examined.job.steps[inner.step].settings.kind != StepKind::cut) continue;
            if (!comes_after(examined, inner, *outer) || !outer->box.contains(inner.box) || inner.box == outer->box)
                continue;
            if (geometry::contains(inside, inner.line.points.front())) return LooseInner{outer, &inner};
        }
    }
    return {};
}

void check_order(const Examined& examined, std::vector<Check>& found) {
    const job::Job& job = examined.job;
    if (job::order_fault(job)) {
        const auto cut = std::find_if(job.steps.begin(), job.steps.end(), [&](const job::Step& step) {
            return step.on && step.settings.kind == StepKind::cut && job.has_work(step);
        });
        found.push_back({std::string(check::cut_before_engrave), Severity::warning, {}, cut->id});
    }
    if (const auto loose = loose_inner(examined))
        found.push_back({std::string(check::outer_before_inner),
                         Severity::warning,
                         {},
                         job.steps[loose->inner->step].id,
                         loose->inner->line.points.front()});
}

}  // namespace chalkline::planning
