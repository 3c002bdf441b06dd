// SPDX-License-Identifier: GPL-3.0-or-later

#include <chalkline/planning/proof.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace chalkline::planning {
namespace {

using geometry::Box;
using geometry::Point;
using geometry::Polyline;
using geometry::Transform;

constexpr double whole_slack = 1e-6;  // dots: what rounding leaves of a whole number

/// What of the frame may burn, in dots from its lower left corner: the cropped picture, and its clip.
std::vector<geometry::Region> burnable(const DotFrame& frame, const job::Motif& motif, std::size_t picture) {
    const Transform to_dots = frame.to_bed().inverse();
    std::vector<geometry::Region> limits{geometry::mapped({{job::frame_of_picture(motif, picture)}}, to_dots)};
    if (const auto& clip = motif.art->pictures[picture].clip)
        limits.push_back(geometry::mapped(*clip, to_dots * motif.place));
    return limits;
}

/// Calls `row_of(levels, stretches)` for each row of dots with the stretches of it that lie in the areas, given in dots
/// from the lower left corner.
template <class Row>
void for_each_row(raster::Dots& dots, const std::vector<geometry::Region>& areas, Row row_of) {
    const auto rows = geometry::scan_rows(0.5, dots.height, areas, 1);
    static const std::vector<geometry::Stretch> none;
    auto row = rows.begin();
    for (int up = 0; up < dots.height; ++up) {
        const bool here = row != rows.end() && std::lround(row->y - 0.5) == up;
        row_of(dots.row(dots.height - 1 - up), here ? row->stretches : none);
        if (here) ++row;
    }
}

/// The first dot whose middle lies at or beyond a place along a row.
int dot_from(double place, int width) {
    return std::clamp(static_cast<int>(std::ceil(place - 0.5)), 0, width);
}

/// Clears dots whose middle lies outside an area given in dots from the lower left corner.
void clear_outside(raster::Dots& dots, const geometry::Region& area) {
    for_each_row(dots, {area}, [&](std::uint8_t* levels, const std::vector<geometry::Stretch>& stretches) {
        int bare_from = 0;
        for (const geometry::Stretch& s : stretches) {
            const int from = dot_from(s.from - whole_slack, dots.width), to = dot_from(s.to + whole_slack, dots.width);
            std::fill(levels + bare_from, levels + std::max(from, bare_from), std::uint8_t{0});
            bare_from = std::max(from, to);
        }
        std::fill(levels + bare_from, levels + dots.width, std::uint8_t{0});
    });
}

/// Clears dots whose middle lies in one of the areas.
void clear_inside(raster::Dots& dots, const std::vector<geometry::Region>& areas) {
    for_each_row(dots, areas, [&](std::uint8_t* levels, const std::vector<geometry::Stretch>& stretches) {
        for (const geometry::Stretch& s : stretches)
            std::fill(levels + dot_from(s.from, dots.width),
                      levels + std::max(dot_from(s.from, dots.width), dot_from(s.to, dots.width)), std::uint8_t{0});
    });
}

bool covers_frame(const DotFrame& frame, const geometry::Region& area) {
    if (area.rings.size() != 1 || area.rings.front().points.size() != 4) return false;
    const Box box = geometry::bounds(area.rings);
    return geometry::covered_area({area}) > box.width() * box.height() * (1 - 1e-6) &&
           box.contains({0, 0, frame.columns, frame.rows}, 0.5);
}

}  // namespace

Transform DotFrame::to_bed() const {
    return Transform::turn(angle) * Transform::move(left, bottom) * Transform::scale(across, pitch);
}

Box DotFrame::box() const {
    Box box;
    for (const Point corner : {Point{0, 0}, Point{columns, 0}, Point{columns, rows}, Point{0, rows}})
        if (columns > 0 && rows > 0) box.add(to_bed()(corner));
    return box;
}

int Proof::blob_dots() const {
    return std::max(1, static_cast<int>(std::lround(blob / frame.pitch)));
}

DotFrame dot_frame(const job::Motif& motif, std::size_t picture, const steps::StepSettings& settings) {
    DotFrame frame;
    frame.angle = settings.fill.angle * std::numbers::pi / 180;
    frame.pitch = settings.line_pitch.mm();
    frame.across = settings.picture.dot_pitch > Length() ? settings.picture.dot_pitch.mm() : frame.pitch;
    const art::PlacedPicture& placed = motif.art->pictures[picture];
    if ((motif.place * placed.place).area() == 0 || placed.image->pixels.empty()) return frame;
    Box box;
    for (const Point corner : job::frame_of_picture(motif, picture).points)
        box.add(Transform::turn(-frame.angle)(corner));
    // Whole dots that fit: a picture as large as the bed stays on it.
    frame.left = box.left;
    frame.columns = std::max(1.0, std::floor(box.width() / frame.across + whole_slack));
    frame.bottom = std::ceil(box.bottom / frame.pitch - whole_slack) * frame.pitch;
    frame.rows = std::floor((box.top - frame.bottom) / frame.pitch + whole_slack);
    if (frame.rows < 1) {
        frame.bottom = box.bottom;
        frame.rows = 1;
    }
    if (frame.columns * frame.rows > most_dots) frame.columns = frame.rows = 0;
    return frame;
}

