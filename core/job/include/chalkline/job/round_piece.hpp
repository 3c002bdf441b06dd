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

/// How drawings on a tapered piece are bent to come out true on its wall. The wall of a cone is a flat sheet rolled up:
/// a drawing keeps its lengths and angles on that sheet, its middle lying straight along the piece. A drawing that goes
/// nine tenths of a turn or more round follows the rings instead, or its ends would not meet.
/// REQUIRES: the job outlives it.
class WallBend {
 public:
    explicit WallBend(const Job& job);
    /// False on every other piece.
    bool bends(const Motif& motif) const;
    /// Where a place of the bed comes to lie; `middle`: Y of the drawing's middle. REQUIRES: a motif bends.
    geometry::Point operator()(geometry::Point place, double middle) const;
    geometry::Point unbent(geometry::Point place, double middle) const;
    /// Lines of the motif on the bed, bent. REQUIRES: it bends.
    std::vector<geometry::Polyline> lines(const Motif& motif, const std::vector<geometry::Polyline>& lines) const;

 private:
    const RoundPiece* piece_;
};

/// The job with every motif as it is laid on the bed to burn: what bends is bent, pictures too.
Job as_it_lies(const Job& job);

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

}  // namespace chalkline::job
