// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/directed.hpp>

#include <fribidi.h>

#include <algorithm>
#include <numeric>

namespace chalkline::art {
namespace {

/// Letters and the byte each begins with.
struct Decoded {
    std::u32string letters;
    std::vector<std::size_t> begins;
};

Decoded decoded(std::string_view utf8) {
    Decoded text;
    for (std::size_t at = 0; at < utf8.size();) {
        const auto first = static_cast<unsigned char>(utf8[at]);
        const std::size_t n = std::min(utf8_length(first), utf8.size() - at);
        char32_t letter = n == 1 ? first : first & (0x7fU >> n);
        for (std::size_t i = 1; i < n; ++i)
            letter = letter << 6 | (static_cast<unsigned char>(utf8[at + i]) & 0x3fU);
        text.letters.push_back(letter);
        text.begins.push_back(at);
        at += n;
    }
    return text;
}

/// No letter before those of Hebrew runs to the left, and no mark that could make one do so stands there.
bool runs_rightward(const std::u32string& letters) {
    constexpr char32_t first_hebrew = 0x590;
    return std::all_of(letters.begin(), letters.end(), [](char32_t letter) { return letter < first_hebrew; });
}

}  // namespace

std::size_t utf8_length(unsigned char first) {
    return first < 0x80 ? 1 : first < 0xe0 ? 2 : first < 0xf0 ? 3 : 4;
}

std::u32string utf32(std::string_view utf8) {
    return decoded(utf8).letters;
}

std::vector<int> direction_levels(const std::u32string& line, std::optional<Direction> around) {
    if (line.empty()) return {};
    if (around != Direction::right_to_left && runs_rightward(line)) return std::vector<int>(line.size(), 0);
    const auto length = static_cast<FriBidiStrIndex>(line.size());
    std::vector<FriBidiChar> letters(line.begin(), line.end());
    std::vector<FriBidiCharType> types(line.size());
    std::vector<FriBidiBracketType> brackets(line.size());
    std::vector<FriBidiLevel> levels(line.size());
    fribidi_get_bidi_types(letters.data(), length, types.data());
    fribidi_get_bracket_types(letters.data(), length, types.data(), brackets.data());
    FriBidiParType base = !around                               ? FRIBIDI_PAR_ON
                          : *around == Direction::right_to_left ? FRIBIDI_PAR_RTL
                                                                : FRIBIDI_PAR_LTR;
    // 0 where its memory is not enough: the line then runs as it is written.
    if (fribidi_get_par_embedding_levels_ex(types.data(), brackets.data(), length, &base, levels.data()) == 0)
        return std::vector<int>(line.size(), 0);
    return {levels.begin(), levels.end()};
}

std::vector<std::size_t> seen_order(const std::vector<int>& levels) {
    std::vector<std::size_t> order(levels.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    const int highest = levels.empty() ? 0 : *std::max_element(levels.begin(), levels.end());
    for (int level = highest; level > 0; --level)
        for (std::size_t from = 0; from < levels.size();) {
            std::size_t to = from;
            while (to < levels.size() && levels[to] >= level)
                ++to;
            std::reverse(order.begin() + static_cast<std::ptrdiff_t>(from),
                         order.begin() + static_cast<std::ptrdiff_t>(to));
            from = to + 1;
        }
    return order;
}

std::vector<DirectedPart> parts_as_seen(std::string_view line, std::optional<Direction> around) {
    const Decoded text = decoded(line);
    const std::vector<int> levels = direction_levels(text.letters, around);
    std::vector<DirectedPart> parts;
    std::vector<int> part_levels;
    for (std::size_t from = 0; from < levels.size();) {
        std::size_t to = from + 1;
        while (to < levels.size() && levels[to] == levels[from])
            ++to;
        const std::size_t end = to < levels.size() ? text.begins[to] : line.size();
        parts.push_back(
            {text.begins[from], end, levels[from] % 2 == 0 ? Direction::left_to_right : Direction::right_to_left});
        part_levels.push_back(levels[from]);
        from = to;
    }
    std::vector<DirectedPart> seen;
    for (const std::size_t i : seen_order(part_levels))
        seen.push_back(parts[i]);
    return seen;
}

std::optional<LetteredText> lettered_line(const Lettering& lettering, std::string_view line, const FontWish& wish) {
    if (line.empty()) return lettering.outline(line, wish, Direction::left_to_right);
    std::optional<LetteredText> whole;
    for (const DirectedPart& part : parts_as_seen(line)) {
        auto drawn = lettering.outline(line.substr(part.begin, part.end - part.begin), wish, part.direction);
        if (!drawn) return {};
        for (Glyph& glyph : drawn->glyphs)
            glyph.cluster += part.begin;
        if (!whole) {
            whole = std::move(drawn);
            continue;
        }
        whole->missing_letters = whole->missing_letters || drawn->missing_letters;
        whole->glyphs.insert(whole->glyphs.end(), std::make_move_iterator(drawn->glyphs.begin()),
                             std::make_move_iterator(drawn->glyphs.end()));
    }
    return whole;
}

}  // namespace chalkline::art
