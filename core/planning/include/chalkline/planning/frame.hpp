// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/machine/program.hpp>
#include <chalkline/planning/plan.hpp>

#include <vector>

namespace chalkline::planning {

/// The line the head rides to show where a job will lie.
enum class FrameWay {
    box,   ///< the upright box of what is burned
    hull,  ///< as a string round it would lie
    round  ///< the smallest circle round it
};

/// Ends of the moves with the beam lit, bed mm; of a scan line only the outermost.
std::vector<geometry::Point> lit_points(const machine::Program& program);

/// The convex hull of where a program's beam is lit, bed mm: lead-ins, overcut and kerf included, dark run-ups not.
/// Empty when nothing burns.
std::vector<geometry::Point> lit_hull(const machine::Program& program);
/// The same hulls, but for what nobody sees: each corner of one is within `lit_hull_slack` of a corner of the other.
bool same_hull(const std::vector<geometry::Point>& a, const std::vector<geometry::Point>& b);
inline constexpr double lit_hull_slack = 0.05;  ///< mm

/// That line round a hull, closed, bed mm. Errors: nothing_to_burn.
Result<geometry::Polyline> frame_line(const std::vector<geometry::Point>& hull, FrameWay way);

/// What a ride along it is like.
struct FrameRide {
    Power dot{};                ///< above 0 a faint dot is drawn under a beam that is dark at rest; else it is dark
    bool with_pointer = false;  ///< the pointer, not the beam, rides along the line
    std::optional<std::size_t> side{};  ///< only this side of the line, counted from its first point
};

namespace error {
inline constexpr std::string_view frame_off_bed = "planning.frame-off-bed";
}

/// The ride as a program, at the profile's frame speed. Errors: the line, or the head under the pointer's shift, leaves
/// the bed; nothing to frame.
Result<machine::Program> frame_program(const geometry::Polyline& line, const FrameRide& ride,
                                       const machine::MachineProfile& machine);

/// The highest power that stays a faint dot on this machine: `dot_milliwatts` of its profile. 0 for a beam
/// nobody can see.
Power faint_power(const machine::MachineProfile& machine);

}  // namespace chalkline::planning
