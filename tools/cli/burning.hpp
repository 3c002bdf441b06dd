// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "conversation.hpp"

#include <chalkline/clearance/clear.hpp>
#include <chalkline/history/burn_folders.hpp>
#include <chalkline/history/journal_file.hpp>
#include <chalkline/job/job.hpp>
#include <chalkline/machine/rest.hpp>

#include <chrono>

// What the commands that burn have in common: the checks before, what is shown meanwhile, what is kept of it.
namespace chalkline::cli {

/// A program that was let through, with what is kept of its burn.
struct Work {
    clearance::Clearance cleared;
    machine::MachineProfile machine{};  ///< as the job finds it
    std::optional<job::Job> job{};      ///< none: a program from a file

    const planning::Plan& plan() const { return *cleared.plan; }  ///< of the whole
    machine::ProgramPlace in_whole(machine::ProgramPlace place) const {
        return cleared.rest ? cleared.rest->in_whole(place) : place;
    }
};

/// An error in the words of the command line while something stands against the program.
Result<void> require_passed(const Work& work, const std::string& file);
/// The program of a file, whatever stands against it.
Result<Work> planned(const MachineCommand& command, const machine::MachineProfile& flat,
                     const Surroundings& surroundings);
/// The same when it may be burned.
Result<Work> work_for_burn(const MachineCommand& command, const machine::MachineProfile& flat,
                           const Surroundings& surroundings);

/// The work on a machine: progress while it runs, a word at its end.
class Run {
 public:
    Run(const MachineCommand& command, const Work& work, Conversation& talk)
        : command_(command), work_(work), talk_(talk) {}

    /// Asks for the work and waits until it is over.
    Conversation::Step go(machine::Activity activity, link::SessionRunner::Request request);

    void tell_done() const;
    /// Share of the whole plan's time that is surely done, 0 … 1.
    double share_done() const;
    double elapsed() const;

 private:
    Json progress(bool finished) const;
    void show() const;

    const MachineCommand& command_;
    const Work& work_;
    Conversation& talk_;
    std::chrono::steady_clock::time_point started_ = std::chrono::steady_clock::now();
};

/// A record of a burn of this work, with its job and its program; kept, so that it can be gone on with.
history::BurnRecord fresh_record(const MachineCommand& command, const Work& work);
/// The same of a burn that cannot be gone on with.
history::BurnRecord bare_record(const MachineCommand& command, const Work& work);

/// The folder of one burn while it runs: its record, its journal, its lock. What cannot be kept is said; the burn goes
/// on.
class Keeping {
 public:
    Keeping(history::BurnRecord record, const Work& work, Conversation& talk);
    void end(machine::BurnEnd how, const Run& run);

 private:
    history::BurnFolders folders_{history::BurnFolders::usual_place()};
    history::BurnRecord record_;
    Conversation& talk_;
    std::unique_ptr<QLockFile> lock_;
    std::shared_ptr<history::JournalFile> journal_;
};

/// Burns, by asking for `request`, and keeps what becomes of it.
int burn(const MachineCommand& command, const Work& work, Conversation& talk, history::BurnRecord record,
         link::SessionRunner::Request request);
/// The request that streams this work.
link::SessionRunner::Request streamed(const Work& work, machine::Activity activity, const machine::Trims& trims = {});

}  // namespace chalkline::cli
