// SPDX-License-Identifier: GPL-3.0-or-later
#include "sheet.hpp"

#include "grammar.hpp"

#include <algorithm>

namespace chalkline::art::svg {
namespace {

std::string without_comments(std::string_view css) {
    std::string clean;
    while (!css.empty()) {
        const auto open = css.find("/*");
        clean += css.substr(0, open);
        if (open == std::string_view::npos) break;
        const auto close = css.find("*/", open + 2);
        css.remove_prefix(close == std::string_view::npos ? css.size() : close + 2);
    }
    return clean;
}

/// Calls `piece` for each part of `text` between separators.
template <class Piece>
void split(std::string_view text, char separator, Piece piece) {
    while (!text.empty()) {
        const auto end = text.find(separator);
        piece(trimmed(text.substr(0, end)));
        if (end == std::string_view::npos) break;
        text.remove_prefix(end + 1);
    }
}

/// Calls `word` for each part between white space.
template <class Word>
void split_words(std::string_view text, Word word) {
    while (!(text = trimmed(text)).empty()) {
        const auto end = std::min(text.find_first_of(" \t\n\r\f"), text.size());
        word(text.substr(0, end));
        text.remove_prefix(end);
    }
}

bool has_class(std::string_view list, std::string_view wanted) {
    bool found = false;
    split_words(list, [&](std::string_view name) { found = found || name == wanted; });
    return found;
}

bool is_name(char c) {
    return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || (c >= '0' && c <= '9') || c == '-' || c == '_' ||
           static_cast<unsigned char>(c) >= 0x80;
}

std::string_view take_name(std::string_view& text) {
    std::size_t n = 0;
    while (n < text.size() && is_name(text[n]))
        ++n;
    const auto name = text.substr(0, n);
    text.remove_prefix(n);
    return name;
}

}  // namespace

std::string_view local_name(const pugi::xml_node& element) {
    const std::string_view name = element.name();
    const auto colon = name.find(':');
    return colon == std::string_view::npos ? name : name.substr(colon + 1);
}

std::vector<Declaration> parse_declarations(std::string_view text) {
    std::vector<Declaration> list;
    split(text, ';', [&](std::string_view declaration) {
        const auto colon = declaration.find(':');
        if (colon == std::string_view::npos) return;
        auto value = declaration.substr(colon + 1);
        const auto mark = value.find('!');
        const bool important = mark != std::string_view::npos;
        if (important) value = value.substr(0, mark);
        list.push_back({std::string(trimmed(declaration.substr(0, colon))), std::string(trimmed(value)), important});
    });
    return list;
}

int Sheet::add(std::string_view css) {
    const std::string clean = without_comments(css);
    std::string_view rest = clean;
    int left_out = 0;
    while (true) {
        rest = trimmed(rest);
        if (rest.starts_with("<!--")) rest.remove_prefix(4);
        const auto open = rest.find('{');
        if (open == std::string_view::npos) break;
        const auto selectors = trimmed(rest.substr(0, open));
        if (selectors.starts_with('@')) {  // an at-rule with its whole block, or a statement up to ';'
            ++left_out;
            const auto semicolon = rest.find(';');
            if (semicolon < open) {
                rest.remove_prefix(semicolon + 1);
                continue;
            }
            int depth = 0;
            std::size_t i = open;
            for (; i < rest.size(); ++i) {
                depth += rest[i] == '{' ? 1 : rest[i] == '}' ? -1 : 0;
                if (depth == 0) break;
            }
            rest.remove_prefix(std::min(rest.size(), i + 1));
            continue;
        }
        const auto close = rest.find('}', open);
        const auto body = rest.substr(open + 1, close == std::string_view::npos ? close : close - open - 1);
        const auto declarations = parse_declarations(body);
        split(selectors, ',', [&](std::string_view selector) { left_out += !add_selector(selector, declarations); });
        rest.remove_prefix(close == std::string_view::npos ? rest.size() : close + 1);
    }
    std::stable_sort(rules_.begin(), rules_.end(),
                     [](const Rule& a, const Rule& b) { return a.specificity < b.specificity; });
    index_rules();
    return left_out;
}

void Sheet::index_rules() {
    index_.clear();
    for (std::size_t i = 0; i < rules_.size(); ++i) {
        const Compound& last = rules_[i].selector.back();
        std::string key = last.type;
        if (!last.classes.empty()) key = "." + last.classes[0];
        if (!last.id.empty()) key = "#" + last.id;
        index_[key].push_back(i);
    }
}

bool Sheet::add_selector(std::string_view text, const std::vector<Declaration>& declarations) {
    Rule rule{{}, 0, declarations};
    bool child = false;
    while (!(text = trimmed(text)).empty()) {
        if (text[0] == '>') {
            if (rule.selector.empty()) return false;
            child = true;
            text.remove_prefix(1);
            continue;
        }
        Compound part;
        if (child) rule.selector.back().child = true;
        child = false;
        const std::size_t before = text.size();
        if (text[0] == '*')
            text.remove_prefix(1);
        else if (const auto type = take_name(text); !type.empty()) {
            part.type = type;
            rule.specificity += 1;
        }
        while (!text.empty() && (text[0] == '.' || text[0] == '#')) {
            const bool id = text[0] == '#';
            text.remove_prefix(1);
            const std::string name(take_name(text));
            if (name.empty()) return false;
            id ? void(part.id = name) : part.classes.push_back(name);
            rule.specificity += id ? 10000 : 100;
        }
        while (text.starts_with('[')) {
            const auto close = text.find(']');
            if (close == std::string_view::npos) return false;
            auto inside = text.substr(1, close - 1);
            text.remove_prefix(close + 1);
            const std::string name(take_name(inside));
            if (name.empty() || (!inside.empty() && inside[0] != '=')) return false;
            if (!inside.empty()) inside = trimmed(inside.substr(1));
            if (inside.size() > 1 && (inside[0] == '"' || inside[0] == '\''))
                inside = inside.substr(1, inside.size() - 2);
            part.attributes.emplace_back(name, inside);
            rule.specificity += 100;
        }
        if (text.size() == before) return false;  // a pseudo selector
        if (!text.empty() && text[0] != ' ' && text[0] != '>' && text[0] != '\n' && text[0] != '\t') return false;
        rule.selector.push_back(std::move(part));
    }
    if (rule.selector.empty() || child) return false;
    rules_.push_back(std::move(rule));
    return true;
}

bool Sheet::matches(const Compound& part, const pugi::xml_node& element) {
    if (element.type() != pugi::node_element) return false;
    if (!part.type.empty() && part.type != local_name(element)) return false;
    if (!part.id.empty() && part.id != element.attribute("id").value()) return false;
    for (const auto& [name, value] : part.attributes) {
        const auto attribute = element.attribute(name.c_str());
        if (!attribute || (!value.empty() && value != attribute.value())) return false;
    }
    const std::string_view classes = element.attribute("class").value();
    return std::all_of(part.classes.begin(), part.classes.end(),
                       [&](const std::string& name) { return has_class(classes, name); });
}

bool Sheet::matches(const Rule& rule, const pugi::xml_node& element) {
    if (!matches(rule.selector.back(), element)) return false;
    pugi::xml_node at = element.parent();
    for (auto part = rule.selector.rbegin() + 1; part != rule.selector.rend(); ++part) {
        if (part->child) {
            if (!matches(*part, at)) return false;
        } else {
            while (at && !matches(*part, at))
                at = at.parent();
            if (!at) return false;
        }
        at = at.parent();
    }
    return true;
}

std::vector<const Declaration*> Sheet::matching(const pugi::xml_node& element) const {
    std::vector<std::size_t> candidates;
    const auto consider = [&](const std::string& key) {
        if (const auto found = index_.find(key); found != index_.end())
            candidates.insert(candidates.end(), found->second.begin(), found->second.end());
    };
    consider("");
    consider(std::string(local_name(element)));
    if (const auto id = element.attribute("id")) consider("#" + std::string(id.value()));
    split_words(element.attribute("class").value(), [&](std::string_view name) { consider("." + std::string(name)); });
    std::sort(candidates.begin(), candidates.end());
    candidates.erase(std::unique(candidates.begin(), candidates.end()), candidates.end());
    std::vector<const Declaration*> found;
    for (const std::size_t i : candidates)
        if (matches(rules_[i], element))
            for (const Declaration& declaration : rules_[i].declarations)
                found.push_back(&declaration);
    return found;
}

}  // namespace chalkline::art::svg
