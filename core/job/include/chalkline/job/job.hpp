// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/artwork.hpp>
#include <chalkline/base/contract.hpp>
#include <chalkline/base/ink.hpp>
#include <chalkline/geometry/point.hpp>
#include <chalkline/geometry/region.hpp>
#include <chalkline/raster/preparation.hpp>
#include <chalkline/steps/step_settings.hpp>

#include <map>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace chalkline::job {

/// Number of a motif, group or step, unique in its job and never used again in it.
using Id = int;
using Ids = std::vector<Id>;

/// Something said about one place of a motif's lines: the line nearest to it is meant.
struct PathMark {
    enum class Kind {
        start,      ///< the line begins here, in the direction it is drawn
        backwards,  ///< the same, against it
        bridge      ///< a place left uncut
    };
    Kind kind = Kind::start;
    geometry::Point on_page;  ///< mm on the motif's page
    bool operator==(const PathMark&) const = default;
};

/// One shape of a motif that burns in a step of its own, whatever its ink says.
struct OwnStep {
    std::size_t shape = 0;  ///< index into the artwork's shapes
    Id step = 0;
    bool operator==(const OwnStep&) const = default;
};

/// One way of burning a picture, kept to be looked at beside others.
struct Variant {
    std::string name;
    raster::Preparation preparation;
    steps::StepSettings settings;  ///< how its dots are set and how far apart; power and speed stay the step's own

    /// A step's settings with the dots and their distance of this variant.
    steps::StepSettings applied_to(steps::StepSettings step) const;
    bool operator==(const Variant&) const = default;
};

/// One placed piece of artwork.
struct Motif {
    Id id = 0;
    std::shared_ptr<const art::Artwork> art;
    geometry::Transform place;       ///< art page (mm) to bed (mm)
    Id group = 0;                    ///< motifs of one group are chosen and moved together; 0: none
    bool locked = false;             ///< stays where it is
    std::optional<Id> step{};        ///< all of it burns in this step, whatever its inks say
    std::vector<OwnStep> objects{};  ///< ascending by shape; they come before `step` and the inks
    std::vector<PathMark> marks{};
    raster::Preparation preparation{};  ///< of its pictures
    std::vector<Variant> variants{};    ///< of its pictures, oldest first
    std::string unknown{};              ///< keys of the file this version does not know, as a JSON object; empty: none
};

/// One layer of power and speed and the inks it burns.
struct Step {
    Id id = 0;
    steps::StepSettings settings;
    std::vector<Ink> inks;
    bool on = true;      ///< off: it keeps its place and its inks and burns nothing
    std::string note{};  ///< for whoever burns it
    /// How a value was typed where that says more than its number ("30 %" of the fastest speed), by the value's key.
    std::map<std::string, std::string> typed{};
    std::string unknown{};  ///< as in Motif
    bool operator==(const Step&) const = default;
};

/// A round piece in the rotary, seen from where it begins. Its wall, unrolled, is the bed: X along, Y round from the
/// seam.
struct RoundPiece {
    double diameter = 80;       ///< mm, where it begins; rollers carry it there
    double end_diameter = 80;   ///< mm, where it ends: another one on a tapered piece
    double length = 100;        ///< mm along the wall
    double taken_at_start = 0;  ///< mm along that a chuck or a foot takes
    double taken_at_end = 0;    ///< mm along
    double taken_at_seam = 0;   ///< mm round, half of it on either side of the seam: a handle
    bool operator==(const RoundPiece&) const = default;

    bool tapered() const { return diameter != end_diameter; }
    double diameter_at(double along) const { return diameter + (end_diameter - diameter) * along / length; }
    /// mm round it once, halfway along: what the bed shows as one turn.
    double turn() const;
    /// The part of the wall that can burn, mm.
    geometry::Box free_part() const;
};

