// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/machine/program.hpp>

#include <optional>

namespace chalkline::machine {

/// One straight move of a program: from where the head stands to `to`; dark where the power is 0.
struct Stretch {
    ProgramPlace place;
    geometry::Point from, to;
    PowerValue power;
    const Operation& operation;
    double length() const { return geometry::distance(from, to); }
};

/// Where the head is after an operation of the program; nothing when it moves nothing.
inline std::optional<geometry::Point> end_of(const Program& program, const Operation& operation) {
    if (const auto* travel = std::get_if<Travel>(&operation.act)) return travel->to;
    if (const auto* sweep = std::get_if<Sweep>(&operation.act)) return sweep->to;
    const auto* trace = std::get_if<Trace>(&operation.act);
    if (trace && trace->count > 0) return program.points[trace->first + trace->count - 1];
    return {};
}

/// Calls `visit(stretch)` for every move of one operation that begins at `at`; where the head is afterwards.
template <class Visit>
geometry::Point walk_operation(const Program& program, std::size_t index, geometry::Point at, Visit&& visit) {
    const Operation& operation = program.operations[index];
    const auto go = [&](std::uint32_t part, geometry::Point to, PowerValue power) {
        visit(Stretch{{static_cast<std::int64_t>(index), static_cast<std::int32_t>(part)}, at, to, power, operation});
        at = to;
    };
    if (const auto* travel = std::get_if<Travel>(&operation.act)) {
        go(0, travel->to, 0);
    } else if (const auto* trace = std::get_if<Trace>(&operation.act)) {
        for (std::uint32_t k = 0; k < trace->count; ++k)
            go(k, program.points[trace->first + k], trace->power);
    } else if (const auto* sweep = std::get_if<Sweep>(&operation.act)) {
        const geometry::Point begin = at;
        const double whole = geometry::distance(begin, sweep->to) * 1000;
        double gone = 0;
        for (std::uint32_t k = 0; k < sweep->count; ++k) {
            const Run& run = program.runs[sweep->first + k];
            gone += run.micrometres;
            go(k, whole > 0 ? geometry::between(begin, sweep->to, gone / whole) : begin, run.power);
        }
    }
    return at;
}

/// Calls `visit(stretch)` for every move of the program in order. The first comes from 0, 0: nobody knows from where.
template <class Visit>
void walk(const Program& program, Visit visit) {
    geometry::Point at;
    for (std::size_t i = 0; i < program.operations.size(); ++i)
        at = walk_operation(program, i, at, visit);
}

}  // namespace chalkline::machine
