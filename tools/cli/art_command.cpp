// SPDX-License-Identifier: GPL-3.0-or-later
#include "commands.hpp"
#include "output.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/base/file.hpp>
#include <chalkline/base/units_text.hpp>
#include <chalkline/wording/wording.hpp>

#include <QBuffer>
#include <QImage>
#include <QPainter>
#include <QPainterPath>

namespace chalkline::cli {
namespace {

Result<art::Artwork> read_art(const std::string& path) {
    auto bytes = read_file(path);
    if (!bytes) return tl::unexpected(bytes.error());
    auto art =
        art::read(std::make_shared<const std::string>(std::move(*bytes)), path.substr(path.find_last_of('/') + 1));
    if (!art) art.error().file = path;
    return art;
}

Json ink_json(const art::InkSummary& ink) {
    const bool fill = ink.ink.kind == InkKind::fill;
    return {{"rgb", to_text(ink.ink.rgb)},
            {"kind", fill ? "fill" : "line"},
            {"shapes", ink.shapes},
            {"bbox_mm", to_json(ink.box)},
            {"length_mm", fill ? Json(nullptr) : number(ink.length)},
            {"area_mm2", fill ? number(ink.area) : Json(nullptr)},
            {"closed", ink.closed}};
}

Json art_json(const std::string& path, const art::Artwork& art) {
    Json inks = Json::array(), warnings = Json::array();
    geometry::Box box;
    for (const auto& ink : art::measured_inks(art)) {
        inks.push_back(ink_json(ink));
        box.add(ink.box);
    }
    for (const Notice& notice : art.notices)
        warnings.push_back({{"code", short_code(notice)},
                            {"text", wording::describe(notice).toStdString()},
                            {"count", notice.count},
                            {"where", notice.line > 0 ? Json("line " + std::to_string(notice.line)) : Json(nullptr)}});
    return {{"path", path},
            {"format", art.format},
            {"page_mm", {number(art.page.x), number(art.page.y)}},
            {"bbox_mm", to_json(box)},
            {"inks", inks},
            {"pictures", Json::array()},
            {"warnings", warnings}};
}

void print_summary(const std::string& path, const art::Artwork& art) {
    print_text(path + ": " + format_number(art.page.x, 2) + " × " + format_number(art.page.y, 2) + " mm");
    for (const auto& ink : art::measured_inks(art)) {
        const bool fill = ink.ink.kind == InkKind::fill;
        print_text("  " + to_text(ink.ink.rgb) + "  " + wording::count_of(ink.ink.kind, ink.shapes).toStdString() +
                   ", " + (fill ? format_number(ink.area, 1) + " mm²" : format_number(ink.length, 1) + " mm"));
    }
    for (const Notice& notice : art.notices) {
        std::string line = translated("  note: ") + wording::describe(notice).toStdString();
        if (notice.count > 1)
            line += " (" + std::to_string(notice.count) + " places, first line " + std::to_string(notice.line) + ")";
        else if (notice.line > 0)
            line += " (line " + std::to_string(notice.line) + ")";
        print_text(line);
    }
}

QPainterPath painter_path(const std::vector<geometry::Polyline>& lines, geometry::FillRule rule) {
    QPainterPath path;
    path.setFillRule(rule == geometry::FillRule::even_odd ? Qt::OddEvenFill : Qt::WindingFill);
    for (const auto& line : lines) {
        for (std::size_t i = 0; i < line.points.size(); ++i) {
            const QPointF p(line.points[i].x, line.points[i].y);
            i == 0 ? path.moveTo(p) : path.lineTo(p);
        }
        if (line.closed) path.closeSubpath();
    }
    return path;
}

Result<void> draw(const art::Artwork& art, const ArtOptions& options) {
    const double scale = options.dpi / 25.4;
    const auto size = [&](double mm) { return std::max(1, static_cast<int>(std::ceil(mm * scale - 1e-9))); };
    constexpr int largest = 30000;
    if (size(art.page.x) > largest || size(art.page.y) > largest)
        return fail(chalkline::error::file_unwritable, {{"reason", "more than 30000 pixels"}}, options.png);
    QImage image(size(art.page.x), size(art.page.y), QImage::Format_RGB32);
    image.fill(Qt::white);
    QPainter painter(&image);
    painter.setRenderHint(QPainter::Antialiasing, !options.outline);
    const geometry::Transform to_px = geometry::Transform{scale, 0, 0, -scale, 0, art.page.y * scale};
    for (const art::Shape& shape : art.shapes) {
        if (!options.ink.empty() && to_text(shape.ink) != options.ink) continue;
        const QColor colour(shape.ink.rgb.red, shape.ink.rgb.green, shape.ink.rgb.blue);
        const auto path = painter_path(shape.path.flatten(to_px, 0.05), shape.rule);
        if (options.outline)
            painter.strokePath(path, QPen(Qt::black, 1));
        else if (shape.ink.kind == InkKind::fill)
            painter.fillPath(path, colour);
        else
            painter.strokePath(path, QPen(colour, std::max(1.0, shape.stroke_width * scale)));
    }
    painter.end();
    image.setDotsPerMeterX(static_cast<int>(options.dpi / 0.0254));
    image.setDotsPerMeterY(static_cast<int>(options.dpi / 0.0254));
    QByteArray bytes;
    QBuffer buffer(&bytes);
    image.save(&buffer, "PNG");
    return replace_file(options.png, {bytes.constData(), static_cast<std::size_t>(bytes.size())});
}

}  // namespace

int run_art(const ArtOptions& options) {
    Json files = Json::array();
    for (const std::string& path : options.files) {
        const auto art = read_art(path);
        if (!art) return report(art.error(), options.json);
        if (options.json)
            files.push_back(art_json(path, *art));
        else
            print_summary(path, *art);
        if (!options.png.empty())
            if (auto drawn = draw(*art, options); !drawn) return report(drawn.error(), options.json);
    }
    if (options.json) print({{"files", files}});
    return done;
}

}  // namespace chalkline::cli
