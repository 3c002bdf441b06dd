// SPDX-License-Identifier: GPL-3.0-or-later
#include "scanning/hatcher.hpp"

#include "shapes/mapped_region.hpp"

#include <algorithm>
#include <cmath>

namespace chalkline::planning {

using geometry::Box;
using geometry::Point;
using geometry::Stretch;

Box Hatcher::box_of(const FillShape& shape) {
    return level(shape.drawn).box.moved(to_level_(shape.at));
}

std::optional<Hatcher::PatternAt> Hatcher::pattern_of(const std::vector<const FillShape*>& shapes) {
    constexpr double fine = 1e-6;  // mm: what differs by less is the same place
    const std::vector<Copy> copies = copies_of(shapes);
    if (!alike_side_by_side(copies)) return {};
    PatternAt found{{copies.front().drawn, {}}, copies.front().at, {}};
    for (const Copy& copy : copies) {
        found.pattern.across.push_back(std::round((copy.at.x - found.at.x) / fine) * fine);
        found.box.add(copy.box);
    }
    return found;
}

std::vector<LitRow> Hatcher::rows(const std::vector<const FillShape*>& shapes) {
    const std::vector<Copy> copies = copies_of(shapes);
    if (!alike_side_by_side(copies)) return rows_of_all(shapes);
    Box whole;
    for (const Copy& copy : copies)
        whole.add(copy.box);
    const auto& one = hatching_of(copies.front().drawn).rows(static_cast<int>(copies.size()), whole.width());
    std::vector<LitRow> rows;
    rows.reserve(one.size());
    for (const geometry::ScanRow& row : one) {
        auto& lit = rows.emplace_back(LitRow{row.y + copies.front().at.y, {}}).stretches;
        lit.reserve(copies.size() * row.stretches.size());
        for (const Copy& copy : copies)
            for (const Stretch& s : row.stretches)
                lit.push_back({s.from + copy.at.x, s.to + copy.at.x, 1});
    }
    return rows;
}

const Hatcher::Level& Hatcher::level(const std::shared_ptr<const geometry::Region>& drawn) {
    auto [found, fresh] = levels_.try_emplace(drawn.get());
    if (fresh) {
        found->second = {drawn, mapped(*drawn, to_level_), {}};
        found->second.box = geometry::bounds(found->second.region.rings);
    }
    return found->second;
}

/// The shapes by motif, from left to right.
std::vector<Hatcher::Copy> Hatcher::copies_of(const std::vector<const FillShape*>& shapes) {
    std::vector<Copy> copies;
    for (const FillShape* shape : shapes) {
        if (copies.empty() || copies.back().motif != shape->motif)
            copies.push_back({{}, shape->motif, to_level_(shape->at), {}});
        copies.back().drawn.push_back(shape->drawn.get());
        copies.back().box.add(box_of(*shape));
    }
    std::sort(copies.begin(), copies.end(), [](const Copy& a, const Copy& b) { return a.box.left < b.box.left; });
    return copies;
}

/// Copies of the same at the same height, none over another: the rows of one are the rows of all.
bool Hatcher::alike_side_by_side(const std::vector<Copy>& copies) {
    constexpr double apart = 1e-5, level = 1e-9;  // mm
    for (std::size_t i = 1; i < copies.size(); ++i)
        if (copies[i].drawn != copies[0].drawn || std::abs(copies[i].at.y - copies[0].at.y) > level ||
            copies[i].box.left - copies[i - 1].box.right < apart)
            return false;
    return true;
}

const geometry::Hatching& Hatcher::hatching_of(const Drawn& drawn) {
    const auto known = hatchings_.find(drawn);
    if (known != hatchings_.end()) return known->second;
    std::vector<geometry::Region> regions;
    for (const geometry::Region* one : drawn)
        regions.push_back(levels_.at(one).region);
    return hatchings_.emplace(drawn, geometry::Hatching(regions, pitch_)).first->second;
}

std::vector<LitRow> Hatcher::rows_of_all(const std::vector<const FillShape*>& shapes) {
    std::vector<geometry::Region> regions;
    for (const FillShape* shape : shapes)
        regions.push_back(mapped(on_bed(*shape), to_level_));
    std::vector<LitRow> rows;
    for (const geometry::ScanRow& row : geometry::hatch(regions, pitch_)) {
        auto& lit = rows.emplace_back(LitRow{row.y, {}}).stretches;
        for (const Stretch& s : row.stretches)
            lit.push_back({s.from, s.to, 1});
    }
    return rows;
}

}  // namespace chalkline::planning
