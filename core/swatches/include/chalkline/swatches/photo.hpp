// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/homography.hpp>
#include <chalkline/raster/image.hpp>
#include <chalkline/swatches/results.hpp>

#include <array>
#include <optional>
#include <utility>
#include <vector>

// Reading a card from a photograph of it, taken from anywhere above.
namespace chalkline::swatches {

namespace error {
inline constexpr std::string_view marks_not_found = "swatches.marks-not-found";
}  // namespace error

/// Looks for the card's corner marks. The result takes a place on the card (mm, Y up) to one of the photograph (pixels
/// from its upper left corner); none when there are no four marks that fit: then `card_at_clicks` helps. Round spots
/// that stand out from their surroundings are tried in fours against the layout, either way round for light marks on a
/// dark material; the ring among the discs says which corner is which.
std::optional<geometry::Homography> find_card(const raster::RgbImage& photo, const Layout& layout);

/// The same from the four marks shown by hand, in any order round the card beginning with the ring. None when three of
/// them lie on one line.
std::optional<geometry::Homography> card_at_clicks(const std::array<geometry::Point, 4>& clicks, const Layout& layout);

/// How each burned swatch came out. Light is told from material by the bare places between and round the swatches: a
/// smooth surface of second order through them, in logarithms of linear light, is what the light does; what differs by
/// more than its scatter is left out of it.
std::vector<std::pair<CellPlace, Measured>> measured(const raster::RgbImage& photo,
                                                     const geometry::Homography& card_to_photo, const Layout& layout);

}  // namespace chalkline::swatches