raster::Sight sight_of(const DotFrame& frame, const job::Motif& motif, std::size_t picture, int image_width,
                       int image_height, int width, int height) {
    const Transform from_bed = (motif.place * motif.art->pictures[picture].place).inverse(), to_bed = frame.to_bed();
    const auto source = [&](double x, double y) {
        const Point unit = from_bed(to_bed({x / width * frame.columns, (1 - y / height) * frame.rows}));
        return Point{unit.x * image_width, (1 - unit.y) * image_height};
    };
    const Point origin = source(0, 0), right = source(1, 0) - origin, down = source(0, 1) - origin;
    return {{right.x, down.x, origin.x, right.y, down.y, origin.y},
            width,
            height,
            frame.columns * frame.across / width,
            frame.rows * frame.pitch / height};
}

std::vector<PaintOver> paint_over(const job::Job& job, const job::Motif& motif) {
    std::vector<PaintOver> over;
    if (!motif.art->read_with.cover) return over;
    const Box box = job::bounds(motif);
    bool above = false;
    for (const job::Motif& other : job.motifs) {
        if (above && geometry::overlap(job::bounds(other), box))
            over.push_back({other.art, other.place, other.preparation});
        above = above || other.id == motif.id;
    }
    return over;
}

double ink_share(Rgb rgb, const steps::StepSettings& settings) {
    const bool alike = settings.fill.tones == steps::FillSettings::Tones::flat ||
                       settings.fill.way != steps::FillSettings::Way::scan_lines;
    if (alike) return 1;
    const double share = raster::burned_share(rgb, {settings.picture.response, settings.picture.burns_light, 1});
    constexpr double nothing = 0.5 / 255;
    return share < nothing ? 0 : share;
}

raster::Material material_of(const steps::StepSettings& settings, double spot) {
    const steps::PictureSettings& picture = settings.picture;
    const bool spared = picture.spare_gain && picture.response.size() < 2;
    return {picture.response, picture.burns_light, spared ? raster::dot_gain(spot, settings.line_pitch.mm()) : 1};
}

raster::DitherSettings dots_of(const steps::StepSettings& settings) {
    raster::DitherSettings dots = settings.picture.dots;
    const double across =
        settings.picture.dot_pitch > Length() ? settings.picture.dot_pitch.mm() : settings.line_pitch.mm();
    const double rest = settings.picture.off_time.seconds() * settings.speed.mm_per_s() / across;
    dots.bare_between = std::max(dots.bare_between, static_cast<int>(std::ceil(std::min(rest, 1000.0) - whole_slack)));
    return dots;
}

Proof proof_of(const job::Motif& motif, std::size_t picture, const job::Step& step, double spot,
               const raster::GreyImage& kept, const std::vector<geometry::Region>& covers, const Watch& watch) {
    const raster::RgbImage& image = *motif.art->pictures[picture].image;
    Proof proof{motif.id, step.id, picture, dot_frame(motif, picture, step.settings), {}, {}};
    const int columns = static_cast<int>(proof.frame.columns), rows = static_cast<int>(proof.frame.rows);
    if (columns == 0 || rows == 0) return proof;
    const raster::Sight sight = sight_of(proof.frame, motif, picture, image.width, image.height, columns, rows);
    const auto light = raster::light_of(image, kept, motif.preparation, material_of(step.settings, spot), sight);
    if (watch.cancelled()) return proof;
    proof.dots = raster::dither(light, dots_of(step.settings));
    if (watch.cancelled()) return proof;
    for (const geometry::Region& area : burnable(proof.frame, motif, picture))
        if (!covers_frame(proof.frame, area)) clear_outside(proof.dots, area);
    std::vector<geometry::Region> covered;
    for (const geometry::Region& cover : covers)
        covered.push_back(geometry::mapped(cover, proof.frame.to_bed().inverse()));
    if (!covered.empty()) clear_inside(proof.dots, covered);
    proof.statistics = raster::statistics(proof.dots, proof.blob_dots());
    return proof;
}

}  // namespace chalkline::planning
