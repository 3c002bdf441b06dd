// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/conversation/session.hpp>

#include <optional>
#include <string>
#include <string_view>

namespace chalkline::machine {

/// How far a burn is known to have come at one moment. Places are counted in the whole program, also when only its
/// rest was sent.
struct JournalNote {
    double seconds = 0;  ///< since the burn began, holds included
    ProgramPlace done, begun;
    std::optional<geometry::Point> head;    ///< bed, mm; none: not known
    std::optional<geometry::Point> origin;  ///< machine coordinates of the bed's 0, 0; none: not known
    bool homed = false;                     ///< the place rests on home switches, not on somebody's word
    Trims trims;
    bool operator==(const JournalNote&) const = default;
};

enum class BurnEnd { finished, stopped, failed };

/// What an append-only journal of one burn says (docs/formats/journal.md). Its lines are complete or ignored: a power
/// cut may tear the last one.
struct Journal {
    JournalNote last;            ///< the newest note
    std::optional<BurnEnd> end;  ///< none: it broke off without a word, Chalkline was ended
    bool operator==(const Journal&) const = default;
};

/// One line each, line feed included.
std::string journal_line(const JournalNote& note);
std::string journal_line(BurnEnd end);
/// Never fails: what cannot be read is left out.
Journal read_journal(std::string_view text);

}  // namespace chalkline::machine
