// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/raster/grey.hpp>

#include <vector>

namespace chalkline::raster {

/// A point of a curve, both 0…1.
struct CurvePoint {
    double in = 0, out = 0;
    bool operator==(const CurvePoint&) const = default;
};

/// How a picture's brightness is changed before it becomes dots. At rest nothing changes.
struct ToneSettings {
    double black = 0, white = 1;      ///< levels: what becomes black and white
    double brightness = 0;            ///< −100…100
    double contrast = 0;              ///< −100…100
    double gamma = 1;                 ///< above 1 lightens the middle
    std::vector<CurvePoint> curve{};  ///< ascending; monotone between its points (Fritsch and Carlson 1980)
    double sharpen = 0;               ///< strength of the unsharp mask, 0…5
    double sharpen_radius = 0.4;      ///< mm

    bool operator==(const ToneSettings&) const = default;
};

/// The brightness (0…1, as the eye sees it) that another becomes: levels, brightness and contrast, gamma, curve.
double tone_of(const ToneSettings& settings, double brightness);

/// A picture's tones changed, in place of the eye's scale still. `dot`: mm from pixel to pixel, for the radius.
GreyImage toned(GreyImage grey, const ToneSettings& settings, double dot);

/// From the eye's scale to the share of light that should come back, through the material's response: `response` says
/// how dark (0…1 of its range) a share of burned dots looks; none: in proportion.
GreyImage to_light(const GreyImage& grey, const std::vector<CurvePoint>& response, bool inverted);

/// How many times its share of the area a lone burned dot darkens, at least 1, for a spot and a distance between dots
/// in mm. A dot is the mark of a spot that moves on for one pitch; a spot as wide as the pitch is taken to fill it.
double dot_gain(double spot, double pitch);
/// Fewer dots where they grow into each other: with a gain of g a share s of dots that lie by chance covers
/// 1 − (1 − s)^g, so that light v needs the share 1 − v^(1/g).
void spare_gain(GreyImage& light, double gain);

/// A smooth monotone curve through points, flat before the first and after the last.
double curve_at(const std::vector<CurvePoint>& points, double in);

}  // namespace chalkline::raster
