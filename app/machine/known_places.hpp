// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/machine/profile.hpp>

#include <QString>
#include <vector>

namespace chalkline::app {

/// A place of the bed in words: "the datum", "piece, near left".
struct KnownPlace {
    QString name;
    geometry::Point place;
};

/// The datum, corners of the piece, the job and the bed, the job's marked places and the machine's named ones.
std::vector<KnownPlace> known_places(const job::Job& job, const machine::MachineProfile& machine);

}  // namespace chalkline::app
