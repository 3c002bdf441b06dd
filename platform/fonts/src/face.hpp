// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/geometry/path.hpp>

#include <ft2build.h>
#include FT_FREETYPE_H
#include <hb.h>

#include <memory>
#include <optional>
#include <string>
#include <unordered_map>

namespace chalkline::fonts {

/// One open font file, unscaled: all measures in font sizes.
class Face {
 public:
    /// Nothing when the file cannot be opened or has no outlines.
    static std::unique_ptr<Face> open(FT_Library library, const std::string& file, int index);
    ~Face();

    /// The outline of a glyph, Y up; null: a blank.
    const std::shared_ptr<const geometry::Path>& glyph(unsigned index);
    bool has(char32_t letter) const { return FT_Get_Char_Index(face_, letter) != 0; }
    hb_font_t* shaper() const { return shaper_; }
    double unit() const { return 1.0 / face_->units_per_EM; }
    double ascent() const { return face_->ascender * unit(); }
    double descent() const { return -face_->descender * unit(); }
    double x_height();
    double underline() const { return face_->underline_position * unit(); }
    double line_thickness() const { return face_->underline_thickness * unit(); }
    /// Middle of the line through letters; nothing where the font does not say.
    std::optional<double> strike() const;

    std::string family;
    bool slant = false;  ///< drawn slanted because the family has no slanted face

 private:
    explicit Face(FT_Face face) : face_(face) {}
    FT_Face face_;
    hb_font_t* shaper_ = nullptr;
    std::unordered_map<unsigned, std::shared_ptr<const geometry::Path>> glyphs_;
};

}  // namespace chalkline::fonts
