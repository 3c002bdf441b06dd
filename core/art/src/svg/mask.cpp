// SPDX-License-Identifier: GPL-3.0-or-later
#include "mask.hpp"

#include "page.hpp"

#include <chalkline/geometry/combine.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::art::svg {
namespace {

using geometry::Region;

constexpr std::size_t most_levels = 12;
constexpr double nothing = 0.5 / 255;

double share_of(const Shape& shape, double alpha, bool by_alpha) {
    const Rgb rgb = shape.ink.rgb;
    const double light = (0.2125 * rgb.red + 0.7154 * rgb.green + 0.0721 * rgb.blue) / 255;
    return std::round((by_alpha ? alpha : light * alpha) * 255) / 255;
}

}  // namespace

std::optional<std::vector<MaskLevel>> mask_levels(const Composer::Sheet& content, const Region& frame, bool by_alpha) {
    if (!content.pictures.empty()) return {};
    geometry::Pile pile;
    std::vector<double> shares, distinct;
    for (std::size_t i = 0; i < content.shapes.size(); ++i) {
        const Shape& shape = content.shapes[i];
        if (shape.ink.kind != InkKind::fill) continue;  // thin lines let nothing through that a beam could draw
        pile.regions.push_back({shape.path.flatten({}, px_tolerance), shape.rule});
        shares.push_back(share_of(shape, content.alphas[i], by_alpha));
        if (shares.back() > nothing && std::find(distinct.begin(), distinct.end(), shares.back()) == distinct.end())
            distinct.push_back(shares.back());
    }
    if (distinct.size() > most_levels) return {};
    std::vector<MaskLevel> levels;
    for (const double share : distinct) {
        pile.inks.clear();
        for (const double other : shares)
            pile.inks.push_back(other == share ? 1 : 0);
        Region area = geometry::intersection(geometry::seen(pile), frame);
        if (!area.rings.empty()) levels.push_back({std::move(area), share});
    }
    return levels;
}

void paint_masked(Composer& composer, Composer::Sheet drawn, const std::vector<MaskLevel>& levels) {
    for (const MaskLevel& level : levels) {
        composer.begin_group();
        std::size_t picture = 0;
        for (std::size_t i = 0; i <= drawn.shapes.size(); ++i) {
            for (; picture < drawn.pictures.size() &&
                   (i == drawn.shapes.size() || static_cast<std::size_t>(drawn.pictures[picture].above) <= i);
                 ++picture) {
                PlacedPicture part = drawn.pictures[picture];
                part.clip = part.clip ? geometry::intersection(*part.clip, level.area) : level.area;
                if (!bounds(part).empty()) composer.put(std::move(part));
            }
            if (i == drawn.shapes.size()) break;
            Shape part = drawn.shapes[i];
            if (cut_to(part, part.path.flatten({}, px_tolerance), level.area))
                composer.put(std::move(part), drawn.alphas[i]);
        }
        composer.end_group(level.share);
    }
}

}  // namespace chalkline::art::svg
