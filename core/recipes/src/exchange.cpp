// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/units_text.hpp>
#include <chalkline/recipes/exchange.hpp>
#include <chalkline/recipes/materials.hpp>
#include <chalkline/steps/settings_json.hpp>

#include <nlohmann/json.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <functional>
#include <map>

namespace chalkline::recipes {
namespace {

using Json = nlohmann::ordered_json;

constexpr std::size_t longest_text = 2000;
constexpr double thickest = 1000;  // mm

tl::unexpected<Error> unreadable_because(const std::string& reason, const std::string& file = {}, int line = 0) {
    return fail(error::unreadable, {{"reason", reason}}, file, line);
}

// ---------------------------------------------------------------- JSON

Json json_of(const MachineTag& machine) {
    Json measured = Json::array();
    for (const auto& point : machine.beam.measured)
        measured.push_back({point.power.percent(), point.watts});
    Json json{{"name", machine.name},
              {"beam", std::string(steps::to_text(machine.beam.kind))},
              {"watts", machine.beam.watts},
              {"comfortable_power", machine.beam.comfortable.percent()}};
    if (!measured.empty()) json["measured_power"] = measured;
    return json;
}

MachineTag machine_from(const Json& json) {
    MachineTag machine;
    machine.name = json.at("name");
    machine.beam.kind = steps::parse_beam_kind(json.value("beam", "diode")).value_or(steps::BeamKind::other);
    machine.beam.watts = json.at("watts");
    machine.beam.comfortable = Power::percent(json.value("comfortable_power", 100.0));
    for (const Json& point : json.value("measured_power", Json::array()))
        machine.beam.measured.push_back({Power::percent(point.at(0)), point.at(1)});
    if (!(machine.beam.watts > 0) || !std::isfinite(machine.beam.watts)) throw std::invalid_argument("watts");
    return machine;
}

Json json_of(const Evidence& evidence) {
    Json json{{"kind", std::string(to_text(evidence.kind))}};
    if (!evidence.source.empty()) json["source"] = evidence.source;
    if (!evidence.date.empty()) json["date"] = evidence.date;
    if (evidence.watts > 0) json["watts"] = evidence.watts;
    if (evidence.burns > 0) json["burns"] = evidence.burns;
    if (!evidence.preparation.empty()) json["preparation"] = evidence.preparation;
    return json;
}

Evidence::Kind evidence_kind(const std::string& word) {
    for (int i = 0; i <= static_cast<int>(Evidence::Kind::swatch); ++i)
        if (to_text(static_cast<Evidence::Kind>(i)) == word) return static_cast<Evidence::Kind>(i);
    throw std::invalid_argument("evidence " + word);
}

Evidence evidence_from(const Json& json) {
    Evidence evidence;
    evidence.kind = evidence_kind(json.value("kind", "none"));
    evidence.source = json.value("source", "");
    evidence.date = json.value("date", "");
    evidence.watts = json.value("watts", 0.0);
    evidence.burns = json.value("burns", 0);
    evidence.preparation = json.value("preparation", "");
    return evidence;
}

Json json_of(const Recipe& recipe) {
    Json json{{"material", recipe.material},
              {"thickness_mm", recipe.thickness.mm()},
              {"machine", json_of(recipe.machine)},
              {"settings", steps::to_json(recipe.settings)},
              {"evidence", json_of(recipe.evidence)}};
    if (!recipe.note.empty()) json["note"] = recipe.note;
    if (!recipe.tags.empty()) json["tags"] = recipe.tags;
    if (!recipe.photo.empty()) json["photo"] = recipe.photo;
    return json;
}

Result<Recipe> checked(Recipe recipe) {
    if (recipe.material.empty()) return unreadable_because("material");
    if (!(recipe.thickness >= Length() && recipe.thickness <= Length::mm(thickest)))
        return unreadable_because("thickness");
    if (recipe.material.size() > longest_text || recipe.note.size() > longest_text) return unreadable_because("length");
    return recipe;
}

Result<Recipe> recipe_from(const Json& json) {
    try {
        Recipe recipe;
        recipe.material = json.at("material");
        recipe.thickness = Length::mm(json.at("thickness_mm"));
        recipe.machine = machine_from(json.at("machine"));
        auto settings = steps::settings_from_json(json.at("settings"));
        if (!settings) return tl::unexpected(settings.error());
        recipe.settings = *settings;
        recipe.evidence = evidence_from(json.value("evidence", Json::object()));
        recipe.note = json.value("note", "");
        recipe.tags = json.value("tags", std::vector<std::string>());
        recipe.photo = json.value("photo", "");
        return checked(std::move(recipe));
    } catch (const std::exception& problem) {
        return unreadable_because(problem.what());
    }
}

Result<Imported> import_json(std::string_view bytes, const std::string& name) {
    const Json json = Json::parse(bytes, nullptr, false);
    if (!json.is_object() || json.value("format", Json()) != "chalkline-recipes" || !json.contains("recipes"))
        return unreadable_because("format", name);
    Imported imported;
    for (const Json& one : json["recipes"]) {
        auto recipe = recipe_from(one);
        if (recipe) {
            imported.recipes.push_back(std::move(*recipe));
        } else {
            imported.refused.push_back(recipe.error());
            imported.refused.back().file = name;
        }
    }
    return imported;
}

// ---------------------------------------------------------------- CSV

constexpr std::array columns{"material", "thickness_mm", "machine",     "watts", "kind",
                             "power",    "speed_mm_min", "passes",      "air",   "line_pitch_mm",
                             "evidence", "source",       "date",        "burns", "preparation",
                             "tags",     "note",         "all_settings"};

std::string quoted(const std::string& text) {
    // A cell that begins like a formula would be worked out by spreadsheets.
    const bool formula = !text.empty() && std::string_view("=+@").find(text[0]) != std::string_view::npos;
    if (text.find_first_of(",;\"\r\n") == std::string::npos && !formula) return text;
    std::string cell = formula ? "\"'" : "\"";
    for (const char c : text) {
        if (c == '"') cell += '"';
        cell += c;
    }
    return cell + '"';
}

std::string joined(const std::vector<std::string>& words) {
    std::string all;
    for (const std::string& word : words)
        all += (all.empty() ? "" : " ") + word;
    return all;
}

std::vector<std::string> split_words(const std::string& text) {
    std::vector<std::string> words(1);
    for (const char c : text) {
        if (c != ' ')
            words.back() += c;
        else if (!words.back().empty())
            words.emplace_back();
    }
    if (words.back().empty()) words.pop_back();
    return words;
}

/// A row of cells and the line of the file where it began.
struct Row {
    std::vector<std::string> cells;
    int line = 1;
};

/// RFC 4180, with the separator that the first line uses most.
std::vector<Row> rows_of(std::string_view text) {
    if (text.starts_with("\xef\xbb\xbf")) text.remove_prefix(3);
    const auto first = text.substr(0, text.find('\n'));
    const char separator =
        std::count(first.begin(), first.end(), ';') > std::count(first.begin(), first.end(), ',') ? ';' : ',';
    std::vector<Row> rows{{{""}, 1}};
    bool in_quotes = false;
    int line = 1;
    for (std::size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        std::string& cell = rows.back().cells.back();
        if (c == '\n') ++line;
        if (in_quotes) {
            const bool doubled = c == '"' && i + 1 < text.size() && text[i + 1] == '"';
            if (c == '"' && !doubled)
                in_quotes = false;
            else
                cell += c;
            i += doubled ? 1 : 0;
        } else if (c == '"' && cell.empty()) {
            in_quotes = true;
        } else if (c == separator) {
            rows.back().cells.emplace_back();
        } else if (c == '\n') {
            rows.push_back({{""}, line});
        } else if (c != '\r') {
            cell += c;
        }
    }
    std::erase_if(rows, [](const Row& row) { return row.cells.size() == 1 && row.cells[0].empty(); });
    return rows;
}

/// One row by the names of its columns.
class NamedCells {
 public:
    NamedCells(const Row& heading, const Row& row) {
        for (std::size_t i = 0; i < std::min(heading.cells.size(), row.cells.size()); ++i)
            cells_[heading.cells[i]] = row.cells[i];
    }
    std::string text(const char* name) const {
        const auto found = cells_.find(name);
        if (found == cells_.end()) return {};
        const std::string& cell = found->second;
        const bool guarded =
            cell.size() > 1 && cell[0] == '\'' && std::string_view("=+@").find(cell[1]) != std::string_view::npos;
        return guarded ? cell.substr(1) : cell;
    }
    /// Calls `take` with the number in the column; false when there is a text that is none.
    bool number(const char* name, const std::function<void(double)>& take) const {
        std::string cell = text(name);
        if (cell.empty()) return true;
        std::replace(cell.begin(), cell.end(), ',', '.');
        std::size_t used = 0;
        try {
            const double value = std::stod(cell, &used);
            if (!std::isfinite(value)) return false;
            take(value);
        } catch (const std::exception&) {
            return false;
        }
        return cell.find_first_not_of(" %", used) == std::string::npos;
    }

