// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/file.hpp>

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <atomic>
#include <cerrno>
#include <cstring>
#include <filesystem>
#include <string>

namespace chalkline {
namespace {

namespace fs = std::filesystem;

struct Descriptor {
    int number;
    ~Descriptor() {
        if (number >= 0) ::close(number);
    }
};

tl::unexpected<Error> failure(std::string_view otherwise, int problem, const std::string& path) {
    if (problem == ENOENT || problem == ENOTDIR) return fail(error::file_missing, {}, path);
    if (problem == EACCES || problem == EPERM || problem == EROFS) return fail(error::file_forbidden, {}, path);
    return fail(otherwise, {{"reason", std::strerror(problem)}}, path);
}

bool write_all(int descriptor, std::string_view bytes) {
    while (!bytes.empty()) {
        const ssize_t written = ::write(descriptor, bytes.data(), bytes.size());
        if (written < 0 && errno == EINTR) continue;
        if (written < 0) return false;
        bytes.remove_prefix(static_cast<std::size_t>(written));
    }
    return ::fsync(descriptor) == 0;
}

/// A new file of a name that nobody has; `name` becomes it. −1 where it cannot be made.
int create_beside(std::string& name, mode_t rights) {
    static std::atomic<unsigned> made{0};
    const std::string stem = name + "." + std::to_string(::getpid()) + "-";
    constexpr int most_tries = 100;  // left behind by a process of the same number
    for (int i = 0; i < most_tries; ++i) {
        name = stem + std::to_string(made++);
        const int file = ::open(name.c_str(), O_WRONLY | O_CREAT | O_EXCL | O_CLOEXEC, rights & 0777);
        if (file >= 0 || errno != EEXIST) return file;
    }
    return -1;
}

}  // namespace

Result<std::string> read_file(const std::string& path) {
    // Never block on a pipe that was named instead of a file.
    const Descriptor file{::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK)};
    if (file.number < 0) return failure(error::file_unreadable, errno, path);
    struct stat facts {};
    if (::fstat(file.number, &facts) != 0) return failure(error::file_unreadable, errno, path);
    if (S_ISDIR(facts.st_mode)) return fail(error::file_is_folder, {}, path);
    if (!S_ISREG(facts.st_mode)) return fail(error::file_unreadable, {{"reason", "not a regular file"}}, path);
    if (static_cast<std::uintmax_t>(facts.st_size) > largest_file)
        return fail(error::file_too_large, {{"limit_mb", std::to_string(largest_file >> 20)}}, path);
    std::string bytes(static_cast<std::size_t>(facts.st_size), '\0');
    std::size_t got = 0;
    while (got < bytes.size()) {
        const ssize_t count = ::read(file.number, bytes.data() + got, bytes.size() - got);
        if (count < 0 && errno == EINTR) continue;
        if (count < 0) return failure(error::file_unreadable, errno, path);
        if (count == 0) break;
        got += static_cast<std::size_t>(count);
    }
    bytes.resize(got);
    return bytes;
}

Result<void> replace_file(const std::string& path, std::string_view bytes) {
    std::error_code ignored;
    const fs::path resolved = fs::is_symlink(path, ignored) ? fs::canonical(path, ignored) : fs::path(path);
    const fs::path target = resolved.empty() ? fs::path(path) : resolved;
    const std::string folder = target.has_parent_path() ? target.parent_path().string() : ".";
    std::string beside = folder + "/." + target.filename().string();

    struct stat facts {};
    const bool existed = ::stat(target.c_str(), &facts) == 0;
    if (existed && S_ISDIR(facts.st_mode)) return fail(error::file_is_folder, {}, path);
    if (existed && ::access(target.c_str(), W_OK) != 0) return failure(error::file_unwritable, errno, path);

    // Created with the rights a new file gets here: asking for the mask would change it for all threads for a moment.
    const mode_t rights = existed ? facts.st_mode & 07777 : 0666;
    const Descriptor file{create_beside(beside, rights)};
    if (file.number < 0) return failure(error::file_unwritable, errno, path);
    if (existed) ::fchmod(file.number, rights);
    if (!write_all(file.number, bytes) || ::rename(beside.c_str(), target.c_str()) != 0) {
        const int problem = errno;
        ::unlink(beside.c_str());
        return failure(error::file_unwritable, problem, path);
    }
    // The rename itself must reach the disk too.
    const Descriptor directory{::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC)};
    if (directory.number >= 0) ::fsync(directory.number);
    return {};
}

}  // namespace chalkline
