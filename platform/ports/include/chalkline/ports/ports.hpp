// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <string>
#include <vector>

namespace chalkline::ports {

/// A serial port the system knows, in words a maker can match with the cable in hand.
struct Port {
    std::string path;   ///< "/dev/ttyUSB0"
    std::string maker;  ///< from the USB device; may be empty
    std::string product;
    std::string serial{};  ///< of the USB device, where it has one
};

/// Ports with real hardware behind them, by path. Pseudo-terminals are never listed: they are typed.
std::vector<Port> list();

}  // namespace chalkline::ports
