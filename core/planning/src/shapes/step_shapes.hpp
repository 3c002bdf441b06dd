// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "scanning/fill.hpp"
#include "shapes/line_groups.hpp"

#include <chalkline/planning/plan.hpp>

namespace chalkline::planning {

/// Which motifs of a job are copies: the same drawing, lying the same way, sent to the same steps and marked alike.
class Copies {
 public:
    explicit Copies(const job::Job& job);
    /// The number of the motif's kind; all copies have the same. `motif`: index into the job's motifs.
    std::size_t kind_of(std::size_t motif) const { return kinds_[motif]; }
    std::size_t kinds() const { return count_; }

 private:
    std::vector<std::size_t> kinds_;
    std::size_t count_ = 0;
};

/// Everything one step burns, flattened.
struct StepShapes {
    std::vector<FillShape> fills;
    LineWork lines;
    std::vector<std::shared_ptr<const Proof>> proofs;  ///< pictures as dots
    int narrow = 0;                                    ///< outlines that the kerf swallowed

    /// On the bed, mm.
    geometry::Box box() const;
};
/// REQUIRES: `copies` are the job's.
StepShapes shapes_of(const job::Job& job, const job::Step& step, const Copies& copies, double spot,
                     const PlanOptions& options, const Watch& watch);

/// Fills as lines that follow their outlines: the outline itself (`inset` 0), or one inside the other until nothing is
/// left, `pitch` apart (mm).
LineWork contours_of(const std::vector<FillShape>& fills, double inset, double pitch, const Watch& watch);

}  // namespace chalkline::planning
