// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/machine/trim.hpp>

#include <memory>

// Every change of a job is one of these: the job before goes in, the job after comes out, nothing else happens.
namespace chalkline::job {

namespace error {
inline constexpr std::string_view unknown_motif = "job.unknown-motif";
inline constexpr std::string_view unknown_step = "job.unknown-step";
inline constexpr std::string_view larger_than_bed = "job.larger-than-bed";
inline constexpr std::string_view no_picture_step = "job.no-picture-step";
inline constexpr std::string_view only_pictures = "job.only-pictures";
inline constexpr std::string_view unknown_variant = "job.unknown-variant";
}  // namespace error

/// Adds a motif at true size in the middle of the stock, or of the bed without one; on the wall of a round piece turned
/// upwards where it fits only so. Inks the job does not know yet are
/// routed: fills to an engrave step, lines to a score step, and an ink whose closed line encloses everything else of
/// the art is proposed as a cut. White fills are left out: they stand for the bare material. Pictures go to a picture
/// step. Steps that are missing are made in the order engrave, picture, score, cut.
Job add_art(Job job, std::shared_ptr<const art::Artwork> art, const machine::MachineProfile& machine);

/// An error that says both sizes when the art is larger than the bed.
Result<void> fits_bed(const art::Artwork& art, const machine::MachineProfile& machine);

/// Puts other art in a motif's place, such as the same file read again. What
/// `anchor` names stays where it was on the bed. Inks that still exist keep their steps, new ones are routed as by
/// `add_art`.
enum class Anchor { page, middle };
Result<Job> replace_art(Job job, Id motif, std::shared_ptr<const art::Artwork> art, Anchor anchor);

/// Lays the art's page with its lower left corner on a place of the bed, turned by `angle` (radians): the drawing's
/// own coordinates count from there.
Result<Job> register_page(Job job, Id motif, geometry::Point corner, double angle);

/// Puts the lower left corner of all art at a place on the bed.
Job place_art(Job job, geometry::Point lower_left);

/// Sends an ink to one step alone.
Result<Job> route_ink(Job job, const Ink& ink, Id step);
/// Sends an ink to a step too: one ink may feed several steps, such as a fill and then its outline.
Result<Job> also_route_ink(Job job, const Ink& ink, Id step);
/// Takes an ink out of one step.
Result<Job> take_ink_from(Job job, const Ink& ink, Id step);
/// One shape of a motif burns in this step alone; nothing: its ink decides again. Errors: unknown_motif (a shape that
/// is not there counts as one), unknown_step.
Result<Job> send_object(Job job, Id motif, std::size_t shape, std::optional<Id> step);
/// The same with a new step, with the settings of the one that burned it, right after that.
Result<Job> give_own_step(Job job, Id motif, std::size_t shape);
/// Says something about the line of the motif that is nearest to a place of the bed.
Result<Job> mark_path(Job job, Id motif, PathMark::Kind kind, geometry::Point on_bed);
Result<Job> clear_path_marks(Job job, Id motif);
/// An idle step (`on` false) keeps its place and its inks.
Result<Job> turn_step(Job job, Id step, bool on);
Result<Job> note_step(Job job, Id step, const std::string& note);
/// Gives inks without a step one, as `add_art` does; none of them is taken for a cut.
Job route_loose_inks(Job job);
/// Takes an ink out of every step and marks it as knowingly not burned.
Job leave_out(Job job, const Ink& ink);

/// Adds a step of a kind, with its starting point, after the last step that must not come later.
Job add_step(Job job, steps::StepKind kind);
Result<Job> remove_step(Job job, Id step);
Result<Job> change_settings(Job job, Id step, const steps::StepSettings& settings, Speed top_speed);
/// Makes what was trimmed while the step burned its own power and speed; power is held to 100 %.
Result<Job> take_trim(Job job, Id step, machine::Trim trim, Speed top_speed);
/// Keeps the words a value was typed with; empty words forget them.
Result<Job> keep_typed(Job job, Id step, const std::string& key, const std::string& words);
/// Puts the step at a place of the run sheet, counted from 0 (clamped).
Result<Job> move_step(Job job, Id step, int place);
/// What is done to a motif's pictures before they become dots.
Result<Job> prepare_picture(Job job, Id motif, const raster::Preparation& preparation);
/// Keeps how a motif's picture is prepared and how a step burns it under a name; one of the same name is replaced.
Result<Job> keep_variant(Job job, Id motif, Id step, const std::string& name);
/// Prepares the picture, and sets the step's dots and their distance, as a variant has them. Errors: no such variant.
Result<Job> use_variant(Job job, Id motif, Id step, std::size_t variant);
Result<Job> drop_variant(Job job, Id motif, std::size_t variant);
/// Engrave before picture before score before cut; the order within a kind stays.
Job put_in_order(Job job);
/// True when a cut comes before an engrave or score step that burns something.
bool order_fault(const Job& job);

/// Keeps why a check is passed over; without a reason it holds again. One override a code.
Job override_check(Job job, const Override& one);

Job set_stock(Job job, std::optional<Stock> stock);

}  // namespace chalkline::job
