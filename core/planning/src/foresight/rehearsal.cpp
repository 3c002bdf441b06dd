// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/machine/walk.hpp>
#include <chalkline/planning/rehearsal.hpp>

#include <algorithm>

namespace chalkline::planning {

using geometry::Point;

TimeShares time_shares(const Plan& plan) {
    TimeShares shares;
    double before = 0;
    for (std::size_t i = 0; i < plan.finished_at.size(); ++i) {
        const machine::Origin& origin = plan.program.operations[i].origin;
        const double took = plan.finished_at[i] - std::exchange(before, plan.finished_at[i]);
        if (origin.motif >= 0) shares.by_motif[origin.motif] += took;
        if (origin.step >= 0) shares.by_pass[{origin.step, origin.pass}] += took;
    }
    return shares;
}

Rehearsal::Rehearsal(std::shared_ptr<const Plan> plan)
    : plan_(std::move(plan)), starts_(plan_->program.operations.size()), lengths_(plan_->program.operations.size(), 0) {
    const auto& operations = plan_->program.operations;
    Point at;
    std::size_t reached = 0;
    bool known = false;
    machine::walk(plan_->program, [&](const machine::Stretch& stretch) {
        const auto operation = static_cast<std::size_t>(stretch.place.operation);
        // Nobody knows where the first way begins: it is taken to have no length.
        if (!std::exchange(known, true)) at = stretch.to;
        for (; reached <= operation; ++reached)
            starts_[reached] = at;
        lengths_[operation] += geometry::distance(at, stretch.to);
        at = stretch.to;
    });
    for (; reached < operations.size(); ++reached)
        starts_[reached] = at;
    for (std::size_t i = 0; i < operations.size(); ++i) {
        const job::Id step = operations[i].origin.step;
        if (step < 0) continue;
        if (spans_.empty() || spans_.back().step != step) spans_.push_back({step, begins(i), 0});
        spans_.back().to = plan_->finished_at[i];
    }
}

namespace {

/// Where a way of straight moves is after so many millimetres, and whether it is lit there.
struct Along {
    Point place;
    machine::PowerValue power = 0;
};

Along along(const machine::Program& program, std::size_t operation, Point from, double way) {
    Along found{from, 0};
    bool there = false;
    machine::walk_operation(program, operation, from, [&](const machine::Stretch& stretch) {
        if (there) return;
        const double length = stretch.length();
        found.power = stretch.power;
        found.place =
            length > 0 ? geometry::between(stretch.from, stretch.to, std::min(1.0, way / length)) : stretch.to;
        way -= length;
        there = way <= 0;
    });
    return found;
}

}  // namespace

Rehearsal::Instant Rehearsal::at(double seconds) const {
    constexpr double full = 10000;  // of PowerValue
    const auto& ends = plan_->finished_at;
    const auto& operations = plan_->program.operations;
    seconds = std::clamp(seconds, 0.0, total());
    const auto found = static_cast<std::size_t>(std::upper_bound(ends.begin(), ends.end(), seconds) - ends.begin());
    Instant instant;
    instant.operation = found;
    if (found >= operations.size()) {
        if (!starts_.empty())
            instant.head = along(plan_->program, operations.size() - 1, starts_.back(), lengths_.back()).place;
        return instant;
    }
    const double begin = begins(found), lasts = ends[found] - begin;
    const double share = lasts > 0 ? (seconds - begin) / lasts : 1;
    const Along here = along(plan_->program, found, starts_[found], lengths_[found] * share);
    instant.head = here.place;
    instant.power = here.power / full;
    instant.speed = lasts > 0 ? lengths_[found] / lasts * 60 : 0;
    instant.origin = operations[found].origin;
    return instant;
}

}  // namespace chalkline::planning
