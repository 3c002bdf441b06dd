// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "tasks/task_runner.hpp"

#include <chalkline/machine/profile.hpp>
#include <chalkline/machine/store.hpp>
#include <chalkline/planning/checks.hpp>
#include <chalkline/planning/plan.hpp>
#include <chalkline/planning/program_checker.hpp>

#include <QObject>
#include <map>
#include <memory>
#include <optional>
#include <vector>

namespace chalkline::app {

/// Everything worked out from one state of the job.
struct Planned {
    std::shared_ptr<const planning::Plan> plan;  ///< null when there is an error
    std::optional<Error> error;
    std::vector<planning::Check> checks;
    std::vector<planning::ProgramFault> faults;  ///< of the encoded program; none when it may be sent
    std::int64_t lines = 0;
    std::map<job::Id, std::int64_t> bytes;  ///< by step; what goes over the link
    geometry::Box burned;
    std::vector<geometry::Point> hull;  ///< of what burns this time
    double off_stock = 0, off_bed = 0;  ///< mm

    bool may_burn() const;
};

/// Works out job, machine and drawing rules into a Planned value.
Planned work_out(const job::Job& job, const planning::CheckGround& ground, const planning::PlanOptions& only,
                 const Watch& watch);

/// The same for a program that was read from a file: what is known of it, and whether it may be sent.
Planned work_out(machine::Program program, const machine::MachineProfile& machine, const Watch& watch);

/// Keeps the newest plan of the document, worked out in the background after every change.
class PlanKeeper : public QObject {
    Q_OBJECT
 public:
    PlanKeeper(JobDocument& document, machine::MachineProfile machine, QObject* parent = nullptr);

    const Planned& planned() const { return planned_; }
    /// The plan shown belongs to an older state of the job; a newer one is being worked out.
    bool stale() const { return runner_.running(); }
    /// Plan and job agree, and the program may be sent.
    bool ready() const { return !stale() && planned_.may_burn(); }
    /// Only some steps or motifs are planned, and burned, until it is said again; at rest everything is.
    void set_only(const planning::PlanOptions& only);
    const planning::PlanOptions& only() const { return only_; }
    /// What jobs are checked against from now on; the machine as it is kept.
    void set_ground(const planning::CheckGround& flat);
    /// The same for this job: the machine turns where its piece is round.
    const planning::CheckGround& ground() const { return ground_; }
    /// Proofs made for plans, for whoever shows pictures. May be asked from any thread.
    const std::shared_ptr<planning::ProofShelf>& shelf() const { return shelf_; }
    /// A program from a file stands in for the plan until the job changes. `stored`: it is the copy of that file in the
    /// controller's own store.
    void show_program(const QString& name, Planned planned, const std::optional<machine::StoredFile>& stored = {});
    /// The controller burns what is planned by itself, from this file.
    const std::optional<machine::StoredFile>& stored() const { return stored_; }
    /// Its name; empty while the job itself is planned.
    QString program_name() const { return program_name_; }
    bool whole() const { return !only_.only_steps && !only_.only_motifs; }

 Q_SIGNALS:
    void changed();
    /// Another part of the job is burned from now on.
    void only_changed();

 private:
    void forget_what_is_gone();
    void start();

    JobDocument& document_;
    planning::CheckGround flat_, ground_;
    planning::PlanOptions only_;
    std::shared_ptr<planning::ProofShelf> shelf_ = std::make_shared<planning::ProofShelf>();
    Planned planned_;
    QString program_name_;
    std::optional<machine::StoredFile> stored_;
    TaskRunner runner_;
};

}  // namespace chalkline::app
