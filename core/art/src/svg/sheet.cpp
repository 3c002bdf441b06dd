// SPDX-License-Identifier: GPL-3.0-or-later
#include "sheet.hpp"

#include "grammar.hpp"

#include <algorithm>
#include <array>
#include <charconv>
#include <iterator>
#include <map>

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

/// The selectors of a list; what stands in brackets belongs together.
template <class Piece>
void split_selectors(std::string_view text, Piece piece) {
    int depth = 0;
    std::size_t begin = 0;
    for (std::size_t i = 0; i < text.size(); ++i) {
        depth += text[i] == '(' || text[i] == '[' ? 1 : text[i] == ')' || text[i] == ']' ? -1 : 0;
        if (text[i] != ',' || depth > 0) continue;
        piece(trimmed(text.substr(begin, i - begin)));
        begin = i + 1;
    }
    piece(trimmed(text.substr(begin)));
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
        split_selectors(selectors,
                        [&](std::string_view selector) { left_out += !add_selector(selector, declarations); });
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

/// The bracket that closes the one the text begins with.
static std::size_t closing(std::string_view text) {
    int depth = 0;
    for (std::size_t i = 0; i < text.size(); ++i) {
        depth += text[i] == '(' ? 1 : text[i] == ')' ? -1 : 0;
        if (depth == 0) return i;
    }
    return std::string_view::npos;
}

/// Reads "[name]", "[name=value]", "[name^='value']" and the like.
static std::optional<std::array<std::string, 3>> take_attribute(std::string_view& text) {
    const auto close = text.find(']');
    if (close == std::string_view::npos) return {};
    auto inside = trimmed(text.substr(1, close - 1));
    text.remove_prefix(close + 1);
    const std::string name(take_name(inside));
    inside = trimmed(inside);
    if (name.empty()) return {};
    if (inside.empty()) return std::array<std::string, 3>{name, "", ""};
    std::string how = "=";
    if (std::string_view("~|^$*").find(inside[0]) != std::string_view::npos) {
        how = inside[0];
        inside.remove_prefix(1);
    }
    if (!inside.starts_with('=')) return {};
    inside = trimmed(inside.substr(1));
    if (inside.size() > 1 && (inside[0] == '"' || inside[0] == '\'')) inside = inside.substr(1, inside.size() - 2);
    return std::array<std::string, 3>{name, how, std::string(inside)};
}

/// "2n+1", "odd", "even", "-n+3", "4" as step and offset.
static std::optional<std::pair<int, int>> parse_places(std::string_view text) {
    const std::string places = lower(trimmed(text));
    if (places == "odd") return std::pair{2, 1};
    if (places == "even") return std::pair{2, 0};
    std::string plain;
    std::copy_if(places.begin(), places.end(), std::back_inserter(plain), [](char c) { return c != ' '; });
    const auto number = [](std::string_view part, int otherwise) -> std::optional<int> {
        if (part.empty() || part == "+") return otherwise;
        if (part == "-") return -otherwise;
        if (part.starts_with('+')) part.remove_prefix(1);
        int value = 0;
        const auto [end, problem] = std::from_chars(part.data(), part.data() + part.size(), value);
        return problem == std::errc() && end == part.data() + part.size() ? std::optional(value) : std::nullopt;
    };
    const auto n = plain.find('n');
    const auto step = n == std::string::npos ? std::optional(0) : number(std::string_view(plain).substr(0, n), 1);
    const auto offset =
        number(n == std::string::npos ? std::string_view(plain) : std::string_view(plain).substr(n + 1), 0);
    if (plain.empty() || !step || !offset) return {};
    return std::pair{*step, *offset};
}

std::optional<Sheet::Pseudo> Sheet::take_pseudo(std::string_view& text, int& specificity) {
    text.remove_prefix(1);
    const std::string name = lower(take_name(text));
    std::optional<std::string_view> argument;
    if (text.starts_with('(')) {
        const auto close = closing(text);
        if (close == std::string_view::npos) return {};
        argument = trimmed(text.substr(1, close - 1));
        text.remove_prefix(close + 1);
    }
    using Kind = Pseudo::Kind;
    specificity += name == "not" ? 0 : 100;
    static const std::map<std::string_view, Pseudo> plain{{"first-child", {Kind::child, 0, 1, {}}},
                                                          {"last-child", {Kind::last_child, 0, 1, {}}},
                                                          {"first-of-type", {Kind::of_type, 0, 1, {}}},
                                                          {"last-of-type", {Kind::last_of_type, 0, 1, {}}},
                                                          {"root", {Kind::root, 0, 1, {}}},
                                                          {"empty", {Kind::empty, 0, 1, {}}}};
    if (const auto known = plain.find(name); known != plain.end() && !argument) return known->second;
    static const std::map<std::string_view, Kind> counted{{"nth-child", Kind::child},
                                                          {"nth-last-child", Kind::last_child},
                                                          {"nth-of-type", Kind::of_type},
                                                          {"nth-last-of-type", Kind::last_of_type}};
    if (const auto known = counted.find(name); known != counted.end() && argument) {
        const auto places = parse_places(*argument);
        if (places) return Pseudo{known->second, places->first, places->second, {}};
        return {};
    }
    if (name != "not" || !argument) return {};
    Pseudo negation{Kind::negation, 0, 1, {}};
    bool understood = true;
    split_selectors(*argument, [&](std::string_view one) {
        auto part = take_compound(one, specificity);
        understood = understood && part && trimmed(one).empty();
        if (part) negation.inside.push_back(std::move(*part));
    });
    return understood ? std::optional(negation) : std::nullopt;
}

std::optional<Sheet::Compound> Sheet::take_compound(std::string_view& text, int& specificity) {
    Compound part;
    const std::size_t before = text.size();
    if (text.starts_with('*'))
        text.remove_prefix(1);
    else if (const auto type = take_name(text); !type.empty()) {
        part.type = type;
        specificity += 1;
    }
    while (!text.empty()) {
        if (text[0] == '.' || text[0] == '#') {
            const bool id = text[0] == '#';
            text.remove_prefix(1);
            const std::string name(take_name(text));
            if (name.empty()) return {};
            id ? void(part.id = name) : part.classes.push_back(name);
            specificity += id ? 10000 : 100;
        } else if (text[0] == '[') {
            const auto attribute = take_attribute(text);
            if (!attribute) return {};
            part.attributes.push_back(
                {(*attribute)[0], (*attribute)[1].empty() ? '\0' : (*attribute)[1][0], (*attribute)[2]});
            specificity += 100;
        } else if (text[0] == ':') {
            auto pseudo = take_pseudo(text, specificity);
            if (!pseudo) return {};
            part.pseudos.push_back(std::move(*pseudo));
        } else {
            break;
        }
    }
    return text.size() == before ? std::nullopt : std::optional(part);
}

bool Sheet::add_selector(std::string_view text, const std::vector<Declaration>& declarations) {
    Rule rule{{}, 0, declarations};
    std::optional<Relation> relation;
    while (!(text = trimmed(text)).empty()) {
        static constexpr std::string_view signs = ">+~";
        static constexpr std::array relations{Relation::child, Relation::next_sibling, Relation::later_sibling};
        if (const auto sign = signs.find(text[0]); sign != std::string_view::npos) {
            if (rule.selector.empty() || relation) return false;
            relation = relations[sign];
            text.remove_prefix(1);
            continue;
        }
        auto part = take_compound(text, rule.specificity);
        if (!part) return false;
        if (!text.empty() && std::string_view(" >+~\n\t\r\f").find(text[0]) == std::string_view::npos) return false;
        part->relation = relation.value_or(Relation::descendant);
        relation.reset();
        rule.selector.push_back(std::move(*part));
    }
    if (rule.selector.empty() || relation) return false;
    rules_.push_back(std::move(rule));
    return true;
}

static pugi::xml_node element_before(pugi::xml_node node) {
    do
        node = node.previous_sibling();
    while (node && node.type() != pugi::node_element);
    return node;
}

static pugi::xml_node element_after(pugi::xml_node node) {
    do
        node = node.next_sibling();
    while (node && node.type() != pugi::node_element);
    return node;
}

bool Sheet::matches(const Pseudo& pseudo, const pugi::xml_node& element) {
    using Kind = Pseudo::Kind;
    switch (pseudo.kind) {
        case Kind::root:
            return element.parent().type() == pugi::node_document;
        case Kind::empty:
            return !element.first_child();
        case Kind::negation:
            return std::none_of(pseudo.inside.begin(), pseudo.inside.end(),
                                [&](const Compound& part) { return matches(part, element); });
        default:
            break;
    }
    const bool from_end = pseudo.kind == Kind::last_child || pseudo.kind == Kind::last_of_type;
    const bool same_type = pseudo.kind == Kind::of_type || pseudo.kind == Kind::last_of_type;
    const auto next = from_end ? element_after : element_before;
    int place = 1;
    for (auto other = next(element); other; other = next(other))
        place += !same_type || local_name(other) == local_name(element) ? 1 : 0;
    const int off = place - pseudo.offset;
    return pseudo.step == 0 ? off == 0 : off % pseudo.step == 0 && off / pseudo.step >= 0;
}

bool Sheet::matches(const Compound& part, const pugi::xml_node& element) {
    if (element.type() != pugi::node_element) return false;
    if (!part.type.empty() && part.type != local_name(element)) return false;
    if (!part.id.empty() && part.id != element.attribute("id").value()) return false;
    const auto holds = [&](const Attribute& wanted) {
        const auto attribute = element.attribute(wanted.name.c_str());
        const std::string_view value = attribute.value(), part_of = wanted.value;
        switch (wanted.how) {
            case '=':
                return attribute && value == part_of;
            case '~':
                return !part_of.empty() && has_class(value, part_of);
            case '|':
                return attribute && (value == part_of || value.starts_with(wanted.value + "-"));
            case '^':
                return !part_of.empty() && value.starts_with(part_of);
            case '$':
                return !part_of.empty() && value.ends_with(part_of);
            case '*':
                return !part_of.empty() && value.find(part_of) != std::string_view::npos;
            default:
                return !attribute.empty();
        }
    };
    const std::string_view classes = element.attribute("class").value();
    return std::all_of(part.attributes.begin(), part.attributes.end(), holds) &&
           std::all_of(part.classes.begin(), part.classes.end(),
                       [&](const std::string& name) { return has_class(classes, name); }) &&
           std::all_of(part.pseudos.begin(), part.pseudos.end(),
                       [&](const Pseudo& pseudo) { return matches(pseudo, element); });
}

bool Sheet::matches(const Rule& rule, std::size_t last, const pugi::xml_node& element, int& steps) {
    constexpr int most = 20'000;  // a hostile selector could try more ways than there is time
    const Compound& part = rule.selector[last];
    if (++steps > most || !matches(part, element)) return false;
    if (last == 0) return true;
    switch (part.relation) {
        case Relation::child:
            return matches(rule, last - 1, element.parent(), steps);
        case Relation::next_sibling:
            return matches(rule, last - 1, element_before(element), steps);
        case Relation::later_sibling:
            for (auto at = element_before(element); at; at = element_before(at))
                if (matches(rule, last - 1, at, steps)) return true;
            return false;
        case Relation::descendant:
            for (auto at = element.parent(); at; at = at.parent())
                if (matches(rule, last - 1, at, steps)) return true;
            return false;
    }
    return false;
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
    for (const std::size_t i : candidates) {
        int steps = 0;
        if (matches(rules_[i], rules_[i].selector.size() - 1, element, steps))
            for (const Declaration& declaration : rules_[i].declarations)
                found.push_back(&declaration);
    }
    return found;
}

}  // namespace chalkline::art::svg
