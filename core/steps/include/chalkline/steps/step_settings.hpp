// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/base/units.hpp>
#include <chalkline/raster/dither.hpp>
#include <chalkline/raster/tone.hpp>
#include <chalkline/steps/beam.hpp>

#include <optional>
#include <string_view>

namespace chalkline::steps {

/// What a step does to the piece.
enum class StepKind {
    engrave,  ///< an area burned by scan lines
    picture,  ///< the tones of a picture, by scan lines of dots
    score,    ///< a line drawn, not cut
    cut       ///< a line through the material
};

/// All of them, in the order they are usually burned.
inline constexpr StepKind all_kinds[]{StepKind::engrave, StepKind::picture, StepKind::score, StepKind::cut};

/// It burns areas by scan lines, not lines as drawn.
constexpr bool burns_area(StepKind kind) {
    return kind == StepKind::engrave || kind == StepKind::picture;
}

std::string_view to_text(StepKind kind);
std::optional<StepKind> parse_kind(std::string_view text);

/// How the beam is kept while the head moves.
enum class BeamControl {
    following,  ///< power follows the actual speed and is dark at rest
    constant    ///< the same power at any speed, at rest too: only by a warned choice
};

/// How an area is burned. Directions are those of the bed.
struct FillSettings {
    enum class Way {
        scan_lines,
        contours  ///< lines that follow the outline, one inside the other, a line pitch apart
    };
    enum class First { bottom, top, left, right };
    /// How the inks of one step differ, along scan lines.
    enum class Tones {
        flat,   ///< all alike
        power,  ///< the darker the ink, the more power, through the material's response
        dots    ///< the darker the ink, the more dots; the edges stay exact
    };
    Way way = Way::scan_lines;
    double angle = 0;             ///< of the scan lines, degrees counter-clockwise; 0: left to right
    bool crossed = false;         ///< a second time, across the first
    bool both_ways = true;        ///< every other line runs back; else all run one way
    First first = First::bottom;  ///< where the first line lies; with level lines left and right say where lines begin
    std::optional<Length> run_up{};  ///< none: from the machine's acceleration
    Tones tones = Tones::flat;
    bool outline_after = false;  ///< the outline is drawn as a line when the area is done
    Length shift{};  ///< how far the lines that run back are moved along themselves, against the machine's backlash

    bool operator==(const FillSettings&) const = default;
};

/// How a line is burned.
struct LineSettings {
    enum class Kerf {
        none,     ///< the beam's middle goes along the drawn line
        outside,  ///< round what is enclosed, inside its holes: the enclosed part keeps its size
        inside    ///< the other way: the opening keeps its size
    };
    enum class Order { shortest, as_drawn };
    enum class Parts {
        any,         ///< whatever is shortest
        one_by_one,  ///< all of one part, then the next
        holes_first  ///< everything that lies inside something, then the outlines
    };
    Kerf kerf_side = Kerf::none;
    Length kerf{};     ///< width the beam takes away; half of it is the offset
    Length lead_in{};  ///< closed lines begin this far off, in what falls away
    Length overcut{};  ///< closed lines go on this far past their start
    int bridges = 0;   ///< places left uncut on each closed line, evenly; marked ones (job::PathMark) come to these
    Length bridge_width = Length::mm(1);
    Length perforation_burn{};  ///< with a gap: the line burns this far…
    Length perforation_gap{};   ///< …and is dark this far, in turn; 0: no perforation
    Order order = Order::shortest;
    Parts parts = Parts::any;

    bool perforated() const { return perforation_burn > Length() && perforation_gap > Length(); }
    bool operator==(const LineSettings&) const = default;
};

/// How the tones of a picture become dots, and what the material makes of them. The tones themselves are the picture's
/// own (job::Motif::preparation).
struct PictureSettings {
    raster::DitherSettings dots{};
    Power lowest{};            ///< grey: the power of the lightest tone that burns at all
    bool burns_light = false;  ///< marks come out lighter than the bare material: slate, painted tile, glass
    std::vector<raster::CurvePoint>
        response{};           ///< how dark a share of burned dots looks, both 0…1; none: in proportion
    Length dot_pitch{};       ///< from dot to dot along a scan line; 0: as far as from line to line
    bool spare_gain = false;  ///< fewer dots where the machine's spot is wider than the pitch; a measured response
                              ///< holds the gain already, and then this changes nothing
    Duration off_time{};      ///< the beam rests at least this long between two dots of a line

    bool operator==(const PictureSettings&) const = default;
};

/// Everything about one layer of power and speed except what it burns.
struct StepSettings {
    StepKind kind = StepKind::score;
    Power power = Power::percent(35);
    std::optional<Power> low_power{};  ///< constant beam on lines: the power at rest, rising to `power` at full speed
    Speed speed = Speed::mm_per_min(2400);
    int passes = 1;
    Length focus{};  ///< where the machine has a Z axis: the focus is this much higher than the piece asks for
    Length
        lower_each_pass{};  ///< the focus goes down this far before each further pass, where the machine has a Z axis
    bool air = false;
    Duration air_lead{};  ///< the air blows this long before the beam goes on
    BeamControl beam = BeamControl::following;
    Length line_pitch = Length::mm(0.1);  ///< engrave and picture: distance between scan lines
    FillSettings fill{};                  ///< engrave; of a picture angle, ways, first side, run-up and shift
    LineSettings line{};                  ///< score and cut
    PictureSettings picture{};            ///< picture; of an engraving whose inks differ response, lowest and dots

    bool operator==(const StepSettings&) const = default;
};

/// Where a step of this kind starts from when nothing better is known: careful values for a 10 W diode on thin ply.
StepSettings starting_point(StepKind kind);

namespace error {
inline constexpr std::string_view power_out_of_range = "steps.power-out-of-range";
inline constexpr std::string_view speed_out_of_range = "steps.speed-out-of-range";
inline constexpr std::string_view passes_out_of_range = "steps.passes-out-of-range";
inline constexpr std::string_view pitch_out_of_range = "steps.pitch-out-of-range";
/// A length or time of the fill or the line that makes no sense; parameter `what` is its key in the job file.
inline constexpr std::string_view setting_out_of_range = "steps.setting-out-of-range";
}  // namespace error

inline constexpr int most_passes = 100;
inline constexpr Length finest_pitch = Length::mm(0.01);
inline constexpr Length coarsest_pitch = Length::mm(10);

/// Checks the settings against what any machine of this top speed can do; the first fault found.
Result<void> validate(const StepSettings& settings, Speed top_speed);

/// Energy per length of one pass, mJ/mm.
double dose(const StepSettings& settings, const Beam& beam);
/// Energy per area of an engraving, all passes, mJ/mm²: crossed lines count twice.
double area_dose(const StepSettings& settings, const Beam& beam);
/// What compares two steps of one kind: energy per area of an engraving, per length of a line, all passes.
double whole_dose(const StepSettings& settings, const Beam& beam);

/// Place of a dose on the scale of burn tones: 0 light … 1 dark, logarithmic, two to the power six wide.
double burn_tone(double dose_mj_per_mm);

}  // namespace chalkline::steps
