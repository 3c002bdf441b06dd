// SPDX-License-Identifier: GPL-3.0-or-later
// Stand-ins for fonts and picture decoders, so that tests know what comes out.
#pragma once
#include <chalkline/art/outside.hpp>

namespace drawings {

/// Letters are boxes half a font size wide and 0.7 high; blanks are empty. Knows only the family "Boxes".
class BoxLetters : public chalkline::art::Lettering {
 public:
    std::optional<chalkline::art::LetteredText> outline(std::string_view text, const chalkline::art::FontWish& wish,
                                                        chalkline::art::Direction) const override {
        chalkline::art::LetteredText drawn;
        drawn.family = "Boxes";
        drawn.substituted = wish.families.empty() || wish.families[0] != "Boxes";
        for (std::size_t i = 0; i < text.size(); ++i) {
            chalkline::art::Glyph glyph;
            glyph.advance = 0.5;
            glyph.cluster = i;
            if (text[i] != ' ') {
                chalkline::geometry::Path box;
                box.move_to({0, 0});
                for (const chalkline::geometry::Point p : {chalkline::geometry::Point{0.5, 0}, {0.5, 0.7}, {0, 0.7}})
                    box.line_to(p);
                box.close();
                glyph.path = std::make_shared<const chalkline::geometry::Path>(std::move(box));
            }
            drawn.glyphs.push_back(std::move(glyph));
        }
        return drawn;
    }
    std::optional<chalkline::art::LetteredText> single_stroke(std::string_view text) const override {
        chalkline::art::LetteredText drawn;
        drawn.family = "Strokes";
        for (std::size_t i = 0; i < text.size(); ++i) {
            chalkline::art::Glyph glyph;
            glyph.advance = 0.5;
            glyph.cluster = i;
            chalkline::geometry::Path stroke;
            stroke.move_to({0.25, 0});
            stroke.line_to({0.25, 0.7});
            glyph.path = std::make_shared<const chalkline::geometry::Path>(std::move(stroke));
            drawn.glyphs.push_back(std::move(glyph));
        }
        return drawn;
    }
};

/// "pic W H" is a black picture of that size, "pic W H R" one of R pixels a millimetre.
class WordPictures : public chalkline::art::PictureDecoder {
 public:
    chalkline::Result<chalkline::art::DecodedPicture> decode(std::string_view bytes) const override {
        int width = 0, height = 0;
        double resolution = 0;
        const std::string text(bytes);
        if (std::sscanf(text.c_str(), "\x89PNG\r\n\x1a\npic %d %d %lf", &width, &height, &resolution) < 2)
            return chalkline::fail(chalkline::art::error::picture_unknown);
        chalkline::art::DecodedPicture picture{{width, height, {0, 0, 0}}, {}, false};
        if (resolution > 0) picture.pixels_per_mm = chalkline::geometry::Point{resolution, resolution};
        return picture;
    }
    static std::string file(int width, int height, double resolution = 0) {
        return "\x89PNG\r\n\x1a\npic " + std::to_string(width) + " " + std::to_string(height) +
               (resolution > 0 ? " " + std::to_string(resolution) : "");
    }
};

}  // namespace drawings
