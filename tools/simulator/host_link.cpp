// SPDX-License-Identifier: GPL-3.0-or-later
#include "host_link.hpp"

#include <arpa/inet.h>
#include <fcntl.h>
#include <netinet/in.h>
#include <netinet/tcp.h>
#include <poll.h>
#include <sys/inotify.h>
#include <sys/socket.h>
#include <unistd.h>

#include <cerrno>
#include <cstdlib>
#include <cstring>
#include <utility>

namespace chalkline::sim {

Result<HostLink> HostLink::on_pty(const std::string& link) {
    HostLink result;
    result.pty_link_ = link;
    if (auto plugged = result.plug_in(); !plugged) return tl::unexpected(plugged.error());
    return result;
}

Result<void> HostLink::plug_in() {
    if (pty_link_.empty() || pty_) return {};
    auto pty = pty::Pty::open(pty_link_);
    if (!pty) return tl::unexpected(pty.error());
    pty_.emplace(std::move(*pty));
    watch_openings();
    return {};
}

/// The near end stays open on our side, so only the kernel tells when a host opens it, too.
void HostLink::watch_openings() {
    if (openings_ >= 0) ::close(openings_);
    openings_ = ::inotify_init1(IN_NONBLOCK | IN_CLOEXEC);
    if (const char* near_end = ::ptsname(pty_->descriptor()); near_end && openings_ >= 0)
        ::inotify_add_watch(openings_, near_end, IN_OPEN);
}

bool HostLink::somebody_opened() {
    char events[4096];
    return openings_ >= 0 && ::read(openings_, events, sizeof events) > 0;
}

void HostLink::unplug() {
    pty_.reset();
    if (socket_ >= 0) ::close(std::exchange(socket_, -1));
    unsent_.clear();
}

Result<HostLink> HostLink::on_tcp(int port) {
    HostLink result;
    result.listener_ = ::socket(AF_INET, SOCK_STREAM | SOCK_CLOEXEC | SOCK_NONBLOCK, 0);
    const int yes = 1;
    ::setsockopt(result.listener_, SOL_SOCKET, SO_REUSEADDR, &yes, sizeof yes);
    sockaddr_in address{};
    address.sin_family = AF_INET;
    address.sin_port = htons(static_cast<std::uint16_t>(port));
    address.sin_addr.s_addr = htonl(INADDR_LOOPBACK);
    if (::bind(result.listener_, reinterpret_cast<sockaddr*>(&address), sizeof address) != 0 ||
        ::listen(result.listener_, 1) != 0)
        return fail(pty::error::unavailable, {{"reason", std::strerror(errno)}}, "tcp:" + std::to_string(port));
    return result;
}

HostLink::HostLink(HostLink&& other) noexcept
    : pty_link_(std::move(other.pty_link_)),
      openings_(std::exchange(other.openings_, -1)),
      pty_(std::move(other.pty_)),
      listener_(std::exchange(other.listener_, -1)),
      socket_(std::exchange(other.socket_, -1)),
      fresh_(other.fresh_),
      unsent_(std::move(other.unsent_)) {}

HostLink::~HostLink() {
    if (openings_ >= 0) ::close(openings_);
    if (socket_ >= 0) ::close(socket_);
    if (listener_ >= 0) ::close(listener_);
}

bool HostLink::connected() const {
    return pty_ || socket_ >= 0;
}

bool HostLink::take_new_connection() {
    if (somebody_opened()) fresh_ = true;
    return std::exchange(fresh_, false);
}

std::string HostLink::receive(int milliseconds) {
    flush();
    const int descriptor = pty_ ? pty_->descriptor() : socket_ >= 0 ? socket_ : listener_;
    pollfd wait{descriptor, static_cast<short>(POLLIN | (unsent_.empty() ? 0 : POLLOUT)), 0};
    if (::poll(&wait, 1, milliseconds) <= 0) return {};
    if (!connected()) {
        socket_ = ::accept4(listener_, nullptr, nullptr, SOCK_CLOEXEC | SOCK_NONBLOCK);
        const int yes = 1;
        if (socket_ >= 0) ::setsockopt(socket_, IPPROTO_TCP, TCP_NODELAY, &yes, sizeof yes);
        fresh_ = socket_ >= 0;
        return {};
    }
    char bytes[4096];
    const ssize_t count = ::read(descriptor, bytes, sizeof bytes);
    if (count > 0) return std::string(bytes, static_cast<std::size_t>(count));
    const bool gone = count == 0 || (errno != EAGAIN && errno != EINTR);
    if (socket_ >= 0 && gone) {
        ::close(std::exchange(socket_, -1));
        unsent_.clear();
    }
    return {};
}

void HostLink::send(std::string_view bytes) {
    if (!connected()) return;
    unsent_ += bytes;
    // Nobody reads: a real cable would lose the bytes too.
    constexpr std::size_t most = 1 << 20;
    if (unsent_.size() > most) unsent_.clear();
    flush();
}

void HostLink::flush() {
    const int descriptor = pty_ ? pty_->descriptor() : socket_;
    while (!unsent_.empty() && descriptor >= 0) {
        const ssize_t count = socket_ >= 0 ? ::send(descriptor, unsent_.data(), unsent_.size(), MSG_NOSIGNAL)
                                           : ::write(descriptor, unsent_.data(), unsent_.size());
        if (count <= 0) return;
        unsent_.erase(0, static_cast<std::size_t>(count));
    }
}

}  // namespace chalkline::sim
