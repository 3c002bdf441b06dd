// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/realtime_session.hpp>
#include <chalkline/simulator/controller.hpp>

#include <memory>
#include <string>
#include <vector>

namespace chalkline::test {

/// Lines held in memory.
class GivenLines : public machine::LineSource {
 public:
    explicit GivenLines(std::vector<std::string> lines) : lines_(std::move(lines)) {}
    bool next(machine::ProgramLine& line) override {
        if (at_ == lines_.size()) return false;
        line = {lines_[at_], static_cast<std::int64_t>(at_)};
        ++at_;
        return true;
    }

 private:
    std::vector<std::string> lines_;
    std::size_t at_ = 0;
};

/// A session and a simulated controller in lockstep under one virtual clock: no threads, no real time.
class VirtualMachine {
 public:
    explicit VirtualMachine(const machine::MachineProfile& profile = {});

    simulator::Controller controller;
    machine::RealtimeSession session;
    std::vector<machine::Event> events;

    /// Lets time pass.
    void run(double seconds);
    /// Lets time pass until `condition` holds; false when `patience` seconds were not enough.
    template <class Condition>
    bool run_until(Condition condition, double patience = 3600) {
        for (double gone = 0; gone < patience; gone += step) {
            if (condition()) return true;
            run(step);
        }
        return condition();
    }
    /// Opens the conversation and finds home, or says where the head stands.
    void make_ready();

    template <class E>
    const E* last() const {
        for (auto event = events.rbegin(); event != events.rend(); ++event)
            if (const auto* found = std::get_if<E>(&*event)) return found;
        return nullptr;
    }

    static constexpr double step = 0.002;  ///< s
    bool cable = true;                     ///< false: nothing passes
    double now = 0;

 private:
    void exchange();
};

}  // namespace chalkline::test
