// SPDX-License-Identifier: GPL-3.0-or-later
#include "face.hpp"
#include "handles.hpp"
#include "single_stroke.hpp"

#include <chalkline/fonts/system_fonts.hpp>

#include <algorithm>
#include <array>
#include <iterator>
#include <map>
#include <mutex>
#include <optional>
#include <vector>

namespace chalkline::fonts {
namespace {

bool is_generic(const std::string& family) {
    constexpr std::array names{"serif", "sans-serif", "sans", "monospace", "cursive", "fantasy", "system-ui"};
    return std::find(names.begin(), names.end(), family) != names.end();
}

Pattern pattern_of(const art::FontWish& wish) {
    Pattern pattern(FcPatternCreate());
    for (const std::string& family : wish.families)
        FcPatternAddString(pattern.get(), FC_FAMILY, reinterpret_cast<const FcChar8*>(family.c_str()));
    FcPatternAddDouble(pattern.get(), FC_WEIGHT, FcWeightFromOpenTypeDouble(wish.weight));
    FcPatternAddInteger(pattern.get(), FC_SLANT, wish.slanted ? FC_SLANT_ITALIC : FC_SLANT_ROMAN);
    FcPatternAddInteger(pattern.get(), FC_WIDTH, wish.stretch);
    FcPatternAddBool(pattern.get(), FC_SCALABLE, FcTrue);
    FcConfigSubstitute(nullptr, pattern.get(), FcMatchPattern);
    FcDefaultSubstitute(pattern.get());
    return pattern;
}

std::string text_in(FcPattern* pattern, const char* what) {
    FcChar8* text = nullptr;
    return FcPatternGetString(pattern, what, 0, &text) == FcResultMatch ? reinterpret_cast<const char*>(text) : "";
}

bool same_family(std::string a, std::string b) {
    const auto plain = [](std::string& name) {
        std::erase(name, ' ');
        std::transform(name.begin(), name.end(), name.begin(), [](unsigned char c) { return std::tolower(c); });
    };
    plain(a);
    plain(b);
    return a == b;
}

/// True when the chosen font goes by any of the wished names.
bool goes_by(FcPattern* font, const std::vector<std::string>& families) {
    FcChar8* name = nullptr;
    for (int i = 0; FcPatternGetString(font, FC_FAMILY, i, &name) == FcResultMatch; ++i)
        for (const std::string& wished : families)
            if (same_family(reinterpret_cast<const char*>(name), wished)) return true;
    return false;
}

std::vector<std::pair<std::size_t, char32_t>> letters_of(std::string_view text) {
    std::vector<std::pair<std::size_t, char32_t>> letters;
    for (std::size_t at = 0; at < text.size();) {
        FcChar32 letter = 0;
        const int n = FcUtf8ToUcs4(reinterpret_cast<const FcChar8*>(text.data() + at), &letter,
                                   static_cast<int>(text.size() - at));
        letters.emplace_back(at, n > 0 ? letter : U'\uFFFD');
        at += n > 0 ? static_cast<std::size_t>(n) : 1;
    }
    return letters;
}

}  // namespace

/// Everything that is opened once. Used under its lock.
class SystemFonts::Shelf {
 public:
    Shelf() {
        FcInit();
        FT_Init_FreeType(&library_);
    }
    ~Shelf() {
        choices_.clear();
        faces_.clear();
        FT_Done_FreeType(library_);
    }

    std::optional<art::LetteredText> outline(std::string_view text, const art::FontWish& wish,
                                             art::Direction direction) {
        const std::lock_guard lock(mutex_);
        Choice& choice = choose(wish);
        if (choice.faces.empty()) return {};
        art::LetteredText result;
        Face& first = *choice.faces[0];
        result.family = first.family;
        result.substituted = choice.substituted;
        result.ascent = first.ascent();
        result.descent = first.descent();
        result.x_height = first.x_height();
        if (first.line_thickness() > 0) {
            result.underline = first.underline();
            result.line_thickness = first.line_thickness();
        }
        result.strike = first.strike().value_or(result.x_height / 2);
        // Stretches of letters that one face has are shaped together.
        const auto letters = letters_of(text);
        for (std::size_t from = 0; from < letters.size();) {
            Face* face = face_for(choice, letters[from].second, result.missing_letters);
            std::size_t to = from + 1;
            while (to < letters.size() && face_for(choice, letters[to].second, result.missing_letters) == face)
                ++to;
            const std::size_t end = to < letters.size() ? letters[to].first : text.size();
            // The parts of text that runs to the left are seen from the last one to the first.
            auto glyphs = shape(*face, text, letters[from].first, end, direction);
            const auto at = direction == art::Direction::right_to_left ? result.glyphs.begin() : result.glyphs.end();
            result.glyphs.insert(at, std::make_move_iterator(glyphs.begin()), std::make_move_iterator(glyphs.end()));
            from = to;
        }
        return result;
    }

