// SPDX-License-Identifier: GPL-3.0-or-later
#include "checks/burned_lines.hpp"

#include "shapes/covers.hpp"

#include <chalkline/geometry/outside_distance.hpp>
#include <chalkline/job/wall_bend.hpp>

namespace chalkline::planning {

std::vector<BurnedLine> burned_lines(FlatJob& flat) {
    std::vector<BurnedLine> burned;
    const job::Job& given = flat.given();
    const job::WallBend bend(given);
    const auto add = [&](geometry::Polyline line, std::size_t step, std::size_t number, bool fill, job::Id motif) {
        const geometry::Box box = geometry::bounds(line);
        burned.push_back({std::move(line), box, step, number, fill, motif});
    };
    for (std::size_t step = 0; step < given.steps.size(); ++step) {
        std::size_t number = 0;
        for (std::size_t at = 0; at < given.motifs.size(); ++at) {
            const job::Motif& motif = given.motifs[at];
            const geometry::Point corner = corner_of(flat.lying().motifs[at]);
            for (std::size_t shape = 0; shape < motif.art->shapes.size(); ++shape, ++number) {
                if (!job::Job::burns(given.steps[step], motif, shape)) continue;
                const bool fill = motif.art->shapes[shape].ink.kind == InkKind::fill;
                geometry::Region placed =
                    geometry::mapped(*flat.area(at, shape), geometry::Transform::move(corner.x, corner.y));
                for (geometry::Polyline& line : placed.rings)
                    add(std::move(line), step, number, fill, motif.id);
            }
            // A picture stands for its frame.
            for (std::size_t i = 0; i < motif.art->pictures.size(); ++i, ++number) {
                if (!given.steps[step].on || !given.sent_picture(given.steps[step], motif, i)) continue;
                const geometry::Polyline frame = job::frame_of_picture(motif, i);
                add(bend.bends(motif) ? bend.lines(motif, {frame}).front() : frame, step, number, true, motif.id);
            }
        }
    }
    return burned;
}

std::vector<geometry::Point> corners_of(const std::vector<BurnedLine>& lines) {
    std::vector<geometry::Point> corners;
    for (const BurnedLine& burned : lines)
        corners.insert(corners.end(), burned.line.points.begin(), burned.line.points.end());
    return corners;
}

Overhang worst_overhang(const std::vector<geometry::Point>& points, const geometry::Polyline& outline) {
    const auto worst = geometry::farthest_outside(points, outline);
    return {worst.by, worst.place};
}

Overhang least_margin(const std::vector<geometry::Point>& points, const geometry::Polyline& outline) {
    Overhang least{std::numeric_limits<double>::infinity(), {}};
    const auto& sides = outline.points;
    for (const geometry::Point p : points)
        for (std::size_t i = 0; i < sides.size(); ++i) {
            const auto nearest = geometry::nearest_on_line(p, sides[i], sides[(i + 1) % sides.size()]);
            if (const double away = geometry::distance(p, nearest); away < least.by) least = {away, p};
        }
    return least;
}

}  // namespace chalkline::planning
