// SPDX-License-Identifier: GPL-3.0-or-later
#include "document/plan_keeper.hpp"

#include <chalkline/job/round_piece.hpp>

#include <algorithm>
#include <utility>

namespace chalkline::app {
PlanKeeper::PlanKeeper(JobDocument& document, machine::MachineProfile machine, QObject* parent)
    : QObject(parent), document_(document), flat_{std::move(machine)}, ground_(flat_) {
    connect(&document_, &JobDocument::changed, this, [this](JobChange change) {
        if (change == JobChange::everything) {  // another job
            only_ = {};
            program_.reset();
            program_name_.clear();
            stored_.reset();
        }
        if (change != JobChange::file) start();
    });
}

void PlanKeeper::show_program(const QString& name, std::shared_ptr<const machine::Program> program,
                              const std::optional<machine::StoredFile>& stored) {
    program_name_ = name;
    program_ = std::move(program);
    stored_ = stored;
    to_show_ = true;
    start_program();
}

/// Anew on every change of the machine: what may be burned depends on it.
void PlanKeeper::start_program() {
    runner_.start(
        [program = program_, ground = ground_](const Watch& watch) {
            return clearance::clear(clearance::FileRequest{*program, ground}, watch);
        },
        [this](clearance::Clearance planned) {
            take(std::move(planned));
            if (std::exchange(to_show_, false)) Q_EMIT program_shown();
        });
    Q_EMIT changed();
}

void PlanKeeper::take(clearance::Clearance planned) {
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
    if (program_ && document_.job().motifs.empty()) return start_program();
    program_.reset();
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
    runner_.start(
        [job = document_.job(), ground = ground_, only = with_shelf](const Watch& watch) {
            return clearance::clear(clearance::JobRequest{job, ground, only}, watch);
        },
        [this](clearance::Clearance planned) { take(std::move(planned)); });
    Q_EMIT changed();
}

}  // namespace chalkline::app
