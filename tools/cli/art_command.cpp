// SPDX-License-Identifier: GPL-3.0-or-later
#include "commands.hpp"
#include "output.hpp"

#include <chalkline/art/cleaning.hpp>
#include <chalkline/base/file.hpp>
#include <chalkline/base/units_text.hpp>
#include <chalkline/pictures/view.hpp>
#include <chalkline/wording/wording.hpp>

#include <QBuffer>
#include <QImage>
#include <QPainter>
#include <QPainterPath>
#include <limits>

namespace chalkline::cli {
namespace {

const char* kind_name(InkKind kind) {
    switch (kind) {
        case InkKind::line:
            return "line";
        case InkKind::fill:
            return "fill";
        case InkKind::picture:
            return "picture";
    }
    return "";
}

Json ink_json(const art::InkSummary& ink) {
    const InkKind kind = ink.ink.kind;
    return {{"rgb", kind == InkKind::picture ? Json(nullptr) : Json(to_text(ink.ink.rgb))},
            {"kind", kind_name(kind)},
            {"shapes", ink.shapes},
            {"bbox_mm", to_json(ink.box)},
            {"length_mm", kind == InkKind::line ? number(ink.length) : Json(nullptr)},
            {"area_mm2", kind == InkKind::fill ? number(ink.area) : Json(nullptr)},
            {"closed", ink.closed}};
}

Json warning_json(const art::Remark& remark) {
    Json places = Json::array();
    for (const auto& place : remark.places)
        places.push_back(to_json(place));
    const Notice& notice = remark.notice;
    return {{"code", short_code(notice)},
            {"text", wording::describe(notice).toStdString()},
            {"count", notice.count},
            {"where", notice.line > 0 ? Json("line " + std::to_string(notice.line)) : Json(nullptr)},
            {"places_mm", places}};
}

Json art_json(const std::string& path, const art::Artwork& art) {
    Json inks = Json::array(), pictures = Json::array(), warnings = Json::array();
    geometry::Box box;
    for (const auto& ink : art::measured_inks(art)) {
        inks.push_back(ink_json(ink));
        box.add(ink.box);
    }
    for (const art::PlacedPicture& picture : art.pictures)
        pictures.push_back(
            {{"px", {picture.image->width, picture.image->height}}, {"bbox_mm", to_json(art::bounds(picture))}});
    for (const art::Remark& remark : art.remarks)
        warnings.push_back(warning_json(remark));
    return {{"path", path},
            {"format", art.format},
            {"page_mm", {number(art.page.x), number(art.page.y)}},
            {"origin_mm", {number(art.origin.x), number(art.origin.y)}},
            {"page", art.read_with.page},
            {"pages", art.pages},
            {"bbox_mm", to_json(box)},
            {"inks", inks},
            {"pictures", pictures},
            {"warnings", warnings}};
}

/// The finds by kind: how many, what they save, where.
Json finds_json(const art::Artwork& art) {
    const auto finds = art::examine(art, art.read_with.limits);
    Json list = Json::array();
    for (int i = 0; i < art::fault_kinds; ++i) {
        const auto fault = static_cast<art::Fault>(i);
        Json places = Json::array();
        double saved = 0;
        for (const art::Find& find : finds) {
            if (find.fault != fault) continue;
            places.push_back(to_json(find.place));
            saved += find.length;
        }
        if (places.empty()) continue;
        list.push_back({{"fault", art::to_text(fault)},
                        {"text", wording::describe(fault, static_cast<int>(places.size())).toStdString()},
                        {"count", places.size()},
                        {"saved_mm", number(saved)},
                        {"places_mm", places}});
    }
    return list;
}

std::string amount(const art::InkSummary& ink) {
    switch (ink.ink.kind) {
        case InkKind::line:
            return format_number(ink.length, 1) + " mm";
        case InkKind::fill:
            return format_number(ink.area, 1) + " mm²";
        case InkKind::picture:
            return format_number(ink.box.width(), 1) + " × " + format_number(ink.box.height(), 1) + " mm";
    }
    return {};
}

void print_summary(const std::string& path, const art::Artwork& art) {
    print_text(path + ": " + format_number(art.page.x, 2) + " × " + format_number(art.page.y, 2) + " mm");
    for (const auto& ink : art::measured_inks(art)) {
        const std::string colour = ink.ink.kind == InkKind::picture ? "       " : to_text(ink.ink.rgb);
        print_text("  " + colour + "  " + wording::count_of(ink.ink.kind, ink.shapes).toStdString() + ", " +
                   amount(ink));
    }
    for (const art::Remark& remark : art.remarks) {
        const Notice& notice = remark.notice;
        std::string where = notice.count > 1 ? std::to_string(notice.count) + " places" : "";
        if (notice.line > 0) where += (where.empty() ? "line " : ", first line ") + std::to_string(notice.line);
        print_text(translated("  note: ") + wording::describe(notice).toStdString() +
                   (where.empty() ? "" : " (" + where + ")"));
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

void draw_picture(QPainter& painter, const art::PlacedPicture& picture, const geometry::Transform& to_px, bool covers) {
    const raster::RgbImage& pixels = *picture.image;
    QImage image = pictures::view_of(pixels);
    if (covers && !pixels.opacity.empty()) {
        // What lets through lies over bare material, or was mixed with what lies under it: only holes are open still.
        image = image.convertToFormat(QImage::Format_ARGB32);
        for (int y = 0; y < image.height(); ++y)
            for (int x = 0; x < image.width(); ++x)
                if (pixels.opacity[pixels.index(x, y)] == 0) image.setPixel(x, y, qRgba(0, 0, 0, 0));
    }
    painter.save();
    if (picture.clip) {
        auto rings = picture.clip->rings;
        for (auto& ring : rings)
            for (auto& point : ring.points)
                point = to_px(point);
        painter.setClipPath(painter_path(rings, picture.clip->rule));
    }
    const geometry::Transform place = to_px * picture.place;
    // Where paint does not cover, white is bare material.
    if (!covers) painter.setCompositionMode(QPainter::CompositionMode_Multiply);
    painter.setTransform({place.a, place.b, place.c, place.d, place.e, place.f});
    // The unit square points up, the pixels' rows down.
    painter.translate(0, 1);
    painter.scale(1.0 / pixels.width, -1.0 / pixels.height);
    painter.drawImage(0, 0, image);
    painter.restore();
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
    auto picture = art.pictures.begin();
    const auto draw_pictures_below = [&](int number) {
        for (; picture != art.pictures.end() && picture->above <= number; ++picture)
            if (!options.outline &&
                (options.ink.empty() || options.ink == "picture" || to_text(picture->ink) == options.ink))
                draw_picture(painter, *picture, to_px, art.read_with.cover);
    };
    for (const art::Shape& shape : art.shapes) {
        draw_pictures_below(shape.number);
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
    draw_pictures_below(std::numeric_limits<int>::max());
    painter.end();
    image.setDotsPerMeterX(static_cast<int>(options.dpi / 0.0254));
    image.setDotsPerMeterY(static_cast<int>(options.dpi / 0.0254));
    QByteArray bytes;
    QBuffer buffer(&bytes);
    image.save(&buffer, "PNG");
    return replace_file(options.png, {bytes.constData(), static_cast<std::size_t>(bytes.size())});
}

}  // namespace

int run_art(const ArtOptions& options, const Surroundings& surroundings) {
    const auto read = parse_read_options(options.read);
    if (!read) return report(read.error(), options.json);
    Json files = Json::array();
    for (const std::string& path : options.files) {
        const auto art = read_art(path, *read, surroundings);
        if (!art) return report(art.error(), options.json);
        if (options.json) {
            files.push_back(art_json(path, *art));
            if (options.examine) files.back()["finds"] = finds_json(*art);
        } else {
            print_summary(path, *art);
            if (options.examine)
                for (const Json& find : finds_json(*art))
                    print_text("  " + find["text"].get<std::string>());
        }
        if (!options.png.empty())
            if (auto drawn = draw(*art, options); !drawn) return report(drawn.error(), options.json);
    }
    if (options.json) print({{"files", files}});
    return done;
}

}  // namespace chalkline::cli
