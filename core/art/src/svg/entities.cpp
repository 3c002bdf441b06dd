// SPDX-License-Identifier: GPL-3.0-or-later
#include "entities.hpp"

#include <algorithm>
#include <map>

namespace chalkline::art::svg {
namespace {

constexpr std::size_t longest_value = 100'000;  // bytes; styles and namespaces need far less
constexpr std::size_t most_growth = 4'000'000;  // bytes, of the whole document

using Values = std::map<std::string, std::string, std::less<>>;

bool is_blank(char c) {
    return c == ' ' || c == '\t' || c == '\n' || c == '\r';
}

/// The name of the reference `&name;` at the beginning of `text`, empty for anything else (and for `&#10;`).
std::string_view reference_at(std::string_view text) {
    const auto end = text.find_first_of(";&<\"' \t\r\n", 1);
    return end == std::string_view::npos || text[end] != ';' || text[1] == '#' ? std::string_view()
                                                                               : text.substr(1, end - 1);
}

bool is_predefined(std::string_view name) {
    return name == "amp" || name == "lt" || name == "gt" || name == "quot" || name == "apos";
}

/// Copies `text`, with references replaced as long as the result stays shorter than `limit`.
ExpandedText replaced(std::string_view text, const Values& values, std::size_t limit) {
    ExpandedText result;
    while (!text.empty()) {
        const std::size_t plain = std::min(text.find('&'), text.size());
        result.text += text.substr(0, plain);
        text.remove_prefix(plain);
        if (text.empty()) break;
        const std::string_view name = reference_at(text);
        const auto value = values.find(name);
        const bool fits = value != values.end() && result.text.size() + value->second.size() < limit;
        if (!name.empty() && !is_predefined(name) && !fits) ++result.left;
        result.text += fits ? std::string_view(value->second) : text.substr(0, 1);
        text.remove_prefix(fits ? name.size() + 2 : 1);
    }
    return result;
}

/// Reads `<!ENTITY name "value">` at the beginning of `text`; other forms point outside the document.
void define(std::string_view text, Values& values) {
    text.remove_prefix(std::string_view("<!ENTITY").size());
    const auto skip_blanks = [&] {
        while (!text.empty() && is_blank(text.front()))
            text.remove_prefix(1);
    };
    skip_blanks();
    const std::size_t length = std::min(text.find_first_of(" \t\r\n\"'>%"), text.size());
    const std::string name(text.substr(0, length));
    text.remove_prefix(length);
    skip_blanks();
    if (name.empty() || text.empty() || (text.front() != '"' && text.front() != '\'')) return;
    const auto end = text.find(text.front(), 1);
    if (end == std::string_view::npos) return;
    // A value may use those before it.
    std::string value = replaced(text.substr(1, end - 1), values, longest_value).text;
    std::replace_if(value.begin(), value.end(), is_blank, ' ');
    values.try_emplace(name, std::move(value));
}

/// The end of a part where `&` is no reference (a comment, CDATA) at the beginning of `text`, or 0.
std::size_t end_of_literal(std::string_view text) {
    const auto until = [&](std::string_view open, std::string_view close) -> std::size_t {
        if (!text.starts_with(open)) return 0;
        const auto end = text.find(close, open.size());
        return end == std::string_view::npos ? text.size() : end + close.size();
    };
    return std::max(until("<!--", "-->"), until("<![CDATA[", "]]>"));
}

/// Where "]>" closes the document type.
std::size_t end_of_subset(std::string_view document, std::size_t from) {
    for (auto at = document.find(']', from); at != std::string_view::npos; at = document.find(']', at + 1)) {
        const auto next = document.find_first_not_of(" \t\r\n", at + 1);
        if (next != std::string_view::npos && document[next] == '>') return at;
    }
    return std::string_view::npos;
}

}  // namespace

ExpandedText expand_entities(std::string_view document) {
    const auto opening = document.find("<!DOCTYPE");
    const auto subset = document.find('[', std::min(opening, document.size()));
    const auto end = end_of_subset(document, std::min(subset, document.size()));
    if (end == std::string_view::npos || document.substr(opening, subset - opening).find('>') != std::string_view::npos)
        return {std::string(document), 0};
    Values values;
    for (auto at = document.find("<!ENTITY", subset); at < end; at = document.find("<!ENTITY", at + 1))
        define(document.substr(at, end - at), values);

    ExpandedText result{std::string(document.substr(0, end)), 0};
    std::string_view rest = document.substr(end);
    const std::size_t limit = document.size() + most_growth;
    while (!rest.empty()) {
        const std::size_t literal = end_of_literal(rest);
        const std::size_t length =
            literal > 0 ? literal : std::min({rest.find("<!--", 1), rest.find("<![CDATA[", 1), rest.size()});
        ExpandedText part{std::string(rest.substr(0, length)), 0};
        const std::size_t room = limit > result.text.size() ? limit - result.text.size() : 0;
        if (literal == 0) part = replaced(part.text, values, room);
        result.text += part.text;
        result.left += part.left;
        rest.remove_prefix(length);
    }
    return result;
}

}  // namespace chalkline::art::svg
