// SPDX-License-Identifier: GPL-3.0-or-later
// Patterns of nothing but thin lines: a drawing's hatching stays lines.
#pragma once
#include "paint_server.hpp"

#include <vector>

namespace chalkline::art::svg {

/// The lines of a pattern in an area, page px, one shape an ink. None where the pattern has anything but opaque thin
/// lines, or where there would be very many.
std::optional<std::vector<Shape>> hatch_lines(const Scene& scene, const pugi::xml_node& pattern,
                                              const PaintedArea& area, const PatternReader& read_pattern);

}  // namespace chalkline::art::svg
