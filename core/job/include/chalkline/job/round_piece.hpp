// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/job/job.hpp>
#include <chalkline/machine/rotary.hpp>

namespace chalkline::job {

namespace error {
inline constexpr std::string_view bad_round_piece = "job.bad-round-piece";
}

/// The machine as the job finds it: flat, or turning the job's round piece (machine/rotary.hpp).
machine::MachineProfile machine_for(const Job& job, const machine::MachineProfile& machine);

machine::RoundWall wall_of(const RoundPiece& piece);

/// The stock with a round piece, its free part worked out. Errors: a diameter or length that is none, nothing left
/// free.
Result<Stock> in_rotary(Stock stock, const RoundPiece& piece);

/// A line once round the piece with two ticks that meet when one turn is one turn, and a measure of `test_measure` mm.
/// Near where the free part begins, in a first step of its own. REQUIRES: a round piece.
Job add_test_ring(Job job);
inline constexpr double test_measure = 50;                       ///< mm
inline constexpr std::string_view test_ring_name = "test ring";  ///< of its artwork
bool has_test_ring(const Job& job);
Job without_test_ring(Job job);

/// The piece as the burned test ring says: `gap` mm are missing between the ends on rollers (less than 0: they
/// overlap); on a chuck, which always closes the ring, the measure came out as `measured` mm.
RoundPiece corrected_by_gap(RoundPiece piece, double gap);
RoundPiece corrected_by_measure(RoundPiece piece, double measured);

/// Makes the chosen motifs together as wide as one turn, from the seam on; their proportions stay.
Job once_round(Job job, const Ids& motifs);

/// The job with other measures of its round piece. A motif or group that went once round, from the seam to the seam,
/// still does. Errors: those of in_rotary. REQUIRES: a round piece.
Result<Job> remeasured(Job job, const RoundPiece& piece);

}  // namespace chalkline::job
