// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/raster/grey.hpp>
#include <chalkline/raster/tone.hpp>

#include <optional>
#include <string_view>
#include <vector>

namespace chalkline::raster {

/// How grey becomes dots. Coefficients of the error-diffusing methods as published: Floyd and Steinberg 1976; Jarvis,
/// Judice and Ninke 1976; Stucki 1981; Burkes 1988; Sierra 1989; Atkinson (Apple, 1984), which passes on three quarters
/// of the error only and so keeps light areas bare and dark ones full.
enum class DitherMethod {
    threshold,
    floyd_steinberg,
    jarvis,
    stucki,
    burkes,
    sierra,
    atkinson,
    bayer2,
    bayer4,
    bayer8,
    bayer16,
    halftone,    ///< clustered dots on a turned screen
    blue_noise,  ///< a void-and-cluster mask (Ulichney 1993), 64 × 64
    strokes,     ///< every line in strokes whose length follows the tone, shifted from line to line: our own
    grey         ///< no dots: the power follows the tone
};

std::string_view to_text(DitherMethod method);
std::optional<DitherMethod> parse_dither(std::string_view text);
const std::vector<DitherMethod>& dither_methods();
bool diffuses_error(DitherMethod method);

struct DitherSettings {
    DitherMethod method = DitherMethod::floyd_steinberg;
    bool serpentine = true;    ///< error diffusion: every other row runs back
    double noise = 0;          ///< 0…1 of the full range is added to the threshold, against worms
    std::uint32_t seed = 1;    ///< of the noise: the same seed gives the same dots
    double cell = 6;           ///< halftone and strokes: dots from one cluster to the next
    double screen_angle = 45;  ///< halftone, degrees
    enum class Form { round, diamond, line } form = Form::round;  ///< halftone
    int bare_between = 0;  ///< dots along the row that stay bare after each burned one: brittle material must cool
    bool lone = false;     ///< no burned dot touches another along the row or straight above: chips instead of a melt

    bool operator==(const DitherSettings&) const = default;
};

/// Dots of an image whose values are proportional to the light that should come back: dark is burned. Rows are worked
/// top down, error diffusion in fixed point of 29 bits, error at the borders is dropped. A value below half of white is
/// dark. Where dots are kept apart (`bare_between`, `lone`) dark tones come out lighter than asked; diffusing methods
/// take what they can not burn to the places beside, the others drop it. Grey power is not kept apart.
Dots dither(const GreyImage& light, const DitherSettings& settings);

/// What share of dots burns (out) for every wanted share (in), measured on flat areas of 17 tones.
std::vector<CurvePoint> transfer_of(const DitherSettings& settings);

/// What share of dots burns where, 0 … 65535, without setting them: the light through the transfer. For pictures
/// smaller than their dots.
GreyImage burned_shares(GreyImage light, const DitherSettings& settings);

}  // namespace chalkline::raster
