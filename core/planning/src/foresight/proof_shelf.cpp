// SPDX-License-Identifier: GPL-3.0-or-later
#include "shapes/covers.hpp"

#include <chalkline/planning/proof_shelf.hpp>

#include <deque>
#include <mutex>

namespace chalkline::planning {

/// The settings a proof depends on; the others are at rest.
static steps::StepSettings only_dots(const steps::StepSettings& settings) {
    steps::StepSettings kept;
    kept.kind = settings.kind;
    kept.line_pitch = settings.line_pitch;
    kept.fill.angle = settings.fill.angle;
    kept.picture = settings.picture;
    if (settings.picture.off_time > Duration()) kept.speed = settings.speed;
    return kept;
}

struct ProofShelf::Shelves {
    /// The last few values made from a key.
    template <class Key, class Value>
    class LastFew {
     public:
        std::shared_ptr<const Value> find(const Key& key) {
            const std::scoped_lock lock(mutex_);
            for (const auto& [known, value] : entries_)
                if (known == key) return value;
            return {};
        }
        void keep(const Key& key, std::shared_ptr<const Value> value) {
            const std::scoped_lock lock(mutex_);
            entries_.emplace_front(key, std::move(value));
            if (entries_.size() > most) entries_.pop_back();
        }

     private:
        static constexpr std::size_t most = 12;
        std::mutex mutex_;
        std::deque<std::pair<Key, std::shared_ptr<const Value>>> entries_;
    };

    struct ProofKey {
        int motif, step;
        std::shared_ptr<const art::Artwork> art;
        std::size_t picture;
        geometry::Transform place;
        raster::Preparation how;
        steps::StepSettings settings;
        double spot;
        std::vector<PaintOver> over;
        bool operator==(const ProofKey&) const = default;
    };
    struct KeptKey {
        std::shared_ptr<const raster::RgbImage> image;
        raster::Background background;
        raster::Part crop;
        bool operator==(const KeptKey&) const = default;
    };

    /// All the paint of a motif, as copies have it in common.
    struct PaintKey {
        std::shared_ptr<const art::Artwork> art;
        geometry::Transform lying;
        raster::Preparation how;
        bool operator==(const PaintKey&) const = default;
    };

    LastFew<ProofKey, Proof> proofs;
    LastFew<PaintKey, Covers> paint;
    LastFew<KeptKey, raster::GreyImage> kept;
};

ProofShelf::ProofShelf() : shelves_(std::make_unique<Shelves>()) {}
ProofShelf::~ProofShelf() = default;

std::shared_ptr<const raster::GreyImage> ProofShelf::kept(const std::shared_ptr<const raster::RgbImage>& image,
                                                          const raster::Preparation& how) {
    const Shelves::KeptKey key{image, how.background, how.background.vignette > 0 ? how.crop : raster::Part{}};
    if (auto found = shelves_->kept.find(key)) return found;
    auto made = std::make_shared<const raster::GreyImage>(raster::kept(*image, key.background, key.crop));
    shelves_->kept.keep(key, made);
    return made;
}

/// What lies over a picture, bed mm.
std::vector<geometry::Region> ProofShelf::covers_of(const job::Motif& motif, std::size_t picture,
                                                    const std::vector<PaintOver>& over) {
    std::vector<geometry::Region> covers;
    const geometry::Box box = geometry::bounds(job::frame_of_picture(motif, picture));
    const auto add = [&](const job::Motif& lies, std::optional<std::size_t> from) {
        const Shelves::PaintKey key{lies.art, lying(lies), lies.preparation};
        auto paint = shelves_->paint.find(key);
        if (!paint) {
            paint = std::make_shared<const Covers>(planning::covers_of(
                lies, [&](const art::PlacedPicture& placed) { return kept(placed.image, lies.preparation); },
                [&](std::size_t shape) { return flat_area(lies, shape); }));
            shelves_->paint.keep(key, paint);
        }
        const geometry::Point at = corner_of(lies);
        for (const Cover* cover : paint->touching(box.moved(at * -1)))
            if (!from || cover->order > *from)
                covers.push_back(geometry::mapped(*cover->drawn, geometry::Transform::move(at.x, at.y)));
    };
    if (motif.art->read_with.cover && motif.art->shapes.size() + motif.art->pictures.size() > 1)
        add(motif, PaintSequence(*motif.art).pictures[picture]);
    for (const PaintOver& paint : over)
        add({.art = paint.art, .place = paint.place, .preparation = paint.preparation}, {});
    return covers;
}

std::shared_ptr<const Proof> ProofShelf::proof(const job::Motif& motif, std::size_t picture, const job::Step& step,
                                               double spot, const std::vector<PaintOver>& over, const Watch& watch) {
    const Shelves::ProofKey key{
        motif.id, step.id, motif.art, picture, motif.place, motif.preparation, only_dots(step.settings), spot, over};
    if (auto found = shelves_->proofs.find(key)) return found;
    const auto stays = kept(motif.art->pictures[picture].image, motif.preparation);
    auto made = std::make_shared<const Proof>(
        proof_of(motif, picture, step, spot, *stays, covers_of(motif, picture, over), watch));
    if (!watch.cancelled()) shelves_->proofs.keep(key, made);
    return made;
}

}  // namespace chalkline::planning
