// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/raster/grey.hpp>
#include <chalkline/swatches/advice.hpp>

#include <algorithm>
#include <cmath>
#include <map>

namespace chalkline::swatches {
namespace {

constexpr double eye_reach = 0.04;  // of darkness: nearer ones look alike side by side

double logistic(double x) {
    return 1 / (1 + std::exp(-x));
}

/// Sum of squares of a curve of this middle and width with the best `most`, which is set.
double misfit(const std::vector<DosePoint>& points, DoseCurve& curve) {
    double product = 0, square = 0;
    for (const DosePoint& point : points) {
        const double shape = logistic((std::log(point.dose) - curve.middle) / curve.width);
        product += shape * point.darkness;
        square += shape * shape;
    }
    curve.most = square > 0 ? product / square : 0;
    // No material comes out blacker than black.
    curve.most = std::clamp(curve.most, -1.5, 1.0);
    double sum = 0;
    for (const DosePoint& point : points)
        sum += std::pow(curve.at(point.dose) - point.darkness, 2);
    return sum;
}

/// Relative light of a swatch against bare material.
double light_of(double darkness) {
    return darkness >= 0 ? raster::to_light(1 - std::min(darkness, 1.0))
                         : 1 / raster::to_light(std::max(1 + darkness, 0.05));
}

/// Rising points through points that should rise: neighbours that do not are averaged (pool adjacent violators).
std::vector<double> rising(std::vector<double> values) {
    std::vector<std::pair<double, int>> pools;  // sum, count
    for (const double value : values) {
        pools.emplace_back(value, 1);
        while (pools.size() > 1) {
            auto& last = pools.back();
            auto& before = pools[pools.size() - 2];
            if (before.first / before.second < last.first / last.second) break;
            before.first += last.first;
            before.second += last.second;
            pools.pop_back();
        }
    }
    values.clear();
    for (const auto& [sum, count] : pools)
        values.insert(values.end(), static_cast<std::size_t>(count), sum / count);
    return values;
}

}  // namespace

std::vector<DosePoint> dose_points(const Layout& layout, const CardBurn& burn) {
    std::vector<DosePoint> points;
    for (const Cell& cell : layout.cells) {
        const CellResult* result = cell.left_out ? nullptr : burn.at_place(cell.place);
        const double dose = dose_in(cell, burn);
        if (result && result->measured && dose > 0) points.push_back({cell.place, dose, result->measured->darkness});
    }
    std::stable_sort(points.begin(), points.end(),
                     [](const DosePoint& a, const DosePoint& b) { return a.dose < b.dose; });
    return points;
}

double DoseCurve::at(double dose) const {
    return most * logistic((std::log(std::max(dose, 1e-9)) - middle) / width);
}

std::optional<double> DoseCurve::dose_for(double darkness) const {
    const double share = most != 0 ? darkness / most : 0;
    if (!(share > 0 && share < 1)) return {};
    return std::exp(middle + width * std::log(share / (1 - share)));
}

std::optional<double> DoseCurve::chars_from() const {
    const double doubling = std::log(2.0);
    for (double dose = lowest; dose <= highest; dose *= 1.01) {
        const double x = (std::log(dose) - middle) / width;
        if (x > 0 && logistic(x + doubling / width) - logistic(x) < 0.05) return dose;
    }
    return {};
}

std::optional<DoseCurve> curve_of(const std::vector<DosePoint>& points) {
    if (points.size() < 4 || points.front().dose == points.back().dose) return {};
    const double low = std::log(points.front().dose), high = std::log(points.back().dose);
    DoseCurve best;
    double least = 1e300;
    // A coarse net over all sensible curves, then ever finer ones round the best.
    double middle_from = low - 2, middle_to = high + 2, width_from = 0.05, width_to = 3;
    for (int round = 0; round < 6; ++round) {
        constexpr int steps = 24;
        DoseCurve found = best;
        for (int i = 0; i <= steps; ++i)
            for (int k = 0; k <= steps; ++k) {
                DoseCurve curve;
                curve.middle = middle_from + (middle_to - middle_from) * i / steps;
                curve.width = width_from + (width_to - width_from) * k / steps;
                if (const double sum = misfit(points, curve); sum < least) {
                    least = sum;
                    found = curve;
                }
            }
        best = found;
        const double middle_reach = (middle_to - middle_from) / 8, width_reach = (width_to - width_from) / 8;
        middle_from = best.middle - middle_reach;
        middle_to = best.middle + middle_reach;
        width_from = std::max(0.02, best.width - width_reach);
        width_to = best.width + width_reach;
    }
    if (std::abs(best.most) < 1e-3) return {};
    // Three numbers were found from the same swatches.
    best.scatter = std::sqrt(least / static_cast<double>(points.size() - 3));
    best.lowest = points.front().dose;
    best.highest = points.back().dose;
    return best;
}

std::optional<CellPlace> fastest_for(double darkness, const Layout& layout, const CardBurn& burn) {
    const Cell* best = nullptr;
    for (const DosePoint& point : dose_points(layout, burn)) {
        const Cell* cell = layout.at(point.place);
        if (std::abs(point.darkness - darkness) > eye_reach) continue;
        // Passes cost time as a lower speed does.
        const auto pace = [](const Cell& one) { return one.settings.speed.mm_per_min() / one.settings.passes; };
        if (!best || pace(*cell) > pace(*best)) best = cell;
    }
    return best ? std::optional(best->place) : std::nullopt;
}

std::optional<CutAdvice> least_cut(const Layout& layout, const CardBurn& burn) {
    struct Tried {
        const Cell* cell;
        bool through;
    };
    std::map<double, std::vector<Tried>> by_speed;
    for (const Cell& cell : layout.cells) {
        const CellResult* result = burn.at_place(cell.place);
        if (cell.left_out || !result || result->verdict == Verdict::none) continue;
        by_speed[cell.settings.speed.mm_per_min()].push_back({&cell, is_through(result->verdict)});
    }
    std::optional<CutAdvice> best;
    for (auto& [speed, tried] : by_speed) {
        std::stable_sort(tried.begin(), tried.end(),
                         [](const Tried& a, const Tried& b) { return a.cell->dose < b.cell->dose; });
        // One that went through below one that did not was luck.
        const Cell* surely = nullptr;
        for (auto one = tried.rbegin(); one != tried.rend() && one->through; ++one)
            surely = one->cell;
        if (!surely) continue;
        const double dose = dose_in(*surely, burn);
        if (best && best->dose <= dose) continue;
        const double wanted = surely->settings.power.percent() * 7 / 6;
        best = CutAdvice{surely->place, dose, Power::percent(std::min(wanted, 100.0)), wanted <= 100};
    }
    return best;
}

std::vector<raster::CurvePoint> response_of(const Layout& layout, const CardBurn& burn) {
    std::map<double, std::pair<double, int>> by_share;  // 1 − light: sum, count
    for (const Cell& cell : layout.cells) {
        const CellResult* result = cell.left_out ? nullptr : burn.at_place(cell.place);
        if (!result || !result->measured) continue;
        auto& [sum, count] = by_share[cell.share];
        const double light = light_of(result->measured->darkness);
        sum += light <= 1 ? 1 - light : light - 1;
        ++count;
    }
    if (by_share.size() < 3 || by_share.rbegin()->first < 0.95) return {};
    const auto mean = [](const std::pair<double, int>& all) { return all.first / all.second; };
    // What a bare patch shows is the reading's own error.
    const double bare = by_share.begin()->first < 0.01 ? mean(by_share.begin()->second) : 0;
    const double whole = mean(by_share.rbegin()->second) - bare;
    if (whole < 0.02) return {};
    std::vector<double> shares{0}, dark{0};
    for (const auto& [share, all] : by_share) {
        if (share < 0.01 || share > 0.99) continue;
        shares.push_back(share);
        dark.push_back(std::clamp((mean(all) - bare) / whole, 0.0, 1.0));
    }
    shares.push_back(1);
    dark.push_back(1);
    dark = rising(std::move(dark));
    std::vector<raster::CurvePoint> response;
    for (std::size_t i = 0; i < shares.size(); ++i) {
        const bool last = i + 1 == shares.size();
        const double out = i == 0 ? 0 : last ? 1 : dark[i];
        // Both must rise: what the eye cannot tell apart is one point.
        if (!response.empty() && out <= response.back().out + 1e-4) {
            if (!last) continue;
            response.pop_back();
        }
        response.push_back({shares[i], out});
    }
    if (response.empty() || response.front().in != 0) response.insert(response.begin(), {0, 0});
    return response;
}

}  // namespace chalkline::swatches
