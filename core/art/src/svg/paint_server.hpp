// SPDX-License-Identifier: GPL-3.0-or-later
// Gradients and patterns: areas whose colour changes from place to place become pictures.
#pragma once
#include "scene.hpp"

#include <functional>

namespace chalkline::art::svg {

bool is_paint_server(const pugi::xml_node& element);

/// The colour of a gradient whose stops are all of one colour.
std::optional<Colour> flat_colour(const Scene& scene, const pugi::xml_node& server);

/// The first colour of a gradient, for where no picture can stand (thin lines).
std::optional<Rgb> first_colour(const Scene& scene, const pugi::xml_node& server);

/// What is to be painted.
struct PaintedArea {
    const geometry::Region& region;  ///< page px
    geometry::Box user_box;          ///< of the unclipped geometry, user units
    const Place& place;
    double opacity = 1;
};

struct ServedPicture {
    PlacedPicture picture;  ///< page px
    bool coarse = false;    ///< drawn with fewer than 10 dots a millimetre to stay within bounds
};

/// Draws a pattern's content on a sheet of its own: tile px, Y down.
using PatternReader = std::function<Composer::Sheet(const pugi::xml_node& pattern, const Place& place)>;

/// Paints the area, 10 dots a millimetre: over white, or where paint covers as far as it lets through. Nothing when the
/// gradient or pattern has no extent.
std::optional<ServedPicture> paint_by_server(const Scene& scene, const pugi::xml_node& server, const PaintedArea& area,
                                             const PatternReader& read_pattern);

}  // namespace chalkline::art::svg
