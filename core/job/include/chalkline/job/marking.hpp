// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>

#include <vector>

namespace chalkline::job {

namespace error {
inline constexpr std::string_view marks_too_near = "job.marks-too-near";
inline constexpr std::string_view marks_in_line = "job.marks-in-line";
}  // namespace error

/// How places of the real piece, marked with the head, say where it lies.
enum class MarkedBy {
    two_corners,    ///< opposite corners of a piece that lies straight
    three_corners,  ///< three corners in order round it: its angle too
    round           ///< three places on the edge of a round piece
};
int marks_needed(MarkedBy by);

/// Marks nearer to each other than this cannot tell a piece, mm.
inline constexpr double nearest_marks = 2;

/// The piece that lies at the marks, bed mm; material, thickness and margin are those of `before`. Three corners need
/// not be quite square: the side between the first two keeps its direction. A rectangle's angle is within ±45°.
/// Errors: marks_too_near; marks_in_line of three that lie on one line.
/// REQUIRES: as many marks as are needed.
Result<Stock> stock_at_marks(MarkedBy by, const std::vector<geometry::Point>& marks, Stock before);

/// Puts the piece there. `with_art`: the art keeps its place on the piece, turned with it.
Result<Job> place_stock(Job job, const Stock& stock, bool with_art);

}  // namespace chalkline::job
