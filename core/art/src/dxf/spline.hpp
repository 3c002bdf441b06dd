// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/path.hpp>

#include <vector>

namespace chalkline::art::dxf {

/// A non-uniform rational B-spline (Piegl & Tiller, The NURBS Book, 2nd ed., §4).
struct Spline {
    int degree = 3;
    std::vector<double> knots;  ///< controls + degree + 1, rising
    std::vector<geometry::Point> controls;
    std::vector<double> weights;  ///< one a control, or none
    /// False when the numbers do not belong together.
    bool valid() const;
};

/// The spline as a chain of lines no farther than `tolerance` from it.
geometry::Polyline flatten(const Spline& spline, double tolerance);

/// A smooth chain through points that are given instead of controls: a natural cubic spline over the chord lengths.
geometry::Polyline smooth_through(const std::vector<geometry::Point>& points);

}  // namespace chalkline::art::dxf
