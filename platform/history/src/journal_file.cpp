// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/file.hpp>
#include <chalkline/history/journal_file.hpp>

#include <fcntl.h>
#include <unistd.h>

#include <cerrno>
#include <cstring>
#include <utility>

namespace chalkline::history {
namespace {

using namespace std::chrono_literals;
constexpr auto note_every = 140ms;  // as often as the machine reports
constexpr auto flush_every = 1s;    // to the disk itself: a power cut loses no more

bool write_all(int file, std::string_view bytes) {
    while (!bytes.empty()) {
        const ssize_t count = ::write(file, bytes.data(), bytes.size());
        if (count < 0 && errno == EINTR) continue;
        if (count <= 0) return false;
        bytes.remove_prefix(static_cast<std::size_t>(count));
    }
    return true;
}

}  // namespace

JournalFile::JournalFile(const std::string& path, std::function<void(Error)> failed,
                         std::function<Clock::time_point()> now)
    : path_(path),
      failed_(std::move(failed)),
      now_(std::move(now)),
      begun_at_(now_()),
      writer_([this](const std::stop_token& stop) { write(stop); }) {}

JournalFile::~JournalFile() {
    writer_.request_stop();
    writer_.join();
}

void JournalFile::begin(std::shared_ptr<const machine::Rest> rest) {
    const std::lock_guard lock(guard_);
    rest_ = std::move(rest);
    noted_at_ = {};
}

void JournalFile::saw(const machine::Snapshot& now) {
    if (now.activity != machine::Activity::burning && now.activity != machine::Activity::stopping) return;
    const auto moment = now_();
    {
        const std::lock_guard lock(guard_);
        const auto whole = [this](machine::ProgramPlace place) { return rest_ ? rest_->in_whole(place) : place; };
        if (moment - noted_at_ < note_every) return;
        noted_at_ = moment;
        machine::JournalNote note;
        note.seconds = std::chrono::duration<double>(moment - begun_at_).count();
        note.done = whole(now.done);
        note.begun = std::max(note.done, whole(now.begun));
        if (now.position_sure) note.head = now.position;
        if (now.remembered_place) {
            note.origin = now.remembered_place->origin;
            note.homed = now.remembered_place->homed;
        }
        note.trims = now.trims;
        waiting_ += machine::journal_line(note);
    }
    more_.notify_one();
}

void JournalFile::end(machine::BurnEnd how) {
    append(machine::journal_line(how));
}

void JournalFile::append(const std::string& line) {
    {
        const std::lock_guard lock(guard_);
        waiting_ += line;
    }
    more_.notify_one();
}

void JournalFile::write(const std::stop_token& stop) {
    const int file = ::open(path_.c_str(), O_WRONLY | O_CREAT | O_APPEND | O_CLOEXEC, 0644);
    bool good = file >= 0;
    auto flushed = std::chrono::steady_clock::now();
    bool told = false;
    while (true) {
        std::string bytes;
        {
            std::unique_lock lock(guard_);
            more_.wait(lock, stop, [this] { return !waiting_.empty(); });
            if (waiting_.empty()) break;  // asked to stop, and all is written
            bytes = std::exchange(waiting_, {});
        }
        good = good && write_all(file, bytes);
        if (!good && !std::exchange(told, true))
            failed_(
                Error{std::string(chalkline::error::file_unwritable), {{"reason", std::strerror(errno)}}, path_, 0});
        if (good && std::chrono::steady_clock::now() - flushed > flush_every) {
            ::fdatasync(file);
            flushed = std::chrono::steady_clock::now();
        }
    }
    if (file < 0) return;
    ::fdatasync(file);
    ::close(file);
}

}  // namespace chalkline::history
