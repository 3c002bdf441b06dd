// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/machine/profile.hpp>

#include <nlohmann/json.hpp>

#include <algorithm>
#include <array>
#include <cctype>
#include <tuple>
#include <utility>

namespace chalkline::machine {
namespace {

using Json = nlohmann::ordered_json;

constexpr std::array<std::pair<HomeCorner, const char*>, 5> corners{{{HomeCorner::none, "none"},
                                                                     {HomeCorner::near_left, "near-left"},
                                                                     {HomeCorner::near_right, "near-right"},
                                                                     {HomeCorner::far_left, "far-left"},
                                                                     {HomeCorner::far_right, "far-right"}}};

constexpr std::array<std::pair<Dialect, const char*>, 2> dialects{
    {{Dialect::realtime, "realtime"}, {Dialect::line_by_line, "line-by-line"}}};
constexpr std::array<std::pair<RotaryAxis, const char*>, 3> rotary_axes{
    {{RotaryAxis::none, "none"}, {RotaryAxis::instead_of_y, "instead-of-y"}, {RotaryAxis::fourth, "fourth"}}};

constexpr std::array<std::pair<RotaryDrive, const char*>, 2> rotary_drives{
    {{RotaryDrive::chuck, "chuck"}, {RotaryDrive::rollers, "rollers"}}};

/// REQUIRES: the list has a word for every value.
template <class Value, std::size_t count>
const char* word_of(Value value, const std::array<std::pair<Value, const char*>, count>& words) {
    const auto found =
        std::find_if(words.begin(), words.end(), [&](const auto& entry) { return entry.first == value; });
    return found->second;
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
    void flag(const char* key, bool& target) {
        if (!json.contains(key)) return;
        if (json.at(key).is_boolean())
            target = json.at(key);
        else
            fault = key;
    }
    template <class Value, std::size_t count>
    void word(const char* key, Value& target, const std::array<std::pair<Value, const char*>, count>& words) {
        if (!json.contains(key)) return;
        const auto found =
            std::find_if(words.begin(), words.end(), [&](const auto& entry) { return json.at(key) == entry.second; });
        if (found == words.end())
            fault = key;
        else
            target = found->first;
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

bool read_lines(const Json& list, std::vector<std::string>& lines) {
    if (!list.is_array()) return false;
    lines.clear();
    for (const Json& line : list) {
        if (!line.is_string()) return false;
        lines.push_back(line.get<std::string>());
    }
    return true;
}

bool read_own_lines(const Json& list, std::vector<std::string>& lines) {
    return read_lines(list, lines) &&
           std::all_of(lines.begin(), lines.end(), [](const std::string& line) { return check_own_line(line); });
}

/// Places as `[name, x, y]`.
bool read_places(const Json& list, std::vector<NamedPlace>& places) {
    if (!list.is_array()) return false;
    for (const Json& place : list) {
        if (!place.is_array() || place.size() != 3 || !place[0].is_string() || !place[1].is_number() ||
            !place[2].is_number())
            return false;
        places.push_back({place[0], {place[1], place[2]}});
    }
    return true;
}

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

bool burns_alike(const MachineProfile& one, const MachineProfile& other) {
    const auto figures = [](const MachineProfile& p) {
        return std::tie(p.width, p.depth, p.full_power_s, p.turning, p.dialect, p.z_axis);
    };
    return figures(one) == figures(other);
}

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
    fields.number("homing_seek_mm_min", profile.homing_seek, 1, 1e6);
    fields.number("homing_feed_mm_min", profile.homing_feed, 1, 1e6);
    fields.number("homing_pull_off_mm", profile.homing_pull_off, 0, 100);
    fields.number("full_power_s", profile.full_power_s, 1, 100000);
    fields.number("baud", profile.baud, 300, 10'000'000);
    fields.number("receive_buffer", profile.receive_buffer, 64, 1'000'000);
    fields.number("planner_blocks", profile.planner_blocks, 2, 10000);
    fields.number("frame_speed_mm_min", profile.frame_speed, 1, 1e6);
    fields.number("jog_speed_mm_min", profile.jog_speed, 1, 1e6);
    fields.pair("pointer_mm", profile.pointer.x, profile.pointer.y, -500, 500);
    fields.number("dot_mw", profile.dot_milliwatts, 0, 50);
    fields.number("wavelength_nm", profile.wavelength, 100, 20000);
    fields.number("air_m", profile.air, 7, 8);
    fields.number("gauge_mm", profile.focus.height, 0, 500);
    fields.number("above_touch_mm", profile.focus.above_touch, 0, 500);
    fields.number("probe_reach_mm", profile.focus.probe_reach, 0.1, 500);
    fields.number("beam_hours", profile.beam_hours, 0, 1e6);
    fields.flag("z_axis", profile.z_axis);
    fields.flag("zero_at_home", profile.zero_at_home);
    fields.flag("power_in_moves", profile.power_in_moves);
    fields.flag("start_button", profile.start_button);
    fields.word("dialect", profile.dialect, dialects);
    fields.word("rotary", profile.rotary.axis, rotary_axes);
    fields.word("rotary_drive", profile.rotary.drive, rotary_drives);
    fields.number("rotary_per_turn", profile.rotary.per_turn, 0.01, 1e6);
    fields.number("roller_mm", profile.rotary.roller_diameter, 0.5, 1000);
    fields.number("rotary_max_rate", profile.rotary.max_rate, 1, 1e7);
    fields.number("rotary_acceleration", profile.rotary.acceleration, 1, 1e7);
    fields.flag("probe", profile.focus.probe);
    if (json.contains("rest_mm") && !json["rest_mm"].is_null()) {
        geometry::Point rest;
        fields.pair("rest_mm", rest.x, rest.y, 0, 10000);
        profile.rest = rest;
    }
    if (json.contains("after_home") && !read_own_lines(json["after_home"], profile.own_lines.after_home))
        fields.fault = "after_home";
    if (json.contains("at_end") && !read_own_lines(json["at_end"], profile.own_lines.at_end)) fields.fault = "at_end";
    if (json.contains("checklist") && !read_lines(json["checklist"], profile.checklist)) fields.fault = "checklist";
    if (json.contains("places") && !read_places(json["places"], profile.places)) fields.fault = "places";
    fields.word("home", profile.home, corners);
    if (!fields.fault.empty()) return fail(error::bad_profile, {{"key", fields.fault}}, file);
    return profile;
}

static Json json_of(const MachineProfile& profile) {
    Json measured = Json::array();
    for (const steps::MeasuredPower& point : profile.beam.measured)
        measured.push_back({point.power.percent(), point.watts});
    Json places = Json::array();
    for (const NamedPlace& place : profile.places)
        places.push_back({place.name, place.place.x, place.place.y});
    return Json{{"format", "chalkline-machine"},
                {"version", 1},
                {"name", profile.name},
                {"work_area_mm", {profile.width, profile.depth}},
                {"home", word_of(profile.home, corners)},
                {"watts", profile.beam.watts},
                {"beam", std::string(steps::to_text(profile.beam.kind))},
                {"measured_power", measured},
                {"comfortable_power", profile.beam.comfortable.percent()},
                {"spot_mm", profile.spot},
                {"max_rate_mm_min", {profile.max_rate_x, profile.max_rate_y}},
                {"acceleration_mm_s2", {profile.acceleration_x, profile.acceleration_y}},
                {"junction_deviation_mm", profile.junction_deviation},
                {"homing_seek_mm_min", profile.homing_seek},
                {"homing_feed_mm_min", profile.homing_feed},
                {"homing_pull_off_mm", profile.homing_pull_off},
                {"zero_at_home", profile.zero_at_home},
                {"full_power_s", profile.full_power_s},
                {"baud", profile.baud},
                {"receive_buffer", profile.receive_buffer},
                {"planner_blocks", profile.planner_blocks},
                {"z_axis", profile.z_axis},
                {"frame_speed_mm_min", profile.frame_speed},
                {"jog_speed_mm_min", profile.jog_speed},
                {"pointer_mm", {profile.pointer.x, profile.pointer.y}},
                {"dot_mw", profile.dot_milliwatts},
                {"wavelength_nm", profile.wavelength},
                {"air_m", profile.air},
                {"dialect", word_of(profile.dialect, dialects)},
                {"rotary", word_of(profile.rotary.axis, rotary_axes)},
                {"rotary_drive", word_of(profile.rotary.drive, rotary_drives)},
                {"rotary_per_turn", profile.rotary.per_turn},
                {"roller_mm", profile.rotary.roller_diameter},
                {"rotary_max_rate", profile.rotary.max_rate},
                {"rotary_acceleration", profile.rotary.acceleration},
                {"power_in_moves", profile.power_in_moves},
                {"start_button", profile.start_button},
                {"gauge_mm", profile.focus.height},
                {"probe", profile.focus.probe},
                {"above_touch_mm", profile.focus.above_touch},
                {"probe_reach_mm", profile.focus.probe_reach},
                {"rest_mm", profile.rest ? Json{profile.rest->x, profile.rest->y} : Json()},
                {"after_home", profile.own_lines.after_home},
                {"at_end", profile.own_lines.at_end},
                {"checklist", profile.checklist},
                {"places", places},
                {"beam_hours", profile.beam_hours}};
}

std::string to_json(const MachineProfile& profile) {
    return json_of(profile).dump(2) + "\n";
}

MachineProfile as_told(MachineProfile profile, const ControllerFacts& facts) {
    const auto told = [&](int number, auto& target) {
        const auto found = facts.settings.find(number);
        if (found != facts.settings.end() && found->second > 0)
            target = static_cast<std::remove_reference_t<decltype(target)>>(found->second);
    };
    told(130, profile.width);
    told(131, profile.depth);
    told(110, profile.max_rate_x);
    told(111, profile.max_rate_y);
    told(120, profile.acceleration_x);
    told(121, profile.acceleration_y);
    told(11, profile.junction_deviation);
    told(24, profile.homing_feed);
    told(25, profile.homing_seek);
    told(27, profile.homing_pull_off);
    told(30, profile.full_power_s);
    if (facts.receive_buffer) profile.receive_buffer = *facts.receive_buffer;
    if (facts.planner_blocks) profile.planner_blocks = *facts.planner_blocks;
    const auto homing = facts.settings.find(22), mask = facts.settings.find(23);
    if (homing == facts.settings.end()) return profile;
    // A bit of $23 turns the axis round: without it home is where the coordinates are highest, far right.
    const int turned = mask == facts.settings.end() ? 0 : static_cast<int>(mask->second);
    const bool left = (turned & 1) != 0, near = (turned & 2) != 0;
    if (homing->second == 0)
        profile.home = HomeCorner::none;
    else if (near)
        profile.home = left ? HomeCorner::near_left : HomeCorner::near_right;
    else
        profile.home = left ? HomeCorner::far_left : HomeCorner::far_right;
    return profile;
}

std::vector<ProfileDifference> differences(const MachineProfile& mine, const MachineProfile& other) {
    const Json ours = json_of(mine), theirs = json_of(other);
    std::vector<ProfileDifference> found;
    for (const auto& [key, value] : ours.items())
        if (theirs.at(key) != value) found.push_back({key, value.dump(), theirs.at(key).dump()});
    return found;
}

bool plans_alike(MachineProfile a, const MachineProfile& b) {
    a.beam_hours = b.beam_hours;
    a.places = b.places;
    a.checklist = b.checklist;
    a.own_lines = b.own_lines;
    a.rest = b.rest;
    return a == b;
}

bool is_plain_line(std::string_view text) {
    return !text.empty() && text.size() <= longest_line && std::all_of(text.begin(), text.end(), [](char c) {
        return c >= 0x20 && c < 0x7f && c != '!' && c != '?' && c != '~';
    });
}

Result<void> check_own_line(const std::string& line) {
    std::string words;
    for (const char c : line)
        if (c != ' ') words += static_cast<char>(std::toupper(static_cast<unsigned char>(c)));
    // M3 and M4 in any spelling: the figure after M, whatever zeros stand in front of it.
    bool burns = false;
    for (std::size_t at = words.find('M'); at != std::string::npos; at = words.find('M', at + 1)) {
        const std::size_t figure = words.find_first_not_of('0', at + 1);
        const bool three_or_four = figure != std::string::npos && (words[figure] == '3' || words[figure] == '4');
        const char next = three_or_four && figure + 1 < words.size() ? words[figure + 1] : 'X';
        burns = burns || (three_or_four && !std::isdigit(static_cast<unsigned char>(next)));
    }
    if (!is_plain_line(line) || burns) return fail(error::bad_own_line, {{"text", line}});
    return {};
}

}  // namespace chalkline::machine
