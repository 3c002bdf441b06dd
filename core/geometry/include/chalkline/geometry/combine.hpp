// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/region.hpp>

#include <vector>

// Areas put together and cut apart (Clipper underneath; coordinates are rounded to 0.1 µm).
namespace chalkline::geometry {

/// The area of all regions together as clean rings: none crosses itself or another, outer ones counter-clockwise,
/// holes clockwise, rule non-zero.
Region united(const std::vector<Region>& regions);

/// The area inside both, as clean rings.
Region intersection(const Region& a, const Region& b);

/// The area of the first that is not in the second, as clean rings.
Region difference(const Region& a, const Region& b);

/// A region of the same rule that is the same inside the box; what it is outside means nothing. Far smaller than the
/// region where the box is: what is put together with it there costs less.
Region nearby(const Region& region, const Box& box);

/// What is seen of the burning regions of a pile, as clean rings.
Region seen(const Pile& pile);

/// The area grown by `by` mm (shrunk when negative) with round corners, as clean rings like `united`'s. Round parts
/// stay within `tolerance` of the true arc. Nothing is left of what is narrower than twice the shrinking.
Region grown(const Region& region, double by, double tolerance = 0.005);

/// The parts of the lines inside the region, in no particular order. A closed line that lies wholly inside stays
/// closed; one that is cut becomes open pieces.
std::vector<Polyline> parts_inside(const std::vector<Polyline>& lines, const Region& region);
/// The parts outside of it, in the same way.
std::vector<Polyline> parts_outside(const std::vector<Polyline>& lines, const Region& region);

}  // namespace chalkline::geometry
