// SPDX-License-Identifier: GPL-3.0-or-later
#include "checks/burned_lines.hpp"

#include <chalkline/geometry/outside_distance.hpp>
#include <chalkline/job/wall_bend.hpp>

namespace chalkline::planning {
std::vector<BurnedLine> burned_lines(const job::Job& job) {
    std::vector<BurnedLine> burned;
    const job::WallBend bend(job);
    const auto lying = [&](const job::Motif& motif, std::vector<geometry::Polyline> lines) {
        return bend.bends(motif) ? bend.lines(motif, lines) : lines;
    };
    for (std::size_t step = 0; step < job.steps.size(); ++step) {
        std::size_t number = 0;
        for (const job::Motif& motif : job.motifs) {
            for (std::size_t shape = 0; shape < motif.art->shapes.size(); ++shape, ++number) {
                if (!job::Job::burns(job.steps[step], motif, shape)) continue;
                const bool fill = motif.art->shapes[shape].ink.kind == InkKind::fill;
                for (geometry::Polyline& line : lying(motif, motif.art->shapes[shape].path.flatten(motif.place))) {
                    const geometry::Box box = geometry::bounds(line);
                    burned.push_back({std::move(line), box, step, number, fill, motif.id});
                }
            }
            // A picture stands for its frame.
            for (std::size_t i = 0; i < motif.art->pictures.size(); ++i, ++number) {
                if (!job.steps[step].on || !job.sent_picture(job.steps[step], motif, i)) continue;
                geometry::Polyline frame = lying(motif, {job::frame_of_picture(motif, i)}).front();
                const geometry::Box box = geometry::bounds(frame);
                burned.push_back({std::move(frame), box, step, number, true, motif.id});
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
