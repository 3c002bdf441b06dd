// SPDX-License-Identifier: GPL-3.0-or-later
#include "photo_light.hpp"

#include <chalkline/raster/grey.hpp>

#include <opencv2/core.hpp>

#include <algorithm>
#include <array>
#include <cmath>

namespace chalkline::swatches {
namespace {

using geometry::Point;

constexpr int most_terms = 6;

std::array<double, most_terms> terms_at(Point p) {
    return {1, p.x, p.y, p.x * p.x, p.x * p.y, p.y * p.y};
}

double logarithm(const LightSurface::Sample& sample) {
    return std::log(std::max(sample.light, 1e-4));
}

}  // namespace

PhotoLight::PhotoLight(const raster::RgbImage& photo) : width_(photo.width), height_(photo.height) {
    const raster::GreyImage grey = raster::to_grey(photo);
    std::vector<float> of_value(static_cast<std::size_t>(grey.white) + 1);
    for (std::size_t i = 0; i < of_value.size(); ++i)
        of_value[i] = static_cast<float>(raster::to_light(static_cast<double>(i) / grey.white));
    light_.reserve(grey.pixels.size());
    for (const auto value : grey.pixels)
        light_.push_back(of_value[value]);
}

double PhotoLight::pixel(int x, int y) const {
    x = std::clamp(x, 0, width_ - 1);
    y = std::clamp(y, 0, height_ - 1);
    return static_cast<double>(
        light_[static_cast<std::size_t>(y) * static_cast<std::size_t>(width_) + static_cast<std::size_t>(x)]);
}

double PhotoLight::at(Point place) const {
    // The middle of a pixel lies half a pixel from its corner.
    const double x = std::clamp(place.x - 0.5, -1.0, width_ + 1.0), y = std::clamp(place.y - 0.5, -1.0, height_ + 1.0);
    const int left = static_cast<int>(std::floor(x)), top = static_cast<int>(std::floor(y));
    const double right = x - left, down = y - top;
    return (pixel(left, top) * (1 - right) + pixel(left + 1, top) * right) * (1 - down) +
           (pixel(left, top + 1) * (1 - right) + pixel(left + 1, top + 1) * right) * down;
}

LightSurface::LightSurface(std::vector<Sample> samples) {
    geometry::Box box;
    for (const Sample& sample : samples)
        box.add(sample.place);
    middle_ = box.centre();
    scale_ = std::max({box.width(), box.height(), 1.0}) / 2;
    // With few places only the plainest surface is sure.
    const std::size_t terms = samples.size() >= 20 ? 6 : samples.size() >= 6 ? 3 : 1;
    for (int round = 0; round < 4; ++round) {
        cv::Mat places(static_cast<int>(samples.size()), static_cast<int>(terms), CV_64F);
        cv::Mat lights(static_cast<int>(samples.size()), 1, CV_64F), weights;
        for (int row = 0; row < places.rows; ++row) {
            const Sample& sample = samples[static_cast<std::size_t>(row)];
            const auto t = terms_at((sample.place - middle_) * (1 / scale_));
            std::copy_n(t.begin(), terms, places.ptr<double>(row));
            lights.at<double>(row) = logarithm(sample);
        }
        cv::solve(places, lights, weights, cv::DECOMP_SVD);
        weights_.assign(weights.begin<double>(), weights.end<double>());
        double square = 0;
        for (const Sample& sample : samples)
            square += std::pow(logarithm(sample) - std::log(at(sample.place)), 2);
        const double scatter = std::sqrt(square / static_cast<double>(samples.size()));
        // Soot, a knot or a label is no bare place.
        std::vector<Sample> kept;
        for (const Sample& sample : samples)
            if (std::abs(logarithm(sample) - std::log(at(sample.place))) <= 2 * scatter + 1e-6) kept.push_back(sample);
        if (kept.size() == samples.size() || kept.size() < terms * 3) break;
        samples = std::move(kept);
    }
}

double LightSurface::at(Point place) const {
    const auto t = terms_at((place - middle_) * (1 / scale_));
    double sum = 0;
    for (std::size_t i = 0; i < weights_.size(); ++i)
        sum += weights_[i] * t[i];
    return std::exp(sum);
}

}  // namespace chalkline::swatches
