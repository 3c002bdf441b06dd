// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/cleared/cleared_program.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/planning/plan.hpp>

#include <string>

namespace chalkline::clearance {

/// The program as a file: comments that say what it is, then its lines. Comments are plain ASCII, at most 70 characters
/// a line; letters outside of it are spelled near it or as "_". REQUIRES: `program` is that of `plan`.
std::string program_file(const std::string& title, const job::Job& job, const planning::Plan& plan,
                         const ClearedProgram& program);

}  // namespace chalkline::clearance
