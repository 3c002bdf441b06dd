// SPDX-License-Identifier: GPL-3.0-or-later
#include "scanning/hatcher.hpp"

#include <algorithm>
#include <cmath>

namespace chalkline::planning {

using geometry::Box;
using geometry::Point;

static void append(const geometry::InkedRow& row, double by, LitStretches& lit) {
    for (const geometry::InkedStretch& s : row.stretches)
        lit.push_back({s.from + by, s.to + by, static_cast<float>(s.ink)});
}

Box Hatcher::box_of(const FillShape& shape) {
    return level(shape.drawn).box.moved(to_level_(shape.at));
}

std::optional<Hatcher::PatternAt> Hatcher::pattern_of(const std::vector<const FillShape*>& shapes) {
    constexpr double fine = 1e-6;  // mm: what differs by less is the same place
    const std::vector<Copy> copies = copies_of(shapes);
    if (!alike_side_by_side(copies) || covered_by_others(shapes)) return {};
    PatternAt found{{copies.front().drawn, {}}, copies.front().at, {}};
    for (const Copy& copy : copies) {
        found.pattern.across.push_back(std::round((copy.at.x - found.at.x) / fine) * fine);
        found.box.add(copy.box);
    }
    return found;
}

std::vector<LitRow> Hatcher::rows(const std::vector<const FillShape*>& shapes) {
    const std::vector<Copy> copies = copies_of(shapes);
    if (!alike_side_by_side(copies) || covered_by_others(shapes)) return rows_of_all(shapes);
    Box whole;
    for (const Copy& copy : copies)
        whole.add(copy.box);
    const auto& one = hatching_of(copies.front()).rows(static_cast<int>(copies.size()), whole.width());
    std::vector<LitRow> rows;
    rows.reserve(one.size());
    for (const geometry::InkedRow& row : one) {
        auto& lit = rows.emplace_back(LitRow{row.y + copies.front().at.y, {}}).stretches;
        lit.reserve(copies.size() * row.stretches.size());
        for (const Copy& copy : copies)
            append(row, copy.at.x, lit);
    }
    return rows;
}

const Hatcher::Level& Hatcher::level(const std::shared_ptr<const geometry::Region>& drawn) {
    auto [found, fresh] = levels_.try_emplace(drawn.get());
    if (fresh) {
        found->second = {drawn, geometry::mapped(*drawn, to_level_), {}};
        found->second.box = geometry::bounds(found->second.region.rings);
    }
    return found->second;
}

/// The shapes by motif, from left to right.
std::vector<Hatcher::Copy> Hatcher::copies_of(const std::vector<const FillShape*>& shapes) {
    std::vector<Copy> copies;
    for (const FillShape* shape : shapes) {
        if (copies.empty() || copies.back().motif != shape->motif)
            copies.push_back({{}, shape->motif, to_level_(shape->at), {}, {}});
        copies.back().drawn.push_back(shape->drawn.get());
        copies.back().box.add(box_of(*shape));
        copies.back().shapes.push_back(shape);
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

bool Hatcher::covered_by_others(const std::vector<const FillShape*>& shapes) const {
    return std::any_of(shapes.begin(), shapes.end(),
                       [this](const FillShape* shape) { return !covers_.of_others(shape->box, shape->order).empty(); });
}

/// The shapes of a motif and the covers over them, at the page's corner: the same for all its copies.
const geometry::Hatching& Hatcher::hatching_of(const Copy& copy) {
    const auto known = hatchings_.find(copy.drawn);
    if (known != hatchings_.end()) return known->second;
    const FillShape& first = *copy.shapes.front();
    Box box;
    for (const FillShape* shape : copy.shapes)
        box.add(shape->box);
    const geometry::Pile pile = pile_of(copy.shapes, covers_.own(box, first.order), first.at);
    return hatchings_.emplace(copy.drawn, geometry::Hatching(pile, pitch_)).first->second;
}

/// All of it in painting order, in the level frame as it lies from a place of the bed.
geometry::Pile Hatcher::pile_of(const std::vector<const FillShape*>& shapes, const std::vector<PlacedCover>& covers,
                                Point from) {
    struct Painted {
        PaintOrder order;
        geometry::Region region;
        double ink;
    };
    std::vector<Painted> painted;
    const auto add = [&](PaintOrder order, const std::shared_ptr<const geometry::Region>& drawn, Point at, double ink) {
        const Point by = to_level_(at) - to_level_(from);
        const geometry::Region& region = level(drawn).region;
        const bool there = by == Point{};
        painted.push_back(
            {order, there ? region : geometry::mapped(region, geometry::Transform::move(by.x, by.y)), ink});
    };
    for (const FillShape* shape : shapes)
        add(shape->order, shape->drawn, shape->at, shape->ink);
    for (const PlacedCover& cover : covers)
        add(cover.order, cover.cover->drawn, cover.at, 0);
    std::stable_sort(painted.begin(), painted.end(),
                     [](const Painted& a, const Painted& b) { return a.order < b.order; });
    const bool alike = std::all_of(painted.begin(), painted.end(), [](const Painted& one) { return one.ink == 1; });
    geometry::Pile pile;
    for (Painted& one : painted) {
        pile.regions.push_back(std::move(one.region));
        if (!alike) pile.inks.push_back(one.ink);
    }
    return pile;
}

std::vector<LitRow> Hatcher::rows_of_all(const std::vector<const FillShape*>& shapes) {
    // Every cover once, over whichever of the shapes it lies.
    std::map<std::pair<std::size_t, const Cover*>, PlacedCover> covers;
    const auto add = [&covers](const std::vector<PlacedCover>& found) {
        for (const PlacedCover& cover : found)
            covers.try_emplace({cover.order.motif, cover.cover}, cover);
    };
    for (const FillShape* shape : shapes) {
        add(covers_.own(shape->box, shape->order));
        add(covers_.of_others(shape->box, shape->order));
    }
    std::vector<PlacedCover> all;
    for (const auto& [key, cover] : covers)
        all.push_back(cover);
    const Point bed{};
    const geometry::Pile pile = pile_of(shapes, all, bed);
    std::vector<LitRow> rows;
    for (const geometry::InkedRow& row : geometry::hatch(pile, pitch_))
        append(row, 0, rows.emplace_back(LitRow{row.y, {}}).stretches);
    return rows;
}

}  // namespace chalkline::planning
