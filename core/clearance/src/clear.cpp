// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/checksum.hpp>
#include <chalkline/clearance/clear.hpp>
#include <chalkline/cleared/content.hpp>
#include <chalkline/encoding/encoder.hpp>
#include <chalkline/geometry/hull.hpp>
#include <chalkline/geometry/outside_distance.hpp>

#include <algorithm>
#include <cmath>
#include <utility>

namespace chalkline::clearance {

using machine::LineSource;
using machine::MachineProfile;
using machine::Program;
using machine::ProgramLine;
using planning::Check;
using planning::CheckGround;
using safety::ProgramLimits;

namespace {

/// Passes lines on to the checker, and keeps what they come to.
class CountedLines : public LineSource {
 public:
    CountedLines(LineSource& lines, const Watch& watch) : lines_(lines), watch_(watch) {}

    bool next(ProgramLine& line) override {
        if (watch_.cancelled() || !lines_.next(line)) return false;
        // What is nobody's work goes with the step before it, at the beginning with the one behind it.
        if (line.step >= 0 && (!bytes_ || line.step != step_)) {
            bytes_ = &bytes[line.step];
            step_ = line.step;
            *bytes_ += std::exchange(before_, 0);
        }
        (bytes_ ? *bytes_ : before_) += static_cast<std::int64_t>(line.text.size()) + 1;
        sum_ = with_line(sum_, line);
        if (static_cast<std::size_t>(++count) % block_lines == 0) sums.push_back(sum_);
        return true;
    }
    /// REQUIRES: called once, behind the last line.
    void close() {
        if (static_cast<std::size_t>(count) % block_lines != 0) sums.push_back(sum_);
    }

    std::int64_t count = 0;
    std::map<job::Id, std::int64_t> bytes;
    std::vector<std::uint64_t> sums;

 private:
    LineSource& lines_;
    const Watch& watch_;
    std::uint64_t sum_ = checksum({});
    std::int32_t step_ = -1;
    std::int64_t* bytes_ = nullptr;  ///< of that step: looked up once for its many lines
    std::int64_t before_ = 0;        ///< bytes before the first step
};

/// Lines that stand in memory.
class ListedLines : public LineSource {
 public:
    explicit ListedLines(std::shared_ptr<const std::vector<std::string>> lines) : lines_(std::move(lines)) {}
    bool next(ProgramLine& line) override {
        if (at_ == lines_->size()) return false;
        line = {.text = (*lines_)[at_++]};
        return true;
    }

 private:
    std::shared_ptr<const std::vector<std::string>> lines_;
    std::size_t at_ = 0;
};

std::map<std::int32_t, machine::PowerValue> highest_powers(const Program& program) {
    std::map<std::int32_t, machine::PowerValue> highest;
    for (const machine::Operation& operation : program.operations) {
        machine::PowerValue power = 0;
        if (const auto* trace = std::get_if<machine::Trace>(&operation.act)) power = trace->power;
        if (const auto* sweep = std::get_if<machine::Sweep>(&operation.act))
            for (std::uint32_t i = 0; i < sweep->count; ++i)
                power = std::max(power, program.runs[sweep->first + i].power);
        if (power > 0) highest[operation.origin.step] = std::max(highest[operation.origin.step], power);
    }
    return highest;
}

/// What may be added to each step's power while it burns.
std::map<std::int32_t, int> overrides_within(const Program& program, Power most) {
    constexpr int most_override = 200;  // % that the controllers know
    std::map<std::int32_t, int> overrides;
    for (const auto& [step, power] : highest_powers(program)) {
        const double room = most.percent() * 100 / power;
        overrides[step] = std::clamp(static_cast<int>(std::floor(room * 100 + 1e-6)), 100, most_override);
    }
    return overrides;
}

bool blocks(const std::vector<Check>& checks) {
    return std::any_of(checks.begin(), checks.end(), [](const Check& check) { return check.blocks(); });
}

/// Where it burns, or would burn, and what of that lies outside.
void note_place(Clearance& clearance, const std::vector<geometry::Point>& lit, const job::Job* job,
                const MachineProfile& machine) {
    clearance.burned = geometry::bounds(lit);
    clearance.off_bed = geometry::farthest_outside(lit, geometry::outline(machine.bed())).by;
    if (job && job->stock) clearance.off_stock = geometry::farthest_outside(lit, job->stock->outline()).by;
}

}  // namespace

/// The one place where a program becomes a cleared one.
class Gate {
 public:
    /// Holds the lines that `read` gives against the limits. `program`: what they were encoded from; null: none.
    static void pass(Clearance& clearance, const Program* program, const ProgramLimits& limits,
                     std::function<std::unique_ptr<LineSource>()> read, const Watch& watch = {}) {
        const auto lines = read();
        CountedLines counted(*lines, watch);
        clearance.faults = safety::check_program(counted, limits);
        if (watch.cancelled()) {
            clearance.error = Error{std::string(chalkline::error::cancelled), {}, {}, 0};
            return;
        }
        counted.close();
        clearance.lines = counted.count;
        clearance.bytes = std::move(counted.bytes);
        if (clearance.error || !clearance.faults.empty() || blocks(clearance.checks)) return;
        auto content = std::make_shared<ClearedProgram::Content>();
        content->machine = limits.machine;
        content->hull = clearance.hull;
        if (program) content->most_power = overrides_within(*program, limits.most);
        content->line_count = counted.count;
        content->sums = std::move(counted.sums);
        content->read = std::move(read);
        clearance.program = ClearedProgram(std::move(content));
    }

