// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/journal.hpp>
#include <chalkline/link/witness.hpp>
#include <chalkline/machine/rest.hpp>

#include <chrono>
#include <condition_variable>
#include <functional>
#include <memory>
#include <mutex>
#include <string>
#include <thread>

namespace chalkline::history {

/// The journal of one burn on the disk. It listens on the link's thread and writes on one of its own, so that neither a
/// window that stands nor a slow disk makes it miss how far the burn came, or holds up the link.
class JournalFile : public link::Witness {
 public:
    using Clock = std::chrono::steady_clock;

    /// `failed` is called once, on the writing thread, when the disk takes no more; the burn goes on. `now`: what time
    /// it is, asked on the link's thread.
    JournalFile(const std::string& path, std::function<void(Error)> failed,
                std::function<Clock::time_point()> now = Clock::now);
    /// Writes what is left.
    ~JournalFile() override;

    /// The work that is seen from now on is what was left of the whole; null: the whole.
    void begin(std::shared_ptr<const machine::Rest> rest);
    void saw(const machine::Snapshot& now) override;
    void end(machine::BurnEnd how);

 private:
    void append(const std::string& line);
    void write(const std::stop_token& stop);

    std::string path_;
    std::function<void(Error)> failed_;
    std::function<Clock::time_point()> now_;
    std::mutex guard_;  ///< of all below
    std::condition_variable_any more_;
    std::string waiting_;
    std::shared_ptr<const machine::Rest> rest_;
    Clock::time_point begun_at_, noted_at_;
    std::jthread writer_;  ///< last: it uses the others
};

}  // namespace chalkline::history
