// SPDX-License-Identifier: GPL-3.0-or-later
#include "scene.hpp"

#include <chalkline/geometry/combine.hpp>

namespace chalkline::art::svg {
namespace {

using geometry::Box;
using geometry::Region;

bool is_upright_rectangle(const Region& region, const Box& box) {
    if (region.rings.size() != 1 || region.rings[0].points.size() != 4) return false;
    return std::abs(std::abs(geometry::signed_area(region.rings[0])) - box.width() * box.height()) <
           1e-6 * (1 + box.width() * box.height());
}

void set(const Scene& scene, Style& style, const pugi::xml_node& element, std::string_view property,
         std::string_view value, const Viewport& viewport) {
    switch (apply(style, property, value, viewport)) {
        case Applied::yes:
        case Applied::not_painting:
            break;
        case Applied::bad_value:
            scene.notes.add(notice::bad_value, element, {{"property", std::string(property)}});
            break;
        case Applied::unsupported:
            scene.notes.add(notice::unsupported, element, {{"feature", std::string(property)}});
            break;
    }
}

/// Property and value, the last statement of each winning.
class Winners {
 public:
    void add(std::string_view property, std::string_view value) {
        for (auto& [name, kept] : list_)
            if (name == property) {
                kept = value;
                return;
            }
        list_.emplace_back(property, value);
    }
    const std::vector<std::pair<std::string_view, std::string_view>>& list() const { return list_; }

 private:
    std::vector<std::pair<std::string_view, std::string_view>> list_;
};

/// The value with every "var(--name, otherwise)" in it replaced; nothing where a name is unknown and nothing stands in
/// its place. References may lead to references, so deep and no deeper.
std::optional<std::string> replaced(std::string_view value, const Style& style, int depth = 0) {
    constexpr int deepest = 12;
    constexpr std::size_t longest = 10'000;
    std::string result;
    while (true) {
        const auto at = value.find("var(");
        result += value.substr(0, at);
        if (at == std::string_view::npos) return result;
        if (depth > deepest || result.size() > longest) return {};
        std::size_t end = at + 4;
        for (int open = 1; end < value.size(); ++end) {
            open += value[end] == '(' ? 1 : value[end] == ')' ? -1 : 0;
            if (open == 0) break;
        }
        if (end >= value.size()) return {};
        const std::string_view inside = value.substr(at + 4, end - at - 4);
        const auto comma = inside.find(',');
        const std::string name(trimmed(inside.substr(0, comma)));
        std::optional<std::string> found;
        if (style.variables)
            if (const auto known = style.variables->find(name); known != style.variables->end()) found = known->second;
        if (!found && comma != std::string_view::npos) found = std::string(trimmed(inside.substr(comma + 1)));
        if (found) found = replaced(*found, style, depth + 1);
        if (!found) return {};
        result += *found;
        value.remove_prefix(end + 1);
    }
}

}  // namespace

std::shared_ptr<const Clip> clipped_to(const std::shared_ptr<const Clip>& before, Region region) {
    Clip clip;
    clip.region = before ? geometry::intersection(before->region, region) : std::move(region);
    clip.box = geometry::bounds(clip.region.rings);
    clip.rectangle = is_upright_rectangle(clip.region, clip.box);
    return std::make_shared<const Clip>(std::move(clip));
}

void Notes::add(std::string_view code, const pugi::xml_node& where, Parameters parameters) {
    RemarkBook::add(code, document_.line_of(where), std::move(parameters));
}

void cascade(const Scene& scene, const pugi::xml_node& element, Style& style, const Viewport& viewport) {
    Winners winners;
    std::vector<Declaration> own;
    for (const pugi::xml_attribute& attribute : element.attributes()) {
        const std::string_view name = attribute.name();
        if (name == "style")
            own = parse_declarations(attribute.value());
        else if (name != "d" && name != "class" && name != "points" && name != "rotate" && name != "scale")
            winners.add(name, attribute.value());
    }
    const auto rules =
        scene.document.sheet().empty() ? std::vector<const Declaration*>() : scene.document.sheet().matching(element);
    for (const bool important : {false, true}) {
        for (const Declaration* declaration : rules)
            if (declaration->important == important) winners.add(declaration->property, declaration->value);
        for (const Declaration& declaration : own)
            if (declaration.important == important) winners.add(declaration.property, declaration.value);
    }
    style.begin_element();
    std::map<std::string, std::string> variables;
    for (const auto& [property, value] : winners.list())
        if (property.starts_with("--")) variables[std::string(property)] = trimmed(value);
    if (!variables.empty()) {
        if (style.variables) variables.insert(style.variables->begin(), style.variables->end());
        style.variables = std::make_shared<const std::map<std::string, std::string>>(std::move(variables));
    }
    const auto set_replaced = [&](std::string_view property, std::string_view value, const Viewport& here) {
        if (value.find("var(") == std::string_view::npos) return set(scene, style, element, property, value, here);
        const auto text = replaced(value, style);
        if (!text) return;
        set(scene, style, element, property, *text, here);
        if (scene.options.as_picture) scene.retold.values[{element, std::string(property)}] = *text;
    };
    // Lengths in em need the font size, so that comes first and is itself relative to the parent's.
    Viewport here = viewport;
    here.font_size = style.font_size;
    for (const auto& [property, value] : winners.list())
        if (property == "font-size" || property == "font") set_replaced(property, value, here);
    here.font_size = style.font_size;
    for (const auto& [property, value] : winners.list())
        if (property != "font-size" && property != "font") set_replaced(property, value, here);
}

Style inherited_style(const Scene& scene, const pugi::xml_node& element, const Viewport& viewport) {
    std::vector<pugi::xml_node> around;
    for (pugi::xml_node node = element.parent(); node.type() == pugi::node_element; node = node.parent())
        around.push_back(node);
    Artwork unsaid;
    Notes silence(scene.document, unsaid);
    const Scene quiet{scene.document, scene.art,     scene.composer, silence,
                      scene.options,  scene.outside, scene.effort,   scene.retold};
    Style style;
    for (auto node = around.rbegin(); node != around.rend(); ++node) {
        cascade(quiet, *node, style, viewport);
        style.opacity = style.unmixed = 1;  // a group's own, which what refers to the element does not stand in
    }
    return style;
}

double measure(const Scene& scene, const pugi::xml_node& element, const char* name, const Viewport& viewport, Axis axis,
               double otherwise) {
    const std::string_view text = element.attribute(name).value();
    if (text.empty() || text == "auto") return otherwise;
    const auto value = parse_length(text, viewport, axis);
    if (!value) scene.notes.add(notice::bad_value, element, {{"property", name}});
    return value.value_or(otherwise);
}

}  // namespace chalkline::art::svg
