// SPDX-License-Identifier: GPL-3.0-or-later
#include "style.hpp"

#include "clip_shape.hpp"

#include <algorithm>
#include <array>
#include <unordered_map>
#include <utility>

namespace chalkline::art::svg {
namespace {

/// The id inside "url(#id)"; nothing for other texts and for references out of the file.
std::optional<std::string> url_id(std::string_view text) {
    if (!text.starts_with("url(")) return {};
    const auto close = text.find(')');
    if (close == std::string_view::npos) return {};
    auto id = trimmed(text.substr(4, close - 4));
    if (id.size() > 1 && (id[0] == '"' || id[0] == '\'')) id = id.substr(1, id.size() - 2);
    if (!id.starts_with('#')) return {};
    return std::string(id.substr(1));
}

std::optional<Paint> parse_paint(std::string_view text) {
    if (text == "none") return Paint{};
    if (text == "currentColor" || text == "currentcolor") return Paint{Paint::Kind::current_colour, {}, {}, {}};
    if (const auto id = url_id(text))
        return Paint{Paint::Kind::reference, {}, *id, parse_colour(text.substr(text.find(')') + 1))};
    // Colour profiles follow the plain colour: "#abc icc-color(…)".
    if (const auto icc = text.find(" icc-color"); icc != std::string_view::npos) text = text.substr(0, icc);
    const auto colour = parse_colour(text);
    if (!colour) return {};
    return Paint{Paint::Kind::colour, *colour, {}, {}};
}

std::optional<double> parse_opacity(std::string_view text) {
    Scanner scan(text);
    const auto value = scan.number();
    if (!value) return {};
    return std::clamp(is_percentage(text) ? *value / 100 : *value, 0.0, 1.0);
}

Applied taken(bool understood) {
    return understood ? Applied::yes : Applied::bad_value;
}

template <class T>
Applied set(T& target, const std::optional<T>& value) {
    if (value) target = *value;
    return taken(value.has_value());
}

/// One word out of a list.
template <class T>
Applied set_word(T& target, std::string_view text, std::initializer_list<std::pair<std::string_view, T>> words) {
    for (const auto& [word, value] : words) {
        if (word != text) continue;
        target = value;
        return Applied::yes;
    }
    return Applied::bad_value;
}

std::optional<geometry::FillRule> parse_rule(std::string_view text) {
    if (text == "evenodd") return geometry::FillRule::even_odd;
    if (text == "nonzero") return geometry::FillRule::non_zero;
    return {};
}

/// Changes a copy of the shared text style.
template <class Change>
Applied change_text(Style& style, Change change) {
    auto text = std::make_shared<TextStyle>(*style.text);
    const bool understood = change(*text);
    style.text = std::move(text);
    return taken(understood);
}

std::vector<std::string> parse_families(std::string_view text) {
    std::vector<std::string> families;
    while (!text.empty()) {
        const auto comma = text.find(',');
        auto name = trimmed(text.substr(0, comma));
        if (name.size() > 1 && (name[0] == '"' || name[0] == '\'')) name = name.substr(1, name.size() - 2);
        if (!name.empty()) families.emplace_back(name);
        if (comma == std::string_view::npos) break;
        text.remove_prefix(comma + 1);
    }
    return families;
}

bool set_weight(int& weight, std::string_view text) {
    if (text == "normal")
        weight = 400;
    else if (text == "bold")
        weight = 700;
    else if (text == "bolder")
        weight = weight < 350 ? 400 : weight < 550 ? 700 : 900;
    else if (text == "lighter")
        weight = weight < 550 ? 100 : weight < 750 ? 400 : 700;
    else {
        Scanner scan(text);
        const auto value = scan.number();
        if (!value || !scan.at_end() || *value < 1 || *value > 1000) return false;
        weight = static_cast<int>(*value);
    }
    return true;
}

std::optional<double> parse_font_size(std::string_view text, double parent) {
    static constexpr std::array<std::pair<std::string_view, double>, 8> names{{{"xx-small", 9},
                                                                               {"x-small", 10},
                                                                               {"small", 13},
                                                                               {"medium", 16},
                                                                               {"large", 18},
                                                                               {"x-large", 24},
                                                                               {"xx-large", 32},
                                                                               {"xxx-large", 48}}};
    for (const auto& [name, size] : names)
        if (name == text) return size;
    if (text == "larger") return parent * 1.2;
    if (text == "smaller") return parent / 1.2;
    auto size = parse_length(text, {parent, parent, parent}, Axis::x);
    if (size && *size < 0) return {};
    return size;
}

/// "italic bold 12px/14px Name, serif"
Applied set_font(Style& style, std::string_view text) {
    auto look = std::make_shared<TextStyle>(*style.text);
    look->font = FontWish{look->font.families, 400, false, 100};
    look->small_capitals = false;
    while (!(text = trimmed(text)).empty()) {
        const auto end = std::min(text.find(' '), text.size());
        const auto word = text.substr(0, end);
        text.remove_prefix(end);
        const auto slash = word.find('/');
        if (word == "italic" || word == "oblique") {
            look->font.slanted = true;
        } else if (word == "small-caps") {
            look->small_capitals = true;
        } else if (word == "normal" || set_weight(look->font.weight, word)) {
            continue;
        } else if (const auto size = parse_font_size(word.substr(0, slash), style.font_size)) {
            text = trimmed(text);
            if (slash == std::string_view::npos && text.starts_with('/')) {
                text = trimmed(text.substr(1));
                text.remove_prefix(std::min(text.find(' '), text.size()));
            }
            look->font.families = parse_families(trimmed(text));
            style.font_size = *size;
            style.text = std::move(look);
            return Applied::yes;
        } else {
            return Applied::bad_value;
        }
    }
    return Applied::bad_value;
}

Applied set_dashes(Style& style, std::string_view text, const Viewport& viewport) {
    style.dashes = nullptr;
    if (text == "none") return Applied::yes;
    auto lengths = std::make_shared<std::vector<double>>();
    double sum = 0;
    while (!(text = trimmed(text)).empty()) {
        const auto end = std::min(text.find_first_of(", \t\n"), text.size());
        const auto length = parse_length(text.substr(0, end), viewport, Axis::diagonal);
        if (!length || *length < 0) return Applied::bad_value;
        lengths->push_back(*length);
        sum += *length;
        text = trimmed(text.substr(end));
        if (text.starts_with(',')) text.remove_prefix(1);
    }
    if (sum > 0) style.dashes = std::move(lengths);
    return Applied::yes;
}

Applied set_shift(Style& style, std::string_view text) {
    return change_text(style, [&](TextStyle& look) {
        if (text == "baseline") return true;
        if (text == "sub" || text == "super") {
            look.shift += style.font_size * (text == "sub" ? -0.2 : 0.33);
            return true;
        }
        const auto length = parse_length(text, {style.font_size, style.font_size, style.font_size}, Axis::y);
        if (length) look.shift += *length;
        return length.has_value();
    });
}

Applied set_spacing(Style& style, double TextStyle::*spacing, std::string_view text) {
    return change_text(style, [&](TextStyle& look) {
        const auto length =
            text == "normal" ? 0 : parse_length(text, {style.font_size, style.font_size, style.font_size}, Axis::x);
        if (length) look.*spacing = *length;
        return length.has_value();
    });
}

Applied set_colour(Style& style, std::string_view text) {
    if (lower(text) == "currentcolor") return Applied::yes;
    return set(style.colour, parse_colour(text));
}

Applied set_stop_colour(StopPaint& stop, std::string_view text) {
    stop.is_current = lower(text) == "currentcolor";
    return stop.is_current ? Applied::yes : set(stop.colour, parse_colour(text));
}

Applied set_clip(Style& style, std::string_view text) {
    const auto id = url_id(text);
    const bool shape = !id && parse_clip_shape(text, {}, geometry::Box{0, 0, 1, 1});
    style.clip = id.value_or("");
    style.clip_shape = shape ? text : "";
    return id || shape || text == "none" ? Applied::yes : Applied::unsupported;
}

/// What is not named comes behind what is, in the usual order: fill, stroke, markers.
Applied set_paint_order(Style& style, std::string_view text) {
    const auto place = [text](std::string_view layer) {
        const auto at = text.find(layer);
        return at == std::string_view::npos ? text.size() : at;
    };
    const bool named = text == "normal" || place("fill") + place("stroke") + place("markers") < 3 * text.size();
    style.stroke_under = place("stroke") < place("fill");
    style.markers_under = place("markers") < std::min(place("fill"), place("stroke"));
    return taken(named);
}

/// Other forms of letters change little and are not said.
Applied set_variant(Style& style, std::string_view text) {
    return change_text(style, [&](TextStyle& look) {
        look.small_capitals = text.find("small-caps") != std::string_view::npos;
        return true;
    });
}

/// Lines of the letters around stay: "none" only adds none of its own (CSS Text Decoration 3, section 2.1).
Applied set_decoration(TextStyle& look, std::string_view text) {
    bool known = text.find("none") != std::string_view::npos;
    for (const auto& [word, flag] : {std::pair(std::string_view("underline"), &look.underlined),
                                     std::pair(std::string_view("overline"), &look.overlined),
                                     std::pair(std::string_view("line-through"), &look.struck)})
        if (text.find(word) != std::string_view::npos) *flag = known = true;
    return taken(known);
}

Applied set_markers(Style& style, std::initializer_list<std::string Markers::*> places, std::string_view text) {
    const auto id = url_id(text);
    if (!id && text != "none") return Applied::unsupported;
    Markers changed = style.markers ? *style.markers : Markers();
    for (const auto place : places)
        changed.*place = id.value_or("");
    style.markers = std::make_shared<const Markers>(std::move(changed));
    return Applied::yes;
}

Applied set_paint(Paint& paint, const std::shared_ptr<const ContextPaint>& context, std::string_view text) {
    if (text != "context-fill" && text != "context-stroke") return set(paint, parse_paint(text));
    paint = !context ? Paint{} : text == "context-fill" ? context->fill : context->stroke;
    return Applied::yes;
}

Applied unless_at_rest(std::string_view value) {
    const bool at_rest = value == "none" || value == "normal" || value == "auto" || value == "0" || value.empty();
    return at_rest ? Applied::yes : Applied::unsupported;
}

Applied set_mask(Style& style, std::string_view text) {
    const auto id = url_id(text);
    style.mask = id.value_or("");
    return id ? Applied::yes : unless_at_rest(text);
}

Applied change_transform(Style& style, std::string OwnTransform::*which, std::string_view text) {
    OwnTransform changed = style.transform ? *style.transform : OwnTransform();
    changed.*which = text == "none" ? "" : text;
    style.transform = std::make_shared<const OwnTransform>(std::move(changed));
    return Applied::yes;
}

Applied set_transform_box(Style& style, std::string_view text) {
    OwnTransform changed = style.transform ? *style.transform : OwnTransform();
    changed.of_its_own_box =
        text == "fill-box" || text == "content-box" || text == "stroke-box" || text == "border-box";
    style.transform = std::make_shared<const OwnTransform>(std::move(changed));
    return taken(changed.of_its_own_box || text == "view-box");
}

using Setter = Applied (*)(Style&, std::string_view, const Viewport&);

// clang-format off
const std::unordered_map<std::string_view, Setter>& setters() {
    using V = const Viewport&;
    using T = std::string_view;
    static const std::unordered_map<std::string_view, Setter> table{
        {"fill", [](Style& s, T t, V) { return set_paint(s.fill, s.context, t); }},
        {"stroke", [](Style& s, T t, V) { return set_paint(s.stroke, s.context, t); }},
        {"fill-opacity", [](Style& s, T t, V) { return set(s.fill_opacity, parse_opacity(t)); }},
        {"stroke-opacity", [](Style& s, T t, V) { return set(s.stroke_opacity, parse_opacity(t)); }},
        {"opacity", [](Style& s, T t, V) {
            const auto own = parse_opacity(t);
            s.opacity *= own.value_or(1);
            s.unmixed *= own.value_or(1);
            return taken(own.has_value()); }},
        {"color", [](Style& s, T t, V) { return set_colour(s, t); }},
        {"stop-color", [](Style& s, T t, V) { return set_stop_colour(s.stop, t); }},
        {"stop-opacity", [](Style& s, T t, V) { return set(s.stop.opacity, parse_opacity(t)); }},
        {"fill-rule", [](Style& s, T t, V) { return set(s.rule, parse_rule(t)); }},
        {"clip-rule", [](Style& s, T t, V) { return set(s.clip_rule, parse_rule(t)); }},
        {"stroke-width", [](Style& s, T t, V v) { return set(s.pen.width, parse_length(t, v, Axis::diagonal)); }},
        {"stroke-linecap", [](Style& s, T t, V) {
            using enum geometry::LineCap;
            return set_word(s.pen.cap, t, {{"butt", butt}, {"round", round}, {"square", square}}); }},
        {"stroke-linejoin", [](Style& s, T t, V) {
            using enum geometry::LineJoin;
            return set_word(s.pen.join, t, {{"miter", miter}, {"miter-clip", miter}, {"arcs", miter},
                                            {"round", round}, {"bevel", bevel}}); }},
        {"stroke-miterlimit", [](Style& s, T t, V v) { return set(s.pen.miter_limit, parse_length(t, v, Axis::x)); }},
        {"stroke-dasharray", [](Style& s, T t, V v) { return set_dashes(s, t, v); }},
        {"stroke-dashoffset", [](Style& s, T t, V v) { return set(s.dash_offset, parse_length(t, v, Axis::diagonal)); }},
        {"visibility", [](Style& s, T t, V) {
            return set_word(s.visible, t, {{"visible", true}, {"hidden", false}, {"collapse", false}}); }},
        {"display", [](Style& s, T t, V) { s.displayed = t != "none"; return Applied::yes; }},
        {"overflow", [](Style& s, T t, V) { s.overflows = t == "visible" || t == "auto"; return Applied::yes; }},
        {"vector-effect", [](Style& s, T t, V) { s.fixed_stroke = t == "non-scaling-stroke"; return Applied::yes; }},
        {"transform", [](Style& s, T t, V) { return change_transform(s, &OwnTransform::transform, t); }},
        {"translate", [](Style& s, T t, V) { return change_transform(s, &OwnTransform::translate, t); }},
        {"rotate", [](Style& s, T t, V) { return change_transform(s, &OwnTransform::rotate, t); }},
        {"scale", [](Style& s, T t, V) { return change_transform(s, &OwnTransform::scale, t); }},
        {"transform-origin", [](Style& s, T t, V) { return change_transform(s, &OwnTransform::origin, t); }},
        {"transform-box", [](Style& s, T t, V) { return set_transform_box(s, t); }},
        {"clip-path", [](Style& s, T t, V) { return set_clip(s, t); }},
        {"font-size", [](Style& s, T t, V v) { return set(s.font_size, parse_font_size(t, v.font_size)); }},
        {"font", [](Style& s, T t, V) { return set_font(s, t); }},
        {"font-family", [](Style& s, T t, V) {
            return change_text(s, [&](TextStyle& look) {
                auto families = parse_families(t);
                if (!families.empty()) look.font.families = std::move(families);
                return true; }); }},
        {"font-weight", [](Style& s, T t, V) {
            return change_text(s, [&](TextStyle& look) { return set_weight(look.font.weight, t); }); }},
        {"font-style", [](Style& s, T t, V) {
            return change_text(s, [&](TextStyle& look) {
                look.font.slanted = t.starts_with("italic") || t.starts_with("oblique");
                return look.font.slanted || t == "normal"; }); }},
        {"font-stretch", [](Style& s, T t, V) {
            return change_text(s, [&](TextStyle& look) {
                return set_word(look.font.stretch, t,
                    {{"normal", 100}, {"ultra-condensed", 50}, {"extra-condensed", 62}, {"condensed", 75},
                     {"semi-condensed", 87}, {"semi-expanded", 112}, {"expanded", 125}, {"extra-expanded", 150},
                     {"ultra-expanded", 200}}) == Applied::yes; }); }},
        {"font-variant", [](Style& s, T t, V) { return set_variant(s, t); }},
        {"font-variant-caps", [](Style& s, T t, V) { return set_variant(s, t); }},
        {"text-anchor", [](Style& s, T t, V) {
            return change_text(s, [&](TextStyle& look) {
                using enum TextAnchor;
                return set_word(look.anchor, t, {{"start", start}, {"middle", middle}, {"end", end}})
                    == Applied::yes; }); }},
        {"letter-spacing", [](Style& s, T t, V) { return set_spacing(s, &TextStyle::letter_spacing, t); }},
        {"word-spacing", [](Style& s, T t, V) { return set_spacing(s, &TextStyle::word_spacing, t); }},
        {"baseline-shift", [](Style& s, T t, V) { return set_shift(s, t); }},
        {"dominant-baseline", [](Style& s, T t, V) {
            return change_text(s, [&](TextStyle& look) { look.baseline = t; return true; }); }},
        {"alignment-baseline", [](Style& s, T t, V) {
            return change_text(s, [&](TextStyle& look) { look.baseline = t; return true; }); }},
        {"white-space", [](Style& s, T t, V) {
            return change_text(s, [&](TextStyle& look) { look.keep_spaces = t.starts_with("pre"); return true; }); }},
        {"xml:space", [](Style& s, T t, V) {
            return change_text(s, [&](TextStyle& look) { look.keep_spaces = t == "preserve"; return true; }); }},
        {"mask", [](Style& s, T t, V) { return set_mask(s, t); }},
        {"mask-image", [](Style&, T t, V) { return unless_at_rest(t); }},
        {"filter", [](Style&, T t, V) { return unless_at_rest(t); }},
        {"backdrop-filter", [](Style&, T t, V) { return unless_at_rest(t); }},
        {"offset-path", [](Style&, T t, V) { return unless_at_rest(t); }},
        {"clip", [](Style&, T t, V) { return unless_at_rest(t); }},
        {"text-transform", [](Style&, T t, V) { return unless_at_rest(t); }},
        {"text-orientation", [](Style&, T t, V) { return t == "mixed" ? Applied::yes : unless_at_rest(t); }},
        {"color-interpolation", [](Style&, T t, V) { return t == "sRGB" ? Applied::yes : unless_at_rest(t); }},
        {"mix-blend-mode", [](Style&, T t, V) { return unless_at_rest(t); }},
        {"marker", [](Style& s, T t, V) {
            return set_markers(s, {&Markers::start, &Markers::mid, &Markers::end}, t); }},
        {"marker-start", [](Style& s, T t, V) { return set_markers(s, {&Markers::start}, t); }},
        {"marker-mid", [](Style& s, T t, V) { return set_markers(s, {&Markers::mid}, t); }},
        {"marker-end", [](Style& s, T t, V) { return set_markers(s, {&Markers::end}, t); }},
        {"paint-order", [](Style& s, T t, V) { return set_paint_order(s, t); }},
        {"text-decoration", [](Style& s, T t, V) {
            return change_text(s, [&](TextStyle& look) { return set_decoration(look, t) == Applied::yes; }); }},
        {"text-decoration-line", [](Style& s, T t, V) {
            return change_text(s, [&](TextStyle& look) { return set_decoration(look, t) == Applied::yes; }); }},
        {"direction", [](Style& s, T t, V) {
            return change_text(s, [&](TextStyle& look) {
                using enum Direction;
                return set_word(look.direction, t, {{"ltr", left_to_right}, {"rtl", right_to_left}})
                    == Applied::yes; }); }},
        {"unicode-bidi", [](Style& s, T t, V) {
            using enum Embedding;
            return set_word(s.embedding, t, {{"normal", none}, {"embed", embedded}, {"isolate", embedded},
                                             {"plaintext", embedded}, {"bidi-override", overridden},
                                             {"isolate-override", overridden}}); }},
        {"writing-mode", [](Style&, T t, V) {
            return t.starts_with("lr") || t.starts_with("rl") || t == "horizontal-tb" ? Applied::yes : Applied::unsupported; }},
    };
    return table;
}
// clang-format on

}  // namespace

std::shared_ptr<const TextStyle> Style::default_text() {
    static const auto text = std::make_shared<const TextStyle>();
    return text;
}

void Style::begin_element() {
    displayed = true;
    overflows = fixed_stroke = false;
    embedding = Embedding::none;
    stop_around = std::exchange(stop, {});
    clip.clear();
    clip_shape.clear();
    mask.clear();
    transform.reset();
}

Applied apply(Style& style, std::string_view property, std::string_view value, const Viewport& viewport) {
    const auto found = setters().find(property);
    if (found == setters().end()) return Applied::not_painting;
    value = trimmed(value);
    if (value == "inherit" && property == "stop-color") {
        style.stop.colour = style.stop_around.colour;
        style.stop.is_current = style.stop_around.is_current;
    }
    if (value == "inherit" && property == "stop-opacity") style.stop.opacity = style.stop_around.opacity;
    if (value == "inherit" || value == "unset" || value.empty()) return Applied::yes;
    return found->second(style, value, viewport);
}

}  // namespace chalkline::art::svg
