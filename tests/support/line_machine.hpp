// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/next_step.hpp>
#include <chalkline/conversation/session.hpp>
#include <chalkline/simulator/line_board.hpp>

#include <catch2/catch.hpp>

#include <memory>
#include <string>
#include <vector>

namespace chalkline::test {

inline machine::MachineProfile profile_of_board() {
    machine::MachineProfile profile;
    profile.dialect = machine::Dialect::line_by_line;
    return profile;
}

/// A line session and a board in lockstep under one virtual clock.
class LineMachine {
 public:
    explicit LineMachine(const machine::MachineProfile& profile = profile_of_board())
        : controller(profile), board(controller), session(machine::make_session(profile, 0.3)) {
        session->opened(now);
    }
    template <class Condition>
    bool run_until(Condition condition, double patience = 600) {
        for (double gone = 0; gone < patience; gone += step) {
            if (condition()) return true;
            const std::string out = session->take_output();
            sent += out;
            if (cable) board.receive(out);
            board.advance(step);
            now += step;
            const std::string in = board.take_output();
            if (cable && !in.empty()) session->received(in, now);
            session->tick(now);
            for (machine::Event& event : session->take_events())
                events.push_back(std::move(event));
        }
        return condition();
    }
    bool free() { return session->snapshot().activity == machine::Activity::none; }
    void make_ready() {
        REQUIRE(run_until([&] { return last<machine::event::Ready>() != nullptr; }, 10));
        REQUIRE(session->home());
        REQUIRE(run_until([&] { return free(); }, 60));
    }
    template <class E>
    const E* last() const {
        for (auto event = events.rbegin(); event != events.rend(); ++event)
            if (const auto* found = std::get_if<E>(&*event)) return found;
        return nullptr;
    }

    simulator::Controller controller;
    simulator::LineBoard board;
    std::unique_ptr<machine::Session> session;
    std::vector<machine::Event> events;
    std::string sent;
    double now = 0;
    bool cable = true;
    double step = 0.002;  ///< s: how long a byte waits for the other side at most
};

}  // namespace chalkline::test
