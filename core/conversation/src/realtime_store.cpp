// SPDX-License-Identifier: GPL-3.0-or-later
// The card of a board of the reference family: 32-bit builds have one, and one of two ways to be asked for it.
#include <chalkline/conversation/contradictions.hpp>
#include <chalkline/conversation/realtime_session.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <utility>

namespace chalkline::machine {

namespace {

constexpr std::string_view list_by_path = "$SD/List", list_in_brief = "$F";
constexpr double begins_within = 2;  // s: a file that was not seen to run by then is over already

/// A program as bytes, as many as asked for at a time.
XmodemSender::Source bytes_of(std::shared_ptr<LineSource> lines, std::int64_t& lines_done) {
    return [lines = std::move(lines), ready = std::string(), &lines_done](std::size_t wanted) mutable {
        ProgramLine line;
        while (ready.size() < wanted && lines->next(line)) {
            ready += line.text + '\n';
            ++lines_done;
        }
        std::string part = ready.substr(0, wanted);
        ready.erase(0, part.size());
        return part;
    };
}

}  // namespace

bool RealtimeSession::transfers() const {
    const AtCard* const card = in<AtCard>();
    return card && card->transfer && !card->transfer->over();
}

bool RealtimeSession::card_runs() const {
    const AtCard* const card = in<AtCard>();
    return card && card->runs;
}

/// A locked controller moves nothing, but its card can be read.
Result<void> RealtimeSession::require_at_rest() const {
    const bool locked = now_.state == ControllerState::alarm && in<AtEase>();
    return locked ? Result<void>() : require_free();
}

Result<void> RealtimeSession::list_store() {
    if (auto free = require_at_rest(); !free) return free;
    enter(AtCard{});
    begin_with_listing();
    return {};
}

Result<void> RealtimeSession::store(const std::string& name, const clearance::ClearedProgram& program) {
    if (auto free = require_at_rest(); !free) return free;
    if (auto right = require_cleared_for(program, profile_); !right) return right;
    enter(AtCard{.act = AtCard::Act::write, .file = {name, 0}, .lines = program.lines()});
    now_.lines_done = 0;
    begin_with_listing();
    return {};
}

Result<void> RealtimeSession::remove_stored(const std::string& name) {
    if (auto free = require_at_rest(); !free) return free;
    enter(AtCard{.act = AtCard::Act::remove, .file = {name, 0}});
    begin_with_listing();
    return {};
}

Result<void> RealtimeSession::run_stored(const StoredFile& file, const clearance::ClearedProgram& copy) {
    if (auto free = require_free(); !free) return free;
    if (auto right = require_cleared_for(copy, profile_); !right) return right;
    if (auto set = require_settings(); !set) return set;
    if (!now_.position_sure || !now_.position) return fail(place_unknown(profile_));
    if (auto agreed = require_no_contradiction(profile_, facts()); !agreed) return agreed;
    enter(AtCard{.act = AtCard::Act::run, .file = file});
    now_.lines_done = now_.chatter = 0;
    now_.done = now_.begun = {};
    now_.step = -1;
    now_.stored_share = 0;
    origin_tries_ = 0;
    program_overrides();
    begin_with_listing();
    return {};
}

void RealtimeSession::begin_with_listing() {
    in<AtCard>()->listing.clear();
    if (card_words_ == CardWords::brief)
        queue_command({std::string(list_in_brief), Purpose::list_store_in_brief});
    else
        queue_command({std::string(list_by_path), Purpose::list_store_by_path});
    announce();
}

void RealtimeSession::handle_card_answer(Purpose purpose) {
    AtCard& card = *in<AtCard>();
    if (purpose == Purpose::list_store_by_path || purpose == Purpose::list_store_in_brief) {
        card_words_ = purpose == Purpose::list_store_by_path ? CardWords::path : CardWords::brief;
        now_.stored = std::make_shared<const std::vector<StoredFile>>(card.listing);
        return go_on_after_listing(card);
    }
    // The bed's place is written, or it stood right: what was read back may have asked for one more round.
    if (card.act == AtCard::Act::run && purpose == Purpose::program_origin && queued_.empty())
        return queue_command(
            {(card_words_ == CardWords::path ? "$SD/Run=/" : "$F=/") + card.file.name, Purpose::run_stored_file});
    if (purpose == Purpose::run_stored_file) {
        card.runs = true;
        card.runs_since = clock_;
        return announce();
    }
    if (purpose != Purpose::change_store) return;
    card.carried_out = true;
    begin_with_listing();
}

void RealtimeSession::go_on_after_listing(AtCard& card) {
    using Act = AtCard::Act;
    const Act act = card.act;
    const std::string name = card.file.name;
    const auto found = find_stored(card.listing, name);
    const auto finish = [this] {
        finish_activity();
        announce();
    };
    const auto differs = [&](std::int64_t expected) {
        return Error{std::string(error::store_differs),
                     {{"name", name}, {"bytes", std::to_string(found->bytes)}, {"expected", std::to_string(expected)}},
                     {},
                     0};
    };
    if (act == Act::list) return finish();
    if (card.carried_out) {
        const bool there = found.has_value();
        if (card.lines && !card.lines->intact()) return fail_activity({std::string(error::lines_changed), {}, {}, 0});
        if (there != (act == Act::write))
            return fail_activity({std::string(error::store_failed), {{"name", name}, {"text", ""}}, {}, 0});
        if (there && found->bytes != card.transfer->arrived()) return fail_activity(differs(card.transfer->arrived()));
        return finish();
    }
    if (act != Act::write && !found) return fail_activity({std::string(error::not_in_store), {{"name", name}}, {}, 0});
    if (act == Act::remove)
        return queue_command(
            {(card_words_ == CardWords::path ? "$SD/Delete=/" : "$FD=/") + name, Purpose::change_store});
    if (act == Act::run) {
        if (found->bytes != card.file.bytes) return fail_activity(differs(card.file.bytes));
        queue_command({"$$", Purpose::program_settings});
        return queue_command({"$#", Purpose::program_origin});
    }
    if (card_words_ != CardWords::path) return fail_activity({std::string(error::store_receives_nothing), {}, {}, 0});
    card.transfer.emplace(bytes_of(card.lines, now_.lines_done), clock_);
    queue_command({"$Xmodem/Receive=/" + name, Purpose::change_store});
}

void RealtimeSession::handle_card_refusal(Purpose purpose, int number) {
    if (purpose == Purpose::list_store_by_path && card_words_ == CardWords::unknown)
        return queue_command({std::string(list_in_brief), Purpose::list_store_in_brief});
    queued_.clear();
    if (purpose == Purpose::list_store_by_path || purpose == Purpose::list_store_in_brief) {
        card_words_ = CardWords::none;
        return fail_activity({std::string(error::no_store), {{"text", fmt::format("error:{}", number)}}, {}, 0});
    }
    const AtCard& card = *in<AtCard>();
    if (purpose == Purpose::change_store && card.act == AtCard::Act::write)
        return fail_activity({std::string(error::store_receives_nothing), {}, {}, 0});
    const std::string said = fmt::format("error:{}", number);
    fail_activity({std::string(error::store_failed), {{"name", card.file.name}, {"text", said}}, {}, 0});
}

/// The report names the file while it is read; what was read last is still carried out then.
void RealtimeSession::handle_card_status(const reply::Status& status) {
    if (!card_runs()) return;
    now_.stored_share.reset();
    if (status.store_share) now_.stored_share = std::clamp(*status.store_share / 100, 0.0, 1.0);
    const bool works = status.store_share || status.state == ControllerState::run;
    AtCard& card = *in<AtCard>();
    card.seen_running = card.seen_running || works || clock_ - card.runs_since > begins_within;
}

// ---------------------------------------------------------------- a file on its way

/// While a file is on its way every byte is part of that, but for what the board says before it asks for the first
/// block: it asks at the beginning of a line.
void RealtimeSession::take_transfer(std::string_view bytes) {
    while (transfers() && !bytes.empty()) {
        XmodemSender& transfer = *in<AtCard>()->transfer;
        const bool begun = transfer.state() != XmodemSender::State::waiting;
        const char byte = bytes.front();
        bytes.remove_prefix(1);
        if (begun || !lines_in_.half_way()) lines_out_ += transfer.take({&byte, 1}, clock_);
        const bool waits = transfer.state() == XmodemSender::State::waiting;
        if (waits) lines_in_.read({&byte, 1}, [this](const std::string& line) { handle(line); });
    }
    lines_in_.read(bytes, [this](const std::string& line) { handle(line); });
}

void RealtimeSession::tick_transfer() {
    AtCard* const card = in<AtCard>();
    if (!card || !card->transfer) return;
    card->transfer->tick(clock_);
    if (transfers() && clock_ - last_status_request_ > status_interval) {
        last_status_request_ = clock_;  // as often as reports would come
        announce();
    }
    if (card->transfer->state() != XmodemSender::State::failed) return;
    begin_stop(Error{std::string(error::store_failed), {{"name", card->file.name}, {"text", ""}}, {}, 0});
}

}  // namespace chalkline::machine
