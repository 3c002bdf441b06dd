// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "ordering/path_order.hpp"

#include <chalkline/job/job.hpp>

namespace chalkline::planning {

/// The lines moved aside by half the kerf: round what is enclosed or inside it, and the other way for the holes in it.
/// Open lines stay. A ring narrower than the kerf vanishes; they are counted in `narrow`.
std::vector<LineShape> beside_the_kerf(std::vector<LineShape> lines, const steps::LineSettings& settings, int& narrow);

/// What a motif's marks say, given to the nearest of its lines: where it begins, where bridges are. `as_it_lies`: from
/// its page to where the lines are.
void apply_marks(const std::vector<job::PathMark>& marks, const geometry::Transform& as_it_lies,
                 std::vector<LineShape>& lines);

/// A stretch of a line as the head goes it: from where it stands through the points.
struct Stroke {
    std::vector<geometry::Point> points;
    bool lit;
};
/// A line as it is burned once: from the start of its lead-in (`from`) through lit and dark stretches. Bridges and
/// perforation are exact lengths along the line; perforation counts from the line's start.
struct Strokes {
    geometry::Point from;
    std::vector<Stroke> strokes;
};
Strokes strokes_of(const OrderedLine& line, const steps::LineSettings& settings);

}  // namespace chalkline::planning