/// The real piece of material.
struct Stock {
    enum class Form {
        rectangle,
        ellipse,
        outline,
        round  ///< in the rotary: corner, width and height are its free part, and nothing turns it on the bed
    };
    std::string material;
    Length thickness = Length::mm(3);
    geometry::Point corner;  ///< near left corner of its box before the turn, bed mm
    double width = 100, height = 100;
    double angle = 0;  ///< counter-clockwise about `corner`, radians
    Form form = Form::rectangle;
    std::vector<geometry::Point> points{};  ///< Form::outline: a closed chain in a box of 1 × 1
    RoundPiece round{};                     ///< Form::round
    Length margin = Length::mm(2);          ///< nothing should burn nearer to its edge
    std::string unknown{};                  ///< as in Motif

    /// From the piece's own millimetres, its box's corner at 0, 0, to the bed.
    geometry::Transform place() const;
    /// The outline, counter-clockwise, bed mm.
    geometry::Polyline outline() const;
    geometry::Point middle() const { return place()({width / 2, height / 2}); }
    bool operator==(const Stock&) const = default;
};

/// The job's reference point. It belongs to a motif, so that it turns and moves with the art.
struct Datum {
    Id motif = 0;
    geometry::Point on_page;  ///< mm on the motif's page
    bool operator==(const Datum&) const = default;
};

/// A place of the bed worth coming back to: a corner of the piece, a pin of the jig.
struct MarkedPlace {
    Id id = 0;
    std::string name;
    geometry::Point place;  ///< bed, mm
    bool operator==(const MarkedPlace&) const = default;
};

/// A blocking check that was overridden knowingly, and why. It holds as long as the check says the same.
struct Override {
    std::string code;
    std::string about;  ///< what the check said: another step, material or distance is another matter
    std::string reason;
    std::string at;  ///< "2026-11-23T19:02:11"
    bool operator==(const Override&) const = default;
};

/// The document: art, the run sheet and the stock. A plain value; art is shared, so a copy is cheap.
struct Job {
    std::vector<Motif> motifs;
    std::vector<Step> steps;    ///< in run order
    std::vector<Ink> left_out;  ///< inks knowingly not burned
    std::optional<Stock> stock;
    std::optional<Datum> datum;  ///< none: the lower left corner of the job
    std::vector<MarkedPlace> marked{};
    std::vector<Override> overrides{};
    std::string card{};  ///< the swatch card this job burns, as JSON (swatches/card_json.hpp); empty: it burns none
    Id last_id = 0;
    std::string unknown;  ///< as in Motif

    /// The piece in the rotary; null: the job burns flat.
    const RoundPiece* round_piece() const;
    const Motif* motif(Id id) const;
    /// The motif added last. REQUIRES: there is one.
    Id last_motif() const {
        CHALKLINE_REQUIRES(!motifs.empty());
        return motifs.back().id;
    }
    const Step* step(Id id) const;
    /// Some ink, motif or object is sent to the step.
    bool has_work(const Step& step) const;
    /// The shape is sent to the step, which may be off.
    static bool sent(const Step& step, const Motif& motif, std::size_t shape);
    /// The picture is sent to the step, which is one for pictures: the motif's own step where that is one, else by ink.
    bool sent_picture(const Step& step, const Motif& motif, std::size_t picture) const;
    /// The same, and the step is on.
    static bool burns(const Step& step, const Motif& motif, std::size_t shape) {
        return step.on && sent(step, motif, shape);
    }
};

/// One ink of the whole job: in how many shapes, and where it goes.
struct RoutedInk {
    Ink ink;
    int shapes = 0;
    Ids steps;  ///< those it is sent to, in run order
    bool left_out = false;
};

/// Every ink of every motif in order of first appearance.
std::vector<RoutedInk> routed_inks(const Job& job);

/// Where the datum lies on the bed; none without art.
std::optional<geometry::Point> datum_place(const Job& job);

/// Where a place of the bed lies on the motif's page, mm. REQUIRES: the motif's place has an area.
geometry::Point on_page(const Motif& motif, geometry::Point on_bed);

/// The corners on the bed of what is left of a motif's picture after cropping, in order round it.
geometry::Polyline frame_of_picture(const Motif& motif, std::size_t picture);

/// Box of a motif's geometry on the bed, mm; of pictures what is left after cropping.
geometry::Box bounds(const Motif& motif);
geometry::Box bounds(const Job& job, const Ids& motifs);
geometry::Box bounds(const Job& job);

}  // namespace chalkline::job
