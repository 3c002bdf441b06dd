// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/art_layers.hpp"

#include <chalkline/pictures/view.hpp>

#include <algorithm>
#include <cmath>
#include <limits>

namespace chalkline::app {
namespace {

void append(QPainterPath& path, const std::vector<geometry::Polyline>& lines) {
    for (const auto& line : lines) {
        path.moveTo(line.points[0].x, line.points[0].y);
        for (std::size_t i = 1; i < line.points.size(); ++i)
            path.lineTo(line.points[i].x, line.points[i].y);
        if (line.closed) path.closeSubpath();
    }
}

void append_pieces(std::vector<QPolygonF>& pieces, const std::vector<geometry::Polyline>& lines) {
    constexpr std::size_t longest = 40;  // points
    for (const auto& line : lines) {
        const std::size_t count = line.points.size() + (line.closed ? 1 : 0);
        for (std::size_t from = 0; from + 1 < count; from += longest - 1) {
            QPolygonF piece;
            for (std::size_t i = from; i < std::min(from + longest, count); ++i) {
                const geometry::Point p = line.points[i % line.points.size()];
                piece << QPointF(p.x, p.y);
            }
            pieces.push_back(std::move(piece));
        }
    }
}

constexpr double drawn_tolerance = 0.02;  // mm: finer than a pixel at any useful zoom

}  // namespace

QTransform to_qt(const geometry::Transform& m) {
    return {m.a, m.b, m.c, m.d, m.e, m.f};
}

void stroke(QPainter& painter, const ArtLayers::Layer& layer, const QPen& pen) {
    painter.setPen(pen);
    painter.setBrush(Qt::NoBrush);
    for (const QPolygonF& piece : layer.pieces)
        painter.drawPolyline(piece);
}

QColor tone_of(const steps::StepSettings& settings, const machine::MachineProfile& machine, const theme::Roles& roles) {
    if (settings.kind == steps::StepKind::picture && settings.picture.burns_light) return roles.burn.front();
    const double all_passes = steps::dose(settings, machine.beam) * settings.passes;
    return roles.burn_tone(steps::burn_tone(all_passes));
}

QColor tone_of_ink(const job::Step& step, Rgb rgb, const machine::MachineProfile& machine, const theme::Roles& roles) {
    if (step.settings.fill.tones == steps::FillSettings::Tones::flat) return tone_of(step.settings, machine, roles);
    const double share = planning::ink_share(rgb, step.settings);
    const double all_passes = steps::dose(step.settings, machine.beam) * step.settings.passes * share;
    return share > 0 ? roles.burn_tone(steps::burn_tone(all_passes)) : QColor(Qt::transparent);
}

ArtLayers::Key ArtLayers::key_of(const job::Motif& motif) {
    Key key{motif.art, {}};
    for (const job::OwnStep& object : motif.objects)
        key.second.push_back(object.shape);
    return key;
}

const std::vector<ArtLayers::Layer>& ArtLayers::of(const job::Motif& motif) {
    const Key key = key_of(motif);
    auto [found, fresh] = layers_.try_emplace(key);
    if (!fresh) return found->second;
    auto& layers = found->second;
    std::map<Ink, std::size_t> lines_of;
    for (std::size_t i = 0; i < motif.art->shapes.size(); ++i) {
        const art::Shape& shape = motif.art->shapes[i];
        const auto lines = shape.path.flatten({}, drawn_tolerance);
        // Lines of an ink share a path. Every fill keeps its own, so that overlapping ones cut no holes.
        const bool alone =
            shape.ink.kind == InkKind::fill || std::binary_search(key.second.begin(), key.second.end(), i);
        std::size_t at = layers.size();
        if (!alone) at = lines_of.try_emplace(shape.ink, at).first->second;
        if (at == layers.size()) {
            layers.push_back({shape.ink, i, motif.art->read_with.cover, {}});
            layers.back().path.setFillRule(shape.rule == geometry::FillRule::even_odd ? Qt::OddEvenFill
                                                                                      : Qt::WindingFill);
        }
        append(layers[at].path, lines);
        append_pieces(layers[at].pieces, lines);
    }
    return layers;
}

const QImage& ArtLayers::picture(const std::shared_ptr<const raster::RgbImage>& image) {
    auto [found, fresh] = pictures_.try_emplace(image);
    if (!fresh) return found->second;
    constexpr int most = 1600;  // px on a side
    const QImage whole = pictures::view_of(*image);
    const bool large = std::max(image->width, image->height) > most;
    const QImage part = large ? whole.scaled(most, most, Qt::KeepAspectRatio, Qt::SmoothTransformation) : whole;
    found->second = part.convertToFormat(QImage::Format_Grayscale8);
    return found->second;
}

const QImage& ArtLayers::proof(const std::shared_ptr<const planning::Proof>& proof, int factor, const QColor& tone) {
    std::erase_if(proofs_, [&](const auto& entry) { return entry.first.use_count() == 1; });
    DrawnProof& drawn = proofs_[proof];
    if (drawn.factor == factor && drawn.tone == tone) return drawn.image;
    const raster::Dots& dots = proof->dots;
    const int width = (dots.width + factor - 1) / factor, height = (dots.height + factor - 1) / factor;
    drawn.factor = factor;
    drawn.tone = tone;
    drawn.image = QImage(width, height, QImage::Format_ARGB32_Premultiplied);
    std::vector<int> sums(static_cast<std::size_t>(width));
    for (int y = 0; y < height; ++y) {
        std::fill(sums.begin(), sums.end(), 0);
        const int rows = std::min(factor, dots.height - y * factor);
        for (int row = 0; row < rows; ++row)
            for (int x = 0; x < dots.width; ++x)
                sums[static_cast<std::size_t>(x / factor)] += dots.row(y * factor + row)[x];
        auto* line = reinterpret_cast<QRgb*>(drawn.image.scanLine(y));
        for (int x = 0; x < width; ++x) {
            const int count = rows * std::min(factor, dots.width - x * factor);
            line[x] =
                qPremultiply(qRgba(tone.red(), tone.green(), tone.blue(), sums[static_cast<std::size_t>(x)] / count));
        }
    }
    return drawn.image;
}

const QImage& ArtLayers::areas(const std::shared_ptr<const planning::Proof>& proof, const theme::Roles& roles) {
    DrawnProof& drawn = proofs_[proof];
    if (!drawn.areas.isNull()) return drawn.areas;
    const auto places = raster::areas(proof->dots, proof->blob_dots());
    const int width = proof->dots.width, height = proof->dots.height;
    drawn.areas = QImage((width + area_factor - 1) / area_factor, (height + area_factor - 1) / area_factor,
                         QImage::Format_ARGB32_Premultiplied);
    drawn.areas.fill(Qt::transparent);
    constexpr int strength = 150;  // of 255
    const auto veil = [](const QColor& c) { return qPremultiply(qRgba(c.red(), c.green(), c.blue(), strength)); };
    const QRgb clogged = veil(roles.attention), bald = veil(roles.accent);
    for (int y = 0; y < height; ++y) {
        auto* line = reinterpret_cast<QRgb*>(drawn.areas.scanLine(y / area_factor));
        for (int x = 0; x < width; ++x) {
            const auto area =
                places[static_cast<std::size_t>(y) * static_cast<std::size_t>(width) + static_cast<std::size_t>(x)];
            if (area == raster::DotArea::clogged) line[x / area_factor] = clogged;
            if (area == raster::DotArea::bald) line[x / area_factor] = bald;
        }
    }
    return drawn.areas;
}

void ArtLayers::keep_only(const job::Job& job) {
    std::erase_if(pictures_, [&](const auto& entry) {
        return std::none_of(job.motifs.begin(), job.motifs.end(), [&](const job::Motif& m) {
            return std::any_of(m.art->pictures.begin(), m.art->pictures.end(),
                               [&](const art::PlacedPicture& picture) { return picture.image == entry.first; });
        });
    });
    std::erase_if(layers_, [&](const auto& entry) {
        return std::none_of(job.motifs.begin(), job.motifs.end(),
                            [&](const job::Motif& m) { return key_of(m) == entry.first; });
    });
}

template <class Draw>
void ArtPainter::for_each_layer(QPainter& painter, const Camera& camera, Draw draw) const {
    const auto draw_those = [&](const job::Step* step, auto wanted) {
        for (const job::Motif& motif : job_.motifs) {
            for (const ArtLayers::Layer& layer : layers_.of(motif)) {
                if (!wanted(motif, layer.shape)) continue;
                painter.setTransform(to_qt(motif.place) * camera.transform());
                draw(layer, step);
            }
        }
    };
    // In run order, what is not burned first, so that it lies below.
    draw_those(nullptr, [this](const job::Motif& motif, std::size_t shape) {
        return std::none_of(job_.steps.begin(), job_.steps.end(),
                            [&](const job::Step& step) { return job::Job::burns(step, motif, shape); });
    });
    for (const job::Step& step : job_.steps)
        draw_those(&step,
                   [&step](const job::Motif& motif, std::size_t shape) { return job::Job::burns(step, motif, shape); });
    painter.resetTransform();
}

/// Clips to a picture's clip and maps the painter to its rows of pixels.
static void enter(QPainter& painter, const art::PlacedPicture& picture, const QSize& pixels) {
    if (picture.clip) {
        QPainterPath clip;
        clip.setFillRule(picture.clip->rule == geometry::FillRule::even_odd ? Qt::OddEvenFill : Qt::WindingFill);
        append(clip, picture.clip->rings);
        painter.setClipPath(clip, Qt::IntersectClip);
    }
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.setTransform(to_qt(picture.place), true);
    // The unit square points up, the rows of pixels down.
    painter.translate(0, 1);
    painter.scale(1.0 / pixels.width(), -1.0 / pixels.height());
}

void draw_picture(QPainter& painter, const art::PlacedPicture& picture, const QImage& greys) {
    painter.save();
    enter(painter, picture, greys.size());
    painter.setCompositionMode(QPainter::CompositionMode_Multiply);
    painter.drawImage(0, 0, greys);
    painter.restore();
}

/// Takes away what a picture covers: all of its frame, or what its own opacity says.
static void clear_under(QPainter& painter, const art::PlacedPicture& picture, const QImage& greys) {
    painter.save();
    enter(painter, picture, greys.size());
    if (picture.image->opacity.empty()) {
        painter.setCompositionMode(QPainter::CompositionMode_Clear);
        painter.fillRect(QRectF(QPointF(), QSizeF(greys.size())), Qt::transparent);
    } else {
        const raster::RgbImage& image = *picture.image;
        const QImage mask(image.opacity.data(), image.width, image.height, image.width, QImage::Format_Alpha8);
        painter.setCompositionMode(QPainter::CompositionMode_DestinationOut);
        painter.drawImage(QRectF(QPointF(), QSizeF(greys.size())), mask);
    }
    painter.restore();
}

void ArtPainter::draw_proof(QPainter& painter, const Camera& camera,
                            const std::shared_ptr<const planning::Proof>& proof) const {
    QColor tone = roles_.burn.back();
    for (const job::Step& step : job_.steps)
        if (step.id == proof->step) tone = tone_of(step.settings, machine_, roles_);
    // As many dots to a pixel as the view puts there, in steps of two.
    int factor = 1;
    while (factor < 64 && proof->frame.pitch * camera.scale * factor < 0.75)
        factor *= 2;
    draw_over_proof(painter, camera, *proof, layers_.proof(proof, factor, tone), factor);
}

/// An image of a proof, `factor` dots a pixel, where the dots lie.
void ArtPainter::draw_over_proof(QPainter& painter, const Camera& camera, const planning::Proof& proof,
                                 const QImage& image, int factor) const {
    painter.save();
    painter.setRenderHint(QPainter::SmoothPixmapTransform, proof.frame.pitch * camera.scale < 3);
    painter.setTransform(to_qt(proof.frame.to_bed()) * camera.transform());
    painter.translate(0, proof.dots.height);
    painter.scale(factor, -factor);
    painter.drawImage(0, 0, image);
    painter.restore();
}

void ArtPainter::draw_areas(QPainter& painter, const Camera& camera) const {
    for (const auto& proof : proofs_)
        if (proof->dots.width > 0)
            draw_over_proof(painter, camera, *proof, layers_.areas(proof, roles_), ArtLayers::area_factor);
}

/// The dots of a picture, or while they are worked out the picture itself, faintly.
void ArtPainter::draw_picture_of(QPainter& painter, const Camera& camera, const job::Motif& motif, std::size_t at,
                                 const Highlight& highlight) const {
    const art::PlacedPicture& picture = motif.art->pictures[at];
    const bool cut_out = motif.preparation.background.way != raster::Background::Way::keep;
    painter.save();
    painter.setTransform(to_qt(motif.place) * camera.transform());
    if (motif.art->read_with.cover && !cut_out) clear_under(painter, picture, layers_.picture(picture.image));
    bool shown = false;
    for (const auto& proof : proofs_) {
        if (proof->motif != motif.id) continue;
        shown = true;
        painter.resetTransform();
        if (proof->picture == at && proof->dots.width > 0) draw_proof(painter, camera, proof);
    }
    if (!shown) {
        painter.setOpacity(painter.opacity() * (highlight.lights(picture.ink, {}) ? 0.8 : 0.45));
        draw_picture(painter, picture, layers_.picture(picture.image));
    }
    painter.restore();
}

/// One area in its painting order: in the tone of the step that burns it last, or bare.
void ArtPainter::draw_area(QPainter& painter, const job::Motif& motif, const ArtLayers::Layer& layer) const {
    const job::Step* burns = nullptr;
    for (const job::Step& step : job_.steps)
        if (step.settings.kind == steps::StepKind::engrave && job::Job::burns(step, motif, layer.shape)) burns = &step;
    const bool covers = motif.art->read_with.cover && layer.ink.kind == InkKind::fill;
    if (!burns && !covers) return;
    if (covers) painter.setCompositionMode(burns ? QPainter::CompositionMode_Source : QPainter::CompositionMode_Clear);
    painter.fillPath(layer.path,
                     burns ? tone_of_ink(*burns, layer.ink.rgb, machine_, roles_) : QColor(Qt::transparent));
    painter.setCompositionMode(QPainter::CompositionMode_SourceOver);
}

void ArtPainter::draw_areas_of(QPainter& painter, const Camera& camera, const job::Motif& motif,
                               const Highlight& highlight) const {
    const art::Artwork& art = *motif.art;
    std::size_t picture = 0;
    const auto draw_pictures_below = [&](int number) {
        for (; picture < art.pictures.size() && art.pictures[picture].above <= number; ++picture)
            draw_picture_of(painter, camera, motif, picture, highlight);
    };
    for (const ArtLayers::Layer& layer : layers_.of(motif)) {
        draw_pictures_below(art.shapes[layer.shape].number);
        painter.setTransform(to_qt(motif.place) * camera.transform());
        draw_area(painter, motif, layer);
    }
    draw_pictures_below(std::numeric_limits<int>::max());
    painter.resetTransform();
}

void ArtPainter::draw(QPainter& painter, const Camera& camera, const Highlight& highlight) const {
    for (const job::Motif& motif : job_.motifs)
        draw_areas_of(painter, camera, motif, highlight);
    const auto pen = [&](const QColor& colour, double mm, double least_px) {
        QPen line(colour, std::max(mm * camera.scale, least_px), Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin);
        line.setCosmetic(true);
        return line;
    };
    for_each_layer(painter, camera, [&](const ArtLayers::Layer& layer, const job::Step* step) {
        const bool filled = step && step->settings.kind == steps::StepKind::engrave;
        if (!step) {
            // White that only covers is bare material, and looks like it.
            const bool only_covers = layer.covers && layer.ink == Ink{{255, 255, 255}, InkKind::fill};
            if (only_covers && !highlight.lights(layer.ink, std::nullopt)) return;
            QPen faint(roles_.control, 1, Qt::DotLine);
            faint.setCosmetic(true);
            stroke(painter, layer, faint);
        } else if (!filled) {
            const bool cut = step->settings.kind == steps::StepKind::cut;
            stroke(painter, layer, pen(tone_of(step->settings, machine_, roles_), machine_.spot, cut ? 2.2 : 1.2));
        }
        if (highlight.lights(layer.ink, step ? std::optional(step->id) : std::nullopt))
            stroke(painter, layer, pen(roles_.accent, 0, 2.4));
    });
}

namespace {

/// A dot at the start of each contour and an arrow in the middle of its first line; screen pixels.
void draw_directions(QPainter& painter, const QPainterPath& path, const QTransform& map, const QColor& colour) {
    painter.setPen(Qt::NoPen);
    painter.setBrush(colour);
    for (int i = 0; i + 1 < path.elementCount(); ++i) {
        if (!path.elementAt(i).isMoveTo()) continue;
        const QPointF start = map.map(QPointF(path.elementAt(i))), next = map.map(QPointF(path.elementAt(i + 1)));
        painter.drawEllipse(start, 2.6, 2.6);
        const QPointF way = next - start;
        const double length = std::hypot(way.x(), way.y());
        if (length < 1e-6) continue;
        const QPointF along = way / length, side(-along.y(), along.x());
        const QPointF tip = start + along * std::max(10.0, length / 2 + 4);
        painter.drawPolygon(QPolygonF{tip, tip - along * 8 + side * 3.4, tip - along * 8 - side * 3.4});
    }
}

}  // namespace

void ArtPainter::draw_bare(QPainter& painter, const Camera& camera) const {
    QPen thin(roles_.text, 1);
    thin.setCosmetic(true);
    int contours = 0;
    for_each_layer(painter, camera, [&](const ArtLayers::Layer& layer, const job::Step*) {
        stroke(painter, layer, thin);
        constexpr int most = 4000;  // beyond, marks would cover the paths
        if ((contours += layer.path.elementCount()) > most * 8) return;
        const QTransform map = painter.transform();
        painter.resetTransform();
        draw_directions(painter, layer.path, map, roles_.accent);
        painter.setTransform(map);
    });
}

void ArtPainter::draw_out_of_bounds(QPainter& painter, const Camera& camera) const {
    for_each_layer(painter, camera, [&](const ArtLayers::Layer& layer, const job::Step* step) {
        if (!step) return;
        QPen line(roles_.danger, 2);
        line.setCosmetic(true);
        stroke(painter, layer, line);
        if (step->settings.kind != steps::StepKind::engrave) return;
        // A hatch in screen pixels, whatever the zoom.
        QBrush hatch(roles_.danger, Qt::BDiagPattern);
        hatch.setTransform(painter.transform().inverted());
        painter.fillPath(layer.path, hatch);
    });
}

}  // namespace chalkline::app
