// SPDX-License-Identifier: GPL-3.0-or-later
// The art as single contours while it is cleaned: what is not touched goes back exactly as it was.
#pragma once
#include <chalkline/art/cleaning.hpp>

namespace chalkline::art::clean {

/// One contour of one shape.
struct Contour {
    std::size_t shape;
    geometry::Polyline line;
    geometry::Box box;
    double length = 0;
    bool touched = false;  ///< changed: its shape is made again from lines
    bool gone = false;
};

/// Finer than burning needs, so that curves drawn twice but split differently still lie on each other.
inline constexpr double tolerance = 0.003;  // mm

std::vector<Contour> contours_of(const Artwork& artwork);
/// Puts the contours back. Shapes without contours left are dropped.
void put_back(Artwork& artwork, const std::vector<Contour>& contours);

/// Each looks at all contours, changes those at fault and reports what it found. Gives up early when cancelled.
using Cure = std::vector<Find> (*)(const Artwork&, std::vector<Contour>&, const CleaningLimits&, const Watch&);
std::vector<Find> cure_empty_fills(const Artwork&, std::vector<Contour>&, const CleaningLimits&, const Watch&);
std::vector<Find> cure_tiny_bits(const Artwork&, std::vector<Contour>&, const CleaningLimits&, const Watch&);
std::vector<Find> cure_doubled_lines(const Artwork&, std::vector<Contour>&, const CleaningLimits&, const Watch&);
std::vector<Find> cure_doubled_outlines(const Artwork&, std::vector<Contour>&, const CleaningLimits&, const Watch&);
std::vector<Find> cure_open_ends(const Artwork&, std::vector<Contour>&, const CleaningLimits&, const Watch&);

/// Only tells: which of the two inks was meant nobody knows but the maker.
std::vector<Find> find_two_inks(const Artwork&, std::vector<Contour>&, const CleaningLimits&, const Watch&);

}  // namespace chalkline::art::clean
