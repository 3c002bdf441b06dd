// SPDX-License-Identifier: GPL-3.0-or-later
#include "shapes/step_shapes.hpp"

#include "shapes/line_work.hpp"

#include <chalkline/geometry/combine.hpp>

#include <array>
#include <map>
#include <utility>

namespace chalkline::planning {
namespace {

using geometry::Box;
using geometry::Point;
using geometry::Polyline;
using geometry::Region;
using geometry::Transform;

constexpr double shortest_line = 0.02;  // mm: a shorter line is a dot no beam can draw as a line

Point corner_of(const job::Motif& motif) {
    return {motif.place.e, motif.place.f};
}

/// The motif's place without its shift: what copies have in common.
Transform lying(const job::Motif& motif) {
    const Transform& place = motif.place;
    return {place.a, place.b, place.c, place.d, 0, 0};
}

/// What a step burns of all motifs of a kind, at the page's corner.
struct DrawnKind {
    struct Fill {
        std::shared_ptr<const Region> region;
        Box box;
    };
    std::vector<Fill> fills;
    std::shared_ptr<const LineShapes> lines;
    Box lines_box;
};

void add_lines(std::vector<Polyline> rings, LineShapes& lines) {
    for (Polyline& ring : rings)
        if (geometry::length(ring) >= shortest_line) lines.push_back({std::move(ring)});
}

Box bounds_of(const LineShapes& lines) {
    Box box;
    for (const LineShape& shape : lines)
        box.add(geometry::bounds(shape.line));
    return box;
}

DrawnKind drawn(const job::Step& step, const job::Motif& motif) {
    DrawnKind kind;
    LineShapes lines;
    for (std::size_t i = 0; i < motif.art->shapes.size(); ++i) {
        if (!job::Job::burns(step, motif, i)) continue;
        const art::Shape& shape = motif.art->shapes[i];
        Region region{shape.path.flatten(lying(motif)), shape.rule};
        if (step.settings.kind == steps::StepKind::engrave) {
            const Box box = geometry::bounds(region.rings);
            kind.fills.push_back({std::make_shared<const Region>(std::move(region)), box});
        } else {
            // Of an area the outline of what it covers, whatever overlaps in it.
            add_lines(shape.ink.kind == InkKind::fill ? geometry::united({region}).rings : std::move(region.rings),
                      lines);
        }
    }
    apply_marks(motif.marks, lying(motif), lines);
    kind.lines_box = bounds_of(lines);
    kind.lines = std::make_shared<const LineShapes>(std::move(lines));
    return kind;
}

std::vector<std::shared_ptr<const Proof>> proofs_of(const job::Job& job, const job::Step& step, double spot,
                                                    const PlanOptions& options, const Watch& watch) {
    ProofShelf once;
    ProofShelf& shelf = options.shelf ? *options.shelf : once;
    std::vector<std::shared_ptr<const Proof>> proofs;
    for (const job::Motif& motif : job.motifs)
        for (std::size_t i = 0; options.wants_motif(motif.id) && i < motif.art->pictures.size(); ++i)
            if (step.on && job.sent_picture(step, motif, i) && !watch.cancelled())
                proofs.push_back(shelf.proof(motif, i, step, spot, watch));
    return proofs;
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

/// Lines that follow the outline of what these cover.
LineShapes contours(const std::vector<Region>& regions, double inset, double pitch, const Watch& watch) {
    const Region whole = geometry::united(regions);
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

}  // namespace

Copies::Copies(const job::Job& job) {
    // Few drawings lie in so many ways that looking through those of one would take long.
    std::map<std::pair<const art::Artwork*, std::array<double, 4>>, std::vector<std::size_t>> firsts;
    for (std::size_t i = 0; i < job.motifs.size(); ++i) {
        const job::Motif& motif = job.motifs[i];
        auto& known = firsts[{motif.art.get(), {motif.place.a, motif.place.b, motif.place.c, motif.place.d}}];
        const auto same = std::find_if(known.begin(), known.end(), [&](std::size_t other) {
            const job::Motif& first = job.motifs[other];
            return first.step == motif.step && first.objects == motif.objects && first.marks == motif.marks;
        });
        if (same != known.end()) {
            kinds_.push_back(kinds_[*same]);
        } else {
            known.push_back(i);
            kinds_.push_back(count_++);
        }
    }
}

Box StepShapes::box() const {
    Box box = lines.box();
    for (const FillShape& fill : fills)
        box.add(fill.box);
    for (const auto& proof : proofs)
        box.add(proof->frame.box());
    return box;
}

StepShapes shapes_of(const job::Job& job, const job::Step& step, const Copies& copies, double spot,
                     const PlanOptions& options, const Watch& watch) {
    StepShapes shapes;
    if (step.settings.kind == steps::StepKind::picture) {
        shapes.proofs = proofs_of(job, step, spot, options, watch);
        return shapes;
    }
    std::vector<std::optional<DrawnKind>> kinds(copies.kinds());
    std::vector<DrawnLines> lines;
    for (std::size_t i = 0; i < job.motifs.size() && !watch.cancelled(); ++i) {
        const job::Motif& motif = job.motifs[i];
        if (!options.wants_motif(motif.id)) continue;
        auto& kind = kinds[copies.kind_of(i)];
        if (!kind) kind = drawn(step, motif);
        const Point at = corner_of(motif);
        for (const DrawnKind::Fill& fill : kind->fills)
            shapes.fills.push_back({fill.region, at, fill.box.moved(at), motif.id});
        if (!kind->lines->empty()) lines.push_back({kind->lines, kind->lines_box, at, motif.id});
    }
    shapes.lines = grouped(lines);
    move_beside_the_kerf(shapes.lines, step.settings.line, shapes.narrow);
    mark_enclosed(shapes.lines);
    return shapes;
}

LineWork contours_of(const std::vector<FillShape>& fills, double inset, double pitch, const Watch& watch) {
    std::map<std::vector<const Region*>, DrawnLines> known;
    std::vector<DrawnLines> drawn;
    for (std::size_t first = 0, next = 0; first < fills.size() && !watch.cancelled(); first = next) {
        std::vector<const Region*> covers;
        for (next = first; next < fills.size() && fills[next].motif == fills[first].motif; ++next)
            covers.push_back(fills[next].drawn.get());
        DrawnLines& kind = known[covers];
        if (!kind.lines) {
            std::vector<Region> regions;
            for (const Region* region : covers)
                regions.push_back(*region);
            kind.lines = std::make_shared<const LineShapes>(contours(regions, inset, pitch, watch));
            kind.box = bounds_of(*kind.lines);
        }
        if (!kind.lines->empty()) drawn.push_back({kind.lines, kind.box, fills[first].at, fills[first].motif});
    }
    LineWork work = grouped(drawn);
    mark_enclosed(work);
    return work;
}

}  // namespace chalkline::planning
