// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/machine/profile.hpp>

#include <nlohmann/json.hpp>

#include <array>
#include <utility>

namespace chalkline::machine {
namespace {

using Json = nlohmann::ordered_json;

constexpr std::array<std::pair<HomeCorner, const char*>, 5> corners{{{HomeCorner::none, "none"},
                                                                     {HomeCorner::near_left, "near-left"},
                                                                     {HomeCorner::near_right, "near-right"},
                                                                     {HomeCorner::far_left, "far-left"},
                                                                     {HomeCorner::far_right, "far-right"}}};

const char* to_text(HomeCorner corner) {
    for (const auto& [value, text] : corners)
        if (value == corner) return text;
    return "none";
}

/// Reads numbers out of the profile and remembers the first that is out of bounds.
struct Fields {
    const Json& json;
    std::string fault;

    template <class Number>
    void number(const char* key, Number& target, double least, double most) {
        if (!json.contains(key)) return;
        const Json& value = json.at(key);
        if (value.is_number() && value.get<double>() >= least && value.get<double>() <= most)
            target = value.get<Number>();
        else
            fault = key;
    }
    void pair(const char* key, double& x, double& y, double least, double most) {
        if (!json.contains(key)) return;
        const Json& value = json.at(key);
        const auto fits = [&](const Json& v) {
            return v.is_number() && v.get<double>() >= least && v.get<double>() <= most;
        };
        if (value.is_array() && value.size() == 2 && fits(value[0]) && fits(value[1])) {
            x = value[0].get<double>();
            y = value[1].get<double>();
        } else {
            fault = key;
        }
    }
};

/// Pairs of per cent and watts, both rising.
bool read_measured(const Json& list, std::vector<steps::MeasuredPower>& measured) {
    if (!list.is_array()) return false;
    steps::MeasuredPower before{Power::percent(0), 0};
    for (const Json& point : list) {
        if (!point.is_array() || point.size() != 2 || !point[0].is_number() || !point[1].is_number()) return false;
        const steps::MeasuredPower read{Power::percent(point[0]), point[1]};
        if (!(read.power > before.power && read.watts > before.watts && read.power <= Power::percent(100)))
            return false;
        measured.push_back(read);
        before = read;
    }
    return true;
}

void read_beam(Fields& fields, steps::Beam& beam) {
    const Json& json = fields.json;
    fields.number("watts", beam.watts, 0.001, 10000);
    double comfortable = beam.comfortable.percent();
    fields.number("comfortable_power", comfortable, 1, 100);
    beam.comfortable = Power::percent(comfortable);
    if (json.contains("beam")) {
        const auto kind = json["beam"].is_string() ? steps::parse_beam_kind(json["beam"].get<std::string>())
                                                   : std::optional<steps::BeamKind>();
        if (kind)
            beam.kind = *kind;
        else
            fields.fault = "beam";
    }
    if (json.contains("measured_power") && !read_measured(json["measured_power"], beam.measured))
        fields.fault = "measured_power";
}

}  // namespace

Result<MachineProfile> parse_profile(std::string_view text, const std::string& file) {
    const Json json = Json::parse(text, nullptr, false);
    if (!json.is_object() || json.value("format", Json()) != "chalkline-machine")
        return fail(error::bad_profile, {{"key", "format"}}, file);
    MachineProfile profile;
    Fields fields{json, {}};
    if (json.contains("name")) {
        if (json["name"].is_string())
            profile.name = json["name"];
        else
            fields.fault = "name";
    }
    fields.pair("work_area_mm", profile.width, profile.depth, 1, 10000);
    read_beam(fields, profile.beam);
    fields.number("spot_mm", profile.spot, 0.001, 10);
    fields.pair("max_rate_mm_min", profile.max_rate_x, profile.max_rate_y, 1, 1e6);
    fields.pair("acceleration_mm_s2", profile.acceleration_x, profile.acceleration_y, 1, 1e6);
    fields.number("junction_deviation_mm", profile.junction_deviation, 0.0001, 10);
    fields.number("full_power_s", profile.full_power_s, 1, 100000);
    fields.number("baud", profile.baud, 300, 10'000'000);
    fields.number("receive_buffer", profile.receive_buffer, 80, 1'000'000);
    fields.number("planner_blocks", profile.planner_blocks, 2, 10000);
    fields.number("frame_speed_mm_min", profile.frame_speed, 1, 1e6);
    fields.number("jog_speed_mm_min", profile.jog_speed, 1, 1e6);
    fields.pair("pointer_mm", profile.pointer.x, profile.pointer.y, -500, 500);
    fields.number("dot_mw", profile.dot_milliwatts, 0, 50);
    if (json.contains("z_axis")) {
        if (json["z_axis"].is_boolean())
            profile.z_axis = json["z_axis"];
        else
            fields.fault = "z_axis";
    }
    if (json.contains("home")) {
        const auto found = std::find_if(corners.begin(), corners.end(),
                                        [&](const auto& corner) { return json["home"] == corner.second; });
        if (found == corners.end())
            fields.fault = "home";
        else
            profile.home = found->first;
    }
    if (!fields.fault.empty()) return fail(error::bad_profile, {{"key", fields.fault}}, file);
    return profile;
}

std::string to_json(const MachineProfile& profile) {
    Json measured = Json::array();
    for (const steps::MeasuredPower& point : profile.beam.measured)
        measured.push_back({point.power.percent(), point.watts});
    const Json json{{"format", "chalkline-machine"},
                    {"version", 1},
                    {"name", profile.name},
                    {"work_area_mm", {profile.width, profile.depth}},
                    {"home", to_text(profile.home)},
                    {"watts", profile.beam.watts},
                    {"beam", std::string(steps::to_text(profile.beam.kind))},
                    {"measured_power", measured},
                    {"comfortable_power", profile.beam.comfortable.percent()},
                    {"spot_mm", profile.spot},
                    {"max_rate_mm_min", {profile.max_rate_x, profile.max_rate_y}},
                    {"acceleration_mm_s2", {profile.acceleration_x, profile.acceleration_y}},
                    {"junction_deviation_mm", profile.junction_deviation},
                    {"full_power_s", profile.full_power_s},
                    {"baud", profile.baud},
                    {"receive_buffer", profile.receive_buffer},
                    {"planner_blocks", profile.planner_blocks},
                    {"z_axis", profile.z_axis},
                    {"frame_speed_mm_min", profile.frame_speed},
                    {"jog_speed_mm_min", profile.jog_speed},
                    {"pointer_mm", {profile.pointer.x, profile.pointer.y}},
                    {"dot_mw", profile.dot_milliwatts}};
    return json.dump(2) + "\n";
}

}  // namespace chalkline::machine
