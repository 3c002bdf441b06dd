// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/machine/program.hpp>

#include <cstddef>

namespace chalkline::machine {

/// What is left of a program, with the way back into it: the head goes dark to where it has to go on, with air, focus
/// and beam as they were there.
struct Rest {
    Program program;
    std::size_t lead = 0;    ///< operations put in front
    std::size_t from = 0;    ///< operation of the whole program that the first one behind the lead goes on with
    std::int32_t parts = 0;  ///< parts of it that are left out
    ProgramPlace done{};     ///< of the whole program, before the first operation
    /// The same place counted in the whole program.
    ProgramPlace in_whole(ProgramPlace in_rest) const;
};

/// REQUIRES: `done` is a place of the program. A trace is taken up at the point it reached; a sweep is ridden from its
/// beginning, dark as far as it was burned, so that the head has its run-up.
Rest rest_of(const Program& program, ProgramPlace done);

/// How far a program is surely burned when its controller, which had got it up to `begun` and was done up to `done` or
/// further, is found at rest at `head`: it carries out its lines one after the other, so what leads to where the head
/// stands is done, and the move it stands in the middle of is not. Of several moves that pass there the first is taken:
/// nothing is ever left out. `done` where no move in between passes there.
ProgramPlace done_at_rest(const Program& program, ProgramPlace done, ProgramPlace begun, geometry::Point head);

/// A place of the program from which `millimetres` of lit way or a little more lead to `done`: what was burned before
/// it is burned once more.
ProgramPlace backed_up(const Program& program, ProgramPlace done, double millimetres);

}  // namespace chalkline::machine
