// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "host_link.hpp"
#include "options.hpp"

#include <chalkline/simulator/controller.hpp>

#include <functional>

namespace chalkline::sim {

/// What serving leaves to others.
struct Helpers {
    std::function<void()> write;  ///< on SIGUSR1
    /// Another piece is in the rotary, or none.
    std::function<void(const std::optional<machine::RoundWall>&)> turn_piece;
};

/// Runs the machine until a signal asks to end.
///
/// The virtual clock follows the wall clock times the speed, but it waits for the host: after every answer that makes
/// room for another line the host gets a moment of real time to send it, so that `starved` never counts a busy
/// computer. A host that stays away longer than that is slow, and time goes on without it.
void serve(HostLink& link, simulator::Controller& controller, const Options& options, const Helpers& helpers);

/// Asked to end or to report by a signal.
void install_signals();

/// Writes the artefacts that were asked for. False when one could not be written (said on stderr).
bool write_results(const Options& options, const simulator::Controller& controller, const simulator::DoseMap& dose);

}  // namespace chalkline::sim