    /// The same for a program that the encoder writes for that machine.
    static void pass(Clearance& clearance, const std::shared_ptr<const Program>& program, const ProgramLimits& limits,
                     const Watch& watch = {}) {
        pass(
            clearance, program.get(), limits,
            [program, machine = limits.machine] { return std::make_unique<machine::SharedEncoder>(program, machine); },
            watch);
    }
};

namespace {

std::shared_ptr<const Program> program_of(const std::shared_ptr<const planning::Plan>& plan) {
    return {plan, &plan->program};
}

}  // namespace

Result<ClearedProgram> Clearance::passed() const {
    if (error) return tl::unexpected(*error);
    for (const Check& check : checks)
        if (check.blocks()) return fail(check.code, check.parameters);
    if (!faults.empty()) {
        const safety::ProgramFault& first = faults.front();
        return tl::unexpected(Error{first.code, {{"text", first.text}}, {}, static_cast<int>(first.line)});
    }
    return *program;
}

static ProgramLimits limits_of(const CheckGround& ground) {
    ProgramLimits limits{ground.machine, {}, {}};
    limits.most = ground.ceiling.value_or(limits.most);
    return limits;
}

ProgramLimits limits_of(const job::Job& job, const std::vector<Check>& checks, const CheckGround& ground,
                        const Program& program) {
    ProgramLimits limits = limits_of(ground);
    if (const auto stock = planning::binding_stock(job, checks)) limits.stock = *stock;
    std::map<job::Id, double> power;
    for (const job::Step& step : job.steps)
        power[step.id] = step.settings.power.fraction() * ground.machine.full_power_s;
    limits.step_power = [power, &program](std::int64_t operation) {
        const auto found = power.find(program.operations[static_cast<std::size_t>(operation)].origin.step);
        return found == power.end() ? 0.0 : found->second;
    };
    return limits;
}

Clearance clear(const JobRequest& request, const Watch& watch) {
    const auto& [job, ground, options] = request;
    Clearance clearance;
    planning::FlatJob flat(job);
    auto plan = planning::plan(flat, ground.machine, options, watch);
    const auto lit = plan ? planning::lit_points(plan->program) : planning::drawn_points(flat);
    note_place(clearance, lit, &job, ground.machine);
    clearance.checks = planning::check_job(flat, ground, lit);
    if (!plan) {
        clearance.error = plan.error();
        return clearance;
    }
    const auto found = planning::check_plan(*plan);
    clearance.checks.insert(clearance.checks.end(), found.begin(), found.end());
    clearance.hull = geometry::convex_hull(lit);
    clearance.plan = std::make_shared<const planning::Plan>(std::move(*plan));
    Gate::pass(clearance, program_of(clearance.plan), limits_of(job, clearance.checks, ground, clearance.plan->program),
               watch);
    return clearance;
}

Clearance clear(FileRequest request, const Watch& watch) {
    Clearance clearance;
    clearance.plan =
        std::make_shared<const planning::Plan>(planning::plan_of(std::move(request.program), request.ground.machine));
    const auto lit = planning::lit_points(clearance.plan->program);
    note_place(clearance, lit, nullptr, request.ground.machine);
    clearance.hull = geometry::convex_hull(lit);
    Gate::pass(clearance, program_of(clearance.plan), limits_of(request.ground), watch);
    return clearance;
}

Clearance clear(const RestRequest& request, const Watch& watch) {
    Clearance clearance;
    clearance.plan = request.whole;
    clearance.rest = std::make_shared<const machine::Rest>(machine::rest_of(request.whole->program, request.done));
    const std::shared_ptr<const Program> program(clearance.rest, &clearance.rest->program);
    const auto lit = planning::lit_points(request.whole->program);
    note_place(clearance, lit, request.job, request.ground.machine);
    clearance.hull = planning::lit_hull(*program);
    if (request.job) clearance.checks = planning::check_job(*request.job, request.ground, lit);
    Gate::pass(
        clearance, program,
        request.job ? limits_of(*request.job, clearance.checks, request.ground, *program) : limits_of(request.ground),
        watch);
    return clearance;
}

Clearance clear(const FrameRequest& request) {
    Clearance clearance;
    clearance.hull = request.hull;
    const auto line = planning::frame_line(request.hull, request.way);
    auto frame = line ? planning::frame_program(*line, request.ride, request.machine)
                      : Result<Program>(tl::unexpected(line.error()));
    if (!frame) {
        clearance.error = frame.error();
        return clearance;
    }
    clearance.plan = std::make_shared<const planning::Plan>(planning::plan_of(std::move(*frame), request.machine));
    ProgramLimits limits{request.machine, {}, {}};
    limits.most = planning::faint_power(request.machine);
    Gate::pass(clearance, program_of(clearance.plan), limits);
    return clearance;
}

Clearance clear(const DarkRequest& request) {
    Clearance clearance;
    const auto lines = std::make_shared<const std::vector<std::string>>(request.lines);
    ProgramLimits limits{request.machine, {}, {}};
    limits.most = Power();
    Gate::pass(clearance, nullptr, limits, [lines] { return std::make_unique<ListedLines>(lines); });
    return clearance;
}

}  // namespace chalkline::clearance
