// SPDX-License-Identifier: GPL-3.0-or-later
#include "capitals.hpp"

namespace chalkline::art::svg {
namespace {

unsigned capital(unsigned c) {
    const auto within = [c](unsigned first, unsigned last) { return c >= first && c <= last; };
    if (c == 0xff) return 0x178;                           // y with two dots
    if (within(0xe0, 0xfe) && c != 0xf7) return c - 0x20;  // Latin-1 but for the division sign
    if (within(0x139, 0x148) || within(0x179, 0x17e)) return c % 2 == 0 ? c - 1 : c;
    if (within(0x100, 0x137) && c != 0x131) return c & ~1u;  // pairs, the capital first
    if (within(0x14a, 0x177)) return c & ~1u;
    if (c == 0x131) return 'I';    // without its dot
    if (c == 0x3ac) return 0x386;  // Greek with accents
    if (within(0x3ad, 0x3af)) return c - 0x25;
    if (c == 0x3c2) return 0x3a3;  // sigma at the end of a word
    if (within(0x3b1, 0x3cb)) return c - 0x20;
    if (c == 0x3cc) return 0x38c;
    if (within(0x3cd, 0x3ce)) return c - 0x3f;
    if (within(0x430, 0x44f)) return c - 0x20;  // Cyrillic
    if (within(0x450, 0x45f)) return c - 0x50;
    return c;
}

}  // namespace

std::string capital_of(std::string_view letter) {
    if (letter.size() == 1 && letter[0] >= 'a' && letter[0] <= 'z')
        return std::string(1, static_cast<char>(letter[0] - 32));
    if (letter.size() != 2) return std::string(letter);
    const unsigned code =
        (static_cast<unsigned char>(letter[0]) & 0x1fu) << 6 | (static_cast<unsigned char>(letter[1]) & 0x3fu);
    if (code == 0xdf) return "SS";
    const unsigned big = capital(code);
    if (big < 0x80) return std::string(1, static_cast<char>(big));
    return {static_cast<char>(0xc0 | big >> 6), static_cast<char>(0x80 | (big & 0x3f))};
}

}  // namespace chalkline::art::svg
