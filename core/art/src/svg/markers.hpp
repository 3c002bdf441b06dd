// SPDX-License-Identifier: GPL-3.0-or-later
// Where drawings on the corners of a line stand (SVG 1.1 §11.6, SVG 2 §11.6).
#pragma once
#include "style.hpp"

#include <vector>

namespace chalkline::art::svg {

/// One place for a marker, in the line's user units.
struct MarkerSpot {
    const std::string* id;
    geometry::Point at;
    double direction;    ///< radians from the X axis towards the Y axis, along the line
    bool first = false;  ///< it stands on the line's beginning
};

/// The places of a line's markers in their order along it.
std::vector<MarkerSpot> marker_spots(const geometry::Path& path, const Markers& markers);

/// How far a marker is turned, radians: its `orient` attribute, for a spot.
double marker_turn(std::string_view orient, const MarkerSpot& spot);

/// refX or refY, in the units of the marker's content; `low` and `size` are its viewBox on that axis.
double marker_reference(std::string_view text, double low, double size);

}  // namespace chalkline::art::svg
