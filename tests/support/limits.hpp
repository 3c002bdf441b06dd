// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/clearance/clear.hpp>

namespace chalkline::test {

/// What a program of a job has to keep to. REQUIRES: `program` outlives the result.
inline safety::ProgramLimits limits_of(const job::Job& job, const machine::MachineProfile& machine,
                                       const machine::Program& program) {
    const planning::CheckGround ground{machine};
    return clearance::limits_of(job, planning::check_job(job, ground, planning::lit_points(program)), ground, program);
}

}  // namespace chalkline::test
