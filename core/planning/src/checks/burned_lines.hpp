// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/planning/flat_job.hpp>

#include <vector>

namespace chalkline::planning {

/// One line or outline of the art as it lies on the bed, and where in the run sheet it is burned.
struct BurnedLine {
    geometry::Polyline line;
    geometry::Box box;
    std::size_t step;   ///< index into job.steps
    std::size_t shape;  ///< counts the shapes of all motifs, each motif's pictures after its shapes
    bool fill;
    job::Id motif;
};

/// Everything that is burned, in run order of the steps; a shape of two steps stands there twice.
std::vector<BurnedLine> burned_lines(FlatJob& job);

/// All their corners.
std::vector<geometry::Point> corners_of(const std::vector<BurnedLine>& lines);

/// The point farthest outside an outline, and how far, mm; 0 when all lie inside.
struct Overhang {
    double by = 0;
    geometry::Point place;
};
Overhang worst_overhang(const std::vector<geometry::Point>& points, const geometry::Polyline& outline);

/// The point nearest to the outline from inside, and its distance, mm.
Overhang least_margin(const std::vector<geometry::Point>& points, const geometry::Polyline& outline);

}  // namespace chalkline::planning
