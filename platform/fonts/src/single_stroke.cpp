// SPDX-License-Identifier: GPL-3.0-or-later
#include "single_stroke.hpp"

extern "C" {
#include <hersheyfont.h>
}

namespace chalkline::fonts {
namespace {

// Hershey capitals are 21 units high; drawn as high as those of an outline font of the same size.
constexpr double unit = 0.7 / 21;

}  // namespace

std::unique_ptr<StrokeFont> StrokeFont::open() {
    hershey_font* font = hershey_font_load("futural");
    return font ? std::unique_ptr<StrokeFont>(new StrokeFont(font)) : nullptr;
}

StrokeFont::~StrokeFont() {
    hershey_font_free(font_);
}

art::LetteredText StrokeFont::letter(const std::vector<std::pair<std::size_t, char32_t>>& letters) const {
    art::LetteredText text;
    text.family = "Hershey";
    for (const auto& [place, letter] : letters) {
        const bool known = letter >= U' ' && letter < 0x7f;
        text.missing_letters = text.missing_letters || !known;
        const hershey_glyph* drawn = hershey_font_glyph(font_, static_cast<unsigned char>(known ? letter : U' '));
        art::Glyph glyph;
        glyph.cluster = place;
        glyph.advance = drawn->width * unit;
        geometry::Path outline;
        for (const hershey_path* path = drawn->paths; path; path = path->next)
            for (int i = 0; i < path->nverts; ++i) {
                const geometry::Point at{path->verts[i].x * unit, path->verts[i].y * unit};
                i == 0 ? outline.move_to(at) : outline.line_to(at);
            }
        if (!outline.empty()) glyph.path = std::make_shared<const geometry::Path>(std::move(outline));
        text.glyphs.push_back(std::move(glyph));
    }
    return text;
}

}  // namespace chalkline::fonts
