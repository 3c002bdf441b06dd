// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "ordering/path_order.hpp"

#include <chalkline/job/job.hpp>

#include <memory>
#include <vector>

namespace chalkline::planning {

using LineShapes = std::vector<LineShape>;

/// A motif's lines as they are drawn, at its page's corner, and where that lies on the bed. Copies share `lines`.
struct DrawnLines {
    std::shared_ptr<const LineShapes> lines;
    geometry::Box box;  ///< of `lines`
    geometry::Point at;
    job::Id motif;
};

/// Lines that are put in order together, since the motifs they come from lie over one another. Their own `motif` counts
/// the motifs of a group, which lies at `at`.
struct LineGroup {
    std::size_t pattern;
    geometry::Point at;
    std::vector<job::Id> motifs;
};

/// The lines of a step. Groups of the same pattern are copies: the same lines, moved.
struct LineWork {
    struct Pattern {
        LineShapes lines;
        geometry::Box box;
        int copies = 0;
    };
    std::vector<Pattern> patterns;
    std::vector<LineGroup> groups;  ///< by their first motif

    geometry::Box box() const;
};

LineWork grouped(const std::vector<DrawnLines>& drawn);

LineShapes moved(LineShapes lines, geometry::Point by);

}  // namespace chalkline::planning
