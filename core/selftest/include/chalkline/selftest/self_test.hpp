// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/reply.hpp>
#include <chalkline/conversation/session.hpp>

#include <functional>
#include <optional>
#include <string>
#include <vector>

namespace chalkline::machine {

/// One thing that was tried with the beam off, and how it went.
struct SelfTestLine {
    enum class Verdict { good, odd, bad };
    std::string exercise;  ///< "greeting", "settings", "at-rest", "jog", "dark-move", "hold", "buffer", "stop"
    Verdict verdict = Verdict::good;
    std::string said;  ///< what was seen, in technical words
};

/// What a controller's first connection shows: that it does what a burn relies on, and its habits. Nothing lights the
/// beam: programs run under M4 at S0. Pure: events go in, requests for the session come out; both on the caller's
/// thread. REQUIRES: the place is sure, and 25 mm are free to the right of the head, or to its left.
class SelfTest {
 public:
    using Request = std::function<Result<void>(Session&)>;

    /// `wire`: what was sent and heard since the port was opened, "> sent" and "< heard".
    SelfTest(const MachineProfile& profile, const Snapshot& now, const std::vector<std::string>& wire);

    void take(const Event& event);
    /// What to ask for now; nothing: wait. `now`: s of any steady clock. Call every 100 ms.
    std::optional<Request> next(double now);
    bool over() const { return exercise_ == exercises; }

    const std::vector<SelfTestLine>& lines() const { return lines_; }
    bool passed() const;
    /// A page to read, and to send along with a bug: what was tried, how it went, every line of the wire.
    std::string report() const;
    /// The board's habits as a file for the simulated machine (docs/formats/simulator.md).
    std::string board_file(const std::string& name) const;

 private:
    static constexpr int exercises = 5;  ///< jog, dark-move, hold, buffer, stop
    void look_at_greeting();
    void look_at_settings();
    void look_at_report();
    void judge();
    void fail_exercise(const std::string& said);
    Request begin_exercise() const;
    std::vector<std::string> dark_move() const;

    MachineProfile profile_;
    Snapshot now_;
    std::vector<std::string> wire_;
    std::vector<SelfTestLine> lines_;
    int exercise_ = 0;
    bool running_ = false, asked_ = false, back_ = false, ended_ = false;
    double begun_at_ = 0, clock_ = 0;
    geometry::Point from_;  ///< where the exercises begin and end, bed mm
    double way_ = 20;       ///< mm along X, either way
    bool beam_named_dark_ = false, held_ = false;
    std::optional<reply::Status> last_report_;
    std::string last_report_text_;
    bool described_ = false;
    int settings_heard_ = 0, settings_read_ = 0;
};

}  // namespace chalkline::machine
