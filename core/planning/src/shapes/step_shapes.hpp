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
    CoverPile covers;  ///< over the fills
    LineWork lines;
    std::vector<std::shared_ptr<const Proof>> proofs;  ///< pictures as dots
    int narrow = 0;                                    ///< outlines that the kerf swallowed

    /// On the bed, mm.
    geometry::Box box() const;
};

/// The shapes of a job by the steps that burn them. Areas are flattened once for all steps and all copies.
class JobShapes {
 public:
    /// REQUIRES: job and options outlive it.
    JobShapes(const job::Job& job, double spot, const PlanOptions& options);
    StepShapes of(const job::Step& step, const Watch& watch);

 private:
    struct DrawnKind;
    std::shared_ptr<const geometry::Region> area(std::size_t motif, std::size_t shape);
    DrawnKind drawn(const job::Step& step, std::size_t motif);
    CoverPile cover_pile(const job::Step& step, const Watch& watch);
    StepShapes pictures_of(const job::Step& step, const Watch& watch);

    const job::Job& job_;
    double spot_;
    const PlanOptions& options_;
    ProofShelf once_;  ///< where the options bring none
    ProofShelf& shelf_;
    Copies copies_;
    bool covering_;  ///< some art is covered by what lies over it
    std::vector<std::vector<std::shared_ptr<const geometry::Region>>> areas_;  ///< by kind and shape
};

/// Fills as lines that follow the outlines of what is seen of them: the outline itself (`inset` 0), or one inside the
/// other until nothing is left, `pitch` apart (mm).
LineWork contours_of(const std::vector<FillShape>& fills, const CoverPile& covers, double inset, double pitch,
                     const Watch& watch);

}  // namespace chalkline::planning
