// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/region.hpp>
#include <chalkline/job/job.hpp>

#include <memory>
#include <vector>

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

/// A job whose curves are made into straight lines once, for its plan and its checks alike. Copies share what is drawn.
/// One thread at a time.
/// REQUIRES: the job outlives it.
class FlatJob {
 public:
    explicit FlatJob(const job::Job& job);
    const job::Job& given() const { return given_; }
    /// As it is laid on the piece: bent where that is tapered (job/wall_bend.hpp).
    const job::Job& lying() const { return lying_; }
    const Copies& copies() const { return copies_; }
    /// A shape's lines, or the area they enclose, as it lies from its page's corner, mm. `motif`, `shape`: indices.
    std::shared_ptr<const geometry::Region> area(std::size_t motif, std::size_t shape);

 private:
    const job::Job& given_;
    job::Job lying_;
    Copies copies_;
    std::vector<std::vector<std::shared_ptr<const geometry::Region>>> areas_;  ///< by kind and shape
};

}  // namespace chalkline::planning
