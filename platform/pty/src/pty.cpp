// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/pty/pty.hpp>

#include <fcntl.h>
#include <sys/stat.h>
#include <termios.h>
#include <unistd.h>

#include <cerrno>
#include <cstdlib>
#include <cstring>
#include <utility>

namespace chalkline::pty {

Result<Pty> Pty::open(const std::string& link) {
    struct stat facts {};
    if (::lstat(link.c_str(), &facts) == 0 && !S_ISLNK(facts.st_mode)) return fail(error::link_taken, {}, link);
    const auto unavailable = [&] { return fail(error::unavailable, {{"reason", std::strerror(errno)}}, link); };
    const int master = ::posix_openpt(O_RDWR | O_NOCTTY | O_CLOEXEC);
    if (master < 0) return unavailable();
    char name[128];
    int slave = -1;
    if (::grantpt(master) != 0 || ::unlockpt(master) != 0 || ::ptsname_r(master, name, sizeof name) != 0 ||
        (slave = ::open(name, O_RDWR | O_NOCTTY | O_CLOEXEC)) < 0) {
        ::close(master);
        return unavailable();
    }
    termios raw{};
    ::tcgetattr(slave, &raw);
    ::cfmakeraw(&raw);
    ::tcsetattr(slave, TCSANOW, &raw);
    ::fcntl(master, F_SETFL, O_NONBLOCK);
    ::unlink(link.c_str());
    if (::symlink(name, link.c_str()) != 0) {
        const auto problem = unavailable();
        ::close(slave);
        ::close(master);
        return problem;
    }
    return Pty(master, slave, link);
}

Pty::Pty(Pty&& other) noexcept
    : master_(std::exchange(other.master_, -1)),
      slave_(std::exchange(other.slave_, -1)),
      link_(std::move(other.link_)) {}

Pty::~Pty() {
    if (master_ < 0) return;
    ::unlink(link_.c_str());
    ::close(slave_);
    ::close(master_);
}

}  // namespace chalkline::pty
