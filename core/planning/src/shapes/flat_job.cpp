// SPDX-License-Identifier: GPL-3.0-or-later
#include "shapes/covers.hpp"

#include <chalkline/job/wall_bend.hpp>
#include <chalkline/planning/flat_job.hpp>

#include <algorithm>
#include <array>
#include <map>
#include <utility>

namespace chalkline::planning {

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

FlatJob::FlatJob(const job::Job& job)
    : given_(job), lying_(job::as_it_lies(job)), copies_(lying_), areas_(copies_.kinds()) {}

std::shared_ptr<const geometry::Region> FlatJob::area(std::size_t at, std::size_t shape) {
    const job::Motif& motif = lying_.motifs[at];
    auto& areas = areas_[copies_.kind_of(at)];
    areas.resize(motif.art->shapes.size());
    if (!areas[shape]) areas[shape] = flat_area(motif, shape);
    return areas[shape];
}

}  // namespace chalkline::planning
