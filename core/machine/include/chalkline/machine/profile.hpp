// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/base/units.hpp>
#include <chalkline/geometry/point.hpp>
#include <chalkline/steps/beam.hpp>

#include <map>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace chalkline::machine {

/// Where the head is after finding home; `none`: the machine has no switches and starts at 0, 0 where it stands.
enum class HomeCorner { none, near_left, near_right, far_left, far_right };

/// A place of the bed that has a name on this machine: a jig, a corner stop.
struct NamedPlace {
    std::string name;
    geometry::Point place;  ///< mm
    bool operator==(const NamedPlace&) const = default;
};

/// What sets the height of the lens over the piece.
struct FocusGauge {
    double height = 0;        ///< mm between the piece and the gauge's mark on the head; 0: not measured
    bool probe = false;       ///< a touch probe is wired to the controller
    double above_touch = 0;   ///< mm the head goes up from where the probe touches until the beam is in focus
    double probe_reach = 20;  ///< mm it may go down before it must have touched
    bool operator==(const FocusGauge&) const = default;
};

/// Lines of the maker's own, sent one at a time where nothing else goes on.
struct OwnLines {
    std::vector<std::string> after_home, at_end;
    bool operator==(const OwnLines&) const = default;
};

/// How a controller is spoken to: the reference dialect, whose real-time bytes act at once, or one line after the
/// other.
enum class Dialect { realtime, line_by_line };

/// Which axis of the controller turns round pieces: the rotary is plugged in instead of Y, or has an axis of its own.
enum class RotaryAxis { none, instead_of_y, fourth };

/// A chuck holds the piece and turns with it; rollers carry it and turn under it.
enum class RotaryDrive { chuck, rollers };

/// What turns round pieces.
struct Rotary {
    RotaryAxis axis = RotaryAxis::none;
    RotaryDrive drive = RotaryDrive::chuck;
    double per_turn = 360;        ///< what the axis counts (its mm or degrees) while the chuck, or a roller, turns once
    double roller_diameter = 20;  ///< mm; of rollers only
    double max_rate = 7200;       ///< counted a minute; of an axis of its own
    double acceleration = 600;    ///< counted a second²; of an axis of its own
    bool operator==(const Rotary&) const = default;
};

