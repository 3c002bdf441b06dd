// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/contract.hpp>
#include <chalkline/machine/rest.hpp>
#include <chalkline/machine/walk.hpp>

#include <optional>

namespace chalkline::machine {
namespace {

/// What a controller remembers from one operation to the next.
struct Standing {
    std::optional<geometry::Point> at;
    std::optional<Air> air;
    std::optional<Focus> focus;
    BeamMode beam = BeamMode::off;
};

Standing standing_after(const Program& program, std::size_t operations) {
    Standing standing;
    for (std::size_t i = 0; i < operations; ++i) {
        const auto& act = program.operations[i].act;
        if (const auto end = end_of(program, program.operations[i])) standing.at = end;
        if (const auto* air = std::get_if<Air>(&act)) standing.air = *air;
        if (const auto* focus = std::get_if<Focus>(&act)) standing.focus = *focus;
        if (const auto* beam = std::get_if<Beam>(&act)) standing.beam = beam->mode;
    }
    return standing;
}

/// The operation without its first `parts`; false when nothing of it is left.
bool cut(Operation& operation, std::uint32_t parts, Program& program, Standing& standing) {
    if (auto* trace = std::get_if<Trace>(&operation.act)) {
        if (parts >= trace->count) return false;
        standing.at = program.points[trace->first + parts - 1];
        trace->first += parts;
        trace->count -= parts;
        return true;
    }
    auto* sweep = std::get_if<Sweep>(&operation.act);
    if (!sweep || parts >= sweep->count) return false;
    Run dark{0, 0};
    for (std::uint32_t i = 0; i < parts; ++i)
        dark.micrometres += program.runs[sweep->first + i].micrometres;
    // Its runs may be those of other sweeps, too: it gets its own.
    std::vector<Run> left{dark};
    left.insert(left.end(), program.runs.begin() + sweep->first + parts,
                program.runs.begin() + sweep->first + sweep->count);
    sweep->first = static_cast<std::uint32_t>(program.runs.size());
    sweep->count = static_cast<std::uint32_t>(left.size());
    program.runs.insert(program.runs.end(), left.begin(), left.end());
    return true;
}

}  // namespace

ProgramPlace Rest::in_whole(ProgramPlace in_rest) const {
    const auto ahead = static_cast<std::int64_t>(lead);
    const auto begun = static_cast<std::int64_t>(from);
    if (in_rest.operation < ahead) return done;
    const std::int64_t behind = in_rest.operation - ahead;
    if (behind > 0 || parts == 0) return {begun + behind, in_rest.part};
    // A trace lost its first parts; of a sweep one dark run stands for them.
    const bool sweep = std::holds_alternative<Sweep>(program.operations[lead].act);
    return {begun, in_rest.part + parts - (sweep ? 1 : 0)};
}

Rest rest_of(const Program& program, ProgramPlace done) {
    CHALKLINE_REQUIRES(done.operation < static_cast<std::int64_t>(program.operations.size()));
    Rest rest;
    rest.program = program;
    rest.done = done;
    rest.program.passages.clear();
    rest.from = static_cast<std::size_t>(done.operation < 0 ? 0 : done.operation);
    Standing standing = standing_after(program, rest.from);
    if (done.operation >= 0) {
        rest.parts = done.part + 1;
        if (!cut(rest.program.operations[rest.from], static_cast<std::uint32_t>(rest.parts), rest.program, standing)) {
            rest.parts = 0;
            standing = standing_after(program, ++rest.from);
        }
    }
    std::vector<Operation> way_back;
    if (standing.air) way_back.push_back({*standing.air, {}, {}});
    if (standing.focus) way_back.push_back({*standing.focus, {}, {}});
    if (standing.at) way_back.push_back({Travel{*standing.at}, {}, {}});
    if (standing.beam != BeamMode::off) way_back.push_back({Beam{standing.beam}, {}, {}});
    rest.lead = way_back.size();
    auto& operations = rest.program.operations;
    operations.erase(operations.begin(), operations.begin() + static_cast<std::ptrdiff_t>(rest.from));
    operations.insert(operations.begin(), way_back.begin(), way_back.end());
    return rest;
}

ProgramPlace done_at_rest(const Program& program, ProgramPlace done, ProgramPlace begun, geometry::Point head) {
    constexpr double near = 0.02;  // mm: a report is rounded to thousandths, of an inch at worst
    std::optional<ProgramPlace> found;
    ProgramPlace before = done;
    walk(program, [&](const Stretch& stretch) {
        if (found || stretch.place <= done || stretch.place > begun) return;
        if (geometry::distance(head, stretch.to) < near)
            found = stretch.place;
        else if (geometry::distance(head, geometry::nearest_on_line(head, stretch.from, stretch.to)) < near)
            found = before;
        before = stretch.place;
    });
    return found.value_or(done);
}

ProgramPlace backed_up(const Program& program, ProgramPlace done, double millimetres) {
    if (done.operation < 0 || millimetres <= 0) return done;
    struct Part {
        ProgramPlace place;
        double lit;  ///< mm
    };
    std::vector<Part> parts;
    walk(program, [&](const Stretch& stretch) {
        if (stretch.place <= done) parts.push_back({stretch.place, stretch.power > 0 ? stretch.length() : 0});
    });
    for (double left = millimetres; !parts.empty() && left > 0; parts.pop_back())
        left -= parts.back().lit;
    return parts.empty() ? ProgramPlace{} : parts.back().place;
}

}  // namespace chalkline::machine
