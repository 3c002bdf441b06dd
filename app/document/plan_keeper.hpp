// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/job_document.hpp"
#include "tasks/task_runner.hpp"

#include <chalkline/clearance/clear.hpp>
#include <chalkline/conversation/store.hpp>

#include <QObject>
#include <memory>
#include <optional>

namespace chalkline::app {

/// Keeps the newest plan of the document, worked out in the background after every change.
class PlanKeeper : public QObject {
    Q_OBJECT
 public:
    PlanKeeper(JobDocument& document, machine::MachineProfile machine, QObject* parent = nullptr);

    const clearance::Clearance& planned() const { return planned_; }
    /// The plan shown belongs to an older state of the job; a newer one is being worked out.
    bool stale() const { return runner_.running(); }
    /// Plan and job agree, and the program may be sent.
    bool ready() const { return !stale() && planned_.program.has_value(); }
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
    void show_program(const QString& name, std::shared_ptr<const machine::Program> program,
                      const std::optional<machine::StoredFile>& stored = {});
    /// The controller burns what is planned by itself, from this file.
    const std::optional<machine::StoredFile>& stored() const { return stored_; }
    /// Its name; empty while the job itself is planned.
    QString program_name() const { return program_name_; }
    bool whole() const { return !only_.only_steps && !only_.only_motifs; }

 Q_SIGNALS:
    void changed();
    /// Another part of the job is burned from now on.
    void only_changed();
    /// The program from a file that `show_program` was given is worked out.
    void program_shown();

 private:
    void forget_what_is_gone();
    void start();
    void start_program();
    void take(clearance::Clearance planned);

    JobDocument& document_;
    planning::CheckGround flat_, ground_;
    planning::PlanOptions only_;
    std::shared_ptr<planning::ProofShelf> shelf_ = std::make_shared<planning::ProofShelf>();
    clearance::Clearance planned_;
    QString program_name_;
    std::shared_ptr<const machine::Program> program_;  ///< from a file; null: the job is planned
    std::optional<machine::StoredFile> stored_;
    bool to_show_ = false;  ///< nobody was told yet that the program is there
    TaskRunner runner_;
};

}  // namespace chalkline::app
