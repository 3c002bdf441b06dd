// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/machine/walk.hpp>
#include <chalkline/planning/dose_grid.hpp>

#include <algorithm>
#include <cmath>
#include <map>

namespace chalkline::planning {
namespace {

using geometry::Point;

constexpr double hot_from = 1.7;    // times the usual dose
constexpr double smallest = 0.4;    // mm²: less is the cell's own grain
constexpr double usual_part = 0.8;  // of a step's cells, by dose, lie below its usual one: edges are only half covered

/// The dose of one step, kept apart until its usual dose is known.
using Layer = std::vector<float>;

float usual_of(const Layer& layer) {
    std::vector<float> lit;
    for (const float dose : layer)
        if (dose > 0) lit.push_back(dose);
    if (lit.empty()) return 0;
    const auto place = lit.begin() + static_cast<std::ptrdiff_t>(static_cast<double>(lit.size() - 1) * usual_part);
    std::nth_element(lit.begin(), place, lit.end());
    return *place;
}

/// Neighbouring cells that are hot, as one spot each.
std::vector<HotSpot> spots_of(const DoseGrid& grid, const std::vector<float>& times,
                              const std::vector<job::Id>& whose) {
    std::vector<HotSpot> spots;
    std::vector<char> seen(times.size(), 0);
    const auto index = [&](int x, int y) {
        return static_cast<std::size_t>(y) * static_cast<std::size_t>(grid.columns) + static_cast<std::size_t>(x);
    };
    std::vector<std::pair<int, int>> open;
    for (int y = 0; y < grid.rows; ++y)
        for (int x = 0; x < grid.columns; ++x) {
            if (seen[index(x, y)] != 0 || times[index(x, y)] < hot_from) continue;
            HotSpot spot;
            int cells = 0;
            open.assign(1, {x, y});
            seen[index(x, y)] = 1;
            while (!open.empty()) {
                const auto [cx, cy] = open.back();
                open.pop_back();
                ++cells;
                if (times[index(cx, cy)] > spot.times) {
                    spot.times = times[index(cx, cy)];
                    spot.place = grid.corner + Point{(cx + 0.5) * grid.cell, (cy + 0.5) * grid.cell};
                    spot.step = whose[index(cx, cy)];
                }
                for (int dy = -1; dy <= 1; ++dy)
                    for (int dx = -1; dx <= 1; ++dx) {
                        const int nx = cx + dx, ny = cy + dy;
                        if (nx < 0 || ny < 0 || nx >= grid.columns || ny >= grid.rows) continue;
                        if (seen[index(nx, ny)] != 0 || times[index(nx, ny)] < hot_from) continue;
                        seen[index(nx, ny)] = 1;
                        open.emplace_back(nx, ny);
                    }
            }
            spot.size = cells * grid.cell * grid.cell;
            if (spot.size >= smallest) spots.push_back(spot);
        }
    std::stable_sort(spots.begin(), spots.end(), [](const HotSpot& a, const HotSpot& b) { return a.times > b.times; });
    if (spots.size() > DoseGrid::most_hot) spots.resize(DoseGrid::most_hot);
    return spots;
}

}  // namespace

DoseGrid dose_of(const Plan& plan, const machine::MachineProfile& machine, double cell, const Watch& watch) {
    DoseGrid grid;
    grid.cell = cell;
    if (plan.burn_box.empty()) return grid;
    grid.corner = {plan.burn_box.left - cell, plan.burn_box.bottom - cell};
    grid.columns = static_cast<int>(std::ceil(plan.burn_box.width() / cell)) + 2;
    grid.rows = static_cast<int>(std::ceil(plan.burn_box.height() / cell)) + 2;
    const std::size_t cells = static_cast<std::size_t>(grid.columns) * static_cast<std::size_t>(grid.rows);
    std::map<job::Id, Layer> layers;

    // Under constant power the energy of an operation is its time's.
    const auto& operations = plan.program.operations;
    std::vector<double> lengths(operations.size(), 0);
    machine::walk(plan.program, [&](const machine::Stretch& s) {
        lengths[static_cast<std::size_t>(s.place.operation)] += s.length();
    });
    std::vector<char> constant(operations.size(), 0);
    char now_constant = 0;
    for (std::size_t i = 0; i < operations.size(); ++i) {
        if (const auto* beam = std::get_if<machine::Beam>(&operations[i].act))
            now_constant = beam->mode == machine::BeamMode::constant ? 1 : 0;
        constant[i] = now_constant;
    }
    machine::walk(plan.program, [&](const machine::Stretch& s) {
        if (s.power == 0 || watch.cancelled()) return;
        const auto i = static_cast<std::size_t>(s.place.operation);
        const double length = s.length();
        if (length <= 0) return;
        double seconds = length / (s.operation.speed.mm_per_min() / 60);
        if (constant[i] != 0 && lengths[i] > 0)
            seconds = (plan.finished_at[i] - (i == 0 ? 0 : plan.finished_at[i - 1])) * length / lengths[i];
        const double energy = machine.beam.watts_at(Power::percent(s.power / 100.0)) * 1000 * seconds;
        Layer& layer = layers.try_emplace(s.operation.origin.step, Layer(cells, 0)).first->second;
        const int pieces = std::max(1, static_cast<int>(std::ceil(length / (cell / 2))));
        const auto each = static_cast<float>(energy / pieces / (cell * cell));
        for (int k = 0; k < pieces; ++k) {
            const Point p = geometry::between(s.from, s.to, (k + 0.5) / pieces) - grid.corner;
            const int x = std::clamp(static_cast<int>(p.x / cell), 0, grid.columns - 1);
            const int y = std::clamp(static_cast<int>(p.y / cell), 0, grid.rows - 1);
            layer[static_cast<std::size_t>(y) * static_cast<std::size_t>(grid.columns) + static_cast<std::size_t>(x)] +=
                each;
        }
    });

    grid.dose.assign(cells, 0);
    std::vector<float> times(cells, 0), most(cells, 0);
    std::vector<job::Id> whose(cells, 0);
    for (const auto& [step, layer] : layers) {
        const float usual = usual_of(layer);
        for (std::size_t i = 0; i < cells; ++i) {
            if (layer[i] <= 0) continue;
            grid.dose[i] += layer[i];
            times[i] = std::max(times[i], layer[i] / usual);
            if (layer[i] > most[i]) {
                most[i] = layer[i];
                whose[i] = step;
            }
        }
    }
    grid.hot = spots_of(grid, times, whose);
    return grid;
}

}  // namespace chalkline::planning
