// SPDX-License-Identifier: GPL-3.0-or-later
// Threshold masks: which place of a small square turns dark at which tone.
#pragma once
#include <chalkline/raster/dither.hpp>

#include <vector>

namespace chalkline::raster {

/// A square of thresholds, shares of white, row by row.
struct Mask {
    int side;
    std::vector<double> thresholds;
};

/// Bayer's index matrix (1973) of side 2, 4, 8 or 16.
Mask bayer(int side);

/// Void and cluster (R. Ulichney, 1993), 64 × 64, sigma 1.5; always the same.
const Mask& blue_noise();

/// A spot that grows with the darkness until its cell is full. Every tone burns just its share of the cell.
class Spot {
 public:
    explicit Spot(DitherSettings::Form form);
    /// The light below which the place of the screen is dark; the screen repeats every 1.
    double threshold(double u, double v) const;

 private:
    double height(double u, double v) const;
    DitherSettings::Form form_;
    std::vector<double> sorted_;  ///< heights all over one cell
};

}  // namespace chalkline::raster
