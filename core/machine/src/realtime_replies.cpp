// SPDX-License-Identifier: GPL-3.0-or-later
// What the session hears and makes of it, from the first greeting on.
#include "realtime_bytes.hpp"

#include <chalkline/machine/realtime_session.hpp>

#include <fmt/format.h>

#include <algorithm>
#include <cstdio>
#include <utility>

namespace chalkline::machine {

using namespace realtime;

namespace {

constexpr double greeting_patience = 3;  // s after the first question before the port counts as silent
constexpr double settings_patience = 5;  // s for the answers to the settings questions

/// The number and value of a line like "$32=1".
std::optional<std::pair<int, double>> written_setting(const std::string& line) {
    int number = 0;
    double value = 0;
    char rest = 0;
    if (std::sscanf(line.c_str(), "$%d=%lf%c", &number, &value, &rest) != 2) return {};
    return std::pair{number, value};
}

}  // namespace

// ---------------------------------------------------------------- replies

void RealtimeSession::handle(const std::string& line) {
    if (line.empty()) return;
    heard_anything_ = true;
    events_.push_back(event::Wire{false, line});
    const Reply reply = parse_reply(line);
    if (std::holds_alternative<reply::Ok>(reply)) return handle_answer({});
    if (const auto* refused = std::get_if<reply::LineError>(&reply)) return handle_answer(refused->number);
    if (const auto* alarm = std::get_if<reply::Alarm>(&reply)) return handle_alarm(alarm->number);
    if (const auto* greeting = std::get_if<reply::Greeting>(&reply)) return handle_greeting(greeting->version);
    if (const auto* status = std::get_if<reply::Status>(&reply)) return handle_status(*status);
    if (const auto* text = std::get_if<reply::Text>(&reply)) return handle_text(text->text);
    if (const auto* setting = std::get_if<reply::Setting>(&reply)) settings_[setting->number] = setting->value;
    if (const auto* offset = std::get_if<reply::Offset>(&reply))
        offsets_[offset->name] = used_axes(offset->place, offset->turned);
    if (const auto* options = std::get_if<reply::Options>(&reply)) {
        // A controller that names less room than a line needs is misread: keep the profile's figure.
        if (options->receive_buffer > static_cast<int>(longest_line) + 1)
            now_.receive_buffer = receive_buffer_ = options->receive_buffer;
        if (options->planner_blocks > 0) now_.planner_blocks = planner_blocks_ = options->planner_blocks + 1;
    }
}

/// The two axes that are moved, of the four a controller may name.
geometry::Point RealtimeSession::used_axes(geometry::Point place, double turned) const {
    return {place.x, profile_.y_letter() == 'A' ? turned : place.y};
}

void RealtimeSession::handle_status(const reply::Status& status) {
    last_status_ = clock_;
    now_.state = status.state;
    now_.sub = status.sub;
    if (greeting_ == Greeting::waiting || greeting_ == Greeting::at_work) handle_first_status();
    if (status.state != ControllerState::alarm) now_.alarm = 0;
    if (status.state == ControllerState::alarm) forget_place();
    if (status.offset) work_offset_ = used_axes(*status.offset, status.turned_offset);
    const double unit = setting(13).value_or(0) != 0 ? 25.4 : 1;
    std::optional<geometry::Point> machine;
    if (status.machine) machine = used_axes(*status.machine, status.turned);
    if (!machine && status.work) machine = used_axes(*status.work, status.turned) + work_offset_;
    if (machine) {
        machine_at_ = *machine * unit;
        if (just_homed_) find_origin_after_homing(*machine_at_);
        now_.position = profile_.surface(*machine_at_ - origin_);
        if (std::exchange(just_homed_, false)) end_homing();
    }
    now_.feed = status.feed.value_or(now_.feed) * (status.feed ? unit : 1);
    now_.power = status.power.value_or(now_.power);
    now_.speed_trim = status.feed_override.value_or(now_.speed_trim);
    now_.power_trim = status.power_override.value_or(now_.power_trim);
    now_.pins = status.pins;
    if (status.has_accessories) now_.accessories = status.accessories;
    if (stopping_ == Stopping::holding && at_rest(status.state, status.sub)) {
        came_to_rest_ = status.state != ControllerState::alarm;
        reset_controller();
    } else if (stopping_ == Stopping::confirming) {
        end_stop(true);
    }
    compare_with_way();
    compare_beam(status);
    finish_if_at_rest();
    announce();
}

/// Home is found when the head's place is known.
void RealtimeSession::end_homing() {
    now_.activity = Activity::none;
    events_.push_back(event::Finished{Activity::homing});
    go_to_rest(profile_.own_lines.after_home);
}

/// What is found may be at work, hold half a line, or stand with its beam still asked for: it is let come to rest, then
/// reset, which costs a resting controller nothing.
void RealtimeSession::handle_first_status() {
    slept_ = slept_ || now_.state == ControllerState::sleep;
    if (!at_rest(now_.state, now_.sub) && now_.state != ControllerState::sleep &&
        now_.state != ControllerState::check) {
        greeting_ = Greeting::at_work;
        return;
    }
    greeting_ = Greeting::resetting;
    opened_at_ = clock_;
    send_realtime(soft_reset, "reset");
}

/// While a program runs every line that is neither report nor message is an answer; one that cannot be read may have
/// been a refusal, and going on would leave a gap.
void RealtimeSession::handle_text(const std::string& text) {
    if (!streamer_ || stopping_ != Stopping::no || text[0] == '[' || text[0] == '<' || text.back() == '>') return;
    std::string readable = text;
    std::replace_if(
        readable.begin(), readable.end(), [](char c) { return c < ' ' || c > '~'; }, '.');
    begin_stop(Error{std::string(error::garbled_answer), {{"text", readable}}, {}, 0});
}

/// Two reports one after the other: a single one may itself be garbled.
void RealtimeSession::compare_with_way() {
    if (!streamer_ || stopping_ != Stopping::no || !now_.position) return;
    const double off = streamer_->off_way(*now_.position);
    if (off < off_way_limit) {
        reports_off_way_ = 0;
    } else if (++reports_off_way_ == 1) {
        send_realtime(status_request, nullptr);
    } else {
        begin_stop(Error{std::string(error::off_way), {{"distance", fmt::format("{:.1f}", off)}}, {}, 0});
    }
}

/// A second program on the port, or a digit garbled into M5, leaves a burn that is dark from there on: only what was
/// done when the beam was last reported is sure then.
void RealtimeSession::compare_beam(const reply::Status& status) {
    if (!streamer_ || stopping_ != Stopping::no || now_.activity != Activity::burning || !status.has_accessories)
        return;
    const bool on = status.accessories.find_first_of("SC") != std::string::npos;
    if (on || !streamer_->wants_beam() || status.state != ControllerState::run) {
        done_lit_ = now_.done;
        return;
    }
    now_.done = done_lit_;
    begin_stop(Error{std::string(error::beam_taken), {}, {}, 0});
}

void RealtimeSession::handle_answer(std::optional<int> error_number) {
    if (stopping_ != Stopping::no) return;  // answers to what the reset throws away
    last_line_ = clock_;
    if (!open_.empty())
        handle_command_answer(error_number);
    else if (streamer_)
        handle_stream_answer(error_number);
}

void RealtimeSession::handle_command_answer(std::optional<int> error_number) {
    const std::string command = std::move(open_.front());
    open_.pop_front();
    if (error_number) {
        // Build info and offsets are nice to have; a controller without them still works.
        if (greeting_ == Greeting::settings) return;
        queued_.clear();
        streamer_.reset();
        return fail_activity(
            {std::string(error::line_refused), {{"number", std::to_string(*error_number)}, {"text", command}}, {}, 0});
    }
    if (command == "$H") {
        now_.position_sure = !profile_.turning;
        now_.placed_by_hand = false;
        just_homed_ = true;
        now_.position.reset();  // the last report counted from elsewhere
        now_.alarm = 0;
        now_.state = ControllerState::idle;
        send_realtime(status_request, nullptr);
        announce();
    } else if (command == "$X") {
        forget_place();
        now_.alarm = 0;
        announce();
    } else if (command.starts_with("$J=")) {
        if (std::exchange(cancel_wanted_, false)) send_realtime(jog_cancel, "jog cancel");
    } else if (command == "G90" && now_.activity == Activity::probing) {
        // Up from where it touched until the beam is in focus.
        now_.activity = Activity::jogging;
        queue_command(fmt::format("$J=G91G21Z{:.3f}F300", profile_.focus.above_touch));
        announce();
    } else if (command == "$$" && streamer_) {
        // Asked anew before every burn: somebody may have changed them behind our back.
        if (const auto set = require_settings(); !set && now_.activity == Activity::burning) {
            queued_.clear();
            streamer_.reset();
            fail_activity(set.error());
        }
    } else if (command == "M5S0" && now_.activity == Activity::pulsing) {
        events_.push_back(event::Finished{std::exchange(now_.activity, Activity::none)});
        announce();
    } else if (const auto written = written_setting(command)) {
        settings_[written->first] = written->second;
        announce();
    } else if (command == "$#" && streamer_) {
        place_bed_origin();
    }
}

/// An answer to nothing of ours: somebody else sent a line, and what it did nobody knows.
void RealtimeSession::handle_stream_answer(std::optional<int> error_number) {
    const auto line = streamer_->answered();
    if (!line) {
        now_.done = done_lit_;
        return begin_stop(Error{std::string(error::stray_answer), {}, {}, 0});
    }
    if (error_number) {
        begin_stop(Error{std::string(error::line_refused),
                         {{"number", std::to_string(*error_number)}, {"text", line->text}},
                         {},
                         static_cast<int>(streamer_->acknowledged())});
        return;
    }
    now_.lines_done = streamer_->acknowledged();
    now_.done = streamer_->done();
}

void RealtimeSession::handle_greeting(const std::string& version) {
    now_.version = version;
    now_.speed_trim = now_.power_trim = 100;
    now_.accessories.clear();  // a controller that starts afresh has everything off
    open_.clear();
    // A network module says hello for a machine that may be at work.
    if (greeting_ == Greeting::waiting || greeting_ == Greeting::at_work) return send_realtime(status_request, nullptr);
    // A board may restart once more while it is asked.
    if (greeting_ != Greeting::done) return begin_reading_settings();
    if (std::exchange(reset_expected_, false)) {
        if (stopping_ == Stopping::resetting) {
            stopping_ = Stopping::confirming;
            stop_since_ = clock_;
            send_realtime(status_request, nullptr);
        }
        return;
    }
    streamer_.reset();
    queued_.clear();
    forget_place();
    if (stopping_ != Stopping::no) return end_stop(false);
    if (now_.activity != Activity::none) fail_activity({std::string(error::reset_by_itself), {}, {}, 0});
}

void RealtimeSession::handle_alarm(int number) {
    now_.state = ControllerState::alarm;
    now_.alarm = number;
    forget_place();
    came_to_rest_ = false;
    streamer_.reset();
    queued_.clear();
    open_.clear();
    // Alarm 3 is our own reset while moving: the stop goes on. 1 and 2 accept nothing before a reset.
    if (number == 1 || number == 2) {
        expect_reset();
    }
    if (stopping_ == Stopping::no)
        fail_activity({std::string(error::alarm), {{"number", std::to_string(number)}}, {}, 0});
    announce();
}

// ---------------------------------------------------------------- opening the conversation

void RealtimeSession::begin_reading_settings() {
    greeting_ = Greeting::settings;
    opened_at_ = clock_;
    queued_ = {"$I", "$$", "$#"};
    send_realtime(status_request, nullptr);
}

void RealtimeSession::tick_greeting() {
    const double waited = clock_ - opened_at_;
    if (greeting_ == Greeting::waiting) {
        if (waited >= greeting_wait_ && clock_ - last_status_request_ >= 0.5) {
            // After a hard alarm a controller hears nothing but a reset.
            const bool deaf = waited >= greeting_wait_ + greeting_patience / 2 && !heard_anything_;
            send_realtime(deaf ? soft_reset : status_request, deaf ? "reset" : nullptr);
            last_status_request_ = clock_;
        }
        if (waited < greeting_wait_ + greeting_patience) return;
        greeting_ = Greeting::failed;
        fail_activity({std::string(heard_anything_ || lines_in_.half_way() ? error::speaks_otherwise : error::silent),
                       {},
                       {},
                       0});
    } else if (greeting_ == Greeting::at_work) {
        if (clock_ - last_status_request_ >= 0.5) send_realtime(status_request, nullptr);
    } else if (greeting_ == Greeting::resetting) {
        if (waited > reset_patience) begin_reading_settings();
    } else if (greeting_ == Greeting::settings) {
        if (queued_.empty() && open_.empty() && now_.state != ControllerState::unknown) {
            greeting_ = Greeting::done;
            now_.activity = Activity::none;
            // Where a round piece begins nobody but the maker can say.
            now_.position_sure = now_.state != ControllerState::alarm && !slept_ && !profile_.turning;
            // It counts from where it was switched on, and nothing says where that was.
            now_.placed_by_hand = now_.position_sure && profile_.home == HomeCorner::none;
            events_.push_back(event::Ready{});
            announce();
        } else if (waited > settings_patience) {
            greeting_ = Greeting::failed;
            fail_activity({std::string(error::speaks_otherwise), {}, {}, 0});
        } else if (clock_ - last_status_request_ >= 0.5) {
            send_realtime(status_request, nullptr);
        }
    }
}

}  // namespace chalkline::machine
