// SPDX-License-Identifier: GPL-3.0-or-later
#include "bed/art_picture.hpp"

namespace chalkline::app {
namespace {

/// Kept round the view, so that a short pan shows no gap; share of its size.
constexpr double margin_share = 0.25;

QPointF margin_of(const QSize& view) {
    return {std::round(view.width() * margin_share), std::round(view.height() * margin_share)};
}

QPainterPath screen_path(const geometry::Polyline& line, const Camera& camera) {
    QPolygonF polygon;
    for (const auto point : line.points)
        polygon << camera.to_screen(point);
    QPainterPath path;
    path.addPolygon(polygon);
    path.closeSubpath();
    return path;
}

void paint_faults(QPainter& painter, const Camera& camera, const QSizeF& view, const ArtScene& scene,
                  ArtLayers& layers) {
    if (!scene.off_stock && !scene.off_bed) return;
    QPainterPath inside = screen_path(geometry::outline(scene.machine.bed()), camera), all;
    if (scene.off_stock && scene.job.stock)
        inside = inside.intersected(screen_path(scene.job.stock->outline(), camera));
    all.addRect(QRectF({0, 0}, view));
    painter.save();
    painter.setClipPath(all.subtracted(inside));
    ArtPainter(scene.job, scene.machine, scene.roles, layers).draw_out_of_bounds(painter, camera);
    painter.restore();
}

}  // namespace

/// Draws the scene with its faults.
static void draw_scene(QPainter& painter, const Camera& camera, const QSizeF& view, const ArtScene& scene,
                       ArtLayers& layers) {
    const ArtPainter art(scene.job, scene.machine, scene.roles, layers, scene.proofs);
    if (scene.bare_paths) return art.draw_bare(painter, camera);
    art.draw(painter, camera, scene.highlight);
    if (scene.mark_areas) art.draw_areas(painter, camera);
    paint_faults(painter, camera, view, scene, layers);
}

void paint_art(QImage& image, const Camera& camera, const QSizeF& size, double pixel_ratio, const ArtScene& scene,
               ArtLayers& layers) {
    const QSize pixels = (size * pixel_ratio).toSize();
    if (image.size() != pixels) image = QImage(pixels, QImage::Format_ARGB32_Premultiplied);
    image.setDevicePixelRatio(pixel_ratio);
    image.fill(Qt::transparent);
    QPainter painter(&image);
    painter.setRenderHint(QPainter::Antialiasing);
    draw_scene(painter, camera, size, scene, layers);
}

void ArtPicture::set_scene(ArtScene scene) {
    scene_ = std::make_shared<const ArtScene>(std::move(scene));
    ++version_;
}

void ArtPicture::clear() {
    shown_ = {};
    scene_.reset();
}

void ArtPicture::draw(QPainter& painter, const Camera& camera, const QSize& view, double pixel_ratio) {
    if (!shown_.image.isNull()) {
        const double scale = camera.scale / shown_.camera.scale;
        painter.save();
        painter.translate(camera.origin - shown_.camera.origin * scale);
        painter.scale(scale, scale);
        painter.drawImage(-margin_of(view), shown_.image);
        painter.restore();
    }
    if (!sharp(camera)) start(camera, view, pixel_ratio);
}

void ArtPicture::start(const Camera& camera, const QSize& view, double pixel_ratio) {
    if (painter_.running() || !scene_) return;
    const auto paint = [scene = scene_, layers = layers_, camera, view, pixel_ratio](const Watch&) {
        const QPointF margin = margin_of(view);
        const QSizeF size(view.width() + 2 * margin.x(), view.height() + 2 * margin.y());
        Camera shifted = camera;
        shifted.origin += margin;
        QImage image;
        const std::lock_guard alone(layers->mutex);
        paint_art(image, shifted, size, pixel_ratio, *scene, layers->layers);
        layers->layers.keep_only(scene->job);
        return image;
    };
    painter_.start(paint, [this, camera, version = version_](QImage image) {
        shown_ = {std::move(image), camera, version};
        Q_EMIT drawn();
    });
}

}  // namespace chalkline::app
