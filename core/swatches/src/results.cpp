// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/swatches/card_json.hpp>
#include <chalkline/swatches/results.hpp>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <stdexcept>

namespace chalkline::swatches {
namespace {

using Json = nlohmann::ordered_json;
using steps::StepKind;

constexpr std::array<std::string_view, verdict_count> verdict_words{
    "none",   "too-light",  "keeper",      "too-dark",     "charred", "too-deep",   "rough",
    "melted", "layer-left", "not-through", "just-through", "clean",   "burned-edge"};

Json json_of_result(const CellResult& result) {
    Json json{{"row", result.place.row}, {"column", result.place.column}};
    if (result.verdict != Verdict::none) json["verdict"] = std::string(to_text(result.verdict));
    if (!result.words.empty()) json["words"] = result.words;
    if (!result.note.empty()) json["note"] = result.note;
    if (result.depth) json["depth_mm"] = *result.depth;
    if (result.measured) {
        json["darkness"] = result.measured->darkness;
        json["evenness"] = result.measured->evenness;
        json["edge_mm"] = result.measured->edge;
    }
    return json;
}

CellResult result_from(const Json& json) {
    CellResult result;
    result.place = {json.at("row"), json.at("column")};
    result.verdict = parse_verdict(json.value("verdict", "none")).value_or(Verdict::none);
    result.words = json.value("words", "");
    result.note = json.value("note", "");
    if (json.contains("depth_mm")) result.depth = json.at("depth_mm").get<double>();
    if (json.contains("darkness"))
        result.measured = Measured{json.at("darkness"), json.value("evenness", 1.0), json.value("edge_mm", 0.0)};
    return result;
}

Json json_of_burn(const CardBurn& burn) {
    Json json{{"at", burn.at}};
    if (burn.over > 0) json["over"] = burn.over;
    if (burn.seconds > 0) json["seconds"] = burn.seconds;
    if (!burn.photo.empty()) json["photo"] = burn.photo;
    for (const geometry::Point mark : burn.marks)
        json["marks_px"].push_back({mark.x, mark.y});
    json["swatches"] = Json::array();
    for (const CellResult& result : burn.results)
        json["swatches"].push_back(json_of_result(result));
    return json;
}

CardBurn burn_from(const Json& json) {
    CardBurn burn;
    burn.at = json.at("at");
    burn.over = json.value("over", 0);
    burn.seconds = json.value("seconds", 0.0);
    burn.photo = json.value("photo", "");
    for (const Json& mark : json.value("marks_px", Json::array()))
        burn.marks.push_back({mark.at(0), mark.at(1)});
    for (const Json& result : json.value("swatches", Json::array()))
        burn.results.push_back(result_from(result));
    return burn;
}

}  // namespace

std::string_view to_text(Verdict verdict) {
    return verdict_words[static_cast<std::size_t>(verdict)];
}

std::optional<Verdict> parse_verdict(std::string_view text) {
    for (std::size_t i = 0; i < verdict_words.size(); ++i)
        if (verdict_words[i] == text) return static_cast<Verdict>(i);
    return {};
}

std::vector<Verdict> verdicts_for(StepKind kind) {
    using enum Verdict;
    if (kind == StepKind::cut) return {not_through, just_through, clean, burned_edge, charred, melted};
    return {too_light, keeper, too_dark, charred, too_deep, rough, melted, layer_left};
}

const CellResult* CardBurn::at_place(CellPlace place) const {
    const auto found =
        std::find_if(results.begin(), results.end(), [&](const CellResult& result) { return result.place == place; });
    return found == results.end() ? nullptr : &*found;
}

CellResult& CardBurn::at_place_or_new(CellPlace place) {
    const auto found =
        std::find_if(results.begin(), results.end(), [&](const CellResult& result) { return result.place == place; });
    if (found != results.end()) return *found;
    results.push_back({.place = place});
    return results.back();
}

std::string to_json(const CardRecord& record) {
    Json json{{"card", json_of(record.card)}, {"burns", Json::array()}};
    for (const CardBurn& burn : record.burns)
        json["burns"].push_back(json_of_burn(burn));
    return json.dump();
}

Result<CardRecord> record_from_json(std::string_view text) {
    try {
        const Json json = Json::parse(text);
        auto card = card_from_json(json.at("card").dump());
        if (!card) return tl::unexpected(card.error());
        CardRecord record{std::move(*card), {}};
        for (const Json& burn : json.value("burns", Json::array()))
            record.burns.push_back(burn_from(burn));
        return record;
    } catch (const std::exception& problem) {
        return fail(error::bad_card, {{"what", problem.what()}});
    }
}

double dose_in(const Cell& cell, const CardBurn& burn) {
    return cell.dose * (burn.over + 1);
}

recipes::Recipe recipe_of(const Card& card, const Cell& cell, const CardBurn& burn,
                          const recipes::MachineTag& machine) {
    recipes::Recipe recipe;
    recipe.machine = machine;
    recipe.material = card.material;
    recipe.thickness = card.thickness;
    recipe.settings = cell.settings;
    recipe.settings.passes *= burn.over + 1;
    recipe.evidence.kind = recipes::Evidence::Kind::swatch;
    recipe.evidence.source = fmt::format("{}{}row {}, column {}", card.code, card.code.empty() ? "" : ", ",
                                         cell.place.row + 1, cell.place.column + 1);
    recipe.evidence.date = burn.at.substr(0, 10);
    if (const CellResult* result = burn.at_place(cell.place)) {
        recipe.note = result->note;
        if (!result->words.empty()) recipe.note = result->words + (recipe.note.empty() ? "" : "; " + recipe.note);
    }
    return recipe;
}

}  // namespace chalkline::swatches