/// A round piece is in the rotary: Y is millimetres of its surface, and the controller's turning axis counts so much
/// for each of them. Not of the profile's file: it comes with the job (machine/rotary.hpp).
struct Turning {
    RotaryAxis axis = RotaryAxis::instead_of_y;  ///< none: the profile knows no rotary
    double per_mm = 1;
    char letter() const { return axis == RotaryAxis::fourth ? 'A' : 'Y'; }
    bool operator==(const Turning&) const = default;
};

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
    double homing_seek = 3000, homing_feed = 100;         ///< mm/min: towards the switches, and touching them again
    double homing_pull_off = 1;                           ///< mm
    bool zero_at_home = false;  ///< its build counts from 0 where it found home, wherever that is
    int full_power_s = 1000;    ///< S value of full power ($30)
    int baud = 115200;
    int receive_buffer = 128;  ///< bytes
    int planner_blocks = 16;
    bool z_axis = false;  ///< it moves its focus
    Rotary rotary;
    std::optional<Turning> turning;  ///< while a round piece is in the rotary
    double frame_speed = 3000;       ///< mm/min
    double jog_speed = 3000;         ///< mm/min
    geometry::Point pointer{};       ///< where the pointer's dot falls, seen from the beam, mm; 0, 0: there is none
    double dot_milliwatts = 5;       ///< of the faint dot that shows where the beam is
    int wavelength = 450;            ///< nm
    int air = 8;                     ///< the M word that turns air assist on: 7 or 8
    Dialect dialect = Dialect::realtime;
    /// Somebody saw its beam change within moves, whatever its firmware says of itself; of the line dialect only.
    bool power_in_moves = false;
    bool start_button = false;  ///< a start button is wired to the controller
    FocusGauge focus;
    std::optional<geometry::Point> rest;  ///< where the head waits after finding home and after a job
    OwnLines own_lines;
    std::vector<std::string> checklist{"Lid shut", "Extraction and air on", "Beam switch on"};  ///< asked before a burn
    std::vector<NamedPlace> places;
    double beam_hours = 0;  ///< the beam has burned so long

    bool operator==(const MachineProfile&) const = default;

    bool has_pointer() const { return pointer != geometry::Point{}; }
    geometry::Box bed() const { return {0, 0, width, depth}; }
    /// A place or a way of the bed as the controller counts it, and back.
    geometry::Point counted(geometry::Point p) const { return {p.x, turning ? p.y * turning->per_mm : p.y}; }
    geometry::Point surface(geometry::Point p) const { return {p.x, turning ? p.y / turning->per_mm : p.y}; }
    /// The letter of the axis that goes along Y.
    char y_letter() const { return turning ? turning->letter() : 'Y'; }
    /// The slower axis' top speed: no straight move is ever limited below it.
    Speed top_speed() const { return Speed::mm_per_min(max_rate_x < max_rate_y ? max_rate_x : max_rate_y); }
    /// Where the head stands before a job unless somebody moved it: its resting place, or where it found home.
    geometry::Point waiting_place() const {
        if (rest) return *rest;
        return {home == HomeCorner::near_right || home == HomeCorner::far_right ? width : 0,
                home == HomeCorner::far_left || home == HomeCorner::far_right ? depth : 0};
    }
    bool home_is_left() const { return home == HomeCorner::near_left || home == HomeCorner::far_left; }
    bool home_is_near() const { return home == HomeCorner::near_left || home == HomeCorner::near_right; }
    /// Machine coordinates of the bed's 0, 0: homed machines count from −travel to 0 whichever corner is home, builds
    /// that put 0 there away from it, others from where they stand.
    geometry::Point bed_origin() const {
        if (home == HomeCorner::none) return {};
        return {zero_at_home && home_is_left() ? 0 : -width, zero_at_home && home_is_near() ? 0 : -depth};
    }
};

/// A program that was checked for one of them is right for the other: the same bed, S of full power, turning axis,
/// dialect.
bool burns_alike(const MachineProfile& one, const MachineProfile& other);

namespace error {
inline constexpr std::string_view bad_profile = "machine.bad-profile";
inline constexpr std::string_view bad_own_line = "machine.bad-own-line";
}  // namespace error

/// Reads the JSON of docs/formats/machine.md; missing keys keep their defaults, wrong ones are an error.
Result<MachineProfile> parse_profile(std::string_view json, const std::string& file);
std::string to_json(const MachineProfile& profile);

/// What a controller says of itself: `$N` and the figures of its build info.
struct ControllerFacts {
    std::map<int, double> settings;
    std::optional<int> receive_buffer, planner_blocks;
};

/// The profile with all that the controller knows better: work area, home corner, rates, accelerations, junction
/// deviation, full power, buffer and planner.
MachineProfile as_told(MachineProfile profile, const ControllerFacts& facts);

/// A key of the JSON whose value differs, both values as JSON text.
struct ProfileDifference {
    std::string key, mine, other;
};
std::vector<ProfileDifference> differences(const MachineProfile& mine, const MachineProfile& other);

/// Nothing differs that a plan or a check is worked out from: hours, places, checklist and own lines do not count.
bool plans_alike(MachineProfile a, const MachineProfile& b);

/// Longest line sent, without the line feed.
inline constexpr std::size_t longest_line = 70;
/// Fit to be sent as it is: not empty, not too long, and no byte in it acts at once or ends the line.
bool is_plain_line(std::string_view text);

/// A line of the maker's own must be short and plain and must not turn the beam on.
Result<void> check_own_line(const std::string& line);

}  // namespace chalkline::machine
