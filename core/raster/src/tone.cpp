// SPDX-License-Identifier: GPL-3.0-or-later
#include "matrix.hpp"

#include <chalkline/raster/tone.hpp>

#include <opencv2/imgproc.hpp>

#include <algorithm>
#include <cmath>

namespace chalkline::raster {
namespace {

/// Every value through a table of the function; values are shares of white.
template <class Function>
void map_values(GreyImage& grey, Function function) {
    std::vector<std::uint16_t> table(static_cast<std::size_t>(grey.white) + 1);
    for (std::size_t i = 0; i < table.size(); ++i) {
        const double out = function(static_cast<double>(i) / grey.white);
        table[i] = static_cast<std::uint16_t>(std::lround(std::clamp(out, 0.0, 1.0) * grey.white));
    }
    for (std::uint16_t& pixel : grey.pixels)
        pixel = table[pixel];
}

/// Unsharp masking: what differs from the blurred picture is added again.
void sharpen(GreyImage& grey, double strength, double sigma) {
    cv::Mat picture = matrix_of(grey);
    cv::Mat soft;
    cv::GaussianBlur(picture, soft, {}, sigma, sigma, cv::BORDER_REPLICATE);
    cv::addWeighted(picture, 1 + strength, soft, -strength, 0, picture);
    for (std::uint16_t& pixel : grey.pixels)
        pixel = std::min(pixel, grey.white);
}

}  // namespace

double curve_at(const std::vector<CurvePoint>& points, double in) {
    if (points.empty()) return in;
    if (in <= points.front().in) return points.front().out;
    if (in >= points.back().in) return points.back().out;
    const auto slope = [&](std::size_t i) {
        return (points[i + 1].out - points[i].out) / std::max(points[i + 1].in - points[i].in, 1e-9);
    };
    // The tangent is the harmonic mean of its two slopes, 0 at turning points: never beyond its neighbours.
    const auto tangent = [&](std::size_t i) {
        if (i == 0) return slope(0);
        if (i + 1 == points.size()) return slope(i - 1);
        const double before = slope(i - 1), after = slope(i);
        return before * after <= 0 ? 0.0 : 2 * before * after / (before + after);
    };
    std::size_t i = 0;
    while (points[i + 1].in < in)
        ++i;
    const double wide = points[i + 1].in - points[i].in, t = (in - points[i].in) / wide;
    const double a = tangent(i) * wide, b = tangent(i + 1) * wide, rise = points[i + 1].out - points[i].out;
    return points[i].out + t * (a + t * (3 * rise - 2 * a - b + t * (a + b - 2 * rise)));
}

double tone_of(const ToneSettings& s, double brightness) {
    double v = std::clamp((brightness - s.black) / std::max(s.white - s.black, 1e-6), 0.0, 1.0);
    // Contrast turns the line about the middle, up to vertical at 100.
    const double steep = std::tan((std::clamp(s.contrast, -100.0, 100.0) / 100 + 1) * 0.785398163397448);
    v = (v - 0.5) * std::min(steep, 1e6) + 0.5 + s.brightness / 100;
    v = std::pow(std::clamp(v, 0.0, 1.0), 1 / std::max(s.gamma, 0.01));
    return std::clamp(s.curve.size() < 2 ? v : curve_at(s.curve, v), 0.0, 1.0);
}

GreyImage toned(GreyImage grey, const ToneSettings& settings, double dot) {
    if (settings.sharpen > 0 && settings.sharpen_radius > 0 && grey.width > 0 && grey.height > 0)
        sharpen(grey, settings.sharpen, std::max(settings.sharpen_radius / dot, 0.3));
    ToneSettings rest = settings;
    rest.sharpen = 0;
    rest.sharpen_radius = ToneSettings().sharpen_radius;
    if (rest != ToneSettings()) map_values(grey, [&](double v) { return tone_of(settings, v); });
    return grey;
}

GreyImage to_light(const GreyImage& grey, const std::vector<CurvePoint>& response, bool inverted) {
    // The response, seen from the other side: which share of dots looks this dark.
    std::vector<CurvePoint> wanted;
    for (const CurvePoint& point : response)
        wanted.push_back({point.out, point.in});
    GreyImage light = grey;
    map_values(light, [&](double v) {
        const double dark = 1 - to_light(v);
        const double marked = inverted ? 1 - dark : dark;  // a material that burns light is marked where it is bright
        return 1 - (wanted.size() < 2 ? marked : curve_at(wanted, marked));
    });
    return light;
}

double dot_gain(double spot, double pitch) {
    constexpr double quarter_pi = 0.785398163397448;
    const double wide = spot / pitch;
    return std::max(1.0, wide * (1 + quarter_pi * wide) / (1 + quarter_pi));
}

void spare_gain(GreyImage& light, double gain) {
    map_values(light, [&](double v) { return std::pow(v, 1 / gain); });
}

}  // namespace chalkline::raster
