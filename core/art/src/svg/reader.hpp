// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/reader.hpp>

#include <string_view>
#include <vector>

namespace chalkline::art::svg {

/// Reads static SVG 1.1/2 (W3C): paths, basic shapes, text, pictures, groups, transforms, nested viewports, `use`,
/// style sheets, clips, dashes, gradients and patterns; physical units at 96 px an inch. Never fetches anything;
/// entities the document defines itself are replaced within bounds. `linked` are files already at hand.
Result<Artwork> read(std::string_view bytes, const std::string& name, std::vector<LinkedFile> linked,
                     const ReadOptions& options, const Outside& outside, const Watch& watch);

}  // namespace chalkline::art::svg
