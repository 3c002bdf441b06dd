// SPDX-License-Identifier: GPL-3.0-or-later
// Leftovers that burn nothing anyone wants: fills without area, bits smaller than the beam.
#include "clean/contours.hpp"

namespace chalkline::art::clean {
namespace {

constexpr double no_area = 1e-3;  // mm²

}  // namespace

std::vector<Find> cure_empty_fills(const Artwork& artwork, std::vector<Contour>& contours, const CleaningLimits&,
                                   const Watch&) {
    std::vector<Find> finds;
    for (Contour& contour : contours) {
        const Ink& ink = artwork.shapes[contour.shape].ink;
        if (contour.gone || ink.kind != InkKind::fill) continue;
        // A contour that crosses itself may balance out; its box tells it from one that is flat. A thin one is empty
        // when its area would not fill a strip a thousandth of its length wide.
        const double area = std::abs(geometry::signed_area(contour.line));
        const bool flat = std::min(contour.box.width(), contour.box.height()) < 1e-3;
        if (!flat && (area > no_area || contour.line.points.size() > 3)) continue;
        contour.gone = true;
        finds.push_back({Fault::empty_fill, ink, contour.box, 0});
    }
    return finds;
}

std::vector<Find> cure_tiny_bits(const Artwork& artwork, std::vector<Contour>& contours, const CleaningLimits& limits,
                                 const Watch&) {
    std::vector<Find> finds;
    for (Contour& contour : contours) {
        const Ink& ink = artwork.shapes[contour.shape].ink;
        const double size = std::max(contour.box.width(), contour.box.height());
        const bool open = ink.kind == InkKind::line && !contour.line.closed;
        const bool small = open ? contour.length < limits.smallest : size < limits.smallest;
        if (contour.gone || !small) continue;
        contour.gone = true;
        finds.push_back({Fault::tiny_bit, ink, contour.box, ink.kind == InkKind::line ? contour.length : 0});
    }
    return finds;
}

}  // namespace chalkline::art::clean
