// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/machine/profile.hpp>

namespace chalkline::machine {

/// The wall of a round piece as a flat surface: X along its axis from where it begins, Y round it from the seam, mm.
struct RoundWall {
    double length = 100;       ///< mm
    double turn = 200;         ///< mm round it once, where the drawing is measured
    double driven_turn = 200;  ///< mm round it once, where the rollers carry it
    bool operator==(const RoundWall&) const = default;
};

/// `{"length_mm": …, "turn_mm": …, "driven_turn_mm": …}`, docs/formats/simulator.md.
std::string to_json(const RoundWall& wall);
/// Nothing when it is no such thing.
std::optional<RoundWall> parse_wall(std::string_view json);

/// What the turning axis counts for a millimetre of the wall: a chuck turns the piece, rollers turn their own surface.
double counted_per_mm(const Rotary& rotary, const RoundWall& wall);

/// The machine while its rotary turns that wall: the wall is its bed, and all rates and accelerations are those of the
/// wall's surface. The controller's settings are what they were. Home, places and lines of the maker's own belong to
/// the flat bed and are left out; the head's place is what the maker says.
/// Without a rotary in the profile the wall is shown, and nothing can be planned for it.
MachineProfile on_wall(MachineProfile machine, const RoundWall& wall);

}  // namespace chalkline::machine
