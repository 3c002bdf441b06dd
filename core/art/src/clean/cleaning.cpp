// SPDX-License-Identifier: GPL-3.0-or-later
#include "clean/contours.hpp"

#include <chalkline/art/cleaning.hpp>
#include <chalkline/geometry/stroke.hpp>

#include <array>

namespace chalkline::art {
namespace {

struct Kind {
    std::string_view name;
    clean::Cure cure;
};
/// In the order of `Fault`.
constexpr std::array<Kind, fault_kinds> kinds{{{"empty-fill", clean::cure_empty_fills},
                                               {"tiny-bit", clean::cure_tiny_bits},
                                               {"doubled-line", clean::cure_doubled_lines},
                                               {"doubled-outline", clean::cure_doubled_outlines},
                                               {"open-end", clean::cure_open_ends},
                                               {"two-inks", clean::find_two_inks}}};

const Kind& kind_of(Fault fault) {
    return kinds[static_cast<std::size_t>(fault)];
}

}  // namespace

namespace clean {

std::vector<Contour> contours_of(const Artwork& artwork) {
    std::vector<Contour> contours;
    for (std::size_t i = 0; i < artwork.shapes.size(); ++i) {
        for (auto& line : artwork.shapes[i].path.flatten({}, tolerance)) {
            Contour contour{i, std::move(line), {}};
            contour.box = geometry::bounds(contour.line);
            contour.length = geometry::length(contour.line);
            contours.push_back(std::move(contour));
        }
    }
    return contours;
}

void put_back(Artwork& artwork, const std::vector<Contour>& contours) {
    std::vector<std::vector<geometry::Polyline>> lines(artwork.shapes.size());
    std::vector<bool> touched(artwork.shapes.size(), false), had(artwork.shapes.size(), false);
    for (const Contour& contour : contours) {
        had[contour.shape] = true;
        touched[contour.shape] = touched[contour.shape] || contour.touched || contour.gone;
        if (!contour.gone) lines[contour.shape].push_back(contour.line);
    }
    std::vector<Shape> kept;
    for (std::size_t i = 0; i < artwork.shapes.size(); ++i) {
        if (touched[i]) artwork.shapes[i].path = geometry::path_of(lines[i]);
        if (!had[i] || !lines[i].empty()) kept.push_back(std::move(artwork.shapes[i]));
    }
    artwork.shapes = std::move(kept);
}

}  // namespace clean

std::vector<Find> examine(const Artwork& artwork, const CleaningLimits& limits, const Watch& watch) {
    std::vector<Find> finds;
    auto contours = clean::contours_of(artwork);
    for (const Kind& kind : kinds) {
        auto found = kind.cure(artwork, contours, limits, watch);
        finds.insert(finds.end(), found.begin(), found.end());
    }
    return finds;
}

Artwork mended(Artwork artwork, const std::vector<Fault>& wanted, const CleaningLimits& limits, const Watch& watch) {
    auto contours = clean::contours_of(artwork);
    for (int i = 0; i < mendable_kinds; ++i) {
        const auto fault = static_cast<Fault>(i);
        if (std::find(wanted.begin(), wanted.end(), fault) != wanted.end())
            (void)kind_of(fault).cure(artwork, contours, limits, watch);
    }
    clean::put_back(artwork, contours);
    return artwork;
}

std::vector<int> shapes_outside(const Artwork& artwork, const geometry::Region& region) {
    const geometry::Box inside = geometry::bounds(region.rings);
    std::vector<int> outside;
    for (std::size_t i = 0; i < artwork.shapes.size(); ++i) {
        const auto lines = artwork.shapes[i].path.flatten({}, 0.05);
        const geometry::Box box = geometry::bounds(lines);
        const bool apart =
            box.left > inside.right || box.right < inside.left || box.bottom > inside.top || box.top < inside.bottom;
        if (!lines.empty() && apart) outside.push_back(static_cast<int>(i));
    }
    return outside;
}

std::string_view to_text(Fault fault) {
    return kind_of(fault).name;
}

std::optional<Fault> parse_fault(std::string_view text) {
    for (std::size_t i = 0; i < kinds.size(); ++i)
        if (kinds[i].name == text) return static_cast<Fault>(i);
    return {};
}

}  // namespace chalkline::art
