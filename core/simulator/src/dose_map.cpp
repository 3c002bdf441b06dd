// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/simulator/dose_map.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::simulator {

DoseMap::DoseMap(double width, double depth, double cells_per_mm, double spot)
    : columns_(static_cast<int>(std::ceil(width * cells_per_mm))),
      rows_(static_cast<int>(std::ceil(depth * cells_per_mm))),
      cells_per_mm_(cells_per_mm),
      cells_(static_cast<std::size_t>(columns_) * static_cast<std::size_t>(rows_), 0.0F) {
    // A beam of diameter d at 1/e² has intensity exp(−8r²/d²): a normal distribution with σ = d/4.
    const double sigma = spot / 4 * cells_per_mm;
    const int reach = static_cast<int>(std::ceil(3 * sigma));
    taps_ = 2 * reach + 1;
    const auto below = [&](double x) { return 0.5 * (1 + std::erf(x / (sigma * std::sqrt(2.0)))); };
    for (int phase = 0; phase < phases; ++phase) {
        const double centre = reach + (phase + 0.5) / phases;
        std::vector<float> shares;
        double sum = 0;
        for (int tap = 0; tap < taps_; ++tap) {
            const double share = below(tap + 1 - centre) - below(tap - centre);
            shares.push_back(static_cast<float>(share));
            sum += share;
        }
        for (float& share : shares)
            share = static_cast<float>(share / sum);
        kernel_.push_back(std::move(shares));
    }
}

void DoseMap::burn(geometry::Point from, geometry::Point to, double energy) {
    const double length = geometry::distance(from, to) * cells_per_mm_;
    const int dabs = std::max(1, static_cast<int>(std::ceil(length * 2)));
    for (int i = 0; i < dabs; ++i)
        dab(geometry::between(from, to, (i + 0.5) / dabs), energy / dabs);
}

void DoseMap::dab(geometry::Point at, double energy) {
    const double x = at.x * cells_per_mm_, y = at.y * cells_per_mm_;
    const int column = static_cast<int>(std::floor(x)), row = static_cast<int>(std::floor(y));
    const auto& across = kernel_[static_cast<std::size_t>((x - column) * phases)];
    const auto& along = kernel_[static_cast<std::size_t>((y - row) * phases)];
    const int left = column - taps_ / 2, bottom = row - taps_ / 2;
    const auto dose = static_cast<float>(energy * cells_per_mm_ * cells_per_mm_);
    for (int j = 0; j < taps_; ++j) {
        if (bottom + j < 0 || bottom + j >= rows_) continue;
        const float part = dose * along[static_cast<std::size_t>(j)];
        float* cells = cells_.data() + static_cast<std::ptrdiff_t>(bottom + j) * columns_;
        for (int i = 0; i < taps_; ++i)
            if (left + i >= 0 && left + i < columns_) cells[left + i] += part * across[static_cast<std::size_t>(i)];
    }
}

}  // namespace chalkline::simulator
