// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "scanning/fill.hpp"
#include "shapes/line_groups.hpp"

#include <chalkline/planning/flat_job.hpp>
#include <chalkline/planning/plan.hpp>

namespace chalkline::planning {

/// Everything one step burns, flattened.
struct StepShapes {
    std::vector<FillShape> fills;
    CoverPile covers;  ///< over the fills
    LineWork lines;
    std::vector<std::shared_ptr<const Proof>> proofs;  ///< pictures as dots
    int narrow = 0;                                    ///< outlines that the kerf swallowed

    /// On the bed, mm.
    geometry::Box box() const;
};

/// The shapes of a job by the steps that burn them.
class JobShapes {
 public:
    /// REQUIRES: job and options outlive it.
    JobShapes(FlatJob& flat, double spot, const PlanOptions& options);
    StepShapes of(const job::Step& step, const Watch& watch);

 private:
    struct DrawnKind;
    DrawnKind drawn(const job::Step& step, std::size_t motif, const CoverPile& over_lines);
    CoverPile cover_pile(const job::Step& step, const Watch& watch);
    StepShapes pictures_of(const job::Step& step, const Watch& watch);

    FlatJob& flat_;
    const job::Job& job_;  ///< as it lies
    const Copies& copies_;
    double spot_;
    const PlanOptions& options_;
    ProofShelf once_;  ///< where the options bring none
    ProofShelf& shelf_;
    bool covering_;  ///< some art is covered by what lies over it
};

/// Fills as lines that follow the outlines of what is seen of them: the outline itself (`inset` 0), or one inside the
/// other until nothing is left, `pitch` apart (mm).
LineWork contours_of(const std::vector<FillShape>& fills, const CoverPile& covers, double inset, double pitch,
                     const Watch& watch);

}  // namespace chalkline::planning
