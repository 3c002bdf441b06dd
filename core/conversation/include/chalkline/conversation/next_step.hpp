// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/session.hpp>

#include <vector>

namespace chalkline::machine {

/// What the maker can do with the machine as it stands, the best first.
enum class NextStep { connect, home, say_where, unlock, resume, stop, wake, laser_mode };

/// What is held would go on if it were asked to.
bool may_resume(const Snapshot& snapshot);

/// Every state in which the machine waits for somebody has at least one; while it works there is none but `stop`.
std::vector<NextStep> next_steps(const Snapshot& snapshot, const MachineProfile& profile);

}  // namespace chalkline::machine
