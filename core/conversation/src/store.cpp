// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/conversation/store.hpp>

#include <algorithm>
#include <cctype>
#include <charconv>

namespace chalkline::machine {
namespace {

std::string capital(std::string_view text) {
    std::string result(text);
    for (char& c : result)
        c = static_cast<char>(std::toupper(static_cast<unsigned char>(c)));
    return result;
}

std::optional<std::int64_t> whole(std::string_view text) {
    while (text.starts_with(' '))
        text.remove_prefix(1);
    std::int64_t value = 0;
    const auto [end, problem] = std::from_chars(text.data(), text.data() + text.size(), value);
    const bool over = end == text.data() + text.size() || *end == ' ';
    return problem == std::errc() && over && value >= 0 ? std::optional(value) : std::nullopt;
}

std::optional<StoredFile> parse_bracketed(std::string_view line) {
    constexpr std::string_view begin = "[FILE:", size = "|SIZE:";
    const auto at = line.find(size);
    if (!line.starts_with(begin) || !line.ends_with(']') || at == std::string_view::npos) return {};
    std::string_view name = line.substr(begin.size(), at - begin.size());
    while (name.starts_with(' ') || name.starts_with('/'))
        name.remove_prefix(1);
    std::string_view figure = line.substr(at + size.size());
    figure = figure.substr(0, figure.find_first_of("|]"));
    const auto bytes = whole(figure);
    if (name.empty() || !bytes) return {};
    return StoredFile{std::string(name), *bytes};
}

}  // namespace

std::string store_name(std::string_view typed, Dialect dialect) {
    // FAT's names: eight and three. Boards with long names take these, too.
    const bool short_names = dialect == Dialect::line_by_line;
    const std::size_t longest = short_names ? 8 : 24;
    typed = typed.substr(0, typed.rfind('.'));
    std::string name;
    for (const char c : capital(typed)) {
        const bool plain = (c >= 'A' && c <= 'Z') || (c >= '0' && c <= '9');
        if (plain)
            name += c;
        else if (!name.empty() && name.back() != '-')
            name += '-';
        if (name.size() == longest) break;
    }
    while (name.ends_with('-'))
        name.pop_back();
    if (name.empty()) return {};
    return name + (short_names ? ".GCO" : ".NC");
}

std::optional<StoredFile> parse_stored(std::string_view line, Dialect dialect) {
    if (dialect == Dialect::realtime) return parse_bracketed(line);
    const auto blank = line.find(' ');
    if (blank == std::string_view::npos || blank == 0) return {};
    const auto bytes = whole(line.substr(blank + 1));
    if (!bytes) return {};
    return StoredFile{std::string(line.substr(0, blank)), *bytes};
}

std::optional<StoredFile> find_stored(const std::vector<StoredFile>& files, std::string_view name) {
    const std::string wanted = capital(name);
    const auto found =
        std::find_if(files.begin(), files.end(), [&](const StoredFile& file) { return capital(file.name) == wanted; });
    return found == files.end() ? std::nullopt : std::optional(*found);
}

}  // namespace chalkline::machine
