// SPDX-License-Identifier: GPL-3.0-or-later
#include "machine/known_places.hpp"

#include <chalkline/job/edits.hpp>

#include <QCoreApplication>

namespace chalkline::app {
namespace {

QString place_tr(const char* text) {
    return QCoreApplication::translate("places", text);
}

}  // namespace

std::vector<KnownPlace> known_places(const job::Job& job, const machine::MachineProfile& machine) {
    std::vector<KnownPlace> known;
    if (const auto datum = job::datum_place(job)) known.push_back({place_tr("the datum"), *datum});
    if (job.stock) {
        const auto corner = [&](double x, double y) {
            return job.stock->place()({x * job.stock->width, y * job.stock->height});
        };
        known.push_back({place_tr("piece, near left"), corner(0, 0)});
        known.push_back({place_tr("piece, near right"), corner(1, 0)});
        known.push_back({place_tr("piece, far right"), corner(1, 1)});
        known.push_back({place_tr("piece, far left"), corner(0, 1)});
        known.push_back({place_tr("piece, middle"), job.stock->middle()});
    }
    if (const geometry::Box box = job::bounds(job); !box.empty()) {
        known.push_back({place_tr("job, near left"), {box.left, box.bottom}});
        known.push_back({place_tr("job, far right"), {box.right, box.top}});
    }
    for (const job::MarkedPlace& marked : job.marked)
        known.push_back({QString::fromStdString(marked.name), marked.place});
    for (const machine::NamedPlace& named : machine.places)
        known.push_back({QString::fromStdString(named.name), named.place});
    known.push_back({place_tr("bed, near left"), {0, 0}});
    known.push_back({place_tr("bed, far right"), {machine.width, machine.depth}});
    return known;
}

}  // namespace chalkline::app
