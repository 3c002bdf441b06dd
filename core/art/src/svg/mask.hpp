// SPDX-License-Identifier: GPL-3.0-or-later
// Masks: what of an element is seen, and how much of it (SVG 1.1 §14.4).
#pragma once
#include "scene.hpp"

#include <optional>
#include <vector>

namespace chalkline::art::svg {

/// An area of a mask that lets the same share through, page px.
struct MaskLevel {
    geometry::Region area;
    double share;  ///< above 0 to 1
};

/// What a mask's content lets through inside its frame. `by_alpha`: its opacity counts, not its light. Nothing where
/// that changes from place to place: pictures, gradients, more levels than an eye tells apart.
std::optional<std::vector<MaskLevel>> mask_levels(const Composer::Sheet& content, const geometry::Region& frame,
                                                  bool by_alpha);

/// Paints what an element drew as far as the mask lets it be seen.
void paint_masked(Composer& composer, Composer::Sheet drawn, const std::vector<MaskLevel>& levels);

/// The same where the mask changes from place to place: what was drawn becomes one picture, 10 dots a millimetre where
/// there is room; thin lines stay lines. False when there is nothing to paint on.
bool paint_softly_masked(Composer& composer, Composer::Sheet drawn, const Composer::Sheet& content,
                         const geometry::Region& frame, bool by_alpha);

}  // namespace chalkline::art::svg
