// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/plan_keeper.hpp"

#include <chalkline/planning/rehearsal.hpp>

#include <QElapsedTimer>
#include <QObject>
#include <QTimer>
#include <memory>
#include <optional>

namespace chalkline::app {

/// The job played without burning: which moment is shown, and how time passes.
class Player : public QObject {
    Q_OBJECT
 public:
    explicit Player(PlanKeeper& plans, QObject* parent = nullptr);

    /// What is played; null while there is no plan.
    const planning::Rehearsal* rehearsal() const { return rehearsal_.get(); }
    std::shared_ptr<const planning::Plan> plan() const { return plan_; }
    double seconds() const { return seconds_; }
    double share() const;
    planning::Rehearsal::Instant now() const;
    /// Shows a moment; playing goes on from there.
    void show(double seconds);
    void show_share(double share);

    bool playing() const { return clock_.isActive(); }
    void play(bool on);
    /// Seconds of the burn a second.
    void set_pace(double pace) { pace_ = pace; }
    double pace() const { return pace_; }
    void to_next_step();
    /// Plays one step over and over; nothing: the whole job, once.
    void loop(std::optional<job::Id> step);
    /// Travels are drawn as chalk lines.
    void show_travel(bool on);
    bool travel_shown() const { return travel_; }

 Q_SIGNALS:
    /// Another plan.
    void replaced();
    /// Another moment, or whether it plays.
    void moved();

 private:
    void take_plan();
    void pass();
    std::optional<planning::Rehearsal::Span> looped_span() const;

    PlanKeeper& plans_;
    std::shared_ptr<const planning::Plan> plan_;
    std::unique_ptr<planning::Rehearsal> rehearsal_;
    double seconds_ = 0, pace_ = 10;
    std::optional<job::Id> looped_;
    bool travel_ = true;
    QTimer clock_;
    QElapsedTimer since_;
};

}  // namespace chalkline::app
