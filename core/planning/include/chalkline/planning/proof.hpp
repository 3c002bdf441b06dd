// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/progress.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/raster/grey.hpp>
#include <chalkline/raster/preparation.hpp>
#include <chalkline/raster/statistics.hpp>

namespace chalkline::planning {

/// Where the dots of a picture lie, in the frame where its scan lines lie level: turned by `angle` from the bed.
struct DotFrame {
    double angle = 0;              ///< of the scan lines, radians
    double left = 0, bottom = 0;   ///< level mm
    double across = 0.1;           ///< mm from dot to dot along a line
    double pitch = 0.1;            ///< mm from line to line
    double columns = 0, rows = 0;  ///< whole; 0 where there is nothing to burn

    /// Height of a row's middle in the level frame; row 0 is the topmost.
    double row_middle(int row) const { return bottom + (rows - row - 0.5) * pitch; }
    /// From dots (right and up from the lower left corner) to the bed.
    geometry::Transform to_bed() const;
    /// What of the bed holds dots.
    geometry::Box box() const;
};

/// A picture as the dots it is burned with.
struct Proof {
    int motif = 0, step = 0;  ///< ids
    std::size_t picture = 0;  ///< of the motif's art
    DotFrame frame;
    raster::Dots dots;                   ///< rows top down
    raster::DotStatistics statistics{};  ///< within `blob` of every place

    /// Dots in every direction that should hold a bare and a burned one.
    int blob_dots() const;
};

/// Areas this far across without a bare dot are clogged, without a burned one bald, mm.
inline constexpr double blob = 0.5;

/// A motif that lies over another: what of it decides what is seen.
struct PaintOver {
    std::shared_ptr<const art::Artwork> art;
    geometry::Transform place;
    raster::Preparation preparation;
    bool operator==(const PaintOver&) const = default;
};
/// The motifs that lie over this one of the job; none where its paint does not cover.
std::vector<PaintOver> paint_over(const job::Job& job, const job::Motif& motif);

/// Most dots of one picture.
inline constexpr double most_dots = 400e6;

/// Where the dots of a motif's picture lie when a step burns it: all of what is left after cropping. Lines lie on whole
/// multiples of the pitch, so that pictures side by side can share them.
DotFrame dot_frame(const job::Motif& motif, std::size_t picture, const steps::StepSettings& settings);

/// The picture as it is seen in the frame with so many pixels. `pixels`: columns and rows of the picture's own image or
/// of a copy of it in another size.
raster::Sight sight_of(const DotFrame& frame, const job::Motif& motif, std::size_t picture, int image_width,
                       int image_height, int width, int height);

/// How much of full tone an area of this colour burns at in a step: 1 where its inks burn alike, 0 bare.
double ink_share(Rgb rgb, const steps::StepSettings& settings);

/// What the step's material makes of dots under a beam of this spot, mm.
raster::Material material_of(const steps::StepSettings& settings, double spot);
/// How its dots are set, the rest of the beam between them in dots.
raster::DitherSettings dots_of(const steps::StepSettings& settings);

/// The picture's tones at the step's line pitch, worked out anew from the original: what of it stays (`kept`, see
/// raster::kept), resampled at its final size and place, grey, tone, sharpening, light, the material's response, and
/// dots last of all. Beyond the picture, its clip and its crop, and under paint that covers it, nothing burns. `over`:
/// see paint_over. A picture of more than `most_dots` gives none, nor does work that was cancelled.
Proof proof_of(const job::Motif& motif, std::size_t picture, const job::Step& step, double spot,
               const raster::GreyImage& kept, const std::vector<geometry::Region>& covers = {},
               const Watch& watch = {});

}  // namespace chalkline::planning
