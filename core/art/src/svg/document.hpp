// SPDX-License-Identifier: GPL-3.0-or-later
// The XML of a drawing with what is looked up in it: ids, style sheets, line numbers.
#pragma once
#include "sheet.hpp"

#include <chalkline/base/result.hpp>

#include <pugixml.hpp>

#include <memory>
#include <string>
#include <string_view>
#include <unordered_map>
#include <vector>

namespace chalkline::art::svg {

class Document {
 public:
    /// Errors: broken_xml {reason}, not_svg {root}.
    static Result<std::unique_ptr<Document>> parse(std::string_view bytes, const std::string& name);

    pugi::xml_node root() const { return root_; }
    /// The element with this id; empty when there is none.
    pugi::xml_node by_id(const std::string& id) const;
    /// The element a "#id" reference names; empty when it leads nowhere or out of the file.
    pugi::xml_node referred(std::string_view reference) const;
    const Sheet& sheet() const { return sheet_; }
    int rules_left_out() const { return rules_left_out_; }
    /// References to entities that could not be replaced by their text.
    int entities_left() const { return entities_left_; }
    int line_of(const pugi::xml_node& node) const;
    /// Share of the file that lies before the node, 0…1.
    double share_before(const pugi::xml_node& node) const;

 private:
    Document() = default;
    void collect();
    pugi::xml_document xml_;
    pugi::xml_node root_;
    std::unordered_map<std::string, pugi::xml_node> ids_;
    Sheet sheet_;
    int rules_left_out_ = 0;
    int entities_left_ = 0;
    std::vector<std::size_t> line_ends_;
    std::size_t size_ = 0;
};

/// Attribute by its local name: `href` as well as `xlink:href`.
std::string_view reference_of(const pugi::xml_node& element);

}  // namespace chalkline::art::svg