 private:
    std::map<std::string, std::string> cells_;
};

Result<Recipe> recipe_from(const NamedCells& cells, const Recipe& otherwise) {
    Recipe recipe = otherwise;
    recipe.material = cells.text("material");
    if (const auto all = cells.text("all_settings"); !all.empty()) {
        const Json json = Json::parse(all, nullptr, false);
        const auto settings = steps::settings_from_json(json);
        if (!settings) return tl::unexpected(settings.error());
        recipe.settings = *settings;
    }
    const auto kind = steps::parse_kind(cells.text("kind"));
    if (!kind) return unreadable_because("kind");
    auto& s = recipe.settings;
    s.kind = *kind;
    const std::array<std::pair<const char*, std::function<void(double)>>, 7> numbers{
        {{"thickness_mm", [&](double v) { recipe.thickness = Length::mm(v); }},
         {"power", [&](double v) { s.power = Power::percent(v); }},
         {"speed_mm_min", [&](double v) { s.speed = Speed::mm_per_min(v); }},
         {"passes", [&](double v) { s.passes = static_cast<int>(std::clamp(v, 0.0, 1000.0)); }},
         {"line_pitch_mm", [&](double v) { s.line_pitch = Length::mm(v); }},
         {"watts", [&](double v) { recipe.machine.beam.watts = v; }},
         {"burns", [&](double v) { recipe.evidence.burns = static_cast<int>(std::clamp(v, 0.0, 1e6)); }}}};
    for (const auto& [name, take] : numbers)
        if (!cells.number(name, take)) return unreadable_because(name);
    for (const char* needed : {"power", "speed_mm_min"})
        if (cells.text(needed).empty()) return unreadable_because(needed);
    if (!(recipe.machine.beam.watts > 0)) return unreadable_because("watts");
    if (const std::string air = cells.text("air"); !air.empty()) s.air = air == "on" || air == "yes" || air == "1";
    if (const std::string machine = cells.text("machine"); !machine.empty()) recipe.machine.name = machine;
    const std::string evidence = cells.text("evidence");
    try {
        recipe.evidence.kind = evidence.empty() ? Evidence::Kind::none : evidence_kind(evidence);
    } catch (const std::exception&) {
        return unreadable_because("evidence");
    }
    recipe.evidence.source = cells.text("source");
    recipe.evidence.date = cells.text("date");
    recipe.evidence.preparation = cells.text("preparation");
    recipe.tags = split_words(cells.text("tags"));
    recipe.note = cells.text("note");
    constexpr Speed any_machine = Speed::mm_per_min(1e7);
    if (const auto valid = steps::validate(s, any_machine); !valid) return tl::unexpected(valid.error());
    return checked(std::move(recipe));
}

Result<Imported> import_csv(std::string_view bytes, const Recipe& otherwise, const std::string& name) {
    const auto rows = rows_of(bytes);
    if (rows.empty()) return unreadable_because("format", name);
    for (const char* needed : {"material", "kind", "power", "speed_mm_min"}) {
        const auto& heading = rows[0].cells;
        if (std::find(heading.begin(), heading.end(), needed) == heading.end())
            return unreadable_because(needed, name, 1);
    }
    Imported imported;
    for (std::size_t i = 1; i < rows.size(); ++i) {
        auto recipe = recipe_from(NamedCells(rows[0], rows[i]), otherwise);
        if (recipe) {
            imported.recipes.push_back(std::move(*recipe));
        } else {
            imported.refused.push_back(recipe.error());
            imported.refused.back().file = name;
            imported.refused.back().line = rows[i].line;
        }
    }
    return imported;
}

}  // namespace

std::string to_json(const Recipe& recipe) {
    return json_of(recipe).dump(-1, ' ', false, Json::error_handler_t::replace);
}

Result<Recipe> recipe_from_json(std::string_view text) {
    return recipe_from(Json::parse(text, nullptr, false));
}

std::string to_json_file(const std::vector<Recipe>& recipes) {
    Json list = Json::array();
    for (const Recipe& recipe : recipes)
        list.push_back(json_of(recipe));
    const Json json{{"format", "chalkline-recipes"}, {"version", 1}, {"recipes", list}};
    return json.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

std::string to_csv(const std::vector<Recipe>& recipes) {
    std::string text;
    for (const char* column : columns)
        text += std::string(text.empty() ? "" : ",") + column;
    text += "\r\n";
    for (const Recipe& r : recipes) {
        const auto& s = r.settings;
        const std::array cells{r.material,
                               format_number(r.thickness.mm(), 4),
                               r.machine.name,
                               format_number(r.machine.beam.watts, 4),
                               std::string(steps::to_text(s.kind)),
                               format_number(s.power.percent(), 4),
                               format_number(s.speed.mm_per_min(), 4),
                               std::to_string(s.passes),
                               std::string(s.air ? "on" : "off"),
                               format_number(s.line_pitch.mm(), 4),
                               std::string(to_text(r.evidence.kind)),
                               r.evidence.source,
                               r.evidence.date,
                               std::to_string(r.evidence.burns),
                               r.evidence.preparation,
                               joined(r.tags),
                               r.note,
                               steps::to_json(s).dump()};
        static_assert(cells.size() == columns.size());
        for (std::size_t i = 0; i < cells.size(); ++i)
            text += (i > 0 ? "," : "") + quoted(cells[i]);
        text += "\r\n";
    }
    return text;
}

Result<Imported> import(std::string_view bytes, const Recipe& otherwise, const std::string& name) {
    const auto first = bytes.find_first_not_of(" \t\r\n");
    auto imported = first != std::string_view::npos && bytes[first] == '{' ? import_json(bytes, name)
                                                                           : import_csv(bytes, otherwise, name);
    if (imported && imported->recipes.empty() && !imported->refused.empty())
        return tl::unexpected(imported->refused.front());
    return imported;
}

std::vector<Recipe> new_ones(const std::vector<Recipe>& found, const std::vector<Recipe>& have) {
    const auto same = [](const Recipe& a, const Recipe& b) {
        return a.machine.name == b.machine.name && same_material(a.material, b.material) &&
               a.thickness == b.thickness && a.settings == b.settings;
    };
    std::vector<Recipe> fresh;
    for (const Recipe& recipe : found) {
        const auto known = [&](const Recipe& other) { return same(recipe, other); };
        if (std::none_of(have.begin(), have.end(), known) && std::none_of(fresh.begin(), fresh.end(), known))
            fresh.push_back(recipe);
    }
    return fresh;
}

}  // namespace chalkline::recipes
