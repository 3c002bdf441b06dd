// SPDX-License-Identifier: GPL-3.0-or-later
#include "as_it_looks.hpp"

#include "compose/page_picture.hpp"

#include <fmt/format.h>

#include <cstdint>

namespace chalkline::art::svg {
namespace {

using geometry::Box;

void set(pugi::xml_node node, const char* name, const std::string& value) {
    pugi::xml_attribute attribute = node.attribute(name);
    if (!attribute) attribute = node.append_attribute(name);
    attribute.set_value(value.c_str());
}

std::string base64(std::string_view bytes) {
    static constexpr std::string_view digits = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/";
    std::string text;
    for (std::size_t i = 0; i < bytes.size(); i += 3) {
        std::uint32_t block = 0;
        for (std::size_t k = 0; k < 3; ++k)
            block = block << 8 | (i + k < bytes.size() ? static_cast<unsigned char>(bytes[i + k]) : 0U);
        for (std::size_t k = 0; k < 4; ++k)
            text += i + k <= bytes.size() ? digits[block >> (18 - 6 * k) & 63] : '=';
    }
    return text;
}

/// Files that were read beside the drawing go into it: the renderer looks at nothing outside.
void embed_linked(const Scene& scene, pugi::xml_node node) {
    for (pugi::xml_attribute attribute : node.attributes()) {
        const std::string_view name = attribute.name();
        if (name != "href" && !name.ends_with(":href")) continue;
        for (const LinkedFile& file : scene.art.linked)
            if (file.reference == attribute.value()) {
                attribute.set_value(("data:;base64," + base64(*file.bytes)).c_str());
                break;
            }
    }
    for (pugi::xml_node child : node.children())
        if (child.type() == pugi::node_element) embed_linked(scene, child);
}

void add_clip(pugi::xml_node root, const std::string& prefix, const std::string& id, const geometry::Region& area) {
    std::string data;
    for (const geometry::Polyline& ring : area.rings) {
        for (const geometry::Point& point : ring.points)
            data += fmt::format("{}{} {}", &point == ring.points.data() ? "M" : "L", point.x, point.y);
        data += "Z";
    }
    pugi::xml_node clip = root.append_child((prefix + "clipPath").c_str());
    set(clip, "id", id);
    pugi::xml_node path = clip.append_child((prefix + "path").c_str());
    set(path, "d", data);
    // Whatever the drawing's own sheets say of paths.
    set(path, "style",
        fmt::format("clip-rule:{} !important;transform:none !important;clip-path:none !important;"
                    "display:inline !important;visibility:visible !important",
                    area.rule == geometry::FillRule::even_odd ? "evenodd" : "nonzero"));
}

struct Text : pugi::xml_writer {
    std::string text;
    void write(const void* data, std::size_t size) override { text.append(static_cast<const char*>(data), size); }
};

}  // namespace

Result<void> draw_as_it_looks(const Scene& scene, const std::vector<pugi::xml_node>& thin_lines,
                              const std::vector<double>& box, const Box& page) {
    if (!scene.outside.renderer) return fail(error::not_rendered, {{"reason", "no renderer"}});
    pugi::xml_node root = scene.document.root();
    // An element that is used many times is written once.
    auto forced = scene.retold.values;
    for (const pugi::xml_node& element : thin_lines)
        forced[{element, "stroke"}] = "none";
    for (const auto& [of, value] : forced) {
        // librsvg 2.54 passes over a transform that is important.
        const char* weight = of.second == "transform" ? "" : " !important";
        set(of.first, "style",
            std::string(of.first.attribute("style").value()) + ";" + of.second + ":" + value + weight);
    }
    const std::string_view root_name = root.name();
    const std::string prefix(root_name.substr(0, root_name.size() - 3));  // "" or "svg:"
    for (const auto& [id, area] : scene.retold.clips)
        add_clip(root, prefix, id, area);
    if (!scene.art.linked.empty()) embed_linked(scene, root);
    if (const std::string& css = scene.document.linked_css(); !css.empty())
        root.prepend_child((prefix + "style").c_str()).text().set(css.c_str());
    // What letters are when nothing is said of them differs from renderer to renderer.
    for (const auto& [property, value] : {std::pair("font-family", "sans-serif"), std::pair("font-size", "16px")})
        if (!root.attribute(property)) set(root, property, value);
    set(root, "width", fmt::format("{}px", page.width()));
    set(root, "height", fmt::format("{}px", page.height()));
    set(root, "viewBox", fmt::format("{} {} {} {}", box[0], box[1], box[2], box[3]));
    if (!root.attribute("xmlns") && std::string_view(root.name()) == "svg")
        set(root, "xmlns", "http://www.w3.org/2000/svg");
    Text text;
    root.print(text, "", pugi::format_raw);
    const double dots_a_px = mm_per_px * scene.options.scale / *scene.options.as_picture;
    return become_picture(scene.art, page, true, dots_a_px, [&](cairo_t* onto, double width, double height) {
        return scene.outside.renderer->draw_svg(text.text, width, height, onto);
    });
}

}  // namespace chalkline::art::svg
