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

/// The region somewhere else, turned or scaled.
Region mapped(Region region, const Transform& map);

bool contains(const Region& region, Point p);

/// Corners of all its rings.
std::size_t point_count(const Region& region);

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

/// Areas painted over one another, the last on top: of each place only what lies on top is seen.
struct Pile {
    std::vector<Region> regions;
    /// How dark each burns, above 0 to 1; 0 only covers what lies under it. Empty: all burn fully.
    std::vector<double> inks{};

    double ink(std::size_t region) const { return inks.empty() ? 1 : inks[region]; }
};

/// A stretch of one scan line and how dark it burns.
struct InkedStretch {
    double from, to, ink;
    bool operator==(const InkedStretch&) const = default;
};
struct InkedRow {
    double y;
    std::vector<InkedStretch> stretches;  ///< left to right, disjoint
};

/// Horizontal scan lines over a pile, `pitch` mm apart, worked out once for all copies of it that lie beside each
/// other. What several regions cover is inked once. The rows lie balanced in the height of what burns, each in the
/// middle of the strip it inks; low shapes (lettering) move them by less than half a pitch where that inks an area
/// nearer to the drawn one. Time grows with the crossings of rows and outlines, however deep the pile is.
class Hatching {
 public:
    /// REQUIRES: pitch > 0 and every coordinate finite; as many inks as regions, or none.
    Hatching(const Pile& pile, double pitch);
    /// The rows of one copy, bottom up, as they lie where there are `copies` in a row, `width` mm wide together. Rows
    /// without ink are left out.
    const std::vector<InkedRow>& rows(int copies, double width) const;

 private:
    std::vector<std::vector<InkedRow>> candidates_;  ///< by how far the rows are moved
    std::vector<double> off_;                        ///< mm² over the pitch: how far each inks from the drawn area
};

/// The same for a pile that lies there once.
std::vector<InkedRow> hatch(const Pile& pile, double pitch);

/// How much of each region of the pile is seen, mm², in their order. Summed along scan lines, as many as keep the work
/// bounded: good to a hundredth of a per cent for a few shapes, to a few thousandths for ten thousands.
std::vector<double> seen_areas(const std::vector<Region>& pile);

/// Scan lines with the lowest row at `first` and none above `top`.
std::vector<ScanRow> scan_rows(double first, double top, const std::vector<Region>& regions, double pitch);

}  // namespace chalkline::geometry
