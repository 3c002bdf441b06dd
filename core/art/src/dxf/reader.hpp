// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/reader.hpp>

namespace chalkline::art::dxf {

/// Reads DXF (the published Drawing Interchange Format, releases 10 to 2018, text and binary): the model space seen
/// from above. Lines that touch within 0.05 mm become one path. The page is the box of what is drawn.
Result<Artwork> read(std::string_view bytes, const std::string& name, const ReadOptions& options,
                     const Outside& outside, const Watch& watch);

}  // namespace chalkline::art::dxf
