// SPDX-License-Identifier: GPL-3.0-or-later
#include "chalk/parts.hpp"

#include <chalkline/art/cleaning.hpp>
#include <chalkline/job/round_piece.hpp>
#include <chalkline/steps/settings_json.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <string_view>
#include <type_traits>

namespace chalkline::job {

using geometry::Point;

namespace {

double positive(const Json& json) {
    const double value = json;
    if (!(value > 0) || !std::isfinite(value)) throw std::invalid_argument("number " + json.dump());
    return value;
}

double finite(const Json& json) {
    const double value = json;
    if (!std::isfinite(value)) throw std::invalid_argument("number " + json.dump());
    return value;
}

Json json_of(const Point& point) {
    return {point.x, point.y};
}

constexpr std::array<std::string_view, 3> background_ways{"keep", "flood", "cut-out"};

Json json_of(const raster::Part& part) {
    return {part.left, part.top, part.right, part.bottom};
}

/// A part with an area, inside the picture.
raster::Part part_from_json(const Json& json) {
    const auto share = [&](int i) { return std::clamp(finite(json.at(static_cast<std::size_t>(i))), 0.0, 1.0); };
    const raster::Part part{share(0), share(1), share(2), share(3)};
    return part.left < part.right && part.top < part.bottom ? part : raster::Part{};
}

Json json_of(const art::TextDesign& text) {
    constexpr const char* aligns[] = {"left", "middle", "right"};
    return {{"text", text.text},
            {"height_mm", text.height},
            {"family", text.family},
            {"bold", text.bold},
            {"single_stroke", text.single_stroke},
            {"align", aligns[static_cast<int>(text.align)]},
            {"radius_mm", text.radius}};
}

Json json_of(const art::FormDesign& form) {
    return {{"form", std::string(art::to_text(form.form))},
            {"size_mm", {form.width, form.height}},
            {"corner_mm", form.corner},
            {"sides", form.sides}};
}

Json json_of(const art::FreehandDesign& freehand) {
    Json points = Json::array();
    for (const Point point : freehand.points)
        points.push_back(json_of(point));
    return {{"points_mm", points}, {"closed", freehand.closed}};
}

art::TextDesign text_from_json(const Json& json) {
    art::TextDesign text;
    text.text = json.at("text");
    text.height = positive(json.at("height_mm"));
    text.family = json.at("family");
    text.bold = json.at("bold");
    text.single_stroke = json.at("single_stroke");
    const std::string align = json.at("align");
    text.align = align == "left"    ? art::TextDesign::Align::left
                 : align == "right" ? art::TextDesign::Align::right
                                    : art::TextDesign::Align::middle;
    text.radius = finite(json.at("radius_mm"));
    return text;
}

art::FormDesign form_from_json(const Json& json) {
    const auto form = art::parse_form(json.at("form").get<std::string>());
    if (!form) throw std::invalid_argument("form " + json.at("form").dump());
    return {*form, finite(json.at("size_mm").at(0)), finite(json.at("size_mm").at(1)), finite(json.at("corner_mm")),
            json.at("sides")};
}

art::FreehandDesign freehand_from_json(const Json& json) {
    art::FreehandDesign freehand;
    for (const Json& point : json.at("points_mm"))
        freehand.points.push_back(point_from_json(point));
    freehand.closed = json.at("closed");
    return freehand;
}

}  // namespace

Point point_from_json(const Json& json) {
    return {finite(json.at(0)), finite(json.at(1))};
}

Json to_json(const std::vector<Ink>& inks) {
    Json list = Json::array();
    for (const Ink& ink : inks)
        list.push_back(to_text(ink));
    return list;
}

Json to_json(const Step& step) {
    Json json{{"id", step.id}};
    json.update(steps::to_json(step.settings));
    if (!step.on) json["on"] = false;
    if (!step.note.empty()) json["note"] = step.note;
    for (const auto& [key, text] : step.typed)
        json["typed"][key] = text;
    json["inks"] = to_json(step.inks);
    add_unknown(json, step.unknown);
    return json;
}

Json to_json(const Stock& stock) {
    Json json{{"material", stock.material},
              {"thickness_mm", stock.thickness.mm()},
              {"corner_mm", json_of(stock.corner)},
              {"size_mm", {stock.width, stock.height}},
              {"angle_rad", stock.angle}};
    if (stock.form == Stock::Form::ellipse) json["form"] = "ellipse";
    if (stock.form == Stock::Form::outline) json["form"] = "outline";
    if (const RoundPiece& round = stock.round; stock.form == Stock::Form::round) {
        json["form"] = "round";
        json["round"] = {{"diameter_mm", {round.diameter, round.end_diameter}},
                         {"length_mm", round.length},
                         {"taken_mm", {round.taken_at_start, round.taken_at_end, round.taken_at_seam}}};
    }
    for (const Point point : stock.points)
        json["points"].push_back(json_of(point));
    if (stock.margin != Stock().margin) json["margin_mm"] = stock.margin.mm();
    add_unknown(json, stock.unknown);
    return json;
}

std::vector<Ink> inks_from_json(const Json& list) {
    std::vector<Ink> inks;
    for (const Json& text : list) {
        const auto ink = parse_ink(text.get<std::string>());
        if (!ink) throw std::invalid_argument("ink " + text.dump());
        inks.push_back(*ink);
    }
    return inks;
}

Step step_from_json(const Json& json) {
    Step step;
    step.id = json.at("id");
    const auto settings = steps::settings_from_json(json);
    if (!settings) throw std::invalid_argument("step " + std::to_string(step.id));
    step.settings = *settings;
    step.on = json.value("on", true);
    step.note = json.value("note", "");
    const Json typed = json.value("typed", Json::object());
    for (const auto& [key, text] : typed.items())
        step.typed[key] = text.get<std::string>();
    step.inks = inks_from_json(json.at("inks"));
    step.unknown = unknown_keys(
        json, {"id", "kind", "power", "low_power", "speed", "passes", "focus_mm", "lower_each_pass_mm", "air",
               "air_lead_s", "beam", "line_pitch_mm", "fill", "line", "picture", "on", "note", "typed", "inks"});
    return step;
}

Json to_json(const PathMark& mark) {
    const char* kind = mark.kind == PathMark::Kind::bridge      ? "bridge"
                       : mark.kind == PathMark::Kind::backwards ? "backwards"
                                                                : "start";
    return {{"kind", kind}, {"on_page_mm", json_of(mark.on_page)}};
}

PathMark path_mark_from_json(const Json& json) {
    PathMark mark{PathMark::Kind::start, point_from_json(json.at("on_page_mm"))};
    if (json.at("kind") == "bridge") mark.kind = PathMark::Kind::bridge;
    if (json.at("kind") == "backwards") mark.kind = PathMark::Kind::backwards;
    return mark;
}

Json to_json(const MarkedPlace& marked) {
    return {{"id", marked.id}, {"name", marked.name}, {"place_mm", json_of(marked.place)}};
}

MarkedPlace marked_from_json(const Json& json) {
    return {json.at("id"), json.at("name"), point_from_json(json.at("place_mm"))};
}

Json to_json(const raster::ToneSettings& tone) {
    const raster::ToneSettings rest;
    Json json = Json::object();
    const auto add = [&](const char* key, double value, double at_rest) {
        if (value != at_rest) json[key] = value;
    };
    add("black", tone.black, rest.black);
    add("white", tone.white, rest.white);
    add("brightness", tone.brightness, rest.brightness);
    add("contrast", tone.contrast, rest.contrast);
    add("gamma", tone.gamma, rest.gamma);
    add("sharpen", tone.sharpen, rest.sharpen);
    add("sharpen_radius_mm", tone.sharpen_radius, rest.sharpen_radius);
    for (const auto& point : tone.curve)
        json["curve"].push_back({point.in, point.out});
    return json;
}

raster::ToneSettings tone_from_json(const Json& json) {
    raster::ToneSettings tone;
    const auto read = [&](const char* key, double& value, double least, double most) {
        if (json.contains(key)) value = std::clamp(finite(json.at(key)), least, most);
    };
    read("black", tone.black, 0, 1);
    read("white", tone.white, 0, 1);
    read("brightness", tone.brightness, -100, 100);
    read("contrast", tone.contrast, -100, 100);
    read("gamma", tone.gamma, 0.1, 10);
    read("sharpen", tone.sharpen, 0, 5);
    read("sharpen_radius_mm", tone.sharpen_radius, 0, 50);
    for (const Json& point : json.value("curve", Json::array()))
        tone.curve.push_back({finite(point.at(0)), finite(point.at(1))});
    return tone;
}

/// The tone stands by itself, beside it.
Json to_json(const raster::Preparation& how) {
    const raster::Preparation rest;
    Json json = Json::object();
    if (how.crop != rest.crop) json["crop"] = json_of(how.crop);
    if (how.mix != rest.mix) json["mix"] = how.mix;
    if (how.denoise != rest.denoise) json["denoise"] = how.denoise;
    if (how.local_contrast != rest.local_contrast) json["local_contrast"] = how.local_contrast;
    if (how.background == rest.background) return json;
    const raster::Background& background = how.background;
    Json strokes = Json::array();
    for (const raster::Stroke& stroke : background.strokes) {
        Json points = Json::array();
        for (const raster::Place& p : stroke.points)
            points.push_back({p.x, p.y});
        strokes.push_back({{"keep", stroke.keep}, {"radius", stroke.radius}, {"points", points}});
    }
    json["background"] = {{"way", background_ways[static_cast<std::size_t>(background.way)]},
                          {"tolerance", background.tolerance},
                          {"box", json_of(background.box)},
                          {"strokes", strokes},
                          {"vignette", background.vignette}};
    return json;
}

raster::Preparation preparation_from_json(const Json& json) {
    raster::Preparation how;
    const auto share = [](const Json& from, const char* key, double rest) {
        return from.contains(key) ? std::clamp(finite(from.at(key)), 0.0, 1.0) : rest;
    };
    if (json.contains("crop")) how.crop = part_from_json(json.at("crop"));
    if (json.contains("mix"))
        for (std::size_t i = 0; i < how.mix.size(); ++i)
            how.mix[i] = std::clamp(finite(json.at("mix").at(i)), -2.0, 3.0);
    how.denoise = share(json, "denoise", 0);
    how.local_contrast = share(json, "local_contrast", 0);
    if (!json.contains("background")) return how;
    const Json& from = json.at("background");
    const auto way =
        std::find(background_ways.begin(), background_ways.end(), from.value("way", std::string(background_ways[0])));
    if (way == background_ways.end()) throw std::invalid_argument("background");
    how.background.way = static_cast<raster::Background::Way>(way - background_ways.begin());
    how.background.tolerance = share(from, "tolerance", how.background.tolerance);
    if (from.contains("box")) how.background.box = part_from_json(from.at("box"));
    how.background.vignette = share(from, "vignette", 0);
    for (const Json& stroke : from.value("strokes", Json::array())) {
        raster::Stroke read{stroke.at("keep"), share(stroke, "radius", 0.02), {}};
        for (const Json& p : stroke.at("points"))
            read.points.push_back({finite(p.at(0)), finite(p.at(1))});
        how.background.strokes.push_back(std::move(read));
    }
    return how;
}

Json to_json(const Variant& variant) {
    return {{"name", variant.name},
            {"prepare", to_json(variant.preparation)},
            {"tone", to_json(variant.preparation.tone)},
            {"step", steps::to_json(variant.settings)}};
}

Variant variant_from_json(const Json& json) {
    Variant variant{json.at("name"), preparation_from_json(json.at("prepare")), {}};
    variant.preparation.tone = tone_from_json(json.at("tone"));
    const auto settings = steps::settings_from_json(json.at("step"));
    if (!settings) throw std::invalid_argument("variant");
    variant.settings = *settings;
    return variant;
}

Json to_json(const Override& one) {
    return {{"code", one.code}, {"about", one.about}, {"reason", one.reason}, {"at", one.at}};
}

Override override_from_json(const Json& json) {
    return {json.at("code"), json.at("about"), json.at("reason"), json.at("at")};
}

Stock stock_from_json(const Json& json) {
    Stock stock;
    stock.material = json.at("material");
    stock.thickness = Length::mm(json.at("thickness_mm"));
    stock.corner = point_from_json(json.at("corner_mm"));
    stock.width = positive(json.at("size_mm").at(0));
    stock.height = positive(json.at("size_mm").at(1));
    stock.angle = finite(json.at("angle_rad"));
    const std::string form = json.value("form", "rectangle");
    for (const Json& point : json.value("points", Json::array()))
        stock.points.push_back(point_from_json(point));
    if (form == "round") {
        const Json& round = json.at("round");
        RoundPiece piece{.diameter = positive(round.at("diameter_mm").at(0)),
                         .end_diameter = positive(round.at("diameter_mm").at(1)),
                         .length = positive(round.at("length_mm")),
                         .taken_at_start = finite(round.at("taken_mm").at(0)),
                         .taken_at_end = finite(round.at("taken_mm").at(1)),
                         .taken_at_seam = finite(round.at("taken_mm").at(2))};
        const auto put = in_rotary(std::move(stock), piece);
        if (!put) throw std::invalid_argument("round " + round.dump());
        stock = *put;
    }
    if (form == "ellipse") stock.form = Stock::Form::ellipse;
    if (form == "outline" && stock.points.size() >= 3) stock.form = Stock::Form::outline;
    if (json.contains("margin_mm")) stock.margin = Length::mm(std::clamp(finite(json.at("margin_mm")), 0.0, 1000.0));
    stock.unknown = unknown_keys(json, {"material", "thickness_mm", "corner_mm", "size_mm", "angle_rad", "form",
                                        "points", "round", "margin_mm"});
    return stock;
}

geometry::Transform transform_from_json(const Json& json) {
    const geometry::Transform map{json.at(0), json.at(1), json.at(2), json.at(3), json.at(4), json.at(5)};
    if (!map.finite()) throw std::invalid_argument("place");
    return map;
}

// An infinite stroke width is null.
Json to_json(const art::ReadOptions& options) {
    const art::ReadOptions ordinary;
    Json json = Json::object();
    if (options.stroke_area != ordinary.stroke_area)
        json["stroke_area_mm"] = std::isfinite(options.stroke_area) ? Json(options.stroke_area) : Json(nullptr);
    if (options.scale != ordinary.scale) json["scale"] = options.scale;
    if (options.density != ordinary.density) json["pixels_per_inch"] = options.density;
    if (options.unit) json["unit_mm"] = *options.unit;
    if (options.page != ordinary.page) json["page"] = options.page;
    if (const auto& part = options.part) json["part_mm"] = {part->left, part->bottom, part->right, part->top};
    if (options.picture_width) json["picture_width_mm"] = *options.picture_width;
    if (options.text != ordinary.text) json["text"] = "single-stroke";
    if (options.linetypes != ordinary.linetypes) json["linetypes"] = options.linetypes;
    if (options.hatches != ordinary.hatches) json["hatches"] = options.hatches;
    if (const auto& trace = options.trace)
        json["trace"] = {{"centre_lines", trace->centre_lines},
                         {"threshold", trace->threshold},
                         {"speck_mm", trace->speck},
                         {"smoothness", trace->smoothness}};
    if (options.as_picture) json["as_picture_mm"] = *options.as_picture;
    if (options.cover != ordinary.cover) json["cover"] = options.cover;
    if (options.cover_lines != ordinary.cover_lines) json["cover_lines"] = options.cover_lines;
    if (!options.removed.empty()) json["removed"] = options.removed;
    for (const art::Fault fault : options.mend)
        json["mend"].push_back(std::string(art::to_text(fault)));
    if (options.limits != ordinary.limits)
        json["limits_mm"] = {{"same", options.limits.same},
                             {"smallest", options.limits.smallest},
                             {"gap", options.limits.gap},
                             {"thick", options.limits.thick}};
    return json;
}

art::ReadOptions read_options_from_json(const Json& json) {
    art::ReadOptions options;
    if (const auto width = json.find("stroke_area_mm"); width != json.end())
        options.stroke_area = width->is_null() ? art::ReadOptions::never : positive(*width);
    if (json.contains("scale")) options.scale = positive(json["scale"]);
    if (json.contains("pixels_per_inch")) options.density = positive(json["pixels_per_inch"]);
    if (json.contains("unit_mm")) options.unit = positive(json["unit_mm"]);
    options.page = json.value("page", options.page);
    if (const auto part = json.find("part_mm"); part != json.end())
        options.part = geometry::Box{part->at(0), part->at(1), part->at(2), part->at(3)};
    if (json.contains("picture_width_mm")) options.picture_width = positive(json["picture_width_mm"]);
    if (json.value("text", "") == "single-stroke") options.text = art::DrawnText::single_stroke;
    options.linetypes = json.value("linetypes", options.linetypes);
    options.hatches = json.value("hatches", options.hatches);
    if (const auto trace = json.find("trace"); trace != json.end())
        options.trace = art::TraceOptions{trace->at("centre_lines"), trace->at("threshold"), trace->at("speck_mm"),
                                          trace->at("smoothness")};
    options.cover = json.value("cover", options.cover);
    options.cover_lines = json.value("cover_lines", options.cover_lines);
    if (json.contains("as_picture_mm")) options.as_picture = positive(json["as_picture_mm"]);
    for (const Json& index : json.value("removed", Json::array()))
        options.removed.push_back(index);
    std::sort(options.removed.begin(), options.removed.end());
    for (const Json& name : json.value("mend", Json::array())) {
        const auto fault = art::parse_fault(name.get<std::string>());
        if (!fault) throw std::invalid_argument("mend " + name.dump());
        options.mend.push_back(*fault);
    }
    if (const auto limits = json.find("limits_mm"); limits != json.end())
        options.limits = {positive(limits->at("same")), positive(limits->at("smallest")), positive(limits->at("gap")),
                          positive(limits->at("thick"))};
    return options;
}

Json to_json(const art::Design& design) {
    Json json = std::visit([](const auto& what) { return json_of(what); }, design.what);
    json["rgb"] = to_text(design.rgb);
    json["filled"] = design.filled;
    return json;
}

art::Design design_from_json(const Json& json) {
    art::Design design;
    if (json.contains("text"))
        design.what = text_from_json(json);
    else if (json.contains("form"))
        design.what = form_from_json(json);
    else
        design.what = freehand_from_json(json);
    const auto ink = parse_ink(json.at("rgb").get<std::string>() + ":line");
    if (!ink) throw std::invalid_argument("rgb " + json.at("rgb").dump());
    design.rgb = ink->rgb;
    design.filled = json.at("filled");
    return design;
}

std::string unknown_keys(const Json& json, std::initializer_list<const char*> known) {
    Json rest = Json::object();
    for (const auto& [key, value] : json.items())
        if (std::none_of(known.begin(), known.end(), [&key = key](const char* name) { return key == name; }))
            rest[key] = value;
    return rest.empty() ? std::string() : rest.dump();
}

void add_unknown(Json& json, const std::string& kept) {
    if (kept.empty()) return;
    const Json rest = Json::parse(kept);
    for (const auto& [key, value] : rest.items())
        json[key] = value;
}

}  // namespace chalkline::job
