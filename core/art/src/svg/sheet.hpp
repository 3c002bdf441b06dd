// SPDX-License-Identifier: GPL-3.0-or-later
// Style sheets inside SVG: enough of CSS 2 to cascade properties (type, class, id, universal,
// attribute; descendant and child).
#pragma once
#include <pugixml.hpp>

#include <string>
#include <string_view>
#include <unordered_map>
#include <utility>
#include <vector>

namespace chalkline::art::svg {

struct Declaration {
    std::string property, value;
    bool important = false;
};

/// "fill:red; stroke:none" as declarations, in order.
std::vector<Declaration> parse_declarations(std::string_view text);

class Sheet {
 public:
    /// Adds the rules of one <style> element. Returns how many rules were not understood (left out).
    int add(std::string_view css);
    /// Declarations that apply to the element, weakest first.
    std::vector<const Declaration*> matching(const pugi::xml_node& element) const;
    bool empty() const { return rules_.empty(); }

 private:
    struct Compound {
        std::string type, id;
        std::vector<std::string> classes;
        std::vector<std::pair<std::string, std::string>> attributes;  ///< an empty value: only present
        bool child = false;  ///< must be the parent of the part to its right, not just any ancestor
    };
    struct Rule {
        std::vector<Compound> selector;  ///< left to right
        int specificity;
        std::vector<Declaration> declarations;
    };
    bool add_selector(std::string_view selector, const std::vector<Declaration>& declarations);
    static bool matches(const Compound& part, const pugi::xml_node& element);
    static bool matches(const Rule& rule, const pugi::xml_node& element);
    void index_rules();
    std::vector<Rule> rules_;  ///< by specificity, then order
    /// Places in `rules_` by what their last part asks for: "#id", ".class", a type, or "" for anything.
    std::unordered_map<std::string, std::vector<std::size_t>> index_;
};

/// The part of a name after the namespace prefix.
std::string_view local_name(const pugi::xml_node& element);

}  // namespace chalkline::art::svg
