// SPDX-License-Identifier: GPL-3.0-or-later
// The card of a board that reads line by line: listed, written, carried out, cleared.
#include "line_words.hpp"

#include <chalkline/conversation/contradictions.hpp>
#include <chalkline/conversation/line_session.hpp>
#include <chalkline/encoding/one_command_lines.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cstdio>
#include <utility>

namespace chalkline::machine {
namespace {

using namespace line_words;

bool says(const std::string& line, std::initializer_list<std::string_view> words) {
    return std::any_of(words.begin(), words.end(),
                       [&line](std::string_view word) { return line.find(word) != std::string::npos; });
}

}  // namespace

bool LineSession::writes_card() const {
    const AtCard* const card = in<AtCard>();
    return card && card->written;
}

bool LineSession::card_runs() const {
    const AtCard* const card = in<AtCard>();
    return card && card->runs;
}

Result<void> LineSession::list_store() {
    return move(AtCard{}, {{std::string(card_ready)}, {std::string(list_card), Purpose::list_card}});
}

Result<void> LineSession::remove_stored(const std::string& name) {
    return move(AtCard{.act = AtCard::Act::remove, .file = {name, 0}},
                {{std::string(card_ready)}, {"M30 " + name}, {std::string(list_card), Purpose::list_card}});
}

Result<void> LineSession::store(const std::string& name, const clearance::ClearedProgram& program) {
    if (auto free = require_free(); !free) return free;
    if (auto right = require_cleared_for(program, profile_); !right) return right;
    now_.lines_done = 0;
    return move(AtCard{.act = AtCard::Act::write,
                       .file = {name, 0},
                       .waiting = std::make_unique<OneCommandLines>(program.lines())},
                {{std::string(card_ready)}, {"M28 " + name, Purpose::begin_file}});
}

Result<void> LineSession::run_stored(const StoredFile& file, const clearance::ClearedProgram& copy) {
    if (auto free = require_free(); !free) return free;
    if (auto right = require_cleared_for(copy, profile_); !right) return right;
    if (!now_.position_sure) return fail(place_unknown(profile_));
    if (auto agreed = require_no_contradiction(profile_, facts()); !agreed) return agreed;
    if (auto changes = require_power_in_moves(); !changes) return changes;
    now_.lines_done = 0;
    now_.done = now_.begun = {};
    now_.stored_share = 0;
    return move(AtCard{.act = AtCard::Act::run, .file = file},
                {{std::string(card_ready)}, {std::string(list_card), Purpose::list_card}});
}

/// What the board says of its card. True when the line was about nothing else.
bool LineSession::handle_card(const std::string& line) {
    AtCard* const at_card = in<AtCard>();
    if (!at_card || line == "ok" || line.starts_with("ok ")) return false;
    AtCard& card = *at_card;
    if (line == "Begin file list") {
        card.in_listing = true;
        card.listing.clear();
        return true;
    }
    if (line == "End file list") {
        card.in_listing = false;
        now_.stored = std::make_shared<const std::vector<StoredFile>>(card.listing);
        return true;
    }
    if (card.in_listing) {
        if (auto file = parse_stored(line, profile_.dialect)) card.listing.push_back(std::move(*file));
        return true;
    }
    const bool refused =
        line.starts_with("echo:Unknown command") || says(line, {"No SD card", "SD init fail", "No media"});
    if (refused && !card.runs) {
        card.absent = true;
        card.said = line;
        return true;
    }
    if (says(line, {"Writing to file", "File selected"})) card.agreed = true;
    if (says(line, {"open failed", "error writing", "Deletion failed"})) {
        card.agreed = false;
        card.said = line;
        return true;
    }
    if (line.starts_with("Not SD printing") || line.starts_with("Done printing file")) {
        end_card_run();
        return true;
    }
    long long at = 0, all = 0;
    if (std::sscanf(line.c_str(), "SD printing byte %lld/%lld", &at, &all) == 2 && all > 0) {
        now_.stored_share = std::clamp(static_cast<double>(at) / static_cast<double>(all), 0.0, 1.0);
        announce();
        return true;
    }
    return false;
}

/// The board read the file to its end: done when the head stands.
void LineSession::end_card_run() {
    if (!std::exchange(in<AtCard>()->runs, false)) return;
    for (Command& own : way_to_rest(profile_.own_lines.at_end))
        queued_.push_back(std::move(own));
    queued_.push_back({std::string(moves_done)});
    queued_.push_back({std::string(where), Purpose::where});
}

/// Nothing that burns is sent before the board said that it writes: it would carry it out.
void LineSession::handle_card_answer(AtCard& card, const ProgramLine& line, Purpose purpose) {
    if (writes_card()) {
        card.file.bytes += static_cast<std::int64_t>(line.text.size());
        ++card.line_count;
    }
    if (purpose == Purpose::begin_file && card.agreed) {
        queued_.clear();  // the end of a move: here it comes behind the lines
        card.written = std::move(card.waiting);
    } else if (purpose == Purpose::list_card && card.act == AtCard::Act::run && !card_trouble()) {
        queued_ = {{"M23 " + card.file.name, Purpose::open_file}};
    } else if (purpose == Purpose::open_file) {
        if (!card.agreed && card.said.empty()) card.said = line.text;
        queued_ = {card.agreed ? Command{"M24", Purpose::run_file} : Command{std::string(where), Purpose::where}};
    } else if (purpose == Purpose::run_file) {
        card.runs = true;
    }
}

/// What went wrong with the card, looked at when all that was asked is answered.
std::optional<Error> LineSession::card_trouble() const {
    const AtCard* const at_card = in<AtCard>();
    if (!at_card) return {};
    const AtCard& card = *at_card;
    const std::string& name = card.file.name;
    if (card.absent) return Error{std::string(error::no_store), {{"text", card.said}}, {}, 0};
    const auto found = now_.stored ? find_stored(*now_.stored, name) : std::nullopt;
    const auto failed = [&] {
        return Error{std::string(error::store_failed), {{"name", name}, {"text", card.said}}, {}, 0};
    };
    const auto differs = [&](std::int64_t expected) {
        return Error{std::string(error::store_differs),
                     {{"name", name}, {"bytes", std::to_string(found->bytes)}, {"expected", std::to_string(expected)}},
                     {},
                     0};
    };
    switch (card.act) {
        case AtCard::Act::list:
            return {};
        case AtCard::Act::remove:
            return found ? std::optional(failed()) : std::nullopt;
        case AtCard::Act::write: {
            if (!card.agreed || !found) return failed();
            // Boards end a line of a file with a line feed, most with a carriage return before it.
            const std::int64_t least = card.file.bytes + card.line_count;
            const bool whole = found->bytes == least || found->bytes == least + card.line_count;
            return whole ? std::nullopt : std::optional(differs(least + card.line_count));
        }
        case AtCard::Act::run:
            if (!found) return Error{std::string(error::not_in_store), {{"name", name}}, {}, 0};
            if (found->bytes != card.file.bytes) return differs(card.file.bytes);
            return card.said.empty() ? std::nullopt : std::optional(failed());
    }
    return {};
}

/// What has to be said before a stop: a file that is written would swallow it, and one that runs would go on behind it.
std::vector<LineSession::Command> LineSession::end_of_card_act() const {
    const AtCard* const card = in<AtCard>();
    if (writes_card()) return {{"M29"}, {"M30 " + card->file.name}};
    if (card && card->act == AtCard::Act::run) return {{"M25"}, {"M524"}};
    return {};
}

}  // namespace chalkline::machine
