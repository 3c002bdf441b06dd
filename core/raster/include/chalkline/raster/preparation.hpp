// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/raster/grey.hpp>
#include <chalkline/raster/resample.hpp>
#include <chalkline/raster/tone.hpp>

#include <array>
#include <vector>

namespace chalkline::raster {

/// A place of a picture in shares of its width and height, from its upper left corner.
struct Place {
    double x = 0, y = 0;
    bool operator==(const Place&) const = default;
};

/// A part of a picture, in the same shares.
struct Part {
    double left = 0, top = 0, right = 1, bottom = 1;
    bool whole() const { return *this == Part{}; }
    bool operator==(const Part&) const = default;
};

/// A line painted over a picture: what lies under it stays, or goes.
struct Stroke {
    bool keep = true;
    double radius = 0.02;  ///< share of the picture's width
    std::vector<Place> points{};
    bool operator==(const Stroke&) const = default;
};

/// What of a picture never burns. Strokes have the last word.
struct Background {
    enum class Way {
        keep,    ///< nothing is taken away
        flood,   ///< what joins the border and looks like it there
        cut_out  ///< all but the subject in `box` (GrabCut: Rother, Kolmogorov and Blake 2004)
    };
    Way way = Way::keep;
    double tolerance = 0.1;  ///< flood: how far a colour may lie from the border's, 0…1 of the scale
    Part box{0.1, 0.1, 0.9, 0.9};
    std::vector<Stroke> strokes{};
    double vignette = 0;  ///< 0…1: how far from its edge inwards an oval fades into nothing; 0: none

    bool operator==(const Background&) const = default;
};

/// Everything done to a picture between its file and its dots that is the picture's own. Nothing of it changes the
/// original.
struct Preparation {
    Part crop{};
    Background background{};
    ChannelMix mix = luminance;
    double denoise = 0;         ///< 0…1: smooths what is no edge
    double local_contrast = 0;  ///< 0…1: how much what differs from its surroundings is brought out
    ToneSettings tone{};

    bool operator==(const Preparation&) const = default;
};

/// How much of each place stays, 0…65535; without pixels when everything does. Worked out on a copy of at most
/// `mask_side` pixels a side. The oval of the vignette lies in the crop.
GreyImage kept(const RgbImage& image, const Background& background, const Part& crop);
inline constexpr int mask_side = 700;

/// The frame a picture is seen in: from a pixel of the frame to one of the picture, and the frame's size.
struct Sight {
    PixelMap map{1, 0, 0, 0, 1, 0};
    int width = 1, height = 1;
    double across = 0.1, down = 0.1;  ///< mm from pixel to pixel

    /// Pixels of the picture for one of the frame, across and down; below 1 the picture is enlarged.
    double pixels_across() const;
    double pixels_down() const;
};

/// What a material makes of dots.
struct Material {
    std::vector<CurvePoint> response{};  ///< see to_light
    bool burns_light = false;
    double gain = 1;  ///< see dot_gain; 1: none
};

/// The light that should come back from every dot: the picture through its frame, then grey, denoised, local contrast,
/// sharpened, toned, through the material. `kept`: see there; beyond the picture and where nothing stays it is white,
/// which is bare.
GreyImage light_of(const RgbImage& image, const GreyImage& kept, const Preparation& how, const Material& material,
                   const Sight& sight);
/// How much of a flat colour burns, 0 bare … 1 full, as a picture of it would.
double burned_share(Rgb colour, const Material& material);
/// The same up to the tone, which is not applied: what the tone curve's histogram counts.
GreyImage grey_of(const RgbImage& image, const Preparation& how, const Sight& sight);

}  // namespace chalkline::raster
