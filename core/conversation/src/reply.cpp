// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/conversation/reply.hpp>

#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>
#include <utility>
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

/// A number in any of the ways builds print them, up to a blank or a description: "+1", ".5", "250.", "1e3".
std::optional<double> leading_number(std::string_view text) {
    while (text.starts_with(' '))
        text.remove_prefix(1);
    if (text.starts_with('+')) text.remove_prefix(1);
    const auto end = text.find_first_of(" \t(");
    return number(text.substr(0, end));
}

/// The number behind "error:" and the like; 0 where words are.
int number_or_words(std::string_view text) {
    const auto value = leading_number(text);
    return value && *value >= 0 && *value < 1000 ? static_cast<int>(*value) : 0;
}

/// Edit distance (Levenshtein, 1966) of two short texts.
std::size_t distance(std::string_view a, std::string_view b) {
    std::vector<std::size_t> row(b.size() + 1);
    for (std::size_t j = 0; j <= b.size(); ++j)
        row[j] = j;
    for (std::size_t i = 1; i <= a.size(); ++i) {
        std::size_t diagonal = std::exchange(row[0], i);
        for (std::size_t j = 1; j <= b.size(); ++j) {
            const std::size_t replaced = diagonal + (a[i - 1] == b[j - 1] ? 0 : 1);
            diagonal = row[j];
            row[j] = std::min({row[j] + 1, row[j - 1] + 1, replaced});
        }
    }
    return row[b.size()];
}

/// Within one wrong, missing or added sign of "ok", two of "error:NN": no message of any build is so short and so
/// alike.
bool resembles_answer(std::string_view line) {
    if (line.size() <= 4 && distance(line, "ok") <= 1) return true;
    constexpr std::string_view refusal = "error:";
    if (line.size() < 6 || line.size() > 10) return false;
    const auto behind = line.find_last_not_of("0123456789");
    return behind != std::string_view::npos && behind >= 4 && behind <= 7 &&
           distance(line.substr(0, behind + 1), refusal) <= 2;
}

/// Within one wrong, missing or added sign of "ALARM:N". Taken for one: a controller that says this has stopped.
bool resembles_alarm(std::string_view line) {
    if (line.size() < 6 || line.size() > 9) return false;
    const auto behind = line.find_last_not_of("0123456789");
    return behind != std::string_view::npos && distance(line.substr(0, behind + 1), "ALARM:") <= 1;
}

/// "Grbl 1.1h ['$' for help]", "GrblHAL 1.1f ['$' or '$HELP' for help]" and whatever else is called so, also behind
/// bytes that are none of it. The version; nothing when it is no greeting.
std::optional<std::string> greeted_version(std::string_view line) {
    const auto help = line.find(" ['$");
    const bool of_family = line.find("Grbl ") != std::string_view::npos;
    if ((help == std::string_view::npos || line.find("help", help) == std::string_view::npos) && !of_family) return {};
    if (line.starts_with('[')) return {};
    std::string_view head = line.substr(0, help);
    if (help == std::string_view::npos) head = head.substr(head.find("Grbl "));
    const auto name_end = help == std::string_view::npos ? head.find(' ') : head.rfind(' ');
    if (name_end == std::string_view::npos) return {};
    std::string_view version = head.substr(name_end + 1);
    return std::string(version.substr(0, version.find(' ')));
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
        if (colon == std::string_view::npos) continue;  // of a build with more to say
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
        } else if (key == "FS" && parts.size() >= 2) {
            status.feed = number(parts[0]);
            status.power = number(parts[1]);
        } else if (key == "F") {
            status.feed = number(value);
        } else if (key == "Ov" && parts.size() == 3) {
            status.feed_override = whole<int>(parts[0]);
            status.power_override = whole<int>(parts[2]);
            if (!status.accessories) status.accessories.emplace();
        } else if (key == "Bf" && parts.size() >= 2) {
            status.free_blocks = whole<int>(parts[0]);
            status.free_bytes = whole<int>(parts[1]);
        } else if (key == "Pn") {
            status.pins = value;
        } else if (key == "SD") {
            status.store_share = number(parts[0]);
        } else if (key == "A") {
            status.accessories = std::string(value);
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
    for (const std::string_view key : {"VER", "FIRMWARE", "AXS", "NEWOPT"})
        if (text.starts_with(key) && text.substr(key.size()).starts_with(':'))
            return reply::BuildInfo{std::string(key), std::string(text.substr(key.size() + 1))};
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
    const auto value = leading_number(text.substr(equals + 1));
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
    while (line.ends_with(' '))
        line.remove_suffix(1);
    if (line == "ok") return reply::Ok{};
    if (line.starts_with("error:")) return reply::LineError{number_or_words(line.substr(6))};
    if (line.starts_with("ALARM:")) return reply::Alarm{number_or_words(line.substr(6))};
    if (resembles_alarm(line)) return reply::Alarm{0};
    if (const auto version = greeted_version(line)) return reply::Greeting{*version};
    if (line.starts_with('<') && line.ends_with('>'))
        if (auto status = parse_status(line.substr(1, line.size() - 2))) return *status;
    if (line.starts_with('[') && line.ends_with(']'))
        if (auto known = parse_bracketed(line.substr(1, line.size() - 2))) return *known;
    if (line.starts_with('$'))
        if (auto setting = parse_setting(line.substr(1))) return *setting;
    if (resembles_answer(line)) return reply::Garbled{std::string(line)};
    return reply::Text{std::string(line)};
}

}  // namespace chalkline::machine
