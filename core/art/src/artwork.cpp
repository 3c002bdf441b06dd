// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/artwork.hpp>

#include <map>

namespace chalkline::art {
namespace {

/// Groups the shapes by ink in order of first appearance and lets `look` add its facts.
template <class Look>
std::vector<InkSummary> gather(const Artwork& artwork, Look look) {
    std::map<Ink, std::size_t> place;
    std::vector<InkSummary> result;
    for (const Shape& shape : artwork.shapes) {
        const auto [found, fresh] = place.try_emplace(shape.ink, result.size());
        if (fresh) result.push_back({.ink = shape.ink, .box = {}});
        InkSummary& summary = result[found->second];
        ++summary.shapes;
        look(summary, shape, found->second);
    }
    return result;
}

}  // namespace

std::vector<InkSummary> inks(const Artwork& artwork) {
    return gather(artwork, [](InkSummary&, const Shape&, std::size_t) {});
}

std::vector<InkSummary> measured_inks(const Artwork& artwork) {
    std::vector<std::vector<geometry::Region>> regions;
    auto result = gather(artwork, [&](InkSummary& summary, const Shape& shape, std::size_t index) {
        auto lines = shape.path.flatten();
        summary.box.add(geometry::bounds(lines));
        summary.length += geometry::length(lines);
        for (const auto& line : lines)
            summary.closed += line.closed;
        if (shape.ink.kind == InkKind::fill) {
            regions.resize(std::max(regions.size(), index + 1));
            regions[index].push_back({std::move(lines), shape.rule});
        }
    });
    for (std::size_t i = 0; i < regions.size(); ++i)
        result[i].area = geometry::covered_area(regions[i]);
    return result;
}

geometry::Box bounds(const Artwork& artwork) {
    geometry::Box box;
    for (const Shape& shape : artwork.shapes)
        box.add(geometry::bounds(shape.path.flatten()));
    return box;
}

}  // namespace chalkline::art
