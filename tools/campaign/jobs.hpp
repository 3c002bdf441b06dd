// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/machine/program.hpp>
#include <chalkline/simulator/board.hpp>

#include <memory>
#include <string>
#include <vector>

namespace chalkline::campaign {

/// What is burned over and over: a program, small enough for a thousand times, by a machine with one kind of board.
struct Work {
    std::string name;
    machine::MachineProfile profile;
    simulator::Board board;
    std::shared_ptr<const machine::Program> program;
    bool constant_beam = false;  ///< M3: as bright at rest as in motion
};

/// The samples, made small: a plate with fills, scores and cuts, a dithered picture, a row of tags cut with bridges and
/// perforation, and the same row with a constant beam.
Result<std::vector<Work>> sample_works(const simulator::Board& board);

/// The boards that come along and can burn; only the one of that name, if any.
Result<std::vector<simulator::Board>> boards(const std::string& only);

}  // namespace chalkline::campaign
