// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/artwork.hpp>
#include <chalkline/base/progress.hpp>

#include <string_view>
#include <vector>

// What a drawing holds that would burn badly, found and mended. Pure: the same art and options give the same result.
namespace chalkline::art {

/// Something found, where, and what mending it saves.
struct Find {
    Fault fault;
    Ink ink;
    geometry::Box place;  ///< on the page, mm
    double length = 0;    ///< mm of line no longer burned; 0 where that is not the gain
};

/// Looks for every kind of fault. Nothing is changed. Incomplete when it was cancelled.
std::vector<Find> examine(const Artwork& artwork, const CleaningLimits& limits, const Watch& watch = {});

/// Mends the kinds asked for, in the order of `Fault`. Shapes without faults keep their exact curves.
Artwork mended(Artwork artwork, const std::vector<Fault>& kinds, const CleaningLimits& limits, const Watch& watch = {});

/// The shapes that lie wholly outside the region (page mm), as indices into `shapes`.
std::vector<int> shapes_outside(const Artwork& artwork, const geometry::Region& region);

/// "doubled-line", … as job files and scripts name them.
std::string_view to_text(Fault fault);
std::optional<Fault> parse_fault(std::string_view text);

}  // namespace chalkline::art
