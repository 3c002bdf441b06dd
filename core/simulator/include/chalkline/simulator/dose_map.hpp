// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>

#include <array>
#include <vector>

namespace chalkline::simulator {

/// Energy laid on the bed, cell by cell. Row 0 is the near edge (Y = 0), column 0 the left.
class DoseMap {
 public:
    /// `cells_per_mm` cells a millimetre; `spot` is the beam's diameter at 1/e², mm, a round Gaussian.
    DoseMap(double width, double depth, double cells_per_mm, double spot);

    /// A stretch burned evenly: `energy` mJ from one place to another. What falls outside the map is lost.
    void burn(geometry::Point from, geometry::Point to, double energy);

    int columns() const { return columns_; }
    int rows() const { return rows_; }
    double cells_per_mm() const { return cells_per_mm_; }
    /// Dose of one cell, mJ/mm².
    float at(int column, int row) const {
        return cells_[static_cast<std::size_t>(row) * static_cast<std::size_t>(columns_) +
                      static_cast<std::size_t>(column)];
    }
    const std::vector<float>& cells() const { return cells_; }

 private:
    void dab(geometry::Point at, double energy);

    static constexpr int phases = 64;  ///< sub-cell places for which the kernel is kept
    int columns_, rows_;
    double cells_per_mm_;
    int taps_;
    std::vector<std::vector<float>> kernel_;  ///< per phase: share of a dab that falls on each of `taps_` cells
    std::vector<float> cells_;                ///< mJ/mm²
};

}  // namespace chalkline::simulator
