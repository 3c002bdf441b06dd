// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/reply.hpp>

// The bytes of the reference dialect that act at once.
namespace chalkline::machine::realtime {

inline constexpr char status_request = '?', feed_hold = '!', cycle_start = '~', soft_reset = 0x18;
// Overrides: these add 10 %; the three bytes behind each take 10 away, add 1, take 1 away.
inline constexpr char speed_as_programmed = static_cast<char>(0x90), power_as_programmed = static_cast<char>(0x99);
inline constexpr char speed_ten_up = static_cast<char>(0x91), power_ten_up = static_cast<char>(0x9a);
inline constexpr char jog_cancel = static_cast<char>(0x85);
/// s for the greeting after our reset, and for the status after that.
inline constexpr double reset_patience = 2;

/// The head stands, whatever it is kept from.
inline bool at_rest(ControllerState state, int sub) {
    return state == ControllerState::idle || state == ControllerState::alarm ||
           (state == ControllerState::hold && sub == 0) || (state == ControllerState::door && sub < 2);
}

}  // namespace chalkline::machine::realtime
