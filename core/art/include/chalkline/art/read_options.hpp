// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>

#include <limits>
#include <optional>
#include <vector>

namespace chalkline::art {

/// How letters without outlines of their own (drawings of a CAD program) are drawn.
enum class DrawnText { outline, single_stroke };

/// A kind of fault of a drawing, in the order they are mended.
enum class Fault {
    empty_fill,       ///< a fill without any area
    tiny_bit,         ///< shorter than the beam is wide
    doubled_line,     ///< drawn twice: reversed, partly or split differently too
    doubled_outline,  ///< both edges of a thick traced line, where one line was meant
    open_end,         ///< ends that nearly meet, where one line goes on in the other's direction or a contour closes
    two_inks,         ///< the same line in two inks: told, not mended
};
inline constexpr int fault_kinds = 6, mendable_kinds = 5;

/// How far apart things may be, mm.
struct CleaningLimits {
    double same = 0.05;     ///< lines closer than this are one
    double smallest = 0.1;  ///< the beam's width
    double gap = 0.3;       ///< ends closer than this were meant to meet
    double thick = 0.6;     ///< outlines closer than this are edges of one traced line
    bool operator==(const CleaningLimits&) const = default;
};

/// How a picture becomes lines.
struct TraceOptions {
    bool centre_lines = false;  ///< single lines along the middle of strokes, in place of the outlines of dark areas
    int threshold = 128;        ///< darker than this (0…255) is drawn
    double speck = 0.2;         ///< mm; spots and stray lines smaller than this are passed over
    double smoothness = 1;      ///< 0: every corner stays; 1: ordinary; 1.3: no corners
    bool operator==(const TraceOptions&) const = default;
};

/// What the maker decides about reading one file. Kept with the art: the same bytes and options give the same art.
struct ReadOptions {
    static constexpr double never = std::numeric_limits<double>::infinity();

    double stroke_area = 0.3;    ///< mm; strokes at least this wide become areas to fill. `never` keeps lines
    double scale = 1;            ///< burned length of what is drawn 1 long: 1:50 is 0.02
    double density = 96;         ///< pixels an inch of drawings whose size is in pixels: some programs count 72 or 90
    std::optional<double> unit;  ///< mm; length of a unit where the file does not say it
    int page = 1;                ///< from 1, where the file has several
    std::optional<geometry::Box> part;    ///< only what lies in this box of the page (mm) is taken
    std::optional<double> picture_width;  ///< mm; width of a picture file, in place of what its resolution says
    DrawnText text = DrawnText::outline;
    bool linetypes = true;              ///< dashed and dotted lines of CAD drawings are dashed and dotted
    bool hatches = true;                ///< patterns of nothing but thin lines are those lines
    std::optional<TraceOptions> trace;  ///< pictures become shapes
    bool cover = true;                  ///< areas burn only where they are seen, and what is translucent is mixed
    bool cover_lines = false;           ///< with `cover`: lines too burn only where no area lies over them
    /// Mm from dot to dot: all but thin lines becomes one picture that looks as the drawing does.
    std::optional<double> as_picture;
    std::vector<int> removed;  ///< shapes taken out, counted as they were read; rising
    std::vector<Fault> mend;   ///< kinds of faults mended after that
    CleaningLimits limits;

    bool operator==(const ReadOptions&) const = default;
};

}  // namespace chalkline::art
