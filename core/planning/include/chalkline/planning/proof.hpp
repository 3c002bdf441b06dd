// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/job/job.hpp>
#include <chalkline/raster/grey.hpp>
#include <chalkline/raster/statistics.hpp>

namespace chalkline::planning {

/// A picture as the dots it is burned with, in the frame where its scan lines lie level: turned by `angle` from the
/// bed.
struct Proof {
    int motif = 0, step = 0;      ///< ids
    raster::Dots dots;            ///< rows top down
    double angle = 0;             ///< of the scan lines, radians
    double left = 0, bottom = 0;  ///< of the dots' frame, level mm
    double pitch = 0.1;           ///< mm from dot to dot and line to line

    raster::DotStatistics statistics{};  ///< within `blob` of every place

    /// Dots in every direction that should hold a bare and a burned one.
    int blob_dots() const;
    /// Height of a row's middle in the level frame; row 0 is the topmost.
    double row_middle(int row) const { return bottom + (dots.height - row - 0.5) * pitch; }
    /// From dots (right and up from the lower left corner) to the bed.
    geometry::Transform to_bed() const;
    /// What of the bed holds dots.
    geometry::Box box() const;
};

/// Areas this far across without a bare dot are clogged, without a burned one bald, mm.
inline constexpr double blob = 0.5;

/// Most dots of one picture.
inline constexpr double most_dots = 400e6;

/// The picture's tones at the step's line pitch, worked out anew from the original: resampled at its final size and
/// place, grey, tone, sharpening, light, the material's response, and dots last of all. Beyond the picture nothing
/// burns. A picture of more than `most_dots` gives none.
Proof proof_of(const job::Motif& motif, std::size_t picture, const job::Step& step);

}  // namespace chalkline::planning
