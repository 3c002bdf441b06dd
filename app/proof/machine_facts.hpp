// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "proof/proof_desk.hpp"
#include "theme/theme.hpp"
#include "widgets/controls.hpp"

#include <QFrame>

namespace chalkline::app {

/// What the machine will do with the picture: lines, speed asked and reached, time, data, link; and which pitch would
/// be quicker, worked out by planning it.
class MachineFacts : public QFrame {
    Q_OBJECT
 public:
    MachineFacts(JobDocument& document, PlanKeeper& plans, ProofDesk& desk, QWidget* parent);
    /// While nobody looks, no other pitch is planned.
    void set_watched(bool watched);

 private:
    void show_facts();
    QStringList facts() const;
    QString speed_fact(const planning::StepReport& report) const;
    QString resolution_fact() const;
    /// The spot is much wider than the lines lie apart, and nothing is done about it.
    bool clogs() const;
    void look_for_better();

    JobDocument& document_;
    PlanKeeper& plans_;
    ProofDesk& desk_;
    QLabel* text_;
    QPushButton *better_, *fewer_;
    /// Other settings that would be quicker.
    struct Offer {
        QString what;
        steps::StepSettings settings;
        double seconds = 0;
    };
    Offer offer_;
    bool watched_ = false;
    std::shared_ptr<const planning::Plan> looked_for_;  ///< the plan the other pitch is compared with
    TaskRunner planner_;
};

}  // namespace chalkline::app
