// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/art/outside.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/swatches/card.hpp>

#include <map>
#include <optional>

namespace chalkline::swatches {

/// A card as a job like any other, and which step burns which swatch.
struct CardJob {
    job::Job job;
    std::map<CellPlace, job::Id> steps;  ///< of the swatches that are burned
};

/// The card as a job: marks and texts first, then a step for every swatch from light to dark, so that heat does not
/// spoil what lies beside it; swatches with equal settings share one. Every step's note says which swatch it is. The
/// card lies in the near left corner of `piece`, inside its margin, turned with it; without one a piece just large
/// enough lies in the middle of the bed. Everything is one group. Errors: those of drawing text and reading pictures.
Result<CardJob> card_job(const Card& card, const machine::MachineProfile& machine,
                         const std::optional<job::Stock>& piece, const art::Outside& outside);

/// What is drawn in a swatch, its place within the swatch's box, mm.
struct Drawn {
    std::shared_ptr<const art::Artwork> art;
    geometry::Transform place;
};
Result<std::vector<Drawn>> drawn(const Card& card, const Cell& cell, const art::Outside& outside);

/// The settings of a job's steps as lines of text beside what it burns, with a step of its own. Errors: no text can be
/// drawn.
Result<job::Job> with_settings_note(job::Job job, const art::Outside& outside);

}  // namespace chalkline::swatches
