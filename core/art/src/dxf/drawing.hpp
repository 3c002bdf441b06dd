// SPDX-License-Identifier: GPL-3.0-or-later
// A DXF file sorted into what a drawing is made of: header, layers, text styles, blocks, entities.
#pragma once
#include "groups.hpp"

#include <chalkline/base/ink.hpp>
#include <chalkline/base/progress.hpp>
#include <chalkline/geometry/point.hpp>

#include <map>

namespace chalkline::art::dxf {

struct Entity {
    std::string_view type;
    std::vector<Group> groups;
    std::vector<Entity> parts;  ///< vertices of a POLYLINE, attributes of an INSERT
    int line = 0;

    const Group* find(int code) const;
    double number(int code, double otherwise = 0) const;
    int whole(int code, int otherwise = 0) const;
    bool flag(int code, int bit) const { return (whole(code) & bit) != 0; }
    std::string_view text(int code) const;
    /// Codes 10 and 20, or 11 and 21, …
    geometry::Point point(int x_code) const { return {number(x_code), number(x_code + 10)}; }
};

struct Layer {
    Rgb rgb;
    bool shown = true;
    std::string linetype;  ///< by its key
};

/// How a line is broken: lengths drawn and left out in turn, drawing units before scaling; 0 drawn is a dot. Empty:
/// without a break.
struct Linetype {
    std::vector<double> lengths;
    bool holds_shapes = false;  ///< letters or symbols along the line, too
};

struct Block {
    geometry::Point base;
    std::vector<Entity> entities;
};

struct TextLook {
    std::string font;  ///< file name as stated, "arial.ttf" or "txt.shx"
    double width = 1;
};

struct Drawing {
    std::optional<double> unit;  ///< mm of a drawing unit, where it is stated
    bool cut_short = false;      ///< the file ends before it should
    bool utf8 = true;            ///< texts are UTF-8; otherwise Windows-1252
    double linetype_scale = 1;   ///< of all lines
    std::map<std::string, Layer, std::less<>> layers;
    std::map<std::string, Linetype, std::less<>> linetypes;
    std::map<std::string, TextLook, std::less<>> looks;
    std::map<std::string, Block, std::less<>> blocks;
    std::vector<Entity> entities;
};

/// Sorts the groups. Errors: broken_dxf, cancelled. The bytes must outlive the drawing.
Result<Drawing> sort_groups(std::string_view bytes, const std::string& name, const Watch& watch);

/// Names are compared without regard to capitals.
std::string key_of(std::string_view name);

/// The colour of an index of the format; 7 is black on white. Published palette: hues 15° apart in 10…249.
Rgb indexed_colour(int index);

/// The colour of group 420.
Rgb true_colour(const Entity& entity);

/// A text with its control codes (%%d, \U+00b0) and encoding resolved to UTF-8.
std::string plain_text(std::string_view text, bool utf8);
/// A text with formatting (MTEXT) as its lines.
std::vector<std::string> mtext_lines(std::string_view text, bool utf8);

}  // namespace chalkline::art::dxf
