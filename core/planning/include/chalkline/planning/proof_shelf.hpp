// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/planning/proof.hpp>

#include <memory>

namespace chalkline::planning {

/// Keeps the proofs last asked for, so that planning again after a change elsewhere costs nothing. For any thread.
class ProofShelf {
 public:
    ProofShelf();
    ~ProofShelf();
    /// `over`: see paint_over.
    std::shared_ptr<const Proof> proof(const job::Motif& motif, std::size_t picture, const job::Step& step, double spot,
                                       const std::vector<PaintOver>& over, const Watch& watch = {});
    /// See raster::kept.
    std::shared_ptr<const raster::GreyImage> kept(const std::shared_ptr<const raster::RgbImage>& image,
                                                  const raster::Preparation& how);

 private:
    struct Shelves;
    std::vector<geometry::Region> covers_of(const job::Motif& motif, std::size_t picture,
                                            const std::vector<PaintOver>& over);
    std::unique_ptr<Shelves> shelves_;
};

}  // namespace chalkline::planning
