// SPDX-License-Identifier: GPL-3.0-or-later
// A program killed while it saves: the file is one of the jobs it saved, whole, every time.
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/placing.hpp>

#include <catch2/catch.hpp>
#include <sys/wait.h>
#include <unistd.h>

#include <csignal>
#include <cstdlib>
#include <filesystem>
#include <random>

using namespace chalkline;

namespace {

/// Saves one job after the other until it is killed.
[[noreturn]] void save_for_ever(const job::Job& job, const std::string& path) {
    for (int i = 1;; ++i) {
        const auto moved = job::transform(job, {1}, geometry::Transform::move(i * 0.01, 0));
        if (!moved || !job::save(*moved, path)) ::_exit(1);
    }
}

}  // namespace

TEST_CASE("kill -9 while saving never loses a job") {
    // CHALKLINE_KILLS=500 for the long run (scripts/kill-test.sh).
    const char* wanted = std::getenv("CHALKLINE_KILLS");
    const int kills = wanted ? std::atoi(wanted) : 20;
    const job::Job job = job::load(CHALKLINE_SAMPLES "/plot-27.chalk").value().job;
    const auto folder = std::filesystem::temp_directory_path() / ("chalk-kill-" + std::to_string(::getpid()));
    std::filesystem::create_directory(folder);
    const std::string path = (folder / "job.chalk").string();
    REQUIRE(job::save(job, path));
    std::mt19937 random(27);
    for (int i = 0; i < kills; ++i) {
        const pid_t child = ::fork();
        REQUIRE(child >= 0);
        if (child == 0) save_for_ever(job, path);
        ::usleep(std::uniform_int_distribution<useconds_t>(200, 30'000)(random));
        ::kill(child, SIGKILL);
        int status = 0;
        ::waitpid(child, &status, 0);
        REQUIRE(WIFSIGNALED(status));
        const auto opened = job::load(path);
        REQUIRE(opened);
        REQUIRE(opened->lost.empty());
        REQUIRE(opened->job.motifs.size() == 1);
        REQUIRE(opened->job.steps == job.steps);
    }
    std::filesystem::remove_all(folder);
}
