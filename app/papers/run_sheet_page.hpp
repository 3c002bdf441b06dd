// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/planning/checks.hpp>
#include <chalkline/planning/plan.hpp>

#include <QImage>
#include <QString>

namespace chalkline::app {

/// What stands on the page.
struct RunSheet {
    QString title;
    job::Job job;
    std::shared_ptr<const planning::Plan> plan;
    std::vector<planning::Check> checks;
    machine::MachineProfile machine;
    double time_factor = 1;  ///< as the machine's own burns correct its times
    QImage picture;          ///< the bed with the job on it
};

/// The run sheet on one A4 page, for the workshop wall. Errors: the file cannot be written.
Result<void> write_run_sheet(const RunSheet& sheet, const QString& path);

}  // namespace chalkline::app
