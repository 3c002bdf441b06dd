// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/units.hpp>
#include <chalkline/geometry/point.hpp>

#include <compare>
#include <cstdint>
#include <string>
#include <variant>
#include <vector>

namespace chalkline::machine {

/// Which step, motif and pass an operation belongs to; −1 where it serves none of them.
struct Origin {
    std::int32_t step = -1;
    std::int32_t motif = -1;
    std::int32_t pass = 0;
    bool operator==(const Origin&) const = default;
};

/// A place of a program: an operation, up to and with a part of it, as `ProgramLine` counts them.
struct ProgramPlace {
    std::int64_t operation = -1;  ///< −1: before the first
    std::int32_t part = 0;
    auto operator<=>(const ProgramPlace&) const = default;
};

/// Beam power in hundredths of a per cent of full power: 0 … 10000.
using PowerValue = std::uint16_t;
inline PowerValue power_value(Power power) {
    return static_cast<PowerValue>(std::lround(std::clamp(power.percent(), 0.0, 100.0) * 100));
}

enum class BeamMode {
    off,
    following,  ///< power follows the actual speed and is dark at rest (M4)
    constant    ///< constant power, burns on at rest (M3); only by a warned choice
};

/// A dark move: as fast as the machine can, or at the operation's speed.
struct Travel {
    geometry::Point to;
    bool rapid = true;
};
/// A chain of lines from the current place through points [first, first + count) of the program; with power 0 it is
/// dark, as a bridge is.
struct Trace {
    std::uint32_t first, count;
    PowerValue power;
};
/// One stretch of a scan line; dark when the power is 0.
struct Run {
    std::uint32_t micrometres;
    PowerValue power;
};
/// A scan line from the current place straight to `to` through runs [first, first + count), run-up and run-off
/// included as dark runs. The runs' lengths add up to the line's.
struct Sweep {
    geometry::Point to;
    std::uint32_t first, count;
};
struct Dwell {
    Duration time;
};
struct Air {
    bool on;
};
struct Beam {
    BeamMode mode;
};

/// The focus goes to this height above where it was set, mm; dark, on machines with a Z axis.
struct Focus {
    double height;
};

struct Operation {
    std::variant<Travel, Trace, Sweep, Dwell, Air, Beam, Focus> act;
    Speed speed;  ///< of traces, sweeps and slow travels
    Origin origin;
};

/// Parts of an operation as `ProgramPlace` counts them: points of a trace, runs of a sweep, else one.
inline std::int32_t parts_of(const Operation& operation) {
    if (const auto* trace = std::get_if<Trace>(&operation.act)) return static_cast<std::int32_t>(trace->count);
    if (const auto* sweep = std::get_if<Sweep>(&operation.act)) return static_cast<std::int32_t>(sweep->count);
    return 1;
}

/// Operations [first, first + count) that come more than once: those of the same pattern are the same moves by the same
/// step, moved. The first of them is the way there, which may be another one.
struct Passage {
    std::uint32_t first, count, pattern;
};

/// What the machine shall do, in bed coordinates (mm), before it becomes lines. The one source of the encoded
/// lines, the time, the rehearsal and the progress. The head's place before the first operation is unknown.
struct Program {
    std::vector<Operation> operations;
    std::vector<geometry::Point> points;  ///< of all traces
    std::vector<Run> runs;                ///< of all sweeps; those of copies share theirs
    /// Ascending, none over another. They only say what is alike, for who would work it out again: a program without
    /// them is the same.
    std::vector<Passage> passages{};
};

}  // namespace chalkline::machine
