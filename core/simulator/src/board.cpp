// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/simulator/board.hpp>

#include <nlohmann/json.hpp>

#include <array>
#include <utility>

namespace chalkline::simulator {
namespace {

using Json = nlohmann::ordered_json;

template <class Value, std::size_t Count>
using Names = std::array<std::pair<Value, std::string_view>, Count>;

constexpr Names<BeamReport, 4> beam_reports{{{BeamReport::lit, "lit"},
                                             {BeamReport::enabled, "enabled"},
                                             {BeamReport::mode, "mode"},
                                             {BeamReport::never, "never"}}};
constexpr Names<LineEnd, 4> line_ends{
    {{LineEnd::crlf, "crlf"}, {LineEnd::lf, "lf"}, {LineEnd::cr, "cr"}, {LineEnd::mixed, "mixed"}}};
constexpr Names<SettingStyle, 4> setting_styles{{{SettingStyle::plain, "plain"},
                                                 {SettingStyle::described, "described"},
                                                 {SettingStyle::decimal, "decimal"},
                                                 {SettingStyle::terse, "terse"}}};
constexpr Names<StoreWords, 3> store_words{
    {{StoreWords::none, "none"}, {StoreWords::path, "path"}, {StoreWords::brief, "brief"}}};
constexpr Names<machine::Dialect, 2> dialects{
    {{machine::Dialect::realtime, "realtime"}, {machine::Dialect::line_by_line, "line-by-line"}}};

/// Takes the keys of an object one by one and remembers the first that is wrong, or that nobody asked for.
class Keys {
 public:
    explicit Keys(const Json& json) : json_(json) {}

    void text(const char* key, std::string& target) {
        take(key, [&](const Json& value) {
            if (value.is_string()) target = value;
            return value.is_string();
        });
    }
    void flag(const char* key, bool& target) {
        take(key, [&](const Json& value) {
            if (value.is_boolean()) target = value;
            return value.is_boolean();
        });
    }
    template <class Number>
    void number(const char* key, Number& target, double least, double most) {
        take(key, [&](const Json& value) {
            if (!value.is_number() || value.get<double>() < least || value.get<double>() > most) return false;
            target = static_cast<Number>(value.get<double>());
            return true;
        });
    }
    void number(const char* key, std::optional<int>& target, double least, double most) {
        int value = 0;
        bool given = false;
        take(key, [&](const Json& json) {
            given = json.is_number_integer() && json.get<double>() >= least && json.get<double>() <= most;
            if (given) value = json;
            return given;
        });
        if (given) target = value;
    }
    void lines(const char* key, std::vector<std::string>& target) {
        take(key, [&](const Json& value) {
            if (!value.is_array()) return false;
            target.clear();
            for (const Json& line : value) {
                if (!line.is_string()) return false;
                target.push_back(line);
            }
            return true;
        });
    }
    template <class Value, std::size_t Count>
    void choice(const char* key, Value& target, const Names<Value, Count>& names) {
        take(key, [&](const Json& value) {
            for (const auto& [one, name] : names)
                if (value == name) {
                    target = one;
                    return true;
                }
            return false;
        });
    }
    void settings(const char* key, std::map<int, double>& target) {
        take(key, [&](const Json& value) {
            if (!value.is_object()) return false;
            for (const auto& [number, figure] : value.items()) {
                if (!figure.is_number() || number.empty() ||
                    number.find_first_not_of("0123456789") != std::string::npos || number.size() > 4)
                    return false;
                target[std::stoi(number)] = figure;
            }
            return true;
        });
    }
    void texts(const char* key, Store::Files& target) {
        take(key, [&](const Json& value) {
            if (!value.is_object()) return false;
            for (const auto& [name, text] : value.items()) {
                if (!text.is_string()) return false;
                target[name] = text;
            }
            return true;
        });
    }
    template <class Read>
    void take(const char* key, Read read) {
        const auto found = json_.find(key);
        if (found == json_.end()) return;
        ++found_;
        if (!read(*found) && wrong_.empty()) wrong_ = key;
    }
    /// The key that is wrong; empty: none.
    std::string wrong() const {
        if (!wrong_.empty() || found_ == json_.size()) return wrong_;
        return "unknown key";
    }