    std::optional<art::LetteredText> single_stroke(std::string_view text) {
        const std::lock_guard lock(mutex_);
        if (!strokes_) strokes_ = StrokeFont::open();
        if (!strokes_) return {};
        return strokes_->letter(letters_of(text));
    }

 private:
    /// The fonts a wish comes to, best first.
    struct Choice {
        std::vector<Face*> faces;
        FontSet others;  ///< everything else, in fontconfig's order, opened when a letter needs it
        int next_other = 0;
        bool substituted = false;
    };

    Choice& choose(const art::FontWish& wish) {
        const auto [found, fresh] = choices_.try_emplace(wish);
        Choice& choice = found->second;
        if (!fresh) return choice;
        const Pattern pattern = pattern_of(wish);
        FcResult ignored;
        choice.others.reset(FcFontSort(nullptr, pattern.get(), FcTrue, nullptr, &ignored));
        if (!choice.others) return choice;
        while (choice.faces.empty() && choice.next_other < choice.others->nfont)
            open_next(choice, wish.slanted);
        if (choice.faces.empty()) return choice;
        const bool generic_first = !wish.families.empty() && is_generic(wish.families[0]);
        choice.substituted = !generic_first && !goes_by(choice.others->fonts[choice.next_other - 1], wish.families);
        return choice;
    }

    /// Opens the next font of the list; false when it is of no use.
    bool open_next(Choice& choice, bool slanted) {
        FcPattern* font = choice.others->fonts[choice.next_other++];
        const std::string file = text_in(font, FC_FILE);
        int index = 0, slant = FC_SLANT_ROMAN;
        FcPatternGetInteger(font, FC_INDEX, 0, &index);
        FcPatternGetInteger(font, FC_SLANT, 0, &slant);
        const bool lean = slanted && slant == FC_SLANT_ROMAN;
        auto& face = faces_[file + "#" + std::to_string(index) + (lean ? "/" : "")];
        if (!face) {
            face = Face::open(library_, file, index);
            if (!face) return false;
            face->family = text_in(font, FC_FAMILY);
            face->slant = lean;
        }
        choice.faces.push_back(face.get());
        return true;
    }

    Face* face_for(Choice& choice, char32_t letter, bool& missing) {
        if (letter <= U' ' || letter == 0xa0) return choice.faces[0];
        for (Face* face : choice.faces)
            if (face->has(letter)) return face;
        while (choice.others && choice.next_other < choice.others->nfont) {
            FcCharSet* letters = nullptr;
            FcPattern* font = choice.others->fonts[choice.next_other];
            const bool fits = FcPatternGetCharSet(font, FC_CHARSET, 0, &letters) == FcResultMatch &&
                              FcCharSetHasChar(letters, letter);
            if (!fits) {
                // Fonts are trimmed by what they add, so a passed one may serve a later letter: keep it open too.
                open_next(choice, false);
                continue;
            }
            if (open_next(choice, false)) return choice.faces.back();
        }
        missing = true;
        return choice.faces[0];
    }

    /// From left to right.
    static std::vector<art::Glyph> shape(Face& face, std::string_view text, std::size_t from, std::size_t to,
                                         art::Direction direction) {
        std::vector<art::Glyph> glyphs;
        const Buffer buffer(hb_buffer_create());
        hb_buffer_add_utf8(buffer.get(), text.data(), static_cast<int>(text.size()), static_cast<unsigned>(from),
                           static_cast<int>(to - from));
        hb_buffer_set_direction(buffer.get(),
                                direction == art::Direction::right_to_left ? HB_DIRECTION_RTL : HB_DIRECTION_LTR);
        hb_buffer_guess_segment_properties(buffer.get());
        hb_shape(face.shaper(), buffer.get(), nullptr, 0);
        unsigned count = 0;
        const hb_glyph_info_t* info = hb_buffer_get_glyph_infos(buffer.get(), &count);
        const hb_glyph_position_t* place = hb_buffer_get_glyph_positions(buffer.get(), &count);
        const double unit = face.unit() / 64;
        for (unsigned i = 0; i < count; ++i)
            glyphs.push_back({face.glyph(info[i].codepoint),
                              place[i].x_advance * unit,
                              {place[i].x_offset * unit, place[i].y_offset * unit},
                              info[i].cluster});
        return glyphs;
    }

    std::mutex mutex_;
    FT_Library library_ = nullptr;
    std::map<std::string, std::unique_ptr<Face>> faces_;
    std::map<art::FontWish, Choice> choices_;
    std::unique_ptr<StrokeFont> strokes_;
};

SystemFonts::SystemFonts() : shelf_(std::make_unique<Shelf>()) {}
SystemFonts::~SystemFonts() = default;

std::optional<art::LetteredText> SystemFonts::outline(std::string_view text, const art::FontWish& wish,
                                                      art::Direction direction) const {
    return shelf_->outline(text, wish, direction);
}

std::optional<art::LetteredText> SystemFonts::single_stroke(std::string_view text) const {
    return shelf_->single_stroke(text);
}

}  // namespace chalkline::fonts
