// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/region.hpp>

#include <vector>

namespace chalkline::geometry {

enum class LineCap { butt, round, square };
enum class LineJoin { miter, round, bevel };

/// How a pen draws along a line.
struct Pen {
    double width = 1;
    LineCap cap = LineCap::butt;
    LineJoin join = LineJoin::miter;
    double miter_limit = 4;  ///< longest tip over the width; sharper corners are bevelled (SVG 1.1 §11.4)
};

/// The area the pen inks: rings that overlap, all turning one way, to be filled by the non-zero rule (`united` cleans
/// them). Round parts stay within `tolerance` of the true arc. A line of one point inks a dot where the caps are round
/// or square.
/// REQUIRES: width > 0.
Region stroked(const std::vector<Polyline>& lines, const Pen& pen, double tolerance = flattening_tolerance);

/// The lines cut into dashes: lengths on and off in turn (an odd list counts twice), beginning `offset` into the
/// pattern. A closed line that begins and ends inked keeps that dash in one piece.
/// REQUIRES: no length negative, their sum positive.
std::vector<Polyline> dashed(const std::vector<Polyline>& lines, const std::vector<double>& lengths, double offset);

/// The chains as a path of straight lines.
Path path_of(const std::vector<Polyline>& lines);

}  // namespace chalkline::geometry
