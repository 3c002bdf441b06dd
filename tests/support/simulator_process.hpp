// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <fcntl.h>
#include <signal.h>
#include <sys/wait.h>
#include <unistd.h>

#include <filesystem>
#include <fstream>
#include <sstream>
#include <string>
#include <thread>
#include <vector>

namespace chalkline::test {

/// chalkline-sim as a child process in a folder of its own, with its report and dose map.
class SimulatorProcess {
 public:
    explicit SimulatorProcess(const std::string& program, const std::string& speed = "max",
                              std::vector<std::string> more = {}) {
        folder_ = std::filesystem::temp_directory_path() /
                  ("chalkline-sim-" + std::to_string(::getpid()) + "-" + std::to_string(count_++));
        std::filesystem::create_directories(folder_);
        std::vector<std::string> arguments{
            program, "--pty", port(), "--speed", speed, "--report", file("report.json"), "--dose", file("dose.bin")};
        arguments.insert(arguments.end(), more.begin(), more.end());
        process_ = ::fork();
        if (process_ == 0) {
            std::vector<char*> raw;
            for (auto& argument : arguments)
                raw.push_back(argument.data());
            raw.push_back(nullptr);
            const int null = ::open("/dev/null", 1);
            ::dup2(null, 1);
            ::execv(program.c_str(), raw.data());
            ::_exit(127);
        }
        for (int i = 0; i < 500 && !std::filesystem::exists(port()); ++i)
            std::this_thread::sleep_for(std::chrono::milliseconds(10));
    }
    ~SimulatorProcess() {
        finish();
        std::filesystem::remove_all(folder_);
    }
    SimulatorProcess(const SimulatorProcess&) = delete;
    SimulatorProcess& operator=(const SimulatorProcess&) = delete;

    std::string port() const { return file("port"); }
    std::string file(const std::string& name) const { return (folder_ / name).string(); }
    /// Ends it and lets it write its results.
    void finish(int signal = SIGTERM) {
        if (process_ <= 0) return;
        ::kill(process_, signal);
        ::waitpid(process_, nullptr, 0);
        process_ = -1;
    }
    /// Presses the machine's own start button.
    void press_start() const { ::kill(process_, SIGUSR2); }
    /// From now on its time runs as fast as possible.
    void hurry() const { ::kill(process_, SIGRTMIN); }
    /// The report as text; only after finish().
    std::string report() const {
        std::ifstream in(file("report.json"));
        std::stringstream text;
        text << in.rdbuf();
        return text.str();
    }
    /// One number of the report.
    double figure(const std::string& name) const {
        const std::string text = report();
        const auto at = text.find("\"" + name + "\":");
        return at == std::string::npos ? -1 : std::stod(text.substr(at + name.size() + 3));
    }
    bool clean() const {
        const std::string text = report();
        return text.find("\"errors\": []") != std::string::npos && text.find("\"alarms\": []") != std::string::npos &&
               text.find("\"violations\": []") != std::string::npos;
    }

 private:
    static inline int count_ = 0;
    std::filesystem::path folder_;
    pid_t process_ = -1;
};

}  // namespace chalkline::test
