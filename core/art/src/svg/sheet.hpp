// SPDX-License-Identifier: GPL-3.0-or-later
// Style sheets of SVG: selectors of types, classes, ids, attributes, places among siblings and what is not, with all
// four combinators (Selectors Level 3, without pseudo elements, namespaces and states of a page in use).
#pragma once
#include <pugixml.hpp>

#include <optional>
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
    enum class Relation { descendant, child, next_sibling, later_sibling };
    struct Attribute {
        std::string name;
        char how =
            0;  ///< 0: present; '=': is; '~': a word of it; '|': it or its first part; '^' '$' '*': begins, ends, holds
        std::string value;
    };
    struct Compound;
    /// A place among the siblings, counted from 1: step·n + offset for some n ≥ 0; or what the element is not.
    struct Pseudo {
        enum class Kind { child, last_child, of_type, last_of_type, root, empty, negation } kind = Kind::child;
        int step = 0, offset = 1;
        std::vector<Compound> inside{};  ///< negation: none of these matches
    };
    struct Compound {
        std::string type{}, id{};
        std::vector<std::string> classes{};
        std::vector<Attribute> attributes{};
        std::vector<Pseudo> pseudos{};
        Relation relation = Relation::descendant;  ///< to the part to its left
    };
    struct Rule {
        std::vector<Compound> selector;  ///< left to right
        int specificity;
        std::vector<Declaration> declarations;
    };
    bool add_selector(std::string_view selector, const std::vector<Declaration>& declarations);
    static std::optional<Compound> take_compound(std::string_view& text, int& specificity);
    static std::optional<Pseudo> take_pseudo(std::string_view& text, int& specificity);
    static bool matches(const Compound& part, const pugi::xml_node& element);
    static bool matches(const Pseudo& pseudo, const pugi::xml_node& element);
    /// The parts up to `last` match, the last of them this element.
    static bool matches(const Rule& rule, std::size_t last, const pugi::xml_node& element, int& steps);
    void index_rules();
    std::vector<Rule> rules_;  ///< by specificity, then order
    /// Places in `rules_` by what their last part asks for: "#id", ".class", a type, or "" for anything.
    std::unordered_map<std::string, std::vector<std::size_t>> index_;
};

/// The part of a name after the namespace prefix.
std::string_view local_name(const pugi::xml_node& element);

}  // namespace chalkline::art::svg
