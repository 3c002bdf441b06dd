// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/box_tree.hpp>
#include <chalkline/geometry/region.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/raster/preparation.hpp>

#include <compare>
#include <functional>
#include <memory>
#include <vector>

// Which paint lies over which (decision 31).
namespace chalkline::planning {

/// A place in the pile of all that is painted: motifs in their order, and in each what was painted first.
struct PaintOrder {
    std::size_t motif = 0;   ///< index into the job's motifs
    std::size_t within = 0;  ///< see PaintSequence
    auto operator<=>(const PaintOrder&) const = default;
};
/// Art whose paint does not cover burns as if it lay over everything.
inline constexpr std::size_t over_all = static_cast<std::size_t>(-1);

/// How many things of a drawing were painted before each of its shapes and pictures.
struct PaintSequence {
    explicit PaintSequence(const art::Artwork& art);
    std::vector<std::size_t> shapes, pictures;
};

/// What a motif's picture covers of what lies under it, on its page, mm: its frame after cropping, inside its clip,
/// where more of it stays than not. `kept`: see raster::kept.
geometry::Region area_of_picture(const job::Motif& motif, std::size_t picture, const raster::GreyImage& kept);

/// An area that covers what lies under it, as it is drawn.
struct Cover {
    std::shared_ptr<const geometry::Region> drawn;
    geometry::Box box;
    std::size_t order = 0;  ///< PaintOrder::within
};

/// All covers of a motif, at the page's corner. Those near a place are found quickly.
class Covers {
 public:
    explicit Covers(std::vector<Cover> covers);
    bool empty() const { return covers_.empty(); }
    const geometry::Box& box() const { return box_; }
    /// Those whose box touches this one, in painting order.
    std::vector<const Cover*> touching(const geometry::Box& box) const;

 private:
    std::vector<Cover> covers_;
    geometry::BoxTree tree_;
    geometry::Box box_;
};

/// Gives what of a picture stays, see raster::kept.
using KeptOf = std::function<std::shared_ptr<const raster::GreyImage>(const art::PlacedPicture&)>;

/// Gives the area of a fill as it lies from the page's corner; null: it is not wanted.
using AreaOf = std::function<std::shared_ptr<const geometry::Region>(std::size_t shape)>;

/// The wanted areas of a motif and its pictures, as covers at the page's corner.
Covers covers_of(const job::Motif& motif, const KeptOf& kept, const AreaOf& area);
/// Flattens a shape as it lies from the page's corner.
std::shared_ptr<const geometry::Region> flat_area(const job::Motif& motif, std::size_t shape);

/// The motif's place without its shift: what copies have in common.
geometry::Transform lying(const job::Motif& motif);
/// Where its page's corner lies on the bed.
geometry::Point corner_of(const job::Motif& motif);

/// The covers of one motif where it lies.
struct MotifCovers {
    std::shared_ptr<const Covers> drawn;
    geometry::Point at;     ///< added to what is drawn
    std::size_t motif = 0;  ///< PaintOrder::motif
};

/// A cover where it lies.
struct PlacedCover {
    const Cover* cover;
    geometry::Point at;
    PaintOrder order;
};

/// What lies over something, for all that one step burns.
class CoverPile {
 public:
    CoverPile() = default;
    /// `motifs`: ascending.
    explicit CoverPile(std::vector<MotifCovers> motifs);
    /// Covers of the motif itself that touch the box (bed, mm) and lie over the place, in painting order.
    std::vector<PlacedCover> own(const geometry::Box& box, PaintOrder over) const;
    /// The same of the motifs that lie over it.
    std::vector<PlacedCover> of_others(const geometry::Box& box, PaintOrder over) const;

 private:
    const MotifCovers* of(std::size_t motif) const;
    std::vector<MotifCovers> motifs_;
    geometry::BoxTree tree_;  ///< of the motifs' boxes on the bed
};

}  // namespace chalkline::planning
