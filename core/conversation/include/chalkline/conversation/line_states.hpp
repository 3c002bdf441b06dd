// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/session.hpp>
#include <chalkline/conversation/store.hpp>
#include <chalkline/machine/line_source.hpp>

#include <deque>
#include <memory>
#include <variant>

/// Where a conversation line by line stands, and what is known only there. docs/conversation.md says what leads from
/// one to the next. Times are those of the session's clock, s.
namespace chalkline::machine::line_state {

/// No link: not opened yet, or gone.
struct Closed {};

/// It was silent, or speaks something else: nothing is sent any more.
struct GaveUp {};

struct Opening {
    double since = 0;
    bool cleared = false;  ///< half a line of somebody before us is ended
    bool asked = false;    ///< the questions are on their way
    bool heard_anything = false;
    bool restarted = false;  ///< it said so
};

struct AtEase {};

/// The board shut itself down: only a restart leads on.
struct Halted {
    bool opened = true;  ///< it had answered the questions of the opening
};

/// Commands are on their way, and the question where the head is behind them.
struct Acting {
    Activity activity;
};

/// A program is sent, one line after the other.
struct Streaming {
    Activity activity;                            ///< framing or burning
    std::unique_ptr<LineSource> lines;            ///< null: all are sent
    std::optional<geometry::Point> planned_to{};  ///< where the newest answered move leads, bed mm
    int plan_matches = 0;         ///< times it told the place where its plan ends; below 0: it tells another one
    ProgramPlace done_checked{};  ///< surely done when answers were last seen to belong to their lines
    std::deque<ProgramLine> in_planner{};  ///< operations of the newest answered lines
};

/// The board's card is listed, written, or burned from.
struct AtCard {
    enum class Act { list, write, run, remove } act = Act::list;
    StoredFile file{};                      ///< written: without its line endings
    std::unique_ptr<LineSource> waiting{};  ///< lines to write, until the board said that it does
    std::unique_ptr<LineSource> written{};  ///< lines on their way to the card
    std::int64_t line_count = 0;
    std::vector<StoredFile> listing{};
    bool in_listing = false, absent = false;
    bool agreed = false;  ///< the board said that it does what was asked with this file
    bool runs = false;
    std::string said{};  ///< the last thing it said of it
};

struct Stopping {
    Activity stopped;
    std::optional<Error> because{};  ///< none: somebody asked for it
    double since = 0;
};

}  // namespace chalkline::machine::line_state

namespace chalkline::machine {

using LineState =
    std::variant<line_state::Closed, line_state::Opening, line_state::GaveUp, line_state::AtEase, line_state::Halted,
                 line_state::Acting, line_state::Streaming, line_state::AtCard, line_state::Stopping>;

/// What the maker is told of a state.
Activity activity_of(const LineState& state);

}  // namespace chalkline::machine
