// SPDX-License-Identifier: GPL-3.0-or-later
// TEXT, ATTRIB and MTEXT of a DXF drawing.
#include "drawer.hpp"

#include <chalkline/art/directed.hpp>

#include <cmath>
#include <numbers>

namespace chalkline::art::dxf {
namespace {

using geometry::Path;
using geometry::Point;
using geometry::Transform;

// A CAD text states the height of its capitals; fonts are sized by their whole body.
constexpr double capital_height = 0.716;

double turned_by(const Entity& entity) {
    return entity.number(50) * std::numbers::pi / 180;
}

/// The family a font file of a text style belongs to: "arialbd.ttf" is Arial.
std::string family_of(std::string_view file) {
    const std::string name = key_of(file.substr(file.find_last_of("/\\") + 1));
    const auto begins = [&](std::string_view start) { return name.starts_with(start); };
    if (begins("ARIAL")) return "Arial";
    if (begins("TIMES")) return "Times New Roman";
    if (begins("COUR")) return "Courier New";
    if (begins("VERDANA")) return "Verdana";
    if (begins("CALIBRI")) return "Calibri";
    if (name.ends_with(".TTF") || name.ends_with(".OTF")) return std::string(file.substr(0, file.size() - 4));
    return "sans-serif";
}

/// Breaks a line where it would grow wider than `width`.
std::vector<std::string> wrapped(const std::string& line, double width,
                                 const std::function<double(const std::string&)>& measure) {
    std::vector<std::string> lines;
    std::string now;
    for (std::size_t at = 0; at < line.size();) {
        const auto end = std::min(line.find(' ', at), line.size());
        const std::string word = line.substr(at, end - at);
        const std::string longer = now.empty() ? word : now + " " + word;
        if (!now.empty() && measure(longer) > width) {
            lines.push_back(now);
            now = word;
        } else {
            now = longer;
        }
        at = end + 1;
    }
    lines.push_back(now);
    return lines;
}

/// The text switches font, height, width, slant, tracking, colour or stacks fractions on its way.
bool changes_looks_within(std::string_view text) {
    for (std::size_t at = 0; at + 1 < text.size(); ++at) {
        if (text[at] != '\\') continue;
        ++at;
        if (std::string_view("fFHWQTCS").find(text[at]) != std::string_view::npos) return true;
    }
    return false;
}

}  // namespace

std::pair<Path, double> Drawer::letters(const std::string& text, std::string_view look, const Entity& entity) {
    if (!outside_.lettering) return {};
    const auto style = drawing_.looks.find(key_of(look));
    const FontWish wish{{family_of(style == drawing_.looks.end() ? "" : style->second.font), "sans-serif"}};
    const auto drawn = options_.text == DrawnText::single_stroke ? outside_.lettering->single_stroke(text)
                                                                 : lettered_line(*outside_.lettering, text, wish);
    if (!drawn) return {};
    if (drawn->substituted && wish.families[0] != "sans-serif")
        note(notice::font_substituted, entity, {{"wished", wish.families[0]}, {"taken", drawn->family}});
    if (drawn->missing_letters) note(notice::letters_missing, entity, {{"font", drawn->family}});
    Path path;
    double pen = 0;
    for (const Glyph& glyph : drawn->glyphs) {
        if (glyph.path) {
            Path letter = *glyph.path;
            letter.transform(Transform::move(pen + glyph.offset.x, glyph.offset.y));
            path.append(letter);
        }
        pen += glyph.advance;
    }
    return {std::move(path), pen};
}

void Drawer::add_letters(Path path, const Transform& map, const Entity& entity, const Frame& frame) {
    if (path.empty()) return;
    path.transform(map);
    if (options_.text == DrawnText::single_stroke) return add_line(std::move(path), entity, frame);
    add_fill(std::move(path), entity, frame, geometry::FillRule::non_zero);
}

void Drawer::draw_text(const Entity& entity, const Frame& frame) {
    const std::string text = plain_text(entity.text(1), drawing_.utf8);
    const double height = entity.number(40);
    if (text.empty() || !(height > 0)) return;
    if (!outside_.lettering) return note(notice::unsupported, entity, {{"feature", "text"}});
    const auto [path, width] = letters(text, entity.text(7), entity);

    const double size = height / capital_height;
    const auto style = drawing_.looks.find(key_of(entity.text(7)));
    double widen = entity.number(41, style == drawing_.looks.end() ? 1 : style->second.width);
    if (!(widen > 0)) widen = 1;
    const double lean = std::tan(entity.number(51) * std::numbers::pi / 180);
    constexpr int backwards = 2, upside_down = 4;
    const double flip_x = entity.flag(71, backwards) ? -1 : 1, flip_y = entity.flag(71, upside_down) ? -1 : 1;

    const int across = entity.whole(72);
    const int up = entity.type == "ATTRIB" ? entity.whole(74) : entity.whole(73);
    const bool aligned = (across != 0 || up != 0) && entity.find(11);
    Point at = aligned ? entity.point(11) : entity.point(10);
    double turn = turned_by(entity), length = width * size * widen, stretch = 1;
    if ((across == 3 || across == 5) && entity.find(11)) {  // between two points
        const Point from = entity.point(10), way = entity.point(11) - from;
        at = from;
        turn = std::atan2(way.y, way.x);
        if (length > 0) stretch = geometry::norm(way) / length;
    }
    double left = 0, below = 0;
    if (across == 1 || across == 4) left = length / 2;
    if (across == 2) left = length;
    if (up == 1) below = -0.2 * height;
    if (up == 2 || across == 4) below = height / 2;
    if (up == 3) below = height;
    const double tall = across == 3 ? stretch : 1;  // aligned text keeps its proportion, fitted text its height
    const Transform map = plane_of(entity) * Transform::move(at.x, at.y) * Transform::turn(turn) *
                          Transform::scale(flip_x * stretch, flip_y * tall) * Transform::move(-left, -below) *
                          Transform{size * widen, 0, size * lean, size, 0, 0};
    add_letters(path, map, entity, frame);
}

void Drawer::draw_mtext(const Entity& entity, const Frame& frame) {
    std::string whole;
    for (const Group& group : entity.groups)
        if (group.code == 3) whole += group.text;
    whole += entity.text(1);
    const double height = entity.number(40);
    if (whole.empty() || !(height > 0)) return;
    if (!outside_.lettering) return note(notice::unsupported, entity, {{"feature", "text"}});
    if (changes_looks_within(whole)) note(notice::unsupported, entity, {{"feature", "text-formatting"}});

    const double size = height / capital_height, limit = entity.number(41) / size;
    const std::string_view look = entity.text(7);
    const auto measure = [&](const std::string& text) { return letters(text, look, entity).second; };
    std::vector<std::string> lines;
    for (const std::string& line : mtext_lines(whole, drawing_.utf8)) {
        const auto parts = limit > 0 ? wrapped(line, limit, measure) : std::vector{line};
        lines.insert(lines.end(), parts.begin(), parts.end());
    }
    const double pitch = height * 5 / 3 * entity.number(44, 1);
    const int attachment = std::clamp(entity.whole(71, 1), 1, 9);
    const int column = (attachment - 1) % 3, row = (attachment - 1) / 3;
    const double tall = height + pitch * static_cast<double>(lines.size() - 1);
    const double top = row == 0 ? 0 : row == 1 ? tall / 2 : tall;
    double turn = turned_by(entity);
    if (entity.find(11)) turn = std::atan2(entity.number(21), entity.number(11));
    const Point at = entity.point(10);
    const Transform place = Transform::move(at.x, at.y) * Transform::turn(turn);
    for (std::size_t i = 0; i < lines.size(); ++i) {
        const auto [path, width] = letters(lines[i], look, entity);
        const double left = width * size * column / 2;
        const double baseline = top - height - pitch * static_cast<double>(i);
        add_letters(path, place * Transform::move(-left, baseline) * Transform::scale(size, size), entity, frame);
    }
}

}  // namespace chalkline::art::dxf
