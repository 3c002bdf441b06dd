// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/machine_link.hpp"

#include <QWidget>
#include <functional>

namespace chalkline::app {

/// Connects a machine by its port or address, or the simulated one; disconnects the one there is.
void open_connection_sheet(MachineLink& machine, const std::function<void()>& connect_sample, QWidget* over);

}  // namespace chalkline::app
