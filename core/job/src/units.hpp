// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/job/job.hpp>

#include <cstddef>
#include <map>
#include <vector>

namespace chalkline::job {

/// What moves as one: a group, or a motif of none.
struct Unit {
    Ids motifs;
    geometry::Box box;
};

inline std::vector<Unit> units_of(const Job& job, const Ids& motifs) {
    std::vector<Unit> units;
    std::map<Id, std::size_t> of_group;
    for (const Id id : motifs) {
        const Motif& motif = *job.motif(id);
        std::size_t index = units.size();
        if (motif.group != 0) index = of_group.try_emplace(motif.group, index).first->second;
        if (index == units.size()) units.emplace_back();
        units[index].motifs.push_back(id);
        units[index].box.add(bounds(motif));
    }
    return units;
}

}  // namespace chalkline::job
