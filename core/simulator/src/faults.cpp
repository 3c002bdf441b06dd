// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/simulator/faults.hpp>

#include <nlohmann/json.hpp>

#include <algorithm>
#include <array>
#include <cstdlib>
#include <limits>
#include <utility>

namespace chalkline::simulator {
namespace {

using Kind = Fault::Kind;
constexpr std::array<std::pair<Kind, std::string_view>, 15> names{{{Kind::garble_line, "garble-line"},
                                                                   {Kind::lose_line_byte, "lose-line-byte"},
                                                                   {Kind::garble_answer, "garble-answer"},
                                                                   {Kind::lose_answer, "lose-answer"},
                                                                   {Kind::double_answer, "double-answer"},
                                                                   {Kind::delay, "delay"},
                                                                   {Kind::pull_cable, "pull-cable"},
                                                                   {Kind::foreign_line, "foreign-line"},
                                                                   {Kind::reset, "reset"},
                                                                   {Kind::power_cut, "power-cut"},
                                                                   {Kind::limit_switch, "limit-switch"},
                                                                   {Kind::open_door, "open-door"},
                                                                   {Kind::press_hold, "press-hold"},
                                                                   {Kind::change_setting, "change-setting"},
                                                                   {Kind::turn_knob, "turn-knob"}}};

bool is_digit(char c) {
    return c >= '0' && c <= '9';
}

}  // namespace

std::string_view to_text(Kind kind) {
    return names[static_cast<std::size_t>(kind)].second;
}

Result<std::vector<Fault>> parse_faults(std::string_view text, const std::string& file) {
    const auto json = nlohmann::json::parse(text, nullptr, false);
    if (!json.is_array()) return fail(error::bad_faults, {{"key", "[…]"}}, file);
    std::vector<Fault> faults;
    for (const auto& entry : json) {
        if (!entry.is_object()) return fail(error::bad_faults, {{"key", "{…}"}}, file);
        Fault fault;
        const auto found = std::find_if(names.begin(), names.end(), [&](const auto& name) {
            return entry.contains("fault") && entry["fault"] == name.second;
        });
        if (found == names.end()) return fail(error::bad_faults, {{"key", "fault"}}, file);
        fault.kind = found->first;
        fault.at_line = entry.contains("at_line");
        const char* when = fault.at_line ? "at_line" : "at_s";
        const auto number = [&](const char* key, double& target) {
            if (!entry.contains(key)) return true;
            if (!entry[key].is_number() || entry[key].get<double>() < 0) return false;
            target = entry[key];
            return true;
        };
        if (!entry.contains(when) || !number(when, fault.at)) return fail(error::bad_faults, {{"key", when}}, file);
        if (!number("seconds", fault.seconds)) return fail(error::bad_faults, {{"key", "seconds"}}, file);
        if (entry.contains("text")) {
            if (!entry["text"].is_string()) return fail(error::bad_faults, {{"key", "text"}}, file);
            fault.text = entry["text"];
        }
        if (entry.contains("seed")) {
            if (!entry["seed"].is_number_unsigned()) return fail(error::bad_faults, {{"key", "seed"}}, file);
            fault.seed = entry["seed"];
        }
        faults.push_back(std::move(fault));
    }
    return faults;
}

void FaultyDevice::receive(std::string_view bytes) {
    if (!plugged_in()) return;
    std::string arriving;
    for (const char byte : bytes) {
        lines_ += byte == '\n' ? 1 : 0;
        const bool wanted =
            on_the_way_in_ && (on_the_way_in_->kind == Kind::lose_line_byte ? byte > ' ' : is_digit(byte));
        if (!wanted) {
            arriving += byte;
            continue;
        }
        const Fault& fault = *std::exchange(on_the_way_in_, nullptr);
        if (fault.kind == Kind::garble_line)
            arriving += static_cast<char>('0' + (byte - '0' + 1 + static_cast<int>(fault.seed % 9)) % 10);
    }
    if (controller_.now() < delayed_until_)
        held_in_ += arriving;
    else
        device_.receive(arriving);
}

void FaultyDevice::advance(double seconds) {
    for (std::size_t i = 0; i < faults_.size(); ++i) {
        if (done_[i] != 0 || (faults_[i].at_line ? static_cast<double>(lines_) : controller_.now()) < faults_[i].at)
            continue;
        done_[i] = 1;
        ++happened_;
        begin(faults_[i]);
    }
    device_.advance(seconds);
    end_what_is_over();
}

void FaultyDevice::begin(const Fault& fault) {
    const double now = controller_.now();
    const auto until = [&] {
        return fault.seconds > 0 ? now + fault.seconds : std::numeric_limits<double>::infinity();
    };
    switch (fault.kind) {
        case Kind::garble_line:
        case Kind::lose_line_byte:
            on_the_way_in_ = &fault;
            return;
        case Kind::garble_answer:
        case Kind::lose_answer:
        case Kind::double_answer:
            on_the_way_out_ = &fault;
            return;
        case Kind::delay:
            delayed_until_ = until();
            return;
        case Kind::pull_cable:
            unplugged_until_ = until();
            answer_.clear();
            held_in_.clear();
            held_out_.clear();
            return;
        case Kind::foreign_line:
            return device_.receive(fault.text + "\n");
        case Kind::reset:
            return device_.receive("\x18");
        case Kind::power_cut:
            dark_until_ = until();
            return controller_.set_power(false);
        case Kind::limit_switch:
            return controller_.hit_limit_switch();
        case Kind::open_door:
            door_until_ = until();
            return controller_.set_door(true);
        case Kind::press_hold:
            hold_until_ = until();
            return controller_.set_hold_switch(true);
        case Kind::change_setting:
            return controller_.change_setting(fault.text);
        case Kind::turn_knob:
            return controller_.turn_power_knob(std::atoi(fault.text.c_str()));
    }
}

void FaultyDevice::end_what_is_over() {
    const double now = controller_.now();
    const auto over = [now](double& end) {
        if (end == 0 || now < end) return false;
        end = 0;
        return true;
    };
    if (over(dark_until_)) controller_.set_power(true);
    if (over(door_until_)) controller_.set_door(false);
    if (over(hold_until_)) controller_.set_hold_switch(false);
    if (over(delayed_until_)) device_.receive(std::exchange(held_in_, {}));
}

void FaultyDevice::damage_answer(std::string& line) {
    const bool ok = line.starts_with("ok");
    const bool of_ok = on_the_way_out_ && on_the_way_out_->kind != Kind::garble_answer;
    const std::size_t text = std::min(line.find_first_of("\r\n"), line.size());
    if (!on_the_way_out_ || (of_ok && !ok) || text == 0 || line[0] == '<') return;
    const Fault& fault = *std::exchange(on_the_way_out_, nullptr);
    if (fault.kind == Kind::lose_answer)
        line.clear();
    else if (fault.kind == Kind::double_answer)
        line += line;
    else
        line[fault.seed % text] ^= 0x20;
}

std::string FaultyDevice::take_output() {
    std::string leaving;
    for (const char byte : device_.take_output()) {
        // The answers of a transfer are single bytes.
        const bool stands_alone = byte == 'C' || (byte > 0 && byte < ' ' && byte != '\r' && byte != '\n');
        if (answer_.empty() && stands_alone) {
            leaving += byte;
            continue;
        }
        answer_ += byte;
        // Boards that end their lines with a carriage return send nothing behind it.
        const bool ends = byte == '\n' || (byte == '\r' && controller_.board().line_end != LineEnd::crlf);
        if (!ends) continue;
        damage_answer(answer_);
        leaving += std::exchange(answer_, {});
    }
    if (!plugged_in()) return {};
    if (controller_.now() < delayed_until_) {
        held_out_ += leaving;
        return {};
    }
    return std::exchange(held_out_, {}) + leaving;
}

}  // namespace chalkline::simulator
