// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/design.hpp>
#include <chalkline/art/directed.hpp>
#include <chalkline/art/reader.hpp>
#include <chalkline/base/contract.hpp>

#include <boost/geometry.hpp>
#include <boost/geometry/geometries/linestring.hpp>
#include <boost/geometry/geometries/point_xy.hpp>

#include <array>
#include <cmath>
#include <numbers>

namespace chalkline::art {
namespace {

using geometry::Box;
using geometry::Path;
using geometry::Point;
using geometry::Transform;

constexpr double full_turn = 2 * std::numbers::pi;
constexpr double largest_size = 20'000;  // mm
constexpr std::array form_names{std::string_view("rectangle"), std::string_view("ellipse"), std::string_view("polygon"),
                                std::string_view("slot"), std::string_view("line")};

bool sensible(double size) {
    return size > 0 && size <= largest_size;
}

/// A rectangle from 0, 0 with round corners, counter-clockwise from the lower left.
Path rounded(double width, double height, double radius) {
    const double r = std::clamp(radius, 0.0, std::min(width, height) / 2);
    Path path;
    path.move_to({r, 0});
    const auto corner = [&](Point centre, double start) {
        if (r > 0) path.arc_to(centre, {r, 0}, {0, r}, start, full_turn / 4);
    };
    path.line_to({width - r, 0});
    corner({width - r, r}, -full_turn / 4);
    path.line_to({width, height - r});
    corner({width - r, height - r}, 0);
    path.line_to({r, height});
    corner({r, height - r}, full_turn / 4);
    path.line_to({0, r});
    corner({r, r}, full_turn / 2);
    path.close();
    return path;
}

Path outline_of(const FormDesign& form) {
    const Point half{form.width / 2, form.height / 2};
    Path path;
    switch (form.form) {
        case FormDesign::Form::rectangle:
            return rounded(form.width, form.height, form.corner);
        case FormDesign::Form::slot:
            return rounded(form.width, form.height, std::min(half.x, half.y));
        case FormDesign::Form::ellipse:
            path.move_to({form.width, half.y});
            path.arc_to(half, {half.x, 0}, {0, half.y}, 0, full_turn);
            path.close();
            return path;
        case FormDesign::Form::polygon:
            for (int i = 0; i < form.sides; ++i) {
                // One corner at the top.
                const double turn = full_turn / 4 + full_turn * i / form.sides;
                const Point corner = half + Point{half.x * std::cos(turn), half.y * std::sin(turn)};
                i == 0 ? path.move_to(corner) : path.line_to(corner);
            }
            path.close();
            return path;
        case FormDesign::Form::line:
            path.move_to({0, 0});
            path.line_to({form.width, form.height});
            return path;
    }
    return path;
}

Result<Path> path_of(const FormDesign& form) {
    const bool line = form.form == FormDesign::Form::line;
    const bool sized = line ? std::abs(form.width) + std::abs(form.height) > 0 &&
                                  std::abs(form.width) <= largest_size && std::abs(form.height) <= largest_size
                            : sensible(form.width) && sensible(form.height);
    if (!sized || !(form.corner >= 0)) return fail(error::bad_design);
    if (form.form == FormDesign::Form::polygon && (form.sides < 3 || form.sides > 360)) return fail(error::bad_design);
    return outline_of(form);
}

Result<Path> path_of(const FreehandDesign& freehand) {
    Path path;
    for (const Point point : freehand.points)
        path.empty() ? path.move_to(point) : path.line_to(point);
    if (freehand.points.size() < 2 || !path.finite()) return fail(error::bad_design);
    if (freehand.closed) path.close();
    return path;
}

/// One line of letters, font size 1, from the origin.
struct Line {
    std::vector<Glyph> glyphs;
    double width = 0;
};

class Letters {
 public:
    Letters(const TextDesign& text, const Lettering& lettering) : text_(text), lettering_(lettering) {
        wish_.families = {text.family.empty() ? "sans-serif" : text.family, "sans-serif"};
        wish_.weight = text.bold ? 700 : 400;
    }
    std::optional<LetteredText> set(std::string_view text) const {
        return text_.single_stroke ? lettering_.single_stroke(text) : lettered_line(lettering_, text, wish_);
    }
    /// Height of a capital letter in font sizes.
    double capital() const {
        Box box;
        if (const auto letter = set("H"))
            for (const Glyph& glyph : letter->glyphs)
                if (glyph.path) box.add(geometry::bounds(glyph.path->flatten({}, 0.001)));
        return box.height() > 0.1 ? box.height() : 0.7;
    }

