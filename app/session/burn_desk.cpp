// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/burn_desk.hpp"

#include <algorithm>
#include <cmath>
#include <utility>

namespace chalkline::app {
namespace {

constexpr std::string_view unchecked = "app.unchecked";

wording::Message because(const std::string_view code) {
    return wording::describe(Error{std::string(code), {}, {}, 0});
}

}  // namespace

BurnDesk::BurnDesk(JobDocument& document, PlanKeeper& plans, MachineLink& machine, QObject* parent)
    : QObject(parent), document_(document), plans_(plans), machine_(machine) {
    // What was vouched for no longer holds when the geometry moved.
    connect(&document_, &JobDocument::changed, this, &BurnDesk::follow_job);
    connect(&plans_, &PlanKeeper::only_changed, this, &BurnDesk::forget_last_burn);
    connect(&plans_, &PlanKeeper::changed, this, &BurnDesk::changed);
    connect(&plans_, &PlanKeeper::changed, this, [this] {
        if (ride_when_planned_) ride_again();
    });
    connect(&machine_, &MachineLink::changed, this, &BurnDesk::follow);
    connect(&machine_, &MachineLink::finished, this, &BurnDesk::finish);
    connect(&machine_, &MachineLink::start_pressed, this, &BurnDesk::start_pressed);
    connect(&machine_, &MachineLink::ready, this, [this] {
        if (machine_.snapshot().place_continued) found_at_rest();
        // What was said of the head's place when it stopped is not true any more.
        if (!machine_.snapshot().position_sure) trouble_.reset();
    });
    connect(&machine_, &MachineLink::failed, this, [this](machine::Activity activity, const Error& error) {
        const bool broke_off = break_off(activity, error.code == machine::error::link_lost);
        if (activity == machine::Activity::framing) ride_.reset();
        if (!machine_.connected()) lose_place();
        // What was refused is told once, where everything is told; only what broke off stays on the line.
        if (activity != machine::Activity::none) trouble_ = wording::describe(error);
        Q_EMIT changed();
        if (broke_off) Q_EMIT ended(machine::BurnEnd::failed);
    });
    connect(&machine_, &MachineLink::stopped, this,
            [this](machine::Activity activity, bool position_sure, bool beam_off) {
                const bool broke_off = break_off(activity, position_sure);
                const bool others = activity == machine::Activity::framing && !std::exchange(ride_, std::nullopt);
                if (others) return;  // a self-test stops itself
                if (broke_off && position_sure) found_at_rest();
                wording::Message message{
                    beam_off ? tr("Stopped, beam off") : tr("Stopped, but the beam's state is not confirmed"), {}, {}};
                message.help = position_sure ? tr("The head stands still and knows where it is.")
                                             : tr("The position is unknown: find home before you go on.");
                if (const int moves = machine_.snapshot().can.moves_after_stop; moves > 0)
                    message.help +=
                        " " + tr("This controller cannot be held: up to %1 moves still ran after the stop.").arg(moves);
                if (!beam_off) message.help = tr("Look at the machine and use its own switch if the beam is on.");
                trouble_ = message;
                ride_when_planned_ = false;
                if (!position_sure) lose_place();
                if (broke_off) Q_EMIT ended(machine::BurnEnd::stopped);
                Q_EMIT changed();
            });
}

void BurnDesk::lose_place() {
    if (framed_) framed_->place_kept = false;
}

std::vector<geometry::Point> BurnDesk::piece() const {
    const auto& stock = document_.job().stock;
    return stock ? stock->outline().points : std::vector<geometry::Point>();
}

/// Compared, not guessed: whatever changes what burns, a step switched on, a crop, a lead-in, shows in its hull.
bool BurnDesk::still_framed() const {
    return framed_ && framed_->place_kept && framed_->piece == piece() &&
           planning::same_hull(framed_->hull, plans_.planned().hull);
}

std::vector<planning::Check> BurnDesk::checks() const {
    const auto& now = machine_.snapshot();
    auto all = planning::check_machine({now.connected ? now.laser_mode : std::nullopt, framed_ && !still_framed()});
    all.insert(all.end(), plans_.planned().checks.begin(), plans_.planned().checks.end());
    std::stable_sort(all.begin(), all.end(), [](const auto& a, const auto& b) { return a.severity < b.severity; });
    return all;
}

void BurnDesk::follow_job(JobChange change) {
    if (change == JobChange::file) return;
    if (touches(change, JobChange::art | JobChange::place | JobChange::stock)) next_side_ = 0;
    if (change == JobChange::everything) {
        framed_.reset();
        trims_.clear();
        trouble_.reset();
        broken_off_.reset();
        aside_.reset();
    }
    forget_last_burn();
}

BurnDesk::Burned BurnDesk::now() const {
    return {document_.state(), plans_.only().only_steps, plans_.only().only_motifs};
}

/// The job is another one than was burned. What could be gone on with is only put aside: it still can once the job is
/// that one again.
void BurnDesk::forget_last_burn() {
    if (burning() || take_back()) return Q_EMIT changed();
    const bool puts_aside = broken_off_ && burning_;
    if (puts_aside) aside_ = PutAside{burning_, done_, *broken_off_};
    burned_at_.reset();
    burning_.reset();
    burning_file_.reset();
    broken_off_.reset();
    rest_.reset();
    done_ = {};
    Q_EMIT changed();
    if (puts_aside) Q_EMIT put_aside();
}

bool BurnDesk::take_back() {
    if (broken_off_ && burned_ == now()) return true;
    if (!aside_ || burned_ != now()) return false;
    burning_ = aside_->plan;
    done_ = aside_->done;
    broken_off_ = aside_->broken_off;
    broken_off_->in_order = false;  // the head may have been moved meanwhile
    burning_file_.reset();
    rest_.reset();
    aside_.reset();
    return true;
}

wording::Message BurnDesk::still_planning() {
    return {tr("Still planning"), {}, tr("One moment.")};
}

std::optional<wording::Message> BurnDesk::obstacle() const {
    if (document_.job().motifs.empty() && plans_.program_name().isEmpty())
        return because(planning::error::nothing_to_burn);
    if (plans_.stale()) return still_planning();
    const auto& now = machine_.snapshot();
    for (const auto& check : planning::check_machine({now.connected ? now.laser_mode : std::nullopt, false}))
        if (check.blocks()) return wording::describe(check);
    if (const auto why = wording::obstacle(plans_.planned())) return why;
    return obstacle_of_machine();
}

std::optional<wording::Message> BurnDesk::obstacle_of_machine() const {
    using machine::ControllerState;
    const auto& now = machine_.snapshot();
    if (!now.connected || now.activity == machine::Activity::connecting) return because(machine::error::not_ready);
    if (now.state == ControllerState::alarm) return because(machine::error::locked);
    if (now.activity != machine::Activity::none || now.state != ControllerState::idle)
        return because(machine::error::busy);
    if (!now.position_sure) return because(machine::place_unknown(machine_.profile()));
    return {};
}

void BurnDesk::frame() {
    ride({});
}

void BurnDesk::frame_side() {
    ride(next_side_++);
}

void BurnDesk::ride(std::optional<std::size_t> side) {
    const machine::MachineProfile& profile = machine_.profile();
    // Round the job as it was a moment ago would be a lie.
    if (plans_.stale()) return say(still_planning());
    planning::FrameRide how;
    how.with_pointer = framing_.with_pointer && profile.has_pointer();
    if (framing_.faint_dot && !how.with_pointer) how.dot = planning::faint_power(profile);
    how.side = side;
    const auto frame = clearance::clear(clearance::FrameRequest{plans_.planned().hull, framing_.way, how, profile});
    if (const auto why = wording::obstacle(frame)) return say(*why);
    trouble_.reset();
    if (!side) framed_.reset();  // what the last ride showed is asked anew
    ride_ = Ride{frame.hull, piece(), side.has_value()};
    machine_.frame(*frame.program);
}

/// Round the job as it is now: one that was just nudged is planned first.
void BurnDesk::ride_again() {
    ride_when_planned_ = plans_.stale();
    if (!ride_when_planned_ && machine_.free()) frame();
}

void BurnDesk::answer_frame(bool stayed) {
    if (!still_framed()) return;
    framed_->stayed = stayed;
    Q_EMIT changed();
}

double BurnDesk::thickness() const {
    const auto& stock = document_.job().stock;
    return stock ? stock->thickness.mm() : 0;
}

void BurnDesk::note_focused() {
    focused_for_ = thickness();
    Q_EMIT changed();
}

std::optional<bool> BurnDesk::focused() const {
    if (!focused_for_) return {};
    return std::abs(focus_off_by()) < 0.005;
}

double BurnDesk::focus_off_by() const {
    return focused_for_ ? thickness() - *focused_for_ : 0;
}

void BurnDesk::wait_for_start(OnStart what) {
    on_start_ = what;
    Q_EMIT changed();
}

void BurnDesk::start_pressed() {
    const OnStart what = std::exchange(on_start_, OnStart::nothing);
    if (what == OnStart::frame) frame();
    if (what == OnStart::burn) burn();
}

void BurnDesk::burn() {
    if (const auto why = obstacle()) {
        say(wording::describe(Error{std::string(unchecked), {{"reason", why->what.toStdString()}}, {}, 0}));
        return;
    }
    trouble_.reset();
    burned_at_.reset();
    done_ = {};
    send(plans_.planned());
}

/// The whole plan, or what is left of it. REQUIRES: it was cleared.
void BurnDesk::send(const clearance::Clearance& cleared) {
    burning_ = cleared.plan;
    burned_ = now();
    aside_.reset();
    lines_ = cleared.lines;
    broken_off_.reset();
    rest_ = cleared.rest;
    pace_ = {};
    share_at_begin_ = share_done();
    ran_ = false;
    burning_file_ = rest_ ? std::nullopt : plans_.stored();
    Q_EMIT began(rest_);
    if (burning_file_)
        machine_.run_stored(*burning_file_, *cleared.program);
    else
        machine_.burn(*cleared.program, trims_);
    Q_EMIT changed();
}

/// A place of what was sent, counted in the whole plan.
machine::ProgramPlace BurnDesk::in_whole(machine::ProgramPlace place) const {
    return rest_ ? rest_->in_whole(place) : place;
}

/// True when a burn of ours ended. One from the controller's store leaves nothing to go on with: how much was read of
/// it says nothing of what was burned.
bool BurnDesk::break_off(machine::Activity activity, bool in_order) {
    if (activity != machine::Activity::burning || !burning_) return false;
    if (burning_file_) return true;
    const auto& now = machine_.snapshot();
    const auto done = in_whole(now.done);
    broken_off_ = BrokenOff{done, std::max(done, in_whole(now.begun)), now.position, in_order};
    return true;
}

/// The head's resting place says what was burned of the lines the controller had got.
void BurnDesk::found_at_rest() {
    const auto head = machine_.head();
    if (!broken_off_ || !broken_off_->in_order || !burning_ || !head) return;
    broken_off_->in_order = false;  // from now on it may be moved by other things
    broken_off_->head = head;
    broken_off_->done = done_ = machine::done_at_rest(burning_->program, broken_off_->done, broken_off_->begun, *head);
    broken_off_->begun = broken_off_->done;
    Q_EMIT changed();
}

void BurnDesk::take_up(std::shared_ptr<const planning::Plan> plan, const machine::JournalNote& note) {
    const auto last = static_cast<std::int64_t>(plan->program.operations.size()) - 1;
    burning_ = std::move(plan);
    burned_ = now();
    aside_.reset();
    burning_file_.reset();
    rest_.reset();
    broken_off_ = BrokenOff{note.done, std::max(note.done, note.begun), note.head, true};
    broken_off_->done.operation = std::min(broken_off_->done.operation, last);
    broken_off_->begun.operation = std::min(broken_off_->begun.operation, last);
    trims_ = note.trims;
    done_ = broken_off_->done;
    Q_EMIT changed();
}

void BurnDesk::forget_trim(job::Id step) {
    trims_.erase(step);
    Q_EMIT changed();
}

std::optional<wording::Message> BurnDesk::obstacle_to_go_on() const {
    if (!broken_off_ || !burning_) return because(planning::error::nothing_to_burn);
    for (const auto& check : planning::check_machine({machine_.snapshot().laser_mode, false}))
        if (check.blocks()) return wording::describe(check);
    return obstacle_of_machine();
}

void BurnDesk::go_on(double overlap) {
    if (const auto why = obstacle_to_go_on()) return say(*why);
    cutting_.start(
        [plan = burning_, done = machine::backed_up(burning_->program, broken_off_->done, overlap),
         job = document_.job(), ground = plans_.ground()](const Watch& watch) {
            // A program from a file has no steps whose power it could exceed.
            const job::Job* planned_from = job.motifs.empty() ? nullptr : &job;
            return clearance::clear(clearance::RestRequest{plan, done, planned_from, ground}, watch);
        },
        [this](const clearance::Clearance& left) {
            if (!broken_off_) return;  // the job was changed meanwhile
            if (const auto why = wording::obstacle(left)) return say(*why);
            trouble_.reset();
            send(left);
        });
}

double BurnDesk::share_at(const machine::ProgramPlace& place) const {
    if (!burning_ || place.operation < 0 || burning_->total.seconds() <= 0) return 0;
    const auto operation = std::min(static_cast<std::size_t>(place.operation), burning_->finished_at.size() - 1);
    const double begins = operation == 0 ? 0 : burning_->finished_at[operation - 1];
    // A long path is one operation: its points share its time.
    const double parts = machine::parts_of(burning_->program.operations[operation]);
    const double within = parts > 0 ? std::min(1.0, (place.part + 1) / parts) : 1;
    return (begins + (burning_->finished_at[operation] - begins) * within) / burning_->total.seconds();
}

double BurnDesk::share_done() const {
    if (burning_file_ && burning()) return machine_.snapshot().stored_share.value_or(1);
    return share_at(done_);
}

double BurnDesk::share_begun() const {
    return broken_off_ ? share_at(broken_off_->begun) : share_at(in_whole(machine_.snapshot().begun));
}

double BurnDesk::seconds_left() const {
    if (!burning_) return 0;
    const bool measured = pace_.planned >= timing::Pace::enough;
    return burning_->total.seconds() * (1 - share_done()) * (measured ? pace_.factor() : time_factor_);
}

void BurnDesk::set_time_factor(double factor) {
    if (std::exchange(time_factor_, factor) != factor) Q_EMIT changed();
}

std::optional<machine::Origin> BurnDesk::at_work() const {
    if (!burning()) return {};
    const auto& operations = burning_->program.operations;
    auto next = static_cast<std::size_t>(std::max<std::int64_t>(done_.operation, 0));
    if (done_.operation >= 0 && next < operations.size() && done_.part + 1 >= machine::parts_of(operations[next]))
        ++next;
    return next < operations.size() ? std::optional(operations[next].origin) : std::nullopt;
}

/// Time counts while the machine runs, not while it is held.
void BurnDesk::measure(const machine::Snapshot& now) {
    const double passed = since_report_.isValid() ? static_cast<double>(since_report_.restart()) / 1000 : 0;
    if (!since_report_.isValid()) since_report_.start();
    if (ran_) pace_.measured += passed;
    ran_ = now.state == machine::ControllerState::run;
    pace_.planned = (share_done() - share_at_begin_) * burning_->total.seconds();
    trims_ = now.trims;
}

void BurnDesk::follow() {
    const auto& now = machine_.snapshot();
    if (now.activity == machine::Activity::burning && burning_) {
        if (now.done.operation >= 0) done_ = in_whole(now.done);
        measure(now);
    }
    // A frame was seen at a place: nobody knows that place any more.
    if (!machine_.head()) lose_place();
    if (!now.connected) on_start_ = OnStart::nothing;
    Q_EMIT changed();
}

void BurnDesk::finish(machine::Activity activity) {
    const auto rode = activity == machine::Activity::framing ? std::exchange(ride_, std::nullopt) : std::nullopt;
    if (rode && !rode->one_side) {
        framed_ = Framed{QDateTime::currentDateTime(), rode->hull, rode->piece};
        if (framing_.again_and_again) QMetaObject::invokeMethod(this, &BurnDesk::ride_again, Qt::QueuedConnection);
    }
    if (activity == machine::Activity::burning && burning_) {
        burned_at_ = QDateTime::currentDateTime();
        const auto last = burning_->program.operations.size() - 1;
        done_ = {static_cast<std::int64_t>(last), machine::parts_of(burning_->program.operations[last]) - 1};
        rest_.reset();
        Q_EMIT ended(machine::BurnEnd::finished);
        job::Ids steps;
        for (const auto& report : burning_->steps)
            steps.push_back(report.step);
        Q_EMIT burned(steps);
    }
    trouble_.reset();
    Q_EMIT changed();
}

void BurnDesk::say(const wording::Message& message) {
    trouble_ = message;
    Q_EMIT changed();
}

}  // namespace chalkline::app
