// SPDX-License-Identifier: GPL-3.0-or-later
// Pictures traced to shapes.
#pragma once
#include <chalkline/art/artwork.hpp>
#include <chalkline/base/progress.hpp>

namespace chalkline::art {

/// Which pixels are drawn: true where the picture is darker than the threshold. Rows top down.
struct Bitmap {
    int width = 0, height = 0;
    std::vector<std::uint8_t> dark;
    bool at(int x, int y) const {
        return x >= 0 && y >= 0 && x < width && y < height &&
               dark[static_cast<std::size_t>(y) * static_cast<std::size_t>(width) + static_cast<std::size_t>(x)] != 0;
    }
};

/// Outlines of the dark areas by potrace (P. Selinger, "Potrace: a polygon-based tracing algorithm", 2003): one path
/// for each area with its holes, in pixels, Y up. `speck` in pixels.
std::vector<geometry::Path> trace_outlines(const Bitmap& bitmap, double speck, double smoothness);

/// The middle lines of dark strokes: thinned to one pixel (T. Y. Zhang and C. Y. Suen, "A fast parallel algorithm for
/// thinning digital patterns", 1984), followed from end to end and smoothed. In pixels, Y up.
std::vector<geometry::Path> trace_centre_lines(Bitmap bitmap, double speck, double smoothness, const Watch& watch);

/// Every picture of the art becomes black shapes in its place: fills, or lines for centre lines.
Result<Artwork> traced(Artwork artwork, const TraceOptions& options, const Watch& watch);

}  // namespace chalkline::art