 private:
    const TextDesign& text_;
    const Lettering& lettering_;
    FontWish wish_;
};

/// The letters of a line on the straight, or on a circle of a radius in font sizes.
void append_line(Path& path, const Line& line, double left, double baseline, double radius) {
    double pen = left;
    for (const Glyph& glyph : line.glyphs) {
        const double middle = pen + glyph.advance / 2;
        Transform place = Transform::move(pen + glyph.offset.x, baseline + glyph.offset.y);
        if (radius != 0) {
            // The circle's lowest or highest point lies at the origin's height; each letter stands at its own middle.
            const double reach = radius + baseline;
            const double turn = reach != 0 ? -middle / reach : 0;
            place = Transform::about({0, -radius}, Transform::turn(turn)) *
                    Transform::move(pen - middle + glyph.offset.x, baseline + glyph.offset.y);
        }
        if (glyph.path) {
            Path letter = *glyph.path;
            letter.transform(place);
            path.append(letter);
        }
        pen += glyph.advance;
    }
}

Result<Path> path_of(const TextDesign& text, const Outside& outside) {
    if (text.text.find_first_not_of(" \n\t") == std::string::npos) return fail(error::no_text);
    if (!outside.lettering) return fail(error::no_lettering);
    if (!sensible(text.height) || !(std::abs(text.radius) <= largest_size)) return fail(error::bad_design);
    const Letters letters(text, *outside.lettering);
    const double size = text.height / letters.capital();
    constexpr double line_pitch = 1.25;  // font sizes
    Path path;
    double baseline = 0;
    for (std::size_t at = 0; at <= text.text.size();) {
        const std::size_t end = std::min(text.text.find('\n', at), text.text.size());
        const auto set = letters.set(std::string_view(text.text).substr(at, end - at));
        if (!set && end > at) return fail(error::no_lettering);
        if (set) {
            Line line{set->glyphs, 0};
            for (const Glyph& glyph : line.glyphs)
                line.width += glyph.advance;
            const double left = text.align == TextDesign::Align::left     ? 0
                                : text.align == TextDesign::Align::middle ? -line.width / 2
                                                                          : -line.width;
            append_line(path, line, left, baseline, text.radius / size);
        }
        baseline -= line_pitch;
        at = end + 1;
    }
    if (path.empty()) return fail(error::no_text);
    path.transform(Transform::scale(size, size));
    return path;
}

bool is_area(const Design& design) {
    if (const auto* text = std::get_if<TextDesign>(&design.what)) return design.filled && !text->single_stroke;
    if (const auto* form = std::get_if<FormDesign>(&design.what))
        return design.filled && form->form != FormDesign::Form::line;
    return design.filled && std::get<FreehandDesign>(design.what).closed;
}

}  // namespace

std::string_view to_text(FormDesign::Form form) {
    return form_names[static_cast<std::size_t>(form)];
}

std::optional<FormDesign::Form> parse_form(std::string_view text) {
    for (std::size_t i = 0; i < form_names.size(); ++i)
        if (form_names[i] == text) return static_cast<FormDesign::Form>(i);
    return {};
}

Design freehand(const std::vector<Point>& way) {
    CHALKLINE_REQUIRES(!way.empty());
    namespace bg = boost::geometry;
    using Place = bg::model::d2::point_xy<double>;
    bg::model::linestring<Place> drawn, kept;
    for (const Point point : way)
        drawn.emplace_back(point.x, point.y);
    constexpr double slack = 0.15;  // mm
    bg::simplify(drawn, kept, slack);
    FreehandDesign line;
    for (const Place& place : kept)
        line.points.push_back({place.x(), place.y()});
    constexpr double closes = 3;  // mm
    line.closed = line.points.size() > 3 && geometry::distance(line.points.front(), line.points.back()) < closes;
    if (line.closed) line.points.pop_back();
    return {line, {}, false};
}

std::string name_of(const Design& design) {
    if (const auto* text = std::get_if<TextDesign>(&design.what)) return text->text.substr(0, text->text.find('\n'));
    if (const auto* form = std::get_if<FormDesign>(&design.what)) return std::string(to_text(form->form));
    return "freehand line";
}

Result<Artwork> draw(const Design& design, const Outside& outside) {
    auto path = std::visit(
        [&](const auto& what) {
            if constexpr (std::is_same_v<std::decay_t<decltype(what)>, TextDesign>)
                return path_of(what, outside);
            else
                return path_of(what);
        },
        design.what);
    if (!path) return tl::unexpected(path.error());
    const Box box = geometry::bounds(path->flatten());
    path->transform(Transform::move(-box.left, -box.bottom));
    Artwork art;
    art.name = name_of(design);
    art.format = "design";
    art.page = {box.width(), box.height()};
    art.origin = {box.left, box.bottom};
    Shape shape;
    shape.path = std::move(*path);
    shape.ink = {design.rgb, is_area(design) ? InkKind::fill : InkKind::line};
    art.shapes.push_back(std::move(shape));
    art.design = design;
    art.hull = hull_of(art);
    return art;
}

}  // namespace chalkline::art
