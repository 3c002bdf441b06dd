// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/progress.hpp>
#include <chalkline/cleared/cleared_program.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/machine/rest.hpp>
#include <chalkline/planning/checks.hpp>
#include <chalkline/planning/frame.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/safety/program_checker.hpp>

#include <map>
#include <memory>
#include <optional>
#include <string>
#include <vector>

// The gate before a beam may be lit. Whatever is burned, framed or gone on with goes through `clear` once: it is
// planned, encoded and held against every rule, and what comes out is what is sent. Pure; any thread.
namespace chalkline::clearance {

/// A job as it is now. REQUIRES: what is referred to outlives the call, here and below.
struct JobRequest {
    const job::Job& job;
    const planning::CheckGround& ground;  ///< the machine as the job finds it
    planning::PlanOptions options{};
};
/// A program that was read from a file.
struct FileRequest {
    machine::Program program;
    const planning::CheckGround& ground;
};
/// A ride round what is burned.
struct FrameRequest {
    std::vector<geometry::Point> hull;
    planning::FrameWay way = planning::FrameWay::box;
    planning::FrameRide ride{};
    const machine::MachineProfile& machine;
};
/// What is left of a program that broke off.
struct RestRequest {
    std::shared_ptr<const planning::Plan> whole;
    machine::ProgramPlace done;  ///< it goes on behind this
    const job::Job* job;         ///< what `whole` was planned from; null: it is from a file
    const planning::CheckGround& ground;
};
/// Lines that light nothing: what a self-test tries.
struct DarkRequest {
    std::vector<std::string> lines;
    const machine::MachineProfile& machine;
};

/// What became of a request: all that was found out, and the program when nothing speaks against it.
struct Clearance {
    std::optional<Error> error;  ///< it could not be planned
    std::vector<planning::Check> checks;
    std::vector<safety::ProgramFault> faults;  ///< of its lines
    std::optional<ClearedProgram> program;     ///< none while one of the above blocks

    std::shared_ptr<const planning::Plan> plan;  ///< null when there is an error; of the whole when it is gone on with
    std::shared_ptr<const machine::Rest> rest;   ///< what is left of `plan`; null: all of it is sent
    std::int64_t lines = 0;
    std::map<job::Id, std::int64_t> bytes;  ///< by step; what goes over the link
    std::vector<geometry::Point> hull;      ///< of what burns this time, bed mm
    geometry::Box burned;                   ///< of the same; of the art as drawn when there is no plan
    double off_stock = 0, off_bed = 0;      ///< how far that lies outside, mm

    /// The program, or the first thing that stands against it: the code of an error, a check or a fault.
    Result<ClearedProgram> passed() const;
};

Clearance clear(const JobRequest& request, const Watch& watch = {});
Clearance clear(FileRequest request, const Watch& watch = {});
Clearance clear(const RestRequest& request, const Watch& watch = {});
/// Its `hull` is the one it rides round.
Clearance clear(const FrameRequest& request);
Clearance clear(const DarkRequest& request);

/// What the lines of a job's program have to keep to: its piece, the power of each of its steps, the workshop's
/// ceiling. REQUIRES: `program` outlives the result. `checks`: of the job.
safety::ProgramLimits limits_of(const job::Job& job, const std::vector<planning::Check>& checks,
                                const planning::CheckGround& ground, const machine::Program& program);

}  // namespace chalkline::clearance
