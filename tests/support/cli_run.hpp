// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <nlohmann/json.hpp>
#include <signal.h>
#include <sys/wait.h>
#include <unistd.h>

#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <string>
#include <vector>

namespace chalkline::test {

/// A folder of its own, removed at the end.
struct Scratch {
    std::filesystem::path path =
        std::filesystem::temp_directory_path() / ("chalkline-cli-" + std::to_string(::getpid()));
    Scratch() { std::filesystem::create_directories(path); }
    ~Scratch() { std::filesystem::remove_all(path); }
    std::string write(const std::string& name, const std::string& text) const {
        std::ofstream(path / name) << text;
        return (path / name).string();
    }
    std::string operator/(const std::string& name) const { return (path / name).string(); }
};

/// The user's data folder of every command line that a test starts: never the reader's own.
inline const std::string& data_home() {
    static const struct Home {
        Home() { ::setenv("XDG_DATA_HOME", folder.c_str(), 1); }
        ~Home() { std::filesystem::remove_all(folder); }
        std::string folder =
            (std::filesystem::temp_directory_path() / ("chalkline-data-" + std::to_string(::getpid()))).string();
    } home;
    return home.folder;
}

/// A command line that has ended.
struct Run {
    int code;
    std::string out;
    nlohmann::json json() const { return nlohmann::json::parse(out); }
    /// The n-th line as JSON.
    nlohmann::json line(std::size_t number) const {
        std::size_t at = 0;
        for (; number > 0 && at != std::string::npos; --number)
            at = out.find('\n', at) + 1;
        return nlohmann::json::parse(out.substr(at, out.find('\n', at) - at));
    }
};

inline Run run(const std::string& arguments) {
    (void)data_home();
    FILE* pipe = ::popen((std::string(CHALKLINE_CLI) + " " + arguments + " 2>/dev/null").c_str(), "r");
    std::string out;
    char buffer[4096];
    while (const auto count = std::fread(buffer, 1, sizeof buffer, pipe))
        out.append(buffer, count);
    const int status = ::pclose(pipe);
    return {WEXITSTATUS(status), out};
}

/// A command line that runs while the test goes on.
class RunningCommand {
 public:
    explicit RunningCommand(std::vector<std::string> arguments) {
        (void)data_home();
        arguments.insert(arguments.begin(), CHALKLINE_CLI);
        std::fflush(nullptr);  // else the child says it, too
        process_ = ::fork();
        if (process_ != 0) return;
        std::vector<char*> raw;
        for (auto& argument : arguments)
            raw.push_back(argument.data());
        raw.push_back(nullptr);
        if (!std::freopen("/dev/null", "w", stdout) || !std::freopen(said_file().c_str(), "w", stderr)) ::_exit(126);
        ::execv(CHALKLINE_CLI, raw.data());
        ::_exit(127);
    }
    ~RunningCommand() {
        if (process_ > 0) (void)end(SIGKILL);
    }
    RunningCommand(const RunningCommand&) = delete;
    RunningCommand& operator=(const RunningCommand&) = delete;

    /// What it said on stderr.
    std::string said() const {
        std::ifstream file(said_file());
        return {std::istreambuf_iterator<char>(file), {}};
    }
    /// Sends a signal (0: none) and waits for the end; its exit code, or minus the signal that ended it.
    int end(int signal = 0) {
        if (signal != 0) ::kill(process_, signal);
        int status = 0;
        ::waitpid(process_, &status, 0);
        process_ = -1;
        return WIFEXITED(status) ? WEXITSTATUS(status) : -WTERMSIG(status);
    }

 private:
    static std::string said_file() { return data_home() + ".said"; }
    pid_t process_ = -1;
};

}  // namespace chalkline::test
