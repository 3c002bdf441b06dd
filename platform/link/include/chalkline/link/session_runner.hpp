// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/session.hpp>
#include <chalkline/link/address.hpp>

#include <functional>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace chalkline::link {

/// Keeps one `machine::Session` and its serial port or TCP connection on a thread of their own, so that no stall of
/// the caller ever starves the link. Everything comes back as events.
class SessionRunner {
 public:
    /// Called on the runner's thread with one or more events; must not block.
    using Listener = std::function<void(std::vector<machine::Event>)>;
    /// Something asked of the session; an error comes back as `event::Refused`.
    using Request = std::function<Result<void>(machine::Session&)>;

    /// Begins to connect at once. Trouble opening the address comes as `event::Failed` with `Activity::connecting`.
    /// `before`: as of `machine::make_session`.
    SessionRunner(Address address, machine::MachineProfile profile, Listener listener,
                  std::optional<machine::RememberedPlace> before = {});
    /// Closes the link and waits for the thread. A running program is not stopped first: call stop for that.
    ~SessionRunner();
    SessionRunner(const SessionRunner&) = delete;
    SessionRunner& operator=(const SessionRunner&) = delete;

    /// Thread-safe; returns at once.
    void request(Request request);

 private:
    class Worker;
    std::unique_ptr<Worker> worker_;
};

}  // namespace chalkline::link
