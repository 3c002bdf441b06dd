// SPDX-License-Identifier: GPL-3.0-or-later
// What gradients and patterns take from one another, and where the tiles of a pattern lie.
#pragma once
#include "paint_server.hpp"

#include <optional>
#include <string_view>
#include <vector>

namespace chalkline::art::svg {

/// The server itself and those its references lead through; attributes are looked up in this order.
std::vector<pugi::xml_node> lineage(const Scene& scene, pugi::xml_node server);
std::string_view inherited(const std::vector<pugi::xml_node>& chain, const char* name);

bool is_pattern(const pugi::xml_node& server);

/// The tile of a pattern that begins at its corner; the others lie beside it, `width` and `height` apart.
struct PatternTile {
    pugi::xml_node content;  ///< whose children are drawn
    double x, y, width, height;
    geometry::Transform content_map;  ///< the content's units → the tile's
    geometry::Transform to_page;      ///< the tile's units → page px
    Place around;                     ///< of the content: viewport and depth
};

/// None where the pattern paints nothing.
std::optional<PatternTile> pattern_tile(const std::vector<pugi::xml_node>& chain, const PaintedArea& area);

}  // namespace chalkline::art::svg
