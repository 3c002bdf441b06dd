// SPDX-License-Identifier: GPL-3.0-or-later
#include "document.hpp"

#include "entities.hpp"

#include <chalkline/art/reader.hpp>

#include <algorithm>

namespace chalkline::art::svg {
namespace {

std::vector<std::size_t> ends_of_lines(std::string_view text) {
    std::vector<std::size_t> ends;
    for (std::size_t i = 0; i < text.size(); ++i)
        if (text[i] == '\n') ends.push_back(i);
    return ends;
}

int line_at(const std::vector<std::size_t>& ends, std::ptrdiff_t offset) {
    if (offset < 0) return 0;
    const auto found = std::lower_bound(ends.begin(), ends.end(), static_cast<std::size_t>(offset));
    return static_cast<int>(found - ends.begin()) + 1;
}

/// The value of a pseudo attribute: "x.css" of `href="x.css" type="text/css"`.
std::string_view pseudo_attribute(std::string_view text, std::string_view name) {
    for (auto at = text.find(name); at != std::string_view::npos; at = text.find(name, at + 1)) {
        const auto equals = text.find_first_not_of(" \t\r\n", at + name.size());
        if (equals == std::string_view::npos || text[equals] != '=') continue;
        const auto open = text.find_first_of("\"'", equals);
        const auto close = open == std::string_view::npos ? open : text.find(text[open], open + 1);
        return close == std::string_view::npos ? std::string_view() : text.substr(open + 1, close - open - 1);
    }
    return {};
}

}  // namespace

Result<std::unique_ptr<Document>> Document::parse(std::string_view bytes, const std::string& name,
                                                  const SheetBeside& sheet_beside) {
    std::unique_ptr<Document> document(new Document);
    ExpandedText expanded;
    if (bytes.find("<!ENTITY") != std::string_view::npos) {
        expanded = expand_entities(bytes);
        document->entities_left_ = expanded.left;
        bytes = expanded.text;
    }
    document->size_ = bytes.size();
    document->line_ends_ = ends_of_lines(bytes);
    // Blanks between tspans are letters; everywhere else they would only cost memory.
    const bool has_text =
        bytes.find("<text") != std::string_view::npos || bytes.find(":text") != std::string_view::npos;
    const unsigned how =
        pugi::parse_default | pugi::parse_doctype | pugi::parse_pi | (has_text ? pugi::parse_ws_pcdata : 0u);
    const auto parsed = document->xml_.load_buffer(bytes.data(), bytes.size(), how);
    if (!parsed)
        return fail(error::broken_xml, {{"reason", parsed.description()}}, name,
                    line_at(document->line_ends_, parsed.offset));
    for (const pugi::xml_node& node : document->xml_.children())
        if (node.type() == pugi::node_element && !document->root_) document->root_ = node;
    if (local_name(document->root_) != "svg") return fail(error::not_svg, {{"root", document->root_.name()}}, name);
    if (bytes.find("stylesheet") != std::string_view::npos) document->read_linked_sheets(sheet_beside);
    document->collect();
    return document;
}

void Document::read_linked_sheets(const SheetBeside& sheet_beside) {
    const auto add = [&](std::string_view reference, std::string_view type) {
        if (reference.empty() || (!type.empty() && type != "text/css")) return;
        if (auto css = sheet_beside(reference))
            linked_css_ += *css + "\n";
        else
            sheets_missing_.emplace_back(reference.substr(0, 200));
    };
    for (const pugi::xml_node& node : xml_.children())
        if (node.type() == pugi::node_pi && std::string_view(node.name()) == "xml-stylesheet")
            add(pseudo_attribute(node.value(), "href"), pseudo_attribute(node.value(), "type"));
    for (const pugi::xpath_node& link : root_.select_nodes("//*[local-name()='link'][@rel='stylesheet']"))
        add(reference_of(link.node()), link.node().attribute("type").value());
    if (!linked_css_.empty()) rules_left_out_ += sheet_.add(linked_css_);
}

void Document::collect() {
    struct Walker : pugi::xml_tree_walker {
        Document* document;
        bool for_each(pugi::xml_node& node) override {
            if (node.type() != pugi::node_element) return true;
            if (const auto id = node.attribute("id")) document->ids_.try_emplace(id.value(), node);
            if (local_name(node) == "style") {
                std::string css;
                for (const auto& part : node.children())
                    css += part.value();
                document->rules_left_out_ += document->sheet_.add(css);
            }
            return true;
        }
    } walker;
    walker.document = this;
    if (const auto id = root_.attribute("id")) ids_.try_emplace(id.value(), root_);
    root_.traverse(walker);
}

pugi::xml_node Document::by_id(const std::string& id) const {
    const auto found = ids_.find(id);
    return found == ids_.end() ? pugi::xml_node() : found->second;
}

pugi::xml_node Document::referred(std::string_view reference) const {
    return reference.starts_with('#') ? by_id(std::string(reference.substr(1))) : pugi::xml_node();
}

int Document::line_of(const pugi::xml_node& node) const {
    return line_at(line_ends_, node.offset_debug());
}

double Document::share_before(const pugi::xml_node& node) const {
    return size_ == 0
               ? 0
               : static_cast<double>(std::max<std::ptrdiff_t>(0, node.offset_debug())) / static_cast<double>(size_);
}

std::string_view reference_of(const pugi::xml_node& element) {
    for (const pugi::xml_attribute& attribute : element.attributes()) {
        const std::string_view name = attribute.name();
        if (name == "href" || name.ends_with(":href")) return attribute.value();
    }
    return {};
}

}  // namespace chalkline::art::svg
