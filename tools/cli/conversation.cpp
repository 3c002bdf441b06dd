// SPDX-License-Identifier: GPL-3.0-or-later
#include "conversation.hpp"

#include <chalkline/conversation/contradictions.hpp>
#include <chalkline/link/darken.hpp>
#include <chalkline/wording/machine_words.hpp>
#include <chalkline/wording/wording.hpp>

#include <fmt/format.h>

#include <atomic>
#include <chrono>
#include <csignal>

namespace chalkline::cli {
namespace {

using namespace std::chrono_literals;
namespace event = machine::event;
using machine::Activity;
using machine::ControllerState;

volatile std::sig_atomic_t end_asked = 0;

constexpr auto stop_patience = 12s;  // a stop ends by itself within seconds

void darken_and_end(int signal) {
    link::darken_open_links();
    ::raise(signal);
}

/// What the machine waits for, in one word for scripts; empty: nothing.
std::string waits_for(const machine::Snapshot& now) {
    if (now.silent_for > 0) return "silent";
    if (now.state == ControllerState::door) return "door";
    if (now.state == ControllerState::hold) return "hold";
    return {};
}

bool at_zero(geometry::Point place) {
    return geometry::distance(place, {}) < 0.01;
}

}  // namespace

void end_in_the_dark() {
    for (const int number : {SIGINT, SIGTERM, SIGHUP, SIGQUIT})
        std::signal(number, [](int) { end_asked = 1; });
    struct sigaction action {};
    action.sa_handler = darken_and_end;
    action.sa_flags = SA_RESETHAND | SA_NODEFER;
    for (const int number : {SIGSEGV, SIGABRT, SIGFPE, SIGBUS, SIGILL})
        ::sigaction(number, &action, nullptr);
    std::signal(SIGPIPE, SIG_IGN);
}

Conversation::Conversation(const MachineCommand& command, machine::MachineProfile machine)
    : command_(command), machine_(std::move(machine)), places_(history::Places::usual_place()) {
    end_in_the_dark();
}

Conversation::~Conversation() {
    runner_.reset();
    if (!ready_ || machine_.turning) return;
    // A forgetful board is believed by where the bed's 0, 0 is, others by what they count.
    places_.keep(QString::fromStdString(command_.port), now_.remembered_place);
}

void Conversation::set_witness(std::shared_ptr<link::Witness> witness) {
    const std::lock_guard lock(mailbox_->mutex);
    mailbox_->witness = std::move(witness);
}

void Conversation::open(machine::Dialect dialect, const std::optional<machine::RememberedPlace>& before) {
    machine_.dialect = dialect;
    error_.reset();
    now_ = {};
    mailbox_->keeps_wire = keeps_wire_;
    const auto listen = [box = mailbox_](std::vector<machine::Event> events) {
        std::shared_ptr<link::Witness> witness;
        {
            const std::lock_guard lock(box->mutex);
            witness = box->witness;
        }
        for (const machine::Event& happened : events)
            if (const auto* changed = std::get_if<event::Changed>(&happened); changed && witness)
                witness->saw(changed->now);
        // The wire would only fill memory on long burns.
        if (!box->keeps_wire)
            std::erase_if(events, [](const machine::Event& e) { return std::holds_alternative<event::Wire>(e); });
        const std::lock_guard lock(box->mutex);
        box->events.insert(box->events.end(), std::make_move_iterator(events.begin()),
                           std::make_move_iterator(events.end()));
        box->arrived.notify_one();
    };
    const auto address = link::parse_address(command_.port);
    runner_ = std::make_unique<link::SessionRunner>(*address, machine_, listen, before);
}

Conversation::Step Conversation::connect(const std::optional<machine::RememberedPlace>& left_at) {
    const auto address = link::parse_address(command_.port);
    if (!address) return report(address.error(), command_.json);
    const auto before = left_at ? left_at : places_.find(QString::fromStdString(command_.port));
    const auto answered = [this] { return ready_; };
    open(machine_.dialect, before);
    const bool may_be_other = command_.job.machine.empty();
    if (may_be_other) {
        while (!ready_ && !error_ && end_asked == 0)
            listen(200ms);
        const bool other =
            error_ && (error_->code == machine::error::speaks_otherwise || error_->code == machine::error::silent);
        if (other) {
            runner_.reset();
            open(machine::Dialect::line_by_line, before);
        }
    }
    if (const Step failed = wait_for(answered, {})) return failed;
    if (!now_.settings) return {};
    for (const auto& one :
         machine::contradictions(machine_, {*now_.settings, now_.receive_buffer, now_.planner_blocks}))
        say(fmt::format(fmt::runtime(translated("note: {}: the profile says {}, the controller {} (${})")),
                        wording::profile_field(one.key).name.toStdString(), one.mine, one.other, one.setting));
    return {};
}

Conversation::Step Conversation::require_agreement() {
    if (!now_.settings) return {};
    const auto agreed =
        machine::require_no_contradiction(machine_, {*now_.settings, now_.receive_buffer, now_.planner_blocks});
    return agreed ? Step{} : fail_with(agreed.error());
}

Conversation::Step Conversation::settle_place() {
    const auto placed_at = [this](geometry::Point place) -> Step {
        if (now_.state == ControllerState::alarm)
            if (const Step failed = ask([](machine::Session& session) { return session.unlock(); })) return failed;
        if (const Step failed = wait_for([this] { return now_.state == ControllerState::idle; }, {})) return failed;
        if (const Step failed = ask([place](machine::Session& session) { return session.stands_at(place); }))
            return failed;
        return wait_for([this] { return now_.position_sure; }, {});
    };
    if (const Step failed = require_agreement()) return failed;
    if (machine_.turning) return command_.begins_here ? placed_at({0, 0}) : Step{};
    if (command_.head_stands) return placed_at(*command_.head_stands);
    if (now_.position_sure) return {};
    if (machine_.home != machine::HomeCorner::none) {
        if (command_.no_home) return fail_with({std::string(error::no_home), {}, {}, 0});
        say(translated("finding home"));
        return carry_out(Activity::homing, [](machine::Session& session) { return session.home(); });
    }
    // It counts from where it was switched on. That is its 0, 0, unless the last command left it elsewhere.
    const auto left = places_.find(QString::fromStdString(command_.port));
    const bool left_elsewhere = left && !at_zero(left->machine - left->origin);
    if (left_elsewhere || !now_.position || !at_zero(*now_.position)) {
        const geometry::Point stood = left_elsewhere ? left->machine - left->origin : geometry::Point{};
        return fail_with({std::string(left_elsewhere ? error::head_left_elsewhere : error::head_unknown),
                          {{"x", fmt::format("{:.3f}", stood.x)}, {"y", fmt::format("{:.3f}", stood.y)}},
                          {},
                          0});
    }
    say(translated("the head is taken to stand at 0, 0, where the machine was switched on"));
    presumed_ = true;
    return placed_at({0, 0});
}

Conversation::Step Conversation::return_if_forgetful() {
    if (!presumed_ || !now_.position || at_zero(*now_.position)) return {};
    say(translated("back to 0, 0"));
    const Speed speed = machine_.top_speed();
    return carry_out(Activity::jogging, [speed](machine::Session& session) { return session.go_to({0, 0}, speed); });
}

Conversation::Step Conversation::carry_out(Activity activity, link::SessionRunner::Request request,
                                           const std::function<void()>& show) {
    finished_.reset();
    runner_->request(std::move(request));
    return wait_for([this, activity] { return finished_ == activity; }, show);
}

Conversation::Step Conversation::ask(link::SessionRunner::Request request) {
    // What it was asked is done, or refused, when this says so.
    const auto done = std::make_shared<std::atomic<bool>>(false);
    runner_->request([request = std::move(request), done](machine::Session& session) {
        auto result = request(session);
        *done = true;
        return result;
    });
    if (const Step failed = wait_for([done] { return done->load(); }, {})) return failed;
    listen(50ms);
    return error_ ? fail_with(*error_) : Step{};
}

Conversation::Step Conversation::wait_for(const std::function<bool()>& over, const std::function<void()>& show) {
    auto shown = std::chrono::steady_clock::now();
    std::string waited = waits_for(now_);
    while (true) {
        if (stopped_) {
            Error error{std::string(error::stopped), {}, {}, 0};
            error.parameters.emplace_back(
                "beam", beam_off_.value_or(false)
                            ? translated("The controller confirms that the beam is off.")
                            : translated("The controller did not confirm that the beam is off: look at the machine, "
                                         "and use its own switch if it is on."));
            return fail_with(error);
        }
        if (error_) return fail_with(*error_);
        if (over()) return {};
        listen(100ms);
        stop_if_asked();
        const std::string waits = waits_for(now_);
        const bool began_to_wait = waits != std::exchange(waited, waits);
        const auto moment = std::chrono::steady_clock::now();
        if (!show || (!began_to_wait && moment - shown < 1s)) continue;
        shown = moment;
        show();
    }
}

void Conversation::stop_if_asked() {
    if (end_asked == 0) return;
    const auto moment = std::chrono::steady_clock::now();
    if (!std::exchange(stop_sent_, true)) {
        stop_sent_at_ = moment;
        const bool works = now_.connected && now_.activity != Activity::none && now_.activity != Activity::connecting;
        if (!works) {
            beam_off_ = true;  // nothing of ours ever turned it on
            stopped_ = true;
        }
        runner_->request([](machine::Session& session) -> Result<void> {
            session.stop();
            return {};
        });
    }
    // A machine that cannot be reached any more: nobody can say more of its beam.
    if (moment - stop_sent_at_ > stop_patience) stopped_ = true;
}

std::vector<machine::Event> Conversation::fetch(std::chrono::milliseconds patience) {
    std::unique_lock lock(mailbox_->mutex);
    mailbox_->arrived.wait_for(lock, patience, [this] { return !mailbox_->events.empty(); });
    return std::exchange(mailbox_->events, {});
}

void Conversation::listen(std::chrono::milliseconds patience) {
    for (const machine::Event& happened : fetch(patience))
        take(happened);
}

/// What fails in a self-test is its own affair; only a signal, or a link that is gone, ends it from outside.
Conversation::Step Conversation::follow(machine::SelfTest& test, double now) {
    if (auto request = test.next(now)) runner_->request(std::move(*request));
    for (const machine::Event& happened : fetch(50ms)) {
        test.take(happened);
        take(happened);
    }
    stop_if_asked();
    if (stop_sent_ && stopped_) return wait_for([] { return true; }, {});
    if (!now_.connected && error_) return fail_with(*error_);
    stopped_ = false;
    error_.reset();
    return {};
}

void Conversation::take(const machine::Event& happened) {
    if (const auto* wire = std::get_if<event::Wire>(&happened))
        wire_.push_back((wire->sent ? "> " : "< ") + wire->text);
    if (const auto* changed = std::get_if<event::Changed>(&happened)) {
        const machine::Snapshot before = std::exchange(now_, changed->now);
        tell_changes(before);
    }
    if (std::holds_alternative<event::Ready>(happened)) ready_ = true;
    if (const auto* finished = std::get_if<event::Finished>(&happened)) finished_ = finished->activity;
    if (const auto* stop = std::get_if<event::Stopped>(&happened)) {
        stopped_ = true;
        beam_off_ = stop->beam_off;
    }
    if (const auto* failed = std::get_if<event::Failed>(&happened)) error_ = failed->error;
    if (const auto* refused = std::get_if<event::Refused>(&happened)) error_ = refused->error;
}

/// Who watches a script hears at once when the machine waits for them.
void Conversation::tell_changes(const machine::Snapshot& before) {
    const std::string waits = waits_for(now_);
    if (waits != waits_for(before) && !waits.empty()) say(wording::explain(now_).whole().toStdString());
    if (now_.power_at_board && now_.power_at_board != before.power_at_board)
        say(fmt::format(fmt::runtime(translated("note: the beam's power was turned to {} % at the machine")),
                        *now_.power_at_board));
}

std::vector<std::string> Conversation::take_wire() {
    return std::exchange(wire_, {});
}

Conversation::Step Conversation::fail_with(Error error) {
    if (error.file.empty()) error.file = command_.port;
    return report(error, command_.json);
}

}  // namespace chalkline::cli
