// SPDX-License-Identifier: GPL-3.0-or-later
// What a picture file's own header says of its resolution and colours: Qt gives a screen's resolution where the file
// states none, so the bytes are asked.
#pragma once
#include <chalkline/geometry/point.hpp>

#include <optional>
#include <string_view>

namespace chalkline::pictures {

struct Header {
    std::optional<geometry::Point> pixels_per_mm;  ///< of the picture as stored, before any turn
    bool cmyk = false;
    bool cut_short = false;  ///< JPEG: its end is missing
    int orientation = 1;     ///< how the picture is to be turned to be seen: 1 … 8 (EXIF 2.3 §4.6.4 A, Orientation)
};
/// Reads PNG (pHYs, eXIf), JPEG (JFIF, EXIF, components), BMP, TIFF and WebP (EXIF). Never fails: what is not
/// understood is not stated.
Header read_header(std::string_view bytes);

}  // namespace chalkline::pictures
