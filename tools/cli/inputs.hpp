// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/job/job.hpp>
#include <chalkline/machine/profile.hpp>
#include <chalkline/planning/plan.hpp>

#include <memory>
#include <optional>
#include <string>
#include <variant>
#include <vector>

namespace chalkline::cli {

/// What decides how art becomes a job, from the command line.
struct JobOptions {
    std::string machine;             ///< profile path; empty: the sample bench laser
    std::vector<std::string> steps;  ///< '#rrggbb:line=cut,power=100,…'
    std::string place;               ///< "X,Y"
    std::string order = "shortest";
};

Result<machine::MachineProfile> load_machine(const std::string& path);

/// A file named on the command line, by what it is: a job, art made into a job, or a program.
struct Input {
    std::variant<job::Job, std::shared_ptr<const std::string>> content;
    const job::Job* job() const { return std::get_if<job::Job>(&content); }
};
Result<Input> load_input(const std::string& path, const JobOptions& options, const machine::MachineProfile& machine);
planning::PlanOptions plan_options(const JobOptions& options);

}  // namespace chalkline::cli
