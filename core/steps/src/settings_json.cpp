// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/base/units_text.hpp>
#include <chalkline/steps/settings_json.hpp>

#include <nlohmann/json.hpp>

#include <algorithm>
#include <array>
#include <stdexcept>

namespace chalkline::steps {
namespace {

using Json = nlohmann::ordered_json;

/// A choice and its word in the file.
template <class Choice>
using Words = std::initializer_list<std::pair<Choice, const char*>>;

const Words<FillSettings::Way> ways{{FillSettings::Way::scan_lines, "scan_lines"},
                                    {FillSettings::Way::contours, "contours"}};
const Words<FillSettings::Tones> tone_words{
    {FillSettings::Tones::flat, "flat"}, {FillSettings::Tones::power, "power"}, {FillSettings::Tones::dots, "dots"}};
const Words<FillSettings::First> firsts{{FillSettings::First::bottom, "bottom"},
                                        {FillSettings::First::top, "top"},
                                        {FillSettings::First::left, "left"},
                                        {FillSettings::First::right, "right"}};
const Words<LineSettings::Kerf> kerfs{{LineSettings::Kerf::none, "none"},
                                      {LineSettings::Kerf::outside, "outside"},
                                      {LineSettings::Kerf::inside, "inside"}};
const Words<LineSettings::Order> orders{{LineSettings::Order::shortest, "shortest"},
                                        {LineSettings::Order::as_drawn, "as_drawn"}};
const Words<LineSettings::Parts> parts{{LineSettings::Parts::any, "any"},
                                       {LineSettings::Parts::one_by_one, "one_by_one"},
                                       {LineSettings::Parts::holes_first, "holes_first"}};
const Words<BeamControl> beams{{BeamControl::following, "following"}, {BeamControl::constant, "constant"}};

using Form = raster::DitherSettings::Form;
const Words<Form> forms{{Form::round, "round"}, {Form::diamond, "diamond"}, {Form::line, "line"}};

template <class Choice>
std::string word_of(Choice choice, const Words<Choice>& words) {
    for (const auto& [candidate, word] : words)
        if (candidate == choice) return word;
    return {};
}

template <class Choice>
void read(const Json& json, const char* key, Choice& choice, const Words<Choice>& words) {
    const auto found = json.find(key);
    if (found == json.end()) return;
    for (const auto& [candidate, word] : words)
        if (*found == word) {
            choice = candidate;
            return;
        }
    throw std::invalid_argument(key);
}

void read(const Json& json, const char* key, Length& length) {
    if (const auto found = json.find(key); found != json.end()) length = Length::mm(*found);
}

/// Every setting of a fill, at rest or not; null where none is set.
Json all_of(const FillSettings& fill) {
    return {{"way", word_of(fill.way, ways)},
            {"angle_deg", fill.angle},
            {"crossed", fill.crossed},
            {"both_ways", fill.both_ways},
            {"first", word_of(fill.first, firsts)},
            {"run_up_mm", fill.run_up ? Json(fill.run_up->mm()) : Json()},
            {"tones", word_of(fill.tones, tone_words)},
            {"outline_after", fill.outline_after},
            {"shift_mm", fill.shift.mm()}};
}

FillSettings fill_from(const Json& json) {
    FillSettings fill;
    read(json, "way", fill.way, ways);
    fill.angle = json.value("angle_deg", 0.0);
    fill.crossed = json.value("crossed", false);
    fill.both_ways = json.value("both_ways", true);
    read(json, "first", fill.first, firsts);
    if (json.contains("run_up_mm")) fill.run_up = Length::mm(json.at("run_up_mm"));
    read(json, "tones", fill.tones, tone_words);
    fill.outline_after = json.value("outline_after", false);
    read(json, "shift_mm", fill.shift);
    return fill;
}

Json all_of(const LineSettings& line) {
    return {{"kerf_side", word_of(line.kerf_side, kerfs)},
            {"kerf_mm", line.kerf.mm()},
            {"lead_in_mm", line.lead_in.mm()},
            {"overcut_mm", line.overcut.mm()},
            {"bridges", line.bridges},
            {"bridge_width_mm", line.bridge_width.mm()},
            {"perforation_burn_mm", line.perforation_burn.mm()},
            {"perforation_gap_mm", line.perforation_gap.mm()},
            {"order", word_of(line.order, orders)},
            {"parts", word_of(line.parts, parts)}};
}

LineSettings line_from(const Json& json) {
    LineSettings line;
    read(json, "kerf_side", line.kerf_side, kerfs);
    read(json, "kerf_mm", line.kerf);
    read(json, "lead_in_mm", line.lead_in);
    read(json, "overcut_mm", line.overcut);
    line.bridges = json.value("bridges", 0);
    read(json, "bridge_width_mm", line.bridge_width);
    read(json, "perforation_burn_mm", line.perforation_burn);
    read(json, "perforation_gap_mm", line.perforation_gap);
    read(json, "order", line.order, orders);
    read(json, "parts", line.parts, parts);
    return line;
}

Json all_of(const PictureSettings& picture) {
    Json response = Json::array();
    for (const auto& point : picture.response)
        response.push_back({point.in, point.out});
    const auto& dots = picture.dots;
    return {{"method", std::string(raster::to_text(dots.method))},
            {"serpentine", dots.serpentine},
            {"noise", dots.noise},
            {"seed", dots.seed},
            {"cell_dots", dots.cell},
            {"screen_angle_deg", dots.screen_angle},
            {"form", word_of(dots.form, forms)},
            {"bare_between_dots", dots.bare_between},
            {"lone_dots", dots.lone},
            {"dot_pitch_mm", picture.dot_pitch.mm()},
            {"spare_gain", picture.spare_gain},
            {"off_time_s", picture.off_time.seconds()},
            {"lowest_power", picture.lowest.percent()},
            {"burns_light", picture.burns_light},
            {"response", response}};
}

PictureSettings picture_from(const Json& json) {
    PictureSettings picture;
    auto& dots = picture.dots;
    if (json.contains("method")) {
        const auto method = raster::parse_dither(json.at("method").get<std::string>());
        if (!method) throw std::invalid_argument("method");
        dots.method = *method;
    }
    dots.serpentine = json.value("serpentine", dots.serpentine);
    dots.noise = json.value("noise", dots.noise);
    dots.seed = json.value("seed", dots.seed);
    dots.cell = json.value("cell_dots", dots.cell);
    dots.screen_angle = json.value("screen_angle_deg", dots.screen_angle);
    read(json, "form", dots.form, forms);
    dots.bare_between = json.value("bare_between_dots", 0);
    dots.lone = json.value("lone_dots", false);
    read(json, "dot_pitch_mm", picture.dot_pitch);
    picture.spare_gain = json.value("spare_gain", false);
    picture.off_time = Duration::seconds(json.value("off_time_s", 0.0));
    picture.lowest = Power::percent(json.value("lowest_power", 0.0));
    picture.burns_light = json.value("burns_light", false);
    for (const Json& point : json.value("response", Json::array()))
        picture.response.push_back({point.at(0), point.at(1)});
    return picture;
}

Json all_of(const StepSettings& s) {
    return {{"kind", std::string(to_text(s.kind))},
            {"power", s.power.percent()},
            {"low_power", s.low_power ? Json(s.low_power->percent()) : Json()},
            {"speed", s.speed.mm_per_min()},
            {"passes", s.passes},
            {"focus_mm", s.focus.mm()},
            {"lower_each_pass_mm", s.lower_each_pass.mm()},
            {"air", s.air},
            {"air_lead_s", s.air_lead.seconds()},
            {"beam", word_of(s.beam, beams)},
            {"line_pitch_mm", s.line_pitch.mm()},
            {"fill", all_of(s.fill)},
            {"line", all_of(s.line)},
            {"picture", all_of(s.picture)}};
}

bool always_written(const std::string& key) {
    constexpr std::array keys{"kind", "power", "speed", "passes", "air", "line_pitch_mm"};
    return std::find(keys.begin(), keys.end(), key) != keys.end();
}

/// What of `json` is not at rest.
Json without_rest(const Json& json, const Json& rest) {
    Json kept = Json::object();
    for (const auto& [key, value] : json.items()) {
        const Json left = value.is_object() ? without_rest(value, rest.at(key)) : value;
        if (left.is_object() ? !left.empty() : always_written(key) || value != rest.at(key)) kept[key] = left;
    }
    return kept;
}

StepSettings read_settings(const Json& json) {
    StepSettings s;
    const auto kind = parse_kind(json.at("kind").get<std::string>());
    if (!kind) throw std::invalid_argument("kind " + json.at("kind").dump());
    s.kind = *kind;
    s.power = Power::percent(json.at("power"));
    if (json.contains("low_power")) s.low_power = Power::percent(json.at("low_power"));
    s.speed = Speed::mm_per_min(json.at("speed"));
    s.passes = json.at("passes");
    read(json, "focus_mm", s.focus);
    read(json, "lower_each_pass_mm", s.lower_each_pass);
    s.air = json.at("air");
    s.air_lead = Duration::seconds(json.value("air_lead_s", 0.0));
    read(json, "beam", s.beam, beams);
    s.line_pitch = Length::mm(json.at("line_pitch_mm"));
    s.fill = fill_from(json.value("fill", Json::object()));
    s.line = line_from(json.value("line", Json::object()));
    s.picture = picture_from(json.value("picture", Json::object()));
    return s;
}

std::string plain_text(const Json& value) {
    if (value.is_null()) return {};
    if (value.is_string()) return value;
    return value.is_number() ? format_number(value, 4) : value.dump();
}

void add_differences(std::vector<Difference>& found, const Json& before, const Json& after) {
    for (const auto& [key, value] : after.items())
        if (!value.is_object() && value != before.at(key))
            found.push_back({key, plain_text(before.at(key)), plain_text(value)});
}

}  // namespace

Json to_json(const StepSettings& settings) {
    return without_rest(all_of(settings), all_of(StepSettings()));
}

Result<StepSettings> settings_from_json(const Json& json) {
    constexpr Speed any_machine = Speed::mm_per_min(1e7);
    try {
        const StepSettings settings = read_settings(json);
        if (const auto valid = validate(settings, any_machine); !valid) return tl::unexpected(valid.error());
        return settings;
    } catch (const std::exception& problem) {
        return fail(error::bad_settings, {{"what", problem.what()}});
    }
}

std::vector<Difference> differences(const StepSettings& before, const StepSettings& after) {
    const Json from = all_of(before), to = all_of(after);
    std::vector<Difference> found;
    add_differences(found, from, to);
    if (!burns_area(after.kind)) {
        std::erase_if(found, [](const Difference& one) { return one.key == "line_pitch_mm"; });
        add_differences(found, from.at("line"), to.at("line"));
        return found;
    }
    add_differences(found, from.at("fill"), to.at("fill"));
    if (after.kind == StepKind::picture) add_differences(found, from.at("picture"), to.at("picture"));
    return found;
}

}  // namespace chalkline::steps
