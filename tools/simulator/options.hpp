// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/machine/profile.hpp>
#include <chalkline/simulator/faults.hpp>
#include <chalkline/simulator/material.hpp>

#include <optional>
#include <string>
#include <vector>

namespace chalkline::sim {

/// What the command line asked for.
struct Options {
    std::string pty;  ///< link to make; empty when TCP is used
    int tcp = 0;      ///< port on the loopback address; 0 when a pty is used
    machine::MachineProfile profile;
    simulator::Board board;
    double speed = 1;  ///< virtual seconds a second; infinite: as fast as possible
    simulator::Piece piece;
    bool has_stock = false;
    std::string picture, dose, report, settings;
    std::string round_piece;  ///< file that says what the rotary holds; it may come and go
    double cells_per_mm = 10;
    std::vector<simulator::Fault> faults;
};

/// Reads the command line. When there is nothing to run (help, wrong use) `exit_code` says how to end.
struct Parsed {
    Options options;
    std::optional<int> exit_code;
};
Parsed parse_options(int argc, char** argv);

}  // namespace chalkline::sim
