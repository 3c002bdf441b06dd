// SPDX-License-Identifier: GPL-3.0-or-later
#include "svg_style.hpp"

#include <algorithm>
#include <array>

namespace chalkline::art::svg {
namespace {

std::optional<Paint> parse_paint(std::string_view text) {
    text = trimmed(text);
    if (text == "none") return Paint{};
    if (text == "currentColor" || text == "currentcolor") return Paint{Paint::Kind::current_colour, {}, {}, {}};
    if (text.starts_with("url(")) {
        const auto close = text.find(')');
        if (close == std::string_view::npos) return {};
        auto id = trimmed(text.substr(4, close - 4));
        if (!id.empty() && (id[0] == '"' || id[0] == '\'')) id = id.substr(1, id.size() - 2);
        if (id.starts_with('#')) id.remove_prefix(1);
        return Paint{Paint::Kind::reference, {}, std::string(id), parse_colour(text.substr(close + 1))};
    }
    const auto colour = parse_colour(text);
    if (!colour) return {};
    return Paint{Paint::Kind::colour, *colour, {}, {}};
}

std::optional<double> parse_opacity(std::string_view text) {
    text = trimmed(text);
    const bool percent = is_percentage(text);
    Scanner scan(text);
    const auto value = scan.number();
    if (!value) return {};
    return std::clamp(percent ? *value / 100 : *value, 0.0, 1.0);
}

Applied set_number(double& target, std::string_view text) {
    const auto value = parse_opacity(text);
    if (!value) return Applied::bad_value;
    target = *value;
    return Applied::yes;
}

Applied set_paint(Paint& target, std::string_view text) {
    const auto paint = parse_paint(text);
    if (!paint) return Applied::bad_value;
    target = *paint;
    return Applied::yes;
}

/// Properties that would change the drawn shape and that we do not reproduce, unless they are at rest.
constexpr std::array unsupported{"clip-path", "mask",         "filter",     "stroke-dasharray", "mix-blend-mode",
                                 "marker",    "marker-start", "marker-mid", "marker-end"};

}  // namespace

Applied apply(Style& style, std::string_view property, std::string_view value) {
    value = trimmed(value);
    if (value == "inherit") return Applied::yes;
    if (property == "fill") return set_paint(style.fill, value);
    if (property == "stroke") return set_paint(style.stroke, value);
    if (property == "fill-opacity") return set_number(style.fill_opacity, value);
    if (property == "stroke-opacity") return set_number(style.stroke_opacity, value);
    if (property == "opacity") {
        double own = 1;
        const Applied result = set_number(own, value);
        style.opacity *= own;
        return result;
    }
    if (property == "color") {
        const auto colour = parse_colour(value);
        if (!colour) return value == "currentColor" ? Applied::yes : Applied::bad_value;
        style.colour = *colour;
        return Applied::yes;
    }
    if (property == "fill-rule") {
        if (value != "evenodd" && value != "nonzero") return Applied::bad_value;
        style.rule = value == "evenodd" ? geometry::FillRule::even_odd : geometry::FillRule::non_zero;
        return Applied::yes;
    }
    if (property == "stroke-width") {
        if (!parse_length(value, {}, Axis::diagonal)) return Applied::bad_value;
        style.stroke_width = value;
        return Applied::yes;
    }
    if (property == "visibility") {
        style.visible = value == "visible";
        return Applied::yes;
    }
    if (property == "display") {
        style.displayed = value != "none";
        return Applied::yes;
    }
    const bool at_rest = value == "none" || value == "normal" || value == "0" || value.empty();
    if (std::find(unsupported.begin(), unsupported.end(), property) != unsupported.end() && !at_rest)
        return Applied::unsupported;
    return Applied::not_painting;
}

}  // namespace chalkline::art::svg
