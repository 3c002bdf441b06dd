// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/base/units.hpp>
#include <chalkline/geometry/point.hpp>
#include <chalkline/steps/beam.hpp>

#include <string>
#include <string_view>

namespace chalkline::machine {

/// Where the head is after finding home; `none`: the machine has no switches and starts at 0, 0 where it stands.
enum class HomeCorner { none, near_left, near_right, far_left, far_right };

/// One machine as Chalkline, its command line and the simulated machine know it. Bed coordinates: mm, X right,
/// Y away from the maker, 0, 0 at the near left corner of the work area.
struct MachineProfile {
    std::string name = "Bench laser 400 × 300";
    double width = 400, depth = 300;  ///< work area, mm
    HomeCorner home = HomeCorner::near_left;
    steps::Beam beam{.comfortable = Power::percent(90)};
    double spot = 0.18;                                   ///< beam diameter at 1/e², mm
    double max_rate_x = 12000, max_rate_y = 12000;        ///< mm/min
    double acceleration_x = 1200, acceleration_y = 1200;  ///< mm/s²
    double junction_deviation = 0.01;                     ///< mm
    int full_power_s = 1000;                              ///< S value of full power ($30)
    int baud = 115200;
    int receive_buffer = 128;  ///< bytes
    int planner_blocks = 16;
    bool z_axis = false;        ///< it moves its focus
    double frame_speed = 3000;  ///< mm/min
    double jog_speed = 3000;    ///< mm/min
    geometry::Point pointer{};  ///< where the pointer's dot falls, seen from the beam, mm; 0, 0: there is none
    double dot_milliwatts = 5;  ///< of the faint dot that shows where the beam is

    bool operator==(const MachineProfile&) const = default;

    bool has_pointer() const { return pointer != geometry::Point{}; }
    geometry::Box bed() const { return {0, 0, width, depth}; }
    /// The slower axis' top speed: no straight move is ever limited below it.
    Speed top_speed() const { return Speed::mm_per_min(max_rate_x < max_rate_y ? max_rate_x : max_rate_y); }
    /// Machine coordinates of the bed's 0, 0: homed machines count from −travel to 0, others from where they stand.
    geometry::Point bed_origin() const {
        return home == HomeCorner::none ? geometry::Point{} : geometry::Point{-width, -depth};
    }
};

namespace error {
inline constexpr std::string_view bad_profile = "machine.bad-profile";
}

/// Reads the JSON of docs/formats/machine.md; missing keys keep their defaults, wrong ones are an error.
Result<MachineProfile> parse_profile(std::string_view json, const std::string& file);
std::string to_json(const MachineProfile& profile);

}  // namespace chalkline::machine
