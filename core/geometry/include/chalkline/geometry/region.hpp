// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/path.hpp>

#include <vector>

namespace chalkline::geometry {

enum class FillRule { non_zero, even_odd };

/// An area: rings (open chains count as closed) and the rule that says what lies inside.
struct Region {
    std::vector<Polyline> rings;
    FillRule rule = FillRule::non_zero;
};

bool contains(const Region& region, Point p);

/// Area covered by all regions together, overlaps counted once, mm². Exact (coordinates to 1e-4 mm) up to some ten
/// thousand points; beyond, summed along millions of scan line crossings, which is good to a few thousandths.
double covered_area(const std::vector<Region>& regions);

/// A stretch of one scan line, from < to, mm.
struct Stretch {
    double from, to;
    bool operator==(const Stretch&) const = default;
};
/// One horizontal scan line with its inked stretches, left to right, disjoint.
struct ScanRow {
    double y;
    std::vector<Stretch> stretches;
};

/// Horizontal scan lines over all regions together, `pitch` mm apart, bottom up; rows without ink are left out. What
/// several regions cover is inked once. The rows lie balanced in the height of the whole, each in the middle of the
/// strip it inks; low shapes (lettering) move them by less than half a pitch where that inks an area nearer to the
/// drawn one.
/// REQUIRES: pitch > 0 and every coordinate finite.
std::vector<ScanRow> hatch(const std::vector<Region>& regions, double pitch);
/// The same with the lowest row at `first` and none above `top`.
std::vector<ScanRow> scan_rows(double first, double top, const std::vector<Region>& regions, double pitch);

}  // namespace chalkline::geometry
