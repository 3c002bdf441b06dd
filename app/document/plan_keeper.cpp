// SPDX-License-Identifier: GPL-3.0-or-later
#include "document/plan_keeper.hpp"

#include <chalkline/job/round_piece.hpp>
#include <chalkline/planning/frame.hpp>

#include <algorithm>

namespace chalkline::app {
namespace {

/// Passes lines on and counts them.
class CountedLines : public machine::LineSource {
 public:
    CountedLines(machine::Encoder& lines, const machine::Program& program, Planned& planned, const Watch& watch)
        : lines_(lines), program_(program), planned_(planned), watch_(watch) {}
    bool next(machine::ProgramLine& line) override {
        if (watch_.cancelled() || !lines_.next(line)) return false;
        ++planned_.lines;
        const auto operation = static_cast<std::size_t>(std::max<std::int64_t>(line.operation, 0));
        const job::Id step = program_.operations[operation].origin.step;
        if (!bytes_ || step != step_) bytes_ = &planned_.bytes[step];
        step_ = step;
        *bytes_ += static_cast<std::int64_t>(line.text.size()) + 1;
        return true;
    }

 private:
    machine::Encoder& lines_;
    const machine::Program& program_;
    Planned& planned_;
    const Watch& watch_;
    job::Id step_ = 0;
    std::int64_t* bytes_ = nullptr;  ///< of that step: looked up once for its many lines
};

}  // namespace

bool Planned::may_burn() const {
    return plan && faults.empty() &&
           std::none_of(checks.begin(), checks.end(), [](const planning::Check& check) { return check.blocks(); });
}

Planned work_out(const job::Job& job, const planning::CheckGround& ground, const planning::PlanOptions& only,
                 const Watch& watch) {
    const machine::MachineProfile& machine = ground.machine;
    Planned planned;
    planned.checks = planning::check_job(job, ground);
    const planning::Lying lying = planning::lying_of(job, machine);
    planned.burned = lying.burned;
    planned.off_bed = lying.off_bed;
    planned.off_stock = lying.off_stock;
    auto plan = planning::plan(job, machine, only, watch);
    if (!plan) {
        planned.error = plan.error();
        return planned;
    }
    // The frame goes round what is burned this time, as it is burned.
    planned.burned = plan->burn_box;
    planned.hull = planning::lit_hull(plan->program);
    const auto found = planning::check_plan(*plan);
    planned.checks.insert(planned.checks.end(), found.begin(), found.end());
    machine::Encoder encoder(plan->program, machine);
    CountedLines lines(encoder, plan->program, planned, watch);
    planned.faults = planning::check_program(lines, planning::limits_of(job, machine, plan->program));
    planned.plan = std::make_shared<const planning::Plan>(std::move(*plan));
    return planned;
}

Planned work_out(machine::Program program, const machine::MachineProfile& machine, const Watch& watch) {
    Planned planned;
    auto plan = std::make_shared<planning::Plan>(planning::plan_of(std::move(program), machine));
    machine::Encoder encoder(plan->program, machine);
    CountedLines lines(encoder, plan->program, planned, watch);
    planned.faults = planning::check_program(lines, {machine, {}, {}});
    planned.burned = plan->burn_box;
    planned.hull = planning::lit_hull(plan->program);
    planned.plan = std::move(plan);
    return planned;
}

PlanKeeper::PlanKeeper(JobDocument& document, machine::MachineProfile machine, QObject* parent)
    : QObject(parent), document_(document), flat_{std::move(machine)}, ground_(flat_) {
    connect(&document_, &JobDocument::changed, this, [this](JobChange change) {
        if (change == JobChange::everything) {  // another job
            only_ = {};
            program_name_.clear();
            stored_.reset();
        }
        if (change != JobChange::file) start();
    });
}

void PlanKeeper::show_program(const QString& name, Planned planned, const std::optional<machine::StoredFile>& stored) {
    runner_.cancel();
    program_name_ = name;
    stored_ = stored;
    planned_ = std::move(planned);
    Q_EMIT changed();
}

void PlanKeeper::set_only(const planning::PlanOptions& only) {
    only_ = only;
    Q_EMIT only_changed();
    start();
}

void PlanKeeper::set_ground(const planning::CheckGround& flat) {
    flat_ = flat;
    start();
}

/// What is gone can no longer be chosen.
void PlanKeeper::forget_what_is_gone() {
    const job::Job& job = document_.job();
    const auto prune = [](std::optional<job::Ids>& ids, auto there) {
        if (!ids) return;
        std::erase_if(*ids, [&](job::Id id) { return !there(id); });
        if (ids->empty()) ids.reset();
    };
    prune(only_.only_steps, [&](job::Id id) { return job.step(id) != nullptr; });
    prune(only_.only_motifs, [&](job::Id id) { return job.motif(id) != nullptr; });
}

void PlanKeeper::start() {
    ground_ = flat_;
    ground_.machine = job::machine_for(document_.job(), flat_.machine);
    // A program from a file does not depend on the job's surroundings.
    if (!program_name_.isEmpty() && document_.job().motifs.empty()) return;
    program_name_.clear();
    stored_.reset();
    forget_what_is_gone();
    if (document_.job().motifs.empty()) {
        runner_.cancel();
        planned_ = {};
        Q_EMIT changed();
        return;
    }
    planning::PlanOptions with_shelf = only_;
    with_shelf.shelf = shelf_;
    runner_.start([job = document_.job(), ground = ground_,
                   only = with_shelf](const Watch& watch) { return work_out(job, ground, only, watch); },
                  [this](Planned planned) {
                      planned_ = std::move(planned);
                      Q_EMIT changed();
                  });
    Q_EMIT changed();
}

}  // namespace chalkline::app
