// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/cleared/cleared_program.hpp>

#include <functional>
#include <map>

namespace chalkline::clearance {

struct ClearedProgram::Content {
    machine::MachineProfile machine;
    std::vector<geometry::Point> hull{};
    std::map<std::int32_t, int> most_power{};  ///< by step, %
    std::int64_t line_count = 0;
    /// Of the lines up to the end of each block of `block_lines`, those before it included; the last one of all.
    std::vector<std::uint64_t> sums{};
    /// The lines anew, not compared yet.
    std::function<std::unique_ptr<machine::LineSource>()> read;
};

inline constexpr std::size_t block_lines = 256;

/// Adds a line to the checksum of those before it.
std::uint64_t with_line(std::uint64_t sum, const machine::ProgramLine& line);

}  // namespace chalkline::clearance
