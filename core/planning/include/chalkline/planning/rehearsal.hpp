// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/planning/plan.hpp>

#include <map>
#include <memory>
#include <utility>
#include <vector>

namespace chalkline::planning {

/// Where a plan's time goes, s.
struct TimeShares {
    std::map<job::Id, double> by_motif;
    std::map<std::pair<job::Id, int>, double> by_pass;  ///< step and pass, counted from 0
};
TimeShares time_shares(const Plan& plan);

/// A plan as something that passes in time: what the machine does at any moment of it, without replaying what came
/// before. Inside an operation the head is taken to go evenly.
class Rehearsal {
 public:
    explicit Rehearsal(std::shared_ptr<const Plan> plan);

    const Plan& plan() const { return *plan_; }
    double total() const { return plan_->total.seconds(); }

    /// One moment.
    struct Instant {
        std::size_t operation = 0;  ///< under way; the number of operations when all is done
        geometry::Point head;
        double power = 0;  ///< share of full power; 0: dark
        double speed = 0;  ///< mm/min, the operation's mean
        machine::Origin origin;
    };
    /// `seconds` is held to 0 … total.
    Instant at(double seconds) const;

    /// A step from its first operation to its last, s.
    struct Span {
        job::Id step;
        double from, to;
    };
    const std::vector<Span>& spans() const { return spans_; }
    /// Where the head is when an operation begins.
    geometry::Point start_of(std::size_t operation) const { return starts_[operation]; }
    /// When an operation begins, s.
    double begins(std::size_t operation) const { return operation == 0 ? 0 : plan_->finished_at[operation - 1]; }

 private:
    std::shared_ptr<const Plan> plan_;
    std::vector<geometry::Point> starts_;  ///< where the head is when an operation begins
    std::vector<double> lengths_;          ///< mm, per operation
    std::vector<Span> spans_;
};

}  // namespace chalkline::planning
