// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "commands.hpp"
#include "output.hpp"

#include <chalkline/history/places.hpp>
#include <chalkline/link/session_runner.hpp>
#include <chalkline/link/witness.hpp>
#include <chalkline/selftest/self_test.hpp>

#include <chrono>
#include <condition_variable>
#include <functional>
#include <memory>
#include <mutex>
#include <optional>
#include <string>
#include <vector>

namespace chalkline::cli {

/// From now on a signal that asks this program to end is noticed by conversations, which stop their machine first; a
/// fault of the program itself darkens the machine before it ends.
void end_in_the_dark();

/// One conversation of the command line with a machine, step after step. Every step that fails has said why, and
/// returns the exit code; nothing: go on with the next. The thread that made it calls everything.
class Conversation {
 public:
    using Step = std::optional<int>;

    Conversation(const MachineCommand& command, machine::MachineProfile machine);
    ~Conversation();
    Conversation(const Conversation&) = delete;
    Conversation& operator=(const Conversation&) = delete;

    /// Opens the port and waits until the controller answered. Without a profile that says how it is spoken to, both
    /// ways are tried. `left_at`: where an earlier burn left it, in place of what the last command knew.
    Step connect(const std::optional<machine::RememberedPlace>& left_at = {});
    /// An error where the controller's own figures contradict the profile.
    Step require_agreement();
    /// Makes sure where the head is: by home, by what was said (--head-stands, --begins-here), by what is known of it,
    /// or, without any of these, a board that has just started at 0, 0.
    Step settle_place();
    /// Asks for something and waits until it is finished. `show`: called every second meanwhile, and at once when the
    /// machine begins to wait for somebody.
    Step carry_out(machine::Activity activity, link::SessionRunner::Request request,
                   const std::function<void()>& show = {});
    /// Asks for something that is over when the machine rests; nothing is waited for but its answer.
    Step ask(link::SessionRunner::Request request);
    /// Back to 0, 0, where a board that forgets its place when its port is opened will be believed to stand.
    Step return_if_forgetful();

    /// Lets a self-test go on by one look at what came.
    Step follow(machine::SelfTest& test, double now);

    const machine::Snapshot& now() const { return now_; }
    const machine::MachineProfile& machine() const { return machine_; }
    /// The place was taken for 0, 0 because the board has just started.
    bool presumed() const { return presumed_; }
    /// The beam after a stop, as the controller confirmed it; nothing: it was not stopped.
    std::optional<bool> beam_off() const { return beam_off_; }
    /// Told of everything on the link's thread.
    void set_witness(std::shared_ptr<link::Witness> witness);
    /// Lines of the wire since the last call, "> sent" and "< got".
    std::vector<std::string> take_wire();
    void keep_wire() { keeps_wire_ = true; }
    /// Looks what came, for so long at most.
    void listen(std::chrono::milliseconds patience);
    Step fail_with(Error error);

 private:
    void open(machine::Dialect dialect, const std::optional<machine::RememberedPlace>& before);
    std::vector<machine::Event> fetch(std::chrono::milliseconds patience);
    void take(const machine::Event& happened);
    void stop_if_asked();
    void tell_changes(const machine::Snapshot& before);
    Step wait_for(const std::function<bool()>& over, const std::function<void()>& show);

    /// Brings the session's events from its thread to the command's.
    struct Mailbox {
        std::mutex mutex;
        std::condition_variable arrived;
        std::vector<machine::Event> events;
        std::shared_ptr<link::Witness> witness;
        bool keeps_wire = false;
    };

    const MachineCommand& command_;
    machine::MachineProfile machine_;
    history::Places places_;
    std::shared_ptr<Mailbox> mailbox_ = std::make_shared<Mailbox>();
    machine::Snapshot now_;
    std::optional<Error> error_;
    std::optional<machine::Activity> finished_;
    std::optional<bool> beam_off_;
    std::vector<std::string> wire_;
    bool ready_ = false, stopped_ = false, stop_sent_ = false, presumed_ = false, keeps_wire_ = false;
    std::chrono::steady_clock::time_point stop_sent_at_{};
    std::unique_ptr<link::SessionRunner> runner_;  ///< last: its thread uses the mailbox
};

}  // namespace chalkline::cli
