// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "document/plan_keeper.hpp"
#include "session/machine_link.hpp"
#include "tasks/task_runner.hpp"

#include <chalkline/conversation/journal.hpp>
#include <chalkline/machine/rest.hpp>
#include <chalkline/planning/frame.hpp>
#include <chalkline/timing/pace.hpp>
#include <chalkline/wording/wording.hpp>

#include <QDateTime>
#include <QElapsedTimer>
#include <QObject>
#include <optional>

namespace chalkline::app {

/// What has been done with the job on the machine: framed, burning, burned, gone wrong. Facts for the line and the
/// trays, and the gate before anything is sent.
class BurnDesk : public QObject {
    Q_OBJECT
 public:
    BurnDesk(JobDocument& document, PlanKeeper& plans, MachineLink& machine, QObject* parent = nullptr);

    /// How the next frame is ridden.
    struct Framing {
        planning::FrameWay way = planning::FrameWay::box;
        bool faint_dot = false, with_pointer = false, again_and_again = false;
    };
    void set_framing(const Framing& framing) { framing_ = framing; }
    const Framing& framing() const { return framing_; }
    /// Rides round what is burned.
    void frame();
    /// Rides along one side of it, the next one each time.
    void frame_side();
    /// Whether the last frame stayed on the piece, as somebody who watched it says; nothing before that.
    std::optional<bool> stayed() const { return still_framed() ? framed_->stayed : std::nullopt; }
    void answer_frame(bool stayed);
    /// The maker says that the beam is focused for the piece as it is.
    void note_focused();
    /// Whether that was said and still holds; nothing: it was never said.
    std::optional<bool> focused() const;
    /// How much higher the piece is now than when it was focused, mm.
    double focus_off_by() const;

    /// What begins when the machine's own start button is pressed.
    enum class OnStart { nothing, frame, burn };
    void wait_for_start(OnStart what);
    OnStart waiting_for_start() const { return on_start_; }

    /// Sends the program that the keeper holds. Does nothing but say why while it may not be sent.
    void burn();
    /// How far a burn came that did not reach its end: what is surely done, and what may have been begun.
    struct BrokenOff {
        machine::ProgramPlace done, begun;
        std::optional<geometry::Point> head;  ///< where the head was last seen, bed mm
        /// The controller was left with lines that it carries out one after the other: where it is found at rest says
        /// how far it came.
        bool in_order = false;
    };
    /// Nothing while there is none that may be gone on with.
    const std::optional<BrokenOff>& broken_off() const { return broken_off_; }
    /// Burns what is left of it; of the last that is sure, `overlap` mm once more. Does nothing but say why while it
    /// may not be sent.
    void go_on(double overlap);
    /// A burn of the job as it is that another Chalkline did not bring to its end.
    void take_up(std::shared_ptr<const planning::Plan> plan, const machine::JournalNote& note);
    /// How each step was trimmed while it burned, and will be when it burns again.
    const machine::Trims& trims() const { return trims_; }
    void forget_trim(job::Id step);
    /// Why it cannot be gone on with now; nothing when it can.
    std::optional<wording::Message> obstacle_to_go_on() const;
    /// Why burning cannot start now; nothing when it can.
    std::optional<wording::Message> obstacle() const;

    /// Everything open, of the job and of the machine, what blocks first.
    std::vector<planning::Check> checks() const;

    /// When what burns was framed where it burns; nothing once either is another.
    std::optional<QDateTime> framed_at() const { return still_framed() ? std::optional(framed_->at) : std::nullopt; }
    std::optional<QDateTime> burned_at() const { return burned_at_; }
    /// The last thing that went wrong, until the next success.
    const std::optional<wording::Message>& trouble() const { return trouble_; }

