// SPDX-License-Identifier: GPL-3.0-or-later
// Settings of a step as JSON.
#include "parts.hpp"

#include <stdexcept>

namespace chalkline::job {
namespace {

using steps::FillSettings;
using steps::LineSettings;

/// A choice and its word in the file.
template <class Choice>
using Words = std::initializer_list<std::pair<Choice, const char*>>;

const Words<FillSettings::Way> ways{{FillSettings::Way::scan_lines, "scan_lines"},
                                    {FillSettings::Way::contours, "contours"}};
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
const Words<steps::BeamControl> beams{{steps::BeamControl::following, "following"},
                                      {steps::BeamControl::constant, "constant"}};

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

Json json_of(const FillSettings& fill) {
    const FillSettings rest;
    Json json = Json::object();
    if (fill.way != rest.way) json["way"] = word_of(fill.way, ways);
    if (fill.angle != rest.angle) json["angle_deg"] = fill.angle;
    if (fill.crossed) json["crossed"] = true;
    if (!fill.both_ways) json["both_ways"] = false;
    if (fill.first != rest.first) json["first"] = word_of(fill.first, firsts);
    if (fill.run_up) json["run_up_mm"] = fill.run_up->mm();
    if (fill.outline_after) json["outline_after"] = true;
    if (fill.shift != rest.shift) json["shift_mm"] = fill.shift.mm();
    return json;
}

FillSettings fill_from(const Json& json) {
    FillSettings fill;
    read(json, "way", fill.way, ways);
    fill.angle = json.value("angle_deg", 0.0);
    fill.crossed = json.value("crossed", false);
    fill.both_ways = json.value("both_ways", true);
    read(json, "first", fill.first, firsts);
    if (json.contains("run_up_mm")) fill.run_up = Length::mm(json.at("run_up_mm"));
    fill.outline_after = json.value("outline_after", false);
    read(json, "shift_mm", fill.shift);
    return fill;
}

Json json_of(const LineSettings& line) {
    const LineSettings rest;
    Json json = Json::object();
    const auto add = [&](const char* key, Length value, Length at_rest) {
        if (value != at_rest) json[key] = value.mm();
    };
    if (line.kerf_side != rest.kerf_side) json["kerf_side"] = word_of(line.kerf_side, kerfs);
    add("kerf_mm", line.kerf, rest.kerf);
    add("lead_in_mm", line.lead_in, rest.lead_in);
    add("overcut_mm", line.overcut, rest.overcut);
    if (line.bridges != rest.bridges) json["bridges"] = line.bridges;
    add("bridge_width_mm", line.bridge_width, rest.bridge_width);
    add("perforation_burn_mm", line.perforation_burn, rest.perforation_burn);
    add("perforation_gap_mm", line.perforation_gap, rest.perforation_gap);
    if (line.order != rest.order) json["order"] = word_of(line.order, orders);
    if (line.parts != rest.parts) json["parts"] = word_of(line.parts, parts);
    return json;
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

}  // namespace

Json settings_to_json(const steps::StepSettings& s) {
    const steps::StepSettings rest;
    Json json{{"kind", std::string(steps::to_text(s.kind))}, {"power", s.power.percent()}};
    if (s.low_power) json["low_power"] = s.low_power->percent();
    json["speed"] = s.speed.mm_per_min();
    json["passes"] = s.passes;
    if (s.lower_each_pass != rest.lower_each_pass) json["lower_each_pass_mm"] = s.lower_each_pass.mm();
    json["air"] = s.air;
    if (s.air_lead != rest.air_lead) json["air_lead_s"] = s.air_lead.seconds();
    if (s.beam != rest.beam) json["beam"] = word_of(s.beam, beams);
    json["line_pitch_mm"] = s.line_pitch.mm();
    if (const Json fill = json_of(s.fill); !fill.empty()) json["fill"] = fill;
    if (const Json line = json_of(s.line); !line.empty()) json["line"] = line;
    return json;
}

steps::StepSettings settings_from_json(const Json& json) {
    steps::StepSettings s;
    const auto kind = steps::parse_kind(json.at("kind").get<std::string>());
    if (!kind) throw std::invalid_argument("kind " + json.at("kind").dump());
    s.kind = *kind;
    s.power = Power::percent(json.at("power"));
    if (json.contains("low_power")) s.low_power = Power::percent(json.at("low_power"));
    s.speed = Speed::mm_per_min(json.at("speed"));
    s.passes = json.at("passes");
    read(json, "lower_each_pass_mm", s.lower_each_pass);
    s.air = json.at("air");
    s.air_lead = Duration::seconds(json.value("air_lead_s", 0.0));
    read(json, "beam", s.beam, beams);
    s.line_pitch = Length::mm(json.at("line_pitch_mm"));
    s.fill = fill_from(json.value("fill", Json::object()));
    s.line = line_from(json.value("line", Json::object()));
    return s;
}

}  // namespace chalkline::job
