// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/machine/reply.hpp>

#include <array>
#include <charconv>
#include <cmath>
#include <vector>

namespace chalkline::machine {
namespace {

constexpr std::array<std::pair<ControllerState, std::string_view>, 10> states{{{ControllerState::unknown, ""},
                                                                               {ControllerState::idle, "Idle"},
                                                                               {ControllerState::run, "Run"},
                                                                               {ControllerState::hold, "Hold"},
                                                                               {ControllerState::jog, "Jog"},
                                                                               {ControllerState::alarm, "Alarm"},
                                                                               {ControllerState::door, "Door"},
                                                                               {ControllerState::check, "Check"},
                                                                               {ControllerState::home, "Home"},
                                                                               {ControllerState::sleep, "Sleep"}}};

template <class Number>
std::optional<Number> whole(std::string_view text) {
    Number value{};
    const auto [end, problem] = std::from_chars(text.data(), text.data() + text.size(), value);
    if (problem != std::errc() || end != text.data() + text.size()) return {};
    return value;
}

std::optional<double> number(std::string_view text) {
    const auto value = whole<double>(text);
    return value && std::isfinite(*value) ? value : std::nullopt;
}

std::vector<std::string_view> split(std::string_view text, char separator) {
    std::vector<std::string_view> parts;
    while (true) {
        const auto end = text.find(separator);
        parts.push_back(text.substr(0, end));
        if (end == std::string_view::npos) return parts;
        text.remove_prefix(end + 1);
    }
}

std::optional<geometry::Point> point(std::string_view text) {
    const auto parts = split(text, ',');
    if (parts.size() < 2) return {};
    const auto x = number(parts[0]), y = number(parts[1]);
    if (!x || !y) return {};
    return geometry::Point{*x, *y};
}

/// The fourth of "x,y,z,a"; 0 where there is none.
double fourth(std::string_view text) {
    const auto parts = split(text, ',');
    return parts.size() < 4 ? 0 : number(parts[3]).value_or(0);
}

std::optional<reply::Status> parse_status(std::string_view text) {
    const auto fields = split(text, '|');
    reply::Status status;
    const auto name = split(fields[0], ':');
    for (const auto& [state, word] : states)
        if (name[0] == word) status.state = state;
    if (status.state == ControllerState::unknown) return {};
    if (name.size() > 1) status.sub = whole<int>(name[1]).value_or(0);
    for (std::size_t i = 1; i < fields.size(); ++i) {
        const auto colon = fields[i].find(':');
        if (colon == std::string_view::npos) return {};
        const auto key = fields[i].substr(0, colon), value = fields[i].substr(colon + 1);
        const auto parts = split(value, ',');
        if (key == "MPos") {
            status.machine = point(value);
            if (!status.machine) return {};
            status.turned = fourth(value);
        } else if (key == "WPos") {
            status.work = point(value);
            if (!status.work) return {};
            status.turned = fourth(value);
        } else if (key == "WCO") {
            status.offset = point(value);
            status.turned_offset = fourth(value);
        } else if (key == "FS" && parts.size() == 2) {
            status.feed = number(parts[0]);
            status.power = number(parts[1]);
        } else if (key == "F") {
            status.feed = number(value);
        } else if (key == "Ov" && parts.size() == 3) {
            status.feed_override = whole<int>(parts[0]);
            status.power_override = whole<int>(parts[2]);
            status.has_accessories = true;  // "A:" follows overrides whenever something is on
        } else if (key == "Pn") {
            status.pins = value;
        } else if (key == "A") {
            status.accessories = value;
            status.has_accessories = true;
        }
    }
    return status;
}

std::optional<Reply> parse_bracketed(std::string_view text) {
    if (text.starts_with("G54:") || text.starts_with("G92:")) {
        const auto place = point(text.substr(4));
        if (!place) return {};
        return reply::Offset{std::string(text.substr(0, 3)), *place, fourth(text.substr(4))};
    }
    if (!text.starts_with("OPT:")) return {};
    const auto parts = split(text.substr(4), ',');
    if (parts.size() < 3) return {};
    const auto blocks = whole<int>(parts[1]), buffer = whole<int>(parts[2]);
    if (!blocks || !buffer) return {};
    return reply::Options{*blocks, *buffer};
}

std::optional<Reply> parse_setting(std::string_view text) {
    const auto equals = text.find('=');
    if (equals == std::string_view::npos) return {};
    const auto index = whole<int>(text.substr(0, equals));
    const auto value = number(text.substr(equals + 1));
    if (!index || !value) return {};
    return reply::Setting{*index, *value};
}

}  // namespace

std::string_view to_text(ControllerState state) {
    for (const auto& [value, word] : states)
        if (value == state) return word;
    return {};
}

Reply parse_reply(std::string_view line) {
    if (line == "ok") return reply::Ok{};
    if (line.starts_with("error:"))
        if (const auto n = whole<int>(line.substr(6))) return reply::LineError{*n};
    if (line.starts_with("ALARM:"))
        if (const auto n = whole<int>(line.substr(6))) return reply::Alarm{*n};
    if (line.starts_with("Grbl ")) return reply::Greeting{std::string(line.substr(5, line.find(' ', 5) - 5))};
    if (line.starts_with('<') && line.ends_with('>'))
        if (auto status = parse_status(line.substr(1, line.size() - 2))) return *status;
    if (line.starts_with('[') && line.ends_with(']'))
        if (auto known = parse_bracketed(line.substr(1, line.size() - 2))) return *known;
    if (line.starts_with('$'))
        if (auto setting = parse_setting(line.substr(1))) return *setting;
    return reply::Text{std::string(line)};
}

}  // namespace chalkline::machine
