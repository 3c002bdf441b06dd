// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/pty/pty.hpp>

#include <memory>
#include <optional>
#include <string>
#include <string_view>

namespace chalkline::sim {

/// The bytes' way to and from the host: a pty, or one TCP connection at a time on the loopback address.
class HostLink {
 public:
    static Result<HostLink> on_pty(const std::string& link);
    static Result<HostLink> on_tcp(int port);
    ~HostLink();
    HostLink(HostLink&&) noexcept;

    /// Waits at most `milliseconds` for bytes (or a signal) and returns what came. Empty: nothing came.
    std::string receive(int milliseconds);
    /// Sends or keeps for later; never blocks for long.
    void send(std::string_view bytes);
    /// A host is there. On a pty nobody can tell, so always.
    bool connected() const;
    /// The cable is pulled: whoever holds the other end is told. Plugged in again, the same address serves.
    void unplug();
    Result<void> plug_in();
    /// A host has connected, or opened the pty, since the last call.
    bool take_new_connection();
    bool is_network() const { return pty_link_.empty(); }

 private:
    HostLink() = default;
    void flush();
    void watch_openings();
    bool somebody_opened();
    std::string pty_link_;  ///< empty: TCP
    int openings_ = -1;     ///< inotify of the pty's near end
    std::optional<pty::Pty> pty_;
    int listener_ = -1, socket_ = -1;
    bool fresh_ = false;
    std::string unsent_;
};

}  // namespace chalkline::sim
