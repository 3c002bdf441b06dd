// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>

// Edits that lay motifs on the bed and the stock. All of them leave locked motifs where they are and refuse (code
// `locked`) when nothing else was chosen; unknown ids give `unknown_motif`.
namespace chalkline::job {

namespace error {
inline constexpr std::string_view locked = "job.locked";
inline constexpr std::string_view too_many_motifs = "job.too-many-motifs";
inline constexpr std::string_view no_stock = "job.no-stock";
inline constexpr std::string_view no_room = "job.no-room";
}  // namespace error

/// Most motifs one job holds.
inline constexpr std::size_t most_motifs = 5000;

/// The motifs with all others of their groups, in the job's order.
Ids with_groups(const Job& job, const Ids& motifs);

/// Maps places of the bed: moves, turns, mirrors or scales.
Result<Job> transform(Job job, const Ids& motifs, const geometry::Transform& map);

/// New motifs beside the old job.
struct Added {
    Job job;
    Ids motifs;  ///< the new ones
};

/// Copies, shifted by millimetres; they share the art. Groups are copied as groups.
Result<Added> copy(Job job, const Ids& motifs, geometry::Point by);

/// Rows and columns of one thing, the gap measured between boxes.
struct Repeat {
    int columns = 1, rows = 1;
    double gap_x = 5, gap_y = 5;  ///< mm
    bool operator==(const Repeat&) const = default;
};
/// Makes the motifs the first (lower left) of `repeat.columns` × `repeat.rows`. `Added::motifs` are the copies.
Result<Added> repeat(Job job, const Ids& motifs, const Repeat& repeat);
/// Moves the motifs into the lower left corner of the stock's box (drawn in by `margin`) and repeats them as often as
/// whole copies lie on the stock; copies that would not lie wholly on it are left out. Errors: no_stock, no_room.
Result<Added> fill_stock(Job job, const Ids& motifs, double gap, double margin);

enum class Side { left, centre, right, top, middle, bottom };
/// Lines the motifs (groups count as one) up with one side or middle of a box.
Result<Job> align(Job job, const Ids& motifs, Side side, const geometry::Box& to);

enum class Along { x, y };
/// Gives the motifs (groups count as one) equal gaps along an axis, in the order they lie; the outermost stay. With
/// `gap` the first stays and the others follow at that distance.
Result<Job> distribute(Job job, const Ids& motifs, Along along, std::optional<double> gap = {});

/// Over or under the others, as far as the next one or all the way. What lies over something covers it.
enum class Stacking { forward, backward, to_front, to_back };
/// Changes the order of the motifs, locked ones too: the last lies on top. REQUIRES of groups: all of them (see
/// with_groups).
Result<Job> stack(Job job, const Ids& motifs, Stacking to);

/// One new group of the motifs; they leave their old ones. `ungroup` leaves single motifs.
Result<Job> group(Job job, const Ids& motifs);
Result<Job> ungroup(Job job, const Ids& motifs);
Result<Job> set_locked(Job job, const Ids& motifs, bool locked);
/// All of the motifs burns in this step, whatever their inks say; nothing: their inks decide again.
Result<Job> send_to_step(Job job, const Ids& motifs, std::optional<Id> step);
Result<Job> remove(Job job, const Ids& motifs);

/// Where the job goes on the stock.
enum class Spot { centre, near_left, near_right, far_left, far_right };
/// Puts the whole job on the stock: in its middle, or `margin` from the sides of one corner of its box. With
/// `follow_angle` the job is turned as the stock is, so that its first motif's X axis lies along the stock's.
Result<Job> put_on_stock(Job job, Spot spot, double margin, bool follow_angle);

/// Maps the piece's place on the bed. It stays square: of a map that shears only what its own X axis does is taken.
/// Errors: no_stock.
Result<Job> transform_stock(Job job, const geometry::Transform& map);

/// Keeps a place of the bed under the next free letter: A, B … Z, A2 …
Job mark_place(Job job, geometry::Point place);
/// Forgets it; an id that is not there changes nothing.
Job forget_marked(Job job, Id id);

/// Names a place of the bed as the job's reference point; it belongs to the motif from then on.
Result<Job> set_datum(Job job, Id motif, geometry::Point on_bed);
/// Moves all art, locked or not, so that the datum lies at a place of the bed.
Result<Job> bring_datum_to(Job job, geometry::Point place);

}  // namespace chalkline::job
