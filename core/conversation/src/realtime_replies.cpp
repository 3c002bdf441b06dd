// SPDX-License-Identifier: GPL-3.0-or-later
// What the session hears and makes of it, from the first greeting on.
#include "realtime_bytes.hpp"

#include <chalkline/conversation/realtime_session.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <cstdio>
#include <utility>

namespace chalkline::machine {

using namespace realtime;

namespace {

constexpr double greeting_patience = 6;  // s after the first question before the port counts as silent: some boards
                                         // need five to start
constexpr double deaf_after = 1.5;       // s without a sign until a locked controller is thought of
constexpr double place_patience = 2;     // s for a report that says where the head is
constexpr double settings_patience = 5;  // s for the answers to the settings questions

}  // namespace

// ---------------------------------------------------------------- replies

void RealtimeSession::handle(const std::string& line) {
    if (line.empty()) return;
    if (Opening* const opening = in<Opening>()) opening->heard_anything = true;
    events_.push_back(event::Wire{false, line});
    const Reply reply = parse_reply(line);
    if (std::holds_alternative<reply::Ok>(reply)) return handle_answer({});
    if (const auto* refused = std::get_if<reply::LineError>(&reply)) return handle_answer(refused->number);
    if (const auto* alarm = std::get_if<reply::Alarm>(&reply)) return handle_alarm(alarm->number);
    if (const auto* greeting = std::get_if<reply::Greeting>(&reply)) return handle_greeting(greeting->version);
    if (const auto* status = std::get_if<reply::Status>(&reply)) return handle_status(*status);
    if (const auto* text = std::get_if<reply::Text>(&reply)) return handle_text(text->text);
    if (const auto* garbled = std::get_if<reply::Garbled>(&reply)) return handle_garbled(garbled->text);
    if (const auto* setting = std::get_if<reply::Setting>(&reply)) settings_[setting->number] = setting->value;
    if (const auto* offset = std::get_if<reply::Offset>(&reply))
        offsets_[offset->name] = used_axes(offset->place, offset->turned) * unit();
    if (const auto* options = std::get_if<reply::Options>(&reply)) {
        // Figures that no board has are misread: keep the profile's.
        if (options->receive_buffer >= 64) now_.receive_buffer = receive_buffer_ = options->receive_buffer;
        if (options->planner_blocks > 1) now_.planner_blocks = planner_blocks_ = options->planner_blocks;
    }
    if (const auto* info = std::get_if<reply::BuildInfo>(&reply); info && info->key == "VER" && now_.version.empty())
        now_.version = info->value.substr(0, info->value.find(':'));
}

/// The two axes that are moved, of the four a controller may name.
geometry::Point RealtimeSession::used_axes(geometry::Point place, double turned) const {
    return {place.x, profile_.y_letter() == 'A' ? turned : place.y};
}

void RealtimeSession::handle_status(const reply::Status& status) {
    last_status_ = clock_;
    now_.state = status.state;
    now_.sub = status.sub;
    if (Opening* const opening = in<Opening>()) handle_first_status(*opening);
    if (status.state != ControllerState::alarm) now_.alarm = 0;
    if (status.state == ControllerState::alarm) forget_place();
    handle_place(status);
    if (status.feed) now_.feed = *status.feed * unit();
    now_.power = status.power.value_or(now_.power);
    handle_overrides(status);
    handle_card_status(status);
    now_.pins = status.pins;
    if (status.accessories) now_.accessories = *status.accessories;
    if (Stopping* const stopping = in<Stopping>()) {
        if (stopping->phase == Stopping::Phase::holding && at_rest(status.state, status.sub)) {
            stopping->came_to_rest = status.state != ControllerState::alarm;
            reset_controller();
        } else if (stopping->phase == Stopping::Phase::confirming) {
            end_stop(true);
        }
    }
    compare_with_route();
    compare_queue();
    compare_beam(status);
    finish_if_at_rest();
    announce();
}

void RealtimeSession::handle_place(const reply::Status& status) {
    if (status.offset) work_offset_ = used_axes(*status.offset, status.turned_offset);
    std::optional<geometry::Point> machine;
    if (status.machine) machine = used_axes(*status.machine, status.turned);
    // Work coordinates say where the head is only together with an offset that was reported.
    if (!machine && status.work && work_offset_) machine = used_axes(*status.work, status.turned) + *work_offset_;
    if (!machine) return;
    machine_at_ = *machine * unit();
    const Homing* const homing = in<Homing>();
    const bool home_found = homing && homing->found;
    if (home_found) find_origin_after_homing(*machine_at_);
    now_.position = profile_.surface(*machine_at_ - origin_);
    if (home_found) end_homing();
    const bool off_bed = !profile_.turning && now_.position_sure && now_.placed_by_hand && in<AtEase>() &&
                         !profile_.bed().contains(*now_.position, off_bed_limit);
    if (!off_bed) return;
    forget_place();
    const std::string place = fmt::format("{:.1f}, {:.1f}", now_.position->x, now_.position->y);
    events_.push_back(event::Failed{Activity::none, {std::string(error::place_off_bed), {{"place", place}}, {}, 0}});
}

/// An override that nobody here asked for was turned at the machine itself.
void RealtimeSession::handle_overrides(const reply::Status& status) {
    now_.speed_trim = status.feed_override.value_or(now_.speed_trim);
    now_.power_trim = status.power_override.value_or(now_.power_trim);
    constexpr double taken_within = 1;  // s: what was asked for is reported by then
    if (!status.power_override || now_.power_trim == asked_trim_.power || clock_ < trim_asked_at_ + taken_within)
        return;
    now_.power_at_board = asked_trim_.power = now_.power_trim;
    const Streaming* const streaming = in<Streaming>();
    const std::int32_t step = streaming ? streaming->streamer->step() : -1;
    if (step >= 0) now_.trims[step] = {now_.speed_trim, now_.power_trim};
}

/// Home is found when the head's place is known.
void RealtimeSession::end_homing() {
    finish_activity();
    go_to_rest(profile_.own_lines.after_home);
}

/// What is found may be at work, hold half a line, or stand with its beam still asked for: it is let come to rest, then
/// reset, which costs a resting controller nothing.
void RealtimeSession::handle_first_status(Opening& opening) {
    if (opening.phase != Opening::Phase::waiting && opening.phase != Opening::Phase::at_work) return;
    opening.slept = opening.slept || now_.state == ControllerState::sleep;
    if (!at_rest(now_.state, now_.sub) && now_.state != ControllerState::sleep &&
        now_.state != ControllerState::check) {
        opening.phase = Opening::Phase::at_work;
        return;
    }
    opening.phase = Opening::Phase::resetting;
    opening.since = clock_;
    send_realtime(soft_reset, "reset");
}

/// Boards say this and that. It stops nothing: whether an answer is missing is seen when the controller rests.
void RealtimeSession::handle_text(const std::string& text) {
    if (AtCard* const card = in<AtCard>())
        if (auto file = parse_stored(text, profile_.dialect)) card->listing.push_back(std::move(*file));
    if (in<Streaming>() && text[0] != '[' && text[0] != '<') ++now_.chatter;
}

/// It may have been a refusal, and going on would leave a gap; or a message that only looks like an answer.
void RealtimeSession::handle_garbled(const std::string& text) {
    handle_text(text);
    std::string readable = text;
    std::replace_if(
        readable.begin(), readable.end(), [](char c) { return c < ' ' || c > '~'; }, '.');
    drain({std::string(error::garbled_answer), {{"text", readable}}, {}, 0});
}

/// Two reports one after the other: a single one may itself be garbled.
void RealtimeSession::compare_with_route() {
    Streaming* const streaming = in<Streaming>();
    if (!streaming || !now_.position) return;
    const Route& route = streaming->streamer->route();
    if (const auto seen = route.furthest_done_at(*now_.position)) streaming->furthest_done = seen;
    const double off = route.distance(*now_.position);
    if (off < off_way_limit) {
        streaming->reports_off_way = 0;
        note_done(*streaming);
    } else if (++streaming->reports_off_way == 1) {
        send_realtime(status_request, nullptr);
    } else {
        begin_stop(Error{std::string(error::off_way), {{"distance", fmt::format("{:.1f}", off)}}, {}, 0});
    }
}

/// What the head has left behind is done, however many moves the controller holds. Two reports one after the other say
/// so: a single one may itself be garbled.
void RealtimeSession::note_done(Streaming& streaming) {
    const auto surely = streaming.streamer->route().surely_done_at(*now_.position, now_.done);
    const auto before = std::exchange(streaming.surely_done, surely);
    if (!surely || !before || streaming.draining || streaming.looks_dark()) return;
    now_.done = std::max(now_.done, std::min(*surely, *before));
}

/// Never more moves are answered and not done than the controller's queue holds: more than it ever held means that an
/// answer came twice, and that its buffer is asked for more than it has. How many it holds differs from build to build
/// and is learned from the first reports of a burn.
void RealtimeSession::compare_queue() {
    Streaming* const streaming = in<Streaming>();
    if (!streaming || streaming->draining || !now_.position || now_.state != ControllerState::run) return;
    constexpr int enough_reports = 20;
    const bool learned = streaming->reports_of_queue >= enough_reports;
    if (streaming->streamer->queue_was_filled()) ++streaming->reports_of_queue;
    const int held = streaming->streamer->route().held_beyond(*now_.position);
    if (held <= streaming->most_held) return;
    streaming->most_held = held;
    if (learned && held >= planner_blocks_) drain({std::string(error::stray_answer), {}, {}, 0});
}

/// A second program on the port, or a digit garbled into M5, leaves a burn that is dark from there on. A report names
/// the beam only while it burns, so a dark one proves nothing by itself: it is held against how likely the program is
/// lit at that place, and only a run of them that cannot be chance means that the beam is gone (Wald's sequential test,
/// 1945, with odds fixed beforehand). A board that was never seen to tell its beam is not judged by it.
void RealtimeSession::compare_beam(const reply::Status& status) {
    Streaming* const streaming = in<Streaming>();
    if (!streaming || streaming->activity != Activity::burning || !now_.position) return;
    const bool lit = looks_lit(status);
    const bool tells = (tells_power_ && status.power) || (tells_beam_ && status.accessories);
    if (lit || !tells) {
        if (!streaming->looks_dark()) streaming->done_lit = now_.done;
        streaming->odds_of_dark = 1;
        return;
    }
    if (status.state != ControllerState::run) return;
    // A report is rounded, and its figures are some hundredths of a second apart.
    constexpr double trust = 0.7, chance = 1e-6;
    streaming->odds_of_dark *= 1 - trust * streaming->streamer->route().likely_lit(*now_.position).value_or(0);
    // What may have stayed dark is not surely done, whatever stops the burn.
    if (streaming->looks_dark()) now_.done = streaming->done_lit;
    if (streaming->odds_of_dark > chance) return;
    begin_stop(Error{std::string(error::beam_taken), {}, {}, 0});
}

bool RealtimeSession::looks_lit(const reply::Status& status) {
    const bool powered = status.power.value_or(0) > 0;
    const bool named = status.accessories && status.accessories->find_first_of("SC") != std::string::npos;
    tells_power_ = tells_power_ || powered;
    tells_beam_ = tells_beam_ || named;
    return powered || named;
}

void RealtimeSession::handle_answer(std::optional<int> error_number) {
    if (in<Stopping>()) return;  // answers to what the reset throws away
    last_line_ = clock_;
    if (!open_.empty())
        handle_command_answer(error_number);
    else if (Streaming* const streaming = in<Streaming>())
        handle_stream_answer(*streaming, error_number);
    else if (card_runs() && error_number)
        begin_stop(Error{std::string(error::line_refused),
                         {{"number", std::to_string(*error_number)}, {"text", in<AtCard>()->file.name}},
                         {},
                         0});
}

void RealtimeSession::handle_command_answer(std::optional<int> error_number) {
    const Command command = std::move(open_.front());
    open_.pop_front();
    if (!error_number) return carried_out(command);
    // Build info and offsets are nice to have; a controller without them still works.
    if (in<Opening>()) return;
    if (in<AtCard>()) return handle_card_refusal(command.purpose, *error_number);
    queued_.clear();
    fail_activity(
        {std::string(error::line_refused), {{"number", std::to_string(*error_number)}, {"text", command.text}}, {}, 0});
}

void RealtimeSession::carried_out(const Command& command) {
    switch (command.purpose) {
        case Purpose::plain:
            return;
        case Purpose::typed:
            // It may have moved the head, changed where it counts from, or a setting.
            forget_place();
            queue_command({"$$"});
            return announce();
        case Purpose::home:
            enter(Homing{.found = true});
            now_.position_sure = !profile_.turning;
            now_.placed_by_hand = false;
            now_.position.reset();  // the last report counted from elsewhere
            now_.alarm = 0;
            now_.state = ControllerState::idle;
            send_realtime(status_request, nullptr);
            return announce();
        case Purpose::unlock:
            forget_place();
            now_.alarm = 0;
            return announce();
        case Purpose::jog:
            if (Jogging* const jogging = in<Jogging>(); jogging && std::exchange(jogging->cancel_wanted, false))
                send_realtime(jog_cancel, "jog cancel");
            return;
        case Purpose::end_probe:
            // Up from where it touched until the beam is in focus.
            enter(Jogging{});
            queue_command({fmt::format("$J=G91G21Z{:.3f}F300", profile_.focus.above_touch), Purpose::jog});
            return announce();
        case Purpose::end_pulse:
            finish_activity();
            return announce();
        case Purpose::write_setting:
            settings_[command.number] = command.value;
            return announce();
        case Purpose::program_settings:
            if (const auto set = require_settings(); !set && now_.activity == Activity::burning) {
                queued_.clear();
                fail_activity(set.error());
            }
            return;
        case Purpose::program_origin:
            place_bed_origin();
            if (in<AtCard>()) handle_card_answer(command.purpose);
            return;
        case Purpose::list_store_by_path:
        case Purpose::list_store_in_brief:
        case Purpose::change_store:
        case Purpose::run_stored_file:
            if (in<AtCard>()) handle_card_answer(command.purpose);
            return;
    }
}

/// An answer to nothing of ours: somebody else sent a line, and what it did nobody knows.
void RealtimeSession::handle_stream_answer(Streaming& streaming, std::optional<int> error_number) {
    Streamer& streamer = *streaming.streamer;
    const auto line = streamer.answered();
    if (!line) {
        now_.done = streaming.done_lit;
        return begin_stop(Error{std::string(error::stray_answer), {}, {}, 0});
    }
    if (error_number) {
        begin_stop(Error{std::string(error::line_refused),
                         {{"number", std::to_string(*error_number)}, {"text", line->text}},
                         {},
                         static_cast<int>(streamer.acknowledged())});
        return;
    }
    now_.lines_done = streamer.acknowledged();
    if (streaming.draining || streaming.looks_dark())
        return;  // which line this answers, or whether it burned, is not sure
    // An answer only says that a line was read. Where the head was seen bounds what is done.
    const ProgramPlace seen =
        streamer.route().known() ? streaming.furthest_done.value_or(ProgramPlace{}) : streamer.done();
    now_.done = std::max(now_.done, std::min(streamer.done(), seen));
}

void RealtimeSession::handle_greeting(const std::string& version) {
    now_.version = version;
    now_.speed_trim = now_.power_trim = 100;
    asked_trim_ = {};
    now_.power_at_board.reset();
    // A controller that starts afresh has everything off.
    now_.accessories.clear();
    now_.power = 0;
    work_offset_.reset();
    // A slow board greets for every reset that it was sent before it answered the first.
    constexpr double late = 5;  // s
    const bool asked_before = resets_open_ > 0 && clock_ - reset_at_ < late;
    resets_open_ = std::max(0, resets_open_ - 1);
    const bool works = in<Stopping>() || in<Streaming>() || reset_expected_;
    if (conversing() && !works && asked_before) return;
    open_.clear();
    // Where it counts from, and what it does, only its next report says.
    machine_at_.reset();
    now_.state = ControllerState::unknown;
    const bool asked_for = std::exchange(reset_expected_, false);
    if (Opening* const opening = in<Opening>()) return handle_greeting_while_opening(*opening);
    Stopping* const stopping = in<Stopping>();
    const auto confirm = [&] {
        stopping->phase = Stopping::Phase::confirming;
        stopping->since = clock_;
        send_realtime(status_request, nullptr);
    };
    if (asked_for) {
        if (stopping && stopping->phase == Stopping::Phase::resetting) confirm();
        return;
    }
    queued_.clear();
    forget_place();
    if (!stopping) return fail_activity({std::string(error::reset_by_itself), {}, {}, 0});
    // It restarted while it was stopped: whether its beam is off the next report says.
    stopping->came_to_rest = false;
    confirm();
}

/// It started by itself, or because its port was opened. A network module says hello, too, for a machine that may be
/// at work.
void RealtimeSession::handle_greeting_while_opening(Opening& opening) {
    opening.restarted = opening.restarted || opening.phase != Opening::Phase::resetting;
    const bool asked = opening.phase == Opening::Phase::resetting || opening.phase == Opening::Phase::settings;
    if (!asked) return send_realtime(status_request, nullptr);
    // A board may restart once more while it is asked.
    begin_reading_settings(opening);
}

void RealtimeSession::handle_alarm(int number) {
    now_.state = ControllerState::alarm;
    now_.alarm = number;
    forget_place();
    queued_.clear();
    open_.clear();
    // Alarm 3 is our own reset while moving: the stop goes on. 1 and 2 accept nothing before a reset; nor may one that
    // is stated in words, or came garbled.
    if (number <= 2) expect_reset();
    // What was asked when the conversation began is asked once more.
    if (Opening* const opening = in<Opening>(); opening && opening->phase == Opening::Phase::settings)
        begin_reading_settings(*opening);
    Stopping* const stopping = in<Stopping>();
    if (!stopping) return fail_activity({std::string(error::alarm), {{"number", std::to_string(number)}}, {}, 0});
    stopping->came_to_rest = false;
    stopping->sent.reset();
    announce();
}

// ---------------------------------------------------------------- opening the conversation

void RealtimeSession::begin_reading_settings(Opening& opening) {
    opening.phase = Opening::Phase::settings;
    opening.since = clock_;
    queued_ = {{"$I"}, {"$$"}, {"$#"}};
    send_realtime(status_request, nullptr);
}

void RealtimeSession::tick_opening() {
    Opening* const opening = in<Opening>();
    if (!opening) return;
    switch (opening->phase) {
        case Opening::Phase::waiting:
            return tick_waiting(*opening);
        case Opening::Phase::at_work:
            if (clock_ - last_status_request_ >= 0.5) send_realtime(status_request, nullptr);
            return;
        case Opening::Phase::resetting:
            if (clock_ - opening->since > reset_patience) begin_reading_settings(*opening);
            return;
        case Opening::Phase::settings:
            return tick_settings(*opening);
    }
}

void RealtimeSession::tick_waiting(const Opening& opening) {
    const double waited = clock_ - opening.since;
    if (waited >= greeting_wait_ && clock_ - last_status_request_ >= 0.5) {
        // After a hard alarm a controller hears nothing but a reset.
        const bool deaf = waited >= greeting_wait_ + deaf_after && !opening.heard_anything;
        send_realtime(deaf ? soft_reset : status_request, deaf ? "reset" : nullptr);
        last_status_request_ = clock_;
    }
    if (waited < greeting_wait_ + greeting_patience) return;
    give_up(opening.heard_anything || lines_in_.half_way() ? error::speaks_otherwise : error::silent);
}

/// Ready when the questions are answered and a report came after them: only then is it clear in which unit it speaks.
void RealtimeSession::tick_settings(const Opening& opening) {
    const double waited = clock_ - opening.since;
    const bool answered = queued_.empty() && open_.empty() && last_status_ > last_line_;
    const bool placed = machine_at_ || waited > place_patience;
    if (answered && placed && now_.state != ControllerState::unknown) {
        settle_place(opening);
        enter(AtEase{});
        events_.push_back(event::Ready{});
        announce();
    } else if (waited > settings_patience) {
        give_up(error::speaks_otherwise);
    } else if (const bool due = queued_.empty() && open_.empty() && last_status_request_ <= last_line_;
               due || clock_ - last_status_request_ >= 0.5) {
        send_realtime(status_request, nullptr);
    }
}

void RealtimeSession::give_up(std::string_view code) {
    events_.push_back(event::Failed{now_.activity, {std::string(code), {}, {}, 0}});
    enter(GaveUp{});
    announce();
}

}  // namespace chalkline::machine
