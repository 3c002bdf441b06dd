// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/homography.hpp>
#include <chalkline/raster/image.hpp>

#include <vector>

namespace chalkline::swatches {

/// The linear light (0…1) of a photograph, place by place.
class PhotoLight {
 public:
    explicit PhotoLight(const raster::RgbImage& photo);

    int width() const { return width_; }
    int height() const { return height_; }
    /// Between the four pixels round a place, pixels from the upper left corner. Beyond the border: the border's.
    double at(geometry::Point place) const;

 private:
    double pixel(int x, int y) const;
    int width_, height_;
    std::vector<float> light_;
};

/// A surface of second order in logarithms: what the light does over a card.
class LightSurface {
 public:
    struct Sample {
        geometry::Point place;
        double light;
    };
    /// REQUIRES: some samples of more than no light.
    explicit LightSurface(std::vector<Sample> samples);
    double at(geometry::Point place) const;

 private:
    std::vector<double> weights_;
    geometry::Point middle_;
    double scale_ = 1;
};

}  // namespace chalkline::swatches
