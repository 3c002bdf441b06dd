// SPDX-License-Identifier: GPL-3.0-or-later
#include "shapes/step_shapes.hpp"

#include "shapes/line_work.hpp"

#include <chalkline/geometry/combine.hpp>

#include <algorithm>
#include <map>
#include <numeric>
#include <utility>

namespace chalkline::planning {
namespace {

using geometry::Box;
using geometry::Point;
using geometry::Polyline;
using geometry::Region;
using geometry::Transform;

constexpr double shortest_line = 0.02;  // mm: a shorter line is a dot no beam can draw as a line

void add_lines(std::vector<Polyline> rings, LineShapes& lines) {
    for (Polyline& ring : rings)
        if (geometry::length(ring) >= shortest_line) lines.push_back({std::move(ring)});
}

/// Its lines burn only where no area lies over them.
bool hides_lines(const job::Motif& motif) {
    return motif.art->read_with.cover && motif.art->read_with.cover_lines;
}

/// What of a line is seen under the areas painted over it. `corner`: where it counts from.
std::vector<Polyline> seen_parts(const std::vector<Polyline>& line, const CoverPile& covers, PaintOrder at,
                                 Point corner) {
    const Box box = geometry::bounds(line).moved(corner);
    std::vector<Region> over;
    for (const auto& some : {covers.own(box, at), covers.of_others(box, at)})
        for (const PlacedCover& cover : some) {
            const Point by = cover.at - corner;
            over.push_back(geometry::mapped(*cover.cover->drawn, Transform::move(by.x, by.y)));
        }
    return over.empty() ? line : geometry::parts_outside(line, geometry::united(over));
}

Box bounds_of(const LineShapes& lines) {
    Box box;
    for (const LineShape& shape : lines)
        box.add(geometry::bounds(shape.line));
    return box;
}

void move_beside_the_kerf(LineWork& work, const steps::LineSettings& settings, int& narrow) {
    for (LineWork::Pattern& pattern : work.patterns) {
        int vanished = 0;
        pattern.lines = beside_the_kerf(std::move(pattern.lines), settings, vanished);
        pattern.box = bounds_of(pattern.lines);
        narrow += vanished * pattern.copies;
    }
}

void mark_enclosed(LineWork& work) {
    for (LineWork::Pattern& pattern : work.patterns)
        mark_enclosed(pattern.lines);
}

/// Lines that follow the outline of an area.
LineShapes contours(const Region& whole, double inset, double pitch, const Watch& watch) {
    LineShapes lines;
    // Each ring is measured from the drawn outline: rounding never adds up.
    for (double in = inset; !watch.cancelled(); in += pitch) {
        Region area = in > 0 ? geometry::grown(whole, -in) : whole;
        const bool last = pitch <= 0 || area.rings.empty();
        add_lines(std::move(area.rings), lines);
        if (last) break;
    }
    return lines;
}

/// The fills of one motif and what lies over them, as they lie from its corner.
struct CoveredFills {
    geometry::Pile pile;
    std::vector<const Region*> drawn;  ///< the fills
    bool by_others = false;            ///< another motif lies over it
};

CoveredFills covered_fills(const FillShape* first, const FillShape* last, const CoverPile& covers) {
    Box box;
    for (const FillShape* fill = first; fill != last; ++fill)
        box.add(fill->box);
    const auto own = covers.own(box, first->order), others = covers.of_others(box, first->order);
    std::vector<std::pair<PaintOrder, Region>> pile;
    for (const FillShape* fill = first; fill != last; ++fill)
        pile.emplace_back(fill->order, *fill->drawn);
    const std::size_t burning = pile.size();
    for (const auto* some : {&own, &others})
        for (const PlacedCover& cover : *some) {
            const Point by = cover.at - first->at;
            pile.emplace_back(cover.order, geometry::mapped(*cover.cover->drawn, Transform::move(by.x, by.y)));
        }
    std::vector<std::size_t> order(pile.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::stable_sort(order.begin(), order.end(),
                     [&](std::size_t a, std::size_t b) { return pile[a].first < pile[b].first; });
    CoveredFills result;
    result.by_others = !others.empty();
    for (const std::size_t i : order) {
        result.pile.regions.push_back(std::move(pile[i].second));
        result.pile.inks.push_back(i < burning ? 1 : 0);
    }
    for (const FillShape* fill = first; fill != last; ++fill)
        result.drawn.push_back(fill->drawn.get());
    return result;
}

}  // namespace

Box StepShapes::box() const {
    Box box = lines.box();
    for (const FillShape& fill : fills)
        box.add(fill.box);
    for (const auto& proof : proofs)
        box.add(proof->frame.box());
    return box;
}

/// What a step burns of all motifs of a kind, at the page's corner.
struct JobShapes::DrawnKind {
    struct Fill {
        std::shared_ptr<const Region> region;
        Box box;
        std::size_t order;
        double ink;
    };
    std::vector<Fill> fills;
    std::shared_ptr<const LineShapes> lines;
    Box lines_box;
};

JobShapes::JobShapes(FlatJob& flat, double spot, const PlanOptions& options)
    : flat_(flat),
      job_(flat.lying()),
      copies_(flat.copies()),
      spot_(spot),
      options_(options),
      shelf_(options.shelf ? *options.shelf : once_),
      covering_(std::any_of(job_.motifs.begin(), job_.motifs.end(),
                            [](const job::Motif& motif) { return motif.art->read_with.cover; })) {}

JobShapes::DrawnKind JobShapes::drawn(const job::Step& step, std::size_t at, const CoverPile& over_lines) {
    const job::Motif& motif = job_.motifs[at];
    const Point corner = corner_of(motif);
    DrawnKind kind;
    LineShapes lines;
    const PaintSequence sequence(*motif.art);
    for (std::size_t i = 0; i < motif.art->shapes.size(); ++i) {
        if (!job::Job::burns(step, motif, i)) continue;
        const auto region = flat_.area(at, i);
        if (step.settings.kind == steps::StepKind::engrave)
            kind.fills.push_back({region, geometry::bounds(region->rings), sequence.shapes[i],
                                  ink_share(motif.art->shapes[i].ink.rgb, step.settings)});
        else if (motif.art->shapes[i].ink.kind == InkKind::fill)
            // Of an area the outline of what it covers, whatever overlaps in it.
            add_lines(geometry::united({*region}).rings, lines);
        else if (hides_lines(motif))
            add_lines(seen_parts(region->rings, over_lines, {at, sequence.shapes[i]}, corner), lines);
        else
            add_lines(region->rings, lines);
    }
    apply_marks(motif.marks, lying(motif), lines);
    kind.lines_box = bounds_of(lines);
    kind.lines = std::make_shared<const LineShapes>(std::move(lines));
    return kind;
}

CoverPile JobShapes::cover_pile(const job::Step& step, const Watch& watch) {
    std::vector<MotifCovers> pile;
    std::vector<std::shared_ptr<const Covers>> kinds(copies_.kinds());
    for (std::size_t i = 0; i < job_.motifs.size() && !watch.cancelled(); ++i) {
        auto& covers = kinds[copies_.kind_of(i)];
        const job::Motif& motif = job_.motifs[i];
        if (!covers)
            covers = std::make_shared<const Covers>(covers_of(
                motif, [&](const art::PlacedPicture& picture) { return shelf_.kept(picture.image, motif.preparation); },
                [&](std::size_t shape) {
                    return job::Job::burns(step, motif, shape) ? nullptr : flat_.area(i, shape);
                }));
        if (!covers->empty()) pile.push_back({covers, corner_of(motif), i});
    }
    return CoverPile(std::move(pile));
}

StepShapes JobShapes::pictures_of(const job::Step& step, const Watch& watch) {
    StepShapes shapes;
    for (const job::Motif& motif : job_.motifs)
        for (std::size_t i = 0; options_.wants_motif(motif.id) && i < motif.art->pictures.size(); ++i)
            if (step.on && job_.sent_picture(step, motif, i) && !watch.cancelled())
                shapes.proofs.push_back(shelf_.proof(motif, i, step, spot_, paint_over(job_, motif), watch));
    return shapes;
}

StepShapes JobShapes::of(const job::Step& step, const Watch& watch) {
    if (step.settings.kind == steps::StepKind::picture) return pictures_of(step, watch);
    StepShapes shapes;
    CoverPile over_lines;
    const bool draws_lines = step.settings.kind != steps::StepKind::engrave;
    if (draws_lines && std::any_of(job_.motifs.begin(), job_.motifs.end(), hides_lines))
        over_lines = cover_pile(step, watch);
    std::vector<std::optional<DrawnKind>> kinds(copies_.kinds());
    std::vector<DrawnLines> lines;
    for (std::size_t i = 0; i < job_.motifs.size() && !watch.cancelled(); ++i) {
        const job::Motif& motif = job_.motifs[i];
        if (!options_.wants_motif(motif.id)) continue;
        // Copies are drawn once, but not where something else lies over one of them.
        std::optional<DrawnKind> alone;
        const bool by_others = draws_lines && hides_lines(motif) &&
                               !over_lines.of_others(art::bounds_under(*motif.art, motif.place), {i, 0}).empty();
        auto& kind = by_others ? alone : kinds[copies_.kind_of(i)];
        if (!kind) kind = drawn(step, i, over_lines);
        const Point at = corner_of(motif);
        const bool covered = motif.art->read_with.cover;
        for (const DrawnKind::Fill& fill : kind->fills)
            shapes.fills.push_back({fill.region, at, fill.box.moved(at), motif.id,
                                    PaintOrder{covered ? i : over_all, covered ? fill.order : 0}, fill.ink});
        if (!kind->lines->empty()) lines.push_back({kind->lines, kind->lines_box, at, motif.id});
    }
    if (covering_ && !shapes.fills.empty()) shapes.covers = cover_pile(step, watch);
    shapes.lines = grouped(lines);
    move_beside_the_kerf(shapes.lines, step.settings.line, shapes.narrow);
    mark_enclosed(shapes.lines);
    return shapes;
}

LineWork contours_of(const std::vector<FillShape>& fills, const CoverPile& covers, double inset, double pitch,
                     const Watch& watch) {
    std::map<std::vector<const Region*>, DrawnLines> known;
    std::vector<DrawnLines> drawn;
    for (std::size_t first = 0, next = 0; first < fills.size() && !watch.cancelled(); first = next) {
        while (next < fills.size() && fills[next].motif == fills[first].motif)
            ++next;
        const CoveredFills covered = covered_fills(&fills[first], &fills[0] + next, covers);
        DrawnLines alone;
        DrawnLines& kind = covered.by_others ? alone : known[covered.drawn];
        if (!kind.lines) {
            kind.lines =
                std::make_shared<const LineShapes>(contours(geometry::seen(covered.pile), inset, pitch, watch));
            kind.box = bounds_of(*kind.lines);
        }
        if (!kind.lines->empty()) drawn.push_back({kind.lines, kind.box, fills[first].at, fills[first].motif});
    }
    LineWork work = grouped(drawn);
    mark_enclosed(work);
    return work;
}

}  // namespace chalkline::planning
