// SPDX-License-Identifier: GPL-3.0-or-later
// The XML of a drawing with what is looked up in it: ids, style sheets, line numbers.
#pragma once
#include "sheet.hpp"

#include <chalkline/base/result.hpp>

#include <pugixml.hpp>

#include <functional>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <unordered_map>
#include <vector>

namespace chalkline::art::svg {

/// The text of a style sheet beside the drawing, by the reference to it; nothing when it cannot be had.
using SheetBeside = std::function<std::optional<std::string>(std::string_view reference)>;

class Document {
 public:
    /// Errors: broken_xml {reason}, not_svg {root}.
    static Result<std::unique_ptr<Document>> parse(std::string_view bytes, const std::string& name,
                                                   const SheetBeside& sheet_beside);

    pugi::xml_node root() const { return root_; }
    /// The element with this id; empty when there is none.
    pugi::xml_node by_id(const std::string& id) const;
    /// The element a "#id" reference names; empty when it leads nowhere or out of the file.
    pugi::xml_node referred(std::string_view reference) const;
    const Sheet& sheet() const { return sheet_; }
    /// The sheets beside the drawing, one after the other.
    const std::string& linked_css() const { return linked_css_; }
    /// References to sheets that could not be had.
    const std::vector<std::string>& sheets_missing() const { return sheets_missing_; }
    int rules_left_out() const { return rules_left_out_; }
    /// References to entities that could not be replaced by their text.
    int entities_left() const { return entities_left_; }
    int line_of(const pugi::xml_node& node) const;
    /// Share of the file that lies before the node, 0…1.
    double share_before(const pugi::xml_node& node) const;

 private:
    Document() = default;
    void collect();
    /// Reads the sheets named before the root (xml-stylesheet, W3C 2010) and by link elements.
    void read_linked_sheets(const SheetBeside& sheet_beside);
    pugi::xml_document xml_;
    pugi::xml_node root_;
    std::unordered_map<std::string, pugi::xml_node> ids_;
    Sheet sheet_;
    std::string linked_css_;
    std::vector<std::string> sheets_missing_;
    int rules_left_out_ = 0;
    int entities_left_ = 0;
    std::vector<std::size_t> line_ends_;
    std::size_t size_ = 0;
};

/// Attribute by its local name: `href` as well as `xlink:href`.
std::string_view reference_of(const pugi::xml_node& element);

}  // namespace chalkline::art::svg
