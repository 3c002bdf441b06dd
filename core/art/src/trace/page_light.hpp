// SPDX-License-Identifier: GPL-3.0-or-later
// How brightly a photographed page was lit from place to place.
#pragma once
#include <chalkline/raster/image.hpp>

#include <array>
#include <vector>

namespace chalkline::art {

/// Rec. 709 luma of the values as they stand, 0 … 255: thresholds are chosen by eye on them.
double luma_of(Rgb pixel);

/// White paper as a smooth surface over a picture.
class PageLight {
 public:
    /// The brightest of every tile, fitted by a quadratic surface; tiles that are darker than it, because something is
    /// drawn there, count for little (least squares with asymmetric weights, P. H. C. Eilers, 2003). A picture that
    /// does not look like a page lit unevenly counts as lit evenly.
    static PageLight of(const raster::RgbImage& image);
    /// What white paper came to at a pixel, 0 … 255; 255 everywhere where the light is even.
    double white_at(int x, int y) const;

 private:
    PageLight(double width, double height) : width_(width), height_(height) {}
    double surface(double u, double v) const;
    /// Least squares over the tiles; false where they do not settle it.
    bool fit(const std::vector<std::array<double, 3>>& tiles, const std::vector<double>& weights);

    double width_, height_;
    std::array<double, 6> terms_{255, 0, 0, 0, 0, 0};  ///< of 1, u, v, u², uv, v²; u and v from -1 to 1
};

}  // namespace chalkline::art
