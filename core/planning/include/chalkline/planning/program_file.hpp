// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/planning/plan.hpp>

#include <string>

namespace chalkline::planning {

/// The program as a file: comments that say what it is, then its lines. Comments are plain ASCII, at most 70 characters
/// a line; letters outside of it are spelled near it or as "_". REQUIRES: the program passed its checker.
std::string program_file(const std::string& title, const job::Job& job, const Plan& plan,
                         const machine::MachineProfile& machine);

}  // namespace chalkline::planning
