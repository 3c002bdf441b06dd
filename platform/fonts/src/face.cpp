// SPDX-License-Identifier: GPL-3.0-or-later
#include "face.hpp"

#include FT_OUTLINE_H
#include FT_TRUETYPE_TABLES_H
#include <hb-ft.h>

namespace chalkline::fonts {
namespace {

using geometry::Path;
using geometry::Point;

/// Carries FreeType's outline over into a path.
struct Pen {
    Path path;
    bool open = false;

    static Point at(const FT_Vector* v) { return {static_cast<double>(v->x), static_cast<double>(v->y)}; }
    static Pen& of(void* user) { return *static_cast<Pen*>(user); }
    void finish() {
        if (open) path.close();
        open = false;
    }
    static int move(const FT_Vector* to, void* user) {
        of(user).finish();
        of(user).path.move_to(at(to));
        of(user).open = true;
        return 0;
    }
    static int line(const FT_Vector* to, void* user) {
        of(user).path.line_to(at(to));
        return 0;
    }
    static int conic(const FT_Vector* control, const FT_Vector* to, void* user) {
        const Point from = of(user).path.current(), c = at(control), end = at(to);
        of(user).path.cubic_to(geometry::between(from, c, 2.0 / 3), geometry::between(end, c, 2.0 / 3), end);
        return 0;
    }
    static int cubic(const FT_Vector* c1, const FT_Vector* c2, const FT_Vector* to, void* user) {
        of(user).path.cubic_to(at(c1), at(c2), at(to));
        return 0;
    }
};

}  // namespace

std::unique_ptr<Face> Face::open(FT_Library library, const std::string& file, int index) {
    FT_Face face = nullptr;
    if (FT_New_Face(library, file.c_str(), index, &face) != 0) return nullptr;
    std::unique_ptr<Face> result(new Face(face));
    if (!FT_IS_SCALABLE(face) || face->units_per_EM == 0) return nullptr;
    // HarfBuzz takes its scale from the face: one font unit a pixel, in 26.6.
    FT_Set_Char_Size(face, 0, static_cast<FT_F26Dot6>(face->units_per_EM) * 64, 72, 72);
    result->shaper_ = hb_ft_font_create_referenced(face);
    hb_ft_font_set_load_flags(result->shaper_, FT_LOAD_NO_HINTING | FT_LOAD_NO_BITMAP);
    return result;
}

Face::~Face() {
    if (shaper_) hb_font_destroy(shaper_);
    FT_Done_Face(face_);
}

const std::shared_ptr<const Path>& Face::glyph(unsigned index) {
    const auto [found, fresh] = glyphs_.try_emplace(index);
    if (!fresh || FT_Load_Glyph(face_, index, FT_LOAD_NO_SCALE | FT_LOAD_NO_BITMAP) != 0) return found->second;
    if (face_->glyph->format != FT_GLYPH_FORMAT_OUTLINE) return found->second;
    constexpr FT_Outline_Funcs into{Pen::move, Pen::line, Pen::conic, Pen::cubic, 0, 0};
    Pen pen;
    if (FT_Outline_Decompose(&face_->glyph->outline, &into, &pen) != 0) return found->second;
    pen.finish();
    constexpr double lean = 0.2;  // tangent of the angle upright letters are slanted by
    pen.path.transform({unit(), 0, slant ? lean * unit() : 0, unit(), 0, 0});
    if (!pen.path.empty()) found->second = std::make_shared<const Path>(std::move(pen.path));
    return found->second;
}

std::optional<double> Face::strike() const {
    const auto* os2 = static_cast<const TT_OS2*>(FT_Get_Sfnt_Table(face_, FT_SFNT_OS2));
    if (!os2 || os2->version == 0xFFFF || os2->yStrikeoutPosition == 0) return {};
    return (os2->yStrikeoutPosition - os2->yStrikeoutSize / 2.0) * unit();
}

double Face::x_height() {
    const auto* os2 = static_cast<const TT_OS2*>(FT_Get_Sfnt_Table(face_, FT_SFNT_OS2));
    if (os2 && os2->version >= 2 && os2->sxHeight > 0) return os2->sxHeight * unit();
    return 0.5;
}

}  // namespace chalkline::fonts
