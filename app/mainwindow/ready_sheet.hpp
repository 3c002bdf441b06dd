// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/plan_keeper.hpp"
#include "session/burn_desk.hpp"

#include <QWidget>

namespace chalkline::app {

/// Says once more what will happen, how long it takes and what is open, and burns on Return. Does nothing while the job
/// may not be burned.
void open_ready_sheet(const job::Job& job, const PlanKeeper& plans, BurnDesk& desk,
                      const machine::MachineProfile& machine, QWidget* over);

/// Asks before a burn that broke off is gone on with.
void open_go_on_sheet(BurnDesk& desk, const machine::MachineProfile& machine, QWidget* over);

}  // namespace chalkline::app
