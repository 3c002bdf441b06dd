// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "session/machine_keeper.hpp"

#include <QWidget>
#include <functional>

namespace chalkline::app {

/// What the machine is doing and what can be done about it. `connect` opens the connection.
void open_state_sheet(MachineLink& machine, const job::Job& job, const std::function<void()>& connect, QWidget* over);

/// A burn broke off with the head at `place`, and the board has forgotten where it is: somebody looks whether it still
/// stands there, or drives it there.
void open_stood_sheet(MachineLink& machine, const job::Job& job, geometry::Point place, QWidget* over);

/// Asks where the head stands, for machines that cannot find out themselves.
void open_where_sheet(MachineLink& machine, const job::Job& job, QWidget* over);

/// The controller says otherwise than the profile: whose figures count?
void open_difference_sheet(MachineKeeper& keeper, QWidget* over);

}  // namespace chalkline::app
