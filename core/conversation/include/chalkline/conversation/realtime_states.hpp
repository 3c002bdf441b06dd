// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/cleared/cleared_program.hpp>
#include <chalkline/conversation/session.hpp>
#include <chalkline/conversation/store.hpp>
#include <chalkline/conversation/streamer.hpp>
#include <chalkline/conversation/xmodem.hpp>

#include <variant>

/// Where a conversation in the reference dialect stands, and what is known only there. docs/conversation.md says what
/// leads from one to the next. Times are those of the session's clock, s.
namespace chalkline::machine::realtime_state {

/// No link: not opened yet, or gone.
struct Closed {};

/// It was silent, or speaks something else: nothing is sent any more.
struct GaveUp {};

struct Opening {
    enum class Phase { waiting, at_work, resetting, settings } phase = Phase::waiting;
    double since = 0;
    bool heard_anything = false;
    bool slept = false;      ///< its motors were let go when it was found
    bool restarted = false;  ///< it greeted before anybody asked it to
};

struct AtEase {};

struct Homing {
    bool found = false;  ///< the next place the controller names is that of home
};

struct Jogging {
    bool cancel_wanted = false;  ///< cancelled before the controller said that it took it
};

struct Probing {};

struct Pulsing {};

/// A program is sent as fast as it is answered.
struct Streaming {
    Activity activity;  ///< framing or burning
    clearance::ClearedProgram program;
    std::unique_ptr<Streamer> streamer;
    std::optional<Error> draining{};  ///< it waits until all that was sent is answered and done, because of this
    /// By the last report of the head's place no more than this is done; none: not told yet.
    std::optional<ProgramPlace> furthest_done{};
    std::optional<ProgramPlace> surely_done{};  ///< and so much surely is
    int reports_off_way = 0;                    ///< one after the other
    int most_held = 0, reports_of_queue = 0;    ///< moves the controller held at most, in so many reports
    double odds_of_dark = 1;  ///< that all reports since the last lit one fell on dark places of the program
    ProgramPlace done_lit{};  ///< surely done when the beam was last seen as it should be
    /// The beam has been seen dark so often that it is hardly chance.
    bool looks_dark() const { return odds_of_dark < 0.01; }
};

/// The controller's own store is asked, written, or burned from.
struct AtCard {
    enum class Act { list, write, run, remove } act = Act::list;
    StoredFile file{};
    std::shared_ptr<LineSource> lines{};
    std::vector<StoredFile> listing{};
    std::optional<XmodemSender> transfer{};
    bool carried_out = false;  ///< listed once more, to see what came of it
    bool runs = false, seen_running = false;
    double runs_since = 0;
};

struct Stopping {
    enum class Phase { holding, resetting, confirming } phase = Phase::holding;
    double since = 0;
    Activity stopped = Activity::none;
    std::optional<Error> because{};    ///< none: somebody asked for it
    std::unique_ptr<Streamer> sent{};  ///< what it may still carry out, until it is reset
    bool came_to_rest = false;         ///< the hold was completed before the reset
};

}  // namespace chalkline::machine::realtime_state

namespace chalkline::machine {

using RealtimeState =
    std::variant<realtime_state::Closed, realtime_state::Opening, realtime_state::GaveUp, realtime_state::AtEase,
                 realtime_state::Homing, realtime_state::Jogging, realtime_state::Probing, realtime_state::Pulsing,
                 realtime_state::Streaming, realtime_state::AtCard, realtime_state::Stopping>;

/// What the maker is told of a state.
Activity activity_of(const RealtimeState& state);

}  // namespace chalkline::machine
