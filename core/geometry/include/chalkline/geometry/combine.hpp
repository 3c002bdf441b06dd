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

/// The parts of the lines inside the region, in no particular order. A closed line that lies wholly inside stays
/// closed; one that is cut becomes open pieces.
std::vector<Polyline> parts_inside(const std::vector<Polyline>& lines, const Region& region);

}  // namespace chalkline::geometry
