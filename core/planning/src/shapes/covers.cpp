// SPDX-License-Identifier: GPL-3.0-or-later
#include "shapes/covers.hpp"

#include <chalkline/art/picture_area.hpp>
#include <chalkline/geometry/combine.hpp>

#include <algorithm>
#include <limits>

namespace chalkline::planning {
using geometry::Box;
using geometry::Point;
using geometry::Region;
using geometry::Transform;

PaintSequence::PaintSequence(const art::Artwork& art) {
    std::size_t next = 0;
    auto picture = art.pictures.begin();
    const auto pictures_below = [&](int number) {
        for (; picture != art.pictures.end() && picture->above <= number; ++picture)
            pictures.push_back(next++);
    };
    for (const art::Shape& shape : art.shapes) {
        pictures_below(shape.number);
        shapes.push_back(next++);
    }
    pictures_below(std::numeric_limits<int>::max());
}

Transform lying(const job::Motif& motif) {
    const Transform& place = motif.place;
    return {place.a, place.b, place.c, place.d, 0, 0};
}

Point corner_of(const job::Motif& motif) {
    return {motif.place.e, motif.place.f};
}

std::shared_ptr<const Region> flat_area(const job::Motif& motif, std::size_t shape) {
    const art::Shape& drawn = motif.art->shapes[shape];
    return std::make_shared<const Region>(Region{drawn.path.flatten(lying(motif)), drawn.rule});
}

Covers covers_of(const job::Motif& motif, const KeptOf& kept, const AreaOf& area_of) {
    const art::Artwork& art = *motif.art;
    const PaintSequence sequence(art);
    std::vector<Cover> covers;
    const auto add = [&](std::shared_ptr<const Region> area, std::size_t order) {
        const Box box = area ? geometry::bounds(area->rings) : Box{};
        if (!box.empty()) covers.push_back({std::move(area), box, order});
    };
    for (std::size_t i = 0; i < art.shapes.size(); ++i)
        if (art.shapes[i].ink.kind == InkKind::fill) add(area_of(i), sequence.shapes[i]);
    for (std::size_t i = 0; i < art.pictures.size(); ++i)
        add(std::make_shared<const Region>(
                geometry::mapped(area_of_picture(motif, i, *kept(art.pictures[i])), lying(motif))),
            sequence.pictures[i]);
    return Covers(std::move(covers));
}

Region area_of_picture(const job::Motif& motif, std::size_t picture, const raster::GreyImage& kept) {
    const art::PlacedPicture& placed = motif.art->pictures[picture];
    const raster::Part& crop = motif.preparation.crop;
    const Box frame{crop.left, 1 - crop.bottom, crop.right, 1 - crop.top};
    Region area = kept.pixels.empty() ? Region{{geometry::outline(frame)}} : art::region_of_mask(kept, frame);
    area = geometry::mapped(std::move(area), placed.place);
    return placed.clip ? geometry::intersection(area, *placed.clip) : area;
}

Covers::Covers(std::vector<Cover> covers) : covers_(std::move(covers)) {
    std::vector<std::pair<geometry::TreeBox, std::size_t>> boxes;
    for (std::size_t i = 0; i < covers_.size(); ++i) {
        boxes.emplace_back(geometry::tree_box(covers_[i].box), i);
        box_.add(covers_[i].box);
    }
    tree_ = geometry::BoxTree(boxes);
}

std::vector<const Cover*> Covers::touching(const Box& box) const {
    std::vector<const Cover*> found;
    for (auto near = tree_.qbegin(geometry::touching(box)); near != tree_.qend(); ++near)
        found.push_back(&covers_[near->second]);
    std::sort(found.begin(), found.end(), [](const Cover* a, const Cover* b) { return a->order < b->order; });
    return found;
}

CoverPile::CoverPile(std::vector<MotifCovers> motifs) : motifs_(std::move(motifs)) {
    std::vector<std::pair<geometry::TreeBox, std::size_t>> boxes;
    for (std::size_t i = 0; i < motifs_.size(); ++i)
        boxes.emplace_back(geometry::tree_box(motifs_[i].drawn->box().moved(motifs_[i].at)), i);
    tree_ = geometry::BoxTree(boxes);
}

const MotifCovers* CoverPile::of(std::size_t motif) const {
    const auto found = std::lower_bound(motifs_.begin(), motifs_.end(), motif,
                                        [](const MotifCovers& covers, std::size_t at) { return covers.motif < at; });
    return found != motifs_.end() && found->motif == motif ? &*found : nullptr;
}

std::vector<PlacedCover> CoverPile::own(const Box& box, PaintOrder over) const {
    std::vector<PlacedCover> found;
    if (const MotifCovers* covers = of(over.motif))
        for (const Cover* cover : covers->drawn->touching(box.moved(covers->at * -1)))
            if (cover->order > over.within) found.push_back({cover, covers->at, {over.motif, cover->order}});
    return found;
}

std::vector<PlacedCover> CoverPile::of_others(const Box& box, PaintOrder over) const {
    std::vector<std::size_t> motifs;
    for (auto near = tree_.qbegin(geometry::touching(box)); near != tree_.qend(); ++near)
        if (motifs_[near->second].motif > over.motif) motifs.push_back(near->second);
    std::sort(motifs.begin(), motifs.end());
    std::vector<PlacedCover> found;
    for (const std::size_t i : motifs) {
        const MotifCovers& covers = motifs_[i];
        for (const Cover* cover : covers.drawn->touching(box.moved(covers.at * -1)))
            found.push_back({cover, covers.at, {covers.motif, cover->order}});
    }
    return found;
}

}  // namespace chalkline::planning
