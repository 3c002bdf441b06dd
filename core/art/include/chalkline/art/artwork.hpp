// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/ink.hpp>
#include <chalkline/base/result.hpp>
#include <chalkline/geometry/region.hpp>

#include <memory>
#include <string>
#include <vector>

namespace chalkline::art {

/// One painted thing: a path laid in one ink. An element with fill and stroke makes two shapes.
struct Shape {
    geometry::Path path;  ///< mm on the page, Y up
    Ink ink;
    geometry::FillRule rule = geometry::FillRule::non_zero;  ///< fills only
    double stroke_width = 0;                                 ///< lines only, mm as drawn
    int line = 0;                                            ///< line in the source file, 0 when unknown
};

/// What a reader made of one file. A value; large, so it travels as `shared_ptr<const Artwork>`.
struct Artwork {
    std::string name;           ///< file name without folders
    std::string format;         ///< "svg"
    geometry::Point page;       ///< width and height, mm; the shapes' origin is its lower left corner
    std::vector<Shape> shapes;  ///< in painting order
    std::vector<Notice> notices;
    std::shared_ptr<const std::string> source;  ///< the file's bytes, kept with the job
};

/// What the art holds of one ink.
struct InkSummary {
    Ink ink;
    int shapes = 0;
    int closed = 0;     ///< closed contours
    geometry::Box box;  ///< of the geometry, mm
    double length = 0;  ///< all contours, mm
    double area = 0;    ///< fills: painted area, overlaps counted once, mm²
};

/// The distinct inks in order of first appearance, cheap facts only (no lengths or areas).
std::vector<InkSummary> inks(const Artwork& artwork);
/// The same with lengths and areas; flattens every curve.
std::vector<InkSummary> measured_inks(const Artwork& artwork);

/// Box of all geometry (stroke widths not counted), mm.
geometry::Box bounds(const Artwork& artwork);

}  // namespace chalkline::art
