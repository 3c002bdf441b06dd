// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>

#include <limits>
#include <optional>

namespace chalkline::art {

/// How letters without outlines of their own (drawings of a CAD program) are drawn.
enum class DrawnText { outline, single_stroke };

/// What the maker decides about reading one file. Kept with the art: the same bytes and options give the same art.
struct ReadOptions {
    static constexpr double never = std::numeric_limits<double>::infinity();

    double stroke_area = 0.3;             ///< mm; strokes at least this wide become areas to fill. `never` keeps lines
    double scale = 1;                     ///< burned length of what is drawn 1 long: 1:50 is 0.02
    std::optional<double> unit;           ///< mm; length of a unit where the file does not say it
    int page = 1;                         ///< from 1, where the file has several
    std::optional<geometry::Box> part;    ///< only what lies in this box of the page (mm) is taken
    std::optional<double> picture_width;  ///< mm; width of a picture file, in place of what its resolution says
    DrawnText text = DrawnText::outline;

    bool operator==(const ReadOptions&) const = default;
};

}  // namespace chalkline::art
