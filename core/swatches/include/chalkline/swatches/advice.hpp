// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/raster/tone.hpp>
#include <chalkline/swatches/results.hpp>

#include <optional>
#include <vector>

// What a read card says. Proposals: the choice stays the maker's.
namespace chalkline::swatches {

/// How dark it came out at which dose.
struct DosePoint {
    CellPlace place;
    double dose;      ///< as dose_in
    double darkness;  ///< below 0: lighter than bare
};
/// Of all swatches that were measured, by rising dose.
std::vector<DosePoint> dose_points(const Layout& layout, const CardBurn& burn);

/// A smooth curve through them: darkness = most / (1 + exp(−(ln dose − middle) / width)).
struct DoseCurve {
    double most = 0, middle = 0, width = 1;
    double scatter = 0;              ///< standard deviation of the swatches from it
    double lowest = 0, highest = 0;  ///< doses it was found with
    double at(double dose) const;
    /// The dose that gives a darkness; none where the curve never comes to it.
    std::optional<double> dose_for(double darkness) const;
    /// From this dose on more of it adds less than a twentieth of the whole darkness for every doubling: it only chars.
    /// None when the card does not reach so far.
    std::optional<double> chars_from() const;
};
/// Least squares over middle and width, `most` solved for each. None with fewer than four swatches or no difference.
std::optional<DoseCurve> curve_of(const std::vector<DosePoint>& points);

/// The swatch of this darkness, within the eye's reach of it, that burns fastest. None when none comes near.
std::optional<CellPlace> fastest_for(double darkness, const Layout& layout, const CardBurn& burn);

/// What is said of cuts: of every speed the weakest dose from which on all swatches went through, and the cheapest of
/// them with some margin on top.
struct CutAdvice {
    CellPlace least;             ///< went through with the least dose
    double dose = 0;             ///< of it
    Power with_margin;           ///< its power and a sixth more; never above full
    bool margin_reached = true;  ///< false: there is no such power, go slower
};
std::optional<CutAdvice> least_cut(const Layout& layout, const CardBurn& burn);

/// The response of the material that a card with tones shows, for PictureSettings::response: what share of the whole
/// darkness, in linear light, which share of burned dots makes. Rises strictly from 0, 0 to 1, 1. Empty when the card
/// does not say.
std::vector<raster::CurvePoint> response_of(const Layout& layout, const CardBurn& burn);

}  // namespace chalkline::swatches
