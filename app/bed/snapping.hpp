// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/job/job.hpp>
#include <chalkline/machine/profile.hpp>

#include <optional>
#include <vector>

namespace chalkline::app {

/// Lines of the bed that moved things catch on: edges and middles of the bed, the stock and other motifs.
struct SnapLines {
    std::vector<double> across, up;  ///< x of upright lines, y of level ones, mm

    void add(const geometry::Box& box);
};
/// The lines of everything but the moved motifs.
SnapLines snap_lines(const job::Job& job, const machine::MachineProfile& machine, const job::Ids& moved);

/// How far to go on for the nearest catch, and the lines that were caught.
struct Snap {
    geometry::Point by;
    std::optional<double> x, y;  ///< caught upright and level line
};
/// Catches left, middle or right and bottom, middle or top of the box within `reach` mm.
Snap snap(const geometry::Box& box, const SnapLines& lines, double reach);
/// Catches a single place.
Snap snap(geometry::Point place, const SnapLines& lines, double reach);

}  // namespace chalkline::app
