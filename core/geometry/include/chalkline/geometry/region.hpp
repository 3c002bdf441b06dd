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

/// Horizontal scan lines over regions, `pitch` mm apart, worked out once for all copies of them that lie beside each
/// other. What several regions cover is inked once. The rows lie balanced in the height of the whole, each in the
/// middle of the strip it inks; low shapes (lettering) move them by less than half a pitch where that inks an area
/// nearer to the drawn one.
class Hatching {
 public:
    /// REQUIRES: pitch > 0 and every coordinate finite.
    Hatching(const std::vector<Region>& regions, double pitch);
    /// The rows of one copy, bottom up, as they lie where there are `copies` in a row, `width` mm wide together. Rows
    /// without ink are left out.
    const std::vector<ScanRow>& rows(int copies, double width) const;

 private:
    std::vector<std::vector<ScanRow>> candidates_;  ///< by how far the rows are moved
    std::vector<double> off_;                       ///< mm² over the pitch: how far each inks from the drawn area
};

/// The same for regions that lie there once.
std::vector<ScanRow> hatch(const std::vector<Region>& regions, double pitch);
/// Scan lines with the lowest row at `first` and none above `top`.
std::vector<ScanRow> scan_rows(double first, double top, const std::vector<Region>& regions, double pitch);

}  // namespace chalkline::geometry
