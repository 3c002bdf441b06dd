// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/reader.hpp>
#include <chalkline/steps/settings_json.hpp>
#include <chalkline/swatches/card_json.hpp>

#include <nlohmann/json.hpp>

#include <cmath>
#include <stdexcept>

namespace chalkline::swatches {
namespace {

using Json = nlohmann::ordered_json;

constexpr std::array parts_words{"everything", "labels", "swatches"};

Json json_of_axis(const Axis& axis) {
    Json json{{"what", std::string(to_text(axis.what))}};
    if (axis.what == Variable::dither) {
        json["methods"] = Json::array();
        for (const auto method : axis.methods)
            json["methods"].push_back(std::string(raster::to_text(method)));
        return json;
    }
    json["first"] = axis.first;
    json["last"] = axis.last;
    json["count"] = axis.count;
    if (axis.geometric) json["spacing"] = "geometric";
    return json;
}

[[noreturn]] void refuse(const std::string& what) {
    throw std::invalid_argument(what);
}

double finite(const Json& value, const char* what) {
    const double number = value.get<double>();
    if (!std::isfinite(number) || std::abs(number) > 1e6) refuse(what);
    return number;
}

Axis axis_from(const Json& json) {
    Axis axis;
    const auto what = parse_variable(json.at("what").get<std::string>());
    if (!what) refuse("what " + json.at("what").dump());
    axis.what = *what;
    if (axis.what == Variable::dither) {
        for (const Json& word : json.at("methods")) {
            const auto method = raster::parse_dither(word.get<std::string>());
            if (!method) refuse("methods " + word.dump());
            axis.methods.push_back(*method);
        }
        if (axis.methods.empty() || axis.methods.size() > most_values) refuse("methods");
        axis.count = static_cast<int>(axis.methods.size());
        return axis;
    }
    axis.first = finite(json.at("first"), "first");
    axis.geometric = json.value("spacing", "linear") == "geometric";
    if (json.contains("step")) {
        const double step = finite(json.at("step"), "step"), last = finite(json.at("last"), "last");
        if (!(step > 0)) refuse("step");
        const double values = std::floor((last - axis.first) / step + 1e-9) + 1;
        if (!(values >= 1 && values <= most_values)) refuse("step");
        axis.count = static_cast<int>(values);
        axis.last = axis.first + step * (axis.count - 1);
    } else {
        axis.last = finite(json.value("last", Json(axis.first)), "last");
        axis.count = json.value("count", 1);
    }
    if (axis.count < 1 || axis.count > most_values) refuse("count");
    if (axis.geometric && !(axis.first > 0 && axis.last > 0)) refuse("spacing");
    return axis;
}

steps::StepSettings settings_from(const Json& json) {
    // Only what matters needs to be said: everything else is as a step of its kind begins.
    const auto kind = steps::parse_kind(json.value("kind", "engrave"));
    if (!kind) refuse("kind " + json.at("kind").dump());
    Json whole = steps::to_json(steps::starting_point(*kind));
    whole.merge_patch(json);
    const auto settings = steps::settings_from_json(whole);
    if (!settings) refuse(settings.error().parameters.empty() ? "settings" : settings.error().parameters[0].second);
    return *settings;
}

void read_size(const Json& json, const char* key, double& size, double least) {
    if (!json.contains(key)) return;
    size = finite(json.at(key), key);
    if (!(size >= least && size <= 1000)) refuse(key);
}

CardText text_from(const Json& json) {
    CardText text;
    text.title = json.value("title", true);
    text.labels = json.value("labels", true);
    text.marks = json.value("marks", true);
    read_size(json, "height_mm", text.height, 0.5);
    text.power = Power::percent(json.value("power", text.power.percent()));
    text.speed = Speed::mm_per_min(json.value("speed", text.speed.mm_per_min()));
    if (!(text.power >= Power::percent(0) && text.power <= Power::percent(100))) refuse("power");
    if (!(text.speed.mm_per_min() >= 1 && text.speed.mm_per_min() <= 1e6)) refuse("speed");
    return text;
}

std::shared_ptr<const art::Artwork> motif_from(const Json& json) {
    auto art = art::read(std::make_shared<const std::string>(json.get<std::string>()), "motif.svg");
    if (!art || art->page.x <= 0 || art->page.y <= 0) refuse("motif_svg");
    return std::make_shared<const art::Artwork>(std::move(*art));
}

Card read_card(const Json& json) {
    Card card;
    card.name = json.value("name", "");
    card.title = json.value("title", "");
    card.code = json.value("code", "");
    card.material = json.value("material", "");
    card.thickness = Length::mm(finite(json.value("thickness_mm", Json(card.thickness.mm())), "thickness_mm"));
    card.machine = json.value("machine", "");
    card.date = json.value("date", "");
    card.note = json.value("note", "");
    card.settings = settings_from(json.value("settings", Json::object()));
    card.shape = shapes_for(card.settings.kind).front();
    if (json.contains("shape")) {
        const auto shape = parse_shape(json.at("shape").get<std::string>());
        if (!shape) refuse("shape " + json.at("shape").dump());
        card.shape = *shape;
    }
    read_size(json, "width_mm", card.width, 1);
    read_size(json, "height_mm", card.height, 1);
    read_size(json, "gap_mm", card.gap, 0);
    card.columns = axis_from(json.at("columns"));
    if (json.contains("rows")) card.rows = axis_from(json.at("rows"));
    for (const Json& place : json.value("left_out", Json::array()))
        card.left_out.push_back({place.at(0), place.at(1)});
    if (json.contains("most_dose")) card.most_dose = finite(json.at("most_dose"), "most_dose");
    card.text = text_from(json.value("text", Json::object()));
    if (json.contains("motif_svg")) card.motif = motif_from(json.at("motif_svg"));
    const std::string parts = json.value("parts", parts_words[0]);
    for (std::size_t i = 0; i < parts_words.size(); ++i)
        if (parts == parts_words[i]) card.parts = static_cast<CardParts>(i);
    return card;
}

}  // namespace

Json json_of(const Card& card) {
    Json json{{"format", "chalkline-card"}, {"version", 1}};
    for (const auto& [key, text] : {std::pair{"name", &card.name}, std::pair{"title", &card.title},
                                    std::pair{"code", &card.code}, std::pair{"material", &card.material}})
        if (!text->empty()) json[key] = *text;
    json["thickness_mm"] = card.thickness.mm();
    for (const auto& [key, text] :
         {std::pair{"machine", &card.machine}, std::pair{"date", &card.date}, std::pair{"note", &card.note}})
        if (!text->empty()) json[key] = *text;
    json["shape"] = std::string(to_text(card.shape));
    json["width_mm"] = card.width;
    json["height_mm"] = card.height;
    json["gap_mm"] = card.gap;
    json["columns"] = json_of_axis(card.columns);
    if (card.rows) json["rows"] = json_of_axis(*card.rows);
    json["settings"] = steps::to_json(card.settings);
    for (const CellPlace& place : card.left_out)
        json["left_out"].push_back({place.row, place.column});
    if (card.most_dose) json["most_dose"] = *card.most_dose;
    json["text"] = {{"title", card.text.title},           {"labels", card.text.labels},
                    {"marks", card.text.marks},           {"height_mm", card.text.height},
                    {"power", card.text.power.percent()}, {"speed", card.text.speed.mm_per_min()}};
    if (card.motif && card.motif->source) json["motif_svg"] = *card.motif->source;
    if (card.parts != CardParts::everything) json["parts"] = parts_words[static_cast<std::size_t>(card.parts)];
    return json;
}

std::string to_json(const Card& card) {
    return json_of(card).dump();
}

Result<Card> card_from_json(std::string_view text) {
    try {
        return read_card(Json::parse(text));
    } catch (const std::exception& problem) {
        return fail(error::bad_card, {{"what", problem.what()}});
    }
}

Result<Card> card_of(const job::Job& job) {
    if (job.card.empty()) return fail(error::no_card);
    return card_from_json(job.card);
}

}  // namespace chalkline::swatches