    /// The plan being burned or burned last; null before the first burn of this job.
    std::shared_ptr<const planning::Plan> burning_plan() const { return burning_; }
    /// The file of the controller's own store that `burning_plan` is the copy of; nothing: it was sent. A burn from
    /// there cannot be gone on with.
    const std::optional<machine::StoredFile>& burning_file() const { return burning_file_; }
    bool burning() const { return machine_.snapshot().activity == machine::Activity::burning; }
    /// What of `burning_plan` is surely done.
    machine::ProgramPlace done() const { return done_; }
    /// Shares of the plan's time, 0…1: surely done, and at most begun.
    double share_done() const;
    double share_begun() const;
    /// By the plan, corrected by how long what is done took.
    double seconds_left() const;
    const timing::Pace& pace() const { return pace_; }
    /// What the machine's earlier burns took against their plans: every time shown before a burn is multiplied by it.
    void set_time_factor(double factor);
    /// How long a plan will take, by that.
    Duration expected(const planning::Plan& plan) const {
        return Duration::seconds(plan.total.seconds() * time_factor_);
    }
    /// Where the burn stands; nothing between burns.
    std::optional<machine::Origin> at_work() const;
    std::int64_t lines() const { return lines_; }

 Q_SIGNALS:
    void changed();
    /// A burn begins, or goes on with the rest of one.
    void began(const std::shared_ptr<const chalkline::machine::Rest>& rest);
    void ended(chalkline::machine::BurnEnd how);
    /// A burn could be gone on with, and cannot while the job is as it was just made.
    void put_aside();
    /// A burn went to its end; the steps it burned.
    void burned(const chalkline::job::Ids& steps);

 private:
    void ride(std::optional<std::size_t> side);
    void ride_again();
    bool break_off(machine::Activity activity, bool in_order);
    void found_at_rest();
    void send(const clearance::Clearance& cleared);
    double share_at(const machine::ProgramPlace& place) const;
    std::optional<wording::Message> obstacle_of_machine() const;
    machine::ProgramPlace in_whole(machine::ProgramPlace place) const;
    void measure(const machine::Snapshot& now);
    bool still_framed() const;
    std::vector<geometry::Point> piece() const;
    void lose_place();
    void follow_job(JobChange change);
    void forget_last_burn();
    bool take_back();
    void start_pressed();
    double thickness() const;
    static wording::Message still_planning();
    void say(const wording::Message& message);
    void follow();
    void finish(machine::Activity activity);

    JobDocument& document_;
    PlanKeeper& plans_;
    MachineLink& machine_;
    std::optional<QDateTime> burned_at_;
    /// A ride that was asked for here and is under way.
    struct Ride {
        std::vector<geometry::Point> hull, piece;  ///< round what, and on what
        bool one_side = false;                     ///< along one side of it only
    };
    std::optional<Ride> ride_;
    /// The last ride all round. It holds while its hull, the piece and the head's place are what they were.
    struct Framed {
        QDateTime at;
        std::vector<geometry::Point> hull, piece;
        std::optional<bool> stayed{};
        bool place_kept = true;  ///< the machine knew where its head was ever since
    };
    std::optional<Framed> framed_;
    Framing framing_;
    std::optional<double> focused_for_;  ///< thickness of the piece then, mm
    OnStart on_start_ = OnStart::nothing;
    std::size_t next_side_ = 0;
    bool ride_when_planned_ = false;  ///< the job was nudged while it is framed again and again
    std::optional<wording::Message> trouble_;
    std::shared_ptr<const planning::Plan> burning_;
    std::optional<machine::StoredFile> burning_file_;
    machine::ProgramPlace done_;
    std::shared_ptr<const machine::Rest> rest_;  ///< of `burning_`, while it is gone on with
    std::optional<BrokenOff> broken_off_;
    /// What of the job was burned: its state, and the part of it.
    struct Burned {
        std::uint64_t state = 0;
        std::optional<job::Ids> only_steps, only_motifs;
        bool operator==(const Burned&) const = default;
    };
    Burned now() const;
    Burned burned_;
    /// A burn that broke off, while the job is another one. Whoever undoes the change finds it as it was.
    struct PutAside {
        std::shared_ptr<const planning::Plan> plan;
        machine::ProgramPlace done;
        BrokenOff broken_off;
    };
    std::optional<PutAside> aside_;
    machine::Trims trims_;
    timing::Pace pace_;
    double share_at_begin_ = 0, time_factor_ = 1;
    QElapsedTimer since_report_;
    bool ran_ = false;    ///< at the last report
    TaskRunner cutting_;  ///< the rest out of the whole, and checking it
    std::int64_t lines_ = 0;
};

}  // namespace chalkline::app
