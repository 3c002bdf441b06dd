// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/job/job.hpp>

#include <algorithm>

namespace chalkline::job {

using geometry::Point;

geometry::Polyline Stock::outline() const {
    const auto place = geometry::Transform::move(corner.x, corner.y) * geometry::Transform::turn(angle);
    return {{place({0, 0}), place({width, 0}), place({width, height}), place({0, height})}, true};
}

const Motif* Job::motif(Id id) const {
    const auto found = std::find_if(motifs.begin(), motifs.end(), [id](const Motif& m) { return m.id == id; });
    return found == motifs.end() ? nullptr : &*found;
}

const Step* Job::step(Id id) const {
    const auto found = std::find_if(steps.begin(), steps.end(), [id](const Step& s) { return s.id == id; });
    return found == steps.end() ? nullptr : &*found;
}

std::vector<RoutedInk> routed_inks(const Job& job) {
    std::vector<RoutedInk> result;
    for (const Motif& motif : job.motifs) {
        for (const art::InkSummary& summary : art::inks(*motif.art)) {
            const auto known = std::find_if(result.begin(), result.end(),
                                            [&](const RoutedInk& routed) { return routed.ink == summary.ink; });
            if (known != result.end()) {
                known->shapes += summary.shapes;
                continue;
            }
            RoutedInk routed{summary.ink, summary.shapes, {}, false};
            for (const Step& step : job.steps)
                if (!routed.step && std::find(step.inks.begin(), step.inks.end(), summary.ink) != step.inks.end())
                    routed.step = step.id;
            routed.left_out =
                !routed.step && std::find(job.left_out.begin(), job.left_out.end(), summary.ink) != job.left_out.end();
            result.push_back(routed);
        }
    }
    return result;
}

geometry::Point on_page(const Motif& motif, geometry::Point on_bed) {
    const auto& p = motif.place;
    const double area = p.a * p.d - p.b * p.c;
    const geometry::Point q{on_bed.x - p.e, on_bed.y - p.f};
    return {(p.d * q.x - p.c * q.y) / area, (p.a * q.y - p.b * q.x) / area};
}

geometry::Box bounds(const Motif& motif) {
    geometry::Box box;
    for (const art::Shape& shape : motif.art->shapes)
        box.add(geometry::bounds(shape.path.flatten(motif.place)));
    for (const art::PlacedPicture& picture : motif.art->pictures) {
        art::PlacedPicture on_bed = picture;
        on_bed.place = motif.place * picture.place;
        if (on_bed.clip)
            for (auto& ring : on_bed.clip->rings)
                for (auto& point : ring.points)
                    point = motif.place(point);
        box.add(art::bounds(on_bed));
    }
    return box;
}

geometry::Box bounds(const Job& job) {
    geometry::Box box;
    for (const Motif& motif : job.motifs)
        box.add(bounds(motif));
    return box;
}

}  // namespace chalkline::job
