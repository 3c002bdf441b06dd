// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <string_view>

// The words of Marlin's public G-code interface that a conversation rests on.
namespace chalkline::machine::line_words {

inline constexpr std::string_view moves_done = "M400", where = "M114", who = "M115", limits = "M211", beam_off = "M5",
                                  number_from_zero = "M110 N0", card_ready = "M21", list_card = "M20",
                                  store_progress = "M27";
/// Its checksum is wrong on purpose: a board that knows numbers asks for the line again, any other does not.
inline constexpr std::string_view numbers_known = "N1 M114*0";

}  // namespace chalkline::machine::line_words
