// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/cleared/cleared_program.hpp>

#include <memory>
#include <string>
#include <vector>

namespace chalkline::test {

/// Takes any lines past the gate: tests of a conversation send what no gate would let through. All of them are read at
/// once.
clearance::ClearedProgram let_through(std::unique_ptr<machine::LineSource> lines,
                                      const machine::MachineProfile& machine);

/// The same lines, but that line `number`, from 0, is another one whenever they are read: as if what was checked had
/// changed afterwards.
clearance::ClearedProgram let_through_altered(const std::vector<std::string>& lines, std::size_t number,
                                              const std::string& other, const machine::MachineProfile& machine);

}  // namespace chalkline::test
