// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/path.hpp>
#include <chalkline/job/job.hpp>

#include <map>
#include <vector>

namespace chalkline::job {

/// How drawings on a tapered piece are bent to come out true on its wall. The wall of a cone is a flat sheet rolled up:
/// a drawing, or a group of them, keeps its lengths and angles on that sheet, its middle lying straight along the
/// piece. What goes nine tenths of a turn or more round follows the rings instead, or its ends would not meet.
/// REQUIRES: the job outlives it.
class WallBend {
 public:
    explicit WallBend(const Job& job);
    /// False on every other piece.
    bool bends(const Motif& motif) const;
    /// Y of the middle of the motif, or of its group.
    double middle_of(const Motif& motif) const;
    /// Where a place of the bed comes to lie; `middle`: Y of the drawing's middle. REQUIRES: a motif bends.
    geometry::Point operator()(geometry::Point place, double middle) const;
    geometry::Point unbent(geometry::Point place, double middle) const;
    /// Lines of the motif on the bed, bent. REQUIRES: it bends.
    std::vector<geometry::Polyline> lines(const Motif& motif, const std::vector<geometry::Polyline>& lines) const;

 private:
    geometry::Box lying(const Motif& motif) const;
    const RoundPiece* piece_;             ///< tapered, or null
    std::map<Id, geometry::Box> groups_;  ///< bed, mm
};

/// The job with every motif as it is laid on the bed to burn: what bends is bent, pictures too.
Job as_it_lies(const Job& job);

}  // namespace chalkline::job
