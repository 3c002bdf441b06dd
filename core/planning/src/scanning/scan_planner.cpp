// SPDX-License-Identifier: GPL-3.0-or-later
#include "scanning/scan_planner.hpp"

#include <algorithm>
#include <cmath>

namespace chalkline::planning {

using geometry::Box;
using geometry::Point;
using geometry::Stretch;
using steps::FillSettings;

namespace {

constexpr double grid = 0.01;        // mm: places of fill ends; finer costs bytes and is below any spot
constexpr double straight = 1e-9;    // a direction's part that is none
constexpr double run_up_grid = 0.5;  // mm: run-up starts on round places, which are short to send

double snapped(double value, double step) {
    return std::round(value / step) * step;
}

/// Ends on the grid; what vanishes there is dropped, what touches is joined.
LitStretches clean(const LitStretches& stretches) {
    LitStretches result;
    for (const LitStretch& s : stretches) {
        const LitStretch r{snapped(s.from, grid), snapped(s.to, grid), s.share};
        if (r.to - r.from < grid / 2) continue;
        const bool touches = !result.empty() && r.from <= result.back().to + grid / 2;
        if (touches && result.back().share == r.share)
            result.back().to = r.to;
        else
            result.push_back(r);
    }
    return result;
}

}  // namespace

double run_up_of(const FillSettings& fill, double speed, const timing::AxisLimits& axis) {
    return fill.run_up ? fill.run_up->mm() : timing::run_up_length(speed, axis.acceleration) * 1.05 + 0.1;
}

ScanPlanner::ScanPlanner(const steps::StepSettings& settings, double angle, const machine::MachineProfile& machine)
    : speed_(settings.speed.mm_per_min()),
      fill_(settings.fill),
      bed_(machine.bed()),
      to_bed_(geometry::Transform::turn(angle)),
      axis_(timing::limits_along(to_bed_.direction({1, 0}), machine)),
      run_up_(run_up_of(fill_, speed_, axis_)) {}

std::vector<SweepLine> ScanPlanner::block_of(std::vector<LitRow> rows) const {
    if (!ascending()) std::reverse(rows.begin(), rows.end());
    std::vector<SweepLine> block;
    bool rightwards = starts_rightwards();
    for (LitRow& row : rows) {
        auto parts = split(clean(std::move(row.stretches)));
        if (parts.empty()) continue;
        if (!rightwards) std::reverse(parts.begin(), parts.end());
        for (const auto& part : parts)
            block.push_back(sweep(row.y, part, rightwards));
        if (fill_.both_ways) rightwards = !rightwards;
    }
    return block;
}

Point ScanPlanner::moved_by(Point level) const {
    return to_bed_.direction({snapped(level.x, grid), level_on_bed() ? snapped(level.y, grid) : level.y});
}

bool ScanPlanner::along_a_side() const {
    return level_on_bed() || std::abs(to_bed_.a) < straight;
}

bool ScanPlanner::has_run_up(const Box& level) const {
    const Stretch bed = on_bed(level.bottom);
    const double needed = run_up_ + run_up_grid + std::abs(fill_.shift.mm());
    return level.left - needed >= bed.from && level.right + needed <= bed.to;
}

bool ScanPlanner::level_on_bed() const {
    return std::abs(to_bed_.b) < straight;
}

/// Rows from low to high in the level frame.
bool ScanPlanner::ascending() const {
    const Point up = to_bed_.direction({0, 1});
    const bool rows_climb = std::abs(up.y) > 1e-6;
    switch (fill_.first) {
        case FillSettings::First::bottom:
            return rows_climb ? up.y > 0 : up.x > 0;
        case FillSettings::First::top:
            return rows_climb ? up.y < 0 : up.x < 0;
        case FillSettings::First::left:
            return std::abs(up.x) > 1e-6 ? up.x > 0 : up.y > 0;
        case FillSettings::First::right:
            return std::abs(up.x) > 1e-6 ? up.x < 0 : up.y > 0;
    }
    return true;
}

bool ScanPlanner::starts_rightwards() const {
    const Point along = to_bed_.direction({1, 0});
    return fill_.first != FillSettings::First::right || std::abs(along.y) > 1e-6 || along.x < 0;
}

bool ScanPlanner::quicker_jumped(double gap) const {
    if (gap <= 2 * run_up_) return false;
    const double swept = gap / (speed_ / 60);
    const double ramp = 2 * (speed_ / 60) / axis_.acceleration;
    return ramp + timing::straight_time(gap - 2 * run_up_, axis_.rate * 60, axis_.acceleration) < swept;
}

std::vector<LitStretches> ScanPlanner::split(const LitStretches& stretches) const {
    std::vector<LitStretches> parts;
    for (const LitStretch& s : stretches) {
        if (parts.empty() || quicker_jumped(s.from - parts.back().back().to)) parts.emplace_back();
        parts.back().push_back(s);
    }
    return parts;
}

/// The part of the level line at `y` that lies on the bed.
Stretch ScanPlanner::on_bed(double y) const {
    Stretch part{-1e9, 1e9};
    const Point at = to_bed_({0, y}), way = to_bed_.direction({1, 0});
    const auto clip = [&](double place, double step, double low, double high) {
        if (std::abs(step) < straight) return;
        const double a = (low - place) / step, b = (high - place) / step;
        part.from = std::max(part.from, std::min(a, b));
        part.to = std::min(part.to, std::max(a, b));
    };
    clip(at.x, way.x, bed_.left, bed_.right);
    clip(at.y, way.y, bed_.bottom, bed_.top);
    return part;
}

SweepLine ScanPlanner::sweep(double y, const LitStretches& stretches, bool rightwards) const {
    const double row = row_at(y);
    const double shift = rightwards ? 0 : fill_.shift.mm();
    const double first = stretches.front().from + shift, last = stretches.back().to + shift;
    // The run-up never leaves the bed; there the beam's power simply follows a lower speed.
    const Stretch bed = on_bed(row);
    const double left = std::max(std::floor((first - run_up_) / run_up_grid) * run_up_grid, std::min(bed.from, first));
    const double right = std::min(std::ceil((last + run_up_) / run_up_grid) * run_up_grid, std::max(bed.to, last));
    LitStretches along;
    along.reserve(stretches.size());
    for (const LitStretch& s : stretches)
        along.push_back(rightwards ? LitStretch{s.from + shift - left, s.to + shift - left, s.share}
                                   : LitStretch{right - s.to - shift, right - s.from - shift, s.share});
    if (!rightwards) std::reverse(along.begin(), along.end());
    return {to_bed_({rightwards ? left : right, row}), to_bed_({rightwards ? right : left, row}), std::move(along)};
}

/// Where a row is really burned.
double ScanPlanner::row_at(double y) const {
    if (!level_on_bed()) return y;
    const double low = std::min(to_bed_.d * bed_.bottom, to_bed_.d * bed_.top);
    const double high = std::max(to_bed_.d * bed_.bottom, to_bed_.d * bed_.top);
    return std::clamp(snapped(y, grid), low, high);
}

}  // namespace chalkline::planning
