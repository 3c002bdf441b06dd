// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/point.hpp>
#include <chalkline/machine/line_source.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/machine/program.hpp>
#include <chalkline/machine/trim.hpp>

#include <cstdint>
#include <memory>
#include <vector>

namespace chalkline::clearance {

class Gate;

/// A program that passed every check of a burn, and the machine it passed them for: the only thing a session burns,
/// frames or stores. Only `clear` makes one (clear.hpp). A value: copies share what never changes. Any thread.
class ClearedProgram {
 public:
    const machine::MachineProfile& machine() const;
    /// The convex hull of where the beam is lit, bed mm; empty: it stays dark.
    const std::vector<geometry::Point>& hull() const;
    std::int64_t line_count() const;
    /// Of all its lines: two programs with the same are the same to the byte.
    std::uint64_t fingerprint() const;
    /// The highest power override of a step, % of what its lines say, that stays within the workshop's ceiling and the
    /// machine's full power; 100 … 200.
    int most_power(std::int32_t step) const;
    /// `wanted` held to that, step by step.
    machine::Trims within_limits(machine::Trims wanted) const;

    /// The lines that were checked, from the first. They are encoded anew each time, so that a large picture never
    /// stands in memory as text, and every block is compared with what was checked before its first line is given out.
    std::unique_ptr<machine::LineSource> lines() const;
    /// All of them as text, one line feed after each.
    std::string text() const;

 private:
    friend class Gate;
    friend class ClearanceForTests;  // tests/support: lines that no gate would let through
    struct Content;
    explicit ClearedProgram(std::shared_ptr<const Content> content) : content_(std::move(content)) {}
    std::shared_ptr<const Content> content_;
};

}  // namespace chalkline::clearance
