// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "support/let_through.hpp"

#include <chalkline/base/file.hpp>
#include <chalkline/conversation/session.hpp>
#include <chalkline/encoding/encoder.hpp>
#include <chalkline/simulator/faults.hpp>
#include <chalkline/simulator/line_board.hpp>

#include <catch2/catch.hpp>

#include <algorithm>
#include <filesystem>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace chalkline::test {

/// Every board that comes along, by its file.
inline std::vector<simulator::Board> all_boards() {
    std::vector<simulator::Board> boards;
    for (const auto& entry : std::filesystem::directory_iterator(CHALKLINE_SAMPLES "/boards")) {
        const auto text = read_file(entry.path().string());
        REQUIRE(text);
        auto board = simulator::parse_board(*text, entry.path().string());
        INFO(entry.path().string());
        REQUIRE(board);
        boards.push_back(std::move(*board));
    }
    std::sort(boards.begin(), boards.end(), [](const auto& a, const auto& b) { return a.name < b.name; });
    return boards;
}

inline simulator::Board board_named(const std::string& name) {
    for (simulator::Board& board : all_boards())
        if (board.name == name) return board;
    FAIL("there is no board " << name);
    return {};
}

/// The profile of a bench laser that this board drives, with home switches where the board says it has them.
inline machine::MachineProfile profile_for(const simulator::Board& board) {
    machine::MachineProfile profile = simulator::driven_by(board, {});
    const auto homing = board.settings.find(22);
    if (homing != board.settings.end() && homing->second == 0) profile.home = machine::HomeCorner::none;
    return profile;
}

/// One board, the cable to it and a session, in lockstep under one virtual clock. The session may be ended and another
/// one begun, as when a cable is plugged in again or Chalkline is started anew.
class BoardBench {
 public:
    explicit BoardBench(const simulator::Board& board, std::vector<simulator::Fault> faults = {})
        : profile(profile_for(board)),
          controller(profile, board),
          line_board(board.dialect == machine::Dialect::line_by_line
                         ? std::make_unique<simulator::LineBoard>(controller)
                         : nullptr),
          device(line_board ? static_cast<simulator::Device&>(*line_board) : controller, controller,
                 std::move(faults)) {
        controller.set_dose_map(&dose);
        connect();
    }

    /// Opens the port. `before`: as of `make_session`.
    void connect(const std::optional<machine::RememberedPlace>& before = {}) {
        device.opened();
        (void)device.take_output();  // what was said to nobody
        session = machine::make_session(profile, 0.3, before);
        session->opened(controller.now());
        plugged = true;
    }
    void pull_out() {
        session->closed("pulled", controller.now());
        take_events();
        plugged = false;
    }

    void pass() {
        const std::string answer = device.take_output();
        if (plugged) {
            if (!answer.empty()) session->received(answer, controller.now());
            session->tick(controller.now());
            device.receive(session->take_output());
        }
        device.advance(step);
        take_events();
    }
    template <class Condition>
    bool until(Condition condition, double patience = 240) {
        const double end = controller.now() + patience;
        while (!condition() && controller.now() < end)
            pass();
        return condition();
    }
    void run(double seconds) {
        until([] { return false; }, seconds);
    }

    const machine::Snapshot& now() const { return session->snapshot(); }
    bool free() const { return now().activity == machine::Activity::none; }
    bool ready() {
        return until([&] { return seen<machine::event::Ready>() > 0; }, 20);
    }
    /// Ready, and its place sure: by home, or by somebody's word.
    bool make_ready() {
        if (!ready()) return false;
        if (now().position_sure) return true;
        if (profile.home == machine::HomeCorner::none) {
            if (!session->stands_at(controller.head())) return false;
        } else if (!session->home()) {
            return false;
        }
        return until([&] { return free() && now().position_sure && now().position; }, 120);
    }
    bool burn(const std::shared_ptr<const machine::Program>& program) {
        finished = 0;
        failed.clear();
        return session
            ->burn(test::let_through(std::make_unique<machine::SharedEncoder>(program, profile), session->profile()))
            .has_value();
    }
    bool over() {
        return until([&] { return finished > 0 || !failed.empty() || stopped; }) &&
               until([&] { return free() || !plugged; }, 30);
    }

    template <class E>
    int seen() const {
        return static_cast<int>(
            std::count_if(events.begin(), events.end(), [](const auto& e) { return std::holds_alternative<E>(e); }));
    }

    static constexpr double step = 0.002;  // s

    machine::MachineProfile profile;
    simulator::Controller controller;
    std::unique_ptr<simulator::LineBoard> line_board;
    simulator::FaultyDevice device;
    simulator::DoseMap dose{400, 300, 4, 0.18};
    std::unique_ptr<machine::Session> session;
    std::vector<machine::Event> events;
    std::vector<std::string> failed;  ///< codes
    std::optional<machine::event::Stopped> stopped;
    int finished = 0;
    bool plugged = true;

 private:
    void take_events() {
        for (auto& event : session->take_events()) {
            if (const auto* e = std::get_if<machine::event::Failed>(&event)) failed.push_back(e->error.code);
            if (const auto* e = std::get_if<machine::event::Stopped>(&event)) stopped = *e;
            const auto* e = std::get_if<machine::event::Finished>(&event);
            if (e && (e->activity == machine::Activity::burning || e->activity == machine::Activity::framing))
                ++finished;
            events.push_back(std::move(event));
        }
    }
};

}  // namespace chalkline::test
