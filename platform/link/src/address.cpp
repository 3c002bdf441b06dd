// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/link/address.hpp>

#include <fcntl.h>
#include <sys/file.h>
#include <sys/ioctl.h>
#include <sys/stat.h>
#include <sys/sysmacros.h>
#include <termios.h>
#include <unistd.h>

#include <array>
#include <cerrno>
#include <cstring>
#include <filesystem>
#include <fstream>
#include <utility>

namespace chalkline::link {
namespace {

constexpr std::array<std::pair<int, speed_t>, 8> rates{{{9600, B9600},
                                                        {19200, B19200},
                                                        {38400, B38400},
                                                        {57600, B57600},
                                                        {115200, B115200},
                                                        {230400, B230400},
                                                        {460800, B460800},
                                                        {921600, B921600}}};

speed_t rate_of(int baud) {
    for (const auto& [number, rate] : rates)
        if (number == baud) return rate;
    return B115200;
}

tl::unexpected<Error> in_use(const std::string& path) {
    // A pseudo-terminal is held by whoever made it: that is the machine and no rival.
    const std::string holder = path.starts_with("/dev/tty") ? holder_of(path) : std::string();
    return holder.empty() ? fail(error::busy, {}, path) : fail(error::held, {{"program", holder}}, path);
}

tl::unexpected<Error> open_failure(int problem, const std::string& path) {
    switch (problem) {
        case ENOENT:
        case ENODEV:
        case ENXIO:
        case ENOTDIR:
            return fail(error::missing, {}, path);
        case EACCES:
        case EPERM:
            return fail(error::forbidden, {}, path);
        case EBUSY:
            return in_use(path);
        case EISDIR:
            return fail(error::not_a_port, {}, path);
        default:
            return fail(error::unreachable, {{"reason", std::strerror(problem)}}, path);
    }
}

}  // namespace

Result<Address> parse_address(std::string_view text) {
    Address address{std::string(text), text.starts_with("tcp:"), {}, {}};
    if (!address.tcp) {
        if (text.empty()) return fail(error::bad_address, {}, address.text);
        return address;
    }
    text.remove_prefix(4);
    const auto colon = text.rfind(':');
    if (colon == std::string_view::npos || colon == 0 || colon + 1 == text.size())
        return fail(error::bad_address, {}, address.text);
    address.host = text.substr(0, colon);
    address.port = text.substr(colon + 1);
    if (address.port.find_first_not_of("0123456789") != std::string::npos)
        return fail(error::bad_address, {}, address.text);
    return address;
}

Result<int> open_serial(const std::string& path, int baud) {
    // Few programs lock their port: two that talk at once would spoil both. A pseudo-terminal's maker may hold it.
    if (path.starts_with("/dev/tty") && !holder_of(path).empty()) return in_use(path);
    const int descriptor = ::open(path.c_str(), O_RDWR | O_NOCTTY | O_NONBLOCK | O_CLOEXEC);
    if (descriptor < 0) return open_failure(errno, path);
    const auto give_up = [&](tl::unexpected<Error> error) -> Result<int> {
        ::close(descriptor);
        return error;
    };
    if (::isatty(descriptor) == 0) return give_up(fail(error::not_a_port, {}, path));
    // For us alone: the lock tells other careful programs, the ioctl stops all but root.
    if (::flock(descriptor, LOCK_EX | LOCK_NB) != 0) return give_up(in_use(path));
    ::ioctl(descriptor, TIOCEXCL);
    termios settings{};
    if (::tcgetattr(descriptor, &settings) != 0) return give_up(open_failure(errno, path));
    ::cfmakeraw(&settings);
    settings.c_cflag |= CLOCAL | CREAD;
    settings.c_cflag &= ~static_cast<tcflag_t>(CSTOPB | CRTSCTS);
    ::cfsetspeed(&settings, rate_of(baud));
    if (::tcsetattr(descriptor, TCSANOW, &settings) != 0) return give_up(open_failure(errno, path));
    return descriptor;
}

std::string holder_of(const std::string& path) {
    namespace fs = std::filesystem;
    std::error_code ignored;
    const fs::path wanted = fs::canonical(path, ignored);
    if (ignored) return {};
    for (const auto& process : fs::directory_iterator("/proc", ignored)) {
        const std::string id = process.path().filename();
        if (id.find_first_not_of("0123456789") != std::string::npos || id == std::to_string(::getpid())) continue;
        std::error_code unseen;
        for (const auto& open : fs::directory_iterator(process.path() / "fd", unseen)) {
            std::error_code gone;
            if (fs::read_symlink(open.path(), gone) != wanted) continue;
            std::string name;
            std::getline(std::ifstream(process.path() / "comm"), name);
            return name + " (process " + id + ")";
        }
    }
    return {};
}

bool is_pseudo_terminal(int descriptor) {
    struct stat facts {};
    if (::fstat(descriptor, &facts) != 0) return false;
    const auto device = major(facts.st_rdev);
    return device >= 136 && device <= 143;  // UNIX98 pty slaves (Linux devices.txt)
}

}  // namespace chalkline::link