 private:
    const Json& json_;
    std::size_t found_ = 0;
    std::string wrong_;
};

template <class Value, std::size_t Count>
std::string_view name_of(Value value, const Names<Value, Count>& names) {
    for (const auto& [one, name] : names)
        if (one == value) return name;
    return {};
}

std::string read_line_habits(const Json& json, LineHabits& line) {
    if (!json.is_object()) return "line";
    Keys keys(json);
    keys.text("ok", line.ok);
    keys.flag("numbers", line.numbers);
    keys.flag("inline_power", line.inline_power);
    keys.flag("keeps_busy", line.keeps_busy);
    keys.text("firmware", line.firmware);
    keys.lines("capabilities", line.capabilities);
    return keys.wrong();
}

}  // namespace

Result<Board> parse_board(std::string_view text, const std::string& file) {
    const auto json = Json::parse(text, nullptr, false);
    if (!json.is_object() || json.value("format", "") != "chalkline-board")
        return fail(error::bad_board, {{"key", "format"}}, file);
    Board board;
    Keys keys(json);
    std::string format;
    int version = 1;
    keys.text("format", format);
    keys.number("version", version, 1, 1);
    keys.text("name", board.name);
    keys.text("about", board.about);
    keys.choice("dialect", board.dialect, dialects);
    keys.text("greeting", board.greeting);
    keys.lines("boot_log", board.boot_log);
    keys.number("boot_noise", board.boot_noise, 0, 4096);
    keys.number("boot_s", board.boot_s, 0, 30);
    keys.flag("restarts_on_open", board.restarts_on_open);
    keys.lines("startup_lines", board.startup_lines);
    keys.choice("line_end", board.line_end, line_ends);
    keys.choice("beam_report", board.beam_report, beam_reports);
    keys.number("axes", board.axes, 3, 6);
    keys.flag("three_figures", board.three_figures);
    keys.lines("report_extras", board.report_extras);
    keys.choice("setting_style", board.setting_style, setting_styles);
    keys.lines("build_info", board.build_info);
    keys.settings("settings", board.settings);
    keys.lines("chatter", board.chatter);
    keys.number("chatter_every", board.chatter_every, 0.01, 3600);
    keys.flag("origin_forced", board.origin_forced);
    keys.number("planner_blocks", board.planner_blocks, 2, 4096);
    keys.number("receive_buffer", board.receive_buffer, 64, 65536);
    keys.choice("store", board.store, store_words);
    keys.texts("files", board.files);
    std::string wrong_in_line;
    keys.take("line", [&](const Json& value) {
        wrong_in_line = read_line_habits(value, board.line);
        return wrong_in_line.empty();
    });
    if (!wrong_in_line.empty()) return fail(error::bad_board, {{"key", "line: " + wrong_in_line}}, file);
    if (const std::string wrong = keys.wrong(); !wrong.empty()) return fail(error::bad_board, {{"key", wrong}}, file);
    return board;
}

std::string to_json(const Board& board) {
    Json json{{"format", "chalkline-board"},
              {"version", 1},
              {"name", board.name},
              {"about", board.about},
              {"dialect", name_of(board.dialect, dialects)},
              {"greeting", board.greeting},
              {"boot_log", board.boot_log},
              {"boot_noise", board.boot_noise},
              {"boot_s", board.boot_s},
              {"restarts_on_open", board.restarts_on_open},
              {"startup_lines", board.startup_lines},
              {"line_end", name_of(board.line_end, line_ends)},
              {"beam_report", name_of(board.beam_report, beam_reports)},
              {"axes", board.axes},
              {"three_figures", board.three_figures},
              {"report_extras", board.report_extras},
              {"setting_style", name_of(board.setting_style, setting_styles)},
              {"build_info", board.build_info},
              {"chatter", board.chatter},
              {"chatter_every", board.chatter_every},
              {"origin_forced", board.origin_forced}};
    for (const auto& [number, value] : board.settings)
        json["settings"][std::to_string(number)] = value;
    if (board.planner_blocks) json["planner_blocks"] = *board.planner_blocks;
    if (board.receive_buffer) json["receive_buffer"] = *board.receive_buffer;
    if (board.store != StoreWords::none) json["store"] = name_of(board.store, store_words);
    if (!board.files.empty()) json["files"] = board.files;
    if (board.dialect == machine::Dialect::line_by_line)
        json["line"] = {{"ok", board.line.ok},
                        {"numbers", board.line.numbers},
                        {"inline_power", board.line.inline_power},
                        {"keeps_busy", board.line.keeps_busy},
                        {"firmware", board.line.firmware},
                        {"capabilities", board.line.capabilities}};
    return json.dump(2) + "\n";
}

machine::MachineProfile driven_by(const Board& board, machine::MachineProfile profile) {
    profile.dialect = board.dialect;
    profile.power_in_moves = board.line.inline_power;
    if (board.planner_blocks) profile.planner_blocks = *board.planner_blocks;
    if (board.receive_buffer) profile.receive_buffer = *board.receive_buffer;
    return profile;
}

}  // namespace chalkline::simulator
