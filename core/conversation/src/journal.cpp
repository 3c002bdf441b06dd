// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/conversation/journal.hpp>

#include <nlohmann/json.hpp>

#include <array>

namespace chalkline::machine {
namespace {

using Json = nlohmann::ordered_json;

constexpr std::array<std::string_view, 3> ends{"finished", "stopped", "failed"};

Json json_of(ProgramPlace place) {
    return {place.operation, place.part};
}

bool read_place(const Json& json, ProgramPlace& place) {
    if (!json.is_array() || json.size() != 2 || !json[0].is_number_integer() || !json[1].is_number_integer())
        return false;
    place = {json[0], json[1]};
    return place.operation >= -1 && place.part >= 0;
}

bool read_trims(const Json& json, Trims& trims) {
    if (!json.is_array()) return false;
    for (const Json& entry : json) {
        if (!entry.is_array() || entry.size() != 3) return false;
        for (const Json& figure : entry)
            if (!figure.is_number_integer()) return false;
        trims[entry[0]] = {entry[1], entry[2]};
    }
    return true;
}

std::optional<JournalNote> read_note(const Json& json) {
    JournalNote note;
    if (!json.contains("s") || !json["s"].is_number()) return {};
    note.seconds = json["s"];
    if (!read_place(json.value("done", Json()), note.done)) return {};
    if (!read_place(json.value("begun", Json()), note.begun)) return {};
    if (!read_trims(json.value("trims", Json::array()), note.trims)) return {};
    const auto point = [&](const char* key) -> std::optional<geometry::Point> {
        const Json value = json.value(key, Json());
        if (!value.is_array() || value.size() != 2 || !value[0].is_number() || !value[1].is_number()) return {};
        return geometry::Point{value[0], value[1]};
    };
    note.head = point("head");
    note.origin = point("origin");
    note.homed = json.value("homed", Json()) == true;
    return note;
}

}  // namespace

std::string journal_line(const JournalNote& note) {
    Json json{{"s", note.seconds}, {"done", json_of(note.done)}, {"begun", json_of(note.begun)}};
    if (note.head) json["head"] = {note.head->x, note.head->y};
    if (note.origin) {
        json["origin"] = {note.origin->x, note.origin->y};
        json["homed"] = note.homed;
    }
    if (!note.trims.empty()) {
        json["trims"] = Json::array();
        for (const auto& [step, trim] : note.trims)
            json["trims"].push_back({step, trim.speed, trim.power});
    }
    return json.dump() + "\n";
}

std::string journal_line(BurnEnd end) {
    return Json{{"end", ends[static_cast<std::size_t>(end)]}}.dump() + "\n";
}

Journal read_journal(std::string_view text) {
    Journal journal;
    // Text behind the last line feed was torn.
    for (auto end = text.find('\n'); end != std::string_view::npos; end = text.find('\n')) {
        const Json json = Json::parse(text.substr(0, end), nullptr, false);
        text.remove_prefix(end + 1);
        if (!json.is_object()) continue;
        if (auto note = read_note(json)) {
            journal.last = std::move(*note);
            journal.end.reset();  // a burn that was gone on with
        }
        for (std::size_t i = 0; i < ends.size(); ++i)
            if (json.contains("end") && json["end"] == ends[i]) journal.end = static_cast<BurnEnd>(i);
    }
    return journal;
}

}  // namespace chalkline::machine
